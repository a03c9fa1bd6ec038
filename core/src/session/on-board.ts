import type { Board } from '../profile/board.ts';
import type { OnBoard } from '../zones/divided.ts';
import type { Arrangement } from './schema.ts';

/** What an arrangement remembers of a board: which window is where, and tracks moved by key. */
export function onBoardOf({ inZones, adjusted }: Arrangement, { id }: Board): OnBoard {
  const weights = adjusted?.board?.weights;
  const { columns, rows } = trackNames(id);
  const moved = {
    ...(weights?.[columns] && { columns: weights[columns] }),
    ...(weights?.[rows] && { rows: weights[rows] }),
  };
  return { ...(inZones?.[id] && { inZones: inZones[id] }), moved };
}

/** The names under which the moved tracks of a board are kept. */
export function trackNames(board: string): { columns: string; rows: string } {
  return { columns: `${board}.columns`, rows: `${board}.rows` };
}
