import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { askedBox, geometryOf, outerBox } from './box.ts';
import { isBackdrop, kindOf } from './kind.ts';
import { readStruts, reservedOf } from './reserved.ts';
import { isFixed, linkHints, readSizeHints } from './size-hints.ts';

/** WM_NORMAL_HINTS, with its flags by the table of ICCCM 4.1.2.3. */
function property(told: {
  min?: number[];
  max?: number[];
  increment?: number[];
  aspect?: number[];
  base?: number[];
  gravity?: number;
}): number[] {
  const { min, max, increment, aspect, base, gravity } = told;
  const flags =
    (min ? 1 << 4 : 0) |
    (max ? 1 << 5 : 0) |
    (increment ? 1 << 6 : 0) |
    (aspect ? 1 << 7 : 0) |
    (base ? 1 << 8 : 0) |
    (gravity ? 1 << 9 : 0);
  const two = [0, 0];
  return [
    ...[flags, 0, 0, 0, 0],
    ...(min ?? two),
    ...(max ?? two),
    ...(increment ?? two),
    ...(aspect ?? [0, 0, 0, 0]),
    ...(base ?? two),
    gravity ?? 0,
  ];
}

describe('hints of size', () => {
  it('are told of the outer box: steps fit what the border leaves', () => {
    const hints = readSizeHints(property({ min: [20, 10], increment: [7, 13], base: [4, 6] }));
    expect(linkHints(hints, 3)).toEqual({
      min: { width: 26, height: 16 },
      increment: { width: 7, height: 13 },
      base: { width: 10, height: 12 },
    });
  });

  it('take the base for the least size where only that is said, and the other way round', () => {
    expect(linkHints(readSizeHints(property({ base: [30, 20] })), 0)).toEqual({
      min: { width: 30, height: 20 },
    });
    const hints = readSizeHints(property({ min: [30, 20], increment: [5, 5] }));
    expect(linkHints(hints, 0).base).toEqual({ width: 30, height: 20 });
  });

  it('tell an aspect that is one, and none that may vary', () => {
    expect(linkHints(readSizeHints(property({ aspect: [16, 9, 32, 18] })), 2).aspect).toEqual({
      width: 16,
      height: 9,
    });
    expect(linkHints(readSizeHints(property({ aspect: [4, 3, 16, 9] })), 2).aspect).toBeUndefined();
  });

  it('say that a window has one size alone', () => {
    expect(isFixed(readSizeHints(property({ min: [9, 8], max: [9, 8] })))).toBe(true);
    expect(isFixed(readSizeHints(property({ min: [9, 8], max: [9, 9] })))).toBe(false);
  });

  it('leave out what makes no sense, and never fail', () => {
    expect(linkHints(readSizeHints(property({ max: [-5, 0], increment: [0, 3] })), 1)).toEqual({});
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 0xffffffff }), { maxLength: 20 }), (told) => {
        for (const size of Object.values(linkHints(readSizeHints(told), 4)))
          for (const length of Object.values(size as object)) {
            expect(length).toBeGreaterThanOrEqual(0);
            expect(length).toBeLessThanOrEqual(32_767 + 8);
          }
      }),
    );
  });
});

describe('a box', () => {
  it('has its border within, and comes back from where the server has it', () => {
    const side = fc.integer({ min: 1, max: 4_000 });
    const at = fc.integer({ min: -4_000, max: 4_000 });
    fc.assert(
      fc.property(
        fc.record({ x: at, y: at, width: side, height: side }),
        fc.nat(20),
        (rect, border) => {
          const geometry = geometryOf(rect, border);
          expect(outerBox(geometry)).toEqual(rect);
          expect(geometry.width).toBeGreaterThan(0);
          expect(geometry.height).toBeGreaterThan(0);
        },
      ),
    );
  });

  // The reference point of each gravity, in shares of a box: it stays where the window thinks that it is.
  const POINTS: [number, number, number][] = [
    [1, 0, 0],
    [2, 0.5, 0],
    [3, 1, 0],
    [4, 0, 0.5],
    [5, 0.5, 0.5],
    [6, 1, 0.5],
    [7, 0, 1],
    [8, 0.5, 1],
    [9, 1, 1],
  ];
  it.each(POINTS)(
    'that is asked for keeps the reference point of gravity %i',
    (gravity, sx, sy) => {
      const now = { x: 100, y: 50, width: 200, height: 120, border: 4 };
      const wish = { x: 300, y: 260, width: 240, height: 160 };
      const own = 1;
      const box = askedBox(wish, now, gravity, own);
      expect([box.width, box.height]).toEqual([248, 168]);
      const meant = { ...wish, width: 240 + 2 * own, height: 160 + 2 * own };
      expect(box.x + sx * box.width).toBe(meant.x + sx * meant.width);
      expect(box.y + sy * box.height).toBe(meant.y + sy * meant.height);
      // Where only a size is asked for, the point that it has now stays.
      const grown = askedBox({ width: 240 }, now, gravity, own);
      const is = outerBox(now);
      expect(grown.x + sx * grown.width).toBe(is.x + sx * is.width);
      expect(grown.y).toBe(is.y);
    },
  );

  it('that is asked for with static gravity keeps the window within the border where it asks', () => {
    const now = { x: 0, y: 0, width: 10, height: 10, border: 4 };
    const box = askedBox({ x: 300, y: 260 }, now, 10, 1);
    expect([box.x + 4, box.y + 4]).toEqual([301, 261]);
  });
});

