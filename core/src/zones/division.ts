import type { Rect, Size } from '../geometry/rect.ts';
import type { ZoneBoard } from '../model/zone-board.ts';
import { tracksOf, type Tracks, type TrackWeights } from '../tiling/zone-board.ts';
import type { Axis } from '../values/direction.ts';
import type { LayoutOf } from '../values/layout.ts';
import { assignSeats, seatTiles, type InZones, type Seat, type SharedZone } from './seats.ts';

/** A work area divided by a zone board. */
export interface ZoneDivision {
  board: ZoneBoard;
  tracks: Tracks;
  /** One for each window that has a tile. */
  seats: readonly Seat[];
  /** Zones that several windows share. */
  shared: readonly SharedZone[];
  /** Positions of windows that lie over each other in one zone. */
  piles: readonly (readonly number[])[];
}

/** What a workspace on a monitor remembers of a board. */
export interface ZoneBoardMemory {
  inZones?: Readonly<Record<string, InZones>>;
  moved?: TrackWeights;
}

/** The board a layout means: the one it names, else the first that fits. */
export function zoneBoardMeant(
  { board }: LayoutOf<'board'>,
  all: readonly ZoneBoard[],
  fitting: readonly ZoneBoard[],
): ZoneBoard | null {
  return all.find(({ id }) => id === board) ?? fitting[0] ?? null;
}

/**
 * Gives windows the tiles of their zones. A window that finds all taken, where such are to float, gets none.
 *
 * @param ids tiled windows in their order, with their minimums
 */
export function divideByZoneBoard(
  board: ZoneBoard,
  { whenFull }: LayoutOf<'board'>,
  remembered: ZoneBoardMemory,
  ids: readonly string[],
  minimums: readonly Size[],
  area: Rect,
  gap: Record<Axis, number>,
): { zoned: ZoneDivision; tiles: Rect[]; has: boolean[] } {
  const tracks = tracksOf(board, area, gap, remembered.moved);
  const all = assignSeats(board, ids, remembered.inZones ?? {}, whenFull);
  const has = all.map((seat) => seat !== null);
  const seats = all.filter((seat) => seat !== null);
  const theirs = minimums.filter((_, i) => has[i]);
  const both = { drawn: tracksOf(board, area, gap), tracks };
  const { tiles, ...lying } = seatTiles(board, both, area, gap, seats, theirs, whenFull);
  return { zoned: { board, tracks, seats, ...lying }, tiles, has };
}
