import { deskInForce } from '@sorn/core/desk';
import { movesBetween, type WindowMove } from '@sorn/core/engine';
import type { Profile, Session } from '@sorn/core/model';
import { useMemo } from 'react';

/** A desk as one profile makes it of a session. */
export interface DeskState {
  profile: Profile;
  session: Session;
}

/** Every window that stands elsewhere in the second than in the first. */
export function useMoves(before: DeskState, after: DeskState): readonly WindowMove[] {
  const { profile, session } = before;
  const { profile: nextProfile, session: nextSession } = after;
  return useMemo(() => {
    const withDesk = (of: DeskState) => ({ ...of, desk: deskInForce(of.profile, of.session) });
    return movesBetween(
      withDesk({ profile, session }),
      withDesk({ profile: nextProfile, session: nextSession }),
    );
  }, [profile, session, nextProfile, nextSession]);
}
