import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { deskMonitors } from '../desk/monitors.ts';
import { faultText, read } from '../values/faults.ts';
import {
  asWritten,
  machineOf,
  profileOn,
  withoutMachineField,
  withoutMachineMain,
  type MachineField,
} from './on-machine.ts';
import { profileSchema, type Profile } from './profile.ts';

const FIELDS = ['scale', 'width', 'turn', 'maker', 'x'] as const;
type Field = (typeof FIELDS)[number];
const ON_DESKS: readonly Field[] = ['scale', 'width', 'turn', 'x'];
const HOSTS = ['tower', 'laptop', 'elsewhere'] as const;
const MONITORS = ['a', 'b'] as const;

const VALUES: Record<Field, fc.Arbitrary<unknown>> = {
  scale: fc.constantFrom(1, 1.25, 2),
  width: fc.constantFrom(1920, 2560, 3840),
  turn: fc.constantFrom(0, 90),
  maker: fc.constantFrom('Korvane', 'Ostrel'),
  x: fc.constantFrom(0, 40, -1920),
};
const some = (fields: readonly Field[]) =>
  fc.record(Object.fromEntries(fields.map((field) => [field, VALUES[field]])), {
    requiredKeys: [],
  }) as fc.Arbitrary<Partial<Record<Field, unknown>>>;

const otherwise = (host: string) =>
  fc.record({
    host: fc.constant(host),
    main: fc.option(fc.constantFrom('Alt', 'Ctrl'), { nil: undefined }),
    monitors: fc
      .subarray([...MONITORS])
      .chain((ids) =>
        fc.tuple(...ids.map((monitor) => some(FIELDS).map((over) => ({ monitor, ...over })))),
      ),
  });
const anyProfile: fc.Arbitrary<Profile> = fc
  .record({
    own: fc.tuple(some(FIELDS), some(FIELDS)),
    entries: fc.tuple(some(ON_DESKS), some(ON_DESKS), some(ON_DESKS)),
    machines: fc.subarray(['tower', 'laptop']).chain((hosts) => fc.tuple(...hosts.map(otherwise))),
  })
  .map(({ own, entries: [one, two, three], machines }) =>
    profileSchema.parse(
      JSON.parse(
        JSON.stringify({
          monitors: MONITORS.map((id, i) => ({ id, width: 1920, height: 1080, ...own[i] })),
          desks: [
            {
              id: 'office',
              monitors: [
                { monitor: 'a', x: 0, y: 0, ...one },
                { monitor: 'b', x: 1920, y: 0, ...two },
              ],
            },
            { id: 'hut', monitors: [{ monitor: 'b', x: 0, y: 0, ...three }] },
          ],
          machines,
        }),
      ),
    ),
  );

/** All that a machine can have otherwise, as the profile says it, looked up one by one. */
function cells(profile: Profile): Map<string, unknown> {
  const table = new Map<string, unknown>();
  for (const host of HOSTS) {
    const machine = profile.machines.find((each) => each.host === host);
    table.set(`${host} main`, machine?.main ?? profile.keys.main);
    for (const id of MONITORS) {
      const over = machine?.monitors.find((each) => each.monitor === id) as
        Partial<Record<Field, unknown>> | undefined;
      const own = profile.monitors.find((each) => each.id === id) as Partial<
        Record<Field, unknown>
      >;
      for (const field of FIELDS) table.set(`${host} ${id} ${field}`, over?.[field] ?? own[field]);
      for (const desk of profile.desks) {
        const entry = desk.monitors.find(({ monitor }) => monitor === id);
        const said = entry as Partial<Record<Field, unknown>> | undefined;
        for (const field of ON_DESKS)
          if (said) table.set(`${host} ${desk.id}/${id} ${field}`, over?.[field] ?? said[field]);
      }
    }
  }
  return table;
}

/** The same, as a profile that was laid over for a machine has it. */
function cellsOn(profile: Profile, host: string): Map<string, unknown> {
  const all = cells({ ...profileOn(profile, host), machines: [] });
  return new Map([...all].filter(([name]) => name.startsWith(`${host} `)));
}

const hasOwn = (profile: Profile, host: string, id: string, field: Field) =>
  profile.machines
    .find((each) => each.host === host)
    ?.monitors.some((each) => each.monitor === id && each[field] !== undefined) ?? false;

