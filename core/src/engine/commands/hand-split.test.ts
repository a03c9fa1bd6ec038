import { describe, expect, it } from 'vitest';
import { sessionSchema } from '../../model/session.ts';
import { OFFICE, testDesk, windows } from '../../testing/desk.ts';
import { LAYOUTS } from '../../tiling/layouts.ts';
import { read } from '../../values/faults.ts';
import { comingHalf } from '../coming-half.ts';
import { LAYOUT_KINDS } from '../../values/layout.ts';

const bare = { ...OFFICE, tiling: { gaps: { inner: 10, outer: 6 }, layout: { kind: 'split' } } };
const desk = testDesk(bare);
const open = { command: 'open-app', app: 'shell' } as const;
const led = testDesk(OFFICE, { ...windows('p', 'b', 's'), focus: 'p' });

describe('hand-split', () => {
  it('divides the focused window as told, once, else along its longer side', () => {
    const three = desk.run(open, open, 'split-across', open);
    expect(three.shapes()).toEqual({
      'shell-1': '6,34 1709×1400',
      'shell-2': '1725,34 850×1400',
      'shell-3': '2585,34 849×1400',
    });
    const four = three.run('focus-left', 'focus-left', 'split-down', open, open);
    expect(four.shapes()).toMatchObject({
      'shell-1': '6,34 1709×695',
      'shell-4': '6,739 850×695',
      'shell-5': '866,739 849×695',
    });
    expect(four.session.arrangements['B/wide']!.order).toEqual([
      'shell-1',
      'shell-4',
      'shell-5',
      'shell-2',
      'shell-3',
    ]);
  });

  it('tells which half is coming, and drops the division by the same key again', () => {
    const half = ({ profile, session, desk: there }: typeof desk) =>
      comingHalf({ profile, session, desk: there });
    const pending = desk.run(open, open, 'split-across');
    // The half lies where the next window opens, up to the gap between the two.
    const { x, y, width, height } = pending.run(open).at('shell-3');
    const { axis, rect } = half(pending)!;
    expect([axis, rect.y, rect.height]).toEqual(['x', y, height]);
    expect(Math.abs(rect.x - x)).toBeLessThanOrEqual(6);
    expect(rect.x + rect.width).toBe(x + width);
    expect(pending.session.windows).toHaveLength(2);
    const dropped = pending.run('split-across');
    expect(half(dropped)).toBeNull();
    expect(dropped.session.arrangements).toEqual(desk.run(open, open).session.arrangements);
    // The other direction takes the place of the first.
    expect(half(pending.run('split-down'))).toMatchObject({ axis: 'y' });
    expect(half(desk.run(open))).toBeNull();
  });

  it('takes another layout over as it stands, and splits on from there', () => {
    const taken = led.run('lead-share-more', 'split-down');
    expect(taken.shapes()).toEqual(led.run('lead-share-more').shapes());
    expect(taken.trace[0]?.because).toBe('Lead taken over as it stands');
    const on = taken.run(open);
    expect(on.shapes()).toMatchObject({ p: '6,34 2051×695', 'shell-1': '6,739 2051×695' });
    expect(on.at('s').width).toBe(1367);
  });

  it('takes over every dividing layout without moving a window', () => {
    const four = led.run(open);
    for (const kind of LAYOUT_KINDS.filter((k) => LAYOUTS[k].tree)) {
      const there = four.run({ command: 'use-layout', layout: { kind } }, 'grow-left');
      expect(there.run('split-across').shapes(), kind).toEqual(there.shapes());
    }
  });

  it('comes back to the tree made by hand after another layout was tried', () => {
    const made = desk.run(open, open, 'split-across', open, 'grow-left');
    const use = (kind: 'rows' | 'split') => ({ command: 'use-layout', layout: { kind } }) as const;
    expect(made.run(use('rows'), use('split')).shapes()).toEqual(made.shapes());
  });

  it('grows, evens out and turns the split around the focused window', () => {
    const three = desk.run(open, open, 'split-across', open);
    const grown = three.run('grow-left');
    expect(grown.shapes()).toMatchObject({ 'shell-2': '1725,34 810×1400' });
    expect(grown.run('shrink-left').shapes()).toEqual(three.shapes());
    expect(grown.run('even-out').shapes()).toEqual(three.shapes());
    expect(three.run('turn-layout').shapes()).toMatchObject({
      'shell-2': '1725,34 1709×695',
      'shell-3': '1725,739 1709×695',
    });
  });

  it('keeps the place of a window that is away for a moment, and closes up for good when it closes', () => {
    const three = desk.run(open, open, 'split-across', open, 'grow-left');
    for (const away of ['float', 'minimise', 'pocket'] as const) {
      const back = { float: 'float', minimise: 'restore-last', pocket: 'call-back' } as const;
      expect(three.run(away, back[away]).shapes()).toEqual(three.shapes());
    }
    const closed = three.run('close');
    expect(closed.shapes()).toEqual({
      'shell-1': '6,34 1709×1400',
      'shell-2': '1725,34 1709×1400',
    });
  });

  it('exchanges windows between the places of the tree', () => {
    const three = desk.run(open, open, 'split-down', open);
    const moved = three.run('move-left');
    expect(moved.shapes()['shell-3']).toBe(three.shapes()['shell-1']);
    expect(moved.shapes()['shell-1']).toBe(three.shapes()['shell-3']);
    expect(moved.run('undo').shapes()).toEqual(three.shapes());
  });
});

