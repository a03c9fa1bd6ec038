import { describe, expect, it } from 'vitest';
import { OFFICE, testDesk } from '../../testing/desk.ts';

const DESKS = {
  ...OFFICE,
  desks: [
    {
      id: 'office',
      name: 'Office',
      monitors: OFFICE.monitors.map(({ id, x, y }) => ({ monitor: id, x, y })),
    },
    { id: 'hut', name: 'Hut', monitors: [{ monitor: 'lap', x: 0, y: 0 }] },
  ],
};
const SESSION = {
  windows: [
    { id: 'p', workspace: 'B' },
    { id: 'q', workspace: 'B' },
    { id: 's', workspace: 'S' },
    {
      id: 'f',
      workspace: 'S',
      held: 'floating',
      standing: { x: 3800, y: 0, width: 720, height: 640 },
    },
  ],
  focus: 'p',
};
const office = () => testDesk(DESKS, SESSION);
const go = (which: string) => ({ command: 'go-monitor', which }) as const;
const put = (which: string, follow?: boolean) =>
  ({ command: 'put-on-monitor', which, ...(follow !== undefined && { follow }) }) as const;

describe('go-monitor', () => {
  it('goes by direction, next, name and role, also where nothing is shown', () => {
    const desk = office();
    const focus = (which: string) => desk.run(go(which)).session;
    expect(focus('right').focus).toBe('f');
    expect(focus('down')).toMatchObject({ focusMonitor: 'lap' });
    expect(focus('down').focus).toBeUndefined();
    expect(focus('tallest').focusMonitor).toBe('tall');
    expect(focus('previous').focusMonitor).toBe('tall');
  });

  it('says why it goes nowhere, with the nearest name', () => {
    const says = (which: string) => office().run(go(which)).trace[0]!.because;
    expect(says('up')).toBe('no monitor stands up of wide');
    expect(says('talll')).toBe('no monitor is called talll; the nearest is tall');
    expect(says('rihgt')).toBe('no monitor is called rihgt; the nearest is right');
    expect(says('turned')).toBe('no monitor here is turned');
    expect(says('wide')).toBe('wide has the focus already');
  });
});

describe('put-on-monitor', () => {
  it('puts the window at the end of the workspace shown there, and follows unless told', () => {
    const followed = office().run(put('right'));
    expect(followed.at('p')).toMatchObject({ monitor: 'tall', workspace: 'S' });
    expect(followed.session.focus).toBe('p');
    expect(followed.session.arrangements['S/tall']!.order).toEqual(['s', 'f', 'p']);
    const stayed = office().run(put('tall', false));
    expect(stayed.at('p').monitor).toBe('tall');
    expect(stayed.session.focus).toBe('q');
    expect(followed.run('undo').shapes()).toEqual(office().shapes());
  });

  it('keeps a floating window’s share of the work area, there and back to the pixel', () => {
    const desk = office().run(go('tall'));
    expect(desk.session.focus).toBe('f');
    // A quarter of the height and half the width, a quarter from the left: on lap likewise.
    expect(desk.at('f')).toMatchObject({ x: 3800, y: 0, width: 720, height: 640 });
    const there = desk.run(put('lap'));
    const area = { x: 280, y: 1488, width: 2880, height: 1672 };
    expect(there.at('f')).toMatchObject({
      x: area.x + 720,
      y: Math.round(area.y + (560 / 2560) * area.height),
      width: 1440,
      height: Math.round((640 / 2560) * area.height),
    });
    expect(there.run(put('tall')).at('f')).toEqual(desk.at('f'));
  });
});

describe('put-workspace-on-monitor', () => {
  const onLap = { command: 'put-workspace-on-monitor', which: 'lap' } as const;

  it('takes the workspace and its windows along, shows another one here, and remembers its home', () => {
    const desk = office().run(onLap);
    expect(desk.at('p')).toMatchObject({ monitor: 'lap', workspace: 'B', shown: true });
    expect(desk.session.shown).toMatchObject({ wide: '1', lap: 'B' });
    expect(desk.session.focus).toBe('p');
    expect(desk.desk.workspaces.find(({ id }) => id === 'B')!.because).toBe(
      'it was put there by key',
    );
    const away = desk.plug('wide', 'tall');
    expect(away.at('p').monitor).toBe('wide');
    expect(away.plug('wide', 'tall', 'lap').at('p').monitor).toBe('lap');
    expect(desk.run('undo').placed()).toEqual(office().placed());
    expect(desk.run('undo', 'redo').placed()).toEqual(desk.placed());
  });

  it('leaves a monitor without another workspace one of its own', () => {
    const desk = office().run(go('tall'), onLap);
    const onTall = desk.desk.workspaces.filter(({ monitor }) => monitor === 'tall');
    expect(onTall.map(({ id }) => id)).toEqual(['2']);
    expect(desk.session.shown['tall']).toBe('2');
  });

  it('says that it means nothing where all monitors show the same', () => {
    const joined = testDesk({ ...DESKS, tiling: { workspacesAre: 'joined' } }, SESSION);
    expect(joined.run(onLap).trace[0]!.because).toMatch(/^workspaces are joined/);
  });
});

