import { isIn } from '../model/window-mode.ts';
import { without } from '../model/object-fields.ts';
import type { ArrangementFinding } from './finding.ts';
import { deskInForce, monitorFor, monitorOf, type DeskInForce } from '../desk/desk.ts';
import { fallbackOf } from '../desk/homes.ts';
import type { Profile } from '../model/profile.ts';
import type { RuleSettings } from '../model/rule.ts';
import type { SessionInput, WindowInput, Session, SessionWindow } from '../model/session.ts';
import { nearestName } from '../values/nearest-name.ts';
import { ownEntry } from '../values/own-entry.ts';
import { connectedIds } from './connect.ts';
import {
  heldByRule,
  joinedByRule,
  parentApp,
  snappedByRule,
  floatingRectByRule,
} from './rule-effects.ts';
import { rulingFor } from './ruling.ts';
import { withSeatsKept } from './seats.ts';
import {
  isShown,
  arrangementKey,
  windowOf,
  withFocus,
  withWindow,
  existingWindow,
} from './session.ts';
import { relocateWindows, shownOnDesk } from './relocation.ts';
import { firstFloatingRect, toFloatingRect, givenFloatingRect } from './floating-rect.ts';

/** A session that is ready to run, and findings about what in its file had to be changed. */
export interface Opened {
  session: Session;
  findings: ArrangementFinding[];
}

/**
 * Makes a running session of what a file says: windows get a monitor and a workspace, monitors get a
 * workspace to show, orders are completed. A name that matches nothing is a finding, and what it stood
 * for falls back to the default.
 */
export function openSession(input: SessionInput, profile: Profile): Opened {
  const findings: ArrangementFinding[] = [];
  const unknown = (path: string, value: string, names: readonly string[]) =>
    findings.push({ kind: 'unknown-name', path, value, nearest: nearestName(value, names) });

  // What lasts only while a key is held, or until something else is done, does not outlive a visit.
  const { interaction, connected: devices, ...kept } = input;
  const isBare = interaction?.kind === 'bare-desktop' && !interaction.whilePressed;
  const { desk: deskId, focus, pocket, minimised, joined: _was, ...rest } = kept;
  const deskIds = profile.desks.map((desk) => desk.id);
  const deskKnown = deskId !== undefined && deskIds.includes(deskId);
  if (deskId !== undefined && !deskKnown) unknown('desk', deskId, deskIds);
  const plugged = devices && connectedIds(profile, devices);
  if (plugged) findings.push(...plugged.findings);
  const connected = plugged && plugged.ids.length > 0 ? { connected: plugged.ids } : {};
  const isUnplugged = input.unplugged === true || devices?.length === 0;

  const connection = { ...rest, ...connected, ...(deskKnown && { desk: deskId }) };
  const desk = deskInForce(profile, connection);
  const { shown } = shownOnDesk({ ...connection, windows: [], focusMonitor: '' }, desk);
  const ruled = new Map<string, RuleSettings>();
  const windows = input.windows.map((given, i): SessionWindow => {
    const held = given.held ?? 'tiled';
    const was = whereItWas(given, input);
    if (was && desk.workspaces.some(({ id }) => id === was.workspace)) {
      return standingSomewhere({ ...given, ...was, held }, profile, desk);
    }
    const { asked: itself, isKnown } = askedPlace(given, desk, profile);
    const { away: _away, ...without } = placeFor(itself, desk, profile, shown);
    const parent = parentApp(input.windows, given.parent);
    const ruling = rulingFor({ profile, desk }, given, without, parent);
    const { follows } = ruling;
    const window = { ...heldByRule({ ...given, ...without, held }, follows), ruled: ruling.ruled };
    ruled.set(given.id, follows);
    const asked = {
      workspace: itself.workspace ?? follows.workspace ?? itself.workspace,
      monitor: itself.monitor ?? follows.monitor,
    };
    if (itself.workspace === null) {
      unknown(`windows[${i}].workspace`, given.workspace!, ids(desk.workspaces));
    }
    if (!isKnown) unknown(`windows[${i}].monitor`, given.monitor!, ids(profile.monitors));
    const { away, ...there } = placeFor(asked, desk, profile, shown);
    if (itself.monitor !== undefined && itself.monitor !== there.monitor && !desk.joined) {
      findings.push({ kind: 'elsewhere', window: given.id, ...there, asked: itself.monitor });
    }
    const from = given.away ?? away;
    const memory = desk.joined && from !== undefined ? { away: from } : {};
    return standingSomewhere({ ...window, ...there, ...memory }, profile, desk);
  });

  const known = new Set(windows.map((window) => window.id));
  const recent = input.recent.filter((id) => known.has(id));
  const newestFirst = windows.map((window) => window.id).reverse();
  const inOrder = (listed: readonly string[] = [], all: readonly SessionWindow[]) => {
    const ids = all.map(({ id }) => id);
    return [...new Set([...listed.filter((id) => ids.includes(id)), ...ids])];
  };
  const pocketed = inOrder(
    pocket,
    windows.filter(({ held }) => held === 'pocketed'),
  );
  const hidden = inOrder(
    minimised,
    windows.filter((window) => isIn(window, 'minimised')),
  );
  const { unplugged: _was_, ...listed } = connection;
  const opened: Session = {
    ...listed,
    ...(isUnplugged && { unplugged: true }),
    ...(desk.joined && { joined: true }),
    ...(isBare && { interaction: without(interaction, ['resumes']) }),
    ...(pocketed.length > 0 && { pocket: pocketed }),
    ...(hidden.length > 0 && { minimised: hidden }),
    windows,
    shown,
    opened: countsOfOpened(input),
    recent: [...new Set([...recent, ...newestFirst])],
    focusMonitor: isThere(desk, input.focusMonitor)
      ? input.focusMonitor
      : fallbackOf(profile, input.focusMonitor ?? '', desk.monitors).monitor.id,
  };
  const settled = relocateWindows(opened, profile, desk);
  let session = withSeatsKept(followed(settled, profile, desk, ruled), profile);
  const named = windowOf(session, focus);
  // What is out of sight cannot have the focus.
  if (isBare) return { session, findings };
  const focused =
    (named && named.held !== 'pocketed' && !isIn(named, 'minimised') ? named : undefined) ??
    (input.focusMonitor === undefined ? lastOpenedIn(session) : undefined);
  if (focused) session = withFocus(session, focused);
  return { session, findings };
}

