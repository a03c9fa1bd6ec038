import { createTwoFilesPatch, FILE_HEADERS_ONLY } from 'diff';
import type { Profile } from '../model/profile.ts';
import { compactProfile } from './compact.ts';
import { textFor } from './keep-comments.ts';
import type { OwnText } from './own-text.ts';
import { writeText } from './write.ts';

/** A state of a profile by a name, with what the person wrote as text, where that is kept. */
export interface NamedState {
  name: string;
  profile: Profile;
  text?: OwnText | undefined;
}

/** So many lines around each change are told with it. */
const AROUND = 3;

/**
 * What makes the text of one state of another, in the form that `patch` and version control read (unified difference,
 * IEEE 1003.1 diff -u); empty where both say the same. A person's own text is taken where both have one of the same
 * format; else both as Sorn writes them in YAML.
 */
export function unifiedDifference(before: NamedState, after: NamedState): string {
  const isOwn = before.text !== undefined && before.text.format === after.text?.format;
  const [from, to] = [before, after].map(({ profile, text }) =>
    isOwn && text ? textFor(text, profile) : writeText(compactProfile(profile), 'yaml'),
  );
  if (from === to) return '';
  return createTwoFilesPatch(before.name, after.name, from!, to!, undefined, undefined, {
    context: AROUND,
    headerOptions: FILE_HEADERS_ONLY,
  });
}
