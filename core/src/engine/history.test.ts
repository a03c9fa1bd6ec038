import { COMMANDS_WITHOUT_ARGUMENTS, type Command } from '../commands/registry.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';

import { profileSchema } from '../model/profile.ts';
import { sessionSchema, windowSchema, type Session } from '../model/session.ts';
import { sessionDifference, withDifference } from '../model/session-difference.ts';
import { anyEvent } from '../testing/generators.ts';
import { deepFrozen, OFFICE, testDesk, windows } from '../testing/desk.ts';
import { openSession } from './open.ts';
import { computePlacements } from './placements.ts';
import { reduce, type SessionEvent } from './reduce.ts';
import { mendOrders, arrangementKey } from './session.ts';

const desk = testDesk(OFFICE, { ...windows('p', 'b', 's'), focus: 'p' });

const B_WINDOW = windowSchema.parse({ id: 'q', workspace: 'B' });

describe('undo and redo', () => {
  it('step back and forth through changes, past mere visits', () => {
    const changed = desk.run('swap-with-lead', 'move-later', 'focus-right', 'float');
    const back = changed.run('undo', 'undo');
    expect(back.shapes()).toEqual(desk.shapes());
    expect(back.run('redo', 'redo').shapes()).toEqual(changed.shapes());
    expect(back.run('undo').trace[0]?.because).toBe('no step to take back');
  });

  it('keep windows opened since, at the end, and skip closed ones', () => {
    const open = { command: 'open-app', app: 'shell' } as const;
    const after = desk.run('move-later', open, 'focus-next', 'close', 'undo');
    expect(after.session.windows.map(({ id }) => id)).toEqual(['p', 's', 'shell-1']);
    expect(after.session.arrangements['B/wide']!.order).toEqual(['p', 's', 'shell-1']);
  });

  it('bring a window back from another monitor, and the focus with it', () => {
    const sent = desk.run('move-down');
    expect(sent.at('p').monitor).toBe('lap');
    const back = sent.run('undo');
    expect(back.shapes()).toEqual(desk.shapes());
    expect([back.session.focus, back.session.focusMonitor]).toEqual(['p', 'wide']);
  });

  it('pass over a command that found nothing to do, though it ended what was under way', () => {
    const idle = desk.run('pocket', { command: 'put-on-monitor', which: 'wide' });
    expect(idle.trace[0]?.because).toBe('s is on wide already');
    const back = idle.run('undo');
    expect(back.shapes()).toEqual(desk.shapes());
    expect(back.session.focus).toBe('p');
  });

  it('bring the focus back that a window had before the bare desktop', () => {
    const sent = desk.run('show-desktop', { command: 'put-on-workspace', which: '1' });
    expect(sent.at('p').workspace).toBe('1');
    const back = sent.run('undo');
    expect([back.session.focus, back.at('p').workspace]).toEqual(['p', 'B']);
  });

  it('put no cable back: a workspace that was put on a monitor is where it can be', () => {
    const put = desk.run({ command: 'put-workspace-on-monitor', which: 'tall' });
    const alone = put.plug('wide').run('undo');
    expect(alone.desk.monitors.map(({ id }) => id)).toEqual(['wide']);
    expect(alone.at('p')).toMatchObject({ monitor: 'wide', workspace: 'B', shown: true });
    const again = alone.run('redo').plug('wide', 'tall');
    expect(again.at('p')).toMatchObject({ monitor: 'tall', workspace: 'B' });
  });

  it('keep windows opened since at the end, also where the cable went in between', () => {
    const sent = testDesk(OFFICE, { ...windows('p'), focus: 'p' }).run({
      command: 'put-on-workspace',
      which: 'R',
      follow: true,
    });
    const there = sent.plug('wide').event({ type: 'window-opened', window: B_WINDOW });
    const back = there.run('undo');
    expect(back.session.arrangements['B/wide']!.order).toEqual(['p', 'q']);
    const other = sent.plug('tall').event({ type: 'window-opened', window: B_WINDOW });
    expect(other.run('undo').session.arrangements['B/tall']!.order).toEqual(['p', 'q']);
  });

  it('have no step of a workspace that nothing was put on', () => {
    const put = { command: 'put-on-workspace', which: 'Q' } as const;
    const idle = desk.run('float', { command: 'go-monitor', which: 'tall' }, put);
    expect(idle.trace[0]?.because).toBe('no window has the focus');
    expect(idle.desk.workspaces.some(({ id }) => id === 'Q')).toBe(false);
    expect(idle.run('undo').shapes()).toEqual(desk.shapes());
  });

  it('leave a workspace open that was opened again since', () => {
    const closed = desk.run({ command: 'go-workspace', which: '1' }, 'close-workspace', 'float');
    const open = closed.run({ command: 'go-workspace', which: '1' });
    const back = open.run('undo');
    expect(back.at('p').held).toBe('tiled');
    expect(back.desk.workspaces.some(({ id }) => id === '1')).toBe(true);
    // What closed it is a step of its own.
    expect(back.run('redo', 'undo', 'undo').session.workspacesClosed).toBeUndefined();
  });

  it('put a workspace back in its order, where a cable went meanwhile and windows opened', () => {
    const put = desk
      .run('move-later', { command: 'put-workspace-on-monitor', which: 'tall' })
      .plug('tall');
    const order = (of: typeof put) => of.session.arrangements['B/tall']!.order;
    const more = ['x', 'y'].map((id) => windowSchema.parse({ id, workspace: 'B' }));
    const there = more.reduce((now, window) => now.event({ type: 'window-opened', window }), put);
    expect(order(there)).toEqual(['b', 'p', 's', 'x', 'y']);
    expect(order(there.run('move-earlier', 'undo', 'undo'))).toEqual(['b', 'p', 's', 'x', 'y']);
  });

  it('end where a new step begins', () => {
    const again = desk.run('move-later', 'undo', 'lead-share-more', 'redo');
    expect(again.trace[0]?.because).toBe('no step to take again');
  });
});

