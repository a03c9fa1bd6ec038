import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shareLength } from '../geometry/length.ts';
import type { Along } from '../values/snap.ts';
import { alongLength } from './axis.ts';
import { blockOf, typedOn } from './block.ts';
import { numberLabels } from './labels.ts';

const anyLength = fc.integer({ min: 300, max: 8000 });
const anyGap = fc.integer({ min: 0, max: 30 });

/** Placings that together make up a length. */
const WHOLES: Along[][] = [
  [{ start: '1/2' }, { end: '1/2' }],
  [{ start: '1/3' }, { middle: '1/3' }, { end: '1/3' }],
  [{ start: '2/3' }, { end: '1/3' }],
  [{ start: '1/4' }, { middle: '1/2' }, { end: '1/4' }],
  [{ start: 0.4 }, { end: 0.6 }],
  Array.from({ length: 6 }, (_, i) => ({ from: i + 1, to: i + 1, of: 6 })),
  [
    { from: 1, to: 2, of: 8 },
    { from: 3, to: 3, of: 8 },
    { from: 4, to: 8, of: 8 },
  ],
];

describe('placing along a length', () => {
  it('meets with exactly one gap, and covers the length', () => {
    fc.assert(
      fc.property(anyLength, anyGap, fc.constantFrom(...WHOLES), (length, gap, parts) => {
        const spans = parts.map((along) => alongLength(length, gap, along));
        expect(spans[0]!.start).toBe(0);
        expect(spans.at(-1)!.end).toBe(length);
        for (let i = 1; i < spans.length; i++) {
          expect(spans[i]!.start - spans[i - 1]!.end).toBe(gap);
        }
      }),
    );
  });

  it('of equal cells is what sharing the length among them gives', () => {
    fc.assert(
      fc.property(anyLength, anyGap, fc.integer({ min: 1, max: 12 }), (length, gap, of) => {
        const ones = Array.from({ length: of }, () => 1);
        const cells = shareLength(length, ones, ones, gap);
        for (let from = 1; from <= of; from++) {
          for (let to = from; to <= of; to++) {
            expect(alongLength(length, gap, { from, to, of })).toEqual({
              start: cells[from - 1]!.start,
              end: cells[to - 1]!.start + cells[to - 1]!.size,
            });
          }
        }
      }),
    );
  });

  it('is never under a pixel, nor outside', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 40 }),
        fc.integer({ min: 0, max: 60 }),
        fc.constantFrom(...WHOLES.flat()),
        (length, gap, along) => {
          const { start, end } = alongLength(length, gap, along);
          expect(start).toBeGreaterThanOrEqual(0);
          expect(end).toBeGreaterThan(start);
          expect(end).toBeLessThanOrEqual(length);
        },
      ),
    );
  });
});

describe('a typed block', () => {
  const grid = { columns: 8, rows: 6 };

  it('takes letters for columns and digits for rows, in any order', () => {
    expect(blockOf(grid, '')).toBeNull();
    expect(blockOf(grid, 'bd')).toEqual({
      x: { from: 2, to: 4, of: 8 },
      y: 'full',
      isWhole: false,
    });
    expect(blockOf(grid, '2d1b')).toEqual({
      x: { from: 2, to: 4, of: 8 },
      y: { from: 1, to: 2, of: 6 },
      isWhole: true,
    });
    expect(blockOf(grid, '3')).toMatchObject({ x: 'full', y: { from: 3, to: 3 } });
  });

  it('refuses what the grid has not, and a third of a kind', () => {
    expect(typedOn(grid, 'b', 'i')).toBeNull();
    expect(typedOn(grid, 'b', '7')).toBeNull();
    expect(typedOn(grid, 'bd', 'a')).toBeNull();
    expect(typedOn(grid, 'bd1', '6')).toBe('bd16');
  });
});

it('numbers have as many digits as the last one', () => {
  expect(numberLabels(3)).toEqual(['1', '2', '3']);
  expect(numberLabels(12).slice(8)).toEqual(['09', '10', '11', '12']);
  expect(numberLabels(0)).toEqual([]);
});
