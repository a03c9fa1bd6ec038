import { type Direction, axisOf, type Axis, isForward } from '../values/direction.ts';
import { type Rect, span, sharedLength } from './rect.ts';
/** How one rectangle lies towards another, looking in a direction. */
export interface Bearing {
  /** From the edge looked over to the near edge of the other, in pixels; 0 when it begins before that edge. */
  distance: number;
  /** Length that both have in common across the direction; 0 or less when they pass each other by. */
  overlap: number;
  /** The part of the other's length, 0 to 1, that lies beyond the edge. */
  beyond: number;
}

export function bearing(from: Rect, to: Rect, direction: Direction): Bearing {
  const axis = axisOf(direction);
  const across: Axis = axis === 'x' ? 'y' : 'x';
  const a = span(from, axis);
  const b = span(to, axis);
  const gap = isForward(direction) ? b.start - a.end : a.start - b.end;
  return {
    distance: Math.max(0, gap),
    overlap: sharedLength(span(from, across), span(to, across)),
    beyond: Math.min(1, Math.max(0, (gap + b.length) / b.length)),
  };
}

/**
 * The order in which things beyond an edge are preferred: those that overlap across the direction come
 * first, then the nearest, then the largest overlap. Negative when a comes before b, 0 when alike.
 */
export function compareBearings(a: Bearing, b: Bearing): number {
  const inLine = Number(b.overlap > 0) - Number(a.overlap > 0);
  return inLine || a.distance - b.distance || b.overlap - a.overlap;
}
