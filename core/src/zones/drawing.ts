import type { Part } from '../geometry/length.ts';
import type { Measure } from '../geometry/measure.ts';
import type { Rect } from '../geometry/rect.ts';
import type { ZoneBoard } from '../model/zone-board.ts';
import {
  commonCells,
  rangeRect,
  tracksOf,
  type CellRange,
  type Tracks,
} from '../tiling/zone-board.ts';
import type { Axis } from '../values/direction.ts';

/** A line between two tracks: it lies in the middle of the gap after a track, counted from 1. */
export interface TrackLine {
  axis: Axis;
  track: number;
  /** Where it lies along the axis, and from where to where it reaches across it, in desk pixels. */
  at: number;
  from: number;
  to: number;
}

/** A column or row with its weight, and what a dimension line for it measures. */
interface MeasuredTrack {
  axis: Axis;
  /** Counted from 1. */
  track: number;
  weight: number;
  measure: Measure;
}

/** A board as it lies on a work area, in physical pixels of the joint desktop. */
export interface DrawnZoneBoard {
  board: ZoneBoard;
  area: Rect;
  gap: Record<Axis, number>;
  tracks: Tracks;
  /** In the board's order. */
  zones: Rect[];
  /** Cells that several zones cover, each once. */
  overlaps: Rect[];
  lines: TrackLine[];
  /** Columns, then rows. */
  measured: MeasuredTrack[];
}

/** Lays a board out on what placing has of a monitor. */
export function drawZoneBoard(
  board: ZoneBoard,
  { area, gap }: { area: Rect; gap: Record<Axis, number> },
): DrawnZoneBoard {
  const tracks = tracksOf(board, area, gap);
  const linesOf = (axis: Axis, parts: readonly Part[]): TrackLine[] =>
    parts.slice(0, -1).map(({ start, size }, i) => ({
      axis,
      track: i + 1,
      at: area[axis] + (start + size + parts[i + 1]!.start) / 2,
      from: axis === 'x' ? area.y : area.x,
      to: axis === 'x' ? area.y + area.height : area.x + area.width,
    }));
  const measuredOf = (axis: Axis, parts: readonly Part[], weights: readonly number[]) =>
    parts.map(({ start, size }, i): MeasuredTrack => {
      const from = area[axis] + start;
      return { axis, track: i + 1, weight: weights[i]!, measure: { axis, from, to: from + size } };
    });
  return {
    board,
    area,
    gap,
    tracks,
    zones: board.zones.map((zone) => rangeRect(tracks, zone, area)),
    overlaps: overlapsOf(board).map((range) => rangeRect(tracks, range, area)),
    lines: [...linesOf('x', tracks.columns), ...linesOf('y', tracks.rows)],
    measured: [
      ...measuredOf('x', tracks.columns, board.columns),
      ...measuredOf('y', tracks.rows, board.rows),
    ],
  };
}

function overlapsOf({ zones }: ZoneBoard): CellRange[] {
  const found = new Map<string, CellRange>();
  zones.forEach((zone, i) => {
    for (const other of zones.slice(i + 1)) {
      const common = commonCells(zone, other);
      if (common) found.set([...common.columns, ...common.rows].join(' '), common);
    }
  });
  return [...found.values()];
}

/** The cell a point lies in, or nearest to it. */
export function cellAt(
  { tracks, area }: DrawnZoneBoard,
  point: { x: number; y: number },
): { column: number; row: number } {
  const nearest = (parts: readonly Part[], at: number) => {
    const away = ({ start, size }: Part) => Math.max(start - at, at - start - size, 0);
    return parts.reduce((best, part, i) => (away(part) < away(parts[best]!) ? i : best), 0) + 1;
  };
  return {
    column: nearest(tracks.columns, point.x - area.x),
    row: nearest(tracks.rows, point.y - area.y),
  };
}

/** The range of cells from one to another, whichever comes first. */
export function cellsBetween(
  a: { column: number; row: number },
  b: { column: number; row: number },
): { columns: [number, number]; rows: [number, number] } {
  return {
    columns: [Math.min(a.column, b.column), Math.max(a.column, b.column)],
    rows: [Math.min(a.row, b.row), Math.max(a.row, b.row)],
  };
}

/** The uppermost zone over a cell: the last in the order. */
export function zoneOver(
  { zones }: ZoneBoard,
  cell: { column: number; row: number },
): string | null {
  const range = cellsBetween(cell, cell);
  return zones.findLast((zone) => commonCells(zone, range))?.name ?? null;
}

/** The line that a key in a direction moves: the one on that side of a range, else on its other side. */
export function lineBeside(board: ZoneBoard, range: CellRange, axis: Axis): number | null {
  const across = axis === 'x' ? 'columns' : 'rows';
  const [first, last] = range[across];
  if (last < board[across].length) return last;
  return first > 1 ? first - 1 : null;
}
