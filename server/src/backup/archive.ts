import { createHash } from 'node:crypto';
import { fields, profileSchema, read, sessionSchema } from '@sorn/core';
import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate';
import type { Content } from './content.ts';

/** A file that is no backup, or a broken one: what is wrong, a line a fault. */
export class BadBackup extends Error {
  readonly lines: readonly string[];

  constructor(...lines: string[]) {
    super(lines.join('\n'));
    this.lines = lines;
  }
}

const VERSION = 1;
const LIST = 'backup.json';
const README = 'README.txt';
/** What a backup may take unpacked. */
const MOST_BYTES = 1024 ** 3;
const MOST_FILES = 200_000;
const MOST_FAULTS = 20;

interface List {
  sorn: 'backup';
  version: number;
  madeAt: string;
  /** The SHA-256 of each file, hexadecimal. */
  files: Record<string, string>;
}

const ABOUT = `A backup of Sorn: every profile with all its revisions, and the session of each.
revisions/PROFILE/NUMBER.json has a saved state, sessions/PROFILE.json the windows, backup.json a checksum of each.
Restore it in Files, or by: npm run -s sorn -- restore THIS-FILE
`;

const digest = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex');

/** Everything that is kept as files of JSON, by their names. */
function filesOf(content: Content): Record<string, Uint8Array> {
  const files: Record<string, Uint8Array> = {};
  for (const { profile, number, savedAt, label, content: text, ownText } of content.revisions) {
    files[`revisions/${profile}/${number}.json`] = json({
      savedAt,
      ...(label !== null && { label }),
      profile: JSON.parse(text),
      ...(ownText !== null && { text: JSON.parse(ownText) }),
    });
  }
  for (const { profile, number, savedAt, content: text } of content.sessions) {
    files[`sessions/${profile}.json`] = json({ number, savedAt, session: JSON.parse(text) });
  }
  return files;
}

function sumsOf(files: Record<string, Uint8Array>): List['files'] {
  return Object.fromEntries(Object.entries(files).map(([name, bytes]) => [name, digest(bytes)]));
}

/**
 * Packs all that is kept into one file: a ZIP archive of JSON files, each with its checksum in a list.
 * @param madeAt ISO 8601
 */
export function packBackup(content: Content, madeAt: string): Uint8Array {
  const files = filesOf(content);
  const list: List = { sorn: 'backup', version: VERSION, madeAt, files: sumsOf(files) };
  const all: Zippable = { [README]: strToU8(ABOUT), [LIST]: json(list), ...files };
  return zipSync(all, { level: 6, mtime: madeAt });
}

/** True where a backup has just this content. */
export function isBackupOf(bytes: Uint8Array, content: Content): boolean {
  try {
    const kept = openArchive(bytes).list.files;
    const sums = sumsOf(filesOf(content));
    const names = Object.keys(sums);
    return (
      names.length === Object.keys(kept).length && names.every((name) => kept[name] === sums[name])
    );
  } catch {
    return false;
  }
}

const json = (value: unknown) => strToU8(`${JSON.stringify(value)}\n`);

export interface Backup {
  madeAt: string;
  content: Content;
}

/**
 * Reads a backup and checks all of it: the archive, every checksum, and every profile and session in it.
 * @throws BadBackup with what is wrong
 */
export function readBackup(bytes: Uint8Array): Backup {
  const { list, files } = openArchive(bytes);
  const faults: string[] = [];
  const content = contentOf(files, list.files, faults);
  refuse(faults);
  return { madeAt: list.madeAt, content };
}

/**
 * Opens a backup and compares every file in it with its checksum.
 * @throws BadBackup with what is wrong
 */
