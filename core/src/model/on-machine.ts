import isEqual from 'fast-deep-equal';
import { isSameHost, type Machine, type MachineMonitor } from './machine.ts';
import { picked, without } from './object-fields.ts';
import type { Profile } from './profile.ts';

/** What a machine may have otherwise of a monitor, and of where it stands on any desk. */
const PLACE_FIELDS = ['x', 'y', 'width', 'height', 'turn', 'scale', 'reserved'] as const;
const MONITOR_FIELDS = [
  ...PLACE_FIELDS,
  'maker',
  'model',
  'serial',
  'namePattern',
  'millimetres',
] as const;
/** A field of a monitor that a machine may have otherwise. */
export type MachineField = (typeof MONITOR_FIELDS)[number];

/**
 * What is otherwise on a machine; undefined where nothing is.
 * @param host its name, with its domain or without; the whole name counts before its first part
 */
export function machineOf({ machines }: Profile, host: string): Machine | undefined {
  const [first = ''] = host.split('.');
  return (
    machines.find((machine) => isSameHost(machine.host, host)) ??
    machines.find((machine) => isSameHost(machine.host, first))
  );
}

/** What of a monitor is otherwise on a machine; undefined where nothing is. */
export function machineMonitorOf(
  profile: Profile,
  host: string,
  monitor: string,
): MachineMonitor | undefined {
  return machineOf(profile, host)?.monitors.find((each) => each.monitor === monitor);
}

const newest = new WeakMap<Profile, { host: string; profile: Profile }>();

/**
 * A profile as it holds on a machine. What a machine has otherwise of a monitor counts before the monitor's own and
 * before what any desk says of it; its main modifier stands for Main in all bindings. Parts that are not otherwise are
 * the same objects as before.
 */
export function profileOn(profile: Profile, host: string): Profile {
  const known = newest.get(profile);
  if (known?.host === host) return known.profile;
  const machine = machineOf(profile, host);
  const here = machine ? laidOver(profile, machine) : profile;
  newest.set(profile, { host, profile: here });
  return here;
}

/** Lists as they are on a machine, by the list: an edit of other parts leaves them the same objects. */
const listsOf = new WeakMap<Machine, WeakMap<readonly object[], readonly object[]>>();

function laidOver(profile: Profile, machine: Machine): Profile {
  const { main, monitors } = machine;
  const kept = listsOf.get(machine) ?? new WeakMap<readonly object[], readonly object[]>();
  listsOf.set(machine, kept);
  function once<T extends object>(list: T[], make: (each: T) => T): T[] {
    const made = (kept.get(list) as T[] | undefined) ?? list.map(make);
    kept.set(list, made);
    return made;
  }
  const over = <T extends object>(each: T, id: string, names: readonly MachineField[]): T => {
    const its = monitors.find(({ monitor }) => monitor === id);
    return its ? { ...each, ...picked(its, names) } : each;
  };
  return {
    ...profile,
    ...(main !== undefined && { keys: { ...profile.keys, main } }),
    ...(monitors.length > 0 && {
      monitors: once(profile.monitors, (each) => over(each, each.id, MONITOR_FIELDS)),
      desks: once(profile.desks, (desk) => ({
        ...desk,
        monitors: desk.monitors.map((each) => over(each, each.monitor, PLACE_FIELDS)),
      })),
    }),
  };
}

/**
 * What is to be written of an edit that was made on a machine, so that the profile is as edited there. What the machine
 * has otherwise is changed for it alone; all else for every machine.
 *
 * @param written the profile as it was written
 * @param before the same as it holds on the machine: `profileOn(written, host)`
 * @param after that, edited
 * @param isHere all that a machine can have otherwise is changed for this one alone
 */
