import {
  closeSync,
  constants,
  fchmodSync,
  fchownSync,
  fstatSync,
  fsyncSync,
  ftruncateSync,
  openSync,
  readdirSync,
  readFileSync,
  realpathSync,
  renameSync,
  rmSync,
  statfsSync,
  writeSync,
} from 'node:fs';
import { basename, dirname, isAbsolute, join, relative, resolve } from 'node:path';
import { RefusedFile, refuseLarge, textIn } from '@sorn/core/files';

/** Where a path leads through symbolic links; the path itself where nothing is there. */
export function realPath(path: string): string {
  try {
    return realpathSync(path);
  } catch {
    return resolve(path);
  }
}

/** True for a folder and all that is below it, links followed. */
export function isWithin(path: string, folder: string): boolean {
  const way = relative(realPath(folder), realPath(path));
  return way === '' || (!way.startsWith('..') && !isAbsolute(way));
}

/** Why a file cannot be read now. */
export type DiskTrouble = { state: 'gone' | 'unreadable' | 'too-large'; because: string };

export type DiskRead = { text: string } | DiskTrouble;

/** The text of a file, through symbolic links. A file that is too large is not read. */
export function readDisk(path: string): DiskRead {
  let input: number | undefined;
  try {
    input = openSync(path, constants.O_RDONLY | constants.O_NONBLOCK);
    return readOpen(input);
  } catch (error) {
    return troubleOf(error);
  } finally {
    if (input !== undefined) closeSync(input);
  }
}

/** The text of an open file. */
function readOpen(input: number): DiskRead {
  try {
    const stat = fstatSync(input);
    if (!stat.isFile())
      return { state: 'unreadable', because: 'no file; expected one that can be read' };
    refuseLarge(stat.size);
    return { text: textIn(readFileSync(input)) };
  } catch (error) {
    if (error instanceof RefusedFile)
      return {
        state: /MiB/.test(error.message) ? 'too-large' : 'unreadable',
        because: error.message,
      };
    return troubleOf(error);
  }
}

function troubleOf(error: unknown): DiskTrouble {
  const { code, message } = error as NodeJS.ErrnoException;
  if (code === 'ENOENT' || code === 'ENOTDIR')
    return { state: 'gone', because: 'there is no such file' };
  if (code === 'EACCES' || code === 'EPERM')
    return { state: 'unreadable', because: 'it may not be read; allow it' };
  return { state: 'unreadable', because: message };
}

/** Names of files that a write makes beside the file, so that one that was cut off is found and taken away. */
const BESIDE = '.sorn-write-';

/**
 * Writes a file as a whole, where it still says what it is thought to say: into a new one beside it that takes its place
 * (rename), with its rights and owner. A file that has several names, or whose owner cannot be kept, is written in its
 * place. Symbolic links are followed.
 *
 * @param expected what the file says now; null where there is none
 * @param onLate told of what an editor wrote on into the file that was replaced: it had that one open
 * @returns false where it says something else: nothing was written
 * @throws Error of the operating system: nothing was written
 */
export function writeDisk(
  path: string,
  text: string,
  expected: string | null,
  onLate: (text: string) => void = () => undefined,
): boolean {
  if (expected === null) {
    const output = openSync(path, 'wx', 0o644);
    try {
      writeWhole(output, text);
    } finally {
      closeSync(output);
    }
    return true;
  }
  const target = realpathSync(path);
  const there = openSync(target, 'r');
  let isWatched = false;
  const beside = join(dirname(target), `.${basename(target)}${BESIDE}${process.pid}`);
  try {
    const { mode, uid, gid, nlink } = fstatSync(there);
    const isOthers = nlink > 1 || !besideIsMade(beside, text, { mode, uid, gid });
    // Looked at as late as can be: nothing comes between but the call itself.
    const now = readDisk(target);
    if (!('text' in now) || now.text !== expected) return false;
    if (isOthers) writeInPlace(target, text);
    else {
      renameSync(beside, target);
      isWatched = true;
      setTimeout(() => {
        const late = readOpen(there);
        closeSync(there);
        if ('text' in late && late.text !== expected) onLate(late.text);
      }, LATE_MS).unref();
    }
    return true;
  } finally {
    if (!isWatched) closeSync(there);
    rmSync(beside, { force: true });
  }
}

/** So long an editor may write on into a file that was replaced. */
const LATE_MS = 1_000;

/** False where the owner of the file cannot be given to another one. */
function besideIsMade(
  beside: string,
  text: string,
  { mode, uid, gid }: { mode: number; uid: number; gid: number },
): boolean {
  const output = openSync(beside, 'w', 0o600);
  try {
    writeWhole(output, text);
    fchmodSync(output, mode & 0o7777);
    const own = fstatSync(output);
    if (own.uid !== uid || own.gid !== gid) fchownSync(output, uid, gid);
    return true;
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'EPERM') throw error;
    return false;
  } finally {
    closeSync(output);
  }
}

function writeInPlace(target: string, text: string): void {
  const output = openSync(target, 'r+');
  try {
    // Cut only once all is written: on a full disk as much as can be stays.
    writeWhole(output, text);
    ftruncateSync(output, Buffer.byteLength(text, 'utf8'));
    fsyncSync(output);
  } finally {
    closeSync(output);
  }
}

function writeWhole(output: number, text: string): void {
  const bytes = Buffer.from(text, 'utf8');
  for (let at = 0; at < bytes.length;) at += writeSync(output, bytes, at, bytes.length - at, at);
  fsyncSync(output);
}

/** Takes away what a write that was cut off left beside a file. */
export function tidyBeside(path: string): void {
  try {
    const target = realpathSync(path);
    const own = `.${basename(target)}${BESIDE}`;
    for (const name of readdirSync(dirname(target)))
      if (name.startsWith(own)) rmSync(join(dirname(target), name), { force: true });
  } catch {
    // A folder that cannot be read has nothing of ours.
  }
}

/** File systems that do not tell of changes that another machine makes, by their number (statfs(2)). */
const SILENT = new Set([
  0x6969, 0xff534d42, 0xfe534d42, 0x517b, 0x65735546, 0x01021997, 0x786f4256,
]);

/** True where changes of a file have to be looked for: its drive may tell of none. */
export function isSilent(path: string): boolean {
  try {
    return SILENT.has(statfsSync(dirname(path)).type);
  } catch {
    return true;
  }
}
