import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Rect } from '../geometry/rect.ts';
import { largestEmpty } from './empty-area.ts';

const NONE = { x: 0, y: 0 };
const LEAST = { width: 1, height: 1 };

/** The largest rectangle of a small area by trying every one, pixel by pixel. */
function byTrying(area: Rect, taken: readonly Rect[], gap: { x: number; y: number }): number {
  const isFree = (x: number, y: number) =>
    !taken.some(
      (rect) =>
        x >= rect.x - gap.x &&
        x < rect.x + rect.width + gap.x &&
        y >= rect.y - gap.y &&
        y < rect.y + rect.height + gap.y,
    );
  let most = 0;
  for (let x = area.x; x < area.x + area.width; x++) {
    for (let y = area.y; y < area.y + area.height; y++) {
      let width = area.x + area.width - x;
      for (let down = y; down < area.y + area.height; down++) {
        let free = 0;
        while (free < width && isFree(x + free, down)) free++;
        width = Math.min(width, free);
        most = Math.max(most, width * (down - y + 1));
      }
    }
  }
  return most;
}

const small = (least: number, most: number) => fc.integer({ min: least, max: most });
const anyRect = fc.record({
  x: small(-2, 12),
  y: small(-2, 10),
  width: small(1, 8),
  height: small(1, 8),
});

describe('the largest empty place', () => {
  it('is what trying every rectangle finds, and touches nothing', () => {
    fc.assert(
      fc.property(
        fc.record({ x: small(0, 3), y: small(0, 3), width: small(1, 11), height: small(1, 9) }),
        fc.array(anyRect, { maxLength: 6 }),
        fc.record({ x: small(0, 2), y: small(0, 2) }),
        (area, taken, gap) => {
          const found = largestEmpty(area, taken, gap, LEAST);
          expect(found ? found.width * found.height : 0).toBe(byTrying(area, taken, gap));
          if (!found) return;
          expect(found.x).toBeGreaterThanOrEqual(area.x);
          expect(found.y).toBeGreaterThanOrEqual(area.y);
          expect(found.x + found.width).toBeLessThanOrEqual(area.x + area.width);
          expect(found.y + found.height).toBeLessThanOrEqual(area.y + area.height);
          for (const rect of taken) {
            const across =
              found.x >= rect.x + rect.width + gap.x || rect.x >= found.x + found.width + gap.x;
            const down =
              found.y >= rect.y + rect.height + gap.y || rect.y >= found.y + found.height + gap.y;
            expect(across || down).toBe(true);
          }
        },
      ),
      { numRuns: 500 },
    );
  });

  it('of several alike is the one farthest up, then farthest left; none is under the least', () => {
    const area = { x: 0, y: 0, width: 9, height: 4 };
    const between = [{ x: 4, y: 0, width: 1, height: 4 }];
    expect(largestEmpty(area, between, NONE, LEAST)).toEqual({ x: 0, y: 0, width: 4, height: 4 });
    expect(largestEmpty(area, between, NONE, { width: 5, height: 1 })).toBeNull();
    expect(largestEmpty(area, [area], NONE, LEAST)).toBeNull();
  });
});