describe('use-desk', () => {
  it('goes to another desk and back, and undo does too', () => {
    const hut = office().run({ command: 'use-desk', desk: 'hut' });
    expect(hut.desk.monitors.map(({ id }) => id)).toEqual(['lap']);
    expect(new Set(hut.placed().placements.map(({ monitor }) => monitor))).toEqual(
      new Set(['lap']),
    );
    expect(hut.trace.map(({ about }) => about)).toEqual(['hut', 'p', 'q', 's', 'f']);
    expect(hut.session.focus).toBe('p');
    expect(hut.at('p').shown).toBe(true);
    expect(hut.run({ command: 'use-desk', desk: 'office' }).placed()).toEqual(office().placed());
    expect(hut.run('undo').placed()).toEqual(office().placed());
    const says = hut.run({ command: 'use-desk', desk: 'offfice' }).trace[0]!.because;
    expect(says).toBe('no desk is called offfice; the nearest is office');
  });

  it('gives way to what is really connected', () => {
    const hut = office().run({ command: 'use-desk', desk: 'hut' });
    expect(hut.plug('wide', 'tall', 'lap').desk.desk).toBe('office');
  });
});

describe('desk-mode', () => {
  const mode = (which: 'extend' | 'mirror' | 'one') =>
    ({ command: 'desk-mode', mode: which }) as const;
  const press = { command: 'desk-mode' } as const;

  it('lights one monitor by name only where one is lit', () => {
    const one = office().run(go('tall'), { command: 'desk-mode', mode: 'one' });
    expect(one.session).toMatchObject({ mode: 'one', only: 'tall' });
    expect(one.desk.monitors.map(({ id }) => id)).toEqual(['tall']);
    const mirror = one.run({ command: 'desk-mode', mode: 'mirror' });
    expect(mirror.session.mode).toBe('mirror');
    expect(mirror.session.only).toBeUndefined();
  });

  it('mirrors the primary, or lights the monitor with the focus alone', () => {
    const mirror = office().run(mode('mirror'));
    expect(mirror.desk.monitors.map(({ id }) => id)).toEqual(['wide']);
    expect(mirror.desk.others.map(({ id }) => id)).toEqual(['tall', 'lap']);
    expect(mirror.at('s').monitor).toBe('wide');
    const one = office().run(go('tall'), mode('one'));
    expect(one.desk.monitors.map(({ id }) => id)).toEqual(['tall']);
    expect(one.run(mode('extend')).placed()).toEqual(office().placed());
    expect(mirror.run('undo').placed()).toEqual(office().placed());
  });

  it('is chosen by repeated presses and taken on release, or dropped', () => {
    const chosen = office().run(press, press);
    expect(chosen.session.interaction).toEqual({ kind: 'choosing-mode', mode: 'one' });
    expect(chosen.desk.mode).toBe('extend');
    const taken = chosen.event({ type: 'key-released', taken: true });
    expect(taken.desk.mode).toBe('one');
    expect(taken.run('undo').desk.mode).toBe('extend');
    const dropped = chosen.event({ type: 'key-released', taken: false });
    expect(dropped.desk.mode).toBe('extend');
    expect(dropped.session.interaction).toBeUndefined();
    // Round to where it began: nothing is changed, and nothing is there to undo.
    const round = office().run(press, press, press).event({ type: 'key-released', taken: true });
    expect(round.session.past).toEqual([]);
    const otherwise = chosen.run('focus-next');
    expect(otherwise.session.interaction).toBeUndefined();
    // A mode that was only looked at is not taken by whatever comes next.
    expect(otherwise.desk.mode).toBe('extend');
    expect(otherwise.placed()).toEqual(office().run('focus-next').placed());
  });
});

describe('use-desk', () => {
  const use = (desk: string) => ({ command: 'use-desk', desk }) as const;
  const because = (after: ReturnType<typeof office>) => after.trace[0]?.because;

  it('does nothing where that is the desk, unless a monitor of it is not there', () => {
    const at = office().run(use('hut'), use('office'));
    expect(because(at.run(use('office')))).toBe('Office is the desk already');
    const less = at.plug('wide', 'tall').run(use('office'));
    expect(less.desk.monitors.map(({ id }) => id)).toEqual(['wide', 'tall', 'lap']);
    expect(because(less)).not.toBe('Office is the desk already');
    expect(because(less.run(use('office')))).toBe('Office is the desk already');
    // A monitor that is there and dark is there: with one alone lit, the desk is no other one.
    const one = at.run({ command: 'desk-mode', mode: 'one' });
    expect(because(one.run(use('office')))).toBe('Office is the desk already');
    expect(because(at.run(use('huts')))).toBe('no desk is called huts; the nearest is hut');
  });
});
