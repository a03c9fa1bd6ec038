// @vitest-environment jsdom
import type { LiveNews, LiveRequest } from '@sorn/api';
import { reduce } from '@sorn/core/engine';
import { profileSchema, sessionDifference, sessionSchema, withDifference } from '@sorn/core/model';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { liveNews } from '../testing/live-news.ts';
import { useLive } from './live-store.ts';
import { useSelection } from './selection.ts';
import { createProfileStore } from './profile-store.ts';

const asked: LiveRequest[] = [];
let answer: () => Promise<Response>;
beforeEach(() => {
  asked.length = 0;
  answer = () => Promise.resolve(Response.json({ reasons: [] }));
  vi.stubGlobal('fetch', (path: string, { body }: { body: string }) => {
    if (path === '/api/live') asked.push(JSON.parse(body) as LiveRequest);
    return answer();
  });
});
afterEach(() => localStorage.clear());

const profile = profileSchema.parse({
  name: 'Desk',
  monitors: [{ id: 'wide', width: 1920, height: 1080 }],
  tiling: { gaps: { inner: 8, outer: 6 } },
});
const real = [{ ...profile.monitors[0]!, x: 0, y: 0, width: 2560, height: 1440 }];

function opened() {
  const simulated = createProfileStore(
    { id: 'desk', revision: 1, savedAt: '2026-03-02T08:00:00Z', profile },
    { revision: 1, session: sessionSchema.parse({}) },
    'here',
  );
  const live = useLive.of(simulated);
  const first = liveNews('desk', { ...profile, monitors: real });
  live.getState().takeNews(first);
  live.getState().show(true);
  const mirror = live.getState().store!;
  const session = withDifference(null, first.session);
  return { simulated, live, mirror, first, session };
}
const told = (news: Partial<LiveNews>): LiveNews => ({ profile: 'desk', ...news });

it('has the windows and monitors that are there, on the profile that is edited', () => {
  const { simulated, live, mirror } = opened();
  expect(live.getState().isShown).toBe(true);
  expect(mirror.getState().session.windows.map(({ id }) => id)).toEqual(['win:w1']);
  expect(mirror.getState().profile.monitors).toEqual(real);
  expect(simulated.getState().session.windows).toEqual([]);
  // What real monitors make otherwise is not written into the profile, whoever edits it from there.
  mirror.getState().edit((there) => ({ ...there, name: 'Edited', monitors: there.monitors }));
  expect(simulated.getState().profile).toEqual({ ...profile, name: 'Edited' });
  expect(mirror.getState().profile).toMatchObject({ name: 'Edited', monitors: real });
  mirror.getState().edit((there) => ({
    ...there,
    monitors: there.monitors.map((monitor) => ({ ...monitor, scale: 2 })),
  }));
  expect(simulated.getState().profile.monitors[0]!.scale).toBe(2);
});

it('goes on by what differs; the log, the time line and the count of keys go with it', () => {
  const { live, mirror, session } = opened();
  const float = { command: 'float' } as const;
  const { session: after, trace } = reduce(session, { type: 'command', command: float }, profile);
  const difference = JSON.parse(JSON.stringify(sessionDifference(session, after)!)) as never;
  const line = {
    number: 7,
    at: 1,
    what: 'float',
    reasons: [...trace],
    keys: 'Main+KeyW',
    command: float,
  };
  live.getState().takeNews(told({ session: difference, lines: [line] }));
  const { log, moments, effort } = mirror.getState();
  expect(mirror.getState().session.windows[0]!.held).toBe('floating');
  expect(log.map(({ text, caps }) => [text, caps])).toEqual([['float', ['Meta', 'W']]]);
  expect(moments.map(({ text }) => text)).toEqual(['as it is told', 'float']);
  expect(effort.presses).toBe(2);
  // Looking back changes nothing, and is not disturbed by what goes on.
  mirror.getState().lookAt(0);
  live.getState().takeNews(told({ session: sessionDifference(after, session)! }));
  expect(mirror.getState().looking).toBe(0);
  expect(mirror.getState().moments).toHaveLength(3);
  mirror.getState().goOnFromHere();
  expect([mirror.getState().looking, asked]).toEqual([null, []]);
  // After a while without news all comes again: what is known already is not told twice.
  const again = told({ isFirst: true, session: sessionDifference(null, session)!, lines: [line] });
  live.getState().takeNews(again);
  expect([mirror.getState().log.length, mirror.getState().moments.length]).toEqual([1, 3]);
});

