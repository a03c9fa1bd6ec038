import { profileOn, type Profile } from '@sorn/core/model';
import { useProfileStore } from '../../state/profile-context.ts';
import { useOtherProfile, useRevision } from '../../state/queries.ts';

/** What can stand on a side of a comparison. */
export type Side =
  | { kind: 'now' }
  | { kind: 'revision'; revision: number }
  | { kind: 'profile'; id: string; name: string }
  | { kind: 'file'; name: string; profile: Profile };

/** What a side is known by among all that there are. */
export function sideId(side: Side): string {
  return side.kind === 'profile' ? `profile ${side.id}` : `${side.kind} ${sideName(side)}`;
}

/** A side in a few words. */
export function sideName(side: Side): string {
  switch (side.kind) {
    case 'now':
      return 'Now';
    case 'revision':
      return `Revision ${side.revision}`;
    case 'profile':
    case 'file':
      return side.name;
  }
}

/** The profile of a side as it holds on this machine; undefined as long as it is not there. */
export function useSide(side: Side): Profile | undefined {
  const id = useProfileStore((state) => state.id);
  const now = useProfileStore((state) => state.profile);
  const host = useProfileStore((state) => state.host);
  const here = (written: Profile | undefined) => written && profileOn(written, host);
  const revision = useRevision(id, side.kind === 'revision' ? side.revision : null).data;
  const other = useOtherProfile(side.kind === 'profile' ? side.id : null).data;
  switch (side.kind) {
    case 'now':
      return now;
    case 'revision':
      return revision?.revision === side.revision ? here(revision.profile) : undefined;
    case 'profile':
      return here(other?.profile);
    case 'file':
      return here(side.profile);
  }
}
