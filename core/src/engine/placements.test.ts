import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { profileSchema } from '../model/profile.ts';
import { sessionSchema } from '../model/session.ts';
import { OFFICE, testDesk, windows } from '../testing/desk.ts';
import { LAYOUT_KINDS } from '../values/layout.ts';
import { openSession } from './open.ts';
import { checkPlacements } from '../checkup/placements.ts';

const WIDE = { id: 'wide', width: 3440, height: 1440, reserved: { top: 28 } };
const LAP = { id: 'lap', width: 2880, height: 1800, scale: 2, reserved: { top: 24, bottom: 40 } };
const lead = (leadShare: number, dropWhenAlone = false) => ({
  layout: { kind: 'lead', leadShare },
  gaps: { inner: 10, outer: 6, dropWhenAlone },
});

function placed(profile: unknown, session: unknown) {
  const whole = profileSchema.parse(profile);
  const opened = openSession(sessionSchema.parse(session), whole);
  const { placements, findings } = checkPlacements(opened.session, whole);
  return { placements, findings: [...opened.findings, ...findings] };
}

describe('the worked examples', () => {
  it('lead 0.58 on the wide monitor', () => {
    const desk = testDesk({ monitors: [WIDE], tiling: lead(0.58) }, windows('p', 'b', 's'));
    expect(desk.shapes()).toEqual({
      p: '6,34 1982×1400',
      b: '1998,34 1436×695',
      s: '1998,739 1436×695',
    });
  });

  it('a lone window without gaps', () => {
    const desk = testDesk({ monitors: [WIDE], tiling: lead(0.58, true) }, windows('p'));
    expect(desk.shapes()).toEqual({ p: '0,28 3440×1412' });
  });

  it('a minimum that holds the lead back', () => {
    const session = { windows: [{ id: 'p' }, { id: 'a', min: { width: 800, height: 600 } }] };
    const desk = testDesk({ monitors: [WIDE], tiling: lead(0.8) }, session);
    expect(desk.shapes()).toEqual({ p: '6,34 2618×1400', a: '2634,34 800×1400' });
  });

  it('seven columns on the built-in panel at scale 2', () => {
    const tiling = { layout: { kind: 'columns' }, gaps: { inner: 10, outer: 6 } };
    const { placements } = placed({ monitors: [LAP], tiling }, windows(...'abcdefg'));
    expect(placements.map(({ x }) => x)).toEqual([12, 423, 834, 1245, 1655, 2066, 2477]);
    expect(placements.map(({ width }) => width)).toEqual([391, 391, 391, 390, 391, 391, 391]);
    expect(placements.every(({ y, height }) => y === 60 && height === 1648)).toBe(true);
  });
});

describe('findings', () => {
  it('names each window under its minimum, the axis, what it has and what it needs', () => {
    const session = {
      windows: [
        { id: 'a', min: { width: 900, height: 500 } },
        { id: 'b', min: { width: 900, height: 100 } },
      ],
    };
    const profile = {
      monitors: [{ id: 'm', width: 1000, height: 400 }],
      tiling: { layout: { kind: 'columns' } },
    };
    expect(placed(profile, session).findings).toEqual([
      {
        kind: 'squeeze',
        window: 'a',
        workspace: '1',
        monitor: 'm',
        axis: 'x',
        has: 500,
        needs: 900,
      },
      {
        kind: 'squeeze',
        window: 'a',
        workspace: '1',
        monitor: 'm',
        axis: 'y',
        has: 400,
        needs: 500,
      },
      {
        kind: 'squeeze',
        window: 'b',
        workspace: '1',
        monitor: 'm',
        axis: 'x',
        has: 500,
        needs: 900,
      },
    ]);
  });

  it('drops outer gaps, then reserved edges, where they leave nothing', () => {
    const monitor = { id: 'm', width: 60, height: 60, reserved: { top: 50, left: 30, right: 30 } };
    const tiling = { gaps: { outer: { top: 9, bottom: 9, left: 9, right: 9 } } };
    const { placements, findings } = placed({ monitors: [monitor], tiling }, windows('a'));
    expect(placements[0]).toMatchObject({ x: 0, y: 50, width: 60, height: 10 });
    expect(findings).toEqual([
      { kind: 'no-room', workspace: '1', monitor: 'm', axis: 'x', what: 'outer-gap' },
      { kind: 'no-room', workspace: '1', monitor: 'm', axis: 'x', what: 'reserved' },
      { kind: 'no-room', workspace: '1', monitor: 'm', axis: 'y', what: 'outer-gap' },
    ]);
  });

  it('tells a name that matches nothing, with the nearest that exists', () => {
    const profile = { ...OFFICE, workspaces: [{ id: 'B', monitor: 'wdie' }] };
    const session = { windows: [{ id: 'a', workspace: 'b' }], desk: 'Offce' };
    const { placements, findings } = placed(profile, session);
    expect(findings).toContainEqual({
      kind: 'unknown-name',
      path: 'workspaces[0].monitor',
      value: 'wdie',
      nearest: 'wide',
    });
    expect(findings).toContainEqual({
      kind: 'unknown-name',
      path: 'windows[0].workspace',
      value: 'b',
      nearest: 'B',
    });
    expect(findings).toContainEqual({
      kind: 'unknown-name',
      path: 'desk',
      value: 'Offce',
      nearest: null,
    });
    expect(placements[0]).toMatchObject({ monitor: 'wide', workspace: 'B' });
  });

  it('tells a window that asks for another monitor than its workspace’s', () => {
    const session = { windows: [{ id: 'a', workspace: 'S', monitor: 'lap' }] };
    const { placements, findings } = placed(OFFICE, session);
    expect(placements[0]).toMatchObject({ workspace: 'S', monitor: 'tall' });
    expect(findings).toEqual([
      { kind: 'elsewhere', window: 'a', workspace: 'S', monitor: 'tall', asked: 'lap' },
    ]);
  });
});

