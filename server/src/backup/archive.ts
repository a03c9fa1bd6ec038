import { createHash } from 'node:crypto';
import { isUtf8 } from 'node:buffer';
import { closeSync, fsyncSync, openSync, statSync, writeSync } from 'node:fs';
import { strToU8, Zip, ZipDeflate } from 'fflate';
import { openPromise, type Entry, type ZipFile } from 'yauzl';
import { z } from 'zod';
import { BadBackup } from './bad-backup.ts';
import { checkedRow, REVISION_FILE, SESSION_FILE } from './row-file.ts';
import type { Row } from './content.ts';

// A backup is a ZIP archive of JSON files, written and read one file at a time: what it takes in memory does not grow
// with what it has.

const VERSION = 1;
const LIST = 'backup.json';
const README = 'README.txt';

/** What a file may have at most: a profile and its text as large as the server takes them, with room for escapes. */
const MOST_FILE_BYTES = 32 * 1024 ** 2;
const MOST_FILES = 200_000;
/**
 * What an archive may have unpacked: so many times its own size, and something for a small one. JSON of profiles comes
 * to 10 to 40 times; made to be large, an archive comes to 1000 times.
 */
const MOST_TIMES = 200;
const MOST_SMALL_BYTES = 8 * 1024 ** 2;
const MOST_FAULTS = 20;

const ABOUT = `A backup of Sorn: every profile with all its revisions, and the session of each.
revisions/PROFILE/NUMBER.json has a saved state, sessions/PROFILE.json the windows, backup.json a checksum of each.
Restore it in Files, or by: npm run -s sorn -- restore THIS-FILE
`;

const listSchema = z.object({
  sorn: z.literal('backup'),
  version: z.int(),
  madeAt: z.iso.datetime(),
  /** The SHA-256 of each file, hexadecimal. */
  files: z.record(z.string(), z.string()),
});

/** The SHA-256 of bytes, or of a text in UTF-8, hexadecimal. */
export const digest = (bytes: Uint8Array | string) =>
  createHash('sha256').update(bytes).digest('hex');
const json = (value: unknown) => strToU8(`${JSON.stringify(value)}\n`);

/** The file that a row is kept as. */
function fileOf(row: Row): { name: string; bytes: Uint8Array } {
  if (row.kind === 'session') {
    const { profile, number, savedAt, content } = row;
    const bytes = json({ number, savedAt, session: JSON.parse(content) });
    return { name: `sessions/${profile}.json`, bytes };
  }
  const { profile, number, savedAt, label, content, ownText } = row;
  const bytes = json({
    savedAt,
    ...(label !== null && { label }),
    profile: JSON.parse(content),
    ...(ownText !== null && { text: JSON.parse(ownText) }),
  });
  return { name: `revisions/${profile}/${number}.json`, bytes };
}

/** Checksums of what rows are kept as, by the names of the files. */
export async function sumsOf(rows: AsyncIterable<Row>): Promise<Map<string, string>> {
  const sums = new Map<string, string>();
  for await (const row of rows) {
    const { name, bytes } = fileOf(row);
    sums.set(name, digest(bytes));
  }
  return sums;
}

/**
 * Writes rows into a new archive, which only its owner can read and which is on the disk when this ends.
 * @param madeAt ISO 8601
 */
export async function writeArchive(
  path: string,
  rows: AsyncIterable<Row>,
  madeAt: string,
): Promise<void> {
  const file = openSync(path, 'wx', 0o600);
  try {
    let failed: Error | null = null;
    const zip = new Zip((error, bytes) => {
      if (error) failed ??= error;
      for (let at = 0; !error && at < bytes.length;) at += writeSync(file, bytes, at);
    });
    const add = (name: string, bytes: Uint8Array) => {
      const entry = new ZipDeflate(name, { level: 6 });
      entry.mtime = madeAt;
      zip.add(entry);
      entry.push(bytes, true);
      if (failed) throw failed;
    };
    add(README, strToU8(ABOUT));
    const sums: [string, string][] = [];
    for await (const row of rows) {
      const { name, bytes } = fileOf(row);
      add(name, bytes);
      sums.push([name, digest(bytes)]);
    }
    add(LIST, json({ sorn: 'backup', version: VERSION, madeAt, files: Object.fromEntries(sums) }));
    zip.end();
    if (failed) throw failed;
    fsyncSync(file);
  } finally {
    closeSync(file);
  }
}

/** A backup that is open: read one file at a time. */
export interface OpenArchive {
  madeAt: string;
  /** The checksums, by the names of the files. */
  sums: ReadonlyMap<string, string>;
  /**
   * Every row, in the order of profiles and numbers. With `isChecked` each was checked against its schema before and is
   * only compared with its checksum.
   */
  rows: (isChecked?: boolean) => AsyncGenerator<Row>;
  /** @throws BadBackup with what is wrong with any file */
  check: (take?: (row: Row) => void) => Promise<void>;
  close: () => void;
}

/**
 * Opens a backup: its list is read, its files are there and none is too large.
 * @throws BadBackup
 */
