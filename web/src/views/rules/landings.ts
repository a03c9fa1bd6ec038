import type { Profile, SessionWindow } from '@sorn/core/model';
import { landings, type Landing } from '@sorn/core/simulate';
import { useMemo } from 'react';

/** Where every known window lands on a desk; worked out anew only where profile, desk or windows change. */
export function useLandings(
  profile: Profile,
  desk: string | undefined,
  windows: readonly SessionWindow[],
): readonly Landing[] {
  return useMemo(() => landings(profile, desk, windows), [profile, desk, windows]);
}
