import type { Rect, Size } from '../geometry/rect.ts';
import { round, toPixels } from '../geometry/round.ts';
import type { WindowInput } from '../model/session.ts';
import type { Axis } from '../values/direction.ts';

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

/**
 * The length along an axis that a window takes when its edge is to come from where it is to another place: the
 * farthest on the way that it allows by its minimum, maximum and increments. Where an increment is longer than the
 * way, one increment. As it is, where it allows none on that side.
 *
 * @param way lengths in physical pixels: as it is, as it is wanted, and the most there is room for
 */
export function lengthTowards(
  window: WindowInput,
  axis: Axis,
  { now, wanted, room }: { now: number; wanted: number; room: number },
  scale: number,
): number {
  const side = axis === 'x' ? 'width' : 'height';
  const most = Math.min(room, window.max ? inPixels(window.max, scale)[side] : room);
  const step = window.increment ? inPixels(window.increment, scale)[side] : 1;
  const base = window.increment && window.base ? toPixels(window.base[side], scale) : 0;
  const least = Math.max(minimumOf(window, scale)[side], base);
  const down = (length: number) => base + Math.floor((length - base) / step) * step;
  const up = (length: number) => base + Math.ceil((length - base) / step) * step;
  if (wanted > now) {
    const first = up(Math.max(now + 1, least));
    const to = Math.max(first, down(Math.min(wanted, most)));
    return to <= most ? to : now;
  }
  const first = down(Math.min(now - 1, most));
  const to = Math.min(first, up(Math.max(wanted, least)));
  return to >= least ? to : now;
}

/** The largest size within another one that has a window's aspect, `now` where that is not allowed; the other size itself for a window of any aspect. */
export function inItsShape(window: WindowInput, size: Size, now: Size, scale: number): Size {
  if (window.aspect === undefined) return size;
  return largestAllowed(window, size, scale) ?? now;
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
