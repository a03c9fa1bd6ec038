import { bearing, compareBearings, type Bearing } from '../geometry/bearing.ts';
import type { Rect } from '../geometry/rect.ts';
import type { ZoneBoard } from '../model/zone-board.ts';
import { commonCells, rangeOf, rangeRect, type Tracks } from '../tiling/zone-board.ts';
import type { Direction } from '../values/direction.ts';

/**
 * The zone that lies next in a direction: wholly or mostly beyond the edge, in line first, then the nearest.
 * One that lies partly over the window's own cells comes after all that do not.
 */
export function zoneTowards(
  board: ZoneBoard,
  tracks: Tracks,
  area: Rect,
  from: readonly string[],
  direction: Direction,
): string | null {
  const range = rangeOf(board, from);
  if (!range) return null;
  const own = rangeRect(tracks, range, area);
  let best: { name: string; towards: Bearing; isOver: boolean } | null = null;
  for (const zone of board.zones) {
    const towards = bearing(own, rangeRect(tracks, zone, area), direction);
    if (towards.beyond <= 0.5) continue;
    const isOver = commonCells(range, zone) !== null;
    const order = best
      ? Number(isOver) - Number(best.isOver) || compareBearings(towards, best.towards)
      : -1;
    if (order < 0) best = { name: zone.name, towards, isOver };
  }
  return best?.name ?? null;
}