export function asWritten(
  written: Profile,
  before: Profile,
  after: Profile,
  host: string,
  isHere = false,
): Profile {
  if (after === before) return written;
  const was = machineOf(before, host);
  if (!was && !isHere) return after;
  let machine = machineOf(after, host) ?? { host, monitors: [] };

  /** An object as it is to be written: what holds on this machine alone goes to the machine, and stays here as it was. */
  function putBack<T extends object>(id: string, own: T, former: T, item: T): T {
    const its = was?.monitors.find(({ monitor }) => monitor === id);
    const at = (one: T, name: MachineField) =>
      (one as Partial<Record<MachineField, unknown>>)[name];
    let result = item;
    for (const name of MONITOR_FIELDS) {
      const isIts = its?.[name] !== undefined;
      const isChanged = !isEqual(at(item, name), at(former, name));
      if (!isIts && !(isChanged && isHere)) continue;
      if (isChanged) machine = withField(machine, id, name, at(item, name));
      const { [name as keyof T]: _here, ...rest } = result;
      const value = at(own, name);
      result = (value === undefined ? rest : { ...rest, [name]: value }) as T;
    }
    return result;
  }

  /** Entries of a list likewise; one that is new is written as it is. */
  function list<T extends object>(
    [own, former, now]: readonly [T[], readonly T[], T[]],
    idOf: (each: T) => string,
    put: (own: T, former: T, item: T) => T,
  ): T[] {
    if (now === former) return own;
    return now.map((item) => {
      const [mine, before] = [own, former].map((all) =>
        all.find((each) => idOf(each) === idOf(item)),
      );
      if (!mine || !before) return item;
      return item === before ? mine : put(mine, before, item);
    });
  }

  const monitors = list(
    [written.monitors, before.monitors, after.monitors],
    ({ id }) => id,
    (own, former, item) => putBack(item.id, own, former, item),
  );
  const desks = list(
    [written.desks, before.desks, after.desks],
    ({ id }) => id,
    (own, former, desk) => ({
      ...desk,
      monitors: list(
        [own.monitors, former.monitors, desk.monitors],
        ({ monitor }) => monitor,
        (mine, entry, item) => putBack(item.monitor, mine, entry, item),
      ),
    }),
  );
  const { main } = after.keys;
  const isMainChanged = main !== before.keys.main;
  const isItsMain = was?.main !== undefined || (isMainChanged && isHere);
  if (isItsMain && isMainChanged) machine = { ...machine, main };
  const keys = isItsMain ? { ...after.keys, main: written.keys.main } : after.keys;
  return {
    ...after,
    monitors,
    desks,
    keys: after.keys === before.keys ? written.keys : keys,
    machines: withMachine(after.machines, machine),
  };
}

/** A machine with a field of a monitor otherwise, or as everywhere where the value is undefined. */
function withField(machine: Machine, id: string, name: MachineField, value: unknown): Machine {
  const there = machine.monitors.find(({ monitor }) => monitor === id) ?? { monitor: id };
  const { [name]: _former, ...rest } = there;
  const entry: MachineMonitor = value === undefined ? rest : { ...rest, [name]: value };
  const isNew = !machine.monitors.some(({ monitor }) => monitor === id);
  const monitors = isNew
    ? [...machine.monitors, entry]
    : machine.monitors.map((each) => (each.monitor === id ? entry : each));
  return { ...machine, monitors: monitors.filter((each) => Object.keys(each).length > 1) };
}

/** Machines with one changed or added; one on which nothing is otherwise any more is none of them. */
function withMachine(machines: Profile['machines'], machine: Machine): Profile['machines'] {
  const { host, main, monitors } = machine;
  const former = machines.find((each) => isSameHost(each.host, host));
  if (former === machine) return machines;
  const isEmpty = main === undefined && monitors.length === 0;
  if (isEmpty) return former ? machines.filter((each) => each !== former) : machines;
  if (!former) return [...machines, machine];
  return machines.map((each) => (each === former ? machine : each));
}

/** The profile with a field of a monitor on a machine as it is everywhere. */
export function withoutMachineField(
  profile: Profile,
  host: string,
  monitor: string,
  name: MachineField,
): Profile {
  const machine = machineOf(profile, host);
  if (!machine) return profile;
  const changed = withField(machine, monitor, name, undefined);
  return { ...profile, machines: withMachine(profile.machines, changed) };
}

/** The profile with the main modifier of a machine as it is everywhere. */
export function withoutMachineMain(profile: Profile, host: string): Profile {
  const machine = machineOf(profile, host);
  if (machine?.main === undefined) return profile;
  return { ...profile, machines: withMachine(profile.machines, without(machine, ['main'])) };
}

/** The profile with a machine as all others are. */
export function withoutMachine(profile: Profile, host: string): Profile {
  return { ...profile, machines: profile.machines.filter((machine) => machine.host !== host) };
}

/** How many settings are otherwise on a machine. */
export function countOtherwise({ main, monitors }: Machine): number {
  const fields = monitors.reduce((sum, each) => sum + Object.keys(each).length - 1, 0);
  return fields + (main === undefined ? 0 : 1);
}
