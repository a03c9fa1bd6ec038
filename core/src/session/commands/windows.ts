import { monitorFor, monitorOf } from '../../desk/desk.ts';
import { nearestName } from '../../profile/nearest.ts';
import type { App, Profile } from '../../profile/schema.ts';
import type { TilingInForce } from '../../profile/settings.ts';
import { dividedBy, longerAxis } from '../../tree/hand.ts';
import { arrange, tilingInForce, type Arranged } from '../arrange.ts';
import { placeShown } from '../place.ts';
import type { Arrangement, Standing, WindowInput } from '../schema.ts';
import {
  arrangementOf,
  did,
  isTiled,
  nothing,
  shownOn,
  windowName,
  windowOf,
  withArrangement,
  withFocus,
  withFocusOnMonitor,
  withList,
  withoutMember,
  type Outcome,
  type Reason,
  type Session,
  type SessionWindow,
  type Situation,
} from '../session.ts';
import { clearOf, firstStanding, stood } from '../standing.ts';
import { zoneNamed } from '../../zones/board.ts';
import { boardHere, withSeats } from './board-here.ts';
import { handOf } from './split.ts';

/**
 * A window opens: on the workspace it names, else where the focus is. It takes its place in the order
 * by the setting for new windows, in hand-split it divides the focused window, and it has the focus.
 */
export function windowOpened(situation: Situation, input: WindowInput): Outcome {
  const { session, desk, profile } = situation;
  if (windowOf(session, input.id)) return nothing(session, `${input.id} is open already`);
  const named = desk.workspaces.find((workspace) => workspace.id === input.workspace);
  const asked = monitorOf(desk, input.monitor ?? session.focusMonitor).id;
  const monitor = named ? monitorFor(desk, named, asked) : asked;
  const workspace = named?.id ?? shownOn(session, monitor);
  const tiling = tilingInForce(profile, session, workspace, monitor);
  const { afloat } = arrangementOf(session, workspace, monitor);
  const isLifted = input.held === 'tiled' && afloat === true;
  const place = { ...input, monitor, workspace, ...(isLifted && { held: 'floating' as const }) };
  const isTileless =
    tiling.layout.kind === 'free' || !hasZoneLeft(arrange(situation, workspace, monitor));
  const stands = place.held !== 'tiled' || isTileless || session.paused;
  const standing = stands ? (input.standing ?? newStanding(situation, place)) : undefined;
  const window: SessionWindow = {
    ...place,
    ...(standing && { standing }),
    ...(isLifted && { lifted: {} }),
  };

  const app = input.app ?? input.id;
  const opened: Session = {
    ...session,
    windows: [...session.windows, window],
    opened: { ...session.opened, [app]: (session.opened[app] ?? 0) + 1 },
    ...(session.paused && standing && { paused: adopting(session.paused, window.id, standing) }),
  };
  const entry = session.paused
    ? { change: atEnd(window.id), ...WAITS }
    : entryOf(situation, tiling, window);
  const ordered = withArrangement(opened, workspace, monitor, entry.change);
  const next = withFocus(withWish({ ...situation, session: ordered }, window), window);
  return did(
    next,
    {
      about: window.id,
      decided: `${windowName(profile, window)} on workspace ${workspace}`,
      because: named ? 'it asks for that workspace' : 'the focus is there',
    },
    { about: window.id, decided: entry.decided, because: entry.because },
    ...zoneTaken({ ...situation, session: next }, window),
  );
}

/** False where a board has no zone for one more window, or there is no board at all. */
function hasZoneLeft({ tiling, zoned, unseated }: Arranged): boolean {
  const { layout } = tiling;
  if (layout.kind !== 'board') return true;
  if (!zoned) return false;
  if (layout.whenFull !== 'float') return zoned.board.zones.length > 0;
  const taken = new Set(zoned.seats.flatMap(({ zones }) => zones));
  return unseated.length === 0 && taken.size < zoned.board.zones.length;
}

