import { describe, expect, it } from 'vitest';
import { deskInForce } from '../../desk/desk.ts';
import { OFFICE, testDesk, windows } from '../../testing/desk.ts';
import { listedWorkspaces } from './workspace.ts';

const session = { ...windows('p', 'b'), focus: 'p' };
const desk = testDesk(OFFICE, session);
const withTiling = (more: object) =>
  testDesk({ ...OFFICE, tiling: { ...OFFICE.tiling, ...more } }, session);
const go = (which: string) => ({ command: 'go-workspace', which }) as const;
const put = (which: string) => ({ command: 'put-on-workspace', which }) as const;
const because = (after: typeof desk) => after.trace.at(-1)?.because;
const listed = ({ session: now, profile }: typeof desk, monitor = 'wide') =>
  listedWorkspaces({ session: now, profile, desk: deskInForce(profile, now) }, monitor).map(
    ({ id }) => id,
  );

describe('making and closing workspaces', () => {
  it('makes one by the next free number, on the monitor with the focus, and goes there', () => {
    const made = desk.run('new-workspace');
    expect(made.session.shown['wide']).toBe('2');
    expect(listed(made)).toEqual(['B', '1', '2']);
    expect(made.run(go('B')).shapes()).toEqual(desk.shapes());
    expect(made.run('undo').session.shown['wide']).toBe('B');
    expect(listed(made.run('undo'))).toEqual(['B', '1']);
  });

  it('closes one; its windows go to the one shown before', () => {
    const there = desk.run(put('1'), go('1'), go('B'), 'close-workspace');
    expect(there.session.shown['wide']).toBe('1');
    expect(there.session.arrangements['1/wide']!.order).toEqual(['p', 'b']);
    expect(because(there)).toBe('by key; its windows are on 1, shown before');
    expect(because(there.run('close-workspace'))).toBe('1 is the only workspace here');
    expect(there.run('undo').at('b').workspace).toBe('B');
  });

  it('opens a closed one again when it is called by its name', () => {
    const closed = desk.run('close-workspace');
    expect(listed(closed)).toEqual(['1']);
    const again = closed.run(go('B'));
    expect(listed(again)).toEqual(['B', '1']);
    expect(again.session.shown['wide']).toBe('B');
  });

  it('keeps a made one that holds windows when its making is undone', () => {
    const made = desk.run('new-workspace', { command: 'open-app', app: 'shell' }, 'undo');
    expect(made.at('shell-1').workspace).toBe('2');
    expect(listed(made)).toEqual(['B', '1', '2']);
  });
});

describe('workspaces that are dropped when empty', () => {
  const dropped = withTiling({ emptyWorkspaces: 'dropped' });

  it('are gone round without, and come back by their name', () => {
    expect(listed(dropped)).toEqual(['B']);
    expect(because(dropped.run(go('next')))).toBe('workspace B has the focus already');
    expect(listed(dropped.run(go('1')))).toEqual(['B', '1']);
    expect(dropped.run(put('1'), go('next')).session.shown['wide']).toBe('1');
  });
});

describe('workspaces joined across monitors', () => {
  const joined = withTiling({ workspacesAre: 'joined' });

  it('are switched on all monitors together; the window’s monitor decides', () => {
    expect(joined.session.shown).toEqual({ wide: 'B', tall: 'B', lap: 'B' });
    const away = joined.run('move-right', 'move-right', go('S'));
    expect(away.session.shown).toEqual({ wide: 'S', tall: 'S', lap: 'S' });
    const back = away.run(go('B'));
    expect(back.at('p')).toMatchObject({ monitor: 'tall', workspace: 'B', shown: true });
    expect(back.at('b')).toMatchObject({ monitor: 'wide', workspace: 'B', shown: true });
  });

  it('take a window along on its own monitor', () => {
    const sent = joined.run('focus-down', { command: 'open-app', app: 'shell' }, put('1'));
    expect(sent.at('shell-1')).toMatchObject({ monitor: 'lap', workspace: '1', shown: false });
    expect(sent.run(go('last')).trace.at(-1)?.because).toContain('no other workspace before');
  });

  it('show one and the same when the setting changes, and their own again after', () => {
    const before = desk.profile;
    const after = { ...before, tiling: { ...before.tiling, workspacesAre: 'joined' as const } };
    const now = testDesk({ ...OFFICE, tiling: after.tiling }, desk.session).event({
      type: 'profile-edited',
      before,
    });
    expect(new Set(Object.values(now.session.shown)).size).toBe(1);
    expect(now.at('p').monitor).toBe('wide');
  });
});
