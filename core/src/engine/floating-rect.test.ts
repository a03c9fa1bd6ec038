import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { windowSchema } from '../model/session.ts';
import { testDesk } from '../testing/desk.ts';

describe('a window that floats on a grid', () => {
  it('stands to the pixel where there is none', () => {
    const monitors = [{ id: 'm', width: 1001, height: 703 }];
    const standing = { x: 13, y: 27, width: 301, height: 203 };
    const floating = { id: 'a', held: 'floating', standing };
    const free = testDesk({ monitors, floating: { grid: 0 } }, { windows: [floating] });
    expect(free.at('a')).toMatchObject(standing);
    const opened = testDesk(
      { monitors, floating: { grid: 0 } },
      { windows: [{ id: 'a', held: 'floating', preferred: { width: 300, height: 200 } }] },
    );
    // In the middle: (1001 − 300) / 2 and (703 − 200) / 2, at the nearest pixel.
    expect(Math.abs(opened.at('a').x - 350.5)).toBeLessThanOrEqual(0.5);
    expect(Math.abs(opened.at('a').y - 251.5)).toBeLessThanOrEqual(0.5);
  });

  it('stands on it from the start, with its size, however it came to float', () => {
    const ways = fc.constantFrom('float', 'stay-above', 'opened', 'pocket');
    fc.assert(
      fc.property(
        fc.integer({ min: 8, max: 200 }),
        fc.constantFrom(1, 1.5, 2),
        fc.nat(60),
        ways,
        (grid, scale, top, way) => {
          const profile = {
            monitors: [{ id: 'm', width: 1900, height: 1300, scale, reserved: { top } }],
            workspaces: [{ id: '1' }, { id: '2' }],
            floating: { grid },
          };
          const held = way === 'opened' ? { held: 'floating' } : {};
          const desk = testDesk(profile, {
            windows: [{ id: 'a', ...held }, { id: 'b' }],
            focus: 'a',
          });
          const after =
            way === 'opened'
              ? desk
              : way === 'pocket'
                ? desk.run('pocket', { command: 'go-workspace', which: '2' }, 'call-back')
                : desk.run(way as 'float');
          const { x, y, width, height } = after.at('a');
          // The grid begins at the corner of the work area, in whole physical pixels.
          const step = Math.round(grid * scale);
          const from = Math.round(top * scale);
          expect([x % step, (y - from) % step, width % step, height % step]).toEqual([0, 0, 0, 0]);
          expect(x + width).toBeLessThanOrEqual(1900);
          expect(y + height).toBeLessThanOrEqual(1300);
        },
      ),
    );
  });

  it('stands on it where it is called back and never stood anywhere', () => {
    for (const lift of ['everywhere', 'stayAbove']) {
      const desk = testDesk(
        { monitors: [{ id: 'm', width: 200, height: 150 }], floating: { grid: 16 } },
        { windows: [{ id: 'a', held: 'pocketed', [lift]: true }] },
      ).run('call-back');
      const { x, y, width, height } = desk.at('a');
      expect([x % 16, y % 16, width, height]).toEqual([0, 0, 96, 80]);
      const written = JSON.parse(JSON.stringify(desk.session)) as unknown;
      expect(testDesk(desk.profile, written).at('a')).toEqual(desk.at('a'));
    }
  });

  it('keeps to what a window allows rather than to the grid', () => {
    const windows = [{ id: 'a', preferred: { width: 333, height: 222 }, resizable: false }];
    const desk = testDesk(
      { monitors: [{ id: 'm', width: 1900, height: 1300 }], floating: { grid: 50 } },
      { windows, focus: 'a' },
    ).run('float');
    const { x, y, width, height } = desk.at('a');
    expect([width, height]).toEqual([333, 222]);
    expect([x % 50, y % 50]).toEqual([0, 0]);
  });
});

it('a window steps aside for one with its corner, and for no other', () => {
  const over = (x: number, y: number) =>
    testDesk(
      { monitors: [{ id: 'm', width: 1000, height: 800 }], floating: { grid: 0 } },
      {
        windows: [{ id: 'a', held: 'floating', standing: { x, y, width: 50, height: 50 } }],
      },
    ).event({
      type: 'window-opened',
      window: windowSchema.parse({
        id: 'b',
        held: 'floating',
        preferred: { width: 400, height: 300 },
      }),
    });
  const corner = (desk: ReturnType<typeof over>) => [desk.at('b').x, desk.at('b').y];
  // In the middle: (1000 − 400) / 2 and (800 − 300) / 2.
  expect(corner(over(300, 250))).toEqual([332, 282]);
  expect(corner(over(300, 251))).toEqual([300, 250]);
  expect(corner(over(301, 250))).toEqual([300, 250]);
});
