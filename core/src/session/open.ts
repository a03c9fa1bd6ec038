import {
  deskInForce,
  monitorFor,
  monitorOf,
  workspacesOn,
  type DeskInForce,
} from '../desk/desk.ts';
import { nearestName } from '../profile/nearest.ts';
import type { Profile } from '../profile/schema.ts';
import type { Finding } from './findings.ts';
import type { SessionInput, WindowInput } from './schema.ts';
import {
  isShown,
  mendOrders,
  windowOf,
  withFocus,
  type Session,
  type SessionWindow,
} from './session.ts';
import { firstStanding } from './standing.ts';

/** A session ready to run, and what in its file could not be taken as it was. */
export interface Opened {
  session: Session;
  findings: Finding[];
}

/**
 * Makes a running session of what a file says: windows get a monitor and a workspace, monitors get a
 * workspace to show, orders are completed. A name that matches nothing is a finding, and what it stood
 * for falls back to the default.
 */
export function openSession(input: SessionInput, profile: Profile): Opened {
  const findings: Finding[] = [];
  const unknown = (path: string, value: string, names: readonly string[]) =>
    findings.push({ kind: 'unknown-name', path, value, nearest: nearestName(value, names) });

  // What lasts only while a key is held, or until something else is done, does not outlive a visit.
  const { switching: _choice, shaping: _steps, desktop, calledBack: _back, ...kept } = input;
  const { desk: deskId, focus, pocket, minimised, joined: _was, ...rest } = kept;
  const deskIds = profile.desks.map((desk) => desk.id);
  const deskKnown = deskId !== undefined && deskIds.includes(deskId);
  if (deskId !== undefined && !deskKnown) unknown('desk', deskId, deskIds);
  const monitorIds = profile.monitors.map((monitor) => monitor.id);
  input.connected?.forEach((id, i) => {
    if (!monitorIds.includes(id)) unknown(`connected[${i}]`, id, monitorIds);
  });

  const desk = deskInForce(profile, input);
  const shown = shownWorkspaces(input, desk);
  const windows = input.windows.map((window, i): SessionWindow => {
    const { asked, homeMissing } = askedPlace(window, desk);
    if (asked.workspace === null) {
      unknown(`windows[${i}].workspace`, window.workspace!, ids(desk.workspaces));
    }
    if (homeMissing) unknown(`windows[${i}].monitor`, window.monitor!, ids(desk.monitors));
    const workspace =
      asked.workspace ?? shown[asked.monitor ?? desk.monitors[0]!.id] ?? desk.workspaces[0]!.id;
    const home = desk.workspaces.find(({ id }) => id === workspace)!;
    const monitor = monitorFor(desk, home, asked.monitor ?? desk.monitors[0]!.id);
    if (asked.monitor !== undefined && asked.monitor !== monitor) {
      findings.push({
        kind: 'elsewhere',
        window: window.id,
        workspace,
        monitor,
        asked: asked.monitor,
      });
    }
    return standingSomewhere({ ...window, workspace, monitor }, desk);
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
    windows.filter((window) => window.minimised),
  );
  let session: Session = mendOrders({
    ...rest,
    ...(deskKnown && { desk: deskId }),
    ...(desk.joined && { joined: true }),
    ...(desktop && !desktop.whileHeld && { desktop }),
    ...(pocketed.length > 0 && { pocket: pocketed }),
    ...(hidden.length > 0 && { minimised: hidden }),
    windows,
    shown,
    opened: countsOfOpened(input),
    recent: [...new Set([...recent, ...newestFirst])],
    focusMonitor: monitorOf(desk, input.focusMonitor ?? '').id,
  });
  const named = windowOf(session, focus);
  // What is out of sight cannot have the focus.
  if (session.desktop) return { session, findings };
  const focused =
    (named && named.held !== 'pocketed' && !named.minimised ? named : undefined) ??
    (input.focusMonitor === undefined ? lastOpenedIn(session) : undefined);
  if (focused) session = withFocus(session, focused);
  return { session, findings };
}

function ids(list: readonly { id: string }[]): string[] {
  return list.map((item) => item.id);
}

/** What a window asks for: a workspace (null when there is no such one), and a monitor that exists. */
function askedPlace(window: WindowInput, desk: DeskInForce) {
  const workspace =
    window.workspace === undefined
      ? undefined
      : (desk.workspaces.find((home) => home.id === window.workspace)?.id ?? null);
  const monitor = desk.monitors.find((candidate) => candidate.id === window.monitor)?.id;
  return {
    asked: { workspace, monitor },
    homeMissing: window.monitor !== undefined && monitor === undefined,
  };
}

function shownWorkspaces(input: SessionInput, desk: DeskInForce): Record<string, string> {
  const shown: Record<string, string> = {};
  if (desk.joined) {
    const wanted = Object.values(input.shown).find((id) =>
      desk.workspaces.some((workspace) => workspace.id === id),
    );
    const all = wanted ?? desk.workspaces[0]!.id;
    return Object.fromEntries(desk.monitors.map(({ id }) => [id, all]));
  }
  for (const monitor of desk.monitors) {
    const here = workspacesOn(desk, monitor.id);
    const wanted = here.find((workspace) => workspace.id === input.shown[monitor.id]);
    shown[monitor.id] = (wanted ?? here[0])!.id;
  }
  return shown;
}

/** A window in sight that no tile holds must stand somewhere from the beginning. */
function standingSomewhere(window: SessionWindow, desk: DeskInForce): SessionWindow {
  const isFree = window.held === 'floating' || window.held === 'left-alone';
  if (!isFree || window.standing) return window;
  return { ...window, standing: firstStanding(window, monitorOf(desk, window.monitor)) };
}

function lastOpenedIn(session: Session): SessionWindow | undefined {
  return session.windows.findLast((window) => isShown(session, window));
}

/** At least as many as there are, so that a new window's id was never another's. */
function countsOfOpened(input: SessionInput): Record<string, number> {
  const opened: Record<string, number> = {};
  for (const { app, id } of input.windows) opened[app ?? id] = (opened[app ?? id] ?? 0) + 1;
  for (const [app, count] of Object.entries(input.opened)) {
    opened[app] = Math.max(count, opened[app] ?? 0);
  }
  return opened;
}
