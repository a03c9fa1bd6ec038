import { meet, span, type Rect, type Size } from '../geometry/rect.ts';
import { round } from '../geometry/round.ts';
import { axisOf, isForward, type Direction, type Axis } from '../values/direction.ts';

type DropPosition = Pick<Rect, 'x' | 'y'>;

/**
 * Lines on which a monitor's start, along an axis, stands well with another: edges that meet or are in
 * line, and middles.
 */
function linesWith(own: Rect, other: Rect, axis: Axis): number[] {
  const a = span(own, axis);
  const b = span(other, axis);
  return [
    b.start - a.length,
    b.start,
    b.end - a.length,
    b.end,
    b.start + Math.floor((b.length - a.length) / 2),
  ];
}

/**
 * A monitor one step further in a direction, in pixels. It stops at the first line on which its edges meet
 * those of another, or are in line with them, if that lies on the way or at most `near` beyond.
 *
 * @param near 0 for a step that stops at nothing
 */
export function steppedTo(
  own: Rect,
  direction: Direction,
  step: number,
  others: readonly Rect[],
  near: number,
): DropPosition {
  const axis = axisOf(direction);
  const sign = isForward(direction) ? 1 : -1;
  const from = own[axis];
  const reach = step + near;
  const stops = others
    .flatMap((other) => linesWith(own, other, axis))
    .map((line) => (line - from) * sign)
    .filter((by) => by > 0 && by <= reach);
  const by = near > 0 && stops.length > 0 ? Math.min(...stops) : step;
  return { x: own.x, y: own.y, [axis]: from + by * sign };
}

/**
 * A monitor at a side of another one, edge to edge: in the middle of that side, or where it would overlap a third
 * there, in line with its beginning or its end; in the middle all the same where each is taken.
 *
 * @param others all other monitors, the one it is put beside among them
 */
export function besideOf(
  own: Rect,
  other: Rect,
  side: Direction,
  others: readonly Rect[],
): DropPosition {
  const across = axisOf(side);
  const along: Axis = across === 'x' ? 'y' : 'x';
  const [a, b, c] = [span(own, across), span(other, across), span(own, along)];
  const d = span(other, along);
  const at = isForward(side) ? b.end : b.start - a.length;
  const places = [d.start + Math.floor((d.length - c.length) / 2), d.start, d.end - c.length].map(
    (start): DropPosition => ({ x: at, y: at, [along]: start }),
  );
  const isFree = (place: DropPosition) => !others.some((each) => meet({ ...own, ...place }, each));
  return places.find(isFree) ?? places[0]!;
}

/** A monitor dropped somewhere: in each axis it meets the nearest line that is at most `near` away. */
export function droppedAt(
  own: Rect,
  to: DropPosition,
  others: readonly Rect[],
  near: number,
): DropPosition {
  const settled = (axis: Axis) => {
    let best = to[axis];
    let least = near + 1;
    for (const line of others.flatMap((other) => linesWith(own, other, axis))) {
      const away = Math.abs(line - to[axis]);
      if (away < least) [best, least] = [line, away];
    }
    return best;
  };
  return { x: settled('x'), y: settled('y') };
}

/** Which point along the side of two monitors is lined up. */
export const ANCHORS = ['start', 'middle', 'end'] as const;
export type Anchor = (typeof ANCHORS)[number];

function anchorAt({ start, length }: { start: number; length: number }, anchor: Anchor): number {
  return anchor === 'start' ? start : anchor === 'end' ? start + length : start + length / 2;
}

/** The axis along the side at which two monitors stand: y for one beside the other, x for one above. */
export function sideAxis(own: Rect, other: Rect): Axis {
  const gap = (axis: Axis) => {
    const a = span(own, axis);
    const b = span(other, axis);
    return Math.max(a.start - b.end, b.start - a.end);
  };
  return gap('x') >= gap('y') ? 'y' : 'x';
}

/** How far a monitor stands off another along their side as in the room, in millimetres of the other. */
export function offsetMm(own: Rect, other: Rect, millimetres: Size, anchor: Anchor): number {
  const axis = sideAxis(own, other);
  const pixels = anchorAt(span(own, axis), anchor) - anchorAt(span(other, axis), anchor);
  return pixels / pixelsPerMm(other, millimetres, axis);
}

/**
 * Where a monitor stands when it is off another along their side by so many millimetres, as measured in
 * the room: at that point, what crosses the side goes straight on. Pixels are those of the other one.
 */
export function linedUp(
  own: Rect,
  other: Rect,
  millimetres: Size,
  anchor: Anchor,
  byMm: number,
): DropPosition {
  const axis = sideAxis(own, other);
  const to = anchorAt(span(other, axis), anchor) + byMm * pixelsPerMm(other, millimetres, axis);
  const start = to - (anchorAt(span(own, axis), anchor) - own[axis]);
  return { x: own.x, y: own.y, [axis]: round(start) };
}

function pixelsPerMm(rect: Rect, millimetres: Size, axis: Axis): number {
  return axis === 'x' ? rect.width / millimetres.width : rect.height / millimetres.height;
}
