import isEqual from 'fast-deep-equal';
import { deskInForce } from '../desk/desk.ts';
import type { Profile } from '../model/profile.ts';
import type { Session } from '../model/session.ts';
import { ownEntry } from '../values/own-entry.ts';
import type { InZones } from '../zones/seats.ts';
import { arrange } from './arrange.ts';
import { withSeats } from './commands/zone-board-here.ts';
import { arrangementOf, occupiedWorkspaces } from './session.ts';

/**
 * The session with every zone that a window took written down, so that it keeps the zone whatever opens or
 * closes after it. One that found every zone taken waits for the next that is empty.
 */
export function withSeatsKept(session: Session, profile: Profile): Session {
  if (profile.boards.length === 0) return session;
  const desk = deskInForce(profile, session);
  let next = session;
  for (const { workspace, monitor } of occupiedWorkspaces(session.windows)) {
    const { zoned, tiled } = arrange({ session: next, profile, desk }, workspace, monitor);
    if (!zoned) continue;
    const put = ownEntry(arrangementOf(next, workspace, monitor).inZones, zoned.board.id) ?? {};
    const taken: Record<string, InZones> = {};
    zoned.seats.forEach(({ isOver, ...seat }, i) => {
      const { id } = tiled[i]!;
      if (!isOver && ownEntry(put, id) !== seat && !isEqual(ownEntry(put, id), seat))
        taken[id] = seat;
    });
    if (Object.keys(taken).length > 0)
      next = withSeats(next, { workspace, monitor }, zoned.board.id, taken);
  }
  return next;
}
