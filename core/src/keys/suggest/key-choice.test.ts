import type { KeyCommand } from '../../commands/registry.ts';
import { commandText } from '../../commands/command.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { MARKS, type Mark } from '../../model/keys.ts';
import { profileSchema } from '../../model/profile.ts';
import { OFFICE } from '../../testing/desk.ts';
import { middleOf, KEYBOARDS } from '../keyboards.ts';
import { choose } from './key-choice.ts';
import { groupsOf, placesFor } from './groups.ts';
import { slotsOf, type BindingCandidate } from './binding-candidates.ts';

const candidate = (
  command: KeyCommand,
  uses: number,
  mark: Mark = 'wanted',
  pinned: string | null = null,
): BindingCandidate => ({
  command,
  text: commandText(command),
  uses,
  mark,
  pinned,
});
const plain = (id: string, uses: number, mark?: Mark, pinned?: string) =>
  candidate({ command: id } as KeyCommand, uses, mark, pinned);
const texts = (candidates: readonly BindingCandidate[]) => candidates.map(({ text }) => text);

describe('what has room', () => {
  it('is everything where there is room for everything', () => {
    const all = [plain('float', 0), plain('close', 5, 'spare')];
    expect(choose(all, 2)).toEqual({ candidates: all, leftOut: [], substitutes: [] });
  });

  it('leaves spare ones out first, then what is used least, and never what is needed or pinned', () => {
    const all = [
      plain('float', 9, 'spare'),
      plain('close', 1),
      plain('promote', 2),
      plain('centre', 0, 'needed'),
      plain('undo', 0, 'wanted', 'Main+KeyZ'),
    ];
    const { candidates, leftOut } = choose(all, 3);
    expect(texts(candidates)).toEqual(['promote', 'centre', 'undo']);
    expect(leftOut.map(({ text, because }) => `${text}: ${because}`)).toEqual([
      'float: it is spare, and keys are few',
      'close: it is used less than what has keys',
    ]);
    // Without room for all that is needed, that is told.
    const needed = choose([plain('float', 1, 'needed'), plain('close', 2, 'needed')], 1);
    expect(needed.leftOut[0]!.because).toBe('there are fewer keys than needed commands');
  });

  it('keeps directions, and a command and its way back, together', () => {
    const all = [
      plain('focus-left', 50),
      plain('focus-right', 0),
      plain('pocket', 40),
      plain('call-back', 0),
      plain('float', 5),
      plain('close', 6),
    ];
    expect(texts(choose(all, 4).candidates)).toEqual([
      'focus-left',
      'focus-right',
      'pocket',
      'call-back',
    ]);
  });

  it('goes round where that costs less than leaving out', () => {
    const direct = ['B', 'M', 'S', 'R'].map((which) =>
      candidate({ command: 'go-workspace', which }, 10),
    );
    const others = ['float', 'close'].map((id) => plain(id, 30));
    const { candidates, substitutes } = choose([...direct, ...others], 4);
    expect(texts(candidates)).toEqual([
      'float',
      'close',
      'go-workspace next',
      'go-workspace previous',
    ]);
    expect(substitutes).toHaveLength(1);
    // What is needed keeps its own key.
    const kept = choose([{ ...direct[0]!, mark: 'needed' }, ...direct.slice(1), ...others], 5);
    expect(texts(kept.candidates)).toContain('go-workspace B');
  });

  it('fits, and tells of every command once, whatever there is', () => {
    const anyWish = fc.record({
      id: fc.constantFrom(
        'float',
        'close',
        'focus-left',
        'focus-right',
        'pocket',
        'call-back',
        'undo',
      ),
      uses: fc.nat(90),
      mark: fc.constantFrom(...MARKS),
    });
    fc.assert(
      fc.property(
        fc.uniqueArray(anyWish, { selector: ({ id }) => id }),
        fc.nat(8),
        (list, room) => {
          const { candidates, leftOut } = choose(
            list.map(({ id, uses, mark }) => plain(id, uses, mark)),
            room,
          );
          expect(candidates.length).toBeLessThanOrEqual(Math.max(room, 0));
          expect([...texts(candidates), ...leftOut.map(({ text }) => text)].sort()).toEqual(
            list.map(({ id }) => id).sort(),
          );
        },
      ),
    );
  });
});

describe('places of directions', () => {
  const profile = profileSchema.parse({ ...OFFICE, keys: { from: 'none' } });
  const device = profile.keys.devices[0]!;
  const board = KEYBOARDS['ansi-100'];

  it('are rows from left to right, or crosses with up above down, the cheapest first', () => {
    const candidates = (['left', 'right', 'up', 'down'] as const).map((way) =>
      plain(`focus-${way}`, 10),
    );
    const [group] = groupsOf(candidates);
    const places = placesFor(profile, group!, slotsOf(profile, device, new Set()));
    expect(places.length).toBeGreaterThan(50);
    let last = 0;
    for (const { slots, cost } of places) {
      expect(cost).toBeGreaterThanOrEqual(last);
      last = cost;
      const at = (way: 'left' | 'right' | 'up' | 'down') => middleOf(board, slots.get(way)!.code)!;
      expect(at('left').x).toBeLessThan(at('right').x);
      expect(at('up').y).toBeLessThanOrEqual(at('down').y);
      expect(new Set([...slots.values()].map(({ modifiers }) => modifiers.join())).size).toBe(1);
      expect(cost).toBeCloseTo([...slots.values()].reduce((sum, { reach }) => sum + 10 * reach, 0));
    }
  });

  it('leave out what is pinned, and commands that stand alone', () => {
    const candidates = [
      plain('focus-left', 9, 'wanted', 'Main+KeyJ'),
      plain('focus-right', 9),
      plain('float', 1),
    ];
    expect(groupsOf(candidates)).toEqual([]);
  });
});
