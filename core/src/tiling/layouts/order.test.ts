import { SIDES, TURNS, AXES } from '../../values/layout-parameters.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Layout, LAYOUT_KINDS } from '../../values/layout.ts';
import { layoutTree, LAYOUTS, overlaidTiles, sampleTiles } from '../layouts.ts';
import { solve } from '../solve.ts';

const leadCount = fc.integer({ min: 1, max: 12 });

describe('the order of the windows', () => {
  const room = { x: 0, y: 0, width: 2400, height: 1500 };
  const tiles = (kind: Layout, n: number) =>
    solve(layoutTree(kind, n, room), room, { x: 6, y: 6 }, []);
  const isSorted = (values: readonly number[]) =>
    values.every((value, i) => i === 0 || value > values[i - 1]!);
  const count = fc.integer({ min: 1, max: 14 });

  it('goes along columns and rows, and row by row through a grid', () => {
    fc.assert(
      fc.property(count, fc.double({ min: 0.3, max: 3, noNaN: true }), (n, cellAspect) => {
        expect(isSorted(tiles({ kind: 'columns', weights: [] }, n).map(({ x }) => x))).toBe(true);
        expect(isSorted(tiles({ kind: 'rows', weights: [] }, n).map(({ y }) => y))).toBe(true);
        const cells = tiles({ kind: 'grid', cellAspect }, n);
        expect(isSorted(cells.map(({ x, y }) => y * 10_000 + x))).toBe(true);
      }),
    );
  });

  it('begins with the lead and goes along the rest, at whichever side the lead is', () => {
    fc.assert(
      fc.property(
        count,
        leadCount,
        fc.constantFrom(...SIDES),
        fc.double({ min: 0.2, max: 0.8, noNaN: true }),
        (n, leads, side, leadShare) => {
          const all = tiles({ kind: 'lead', side, leadCount: leads, leadShare }, n);
          const across = side === 'left' || side === 'right' ? 'y' : 'x';
          const along = across === 'x' ? 'y' : 'x';
          const [lead, rest] = [all.slice(0, leads), all.slice(leads)];
          expect(isSorted(lead.map((tile) => tile[across]))).toBe(true);
          expect(isSorted(rest.map((tile) => tile[across]))).toBe(true);
          const isFirst = side === 'left' || side === 'top';
          for (const tile of rest) expect(tile[along] > lead[0]![along]).toBe(isFirst);
        },
      ),
    );
  });

  it('puts the rest of a middle lead after, before, after, each side in order', () => {
    fc.assert(
      fc.property(count, fc.constantFrom(...AXES), (n, axis) => {
        const [lead, ...rest] = tiles({ kind: 'middle', axis, leadCount: 1, leadShare: 0.4 }, n);
        const across = axis === 'x' ? 'y' : 'x';
        rest.forEach((tile, i) => expect(tile[axis] > lead![axis]).toBe(i % 2 === 0));
        const side = (parity: number) => rest.filter((_, i) => i % 2 === parity);
        expect(isSorted(side(0).map((tile) => tile[across]))).toBe(true);
        expect(isSorted(side(1).map((tile) => tile[across]))).toBe(true);
      }),
    );
  });

  it('gives each window of a halving its share of what the ones before it left', () => {
    fc.assert(
      fc.property(count, fc.constantFrom(...TURNS), (n, turn) => {
        let left = { ...room, width: 2400 * 16, height: 1500 * 16 };
        const all = solve(
          layoutTree({ kind: 'halving', share: 0.5, firstAxis: 'x', turn }, n, left),
          left,
          { x: 0, y: 0 },
          [],
        );
        const sides = turn === 'zigzag' ? ['left', 'top'] : ['left', 'top', 'right', 'bottom'];
        all.forEach((tile, i) => {
          if (i === n - 1) {
            expect(tile).toEqual(left);
            return;
          }
          const side = sides[i % sides.length]!;
          const isX = side === 'left' || side === 'right';
          expect(isX ? tile.height : tile.width).toBe(isX ? left.height : left.width);
          const { x, y, width, height } = left;
          left = {
            x: side === 'left' ? x + tile.width : x,
            y: side === 'top' ? y + tile.height : y,
            width: isX ? width - tile.width : width,
            height: isX ? height : height - tile.height,
          };
          expect(isX ? tile.x === x : tile.y === y).toBe(side === 'left' || side === 'top');
        });
      }),
    );
  });
});

describe('layouts whose windows lie over each other', () => {
  const room = { x: 100, y: 50, width: 1000, height: 600 };

  it('single: all have the whole area, less the strip', () => {
    const tiles = (strip: 'none' | 'tabs' | 'list', n: number, scale = 1) =>
      overlaidTiles({ kind: 'single', strip, stripSize: 28 }, n, room, scale)!;
    expect(tiles('none', 3)).toEqual([room, room, room]);
    expect(tiles('tabs', 1)).toEqual([room]);
    expect(tiles('tabs', 3, 2)[2]).toEqual({ ...room, y: 50 + 56, height: 600 - 56 });
    expect(tiles('list', 4)[0]).toEqual({ ...room, y: 50 + 112, height: 600 - 112 });
    // No strip takes over half the height.
    expect(tiles('list', 40)[39]).toEqual({ ...room, y: 350, height: 300 });
  });

  it('cascade: one size, moved by the step or what room there is for each', () => {
    const tiles = (n: number, step: number) =>
      overlaidTiles({ kind: 'cascade', share: 0.7, step }, n, room, 1)!;
    expect(tiles(3, 32)).toEqual([
      { x: 100, y: 50, width: 700, height: 420 },
      { x: 132, y: 82, width: 700, height: 420 },
      { x: 164, y: 114, width: 700, height: 420 },
    ]);
    // 300 px of room in x are enough for nine steps of 33; 180 px in y only for nine of 20.
    expect(tiles(10, 33)[9]).toEqual({ x: 100 + 9 * 33, y: 50 + 9 * 20, width: 700, height: 420 });
    expect(overlaidTiles({ kind: 'cascade', share: 0, step: 9 }, 2, room, 1)![1]).toMatchObject({
      width: 1,
      height: 1,
    });
  });

  it('free gives no tiles, and is drawn in small with as many windows as there are', () => {
    expect(overlaidTiles({ kind: 'free' }, 3, room, 1)).toBeNull();
    for (const kind of LAYOUT_KINDS) {
      const drawn = sampleTiles(LAYOUTS[kind].defaults, 9, room, room, { x: 4, y: 4 }, 0.1);
      expect(drawn).toHaveLength(9);
      for (const { x, y, width, height } of drawn) {
        expect(x >= room.x && x + width <= room.x + room.width).toBe(true);
        expect(y >= room.y && y + height <= room.y + room.height).toBe(true);
      }
    }
  });
});