function isThere(desk: DeskInForce, monitor: string | undefined): monitor is string {
  return desk.monitors.some(({ id }) => id === monitor);
}

function ids(list: readonly { id: string }[]): string[] {
  return list.map((item) => item.id);
}

/** Where a window was in a session that ran: in an order that lists it. It goes on from there. */
function whereItWas({ id, workspace, monitor }: WindowInput, { arrangements }: SessionInput) {
  if (workspace === undefined || monitor === undefined) return null;
  const arrangement = arrangements[arrangementKey(workspace, monitor)];
  return arrangement && !arrangement.detached && arrangement.order.includes(id)
    ? { workspace, monitor }
    : null;
}

/** What a window asks for: a workspace (null when there is no such one), and a monitor of the profile. */
function askedPlace(window: WindowInput, desk: DeskInForce, profile: Profile) {
  const workspace =
    window.workspace === undefined
      ? undefined
      : (desk.workspaces.find((home) => home.id === window.workspace)?.id ?? null);
  const monitor = profile.monitors.find((candidate) => candidate.id === window.monitor)?.id;
  return {
    asked: { workspace, monitor },
    isKnown: window.monitor === undefined || monitor !== undefined,
  };
}

/** Where a window goes that asks for a workspace, a monitor, both or neither, and the monitor it is away from. */
function placeFor(
  asked: { workspace?: string | null | undefined; monitor?: string | undefined },
  desk: DeskInForce,
  profile: Profile,
  shown: Session['shown'],
): { monitor: string; workspace: string; away?: string } {
  const wanted = asked.monitor ?? desk.monitors[0]!.id;
  const isHere = isThere(desk, wanted);
  const there = isHere ? wanted : fallbackOf(profile, wanted, desk.monitors).monitor.id;
  const workspace = asked.workspace ?? ownEntry(shown, there) ?? desk.workspaces[0]!.id;
  const home = desk.workspaces.find(({ id }) => id === workspace)!;
  return { workspace, monitor: monitorFor(desk, home, there), ...(!isHere && { away: wanted }) };
}

/** What rules say of windows that are there already when a session is opened: zones, corners and places in the order. */
function followed(
  settled: Session,
  profile: Profile,
  desk: DeskInForce,
  ruled: ReadonlyMap<string, RuleSettings>,
): Session {
  let session = settled;
  for (const [id, follows] of ruled) {
    if (Object.keys(follows).length === 0) continue;
    session = joinedByRule({ session, profile, desk }, id, follows);
    session = snappedByRule({ session, profile, desk }, id, follows).session;
  }
  for (const [id, follows] of ruled) {
    const window = existingWindow(session, id);
    const says = follows.corner ?? follows.size ?? window.parent;
    const isFree = window.held === 'floating' && says !== undefined;
    if (!isFree || window.ruled?.itself?.includes('corner')) continue;
    const { standing } = floatingRectByRule({ session, profile, desk }, window, follows);
    session = withWindow(session, id, (there) => ({ ...there, standing }));
  }
  return session;
}

/** A window in sight that no tile holds must stand somewhere from the beginning. */
function standingSomewhere(
  window: SessionWindow,
  { floating: { grid } }: Profile,
  desk: DeskInForce,
): SessionWindow {
  const isFree = window.held === 'floating' || window.held === 'left-alone';
  if (!isFree) return window;
  const monitor = monitorOf(desk, window.monitor);
  const { standing } = window;
  if (!standing) {
    const first = firstFloatingRect(window, monitor, { grid });
    return { ...window, standing: toFloatingRect(first, monitor) };
  }
  return { ...window, standing: givenFloatingRect(window.held, standing, monitor) };
}

function lastOpenedIn(session: Session): SessionWindow | undefined {
  return session.windows.findLast((window) => isShown(session, window));
}

/** At least as many as there are, so that a new window's id was never another's. */
function countsOfOpened(input: SessionInput): Record<string, number> {
  const opened: Record<string, number> = {};
  for (const { app, id } of input.windows)
    opened[app ?? id] = (ownEntry(opened, app ?? id) ?? 0) + 1;
  for (const [app, count] of Object.entries(input.opened)) {
    opened[app] = Math.max(count, ownEntry(opened, app) ?? 0);
  }
  return opened;
}
