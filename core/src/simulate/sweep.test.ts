import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { deskInForce } from '../desk/desk.ts';
import { arrange } from '../engine/arrange.ts';
import { OFFICE, testDesk, type TestDesk } from '../testing/desk.ts';
import { LAYOUT_KINDS, type LayoutKind } from '../values/layout.ts';
import { rate, searchBestShare, type BestShare, type Rating } from './best-share.ts';
import { leverOf } from './lever.ts';
import { sweep, sweptShares } from './sweep.ts';

const wanting = {
  windows: [
    { id: 'p', min: { width: 900, height: 600 }, wanted: { width: 1300 } },
    { id: 'b', wanted: { width: 860 } },
    { id: 's' },
  ],
  focus: 'p',
};
const desk = testDesk(OFFICE, wanting);
const leverFor = ({ session, profile }: TestDesk) => {
  const context = { session, profile, desk: deskInForce(profile, session) };
  return leverOf(session, arrange(context, 'B', 'wide'));
};
const use = (kind: LayoutKind) => desk.run({ command: 'use-layout', layout: { kind } });

describe('the lever of an arrangement', () => {
  it('is the lead share where there is one, tried without being moved', () => {
    const lever = leverFor(desk)!;
    expect(lever).toMatchObject({ of: { field: 'leadShare' }, axis: 'x', present: 0.58 });
    expect(lever.at(0.4).tiles![0]).toMatchObject({ x: 6, width: Math.round(3418 * 0.4) });
    expect(desk.at('p').width).toBe(1982);
  });

  it('stands at every share where the engine puts the windows', () => {
    for (const kind of ['lead', 'middle', 'halving', 'cascade'] as const) {
      const lever = leverFor(use(kind))!;
      const field = 'leadShare' in lever.at(0.3).tiling.layout ? 'leadShare' : 'share';
      const there = desk.run({ command: 'use-layout', layout: { kind, [field]: 0.3 } });
      const tiles = Object.fromEntries(
        there.session.windows.map(({ id }) => [id, there.at(id).tile]),
      );
      const tried = lever.at(0.3);
      tried.tiled.forEach(({ id }, i) => expect(tried.tiles![i], kind).toEqual(tiles[id]));
    }
  });

  it('is the edge of the focused window elsewhere, and says by how much to move it', () => {
    for (const kind of ['columns', 'grid', 'split'] as const) {
      const there = use(kind);
      const lever = leverFor(there)!;
      expect(lever.of, kind).toEqual({ edge: 'right', window: 'p' });
      const by = lever.edgeBy(0.4);
      const moved = there.run({ command: 'move-edge', direction: 'right', by });
      const tried = lever.at(0.4);
      tried.tiled.forEach(({ id }, i) => expect(tried.tiles![i], kind).toEqual(moved.at(id).tile));
    }
    expect(leverFor(use('rows'))!.of).toEqual({ edge: 'down', window: 'p' });
    // The last one has no neighbour further on.
    const last = (kind: LayoutKind) => use(kind).event({ type: 'window-focused', id: 's' });
    expect(leverFor(last('columns'))!.of).toEqual({ edge: 'left', window: 's' });
    expect(leverFor(last('rows'))!.of).toEqual({ edge: 'up', window: 's' });
    const { tiled, tiles } = leverFor(last('columns'))!.at(0.3);
    const widths = Object.fromEntries(tiled.map(({ id }, i) => [id, tiles![i]!.width]));
    const both = widths['b']! + widths['s']!;
    expect(widths['s']).toBe(Math.round(both * 0.3));
  });

  it('is none where nothing can be moved', () => {
    for (const kind of ['single', 'free'] as const) expect(leverFor(use(kind))).toBeNull();
    expect(leverFor(testDesk(OFFICE, { windows: [{ id: 'p' }] }))).toBeNull();
    expect(leverFor(testDesk(OFFICE))).toBeNull();
  });

  it('leaves the windows where they are at its present share, in any layout', () => {
    for (const kind of LAYOUT_KINDS) {
      // A lead in the middle whose sides were moved apart has no one share any more.
      const there = kind === 'middle' ? use(kind) : use(kind).run('grow-right');
      const lever = leverFor(there);
      if (!lever) continue;
      const tried = lever.at(lever.present);
      tried.tiled.forEach(({ id }, i) => expect(tried.tiles![i], kind).toEqual(there.at(id).tile));
    }
  });
});

