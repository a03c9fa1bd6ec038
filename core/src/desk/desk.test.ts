import { describe, expect, it } from 'vitest';
import { unknownNames } from '../checkup/unknown-names.ts';
import { profileSchema } from '../model/profile.ts';
import { OFFICE, testDesk } from '../testing/desk.ts';
import { DIRECTIONS, type Direction } from '../values/direction.ts';
import { deskInForce } from './desk.ts';
import { matchMonitor, withMonitorKnownAs } from './match.ts';
import { neighbourOf } from './neighbours.ts';
import { monitorNamed } from './roles.ts';

const office = deskInForce(profileSchema.parse(OFFICE), {}).monitors;
const named = (id: string) => office.find((monitor) => monitor.id === id)!;

describe('neighbours', () => {
  it('come from where monitors stand on the Office desk', () => {
    const next = (id: string, direction: Direction) =>
      neighbourOf(named(id), direction, office)?.id ?? null;
    expect(DIRECTIONS.map((direction) => next('wide', direction))).toEqual([
      null,
      'tall',
      null,
      'lap',
    ]);
    expect(DIRECTIONS.map((direction) => next('tall', direction))).toEqual([
      'wide',
      null,
      null,
      null,
    ]);
    expect(DIRECTIONS.map((direction) => next('lap', direction))).toEqual([
      null,
      'tall',
      'wide',
      null,
    ]);
  });
});

describe('the desk in force', () => {
  const profile = profileSchema.parse({
    monitors: [
      { id: 'a', width: 100, height: 80 },
      { id: 'b', width: 200, height: 80, x: 999 },
      { id: 'c', width: 300, height: 80 },
    ],
    desks: [
      {
        id: 'both',
        monitors: [
          { monitor: 'a', x: 0, y: 0 },
          { monitor: 'b', x: 100, y: 7, scale: 2 },
        ],
      },
      { id: 'alone', monitors: [{ monitor: 'c', x: 0, y: 0 }] },
    ],
  });
  const ids = (connection: object) => {
    const desk = deskInForce(profile, connection);
    return [desk.desk, ...desk.monitors.map(({ id }) => id)];
  };

  it('is the one named, or the one whose monitors are connected, or the nearest to it', () => {
    expect(ids({ desk: 'alone' })).toEqual(['alone', 'c']);
    expect(ids({ connected: ['b', 'a'] })).toEqual(['both', 'a', 'b']);
    expect(ids({ connected: ['b'] })).toEqual(['both', 'b']);
    expect(ids({ connected: ['a', 'b', 'c'] })).toEqual(['both', 'a', 'b', 'c']);
  });

  it('overrides a monitor field by field, and puts one it does not know to the right', () => {
    const desk = deskInForce(profile, { connected: ['a', 'b', 'c'] });
    expect(desk.monitors.map(({ x, y, width, scale }) => [x, y, width, scale])).toEqual([
      [0, 0, 100, 1],
      [100, 7, 200, 2],
      [300, 0, 300, 1],
    ]);
  });

  it('is made up where no desk has any of the monitors: left to right, whatever they say', () => {
    const lone = { id: 'd', width: 50, height: 50, x: 700, y: 70 };
    const more = profileSchema.parse({
      ...profile,
      monitors: [...profile.monitors, lone, { ...lone, id: 'e' }],
    });
    const { desk, because, monitors } = deskInForce(more, { connected: ['e', 'd'] });
    expect(desk).toBeNull();
    expect(because).toBe('no desk has any of the connected monitors: left to right');
    expect(monitors.map(({ id, x, y }) => [id, x, y])).toEqual([
      ['d', 0, 0],
      ['e', 50, 0],
    ]);
  });

  it('stands left to right without desks or positions, a workspace each, named by number', () => {
    const bare = profileSchema.parse({
      monitors: [
        { id: 'a', width: 100, height: 80 },
        { id: 'b', width: 200, height: 80 },
      ],
      workspaces: [{ id: '1', monitor: 'b' }],
    });
    const desk = deskInForce(bare, {});
    expect(desk.monitors.map(({ x }) => x)).toEqual([0, 100]);
    expect(desk.workspaces.map(({ id, name, monitor }) => [id, name, monitor])).toEqual([
      ['1', '1', 'b'],
      ['2', '2', 'a'],
    ]);
  });
});

