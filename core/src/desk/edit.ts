import { freeNumber } from '../values/workspace-letter.ts';
import type { Desk, DeskEntry, Monitor, Profile } from '../model/profile.ts';
import type { DeskInForce } from './desk.ts';
import type { DeskMonitor } from './monitors.ts';

/**
 * A name made from text that no other has: "Korvane Wide 34" becomes korvane-wide-34.
 * @param plain what stands for a text of which no letter can be used
 */
export function freeId(text: string, taken: readonly string[], plain = 'monitor'): string {
  const base =
    text
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 60) || plain;
  let id = base;
  for (let number = 2; taken.includes(id); number++) id = `${base}-${number}`;
  return id;
}

/** The profile with the desk in force written down: a made-up one becomes one of its desks. */
export function withDeskWritten(
  profile: Profile,
  { desk, monitors, others }: DeskInForce,
): { profile: Profile; desk: string } {
  if (desk !== null) return { profile, desk };
  const id = freeId(
    'desk',
    profile.desks.map((each) => each.id),
  );
  const written: Desk = {
    id,
    name: 'Desk',
    mode: 'extend',
    monitors: [...monitors, ...others].map(({ id: monitor, x, y }) => ({ monitor, x, y })),
  };
  return { profile: { ...profile, desks: [...profile.desks, written] }, desk: id };
}

export function withDesk(profile: Profile, id: string, change: (desk: Desk) => Desk): Profile {
  return { ...profile, desks: profile.desks.map((desk) => (desk.id === id ? change(desk) : desk)) };
}

/** Changes how a monitor stands on a desk, and there alone. */
export function withEntry(
  profile: Profile,
  desk: string,
  monitor: string,
  patch: Partial<DeskEntry>,
): Profile {
  return withDesk(profile, desk, (there) => ({
    ...there,
    monitors: there.monitors.map((entry) =>
      entry.monitor === monitor ? { ...entry, ...patch } : entry,
    ),
  }));
}

/** A monitor turned a quarter clockwise where it stands: its sides change places, its upper left corner stays. */
export function turnedBy90({ width, height, turn }: DeskMonitor): Partial<DeskEntry> {
  return { width: height, height: width, turn: ((turn + 90) % 360) as 0 | 90 | 180 | 270 };
}

/**
 * Puts one more monitor on a desk, edge to edge with the one farthest to the right and in line with its upper edge, so
 * that it touches one and overlaps none. One that is new in the profile gets a workspace of its own, where the
 * profile names workspaces.
 *
 * @param monitors those that stand on the desk
 */
export function withMonitorOnDesk(
  profile: Profile,
  desk: string,
  monitor: Monitor,
  monitors: readonly DeskMonitor[],
): Profile {
  const isNew = !profile.monitors.some(({ id }) => id === monitor.id);
  const right = ({ x, width }: DeskMonitor) => x + width;
  const [first, ...others] = monitors;
  const last = others.reduce((a, b) => (a && right(b) > right(a) ? b : a), first);
  const [x, y] = last ? [right(last), last.y] : [0, 0];
  const there = isNew ? withNewMonitor(profile, monitor) : profile;
  return withDesk(there, desk, (before) => ({
    ...before,
    monitors: [...before.monitors, { monitor: monitor.id, x, y }],
  }));
}

function withNewMonitor(profile: Profile, monitor: Monitor): Profile {
  const { workspaces } = profile;
  const id = freeNumber(workspaces.map((each) => each.id));
  return {
    ...profile,
    monitors: [...profile.monitors, monitor],
    // Without a list each monitor has one anyway, called by a number.
    ...(workspaces.length > 0 && { workspaces: [...workspaces, { id, monitor: monitor.id }] }),
  };
}

/** A desk without a monitor; the profile keeps it for other desks. The last one stays. */
export function withoutMonitorOnDesk(profile: Profile, desk: string, monitor: string): Profile {
  return withDesk(profile, desk, (before) => {
    const monitors = before.monitors.filter((entry) => entry.monitor !== monitor);
    if (monitors.length === 0) return before;
    const { primary, only, ...rest } = before;
    return {
      ...rest,
      monitors,
      ...(primary !== undefined && primary !== monitor && { primary }),
      ...(only !== undefined && only !== monitor && { only }),
    };
  });
}

/** A desk more, with the monitors that stand there now. */
export function withNewDesk(
  profile: Profile,
  name: string,
  present: readonly DeskMonitor[],
): { profile: Profile; desk: string } {
  const id = freeId(
    name,
    profile.desks.map((desk) => desk.id),
  );
  const monitors = present.map(({ id: monitor, ...position }): DeskEntry => {
    const own = profile.monitors.find((each) => each.id === monitor)!;
    const { x, y, width, height, turn, scale, reserved } = position;
    const isOwnSize = width === own.width && height === own.height;
    return {
      monitor,
      x,
      y,
      ...(!isOwnSize && { width, height }),
      ...(turn !== (own.turn ?? 0) && { turn: turn as 0 | 90 | 180 | 270 }),
      ...(scale !== own.scale && { scale }),
      ...(reserved !== own.reserved && { reserved }),
    };
  });
  const desk: Desk = { id, name, mode: 'extend', monitors };
  return { profile: { ...profile, desks: [...profile.desks, desk] }, desk: id };
}

export function withoutDesk(profile: Profile, id: string): Profile {
  return { ...profile, desks: profile.desks.filter((desk) => desk.id !== id) };
}
