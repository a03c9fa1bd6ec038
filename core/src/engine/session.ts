import { isIn, withMode } from '../model/window-mode.ts';
import { keptNewest } from '../values/cache.ts';
import { interactionOf, withoutInteraction } from '../model/interaction.ts';
import type { DeskInForce } from '../desk/desk.ts';
import type { Profile } from '../model/profile.ts';
import {
  type Adjusted,
  type Arrangement,
  type LIST_FIELDS,
  type Session,
  type SessionWindow,
} from '../model/session.ts';
import { withoutLeaf } from '../tiling/hand.ts';
import { ownEntry } from '../values/own-entry.ts';

/**
 * One line of a trace: what was decided, and because of what. `about` is the window (or other thing)
 * it is said of; `pixels` is how far an edge really moved.
 */
export interface Reason {
  about?: string;
  decided: string;
  because: string;
  pixels?: number;
  /** Told only where a window is asked about: a default, or a rule that did not apply. */
  minor?: true;
}

/** The result of an event. An event that changes nothing returns the same session, with the reason. */
export interface Outcome {
  session: Session;
  trace: Reason[];
  /** The profile as it is to be from now on: whoever keeps it takes it over, as an edit. */
  edit?: Profile;
}

/** What a command works on. */
export interface CommandContext {
  session: Session;
  profile: Profile;
  desk: DeskInForce;
}

export function applied(session: Session, ...trace: Reason[]): Outcome {
  return { session, trace };
}

/** What the reason of an outcome says that it decided, where there was nothing to do. */
export const NOTHING_TO_DO = 'nothing to do';

export function noop(session: Session, because: string): Outcome {
  return { session, trace: [{ decided: NOTHING_TO_DO, because }] };
}

/** The key of a workspace on a monitor in a session's arrangements. */
export function arrangementKey(workspace: string, monitor: string): string {
  return `${workspace}/${monitor}`;
}

const EMPTY: Arrangement = { order: [] };

export function arrangementOf(session: Session, workspace: string, monitor: string): Arrangement {
  return liveOf(session.arrangements[arrangementKey(workspace, monitor)]);
}

const lives = new WeakMap<Arrangement, Arrangement>();

/** The arrangement in force. Of a detached one, only the choices made by key are in force. */
function liveOf(arrangement: Arrangement = EMPTY): Arrangement {
  if (!arrangement.detached) return arrangement;
  const { layout, adjusted } = arrangement;
  const live = lives.get(arrangement) ?? {
    order: [],
    ...(layout && { layout }),
    ...(adjusted && { adjusted }),
  };
  lives.set(arrangement, live);
  return live;
}

/** Where each window is in the list, by its id. */
export const indexByWindow = keptNewest(
  4,
  (windows: readonly SessionWindow[]): ReadonlyMap<string, number> => {
    const byId = new Map<string, number>();
    for (let i = 0; i < windows.length; i++) byId.set(windows[i]!.id, i);
    return byId;
  },
);

interface OccupiedWorkspace {
  workspace: string;
  monitor: string;
}

/** Every workspace and monitor that windows are on. */
export const occupiedWorkspaces = keptNewest(
  4,
  (windows: Session['windows']): readonly OccupiedWorkspace[] => {
    const byWorkspace = new Map<string, string[]>();
    for (const { workspace, monitor } of windows) {
      const monitors = byWorkspace.get(workspace);
      if (!monitors) byWorkspace.set(workspace, [monitor]);
      else if (!monitors.includes(monitor)) monitors.push(monitor);
    }
    return [...byWorkspace].flatMap(([workspace, monitors]) =>
      monitors.map((monitor) => ({ workspace, monitor })),
    );
  },
);

/** Where a window is in the list; −1 when no such window is open. */
function indexOfWindow({ windows }: Session, id: string): number {
  return indexByWindow(windows).get(id) ?? -1;
}

export function windowOf(session: Session, id: string | undefined): SessionWindow | undefined {
  return id === undefined ? undefined : session.windows[indexOfWindow(session, id)];
}

