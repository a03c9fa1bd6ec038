import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shareLength } from '../geometry/length.ts';
import type { Rect, Size } from '../geometry/rect.ts';
import { DIRECTIONS } from '../values/direction.ts';
import { moveBoundary } from './boundary.ts';
import {
  flatten,
  minimumsCanBeMet,
  rectsFor,
  solve,
  solveInto,
  tilesOf,
  type FlatTree,
  type Gap,
} from './solve.ts';
import { split, weightsOf, withWeights, type Tree } from './tree.ts';

/** Any tree of up to a few dozen windows, with its leaves numbered in order. */
const shape = fc.letrec<{ node: null | ShapeSplit }>((tie) => ({
  node: fc.oneof(
    { depthSize: 'small', withCrossShrink: true },
    fc.constant(null),
    fc.record({
      axis: fc.constantFrom('x' as const, 'y' as const),
      parts: fc.array(fc.tuple(fc.double({ min: 0.05, max: 20, noNaN: true }), tie('node')), {
        minLength: 2,
        maxLength: 5,
      }),
    }),
  ),
})).node;
interface ShapeSplit {
  axis: 'x' | 'y';
  parts: [number, null | ShapeSplit][];
}

function numbered(root: null | ShapeSplit): { tree: Tree; leaves: number } {
  let leaves = 0;
  let splits = 0;
  const build = (node: null | ShapeSplit): Tree => {
    if (!node) return leaves++;
    const name = `s${splits++}`;
    const children = node.parts.map(([, child]) => build(child));
    return split(
      name,
      node.axis,
      children,
      node.parts.map(([weight]) => weight),
    );
  };
  const tree = build(root);
  return { tree, leaves };
}

const situation = fc.record({
  shape,
  area: fc.record({
    x: fc.integer({ min: -4000, max: 4000 }),
    y: fc.integer({ min: -4000, max: 4000 }),
    width: fc.integer({ min: 200, max: 8000 }),
    height: fc.integer({ min: 200, max: 8000 }),
  }),
  gap: fc.record({ x: fc.nat(40), y: fc.nat(40) }),
  minimums: fc.array(
    fc.record({
      width: fc.integer({ min: 1, max: 500 }),
      height: fc.integer({ min: 1, max: 500 }),
    }),
    { maxLength: 60 },
  ),
});

function solved(tree: Tree, area: Rect, gap: Gap, minimums: Size[]) {
  const flat = flatten(tree, minimums, gap);
  const rects = rectsFor(flat);
  const crowded = solveInto(flat, area, rects);
  return { flat, rects, crowded, tiles: tilesOf(flat, rects) };
}

/** The definition, node by node, without the flat arrays: what the solver must agree with. */
function byDefinition(tree: Tree, area: Rect, gap: Gap, flat: FlatTree): Rect[] {
  const tiles: Rect[] = [];
  const visit = (node: Tree, index: number, rect: Rect) => {
    if (typeof node === 'number') {
      tiles[node] = rect;
      return;
    }
    const from = flat.firstChild[index]!;
    const minimums = node.children.map((_, i) =>
      node.axis === 'x' ? flat.minimumWidths[from + i]! : flat.minimumHeights[from + i]!,
    );
    const length = node.axis === 'x' ? rect.width : rect.height;
    shareLength(length, node.weights, minimums, gap[node.axis]).forEach(({ start, size }, i) =>
      visit(
        node.children[i]!,
        from + i,
        node.axis === 'x'
          ? { ...rect, x: rect.x + start, width: size }
          : { ...rect, y: rect.y + start, height: size },
      ),
    );
  };
  visit(tree, 0, area);
  return tiles;
}

describe('the split tree solver', () => {
  it('agrees with sharing each length by definition', () => {
    fc.assert(
      fc.property(situation, ({ shape, area, gap, minimums }) => {
        const { tree } = numbered(shape);
        const { flat, tiles } = solved(tree, area, gap, minimums);
        expect(tiles).toEqual(byDefinition(tree, area, gap, flat));
      }),
      { numRuns: 500 },
    );
  });

  it('meets every minimum whenever the minimums can be met', () => {
    fc.assert(
      fc.property(situation, ({ shape, area, gap, minimums }) => {
        const { tree } = numbered(shape);
        const { flat, tiles } = solved(tree, area, gap, minimums);
        fc.pre(minimumsCanBeMet(flat, area));
        tiles.forEach((tile, i) => {
          expect(tile.width).toBeGreaterThanOrEqual(minimums[i]?.width ?? 1);
          expect(tile.height).toBeGreaterThanOrEqual(minimums[i]?.height ?? 1);
        });
      }),
    );
  });

  it('gives no size under a pixel in areas too small for their windows', () => {
    fc.assert(
      fc.property(
        shape,
        fc.integer({ min: 1, max: 12 }),
        fc.integer({ min: 1, max: 12 }),
        (s, w, h) => {
          const area = { x: 3, y: 5, width: w, height: h };
          const { tiles } = solved(numbered(s).tree, area, { x: 7, y: 7 }, []);
          for (const tile of tiles) {
            expect(tile.width).toBeGreaterThanOrEqual(1);
            expect(tile.height).toBeGreaterThanOrEqual(1);
            expect(tile.x).toBeGreaterThanOrEqual(3);
            expect(tile.x + tile.width).toBeLessThanOrEqual(3 + w);
            expect(tile.y + tile.height).toBeLessThanOrEqual(5 + h);
          }
        },
      ),
    );
  });

  it('tells when there are fewer pixels than parts', () => {
    const columns = split('columns', 'x', [0, 1, 2]);
    expect(solved(columns, { x: 0, y: 0, width: 2, height: 9 }, { x: 1, y: 1 }, []).crowded).toBe(
      1,
    );
    expect(solved(columns, { x: 0, y: 0, width: 3, height: 9 }, { x: 1, y: 1 }, []).crowded).toBe(
      0,
    );
  });

  it('adds up the minimums of a split with full gaps along it, and the largest across', () => {
    const tree = split('a', 'x', [0, split('b', 'y', [1, 2])]);
    const minimums = [
      { width: 100, height: 700 },
      { width: 50, height: 200 },
      { width: 80, height: 300 },
    ];
    const { flat } = solved(tree, { x: 0, y: 0, width: 10, height: 10 }, { x: 10, y: 4 }, minimums);
    expect([flat.minimumWidths[0], flat.minimumHeights[0]]).toEqual([190, 700]);
  });
});

