import type { LinkRect } from '@sorn/link';

/** What a dock keeps free at one edge of the whole desktop (EWMH _NET_WM_STRUT_PARTIAL), in pixels. */
export interface Strut {
  edge: 'left' | 'right' | 'top' | 'bottom';
  /** How far it reaches in from the edge. */
  depth: number;
  /** From where to where along the edge, both within. */
  from: number;
  to: number;
}
export interface Reserved {
  top: number;
  right: number;
  bottom: number;
  left: number;
}

const EDGES = ['left', 'right', 'top', 'bottom'] as const;

/** Reads _NET_WM_STRUT_PARTIAL (twelve numbers), or _NET_WM_STRUT (four: along the whole edge). */
export function readStruts(told: readonly number[]): Strut[] {
  if (told.length < 4) return [];
  return EDGES.flatMap((edge, i) => {
    const depth = told[i]!;
    const [from, to] =
      told.length >= 12 ? [told[4 + 2 * i]!, told[5 + 2 * i]!] : [0, Number.MAX_SAFE_INTEGER];
    return depth > 0 && to >= from ? [{ edge, depth, from, to }] : [];
  });
}

/**
 * What docks keep of a monitor: a strut is counted from the edge of the whole desktop, so of a monitor that lies further
 * in only what reaches over it counts, and nothing where the dock would have it whole.
 *
 * @param desktop the size of the whole desktop
 */
export function reservedOf(
  monitor: LinkRect,
  struts: readonly Strut[],
  desktop: { width: number; height: number },
): Reserved {
  const reserved: Reserved = { top: 0, right: 0, bottom: 0, left: 0 };
  const right = monitor.x + monitor.width;
  const bottom = monitor.y + monitor.height;
  for (const { edge, depth, from, to } of struts) {
    const isUpright = edge === 'left' || edge === 'right';
    const [begin, end] = isUpright ? [monitor.y, bottom] : [monitor.x, right];
    if (to < begin || from >= end) continue;
    const over = {
      left: depth - monitor.x,
      top: depth - monitor.y,
      right: depth - (desktop.width - right),
      bottom: depth - (desktop.height - bottom),
    }[edge];
    const whole = isUpright ? monitor.width : monitor.height;
    if (over > 0 && over < whole) reserved[edge] = Math.max(reserved[edge], over);
  }
  return reserved;
}
