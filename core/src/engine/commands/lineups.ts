import { countText } from '../../values/count-text.ts';
import { nothingTyped, type CommandFunctions } from './command-functions.ts';
import { LAST } from '../../commands/command.ts';
import { monitorOf } from '../../desk/desk.ts';
import type { ZoneBoard } from '../../model/zone-board.ts';
import type { LineupWindow } from '../../model/session-snap.ts';
import type { Lineup, LastLineup, Session, SessionWindow } from '../../model/session.ts';
import { rangeOf } from '../../tiling/zone-board.ts';
import { renamed } from '../../tiling/hand.ts';
import { nearestName } from '../../values/nearest-name.ts';
import { fittingZoneBoards } from '../../zones/fit.ts';
import { arrange, tilingInForce } from '../arrange.ts';
import { matched } from '../lineup-match.ts';
import { lineupOf } from '../lineup.ts';
import {
  applied,
  noop,
  shownNow,
  windowName,
  windowOf,
  withArrangement,
  withFocus,
  withFocusOnMonitor,
  withList,
  withWindow,
  type Outcome,
  type Reason,
  type CommandContext,
  existingWindow,
} from '../session.ts';
import { withSeats } from './zone-board-here.ts';
import { joinArrangement } from './arrangement-member.ts';
import { focusedArrangement } from './shares.ts';
import { openApp } from './windows.ts';
import { inZonesOf } from './zones.ts';

/** save-lineup: the windows of this workspace with their places, under a name; one of that name is replaced. */
function saveLineup(context: CommandContext, name: string): Outcome {
  const { session } = context;
  const { workspace, monitor } = focusedArrangement(session);
  const together = lineupOf(context, workspace, monitor, () => true);
  if (together.windows.length === 0) return noop(session, 'this workspace has no windows to save');
  const former = session.lineups?.find((lineup) => lineup.name === name);
  const saved: Lineup = { name, ...together };
  const next = withList(session, 'lineups', (all) => [
    ...all.filter((lineup) => lineup.name !== name),
    saved,
  ]);
  return applied(next, {
    about: workspace,
    decided: `lineup ${name}: ${countText(saved.windows.length, 'window')} with ${saved.windows.length === 1 ? 'its place' : 'their places'}`,
    because: former ? 'saved by key; the one of that name is replaced' : 'saved by key',
  });
}

/** forget-lineup: lets a saved lineup go; undo brings it back. */
function forgetLineup({ session }: CommandContext, name: string): Outcome {
  const lineup = lineupNamed(session, name);
  if (typeof lineup === 'string') return noop(session, lineup);
  const next = withList(session, 'lineups', (all) => all.filter((other) => other !== lineup));
  return applied(next, { decided: `lineup ${lineup.name} forgotten`, because: 'by key' });
}

function lineupNamed(session: Session, name: string): Lineup | string {
  const all = session.lineups ?? [];
  const found =
    all.find((lineup) => lineup.name === name) ??
    all.find((lineup) => lineup.name.toLowerCase() === name.toLowerCase());
  if (found) return found;
  const nearest = nearestName(
    name,
    all.map((lineup) => lineup.name),
  );
  return `no lineup is called ${name}${nearest ? `; the nearest is ${nearest}` : ''}`;
}

/**
 * recall-lineup: its windows are together again on its workspace, each at its place; missing apps are
 * called. On another monitor a place is the zone of that name, else the same share of the work area.
 */
function recallLineup(context: CommandContext, which: string): Outcome {
  const { session } = context;
  const lineup = which === LAST ? session.together : lineupNamed(session, which);
  if (!lineup) return noop(session, 'no windows were placed together yet');
  if (typeof lineup === 'string') return noop(session, lineup);
  const { session: called, ids, trace } = allCalled(context, lineup);
  const there = targetOf(context, lineup);
  const isSamePlace = there.monitor === lineup.monitor && there.workspace === lineup.workspace;
  const brought = ids.reduce<Session>((now, id, i) => {
    const window = windowOf(now, id ?? undefined);
    return window
      ? broughtTo({ ...context, session: now }, window, lineup.windows[i]!, there)
      : now;
  }, called);
  const laid = isSamePlace ? withLayoutOf(brought, lineup, ids) : brought;
  const placed = withPlaces({ ...context, session: laid }, lineup, ids, there, isSamePlace);
  const focused =
    ids[lineup.windows.findIndex(({ id }) => id === lineup.focus)] ?? ids.find(Boolean);
  const next = windowOf(placed, focused ?? undefined);
  const count = ids.filter((id) => id !== null).length;
  const name =
    'name' in lineup ? `lineup ${lineup.name as string}` : 'the windows placed together last';
  return applied(
    next ? withFocus(placed, next) : placed,
    {
      about: there.workspace,
      decided: `${name}: ${countText(count, 'window')} on workspace ${there.workspace}`,
      because: isSamePlace
        ? 'recalled to where it was'
        : `recalled on ${monitorOf(context.desk, there.monitor).name}`,
    },
    ...trace,
  );
}

interface Target {
  workspace: string;
  monitor: string;
}

/** Its own workspace, on the monitor where that is now; without it, the present one. */
function targetOf({ session, desk }: CommandContext, { workspace, monitor }: LastLineup): Target {
  const home = desk.workspaces.find(({ id }) => id === workspace);
  if (!home) return focusedArrangement(session);
  if (!desk.joined) return { workspace, monitor: home.monitor };
  const isThere = desk.monitors.some(({ id }) => id === monitor);
  return { workspace, monitor: isThere ? monitor : session.focusMonitor };
}

