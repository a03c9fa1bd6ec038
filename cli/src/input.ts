import { closeSync, openSync, readSync, statSync } from 'node:fs';
import { hostname } from 'node:os';
import { relative, resolve } from 'node:path';
import {
  fileFaultText,
  notReadText,
  parseFile,
  readFileText,
  readProfileFiles,
  RefusedFile,
  refuseLarge,
  textIn,
  type FromFile,
} from '@sorn/core/files';
import { profileOn, profileSchema, type Profile } from '@sorn/core/model';
import { gatherFiles } from '@sorn/server/profile-files';
import { faultText, read, type Read } from '@sorn/core/values';

/** Input that cannot be used: one message for each fault, and the exit code. */
export class BadInput extends Error {
  readonly lines: readonly string[];

  constructor(lines: readonly string[]) {
    super(lines.join('\n'));
    this.lines = lines;
  }
}

/** Reads a file (`-`: standard input) in JSON, YAML or TOML by a schema. Throws BadInput with a line per fault. */
export function readInput<S extends Parameters<typeof read>[0]>(file: string, schema: S) {
  return sound(file, read(schema, valueIn(file, textOf(file))) as Read<ReturnType<S['parse']>>);
}

/** A profile, and the files it was read from; none where that is standard input. */
export interface ProfileInput {
  profile: Profile;
  paths: readonly string[];
}

/**
 * Reads a profile (`-`: standard input) in JSON, YAML or TOML, with the files that it includes. Throws BadInput with a
 * line per fault, as editors and continuous integration read it: file:line:column: what it is, and what was expected.
 */
export function readProfileInput(file: string): ProfileInput {
  if (file === '-' || isDevice(file)) return { profile: readInput(file, profileSchema), paths: [] };
  const nameOf = (path: string) => (path === resolve(file) ? file : relative('.', path));
  const gathered = gatherFiles(resolve(file), [], nameOf);
  if ('trouble' in gathered) {
    // What was wrong is told in the words that every other file is refused in.
    textOf(file);
    throw new BadInput([`${file}: ${gathered.trouble.because}`]);
  }
  if ('faults' in gathered) throw new BadInput(gathered.faults.map(fileFaultText));
  const read = readProfileFiles(gathered.files);
  if (!read.ok) throw new BadInput(read.faults.map(fileFaultText));
  return { profile: read.profile, paths: gathered.files.map(({ path }) => path) };
}

/** The profile of a file, or of several. */
export const readProfile = (file: string): Profile => readProfileInput(file).profile;

/** The same as it holds on a machine, by its host name: this one where left out. */
export const readProfileOn = (file: string, machine = hostname()): Profile =>
  profileOn(readProfile(file), machine);

/** A pipe, or what else is no plain file. */
function isDevice(file: string): boolean {
  const stat = statSync(file, { throwIfNoEntry: false });
  return stat !== undefined && !stat.isFile();
}

/** Reads what a file of a profile, of sections of one, or a table of rules or keys would bring into a profile. */
export function readSections(file: string, { keys }: Profile): FromFile {
  const bundles = keys.bundles.map(({ id }) => id);
  const result = readFileText(file, textOf(file), bundles);
  if (result.ok) return result.value;
  throw new BadInput(result.lines);
}

function sound<T>(file: string, result: Read<T>): T {
  if (result.ok) return result.value;
  throw new BadInput(result.faults.map((fault) => `${file}: ${faultText(fault)}`));
}

const AT_ONCE = 1 << 16;

/**
 * The bytes of a file, or of standard input (`-`). A source without an end, such as a device, is read only up to
 * the size limit of a file.
 */
function bytesOf(file: string): Buffer {
  try {
    const input = file === '-' ? 0 : openSync(file, 'r');
    try {
      const parts: Buffer[] = [];
      for (let bytes = 0; ;) {
        const part = nextOf(input);
        if (part.length === 0) return Buffer.concat(parts);
        parts.push(part);
        refuseLarge((bytes += part.length));
      }
    } finally {
      if (input !== 0) closeSync(input);
    }
  } catch (error) {
    if (error instanceof RefusedFile) throw error;
    const { code, message } = error as NodeJS.ErrnoException;
    const why = code === 'ENOENT' ? 'no such file' : message;
    throw new BadInput([`${file}: ${why}; expected a file that can be read, or -`]);
  }
}

const WAIT_MS = 10;

/** The next bytes of an open file; none at its end. */
function nextOf(input: number): Buffer {
  const part = Buffer.alloc(AT_ONCE);
  for (;;) {
    try {
      return part.subarray(0, readSync(input, part));
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code !== 'EAGAIN') throw error;
      // A terminal or a pipe that has nothing yet.
      Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, WAIT_MS);
    }
  }
}

function textOf(file: string): string {
  try {
    return textIn(bytesOf(file));
  } catch (error) {
    if (error instanceof RefusedFile) throw new BadInput([`${file}: ${error.message}`]);
    throw error;
  }
}

/** By the file's ending; without one, YAML (of which JSON is a part), then TOML. */
function valueIn(file: string, text: string): unknown {
  const parsed = parseFile(file, text);
  if (parsed.ok) return parsed.value;
  throw new BadInput(notReadText(file, parsed));
}