describe('a sweep', () => {
  it('takes every window’s length at every share', () => {
    const { shares, windows } = sweep(leverFor(desk)!, 'x');
    expect(shares).toHaveLength(91);
    const at = (share: number) => windows.map(({ lengths }) => lengths[shares.indexOf(share)]);
    expect(at(0.58)).toEqual([1982, 1436, 1436]);
    // The lead's minimum of 900 holds it there.
    expect(at(0.05)).toEqual([900, 2518, 2518]);
  });

  it('shades exactly the shares at which a window is under what it needs or wants', () => {
    const { shares, windows, bands } = sweep(leverFor(desk)!, 'x');
    expect(bands.map(({ window, under }) => `${window} ${under}`)).toEqual([
      'p wanted',
      'b wanted',
    ]);
    for (const [i, share] of shares.entries()) {
      for (const { window, lengths, wanted } of windows) {
        const isUnder = wanted !== null && lengths[i]! < wanted;
        const isShaded = bands.some(
          (band) => band.window === window.id && share >= band.from && share <= band.to,
        );
        expect(isShaded, `${window.id} at ${share}`).toBe(isUnder);
      }
    }
  });

  it('shades where minimums cannot be met', () => {
    const small = testDesk(
      { ...OFFICE, tiling: { layout: { kind: 'lead' } } },
      { windows: ['a', 'b'].map((id) => ({ id, min: { width: 2000, height: 100 } })) },
    );
    const { bands } = sweep(leverFor(small)!, 'x');
    expect(bands).toEqual([
      { window: 'a', from: 0.05, to: 0.58, under: 'minimum' },
      { window: 'b', from: 0.42, to: 0.95, under: 'minimum' },
    ]);
  });
});

describe('the best share', () => {
  const searched = (from: TestDesk): BestShare => {
    const search = searchBestShare(leverFor(from)!);
    let step = search.next();
    while (!step.done) step = search.next();
    return step.value;
  };
  const best = (from: TestDesk): Rating => searched(from).best;

  it('has a runner-up that is not beside it, and is told with the present one', () => {
    const { best: first, runnerUp, present } = searched(desk);
    const lever = leverFor(desk)!;
    expect(present).toEqual(rate(lever.present, lever.at(lever.present)));
    expect(Math.abs(runnerUp!.share - first.share)).toBeGreaterThanOrEqual(0.02);
    for (const share of sweptShares({ from: 0.05, to: 0.95, step: 0.001 })) {
      if (Math.abs(share - first.share) < 0.02) continue;
      const other = rate(share, lever.at(share));
      expect(other.met).toBeLessThanOrEqual(runnerUp!.met);
      if (other.met === runnerUp!.met)
        expect(other.wasted).toBeGreaterThanOrEqual(runnerUp!.wasted);
    }
    expect(first.wasted).toBeLessThan(first.area);
  });

  it('meets most wanted sizes, then wastes least, by brute force', () => {
    const window = fc.record({
      wanted: fc.record({ width: fc.integer({ min: 100, max: 3000 }) }),
      aspect: fc.option(fc.double({ min: 0.3, max: 3, noNaN: true }), { nil: undefined }),
    });
    fc.assert(
      fc.property(fc.array(window, { minLength: 2, maxLength: 5 }), (list) => {
        const windows = list.map(({ aspect, ...hints }, i) => ({
          id: `w${i}`,
          ...hints,
          ...(aspect !== undefined && { aspect }),
        }));
        const from = testDesk(OFFICE, { windows });
        const found = best(from);
        const lever = leverFor(from)!;
        const away = (share: number) => Math.abs(share - lever.present);
        for (const share of sweptShares({ from: 0.05, to: 0.95, step: 0.001 })) {
          const other = rate(share, lever.at(share));
          expect(other.met).toBeLessThanOrEqual(found.met);
          if (other.met === found.met) {
            expect(other.wasted).toBeGreaterThanOrEqual(found.wasted);
            // Of several as good the one nearest to how it is now.
            if (other.wasted === found.wasted)
              expect(away(other.share)).toBeGreaterThanOrEqual(away(found.share));
          }
        }
      }),
      { numRuns: 15 },
    );
  });

  it('is the present share where every share is as good', () => {
    const alike = testDesk(OFFICE, { windows: [{ id: 'a' }, { id: 'b' }] });
    const { present } = leverFor(alike)!;
    expect(present).toBeGreaterThan(0.5);
    expect(best(alike).share).toBeCloseTo(present, 3);
  });

  it('gives both what they want where that can be', () => {
    const found = best(desk);
    // Two of three say what they want; the third needs nothing and counts as met.
    expect(found).toMatchObject({ met: 3, of: 3 });
    // The lead takes just what it wants; what is over goes to the rest, where one wants no more.
    expect(Math.round(3418 * found.share)).toBeGreaterThanOrEqual(1300);
  });
});

it.each(['x', 'y'] as const)(
  'a sweep along %s has the lengths, minimums and wishes of that axis',
  (axis) => {
    const side = axis === 'x' ? 'width' : 'height';
    const windows = [
      { id: 'p', min: { width: 300, height: 200 }, wanted: { width: 1300, height: 700 } },
      { id: 'b', wanted: { width: 860, height: 410 } },
      { id: 's' },
    ];
    const swept = sweep(leverFor(testDesk(OFFICE, { windows, focus: 'p' }))!, axis);
    for (const { window, lengths, minimum, wanted } of swept.windows) {
      const given = windows.find(({ id }) => id === window.id)!;
      expect(minimum).toBe(given.min?.[side] ?? 1);
      expect(wanted).toBe(given.wanted?.[side] ?? null);
      const at = sweptShares().indexOf(0.5);
      const half = testDesk(
        { ...OFFICE, tiling: { ...OFFICE.tiling, layout: { kind: 'lead', leadShare: 0.5 } } },
        { windows },
      );
      expect(lengths[at]).toBe(half.at(window.id)[side]);
    }
  },
);
