import { describe, expect, it } from 'vitest';
import { sessionSchema, windowSchema } from '../model/session.ts';
import { testDesk, windows, type TestDesk } from '../testing/desk.ts';
import { openSession } from './open.ts';
import { computePlacements } from './placements.ts';
import { whyHere } from './explain.ts';

const MONITORS = [
  { id: 'm1', width: 1920, height: 1080 },
  { id: 'm2', width: 1920, height: 1080 },
];
const go = (which: string) => ({ command: 'go-workspace', which }) as const;
const toMonitor = (which: string) => ({ command: 'go-monitor', which }) as const;
const workspaceTo = (which: string) => ({ command: 'put-workspace-on-monitor', which }) as const;

/** What a person sees: where every window is, what is shown, what has the focus. */
const seen = ({ session, profile }: TestDesk) => ({
  placements: computePlacements(session, profile).placements,
  shown: session.shown,
  focus: session.focus,
});
/** The same once the session was written and read. */
const reopened = ({ session, profile }: TestDesk) => {
  const written = JSON.parse(JSON.stringify(session)) as unknown;
  const again = openSession(sessionSchema.parse(written), profile).session;
  return {
    placements: computePlacements(again, profile).placements,
    shown: again.shown,
    focus: again.focus,
  };
};

describe('a monitor that goes and comes back', () => {
  const desk = testDesk(
    { monitors: MONITORS, workspaces: [{ id: 'w0' }, { id: 'w1' }] },
    { windows: [{ id: 'a', workspace: 'w0' }], focus: 'a' },
  );

  it('shows what it showed, though what it shows has no window', () => {
    const there = desk.run(go('w1'));
    expect(there.session.shown.m1).toBe('w1');
    const away = there.plug('m2');
    expect(away.session.shown.m2).not.toBe('w0');
    expect(seen(away.plug('m1', 'm2'))).toEqual(seen(there));
  });
});

describe('a session that is written and read', () => {
  it('hides what was hidden, after workspaces were put on other monitors', () => {
    const desk = testDesk({ monitors: MONITORS }, windows('a'));
    const moved = desk.run(workspaceTo('right'), go('2'), workspaceTo('right'));
    expect(reopened(moved)).toEqual(seen(moved));
  });

  it('has a floating window where it was, also one that was given a rectangle partly outside', () => {
    const desk = testDesk({ monitors: MONITORS }).event({
      type: 'window-opened',
      window: {
        id: 'out',
        kind: 'normal',
        held: 'floating',
        standing: { x: -900, y: 200, width: 800, height: 600 },
      },
    });
    expect(reopened(desk)).toEqual(seen(desk));
  });
});

describe('undo and redo', () => {
  it('lead back to what is on each monitor, and to the focus', () => {
    const desk = testDesk({ monitors: MONITORS }, windows('a', 'b'));
    const there = desk.run(toMonitor('m2'), workspaceTo('next'));
    expect(seen(there.run('undo', 'redo'))).toEqual(seen(there));
  });

  it('keep the focus on a window that was everywhere', () => {
    const desk = testDesk(
      {
        monitors: MONITORS,
        workspaces: [
          { id: 'w0', monitor: 'm1' },
          { id: 'w1', monitor: 'm1' },
        ],
      },
      { windows: [{ id: 'a' }, { id: 'b' }], focus: 'a' },
    );
    const there = desk.run('everywhere', go('next'), 'float');
    expect(there.session.focus).toBe('a');
    expect(there.at('a').shown).toBe(true);
    expect(seen(there.run('undo', 'redo'))).toEqual(seen(there));
  });
});

describe('a toggle and its way back', () => {
  const desk = testDesk({ monitors: MONITORS }, { ...windows('a', 'b'), focus: 'a' });

  it('float of a placed window, twice, is the placing', () => {
    const placed = desk.run('place-left');
    expect(seen(placed.run('float', 'float'))).toEqual(seen(placed));
  });
});

