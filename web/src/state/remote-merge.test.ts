import { profileSchema, type Profile } from '@sorn/core/model';
import { withGap } from '@sorn/core/tiling';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { StoredProfile } from '@sorn/api';
import { api, ApiError } from './api.ts';
import { formerWithTheirs, resolveConflicts, mergeRemote } from './remote-merge.ts';

const FIRST = profileSchema.parse({
  name: 'Desk',
  monitors: [{ id: 'm', width: 1920, height: 1080 }],
  tiling: { gaps: { inner: 10, outer: 6 } },
});
const named = (name: string, profile = FIRST): Profile => ({ ...profile, name });
const kept = (revision: number, profile: Profile): StoredProfile => ({
  id: 'desk',
  revision,
  savedAt: '',
  profile,
});

/** What the server has, by revision; the newest is the present one. */
let states: Map<number, Profile>;
const atServer = (profile: Profile) => states.set(states.size + 1, profile);

beforeEach(() => {
  states = new Map([[1, FIRST]]);
  vi.spyOn(api, 'read').mockImplementation(async () => kept(states.size, states.get(states.size)!));
  vi.spyOn(api, 'revision').mockImplementation(async (_id, revision) => {
    const profile = states.get(revision);
    if (!profile) throw new ApiError(404, 'gone');
    return kept(revision, profile);
  });
});

const dependencies = (mine: Profile, base = 1, sent: readonly Profile[] = []) => ({
  known: { revision: 1, profile: FIRST },
  base,
  mine,
  sent,
});

describe('what somebody else saved', () => {
  it('is nothing where there is nothing newer, or it cannot be read', async () => {
    expect(await mergeRemote('desk', () => dependencies(FIRST))).toBeNull();
    atServer(named('Theirs'));
    vi.mocked(api.read).mockRejectedValueOnce(new ApiError(0, 'no answer'));
    expect(await mergeRemote('desk', () => dependencies(FIRST))).toBeNull();
  });

  it('goes together with what is changed here, and with what is changed while it is read', async () => {
    atServer(named('Theirs'));
    let mine = withGap(FIRST, {}, 'inner', 4);
    vi.mocked(api.read).mockImplementationOnce(async () => {
      mine = withGap(mine, {}, 'outer', 1);
      return kept(2, states.get(2)!);
    });
    const taken = await mergeRemote('desk', () => dependencies(mine));
    expect(taken).toMatchObject({ conflicts: [], value: { name: 'Theirs' } });
    expect(taken!.value.tiling.gaps).toMatchObject({ inner: 4, outer: 1 });
  });

  it('is compared with what both began from, though this page never saw that', async () => {
    atServer(withGap(FIRST, {}, 'outer', 0));
    atServer(named('Theirs', states.get(2)));
    const mine = withGap(states.get(2)!, {}, 'inner', 4);
    const taken = await mergeRemote('desk', () => dependencies(mine, 2));
    expect(taken).toMatchObject({ conflicts: [], value: { name: 'Theirs' } });
    expect(taken!.value.tiling.gaps).toMatchObject({ inner: 4, outer: 0 });
  });

  it('is compared with one’s own save whose answer got lost', async () => {
    const sent = withGap(FIRST, {}, 'inner', 4);
    atServer(sent);
    atServer(named('Theirs', sent));
    const mine = withGap(FIRST, {}, 'inner', 7);
    const taken = await mergeRemote('desk', () =>
      dependencies(mine, 1, [withGap(FIRST, {}, 'inner', 5), sent]),
    );
    expect(taken).toMatchObject({ conflicts: [], value: { name: 'Theirs' } });
    expect(taken!.value.tiling.gaps).toMatchObject({ inner: 7 });
    const others = await mergeRemote('desk', () =>
      dependencies(mine, 1, [withGap(FIRST, {}, 'inner', 5)]),
    );
    expect(others!.conflicts.map(({ path }) => path)).toEqual([['tiling', 'gaps', 'inner']]);
  });

  it('is asked about field by field where what both began from is gone', async () => {
    atServer(FIRST);
    atServer(named('Theirs'));
    states.delete(2);
    states.set(3, named('Theirs'));
    vi.mocked(api.read).mockImplementationOnce(async () => kept(3, states.get(3)!));
    const mine = withGap(named('Mine'), {}, 'inner', 4);
    const taken = await mergeRemote('desk', () => dependencies(mine, 2));
    expect(taken!.conflicts.map(({ path }) => path)).toEqual([
      ['name'],
      ['tiling', 'gaps', 'inner'],
    ]);
    expect(taken!.value).toEqual(mine);
  });
});

describe('a conflict', () => {
  it('is settled as it is decided, and keeps what was done here since', () => {
    const conflicting = { base: FIRST, theirs: kept(2, named('Theirs')), conflicts: [] };
    const mine = withGap(named('Mine'), {}, 'inner', 4);
    const decided = resolveConflicts(mine, conflicting, new Map([['["name"]', 'theirs']]));
    expect(decided.name).toBe('Theirs');
    expect(decided.tiling.gaps).toMatchObject({ inner: 4 });
    expect(resolveConflicts(mine, conflicting, new Map()).name).toBe('Mine');
  });
});

it('a former state of one’s own, gone back to, has what another changed since', () => {
  const former = withGap(FIRST, {}, 'inner', 2);
  const back = formerWithTheirs(former, { base: FIRST, theirs: kept(2, named('Theirs')) });
  expect(back.name).toBe('Theirs');
  expect(back.tiling.gaps).toMatchObject({ inner: 2 });
});
