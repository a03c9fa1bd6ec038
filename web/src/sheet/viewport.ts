import { boundsOf, type Rect } from '@sorn/core/geometry';

/** How the sheet shows the joint desktop: screen = desk × scale + offset. */
export interface Viewport {
  scale: number;
  x: number;
  y: number;
}

export interface SheetSize {
  width: number;
  height: number;
}

/** Room around the desk for tabs, dimension lines and the scale bar, in screen pixels. */
const MARGIN = { top: 78, right: 62, bottom: 58, left: 40 };
/** A low sheet has room for tabs alone. */
const LOW_MARGIN = { top: 56, right: 24, bottom: 34, left: 24 };
const LOW = 420;
/** The title block in the lower right corner. */
export const TITLE_BLOCK: SheetSize = { width: 324, height: 104 };

/** Where the block would take most of the sheet, it is left out: what it says is said elsewhere too. */
export function hasRoomForTitleBlock({ width, height }: SheetSize): boolean {
  return width >= 1.5 * TITLE_BLOCK.width && height >= 4 * TITLE_BLOCK.height;
}

/** Room that the sheet keeps free beside a monitor, in screen pixels. */
export interface RoomBeside {
  monitor: string;
  width: number;
}

/** The side of a rectangle on which no other lies, the left one first; the left one where others lie on both. */
export function sideBeside(rect: Rect, others: readonly Rect[]): 'left' | 'right' {
  const level = others.filter(
    (other) => other.y < rect.y + rect.height && other.y + other.height > rect.y,
  );
  const isFree = (side: 'left' | 'right') =>
    level.every((other) => (side === 'left' ? other.x >= rect.x : other.x <= rect.x));
  return isFree('left') || !isFree('right') ? 'left' : 'right';
}

/**
 * Fits rectangles as `fitted` does, with room for something beside one of them, on the side where none of the
 * others lies.
 *
 * @param width of that room, in screen pixels
 */
export function fittedBeside(
  rects: readonly Rect[],
  sheet: SheetSize,
  beside: Rect,
  width: number,
): Viewport {
  const plain = fitted(rects, sheet);
  const frame = onSheet(plain, beside);
  const side = sideBeside(beside, rects);
  const has = side === 'left' ? frame.x : sheet.width - frame.x - frame.width;
  if (has >= width) return plain;
  const fit = fitted(rects, { ...sheet, width: sheet.width - width });
  return side === 'left' ? { ...fit, x: fit.x + width } : fit;
}

/**
 * Fits rectangles into the sheet at the largest scale, in the middle; above the title block where they
 * would otherwise lie under it.
 *
 * @param isBare true for a sheet without a title block
 */
export function fitted(rects: readonly Rect[], sheet: SheetSize, isBare = false): Viewport {
  const whole = fit(rects, sheet, 0);
  if (isBare) return whole;
  const isUnderBlock = rects.some((rect) => {
    const right = (rect.x + rect.width) * whole.scale + whole.x;
    const bottom = (rect.y + rect.height) * whole.scale + whole.y;
    return (
      right > sheet.width - TITLE_BLOCK.width && bottom + 34 > sheet.height - TITLE_BLOCK.height
    );
  });
  return isUnderBlock ? fit(rects, sheet, TITLE_BLOCK.height - 12) : whole;
}

function fit(rects: readonly Rect[], sheet: SheetSize, below: number): Viewport {
  const bounds = boundsOf(rects) ?? { x: 0, y: 0, width: 1, height: 1 };
  const margin = sheet.height < LOW ? LOW_MARGIN : MARGIN;
  const width = Math.max(50, sheet.width - margin.left - margin.right);
  const height = Math.max(50, sheet.height - margin.top - margin.bottom - below);
  const scale = Math.min(width / bounds.width, height / bounds.height);
  return {
    scale,
    x: margin.left + (width - bounds.width * scale) / 2 - bounds.x * scale,
    y: margin.top + (height - bounds.height * scale) / 2 - bounds.y * scale,
  };
}

/** A rectangle of the desk as it lies on the sheet, in screen pixels. */
export function onSheet(view: Viewport, rect: Rect): Rect {
  return {
    x: rect.x * view.scale + view.x,
    y: rect.y * view.scale + view.y,
    width: rect.width * view.scale,
    height: rect.height * view.scale,
  };
}

/** A length for a scale bar: 1, 2 or 5 times a power of ten desk pixels, not over the given screen length. */
export function scaleBarLength(scale: number, mostScreenPixels: number): number {
  const most = mostScreenPixels / scale;
  const power = 10 ** Math.floor(Math.log10(most));
  const times = most / power;
  return power * (times >= 5 ? 5 : times >= 2 ? 2 : 1);
}
