import { isIn } from '../model/window-mode.ts';
import { interactionOf } from '../model/interaction.ts';
import { deskInForce, monitorOf, workspacesOn, type DeskInForce } from '../desk/desk.ts';
import { fallbackOf } from '../desk/homes.ts';
import { picked, without } from '../model/object-fields.ts';
import type { Profile } from '../model/profile.ts';
import type { Arrangement, Session, SessionWindow } from '../model/session.ts';
import { keeping } from '../tiling/hand.ts';
import { ownEntry } from '../values/own-entry.ts';
import { withLiftsEnded } from './lifted.ts';
import {
  isShown,
  mendOrders,
  arrangementKey,
  windowOf,
  withFocus,
  withFocusOnMonitor,
  withList,
  withoutWindow,
  type CommandContext,
} from './session.ts';

const CONNECTION = ['connected', 'desk', 'mode', 'only', 'workspacesPut'] as const;
/** The connected monitors, the desk and its mode, and the homes that were set by key. */
export type ConnectionState = Pick<Session, (typeof CONNECTION)[number]>;

export function connectionState(session: Session): ConnectionState {
  return picked(session, CONNECTION);
}

/**
 * The session after what is connected, and how, has changed. Windows and workspaces whose monitor went
 * are on its fallback and remember; those whose monitor came back are there again, as they were.
 *
 * @param connection all of it: what it leaves out is not set any more
 */
export function afterReconnection(context: CommandContext, connection: ConnectionState): Session {
  const { profile } = context;
  const put = new Set((connection.workspacesPut ?? []).map(({ id }) => id));
  const kept = withNamesKept(withoutUnusedNames(context.session, put), context.desk);
  const next: Session = { ...without(kept, [...CONNECTION, 'unplugged']), ...connection };
  const desk = deskInForce(profile, next);
  return withFocusRelocated(relocateWindows(next, profile, desk), profile, desk);
}

/** Windows, orders and shown workspaces on the desk as it is now. */
export function relocateWindows(session: Session, profile: Profile, desk: DeskInForce): Session {
  const rehomed = mendOrders(withWindowsRehomed(session, profile, desk));
  return shownOnDesk(withLiftsEnded(rehomed), desk);
}

/**
 * Workspaces that are there only because their monitor had none are kept by name while they hold windows:
 * another desk would give the name to another monitor's.
 */
export function withNamesKept(session: Session, desk: DeskInForce, also = ''): Session {
  const used = new Set([...inUse(session), also]);
  const made = new Set((session.workspacesMade ?? []).map(({ id }) => id));
  const madeUp = desk.workspaces.filter(
    ({ id, isMadeUp }) => isMadeUp && used.has(id) && !made.has(id),
  );
  if (madeUp.length === 0) return session;
  return withList(session, 'workspacesMade', (all) => [
    ...all,
    ...madeUp.map(({ id, monitor }) => ({ id, monitor, byItself: true })),
  ]);
}

/** Workspaces that hold windows, are in sight or were just before: such a one keeps its name, though it is empty. */
function inUse({ windows, shown, shownBefore = {} }: Session): string[] {
  const held = windows.map(({ workspace }) => workspace);
  return [...held, ...Object.values(shown), ...Object.values(shownBefore)];
}

/** Without kept names that nothing needs any more, and that were put nowhere by key. */
function withoutUnusedNames(session: Session, put: ReadonlySet<string>): Session {
  const used = new Set([...inUse(session), ...put]);
  return session.workspacesMade?.some(({ id, byItself }) => byItself && !used.has(id))
    ? withList(session, 'workspacesMade', (all) =>
        all.filter(({ id, byItself }) => !byItself || used.has(id)),
      )
    : session;
}

interface MonitorSeat {
  monitor: string;
  away?: string;
}

function isSameSeat(a: MonitorSeat, b: MonitorSeat): boolean {
  return a.monitor === b.monitor && a.away === b.away;
}

function movedTo(
  { away: _away, ...former }: NonNullable<SessionWindow['pocketedFrom']>,
  to: MonitorSeat,
) {
  return { ...former, ...to };
}

