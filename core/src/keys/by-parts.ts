import type { Profile } from '../model/profile.ts';

/** The parts of a profile that its key map is made of. */
type Parts = Pick<Profile, 'keys' | 'apps' | 'workspaces' | 'desks'>;

/**
 * Remembers what is computed of a profile's keys as long as none of the parts changes that it is computed of: an
 * edit of a gap leaves the map as it is.
 */
export function byParts<T>(compute: (profile: Profile) => T): (profile: Profile) => T {
  const known = new WeakMap<Profile['keys'], Parts & { value: T }>();
  return (profile) => {
    const { keys, apps, workspaces, desks } = profile;
    const last = known.get(keys);
    if (last?.apps === apps && last.workspaces === workspaces && last.desks === desks)
      return last.value;
    const value = compute(profile);
    known.set(keys, { keys, apps, workspaces, desks, value });
    return value;
  };
}