describe('an edit of the profile', () => {
  const edited = (share: number) => ({
    ...desk.profile,
    tiling: { ...desk.profile.tiling, layout: { kind: 'lead' as const, leadShare: share } },
  });

  it('takes the place of a share moved by key, and of nothing else moved by key', () => {
    const moved = desk.run('lead-share-more', 'lead-count-more');
    const after = edited(0.3);
    const { session } = reduce(
      moved.session,
      { type: 'profile-edited', before: moved.profile },
      after,
    );
    const shapes = computePlacements(session, after).placements;
    expect(shapes[0]!.width).toBe(Math.round(3418 * 0.3));
    expect(shapes[1]!.x).toBe(6);
  });

  it('that types weights takes the place of sizes moved by key, and no other edit of the layout does', () => {
    const columns = (more: object) => ({
      ...OFFICE,
      tiling: { layout: { kind: 'columns', ...more } },
    });
    const grown = testDesk(columns({}), windows('p', 'b', 's')).run('grow-right');
    const widths = (now: typeof grown) => now.placed().placements.map(({ width }) => width);
    expect(new Set(widths(grown)).size).toBeGreaterThan(1);
    const typed = grown.edited(profileSchema.parse(columns({ weights: [2, 1, 1] })));
    expect(typed.session.arrangements['B/wide']?.adjusted).toBeUndefined();
    expect(widths(typed)).toEqual([1720, 860, 860]);
    const limited = grown.edited(profileSchema.parse(columns({ max: 9 })));
    expect(widths(limited)).toEqual(widths(grown));
  });

  it('leaves a share moved by key alone when another field was edited', () => {
    const moved = desk.run('lead-share-more');
    const after = {
      ...desk.profile,
      tiling: { ...desk.profile.tiling, gaps: { inner: 0, outer: 0 } },
    };
    const { session } = reduce(
      moved.session,
      { type: 'profile-edited', before: moved.profile },
      after,
    );
    expect(computePlacements(session, after).placements[0]!.width).toBe(Math.round(3440 * 0.6));
  });

  it('finds a place for windows whose monitor is gone', () => {
    const sent = desk.run('move-down');
    const after = { ...sent.profile, monitors: sent.profile.monitors.slice(0, 2) };
    const { session } = reduce(
      sent.session,
      { type: 'profile-edited', before: sent.profile },
      after,
    );
    expect(computePlacements(session, after).placements.map(({ monitor }) => monitor)).toEqual([
      'wide',
      'wide',
      'wide',
    ]);
  });
});

/** Which windows each order lists: its members, and those that keep their place while they are away. */
function ordersOf(session: Session): string[] {
  const whole = mendOrders(session).arrangements;
  const listed = Object.keys(session.arrangements).length > 0 ? session.arrangements : whole;
  const away = session.windows.flatMap(({ id, workspace, monitor, pocketedFrom: from }) =>
    from && arrangementKey(from.workspace, from.monitor) !== arrangementKey(workspace, monitor)
      ? [`${arrangementKey(from.workspace, from.monitor)} ${id}`]
      : [],
  );
  const kept = Object.keys(session.arrangements).length > 0 ? [] : away;
  return Object.entries(listed)
    .flatMap(([key, { order }]) => order.map((id) => `${key} ${id}`))
    .concat(kept)
    .sort();
}

