import { describe, expect, it } from 'vitest';
import { OFFICE, testDesk, windows } from '../../testing/desk.ts';
import { findWindows } from './find.ts';

const desk = testDesk(OFFICE, {
  windows: [
    ...windows('p', 'b').windows,
    { id: 'shell-1', app: 'shell', title: 'pull the data' },
    { id: 'shell-2', app: 'shell', workspace: 'S' },
  ],
  focus: 'p',
});
const call = { command: 'call-app', app: 'shell' } as const;
const because = (after: typeof desk) => after.trace[0]?.because;

describe('calling an app', () => {
  it('opens it; goes to its most recent window, wherever it is; then to its next', () => {
    expect(desk.run({ command: 'call-app', app: 'pitreader' }).session.focus).toBe('pitreader-1');
    const there = desk.run(call);
    expect(there.session.focus).toBe('shell-2');
    expect(there.session.focusMonitor).toBe('tall');
    expect(there.run(call).session.focus).toBe('shell-1');
    expect(there.run(call, call).session.focus).toBe('shell-2');
    expect(there.run('next-of-app').session.focus).toBe('shell-1');
  });

  it('opens another each time with open-app', () => {
    const open = { command: 'open-app', app: 'shell' } as const;
    expect(desk.run(open, open).session.windows.map(({ id }) => id)).toContain('shell-4');
    expect(because(desk.run({ command: 'call-app', app: 'sell' }))).toBe(
      'no app is called sell; the nearest is shell',
    );
    expect(because(desk.run('next-of-app'))).toBe('it is the only window of p');
  });

  it('brings a pocketed one to where the focus is', () => {
    const back = desk.run(call, 'pocket', { command: 'go-workspace', which: 'B' }, call);
    expect(back.session.focus).toBe('shell-2');
    expect(back.at('shell-2')).toMatchObject({ workspace: 'B', held: 'floating' });
  });
});

describe('finding by what is typed', () => {
  it('every word must be there; the earlier it stands the better, then the more recent', () => {
    const found = (typed: string) =>
      findWindows(desk.session, desk.profile, typed).map(({ id }) => id);
    expect(found('shell')).toEqual(['shell-2', 'shell-1']);
    expect(found('data shell')).toEqual(['shell-1']);
    expect(found('')).toHaveLength(4);
    expect(found('nothing')).toEqual([]);
  });

  it('goes to the best window, and opens the best app', () => {
    const go = desk.run({ command: 'find-window', text: 'pull' });
    expect(go.session.focus).toBe('shell-1');
    expect(because(desk.run({ command: 'find-window', text: 'zz' }))).toBe(
      'no window answers to zz',
    );
    expect(desk.run({ command: 'launch', text: 'pit' }).session.focus).toBe('pitreader-1');
    expect(because(desk.run({ command: 'launch', text: 'shel1' }))).toBe(
      'no app answers to shel1; the nearest is shell',
    );
  });
});

describe('choose-app and open-chosen', () => {
  const ids = desk.profile.apps.map(({ id }) => id);
  const chosen = (presses: number) =>
    desk.run(...Array.from({ length: presses }, () => 'choose-app' as const));

  it('open what so many presses came to, round the list', () => {
    for (const presses of [1, 2, ids.length, ids.length + 1]) {
      const opened = chosen(presses).run('open-chosen');
      const app = ids[(presses - 1) % ids.length];
      expect(opened.session.windows.at(-1)).toMatchObject({ app });
      expect(opened.session.windows).toHaveLength(desk.session.windows.length + 1);
      expect(opened.session.interaction).toBeUndefined();
    }
  });

  it('drop the choice by whatever else is done, and say what to do where nothing is chosen', () => {
    const gone = chosen(2).run('focus-next');
    expect(gone.session.interaction).toBeUndefined();
    expect(gone.session.windows).toEqual(desk.run('focus-next').session.windows);
    const idle = desk.run('open-chosen');
    expect(because(idle)).toBe('no app is chosen: choose-app goes through them');
    expect(idle.session).toBe(desk.session);
  });

  it('go on from the list as it is by then, where apps went meanwhile', () => {
    const open = chosen(ids.length);
    const fewer = open.edited({ ...open.profile, apps: open.profile.apps.slice(0, 2) });
    expect(fewer.run('open-chosen').session.windows.at(-1)!.app).toBe(ids[(ids.length - 1) % 2]);
    const none = open.edited({ ...open.profile, apps: [] }).run('open-chosen');
    expect(because(none)).toBe('no app is chosen: choose-app goes through them');
    expect(none.session.windows).toHaveLength(desk.session.windows.length);
  });
});

describe('switch-window', () => {
  const visited = desk.run('focus-next', 'focus-next');
  const release = (taken: boolean) => ({ type: 'key-released', taken }) as const;

  it('chooses the one before, then the one before that; release takes it', () => {
    const chosen = visited.run('switch-window');
    expect(chosen.session.focus).toBe('shell-1');
    expect(chosen.event(release(true)).session.focus).toBe('b');
    expect(chosen.run('switch-window').event(release(true)).session.focus).toBe('p');
  });

  it('is dropped, or taken by whatever is done next', () => {
    const chosen = visited.run('switch-window');
    expect(chosen.event(release(false)).session.focus).toBe('shell-1');
    expect(chosen.run('move-earlier').session.arrangements['B/wide']!.order).toEqual([
      'b',
      'p',
      'shell-1',
    ]);
  });

  it('goes round, past a window that closes meanwhile', () => {
    const closed = visited
      .run('switch-window')
      .event({ type: 'window-closed', id: 'b' })
      .event(release(true));
    expect(closed.session.focus).toBe('p');
  });
});

it('spaces around what is typed do not count', () => {
  const { session, profile } = testDesk(OFFICE, {
    windows: [
      { id: 'm', title: 'Hazard zones' },
      { id: 's', title: 'Stations' },
    ],
  });
  const found = (typed: string) => findWindows(session, profile, typed).map(({ id }) => id);
  expect(found('  hazard ')).toEqual(['m']);
  expect(found(' hazard  zones ')).toEqual(['m']);
  expect(found('hazard')).toEqual(found(' hazard'));
});
