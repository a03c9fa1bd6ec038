import { span, type Edges, type Rect } from '../geometry/rect.ts';
import { toPixels } from '../geometry/round.ts';
import { axisOf, DIRECTIONS, isForward, type Direction, type Axis } from '../values/direction.ts';
import type { DeskInForce } from './desk.ts';
import { neighbourOf } from './neighbours.ts';
import type { DeskMonitor } from './monitors.ts';
import { sideAxis } from './monitor-positions.ts';

interface Point {
  x: number;
  y: number;
}

/** Where a direction leads from a monitor: over which point of its edge, to which of the other's. */
export interface Crossing {
  from: DeskMonitor;
  to: DeskMonitor;
  direction: Direction;
  leaves: Point;
  enters: Point;
}

/** Where each direction leads from each monitor. Ways there and back lie beside each other. */
export function crossings({ monitors }: Pick<DeskInForce, 'monitors'>): Crossing[] {
  return monitors.flatMap((from) =>
    DIRECTIONS.flatMap((direction): Crossing[] => {
      const to = neighbourOf(from, direction, monitors);
      return to ? [{ from, to, direction, ...edgePoints(from, to, direction) }] : [];
    }),
  );
}

/** A part of the length that both have in common, from its start; ways back lie further along. */
const WAY_OUT = 0.42;
const WAY_BACK = 0.58;

function edgePoints(from: Rect, to: Rect, direction: Direction): { leaves: Point; enters: Point } {
  const axis = axisOf(direction);
  const across: Axis = axis === 'x' ? 'y' : 'x';
  const [a, b] = [span(from, across), span(to, across)];
  const start = Math.max(a.start, b.start);
  const length = Math.min(a.end, b.end) - start;
  const along = start + length * (isForward(direction) ? WAY_OUT : WAY_BACK);
  // Past a corner each end stays on its own side.
  const within = ({ start: least, end: most }: typeof a) => Math.min(most, Math.max(least, along));
  const point = (at: number, beside: number): Point =>
    axis === 'x' ? { x: at, y: beside } : { x: beside, y: at };
  const [own, other] = [span(from, axis), span(to, axis)];
  return isForward(direction)
    ? { leaves: point(own.end, within(a)), enters: point(other.start, within(b)) }
    : { leaves: point(own.start, within(a)), enters: point(other.end, within(b)) };
}

/** A length on the desk, along an axis. */
interface Length {
  axis: Axis;
  from: number;
  to: number;
}

/** How a monitor stands to another one beside it. */
export interface PositionMeasure extends Length {
  /** Off: between their starts along the side. Gap: between their edges across it. */
  kind: 'off' | 'gap';
  other: DeskMonitor;
}

/** The monitor that another one stands to: the nearest in any direction, the primary where there are two. */
export function besideMonitor(
  own: DeskMonitor,
  monitors: readonly DeskMonitor[],
): DeskMonitor | null {
  const near = DIRECTIONS.flatMap((direction) => {
    const other = neighbourOf(own, direction, monitors);
    return other ? [{ other, gap: gapTo(own, other) }] : [];
  });
  const rank = (monitor: DeskMonitor) => monitors.indexOf(monitor);
  near.sort((a, b) => a.gap - b.gap || rank(a.other) - rank(b.other));
  return near[0]?.other ?? null;
}

function gapTo(own: Rect, other: Rect): number {
  const axis = sideAxis(own, other) === 'x' ? 'y' : 'x';
  const [a, b] = [span(own, axis), span(other, axis)];
  return Math.max(a.start - b.end, b.start - a.end);
}

/** How far a monitor stands off the one beside it: along their side, and across it where they do not meet. */
export function positionMeasures(
  own: DeskMonitor,
  monitors: readonly DeskMonitor[],
): PositionMeasure[] {
  const other = besideMonitor(own, monitors);
  if (!other) return [];
  const axis = sideAxis(own, other);
  const across: Axis = axis === 'x' ? 'y' : 'x';
  const [a, b] = [span(own, axis), span(other, axis)];
  const [c, d] = [span(own, across), span(other, across)];
  const off: PositionMeasure[] =
    a.start === b.start ? [] : [{ kind: 'off', axis, ...ends(b.start, a.start), other }];
  const isBefore = c.end <= d.start;
  const gap = isBefore ? ends(c.end, d.start) : ends(d.end, c.start);
  const apart = Math.max(c.start - d.end, d.start - c.end) > 0;
  return [...off, ...(apart ? [{ kind: 'gap' as const, axis: across, ...gap, other }] : [])];
}

function ends(a: number, b: number) {
  return { from: Math.min(a, b), to: Math.max(a, b) };
}

/** A reserved edge of a monitor as a length across it; `logical` is its figure in the profile. */
export interface ReservedMeasure extends Length {
  edge: keyof Edges;
  logical: number;
}

export function reservedMeasures({ x, y, width, height, scale, reserved }: DeskMonitor) {
  const px = (edge: keyof Edges) => toPixels(reserved[edge], scale);
  const all: ReservedMeasure[] = [
    { edge: 'top', axis: 'y', from: y, to: y + px('top'), logical: reserved.top },
    {
      edge: 'bottom',
      axis: 'y',
      from: y + height - px('bottom'),
      to: y + height,
      logical: reserved.bottom,
    },
    { edge: 'left', axis: 'x', from: x, to: x + px('left'), logical: reserved.left },
    {
      edge: 'right',
      axis: 'x',
      from: x + width - px('right'),
      to: x + width,
      logical: reserved.right,
    },
  ];
  return all.filter(({ logical }) => logical > 0);
}
