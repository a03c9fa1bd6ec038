import {
  conflictId,
  conflictWords,
  mergeProfiles,
  type Conflict,
  type Decisions,
} from '@sorn/core/files';
import type { Profile } from '@sorn/core/model';
import type { StoredProfile } from '@sorn/api';
import { api } from './api.ts';
import { sameJson } from './same-json.ts';

/** Edits made here and elsewhere that do not go together, until somebody decides. */
export interface Conflicting {
  /** What both began from; null where it is not known any more. */
  base: Profile | null;
  theirs: StoredProfile;
  conflicts: readonly Conflict[];
}

/** What this page has, and what it last knew of the server. */
interface SyncDependencies {
  /** What the server had at the base, where it was last heard of. */
  known: { revision: number; profile: Profile };
  base: number;
  mine: Profile;
  /** What was sent from here on the ground of the base without an answer. */
  sent: readonly Profile[];
}

/** What somebody else saved, read and merged with what is here. */
export interface RemoteMerge {
  theirs: StoredProfile;
  base: Profile | null;
  value: Profile;
  conflicts: readonly Conflict[];
}

/**
 * Reads what the server has now and merges it with what is here, field by field.
 * @returns null where there is nothing newer, or it cannot be read now
 */
export async function mergeRemote(
  id: string,
  dependencies: () => SyncDependencies,
): Promise<RemoteMerge | null> {
  const theirs = await api.read(id).catch(() => null);
  if (!theirs || theirs.revision <= dependencies().base) return null;
  const { known, base, sent } = dependencies();
  const begun =
    (await arrivedUnanswered(id, base, sent)) ??
    (known.revision === base ? known.profile : await profileAt(id, base));
  // Whatever was done while that was read is part of what is here.
  return { theirs, base: begun, ...mergeProfiles(begun, dependencies().mine, theirs.profile) };
}

/** The profile of a save whose answer was lost but which arrived: later edits are based on it. */
async function arrivedUnanswered(
  id: string,
  base: number,
  sent: readonly Profile[],
): Promise<Profile | null> {
  if (sent.length === 0) return null;
  const next = await profileAt(id, base + 1);
  return next && sent.some((each) => sameJson(each, next)) ? next : null;
}

async function profileAt(id: string, revision: number): Promise<Profile | null> {
  const kept = await api.revision(id, revision).catch(() => null);
  return kept?.profile ?? null;
}

/** A former state with the changes of somebody else merged in, so that undo takes back only one's own edits. */
export function formerWithTheirs(
  former: Profile,
  { base, theirs }: Pick<RemoteMerge, 'base' | 'theirs'>,
): Profile {
  return mergeProfiles(base, former, theirs.profile).value;
}

export function resolveConflicts(
  mine: Profile,
  { base, theirs }: Conflicting,
  decided: Decisions,
): Profile {
  return mergeProfiles(base, mine, theirs.profile, decided).value;
}

/** What conflicts, in words, by what each is known by. */
export function conflictRows(conflicts: readonly Conflict[], profile: Profile) {
  return conflicts.map((conflict) => {
    const { what, mine, theirs } = conflictWords(conflict, profile);
    return { id: conflictId(conflict), what: what || 'the profile', mine, theirs };
  });
}