const anyEdit = fc.record({
  host: fc.constantFrom(...HOSTS),
  isHere: fc.boolean(),
  id: fc.constantFrom(...MONITORS),
  /** The monitor's own, or of a desk. */
  of: fc.constantFrom('own', 'office', 'hut'),
  change: fc
    .constantFrom(...FIELDS)
    .chain((field) => VALUES[field].map((value) => ({ field, value }))),
});

const edited = (
  profile: Profile,
  edit: { id: string; of: string },
  field: Field,
  value: unknown,
) => ({
  ...profile,
  monitors: profile.monitors.map((each) =>
    edit.of === 'own' && each.id === edit.id ? { ...each, [field]: value } : each,
  ),
  desks: profile.desks.map((desk) =>
    desk.id === edit.of
      ? {
          ...desk,
          monitors: desk.monitors.map((each) =>
            each.monitor === edit.id ? { ...each, [field]: value } : each,
          ),
        }
      : desk,
  ),
});

describe('a profile on a machine', () => {
  it('is as it is written with what the machine has otherwise', () => {
    fc.assert(
      fc.property(anyProfile, fc.constantFrom(...HOSTS), (profile, host) => {
        const said = [...cells(profile)].filter(([name]) => name.startsWith(`${host} `));
        expect(cellsOn(profile, host)).toEqual(new Map(said));
        const here = profileOn(profile, host);
        const [one, other] = deskMonitors(here, here.desks[0]!);
        const table = cells(profile);
        for (const monitor of [one!, other!]) {
          const at = (field: Field) =>
            table.get(`${host} office/${monitor.id} ${field}`) ??
            table.get(`${host} ${monitor.id} ${field}`);
          expect([monitor.scale, monitor.width, monitor.x]).toEqual([
            at('scale'),
            at('width'),
            at('x'),
          ]);
        }
      }),
      { numRuns: 300 },
    );
  });

  it('is edited where its value comes from, and nowhere else', () => {
    let alone = 0;
    fc.assert(
      fc.property(anyProfile, anyEdit, (profile, edit) => {
        const { host, isHere, id, of } = edit;
        const { field, value } = edit.change;
        const isThere =
          of === 'own' ||
          profile.desks.some(
            (desk) => desk.id === of && desk.monitors.some((each) => each.monitor === id),
          );
        fc.pre(isThere && (of === 'own' || ON_DESKS.includes(field)));
        const before = profileOn(profile, host);
        const cell = of === 'own' ? id : `${of}/${id}`;
        const table = cells(profile);
        fc.pre(table.get(`${host} ${cell} ${field}`) !== value);
        const written = asWritten(
          profile,
          before,
          edited(before, edit, field, value),
          host,
          isHere,
        );
        expect(read(profileSchema, written).ok).toBe(true);

        const isAlone = isHere || hasOwn(profile, host, id, field);
        if (isAlone) alone += 1;
        const expected = new Map(table);
        for (const name of table.keys()) {
          const [machine = '', what = '', its] = name.split(' ');
          if (its !== field) continue;
          const isIts = what === id || what.endsWith(`/${id}`);
          // What a machine has otherwise counts wherever the monitor stands.
          if (isAlone && machine === host && isIts) expected.set(name, value);
          if (!isAlone && what === cell && !hasOwn(profile, machine, id, field))
            expected.set(name, value);
        }
        expect(cells(written)).toEqual(expected);
        expect(cellsOn(written, host)).toEqual(
          new Map([...expected].filter(([name]) => name.startsWith(`${host} `))),
        );
      }),
      { numRuns: 500 },
    );
    expect(alone).toBeGreaterThan(50);
  });

  it('is set back field by field; a machine on which nothing is otherwise is gone', () => {
    const profile = profileSchema.parse({
      monitors: [{ id: 'a', width: 1920, height: 1080 }],
      machines: [{ host: 'tower', main: 'Alt', monitors: [{ monitor: 'a', scale: 2, turn: 90 }] }],
    });
    const one = withoutMachineField(profile, 'TOWER', 'a', 'scale');
    expect(one.machines).toEqual([
      { host: 'tower', main: 'Alt', monitors: [{ monitor: 'a', turn: 90 }] },
    ]);
    const two = withoutMachineField(one, 'tower', 'a', 'turn' satisfies MachineField);
    expect(two.machines).toEqual([{ host: 'tower', main: 'Alt', monitors: [] }]);
    expect(withoutMachineMain(two, 'tower').machines).toEqual([]);
    expect(withoutMachineMain(two, 'laptop')).toBe(two);
  });

  it('leaves all that is not otherwise the same objects, and lists after edits of other parts', () => {
    const profile = profileSchema.parse({
      monitors: [{ id: 'a', width: 1920, height: 1080 }],
      machines: [{ host: 'tower', monitors: [{ monitor: 'a', scale: 2 }] }],
    });
    expect(profileOn(profile, 'laptop')).toBe(profile);
    const here = profileOn(profile, 'tower');
    expect([here.keys, here.rules, here.tiling]).toEqual([
      profile.keys,
      profile.rules,
      profile.tiling,
    ]);
    const edit = { ...here, tiling: { ...here.tiling, growStep: 9 } };
    const next = asWritten(profile, here, edit, 'tower');
    expect(next.monitors).toBe(profile.monitors);
    expect(profileOn(next, 'tower').monitors).toBe(here.monitors);
    expect(profileOn(next, 'tower').desks).toBe(here.desks);
  });

  it('writes what is new as it is, and leaves out what goes', () => {
    const profile = profileSchema.parse({
      monitors: MONITORS.map((id) => ({ id, width: 1920, height: 1080 })),
      desks: [{ id: 'office', monitors: MONITORS.map((monitor) => ({ monitor, x: 0, y: 0 })) }],
      machines: [{ host: 'tower', monitors: [{ monitor: 'a', scale: 2 }] }],
    });
    const before = profileOn(profile, 'tower');
    const [a, b] = before.monitors as [Profile['monitors'][0], Profile['monitors'][0]];
    const [office] = before.desks as [Profile['desks'][0]];
    const c = { ...b, id: 'c' };
    const hut = { ...office, id: 'hut', monitors: [{ monitor: 'c', x: 7, y: 0 }] };
    const grown = { ...office, monitors: [...office.monitors, { monitor: 'c', x: 9, y: 0 }] };
    const more = { ...before, monitors: [a, b, c], desks: [grown, hut] };
    const written = asWritten(profile, before, more, 'tower');
    expect(written.monitors).toEqual([...profile.monitors, c]);
    expect(written.desks).toEqual([
      {
        ...profile.desks[0],
        monitors: [...profile.desks[0]!.monitors, { monitor: 'c', x: 9, y: 0 }],
      },
      hut,
    ]);
    const less = asWritten(profile, before, { ...before, monitors: [b], desks: [] }, 'tower');
    expect([less.monitors, less.desks]).toEqual([[profile.monitors[1]], []]);
  });

  it('knows its machine by its whole name or the first part of it, in any letters', () => {
    const profile = profileSchema.parse({
      monitors: [{ id: 'a', width: 1920, height: 1080 }],
      machines: [{ host: 'tower' }, { host: 'tower.home' }],
    });
    const found = (host: string) => machineOf(profile, host)?.host;
    expect(['Tower', 'tower.home', 'tower.office', 'towers', 'laptop'].map(found)).toEqual([
      'tower',
      'tower.home',
      'tower',
      undefined,
      undefined,
    ]);
  });

  it('changes the main modifier of the machine alone, or of all', () => {
    const profile = profileSchema.parse({
      monitors: [{ id: 'a', width: 1920, height: 1080 }],
      machines: [{ host: 'tower', main: 'Alt' }],
    });
    const set = (host: string, isHere: boolean) => {
      const before = profileOn(profile, host);
      const after: Profile = { ...before, keys: { ...before.keys, main: 'Ctrl' } };
      const { keys, machines } = asWritten(profile, before, after, host, isHere);
      return [keys.main, ...machines.map((each) => `${each.host} ${each.main}`)];
    };
    expect(set('tower', false)).toEqual(['Meta', 'tower Ctrl']);
    expect(set('laptop', false)).toEqual(['Ctrl', 'tower Alt']);
    expect(set('laptop', true)).toEqual(['Meta', 'tower Alt', 'laptop Ctrl']);
  });

  it('tells machines and monitors that come twice', () => {
    const twice = read(profileSchema, {
      monitors: [{ id: 'a', width: 1920, height: 1080 }],
      machines: [
        { host: 'tower', monitors: [{ monitor: 'a' }, { monitor: 'a' }] },
        { host: 'Tower' },
        { host: 'a b' },
      ],
    });
    expect(twice.ok ? [] : twice.faults.map(faultText)).toEqual([
      'machines[2].host: "a b"; expected a host name: 1 to 253 characters without spaces or slashes',
      'machines[0].monitors[1].monitor: "a"; expected a monitor that no other entry of this machine is about',
      'machines[1].host: "Tower"; expected a host name that no other of the machines has, in capitals or small letters',
    ]);
  });
});
