import { checkProfile, findingText } from '@sorn/core/checkup';
import { monitorName } from '@sorn/core/desk';
import { thingAt } from '@sorn/core/files';
import type { Profile } from '@sorn/core/model';

/** What the checkup finds in the second profile and not in the first, in words. */
export function newFindings(before: Profile, after: Profile): string[] {
  const texts = (profile: Profile) =>
    checkProfile(profile).map((finding) =>
      findingText(
        finding,
        (id) => monitorName(profile, id),
        (path) => thingAt(profile, path).text,
      ),
    );
  const known = new Set(texts(before));
  return texts(after).filter((text) => !known.has(text));
}
