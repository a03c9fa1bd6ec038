import isEqual from 'fast-deep-equal';
import type { ZoneBoard } from '../model/zone-board.ts';
import type { Arrangement, Session } from '../model/session.ts';
import { withZonesCalled } from '../model/session-names.ts';
import { trackNames } from './zone-board-division.ts';
import { withAdjusted } from './session.ts';

/**
 * The session after boards were edited: windows stay in a zone that has another name now, and tracks moved
 * by key give way where their very weights were edited.
 */
export function onZoneBoardsEdited(
  session: Session,
  before: readonly ZoneBoard[],
  after: readonly ZoneBoard[],
): Session {
  const pairs = before.flatMap((was) => {
    const is = after.find(({ id }) => id === was.id);
    return is && is !== was ? [{ was, is }] : [];
  });
  return pairs.reduce<Session>((now, { was, is }) => {
    const renames = renamesBetween(was, is);
    const edited = (['columns', 'rows'] as const).filter((axis) => !isEqual(was[axis], is[axis]));
    const names = edited.map((axis) => trackNames(was.id)[axis]);
    const called = renames.size > 0 ? withZonesCalled(now, was.id, renames) : now;
    if (names.length === 0) return called;
    return {
      ...called,
      arrangements: Object.fromEntries(
        Object.entries(called.arrangements).map(([key, arrangement]) => [
          key,
          withoutTracks(arrangement, names),
        ]),
      ),
    };
  }, session);
}

/** Zones that cover the same cells at the same place in the order, under another name. */
function renamesBetween(was: ZoneBoard, is: ZoneBoard): ReadonlyMap<string, string> {
  const renames = new Map<string, string>();
  if (was.zones.length !== is.zones.length) return renames;
  was.zones.forEach((zone, i) => {
    const other = is.zones[i]!;
    if (other.name !== zone.name) renames.set(zone.name, other.name);
  });
  // Where zones changed places each keeps its name, and its windows with it.
  return [...renames.values()].some((name) => was.zones.some((zone) => zone.name === name))
    ? new Map()
    : renames;
}

function withoutTracks(arrangement: Arrangement, names: readonly string[]): Arrangement {
  const adjusted = arrangement.adjusted?.board;
  if (!adjusted?.moved) return arrangement;
  const { moved, ...rest } = adjusted;
  const kept = Object.fromEntries(Object.entries(moved).filter(([name]) => !names.includes(name)));
  const some = Object.keys(kept).length > 0;
  return withAdjusted(arrangement, 'board', { ...rest, ...(some && { moved: kept }) });
}
