import { describe, expect, it } from 'vitest';
import { sessionSchema } from '../../model/session.ts';
import { OFFICE, testDesk, windows } from '../../testing/desk.ts';
import { LAYOUT_KINDS, type LayoutKind } from '../../values/layout.ts';

const desk = testDesk(OFFICE, { ...windows('p', 'b', 's'), focus: 'p' });
const order = (after: typeof desk) => after.session.arrangements['B/wide']!.order;

describe('moving windows', () => {
  it('exchanges with the window focus would choose', () => {
    expect(order(desk.run('move-right'))).toEqual(['s', 'b', 'p']);
    expect(order(desk.run('move-right', 'move-up'))).toEqual(['s', 'p', 'b']);
  });

  it('joins the end of the neighbour’s workspace past the last window', () => {
    const moved = desk.run('move-right', 'move-right');
    expect(order(moved)).toEqual(['s', 'b']);
    expect(moved.at('p')).toMatchObject({ monitor: 'tall', workspace: 'S', x: 3446, width: 1428 });
    expect(moved.session.focus).toBe('p');
    expect(moved.session.focusMonitor).toBe('tall');
  });

  it('takes a floating window across by its share of the work area', () => {
    const floating = testDesk(OFFICE, {
      windows: [
        { id: 'f', held: 'floating', standing: { x: 860, y: 28, width: 1720, height: 706 } },
      ],
    });
    // A quarter in and half as wide and high; the built-in panel's work area is 2880 × 1672 at 280,1488.
    expect(floating.run('move-down').shapes()).toEqual({ f: '1000,1488 1440×836' });
  });

  it('moves earlier and later in the order, and says where the ends are', () => {
    expect(order(desk.run('move-later'))).toEqual(['b', 'p', 's']);
    expect(order(desk.run('move-later', 'move-later', 'move-earlier'))).toEqual(['b', 'p', 's']);
    expect(desk.run('move-earlier').trace[0]?.because).toBe('it is the first in the order');
  });

  it('swaps with the lead, or leads and shifts the others down', () => {
    const last = desk.run('focus-previous');
    expect(order(last.run('swap-with-lead'))).toEqual(['s', 'b', 'p']);
    expect(order(last.run('promote'))).toEqual(['s', 'p', 'b']);
    expect(desk.run('promote').trace[0]?.because).toBe('p is the lead already');
  });

  it('swaps with the lead and back, any number of times', () => {
    const last = desk.run('focus-previous');
    const swapped = last.run('swap-with-lead');
    const back = swapped.run('swap-with-lead');
    expect(order(back)).toEqual(order(last));
    expect(back.trace[0]).toMatchObject({ decided: 'p is the lead again' });
    expect(order(back.run('swap-with-lead'))).toEqual(order(swapped));
    // The one that was the lead is gone: there is nothing to give back.
    const alone = swapped.event({ type: 'window-closed', id: 'p' });
    expect(alone.run('swap-with-lead').trace[0]?.because).toBe('s is the lead already');
  });

  it('exchanges with a window by its name, and takes the place of one elsewhere', () => {
    const exchange = (text: string) => ({ command: 'exchange-with', text }) as const;
    expect(order(desk.run(exchange('s')))).toEqual(['s', 'b', 'p']);
    expect(desk.run(exchange('s')).session.focus).toBe('p');
    expect(desk.run(exchange('nobody')).trace[0]?.because).toBe(
      'no other window answers to nobody',
    );
    const away = desk.run(
      { command: 'go-workspace', which: 'S' },
      { command: 'open-app', app: 'shell' },
    );
    const taken = away.run({ command: 'find-window', text: 'p' }, exchange('shell-1'));
    expect(taken.at('p')).toMatchObject({ workspace: 'S', monitor: 'tall' });
    expect(taken.session.focus).toBe('p');
    expect(taken.session.arrangements['S/tall']!.order).toEqual(['p', 'shell-1']);
    const floating = desk.run('float', exchange('s'));
    expect(floating.trace[0]?.because).toBe('p is not tiled');
  });

  it('leaves floating windows at their place in the order', () => {
    const floating = desk.run('focus-next', 'float', 'focus-next', 'swap-with-lead');
    expect(order(floating)).toEqual(['s', 'b', 'p']);
  });
});

