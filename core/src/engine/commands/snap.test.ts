import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { OFFICE, testDesk, windows } from '../../testing/desk.ts';
import { DIRECTIONS } from '../../values/direction.ts';
import { previewedPlacements } from '../run-command.ts';

const desk = testDesk(OFFICE, { ...windows('a', 'b', 'c'), focus: 'a' });
const at = (x: object | 'full', y: object | 'full' = 'full') =>
  ({ command: 'place-at', x, y }) as never;
const because = (after: typeof desk) => after.trace[0]?.because;
const focus = (text: string) => ({ command: 'find-window', text }) as const;

describe('a placed window', () => {
  it('leaves the layout, the rest close up, and its place in the order is kept', () => {
    const placed = desk.run('place-left');
    expect(placed.shapes()['a']).toBe('6,34 1709×1400');
    expect(placed.at('b')).toMatchObject({ x: 6, width: 1982 });
    expect(placed.at('a')).toMatchObject({ held: 'floating', tile: null, placed: { width: 1709 } });
    expect(placed.run('put-back').shapes()).toEqual(desk.shapes());
    expect(placed.run('float').shapes()).toEqual(desk.shapes());
    expect(placed.run('undo').shapes()).toEqual(desk.shapes());
  });

  it('goes back to where it was, and is told where that is', () => {
    expect(because(desk.run('place-left', 'put-back'))).toBe(
      'in its tile, at its place in the order',
    );
    expect(because(desk.run('float', 'place-left', 'put-back'))).toBe('where it floated');
    expect(because(desk.run('put-back'))).toBe('it is where it belongs');
    const none = desk.run({ command: 'go-monitor', which: 'tall' }, at({ start: '1/2' }));
    expect(because(none)).toBe('no window has the focus');
    expect(none.session.past).toEqual([]);
  });

  it('keeps its halves on another monitor, and on its own at another scale', () => {
    const away = desk.run('place-right').plug('lap');
    // 2880 × 1800 at scale 2, less 48 above and 80 below, less a gap of 12.
    expect(away.shapes()['a']).toBe('1730,1500 1418×1648');
    expect(away.plug('wide', 'tall', 'lap').shapes()).toEqual(desk.run('place-right').shapes());
    const other = desk.run('place-right', { command: 'put-on-monitor', which: 'tall' });
    expect(other.at('a')).toMatchObject({ monitor: 'tall', width: 709 });
  });

  it('says what it lacks, and fits into its place as its hints allow', () => {
    const hinted = testDesk(OFFICE, {
      windows: [{ id: 'a', min: { width: 1500, height: 300 }, aspect: 2 }],
    }).run(at({ start: '1/3' }));
    expect(hinted.placed().findings).toEqual([
      {
        kind: 'squeeze',
        window: 'a',
        workspace: 'B',
        monitor: 'wide',
        axis: 'x',
        has: 1136,
        needs: 1500,
      },
    ]);
    const fitted = testDesk(OFFICE, { windows: [{ id: 'a', aspect: 2 }] }).run('place-left');
    expect(fitted.at('a')).toMatchObject({ width: 1709, height: 855, x: 6, y: 306 });
  });

  it('exchanges with the placed window in a direction', () => {
    const two = desk.run('place-left', focus('b'), 'place-right');
    const swapped = two.run('move-left');
    expect(swapped.shapes()).toMatchObject({ a: two.shapes()['b'], b: two.shapes()['a'] });
  });

  it('is not touched by what acts on tiles', () => {
    const placed = desk.run('place-left');
    expect(placed.run('swap-with-lead').shapes()).toEqual(placed.shapes());
    expect(placed.run('float-all', 'float-all').shapes()).toEqual(placed.shapes());
    expect(placed.run('pocket', 'call-back').shapes()).toEqual(placed.shapes());
    expect(placed.run('minimise', 'restore-last').shapes()).toEqual(placed.shapes());
    expect(placed.run('pause', 'resume').shapes()).toEqual(placed.shapes());
  });
});