describe('what is told where monitors are there, and show nothing of their own', () => {
  const named = MONITORS.map((monitor, i) => ({ ...monitor, name: i === 0 ? 'Wide' : 'Tall' }));
  const desk = testDesk(
    {
      monitors: named,
      workspaces: [
        { id: 'w0', monitor: 'm1' },
        { id: 'w1', monitor: 'm2' },
      ],
    },
    { windows: [{ id: 'a', workspace: 'w1' }] },
  );
  const because = (now: TestDesk) => now.desk.workspaces.find(({ id }) => id === 'w1')!.because;

  it('is that they show the same, that another alone is lit, or that they are not there', () => {
    const mode = (which: 'mirror' | 'one') => desk.run({ command: 'desk-mode', mode: which });
    expect(because(mode('mirror'))).toMatch(/^Tall shows the same as Wide: /);
    const one = mode('one');
    const [lit] = one.desk.monitors;
    const dark = one.desk.workspaces.find(
      ({ monitor, because: why }) => monitor === lit!.id && why.includes('dark'),
    );
    expect(dark?.because).toMatch(/ is dark while (Wide|Tall) alone is lit: /);
    expect(because(desk.plug('m1'))).toMatch(/^Tall is not there: /);
  });

  it('is that no monitor is connected, once the last cable is pulled', () => {
    for (const now of [desk.plug(), desk.plug('m1').plug()]) {
      const reasons = whyHere(now, 'a').filter(({ decided }) => decided === 'not shown');
      expect(reasons.map((reason) => reason.because)).toEqual(['no monitor is connected']);
    }
  });
});