describe('shares', () => {
  it('steps the lead share by 0.02 within 0.05 and 0.95', () => {
    expect(desk.run('lead-share-more').at('p').width).toBe(Math.round(3418 * 0.6));
    let far = desk;
    for (let i = 0; i < 30; i++) far = far.run('lead-share-more');
    expect(far.at('p').width).toBe(Math.round(3418 * 0.95));
    expect(far.trace[0]?.because).toBe('the lead share is at its most');
    for (let i = 0; i < 60; i++) far = far.run('lead-share-less');
    expect(far.at('p').width).toBe(Math.round(3418 * 0.05));
  });

  it('steps the lead count between one and all', () => {
    expect(desk.run('lead-count-more').at('b')).toMatchObject({ x: 6, y: 739 });
    const all = desk.run('lead-count-more', 'lead-count-more');
    expect(all.at('s').width).toBe(3428);
    expect(all.run('lead-count-more').trace[0]?.because).toBe('all windows lead already');
    expect(desk.run('lead-count-less').trace[0]?.because).toBe('one window leads already');
  });

  it('says what means nothing in columns', () => {
    const columns = desk.run({ command: 'use-layout', layout: { kind: 'columns' } });
    expect(columns.run('lead-share-more').trace[0]?.because).toBe('Columns has no lead share');
    expect(columns.run('lead-count-more').trace[0]?.because).toBe('Columns has no lead count');
  });
});

describe('growing', () => {
  it('moves the edge by the step in the monitor’s own pixels, and back to the same tiles', () => {
    const wider = desk.run('grow-right');
    expect(wider.trace[0]).toMatchObject({ about: 'p', pixels: 40 });
    expect(wider.at('p').width).toBe(2022);
    expect(wider.run('shrink-right').shapes()).toEqual(desk.shapes());
    const lap = testDesk(OFFICE, {
      windows: [
        { id: 'a', workspace: 'R' },
        { id: 'b', workspace: 'R' },
      ],
      focus: 'a',
    });
    expect(lap.run('grow-right').trace[0]?.pixels).toBe(80);
  });

  it('grows within a stack and keeps those sizes when a window floats and comes back', () => {
    const taller = desk.run('focus-right', 'grow-up');
    expect([taller.at('b').height, taller.at('s').height]).toEqual([655, 735]);
    const back = taller.run('float', 'float');
    expect(back.shapes()).toEqual(taller.shapes());
  });

  it('says so when nothing lies beyond the edge or the other is at its minimum', () => {
    expect(desk.run('grow-left').trace[0]?.because).toBe('nothing lies left to share with');
    const tight = testDesk(OFFICE, {
      windows: [{ id: 'a' }, { id: 'b', min: { width: 1436, height: 10 } }],
      focus: 'a',
    });
    expect(tight.run('grow-right').trace[0]?.because).toBe(
      'what would get smaller is at its minimum',
    );
  });

  it('counts a lead widened by its edge as its share', () => {
    const wider = desk.run('grow-right', 'lead-share-more');
    expect(wider.at('p').width).toBe(Math.round((2022 / 3418 + 0.02) * 3418));
  });

  it('moves a floating window’s edge inside the work area', () => {
    const floating = testDesk(OFFICE, {
      windows: [{ id: 'f', held: 'floating', standing: { x: 10, y: 28, width: 500, height: 400 } }],
    });
    expect(floating.run('grow-left').trace[0]?.pixels).toBe(10);
    expect(floating.run('grow-right', 'shrink-down').shapes()).toEqual({ f: '10,28 540×360' });
    expect(floating.run('grow-up').trace[0]?.because).toBe('it ends at the work area');
  });

  it('evens out what was moved by key and nothing else', () => {
    const moved = desk.run('lead-count-more', 'grow-right', 'focus-right', 'lead-share-less');
    const even = moved.run('even-out');
    expect(even.shapes()).toEqual(desk.run('lead-count-more').shapes());
    expect(even.run('even-out').trace[0]?.because).toBe('no size here was moved by key');
  });
});

describe('layouts by key', () => {
  it('come back with what was adjusted under them', () => {
    const adjusted = desk.run('lead-share-more', 'lead-count-more');
    const back = adjusted.run(
      { command: 'use-layout', layout: { kind: 'columns' } },
      'grow-right',
      { command: 'use-layout', layout: { kind: 'lead' } },
    );
    expect(back.shapes()).toEqual(adjusted.shapes());
    expect(back.run('reset-layout').shapes()).toEqual(desk.shapes());
  });

  it('say so when they are in force already', () => {
    const same = desk.run({ command: 'use-layout', layout: { kind: 'lead' } });
    expect(same.trace[0]?.because).toBe('Lead is in force here already');
  });
});

