import type { ZoneBoard } from '../model/zone-board.ts';
import type { Arrangement } from '../model/session.ts';
import type { LayoutOf } from '../values/layout.ts';
import { ownEntry } from '../values/own-entry.ts';
import { zoneBoardMeant, divideByZoneBoard, type ZoneBoardMemory } from '../zones/division.ts';
import type { Division } from './room.ts';

/** What is there before windows have tiles. */
type Undivided = Division['arranged'];

/** A zone is what it is, however small: whether a window's minimum is met is told, and moves no window. */
export function divideByBoard(
  arrangement: Arrangement,
  layout: LayoutOf<'board'>,
  bare: Undivided,
): Division['arranged'] {
  const { tiled, minimums, boards, area, gap } = bare;
  const board = zoneBoardMeant(layout, boards.all, boards.fitting);
  if (!board) return { ...bare, tiles: null };
  const ids = tiled.map(({ id }) => id);
  const { zoned, tiles, has } = divideByZoneBoard(
    board,
    layout,
    zoneBoardMemory(arrangement, board),
    ids,
    minimums,
    area,
    gap,
  );
  const unseated = tiled.filter((_, i) => !has[i]);
  return {
    ...bare,
    tiled: tiled.filter((_, i) => has[i]),
    minimums: minimums.filter((_, i) => has[i]),
    unseated,
    afloat: unseated,
    tiles,
    zoned,
  };
}

/** What an arrangement remembers of a board: which window is where, and tracks moved by key. */
function zoneBoardMemory({ inZones, adjusted }: Arrangement, { id }: ZoneBoard): ZoneBoardMemory {
  const bySplit = adjusted?.board?.moved;
  const { columns, rows } = trackNames(id);
  const moved = {
    ...(bySplit?.[columns] && { columns: bySplit[columns] }),
    ...(bySplit?.[rows] && { rows: bySplit[rows] }),
  };
  const seat = ownEntry(inZones, id);
  return { ...(seat && { inZones: seat }), moved };
}

/** The names under which the moved tracks of a board are kept. */
export function trackNames(board: string): { columns: string; rows: string } {
  return { columns: `${board}.columns`, rows: `${board}.rows` };
}