describe('centre, bigger, smaller and nudge', () => {
  const floating = testDesk(OFFICE, {
    windows: [{ id: 'f', held: 'floating', preferred: { width: 800, height: 600 } }],
  });

  it('move and resize a floating window inside the work area', () => {
    const moved = floating.run('nudge-left', 'nudge-up');
    expect(moved.at('f')).toMatchObject({ x: 1320 - 40, y: 434 - 40 });
    expect(moved.run('centre').shapes()).toEqual(floating.shapes());
    expect(floating.run('bigger').at('f')).toMatchObject({
      x: 1280,
      y: 394,
      width: 880,
      height: 680,
    });
    expect(floating.run('bigger', 'smaller').shapes()).toEqual(floating.shapes());
    const largest = Array.from({ length: 40 }, () => 'bigger' as const);
    expect(floating.run(...largest).at('f')).toMatchObject({
      x: 0,
      y: 28,
      width: 3440,
      height: 1412,
    });
    expect(because(floating.run(...largest))).toBe('it fills the work area');
  });

  it('take a tiled window out of its tile, to which put-back brings it', () => {
    const smaller = desk.run('smaller');
    expect(smaller.shapes()['a']).toBe('46,74 1902×1320');
    expect(smaller.at('a').tile).toBeNull();
    expect(smaller.run('put-back').shapes()).toEqual(desk.shapes());
  });

  it('leave a fixed size alone', () => {
    const picker = testDesk(OFFICE).run({ command: 'open-app', app: 'picker' });
    expect(because(picker.run('bigger'))).toBe('its size is fixed');
    expect(picker.run('nudge-right').at('picker-1').x).toBe(picker.at('picker-1').x + 40);
  });
});

describe('fill-rest', () => {
  it('takes the largest empty place beside placed windows, as a half where it is one', () => {
    const filled = desk.run('place-left', focus('b'), 'fill-rest');
    expect(filled.shapes()['b']).toBe('1725,34 1709×1400');
    expect(filled.run('place-right').shapes()['b']).toBe('2298,34 1136×1400');
    const odd = desk.run(at({ from: 2, to: 3, of: 7 }, { start: '1/3' }), focus('b'), 'fill-rest');
    expect(odd.shapes()['b']).toBe('6,504 3428×930');
    expect(because(desk.run('fill-rest'))).toMatch(/no other window has a place here/);
  });

  it('is beside windows in zones on a board', () => {
    const board = testDesk(
      { ...OFFICE, tiling: { gaps: { inner: 10, outer: 6 }, layout: { kind: 'board' } } },
      { ...windows('a', 'b'), focus: 'b' },
    );
    // The zone at the left has a: all right of it is empty.
    expect(board.run('fill-rest').shapes()['b']).toBe('868,34 2566×1400');
    expect(board.run('fill-rest', 'put-back').shapes()).toEqual(board.shapes());
  });
});

describe('shared edges of placed windows', () => {
  const quarters = desk.run(
    at({ start: '1/2' }, { start: '1/2' }),
    focus('b'),
    at({ end: '1/2' }, { start: '1/2' }),
    focus('c'),
    at({ start: '1/2' }, { end: '1/2' }),
  );

  it('move together along the line, and even-out sets them back', () => {
    const grown = quarters.run('grow-right');
    // b stands across the line, and a ends on it as c does.
    expect(grown.shapes()).toEqual({
      a: '6,34 1749×695',
      b: '1765,34 1669×695',
      c: '6,739 1749×695',
    });
    expect(grown.run('even-out').shapes()).toEqual(quarters.shapes());
    expect(quarters.run('grow-down').trace[0]!.because).toMatch(/ends at the area/);
  });

  it('moved on another workspace stay where they are', () => {
    const go = (which: string) => ({ command: 'go-workspace', which }) as const;
    const moved = testDesk(OFFICE, { windows: [{ id: 'p' }, { id: 'q' }], focus: 'p' }).run(
      'place-left',
      'grow-right',
      { command: 'put-on-workspace', which: 'S', follow: true },
    );
    const there = moved.run(go('B'), { command: 'find-window', text: 'q' }, 'place-left');
    const grown = there.run('grow-right');
    const back = grown.run('even-out');
    expect(back.shapes()['q']).toBe(there.shapes()['q']);
    expect(back.run(go('S')).shapes()['p']).toBe(moved.shapes()['p']);
  });

  it('moved, and moved back by what they really moved, are as before', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('a', 'b', 'c'),
        fc.constantFrom(...DIRECTIONS),
        fc.integer({ min: -3000, max: 3000 }).filter((by) => by !== 0),
        (id, direction, by) => {
          const edge = (pixels: number) =>
            ({ command: 'move-edge', direction, by: pixels }) as const;
          const before = quarters.run(focus(id));
          const moved = before.run(edge(by));
          const really = moved.trace[0]!.pixels ?? 0;
          if (really !== 0) expect(moved.run(edge(-really)).shapes()).toEqual(before.shapes());
          for (const { width, height } of moved.placed().placements) {
            expect(Math.min(width, height)).toBeGreaterThanOrEqual(1);
          }
        },
      ),
    );
  });
});

