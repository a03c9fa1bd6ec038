import isEqual from 'fast-deep-equal';
import type { ZoneBoard } from '../model/zone-board.ts';
import type { Arrangement, Session, SessionWindow } from '../model/session.ts';
import { ownEntry } from '../values/own-entry.ts';
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
    if (renames.size === 0 && edited.length === 0) return now;
    const names = edited.map((axis) => trackNames(was.id)[axis]);
    return {
      ...now,
      windows: now.windows.map((window) => withZonesRenamed(window, was.id, renames)),
      arrangements: Object.fromEntries(
        Object.entries(now.arrangements).map(([key, arrangement]) => [
          key,
          withSeatsRenamed(withoutTracks(arrangement, names), was.id, renames),
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

function renamed(zones: readonly string[], renames: ReadonlyMap<string, string>): string[] {
  return zones.map((zone) => renames.get(zone) ?? zone);
}

function withZonesRenamed(
  window: SessionWindow,
  board: string,
  renames: ReadonlyMap<string, string>,
): SessionWindow {
  const { placing } = window;
  if (placing?.zone?.board !== board || renames.size === 0) return window;
  const zone = { ...placing.zone, zones: renamed(placing.zone.zones, renames) };
  return { ...window, placing: { ...placing, zone } };
}

function withSeatsRenamed(
  arrangement: Arrangement,
  board: string,
  renames: ReadonlyMap<string, string>,
): Arrangement {
  const seats = ownEntry(arrangement.inZones, board);
  if (!seats || renames.size === 0) return arrangement;
  const next = Object.fromEntries(
    Object.entries(seats).map(([id, { zones, before }]) => [
      id,
      { zones: renamed(zones, renames), ...(before && { before: renamed(before, renames) }) },
    ]),
  );
  return { ...arrangement, inZones: { ...arrangement.inZones, [board]: next } };
}

function withoutTracks(arrangement: Arrangement, names: readonly string[]): Arrangement {
  const adjusted = arrangement.adjusted?.board;
  if (!adjusted?.moved || names.length === 0) return arrangement;
  const { moved, ...rest } = adjusted;
  const kept = Object.fromEntries(Object.entries(moved).filter(([name]) => !names.includes(name)));
  const some = Object.keys(kept).length > 0;
  return withAdjusted(arrangement, 'board', { ...rest, ...(some && { moved: kept }) });
}
