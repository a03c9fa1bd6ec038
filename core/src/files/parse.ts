import { parse as parseToml, TomlError } from 'smol-toml';
import { parseDocument, type Document } from 'yaml';
import { FORMAT_NAMES, formatOf, type Format } from './format.ts';

/** What is wrong with a text in its format, and where. */
export interface TextFault {
  message: string;
  /** Counted from 1; left out where it is the text as a whole. */
  line?: number;
  column?: number;
}

export type Parsed =
  | { ok: true; value: unknown; format: Format }
  | { ok: false; faults: readonly TextFault[]; format: Format };

/**
 * The most nodes that aliases in YAML may stand for: enough for real files, too few for one that expands without
 * end.
 */
export const MOST_ALIASES = 100;
const MOST_FAULTS = 20;
/** Lines and commas: the parsers of YAML and TOML take 10 to 30 µs for each, and 2 kB of memory. */
const MOST_VALUES = 150_000;
const MANY = `more lines and values than a profile has; expected at most ${MOST_VALUES}`;
const LINE = '\n'.charCodeAt(0);
const COMMA = ','.charCodeAt(0);

/** Reads a text in a format; the value is not checked against anything yet. Never throws. */
export function parseText(text: string, format: Format): Parsed {
  const parsed = parsedText(text, format);
  const isEmpty = plain(text).trim() === '' || (parsed.ok && saysNothing(parsed.value, format));
  return isEmpty ? { ok: false, faults: [{ message: EMPTY }], format } : parsed;
}

const EMPTY = 'empty; expected a text that says something';

/** True for a text of comments alone. The JSON text `{}` counts as content: it leaves everything at its default. */
function saysNothing(value: unknown, format: Format): boolean {
  if (format === 'yaml') return value === null || value === undefined;
  return format === 'toml' && Object.keys(value as object).length === 0;
}

/** True where a text has more values, by its lines and commas, than can be read in a moment. */
function hasMany(text: string): boolean {
  let count = 0;
  for (let at = 0; at < text.length; at++) {
    const code = text.charCodeAt(at);
    if ((code === LINE || code === COMMA) && ++count > MOST_VALUES) return true;
  }
  return false;
}

function parsedText(text: string, format: Format): Parsed {
  if (format !== 'json' && hasMany(text)) return { ok: false, faults: [{ message: MANY }], format };
  try {
    if (format === 'json') return { ok: true, value: JSON.parse(plain(text)), format };
    if (format === 'toml') return { ok: true, value: parseToml(plain(text)), format };
    const document = yamlDocument(text);
    const faults = [...document.errors, ...document.warnings].map(({ message, linePos }) => ({
      message: firstLine(message),
      ...(linePos && { line: linePos[0].line, column: linePos[0].col }),
    }));
    if (faults.length > 0) return { ok: false, faults: faults.slice(0, MOST_FAULTS), format };
    return { ok: true, value: document.toJS({ maxAliasCount: MOST_ALIASES }), format };
  } catch (error) {
    return { ok: false, faults: [faultIn(error, text, format)], format };
  }
}

/** A text by the ending of its file's name; without one, as YAML (of which JSON is a part), then as TOML. */
export function parseFile(name: string, text: string): Parsed {
  const format = formatOf(name);
  if (format) return parseText(text, format);
  const yaml = parseText(text, 'yaml');
  const isSaid = yaml.ok && typeof yaml.value === 'object' && yaml.value !== null;
  if (isSaid) return yaml;
  const toml = parseText(text, 'toml');
  return toml.ok ? toml : yaml;
}

/** A YAML text with its comments and places; where it is to be edited, with its tokens, too. */
export function yamlDocument(text: string, keepSourceTokens = false): Document.Parsed {
  return parseDocument(plain(text), {
    resolveKnownTags: false,
    logLevel: 'error',
    keepSourceTokens,
  });
}

/** Where a fault stands, as it is told: "line 3, column 5: …". */
export function textFaultText({ message, line, column }: TextFault): string {
  if (line === undefined) return message;
  return `line ${line}${column === undefined ? '' : `, column ${column}`}: ${message}`;
}

const plain = (text: string) => text.replace(/^\uFEFF/, '');

const NESTED = /call stack|excessively nested/;

function firstLine(message: string): string {
  if (NESTED.test(message)) return 'nested too deeply to be read';
  return message
    .split('\n')[0]!
    .replace(/ at line \d+, column \d+:?$/, '')
    .replace(/:$/, '');
}

function faultIn(error: unknown, text: string, format: Format): TextFault {
  if (error instanceof ReferenceError) {
    const [, name] = UNRESOLVED.exec(error.message) ?? [];
    if (name !== undefined) return unresolved(text, name);
    return { message: `its aliases stand for too much; expected at most ${MOST_ALIASES}` };
  }
  if (error instanceof TomlError) {
    const message = firstLine(error.message).replace(/^Invalid TOML document: /, '');
    return { message, line: error.line, column: error.column };
  }
  const message = error instanceof Error ? firstLine(error.message) : String(error);
  if (format !== 'json') return { message };
  return { message: message.replace(/ in JSON at position .*$/, ''), ...jsonPlace(message, text) };
}

const UNRESOLVED = /^Unresolved alias .*: (\S+)$/;

function unresolved(text: string, name: string): TextFault {
  const at = plain(text).indexOf(`*${name}`);
  const message = `*${name} is called, and is nowhere above; expected &${name} there`;
  return { message, ...(at >= 0 && placeAt(plain(text), at)) };
}

/** The name that is called in a text of YAML, and given to nothing above; null where all are. */
export function unresolvedAlias(text: string): string | null {
  try {
    yamlDocument(text).toJS({ maxAliasCount: MOST_ALIASES });
  } catch (error) {
    return UNRESOLVED.exec((error as Error).message)?.[1] ?? null;
  }
  return null;
}

/** Where JSON is broken: its own reader tells no line, the one of YAML, of which JSON is a part, does. */
function jsonPlace(message: string, text: string): Partial<TextFault> {
  const at = /at position (\d+)/.exec(message)?.[1];
  if (at !== undefined) return placeAt(text, Number(at));
  const isEnd = /end of JSON/.test(message);
  return isEnd ? placeAt(text, text.length) : {};
}

/** The line and the column of a character, both counted from 1. */
function placeAt(text: string, offset: number): { line: number; column: number } {
  const before = text.slice(0, offset).split('\n');
  return { line: before.length, column: before.at(-1)!.length + 1 };
}

/** What every format can be refused for by its name. */
export function notReadText(name: string, { format, faults }: Parsed & { ok: false }): string[] {
  return faults.map((fault) =>
    fault.message === EMPTY
      ? `${name}: ${EMPTY}`
      : `${name}: not ${FORMAT_NAMES[format]}: ${textFaultText(fault)}`,
  );
}
