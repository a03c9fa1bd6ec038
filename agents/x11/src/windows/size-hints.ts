import type { LinkHints } from '@sorn/link';

/** What WM_NORMAL_HINTS says (ICCCM 4.1.2.3), of the size within the border. */
export interface SizeHints {
  min?: Size;
  max?: Size;
  increment?: Size;
  base?: Size;
  /** Width to height: the least and the greatest. */
  aspect?: { least: Size; greatest: Size };
  /** Which corner or edge of the window its position is about; 1 is its upper left corner. */
  gravity: number;
}
interface Size {
  width: number;
  height: number;
}

const FLAGS = { min: 16, max: 32, increment: 64, aspect: 128, base: 256, gravity: 512 } as const;
const NORTH_WEST = 1;
/** No window of X is larger. */
const LARGEST = 32_767;

/** Reads the property. Of sizes that make no sense nothing is taken. @param told its numbers, 15 or 18 of them */
export function readSizeHints(told: readonly number[]): SizeHints {
  const flags = told[0] ?? 0;
  const has = (flag: keyof typeof FLAGS) => (flags & FLAGS[flag]) !== 0;
  const size = (at: number, least: number): Size | undefined => {
    const [width = 0, height = 0] = [told[at], told[at + 1]].map((each) => (each ?? 0) | 0);
    const fits = width >= least && height >= least && width <= LARGEST && height <= LARGEST;
    return fits ? { width, height } : undefined;
  };
  const of = (flag: keyof typeof FLAGS, at: number, least: number) => {
    const value = has(flag) ? size(at, least) : undefined;
    return value && { [flag]: value };
  };
  const least = has('aspect') ? size(11, 1) : undefined;
  const greatest = has('aspect') ? size(13, 1) : undefined;
  return {
    ...of('min', 5, 0),
    ...of('max', 7, 1),
    ...of('increment', 9, 1),
    ...of('base', 15, 0),
    ...(least && greatest && { aspect: { least, greatest } }),
    gravity: (has('gravity') && told[17]) || NORTH_WEST,
  };
}

/** True where a window has one size alone. */
export function isFixed({ min, max }: SizeHints): boolean {
  return (
    min !== undefined && max !== undefined && min.width === max.width && min.height === max.height
  );
}

/**
 * The same as the link tells it, of the outer box. Where a window says no least size its base is one, and the other way
 * round (ICCCM). Of an aspect that may vary nothing is told: the window keeps to it by itself.
 *
 * @param border the width of the border, in pixels
 */
export function linkHints(hints: SizeHints, border: number): LinkHints {
  const least = hints.min ?? hints.base;
  const base = hints.base ?? hints.min;
  const outer = ({ width, height }: Size, smallest = 0) => ({
    width: Math.max(smallest, width + 2 * border),
    height: Math.max(smallest, height + 2 * border),
  });
  const { max, increment, aspect } = hints;
  const isOne =
    aspect &&
    aspect.least.width * aspect.greatest.height === aspect.greatest.width * aspect.least.height;
  return {
    ...(least && { min: outer(least, 1) }),
    // One side alone may be bound: the other then says the largest that there is.
    ...(max && { max: outer(max) }),
    ...(increment && { increment, base: outer(base ?? { width: 0, height: 0 }) }),
    ...(isOne && { aspect: aspect.least }),
  };
}
