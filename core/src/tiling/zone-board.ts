import { shareLength, type Part } from '../geometry/length.ts';
import type { Rect } from '../geometry/rect.ts';
import type { ZoneBoard, Zone } from '../model/zone-board.ts';
import type { Axis } from '../values/direction.ts';

/** The first and last track of a zone, or of several together, in both axes; counted from 1. */
export interface CellRange {
  columns: readonly [number, number];
  rows: readonly [number, number];
}

/** Weights that stand in the place of a board's own. */
export interface TrackWeights {
  columns?: readonly number[];
  rows?: readonly number[];
}

/** A board's columns and rows over an area, in physical pixels from its corner. */
export interface Tracks {
  columns: readonly Part[];
  rows: readonly Part[];
}

/** Shares an area among a board's tracks, with the inner gap between neighbours. */
export function tracksOf(
  board: Pick<ZoneBoard, 'columns' | 'rows'>,
  area: Rect,
  gap: Record<Axis, number>,
  moved: TrackWeights = {},
): Tracks {
  const along = (weights: readonly number[], other: readonly number[] | undefined) =>
    other?.length === weights.length ? other : weights;
  const columns = along(board.columns, moved.columns);
  const rows = along(board.rows, moved.rows);
  return {
    columns: shareLength(area.width, columns, ones(columns), gap.x),
    rows: shareLength(area.height, rows, ones(rows), gap.y),
  };
}

function ones(weights: readonly number[]): number[] {
  return weights.map(() => 1);
}

/** The rectangle that a range of cells covers, with the gaps between them. */
export function rangeRect({ columns, rows }: Tracks, range: CellRange, area: Rect): Rect {
  const along = (parts: readonly Part[], [first, last]: readonly [number, number]) => {
    const start = parts[first - 1]!.start;
    const { start: from, size } = parts[last - 1]!;
    return { start, length: from + size - start };
  };
  const x = along(columns, range.columns);
  const y = along(rows, range.rows);
  return { x: area.x + x.start, y: area.y + y.start, width: x.length, height: y.length };
}

export function zoneNamed(board: ZoneBoard, name: string): Zone | undefined {
  return board.zones.find((zone) => zone.name === name);
}

/** The smallest range around some of a board's zones; null where one of them is not there, or none is named. */
export function rangeOf(board: ZoneBoard, names: readonly string[]): CellRange | null {
  const zones = names.map((name) => zoneNamed(board, name));
  if (zones.length === 0 || zones.includes(undefined)) return null;
  return rangeAround(zones as Zone[]);
}

/** The smallest range around zones that are known to be on a board. Throws a RangeError where one is not. */
export function existingRange(board: ZoneBoard, names: readonly string[]): CellRange {
  const range = rangeOf(board, names);
  if (!range) throw new RangeError(`${board.id} has not all of the zones ${names.join(', ')}`);
  return range;
}

/** @param ranges at least one */
export function rangeAround(ranges: readonly CellRange[]): CellRange {
  const along = (axis: 'columns' | 'rows'): [number, number] => [
    Math.min(...ranges.map((range) => range[axis][0])),
    Math.max(...ranges.map((range) => range[axis][1])),
  ];
  return { columns: along('columns'), rows: along('rows') };
}

/** The cells that two ranges have in common; null for none. */
export function commonCells(a: CellRange, b: CellRange): CellRange | null {
  const along = (axis: 'columns' | 'rows'): [number, number] => [
    Math.max(a[axis][0], b[axis][0]),
    Math.min(a[axis][1], b[axis][1]),
  ];
  const [columns, rows] = [along('columns'), along('rows')];
  return columns[0] <= columns[1] && rows[0] <= rows[1] ? { columns, rows } : null;
}

/** A board's zones as rectangles in an area, in the board's order. */
export function zoneRects(
  board: ZoneBoard,
  area: Rect,
  gap: Record<Axis, number>,
  moved?: TrackWeights,
): Rect[] {
  const tracks = tracksOf(board, area, gap, moved);
  return board.zones.map((zone) => rangeRect(tracks, zone, area));
}

/** What a board is called for a person. */
export function zoneBoardName({ id, name }: Pick<ZoneBoard, 'id' | 'name'>): string {
  return name ?? id;
}
