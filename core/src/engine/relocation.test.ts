import type { Command } from '../commands/registry.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';

import { workArea } from '../desk/work-area.ts';
import { meet } from '../geometry/rect.ts';
import { profileSchema } from '../model/profile.ts';
import { windowSchema } from '../model/session.ts';
import { OFFICE, testDesk, type TestDesk } from '../testing/desk.ts';
import { LAYOUT_KINDS } from '../values/layout.ts';
import { arrangementKey } from './session.ts';

const ALL = ['wide', 'tall', 'lap', 'wall'];
const WALL = { id: 'wall', width: 1920, height: 1080 };
const MONITORS = [...OFFICE.monitors, WALL];

/** The demo's monitors and a wall, with desks for some of what can be connected. */
const anyProfile = fc.record({
  monitors: fc.constant(MONITORS),
  desks: fc.constantFrom(
    [],
    [
      {
        id: 'all',
        monitors: MONITORS.map(({ id }, i) => ({ monitor: id, x: i * 4000, y: (i % 2) * 500 })),
      },
      { id: 'hut', monitors: [{ monitor: 'lap', x: 0, y: 0 }] },
      {
        id: 'two',
        monitors: [
          { monitor: 'tall', x: 0, y: 0, width: 2560, height: 1440 },
          { monitor: 'wall', x: 2560, y: 0 },
        ],
      },
    ],
  ),
  workspaces: fc.constantFrom([], OFFICE.workspaces, [
    { id: 'B', monitor: 'widest' },
    { id: '1', monitor: 'wall' },
    { id: 'S', monitor: 'tallest' },
    { id: 'R', monitor: 'from-left-2' },
  ]),
  tiling: fc.record({
    layout: fc.constantFrom(...LAYOUT_KINDS).map((kind) => ({ kind })),
    gaps: fc.constant({ inner: 10, outer: 6 }),
    workspacesAre: fc.constantFrom('per-monitor', 'joined'),
  }),
});

const anyWindow = fc.record(
  {
    monitor: fc.constantFrom(...ALL),
    held: fc.constantFrom('tiled', 'tiled', 'floating', 'left-alone'),
    min: fc.record({
      width: fc.integer({ min: 100, max: 900 }),
      height: fc.integer({ min: 80, max: 700 }),
    }),
    aspect: fc.constantFrom(16 / 9, 1),
    resizable: fc.constantFrom(true, false),
  },
  { requiredKeys: ['monitor', 'held'] },
);

const anySession = fc.array(anyWindow, { minLength: 1, maxLength: 7 }).map((windows) => ({
  windows: windows.map((window, i) => ({ id: `w${i}`, ...window })),
  connected: ALL,
}));

const somePlugged = fc.subarray(ALL, { minLength: 0 });

function orderOf({ session }: TestDesk, id: string): readonly string[] {
  const { workspace, monitor } = session.windows.find((window) => window.id === id)!;
  return session.arrangements[arrangementKey(workspace, monitor)]!.order;
}

/** Where a window is and how it is held. */
function holding({ session }: TestDesk, id: string) {
  const { monitor, workspace, held, away } = session.windows.find((window) => window.id === id)!;
  return { monitor, workspace, held, away };
}

describe('monitors unplugged and plugged in again', () => {
  it('in any order, bring everything back to the pixel where nothing else happened', () => {
    fc.assert(
      fc.property(
        anyProfile,
        anySession,
        fc.array(somePlugged, { minLength: 1, maxLength: 6 }),
        (profile, session, times) => {
          const before = testDesk(profile, session);
          const after = times.reduce((desk, plugged) => desk.plug(...plugged), before);
          const back = after.plug(...ALL);
          expect(back.placed()).toEqual(before.placed());
          for (const { id } of before.session.windows) {
            expect(orderOf(back, id)).toEqual(orderOf(before, id));
            expect(holding(back, id)).toEqual(holding(before, id));
          }
          expect(back.session.focus).toBe(before.session.focus);
        },
      ),
      { numRuns: 250 },
    );
  });

  type Doing =
    | { plug: string[] }
    | { open: string; monitor: string }
    | { close: number }
    | { command: Command };
  const anyDoing = fc.oneof<fc.Arbitrary<Doing>[]>(
    { weight: 4, arbitrary: fc.record({ plug: somePlugged }) } as never,
    fc.record({ open: fc.constant(''), monitor: fc.constantFrom(...ALL) }),
    fc.record({ close: fc.nat(9) }),
    fc.record({
      command: fc.constantFrom<Command>(
        { command: 'put-on-monitor', which: 'next' },
        { command: 'put-on-workspace', which: 'next' },
        { command: 'float' },
        { command: 'maximise' },
        { command: 'pocket' },
        { command: 'minimise' },
        { command: 'go-monitor', which: 'next' },
        { command: 'focus-next' },
        { command: 'go-workspace', which: 'next' },
        { command: 'next-layout' },
        { command: 'undo' },
      ),
    }),
  );
  const VISITS = ['go-monitor', 'focus-next', 'go-workspace', 'next-layout'];

  it('bring back every window that no command moved, whatever opens, closes and is moved between', () => {
    fc.assert(
      fc.property(
        anyProfile,
        anySession,
        fc.array(anyDoing, { maxLength: 14 }),
        (profile, session, doings) => {
          const before = testDesk(profile, session);
          const moved = new Set<string | undefined>();
          let desk = before;
          doings.forEach((doing, i) => {
            if ('plug' in doing) desk = desk.plug(...doing.plug);
            else if ('close' in doing) {
              desk = desk.event({ type: 'window-closed', id: `w${doing.close}` });
            } else if ('open' in doing) {
              const window = windowSchema.parse({ id: `new${i}`, monitor: doing.monitor });
              desk = desk.event({ type: 'window-opened', window });
            } else {
              // What is undone was moved before.
              if (!VISITS.includes(doing.command.command)) moved.add(desk.session.focus);
              desk = desk.run(doing.command);
            }
          });
          const back = desk.plug(...ALL);
          const kept = before.session.windows
            .map(({ id }) => id)
            .filter((id) => !moved.has(id) && back.session.windows.some((w) => w.id === id));
          for (const id of kept) {
            expect(holding(back, id)).toEqual(holding(before, id));
            const inOrder = (each: TestDesk) => orderOf(each, id).filter((o) => kept.includes(o));
            expect(inOrder(back)).toEqual(inOrder(before));
          }
          expectSound(back);
        },
      ),
      { numRuns: 400 },
    );
  });
});

