import type { Profile } from '../model/profile.ts';
import type { Mode } from '../values/window.ts';
import { chooseDesk } from './desk-choice.ts';
import { homedWorkspaces, type HomedWorkspace, type Connection } from './homes.ts';
import { deskMonitors, type DeskMonitor } from './monitors.ts';

/** The desk that applies now: its monitors, the first of them the primary, and the home of each workspace. */
export interface DeskInForce {
  /** Id of the profile's desk; null for a made-up one. */
  desk: string | null;
  name: string;
  /** Why this desk is in force. */
  because: string;
  mode: Mode;
  /** Those that show windows. */
  monitors: readonly DeskMonitor[];
  /** Connected ones that show the same as the primary, or nothing because another is lit alone. */
  others: readonly DeskMonitor[];
  workspaces: readonly HomedWorkspace[];
  /** All monitors show the same workspace, and each has its own windows of it. */
  joined: boolean;
  /** A direction past the last monitor comes in again on the other side. */
  wraps: boolean;
}

const newest = new WeakMap<Profile, { connection: Connection; desk: DeskInForce }>();
/** True where nothing differs that decides what stands where. */
function isSameConnection(some: Connection, other: Connection): boolean {
  return (
    some.desk === other.desk &&
    some.connected === other.connected &&
    some.mode === other.mode &&
    some.only === other.only &&
    some.workspacesMade === other.workspacesMade &&
    some.workspacesClosed === other.workspacesClosed &&
    some.workspacesPut === other.workspacesPut
  );
}

/** Decides what stands where: the desk that applies, its mode, and the monitor of every workspace. */
export function deskInForce(profile: Profile, connection: Connection): DeskInForce {
  // Asked for at every step, while it hardly ever changes.
  const known = newest.get(profile);
  if (known && isSameConnection(known.connection, connection)) return known.desk;
  const desk = decided(profile, connection);
  newest.set(profile, { connection, desk });
  return desk;
}

function decided(profile: Profile, connection: Connection): DeskInForce {
  const ids = profile.monitors.map(({ id }) => id);
  const connected = connection.connected?.filter((id) => ids.includes(id));
  const { desk, because } = chooseDesk(profile, connection.desk, connected);
  const wanted = connected ?? desk?.monitors.map((entry) => entry.monitor) ?? ids;
  const there = deskMonitors(profile, desk, wanted);
  // A desk none of whose monitors exist would leave no place to stand: all monitors are used then.
  const all = there.length > 0 ? there : deskMonitors(profile, desk);
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
export function monitorOf(desk: DeskInForce, id: string): DeskMonitor {
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
