import { leadAxisOf } from '../tiling/layouts.ts';
import type { Measure } from '../geometry/measure.ts';
import { type Rect, boundsOf, span } from '../geometry/rect.ts';
import { rectOf } from '../tiling/solve.ts';
import type { Direction, Axis } from '../values/direction.ts';
import type { Layout } from '../values/layout.ts';
import type { ArrangedWorkspace } from './arranged-workspace.ts';

/** A part of a length that lead and rest share. */
interface SharePart extends Measure {
  isLead: boolean;
}

/** A point in a gap, and the direction from there into the first tile, which has room for a figure. */
export interface GapMark {
  x: number;
  y: number;
  into: Direction;
}

/** A share that the lead was given and does not have. */
export interface MissedShare {
  /** What it has, as a share. */
  drawn: number;
  /** The windows that can be no smaller, by id. */
  smallest: readonly string[];
}

/** What of an arrangement is worth measuring on the sheet. */
export interface Measures {
  /** Lead and rest along the axis that divides them, in order. Null without such a division. */
  shares: { axis: Axis; parts: SharePart[] } | null;
  /** Null where the lead is as large as its share asks for, or nothing is shared so. */
  missed: MissedShare | null;
  /** Physical pixels that a share of 1 stands for, so that pixels can be typed for it; null where none are. */
  shareLength: number | null;
  /** A point in the gap between the first tile and another; null while there is none. */
  innerGap: GapMark | null;
  /** A point in the outer gap beside the first tile. */
  outerGap: GapMark;
}

/** Measures a workspace on a monitor as it is divided. */
export function measure(arranged: ArrangedWorkspace): Measures {
  const { area, solved, tiling, tiled, monitor } = arranged;
  const inZones = (arranged.zoned && arranged.tiles) ?? [];
  const tiles = solved
    ? tiled.map((_, i) => rectOf(solved.rects, solved.flat.leafNodes[i]!))
    : inZones;
  const shares = leadAndRest(tiling.layout, tiles);
  return {
    shares,
    missed: shares && missedShare(arranged, tiles, shares),
    shareLength: shareLength(arranged, shares),
    innerGap: firstGap(tiles, arranged.gap.x, arranged.gap.y),
    outerGap: besideFirst(area, monitor, tiles[0] ?? area),
  };
}

const partLength = ({ from, to }: Measure) => to - from;

/** The parts of lead and rest together; before there is a rest, the area less the gaps that there would be. */
function shareLength({ tiling, area, gap }: ArrangedWorkspace, shares: Measures['shares']) {
  const { layout } = tiling;
  if (shares) return shares.parts.reduce((sum, part) => sum + partLength(part), 0);
  const along = (axis: Axis, gaps: number) => {
    const { start, end } = span(area, axis);
    return Math.max(1, end - start - gaps * gap[axis]);
  };
  if ('leadShare' in layout) return along(leadAxisOf(layout), layout.kind === 'middle' ? 2 : 1);
  if (layout.kind === 'halving') {
    const longer: Axis = area.width >= area.height ? 'x' : 'y';
    return along(layout.firstAxis === 'long' ? longer : layout.firstAxis, 1);
  }
  return layout.kind === 'cascade' ? area.width : null;
}

function missedShare(
  { tiling, tiled, minimums }: ArrangedWorkspace,
  tiles: readonly Rect[],
  { axis, parts }: NonNullable<Measures['shares']>,
): MissedShare | null {
  const { layout } = tiling;
  const lead = parts.find(({ isLead }) => isLead);
  if (!('leadShare' in layout) || !lead) return null;
  const total = parts.reduce((sum, part) => sum + partLength(part), 0);
  // One pixel comes of rounding, for each edge of it.
  if (Math.abs(partLength(lead) - layout.leadShare * total) < parts.length) return null;
  const side = axis === 'x' ? 'width' : 'height';
  const smallest = tiled
    .filter((_, i) => (minimums[i]?.[side] ?? 1) > 1 && tiles[i]?.[side] === minimums[i]?.[side])
    .map(({ id }) => id);
  return { drawn: partLength(lead) / total, smallest };
}

function leadAndRest(layout: Layout, tiles: readonly Rect[]): Measures['shares'] {
  if (!('leadCount' in layout) || tiles.length <= layout.leadCount) return null;
  const axis = leadAxisOf(layout);
  const part = (rects: readonly Rect[], isLead: boolean): SharePart[] => {
    const bounds = boundsOf(rects);
    if (!bounds) return [];
    const { start, end } = span(bounds, axis);
    return [{ axis, from: start, to: end, isLead }];
  };
  const lead = part(tiles.slice(0, layout.leadCount), true);
  const rest = tiles.slice(layout.leadCount);
  const isBefore = (tile: Rect) => span(tile, axis).end <= lead[0]!.from;
  const before = part(rest.filter(isBefore), false);
  const after = part(
    rest.filter((tile) => !isBefore(tile)),
    false,
  );
  return { axis, parts: [...before, ...lead, ...after] };
}

/** Left of the first tile where that stands at the area's left, else right of it. */
function besideFirst(area: Rect, monitor: Rect, first: Rect): GapMark {
  const y = first.y + first.height / 2;
  if (first.x === area.x) return { x: (area.x + monitor.x) / 2, y, into: 'right' };
  const right = area.x + area.width;
  return { x: (right + monitor.x + monitor.width) / 2, y, into: 'left' };
}

/** How far along an edge of the first tile its gap is marked: past the middle, clear of its title. */
const ALONG = 0.6;

/** A point in the gap between the first tile and whichever stands right of it, under, left or over it. */
function firstGap(tiles: readonly Rect[], gapX: number, gapY: number): GapMark | null {
  const first = tiles[0];
  if (!first) return null;
  const { x, y, width, height } = first;
  const isBeside = (tile: Rect) => tile.y < y + height && tile.y + tile.height > y;
  const isInLine = (tile: Rect) => tile.x < x + width && tile.x + tile.width > x;
  for (const tile of tiles.slice(1)) {
    if (isBeside(tile)) {
      const at = y + height * ALONG;
      if (tile.x === x + width + gapX) return { x: x + width + gapX / 2, y: at, into: 'left' };
      if (tile.x + tile.width === x - gapX) return { x: x - gapX / 2, y: at, into: 'right' };
    }
    if (isInLine(tile)) {
      const at = x + width * ALONG;
      if (tile.y === y + height + gapY) return { x: at, y: y + height + gapY / 2, into: 'up' };
      if (tile.y + tile.height === y - gapY) return { x: at, y: y - gapY / 2, into: 'down' };
    }
  }
  return null;
}
