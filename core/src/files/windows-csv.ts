import { idFrom } from '../model/app-defaults.ts';
import { appSchema, appWindowSchema, type App, type AppWindow } from '../model/app.ts';
import { read } from '../values/faults.ts';
import { nearestName } from '../values/nearest-name.ts';
import { csvRows, type CsvRow, type LineFault } from './csv-rows.ts';

/** The columns of a list of windows, in the order in which a person would write them; `app` or `name` must be there. */
export const WINDOW_COLUMNS = [
  'app',
  'name',
  'title',
  'kind',
  'parent',
  'width',
  'height',
  'min_width',
  'min_height',
  'max_width',
  'max_height',
  'resizable',
] as const;
type Column = (typeof WINDOW_COLUMNS)[number];
type Cells = { [C in Column]?: string };

/** What a list of windows says. */
export interface ReadWindows {
  /** Apps by their first row, with the rows after it as their further windows. */
  apps: App[];
  faults: LineFault[];
}

const MOST_ROWS = 10_000;

/**
 * Reads a list of windows: comma separated values (RFC 4180; also with semicolons or tabs) with a line of
 * column names. The first row of an app is its own window, later ones are further windows of it. A row that
 * is not right is told with its line, and the others are used.
 */
export function readWindowsCsv(text: string): ReadWindows {
  const { rows, faults } = csvRows(text, MOST_ROWS);
  const apps = new Map<string, App>();
  const columns = columnsOf(rows[0], faults);
  if (!columns) return { apps: [], faults };
  for (const { line, cells } of rows.slice(1)) {
    const row = namedCells(cells, columns, line, faults);
    if (row) takeRow(row, line, apps, faults);
  }
  return { apps: [...apps.values()], faults };
}

function columnsOf(head: CsvRow | undefined, faults: LineFault[]): (Column | null)[] | null {
  if (!head) {
    faults.push({
      line: 1,
      text: `the file is empty; expected a line with ${WINDOW_COLUMNS.join(', ')}`,
    });
    return null;
  }
  const columns = head.cells.map((cell): Column | null => {
    const name = cell
      .trim()
      .toLowerCase()
      .replace(/[\s-]+/g, '_');
    const known = WINDOW_COLUMNS.find((column) => column === name);
    if (known) return known;
    const nearest = nearestName(name, WINDOW_COLUMNS);
    const hint = nearest ? `the nearest is ${nearest}` : `one of ${WINDOW_COLUMNS.join(', ')}`;
    faults.push({ line: head.line, text: `no column is called “${cell.trim()}”; ${hint}` });
    return null;
  });
  if (columns.includes('app') || columns.includes('name')) return columns;
  faults.push({
    line: head.line,
    text: 'no column app; expected one with the id of each window’s app, or one with its name',
  });
  return null;
}

function namedCells(
  cells: readonly string[],
  columns: readonly (Column | null)[],
  line: number,
  faults: LineFault[],
): Cells | null {
  if (cells.length > columns.length) {
    faults.push({ line, text: `${cells.length} values; expected at most ${columns.length}` });
    return null;
  }
  const row: Cells = {};
  columns.forEach((column, i) => {
    const cell = cells[i]?.trim();
    if (column && cell) row[column] = cell;
  });
  // An id that is missing is made of the name.
  const made = row.app ?? idFrom(row.name ?? '');
  return made === null ? row : { ...row, app: made };
}

function takeRow(row: Cells, line: number, apps: Map<string, App>, faults: LineFault[]): void {
  const known = apps.get(row.app ?? '');
  const window = windowFrom(row);
  const input = known
    ? { title: row.title ?? row.name, ...window }
    : {
        id: row.app,
        ...(row.name && { name: row.name }),
        ...(row.title && { title: row.title }),
        ...window,
      };
  const result = known ? read(appWindowSchema, input) : read(appSchema, input);
  if (!result.ok) {
    for (const { path, found, expected } of result.faults) {
      faults.push({
        line,
        text: `${columnOf(path, known !== undefined)}: ${found}; expected ${expected}`,
      });
    }
    return;
  }
  if (!known) {
    apps.set(row.app!, result.value as App);
    return;
  }
  const further = result.value as AppWindow;
  if (known.windows?.some(({ title }) => title === further.title)) {
    faults.push({ line, text: `${known.id} has a window “${further.title}” already` });
    return;
  }
  apps.set(known.id, { ...known, windows: [...(known.windows ?? []), further] });
}

/** What a row says of a window, numbers as numbers; what is no number is left for the schema to tell. */
function windowFrom(row: Cells): object {
  const number = (cell: string | undefined) =>
    cell !== undefined && /^\d+$/.test(cell) ? Number(cell) : cell;
  const size = (width: string | undefined, height: string | undefined) =>
    width === undefined && height === undefined
      ? undefined
      : { width: number(width), height: number(height) };
  const resizable = { yes: true, true: true, no: false, false: false }[
    row.resizable?.toLowerCase() ?? ''
  ];
  const given = {
    kind: row.kind?.toLowerCase(),
    parent: row.parent,
    preferred: size(row.width, row.height),
    min: size(row.min_width, row.min_height),
    max: size(row.max_width, row.max_height),
    resizable: row.resizable === undefined ? undefined : (resizable ?? row.resizable),
  };
  return Object.fromEntries(Object.entries(given).filter(([, value]) => value !== undefined));
}

/** The column that a field of an app or a window comes from. */
function columnOf(path: string, isFurther: boolean): string {
  const columns: Record<string, Column> = {
    id: 'app',
    'preferred.width': 'width',
    'preferred.height': 'height',
    'min.width': 'min_width',
    'min.height': 'min_height',
    'max.width': 'max_width',
    'max.height': 'max_height',
  };
  return columns[path] ?? (isFurther && path === 'title' ? 'title' : path);
}
