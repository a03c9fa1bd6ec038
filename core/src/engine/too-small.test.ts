import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Rect } from '../geometry/rect.ts';
import { testDesk } from '../testing/desk.ts';
import { computePlacements } from './placements.ts';

describe('when minimums cannot all be met', () => {
  const desk = (whenTooSmall: string) =>
    testDesk(
      {
        monitors: [{ id: 'm', width: 1000, height: 600 }],
        tiling: { layout: { kind: 'columns' }, whenTooSmall },
      },
      {
        windows: [
          { id: 'a', min: { width: 400, height: 10 } },
          { id: 'b', min: { width: 400, height: 10 }, preferred: { width: 300, height: 200 } },
          { id: 'c', min: { width: 300, height: 10 }, preferred: { width: 320, height: 240 } },
        ],
        focus: 'a',
      },
    );

  it('a window without a tile for want of room has none to grow, and says so', () => {
    const floating = desk('float').event({ type: 'window-focused', id: 'c' });
    expect(floating.run('grow-left').trace[0]?.because).toBe('c has no tile for want of room');
    expect(floating.run('grow-left').session).toEqual(floating.session);
  });

  it('squeeze keeps them all in tiles', () => {
    expect(desk('squeeze').shapes()).toEqual({
      a: '0,0 333×600',
      b: '333,0 334×600',
      c: '667,0 333×600',
    });
  });

  it('it is the one opened last that goes, wherever it stands in the order', () => {
    const squeezed = desk('squeeze').event({ type: 'window-focused', id: 'c' }).run('promote');
    expect(squeezed.session.arrangements['1/m']!.order).toEqual(['c', 'a', 'b']);
    const { profile } = desk('float');
    expect(squeezed.edited(profile).shapes()).toMatchObject({
      a: '0,0 500×600',
      b: '500,0 500×600',
    });
  });

  it('float takes out the one opened last, until the rest fits', () => {
    const floating = desk('float');
    expect(floating.shapes()).toEqual({
      a: '0,0 500×600',
      b: '500,0 500×600',
      c: '340,180 320×240',
    });
    expect(floating.at('c')).toMatchObject({ held: 'floating', tile: null, shown: true });
    const { findings } = computePlacements(floating.session, floating.profile);
    expect(findings).toEqual([
      { kind: 'no-tile', window: 'c', workspace: '1', monitor: 'm', now: 'float' },
    ]);
    const roomAgain = floating.run('close');
    expect(roomAgain.shapes()).toEqual({ b: '0,0 500×600', c: '500,0 500×600' });
    expect(roomAgain.at('c').held).toBe('tiled');
  });

  it('goes by when they opened, not by their order', () => {
    const moved = desk('float').run('move-later');
    expect(moved.at('c').held).toBe('floating');
    expect([moved.at('b').x, moved.at('a').x]).toEqual([0, 500]);
  });

  it('stack puts it beneath the last tile, where the focused one is on top', () => {
    const stacked = desk('stack');
    expect(stacked.at('c')).toMatchObject({
      held: 'tiled',
      shown: false,
      tile: { x: 500, y: 0, width: 500, height: 600 },
    });
    expect(stacked.at('b').shown).toBe(true);
    const turned = stacked.run('focus-previous');
    expect(turned.session.focus).toBe('c');
    expect([turned.at('c').shown, turned.at('b').shown]).toEqual([true, false]);
  });

  it('leaves one window with a tile, however small', () => {
    const one = testDesk(
      { monitors: [{ id: 'm', width: 100, height: 100 }], tiling: { whenTooSmall: 'float' } },
      { windows: [{ id: 'a', min: { width: 500, height: 10 } }, { id: 'b' }] },
    );
    expect(one.at('a')).toMatchObject({ held: 'tiled', width: 100 });
    expect(computePlacements(one.session, one.profile).findings.map(({ kind }) => kind)).toEqual([
      'squeeze',
      'no-tile',
    ]);
  });

  it('is set by place', () => {
    const profile = {
      monitors: [{ id: 'm', width: 500, height: 500 }],
      tiling: { whenTooSmall: 'float', places: [{ monitor: 'm', whenTooSmall: 'squeeze' }] },
    };
    const session = {
      windows: [
        { id: 'a', min: { width: 400, height: 10 } },
        { id: 'b', min: { width: 400, height: 10 } },
      ],
    };
    const { at } = testDesk(profile, session);
    expect([at('a').held, at('b').held]).toEqual(['tiled', 'tiled']);
  });
});

