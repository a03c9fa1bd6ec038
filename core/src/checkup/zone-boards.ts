import type { DeskInForce } from '../desk/desk.ts';
import type { Profile } from '../model/profile.ts';
import { zoneBoardFits, fittingZoneBoards } from '../zones/fit.ts';

/** A board that is for no monitor of any desk. */
export interface ZoneBoardFinding {
  kind: 'board-nowhere';
  board: string;
  /** Why it is not for the primary monitor of the first desk. */
  because: string;
}

/** The boards that no monitor of the given desks gets, nor can be given to pick from. */
export function unusedZoneBoards(
  profile: Profile,
  desks: readonly DeskInForce[],
): ZoneBoardFinding[] {
  const used = new Set(
    desks.flatMap((desk) =>
      desk.monitors.flatMap((monitor) => fittingZoneBoards(profile, desk, monitor)),
    ),
  );
  const [desk] = desks;
  return profile.boards.flatMap((board): ZoneBoardFinding[] => {
    if (used.has(board) || !desk) return [];
    const [fit] = zoneBoardFits({ boards: [board] }, desk, desk.monitors[0]!);
    return [{ kind: 'board-nowhere', board: board.name ?? board.id, because: fit!.because }];
  });
}
