import { readFileSync, statSync } from 'node:fs';
import {
  faultText,
  notReadText,
  parseFile,
  read,
  readFileText,
  RefusedFile,
  refuseLarge,
  textIn,
  type FromFile,
  type Profile,
  type Read,
} from '@sorn/core';

/** Input that cannot be used: one message a fault, and the exit code for it. */
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

/** Reads what a file of a profile, of pieces of one, or a table of rules or keys would bring into a profile. */
export function readPieces(file: string, { keys }: Profile): FromFile {
  const bundles = keys.bundles.map(({ id }) => id);
  const result = readFileText(file, textOf(file), bundles);
  if (result.ok) return result.value;
  throw new BadInput(result.lines);
}

function sound<T>(file: string, result: Read<T>): T {
  if (result.ok) return result.value;
  throw new BadInput(result.faults.map((fault) => `${file}: ${faultText(fault)}`));
}

/** The bytes of a file, or of standard input. */
export function bytesOf(file: string): Buffer {
  try {
    return readFileSync(file === '-' ? 0 : file);
  } catch (error) {
    const { code, message } = error as NodeJS.ErrnoException;
    const why = code === 'ENOENT' ? 'no such file' : message;
    throw new BadInput([`${file}: ${why}; right would be a file that can be read, or -`]);
  }
}

function textOf(file: string): string {
  try {
    const size = file === '-' ? undefined : statSync(file, { throwIfNoEntry: false })?.size;
    refuseLarge(size ?? 0);
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
