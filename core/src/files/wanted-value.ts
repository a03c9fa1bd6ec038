import { isFields, isSame } from './differences.ts';
import type { Path } from './lists.ts';
import { matchedEntries } from './text-edits/matched-entries.ts';

/**
 * What a person's text should say once a profile is another one: what it says now wherever that still holds, with
 * the spelling it has there, and what is new as it is written where it is new.
 *
 * @param written what the text says, as it was parsed
 * @param before the profile that is read of it
 * @param said `after` as it is written where it is new: without what goes without saying
 */
export function wantedValue(
  written: unknown,
  before: unknown,
  after: unknown,
  said: unknown,
  path: Path = [],
): unknown {
  if (isSame(before, after)) return written;
  if (isFields(written) && isFields(before) && isFields(after) && isFields(said))
    return wantedFields(written, before, after, said, path);
  if (isList(written) && isList(before) && isList(after) && isList(said)) {
    return matchedEntries(path, before, after).map(({ name, index }, place) =>
      index === null || !(index in written)
        ? said[place]
        : wantedValue(written[index], before[index], after[place], said[place], [...path, name]),
    );
  }
  return said;
}

type Fields = Record<string, unknown>;

function wantedFields(written: Fields, before: Fields, after: Fields, said: Fields, path: Path) {
  const wanted: Fields = {};
  for (const [name, value] of Object.entries(written)) {
    if (!(name in after)) {
      // What says nothing of a profile, such as where its schema is, stays.
      if (!(name in before)) wanted[name] = value;
      continue;
    }
    const isSaid = name in said;
    // What is as it would be anyway stays written where it is one value, and goes where it is a list.
    if (!isSaid && Array.isArray(after[name]) && !isSame(before[name], after[name])) continue;
    const part = isSaid ? said[name] : isFields(after[name]) ? {} : after[name];
    wanted[name] = wantedValue(value, before[name], after[name], part, [...path, name]);
  }
  for (const [name, value] of Object.entries(said)) {
    if (!(name in written) && !isSame(before[name], after[name])) wanted[name] = value;
  }
  return wanted;
}

const isList = (value: unknown): value is readonly unknown[] => Array.isArray(value);