/** A window that is known to be open. Throws a RangeError where it is not: that would be a fault of the engine. */
export function existingWindow(session: Session, id: string | undefined): SessionWindow {
  const window = windowOf(session, id);
  if (!window) throw new RangeError(`no window ${id ?? ''} is open`);
  return window;
}

/** The workspace a monitor shows. */
export function shownOn(session: Session, monitor: string): string {
  return ownEntry(session.shown, monitor) ?? '';
}

/** True when a window stands on a workspace that is shown; another one may still cover it. */
export function isShown(session: Session, window: SessionWindow): boolean {
  return (
    window.held !== 'pocketed' &&
    !isIn(window, 'minimised') &&
    !interactionOf(session, 'bare-desktop') &&
    (window.everywhere === true || shownOn(session, window.monitor) === window.workspace)
  );
}

/** True when a window takes part in the layout of its workspace on its monitor: a placed one does not. */
export function isTiled(window: SessionWindow): boolean {
  return window.held === 'tiled' && !isIn(window, 'minimised') && !window.placing;
}

/** A window's name for a person: its app's, else its title, else its id. */
export function windowName(profile: Profile, window: SessionWindow): string {
  const app = profile.apps.find((candidate) => candidate.id === window.app);
  return app?.name ?? window.app ?? window.title ?? window.id;
}

export function withWindow(
  session: Session,
  id: string,
  change: (window: SessionWindow) => SessionWindow,
): Session {
  const at = indexOfWindow(session, id);
  return at < 0
    ? session
    : { ...session, windows: session.windows.with(at, change(session.windows[at]!)) };
}

export function withArrangement(
  session: Session,
  workspace: string,
  monitor: string,
  change: (arrangement: Arrangement) => Arrangement,
): Session {
  const key = arrangementKey(workspace, monitor);
  const arrangement = change(liveOf(session.arrangements[key]));
  return { ...session, arrangements: { ...session.arrangements, [key]: arrangement } };
}

/** The arrangement without a window that leaves it for good. */
export function withoutWindow(arrangement: Arrangement, id: string): Arrangement {
  const { order, hand, divides, inZones, leadBefore, afloat, ...rest } = arrangement;
  const tree = hand === undefined ? undefined : withoutLeaf(hand, id);
  const others = order.filter((other) => other !== id);
  return {
    ...rest,
    order: others,
    // All float until the last of them is gone.
    ...(afloat && others.length > 0 && { afloat }),
    ...(tree !== undefined && { hand: tree }),
    ...(divides && divides.window !== id && { divides }),
    ...(leadBefore !== undefined && leadBefore !== id && { leadBefore }),
    ...(inZones && { inZones: withoutSeat(inZones, id) }),
  };
}

function withoutSeat(inZones: NonNullable<Arrangement['inZones']>, id: string) {
  const boards = Object.entries(inZones).map(([board, { [id]: _gone, ...others }]) => [
    board,
    others,
  ]);
  return Object.fromEntries(boards) as typeof inZones;
}

/** Puts a kind's adjustments in the place of the former ones; empty ones are left out. */
export function withAdjusted(
  arrangement: Arrangement,
  kind: keyof NonNullable<Arrangement['adjusted']>,
  adjusted: Adjusted,
): Arrangement {
  const { [kind]: _former, ...others } = arrangement.adjusted ?? {};
  const next = Object.keys(adjusted).length > 0 ? { ...others, [kind]: adjusted } : others;
  const { adjusted: _all, ...bare } = arrangement;
  return Object.keys(next).length > 0 ? { ...bare, adjusted: next } : bare;
}

/**
 * Gives a window the focus, and shows it: its workspace, and the window itself where it was minimised. A window
 * in the pocket is not in sight, and does not get it.
 *
 * @param isRaised it comes on top of those that it lies with; else it stays as deep as it is
 */
