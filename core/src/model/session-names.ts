import { ownEntry } from '../values/own-entry.ts';
import type { Arrangement, LastLineup, Session, UndoStep, WindowInput } from './session.ts';
import type { Snap } from './session-snap.ts';

/** How a desk stands, as a session or the beginning of a trial keeps it. */
type Standing = Pick<
  Session,
  | 'shown'
  | 'shownBefore'
  | 'arrangements'
  | 'together'
  | 'lineups'
  | 'workspacesMade'
  | 'workspacesClosed'
  | 'workspacesPut'
> & {
  windows: readonly WindowInput[];
  past?: readonly UndoStep[];
  future?: readonly UndoStep[];
};

/** What of a window, open or in a step of undo, names workspaces and zones. */
type Held = Pick<WindowInput, 'workspace' | 'placing' | 'untiled' | 'pocketedFrom'>;

/** A session in which a workspace has another id: whatever was on it is on it, now and in every step of undo. */
export function withWorkspaceCalled<S extends Standing>(session: S, from: string, to: string): S {
  const called = (id: string) => (id === from ? to : id);
  const onIt = <T extends { workspace?: string }>(value: T): T =>
    value.workspace === from ? { ...value, workspace: to } : value;
  const byId = <T extends { id: string }>(list: readonly T[]): T[] =>
    list.map((each) => (each.id === from ? { ...each, id: to } : each));
  const shown = (record: Record<string, string>) =>
    Object.fromEntries(Object.entries(record).map(([monitor, id]) => [monitor, called(id)]));
  const arrangements = <T>(record: Record<string, T>) =>
    Object.fromEntries(
      Object.entries(record).map(([key, value]) => {
        const [workspace = '', ...monitor] = key.split('/');
        return [[called(workspace), ...monitor].join('/'), value];
      }),
    );
  const held = <T extends Held>(window: T): T => {
    const { pocketedFrom } = window;
    return { ...onIt(window), ...(pocketedFrom && { pocketedFrom: onIt(pocketedFrom) }) };
  };
  /** The lists of workspaces that a session and each of its steps have. */
  const lists = <T extends Pick<Session, 'workspacesMade' | 'workspacesClosed' | 'lineups'>>(
    value: T,
  ) => ({
    ...value,
    ...(value.workspacesMade && { workspacesMade: byId(value.workspacesMade) }),
    ...(value.workspacesClosed && { workspacesClosed: value.workspacesClosed.map(called) }),
    ...(value.lineups && { lineups: value.lineups.map(onIt) }),
  });
  const put = <T extends Pick<Session, 'workspacesPut'>>(value: T) => ({
    ...value,
    ...(value.workspacesPut && { workspacesPut: byId(value.workspacesPut) }),
  });
  const step = (each: UndoStep): UndoStep => ({
    ...lists(each),
    windows: byEntry(each.windows, held),
    arrangements: arrangements(each.arrangements),
    shown: shown(each.shown),
    ...(each.connection && { connection: put(each.connection) }),
  });
  return {
    ...put(lists(session)),
    windows: session.windows.map((window) => {
      const { ruled } = window;
      if (!ruled) return held(window);
      const { from: was } = ruled;
      const back = was && { ...onIt(was), to: called(was.to) };
      return { ...held(window), ruled: { ...onIt(ruled), ...(back && { from: back }) } };
    }),
    arrangements: arrangements(session.arrangements),
    shown: shown(session.shown),
    ...(session.shownBefore && { shownBefore: shown(session.shownBefore) }),
    ...(session.together && { together: onIt(session.together) }),
    ...(session.past && { past: session.past.map(step) }),
    ...(session.future && { future: session.future.map(step) }),
  };
}

/**
 * A session in which zones of a board have other names: windows stay in them, now and in every step of undo.
 *
 * @param names the new names by the former ones
 */
export function withZonesCalled<S extends Standing>(
  session: S,
  board: string,
  names: ReadonlyMap<string, string>,
): S {
  const called = (zones: readonly string[]) => zones.map((zone) => names.get(zone) ?? zone);
  const placed = <T extends { placing?: Snap }>(value: T): T => {
    const { placing } = value;
    if (placing?.zone?.board !== board) return value;
    const zone = { ...placing.zone, zones: called(placing.zone.zones) };
    return { ...value, placing: { ...placing, zone } };
  };
  const seated = <T extends { zones: string[]; before?: string[] }>(seat: T): T => ({
    ...seat,
    zones: called(seat.zones),
    ...(seat.before && { before: called(seat.before) }),
  });
  const held = <T extends Held>(window: T): T => {
    const { untiled, pocketedFrom } = window;
    return {
      ...placed(window),
      ...(untiled && { untiled: placed(untiled) }),
      ...(pocketedFrom && { pocketedFrom: placed(pocketedFrom) }),
    };
  };
  const arrangement = (each: Arrangement): Arrangement => {
    const seats = ownEntry(each.inZones, board);
    if (!seats) return each;
    return { ...each, inZones: { ...each.inZones, [board]: byEntry(seats, seated) } };
  };
  const lineup = <T extends LastLineup>(each: T): T => ({
    ...each,
    windows: each.windows.map((window) => {
      const { inZones } = window;
      const isOnBoard = each.board === board && inZones;
      return { ...placed(window), ...(isOnBoard && { inZones: seated(inZones) }) };
    }),
  });
  const step = (each: UndoStep): UndoStep => ({
    ...each,
    windows: byEntry(each.windows, held),
    arrangements: byEntry(each.arrangements, arrangement),
    ...(each.lineups && { lineups: each.lineups.map(lineup) }),
  });
  return {
    ...session,
    windows: session.windows.map(held),
    arrangements: byEntry(session.arrangements, arrangement),
    ...(session.lineups && { lineups: session.lineups.map(lineup) }),
    ...(session.together && { together: lineup(session.together) }),
    ...(session.past && { past: session.past.map(step) }),
    ...(session.future && { future: session.future.map(step) }),
  };
}

function byEntry<T>(record: Record<string, T>, change: (value: T) => T): Record<string, T> {
  return Object.fromEntries(Object.entries(record).map(([key, value]) => [key, change(value)]));
}