describe('a desk', () => {
  const profile = profileSchema.parse({
    ...OFFICE,
    desks: [
      { id: 'office', monitors: ['wide', 'tall', 'lap'].map((monitor, i) => at(monitor, i)) },
      { id: 'two', monitors: [at('wide', 0), at('lap', 1)], primary: 'lap', mode: 'mirror' },
      { id: 'hut', monitors: [at('lap', 0)] },
    ],
  });
  function at(monitor: string, i: number) {
    return { monitor, x: i * 4000, y: 0 };
  }
  const because = (connection: object) => deskInForce(profile, connection).because;

  it('says why it applies', () => {
    expect(because({ desk: 'hut' })).toBe('it was chosen');
    expect(because({ connected: ['lap'] })).toBe('its monitors are exactly those connected');
    expect(because({ connected: ['tall', 'lap'] })).toBe(
      'it has the most in common: 2 of the 2 connected, 1 of its own not there',
    );
    expect(because({})).toBe('it is the first in the list');
  });

  it('has its own primary, and shows the same on all, or lights one alone', () => {
    const ids = (connection: object) => {
      const { mode, monitors, others } = deskInForce(profile, connection);
      return [mode, monitors.map(({ id }) => id), others.map(({ id }) => id)];
    };
    expect(ids({ desk: 'two' })).toEqual(['mirror', ['lap'], ['wide']]);
    expect(ids({ desk: 'two', mode: 'extend' })).toEqual(['extend', ['lap', 'wide'], []]);
    expect(ids({ desk: 'office', mode: 'one', only: 'tall' })).toEqual([
      'one',
      ['tall'],
      ['wide', 'lap'],
    ]);
    // One that is not connected cannot be lit.
    expect(ids({ desk: 'hut', mode: 'one', only: 'tall' })).toEqual(['one', ['lap'], []]);
  });
});

describe('a monitor', () => {
  const which = (text: string) => monitorNamed(text, office)?.id ?? null;

  it('is meant by id, name, pattern or role', () => {
    const roles = ['primary', 'widest', 'tallest', 'largest', 'from-left-1', 'from-left-3'];
    expect(roles.map(which)).toEqual(['wide', 'wide', 'tall', 'lap', 'wide', 'tall']);
    expect(['lap', 'l?p', 'W*', 'from-left-4', 'turned', 'lab'].map(which)).toEqual([
      'lap',
      'lap',
      'wide',
      null,
      null,
      null,
    ]);
    const turned = office.map((each) => (each.id === 'tall' ? { ...each, turn: 270 } : each));
    expect(monitorNamed('turned', turned)?.id).toBe('tall');
    const alike = [...office, { ...named('lap'), id: 'x', name: 'widest' }];
    expect(monitorNamed('widest', alike)?.id).toBe('x');
  });

  it('is known by maker, model and serial, else by maker and model, else by its name', () => {
    const { monitors } = profileSchema.parse({
      monitors: [
        { id: 'a', maker: 'KRV', model: '3401', serial: '1', width: 9, height: 9 },
        { id: 'b', maker: 'KRV', model: '3401', serial: '2', width: 9, height: 9 },
        { id: 'c', maker: 'KRV', model: '2701', width: 9, height: 9 },
        { id: 'd', namePattern: 'Briefing*', width: 9, height: 9 },
        { id: 'e', name: 'Panel', width: 9, height: 9 },
      ],
    });
    const by = (device: object) => {
      const match = matchMonitor(monitors, device);
      return match && `${match.monitor.id} by ${match.by}`;
    };
    const wide = { maker: 'KRV', model: '3401' };
    expect(by({ ...wide, serial: '2' })).toBe('b by maker, model and serial');
    expect(by(wide)).toBe('a by maker and model');
    expect(by({ ...wide, serial: '3' })).toBeNull();
    expect(by({ maker: 'KRV', model: '2701', serial: '9' })).toBe('c by maker and model');
    expect(by({ name: 'briefing wall' })).toBe('d by name');
    expect(by({ name: 'Panel' })).toBe('e by name');
    expect(by({})).toBeNull();
  });

  it('is known by what a person says it is, whatever it was known by before', () => {
    const office = profileSchema.parse({
      monitors: [
        { id: 'a', maker: 'KRV', model: '3401', serial: '1', width: 9, height: 9 },
        { id: 'b', name: 'Panel', width: 9, height: 9 },
        { id: 'c', namePattern: 'DP-*', width: 9, height: 9 },
      ],
    });
    const devices = [
      { maker: 'KRV', model: '3401', serial: '1', name: 'DP-1' },
      { maker: 'KRV', model: '3401', name: 'DP-1' },
      { name: 'Panel' },
      { name: 'DP-3' },
    ];
    for (const device of devices)
      for (const { id } of office.monitors) {
        const known = withMonitorKnownAs(office, id, device);
        expect(matchMonitor(known.monitors, device)?.monitor.id).toBe(id);
        // By hand again, to another one.
        const again = withMonitorKnownAs(known, 'c', device);
        expect(matchMonitor(again.monitors, device)?.monitor.id).toBe('c');
      }
  });
});

