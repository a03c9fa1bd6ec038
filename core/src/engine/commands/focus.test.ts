import { describe, expect, it } from 'vitest';
import { OFFICE, testDesk, windows } from '../../testing/desk.ts';

const desk = testDesk(OFFICE, {
  windows: [
    { id: 'p', workspace: 'B' },
    { id: 'b', workspace: 'B' },
    { id: 's', workspace: 'B' },
    { id: 'cams', workspace: 'S' },
    { id: 'post', workspace: 'R' },
    { id: 'shell', workspace: 'R' },
  ],
  focus: 'p',
});
const focused = (after: typeof desk) => after.session.focus;

describe('focus in a direction', () => {
  it('goes to the nearest in line; among equals to the most recently focused', () => {
    // Both rest windows touch the lead and overlap it by 695 px: s opened later, so it was focused later.
    expect(focused(desk.run('focus-right'))).toBe('s');
    expect(focused(desk.run('focus-right', 'focus-up', 'focus-left', 'focus-right'))).toBe('b');
  });

  it('crosses to the monitor that really stands there', () => {
    expect(focused(desk.run('focus-right', 'focus-right'))).toBe('cams');
    expect(focused(desk.run('focus-down'))).toBe('post');
    expect(focused(desk.run('focus-down', 'focus-right'))).toBe('shell');
    expect(focused(desk.run('focus-down', 'focus-right', 'focus-right'))).toBe('cams');
    expect(focused(desk.run('focus-right', 'focus-right', 'focus-left'))).toBe('s');
  });

  it('stops at the end of the desk and says so', () => {
    const stopped = desk.run('focus-left');
    expect(stopped.session).toBe(desk.session);
    expect(stopped.trace).toEqual([
      { decided: 'nothing to do', because: 'nothing lies left of here' },
    ]);
  });

  it('reaches an empty monitor and comes back from it', () => {
    const there = desk.run(
      { command: 'go-workspace', which: '1' },
      'focus-right',
      'close',
      'focus-left',
    );
    expect(there.session.focus).toBeUndefined();
    expect(there.session.focusMonitor).toBe('wide');
    const empty = there.run('focus-right');
    expect([empty.session.focus, empty.session.focusMonitor]).toEqual([undefined, 'tall']);
    expect(focused(empty.run('focus-left', 'focus-down'))).toBe('post');
  });

  it('prefers a window in line to a nearer one past a corner', () => {
    const profile = { monitors: [{ id: 'm', width: 1000, height: 1000 }] };
    const at = (id: string, x: number, y: number) => ({
      id,
      held: 'floating',
      standing: { x, y, width: 100, height: 100 },
    });
    const scattered = testDesk(profile, {
      windows: [at('near', 210, 300), at('line', 700, 50), at('me', 100, 0)],
      focus: 'me',
    });
    expect(focused(scattered.run('focus-right'))).toBe('line');
    expect(focused(scattered.run('focus-down'))).toBe('near');
  });
});

describe('focus in order and in time', () => {
  it('goes round the workspace’s order', () => {
    expect(focused(desk.run('focus-next'))).toBe('b');
    expect(focused(desk.run('focus-next', 'focus-next', 'focus-next'))).toBe('p');
    expect(focused(desk.run('focus-previous'))).toBe('s');
  });

  it('goes round what is in sight there alone: not what was put aside or sent elsewhere', () => {
    const from = testDesk(OFFICE, { ...windows('a', 'b', 'c', 'd', 'e'), focus: 'b' }).run(
      'minimise',
    );
    const aside = from.event({ type: 'window-focused', id: 'c' }).run('pocket');
    const sent = aside
      .event({ type: 'window-focused', id: 'd' })
      .run({ command: 'put-on-monitor', which: 'tall' }, { command: 'go-monitor', which: 'wide' });
    const seen = [1, 2, 3, 4].reduce<{ at: typeof sent; ids: (string | undefined)[] }>(
      ({ at, ids }) => {
        const next = at.run('focus-next');
        return { at: next, ids: [...ids, next.session.focus] };
      },
      { at: sent, ids: [] },
    );
    expect([...new Set(seen.ids)].sort()).toEqual(['a', 'e']);
  });

  it('goes back to the window that had the focus before, and again to this one', () => {
    const there = desk.run('focus-down', 'focus-last');
    expect(focused(there)).toBe('p');
    expect(focused(there.run('focus-last'))).toBe('post');
  });

  it('gives the most recently focused window of the monitor the focus after a close', () => {
    expect(focused(desk.run('focus-next', 'focus-next', 'focus-previous', 'close'))).toBe('s');
  });
});

it('takes the most recent window of the next monitor where the focused one reaches over all of it', () => {
  const wide = { x: 0, y: 100, width: 2400, height: 300 };
  const both = testDesk(
    {
      monitors: ['m', 'n'].map((id) => ({ id, width: 1200, height: 600 })),
      workspaces: ['m', 'n'].map((id) => ({ id: `of-${id}`, monitor: id })),
      tiling: { layout: { kind: 'columns' } },
    },
    {
      windows: [
        { id: 'over', held: 'left-alone', standing: wide, workspace: 'of-m' },
        ...['a', 'b', 'c'].map((id) => ({ id, workspace: 'of-n' })),
      ],
      recent: ['over', 'b', 'a', 'c'],
      focus: 'over',
    },
  );
  expect(both.shapes()['over']).toBe('0,100 2400×300');
  expect(focused(both.run('focus-right'))).toBe('b');
});
