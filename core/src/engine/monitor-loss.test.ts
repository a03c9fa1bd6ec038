import { describe, expect, it } from 'vitest';
import { windowSchema } from '../model/session.ts';
import { OFFICE, testDesk, type TestDesk } from '../testing/desk.ts';
import { arrangementKey } from './session.ts';

function orderOf({ session }: TestDesk, id: string): readonly string[] {
  const { workspace, monitor } = session.windows.find((window) => window.id === id)!;
  return session.arrangements[arrangementKey(workspace, monitor)]!.order;
}

describe('without any monitor', () => {
  it('the session waits unchanged, shows nothing, and goes on as it was', () => {
    const before = testDesk(OFFICE, {
      windows: [{ id: 'p' }, { id: 'q', workspace: 'S' }],
      focus: 'p',
    });
    const dark = before.plug();
    expect(dark.placed().placements.map(({ shown }) => shown)).toEqual([false, false]);
    expect(dark.run('float').trace[0]!.because).toBe(
      'no monitor is connected: the session waits for one',
    );
    const opened = dark.event({ type: 'window-opened', window: windowSchema.parse({ id: 'r' }) });
    expect(opened.plug('wide', 'tall', 'lap').at('r').shown).toBe(true);
    const back = dark.plug('wide', 'tall', 'lap');
    expect(back.shapes()).toEqual(before.shapes());
    expect(back.session.focus).toBe('p');
  });
});

it('a session file may say that nothing is connected, or light one monitor of a desk', () => {
  const dark = testDesk(OFFICE, { windows: [{ id: 'p' }], connected: [] });
  expect(dark.session.unplugged).toBe(true);
  expect(dark.at('p').shown).toBe(false);
  const lit = testDesk(OFFICE, { windows: [{ id: 'p' }], mode: 'one', only: 'tall' });
  expect(lit.at('p')).toMatchObject({ monitor: 'tall', shown: true });
});

describe('a step taken while a monitor is away', () => {
  const before = testDesk(OFFICE, {
    windows: ['a', 'b', 'c'].map((id) => ({ id, workspace: 'S' })),
    focus: 'a',
  });

  it('is undone where the workspace is now', () => {
    const moved = before.run('move-later');
    expect(orderOf(moved, 'a')).toEqual(['b', 'a', 'c']);
    const away = moved.plug('wide', 'lap');
    expect(orderOf(away, 'a')).toEqual(['b', 'a', 'c']);
    const undone = away.run('undo');
    expect(undone.at('a').monitor).toBe('wide');
    expect(orderOf(undone, 'a')).toEqual(['a', 'b', 'c']);
    expect(undone.plug('wide', 'tall', 'lap').shapes()).toEqual(before.shapes());
  });

  it('goes along when the monitor is back', () => {
    const away = before.plug('wide', 'lap').run('move-later');
    const back = away.plug('wide', 'tall', 'lap');
    expect(back.at('a').monitor).toBe('tall');
    expect(orderOf(back, 'a')).toEqual(['b', 'a', 'c']);
    expect(orderOf(back.run('undo'), 'a')).toEqual(['a', 'b', 'c']);
  });
});

describe('a device', () => {
  const monitors = OFFICE.monitors.map((each) =>
    each.id === 'tall' ? { ...each, maker: 'KRV', model: '2701', serial: '7' } : each,
  );
  const windows = [{ id: 'a', workspace: 'S' }];

  it('is known for the monitor it is, by what it tells', () => {
    const tall = { maker: 'KRV', model: '2701', serial: '7' };
    const desk = testDesk({ ...OFFICE, monitors }, { windows, connected: ['wide', tall] });
    expect(desk.session.connected).toEqual(['wide', 'tall']);
    expect(desk.at('a').monitor).toBe('tall');
  });

  it('that the profile does not know is told, with the nearest name', () => {
    const before = testDesk({ ...OFFICE, monitors }, { windows });
    const connected = ['wide', 'lapp', { maker: 'KRV', model: '9999' }];
    const after = before.event({ type: 'monitors-changed', connected });
    const told = after.trace.map(({ decided, because }) => `${decided}: ${because}`);
    expect(told).toContain('lapp is not used: the profile has no such monitor; the nearest is lap');
    expect(told).toContain('KRV 9999 is not used: the profile has no such monitor');
    expect(after.session.connected).toEqual(['wide']);
    // Nothing but unknown names: what is connected stays as it was.
    const lost = before.event({ type: 'monitors-changed', connected: ['lapp'] });
    expect(lost.session).toBe(before.session);
  });
});