export async function openArchive(path: string): Promise<OpenArchive> {
  const zip = await openPromise(path, { lazyEntries: true, autoClose: false }).catch(notZip);
  try {
    const entries = await entriesOf(zip, statSync(path).size);
    const listed = entries.get(LIST);
    if (!listed) throw new BadBackup(`it has no ${LIST}: it is no backup of Sorn`);
    const { madeAt, files } = listIn(await bytesOf(zip, listed));
    const sums = new Map(Object.entries(files));
    refuse(unlisted(sums, entries));
    const read = async (name: string) => {
      const bytes = await bytesOf(zip, entries.get(name)!);
      if (digest(bytes) !== sums.get(name))
        throw new BadBackup(`${name} is not as it was when the backup was made`);
      return bytes;
    };
    const names = [...sums.keys()].sort(byRow);
    const row = async (name: string, isChecked: boolean) =>
      checkedRow(name, parsed(name, await read(name)), isChecked);
    return {
      madeAt,
      sums,
      async *rows(isChecked = false) {
        for (const name of names) yield row(name, isChecked);
      },
      async check(take) {
        const faults: string[] = [];
        const profiles = new Set<string>();
        for (const name of names) {
          try {
            const checked = await row(name, false);
            if (checked.kind === 'revision') profiles.add(checked.profile);
            else if (!profiles.has(checked.profile))
              faults.push(`the session of ${checked.profile} has no profile`);
            take?.(checked);
          } catch (error) {
            if (!(error instanceof BadBackup)) throw error;
            faults.push(...error.lines);
          }
        }
        refuse(faults);
      },
      close: () => zip.close(),
    };
  } catch (error) {
    zip.close();
    throw error;
  }
}

function notZip(): never {
  throw new BadBackup('it is no ZIP archive, or a broken one');
}

/** The files of an archive by their names, where all of them together are no larger than they may be. */
async function entriesOf(zip: ZipFile, archiveBytes: number): Promise<Map<string, Entry>> {
  const entries = new Map<string, Entry>();
  const most = Math.max(MOST_SMALL_BYTES, MOST_TIMES * archiveBytes);
  let total = 0;
  try {
    for await (const entry of zip.eachEntry()) {
      const { fileName, uncompressedSize } = entry;
      total += uncompressedSize;
      if (uncompressedSize > MOST_FILE_BYTES || total > most)
        throw new BadBackup('unpacked it would be larger than a backup of its size is');
      if (entries.size >= MOST_FILES) throw new BadBackup(`it has more than ${MOST_FILES} files`);
      if (entries.has(fileName)) throw new BadBackup(`it has two files called ${fileName}`);
      entries.set(fileName, entry);
    }
  } catch (error) {
    if (error instanceof BadBackup) throw error;
    notZip();
  }
  return entries;
}

async function bytesOf(zip: ZipFile, entry: Entry): Promise<Buffer> {
  try {
    const parts: Buffer[] = [];
    // The stream ends with a fault where there is more than the archive says.
    for await (const part of await zip.openReadStreamPromise(entry)) parts.push(part as Buffer);
    return Buffer.concat(parts);
  } catch {
    throw new BadBackup(`${entry.fileName} cannot be unpacked: the archive is broken`);
  }
}

function parsed(name: string, bytes: Buffer): unknown {
  if (!isUtf8(bytes)) throw new BadBackup(`${name} is not UTF-8`);
  try {
    return JSON.parse(bytes.toString());
  } catch {
    throw new BadBackup(`${name} is not JSON`);
  }
}

function listIn(bytes: Buffer): z.output<typeof listSchema> {
  const value = parsed(LIST, bytes);
  const version = z.object({ version: z.unknown() }).safeParse(value).data?.version;
  const list = listSchema.safeParse(value);
  if (typeof version === 'number' && version !== VERSION)
    throw new BadBackup(`it is a backup of version ${version}; this Sorn reads version ${VERSION}`);
  if (!list.success) throw new BadBackup(`its ${LIST} is not that of a backup of Sorn`);
  return list.data;
}

function unlisted(sums: ReadonlyMap<string, string>, entries: ReadonlyMap<string, Entry>) {
  const missing = [...sums.keys()].filter((name) => !entries.has(name));
  const more = [...entries.keys()].filter(
    (name) => ![LIST, README].includes(name) && !sums.has(name),
  );
  return [
    ...missing.map((name) => `${name} is missing`),
    ...more.map((name) => `${name} is not in the list of the backup`),
  ];
}

function refuse(faults: readonly string[]): void {
  if (faults.length === 0) return;
  const more = faults.length - MOST_FAULTS;
  throw new BadBackup(
    ...faults.slice(0, MOST_FAULTS),
    ...(more > 0 ? [`and ${more} more faults`] : []),
  );
}

/** Revisions by profile and number, then sessions; whatever else there is comes last. */
function byRow(a: string, b: string): number {
  const [left, right] = [keyOf(a), keyOf(b)];
  return (
    left[0] - right[0] || (left[1] < right[1] ? -1 : left[1] > right[1] ? 1 : left[2] - right[2])
  );
}

function keyOf(name: string): [kind: number, profile: string, number: number] {
  const [, profile, number] = REVISION_FILE.exec(name) ?? [];
  if (profile !== undefined) return [0, profile, Number(number)];
  return [SESSION_FILE.test(name) ? 1 : 2, name, 0];
}
