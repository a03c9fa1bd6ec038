import type { Axis, Rect } from '../geometry/rect.ts';
import { boundsOf, span } from '../geometry/rect.ts';
import type { Layout } from '../profile/layout.ts';
import type { Arranged } from './arrange.ts';
import { rectOf } from '../tree/solve.ts';

/** A length to draw a dimension line for, in physical pixels of the joint desktop. */
export interface Measure {
  axis: Axis;
  from: number;
  to: number;
}

/** A part of a length that lead and rest share. */
export interface SharePart extends Measure {
  isLead: boolean;
}

/** What of an arrangement is worth measuring on the sheet. */
export interface Measures {
  /** Lead and rest along the axis that divides them, in order. Null without such a division. */
  shares: { axis: Axis; parts: SharePart[] } | null;
  /** The middle of a gap between two tiles; null while there is none. */
  innerGap: { x: number; y: number } | null;
  /** A point in the middle of the outer gap's left side. */
  outerGap: { x: number; y: number };
}

/** Measures a workspace on a monitor as it is divided. */
export function measure(arranged: Arranged): Measures {
  const { area, solved, tiling, tiled, monitor } = arranged;
  const tiles = solved ? tiled.map((_, i) => rectOf(solved.rects, solved.flat.leafNodes[i]!)) : [];
  return {
    shares: leadAndRest(tiling.layout, tiles),
    innerGap: firstGap(tiles, arranged.gap.x, arranged.gap.y),
    outerGap: {
      x: (area.x + monitor.x) / 2,
      y: area.y + area.height / 2,
    },
  };
}

function leadAndRest(layout: Layout, tiles: readonly Rect[]): Measures['shares'] {
  if (!('leadCount' in layout) || tiles.length <= layout.leadCount) return null;
  const axis: Axis =
    layout.kind === 'middle'
      ? layout.axis
      : layout.side === 'left' || layout.side === 'right'
        ? 'x'
        : 'y';
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

/** The middle of the gap between the first tile and one beside or under it. */
function firstGap(tiles: readonly Rect[], gapX: number, gapY: number) {
  const first = tiles[0];
  if (!first) return null;
  const right = first.x + first.width;
  const bottom = first.y + first.height;
  for (const tile of tiles.slice(1)) {
    if (tile.x === right + gapX && tile.y < bottom && tile.y + tile.height > first.y) {
      return { x: right + gapX / 2, y: first.y + first.height * 0.72 };
    }
    if (tile.y === bottom + gapY && tile.x < right && tile.x + tile.width > first.x) {
      return { x: first.x + first.width * 0.72, y: bottom + gapY / 2 };
    }
  }
  return null;
}