/** Returns a function that tells on which monitor a window belongs now. */
function seatFinder(profile: Profile, desk: DeskInForce) {
  const there = new Set(desk.monitors.map(({ id }) => id));
  const homes = new Map(desk.workspaces.map(({ id, monitor }) => [id, monitor]));
  return (workspace: string, { monitor, away }: MonitorSeat): MonitorSeat => {
    if (!desk.joined) {
      return { monitor: homes.get(workspace) ?? monitorOf(desk, monitor).id };
    }
    const own = away ?? monitor;
    if (there.has(own)) return { monitor: own };
    return { monitor: fallbackOf(profile, own, desk.monitors).monitor.id, away: own };
  };
}

/** Every window on the monitor where it belongs, with its place in the order there. */
function withWindowsRehomed(session: Session, profile: Profile, desk: DeskInForce): Session {
  const spot = seatFinder(profile, desk);
  const moves = new Map<string, Move & { ids: Set<string>; staying: Set<string> }>();
  const moving = (id: string, workspace: string, from: string, to: string, isBothHere: boolean) => {
    if (from === to) return;
    const key = `${arrangementKey(workspace, from)} ${to}`;
    const move = moves.get(key) ?? { workspace, from, to, ids: new Set(), staying: new Set() };
    move.ids.add(id);
    if (isBothHere) move.staying.add(id);
    moves.set(key, move);
  };
  const windows = session.windows.map((window): SessionWindow => {
    const former = window.pocketedFrom;
    const now = spot(window.workspace, window);
    const then = former && spot(former.workspace, former);
    // A visitor and its place at home can be in one order; what stays of them there keeps its place.
    const isOne = (from: MonitorSeat, other: MonitorSeat) =>
      window.workspace === former?.workspace && from.monitor === other.monitor;
    const stays = then !== undefined && isOne(window, then);
    moving(window.id, window.workspace, window.monitor, now.monitor, stays);
    if (former && then) {
      const visits = isOne(former, now);
      moving(window.id, former.workspace, former.monitor, then.monitor, visits);
    }
    const isSame = isSameSeat(now, window) && (!former || !then || isSameSeat(then, former));
    if (isSame) return window;
    const { away: _away, ...rest } = window;
    return { ...rest, ...now, ...(former && then && { pocketedFrom: movedTo(former, then) }) };
  });
  if (windows.every((window, i) => window === session.windows[i])) return session;
  return {
    ...session,
    windows,
    arrangements: arrangementsAfterMoves(session.arrangements, [...moves.values()]),
  };
}

/** Windows that go from one monitor to another with their workspace, or their part of it. */
interface Move {
  workspace: string;
  from: string;
  to: string;
  ids: ReadonlySet<string>;
  /** Those that have a place where they came from as well. */
  staying: ReadonlySet<string>;
}

type Arrangements = Session['arrangements'];
/** What an arrangement says of all its windows while they are by themselves. */
const OF_ALL = ['afloat', 'divides'] as const;

/**
 * Moves arrangements between monitors. Windows keep their order; the arrangement that they leave is kept there and
 * holds again when the same windows return.
 */
function arrangementsAfterMoves(before: Arrangements, moves: readonly Move[]): Arrangements {
  const after = { ...before };
  const leaving = moves.map((move) => {
    const key = arrangementKey(move.workspace, move.from);
    const from = after[key] ?? { order: [] };
    const listedThere = from.order.filter((id) => move.ids.has(id));
    const listed = {
      ...from,
      order: [...listedThere, ...[...move.ids].filter((id) => !listedThere.includes(id))],
    };
    const gone = listedThere.filter((id) => !move.staying.has(id));
    const isAll = gone.length === from.order.length;
    after[key] = isAll
      ? { ...from, detached: true }
      : gone.reduce((now, id) => withoutWindow(now, id), from);
    return { ...move, listed, isAll };
  });
  for (const { workspace, to, listed, staying, isAll } of leaving) {
    const key = arrangementKey(workspace, to);
    const own = after[key];
    // Where windows were among others meanwhile, what holds of all of them is as they left it.
    const wereAmongOthers = !isAll && own?.detached;
    const coming = wereAmongOthers
      ? { ...without(listed, OF_ALL), ...picked(own, OF_ALL) }
      : listed;
    after[key] = arrangementAfterArrival(own, coming, staying);
  }
  return after;
}

/**
 * An arrangement that windows come to, in the order they had.
 * @param staying those that had two places in one order meanwhile: where they stood among the others says nothing
 */
