import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { testDesk } from '../testing/desk.ts';
import { Look, missOf } from './expect.ts';
import { readExpectation } from './expectation-text.ts';

const soFar = { marks: new Map(), presses: 0, before: null };

/** What is found instead of what a sentence says; null where it holds. */
function found(desk: ReturnType<typeof testDesk>, sentence: string): string | null {
  const { session, profile } = desk;
  const look = new Look({ session, profile, keys: {} as never, down: [], now: 0 });
  const expectation = readExpectation(sentence);
  if (typeof expectation === 'string') throw new Error(expectation);
  return missOf(expectation, look, soFar)?.found ?? null;
}

const SIDE = 12;
/** Windows stand on a board of few cells, so that they often touch. */
const anyWindow = fc
  .tuple(
    fc.nat(SIDE - 2),
    fc.nat(SIDE - 2),
    fc.integer({ min: 1, max: 5 }),
    fc.constantFrom(1, 2, 5),
  )
  .map(([x, y, width, height]) => ({
    x,
    y,
    width: Math.min(width, SIDE - x),
    height: Math.min(height, SIDE - y),
  }));
type Cells = typeof anyWindow extends fc.Arbitrary<infer T> ? T : never;

const covers = ({ x, y, width, height }: Cells, column: number, row: number) =>
  column >= x && column < x + width && row >= y && row < y + height;

/**
 * Cell by cell: what lies between two windows in the rows that both have, from the one to the other. Where they touch,
 * that is what lies over the edge, in the cells on both sides of it.
 */
function besideAlongRows(one: Cells, other: Cells, others: readonly Cells[]): boolean {
  const has = (window: Cells, row: number) => row >= window.y && row < window.y + window.height;
  const rows = Array.from({ length: SIDE }, (_, row) => row).filter(
    (row) => has(one, row) && has(other, row),
  );
  const [left, right] = one.x < other.x ? [one, other] : [other, one];
  if (rows.length === 0 || left.x + left.width > right.x) return false;
  const edge = left.x + left.width;
  for (const row of rows)
    for (const each of others) {
      if (edge === right.x && covers(each, edge - 1, row) && covers(each, edge, row)) return false;
      for (let column = edge; column < right.x; column++)
        if (covers(each, column, row)) return false;
    }
  return true;
}

const turned = ({ x, y, width, height }: Cells): Cells => ({
  x: y,
  y: x,
  width: height,
  height: width,
});

describe('windows beside each other', () => {
  const at = (id: string, place: Cells, more: object = {}) => ({
    id,
    app: id,
    held: 'floating',
    standing: {
      x: place.x * 50,
      y: place.y * 50,
      width: place.width * 50,
      height: place.height * 50,
    },
    ...more,
  });
  const profile = {
    monitors: [
      { id: 'm', x: 0, y: 0, width: SIDE * 50, height: SIDE * 50 },
      { id: 'n', x: SIDE * 50, y: 0, width: SIDE * 50, height: SIDE * 50 },
    ],
    workspaces: [
      { id: '1', monitor: 'm' },
      { id: '2', monitor: 'm' },
      { id: '3', monitor: 'n' },
    ],
    apps: ['a', 'b', 'c', 'd'].map((id) => ({ id })),
  };

  it('are those between which no other one stands, counted cell by cell', () => {
    const counts = { yes: 0, no: 0 };
    fc.assert(
      fc.property(
        fc.array(anyWindow, { minLength: 2, maxLength: 4 }),
        fc.constantFrom({}, { workspace: '2' }, { mode: { as: 'minimised' } }),
        (places, last) => {
          const ids = ['a', 'b', 'c', 'd'];
          const windows = places.map((place, i) =>
            at(ids[i]!, place, i === 3 ? last : { workspace: '1' }),
          );
          const desk = testDesk(profile, { windows, shown: { m: '1' }, focus: 'a' });
          const [one, other, ...others] = places as [Cells, Cells];
          const seen = others.slice(0, 'workspace' in last || 'mode' in last ? 1 : 2);
          const is =
            besideAlongRows(one, other, seen) ||
            besideAlongRows(turned(one), turned(other), seen.map(turned));
          counts[is ? 'yes' : 'no']++;
          expect(found(desk, 'a is beside b') === null).toBe(is);
          expect(found(desk, 'b is beside a') === null).toBe(is);
        },
      ),
      { numRuns: 400 },
    );
    expect(Math.min(counts.yes, counts.no)).toBeGreaterThan(40);
  });

  it('are both in sight, on one monitor', () => {
    const left = { x: 0, y: 0, width: 4, height: 4 };
    const right = { x: 4, y: 0, width: 4, height: 4 };
    const desk = (more: object) =>
      testDesk(profile, { windows: [at('a', left), at('b', right, more)], shown: { m: '1' } });
    const elsewhere = 'something is between them, or they are elsewhere';
    expect(found(desk({}), 'a is beside b')).toBeNull();
    expect(found(desk({ workspace: '2' }), 'a is beside b')).toBe(elsewhere);
    expect(found(desk({ workspace: '2' }), 'b is beside a')).toBe(elsewhere);
    expect(found(desk({}), 'a is beside c')).toBe('c is not open');
    // Across the edge of two monitors they touch, and are not on one.
    const edge = testDesk(profile, {
      windows: [
        at('a', { x: 8, y: 0, width: 4, height: 4 }),
        at('b', { x: 12, y: 0, width: 4, height: 4 }, { workspace: '3' }),
      ],
    });
    expect(edge.at('b').x).toBe(edge.at('a').x + edge.at('a').width);
    expect(found(edge, 'a is beside b')).toBe(elsewhere);
  });
});

