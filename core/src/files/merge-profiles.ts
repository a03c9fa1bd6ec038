import { PROFILE_FIELDS, profileSchema, type Profile } from '../model/profile.ts';
import { read } from '../values/faults.ts';
import { isSame } from './differences.ts';
import { conflictId, merge, type Conflict, type Decisions, type Merged } from './merge.ts';

/**
 * Two edits of the same profile in one that is a profile. Where two edits do not conflict in any field, and do not go
 * together all the same (a board loses the column that a zone was moved to), the whole part of the profile
 * is told as a conflict.
 *
 * @param base null where it is not known what both began from: then all that differs is a conflict
 */
export function mergeProfiles(
  base: Profile | null,
  mine: Profile,
  theirs: Profile,
  decided: Decisions = new Map(),
): Merged<Profile> {
  const begun = base ?? ({} as Profile);
  const together = merge(begun, mine, theirs, decided);
  const whole = read(profileSchema, together.value);
  if (whole.ok) return { value: whole.value, conflicts: together.conflicts };
  const parts = PROFILE_FIELDS.filter(
    (field) =>
      !isSame(begun[field], mine[field]) &&
      !isSame(begun[field], theirs[field]) &&
      !isSame(mine[field], theirs[field]),
  );
  const apart: Conflict[] = parts.flatMap((field) => {
    const conflict = {
      path: [field],
      base: begun[field],
      mine: mine[field],
      theirs: theirs[field],
    };
    return decided.has(conflictId(conflict)) ? [] : [conflict];
  });
  const keeping = parts.map((field) => {
    const id = conflictId({ path: [field] });
    return [id, decided.get(id) ?? 'mine'] as const;
  });
  const { value } = merge(begun, mine, theirs, new Map(keeping));
  const again = read(profileSchema, value);
  return { value: again.ok ? again.value : mine, conflicts: apart };
}
