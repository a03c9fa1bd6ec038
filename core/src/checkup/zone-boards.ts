import type { DeskInForce } from '../desk/desk.ts';
import type { Profile } from '../model/profile.ts';
import { zoneBoardFits, fittingZoneBoards } from '../zones/fit.ts';

export type ZoneBoardFinding =
  /** A board that is for no monitor of any desk. */
  | {
      kind: 'board-nowhere';
      board: string;
      /** Why it is not for the primary monitor of the first desk. */
      because: string;
    }
  /** A board without zones that stands before all others that fit a monitor, though one of those has zones. */
  | {
      kind: 'board-empty';
      board: string;
      /** Names of the monitors that get it, each once. */
      monitors: string[];
    };

type ZoneBoardNowhere = Extract<ZoneBoardFinding, { kind: 'board-nowhere' }>;

/** The boards that no monitor of the given desks gets, nor can be given to pick from. */
export function unusedZoneBoards(
  profile: Profile,
  desks: readonly DeskInForce[],
): ZoneBoardNowhere[] {
  const used = new Set(
    desks.flatMap((desk) =>
      desk.monitors.flatMap((monitor) => fittingZoneBoards(profile, desk, monitor)),
    ),
  );
  const [desk] = desks;
  return profile.boards.flatMap((board): ZoneBoardNowhere[] => {
    if (used.has(board) || !desk) return [];
    const [fit] = zoneBoardFits({ boards: [board] }, desk, desk.monitors[0]!);
    return [{ kind: 'board-nowhere', board: board.name ?? board.id, because: fit!.because }];
  });
}

/** The boards without zones that monitors get, in the place of others that have zones. */
export function emptyZoneBoards(
  profile: Profile,
  desks: readonly DeskInForce[],
): Extract<ZoneBoardFinding, { kind: 'board-empty' }>[] {
  const monitorsOf = new Map<string, Set<string>>();
  for (const desk of desks) {
    for (const monitor of desk.monitors) {
      const [first, ...others] = fittingZoneBoards(profile, desk, monitor);
      if (!first || first.zones.length > 0) continue;
      if (others.every(({ zones }) => zones.length === 0)) continue;
      monitorsOf.set(first.id, (monitorsOf.get(first.id) ?? new Set()).add(monitor.name));
    }
  }
  return profile.boards.flatMap(({ id, name = id }) => {
    const monitors = monitorsOf.get(id);
    return monitors ? [{ kind: 'board-empty' as const, board: name, monitors: [...monitors] }] : [];
  });
}
