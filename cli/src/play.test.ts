import { readdirSync, readFileSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { COMMANDS } from '@sorn/core/commands';
import { parseText } from '@sorn/core/files';
import type { Played } from '@sorn/core/simulate';
import { LAYOUT_KINDS } from '@sorn/core/values';
import { BadInput } from './input.ts';
import { playFiles } from './play.ts';

const demo = join(import.meta.dirname, '../../demo');
const profile = join(demo, 'bulletin-desk.profile.json');
const scripts = readdirSync(join(demo, 'scripts')).map((name) => join(demo, 'scripts', name));
const folder = mkdtempSync(join(tmpdir(), 'sorn-play-'));
afterAll(() => rmSync(folder, { recursive: true }));

function parse(text: string): unknown {
  const parsed = parseText(text, 'yaml');
  if (!parsed.ok) throw new Error(parsed.faults[0]!.message);
  return parsed.value;
}

function file(name: string, value: unknown): string {
  const path = join(folder, name);
  writeFileSync(path, typeof value === 'string' ? value : JSON.stringify(value));
  return path;
}

function played(profileFile: string, script: unknown): Played[] {
  const { text } = playFiles(profileFile, file('script.yaml', script));
  return (JSON.parse(text) as { steps: Played[] }).steps;
}

function faultsOf(script: unknown): string[] {
  try {
    playFiles(profile, file('bad.yaml', script));
  } catch (error) {
    if (error instanceof BadInput) return error.lines.map((line) => line.replace(`${folder}/`, ''));
    throw error;
  }
  return [];
}

/** The steps of a script file, as they are written there. */
function stepsIn(path: string): unknown[] {
  const script = parse(readFileSync(path, 'utf8')) as unknown[] | { steps: unknown[] };
  return Array.isArray(script) ? script : script.steps;
}

describe('the scripts in the repository', () => {
  it('run every command together', () => {
    const named = scripts
      .flatMap(stepsIn)
      .map((step) => (typeof step === 'string' ? step : (step as { command?: string }).command));
    expect(COMMANDS.filter((id) => !named.includes(id))).toEqual([]);
  });

  it('stand at the end of each part as they are asked to', () => {
    for (const script of scripts) expect(playFiles(profile, script).isSame, script).toBe(true);
  });

  it.each(['morning', 'cable', 'zones'])('do something at every step of %s', (name) => {
    const morning = playFiles(profile, join(demo, `scripts/${name}.yaml`));
    const { steps } = JSON.parse(morning.text) as { steps: Played[] };
    const idle = steps.filter(({ reasons }) => reasons.some((r) => r.decided === 'nothing to do'));
    expect(idle.map(({ step, reasons }) => `${step}: ${reasons[0]!.because}`)).toEqual([]);
    const last = steps.at(-1)!.placements.filter(({ shown }) => shown);
    expect(last.map(({ id }) => id)).toContain('pitreader-1');
  });
});

describe('why a window is as it is', () => {
  const monitors = [{ id: 'm', width: 2560, height: 1440 }];
  const rules = [
    { id: 'a', when: { all: [{ of: 'kind', is: 'dialog' }] }, then: { held: 'floating' } },
    { id: 'b', name: 'Map', when: { all: [{ of: 'app', is: 'areamap' }] }, then: { join: 'lead' } },
    { id: 'c', on: false, then: { focus: false } },
  ];
  const why = (step: Played, id: string) =>
    step.reasons.flatMap(({ about, decided, because, minor }) =>
      about === id ? [`${minor ? '(' : ''}${decided}: ${because}`] : [],
    );

  it('is told for windows that are there at the beginning, and for each that opens', () => {
    const steps = played(file('rules.json', { monitors, rules }), {
      session: {
        windows: [
          { id: 'map', app: 'areamap' },
          { id: 'post', app: 'post', held: 'floating' },
        ],
      },
      steps: [{ open: { id: 'dial', kind: 'dialog' } }],
    });
    expect(why(steps[0]!, 'map')).toEqual([
      '(tile it: default',
      '(the workspace shown there: default',
      '(the monitor with the focus: default',
      '(no zone: default',
      '(no place of its own: default',
      '(the size it prefers: default',
      '(over its parent, else in the middle: default',
      '(not above: default',
      '(on one workspace: default',
      '(take the focus: default',
      'join as lead: rule 2 Map, app is areamap',
      '(where it was moved last, as set for all: default',
      '(may be pictured: default',
      '(not rule 1: kind is normal, not dialog',
      '(not rule 3: it is off',
    ]);
    expect(why(steps[0]!, 'post')).toContain('(held: the window itself says so');
    expect(why(steps[1]!, 'dial')).toEqual(
      expect.arrayContaining([
        'float it: rule 1, kind is dialog',
        '(not rule 2: it has no app',
        '(not rule 3: it is off',
      ]),
    );
  });
});

describe('there and back', () => {
  const toggles = stepsIn(join(demo, 'scripts/there-and-back.yaml'));
  const monitors = [{ id: 'm', width: 2560, height: 1440, reserved: { top: 30 } }];

  it.each(LAYOUT_KINDS)('leaves everything as it was in %s, with 1 to 9 windows', (kind) => {
    for (let count = 1; count <= 9; count++) {
      const ids = Array.from({ length: count }, (_, i) => `w${i + 1}`);
      const path = file('there.json', {
        monitors,
        tiling: { layout: { kind }, gaps: { inner: 10, outer: 6 } },
      });
      for (const focus of new Set([ids[0], ids[Math.floor(count / 2)], ids.at(-1)])) {
        // Hints and a floating window among them, so that not all windows simply fill their tile.
        const windows = ids.map((id, i) => ({
          id,
          ...(i % 4 === 1 && { min: { width: 300, height: 200 }, aspect: 1.5 }),
          ...(i % 5 === 3 && { held: 'floating' }),
        }));
        const steps = played(path, { session: { windows, focus }, steps: toggles });
        const wrong = steps.filter(({ differences }) => differences);
        expect(
          wrong.map(({ differences }) => differences),
          `${count}, ${focus}`,
        ).toEqual([]);
      }
    }
  });
});

describe('sorn play', () => {
  it('prints placements and reasons after each step', () => {
    const steps = played(profile, [
      { open: { id: 'a', app: 'pitreader' } },
      { open: { id: 'b' } },
      'swap-with-lead',
      'lead-share-more',
    ]);
    expect(steps.map(({ step }) => step)).toEqual([
      'begin',
      'open a',
      'open b',
      'swap-with-lead',
      'lead-share-more',
    ]);
    // The lead share on B is 0.58; 3418 px are shared.
    expect(steps[2]!.placements[0]).toMatchObject({ id: 'a', x: 6, width: 1982 });
    expect(steps[3]!.placements[0]).toMatchObject({ id: 'a', x: 1998, width: 1436 });
    expect(steps[4]!.placements[1]).toMatchObject({ id: 'b', width: Math.round(3418 * 0.6) });
    expect(steps[4]!.reasons).toEqual([{ decided: 'lead share 0.6', because: 'it was 0.58' }]);
  });

  it('tells where a desk is not the same as at its mark', () => {
    const script = file('moved.yaml', [
      { open: { id: 'a' } },
      { open: { id: 'b' } },
      { mark: 'here' },
      'move-earlier',
      { same: 'here' },
    ]);
    const { text, isSame } = playFiles(profile, script, true);
    expect(isSame).toBe(false);
    expect(text).toContain('not the same: order of B/wide: b a; it was a b');
    expect(text).toContain('b 6,34 1982×1400 on wide, workspace B, tiled');
  });

  it('tells every fault of a script with its path', () => {
    const bad = ['focus-lft', { command: 'go-workspace', wich: 'B' }, { opn: {} }, { close: 3 }];
    expect(faultsOf(bad)).toEqual([
      'bad.yaml: [0]: "focus-lft"; expected a command; the nearest is focus-left',
      'bad.yaml: [1].which: nothing; expected a name of 1 to 80 characters without spaces or slashes',
      'bad.yaml: [1].wich: "B"; expected a known field; the nearest is which',
      'bad.yaml: [2]: {"opn":{}}; expected a command, or an object with one of open, close, point, retitle, ask, plugged, hold, press, release, mark, same',
      'bad.yaml: [3].close: 3; expected a name of 1 to 80 characters without spaces or slashes',
    ]);
  });
});