describe('what leads back, once more', () => {
  const desk = testDesk(
    {
      monitors: MONITORS,
      workspaces: [
        { id: 'w0', monitor: 'm1' },
        { id: 'w1', monitor: 'm2' },
      ],
    },
    {
      windows: [
        { id: 'a', workspace: 'w0' },
        { id: 'b', workspace: 'w0' },
      ],
      focus: 'b',
    },
  );

  it('the focus of a monitor without windows, unless it was moved meanwhile', () => {
    const there = desk.run(toMonitor('m2'));
    expect([there.session.focus, there.session.focusMonitor]).toEqual([undefined, 'm2']);
    const away = there.plug('m1');
    expect(away.session.focus).toBe('b');
    const back = away.plug('m1', 'm2');
    expect([back.session.focus, back.session.focusMonitor]).toEqual([undefined, 'm2']);
    const moved = away.run('focus-left').plug('m1', 'm2');
    expect([moved.session.focus, moved.session.focusMonitor]).toEqual(['a', 'm1']);
  });

  it('a window above all others, and one that floats with all, to where they were moved', () => {
    for (const toggle of ['stay-above', 'everywhere', 'float-all'] as const) {
      const moved = desk.run(toggle, 'nudge-down', 'nudge-right');
      expect(moved.run(toggle).at('b').tile).not.toBeNull();
      expect(seen(moved.run(toggle, toggle))).toEqual(seen(moved));
    }
    // All float where they are now, where none was moved since.
    const other = desk.run('float-all', 'float-all', {
      command: 'use-layout',
      layout: { kind: 'rows' },
    });
    expect(other.run('float-all').shapes()).toEqual(other.shapes());
  });

  it('what was put away last, though one that was called back has the focus then', () => {
    const visited = desk
      .run('pocket', toMonitor('m2'), 'call-back', toMonitor('m1'), 'pocket')
      .run(toMonitor('m2'));
    expect(visited.session.focus).toBe('b');
    const put = desk.run('pocket', go('w1'), 'call-back');
    expect(put.at('b')).toMatchObject({ workspace: 'w1', held: 'floating' });
    const again = put.run('nudge-down', 'pocket', 'call-back');
    expect(seen(again)).toEqual(seen(put.run('nudge-down')));
  });

  it('a floating window that was moved, to where it was when its app opens again; no other does', () => {
    const app = testDesk(
      { monitors: [MONITORS[0]], apps: [{ id: 'p' }] },
      { windows: [{ id: 'p-1', app: 'p' }], focus: 'p-1' },
    );
    const open = { command: 'open-app', app: 'p' } as const;
    const moved = app.run('float', 'nudge-down', 'nudge-right');
    const { x, y } = moved.at('p-1');
    const again = moved.run('close', open);
    expect(again.session.remembered?.p?.standing).toMatchObject({ x, y });
    // Tiled when it closed, or floating where it came to be by itself: nothing is remembered.
    expect(moved.run('float', 'close').session.remembered).toBeUndefined();
    expect(app.run('float', 'close').session.remembered).toBeUndefined();
  });

  it('a file that says only that a window stays above, to its tile', () => {
    for (const said of ['stayAbove', 'everywhere'] as const) {
      const one = testDesk({ monitors: [MONITORS[0]] }, { windows: [{ id: 'a', [said]: true }] });
      expect(one.at('a').held).toBe('floating');
      const toggle = said === 'stayAbove' ? 'stay-above' : 'everywhere';
      expect(one.run(toggle).at('a')).toMatchObject({ held: 'tiled', width: 1920 });
    }
  });

  it('the pocket as it is: fetched by a rule it is out of it, put in since a step it stays there', () => {
    const rule = {
      id: 'r',
      when: { all: [{ of: 'app', is: 'p' }] },
      then: { held: 'tiled' },
    };
    const fetched = testDesk(
      { monitors: [MONITORS[0]], apps: [{ id: 'p' }], rules: [rule] },
      { windows: [{ id: 'p-1', app: 'p' }], focus: 'p-1' },
    ).run('pocket', 'apply-rules');
    expect(fetched.at('p-1').held).toBe('tiled');
    expect(fetched.session.pocket).toBeUndefined();
    expect(reopened(fetched)).toMatchObject({ shown: fetched.session.shown });

    const since = desk
      .run('maximise')
      .event({ type: 'window-opened', window: windowSchema.parse({ id: 'c', held: 'pocketed' }) })
      .run('undo');
    expect(since.session.pocket).toEqual(['c']);
  });

  it('all that floated there as it floated, also from among tiles where workspaces are joined', () => {
    const joined = testDesk(
      { monitors: MONITORS, tiling: { workspacesAre: 'joined' } },
      {
        windows: [
          { id: 'a', monitor: 'm1' },
          { id: 'b', monitor: 'm1' },
          { id: 'c', monitor: 'm2' },
        ],
        focus: 'a',
      },
    ).run('float-all');
    const held = (desk: TestDesk) => ['a', 'b', 'c'].map((id) => desk.at(id).held);
    expect(held(joined)).toEqual(['floating', 'floating', 'tiled']);
    expect(held(joined.plug('m2'))).toEqual(['floating', 'floating', 'tiled']);
    const back = joined.plug('m2').plug('m1', 'm2');
    expect(seen(back)).toEqual(seen(joined));
    expect(reopened(joined.plug('m2'))).toEqual(seen(joined.plug('m2')));
    // One more press brings them into their tiles, as before.
    expect(held(back.run('float-all'))).toEqual(['tiled', 'tiled', 'tiled']);
    // The other monitor gone: those that come are among what floats, and tiled again there.
    expect(seen(joined.plug('m1').plug('m1', 'm2'))).toEqual(seen(joined));
  });

  it('the tile that the next window divides, also from among tiles where workspaces are joined', () => {
    const next = { type: 'window-opened', window: windowSchema.parse({ id: 'x', monitor: 'm1' }) };
    const opened = (desk: TestDesk) =>
      desk.event(next as Parameters<TestDesk['event']>[0]).shapes();
    const tiling = { workspacesAre: 'joined', layout: { kind: 'split' } };
    const joined = testDesk(
      { monitors: MONITORS, tiling },
      {
        windows: [
          { id: 'a', monitor: 'm1' },
          { id: 'b', monitor: 'm1' },
          { id: 'c', monitor: 'm2' },
        ],
        focus: 'b',
      },
    );
    for (const command of ['split-across', 'split-down'] as const) {
      const divided = joined.run(command);
      expect(opened(divided.plug('m2').plug('m1', 'm2'))).toEqual(opened(divided));
    }
    expect(opened(joined.run('split-across'))).not.toEqual(opened(joined.run('split-down')));
  });

  it('a visitor on another monitor to its place in both orders, where workspaces are joined', () => {
    const joined = testDesk(
      { monitors: MONITORS, tiling: { workspacesAre: 'joined' } },
      {
        windows: [
          { id: 'v', held: 'pocketed', monitor: 'm2' },
          { id: 'a', monitor: 'm1' },
        ],
        focus: 'a',
      },
    ).run('call-back');
    const orders = ({ session }: TestDesk) =>
      Object.fromEntries(
        Object.entries(session.arrangements).map(([key, { order }]) => [key, order]),
      );
    expect(orders(joined)).toMatchObject({ '1/m1': ['a', 'v'], '1/m2': ['v'] });
    for (const stays of ['m1', 'm2'])
      expect(orders(joined.plug(stays).plug('m1', 'm2'))).toEqual(orders(joined));
  });
});