describe('free', () => {
  it('leaves every window where it is, and moves none for another', () => {
    const free = led.run({ command: 'use-layout', layout: { kind: 'free' } });
    expect(free.shapes()).toEqual(led.shapes());
    expect(free.at('p')).toMatchObject({ held: 'floating', tile: null });
    const opened = free.run(open);
    expect(opened.shapes()).toMatchObject(led.shapes());
    expect(free.run('grow-left').trace[0]?.because).not.toBe('');
    expect(free.run('reset-layout').shapes()).toEqual(led.shapes());
  });
});

describe('one at a time and cascade', () => {
  it('show the focused window, or all with the last on top', () => {
    const single = led.run({ command: 'use-layout', layout: { kind: 'single', strip: 'tabs' } });
    expect(single.shapes()['p']).toBe('6,62 3428×1372');
    expect([single.at('p').shown, single.at('b').shown]).toEqual([true, false]);
    expect(single.run('focus-next').at('b').shown).toBe(true);
    expect(single.run('turn-layout').shapes()['p']).toBe('6,118 3428×1316');
    const cascade = led.run({ command: 'use-layout', layout: { kind: 'cascade' } });
    expect(cascade.shapes()).toEqual({
      p: '6,34 2400×980',
      b: '38,66 2400×980',
      s: '70,98 2400×980',
    });
    expect(cascade.run('grow-right').trace[0]?.because).toContain('Cascade');
  });

  it('of any number of windows is saved: no deeper than what can be read, and the same when it is', () => {
    const many = Array.from({ length: 60 }).reduce<typeof desk>(
      (now) => now.run('split-down', open),
      desk.run(open),
    );
    const text = JSON.parse(JSON.stringify(many.session)) as unknown;
    const result = read(sessionSchema, text);
    expect(result).toMatchObject({ ok: true });
    expect(result.ok && result.value).toEqual(many.session);
    // As it was written before, one split within the other, it is read, too.
    const former = {
      windows: [{ id: 'a' }, { id: 'b' }, { id: 'c' }],
      arrangements: {
        'B/wide': {
          order: ['a', 'b', 'c'],
          layout: { kind: 'split' },
          hand: {
            axis: 'y',
            weights: [1, 1],
            children: ['a', { axis: 'x', weights: [3, 1], children: ['b', 'c'] }],
          },
        },
      },
    };
    expect(testDesk(OFFICE, former).shapes()).toEqual({
      a: '6,34 3428×695',
      b: '6,739 2564×695',
      c: '2580,739 854×695',
    });
    // What is no tree is told.
    const faulty = (hand: unknown) =>
      read(sessionSchema, { arrangements: { 'B/wide': { order: [], hand } } }).ok;
    const split = (...children: unknown[]) => ({ axis: 'x', weights: [1, 1], children });
    expect(faulty([split('a', 1)])).toBe(false);
    expect(faulty([split('a', 1), split('b', 1)])).toBe(false);
    expect(faulty([split(1, 1), split('b', 'c')])).toBe(false);
    expect(faulty([split('a', 'b'), split('c', 'd')])).toBe(false);
    expect(faulty([split(1, 2), split('a', 'b'), split('c', 'd')])).toBe(true);
  });
});
