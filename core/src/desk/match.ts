import { without } from '../model/object-fields.ts';
import type { Monitor, Profile } from '../model/profile.ts';
import { fitsPattern } from './roles.ts';

/** What a connected device tells of itself. */
export interface Device {
  maker?: string;
  model?: string;
  serial?: string;
  name?: string;
}

/** A monitor of the profile that a device is taken for, and by what. */
export interface Match {
  monitor: Monitor;
  by: 'maker, model and serial' | 'maker and model' | 'name';
}

/**
 * The profile with one of its monitors known by what a device tells of itself: by maker, model and serial where it
 * tells them, else by its name. No other monitor is known by just that any more.
 */
export function withMonitorKnownAs(profile: Profile, id: string, device: Device): Profile {
  const { maker, model, serial, name } = device;
  const isModel = maker !== undefined && model !== undefined;
  const known = isModel
    ? { maker, model, ...(serial !== undefined && { serial }) }
    : name !== undefined
      ? { namePattern: name }
      : {};
  const fields = Object.keys(known) as (keyof typeof known)[];
  return {
    ...profile,
    monitors: profile.monitors.map((monitor) => {
      const rest = without(monitor, isModel ? ['maker', 'model', 'serial'] : ['namePattern']);
      if (monitor.id === id) return { ...rest, ...known };
      const isSame = fields.length > 0 && fields.every((field) => monitor[field] === known[field]);
      return isSame ? rest : monitor;
    }),
  };
}

/**
 * Which of the profile's monitors a device is: by maker, model and serial, else by maker and model, else
 * by its name (a monitor's own, or a pattern for it). Null when it is none of them.
 */
export function matchMonitor(monitors: readonly Monitor[], device: Device): Match | null {
  const isModel = (monitor: Monitor) =>
    device.maker !== undefined &&
    device.model !== undefined &&
    monitor.maker === device.maker &&
    monitor.model === device.model;
  const exact = monitors.find(
    (monitor) =>
      isModel(monitor) && device.serial !== undefined && monitor.serial === device.serial,
  );
  if (exact) return { monitor: exact, by: 'maker, model and serial' };
  // Another one of the same model, with a serial of its own, is another monitor.
  const alike = monitors.find(
    (monitor) => isModel(monitor) && (monitor.serial === undefined || device.serial === undefined),
  );
  if (alike) return { monitor: alike, by: 'maker and model' };
  const { name } = device;
  if (name === undefined) return null;
  // A name that a person wrote for it comes before one that is alike.
  const written = monitors.find(({ namePattern }) => namePattern === name);
  if (written) return { monitor: written, by: 'name' };
  const named = monitors.find(
    (monitor) =>
      monitor.name === name ||
      (monitor.namePattern !== undefined && fitsPattern(name, monitor.namePattern)),
  );
  return named ? { monitor: named, by: 'name' } : null;
}

/** A device in words. */
export function deviceText({ name, maker, model, serial }: Device): string {
  return name ?? ([maker, model, serial].filter(Boolean).join(' ') || 'a device without a name');
}
