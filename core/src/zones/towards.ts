import { bearing, compareBearings, type Bearing, type Direction } from '../geometry/direction.ts';
import type { Rect } from '../geometry/rect.ts';
import type { Board } from '../profile/board.ts';
import { rangeOf, rangeRect, type Tracks } from './board.ts';

/** The zone that lies next in a direction: wholly or mostly beyond the edge, in line first, then the nearest. */
export function zoneTowards(
  board: Board,
  tracks: Tracks,
  area: Rect,
  from: readonly string[],
  direction: Direction,
): string | null {
  const range = rangeOf(board, from);
  if (!range) return null;
  const own = rangeRect(tracks, range, area);
  let best: { name: string; towards: Bearing } | null = null;
  for (const zone of board.zones) {
    if (from.includes(zone.name)) continue;
    const towards = bearing(own, rangeRect(tracks, zone, area), direction);
    if (towards.beyond <= 0.5) continue;
    if (!best || compareBearings(towards, best.towards) < 0) best = { name: zone.name, towards };
  }
  return best?.name ?? null;
}
