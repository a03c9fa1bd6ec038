import { TASKS } from '../../commands/tasks.ts';
import { definitionOf, KEY_COMMANDS } from '../../commands/registry.ts';
import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkKeys } from '../../checkup/keys.ts';

import type { InputDevice } from '../../model/keys.ts';
import { profileSchema } from '../../model/profile.ts';
import { sessionSchema } from '../../model/session.ts';
import { usesByCommand } from '../../model/uses.ts';
import { OFFICE } from '../../testing/desk.ts';
import { does, profileWith } from '../../testing/keys.ts';
import { assign, costOf } from './assignment.ts';
import { bindingText } from '../edit.ts';
import { keyMap } from '../map.ts';
import { reachOfKey, reachTable } from '../reach.ts';
import { suggest, withSuggestion } from './suggest.ts';

const DEMO = new URL('../../../../demo/', import.meta.url);
const json = (name: string): unknown => JSON.parse(readFileSync(new URL(name, DEMO), 'utf8'));
const demo = profileSchema.parse(json('bulletin-desk.profile.json'));
const MOUSE: InputDevice = {
  id: 'mouse-17',
  buttons: 17,
  modifiers: false,
  atOnce: 'one',
  profiles: 1,
};

/** The least sum by trying every way to give rows columns. */
function bruteForce(costs: readonly (readonly number[])[]): number {
  const from = (row: number, taken: ReadonlySet<number>): number => {
    if (row === costs.length) return 0;
    return Math.min(
      ...costs[row]!.map((cost, column) =>
        taken.has(column) ? Infinity : cost + from(row + 1, new Set([...taken, column])),
      ),
    );
  };
  return from(0, new Set());
}

describe('an assignment', () => {
  it('costs as little as any there is, and gives no column twice', () => {
    const table = fc
      .tuple(fc.integer({ min: 1, max: 6 }), fc.integer({ min: 0, max: 2 }))
      .chain(([rows, more]) =>
        fc.array(
          fc.array(fc.integer({ min: 0, max: 30 }), {
            minLength: rows + more,
            maxLength: rows + more,
          }),
          {
            minLength: rows,
            maxLength: rows,
          },
        ),
      );
    fc.assert(
      fc.property(table, (costs) => {
        const columns = assign(costs);
        expect(new Set(columns).size).toBe(costs.length);
        expect(costOf(costs, columns)).toBe(bruteForce(costs));
      }),
      { numRuns: 300 },
    );
  });

  it('is exact at 120 by 120: as cheap as the pairs that were hidden in it', () => {
    const size = 120;
    const hidden = Array.from({ length: size }, (_, i) => (i * 49) % size);
    const costs = hidden.map((column, i) =>
      Array.from({ length: size }, (_, j) => (j === column ? 1 : 2 + ((i * 31 + j * 17) % 97))),
    );
    expect(assign(costs)).toEqual(hidden);
    expect(() => assign([[1], [1]])).toThrow('2 rows have no room in 1 columns');
  });
});

describe('reach', () => {
  it('is the least where a finger rests, and grows with the way and the finger', () => {
    expect(reachOfKey(demo, 'KeyJ')).toBe(0.5);
    // One key width and a quarter of one from J to U, by Fitts: log2(√(1 + 0.25²) + 1).
    expect(reachOfKey(demo, 'KeyU')).toBeCloseTo(0.5 + Math.log2(Math.hypot(1, 0.25) + 1));
    expect(reachOfKey(demo, 'KeyA')).toBeCloseTo(0.7);
    expect(reachOfKey(demo, 'F12')).toBeGreaterThan(reachOfKey(demo, 'Digit7'));
    expect(reachOfKey(demo, 'Button4')).toBe(0.5);
    const reach = reachTable(demo);
    expect(reach('Main+KeyJ')).toBeCloseTo(reachOfKey(demo, 'MetaLeft') + 0.5);
    const bundles = [
      { id: 'Caps', hold: 'CapsLock', modifiers: ['Ctrl' as const, 'Alt' as const] },
    ];
    const bundled = { ...demo, keys: { ...demo.keys, bundles } };
    expect(reachTable(bundled)('Caps+KeyJ')).toBeCloseTo(reachOfKey(demo, 'CapsLock') + 0.5);
    expect(reach('Main+KeyJ KeyK')).toBeCloseTo(reach('Main+KeyJ') + reachOfKey(demo, 'KeyK'));
  });
});