describe('where windows lie over each other', () => {
  it('those opened last leave, one by one, until the rest is met; one stays in any case', () => {
    const min = fc.record({
      width: fc.constantFrom(400, 499, 500, 501, 520),
      height: fc.constantFrom(200, 299, 300, 301, 320),
    });
    fc.assert(
      fc.property(
        fc.array(fc.option(min, { nil: undefined }), { minLength: 1, maxLength: 4 }),
        fc.constantFrom('float', 'stack', 'squeeze'),
        (all, whenTooSmall) => {
          // A cascade at one half: every window has 500 × 300, whatever their number.
          const layout = { kind: 'cascade', share: 0.5, step: 20 };
          const { at, session } = testDesk(
            {
              monitors: [{ id: 'm', width: 1000, height: 600 }],
              tiling: { layout, whenTooSmall },
            },
            { windows: all.map((each, i) => ({ id: `w${i}`, ...(each && { min: each }) })) },
          );
          const fits = all.map((each) => !each || (each.width <= 500 && each.height <= 300));
          let stay = all.length;
          while (whenTooSmall !== 'squeeze' && stay > 1 && !fits.slice(0, stay).every(Boolean))
            stay--;
          const tiled = session.windows.filter(({ id }) => at(id).held === 'tiled');
          expect(tiled).toHaveLength(whenTooSmall === 'float' ? stay : all.length);
          const own = new Set(tiled.map(({ id }) => `${at(id).x}`));
          // Those beneath are all in one place with the last.
          expect(own.size).toBe(stay);
        },
      ),
    );
  });
});

