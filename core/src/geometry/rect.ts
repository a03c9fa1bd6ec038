import type { Axis } from '../values/direction.ts';
/** A rectangle in whole physical pixels of the joint desktop; x grows right, y grows down. */
export interface Rect {
  x: number;
  y: number;
  width: number;
  height: number;
}

export interface Size {
  width: number;
  height: number;
}

/** Widths of the four sides of a frame, in pixels. */
export interface Edges {
  top: number;
  right: number;
  bottom: number;
  left: number;
}

/** Where a rectangle begins, ends and how long it is along one axis. */
export interface Span {
  start: number;
  end: number;
  length: number;
}

export function span(rect: Rect, axis: Axis): Span {
  return axis === 'x'
    ? { start: rect.x, end: rect.x + rect.width, length: rect.width }
    : { start: rect.y, end: rect.y + rect.height, length: rect.height };
}

/** How much two spans have in common; negative when they are apart, by the distance between them. */
export function sharedLength(a: Span, b: Span): number {
  return Math.min(a.end, b.end) - Math.max(a.start, b.start);
}

export function sameRect(a: Rect, b: Rect): boolean {
  return a.x === b.x && a.y === b.y && a.width === b.width && a.height === b.height;
}

/** True when two rectangles have at least a pixel in common. */
export function meet(a: Rect, b: Rect): boolean {
  return a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;
}

/** What two rectangles have in common; null where that is nothing. */
export function intersection(a: Rect, b: Rect): Rect | null {
  if (!meet(a, b)) return null;
  const x = Math.max(a.x, b.x);
  const y = Math.max(a.y, b.y);
  return {
    x,
    y,
    width: Math.min(a.x + a.width, b.x + b.width) - x,
    height: Math.min(a.y + a.height, b.y + b.height) - y,
  };
}

/** The smallest rectangle around all the given ones; null for none. */
export function boundsOf(rects: readonly Rect[]): Rect | null {
  const first = rects[0];
  if (!first) return null;
  let { x, y } = first;
  let right = x + first.width;
  let bottom = y + first.height;
  for (const rect of rects) {
    x = Math.min(x, rect.x);
    y = Math.min(y, rect.y);
    right = Math.max(right, rect.x + rect.width);
    bottom = Math.max(bottom, rect.y + rect.height);
  }
  return { x, y, width: right - x, height: bottom - y };
}

/** The rectangle of the given size whose middle is the middle of `around`, to the pixel above left. */
export function centredIn(around: Rect, size: Size): Rect {
  return {
    x: around.x + Math.floor((around.width - size.width) / 2),
    y: around.y + Math.floor((around.height - size.height) / 2),
    ...size,
  };
}

/**
 * Moves a rectangle the least that brings it inside the area. One too large for the area keeps its size
 * and starts at the area's left or top, so that its title stays in reach.
 */
export function keptInside(area: Rect, rect: Rect): Rect {
  const along = (start: number, length: number, from: number, room: number) =>
    Math.max(from, Math.min(start, from + room - length));
  return {
    ...rect,
    x: along(rect.x, rect.width, area.x, area.width),
    y: along(rect.y, rect.height, area.y, area.height),
  };
}
