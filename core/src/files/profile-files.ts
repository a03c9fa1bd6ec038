import { migrated, PROFILE_VERSION } from '../model/migrate.ts';
import { profileSchema, type Profile } from '../model/profile.ts';
import { read } from '../values/faults.ts';
import { compactProfile } from './compact.ts';
import { isFields, isSame } from './differences.ts';
import { FORMAT_NAMES, type Format } from './format.ts';
import { headOf } from './keep-comments.ts';
import { parseText } from './parse.ts';
import { spanOf, stepsOf, type PathStep } from './positions.ts';
import { SECTION_FIELDS } from './sections.ts';
import { editedText } from './text-edits/edited-text.ts';
import { unknownModifiers } from './unknown-modifiers.ts';
import { wantedValue } from './wanted-value.ts';
import { writeText } from './write.ts';

/** The text of a profile's file, or of one that it includes. The file that is named comes first. */
export interface FileText {
  /** As it is told to the person. */
  name: string;
  format: Format;
  text: string;
}

/** A place in a text: lines and columns count from 1. */
interface Place {
  line: number;
  column: number;
  /** The line itself, shortened. */
  excerpt: string;
}

/** What is wrong in a file, and where. */
export interface FileFault extends Place {
  file: string;
  message: string;
}

/** "rules.yaml:3:5: …", as editors and continuous integration read it. */
export const fileFaultText = ({ file, line, column, message }: FileFault): string =>
  `${file}:${line}:${column}: ${message}`;

/** A profile as its files say it. */
export type FilesRead =
  { ok: true; profile: Profile; parts: readonly FilePart[] } | { ok: false; faults: FileFault[] };

/** What one of the files says. */
interface FilePart extends FileText {
  value: Fields;
  /** The fields of the profile that it says. */
  fields: readonly string[];
}

type Fields = Record<string, unknown>;

/** What each file may say for itself, and no other file says for it. */
const OWN_WORDS = ['$schema', 'include', 'version', 'name'];
/** Fields that another file can say than the one that is named. */
const PART_FIELDS: readonly string[] = Object.values(SECTION_FIELDS).flat();
const MOST_INCLUDED = 50;

/** The field of a file that names the files it includes. */
const INCLUDE = 'include';

/** A file that a file includes, and where it says so. */
export interface Included extends Place {
  name: string;
}

/** The files that a text says it includes; faults where it says that wrongly. A text with faults includes none. */
export function includedIn({ name, format, text }: FileText): Included[] | FileFault {
  const parsed = parseText(text, format);
  const list = parsed.ok && isFields(parsed.value) ? parsed.value[INCLUDE] : undefined;
  if (list === undefined) return [];
  const isRight = Array.isArray(list) && list.every((each) => typeof each === 'string');
  if (!isRight || list.length > MOST_INCLUDED) {
    const message = `include is no list of file names; expected at most ${MOST_INCLUDED}, such as [rules.yaml]`;
    return { file: name, ...placeOf(text, format, [INCLUDE]), message };
  }
  return list.map((each, i) => ({ name: each, ...placeOf(text, format, [INCLUDE, i]) }));
}

/** Reads the profile that files say together, or tells every fault with its file and place. */
export function readProfileFiles(files: readonly FileText[]): FilesRead {
  const faults: FileFault[] = [];
  const parts: FilePart[] = [];
  for (const file of files) {
    const parsed = parseText(file.text, file.format);
    if (!parsed.ok) {
      const notRead = (message: string) =>
        message.startsWith('empty') ? message : `not ${FORMAT_NAMES[file.format]}: ${message}`;
      for (const { message, line = 1, column = 1 } of parsed.faults)
        faults.push({
          file: file.name,
          line,
          column,
          excerpt: lineIn(file.text, line),
          message: notRead(message),
        });
    } else if (!isFields(parsed.value)) {
      const message = 'no fields; expected a profile, or sections of one';
      faults.push({ file: file.name, line: 1, column: 1, excerpt: lineIn(file.text, 1), message });
    } else {
      const isRoot = file === files[0];
      const fields = Object.keys(parsed.value).filter(
        (field) =>
          !OWN_WORDS.includes(field) || (isRoot && field !== '$schema' && field !== INCLUDE),
      );
      parts.push({ ...file, value: parsed.value, fields });
    }
  }
  faults.push(...doubles(parts));
  if (faults.length > 0) return { ok: false, faults };
  const whole = Object.fromEntries(
    parts.flatMap(({ fields, value }) => fields.map((field) => [field, value[field]])),
  );
  const profile = read(profileSchema, migrated(whole));
  const found = profile.ok ? unknownModifiers(profile.value) : profile.faults;
  if (profile.ok && found.length === 0) return { ok: true, profile: profile.value, parts };
  return {
    ok: false,
    faults: found.map(({ path, found: there, expected }) => {
      const steps = stepsOf(path);
      const part = parts.find(({ fields }) => fields.includes(String(steps[0]))) ?? parts[0]!;
      return {
        file: part.name,
        ...placeOf(part.text, part.format, steps),
        message: `${path || 'the whole text'} is ${there}; expected ${expected}`,
      };
    }),
  };
}

