import { faultText, type Read } from '../profile/faults.ts';
import { readKeysCsv } from './keys-csv.ts';
import { notReadText, parseFile } from './parse.ts';
import { readFile, type FromFile } from './pieces.ts';
import { readRulesCsv } from './rules-csv.ts';

/** What a file of whatever form would bring, or a line a fault. */
export type FileRead = { ok: true; value: FromFile } | { ok: false; lines: string[] };

/**
 * Reads a file by its name and text: a profile or pieces of one in JSON, YAML or TOML, or a table (CSV) of rules
 * or of keys, which its first line tells apart.
 */
export function readFileText(name: string, text: string): FileRead {
  if (/\.csv$/i.test(name)) {
    const isKeys = text
      .split('\n', 1)[0]!
      .split(',')
      .some((cell) => /^\W*keys\W*$/.test(cell));
    return told(name, isKeys ? readKeysCsv(text) : readRulesCsv(text));
  }
  const parsed = parseFile(name, text);
  return parsed.ok
    ? told(name, readFile(parsed.value))
    : { ok: false, lines: notReadText(name, parsed) };
}

function told(name: string, result: Read<FromFile>): FileRead {
  if (result.ok) return result;
  return { ok: false, lines: result.faults.map((fault) => `${name}: ${faultText(fault)}`) };
}
