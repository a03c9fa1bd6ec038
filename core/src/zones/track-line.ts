import { span, type Rect, type Size } from '../geometry/rect.ts';
import { type CellRange, type Tracks, existingRange } from '../tiling/zone-board.ts';
import { weightsOf } from '../tiling/tree.ts';
import { isForward, axisOf, type Direction, type Axis } from '../values/direction.ts';
import type { ZoneDivision } from './division.ts';

/** A line between two tracks moved: the tracks' weights from now on, and how far it really went. */
export interface MovedLine {
  axis: Axis;
  weights: number[];
  /** Whole pixels outwards of the window whose edge it is; below 0 inwards. */
  pixels: number;
}

function tracksAlong(tracks: Tracks, axis: Axis) {
  return axis === 'x' ? tracks.columns : tracks.rows;
}

function along(range: CellRange, axis: Axis): readonly [number, number] {
  return axis === 'x' ? range.columns : range.rows;
}

/**
 * Moves the track line at a zoned window's edge, and with it every zone that begins or ends there. Only the
 * two tracks beside it change; no window goes below the smaller of its minimum and its present size.
 *
 * @param position the window whose edge moves
 * @param tiles the windows' tiles, with their minimums
 * @param step pixels outwards; below 0 inwards
 * @returns null when the edge is the board's
 */
export function moveTrackLine(
  zoned: ZoneDivision,
  position: number,
  direction: Direction,
  step: number,
  tiles: readonly Rect[],
  minimums: readonly Size[],
): MovedLine | null {
  const axis = axisOf(direction);
  const tracks = tracksAlong(zoned.tracks, axis);
  const [first, last] = along(existingRange(zoned.board, zoned.seats[position]!.zones), axis);
  // Counted from 1: the line after this track.
  const line = isForward(direction) ? last : first - 1;
  if (line < 1 || line >= tracks.length) return null;
  const outwards = isForward(direction) ? 1 : -1;
  const spareBefore = tracks[line - 1]!.size - 1;
  const spareAfter = tracks[line]!.size - 1;
  let least = -spareBefore;
  let most = spareAfter;
  zoned.seats.forEach(({ zones }, i) => {
    const [from, to] = along(existingRange(zoned.board, zones), axis);
    const slack = slackOf(zoned, i, axis, tiles, minimums);
    if (to === line) least = Math.max(least, -slack);
    if (from === line + 1) most = Math.min(most, slack);
  });
  const by = Math.max(least, Math.min(most, outwards * step));
  const sizes = tracks.map(({ size }) => size);
  sizes[line - 1] = sizes[line - 1]! + by;
  sizes[line] = sizes[line]! - by;
  return { axis, weights: weightsOf(sizes), pixels: by === 0 ? 0 : outwards * by };
}

/** By how much a window's zone can be less long: those that share it along the axis give way together. */
function slackOf(
  { shared }: ZoneDivision,
  position: number,
  axis: Axis,
  tiles: readonly Rect[],
  minimums: readonly Size[],
): number {
  const least = (at: number) => minimums[at]![axis === 'x' ? 'width' : 'height'];
  const has = (at: number) => span(tiles[at]!, axis).length;
  const group = shared.find(({ members, axis: by }) => by === axis && members.includes(position));
  if (!group) return Math.max(0, has(position) - least(position));
  if (group.members.some((at) => has(at) < least(at))) return 0;
  return group.members.reduce((sum, at) => sum + has(at) - least(at), 0);
}