describe('any run of events', () => {
  it('gives the same outcome each time, changes no input, and leaves a sound session', () => {
    fc.assert(
      fc.property(fc.array(anyEvent, { maxLength: 40 }), (events) => {
        const profile = deepFrozen(desk.profile);
        let session = deepFrozen(desk.session);
        for (const happening of events) {
          const outcome = reduce(session, happening, profile);
          expect(reduce(session, happening, profile)).toEqual(outcome);
          expect(outcome.trace.length).toBeGreaterThan(0);
          session = deepFrozen(outcome.session);
        }
        expect(ordersOf(session)).toEqual(ordersOf({ ...session, arrangements: {} }));
        const focus = computePlacements(session, profile).placements.find(
          ({ id }) => id === session.focus,
        );
        expect(focus === undefined).toBe(session.focus === undefined);
        if (focus) {
          expect(focus).toMatchObject({ shown: true, monitor: session.focusMonitor });
        }
      }),
      { numRuns: 300 },
    );
  });

  it('is told by what differs each time, as it is', () => {
    fc.assert(
      fc.property(fc.array(anyEvent, { maxLength: 31 }), fc.nat(3), (events, together) => {
        let session = desk.session;
        let told: Session | null = null;
        let there: Session | null = null;
        for (const [at, happening] of events.entries()) {
          session = reduce(session, happening, desk.profile).session;
          // Some of it comes together.
          if (at % (together + 1) !== 0) continue;
          const difference = sessionDifference(told, session);
          told = session;
          if (difference)
            there = withDifference(
              there,
              JSON.parse(JSON.stringify(difference)) as typeof difference,
            );
          expect(there).toEqual({ ...session, past: [], future: [] });
          expect(sessionDifference(session, session)).toBeNull();
        }
      }),
    );
  });

  it('is told in few words where little changed, and what is the same stays the same object', () => {
    const focused = reduce(desk.session, { type: 'window-focused', id: 'b' }, desk.profile).session;
    const difference = sessionDifference(desk.session, focused)!;
    expect(difference.windows).toBeUndefined();
    expect(difference.order).toBeUndefined();
    expect(withDifference(desk.session, difference).windows).toBe(desk.session.windows);
  });

  it('comes back the same from its file', () => {
    fc.assert(
      fc.property(fc.array(anyEvent, { maxLength: 31 }), (events) => {
        // What lasts only while something is held or chosen ends with the visit.
        const ended: SessionEvent[] = [
          ...events,
          { type: 'key-released', taken: true },
          { type: 'command', command: { command: 'focus-last' } },
        ];
        const session = ended.reduce((s, e) => reduce(s, e, desk.profile).session, desk.session);
        const file = sessionSchema.parse(JSON.parse(JSON.stringify(session)));
        const opened = openSession(file, desk.profile);
        expect(opened.findings).toEqual([]);
        expect(opened.session).toEqual(session);
        expect(computePlacements(opened.session, desk.profile)).toEqual(
          computePlacements(session, desk.profile),
        );
      }),
    );
  });

  it('is all taken back by undo, but for what opened, closed and was visited', () => {
    const steps = COMMANDS_WITHOUT_ARGUMENTS.filter(
      (id) => !['undo', 'redo', 'close'].includes(id),
    );
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...steps), { maxLength: 40 }), (ids) => {
        let after = desk.run(...ids.map((id): Command => ({ command: id })), 'resume');
        while (after.session.past.length > 0) after = after.run('undo');
        expect(after.shapes()).toEqual(desk.shapes());
        expect(after.session.windows.map(({ held }) => held)).toEqual(['tiled', 'tiled', 'tiled']);
      }),
    );
  });
});

it('undo leaves a tree made by hand elsewhere as it is by now', () => {
  const both = testDesk(
    {
      monitors: [{ id: 'm', width: 1000, height: 600 }],
      workspaces: [{ id: 'A' }, { id: 'B' }],
      tiling: { layout: { kind: 'split' } },
    },
    { windows: ['a', 'b', 'c'].map((id) => ({ id, workspace: 'A' })), focus: 'a' },
  );
  const go = (which: string) => ({ command: 'go-workspace', which }) as const;
  const there = both.run('split-down').event({
    type: 'window-opened',
    window: windowSchema.parse({ id: 'd', workspace: 'A' }),
  });
  const step = there.run(go('B'), { command: 'put-on-workspace', which: 'A' });
  const onB = step.event({
    type: 'window-opened',
    window: windowSchema.parse({ id: 'x', workspace: 'B' }),
  });
  const floated = onB.run('float').event({ type: 'window-closed', id: 'b' });
  const before = floated.shapes();
  expect({ ...floated.run('undo').shapes(), x: '' }).toEqual({ ...before, x: '' });
  expect(floated.run('undo').session.arrangements['A/m']).toEqual(
    floated.session.arrangements['A/m'],
  );
});

it('an order that lists as many as are there, but not the same, is mended', () => {
  const opened = testDesk(OFFICE, {
    ...windows('p', 'b', 's'),
    arrangements: { 'B/wide': { order: ['s', 'gone', 'p'] } },
  });
  expect(opened.session.arrangements['B/wide']!.order).toEqual(['s', 'p', 'b']);
});
