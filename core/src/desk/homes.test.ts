import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { profileSchema } from '../model/profile.ts';
import { deskInForce } from './desk.ts';

interface Box {
  id: string;
  x: number;
  y: number;
  width: number;
  height: number;
}

const IDS = ['a', 'b', 'c', 'd'];
const CELL = 100;

/** Monitors on a grid of cells, none on another, so that many are equally far. */
const anyMonitors: fc.Arbitrary<Box[]> = fc
  .array(
    fc.tuple(fc.nat(7), fc.nat(7), fc.integer({ min: 1, max: 3 }), fc.integer({ min: 1, max: 3 })),
    { minLength: 3, maxLength: 4 },
  )
  .map((list) =>
    list.map(([x, y, width, height], i) => ({
      id: IDS[i]!,
      x: x * CELL,
      y: y * CELL,
      width: width * CELL,
      height: height * CELL,
    })),
  )
  .filter((all) => all.every((one, i) => all.slice(i + 1).every((other) => !isOver(one, other))));

/** The cells that a monitor covers, as "column row". */
function cellsOf({ x, y, width, height }: Box): [number, number][] {
  const cells: [number, number][] = [];
  for (let column = x / CELL; column < (x + width) / CELL; column++)
    for (let row = y / CELL; row < (y + height) / CELL; row++) cells.push([column, row]);
  return cells;
}

function isOver(one: Box, other: Box): boolean {
  const cells = new Set(cellsOf(one).map(String));
  return cellsOf(other).some((cell) => cells.has(String(cell)));
}

/** How far two monitors are apart: over all pairs of their cells, with the empty cells between them. */
function apart(one: Box, other: Box): number {
  const between = (a: number, b: number) => Math.max(0, Math.abs(a - b) - 1);
  const pairs = cellsOf(one).flatMap(([x, y]) =>
    cellsOf(other).map(([column, row]) => between(x, column) ** 2 + between(y, row) ** 2),
  );
  return Math.min(...pairs);
}

/** The longest side along each other: columns or rows that both have. */
function along(one: Box, other: Box): number {
  const both = (axis: 0 | 1) => {
    const has = new Set(cellsOf(one).map((cell) => cell[axis]));
    return [...new Set(cellsOf(other).map((cell) => cell[axis]))].filter((at) => has.has(at))
      .length;
  };
  return Math.max(both(0), both(1));
}

const profileOf = (monitors: Box[], more: object = {}) =>
  profileSchema.parse({
    monitors,
    workspaces: monitors.map(({ id }) => ({ id: `ws-${id}`, monitor: id })),
    ...more,
  });
const isOn = (profile: ReturnType<typeof profileOf>, id: string, connected: string[], more = {}) =>
  deskInForce(profile, { connected, ...more }).workspaces.find((each) => each.id === `ws-${id}`);