it('gives commands to the live desk, and says why one could not be done', async () => {
  const { simulated, mirror } = opened();
  const before = simulated.getState().session;
  mirror.getState().run({ command: 'float' });
  mirror.getState().happen({ type: 'window-focused', id: 'win:w1' });
  expect(asked).toEqual([
    { ask: 'command', command: { command: 'float' } },
    { ask: 'focus', window: 'win:w1' },
  ]);
  mirror.getState().connect({ type: 'monitors-changed', connected: [] }, 'unplug');
  expect(mirror.getState().log.at(-1)?.trace[0]?.because).toContain('the real desktop');
  answer = () => Promise.reject(new Error('no way there'));
  mirror.getState().run({ command: 'undo' });
  await vi.waitFor(() =>
    expect(mirror.getState().log.at(-1)?.trace[0]?.because).toBe('The server does not answer.'),
  );
  expect(simulated.getState().session).toBe(before);
});

it('sends what is typed at once, its parts alone, and takes it back', async () => {
  const { simulated, mirror } = opened();
  const drop = simulated.getState().groupEdits();
  mirror.getState().edit((there) => ({
    ...there,
    tiling: { ...there.tiling, gaps: { inner: 20, outer: 6 } },
  }));
  await vi.waitFor(() => expect(asked).toHaveLength(1));
  expect(asked[0]).toMatchObject({ ask: 'show', parts: { tiling: { gaps: { inner: 20 } } } });
  expect(Object.keys((asked[0] as { parts: object }).parts)).toEqual(['tiling']);
  drop(true);
  await vi.waitFor(() => expect(asked).toHaveLength(2));
  expect(asked[1]).toEqual({ ask: 'show', parts: null });
});

it('is taken over into the simulated desk; edits wait until one goes back', async () => {
  const { simulated, live } = opened();
  await live.getState().rehearse();
  expect(live.getState().isShown).toBe(false);
  expect(simulated.getState().session.windows.map(({ id }) => id)).toEqual(['win:w1']);
  expect(asked).toEqual([{ ask: 'hold' }]);
  live.getState().takeNews(told({ about: liveNews('desk', profile, { held: 'nothing' }).about }));
  live.getState().show(true);
  expect(asked.at(-1)).toEqual({ ask: 'go-on', edits: 'none' });
});

it('goes on waiting where one goes back before what was edited is saved', async () => {
  const { simulated, live } = opened();
  await live.getState().rehearse();
  const { about } = liveNews('desk', profile, { held: 'nothing' });
  live.getState().takeNews(told({ about }));
  simulated.getState().edit((there) => ({ ...there, name: 'Tried' }));
  live.getState().show(true);
  live.getState().takeNews(told({ about }));
  expect(asked).toEqual([{ ask: 'hold' }]);
});

it('waits although that is heard before it is answered', async () => {
  const { live } = opened();
  const taking = live.getState().rehearse();
  live.getState().takeNews(told({ about: liveNews('desk', profile, { held: 'nothing' }).about }));
  await taking;
  expect(asked).toEqual([{ ask: 'hold' }]);
});

it('is not taken over where it cannot be told to wait', async () => {
  const { simulated, live } = opened();
  answer = () => Promise.reject(new Error('no way there'));
  await live.getState().rehearse();
  expect(live.getState().isShown).toBe(true);
  expect(simulated.getState().session.windows).toEqual([]);
});

it('shares what is selected with the simulated desk, and is none of another profile', () => {
  const { simulated, live, mirror } = opened();
  useSelection.of(simulated).getState().takeRule('r');
  expect(useSelection.of(mirror).getState().rule).toBe('r');
  const other = createProfileStore(
    { id: 'other', revision: 1, savedAt: '2026-03-02T08:00:00Z', profile },
    { revision: 0 },
    'here',
  );
  const { about } = live.getState();
  useLive
    .of(other)
    .getState()
    .takeNews(told({ about: about! }));
  expect(useLive.of(other).getState()).toMatchObject({ profile: 'desk', store: null });
  expect(useLive.of(other).getState().show(true)).toBe(false);
});