function arrangementAfterArrival(
  there: Arrangement | undefined,
  coming: Arrangement,
  staying: ReadonlySet<string>,
): Arrangement {
  const { detached, afloat: _afloat, divides: _divides, ...mine } = there ?? { order: [] };
  if (there && !detached && there.order.length > 0) {
    return { ...there, order: [...new Set([...there.order, ...coming.order])] };
  }
  const state = {
    ...(coming.afloat && { afloat: true }),
    ...(coming.divides && { divides: coming.divides }),
  };
  const moved = (order: readonly string[]) => order.filter((id) => !staying.has(id)).join(' ');
  const isAsItWas =
    mine.order.length === coming.order.length &&
    coming.order.every((id) => mine.order.includes(id)) &&
    moved(mine.order) === moved(coming.order);
  if (isAsItWas) return { ...mine, ...state };
  const { hand: _former, ...rest } = mine;
  const kept = new Set(coming.order);
  const hand = coming.hand === undefined ? undefined : keeping(coming.hand, (id) => kept.has(id));
  return { ...rest, ...state, order: coming.order, ...(hand !== undefined && { hand }) };
}

/**
 * Each monitor shows what it showed, else what it showed before that, else what was on screen on one that is gone,
 * else its first workspace. What a monitor that is not there showed is kept for its return.
 */
export function shownOnDesk(session: Session, desk: DeskInForce): Session {
  const { shown: former, shownBefore = {} } = session;
  const shown = { ...former };
  if (desk.joined) {
    const wanted = Object.values(former).find((id) =>
      desk.workspaces.some((workspace) => workspace.id === id),
    );
    for (const { id } of desk.monitors) shown[id] = wanted ?? desk.workspaces[0]!.id;
    return { ...session, shown };
  }
  const there = new Set(desk.monitors.map(({ id }) => id));
  const onGone = Object.entries(former).flatMap(([id, shows]) => (there.has(id) ? [] : [shows]));
  for (const { id: monitor } of desk.monitors) {
    const here = workspacesOn(desk, monitor);
    const wanted = [ownEntry(former, monitor), ownEntry(shownBefore, monitor), ...onGone].find(
      (id) => here.some((workspace) => workspace.id === id),
    );
    shown[monitor] = wanted ?? here[0]!.id;
  }
  return { ...session, shown };
}

/**
 * The focus stays with its window, which is in sight then, or with the monitor it was sent to. Where that monitor
 * went, a window of the fallback has it, until the monitor is back, unless it was moved meanwhile.
 */
function withFocusRelocated(session: Session, profile: Profile, desk: DeskInForce): Session {
  const { focusAway = [], ...rest } = session;
  const last = focusAway.at(-1);
  const isUnmoved = last?.window === session.focus && last?.to === session.focusMonitor;
  const away = isUnmoved ? focusAway : [];
  const back = away.findIndex(({ monitor }) => desk.monitors.some(({ id }) => id === monitor));
  if (back >= 0) {
    const { focus: _given, ...none } = rest;
    const earlier = away.slice(0, back);
    const window = earlier.at(-1)?.window;
    return {
      ...none,
      ...(window !== undefined && { focus: window }),
      focusMonitor: away[back]!.monitor,
      ...(earlier.length > 0 && { focusAway: earlier }),
    };
  }
  const next = focusKept(rest, profile, desk);
  const { focus: window, focusMonitor: to } = next;
  const isSent = to !== session.focusMonitor && (!session.focus || away.length > 0);
  const all = isSent
    ? [...away, { monitor: session.focusMonitor, to, ...(window !== undefined && { window }) }]
    : away;
  // Behind a bare desktop, what had the focus is known otherwise.
  return interactionOf(next, 'bare-desktop') || all.length === 0
    ? next
    : { ...next, focusAway: all };
}

function focusKept(session: Session, profile: Profile, desk: DeskInForce): Session {
  const focused = windowOf(session, session.focus);
  const canHaveIt = focused && focused.held !== 'pocketed' && !isIn(focused, 'minimised');
  if (canHaveIt && !interactionOf(session, 'bare-desktop')) {
    return isShown(session, focused) && session.focusMonitor === focused.monitor
      ? session
      : withFocus(session, focused);
  }
  if (desk.monitors.some(({ id }) => id === session.focusMonitor)) return session;
  const monitor = fallbackOf(profile, session.focusMonitor, desk.monitors).monitor.id;
  return interactionOf(session, 'bare-desktop')
    ? { ...session, focusMonitor: monitor }
    : withFocusOnMonitor(session, monitor);
}
