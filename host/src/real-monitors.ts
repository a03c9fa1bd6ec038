import { deskInForce, freeId, matchMonitor, readEdid } from '@sorn/core/desk';
import type { Desk, Monitor, Profile } from '@sorn/core/model';
import type { LinkMonitor } from '@sorn/link';

/** The profile as it applies to real monitors, and which of its monitors each of them is. */
export interface RealMonitors {
  /** The profile with each connected monitor where it really stands, and as large. */
  profile: Profile;
  /** The id in the profile by the name that the window system has for it. */
  ids: ReadonlyMap<string, string>;
  /** Names of monitors that the profile does not know: they have its defaults. */
  unknown: readonly string[];
  /** By what each was taken for the profile's, in words, by its name. */
  by: ReadonlyMap<string, string>;
}

/** What a monitor tells of itself. */
export interface DeviceWords {
  name: string;
  maker?: string;
  model?: string;
  serial?: string;
}

/**
 * Takes real monitors for those of a profile: by what they tell of themselves (EDID), else by name or pattern, else
 * by their pixels in the order from the left. One that is none of them is added with the profile's defaults.
 *
 * @param desk the desk that was chosen by key; by what is connected where left out
 */
export function realMonitors(
  profile: Profile,
  connected: readonly LinkMonitor[],
  desk?: string,
): RealMonitors {
  const by = new Map<string, string>();
  const ids = matchedIds(profile, connected, by);
  const added: Monitor[] = [];
  const unknown: string[] = [];
  for (const monitor of connected) {
    if (ids.has(monitor.name)) continue;
    const base = monitor.name.replace(/[\s/]+/g, '-').slice(0, 60) || 'monitor';
    const id = freeId(
      base,
      [...profile.monitors, ...added].map((each) => each.id),
    );
    ids.set(monitor.name, id);
    unknown.push(monitor.name);
    by.set(monitor.name, 'nothing');
    added.push({
      id,
      name: monitor.name,
      width: monitor.width,
      height: monitor.height,
      scale: monitor.scale,
      reserved: { top: 0, right: 0, bottom: 0, left: 0 },
    });
  }
  const byId = new Map(connected.map((monitor) => [ids.get(monitor.name)!, monitor]));
  const monitors = [...profile.monitors, ...added].map((monitor) => {
    const real = byId.get(monitor.id);
    return real ? { ...monitor, ...standing(real, monitor) } : monitor;
  });
  const all = { ...profile, monitors };
  const inForce = deskInForce(all, {
    connected: [...byId.keys()],
    ...(desk !== undefined && { desk }),
  }).desk;
  const desks = profile.desks.map((each) => onDesk(each, each.id === inForce, all, byId));
  return { profile: { ...all, desks }, ids, unknown, by };
}

/** Where a monitor really stands. Its scale is the person's to set. */
function standing(real: LinkMonitor, { scale, reserved }: Pick<Monitor, 'scale' | 'reserved'>) {
  const { x, y, width, height } = real;
  const logical = (pixels: number) => Math.ceil(pixels / scale);
  const docks = real.reserved;
  return {
    x,
    y,
    width,
    height,
    turn: real.turn,
    reserved: docks
      ? {
          top: logical(docks.top),
          right: logical(docks.right),
          bottom: logical(docks.bottom),
          left: logical(docks.left),
        }
      : reserved,
  };
}

/** A desk with its connected monitors where they really stand; the one in force has all that are connected. */
function onDesk(
  desk: Desk,
  isInForce: boolean,
  { monitors }: Profile,
  byId: ReadonlyMap<string, LinkMonitor>,
): Desk {
  const entries = desk.monitors.map((entry) => {
    const real = byId.get(entry.monitor);
    const monitor = monitors.find(({ id }) => id === entry.monitor);
    if (!real || !monitor) return entry;
    const own = {
      scale: entry.scale ?? monitor.scale,
      reserved: entry.reserved ?? monitor.reserved,
    };
    return { ...entry, ...standing(real, own) };
  });
  if (!isInForce) return { ...desk, monitors: entries };
  const listed = new Set(entries.map(({ monitor }) => monitor));
  const others = [...byId].filter(([id]) => !listed.has(id));
  return {
    ...desk,
    monitors: [...entries, ...others.map(([monitor, { x, y }]) => ({ monitor, x, y }))],
  };
}

/** What a monitor tells of itself: by its EDID, where it has one that can be read. */
export function deviceOf({ name, edid }: Pick<LinkMonitor, 'name' | 'edid'>): DeviceWords {
  const told = edid === undefined ? null : readEdid(Buffer.from(edid, 'base64'));
  if (!told?.ok) return { name };
  const { maker, model, serial, name: own } = told.edid;
  return { maker, model, ...(serial !== null && { serial }), name: own ?? name };
}

function matchedIds(
  profile: Profile,
  connected: readonly LinkMonitor[],
  by: Map<string, string>,
): Map<string, string> {
  const ids = new Map<string, string>();
  const isFree = ({ id }: Monitor) => ![...ids.values()].includes(id);
  for (const monitor of connected) {
    const { name } = monitor;
    const free = profile.monitors.filter(isFree);
    const device = deviceOf(monitor);
    const told = matchMonitor(free, device) ?? matchMonitor(free, { name });
    const id = told?.monitor.id ?? free.find((each) => each.id === name)?.id;
    if (id === undefined) continue;
    ids.set(name, id);
    by.set(name, told?.by ?? 'id');
  }
  const fromLeft = [...connected].sort((a, b) => a.x - b.x || a.y - b.y);
  for (const real of fromLeft) {
    if (ids.has(real.name)) continue;
    const alike = profile.monitors.find(
      (monitor) =>
        isFree(monitor) && monitor.width === real.width && monitor.height === real.height,
    );
    if (!alike) continue;
    ids.set(real.name, alike.id);
    by.set(real.name, 'pixels');
  }
  return ids;
}