describe('turning and stepping through layouts', () => {
  const use = (kind: LayoutKind) => desk.run({ command: 'use-layout', layout: { kind } });

  it('turns the lead round the sides and comes back after four', () => {
    expect(desk.run('turn-layout').at('p')).toMatchObject({ x: 6, y: 34, width: 3428 });
    expect(desk.run('turn-layout', 'turn-layout').at('p').x).toBe(6 + 1436 + 10);
    const round = desk.run('turn-layout', 'turn-layout', 'turn-layout', 'turn-layout');
    expect(round.shapes()).toEqual(desk.shapes());
  });

  it('turns columns into rows, middle and halving to their other axis, and back', () => {
    expect(use('columns').run('turn-layout').shapes()).toEqual(use('rows').shapes());
    for (const kind of ['columns', 'rows', 'middle', 'halving'] as const) {
      const once = use(kind).run('turn-layout');
      expect(once.shapes()).not.toEqual(use(kind).shapes());
      expect(once.run('turn-layout').shapes()).toEqual(use(kind).shapes());
    }
    expect(use('grid').run('turn-layout').trace[0]?.because).toBe('Even grid cannot be turned');
  });

  it('steps round all kinds, forth and back', () => {
    let round = desk;
    const seen = LAYOUT_KINDS.map(() => {
      round = round.run('next-layout');
      return JSON.stringify(round.shapes());
    });
    expect(round.shapes()).toEqual(desk.shapes());
    expect(new Set(seen).size).toBeGreaterThan(3);
    expect(desk.run('next-layout', 'previous-layout').shapes()).toEqual(desk.shapes());
  });

  it('starts the share of a middle lead where its boundaries were moved to', () => {
    const grown = use('middle').run('grow-right');
    expect(grown.trace[0]?.pixels).toBe(40);
    const before = grown.at('p').width;
    const stepped = grown.run('lead-share-more').at('p').width;
    expect(stepped - before).toBeGreaterThan(0);
    expect(stepped - before).toBeLessThanOrEqual(Math.ceil(3418 * 0.02));
    for (const kind of ['middle', 'grid', 'halving', 'rows'] as const) {
      const there = use(kind).run('focus-last', 'grow-up', 'grow-left');
      expect(there.run('even-out').shapes()).toEqual(use(kind).shapes());
    }
  });
});

describe('windows', () => {
  it('open on the monitor with the focus, at the end, and have the focus', () => {
    const opened = desk.run(
      'focus-down',
      { command: 'open-app', app: 'shell' },
      { command: 'open-app', app: 'shell' },
    );
    expect(opened.session.windows.map(({ id }) => id)).toEqual([
      'p',
      'b',
      's',
      'shell-1',
      'shell-2',
    ]);
    expect(opened.session.focus).toBe('shell-2');
    expect(opened.at('shell-2')).toMatchObject({ monitor: 'lap', workspace: 'R' });
  });

  it('never get the id of a closed one', () => {
    const open = { command: 'open-app', app: 'shell' } as const;
    const again = desk.run(open, 'close', open);
    expect(again.session.focus).toBe('shell-2');
  });

  it('open floating in the middle where their app says so', () => {
    const opened = desk.run({ command: 'open-app', app: 'picker' });
    // Nothing of an app gets into a window that a session cannot have.
    const told = {
      icon: 'i',
      exec: 'e',
      letter: 'K',
      shortcuts: [{ keys: 'Ctrl+KeyB', what: 'b' }],
    };
    const apps = OFFICE.apps.map((app) => ({ ...app, ...told }));
    const { session } = testDesk({ ...OFFICE, apps }).run({ command: 'open-app', app: 'picker' });
    expect(sessionSchema.parse(session).windows).toHaveLength(1);
    expect(opened.at('picker-1')).toMatchObject({
      held: 'floating',
      x: 1570,
      y: 554,
      width: 300,
      height: 360,
      tile: null,
    });
  });

  it('are a further window of their app by its title, or say which there is', () => {
    const apps = OFFICE.apps.map((app) =>
      app.id === 'shell' ? { ...app, windows: [{ title: 'Logs' }] } : app,
    );
    const open = (window: string) => ({ command: 'open-app', app: 'shell', window }) as const;
    const further = testDesk({ ...OFFICE, apps });
    expect(further.run(open('Logs')).session.windows[0]).toMatchObject({ title: 'Logs' });
    const mistyped = further.run(open('Lgos'));
    expect(mistyped.session.windows).toEqual([]);
    expect(mistyped.trace[0]?.because).toBe('Shell has no window Lgos; the nearest is Logs');
  });

  it('say which app was meant when a name is mistyped', () => {
    const mistyped = desk.run({ command: 'open-app', app: 'shel' });
    expect(mistyped.trace[0]?.because).toBe('no app is called shel; the nearest is shell');
  });

  it('float and come back to their tile and their place', () => {
    const floating = desk.run('focus-right', 'float');
    expect(floating.at('s')).toMatchObject({ held: 'floating', tile: null });
    expect(floating.at('b').height).toBe(1400);
    expect(floating.run('float').shapes()).toEqual(desk.shapes());
    const again = floating.run('grow-right', 'float', 'float');
    expect(again.at('s')).toEqual(floating.run('grow-right').at('s'));
  });
});

