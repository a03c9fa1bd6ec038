import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Rect } from '../geometry/rect.ts';
import type { Layout } from '../profile/layout.ts';
import { flatten, minimumsCanBeMet, solve } from '../tree/solve.ts';
import { layoutTree, LAYOUTS } from './index.ts';

const layout: fc.Arbitrary<Layout> = fc.oneof(
  fc.record({
    kind: fc.constant('lead' as const),
    side: fc.constantFrom('left' as const, 'right' as const, 'top' as const, 'bottom' as const),
    leadCount: fc.integer({ min: 1, max: 12 }),
    leadShare: fc.double({ min: 0, max: 1, noNaN: true }),
  }),
  fc.record(
    {
      kind: fc.constant('columns' as const),
      weights: fc.array(fc.double({ min: 0.01, max: 100, noNaN: true }), { maxLength: 12 }),
      max: fc.integer({ min: 1, max: 12 }),
    },
    { requiredKeys: ['kind', 'weights'] },
  ),
);
const area = fc.record({
  x: fc.integer({ min: -3000, max: 3000 }),
  y: fc.integer({ min: -3000, max: 3000 }),
  width: fc.integer({ min: 900, max: 8000 }),
  height: fc.integer({ min: 900, max: 8000 }),
});

function overlap(a: Rect, b: Rect): boolean {
  return a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;
}

describe('every dividing layout', () => {
  const minimum = fc.record({
    width: fc.integer({ min: 1, max: 260 }),
    height: fc.integer({ min: 1, max: 260 }),
  });
  const windows = fc.array(minimum, { minLength: 1, maxLength: 24 });

  it('covers the area exactly with tiles and gaps, none over another', () => {
    fc.assert(
      fc.property(layout, area, windows, fc.nat(30), (kind, room, minimums, gap) => {
        const tiles = solve(layoutTree(kind, minimums.length), room, { x: gap, y: gap }, minimums);
        expect(tiles).toHaveLength(minimums.length);
        // Each tile with the gap right of it and below it: these cover the area grown by one gap.
        const padded = tiles.map((tile) => ({
          ...tile,
          width: tile.width + gap,
          height: tile.height + gap,
        }));
        const covered = padded.reduce((sum, { width, height }) => sum + width * height, 0);
        expect(covered).toBe((room.width + gap) * (room.height + gap));
        for (const [i, tile] of padded.entries()) {
          expect(tile.x).toBeGreaterThanOrEqual(room.x);
          expect(tile.y).toBeGreaterThanOrEqual(room.y);
          expect(tile.x + tile.width).toBeLessThanOrEqual(room.x + room.width + gap);
          expect(tile.y + tile.height).toBeLessThanOrEqual(room.y + room.height + gap);
          expect(padded.slice(i + 1).some((other) => overlap(tile, other))).toBe(false);
        }
      }),
      { numRuns: 300 },
    );
  });

  it('leaves no window under its minimum when the minimums can be met', () => {
    let met = 0;
    fc.assert(
      fc.property(layout, area, windows, fc.nat(30), (kind, room, minimums, gap) => {
        const tree = layoutTree(kind, minimums.length);
        const gaps = { x: gap, y: gap };
        if (!minimumsCanBeMet(flatten(tree, minimums, gaps), room)) return;
        met++;
        solve(tree, room, gaps, minimums).forEach((tile, i) => {
          expect(tile.width).toBeGreaterThanOrEqual(minimums[i]!.width);
          expect(tile.height).toBeGreaterThanOrEqual(minimums[i]!.height);
        });
      }),
      { numRuns: 300 },
    );
    expect(met).toBeGreaterThan(100);
  });
});

describe('lead', () => {
  const room = { x: 0, y: 0, width: 1010, height: 610 };
  const tiles = (patch: Partial<(typeof LAYOUTS)['lead']['defaults']>, n: number) =>
    solve(layoutTree({ ...LAYOUTS.lead.defaults, ...patch }, n), room, { x: 10, y: 10 }, []);

  it('stands at the side it is told', () => {
    const lead = (side: 'left' | 'right' | 'top' | 'bottom') =>
      tiles({ side, leadShare: 0.6 }, 3)[0];
    expect(lead('left')).toEqual({ x: 0, y: 0, width: 600, height: 610 });
    expect(lead('right')).toEqual({ x: 410, y: 0, width: 600, height: 610 });
    expect(lead('top')).toEqual({ x: 0, y: 0, width: 1010, height: 360 });
    expect(lead('bottom')).toEqual({ x: 0, y: 250, width: 1010, height: 360 });
  });

  it('has as many leads as its count, and all windows when there are no more', () => {
    expect(tiles({ leadCount: 2 }, 3).map(({ x, height }) => [x, height])).toEqual([
      [0, 300],
      [0, 300],
      [510, 610],
    ]);
    expect(tiles({ leadCount: 3 }, 2).map(({ width }) => width)).toEqual([1010, 1010]);
  });
});

describe('columns', () => {
  it('weighs by place and stacks what is left in the last one', () => {
    const kind: Layout = { kind: 'columns', weights: [2, 1, 1, 5], max: 3 };
    const tiles = solve(
      layoutTree(kind, 4),
      { x: 0, y: 0, width: 400, height: 100 },
      { x: 0, y: 0 },
      [],
    );
    expect(tiles.map(({ x, y, width, height }) => [x, y, width, height])).toEqual([
      [0, 0, 200, 100],
      [200, 0, 100, 100],
      [300, 0, 100, 50],
      [300, 50, 100, 50],
    ]);
  });
});
