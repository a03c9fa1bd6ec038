import { describe, expect, it } from 'vitest';
import { OFFICE, testDesk, windows } from '../../testing/desk.ts';

const desk = testDesk(OFFICE, { ...windows('p', 'b', 's'), focus: 'p' });
const by = (what: 'move' | 'grow' | 'exchange') => ({ command: 'shape-as', by: what }) as const;
const to = (direction: 'left' | 'right' | 'up' | 'down', inward = false) =>
  ({ command: 'shape-step', direction, inward }) as const;

describe('shaping the focused window', () => {
  it('grows by arrows, and in with Shift', () => {
    expect(desk.run('shape', to('right')).at('p').width).toBe(1982 + 40);
    expect(desk.run('shape', to('right', true)).at('p').width).toBe(1982 - 40);
  });

  it('sizes by arrows: by the far edge, or where that does not move by the near one', () => {
    const size = (direction: 'left' | 'right' | 'up' | 'down') =>
      ({ command: 'shape-step', direction, by: 'size' }) as const;
    expect(desk.run('shape', size('right')).at('p').width).toBe(1982 + 40);
    expect(desk.run('shape', size('left')).at('p').width).toBe(1982 - 40);
    // Station Feed's stand-in is at the right edge: its left one moves.
    const right = desk.run('focus-next', 'shape', size('right')).at('b');
    expect(right).toMatchObject({ width: 1436 + 40 });
    expect(desk.run('focus-next', 'shape', size('down')).at('b').height).toBe(695 + 40);
    expect(desk.run('shape', size('down')).trace[0]?.because).toBe(
      'nothing lies down to share with',
    );
  });

  it('goes on with the next window, and drops what was done to all of them', () => {
    const shaped = desk.run('shape', to('right'), 'focus-next', to('down'));
    expect(shaped.session.interaction).toMatchObject({ kind: 'shaping', window: 'b', steps: 2 });
    expect(shaped.at('b').height).toBe(695 + 40);
    expect(shaped.run('shape-drop').shapes()).toEqual(desk.shapes());
  });

  it('exchanges by arrows with the next one, where moving takes the place before it', () => {
    const order = (what: 'move' | 'exchange') =>
      desk.run('shape', by(what), to('right')).session.arrangements['B/wide']!.order.join(' ');
    // Of the two to the right, the last one had the focus more recently.
    expect([order('exchange'), order('move')]).toEqual(['s b p', 'b s p']);
  });

  it('takes one step back at a time', () => {
    const shaped = desk.run('shape', to('right'), to('right'));
    expect(shaped.run('shape-back').at('p').width).toBe(1982 + 40);
    const none = shaped.run('shape-back', 'shape-back');
    expect(none.shapes()).toEqual(desk.shapes());
    expect(none.run('shape-back').trace[0]?.because).toBe('no step of this shaping is left');
  });

  it('drops all of it', () => {
    const shaped = desk.run(
      'shape',
      to('right'),
      by('exchange'),
      to('right'),
      by('move'),
      to('up'),
    );
    expect(shaped.shapes()).not.toEqual(desk.shapes());
    expect(shaped.run('shape-drop').session).toEqual(desk.session);
  });

  it('takes all of it as one step of undo', () => {
    const taken = desk.run('shape', to('right'), to('right'), by('exchange'), to('right'), 'shape');
    expect(taken.session.interaction).toBeUndefined();
    expect(taken.session.past.map(({ command }) => command)).toEqual(['shape']);
    expect(taken.run('undo').shapes()).toEqual(desk.shapes());
    expect(taken.run('undo', 'redo').shapes()).toEqual(taken.shapes());
  });

  it('is taken when anything else is done', () => {
    const other = desk.run('shape', to('right'), 'focus-right');
    expect(other.session.interaction).toBeUndefined();
    expect(other.at('p').width).toBe(1982 + 40);
    expect(other.run(to('right')).trace[0]?.because).toBe('no window is being shaped');
  });

  it('moves a floating window by the step, inside the work area', () => {
    const floating = desk.run('float', 'shape', by('move'), to('right'));
    const from = desk.run('float').at('p');
    expect(floating.at('p').x).toBe(from.x + 40);
    let edge = floating;
    for (let i = 0; i < 80; i++) edge = edge.run(to('right'));
    expect(edge.at('p').x + edge.at('p').width).toBe(3440);
    expect(edge.trace[0]?.because).toBe('it ends at the work area');
    // However many steps there were, dropping takes them all back.
    let far = desk.run('float', 'shape', by('move'));
    for (let i = 0; i < 130; i++) far = far.run(to(i % 2 ? 'left' : 'right'));
    expect(far.run('shape-drop').at('p')).toEqual(desk.run('float').at('p'));
  });
});

describe('where new windows go, and which layouts are cycled through', () => {
  const open = { command: 'open-app', app: 'shell' } as const;
  const set = (more: object) =>
    testDesk(
      { ...OFFICE, tiling: { ...OFFICE.tiling, ...more } },
      { ...windows('p', 'b', 's'), focus: 'b' },
    );
  const order = (after: typeof desk) => after.session.arrangements['B/wide']!.order;

  it('at the lead, at the end, or after the focused one, by place', () => {
    expect(order(set({}).run(open))).toEqual(['p', 'b', 's', 'shell-1']);
    expect(order(set({ newWindows: 'lead' }).run(open))[0]).toBe('shell-1');
    const after = set({ places: [{ workspace: 'B', newWindows: 'after-focused' }] }).run(open);
    expect(order(after)).toEqual(['p', 'b', 'shell-1', 's']);
    expect(after.trace[1]?.because).toBe('new windows are set so');
  });

  it('goes round the set layouts alone, and into them from another', () => {
    const few = set({ cycle: ['rows', 'single'] });
    const kind = (now: typeof desk) => now.session.arrangements['B/wide']!.layout?.kind;
    expect(kind(few.run('next-layout'))).toBe('rows');
    expect(kind(few.run('next-layout', 'next-layout'))).toBe('single');
    expect(kind(few.run('next-layout', 'next-layout', 'next-layout'))).toBe('rows');
    expect(kind(few.run('previous-layout'))).toBe('single');
  });
});
