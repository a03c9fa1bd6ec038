import { faultText, type Fault, type Read } from '../values/faults.ts';
import type { Format } from './format.ts';
import { readKeysCsv } from './keys-csv.ts';
import { notReadText, parseFile } from './parse.ts';
import { readFile, type FromFile } from './sections.ts';
import { spanOf, stepsOf } from './positions.ts';
import { readRulesCsv } from './rules-csv.ts';
import { slipOfSvg } from './svg-slip.ts';

const NO_SLIP = 'a drawing without data; expected one of a board or a layout that Sorn saved';

/** What a file of whatever form would bring, or a line a fault. */
export type FileRead = { ok: true; value: FromFile } | { ok: false; lines: string[] };

/**
 * Reads a file by its name and text: a profile or sections of one in JSON, YAML or TOML, or a table (CSV) of rules
 * or of keys, which its first line tells apart; or a drawing (SVG) that carries what it shows.
 *
 * @param bundles of the profile that it is brought into: keys can name them
 */
export function readFileText(
  name: string,
  text: string,
  bundles: readonly string[] = [],
): FileRead {
  if (/\.csv$/i.test(name)) {
    const isKeys = text
      .split('\n', 1)[0]!
      .split(',')
      .some((cell) => /^\W*keys\W*$/.test(cell));
    return told(name, isKeys ? readKeysCsv(text, bundles) : readRulesCsv(text));
  }
  if (/\.svg$/i.test(name)) {
    const slip = slipOfSvg(text);
    if (slip === null) return { ok: false, lines: [`${name}: ${NO_SLIP}`] };
    return readFileText(`${name}.json`, slip, bundles);
  }
  const parsed = parseFile(name, text);
  if (!parsed.ok) return { ok: false, lines: notReadText(name, parsed) };
  return told(name, readFile(parsed.value, bundles), (fault) => lineOf(fault, text, parsed.format));
}

/** The most faults for which the line is searched: each search goes through the text. */
const MOST_PLACED = 20;

function told(
  name: string,
  result: Read<FromFile>,
  where: (fault: Fault) => string = () => '',
): FileRead {
  if (result.ok) return result;
  const lines = result.faults.map(
    (fault, i) => `${name}: ${i < MOST_PLACED ? where(fault) : ''}${faultText(fault)}`,
  );
  return { ok: false, lines };
}

function lineOf({ path }: Fault, text: string, format: Format): string {
  if (path === '') return '';
  const { from } = spanOf(text, format, stepsOf(path));
  return `line ${text.slice(0, from).split('\n').length}: `;
}
