import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { testDesk } from '../../testing/desk.ts';

/** The sides of a rectangle as lines: left, top, right, bottom. */
type Lines = [number, number, number, number];
type Way = 'left' | 'up' | 'right' | 'down';
const WAYS: readonly Way[] = ['left', 'up', 'right', 'down'];
type Hints = Partial<
  Record<'min' | 'max' | 'increment' | 'base', { width: number; height: number }>
>;

/** A desk of one monitor and one floating window. Lengths are physical pixels, at a scale of 1. */
interface Case {
  area: Lines;
  at: Lines;
  hints: Hints;
  grid: number;
  growStep: number;
}

const count = (least: number, most: number) => fc.integer({ min: least, max: most });
const size = (least: number, most: number) =>
  fc.record({ width: count(least, most), height: count(least, most) });

const anyCase = (grids: fc.Arbitrary<number>): fc.Arbitrary<Case> =>
  fc
    .record({
      left: count(0, 40),
      top: count(0, 40),
      room: size(120, 260),
      first: fc.record({ x: count(0, 150), y: count(0, 150) }),
      long: size(10, 120),
      min: fc.option(size(1, 40), { nil: undefined }),
      more: fc.option(size(0, 120), { nil: undefined }),
      increment: fc.option(size(1, 25), { nil: undefined }),
      base: fc.option(size(0, 9), { nil: undefined }),
      grid: grids,
      growStep: count(1, 50),
    })
    .map(({ left, top, room, first, long, min, more, increment, base, grid, growStep }) => {
      const max = more && {
        width: (min?.width ?? 1) + more.width,
        height: (min?.height ?? 1) + more.height,
      };
      const right = left + room.width;
      const bottom = top + room.height;
      const x = Math.min(left + first.x, right - long.width);
      const y = Math.min(top + first.y, bottom - long.height);
      return {
        area: [left, top, right, bottom],
        at: [x, y, x + long.width, y + long.height],
        hints: {
          ...(min && { min }),
          ...(max && { max }),
          ...(increment && { increment, ...(base && { base }) }),
        },
        grid,
        growStep,
      };
    });

function deskOf({ area, at, hints, grid, growStep }: Case, more: object = {}) {
  const [left, top, right, bottom] = area;
  const [x, y, endX, endY] = at;
  const standing = { x, y, width: endX - x, height: endY - y };
  return testDesk(
    {
      // What is reserved makes the work area.
      monitors: [{ id: 'm', width: right, height: bottom, reserved: { left, top } }],
      floating: { grid },
      tiling: { growStep },
    },
    { windows: [{ id: 'a', held: 'floating', standing, ...hints, ...more }], focus: 'a' },
  );
}

function linesOf(desk: ReturnType<typeof testDesk>): Lines {
  const { x, y, width, height } = desk.at('a');
  return [x, y, x + width, y + height];
}

/** Whether a window takes a length along an axis: 0 across, 1 down. */
function allows({ min, max, increment, base }: Hints, axis: number, length: number): boolean {
  const of = (hint: { width: number; height: number } | undefined, none: number) =>
    hint ? [hint.width, hint.height][axis]! : none;
  const over = length - of(base, 0);
  return (
    length >= of(min, 1) &&
    length <= of(max, Infinity) &&
    over >= 0 &&
    over % of(increment, 1) === 0
  );
}

/** Where the edge comes to, by looking at every pixel on its way and beyond. */
function edgeByTrying(
  { area, at, hints }: Case,
  way: Way,
  by: number,
  isOutwards: boolean,
): number {
  const side = WAYS.indexOf(way);
  const axis = side % 2;
  const edge = at[side]!;
  const opposite = at[(side + 2) % 4]!;
  const on = (side < 2 ? -1 : 1) * (isOutwards ? 1 : -1);
  let last = edge;
  for (let steps = 1; steps <= 400; steps++) {
    const there = edge + on * steps;
    const isInside = isOutwards ? (there - area[side]!) * on <= 0 : (there - opposite) * on < 0;
    if (!isInside) break;
    if (!allows(hints, axis, Math.abs(there - opposite))) continue;
    // The farthest on the way; past its end the first one, where there is none on it.
    if (steps > by && last !== edge) break;
    last = there;
    if (steps >= by) break;
  }
  return last;
}

describe('an edge of a floating window', () => {
  it('comes as near to where it is told as the window, the work area and its minimum allow', () => {
    const cases = { at: 0, moved: 0 };
    fc.assert(
      fc.property(
        anyCase(fc.constant(0)),
        fc.constantFrom(...WAYS),
        fc.boolean(),
        fc.option(count(1, 90), { nil: null }),
        (given, way, isOutwards, told) => {
          const by = told ?? given.growStep;
          const desk = deskOf(given);
          const after =
            told === null
              ? desk.run(`${isOutwards ? 'grow' : 'shrink'}-${way}`)
              : desk.run({ command: 'move-edge', direction: way, by: isOutwards ? told : -told });
          const meant: Lines = [...given.at];
          meant[WAYS.indexOf(way)] = edgeByTrying(given, way, by, isOutwards);
          expect(linesOf(after)).toEqual(meant);
          cases.at++;
          if (String(meant) !== String(given.at)) cases.moved++;
        },
      ),
      { numRuns: 2_000 },
    );
    expect(cases.moved / cases.at).toBeGreaterThan(0.5);
  });
});

