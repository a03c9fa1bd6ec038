import { reduce } from '@sorn/core/engine';
import { profileOn, type Profile, type Session } from '@sorn/core/model';
import { useMemo } from 'react';
import { useProfileStore } from './profile-context.ts';

/** The desk as it is, and as it would be with another profile, as that is written. */
export function useComparison(written: Profile | undefined): {
  now: { profile: Profile; session: Session };
  then: { profile: Profile; session: Session };
} {
  const profile = useProfileStore((state) => state.profile);
  const session = useProfileStore((state) => state.session);
  const host = useProfileStore((state) => state.host);
  return useMemo(() => {
    const now = { profile, session };
    if (!written) return { now, then: now };
    const next = profileOn(written, host);
    const edited = reduce(session, { type: 'profile-edited', before: profile }, next).session;
    return { now, then: { profile: next, session: edited } };
  }, [profile, session, written, host]);
}
