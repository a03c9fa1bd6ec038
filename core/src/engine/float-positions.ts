import { workArea } from '../desk/work-area.ts';
import { centredIn, keptInside, type Rect, type Size } from '../geometry/rect.ts';
import { toPixels } from '../geometry/round.ts';
import type { Session } from '../model/session.ts';
import type { ArrangedWorkspace } from './arranged-workspace.ts';
import { ASIDE, floatingSize } from './floating-rect.ts';

const NONE: FloatPlaces = new Map();

interface Row extends Size {
  windows: { id: string; size: Size }[];
}

const known = new WeakMap<
  ArrangedWorkspace,
  { windows: Session['windows']; places: FloatPlaces }
>();
type FloatPlaces = ReadonlyMap<string, Rect>;

/**
 * Where windows float that found no tile and never floated before, by id: side by side in rows as far as the work
 * area has room, the rows in its middle; the others in steps from its upper left, no two with one corner. Each window
 * of the place that has no tile counts, wherever it was moved: so none moves because another one was.
 */
export function floatPlaces(session: Session, arranged: ArrangedWorkspace): FloatPlaces {
  const { afloat, tiled, monitor, workspace } = arranged;
  if (afloat.length === 0) return NONE;
  const former = known.get(arranged);
  if (former?.windows === session.windows) return former.places;
  const { area } = workArea(monitor);
  const hasTile = new Set(tiled);
  const sized = session.windows
    .filter((window) => window.workspace === workspace && window.monitor === monitor.id)
    .filter((window) => !hasTile.has(window))
    .map((window) => ({ id: window.id, size: floatingSize(window, monitor, area) }));
  const { rows, over } = inRows(sized, area);
  const all = new Map(placedRows(rows, area));
  const steps = new Steps(area, toPixels(ASIDE, monitor.scale), [...all.values()]);
  for (const { id, size } of over) all.set(id, steps.next(size));
  const unmoved = afloat.filter(({ standing }) => !standing);
  const places = new Map(unmoved.map(({ id }) => [id, all.get(id)!]));
  known.set(arranged, { windows: session.windows, places });
  return places;
}

/** Windows laid into rows, and those for which there is no room in any. */
function inRows(sized: Row['windows'], area: Size): { rows: Row[]; over: Row['windows'] } {
  const rows: Row[] = [];
  const over: Row['windows'] = [];
  let above = 0;
  for (const window of sized) {
    const { width, height } = window.size;
    const row = rows.at(-1);
    const higher = Math.max(row?.height ?? 0, height);
    if (row && row.width + width <= area.width && above + higher <= area.height) {
      row.windows.push(window);
      row.width += width;
      row.height = higher;
    } else if (width <= area.width && above + (row?.height ?? 0) + height <= area.height) {
      above += row?.height ?? 0;
      rows.push({ width, height, windows: [window] });
    } else over.push(window);
  }
  return { rows, over };
}

function placedRows(rows: readonly Row[], area: Rect): [string, Rect][] {
  const height = rows.reduce((sum, row) => sum + row.height, 0);
  let { y } = centredIn(area, { width: 0, height });
  return rows.flatMap((row) => {
    let { x } = centredIn(area, row);
    const placed = row.windows.map(({ id, size }): [string, Rect] => {
      const rect = { x, y, ...size };
      x += size.width;
      return [id, rect];
    });
    y += row.height;
    return placed;
  });
}

/** Corners in steps down to the right, one line of them after another. */
class Steps {
  private readonly taken: Set<string>;

  constructor(
    private readonly area: Rect,
    private readonly step: number,
    taken: readonly Rect[],
  ) {
    const at = (length: number) => Math.round(length / step);
    this.taken = new Set(taken.map(({ x, y }) => `${at(x - area.x)},${at(y - area.y)}`));
  }

  /** The first free corner for a window of some size; the area's own where none is free. */
  next(size: Size): Rect {
    const { area, step } = this;
    const most = (room: number) => Math.max(0, Math.floor(room / step));
    const columns = most(area.width - size.width);
    const rows = most(area.height - size.height);
    for (const [column, row] of corners(columns, rows)) {
      const key = `${column},${row}`;
      if (this.taken.has(key)) continue;
      this.taken.add(key);
      return { x: area.x + column * step, y: area.y + row * step, ...size };
    }
    return keptInside(area, { x: area.x, y: area.y, ...size });
  }
}

/** Every corner of a grid: diagonals from the upper edge, from left to right, then those from the left edge. */
function* corners(columns: number, rows: number): Generator<readonly [number, number]> {
  for (let from = 0; from <= columns; from++)
    for (let i = 0; i <= rows && from + i <= columns; i++) yield [from + i, i];
  for (let from = 1; from <= rows; from++)
    for (let i = 0; i <= columns && from + i <= rows; i++) yield [i, from + i];
}