describe('many windows in halving', () => {
  const WIDE = { id: 'wide', width: 3440, height: 1440 };
  const desk = (
    whenTooSmall: string,
    { count = 80, say = () => ({}) }: { count?: number; say?: (i: number) => object } = {},
  ) =>
    testDesk(
      { monitors: [WIDE], tiling: { layout: { kind: 'halving' }, whenTooSmall } },
      {
        windows: Array.from({ length: count }, (_, i) => ({ id: `w${i}`, ...say(i) })),
        focus: 'w0',
      },
    );
  const now = ({ session, profile }: ReturnType<typeof desk>) =>
    computePlacements(session, profile);
  const overlap = (a: Rect, b: Rect) =>
    a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;

  /** Halves of halves across and down in turns, each window at least a pixel and a gap between: as far as pixels go. */
  function halves(count: number, area: Rect, gap: number): string[] {
    const found: string[] = [];
    /** What the windows from one on need, along an axis, of a cut along x or y. */
    const least = (from: number, axis: number): number => {
      let sum = 1;
      for (let cut = count - 2; cut >= from; cut--) if (cut % 2 === axis) sum += 1 + gap;
      return sum;
    };
    const start = [area.x, area.y];
    const size = [area.width, area.height];
    const say = () => found.push(`${start[0]},${start[1]} ${size[0]}×${size[1]}`);
    for (let i = 0; i < count - 1; i++) {
      const axis = i % 2;
      const length = size[axis]!;
      const between = length - gap < 2 ? Math.max(0, length - 2) : gap;
      const room = length - between;
      if (room < 2) {
        size[axis] = 1;
        say();
        return found;
      }
      const after = least(i + 1, axis);
      const kept = 1 + after > room ? 1 : after;
      const first = Math.floor(Math.min(Math.max(room / 2, 1), room - kept) + 0.5 + 1e-6);
      size[axis] = first;
      say();
      start[axis]! += first + between;
      size[axis] = room - first;
    }
    say();
    return found;
  }

  it('squeeze halves what is left exactly, until there is no pixel left for one more', () => {
    for (const [count, width, height, gap] of [
      [40, 3440, 1440, 10],
      [40, 400, 300, 12],
      [120, 400, 300, 0],
      [300, 400, 300, 4],
      [9, 3, 2, 1],
    ] as const) {
      const crowd = testDesk(
        {
          monitors: [{ id: 'm', width, height }],
          tiling: { layout: { kind: 'halving' }, gaps: { inner: gap } },
        },
        { windows: Array.from({ length: count }, (_, i) => ({ id: `w${i}` })), focus: 'w0' },
      );
      const placed = now(crowd);
      const exact = halves(count, { x: 0, y: 0, width, height }, gap);
      const tiles = placed.placements.map(({ tile }) => tile!);
      const said = tiles.map((tile) => `${tile.x},${tile.y} ${tile.width}×${tile.height}`);
      expect(said.slice(0, exact.length)).toEqual(exact);
      const over = placed.placements.slice(exact.length);
      expect(said.slice(exact.length).every((each) => each === exact.at(-1))).toBe(true);
      expect(over.some(({ shown }) => shown)).toBe(false);
      const told = placed.findings.flatMap((each) => (each.kind === 'no-tile' ? each.window : []));
      expect(told).toEqual(over.map(({ id }) => id));
      // Whoever goes there by key sees it.
      const gone = crowd.run('focus-previous');
      const last = `w${count - 1}`;
      expect([gone.session.focus, gone.at(last).shown]).toEqual([last, true]);
    }
  });

  it('float leaves tiles that can be seen, and floats no two of the others at one corner', () => {
    const { placements } = now(desk('float'));
    const tiled = placements.filter(({ held }) => held === 'tiled');
    const afloat = placements.filter(({ held }) => held === 'floating');
    expect([tiled.length > 30, afloat.length > 20]).toEqual([true, true]);
    expect(placements.every(({ shown }) => shown)).toBe(true);
    for (const { width, height } of tiled)
      expect([width >= 80, height >= 60]).toEqual([true, true]);
    for (const [i, a] of afloat.entries()) {
      expect([a.x >= 0, a.y >= 0, a.x + a.width <= 3440, a.y + a.height <= 1440]).not.toContain(
        false,
      );
      for (const b of afloat.slice(0, i))
        expect(Math.max(Math.abs(a.x - b.x), Math.abs(a.y - b.y))).toBeGreaterThanOrEqual(16);
    }
  });

  it('float lays small ones side by side: none hides another', () => {
    const { placements } = now(
      desk('float', { say: () => ({ preferred: { width: 500, height: 300 } }) }),
    );
    const afloat = placements.filter(({ held }) => held === 'floating');
    const clear = afloat.filter((a) => afloat.every((b) => a === b || !overlap(a, b)));
    // Six in a row, four rows; a step later the next ones lie on some of them.
    expect(
      afloat.slice(0, 24).every((a, i) => afloat.slice(0, i).every((b) => !overlap(a, b))),
    ).toBe(true);
    expect(clear.length).toBeLessThan(24);
  });

  it('a window that floats for want of room floats on where it does, and one that floated before where it stood', () => {
    const floating = desk('float').run('focus-previous');
    expect(floating.session.focus).toBe('w79');
    const before = floating.at('w79');
    expect(floating.run('float').at('w79')).toMatchObject({ ...before, held: 'floating' });
    const moved = testDesk(
      { monitors: [WIDE], tiling: { layout: { kind: 'halving' }, whenTooSmall: 'float' } },
      {
        windows: Array.from({ length: 80 }, (_, i) => ({
          id: `w${i}`,
          ...(i === 79 && { standing: { x: 7, y: 9, width: 300, height: 200 } }),
        })),
      },
    );
    expect(moved.shapes()['w79']).toBe('7,9 300×200');
  });

  it('a float that is moved, made larger or put away moves no other', () => {
    const floating = desk('float', { say: () => ({ preferred: { width: 500, height: 300 } }) });
    const last = floating.run('focus-previous');
    const others = (now: ReturnType<typeof desk>) => {
      const { w79: _moved, ...rest } = now.shapes();
      return rest;
    };
    for (const command of [
      'nudge-left',
      'bigger',
      'centre',
      'float',
      'stay-above',
      'pocket',
      'minimise',
    ] as const)
      expect(others(last.run(command)), command).toEqual(others(floating));
  });

  it('stack makes the last tile as large as what lies beneath it', () => {
    const asks = (i: number) => ({ min: { width: 100 + 20 * i, height: 60 + 12 * i } });
    const stacked = desk('stack', { count: 40, say: asks });
    const { placements, findings } = now(stacked);
    const tiles = placements.map(({ tile }) => tile!);
    const last = tiles.at(-1)!;
    const pile = placements.filter(({ tile }) => overlap(tile!, last));
    expect([pile.length > 20, pile.length < 40]).toEqual([true, true]);
    for (const [i, tile] of tiles.entries()) {
      const { width, height } = asks(i).min;
      expect([tile.width >= width, tile.height >= height]).toEqual([true, true]);
    }
    expect(findings.filter(({ kind }) => kind === 'squeeze')).toEqual([]);
    expect(placements.filter(({ shown }) => shown)).toHaveLength(40 - pile.length + 1);
    // One that is larger than the monitor fits nowhere: the others keep their tiles for all that.
    const huge = desk('stack', {
      count: 40,
      say: (i) => (i === 39 ? { min: { width: 9000, height: 10 } } : {}),
    });
    expect(now(huge).placements.filter(({ shown }) => shown).length).toBeGreaterThan(5);
  });
});