describe('what is at least so large', () => {
  it('is counted in logical pixels, down to whole ones', () => {
    const desk = (scale: number, width: number, height: number) =>
      testDesk(
        { monitors: [{ id: 'm', width: 2000, height: 1000, scale }], apps: [{ id: 'a' }] },
        {
          windows: [
            { id: 'a', app: 'a', held: 'floating', standing: { x: 0, y: 0, width, height } },
          ],
        },
      );
    const least = (of: ReturnType<typeof testDesk>) => found(of, 'a is at least 301 × 201');
    expect(least(desk(1.5, 451, 301))).toBeNull();
    expect(least(desk(1.5, 450, 301))).toBe('it is 450 × 301');
    expect(least(desk(1.5, 451, 300))).toBe('it is 451 × 300');
    expect(least(desk(1, 301, 201))).toBeNull();
  });
});

describe('a workspace that is not there', () => {
  it('has no layout, and that is said', () => {
    const desk = testDesk({ monitors: [{ id: 'm', width: 900, height: 600 }] }, {});
    expect(found(desk, 'workspace 1 has layout lead')).toBeNull();
    expect(found(desk, 'workspace 1 has layout rows')).toBe('it has layout lead');
    expect(found(desk, 'workspace Q has layout lead')).toBe('workspace Q is not there');
  });
});

describe('what holds for every window', () => {
  const profile = {
    monitors: ['m', 'n'].map((id, i) => ({
      id,
      x: i * 500,
      y: 0,
      width: 500,
      height: 400,
      scale: 2,
    })),
    workspaces: [
      { id: '1', monitor: 'm' },
      { id: '2', monitor: 'n' },
    ],
    tiling: { layout: { kind: 'columns' } },
  };
  const desk = (...all: object[]) =>
    testDesk(profile, { windows: all.map((each, i) => ({ id: `w${i}`, app: `w${i}`, ...each })) });
  /** The desk with its windows written over by hand, as no event would leave it. */
  const broken = (more: object) => {
    const whole = desk({});
    const windows = whole.session.windows.map((window) => ({ ...window, ...more }));
    return { ...whole, session: { ...whole.session, windows } };
  };

  it('in reach: on a monitor and a workspace that are there, and in sight of a person', () => {
    const says = 'every window is in reach';
    expect(found(desk({}, { workspace: '2' }), says)).toBeNull();
    const outside = { held: 'left-alone', standing: { x: 5000, y: 0, width: 50, height: 50 } };
    expect(found(desk({}, outside), says)).toBe('w1 is outside every monitor');
    expect(found(desk({ ...outside, minimised: true }), says)).toBeNull();
    expect(found(broken({ workspace: 'gone' }), says)).toBe(
      'w0 is on workspace gone, which is not there',
    );
  });

  it('on the monitor of its workspace, unless it is everywhere', () => {
    const says = 'every window is on the monitor of its workspace';
    expect(found(desk({}, { workspace: '2' }), says)).toBeNull();
    expect(found(broken({ monitor: 'n' }), says)).toBe('w0 is on n; its workspace 1 is on m');
    expect(found(broken({ monitor: 'n', everywhere: true }), says)).toBeNull();
  });

  it('at least its minimum, in its monitor’s pixels', () => {
    const says = 'every window is at least its minimum';
    // Half of 500 is 250 pixels, 125 at a scale of 2.
    const width = (least: number) => desk({ min: { width: least, height: 1 } }, {});
    const both = (least: number) => ({ min: { width: least, height: 1 } });
    expect(found(desk(both(125), both(125)), says)).toBeNull();
    expect(found(width(125), says)).toBeNull();
    expect(found(desk(both(126), both(126)), says)).toBe('w0 is 250 × 400, under its minimum');
    const high = { min: { width: 1, height: 201 } };
    expect(found(desk(high), says)).toBe('w0 is 500 × 400, under its minimum');
    expect(found(desk({ min: { width: 1, height: 200 } }), says)).toBeNull();
  });
});

