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
  const edit = new MachineEdit(machineOf(after, host) ?? { host, monitors: [] }, was, isHere);
  const monitors = edit.list(written.monitors, before.monitors, after.monitors, (each) => each.id);
  const desks =
    after.desks === before.desks
      ? written.desks
      : after.desks.map((desk) => {
          const [own, former] = [written, before].map(({ desks: all }) =>
            all.find(({ id }) => id === desk.id),
          );
          if (!own || !former) return desk;
          if (desk === former) return own;
          const entries = edit.list(
            own.monitors,
            former.monitors,
            desk.monitors,
            (each) => each.monitor,
          );
          return { ...desk, monitors: entries };
        });
  const keys = edit.keys(written.keys, before.keys, after.keys);
  return { ...after, monitors, desks, keys, machines: withMachine(after.machines, edit.machine) };
}

/** What an edit changes for one machine alone, gathered while the rest is put back as it was written. */
class MachineEdit {
  machine: Machine;
  private readonly was: Machine | undefined;
  private readonly isHere: boolean;

  constructor(machine: Machine, was: Machine | undefined, isHere: boolean) {
    this.machine = machine;
    this.was = was;
    this.isHere = isHere;
  }

  keys(written: Profile['keys'], before: Profile['keys'], after: Profile['keys']): Profile['keys'] {
    if (after === before) return written;
    const isIts = this.was?.main !== undefined;
    const isChanged = after.main !== before.main;
    if (!isIts && !(isChanged && this.isHere)) return after;
    if (isChanged) this.machine = { ...this.machine, main: after.main };
    return { ...after, main: written.main };
  }

  /** Monitors, or what desks say of them. */
  list<T extends object>(
    written: T[],
    before: readonly T[],
    after: T[],
    idOf: (each: T) => string,
  ): T[] {
    if (after === before) return written;
    return after.map((item) => {
      const id = idOf(item);
      const [own, former] = [written, before].map((all) => all.find((each) => idOf(each) === id));
      if (!own || !former) return item;
      return item === former ? own : this.item(id, own, former, item);
    });
  }

  private item<T extends object>(id: string, written: T, before: T, after: T): T {
    const was = this.was?.monitors.find(({ monitor }) => monitor === id);
    const at = (item: T, name: MachineField) =>
      (item as Partial<Record<MachineField, unknown>>)[name];
    let result = after;
    for (const name of MONITOR_FIELDS) {
      const isIts = was?.[name] !== undefined;
      const isChanged = !isEqual(at(after, name), at(before, name));
      if (!isIts && !(isChanged && this.isHere)) continue;
      if (isChanged) this.machine = withField(this.machine, id, name, at(after, name));
      const { [name as keyof T]: _here, ...rest } = result;
      const own = at(written, name);
      result = (own === undefined ? rest : { ...rest, [name]: own }) as T;
    }
    return result;
  }
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
