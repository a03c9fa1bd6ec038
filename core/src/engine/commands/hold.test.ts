import { describe, expect, it } from 'vitest';
import { OFFICE, testDesk, windows } from '../../testing/desk.ts';

const desk = testDesk(OFFICE, { ...windows('p', 'b', 's'), focus: 'p' });
const go = (which: string) => ({ command: 'go-workspace', which }) as const;
const because = (after: typeof desk) => after.trace[0]?.because;

describe('float-all', () => {
  it('leaves every window where it is, and takes all back into their tiles', () => {
    const afloat = desk.run('float-all');
    expect(afloat.shapes()).toEqual(desk.shapes());
    expect(afloat.session.windows.every(({ held }) => held === 'floating')).toBe(true);
    const back = afloat.run('grow-right', 'float-all');
    expect(back.shapes()).toEqual(desk.shapes());
    expect(back.at('p').held).toBe('tiled');
  });

  it('takes in a window that opens meanwhile, with the others', () => {
    const opened = desk.run('float-all', { command: 'open-app', app: 'shell' });
    expect(opened.at('shell-1').held).toBe('floating');
    expect(opened.run('float-all').at('shell-1').held).toBe('tiled');
  });

  it('leaves alone those that floated before', () => {
    const before = desk.run('float');
    const back = before.run('float-all', 'float-all');
    expect(back.shapes()).toEqual(before.shapes());
    expect(back.at('p').held).toBe('floating');
  });
});

describe('what floats only with all others', () => {
  const open = { command: 'open-app', app: 'shell' } as const;

  it('is in its tile once float-all is taken back, though it opened since', () => {
    expect(desk.run('float-all', open, 'undo').at('shell-1').held).toBe('tiled');
  });

  it('is in its tile once float-all is taken back, though its monitor went since', () => {
    const alone = desk.run('float-all').plug('tall', 'lap').run('undo');
    expect(alone.at('p')).toMatchObject({ held: 'tiled', monitor: 'lap' });
    expect(alone.run(go('B'), open).at('shell-1')).toMatchObject({ workspace: 'B', held: 'tiled' });
  });

  it('is in its tile again where it was in the pocket meanwhile', () => {
    const back = desk.run('float-all', 'pocket', 'float-all', 'call-back');
    expect(back.shapes()).toEqual(desk.shapes());
    expect(back.at('p').held).toBe('tiled');
  });

  it('floats on where it visits, whatever all others do there', () => {
    const visit = desk.run('float-all', 'pocket', go('1'), open, 'call-back');
    const all = visit.run('float-all', 'float-all');
    expect(all.at('p').held).toBe('floating');
    expect(all.shapes()).toEqual(visit.shapes());
  });

  it('floats by itself where it floats again while no others do', () => {
    const own = desk.run('float-all', 'float', 'float-all', 'float');
    expect(own.at('p').held).toBe('floating');
    expect(own.run('float-all', 'float-all').at('p').held).toBe('floating');
  });

  it('goes back by itself where it was in its tile, pocketed, and above all others since', () => {
    const tiled = desk.run('float-all', 'float');
    const visit = tiled.run('pocket', go('1'), 'call-back', 'stay-above', 'pocket', go('B'));
    expect(visit.run('call-back').at('p')).toMatchObject({ held: 'floating', stayAbove: true });
    expect(visit.run('call-back', 'stay-above').shapes()).toEqual(tiled.shapes());
  });
});

it('all float until the last of them is gone: one that opens then is in a tile', () => {
  const empty = desk.run('float-all', 'close', 'close', 'close');
  expect(empty.session.windows).toEqual([]);
  const opened = empty.run({ command: 'open-app', app: 'shell' });
  expect(opened.at('shell-1').held).toBe('tiled');
});

describe('stay-above and everywhere', () => {
  it('lift a tiled window and bring it back to its tile', () => {
    const above = desk.run('stay-above');
    expect(above.at('p')).toMatchObject({ held: 'floating', stayAbove: true, tile: null });
    expect(above.at('b').width).toBe(Math.round(3418 * 0.58));
    expect(above.run('stay-above').shapes()).toEqual(desk.shapes());
    const both = desk.run('stay-above', 'everywhere', 'stay-above');
    expect(both.at('p')).toMatchObject({ held: 'floating', everywhere: true });
    expect(both.run('everywhere').shapes()).toEqual(desk.shapes());
  });

  it('everywhere: is shown on each workspace of its monitor, and stays on the one where it ends', () => {
    const there = desk.run('everywhere', go('1'));
    expect(there.at('p').shown).toBe(true);
    expect(there.at('b').shown).toBe(false);
    expect(there.run('focus-next').session.focus).toBe('p');
    const ended = there.run('focus-next', 'everywhere');
    expect(ended.at('p')).toMatchObject({ workspace: '1', held: 'floating' });
    expect(ended.session.arrangements['B/wide']!.order).toEqual(['b', 's']);
  });
});

describe('maximise and full-screen', () => {
  it('fill the work area less the outer gap, or the monitor, and keep the tile meanwhile', () => {
    const large = desk.run('focus-right', 'maximise');
    expect(large.at('s')).toMatchObject({
      state: 'maximised',
      held: 'tiled',
      tile: { x: 1998, y: 739, width: 1436, height: 695 },
    });
    expect(large.shapes()['s']).toBe('6,34 3428×1400');
    expect(large.run('full-screen').shapes()['s']).toBe('0,0 3440×1440');
    expect(large.run('full-screen', 'full-screen').shapes()['s']).toBe('6,34 3428×1400');
    expect(large.run('maximise').shapes()).toEqual(desk.shapes());
  });

  it('do not change the others', () => {
    const { p, b } = desk.run('focus-right', 'full-screen').shapes();
    expect([p, b]).toEqual([desk.shapes()['p'], desk.shapes()['b']]);
  });
});

