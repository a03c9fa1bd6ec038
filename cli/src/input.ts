import { readFileSync, statSync } from 'node:fs';
import { parse as parseToml, TomlError } from 'smol-toml';
import { parse as parseYaml, YAMLParseError } from 'yaml';
import { faultText, read, type Read } from '@sorn/core';

/** Input that cannot be used: one message a fault, and the exit code for it. */
export class BadInput extends Error {
  readonly lines: readonly string[];

  constructor(lines: readonly string[]) {
    super(lines.join('\n'));
    this.lines = lines;
  }
}

const MOST_BYTES = 16 * 1024 * 1024;

/** Reads a file (`-`: standard input) in JSON, YAML or TOML by a schema. Throws BadInput with a line per fault. */
export function readInput<S extends Parameters<typeof read>[0]>(file: string, schema: S) {
  const result = read(schema, parse(file, textOf(file))) as Read<ReturnType<S['parse']>>;
  if (result.ok) return result.value;
  throw new BadInput(result.faults.map((fault) => `${file}: ${faultText(fault)}`));
}

function textOf(file: string): string {
  try {
    if (file !== '-' && statSync(file).size > MOST_BYTES) {
      throw new BadInput([`${file}: larger than 16 MiB; right would be a smaller file`]);
    }
    const bytes = readFileSync(file === '-' ? 0 : file);
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch (error) {
    if (error instanceof BadInput) throw error;
    if (error instanceof TypeError) {
      throw new BadInput([`${file}: not UTF-8 text; right would be JSON, YAML or TOML in UTF-8`]);
    }
    const { code, message } = error as NodeJS.ErrnoException;
    const why = code === 'ENOENT' ? 'no such file' : message;
    throw new BadInput([`${file}: ${why}; right would be a file that can be read, or -`]);
  }
}

/** By the file's ending; without one, YAML (of which JSON is a part), then TOML. */
function parse(file: string, text: string): unknown {
  const ending = /\.(json|ya?ml|toml)$/i.exec(file)?.[1]?.toLowerCase();
  try {
    if (ending === 'json') return JSON.parse(text);
    if (ending === 'toml') return parseToml(text);
    if (ending !== undefined) return parseYaml(text);
  } catch (error) {
    throw new BadInput([`${file}: not ${ending?.toUpperCase()}: ${reasonOf(error)}`]);
  }
  try {
    return parseYaml(text);
  } catch (yamlError) {
    try {
      return parseToml(text);
    } catch {
      throw new BadInput([`${file}: neither JSON, YAML nor TOML: ${reasonOf(yamlError)}`]);
    }
  }
}

function reasonOf(error: unknown): string {
  if (error instanceof YAMLParseError || error instanceof TomlError || error instanceof Error) {
    return error.message.split('\n')[0]!.replace(/:$/, '');
  }
  return String(error);
}