describe('workspaces', () => {
  it('are shown on their monitor and keep their windows', () => {
    const away = desk.run({ command: 'go-workspace', which: '1' });
    expect(away.at('p').shown).toBe(false);
    expect([away.session.focus, away.session.focusMonitor]).toEqual([undefined, 'wide']);
    const back = away.run({ command: 'go-workspace', which: 'B' });
    expect(back.session.focus).toBe('p');
    expect(back.shapes()).toEqual(desk.shapes());
    expect(desk.run({ command: 'go-workspace', which: 'bb' }).trace[0]?.because).toBe(
      'no workspace is called bb; the nearest is B',
    );
  });

  it('are gone through in order, and back to the last one', () => {
    const go = (which: string) => ({ command: 'go-workspace', which }) as const;
    const shown = (after: typeof desk) => after.session.shown['wide'];
    expect(shown(desk.run(go('next')))).toBe('1');
    expect(shown(desk.run(go('next'), go('next')))).toBe('B');
    expect(shown(desk.run(go('previous')))).toBe('1');
    expect(shown(desk.run(go('1'), go('S'), go('1'), go('last')))).toBe('B');
    expect(desk.run(go('last')).trace[0]?.because).toBe(
      'this monitor showed no other workspace before',
    );
  });

  it('take a window at their end, followed or not, and give it back', () => {
    const put = (which: string, follow?: true) =>
      ({ command: 'put-on-workspace', which, ...(follow && { follow }) }) as const;
    const away = desk.run(put('S'));
    expect(away.at('p')).toMatchObject({ workspace: 'S', monitor: 'tall', shown: true });
    expect(away.session.focusMonitor).toBe('wide');
    expect(away.session.focus).toBe('s');
    expect(order(away)).toEqual(['b', 's']);
    expect(away.run('undo').shapes()).toEqual(desk.shapes());

    const hidden = desk.run(put('1'));
    expect(hidden.at('p').shown).toBe(false);
    const followed = desk.run(put('1', true));
    expect(followed.session.focus).toBe('p');
    expect(followed.at('p').shown).toBe(true);
    expect(desk.run(put('B')).trace[0]?.because).toBe('p is on workspace B already');
  });
});

it('the windows of a closed workspace keep their order where they come', () => {
  const moved = desk.run('swap-with-lead', 'focus-next', 'move-later');
  const before = order(moved);
  expect(before).not.toEqual(['p', 'b', 's']);
  const closed = moved.run('close-workspace');
  expect(closed.session.arrangements['1/wide']!.order).toEqual(before);
});

describe('what is opened at the start', () => {
  const app = (id: string) => ({ id: `${id}-1`, app: id });
  const start = (...apps: string[]) => ({ ...OFFICE, start: apps.map((each) => ({ app: each })) });
  const opened = (desk: ReturnType<typeof testDesk>) =>
    desk.run('open-start').session.windows.map(({ id }) => id);

  it('is opened as often as it is listed, less what is open', () => {
    const three = start('shell', 'shell', 'pitreader');
    expect(opened(testDesk(three))).toEqual(['shell-1', 'shell-2', 'pitreader-1']);
    expect(opened(testDesk(three, { windows: [app('shell')] }))).toEqual([
      'shell-1',
      'shell-2',
      'pitreader-1',
    ]);
    const two = [app('shell'), { id: 'shell-2', app: 'shell' }];
    expect(opened(testDesk(three, { windows: two }))).toEqual([
      'shell-1',
      'shell-2',
      'pitreader-1',
    ]);
  });

  it('says where there is nothing to open', () => {
    const whole = testDesk(start('shell')).run('open-start');
    expect(whole.run('open-start').trace[0]?.because).toBe('all of them are open');
    expect(testDesk(OFFICE).run('open-start').trace[0]?.because).toBe(
      'no app is opened at the start',
    );
  });
});