/** What two files say, or what a file that is included cannot say. */
function doubles(parts: readonly FilePart[]): FileFault[] {
  const said = new Map<string, FilePart>();
  return parts.flatMap((part, i) =>
    part.fields.flatMap((field) => {
      const place = placeOf(part.text, part.format, [field]);
      if (i > 0 && !PART_FIELDS.includes(field)) {
        const message = `${field} is no section of a profile; expected some of ${PART_FIELDS.join(', ')}`;
        return [{ file: part.name, ...place, message }];
      }
      const first = said.get(field);
      said.set(field, first ?? part);
      if (!first) return [];
      const { line, column } = placeOf(first.text, first.format, [field]);
      const message = `${field} is said twice; expected it here or in ${first.name}:${line}:${column}, not in both`;
      return [{ file: part.name, ...place, message }];
    }),
  );
}

/** The files of a profile brought to what it is now. */
export interface FilesEdited {
  /** In the order of the files. */
  texts: string[];
  /** Files that had to be written anew, without their comments but those at their head. */
  anew: string[];
}

/**
 * Writes an edit back into the files that it comes from: each keeps its own fields, and what none of them says yet
 * comes into the one that is named.
 */
export function editedProfileFiles(
  parts: readonly FilePart[],
  before: Profile,
  after: Profile,
): FilesEdited {
  const said = compactProfile(after);
  const elsewhere = new Set(parts.slice(1).flatMap(({ fields }) => fields));
  const anew: string[] = [];
  const texts = parts.map((part, i) => {
    const isOwn = (field: string) =>
      i === 0 ? !elsewhere.has(field) : part.fields.includes(field);
    const [old, young, short] = [before, after, said].map((each) =>
      Object.fromEntries(Object.entries(each).filter(([field]) => isOwn(field))),
    ) as [Fields, Fields, Fields];
    if (isSame(old, young)) return part.text;
    const { version } = part.value;
    const isPresent = version === undefined || version === PROFILE_VERSION;
    // A section that became empty is still this file's.
    for (const field of i === 0 ? [] : part.fields) short[field] ??= young[field];
    const edited = isPresent
      ? editedText(part.text, part.format, wantedValue(part.value, old, young, short))
      : null;
    if (edited !== null) return edited;
    anew.push(part.name);
    return writtenAnew(part, short);
  });
  if (anew.length > 0 || says(parts, texts, after)) return { texts, anew };
  // What the pieces came to is not what was meant: the files are written anew.
  const all = parts.map((part, i) => {
    const isOwn = ([field]: [string, unknown]) =>
      i === 0 ? !elsewhere.has(field) : part.fields.includes(field);
    return writtenAnew(part, Object.fromEntries(Object.entries(said).filter(isOwn)));
  });
  return { texts: all, anew: parts.map(({ name }) => name) };
}

/** A file of these fields below the comments at its head. */
function writtenAnew({ value, format, text }: FilePart, fields: Fields): string {
  const words = Object.entries(value).filter(([field]) => field === '$schema' || field === INCLUDE);
  const content = { ...Object.fromEntries(words), ...fields };
  return headOf({ format, content: text }) + writeText(content, format);
}

function says(parts: readonly FilePart[], texts: readonly string[], profile: Profile): boolean {
  const read = readProfileFiles(parts.map((part, i) => ({ ...part, text: texts[i]! })));
  return read.ok && isSame(read.profile, profile);
}

/** Where in a text a value stands that a path leads to, or the nearest one around it. */
function placeOf(text: string, format: Format, path: readonly PathStep[]): Place {
  const { from } = spanOf(text, format, path);
  const before = text.slice(0, from).split('\n');
  const line = before.length;
  return { line, column: before.at(-1)!.length + 1, excerpt: lineIn(text, line) };
}

const MOST_LETTERS = 160;
const lineIn = (text: string, line: number) =>
  (text.split('\n')[line - 1] ?? '').trim().slice(0, MOST_LETTERS);