describe('a profile whose monitor is gone', () => {
  it('keeps its windows on the primary, and has them back when it is undone', () => {
    const before = testDesk(OFFICE, {
      windows: ['a', 'b'].map((id) => ({ id, workspace: 'S' })),
      focus: 'a',
    });
    const monitors = before.profile.monitors.filter(({ id }) => id !== 'tall');
    const gone = before.edited({ ...before.profile, monitors });
    expect(gone.at('a')).toMatchObject({ monitor: 'wide', workspace: 'S', shown: true });
    expect(gone.edited(before.profile).placed()).toEqual(before.placed());
  });
});

describe('a monitor that takes in what another had', () => {
  const all = ['wide', 'tall', 'lap'];

  it('shows again what it showed before, also where that is not its first workspace', () => {
    const before = testDesk(OFFICE, {
      windows: [
        { id: 'one', workspace: '1' },
        { id: 's', workspace: 'S' },
      ],
      focus: 's',
      shown: { wide: '1' },
    });
    expect(before.at('one').shown).toBe(true);
    const away = before.plug('wide', 'lap');
    expect([away.at('s').shown, away.at('one').shown]).toEqual([true, false]);
    expect(away.plug(...all).placed()).toEqual(before.placed());
  });

  it('and an empty one that had the focus gives it on, and has it again when both are back, one by one', () => {
    const windows = [
      { id: 'w', workspace: 'B' },
      { id: 't', workspace: 'S' },
    ];
    const before = testDesk(
      { ...OFFICE, monitors: [OFFICE.monitors[1], OFFICE.monitors[0], OFFICE.monitors[2]] },
      { windows, focus: 'w' },
    ).run({ command: 'go-monitor', which: 'lap' });
    expect(before.session.focus).toBeUndefined();
    const one = before.plug('wide', 'tall');
    const two = one.plug(one.session.focusMonitor === 'wide' ? 'tall' : 'wide');
    expect(two.session.focusAway?.map(({ monitor }) => monitor)).toEqual([
      'lap',
      one.session.focusMonitor,
    ]);
    const again = two.plug('wide', 'tall');
    expect(again.session.focusMonitor).toBe(one.session.focusMonitor);
    expect(again.session.focus).toBe(one.session.focus);
    expect(again.session.focusAway).toEqual(one.session.focusAway);
    const back = again.plug(...all);
    expect(back.session.focusMonitor).toBe('lap');
    expect(back.session.focus).toBeUndefined();
    expect(back.session.focusAway).toBeUndefined();
  });

  it('has its own sizes of a tree made by hand, and so has the one that comes back', () => {
    const tiling = { ...OFFICE.tiling, layout: { kind: 'split' } };
    const before = testDesk(
      { ...OFFICE, tiling },
      { windows: ['a', 'b'].map((id) => ({ id, workspace: 'S' })), focus: 'a' },
    ).run('split-down', 'grow-down');
    const away = before.plug('wide', 'lap').run('grow-right', 'grow-down');
    const back = away.plug(...all);
    expect(back.shapes()).toEqual(before.shapes());
    expect(back.plug('wide', 'lap').shapes()).toEqual(away.shapes());
    expect(away.shapes()).not.toEqual(before.plug('wide', 'lap').shapes());
  });

  it('shows there what was on screen on the monitor that is gone', () => {
    const alone = testDesk(OFFICE, { connected: ['wide'], windows: [{ id: 'a', workspace: 'B' }] });
    const seen = alone.run({ command: 'go-workspace', which: '1' });
    expect(seen.session.shown['wide']).toBe('1');
    expect(seen.plug('lap').session.shown['lap']).toBe('1');
    expect(alone.plug('lap').session.shown['lap']).toBe('B');
  });

  it('has them after its own where workspaces are joined', () => {
    const joined = testDesk(
      { ...OFFICE, tiling: { ...OFFICE.tiling, workspacesAre: 'joined' } },
      {
        windows: [
          { id: 's', monitor: 'tall' },
          { id: 'w', monitor: 'wide' },
        ],
      },
    );
    expect(orderOf(joined.plug('wide', 'lap'), 's')).toEqual(['w', 's']);
  });
});
