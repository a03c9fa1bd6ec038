import type { Edges, Rect } from '../geometry/rect.ts';
import { toPixels } from '../geometry/round.ts';
import type { Axis } from '../values/direction.ts';
import type { DeskMonitor } from './monitors.ts';

const NO_EDGES: Edges = { top: 0, right: 0, bottom: 0, left: 0 };

/** What had to be left out of a monitor along an axis so that a pixel is left for windows. */
export interface Dropped {
  axis: Axis;
  what: 'outer-gap' | 'reserved';
}

export interface WorkArea {
  /** The monitor less its reserved edges and the outer gap, at least 1 × 1. */
  area: Rect;
  dropped: Dropped[];
}

/**
 * A monitor's work area less an outer gap. If less than a pixel is left along an axis, the outer gaps
 * are dropped there, then the reserved edges.
 *
 * @param outer logical pixels
 */
export function workArea(monitor: DeskMonitor, outer: Edges = NO_EDGES): WorkArea {
  // Asked for by every window that stands somewhere, and by every workspace that is tiled.
  const newest = outer === NO_EDGES ? whole : lessGaps;
  const known = newest.get(monitor);
  if (known?.outer === outer) return known.found;
  const found = inset(monitor, outer);
  newest.set(monitor, { outer, found });
  return found;
}

interface Known {
  outer: Edges;
  found: WorkArea;
}
const whole = new WeakMap<DeskMonitor, Known>();
const lessGaps = new WeakMap<DeskMonitor, Known>();

function inset(monitor: DeskMonitor, outer: Edges): WorkArea {
  const dropped: Dropped[] = [];
  const along = (
    axis: Axis,
    start: number,
    length: number,
    before: keyof Edges,
    after: keyof Edges,
  ) => {
    const px = (edges: Edges, edge: keyof Edges) => toPixels(edges[edge], monitor.scale);
    const less = (before_: number, after_: number) => ({
      start: start + before_,
      length: length - before_ - after_,
    });
    const reserved = [px(monitor.reserved, before), px(monitor.reserved, after)] as const;
    const all = less(reserved[0] + px(outer, before), reserved[1] + px(outer, after));
    if (all.length >= 1) return all;
    if (px(outer, before) + px(outer, after) > 0) dropped.push({ axis, what: 'outer-gap' });
    const bare = less(...reserved);
    if (bare.length >= 1) return bare;
    dropped.push({ axis, what: 'reserved' });
    return { start, length };
  };
  const x = along('x', monitor.x, monitor.width, 'left', 'right');
  const y = along('y', monitor.y, monitor.height, 'top', 'bottom');
  return { area: { x: x.start, y: y.start, width: x.length, height: y.length }, dropped };
}
