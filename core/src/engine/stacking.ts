import isEqual from 'fast-deep-equal';
import type { Profile } from '../model/profile.ts';
import type { LineupWindow, Snap } from '../model/session-snap.ts';
import type { LastLineup, Session, SessionWindow } from '../model/session.ts';
import type { SnapSettings } from '../values/snap.ts';
import { ownEntry } from '../values/own-entry.ts';
import { matched } from './lineup-match.ts';
import { arrangementKey, windowOf } from './session.ts';

/**
 * The ids of windows, the topmost first: those focused most recently on top, and right beneath each window those
 * that are placed together with it. The order of focus itself stays as it is: focus-last goes by that.
 */
export function stackingOrder(session: Session, profile: Profile): readonly string[] {
  const recent = byDepth(session);
  const companions = companionsIn(session, profile.placing.together);
  if (companions.size === 0) return recent;
  const raised = new Set<string>();
  for (const id of recent) {
    raised.add(id);
    const others = companions.get(id);
    if (others) for (const other of recent) if (others.has(other)) raised.add(other);
  }
  return [...raised];
}

/** Windows, the topmost first: by their focus, but for those that a click did not raise. New ones lie on top. */
function byDepth({ recent, depths }: Session): readonly string[] {
  if (!depths) return recent;
  const listed = new Set(depths);
  const there = new Set(recent);
  return [...recent.filter((id) => !listed.has(id)), ...depths.filter((id) => there.has(id))];
}

type Companions = ReadonlyMap<string, ReadonlySet<string>>;
const NOBODY: Companions = new Map();

interface KnownCompanions {
  /** What they were found from. */
  from: readonly unknown[];
  companions: Companions;
}
const known = new WeakMap<Session['windows'], KnownCompanions>();

/** By window, those that are where a lineup has them with it. Known until windows or lineups change. */
function companionsIn(session: Session, setting: SnapSettings['together']): Companions {
  const { lineups, together, arrangements, windows } = session;
  const named = setting === 'never' ? undefined : lineups;
  const last = setting === 'last-too' ? together : undefined;
  if (!named && !last) return NOBODY;
  const from = [named, last, arrangements];
  const before = known.get(windows);
  if (before?.from.every((each, i) => each === from[i])) return before.companions;
  const companions = new Map<string, Set<string>>();
  for (const lineup of [...(named ?? []), ...(last ? [last] : [])]) {
    const ids = idsInPlace(session, lineup);
    for (const id of ids) {
      const others = companions.get(id) ?? new Set<string>();
      for (const other of ids) if (other !== id) others.add(other);
      companions.set(id, others);
    }
  }
  known.set(windows, { from, companions });
  return companions;
}

/** The open windows of a lineup that are where it has them. */
function idsInPlace(session: Session, lineup: LastLineup): string[] {
  return matched(session, lineup.windows).flatMap((id, i) => {
    const window = windowOf(session, id ?? undefined);
    return window && isInPlace(session, lineup, lineup.windows[i]!, window) ? [window.id] : [];
  });
}

function isInPlace(
  { arrangements }: Session,
  { workspace, monitor, board }: LastLineup,
  wanted: LineupWindow,
  window: SessionWindow,
): boolean {
  if (window.workspace !== workspace || window.monitor !== monitor) return false;
  if (window.held !== wanted.held) return false;
  if (!isEqual(unmoved(window.placing), unmoved(wanted.placing))) return false;
  if (!wanted.inZones || board === undefined) return true;
  const inZones = ownEntry(arrangements, arrangementKey(workspace, monitor))?.inZones;
  // One that took the next empty zone by itself is not written down.
  const seat = ownEntry(ownEntry(inZones ?? {}, board) ?? {}, window.id);
  return seat === undefined || isEqual(seat.zones, wanted.inZones.zones);
}

/** A place by key without what moving a shared edge made of it: windows stay together over that. */
function unmoved(snap: Snap | undefined): Snap | undefined {
  const { moved: _moved, ...rest } = snap ?? {};
  return snap && (rest as Snap);
}
