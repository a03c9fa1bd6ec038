import { mergeProfiles, type Clash, type Decisions, type Profile } from '@sorn/core';
import { api, type KeptProfile } from './api.ts';

/** Edits made here and elsewhere that do not go together, until somebody decides. */
export interface Clashing {
  /** What both began from; null where it is not known any more. */
  base: Profile | null;
  theirs: KeptProfile;
  clashes: readonly Clash[];
}

/** What is in hand, where it differs from what the server had. */
interface Hands {
  /** What the server had at the base, where it was last heard of. */
  known: { revision: number; profile: Profile };
  base: number;
  mine: Profile;
}

/** What somebody else saved, read and merged with what is in hand. */
export interface TakenIn {
  theirs: KeptProfile;
  base: Profile | null;
  value: Profile;
  clashes: readonly Clash[];
}

/**
 * Reads what the server has now and merges it with what is in hand, field by field.
 * @returns null where there is nothing newer, or it cannot be read now
 */
export async function takeIn(id: string, hands: () => Hands): Promise<TakenIn | null> {
  const theirs = await api.read(id).catch(() => null);
  if (!theirs || theirs.revision <= hands().base) return null;
  const { known, base } = hands();
  const begun = known.revision === base ? known.profile : await formerly(id, base);
  // Whatever was done while that was read is part of what is in hand.
  return { theirs, base: begun, ...mergeProfiles(begun, hands().mine, theirs.profile) };
}

async function formerly(id: string, revision: number): Promise<Profile | null> {
  const kept = await api.revision(id, revision).catch(() => null);
  return kept?.profile ?? null;
}

/** A former state as it would be with what somebody else changed: undoing one's own edits undoes none of theirs. */
export function carriedOver(
  former: Profile,
  { base, theirs }: Pick<TakenIn, 'base' | 'theirs'>,
): Profile {
  return mergeProfiles(base, former, theirs.profile).value;
}

export function settled(mine: Profile, { base, theirs }: Clashing, decided: Decisions): Profile {
  return mergeProfiles(base, mine, theirs.profile, decided).value;
}
