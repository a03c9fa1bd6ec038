import type { Monitor } from '../model/profile.ts';
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
