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

  it('leaves other monitors what they showed before, and what only visited its place at home', () => {
    const made = desk.run({ command: 'go-monitor', which: 'tall' }, 'new-workspace');
    const visited = made.run(go('B'), 'pocket', go('1'), 'call-back', 'call-back');
    const closed = visited.run('close-workspace');
    expect(closed.desk.workspaces.some(({ id }) => id === '1')).toBe(false);
    const last = closed.run({ command: 'go-monitor', which: 'tall' }, go('last'));
    expect(last.session.shown['tall']).toBe('S');
    expect(closed.run(go('B'), 'call-back').at('p')).toMatchObject({
      held: 'tiled',
      workspace: 'B',
    });
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

describe('a workspace that is not there', () => {
  it('is made by going to its letter or digit, in either case, and by putting a window there', () => {
    const gone = desk.run(go('k'));
    expect(gone.session.shown['wide']).toBe('K');
    expect(listed(gone)).toEqual(['B', '1', 'K']);
    expect(because(gone.run(go('K')))).toBe('workspace K has the focus already');
    expect(desk.run(put('7')).at('p')).toMatchObject({ workspace: '7', monitor: 'wide' });
    // In the session alone.
    expect(gone.profile).toBe(desk.profile);
  });

  it('is not made by a longer name, nor where that is refused', () => {
    expect(because(desk.run(go('mail')))).toContain('no workspace is called mail');
    const refused = withTiling({ missingWorkspaces: 'refused' });
    expect(because(refused.run(go('K')))).toContain('no workspace is called K');
    expect(refused.run(put('K')).session.windows).toEqual(refused.session.windows);
  });

  it('goes again when it is empty, where empty ones are dropped', () => {
    const left = withTiling({ emptyWorkspaces: 'dropped' }).run(go('K'), go('B'));
    expect(listed(left)).toEqual(['B']);
  });
});

describe('naming workspaces by key', () => {
  it('keeps one that was called by a letter or a name in the profile, at home here', () => {
    const made = desk.run(go('S'), { command: 'new-workspace', called: 'Mail' });
    expect(made.profile.workspaces.at(-1)).toEqual({ id: 'M', name: 'Mail', monitor: 'tall' });
    expect(made.session.shown['tall']).toBe('M');
    expect(made.session.workspacesMade).toBeUndefined();
    expect(listed(made, 'tall')).toEqual(['S', 'M']);
    const taken = made.run({ command: 'new-workspace', called: 'm' });
    expect(because(taken)).toBe('a workspace is called M already');
    expect(taken.profile).toBe(made.profile);
  });

  it('names the one that is shown, and keeps one that only the session had', () => {
    const name = (text: string) => ({ command: 'rename-workspace', name: text }) as const;
    const named = desk.run(name('Front'));
    expect(named.profile.workspaces.find(({ id }) => id === 'B')?.name).toBe('Front');
    expect(because(named.run(name('Front')))).toBe('workspace B is called Front already');
    expect(named.run(name('Back')).desk.workspaces[0]?.name).toBe('Back');
    expect(because(named.run(name(' ')))).toBe('no name was typed');

    const kept = desk.run(go('9'), { command: 'open-app', app: 'shell' }, name('Notes'));
    expect(kept.profile.workspaces.at(-1)).toEqual({ id: '9', name: 'Notes', monitor: 'wide' });
    expect(kept.at('shell-1')).toMatchObject({ workspace: '9', shown: true });
    expect(kept.session.workspacesMade).toBeUndefined();
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