/** A window that names a zone goes there, where the board has it. */
function withWish(situation: Situation, window: SessionWindow): Session {
  const { session } = situation;
  const board = boardHere(situation, window)?.board;
  const zone = window.zone === undefined ? undefined : board && zoneNamed(board, window.zone);
  if (!board || !zone) return session;
  return withSeats(session, window, board.id, { [window.id]: { zones: [zone.name] } });
}

function zoneTaken(situation: Situation, window: SessionWindow): Reason[] {
  if (situation.session.paused) return [];
  const seat = boardHere(situation, window)?.seat;
  if (!seat) return [];
  const because =
    window.zone === seat.zones[0]
      ? 'it asks for that zone'
      : seat.isOver
        ? 'every zone is taken'
        : 'the next empty zone';
  return [{ about: window.id, decided: `in ${seat.zones.join(' and ')}`, because }];
}

/** Where a window that no tile takes stands at first: not at the very corner of another one. */
function newStanding(situation: Situation, window: SessionWindow): Standing {
  const { session, desk } = situation;
  const monitor = monitorOf(desk, window.monitor);
  const first = firstStanding(window, monitor, parentRect(situation, window));
  const others = session.paused
    ? Object.values(session.paused.standing)
    : placeShown(situation, window.monitor);
  return stood(clearOf(others, first, monitor), monitor);
}

function adopting(paused: NonNullable<Session['paused']>, id: string, standing: Standing) {
  return {
    standing: { ...paused.standing, [id]: standing },
    opened: [...paused.opened, id],
  };
}

const WAITS = { decided: 'where it opened', because: 'the engine is paused; resume takes it in' };

interface Entry extends Pick<Reason, 'decided' | 'because'> {
  change: (arrangement: Arrangement) => Arrangement;
}

const atEnd = (id: string) => (arrangement: Arrangement) => ({
  ...arrangement,
  order: [...arrangement.order, id],
});

/** How a window that opens enters its arrangement, and why so. */
function entryOf(situation: Situation, tiling: TilingInForce, window: SessionWindow): Entry {
  const { session } = situation;
  const { id, workspace, monitor } = window;
  if (!isTiled(window)) {
    const because = window.lifted ? 'all windows here float for now' : 'its app opens so';
    return { change: atEnd(id), decided: window.held.replace('-', ' '), because };
  }
  const { order } = arrangementOf(session, workspace, monitor);
  const focused = windowOf(session, session.focus);
  const isHere =
    focused !== undefined &&
    order.includes(focused.id) &&
    isTiled(focused) &&
    focused.workspace === workspace &&
    focused.monitor === monitor;
  if (tiling.layout.kind === 'split' && isHere) return dividing(situation, focused, id);
  const set = tiling.from.newWindows === 'default' ? 'default' : 'new windows are set so';
  if (tiling.newWindows === 'lead') {
    const change = (there: Arrangement) => ({ ...there, order: [id, ...there.order] });
    return { change, decided: 'tiled, first', because: set };
  }
  if (tiling.newWindows === 'after-focused' && isHere) {
    const change = (there: Arrangement) => ({
      ...there,
      order: after(there.order, focused.id, id),
    });
    return { change, decided: 'tiled, after the focused window', because: set };
  }
  return { change: atEnd(id), decided: 'tiled, at the end', because: set };
}

function after(order: readonly string[], beside: string, id: string): string[] {
  return order.flatMap((other) => (other === beside ? [other, id] : [other]));
}

