import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { profileSchema, type Profile } from '../model/profile.ts';
import {
  landing,
  scopeOf,
  withGap,
  withLayoutField,
  withLayoutKind,
  withoutSetting,
} from './settings-edit.ts';
import { levelsFor, resolveGaps, resolveLayout } from './settings.ts';

const bare = profileSchema.parse({
  monitors: [{ id: 'm', width: 1920, height: 1080 }],
  workspaces: [{ id: 'B' }],
});
const layoutIn = (profile: Profile) => resolveLayout(levelsFor(profile, 'B', 'm'));

describe('editing settings', () => {
  it('keeps what was set under a kind for its return', () => {
    const scope = scopeOf('workspace', 'B', 'm');
    const share = withLayoutField(bare, scope, 'lead', 'leadShare', 0.58);
    const columns = withLayoutKind(share, scope, 'columns');
    expect(layoutIn(columns).layout.kind).toBe('columns');
    expect(withLayoutKind(columns, scope, 'lead')).toEqual(share);
  });

  it('gives the word back to the farther scope, and leaves no empty place', () => {
    const scope = scopeOf('workspace-on-monitor', 'B', 'm');
    const gap = withGap(bare, scope, 'inner', 12);
    expect(resolveGaps(levelsFor(gap, 'B', 'm')).gaps.inner).toEqual({ x: 12, y: 12 });
    expect(withoutSetting(gap, scope, 'inner')).toEqual(bare);
    const kind = withLayoutKind(bare, {}, 'columns');
    expect(withoutSetting(kind, {}, 'kind')).toEqual(bare);
  });

  it('lands no farther than where the present value comes from', () => {
    expect(landing('profile', 'default')).toBe('profile');
    expect(landing('profile', 'workspace', 'monitor')).toBe('workspace');
    expect(landing('workspace-on-monitor', 'profile')).toBe('workspace-on-monitor');
    expect(landing('monitor', 'session')).toBe('monitor');
  });

  it('always shows, wherever it lands, and stays a valid profile', () => {
    const reach = fc.constantFrom(
      'workspace-on-monitor' as const,
      'workspace' as const,
      'monitor' as const,
      'profile' as const,
    );
    const edit = fc.record({
      reach,
      share: fc.double({ min: 0, max: 1, noNaN: true }),
      kind: fc.constantFrom('lead' as const, 'columns' as const),
    });
    fc.assert(
      fc.property(fc.array(edit, { minLength: 1, maxLength: 8 }), (edits) => {
        let profile = bare;
        for (const { reach: wished, share, kind } of edits) {
          const before = layoutIn(profile).from();
          const scope = scopeOf(landing(wished, before.kind), 'B', 'm');
          profile = withLayoutKind(profile, scope, kind);
          expect(layoutIn(profile).layout.kind).toBe(kind);
          if (kind !== 'lead') continue;
          const from = layoutIn(profile).from();
          const to = scopeOf(landing(wished, from.leadShare, from.kind), 'B', 'm');
          profile = withLayoutField(profile, to, 'lead', 'leadShare', share);
          expect(layoutIn(profile).layout).toMatchObject({ kind: 'lead', leadShare: share });
        }
        expect(profileSchema.parse(JSON.parse(JSON.stringify(profile)))).toEqual(profile);
      }),
    );
  });
});

it('takes one gap out and keeps the other', () => {
  const both = withGap(withGap(bare, {}, 'inner', 12), {}, 'outer', 7);
  const inner = withoutSetting(both, {}, 'outer');
  expect(inner).toEqual(withGap(bare, {}, 'inner', 12));
  expect(withoutSetting(inner, {}, 'inner')).toEqual(bare);
});