/** Every shown window meets a work area, inside where it fits; every window is in one order, on a shown place. */
function expectSound(desk: TestDesk) {
  const { placements, findings } = desk.placed();
  for (const placement of placements.filter(({ shown }) => shown)) {
    const areas = desk.desk.monitors.map((monitor) => workArea(monitor).area);
    if (!areas.some((area) => meet(area, placement))) {
      expect(placement.held).toBe('left-alone');
      expect(findings).toContainEqual({
        kind: 'outside',
        window: placement.id,
        monitor: placement.monitor,
      });
    }
    const monitor = desk.desk.monitors.find(({ id }) => id === placement.monitor)!;
    if (placement.held === 'left-alone' || placement.state === 'full-screen') continue;
    const { area } = workArea(monitor);
    const { x, y, width, height } = placement;
    if (width <= area.width) {
      expect(x >= area.x && x + width <= area.x + area.width, `${placement.id} in x`).toBe(true);
    }
    if (height <= area.height) {
      expect(y >= area.y && y + height <= area.y + area.height, `${placement.id} in y`).toBe(true);
    }
  }
  const { session } = desk;
  const ids = session.windows.map(({ id }) => id);
  const live = Object.entries(session.arrangements).filter(([, { detached }]) => !detached);
  const listed = live.flatMap(([, { order }]) => order);
  expect(listed.filter((id) => ids.includes(id)).length).toBeGreaterThanOrEqual(ids.length);
  for (const window of session.windows) {
    expect(orderOf(desk, window.id)).toContain(window.id);
    expect(desk.desk.monitors.map(({ id }) => id)).toContain(window.monitor);
  }
}

describe('whatever is unplugged, resized, turned or rescaled', () => {
  const anyChange = fc.oneof(
    fc.record({ plug: fc.subarray(ALL, { minLength: 1 }) }),
    fc.record({
      run: fc.constantFrom(
        ['maximise'],
        ['full-screen'],
        ['float-all'],
        ['pocket', 'call-back'],
        ['pause'],
        ['resume'],
        ['move-right'],
        ['focus-next', 'stay-above'],
      ),
    }),
    fc.record({
      monitor: fc.nat(3),
      change: fc.record(
        {
          width: fc.integer({ min: 300, max: 4000 }),
          height: fc.integer({ min: 300, max: 3000 }),
          scale: fc.constantFrom(0.5, 1, 1.25, 2, 3),
          turn: fc.constantFrom(0, 90, 180, 270),
          x: fc.integer({ min: -5000, max: 5000 }),
        },
        { requiredKeys: [] },
      ),
    }),
  );

  it('every shown window meets a work area, inside where it fits, or it is a finding', () => {
    let outside = 0;
    fc.assert(
      fc.property(
        anyProfile,
        anySession,
        fc.array(anyChange, { maxLength: 5 }),
        (profile, session, changes) => {
          let desk = testDesk({ ...profile, desks: [] }, session);
          for (const change of changes) {
            if ('plug' in change) desk = desk.plug(...change.plug);
            else if ('run' in change) {
              desk = desk.run(...change.run);
            } else {
              const monitors = desk.profile.monitors.map((monitor, i) =>
                i === change.monitor ? { ...monitor, ...change.change } : monitor,
              );
              desk = desk.edited(profileSchema.parse({ ...desk.profile, monitors }));
            }
          }
          expectSound(desk);
          const isOut = (each: TestDesk) =>
            each.placed().findings.filter(({ kind }) => kind === 'outside').length;
          outside += isOut(desk);
          // While the engine is paused that waits, as all steps do.
          if (!desk.session.paused) expect(isOut(desk.run('bring-inside'))).toBe(0);
        },
      ),
      { numRuns: 250 },
    );
    expect(outside).toBeGreaterThan(0);
  });

  it('a floating window keeps its share of the work area, and comes back to the pixel', () => {
    const at = (scale: number) => ({
      ...OFFICE,
      monitors: [{ id: 'lap', width: 1000 * scale, height: 800 * scale, scale }],
      workspaces: [],
    });
    const standing = { x: 100, y: 200, width: 500, height: 400 };
    const desk = testDesk(at(1), { windows: [{ id: 'f', held: 'floating', standing }] });
    const large = desk.edited(profileSchema.parse(at(2)));
    expect(large.shapes()).toEqual({ f: '200,400 1000×800' });
    expect(large.edited(desk.profile).shapes()).toEqual({ f: '100,200 500×400' });
  });
});