/** The new window shares the focused one's place: as it was told, else along the longer side. */
function dividing(situation: Situation, focused: SessionWindow, id: string): Entry {
  const arranged = arrange(situation, focused.workspace, focused.monitor);
  const told = arrangementOf(situation.session, focused.workspace, focused.monitor).divides;
  const isTold = told?.window === focused.id;
  const at = arranged.tiled.indexOf(focused);
  const axis = isTold ? told.axis : longerAxis(arranged.tiles?.[at] ?? arranged.area);
  return {
    change: (there) => {
      const { hand } = handOf(there, arranged);
      const { divides: _used, ...rest } = there;
      return {
        ...rest,
        order: after(there.order, focused.id, id),
        hand: dividedBy(hand ?? focused.id, focused.id, id, axis),
      };
    },
    decided: `tiled, ${axis === 'x' ? 'right of' : 'below'} ${windowName(situation.profile, focused)}`,
    because: isTold ? 'split by key' : 'it halves the longer side of the focused window',
  };
}

function parentRect(situation: Situation, { parent }: SessionWindow) {
  const over = windowOf(situation.session, parent);
  if (!over) return undefined;
  return placeShown(situation, over.monitor).find(({ id }) => id === over.id);
}

/** A window closes; the most recently focused window on its monitor has the focus. */
export function windowClosed({ session, profile }: Situation, id: string): Outcome {
  const window = windowOf(session, id);
  if (!window) return nothing(session, `no window ${id} is open`);
  const without = forgotten(session, window);
  const next = session.focus === id ? withFocusOnMonitor(without, window.monitor) : without;
  return did(next, {
    about: id,
    decided: `${windowName(profile, window)} closed`,
    because: session.paused ? 'the engine is paused; the others stay' : 'the others close up',
  });
}

/** The session without a window, wherever it was named. */
function forgotten(session: Session, window: SessionWindow): Session {
  const { id } = window;
  const others = (list: readonly string[]) => list.filter((other) => other !== id);
  const { focus, paused, switching, ...rest } = session;
  const among = others(switching?.among ?? []);
  const at = Math.min(switching?.at ?? 0, among.length - 1);
  const places = [window, window.pocketedFrom ?? window];
  const gone = places.reduce<Session>(
    (now, { workspace, monitor }) =>
      withArrangement(now, workspace, monitor, (arrangement) => withoutMember(arrangement, id)),
    {
      ...rest,
      ...(focus !== undefined && focus !== id && { focus }),
      ...(paused && { paused: { ...paused, opened: others(paused.opened) } }),
      ...(among.length > 0 && { switching: { among, at } }),
      windows: session.windows.filter((other) => other.id !== id),
      recent: others(session.recent),
    },
  );
  return withList(withList(gone, 'pocket', others), 'minimised', others);
}

/** open-app: always another window of the app. The new window's id is the app's and a number never used before. */
export function openApp(situation: Situation, appId: string): Outcome {
  const { session, profile } = situation;
  const app = appNamed(profile, appId);
  if (typeof app === 'string') return nothing(session, app);
  let number = (session.opened[appId] ?? 0) + 1;
  while (windowOf(session, `${appId}-${number}`)) number++;
  return windowOpened(situation, windowOfApp(situation, app, `${appId}-${number}`));
}

/** The app of that id, or a sentence for the person when there is none. */
export function appNamed(profile: Profile, appId: string): App | string {
  const app = profile.apps.find((candidate) => candidate.id === appId);
  if (app) return app;
  const names = profile.apps.map(({ id }) => id);
  const nearest = nearestName(appId, names);
  return `no app is called ${appId}${nearest ? `; the nearest is ${nearest}` : ''}`;
}

function windowOfApp({ session }: Situation, app: App, id: string): WindowInput {
  const { id: _id, name, balloon: _balloon, hue: _hue, letter: _letter, parent, ...window } = app;
  const over = session.recent.find((other) => windowOf(session, other)?.app === parent);
  return {
    ...window,
    id,
    app: app.id,
    title: app.title ?? name ?? app.id,
    ...(parent !== undefined && over !== undefined && { parent: over }),
  };
}

export function closeFocused(situation: Situation): Outcome {
  const { session } = situation;
  if (session.focus === undefined) return nothing(session, 'no window has the focus');
  return windowClosed(situation, session.focus);
}
