import { anyLayout } from '../../testing/layouts.ts';
import type { Layout } from '../../values/layout.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Rect, Size } from '../../geometry/rect.ts';
import { layoutTree, LAYOUTS } from '../layouts.ts';
import { flatten, minimumsCanBeMet, solve } from '../solve.ts';

const layout = anyLayout((kind) => LAYOUTS[kind].tree !== undefined);
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
  const windows = fc.array(minimum, { minLength: 1, maxLength: 14 });

  it('covers the area exactly with tiles and gaps, none over another', () => {
    fc.assert(
      fc.property(layout, area, windows, fc.nat(30), (kind, room, wished, gap) => {
        const tree = layoutTree(kind, wished.length, room);
        const gaps = { x: gap, y: gap };
        const fits = (list: Size[]) => minimumsCanBeMet(flatten(tree, list, gaps), room);
        const minimums = fits(wished) ? wished : wished.map(() => ({ width: 1, height: 1 }));
        // Where not even a pixel each fits with full gaps, gaps shrink.
        fc.pre(fits(minimums));
        const tiles = solve(tree, room, gaps, minimums);
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
        const tree = layoutTree(kind, minimums.length, room);
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
    solve(layoutTree({ ...LAYOUTS.lead.defaults, ...patch }, n, room), room, { x: 10, y: 10 }, []);

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
      layoutTree(kind, 4, { width: 400, height: 100 }),
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

describe('the worked examples on the wide monitor', () => {
  const room = { x: 6, y: 34, width: 3428, height: 1400 };
  const texts = (kind: Layout, n: number) =>
    solve(layoutTree(kind, n, room), room, { x: 10, y: 10 }, []).map(
      ({ x, y, width, height }) => `${x},${y} ${width}×${height}`,
    );

  it('middle lead: the rest goes after, before, after', () => {
    expect(texts({ kind: 'middle', axis: 'x', leadCount: 1, leadShare: 0.4 }, 4)).toEqual([
      '1038,34 1364×1400',
      '2412,34 1022×695',
      '6,34 1022×1400',
      '2412,739 1022×695',
    ]);
  });

  it('halving inward', () => {
    const layout: Layout = { kind: 'halving', share: 0.5, firstAxis: 'x', turn: 'inward' };
    expect(texts(layout, 5)).toEqual([
      '6,34 1709×1400',
      '1725,34 1709×695',
      '2585,739 849×695',
      '1725,1092 850×342',
      '1725,739 850×343',
    ]);
  });
});

describe('even grid', () => {
  /** The number of columns, read off the first row. */
  const columns = (n: number, cellAspect: number, width: number, height: number) => {
    const room = { x: 0, y: 0, width, height };
    const tiles = solve(
      layoutTree({ kind: 'grid', cellAspect }, n, room),
      room,
      { x: 0, y: 0 },
      [],
    );
    return tiles.filter(({ y }) => y === 0).length;
  };

  it('takes the columns whose cells come nearest to the aspect, by brute force', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 30 }),
        fc.double({ min: 0.2, max: 5, noNaN: true }),
        fc.integer({ min: 500, max: 6000 }),
        fc.integer({ min: 500, max: 6000 }),
        (n, aspect, width, height) => {
          const off = (c: number) =>
            Math.abs(Math.log(width / c / (height / Math.ceil(n / c)) / aspect));
          const found = columns(n, aspect, width, height);
          for (let c = 1; c <= n; c++) {
            expect(off(found)).toBeLessThanOrEqual(off(c) + 1e-9);
            if (c < found) expect(off(c)).toBeGreaterThan(off(found));
          }
        },
      ),
    );
  });

  it('fills row by row, and stretches the last row', () => {
    const room = { x: 0, y: 0, width: 600, height: 200 };
    const tiles = solve(
      layoutTree({ kind: 'grid', cellAspect: 2 }, 5, room),
      room,
      { x: 0, y: 0 },
      [],
    );
    expect(tiles.map(({ width }) => width)).toEqual([200, 200, 200, 300, 300]);
  });
});

describe('middle lead', () => {
  const room = { x: 0, y: 0, width: 1000, height: 600 };
  const tiles = (n: number, leadCount = 1) =>
    solve(
      layoutTree({ kind: 'middle', axis: 'y', leadCount, leadShare: 0.6 }, n, room),
      room,
      { x: 0, y: 0 },
      [],
    ).map(({ x, y, width, height }) => [x, y, width, height]);

  it('has one rest window after the lead, and none beside it', () => {
    expect(tiles(1)).toEqual([[0, 0, 1000, 600]]);
    expect(tiles(2)).toEqual([
      [0, 0, 1000, 360],
      [0, 360, 1000, 240],
    ]);
    expect(tiles(3, 3).map(([x, , width]) => [x, width])).toEqual([
      [0, 333],
      [333, 334],
      [667, 333],
    ]);
  });
});
