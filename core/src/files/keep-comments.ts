import { PROFILE_VERSION } from '../model/migrate.ts';
import { profileSchema, type Profile } from '../model/profile.ts';
import { read } from '../values/faults.ts';
import { compactProfile } from './compact.ts';
import { isFields, isSame } from './differences.ts';
import type { Format } from './format.ts';
import type { OwnText } from './own-text.ts';
import { parseText } from './parse.ts';
import { editedText } from './text-edits/edited-text.ts';
import { wantedValue } from './wanted-value.ts';
import { writeText } from './write.ts';

/**
 * A person's text brought to what the profile is now. Where it says the same already, it is left as it is. Where
 * it can be, only what differs is written anew: comments, blank lines and the way in which the rest is written stay,
 * and what is left out because it is as it would be anyway stays left out. Else the text is written anew below the
 * comments at its head.
 */
export function textFor(own: OwnText, profile: Profile): string {
  return editedFor(own, profile) ?? headOf(own) + writeText(compactProfile(profile), own.format);
}

/** The same, or null where the text would have to be written anew, and lose its comments. */
export function editedFor({ format, content }: OwnText, profile: Profile): string | null {
  const parsed = parseText(content, format);
  const before = parsed.ok ? profileOf(parsed.value) : null;
  if (!parsed.ok || !before) return null;
  if (isSame(before, profile)) return content;
  if (!isFields(parsed.value)) return null;
  const { version } = parsed.value;
  if (version !== undefined && version !== PROFILE_VERSION) return null;
  const wanted = wantedValue(parsed.value, before, profile, compactProfile(profile));
  const edited = editedText(content, format, wanted);
  return edited !== null && isSame(profileIn(edited, format), profile) ? edited : null;
}

/**
 * The text of a profile that a file was brought into: the file's own, with its comments, where it says a whole profile
 * and no text of one's own would be lost by that.
 *
 * @param own what the person wrote before; null where that is nothing
 */
export function textAfterImport(
  own: OwnText | null,
  file: OwnText,
  profile: Profile,
): OwnText | null {
  const isWhole = isSame(profileIn(file.content, file.format), profile);
  if (own !== null && !isWhole) return own;
  const content = editedFor(file, profile);
  return content === null ? own : { format: file.format, content };
}

function profileOf(value: unknown): Profile | null {
  const profile = read(profileSchema, value);
  return profile.ok ? profile.value : null;
}

/** The profile that a text says; null where it says none. */
function profileIn(content: string, format: Format): Profile | null {
  const parsed = parseText(content, format);
  return parsed.ok ? profileOf(parsed.value) : null;
}

/** The comments before the first line that says something; JSON has none. */
export function headOf({ content, format }: OwnText): string {
  if (format === 'json') return '';
  return /^(?:[ \t]*(?:#[^\n]*)?\n)*/.exec(content)?.[0] ?? '';
}
