import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { restacking } from './stacking.ts';

/** What a server makes of moves: each window goes right above another one, or under all. */
function moved(now: readonly number[], moves: ReturnType<typeof restacking>): number[] {
  return moves.reduce<number[]>(
    (stack, { window, above }) => {
      const rest = stack.filter((each) => each !== window);
      const at = above === null ? 0 : rest.indexOf(above) + 1;
      return [...rest.slice(0, at), window, ...rest.slice(at)];
    },
    [...now],
  );
}
/** The longest part of a list whose values rise, by trying every part. */
function longest(values: readonly number[]): number {
  let best = 0;
  for (let part = 0; part < 2 ** values.length; part++) {
    const some = values.filter((_, i) => part & (1 << i));
    if (some.every((value, i) => i === 0 || some[i - 1]! < value))
      best = Math.max(best, some.length);
  }
  return best;
}
const windows = fc.uniqueArray(fc.integer({ min: 1, max: 30 }), { maxLength: 9 });

describe('restacking', () => {
  it('brings windows into order, whatever else is there, and moves as few as can be', () => {
    fc.assert(
      fc.property(windows, windows, (now, wanted) => {
        const moves = restacking(now, wanted);
        const known = wanted.filter((window) => now.includes(window));
        const there = [...now, ...wanted.filter((window) => !now.includes(window))];
        const after = moved(there, moves);
        expect(after.filter((window) => wanted.includes(window))).toEqual(wanted);
        const places = known.map((window) => now.indexOf(window));
        expect(moves.length).toBe(wanted.length - longest(places));
      }),
      { numRuns: 300 },
    );
  });
});
