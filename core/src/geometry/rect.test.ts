import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  boundsOf,
  centredIn,
  intersection,
  keptInside,
  meet,
  sharedLength,
  span,
  type Rect,
} from './rect.ts';

const anyRect: fc.Arbitrary<Rect> = fc.record({
  x: fc.integer({ min: -6, max: 6 }),
  y: fc.integer({ min: -6, max: 6 }),
  width: fc.integer({ min: 1, max: 7 }),
  height: fc.integer({ min: 1, max: 7 }),
});

/** The pixels of a rectangle, one by one. */
function pixels({ x, y, width, height }: Rect): Set<string> {
  const all = new Set<string>();
  for (let across = x; across < x + width; across++)
    for (let down = y; down < y + height; down++) all.add(`${across} ${down}`);
  return all;
}

describe('rectangles, pixel by pixel', () => {
  it('meet in what they have in common', () => {
    fc.assert(
      fc.property(anyRect, anyRect, (a, b) => {
        const common = [...pixels(a)].filter((pixel) => pixels(b).has(pixel));
        expect(meet(a, b)).toBe(common.length > 0);
        const both = intersection(a, b);
        expect(both ? [...pixels(both)].sort() : []).toEqual(common.sort());
        if (common.length === 0) return;
        expect(sharedLength(span(a, 'x'), span(b, 'x'))).toBe(both!.width);
        expect(sharedLength(span(a, 'y'), span(b, 'y'))).toBe(both!.height);
      }),
    );
  });

  it('are apart by what is missing for them to touch', () => {
    fc.assert(
      fc.property(anyRect, fc.nat(9), (a, apart) => {
        const beside = { ...a, x: a.x + a.width + apart };
        expect(sharedLength(span(a, 'x'), span(beside, 'x'))).toBe(0 - apart);
      }),
    );
  });

  it('are bounded by the smallest one that has them all', () => {
    fc.assert(
      fc.property(fc.array(anyRect, { maxLength: 4 }), (rects) => {
        const bounds = boundsOf(rects);
        if (rects.length === 0) {
          expect(bounds).toBeNull();
          return;
        }
        const all = new Set(rects.flatMap((rect) => [...pixels(rect)]));
        const within = pixels(bounds!);
        expect([...all].every((pixel) => within.has(pixel))).toBe(true);
        // Without any of its four outer lines it would not have them all.
        const { x, y, width, height } = bounds!;
        const smaller = [
          { x: x + 1, y, width: width - 1, height },
          { x, y, width: width - 1, height },
          { x, y: y + 1, width, height: height - 1 },
          { x, y, width, height: height - 1 },
        ];
        for (const less of smaller)
          expect([...all].every((pixel) => pixels(less).has(pixel))).toBe(false);
      }),
    );
  });

  it('are moved inside an area by the least there is, or to its corner where they are too large', () => {
    fc.assert(
      fc.property(anyRect, anyRect, (area, rect) => {
        const moved = keptInside(area, rect);
        expect([moved.width, moved.height]).toEqual([rect.width, rect.height]);
        for (const [at, length] of [
          ['x', 'width'],
          ['y', 'height'],
        ] as const) {
          const places = Array.from(
            { length: Math.max(1, area[length] - rect[length] + 1) },
            (_, i) => area[at] + i,
          );
          const nearest = Math.min(...places.map((place) => Math.abs(place - rect[at])));
          expect(places).toContain(moved[at]);
          expect(Math.abs(moved[at] - rect[at])).toBe(nearest);
        }
      }),
    );
  });

  it('are in the middle with as much on one side as on the other, or a pixel less before', () => {
    fc.assert(
      fc.property(anyRect, anyRect, (around, { width, height }) => {
        const inside = centredIn(around, { width, height });
        const before = inside.x - around.x;
        expect([before, before + 1]).toContain(around.width - width - before);
        const above = inside.y - around.y;
        expect([above, above + 1]).toContain(around.height - height - above);
      }),
    );
  });
});
