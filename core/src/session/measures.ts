import type { Axis, Rect } from '../geometry/rect.ts';
import { boundsOf, span } from '../geometry/rect.ts';
import type { LeadLayout } from '../profile/layout.ts';
import type { Arranged } from './arrange.ts';
import { rectOf } from '../tree/solve.ts';

/** A length to draw a dimension line for, in physical pixels of the joint desktop. */
export interface Measure {
  axis: Axis;
  from: number;
  to: number;
}

/** What of an arrangement is worth measuring on the sheet. */
export interface Measures {
  /** Lead and rest along the axis that divides them, with their shares. Null without such a division. */
  shares: { lead: Measure; rest: Measure; leadShare: number; restShare: number } | null;
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
    shares:
      tiling.layout.kind === 'lead' && tiles.length > tiling.layout.leadCount
        ? leadAndRest(tiling.layout, tiles)
        : null,
    innerGap: firstGap(tiles, arranged.gap.x, arranged.gap.y),
    outerGap: {
      x: (area.x + monitor.x) / 2,
      y: area.y + area.height / 2,
    },
  };
}

function leadAndRest(layout: LeadLayout, tiles: readonly Rect[]): NonNullable<Measures['shares']> {
  const axis: Axis = layout.side === 'left' || layout.side === 'right' ? 'x' : 'y';
  const over = (rects: readonly Rect[]): Measure => {
    const { start, end } = span(boundsOf(rects)!, axis);
    return { axis, from: start, to: end };
  };
  const lead = over(tiles.slice(0, layout.leadCount));
  const rest = over(tiles.slice(layout.leadCount));
  const total = lead.to - lead.from + rest.to - rest.from;
  return {
    lead,
    rest,
    leadShare: (lead.to - lead.from) / total,
    restShare: (rest.to - rest.from) / total,
  };
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