describe('moving a boundary', () => {
  const area: Rect = { x: 0, y: 0, width: 1000, height: 600 };
  const gap = { x: 10, y: 10 };

  it('moves the boundary of the nearest split with a part beyond the edge', () => {
    const tree = split('outer', 'x', [0, split('inner', 'y', [1, 2])]);
    const { flat, rects } = solved(tree, area, gap, []);
    expect(moveBoundary(flat, rects, 1, 'left', 40)).toMatchObject({ split: 'outer', pixels: 40 });
    expect(moveBoundary(flat, rects, 1, 'down', 40)).toMatchObject({ split: 'inner', pixels: 40 });
    expect(moveBoundary(flat, rects, 1, 'up', 40)).toBeNull();
    expect(moveBoundary(flat, rects, 1, 'right', 40)).toBeNull();
  });

  it('stops at the other part’s minimum, and leaves a part that is under it as it is', () => {
    const tree = split('a', 'x', [0, 1]);
    const needs = (width: number) => [
      { width: 1, height: 1 },
      { width, height: 1 },
    ];
    const wide = solved(tree, area, gap, needs(480));
    expect(moveBoundary(wide.flat, wide.rects, 0, 'right', 40)?.pixels).toBe(15);
    const over = solved(tree, area, gap, needs(2000));
    expect(moveBoundary(over.flat, over.rects, 0, 'right', 40)?.pixels).toBe(0);
  });

  it('there and back by what it really moved gives the same tiles, and only two parts change', () => {
    fc.assert(
      fc.property(
        situation,
        fc.nat(50),
        fc.constantFrom(...DIRECTIONS),
        fc.integer({ min: -300, max: 300 }),
        ({ shape, area, gap, minimums }, leaf, direction, step) => {
          const { tree, leaves } = numbered(shape);
          const position = leaf % leaves;
          const first = solved(tree, area, gap, minimums);
          const out = moveBoundary(first.flat, first.rects, position, direction, step);
          // A part under its minimum may be widened but not made narrower again: undo takes that back.
          fc.pre(out !== null && minimumsCanBeMet(first.flat, area));
          const movedTree = withWeights(tree, { [out!.split]: out!.weights });
          const second = solved(movedTree, area, gap, minimums);
          const back = moveBoundary(second.flat, second.rects, position, direction, -out!.pixels)!;
          expect(back.pixels).toBe(out!.pixels === 0 ? 0 : -out!.pixels);
          const third = solve(
            withWeights(movedTree, { [back.split]: back.weights }),
            area,
            gap,
            minimums,
          );
          expect(third).toEqual(first.tiles);
        },
      ),
      { numRuns: 400 },
    );
  });

  it('keeps pixel sizes through weights exactly', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 4000 }), { minLength: 2, maxLength: 30 }),
        (sizes) => {
          const length = sizes.reduce((sum, size) => sum + size, 0);
          const shared = shareLength(length, weightsOf(sizes), Array(sizes.length).fill(1), 0);
          expect(shared.map(({ size }) => size)).toEqual(sizes);
        },
      ),
    );
  });
});

it('minimums can be met in an area of exactly their size, and in none a pixel less either way', () => {
  const tree = split('s', 'x', [0, 1]);
  const minimums = [
    { width: 30, height: 20 },
    { width: 40, height: 50 },
  ];
  const flat = flatten(tree, minimums, { x: 10, y: 0 });
  expect(minimumsCanBeMet(flat, { width: 80, height: 50 })).toBe(true);
  expect(minimumsCanBeMet(flat, { width: 79, height: 50 })).toBe(false);
  expect(minimumsCanBeMet(flat, { width: 80, height: 49 })).toBe(false);
});