describe('a home', () => {
  const desks = [
    { id: 'office', monitors: office.map(({ id, x, y }) => ({ monitor: id, x, y })) },
    { id: 'hut', monitors: [{ monitor: 'lap', x: 0, y: 0 }] },
  ];
  const homes = (monitor: string, connected: string[], more: object = {}) => {
    const monitors = OFFICE.monitors.map((each) => ({ ...each, ...(each.id === 'tall' && more) }));
    const profile = profileSchema.parse({
      ...OFFICE,
      monitors,
      desks,
      workspaces: [{ id: 'W', monitor }],
    });
    const home = deskInForce(profile, { connected }).workspaces.find(({ id }) => id === 'W')!;
    return `${home.monitor}: ${home.because}`;
  };
  const all = ['wide', 'tall', 'lap'];

  it('by role means something on every desk', () => {
    expect(homes('tallest', all)).toBe('tall: its home is: tallest');
    expect(homes('tallest', ['lap'])).toBe('lap: its home is: tallest');
    expect(homes('from-left-2', all)).toBe('lap: its home is: from-left-2');
    expect(homes('turned', all)).toBe('wide: no monitor here is turned: the primary');
    expect(homes('walll', all)).toBe('wide: no monitor is called walll: the primary');
  });

  it('that is not there falls back: to the one named, the neighbour where it stood, the primary', () => {
    expect(homes('tall', all)).toBe('tall: it is at home there');
    expect(homes('tall', ['wide', 'lap'])).toBe('wide: tall is not there: this is its neighbour');
    expect(homes('tall', ['lap'])).toBe('lap: tall is not there: this is its neighbour');
    expect(homes('tall', ['wide', 'lap'], { fallback: 'l*' })).toBe(
      'lap: tall is not there: this is its fallback',
    );
    expect(homes('tall', ['wide'], { fallback: 'lap' })).toBe(
      'wide: tall is not there: this is its neighbour',
    );
    // The longer side counts where both stand at no distance.
    expect(homes('wide', ['tall', 'lap'])).toBe('lap: wide is not there: this is its neighbour');
  });

  it('that no desk has is found, and a mistyped name, with the nearest', () => {
    const profile = profileSchema.parse({
      ...OFFICE,
      desks,
      workspaces: [
        { id: 'A', monitor: 'widset' },
        { id: 'B', monitor: 'talll' },
        { id: 'C', monitor: 'turned' },
      ],
    });
    expect(unknownNames(profile)).toEqual([
      { path: 'workspaces[0].monitor', value: 'widset', nearest: 'widest' },
      { path: 'workspaces[1].monitor', value: 'talll', nearest: 'tall' },
    ]);
    const { findings } = testDesk(profile).placed();
    expect(findings.map(({ kind }) => kind)).toEqual(['unknown-name', 'unknown-name']);
  });
});
