import { bearing, compareBearings, type Bearing } from '../geometry/bearing.ts';
import { DIRECTIONS, type Direction } from '../values/direction.ts';
import type { DeskInForce } from './desk.ts';
import type { DeskMonitor } from './monitors.ts';
import { fromTheLeft } from './roles.ts';

/**
 * The monitor that stands in a direction: of those that lie wholly beyond the edge, the nearest that
 * shares part of the edge's span, then the one that shares most; one past a corner only if nothing else
 * is there (the nearest by both distances together). Null at the end of the desk.
 */
export function neighbourOf(
  from: DeskMonitor,
  direction: Direction,
  monitors: readonly DeskMonitor[],
): DeskMonitor | null {
  let best: { monitor: DeskMonitor; towards: Bearing } | null = null;
  for (const monitor of monitors) {
    if (monitor.id === from.id) continue;
    const towards = bearing(from, monitor, direction);
    if (towards.beyond < 1) continue;
    if (!best || comparePastCorners(towards, best.towards) < 0) best = { monitor, towards };
  }
  return best?.monitor ?? null;
}

function comparePastCorners(a: Bearing, b: Bearing): number {
  if (a.overlap > 0 || b.overlap > 0) return compareBearings(a, b);
  return a.distance - a.overlap - (b.distance - b.overlap) || a.distance - b.distance;
}

const OPPOSITE: Record<Direction, Direction> = {
  left: 'right',
  right: 'left',
  up: 'down',
  down: 'up',
};

/**
 * Where a direction leads from a monitor: to its neighbour; past the last one, where that is set, to the
 * far end of the row it stands in. Null where it leads nowhere.
 */
export function monitorTowards(
  { monitors, wraps }: Pick<DeskInForce, 'monitors' | 'wraps'>,
  from: DeskMonitor,
  direction: Direction,
): DeskMonitor | null {
  const neighbour = neighbourOf(from, direction, monitors);
  if (neighbour || !wraps) return neighbour;
  const end = farEnd(monitors, from, direction);
  return end === from ? null : end;
}

/** The last monitor in the opposite direction: where a direction comes in again. It may be the same one. */
export function farEnd(
  monitors: readonly DeskMonitor[],
  from: DeskMonitor,
  direction: Direction,
): DeskMonitor {
  const seen = new Set([from]);
  let end = from;
  for (;;) {
    const next = neighbourOf(end, OPPOSITE[direction], monitors);
    if (!next || seen.has(next)) break;
    seen.add(next);
    end = next;
  }
  return end;
}

/** The next (1) or previous (−1) monitor, round all of them from the left: it reaches every one. */
export function monitorRound(
  { monitors }: Pick<DeskInForce, 'monitors'>,
  from: string,
  step: 1 | -1,
): DeskMonitor {
  const ring = fromTheLeft(monitors);
  const at = ring.findIndex(({ id }) => id === from);
  return ring[(at + step + ring.length) % ring.length]!;
}

/** The monitors that direction keys do not lead to, beginning at the primary. */
export function unreachedMonitors(desk: Pick<DeskInForce, 'monitors' | 'wraps'>): DeskMonitor[] {
  const [primary] = desk.monitors;
  if (!primary || desk.monitors.length === 1) return [];
  const reached = new Set<DeskMonitor>();
  const waiting = [primary];
  for (let from = waiting.pop(); from; from = waiting.pop()) {
    for (const direction of DIRECTIONS) {
      const to = monitorTowards(desk, from, direction);
      if (!to || reached.has(to)) continue;
      reached.add(to);
      waiting.push(to);
    }
  }
  return desk.monitors.filter((monitor) => !reached.has(monitor));
}
