// @vitest-environment jsdom
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import '../../testing/view.tsx';
import { zoneLabels } from './zone-labels.ts';

const zone = (x: number, y: number, width: number, height: number, name = 'Zone') => ({
  frame: { x, y, width, height },
  name,
  size: `${width} × ${height}`,
});
/** The test's letters are 7 pixels wide, all of them. */
const LETTER = 7;

/** All that is written, as boxes on whole pixels: the number with its name, and the size. */
function boxesOf(zones: ReturnType<typeof zone>[]) {
  return zoneLabels(zones).flatMap(({ name, size }, i) => [
    ...(name
      ? [
          {
            zone: i,
            left: name.box.x,
            right:
              name.box.x + name.box.width + ((name.text && 7 + name.text.length * LETTER) || 0),
            top: name.box.y,
            bottom: name.box.y + name.box.height,
          },
        ]
      : []),
    ...(size
      ? [
          {
            zone: i,
            left: size.x,
            right: size.x + zones[i]!.size.length * LETTER * 0.88,
            top: size.y - 11,
            bottom: size.y + 3,
          },
        ]
      : []),
  ]);
}

describe('what is written into zones', () => {
  it('lies over nothing else that is written, and within its zone, however zones overlap', () => {
    const anyZone = fc
      .tuple(
        fc.integer({ min: 0, max: 6 }),
        fc.integer({ min: 0, max: 6 }),
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 1, max: 6 }),
        fc.constantFrom('a', 'Middle', 'A name that is long'),
      )
      .map(([x, y, columns, rows, name]) => zone(x * 60, y * 40, columns * 60, rows * 40, name));
    fc.assert(
      fc.property(fc.array(anyZone, { minLength: 1, maxLength: 12 }), (zones) => {
        const boxes = boxesOf(zones);
        boxes.forEach((one, i) => {
          const { frame } = zones[one.zone]!;
          expect(one.top).toBeGreaterThanOrEqual(frame.y - 1);
          expect(one.bottom).toBeLessThanOrEqual(frame.y + frame.height + 1);
          for (const other of boxes.slice(i + 1)) {
            const isApart =
              one.right <= other.left ||
              other.right <= one.left ||
              one.bottom <= other.top ||
              other.bottom <= one.top;
            expect(isApart, JSON.stringify([one, other])).toBe(true);
          }
        });
      }),
      { numRuns: 500 },
    );
  });

  it('has every size, one above the other, where zones end in the same corner', () => {
    const labels = zoneLabels([zone(0, 0, 400, 600), zone(0, 300, 300, 300), zone(0, 0, 200, 600)]);
    const sizes = labels.map(({ size }) => size!.y);
    expect(new Set(sizes).size).toBe(3);
    expect(labels.map(({ name }) => name!.box.y)).toEqual([9, 309, 31]);
  });
});
