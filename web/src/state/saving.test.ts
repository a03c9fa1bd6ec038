import { conflictId } from '@sorn/core/files';
import { profileSchema, sessionSchema, type Profile } from '@sorn/core/model';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import type { ProfileStore } from './profile-state.ts';
import { savingOf } from './saving.ts';

const gap = (inner: number, outer = 6): Profile =>
  profileSchema.parse({
    name: 'Desk',
    monitors: [{ id: 'm', width: 1920, height: 1080 }],
    tiling: { gaps: { inner, outer } },
  });
const stored = (revision: number, profile: Profile) => ({
  id: 'desk',
  revision,
  savedAt: '2026-03-02T08:00:00Z',
  profile,
});

/** What the server has, and answers to reading that are held back until they are let go. */
let server: ReturnType<typeof stored>;
let held: (() => void)[] | null;
beforeEach(() => {
  held = null;
  vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => {}, removeItem: () => {} });
  vi.stubGlobal('fetch', async (url: string) => {
    const answer = JSON.stringify(url.includes('/revisions/') ? stored(4, gap(10)) : server);
    if (held) await new Promise<void>((go) => held!.push(go));
    return new Response(answer, { headers: { 'content-type': 'application/json' } });
  });
});
afterEach(() => vi.unstubAllGlobals());

function page(mine = gap(10)) {
  const kept = stored(4, gap(10));
  server = kept;
  let state = {
    saves: { profile: { kind: 'saved', revision: 4 }, session: { kind: 'saved', revision: 2 } },
    conflicting: null,
    written: mine,
    profile: mine,
    text: null,
    past: [],
    future: [],
  } as unknown as ProfileStore;
  const saving = savingOf({
    kept,
    keptSession: { revision: 2, session: sessionSchema.parse({ windows: [] }) },
    draft: {},
    get: () => state,
    set: (part) => void (state = { ...state, ...part }),
    withProfile: (next) => ({ written: next, profile: next }),
  });
  const inner = () => state.profile.tiling.gaps?.inner;
  return { saving, state: () => state, inner };
}

it('a save that is told of while an earlier one is read is taken in as well', async () => {
  const { saving, inner, state } = page();
  held = [];
  server = stored(5, gap(24));
  void saving.onServerEvent({ profile: 5, session: 2 });
  await vi.waitFor(() => expect(held).toHaveLength(1));
  server = stored(6, gap(40));
  void saving.onServerEvent({ profile: 6, session: 2 });
  const [first] = held;
  held = null;
  first!();
  await vi.waitFor(() => expect(inner()).toBe(40));
  expect(state().saves.profile).toEqual({ kind: 'saved', revision: 6 });
});

it('a save that is told of while a conflict is open is taken in once that is decided', async () => {
  const { saving, inner, state } = page(gap(33));
  server = stored(5, gap(24));
  await saving.onServerEvent({ profile: 5, session: 2 });
  const conflicts = state().conflicting!.conflicts;
  expect(conflicts).toHaveLength(1);
  server = stored(6, gap(24, 9));
  await saving.onServerEvent({ profile: 6, session: 2 });
  expect(inner()).toBe(33);
  saving.resolveConflicts(new Map(conflicts.map((each) => [conflictId(each), 'theirs'])));
  await vi.waitFor(() =>
    expect(state().profile.tiling.gaps).toMatchObject({ inner: 24, outer: 9 }),
  );
  expect(state().saves.profile).toEqual({ kind: 'saved', revision: 6 });
});

it('news of a save that is not there is asked about once', async () => {
  const { saving, inner } = page();
  server = stored(5, gap(24));
  const read = vi.spyOn(globalThis, 'fetch');
  await saving.onServerEvent({ profile: 9, session: 2 });
  await vi.waitFor(() => expect(inner()).toBe(24));
  await new Promise((go) => setTimeout(go, 50));
  expect(read.mock.calls.length).toBeLessThan(5);
});
