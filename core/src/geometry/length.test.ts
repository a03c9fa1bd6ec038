import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gapThatFits, shareLength } from './length.ts';

const part = fc.record({
  weight: fc.double({ min: 1e-3, max: 1e3, noNaN: true }),
  minimum: fc.integer({ min: 1, max: 400 }),
});
const parts = fc.array(part, { minLength: 1, maxLength: 40 });
const share = (length: number, list: { weight: number; minimum: number }[], gap: number) =>
  shareLength(
    length,
    list.map(({ weight }) => weight),
    list.map(({ minimum }) => minimum),
    gap,
  );

describe('sharing a length', () => {
  it('gives the worked columns of the built-in panel', () => {
    const shared = shareLength(2856, Array(7).fill(1), Array(7).fill(1), 20);
    expect(shared.map(({ size }) => size)).toEqual([391, 391, 391, 390, 391, 391, 391]);
    expect(shared.map(({ start }) => start)).toEqual([0, 411, 822, 1233, 1643, 2054, 2465]);
  });

  it('fixes all parts that fall under their minimum at once, then shares the rest again', () => {
    // 100 : 100 : 800 of 1000: the first two need 300 each, the third has what is left.
    expect(share(1000, [pt(1, 300), pt(1, 300), pt(8, 1)], 0).map(({ size }) => size)).toEqual([
      300, 300, 400,
    ]);
    // After the first is fixed at 500, the others share 500 at 1 : 4, and the second falls under 150.
    expect(share(1000, [pt(1, 500), pt(1, 150), pt(4, 1)], 0).map(({ size }) => size)).toEqual([
      500, 150, 350,
    ]);
  });

  it('ignores minimums that do not fit together', () => {
    expect(share(100, [pt(1, 90), pt(1, 90)], 0).map(({ size }) => size)).toEqual([50, 50]);
  });

  it('shrinks a gap that would leave less than a pixel for each part', () => {
    expect(gapThatFits(100, 5, 10)).toBe(10);
    expect(gapThatFits(20, 5, 10)).toBe(3);
    expect(gapThatFits(5, 5, 10)).toBe(0);
    expect(gapThatFits(3, 5, 10)).toBe(0);
  });

  it('gives a share of 0 its minimum', () => {
    expect(share(1000, [pt(0, 120), pt(1, 1)], 10).map(({ size }) => size)).toEqual([120, 870]);
  });

  it('covers the length exactly with parts and gaps, each at least a pixel', () => {
    fc.assert(
      fc.property(parts, fc.integer({ min: 0, max: 5000 }), fc.nat(200), (list, extra, gap) => {
        const length = list.length + extra;
        const shared = share(length, list, gap);
        const realGap = gapThatFits(length, list.length, gap);
        let end = -realGap;
        for (const { start, size } of shared) {
          expect(start).toBe(end + realGap);
          expect(size).toBeGreaterThanOrEqual(1);
          end = start + size;
        }
        expect(end).toBe(length);
      }),
    );
  });

  it('keeps every part at its minimum or more whenever the minimums fit', () => {
    fc.assert(
      fc.property(parts, fc.nat(4000), fc.nat(50), (list, extra, gap) => {
        const needed = list.reduce((sum, { minimum }) => sum + minimum, 0);
        const length = needed + gap * (list.length - 1) + extra;
        share(length, list, gap).forEach(({ size }, i) =>
          expect(size).toBeGreaterThanOrEqual(list[i]!.minimum),
        );
      }),
    );
  });

  it('never drifts: each boundary is within a pixel of its proportional place', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 1, max: 9, noNaN: true }), { minLength: 1, maxLength: 60 }),
        fc.integer({ min: 1000, max: 9000 }),
        (weights, length) => {
          const total = weights.reduce((sum, weight) => sum + weight, 0);
          let sum = 0;
          shareLength(length, weights, Array(weights.length).fill(1), 0).forEach((shared, i) => {
            sum += weights[i]!;
            const exact = (length * sum) / total;
            expect(Math.abs(shared.start + shared.size - exact)).toBeLessThan(1);
          });
        },
      ),
    );
  });

  it('keeps every part a pixel and inside when there are more parts than pixels', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 30 }),
        fc.integer({ min: 1, max: 90 }),
        (length, more) => {
          const ones = Array<number>(length + more).fill(1);
          const shared = shareLength(length, ones, ones, 9);
          expect(shared.every(({ size }) => size === 1)).toBe(true);
          expect(shared.every(({ start }) => start >= 0 && start < length)).toBe(true);
        },
      ),
    );
  });
});

function pt(weight: number, minimum: number) {
  return { weight, minimum };
}