describe('what is told in place of what was expected', () => {
  const profile = {
    monitors: ['m', 'n'].map((id, i) => ({ id, x: i * 900, y: 0, width: 900, height: 600 })),
    workspaces: [
      { id: '1', monitor: 'm' },
      { id: '2', monitor: 'm' },
      { id: '3', monitor: 'n' },
    ],
    apps: ['a', 'b', 'c'].map((id) => ({ id })),
    boards: [
      {
        id: 'board',
        columns: [1, 1, 1],
        rows: [1],
        zones: ['left', 'middle', 'right'].map((name, i) => ({
          name,
          columns: [i + 1, i + 1] as [number, number],
          rows: [1, 1] as [number, number],
        })),
      },
    ],
  };
  const layouts = fc.constantFrom(
    { kind: 'columns' },
    { kind: 'board', board: 'board' },
    { kind: 'lead', leadCount: 2 },
  );
  const anyDesk = fc
    .tuple(
      layouts,
      fc.array(
        fc.record({
          held: fc.constantFrom('tiled', 'tiled', 'tiled', 'floating', 'pocketed'),
          workspace: fc.constantFrom('1', '1', '2', '3'),
          stayAbove: fc.boolean(),
        }),
        { minLength: 3, maxLength: 3 },
      ),
      fc.array(
        fc.constantFrom(
          'focus-next',
          'move-earlier',
          'stay-above',
          'float',
          'pocket',
          'focus-left',
          'minimise',
          'full-screen',
        ),
        { maxLength: 6 },
      ),
    )
    .map(([layout, windows, commands]) =>
      testDesk(
        { ...profile, tiling: { layout } },
        {
          windows: windows.map((each, i) => ({ id: 'abc'[i], app: 'abc'[i], ...each })),
          focus: 'a',
        },
      ).run(...(commands as 'float'[])),
    );

  /** By what is asked of a window: every answer there can be. */
  const ASKED: [says: string, tells: string, values: readonly string[]][] = [
    ['on monitor', 'it is on', ['m', 'n']],
    ['on workspace', 'it is on workspace', ['1', '2', '3']],
    ['in zone', 'it is in', ['left', 'middle', 'right']],
    ['number', 'it is number', ['1', '2', '3', '4']],
  ];

  it('is what does hold', () => {
    const seen = new Map<string, number>();
    fc.assert(
      fc.property(anyDesk, (desk) => {
        for (const app of ['a', 'b', 'c'])
          for (const [says, tells, values] of ASKED) {
            const answers = values.map((value) => found(desk, `${app} is ${says} ${value}`));
            const holding = values.filter((_, i) => answers[i] === null);
            const told = new Set(answers.filter((answer) => answer !== null));
            const meant = holding.length > 0 ? `${tells} ${holding.join(', ')}` : null;
            if (meant !== null) expect([...told]).toEqual([meant]);
            else expect(['it is in no zone', 'it is in no tile']).toContain([...told].join());
            seen.set(`${says} ${holding.length}`, (seen.get(`${says} ${holding.length}`) ?? 0) + 1);
          }
      }),
      { numRuns: 200 },
    );
    for (const often of ['in zone 0', 'in zone 1', 'number 0', 'number 1'])
      expect([often, (seen.get(often) ?? 0) > 20]).toEqual([often, true]);
  });

  it('of its number is its place among the columns, from left to right', () => {
    fc.assert(
      fc.property(anyDesk, (desk) => {
        if (desk.profile.tiling.layout?.kind !== 'columns') return;
        for (const workspace of ['1', '2', '3']) {
          const tiled = ['a', 'b', 'c']
            .map((id) => desk.at(id))
            .filter((at) => at.workspace === workspace && at.held === 'tiled' && at.shown)
            .filter((at) => desk.session.windows.find(({ id }) => id === at.id)?.mode === undefined)
            .sort((one, other) => one.x - other.x);
          tiled.forEach(({ id }, i) => {
            expect(found(desk, `${id} is number ${i + 1}`)).toBeNull();
            expect(found(desk, `${id} is the lead`) === null).toBe(i === 0);
          });
        }
      }),
      { numRuns: 200 },
    );
  });

  it('of how it is held and seen is all that holds', () => {
    const states = {
      tiled: 'tiled',
      floating: 'floating',
      pocketed: 'pocketed',
      'left alone': 'left-alone',
      'the lead': 'lead',
      'above the others': 'above',
      shown: 'shown',
      hidden: 'hidden',
      focused: 'focused',
    };
    fc.assert(
      fc.property(anyDesk, (desk) => {
        for (const app of ['a', 'b', 'c']) {
          const answers = Object.entries(states).map(
            ([words, state]) => [state, found(desk, `${app} is ${words}`)] as const,
          );
          const holding = answers.flatMap(([state, answer]) => (answer === null ? [state] : []));
          for (const [, answer] of answers)
            if (answer !== null)
              expect(answer.replace('it is ', '').split(', ').sort()).toEqual([...holding].sort());
          const leads = desk.profile.tiling.layout?.kind === 'lead' ? [1, 2] : [1];
          const isLead = leads.some((at) => found(desk, `${app} is number ${at}`) === null);
          expect(holding.includes('lead')).toBe(isLead);
          expect(holding.includes('focused')).toBe(desk.session.focus === app);
          expect(holding.includes('shown')).toBe(desk.at(app).shown);
          expect(holding.includes('hidden')).toBe(!desk.at(app).shown);
        }
      }),
      { numRuns: 150 },
    );
  });
});
