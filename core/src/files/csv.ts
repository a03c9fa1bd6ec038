import Papa from 'papaparse';
import type { Fault, Read } from '../values/faults.ts';
import { csvRows } from './csv-rows.ts';

/** One column of a table of things: how the part of a thing in it is written, and read again. */
export interface Column<T> {
  name: string;
  /** undefined: the cell is empty. */
  write: (item: T) => string | undefined;
  /** Puts what a cell that is not empty says into a thing; a text tells what was expected. */
  read: (cell: string, into: Record<string, unknown>) => string | undefined;
}

/**
 * Things as comma-separated values (RFC 4180), a thing a line below the names of the columns. A cell that
 * is empty on purpose, or that a spreadsheet would take for a formula, has an apostrophe before it.
 */
export function writeCsv<T>(columns: readonly Column<T>[], items: readonly T[]): string {
  const lines = items.map((item) => columns.map(({ write }) => guarded(write(item))));
  return `${Papa.unparse([columns.map(({ name }) => name), ...lines], { newline: '\n' })}\n`;
}

/** The things of a table, not checked yet, and the line that each begins in. */
export interface CsvItems {
  items: Record<string, unknown>[];
  lines: readonly number[];
}

/** Reads a table; faults name the line and the column. Columns may stand in any order. */
export function readCsv<T>(text: string, columns: readonly Column<T>[]): Read<CsvItems> {
  const { rows, faults: broken } = csvRows(text);
  if (broken.length > 0) {
    const expected = 'comma-separated values';
    return fails(
      broken.map(({ line, text: found }) => ({ path: `line ${line}`, found, expected })),
    );
  }
  const [head, ...lines] = rows;
  const named = head?.cells.map((cell) => columns.find(({ name }) => name === cell.trim())) ?? [];
  const unknown = head?.cells.filter((_, i) => named[i] === undefined) ?? [];
  if (!head || unknown.length > 0) {
    const expected = `columns named ${columns.map(({ name }) => name).join(', ')}`;
    const found = unknown.join(', ') || 'the file is empty';
    return fails([{ path: `line ${head?.line ?? 1}`, found, expected }]);
  }
  const faults: Fault[] = [];
  const items = lines.map(({ line, cells }) => {
    const item: Record<string, unknown> = {};
    cells.forEach((cell, i) => {
      const column = named[i];
      if (!column || cell === '') return;
      const expected = column.read(cell.replace(/^'/, ''), item);
      if (expected !== undefined)
        faults.push({ path: `line ${line}, ${column.name}`, found: cell, expected });
    });
    return item;
  });
  if (faults.length > 0) return fails(faults);
  return { ok: true, value: { items, lines: lines.map(({ line }) => line) } };
}

/**
 * What was read of a table's things, its faults by their lines instead of their places in a list.
 * @param columnOf the column that says a part of a thing
 */
export function inLines<T>(
  result: Read<T>,
  list: string,
  lines: readonly number[],
  columnOf: (part: string) => string,
): Read<T> {
  if (result.ok) return result;
  const faults = result.faults.map((fault) => {
    if (!fault.path.startsWith(`${list}[`)) return fault;
    const [, index, rest = ''] = /^\[(\d+)\]\.?(.*)$/.exec(fault.path.slice(list.length))!;
    const line = `line ${lines[Number(index)]}`;
    return { ...fault, path: rest === '' ? line : `${line}, ${columnOf(rest)}` };
  });
  return { ok: false, faults };
}

const fails = (faults: Fault[]) => ({ ok: false, faults }) as const;

const NEEDS_GUARD = /^(?:['=+\-@\t\r]|$)/;

function guarded(cell: string | undefined): string {
  if (cell === undefined) return '';
  return NEEDS_GUARD.test(cell) ? `'${cell}` : cell;
}

/** A column of a text. */
export function textColumn<T>(name: keyof T & string): Column<T> {
  return {
    name,
    write: (item) => item[name] as string | undefined,
    read: (cell, into) => void (into[name] = cell),
  };
}

/** A column of yes and no. */
export function flagColumn<T>(name: string, path: readonly string[] = [name]): Column<T> {
  return {
    name,
    write: (item) => {
      const value = partAt(item, path);
      return value === undefined ? undefined : value === true ? 'yes' : 'no';
    },
    read(cell, into) {
      if (!/^(?:yes|no)$/i.test(cell)) return 'yes or no';
      putAt(into, path, cell.toLowerCase() === 'yes');
      return undefined;
    },
  };
}

/** A column of a word, or of what is written as JSON where it is no word. */
export function valueColumn<T>(
  name: string,
  path: readonly string[],
  kind: 'text' | 'json',
): Column<T> {
  return {
    name,
    write: (item) => {
      const value = partAt(item, path);
      if (value === undefined) return undefined;
      return kind === 'text' ? String(value) : JSON.stringify(value);
    },
    read(cell, into) {
      try {
        putAt(into, path, kind === 'text' ? cell : JSON.parse(cell));
        return undefined;
      } catch {
        return 'JSON';
      }
    },
  };
}

export function partAt(item: unknown, path: readonly string[]): unknown {
  return path.reduce<unknown>(
    (value, part) => (value as Record<string, unknown> | undefined)?.[part],
    item,
  );
}

export function putAt(into: Record<string, unknown>, path: readonly string[], value: unknown) {
  const [part, ...rest] = path;
  if (part === undefined) return;
  if (rest.length === 0) into[part] = value;
  else putAt((into[part] ??= {}) as Record<string, unknown>, rest, value);
}