describe('suggested keys', () => {
  const uses = usesByCommand(sessionSchema.parse(json('bulletin-desk.session.json')).uses);

  it('count uses that the demo has, by keys that it has', () => {
    const { uses: counted = [] } = sessionSchema.parse(json('bulletin-desk.session.json'));
    expect(counted.length).toBeGreaterThan(20);
    for (const { keys, command } of counted) {
      const bound = keyMap(demo).find((binding) => binding.keys === keys);
      expect(bound && bindingText(bound)).toBe(command);
    }
  });

  it('of a 17-button mouse without modifiers are legal, keep what is pinned, and name what is left out', () => {
    const pinned = { keys: 'Button9', command: does('float'), pinned: true };
    const mice = profileSchema.parse({
      ...demo,
      keys: {
        ...demo.keys,
        devices: [...demo.keys.devices, MOUSE],
        bindings: [pinned],
        layers: [],
        marks: [
          { command: does('close'), mark: 'needed' },
          { command: does('pocket'), mark: 'spare' },
        ],
      },
    });
    const found = suggest(mice, { device: MOUSE, uses, grouped: false });
    expect(found.is).toBe('least');
    // Buttons 1 to 3 point: fourteen are left, one of them pinned.
    expect(found.given).toHaveLength(14);
    const keys = found.given.map((line) => line.keys);
    expect(new Set(keys).size).toBe(14);
    for (const each of keys) expect(each).toMatch(/^Button([4-9]|1[0-7])$/);
    expect(found.given.find(({ candidate }) => candidate.text === 'float')?.keys).toBe('Button9');
    expect(found.given.find(({ candidate }) => candidate.text === 'focus-left')?.keys).toBe(
      'Button4',
    );
    expect(found.given.some(({ candidate }) => candidate.text === 'close')).toBe(true);
    const direct = ['B', 'M', 'S', 'R', 'F'].map((id) => `go-workspace ${id}`);
    expect(found.substitutes).toEqual([
      { by: ['go-workspace next', 'go-workspace previous'], instead: direct },
    ]);
    expect(found.leftOut.find(({ text }) => text === 'pocket')?.because).toBe(
      'it is spare, and keys are few',
    );
    const total = new Set(keyMap(mice).map(({ command }) => JSON.stringify(command)));
    expect(found.leftOut.length + found.given.length).toBe(total.size);

    const taken = withSuggestion(mice, MOUSE, found);
    expect(profileSchema.parse(taken)).toEqual(taken);
    expect(checkKeys(taken).filter(({ kind }) => kind !== 'no-way-back')).toEqual([]);
    const onMouse = keyMap(taken).filter((binding) =>
      binding.canonicalTrigger.startsWith('Button'),
    );
    expect(onMouse.map((binding) => binding.keys).sort()).toEqual([...keys].sort());
    // The keyboard's keys stay as they were.
    expect(keyMap(taken).length - onMouse.length).toBe(keyMap(mice).length - 1);
  });

  it('go round where direct keys would be more than there is room for', () => {
    const few: InputDevice = { ...MOUSE, buttons: 9 };
    const spread = new Map([
      ...['B', 'M', 'S', 'R', 'F'].map((id): [string, number] => [`go-workspace ${id}`, 40]),
      ...['float', 'close', 'pocket', 'call-back'].map((id): [string, number] => [id, 90]),
    ]);
    const found = suggest(demo, { device: few, uses: spread, grouped: false });
    const all = ['B', 'M', 'S', 'R', 'F'].map((id) => `go-workspace ${id}`);
    expect(found.substitutes).toEqual([
      { by: ['go-workspace next', 'go-workspace previous'], instead: all },
    ]);
    // 200 uses, 5 / 4 presses each in the mean, half of them either way.
    const next = found.given.find(({ candidate }) => candidate.text === 'go-workspace next');
    expect(next?.candidate.uses).toBe(125);
    expect(found.given).toHaveLength(6);
    expect(found.leftOut.find(({ text }) => text === 'go-workspace M')?.because).toBe(
      'go-workspace next and previous lead there',
    );
  });

  it('without groups cost as little as every way to give them', () => {
    const five = ['float', 'close', 'promote', 'centre', 'undo'].map((command, i) => ({
      keys: `Main+Digit${i + 1}`,
      command: does(command),
    }));
    const few = profileWith(five, { layers: [] });
    const counted = new Map(
      ['float', 'close', 'promote', 'centre', 'undo'].map((id, i) => [id, i * i + 1]),
    );
    const device = few.keys.devices[0]!;
    const codes = ['KeyJ', 'KeyP', 'KeyU'];
    const found = suggest(few, { device, codes, uses: counted, grouped: false });
    const reach = reachTable(few);
    const slots = codes.flatMap((code) =>
      ['Main', 'Main+Shift', 'Main+Ctrl', 'Main+Alt', 'Main+Ctrl+Shift'].map(
        (set) => `${set}+${code}`,
      ),
    );
    const costs = [...counted.values()].map((count) => slots.map((keys) => count * reach(keys)));
    expect(found.after).toBeCloseTo(bruteForce(costs));
    expect(found.before).toBeCloseTo(
      five.reduce((sum, { keys }, i) => sum + [...counted.values()][i]! * reach(keys), 0),
    );
    expect(found.after).toBeLessThan(found.before);
  });

  it('keep directions together in a row or a cross, and say that better may exist', () => {
    const device = demo.keys.devices[0]!;
    const found = suggest(profileSchema.parse({ ...OFFICE, keys: { from: 'inverted-t' } }), {
      device,
      uses,
      grouped: true,
    });
    expect(found.is).toBe('best found');
    const at = (text: string) => found.given.find(({ candidate }) => candidate.text === text)!.keys;
    const codes = ['left', 'down', 'up', 'right'].map((way) => at(`focus-${way}`));
    const sets = new Set(codes.map((keys) => keys.replace(/\w+$/, '')));
    expect(sets.size).toBe(1);
    const after = withSuggestion(
      profileSchema.parse({ ...OFFICE, keys: { from: 'inverted-t' } }),
      device,
      found,
    );
    expect(checkKeys(after)).toEqual([]);
  });

  it('give a workspace its own letter where that is not far', () => {
    const found = suggest(demo, {
      device: demo.keys.devices[0]!,
      uses: new Map([
        ['go-workspace F', 50],
        ['float', 50],
      ]),
      grouped: false,
    });
    expect(found.given.find(({ candidate }) => candidate.text === 'go-workspace F')?.keys).toBe(
      'Main+KeyF',
    );
  });
});

describe('tasks', () => {
  it('have every command, and none is empty', () => {
    const of = new Map(KEY_COMMANDS.map((id) => [id, definitionOf(id).task]));
    expect(of.get('go-workspace')).toBe('workspaces');
    expect(of.get('put-on-monitor')).toBe('monitors');
    expect(of.get('lead-share-more')).toBe('sizes');
    expect(of.get('pocket')).toBe('holding');
    expect(new Set(of.values())).toEqual(new Set(TASKS));
  });
});
