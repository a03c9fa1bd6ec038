import type { Edges, Rect } from '../geometry/rect.ts';
import { nearestName } from '../profile/nearest.ts';
import type { Desk, Monitor, Profile } from '../profile/schema.ts';

/** A connected monitor where it stands: its rectangle on the joint desktop, in physical pixels. */
export interface PlacedMonitor extends Rect {
  id: string;
  name: string;
  scale: number;
  /** Logical pixels. */
  reserved: Edges;
}

/** A workspace and the monitor it is on. */
export interface HomedWorkspace {
  id: string;
  name: string;
  monitor: string;
}

/** The physical situation in force. The first monitor is the primary one. */
export interface DeskInForce {
  /** Id of the profile's desk; null for a made-up one. */
  desk: string | null;
  name: string;
  monitors: readonly PlacedMonitor[];
  workspaces: readonly HomedWorkspace[];
  /** All monitors show the same workspace, and each has its own windows of it. */
  joined: boolean;
}

/** What a session says of its surroundings. */
export interface Connection {
  desk?: string;
  connected?: readonly string[];
  workspacesMade?: readonly { id: string; monitor: string }[];
  workspacesClosed?: readonly string[];
}

const newest = new WeakMap<Profile, { connection: Connection; desk: DeskInForce }>();
const CONNECTION = ['desk', 'connected', 'workspacesMade', 'workspacesClosed'] as const;

/**
 * Decides the desk: the one named; else the one whose monitors are exactly those connected; else the
 * one with the most in common; else a made-up one, with the monitors where they say or left to right.
 */
export function deskInForce(profile: Profile, connection: Connection): DeskInForce {
  // Asked for at every step, while it hardly ever changes.
  const known = newest.get(profile);
  if (known && CONNECTION.every((field) => known.connection[field] === connection[field])) {
    return known.desk;
  }
  const desk = decided(profile, connection);
  newest.set(profile, { connection, desk });
  return desk;
}

function decided(profile: Profile, connection: Connection): DeskInForce {
  const named = profile.desks.find((desk) => desk.id === connection.desk);
  const connected = connection.connected?.filter((id) =>
    profile.monitors.some((monitor) => monitor.id === id),
  );
  const desk = named ?? (connected ? deskFor(profile, connected) : profile.desks[0]) ?? null;
  const onDesk = desk ? desk.monitors.map((entry) => entry.monitor) : null;
  const ids = connected ?? onDesk ?? profile.monitors.map((monitor) => monitor.id);

  const present = profile.monitors.filter((monitor) => ids.includes(monitor.id));
  // A desk none of whose monitors exist would leave no place to stand: all monitors are used then.
  const monitors = place(present.length > 0 ? present : profile.monitors, desk);
  return {
    desk: desk?.id ?? null,
    name: desk ? (desk.name ?? desk.id) : 'Monitors as connected',
    monitors,
    workspaces: homes(profile, monitors, connection),
    joined: profile.tiling.workspacesAre === 'joined',
  };
}

function deskFor(profile: Profile, connected: readonly string[]): Desk | null {
  const common = (desk: Desk) =>
    desk.monitors.filter((entry) => connected.includes(entry.monitor)).length;
  const exact = profile.desks.find(
    (desk) => desk.monitors.length === connected.length && common(desk) === connected.length,
  );
  if (exact) return exact;
  let best: Desk | null = null;
  for (const desk of profile.desks) {
    if (common(desk) > (best ? common(best) : 0)) best = desk;
  }
  return best;
}

function place(monitors: readonly Monitor[], desk: Desk | null): PlacedMonitor[] {
  let nextX = 0;
  return monitors.map((monitor) => {
    const entry = desk?.monitors.find((candidate) => candidate.monitor === monitor.id);
    const placed: PlacedMonitor = {
      id: monitor.id,
      name: monitor.name ?? monitor.id,
      x: entry?.x ?? (desk ? undefined : monitor.x) ?? nextX,
      y: entry?.y ?? (desk ? undefined : monitor.y) ?? 0,
      width: entry?.width ?? monitor.width,
      height: entry?.height ?? monitor.height,
      scale: entry?.scale ?? monitor.scale,
      reserved: entry?.reserved ?? monitor.reserved,
    };
    nextX = Math.max(nextX, placed.x + placed.width);
    return placed;
  });
}