/** The lineup's windows; for one whose window is not open, its app is called. */
function allCalled(context: CommandContext, lineup: LastLineup) {
  const { profile } = context;
  const found = matched(context.session, lineup.windows);
  const there = targetOf(context, lineup);
  const shown = {
    ...context.session,
    ...shownNow(context.session, there.monitor, there.workspace),
  };
  let session = withFocusOnMonitor(shown, there.monitor);
  const trace: Reason[] = [];
  const ids = found.map((id, i) => {
    if (id !== null) return id;
    const { app, title } = lineup.windows[i]!;
    const before = session.windows.length;
    const outcome = app === undefined ? null : openApp({ ...context, session }, app);
    const opened = outcome?.session.windows[before];
    if (!outcome || !opened) {
      trace.push({
        decided: `${title ?? app ?? 'a window'} is missing`,
        because: app === undefined ? 'it belongs to no app' : `no app is called ${app}`,
      });
      return null;
    }
    session = outcome.session;
    trace.push({
      about: opened.id,
      decided: `${windowName(profile, opened)} called`,
      because: 'the lineup has a window of it, and none was left',
    });
    return opened.id;
  });
  return { session, ids, trace };
}

/** A window on the lineup's workspace, held as it was then. */
function broughtTo(
  context: CommandContext,
  window: SessionWindow,
  { held, standing }: LineupWindow,
  { workspace, monitor }: Target,
): Session {
  const out = withList(
    withList(context.session, 'pocket', (ids) => ids.filter((id) => id !== window.id)),
    'minimised',
    (ids) => ids.filter((id) => id !== window.id),
  );
  const visible = withWindow(out, window.id, (there) => {
    const { mode: _mode, placing: _placing, ...rest } = there;
    const { lifted: _lifted, standing: _standing, ...plain } = rest;
    return { ...plain, held, ...(standing && { standing }) };
  });
  const there = existingWindow(visible, window.id);
  if (there.workspace === workspace && there.monitor === monitor) {
    return withWindow(visible, window.id, ({ pocketedFrom: _from, ...rest }) => rest);
  }
  return joinArrangement({ ...context, session: visible }, there, monitor, workspace);
}

/** The layout as it was chosen and adjusted by key then. */
function withLayoutOf(
  session: Session,
  lineup: LastLineup,
  ids: readonly (string | null)[],
): Session {
  const names = new Map(lineup.windows.map(({ id }, i) => [id, ids[i] ?? id]));
  const { layout, adjusted, hand } = lineup;
  return withArrangement(session, lineup.workspace, lineup.monitor, (there) => {
    const { layout: _layout, adjusted: _adjusted, hand: _hand, ...rest } = there;
    return {
      ...rest,
      ...(layout && { layout }),
      ...(adjusted && { adjusted }),
      ...(hand !== undefined && { hand: renamed(hand, names) }),
    };
  });
}

/** The board of those that fit which has all the lineup's zones, its own before others: else none fits its picture. */
function boardOf(
  { windows, board }: LastLineup,
  fitting: readonly ZoneBoard[],
): ZoneBoard | undefined {
  const zones = windows.flatMap(
    ({ inZones, placing }) => inZones?.zones ?? placing?.zone?.zones ?? [],
  );
  const own = board ?? windows.find(({ placing }) => placing?.zone)?.placing?.zone?.board;
  const whole = fitting.filter((each) => rangeOf(each, zones) !== null);
  return whole.find(({ id }) => id === own) ?? whole[0];
}

/** Every window at its place: by zone where the monitor has that, else as it was placed, else by its share. */
function withPlaces(
  context: CommandContext,
  lineup: LastLineup,
  ids: readonly (string | null)[],
  there: Target,
  isSamePlace: boolean,
): Session {
  const { profile, desk } = context;
  const ours = ids.filter((id) => id !== null);
  const ordered = withArrangement(context.session, there.workspace, there.monitor, (now) => ({
    ...now,
    order: [...ours, ...now.order.filter((id) => !ours.includes(id))],
  }));
  const fitting = fittingZoneBoards(profile, desk, monitorOf(desk, there.monitor));
  const layout = tilingInForce(profile, ordered, there.workspace, there.monitor).layout;
  const zoned = arrange({ ...context, session: ordered }, there.workspace, there.monitor).zoned;
  const board = boardOf(lineup, fitting);
  return lineup.windows.reduce<Session>((now, window, i) => {
    const id = ids[i];
    if (id === null || id === undefined) return now;
    const zones = window.inZones?.zones ?? window.placing?.zone?.zones;
    const seat = window.inZones;
    if (seat && zoned && rangeOf(zoned.board, seat.zones))
      return withSeats(now, there, zoned.board.id, { [id]: seat });
    const asPlacing = (placing: NonNullable<SessionWindow['placing']>) =>
      withWindow(now, id, (open) => ({ ...open, placing }));
    if (zones) {
      if (board) return asPlacing(inZonesOf(board, zones));
      return asPlacing({ x: 'full', y: 'full', at: window.seen });
    }
    if (window.placing) return asPlacing(window.placing);
    const isArranged = isSamePlace || !['board', 'free'].includes(layout.kind);
    if (window.held !== 'tiled' || isArranged) return now;
    return asPlacing({ x: 'full', y: 'full', at: window.seen });
  }, ordered);
}

export const lineupFunctions = {
  'save-lineup': (context, { text }) =>
    text ? saveLineup(context, text) : nothingTyped(context, 'the lineup'),
  'forget-lineup': (context, { text }) =>
    text ? forgetLineup(context, text) : nothingTyped(context, 'the lineup'),
  'recall-lineup': (context, { which }) => recallLineup(context, which ?? LAST),
} satisfies Partial<CommandFunctions>;