/** The length that a window gets by 'bigger' or 'smaller', by looking at every length on the way and beyond. */
function lengthByTrying({ area, at, hints, growStep }: Case, axis: number, isMore: boolean) {
  const now = at[axis + 2]! - at[axis]!;
  const room = area[axis + 2]! - area[axis]!;
  const lengths = Array.from({ length: isMore ? room - now : now - 1 }, (_, i) =>
    isMore ? now + 1 + i : now - 1 - i,
  ).filter((length) => allows(hints, axis, length));
  const onTheWay = lengths.filter((length) => Math.abs(length - now) <= 2 * growStep);
  return onTheWay.at(-1) ?? lengths[0] ?? now;
}

describe('a floating window as a whole', () => {
  it('is nudged a step, or as far as there is room', () => {
    fc.assert(
      fc.property(anyCase(fc.constant(0)), fc.constantFrom(...WAYS), (given, way) => {
        const { area, at, growStep } = given;
        const side = WAYS.indexOf(way);
        const on = side < 2 ? -1 : 1;
        let by = 0;
        while (by < growStep && at[side]! + on * by !== area[side]) by++;
        const meant = at.map((line, i) => (i % 2 === side % 2 ? line + on * by : line));
        const after = deskOf(given).run(`nudge-${way}`);
        expect(linesOf(after)).toEqual(meant);
        expect(after.trace[0]!.decided.startsWith('nothing to do')).toBe(by === 0);
        if (by > 0) expect(after.trace[0]!.decided).toBe(`${by} px ${way}`);
      }),
      { numRuns: 1_000 },
    );
  });

  it('is centred once, and then there is nothing to do', () => {
    fc.assert(
      fc.property(anyCase(fc.constantFrom(0, 7, 25)), (given) => {
        const { area, at, grid } = given;
        const once = deskOf(given).run('centre');
        const [left, top, right, bottom] = linesOf(once);
        expect([right - left, bottom - top]).toEqual([at[2] - at[0], at[3] - at[1]]);
        // As much room on one side as on the other, to the pixel or the line of the grid.
        const spare = Math.max(1, grid);
        expect(Math.abs(left - area[0] - (area[2] - right))).toBeLessThanOrEqual(spare * 2 - 1);
        expect(Math.abs(top - area[1] - (area[3] - bottom))).toBeLessThanOrEqual(spare * 2 - 1);
        if (grid > 0) expect([(left - area[0]) % grid, (top - area[1]) % grid]).toEqual([0, 0]);
        const twice = once.run('centre');
        expect(twice.session).toEqual(once.session);
        expect(twice.trace[0]!.because).toContain('it is in the middle');
      }),
      { numRuns: 500 },
    );
  });

  it('gets as much bigger or smaller as it allows, about its middle', () => {
    fc.assert(
      fc.property(anyCase(fc.constant(0)), fc.boolean(), (given, isMore) => {
        const { area, at } = given;
        const after = deskOf(given).run(isMore ? 'bigger' : 'smaller');
        const lines = linesOf(after);
        for (const axis of [0, 1]) {
          const length = lengthByTrying(given, axis, isMore);
          expect(lines[axis + 2]! - lines[axis]!).toBe(length);
          // The middle stays, to the half pixel, but for the edges of the work area.
          const shift = lines[axis]! + lines[axis + 2]! - at[axis]! - at[axis + 2]!;
          const fills = length === area[axis + 2]! - area[axis]!;
          if (fills) continue;
          if (lines[axis] === area[axis]) expect(shift).toBeGreaterThanOrEqual(-1);
          else if (lines[axis + 2] === area[axis + 2]) expect(shift).toBeLessThanOrEqual(0);
          else expect(Math.abs(shift)).toBeLessThanOrEqual(1);
          expect(lines[axis]).toBeGreaterThanOrEqual(area[axis]!);
          expect(lines[axis + 2]).toBeLessThanOrEqual(area[axis + 2]!);
        }
      }),
      { numRuns: 1_000 },
    );
  });

  it('on a grid goes from line to line', () => {
    const lines = fc.record({
      grid: count(5, 30),
      at: fc.tuple(count(0, 4), count(0, 4), count(1, 4), count(1, 4)),
      spare: count(0, 4),
      from: fc.tuple(count(0, 20), count(0, 20)),
      way: fc.constantFrom(...WAYS),
      does: fc.constantFrom('nudge', 'grow', 'shrink'),
    });
    fc.assert(
      fc.property(lines, ({ grid, at, spare, from, way, does }) => {
        // A desk of 9 × 9 cells of the grid, and something more; the window stands on lines.
        const [left, top] = from;
        const [column, row, columns, rows] = at;
        const cells: Lines = [column, row, column + columns, row + rows];
        const toLines = (of: Lines): Lines => [
          left + of[0] * grid,
          top + of[1] * grid,
          left + of[2] * grid,
          top + of[3] * grid,
        ];
        const far = 9 * grid + spare;
        const given: Case = {
          area: [left, top, left + far, top + far],
          at: toLines(cells),
          hints: {},
          grid,
          growStep: 32,
        };
        const after = linesOf(deskOf(given).run(`${does}-${way}` as 'nudge-left'));
        const side = WAYS.indexOf(way);
        const on = (side < 2 ? -1 : 1) * (does === 'shrink' ? -1 : 1);
        const next: Lines = [...cells];
        next[side]! += on;
        if (does === 'nudge') next[(side + 2) % 4]! += on;
        const isIn = next.every((line) => line >= 0 && line <= 9);
        const meant = toLines(isIn ? next : cells);
        if (does !== 'shrink') expect(after).toEqual(meant);
        // A last cell is shrunk to the least that the window allows, its corner on the grid.
        else if (next[0] < next[2] && next[1] < next[3]) expect(after).toEqual(meant);
        expect([(after[0] - left) % grid, (after[1] - top) % grid]).toEqual([0, 0]);
      }),
      { numRuns: 1_000 },
    );
  });

  it('off the grid comes onto it: its edge to the line nearest to a step on', () => {
    const anywhere = anyCase(count(5, 30)).map((given) => ({ ...given, hints: {} }));
    fc.assert(
      fc.property(
        anywhere,
        fc.constantFrom<Way>('right', 'down'),
        fc.constantFrom(null, 2, 40),
        (one, way, told) => {
          const { area, at, grid } = one;
          const axis = way === 'right' ? 0 : 1;
          const by = told ?? grid;
          // Its upper left corner is on the grid, its other edges are anywhere.
          const given: Case = { ...one, at: [...at] };
          for (const i of [0, 1]) {
            const from = area[i]! + Math.floor((at[i]! - area[i]!) / grid) * grid;
            given.at[i] = from;
          }
          const edge = at[axis + 2]!;
          const lines = Array.from({ length: 300 }, (_, i) => area[axis]! + i * grid)
            .filter((line) => line > edge)
            .sort((a, b) => Math.abs(a - edge - by) - Math.abs(b - edge - by) || b - a);
          const after = linesOf(
            deskOf(given).run(
              told !== null ? { command: 'move-edge', direction: way, by } : `grow-${way}`,
            ),
          );
          const meant: Lines = [...given.at];
          meant[axis + 2] = Math.min(area[axis + 2]!, lines[0]!);
          expect(after).toEqual(meant);
        },
      ),
      { numRuns: 500 },
    );
  });

  it('with a shape of its own keeps it, and the edge that stays stays', () => {
    const shapes = fc.record({
      aspect: fc.constantFrom(16 / 9, 1, 0.5, 4 / 3),
      height: count(20, 80),
      from: fc.tuple(count(0, 60), count(0, 60)),
      way: fc.constantFrom(...WAYS),
      does: fc.constantFrom('grow', 'shrink', 'bigger', 'smaller'),
    });
    let moved = 0;
    fc.assert(
      fc.property(shapes, ({ aspect, height, from, way, does }) => {
        const [x, y] = from;
        const at: Lines = [x, y, x + Math.round(height * aspect), y + height];
        const given: Case = { area: [0, 0, 240, 200], at, hints: {}, grid: 0, growStep: 9 };
        const command = does === 'grow' || does === 'shrink' ? `${does}-${way}` : does;
        const after = linesOf(deskOf(given, { aspect }).run(command as 'bigger'));
        const [left, top, right, bottom] = after;
        const [wide, high] = [right - left, bottom - top];
        expect(
          Math.min(Math.abs(wide - high * aspect), Math.abs(high - wide / aspect)),
        ).toBeLessThanOrEqual(0.5 + 1e-6);
        expect(left).toBeGreaterThanOrEqual(0);
        expect(top).toBeGreaterThanOrEqual(0);
        expect(right).toBeLessThanOrEqual(240);
        expect(bottom).toBeLessThanOrEqual(200);
        const grew = wide * high - (at[2] - at[0]) * (at[3] - at[1]);
        expect(does === 'grow' || does === 'bigger' ? grew >= 0 : grew <= 0).toBe(true);
        if (grew !== 0) moved++;
        // Where there is a step of room on every side, it gets bigger.
        const room = Math.min(left, top, 240 - right, 200 - bottom);
        if (room > 30 && (does === 'grow' || does === 'bigger')) expect(grew).toBeGreaterThan(0);
        if (command === does) return;
        const stays = (WAYS.indexOf(way) + 2) % 4;
        expect(after[stays]).toBe(at[stays]);
        expect(Math.abs(after[(stays + 2) % 4]! - at[(stays + 2) % 4]!)).toBeLessThanOrEqual(9);
      }),
      { numRuns: 1_000 },
    );
    expect(moved).toBeGreaterThan(700);
  });
});