describe('a placing key that is held', () => {
  const held = testDesk(OFFICE, { ...windows('a', 'b'), focus: 'a' });
  const hold = (command: 'place-left' | 'place-up' | 'focus-next') =>
    ({ type: 'key-pressed', command: { command } }) as const;
  const released = (taken: boolean) => ({ type: 'key-released', taken }) as const;

  it('outlines where the window will be, until its release takes it; Escape drops it', () => {
    const outlined = held.event(hold('place-left'));
    expect(outlined.shapes()).toEqual(held.shapes());
    const { profile, session, desk: there } = outlined;
    const preview = previewedPlacements({ profile, session, desk: there });
    expect(preview.map(({ id, width }) => [id, width])).toEqual([['a', 1709]]);
    expect(outlined.event(released(false)).shapes()).toEqual(held.shapes());
    const taken = outlined.event(released(true));
    expect(taken.shapes()['a']).toBe('6,34 1709×1400');
    expect(taken.session.past).toHaveLength(1);
    expect(taken.run('undo').shapes()).toEqual(held.shapes());
  });

  it('is taken before another one, and by other commands', () => {
    const two = held.event(hold('place-left')).event(hold('place-up')).event(released(true));
    expect(two.shapes()['a']).toBe('6,34 1709×695');
    expect(held.event(hold('place-left')).run('focus-next').shapes()['a']).toBe('6,34 1709×1400');
  });

  it('of another layout outlines every tile as it will be', () => {
    const use = { command: 'use-layout', layout: { kind: 'rows' } } as const;
    const outlined = held.event({ type: 'key-pressed', command: use });
    const { profile, session, desk: there } = outlined;
    const rects = previewedPlacements({ profile, session, desk: there }).map(
      ({ id, x, y, width, height }) => [id, `${x},${y} ${width}×${height}`],
    );
    expect(outlined.shapes()).toEqual(held.shapes());
    expect(Object.fromEntries(rects)).toEqual(held.run(use).shapes());
    expect(outlined.event(released(true)).shapes()).toEqual(held.run(use).shapes());
  });

  it('acts at once where previews are off, and for what does not place', () => {
    const off = testDesk({ ...OFFICE, placing: { preview: false } }, windows('a'));
    expect(off.event(hold('place-left')).shapes()['a']).toBe('6,34 1709×1400');
    expect(held.event(hold('focus-next')).session.focus).toBe('b');
  });
});

it('nothing is put back where no window has the focus', () => {
  const none = desk.run({ command: 'go-monitor', which: 'tall' }, 'put-back');
  expect(because(none)).toBe('no window has the focus');
});

it('a placed window of a fixed size does not grow', () => {
  const fixed = testDesk(OFFICE, {
    windows: [{ id: 'a', resizable: false, preferred: { width: 400, height: 300 } }, { id: 'b' }],
    focus: 'a',
  }).run('place-left');
  const grown = fixed.run('grow-right');
  expect(because(grown)).toBe('its size is fixed');
  expect(grown.session.windows).toBe(fixed.session.windows);
});
