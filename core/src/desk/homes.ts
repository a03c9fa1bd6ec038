import type { Mode } from '../values/window.ts';
import { sharedLength, span, type Rect } from '../geometry/rect.ts';
import type { Profile } from '../model/profile.ts';
import { freeNumber } from '../values/workspace-letter.ts';
import { type DeskMonitor, deskMonitors } from './monitors.ts';
import { fitsPattern, isPattern, isRole, monitorNamed } from './roles.ts';

/**
 * Each workspace on its home monitor, or on the fallback while that is not there. A monitor that no
 * workspace calls home gets one of its own, named by the next free number.
 *
 * @param monitors those that show something, the primary first
 * @param dark why a connected monitor shows nothing of its own: "shows the same as Wide"; null for others
 */
export function homedWorkspaces(
  profile: Profile,
  monitors: readonly DeskMonitor[],
  { workspacesMade = [], workspacesClosed = [], workspacesPut = [] }: Connection,
  dark: Dark,
): HomedWorkspace[] {
  const joined = profile.tiling.workspacesAre === 'joined';
  const homed = (id: string, name: string, home: string | undefined): HomedWorkspace => {
    const put = workspacesPut.find((each) => each.id === id);
    const { monitor, because } = homeOf(profile, put?.monitor ?? home, monitors, dark);
    return {
      id,
      name,
      monitor: monitor.id,
      because: put && because === AT_HOME ? 'it was put there by key' : because,
    };
  };
  const workspaces = profile.workspaces
    .filter(({ id }) => !workspacesClosed.includes(id))
    .map(({ id, name, monitor }) => homed(id, name ?? id, monitor));
  for (const { id, monitor } of workspacesMade) {
    const isNamed = profile.workspaces.some((workspace) => workspace.id === id);
    if (!isNamed) workspaces.push(homed(id, id, monitor));
  }
  const names = [...profile.workspaces, ...workspacesMade].map(({ id }) => id);
  for (const monitor of joined ? monitors.slice(0, 1) : monitors) {
    if (workspaces.some((workspace) => joined || workspace.monitor === monitor.id)) continue;
    const number = freeNumber(names);
    names.push(number);
    workspaces.push({
      id: number,
      name: number,
      monitor: monitor.id,
      because: 'no other workspace is there',
      isMadeUp: true,
    });
  }
  return workspaces;
}

/** A monitor that something is on, and why. */
export interface Homed {
  monitor: DeskMonitor;
  because: string;
}

/** Why a monitor that is connected shows nothing of its own; null for any other. */
type Dark = (monitor: string) => string | null;
const NONE_DARK: Dark = () => null;

const AT_HOME = 'it is at home there';

/** The monitor that a home stands for on this desk: the one with that name or role, else the fallback. */
function homeOf(
  profile: Profile,
  home: string | undefined,
  monitors: readonly DeskMonitor[],
  dark: Dark = NONE_DARK,
): Homed {
  if (home === undefined) return { monitor: monitors[0]!, because: 'no home is set: the primary' };
  const there = monitorNamed(home, monitors);
  if (there) {
    const isExact = there.id === home || there.name === home;
    return { monitor: there, because: isExact ? AT_HOME : `its home is: ${home}` };
  }
  const fits = (name: string) => name === home || (isPattern(home) && fitsPattern(name, home));
  const absent = profile.monitors.find(({ id, name = id }) => fits(id) || fits(name));
  if (absent) return fallbackOf(profile, absent.id, monitors, dark);
  return {
    monitor: monitors[0]!,
    because: `${isRole(home) ? `no monitor here is ${home}` : `no monitor is called ${home}`}: the primary`,
  };
}

/**
 * Where what belongs to a monitor goes while that is not there: to the one named for that, or to its
 * neighbour, the one that stands nearest to it (then with the longest side along it) on a desk that has
 * both, or to the primary. It depends on what is there alone, not on the order in which others went.
 *
 * @param monitors those that are there, the primary first
 */
export function fallbackOf(
  profile: Profile,
  id: string,
  monitors: readonly DeskMonitor[],
  dark: Dark = NONE_DARK,
): Homed {
  const absent = profile.monitors.find((monitor) => monitor.id === id);
  const said = (why: string) => `${absent?.name ?? id} ${dark(id) ?? 'is not there'}: ${why}`;
  const named = absent?.fallback === undefined ? null : monitorNamed(absent.fallback, monitors);
  if (named) return { monitor: named, because: said('this is its fallback') };
  const nearest = neighbourWhereItStood(profile, id, monitors);
  return nearest
    ? { monitor: nearest, because: said('this is its neighbour') }
    : { monitor: monitors[0]!, because: said('this is the primary') };
}

function neighbourWhereItStood(
  profile: Profile,
  id: string,
  monitors: readonly DeskMonitor[],
): DeskMonitor | null {
  const present = new Set(monitors.map((monitor) => monitor.id));
  let stood: DeskMonitor[] | null = null;
  let most = 0;
  for (const desk of profile.desks.length > 0 ? profile.desks : [null]) {
    const all = deskMonitors(
      profile,
      desk,
      desk?.monitors.map(({ monitor }) => monitor),
    );
    const common = all.filter((monitor) => present.has(monitor.id)).length;
    if (common <= most || !all.some((monitor) => monitor.id === id)) continue;
    stood = all;
    most = common;
  }
  const gone = stood?.find((monitor) => monitor.id === id);
  if (!stood || !gone) return null;
  let best: DeskMonitor | null = null;
  for (const monitor of stood) {
    if (!present.has(monitor.id)) continue;
    const nearer = best ? distance(gone, monitor) - distance(gone, best) : -1;
    if (nearer < 0 || (nearer === 0 && side(gone, monitor) > side(gone, best!))) best = monitor;
  }
  return monitors.find((monitor) => monitor.id === best?.id) ?? null;
}

/** Between the nearest points of two rectangles, squared. */
function distance(a: Rect, b: Rect): number {
  const apart = (axis: 'x' | 'y') => Math.max(0, -sharedLength(span(a, axis), span(b, axis)));
  return apart('x') ** 2 + apart('y') ** 2;
}

/** The longest side that two rectangles stand along each other. */
function side(a: Rect, b: Rect): number {
  return Math.max(
    sharedLength(span(a, 'x'), span(b, 'x')),
    sharedLength(span(a, 'y'), span(b, 'y')),
  );
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

/** What a session says of its surroundings; `isSameConnection` in desk.ts compares all of it. */
export interface Connection {
  desk?: string;
  connected?: readonly string[];
  mode?: Mode;
  only?: string;
  workspacesMade?: readonly { id: string; monitor: string }[];
  workspacesClosed?: readonly string[];
  workspacesPut?: readonly { id: string; monitor: string }[];
}
