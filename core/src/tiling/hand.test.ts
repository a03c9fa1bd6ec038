import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { HandTree } from '../model/hand-tree.ts';
import {
  completed,
  dividedBy,
  evened,
  flattened,
  leavesOf,
  nested,
  renamed,
  shapeOfLeaf,
  shownTree,
  takenOver,
  turnedAround,
  withoutLeaf,
  withSizes,
} from './hand.ts';
import { solve } from './solve.ts';

const AREA = { width: 1600, height: 900 };
const ab = flattened({ axis: 'x', weights: [1, 1], children: ['a', 'b'] });

/** Trees as hands make them: one window after another divides an earlier one. */
const grown = fc
  .array(fc.record({ beside: fc.nat(1000), axis: fc.constantFrom('x' as const, 'y' as const) }), {
    maxLength: 12,
  })
  .map((steps) =>
    steps.reduce<HandTree>(
      (tree, { beside, axis }, i) => dividedBy(tree, `w${beside % (i + 1)}`, `w${i + 1}`, axis),
      'w0',
    ),
  );

describe('a tree made by hand', () => {
  it('has the new window after the one it divides, half and half', () => {
    expect(nested(dividedBy(ab, 'b', 'c', 'y'))).toEqual({
      axis: 'x',
      weights: [1, 1],
      children: ['a', { axis: 'y', weights: [1, 1], children: ['b', 'c'] }],
    });
    expect(dividedBy(ab, 'b', 'c', 'y')).toEqual([
      { axis: 'x', weights: [1, 1], children: ['a', 1] },
      { axis: 'y', weights: [1, 1], children: ['b', 'c'] },
    ]);
  });

  it('closes up when a leaf goes, and is itself where none does', () => {
    const tree = dividedBy(ab, 'b', 'c', 'y');
    expect(withoutLeaf(tree, 'c')).toEqual(ab);
    expect(withoutLeaf(tree, 'z')).toBe(tree);
    expect(withoutLeaf('a', 'a')).toBeUndefined();
  });

  it('loses every leaf once, in any order, and nothing else', () => {
    fc.assert(
      fc.property(grown, fc.infiniteStream(fc.nat(1000)), (tree, picks) => {
        let left: HandTree | undefined = tree;
        let ids = leavesOf(tree);
        while (left !== undefined) {
          const gone: string = ids[picks.next().value! % ids.length]!;
          left = withoutLeaf(left, gone);
          ids = ids.filter((id) => id !== gone);
          expect(left === undefined ? [] : leavesOf(left)).toEqual(ids);
        }
      }),
    );
  });

  it('is solved without the windows that are away, each of the others in the order of its leaves', () => {
    fc.assert(
      fc.property(grown, fc.array(fc.boolean(), { minLength: 13, maxLength: 13 }), (tree, away) => {
        const ids = leavesOf(tree).filter((_, i) => !away[i]);
        const shown = shownTree(tree, ids);
        if (ids.length === 0) {
          expect(shown).toBeUndefined();
          return;
        }
        const tiles = solve(shown!, { x: 0, y: 0, ...AREA }, { x: 0, y: 0 }, []);
        const covered = tiles.reduce((sum, { width, height }) => sum + width * height, 0);
        expect(tiles).toHaveLength(ids.length);
        expect(covered).toBe(AREA.width * AREA.height);
      }),
    );
  });

  it('gets a leaf for a missing window along the longer side of the one before it', () => {
    expect(completed(undefined, ['a', 'b', 'c'], AREA)).toEqual(dividedBy(ab, 'b', 'c', 'y'));
    expect(shapeOfLeaf(dividedBy(ab, 'b', 'c', 'y'), 'c', AREA)).toEqual({
      width: 800,
      height: 450,
    });
  });

  it('is taken over from a layout with other names at its leaves, and the same shape', () => {
    const tree = { name: 'n', axis: 'x' as const, weights: [3, 0], children: [1, 0] };
    expect(nested(takenOver(tree, ['a', 'b']))).toEqual({
      axis: 'x',
      weights: [3, 1e-9],
      children: ['b', 'a'],
    });
    expect(
      renamed(
        ab,
        new Map([
          ['a', 'b'],
          ['b', 'a'],
        ]),
      ),
    ).toEqual([{ axis: 'x', weights: [1, 1], children: ['b', 'a'] }]);
  });

  it('turns the nearest split, and evens all of them', () => {
    const tree = dividedBy([{ axis: 'x', weights: [3, 1], children: ['a', 'b'] }], 'b', 'c', 'y');
    expect(turnedAround(tree, 'c')).toMatchObject([{ axis: 'x' }, { axis: 'x' }]);
    expect(turnedAround(tree, 'a')).toMatchObject([{ axis: 'y' }, { axis: 'y' }]);
    expect(turnedAround('a', 'a')).toBeUndefined();
    expect(evened(tree)).toMatchObject([{ weights: [1, 1] }, { weights: [1, 1] }]);
  });

  it('keeps the sizes of shown parts, and the proportion of those away to them', () => {
    const three: HandTree = [{ axis: 'x', weights: [1, 1, 2], children: ['a', 'b', 'c'] }];
    expect(withSizes(three, 'hand', [300, 100], (id) => id !== 'c')).toMatchObject([
      { weights: [1.5, 0.5, 2] },
    ]);
  });

  it('is written no deeper however many windows divide each other, and is the same tree', () => {
    const depth = (value: unknown): number =>
      typeof value === 'object' && value !== null
        ? 1 + Math.max(0, ...Object.values(value).map(depth))
        : 0;
    const deep = Array.from({ length: 200 }, (_, i) => i).reduce<HandTree>(
      (tree, i) => dividedBy(tree, `w${i}`, `w${i + 1}`, i % 2 === 0 ? 'x' : 'y'),
      'w0',
    );
    expect(depth(deep)).toBe(3);
    fc.assert(
      fc.property(grown, (tree) => {
        const again: HandTree = JSON.parse(JSON.stringify(tree));
        expect(flattened(nested(again))).toEqual(tree);
        expect(depth(tree)).toBeLessThanOrEqual(3);
      }),
    );
  });
});