export function openArchive(bytes: Uint8Array): { list: List; files: Record<string, Uint8Array> } {
  const files = unpacked(bytes);
  const listFile = files[LIST];
  if (!listFile) throw new BadBackup(`it has no ${LIST}: it is no backup of Sorn`);
  const list = parsed(LIST, listFile) as Partial<List> | null;
  if (list?.sorn !== 'backup' || typeof list.madeAt !== 'string' || !list.files)
    throw new BadBackup(`its ${LIST} is not that of a backup of Sorn`);
  if (list.version !== VERSION)
    throw new BadBackup(
      `it is a backup of version ${String(list.version)}; this Sorn reads version ${VERSION}`,
    );
  const faults: string[] = [];
  for (const [name, sum] of Object.entries(list.files)) {
    const file = files[name];
    if (!file) faults.push(`${name} is missing`);
    else if (digest(file) !== sum) faults.push(`${name} is not as it was when the backup was made`);
  }
  for (const name of Object.keys(files)) {
    if (![LIST, README].includes(name) && !(name in list.files))
      faults.push(`${name} is not in the list of the backup`);
  }
  refuse(faults);
  return { list: list as List, files };
}

function refuse(faults: readonly string[]): void {
  if (faults.length === 0) return;
  const more = faults.length - MOST_FAULTS;
  throw new BadBackup(
    ...faults.slice(0, MOST_FAULTS),
    ...(more > 0 ? [`and ${more} more faults`] : []),
  );
}

function unpacked(bytes: Uint8Array): Record<string, Uint8Array> {
  let total = 0;
  let count = 0;
  try {
    return unzipSync(bytes, {
      filter({ originalSize }) {
        total += originalSize;
        if (total > MOST_BYTES || ++count > MOST_FILES)
          throw new BadBackup('unpacked it would be larger than 1 GiB');
        return true;
      },
    });
  } catch (error) {
    if (error instanceof BadBackup) throw error;
    throw new BadBackup('it is no ZIP archive, or a broken one');
  }
}

function parsed(name: string, bytes: Uint8Array): unknown {
  try {
    return JSON.parse(strFromU8(bytes));
  } catch {
    throw new BadBackup(`${name} is not JSON`);
  }
}

const REVISION = /^revisions\/([a-z0-9-]{1,60})\/([1-9]\d{0,9})\.json$/;
const SESSION = /^sessions\/([a-z0-9-]{1,60})\.json$/;

function contentOf(
  files: Record<string, Uint8Array>,
  names: List['files'],
  faults: string[],
): Content {
  const content: Content = { revisions: [], sessions: [] };
  for (const name of Object.keys(names)) {
    const value = parsed(name, files[name]!) as Record<string, unknown>;
    const { savedAt, profile, session, label, text, number } = value;
    const [, id = '', of = ''] = REVISION.exec(name) ?? SESSION.exec(name) ?? [];
    const result = REVISION.test(name)
      ? read(fields({ profile: profileSchema }), { profile })
      : read(fields({ session: sessionSchema }), { session });
    if (!id || typeof savedAt !== 'string') faults.push(`${name} is none of a backup’s files`);
    else if (!result.ok) {
      const { path, found, right } = result.faults[0]!;
      faults.push(`${name}: ${path}: ${found}; right would be ${right}`);
    } else if (of) {
      content.revisions.push({
        profile: id,
        number: Number(of),
        name: String((profile as { name?: unknown }).name ?? 'Untitled'),
        savedAt,
        content: JSON.stringify(profile),
        label: typeof label === 'string' ? label : null,
        ownText: text === undefined ? null : JSON.stringify(text),
      });
    } else {
      content.sessions.push({
        profile: id,
        number: Number(number),
        savedAt,
        content: JSON.stringify(session),
      });
    }
  }
  content.revisions.sort((a, b) =>
    a.profile < b.profile ? -1 : a.profile > b.profile ? 1 : a.number - b.number,
  );
  const profiles = new Set(content.revisions.map(({ profile }) => profile));
  for (const { profile } of content.sessions)
    if (!profiles.has(profile)) faults.push(`the session of ${profile} has no profile`);
  return content;
}
