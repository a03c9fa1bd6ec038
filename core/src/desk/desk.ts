import type { Edges, Rect } from '../geometry/rect.ts';
import type { Mode, Profile } from '../profile/schema.ts';
import { deskApplying } from './applies.ts';
import { homedWorkspaces } from './homes.ts';
import { placedMonitors } from './placed.ts';

/** A connected monitor where it stands: its rectangle on the joint desktop, in physical pixels. */
export interface PlacedMonitor extends Rect {
  id: string;
  name: string;
  /** Degrees, clockwise; width and height are those after turning. */
  turn: number;
  scale: number;
  /** Logical pixels. */
  reserved: Edges;
}

/** A workspace and the monitor it is on. */
export interface HomedWorkspace {
  id: string;
  name: string;
  monitor: string;
  /** Why it is on that monitor. */
  because: string;
  /** It is there only because its monitor has no other. */
  isMadeUp?: true;
}

/** The physical situation in force. The first monitor is the primary one. */
export interface DeskInForce {
  /** Id of the profile's desk; null for a made-up one. */
  desk: string | null;
  name: string;
  /** Why this desk is in force. */
  because: string;
  mode: Mode;
  /** Those that show windows. */
  monitors: readonly PlacedMonitor[];
  /** Connected ones that show the same as the primary, or nothing because another is lit alone. */
  others: readonly PlacedMonitor[];
  workspaces: readonly HomedWorkspace[];
  /** All monitors show the same workspace, and each has its own windows of it. */
  joined: boolean;
  /** A direction past the last monitor comes in again on the other side. */
  wraps: boolean;
}

/** What a session says of its surroundings. */
export interface Connection {
  desk?: string;
  connected?: readonly string[];
  mode?: Mode;
  only?: string;
  workspacesMade?: readonly { id: string; monitor: string }[];
  workspacesClosed?: readonly string[];
  workspacesPut?: readonly { id: string; monitor: string }[];
}

const newest = new WeakMap<Profile, { connection: Connection; desk: DeskInForce }>();
const CONNECTION = [
  'desk',
  'connected',
  'mode',
  'only',
  'workspacesMade',
  'workspacesClosed',
  'workspacesPut',
] as const;

/** Decides what stands where: the desk that applies, its mode, and the monitor of every workspace. */
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
  const ids = profile.monitors.map(({ id }) => id);
  const connected = connection.connected?.filter((id) => ids.includes(id));
  const { desk, because } = deskApplying(profile, connection.desk, connected);
  const wanted = connected ?? desk?.monitors.map((entry) => entry.monitor) ?? ids;
  const there = placedMonitors(profile, desk, wanted);
  // A desk none of whose monitors exist would leave no place to stand: all monitors are used then.
  const all = there.length > 0 ? there : placedMonitors(profile, desk);
  const mode = connection.mode ?? desk?.mode ?? 'extend';
  const lit = all.find(({ id }) => id === (connection.only ?? desk?.only)) ?? all[0]!;
  const monitors = mode === 'extend' ? all : [mode === 'one' ? lit : all[0]!];
  const others = all.filter((monitor) => !monitors.includes(monitor));
  const name = monitors[0]!.name;
  const dark = (id: string) => {
    if (!others.some((monitor) => monitor.id === id)) return null;
    return mode === 'mirror' ? `shows the same as ${name}` : `is dark while ${name} alone is lit`;
  };
  return {
    desk: desk?.id ?? null,
    name: desk ? (desk.name ?? desk.id) : 'Monitors as connected',
    because,
    mode,
    monitors,
    others,
    workspaces: homedWorkspaces(profile, monitors, connection, dark),
    joined: profile.tiling.workspacesAre === 'joined',
    wraps: profile.tiling.pastLastMonitor === 'wrap',
  };
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
