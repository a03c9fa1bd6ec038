import type { Rect, Size } from '../geometry/rect.ts';
import { round, toPixels } from '../geometry/round.ts';
import type { WindowInput } from '../model/session.ts';

const NONE: Size = { width: 1, height: 1 };

/** The size a window that cannot be resized has, in logical pixels. */
function fixedSize(window: WindowInput): Size | undefined {
  return window.resizable === false ? (window.preferred ?? window.min ?? window.max) : undefined;
}

/** A window's least size on a monitor, in physical pixels, at least 1 × 1. */
export function minimumOf(window: WindowInput, scale: number): Size {
  const minimum = fixedSize(window) ?? window.min;
  return minimum ? inPixels(minimum, scale) : NONE;
}

function inPixels(size: Size, scale: number): Size {
  return {
    width: Math.max(1, toPixels(size.width, scale)),
    height: Math.max(1, toPixels(size.height, scale)),
  };
}

/**
 * The largest size that a window allows within some room: its maximum first, then its aspect, then
 * whole increments down from there, counted from its base. Null when no allowed size fits.
 *
 * @param room physical pixels
 */
export function largestAllowed(window: WindowInput, room: Size, scale: number): Size | null {
  const fixed = fixedSize(window);
  const minimum = minimumOf(window, scale);
  const most = fixed ?? window.max;
  let { width, height } = room;
  if (most) {
    const maximum = inPixels(most, scale);
    width = Math.min(width, maximum.width);
    height = Math.min(height, maximum.height);
  }
  if (window.aspect !== undefined) {
    const aspect =
      typeof window.aspect === 'number'
        ? window.aspect
        : window.aspect.width / window.aspect.height;
    if (width > height * aspect) width = round(height * aspect);
    else height = round(width / aspect);
  }
  if (window.increment && !fixed) {
    const step = inPixels(window.increment, scale);
    const base = window.base ?? { width: 0, height: 0 };
    width = stepped(width, toPixels(base.width, scale), step.width);
    height = stepped(height, toPixels(base.height, scale), step.height);
  }
  const fits = width >= minimum.width && height >= minimum.height && width >= 1 && height >= 1;
  return fits ? { width, height } : null;
}

/** base + the most whole steps that fit; 0 when not even the base fits. */
function stepped(length: number, base: number, step: number): number {
  return length < base ? 0 : base + Math.floor((length - base) / step) * step;
}

/** How a window sits in its tile: the largest size it allows, in the middle; the whole tile if none fits. */
export function fitInto(window: WindowInput, tile: Rect, scale: number): Rect {
  const size = largestAllowed(window, tile, scale);
  if (!size) return tile;
  const { width, height } = size;
  return {
    x: tile.x + Math.floor((tile.width - width) / 2),
    y: tile.y + Math.floor((tile.height - height) / 2),
    width,
    height,
  };
}