describe('windows that do not fill their tile', () => {
  const one = (hints: object) =>
    placed(
      { monitors: [{ id: 'm', width: 1000, height: 700 }] },
      { windows: [{ id: 'a', ...hints }] },
    ).placements[0]!;

  it('take the largest allowed size, in the middle', () => {
    expect(one({ max: { width: 601, height: 9999 } })).toMatchObject({
      x: 199,
      y: 0,
      width: 601,
      height: 700,
    });
    expect(one({ aspect: { width: 16, height: 9 } })).toMatchObject({
      x: 0,
      y: 68,
      width: 1000,
      height: 563,
    });
    expect(
      one({ increment: { width: 9, height: 20 }, base: { width: 4, height: 4 } }),
    ).toMatchObject({
      width: 994,
      height: 684,
      x: 3,
      y: 8,
    });
  });

  it('take the tile when no allowed size fits', () => {
    expect(one({ resizable: false, preferred: { width: 1280, height: 600 } })).toMatchObject({
      x: 0,
      width: 1000,
      height: 700,
    });
  });

  it('keep their tile beside their own size', () => {
    expect(one({ max: { width: 500, height: 500 } }).tile).toEqual({
      x: 0,
      y: 0,
      width: 1000,
      height: 700,
    });
  });
});

describe('any desk, windows, shares and gaps', () => {
  const size = fc.record({
    width: fc.integer({ min: 1, max: 3000 }),
    height: fc.integer({ min: 1, max: 3000 }),
  });
  const window = fc.record(
    {
      min: size,
      max: size,
      increment: size,
      base: size,
      aspect: fc.double({ min: 0.01, max: 100, noNaN: true }),
      resizable: fc.boolean(),
      preferred: size,
      held: fc.constantFrom('tiled', 'tiled', 'tiled', 'floating', 'left-alone'),
    },
    { requiredKeys: ['held'] },
  );
  const monitor = fc.record({
    width: fc.integer({ min: 1, max: 6000 }),
    height: fc.integer({ min: 1, max: 6000 }),
    scale: fc.constantFrom(0.5, 1, 1.25, 1.5, 2, 3),
    reserved: fc.record({
      top: fc.nat(200),
      left: fc.nat(200),
      bottom: fc.nat(90),
      right: fc.nat(90),
    }),
  });
  const tiling = fc.record({
    layout: fc.oneof(
      fc.record({
        kind: fc.constant('lead'),
        leadShare: fc.double({ min: 0, max: 1, noNaN: true }),
        leadCount: fc.integer({ min: 1, max: 9 }),
      }),
      fc.record({ kind: fc.constantFrom(...LAYOUT_KINDS) }),
    ),
    gaps: fc.record({ inner: fc.nat(300), outer: fc.nat(300), dropWhenAlone: fc.boolean() }),
  });

  it('gives whole numbers, no size under a pixel, and tiles inside their monitor', () => {
    fc.assert(
      fc.property(
        fc.array(monitor, { minLength: 1, maxLength: 3 }),
        fc.array(window, { maxLength: 30 }),
        tiling,
        (monitors, list, settings) => {
          const profile = {
            monitors: monitors.map((m, i) => ({ id: `m${i}`, ...m })),
            tiling: settings,
          };
          const session = {
            windows: list.map((w, i) => ({
              id: `w${i}`,
              monitor: `m${i % monitors.length}`,
              ...w,
            })),
          };
          const { placements } = placed(profile, session);
          expect(placements).toHaveLength(list.length);
          for (const { x, y, width, height, tile } of placements) {
            expect([x, y, width, height].every(Number.isInteger)).toBe(true);
            expect(width >= 1 && height >= 1).toBe(true);
            if (!tile) continue;
            expect(tile.width >= 1 && tile.height >= 1).toBe(true);
            expect(x >= tile.x && x + width <= tile.x + tile.width).toBe(true);
            expect(y >= tile.y && y + height <= tile.y + tile.height).toBe(true);
          }
        },
      ),
      { numRuns: 400 },
    );
  });

  const noBoard = { kind: 'no-board', workspace: '1', monitor: 'wide' };

  it('places 500 windows, with a finding for what is too small', () => {
    for (const kind of LAYOUT_KINDS) {
      const ids = Array.from({ length: 500 }, (_, i) => ({
        id: `w${i}`,
        min: { width: 100, height: 100 },
      }));
      const { placements, findings } = placed(
        { monitors: [WIDE], tiling: { layout: { kind }, gaps: { inner: 10, outer: 6 } } },
        { windows: ids },
      );
      expect(placements.every(({ width, height }) => width >= 1 && height >= 1)).toBe(true);
      // One at a time and cascade have room for each window, and free leaves each as large as it is.
      const isCrammed = !['single', 'cascade', 'board', 'free'].includes(kind);
      const squeezed = findings.filter(({ kind: k }) => k === 'squeeze').length;
      if (isCrammed) expect(squeezed).toBeGreaterThanOrEqual(499);
      else if (kind === 'board') expect(findings).toEqual([noBoard]);
      else expect(findings).toEqual([]);
    }
  });
});
