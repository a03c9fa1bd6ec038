import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { testDesk } from '../testing/desk.ts';
import { arrange } from './arrange.ts';
import { dividersOf, dividerEvents, dividerMoved } from './dividers.ts';

const desk = (kind: string, count: number, scale = 1) =>
  testDesk(
    {
      monitors: [{ id: 'm', width: 2000, height: 1200, scale }],
      tiling: { layout: { kind }, gaps: { inner: 10, outer: 6 } },
    },
    {
      windows: Array.from({ length: count }, (_, i) => ({
        id: `w${i}`,
        min: { width: 120, height: 80 },
      })),
    },
  );
const of = ({ session, profile, desk: there }: ReturnType<typeof desk>) =>
  dividersOf(arrange({ session, profile, desk: there }, '1', 'm'));

describe('dividers', () => {
  it('are the gaps between windows', () => {
    expect(
      of(desk('lead', 3)).map(({ window, direction, rect }) => [
        window,
        direction,
        rect.x,
        rect.width,
      ]),
    ).toEqual([
      ['w0', 'right', 995, 10],
      ['w1', 'down', 1005, 989],
    ]);
    expect(of(desk('columns', 4))).toHaveLength(3);
    expect(of(desk('columns', 1))).toEqual([]);
    expect(of(desk('single', 3))).toEqual([]);
  });

  it('go as far as is told beforehand, and no window falls under its minimum', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('lead', 'columns', 'rows', 'grid', 'halving', 'middle', 'split'),
        fc.integer({ min: 2, max: 6 }),
        fc.constantFrom(1, 2),
        fc.integer({ min: -900, max: 900 }),
        fc.nat(9),
        (kind, count, scale, by, which) => {
          const before = desk(kind, count, scale);
          const dividers = of(before);
          const divider = dividers[which % dividers.length]!;
          const told = dividerMoved(before.session, before.profile, divider, by)!;
          const after = dividerEvents(divider, by).reduce((now, event) => now.event(event), before);
          const isX = divider.direction === 'right';
          const length = (now: typeof before) => {
            const { tile } = now.at(divider.window);
            return isX ? tile!.width : tile!.height;
          };
          expect(length(after) - length(before)).toBe(told.pixels);
          expect(isX ? told.size.width : told.size.height).toBe(length(after));
          const stands = of(after).find(
            ({ window, direction }) => window === divider.window && direction === divider.direction,
          );
          expect(told.rect[isX ? 'x' : 'y']).toBe(stands?.rect[isX ? 'x' : 'y']);
          for (const { tile } of after.placed().placements) {
            expect(tile!.width).toBeGreaterThanOrEqual(120 * scale);
            expect(tile!.height).toBeGreaterThanOrEqual(80 * scale);
          }
        },
      ),
    );
  });
});