describe('the kind of a window', () => {
  it('is the first of its types that is known', () => {
    expect(
      kindOf(['_OTHER_TYPE', '_NET_WM_WINDOW_TYPE_UTILITY', '_NET_WM_WINDOW_TYPE_DOCK'], false),
    ).toBe('utility');
    expect(kindOf([], true)).toBe('dialog');
    expect(kindOf([], false)).toBe('normal');
    expect(kindOf(['_NET_WM_WINDOW_TYPE_NORMAL'], true)).toBe('normal');
    expect(isBackdrop(['_NET_WM_WINDOW_TYPE_DESKTOP'])).toBe(true);
  });
});

describe('what docks keep free', () => {
  /** The same, pixel by pixel: how far in from an edge of a monitor something of a strut lies on it. */
  function counted(
    monitor: { x: number; y: number; width: number; height: number },
    told: readonly number[],
    desktop: { width: number; height: number },
    edge: 'left' | 'right' | 'top' | 'bottom',
  ): number {
    const at = ['left', 'right', 'top', 'bottom'].indexOf(edge);
    const [depth, from, to] = [told[at]!, told[4 + 2 * at]!, told[5 + 2 * at]!];
    let most = 0;
    for (let x = monitor.x; x < monitor.x + monitor.width; x++)
      for (let y = monitor.y; y < monitor.y + monitor.height; y++) {
        const along = edge === 'left' || edge === 'right' ? y : x;
        if (along < from || along > to) continue;
        const isKept = {
          left: x < depth,
          right: x >= desktop.width - depth,
          top: y < depth,
          bottom: y >= desktop.height - depth,
        }[edge];
        const from0 = {
          left: x - monitor.x + 1,
          right: monitor.x + monitor.width - x,
          top: y - monitor.y + 1,
          bottom: monitor.y + monitor.height - y,
        }[edge];
        if (isKept) most = Math.max(most, from0);
      }
    const whole = edge === 'left' || edge === 'right' ? monitor.width : monitor.height;
    return most === whole ? 0 : most;
  }

  it('is what of it lies on a monitor, and nothing where that would be all of it', () => {
    const desktop = { width: 24, height: 16 };
    const monitor = fc
      .record({ x: fc.nat(12), y: fc.nat(8), width: fc.nat(11), height: fc.nat(7) })
      .map(({ x, y, width, height }) => ({ x, y, width: width + 1, height: height + 1 }));
    const told = fc.array(fc.nat(26), { minLength: 12, maxLength: 12 });
    fc.assert(
      fc.property(monitor, told, (rect, numbers) => {
        const reserved = reservedOf(rect, readStruts(numbers), desktop);
        for (const edge of ['left', 'right', 'top', 'bottom'] as const)
          expect(reserved[edge], edge).toBe(counted(rect, numbers, desktop, edge));
      }),
      { numRuns: 200 },
    );
  });

  it('reaches along the whole edge where only the older property says it', () => {
    const reserved = reservedOf({ x: 0, y: 0, width: 100, height: 80 }, readStruts([0, 0, 20, 0]), {
      width: 100,
      height: 80,
    });
    expect(reserved).toEqual({ top: 20, right: 0, bottom: 0, left: 0 });
  });
});