/**
 * Each workspace on its home monitor, or on the primary while that is not connected. A monitor that no
 * workspace calls home gets one of its own, named by the next free number.
 */
function homes(
  profile: Profile,
  monitors: readonly PlacedMonitor[],
  { workspacesMade = [], workspacesClosed = [] }: Connection,
): HomedWorkspace[] {
  const primary = monitors[0]!.id;
  const joined = profile.tiling.workspacesAre === 'joined';
  const homed = (id: string, name: string, monitor: string | undefined): HomedWorkspace => ({
    id,
    name,
    monitor: monitors.some((candidate) => candidate.id === monitor) ? monitor! : primary,
  });
  const workspaces = profile.workspaces.map(({ id, name, monitor }) =>
    homed(id, name ?? id, monitor),
  );
  for (const monitor of joined ? monitors.slice(0, 1) : monitors) {
    if (workspaces.some((workspace) => joined || workspace.monitor === monitor.id)) continue;
    const number = freeNumber(workspaces.map(({ id }) => id));
    workspaces.push({ id: number, name: number, monitor: monitor.id });
  }
  return [
    ...workspaces.filter(({ id }) => !workspacesClosed.includes(id)),
    ...workspacesMade.map(({ id, monitor }) => homed(id, id, monitor)),
  ];
}

/** The least number, from 1, that is nobody's name. */
export function freeNumber(names: readonly string[]): string {
  let number = 1;
  while (names.includes(String(number))) number++;
  return String(number);
}

/** The monitor with this id, or the primary one. */
export function monitorOf(desk: DeskInForce, id: string): PlacedMonitor {
  return desk.monitors.find((monitor) => monitor.id === id) ?? desk.monitors[0]!;
}

/** The workspaces that a monitor can show. */
export function workspacesOn(desk: DeskInForce, monitor: string): readonly HomedWorkspace[] {
  if (desk.joined) return desk.workspaces;
  return desk.workspaces.filter((workspace) => workspace.monitor === monitor);
}

/** The monitor on which a workspace has a window: its home, or the window's own where all share their workspaces. */
export function monitorFor(desk: DeskInForce, workspace: HomedWorkspace, own: string): string {
  return desk.joined ? own : workspace.monitor;
}

/** A name in the profile that matches nothing. */
export interface UnknownName {
  path: string;
  value: string;
  nearest: string | null;
}

const unknownIn = new WeakMap<Profile, readonly UnknownName[]>();

/** Every reference of the profile to a monitor, workspace or app that is not there. */
export function unknownNames(profile: Profile): readonly UnknownName[] {
  const known = unknownIn.get(profile) ?? lookedUp(profile);
  unknownIn.set(profile, known);
  return known;
}

function lookedUp(profile: Profile): UnknownName[] {
  const ids = (list: readonly { id: string }[]) => list.map((item) => item.id);
  const monitors = ids(profile.monitors);
  const workspaces = ids(profile.workspaces);
  const apps = ids(profile.apps);
  const unknown: UnknownName[] = [];
  const look = (path: string, value: string | undefined, names: readonly string[]) => {
    if (value === undefined || names.includes(value)) return;
    unknown.push({ path, value, nearest: nearestName(value, names) });
  };
  profile.desks.forEach((desk, i) =>
    desk.monitors.forEach((entry, j) =>
      look(`desks[${i}].monitors[${j}].monitor`, entry.monitor, monitors),
    ),
  );
  profile.workspaces.forEach((workspace, i) =>
    look(`workspaces[${i}].monitor`, workspace.monitor, monitors),
  );
  profile.apps.forEach((app, i) => look(`apps[${i}].parent`, app.parent, apps));
  profile.tiling.places.forEach((place, i) => {
    look(`tiling.places[${i}].monitor`, place.monitor, monitors);
    // Without a list of workspaces they are made up, one a monitor.
    if (workspaces.length > 0) look(`tiling.places[${i}].workspace`, place.workspace, workspaces);
  });
  return unknown;
}
