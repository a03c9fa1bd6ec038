import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { profileSchema, type Profile } from '../model/profile.ts';
import { withGap, withLayoutField, withPlain } from '../tiling/settings-edit.ts';
import { changeTexts, thingAt } from './words.ts';

const demo = profileSchema.parse(
  JSON.parse(
    readFileSync(new URL('../../../demo/bulletin-desk.profile.json', import.meta.url), 'utf8'),
  ),
);
const says = (change: (profile: Profile) => Profile) => changeTexts(demo, change(demo));

describe('what changed, in words', () => {
  test('nothing where nothing changed', () => expect(says((p) => structuredClone(p))).toEqual([]));

  test('a value, with the place it holds for', () => {
    expect(says((p) => withGap(p, {}, 'inner', 6))).toEqual(['inner gap 10 → 6']);
    expect(says((p) => withLayoutField(p, { workspace: 'S' }, 'rows', 'max', 3))).toEqual([
      'workspace S: layout not set → rows',
      'workspace S: max not set → 3',
    ]);
    expect(says((p) => withPlain(p, {}, 'whenTooSmall', 'float'))).toEqual([
      'when too small not set → float',
    ]);
  });

  test('a workspace that moved, by the name of the one it is above now', () => {
    const { workspaces } = demo;
    const moved = [
      workspaces[0]!,
      workspaces[3]!,
      ...workspaces.filter((_, i) => i !== 0 && i !== 3),
    ];
    const [said, ...more] = says((p) => ({ ...p, workspaces: moved }));
    expect(more).toEqual([]);
    const [what, above] = said!.split(' moved above ');
    expect(what).toContain(`workspace ${workspaces[3]!.id}`);
    expect(above).toBe(workspaces[1]!.id);
    const last = [...workspaces.slice(1), workspaces[0]!];
    expect(says((p) => ({ ...p, workspaces: last }))[0]).toMatch(/moved to the end$/);
  });

  test('a rule that moved, was added, taken out or changed', () => {
    const { rules } = demo;
    const moved = [rules[0]!, rules[3]!, ...rules.filter((_, i) => i !== 0 && i !== 3)];
    expect(says((p) => ({ ...p, rules: moved }))).toEqual(['rule 4 moved above 2']);
    const last = [...rules.slice(1), rules[0]!];
    expect(says((p) => ({ ...p, rules: last }))).toEqual(['rule 1 moved to the end']);
    const [first] = rules;
    expect(says((p) => ({ ...p, rules: rules.slice(1) }))).toEqual([
      `rule 1 “${first!.name ?? first!.id}” taken out`,
    ]);
    const off = rules.map((rule, i) => (i === 1 ? { ...rule, on: false } : rule));
    expect(says((p) => ({ ...p, rules: off }))).toEqual([
      `rule 2 “${rules[1]!.name ?? rules[1]!.id}” turned off`,
    ]);
  });

  test('keys, zones and monitors by their names', () => {
    const binding = { keys: 'Main+KeyK', command: { command: 'centre' as const } };
    const bindings = [...demo.keys.bindings, binding];
    expect(says((p) => ({ ...p, keys: { ...p.keys, bindings } }))).toEqual([
      'keys Meta K added: centre',
    ]);
    const monitors = demo.monitors.map((m) => (m.id === 'wide' ? { ...m, scale: 1.25 } : m));
    expect(says((p) => ({ ...p, monitors }))).toEqual(['monitor Korvane Wide 34: scale 1 → 1.25']);
    const [board, ...others] = demo.boards;
    const [zone, ...zones] = board!.zones;
    const widened = {
      ...board!,
      zones: [{ ...zone!, rows: [1, 2] as [number, number] }, ...zones],
    };
    const texts = says((p) => ({ ...p, boards: [widened, ...others] }));
    expect(texts).toContainEqual(
      expect.stringMatching(`^zone ${zone!.name} of board .*: rows .* → 1, 2$`),
    );
  });
});

describe('what stands at a path of a fault, by its name', () => {
  test.each([
    [
      'rules[0].then.monitor',
      `rule 1 “${demo.rules[0]!.name!}”: monitor`,
      ['rules', demo.rules[0]!.id, 'then', 'monitor'],
    ],
    [
      'monitors[1].scale',
      `monitor ${demo.monitors[1]!.name!}: scale`,
      ['monitors', demo.monitors[1]!.id, 'scale'],
    ],
    ['tiling.gaps.inner', 'inner gap', ['tiling', 'gaps', 'inner']],
    ['rules[99].on', 'rules', ['rules']],
  ])('%s', (path, text, steps) => {
    expect(thingAt(demo, path)).toEqual({ text, path: steps });
  });

  test('a condition is one of several of a rule', () => {
    const { text, path } = thingAt(demo, 'rules[0].when.all[0].is');
    expect(path).toEqual(['rules', demo.rules[0]!.id, 'when', 'all']);
    expect(text).toContain('rule 1');
  });
});
