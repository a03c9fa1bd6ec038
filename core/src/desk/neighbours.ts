import { bearing, compareBearings, type Bearing, type Direction } from '../geometry/direction.ts';
import type { PlacedMonitor } from './desk.ts';

/**
 * The monitor that stands in a direction: of those that lie wholly beyond the edge, the nearest that
 * shares part of the edge's span, then the one that shares most; one past a corner only if nothing else
 * is there (the nearest by both distances together). Null at the end of the desk.
 */
export function neighbourOf(
  from: PlacedMonitor,
  direction: Direction,
  monitors: readonly PlacedMonitor[],
): PlacedMonitor | null {
  let best: { monitor: PlacedMonitor; towards: Bearing } | null = null;
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