describe('a workspace whose monitor is not there', () => {
  it('is on the nearest of those that are, then on the one with the longest side along it', () => {
    let ties = 0;
    fc.assert(
      fc.property(anyMonitors, fc.nat(3), (monitors, nth) => {
        const gone = monitors[nth % monitors.length]!;
        const there = monitors.filter((each) => each !== gone);
        const profile = profileOf(monitors);
        const { monitor, because } = isOn(
          profile,
          gone.id,
          there.map(({ id }) => id),
        )!;
        const nearest = Math.min(...there.map((each) => apart(gone, each)));
        const near = there.filter((each) => apart(gone, each) === nearest);
        const longest = Math.max(...near.map((each) => along(gone, each)));
        const best = near.filter((each) => along(gone, each) === longest);
        if (near.length > best.length) ties++;
        expect(best.map(({ id }) => id)).toContain(monitor);
        expect(because).toBe(`${gone.id} is not there: this is its neighbour`);
      }),
      { numRuns: 400 },
    );
    expect(ties).toBeGreaterThan(5);
  });

  const ROW = ['a', 'b', 'c'].map((id, i) => ({ id, x: i * 400, y: 0, width: 400, height: 300 }));

  it('is on the fallback that its monitor names, or on the primary where it stood nowhere', () => {
    const named = ROW.map((each) => (each.id === 'a' ? { ...each, fallback: 'c' } : each));
    expect(isOn(profileOf(named), 'a', ['b', 'c'])).toMatchObject({
      monitor: 'c',
      because: 'a is not there: this is its fallback',
    });
    expect(isOn(profileOf(named), 'a', ['b'])).toMatchObject({
      monitor: 'b',
      because: 'a is not there: this is its neighbour',
    });
    // On no desk both stand: the primary takes it.
    const desks = [
      { id: 'one', monitors: [{ monitor: 'a', x: 0, y: 0 }] },
      {
        id: 'two',
        primary: 'c',
        monitors: [
          { monitor: 'c', x: 0, y: 0 },
          { monitor: 'b', x: 400, y: 0 },
        ],
      },
    ];
    expect(isOn(profileOf(ROW, { desks }), 'a', ['b', 'c'])).toMatchObject({
      monitor: 'c',
      because: 'a is not there: this is the primary',
    });
  });

  it('goes by the desk on which it stood with most of those that are there', () => {
    const place = (monitor: string, x: number) => ({ monitor, x, y: 0 });
    const desks = [
      { id: 'few', monitors: [place('b', 0), place('a', 400)] },
      { id: 'there', monitors: [place('b', 0), place('c', 400)] },
      { id: 'all', monitors: [place('a', 0), place('c', 400), place('b', 800)] },
      { id: 'less', monitors: [place('b', 0), place('a', 400)] },
    ];
    expect(isOn(profileOf(ROW, { desks }), 'a', ['b', 'c'])?.monitor).toBe('c');
  });
});

describe('why a workspace is on its monitor', () => {
  const monitors = ['a', 'b'].map((id, i) => ({
    id,
    name: `The ${id.toUpperCase()} one`,
    x: i * 400,
    y: 0,
    width: 400,
    height: 300,
  }));
  const home = (monitor: string | undefined, connected = ['a', 'b'], more: object = {}) => {
    const workspaces = [{ id: 'ws-w', ...(monitor !== undefined && { monitor }) }];
    const on = isOn(profileSchema.parse({ monitors, workspaces }), 'w', connected, more)!;
    return `${on.monitor}: ${on.because}`;
  };

  it('is told: at home by id or name, by a pattern, put there by key, or what took its place', () => {
    expect(home('b')).toBe('b: it is at home there');
    expect(home('The B one')).toBe('b: it is at home there');
    expect(home('* B *')).toBe('b: its home is: * B *');
    expect(home(undefined)).toBe('a: no home is set: the primary');
    expect(home('b', ['a'])).toBe('a: The B one is not there: this is its neighbour');
    expect(home('The B one', ['a'])).toBe('a: The B one is not there: this is its neighbour');
    expect(home('* B *', ['a'])).toBe('a: The B one is not there: this is its neighbour');
    expect(home('none')).toBe('a: no monitor is called none: the primary');
    const put = (monitor: string) => ({ workspacesPut: [{ id: 'ws-w', monitor }] });
    expect(home('a', ['a', 'b'], put('b'))).toBe('b: it was put there by key');
    expect(home('a', ['a'], put('b'))).toBe('a: The B one is not there: this is its neighbour');
    const other = { workspacesPut: [{ id: 'other', monitor: 'b' }] };
    expect(home('a', ['a', 'b'], other)).toBe('a: it is at home there');
    const made = { workspacesMade: [{ id: 'ws-w', monitor: 'b' }] };
    expect(home('a', ['a', 'b'], made)).toBe('a: it is at home there');
  });

  it('is no reason to have it twice where a session made one of its name', () => {
    const profile = profileSchema.parse({ monitors, workspaces: [{ id: 'w', monitor: 'a' }] });
    const made = [
      { id: 'w', monitor: 'b' },
      { id: 'v', monitor: 'b' },
    ];
    const desk = deskInForce(profile, { workspacesMade: made });
    expect(desk.workspaces.map(({ id, monitor }) => `${id} ${monitor}`)).toEqual(['w a', 'v b']);
  });
});