export function withFocus(session: Session, window: SessionWindow, isRaised = true): Session {
  if (window.held === 'pocketed') return session;
  if (
    session.focus === window.id &&
    session.focusMonitor === window.monitor &&
    isShown(session, window)
  ) {
    return session;
  }
  const rest = interactionOf(session, 'bare-desktop') ? withoutInteraction(session) : session;
  const { depths: former, ...restored } = isIn(window, 'minimised')
    ? withoutMinimised(rest, window.id)
    : rest;
  const first = (ids: readonly string[]) => [window.id, ...ids.filter((id) => id !== window.id)];
  const recent = session.recent[0] === window.id ? session.recent : first(session.recent);
  const depths = isRaised ? former && first(former) : (former ?? session.recent);
  const isOneOrder = !depths || depths.join(' ') === recent.join(' ');
  return {
    ...restored,
    focus: window.id,
    focusMonitor: window.monitor,
    recent,
    ...(!isOneOrder && { depths }),
    ...(!window.everywhere && shownNow(session, window.monitor, window.workspace)),
  };
}

function withoutMinimised(session: Session, id: string): Session {
  const shown = withWindow(session, id, (window) => withMode(window, 'minimised', false));
  return withList(shown, 'minimised', (ids) => ids.filter((other) => other !== id));
}

/** Changes one of the session's lists; an empty one is left out. */
export function withList<F extends ListField>(
  session: Session,
  field: F,
  change: (list: NonNullable<Session[F]>) => NonNullable<Session[F]>,
): Session {
  const { [field]: former, ...rest } = session;
  const next = change(former ?? ([] as unknown as NonNullable<Session[F]>));
  return (next.length > 0 ? { ...rest, [field]: next } : rest) as Session;
}
type ListField = (typeof LIST_FIELDS)[number];

/** What is shown, and what was before, once a monitor shows a workspace; joined monitors change together. */
export function shownNow(
  { shown, shownBefore, joined }: Session,
  monitor: string,
  workspace: string,
): Pick<Session, 'shown' | 'shownBefore'> {
  const before = ownEntry(shown, monitor);
  if (before === workspace) return { shown, ...(shownBefore && { shownBefore }) };
  const together = joined ? Object.keys(shown) : [monitor];
  const all = (id: string) => Object.fromEntries(together.map((each) => [each, id]));
  return {
    shown: { ...shown, ...all(workspace) },
    ...(before !== undefined && { shownBefore: { ...shownBefore, ...all(before) } }),
  };
}

/** Sends the focus to a monitor: to its most recently focused shown window, or to the monitor with none. */
export function withFocusOnMonitor(session: Session, monitor: string): Session {
  const ids = session.recent;
  for (const id of ids) {
    const window = windowOf(session, id);
    if (window && window.monitor === monitor && isShown(session, window)) {
      return withFocus(session, window);
    }
  }
  const { focus: _focus, ...rest } = session;
  return { ...rest, focusMonitor: monitor };
}

/**
 * Makes every order list exactly the windows that are there: those listed keep their order, missing
 * ones join at the end in the order they opened.
 */
export function mendOrders(session: Session): Session {
  const members = new Map<string, Set<string>>();
  const keepPlace = new Set<string>();
  for (const window of session.windows) {
    const key = arrangementKey(window.workspace, window.monitor);
    members.set(key, (members.get(key) ?? new Set()).add(window.id));
    const from = window.pocketedFrom;
    if (from) keepPlace.add(`${arrangementKey(from.workspace, from.monitor)} ${window.id}`);
  }
  const arrangements: Record<string, Arrangement> = {};
  for (const key of new Set([...Object.keys(session.arrangements), ...members.keys()])) {
    const former = session.arrangements[key] ?? EMPTY;
    const here = members.get(key) ?? new Set<string>();
    // How a workspace was on a monitor that it left is not touched until it returns.
    if (former.detached && here.size === 0) {
      arrangements[key] = former;
      continue;
    }
    const arrangement = liveOf(former);
    if (arrangement.order.length === here.size && arrangement.order.every((id) => here.has(id))) {
      arrangements[key] = arrangement;
      continue;
    }
    const kept = arrangement.order.filter((id) => here.has(id) || keepPlace.has(`${key} ${id}`));
    const order = [...new Set([...kept, ...here])];
    const same =
      order.length === arrangement.order.length &&
      order.every((id, i) => id === arrangement.order[i]);
    arrangements[key] = same ? arrangement : { ...arrangement, order };
  }
  return { ...session, arrangements };
}
