import { reduce } from '@sorn/core/engine';
import type { Profile, Session } from '@sorn/core/model';
import { useMemo } from 'react';
import { useProfileStore } from './profile-context.ts';

/** The desk as it is, and as it would be with another profile. */
export function useComparison(next: Profile | undefined): {
  now: { profile: Profile; session: Session };
  then: { profile: Profile; session: Session };
} {
  const profile = useProfileStore((state) => state.profile);
  const session = useProfileStore((state) => state.session);
  return useMemo(() => {
    const now = { profile, session };
    if (!next) return { now, then: now };
    const edited = reduce(session, { type: 'profile-edited', before: profile }, next).session;
    return { now, then: { profile: next, session: edited } };
  }, [profile, session, next]);
}