describe('minimise and restore-last', () => {
  it('close up, and restore the last one first, each to its place', () => {
    const two = desk.run('minimise', 'minimise');
    expect(two.session.minimised).toEqual(['p', 's']);
    expect(two.shapes()['b']).toBe('6,34 3428×1400');
    const one = two.run('restore-last');
    expect(one.session.focus).toBe('s');
    const back = one.run('restore-last');
    expect(back.shapes()).toEqual(desk.shapes());
    expect(because(back.run('restore-last'))).toBe('no window is minimised');
  });

  it('a minimised window that is gone to is restored', () => {
    const back = desk.run('minimise', { command: 'find-window', text: 'p' });
    expect(back.shapes()).toEqual(desk.shapes());
    expect(back.session.minimised).toBeUndefined();
  });
});

describe('pocket and call-back', () => {
  it('on its own workspace a window returns to its place', () => {
    const away = desk.run('pocket');
    expect(away.at('p')).toMatchObject({ held: 'pocketed', shown: false });
    const back = away.run('call-back');
    expect(back.shapes()).toEqual(desk.shapes());
    expect(back.session.focus).toBe('p');
    expect(back.run('call-back').at('p').held).toBe('pocketed');
    expect(because(desk.run('call-back'))).toBe('the pocket is empty');
  });

  it('brings the next one where another window was clicked since, and pockets none', () => {
    const called = desk.run('pocket', 'pocket', 'call-back');
    expect([called.session.focus, called.session.pocket]).toEqual(['s', ['p']]);
    const clicked = called.event({ type: 'window-focused', id: 'b' });
    const next = clicked.run('call-back');
    expect([next.session.focus, next.session.pocket]).toEqual(['p', undefined]);
    const closed = called.event({ type: 'window-closed', id: 'b' });
    const left = closed.event({ type: 'window-closed', id: 's' }).run('call-back');
    expect([left.session.focus, left.session.pocket]).toEqual(['p', undefined]);
    const empty = clicked.event({ type: 'window-closed', id: 'p' });
    expect(because(empty.run('call-back'))).toBe('the pocket is empty');
    expect(empty.run('call-back').at('b').held).toBe('tiled');
  });

  it('elsewhere it floats in the middle, again pockets it, and home it is back in its tile', () => {
    const called = desk.run('pocket', go('S'), 'call-back');
    expect(called.at('p')).toMatchObject({ workspace: 'S', monitor: 'tall', held: 'floating' });
    const { x, y, width, height } = called.at('p');
    expect([x + width / 2, y + height / 2]).toEqual([3440 + 720, -560 + 1280]);
    const again = called.run('call-back');
    expect(again.at('p').held).toBe('pocketed');
    expect(again.session.arrangements['B/wide']!.order).toEqual(['p', 'b', 's']);
    expect(again.run(go('B'), 'call-back').shapes()).toEqual(desk.shapes());
  });

  it('takes the most recent of several', () => {
    const both = desk.run('pocket', 'pocket');
    expect(both.session.pocket).toEqual(['p', 's']);
    expect(both.run('call-back').session.focus).toBe('s');
  });

  it('a window tiled where it was called back stays there', () => {
    const settled = desk.run('pocket', go('S'), 'call-back', 'float');
    expect(settled.at('p')).toMatchObject({ workspace: 'S', held: 'tiled' });
    expect(settled.session.arrangements['B/wide']!.order).toEqual(['b', 's']);
  });
});

it('a placed window floats in the middle where it visits, and is placed again at home', () => {
  const placed = desk.run('place-left');
  const visit = placed.run('pocket', go('1'), 'call-back');
  const alone = desk.run('pocket', go('1'), 'call-back');
  expect(visit.at('p').placed).toBeUndefined();
  expect(visit.shapes()['p']).toBe(alone.shapes()['p']);
  const home = visit.run('call-back', go('B'), 'call-back');
  expect(home.shapes()).toEqual(placed.shapes());
  expect(home.run('put-back').shapes()).toEqual(desk.shapes());
  // At home without a visit it is where it was, and so it is after an undo.
  expect(placed.run('pocket', 'call-back').shapes()).toEqual(placed.shapes());
  expect(visit.run('undo', 'undo').shapes()).toEqual(placed.shapes());
});

describe('the bare desktop', () => {
  it('is shown until it is asked for again, or anything else is done', () => {
    const bare = desk.run('show-desktop');
    expect(bare.session.windows.some(({ id }) => bare.at(id).shown)).toBe(false);
    expect(bare.session.focus).toBeUndefined();
    expect(bare.run('show-desktop').session).toEqual(desk.session);
    expect(bare.run('focus-right').session.focus).toBe('s');
  });

  it('is peeked at only while the key is held', () => {
    const bare = desk.run('clear-while-pressed');
    expect(bare.at('p').shown).toBe(false);
    const back = bare.event({ type: 'key-released', taken: true });
    expect(back.session).toEqual(desk.session);
  });
});
