import type { Rect } from '../geometry/rect.ts';
import type { Axis } from '../values/direction.ts';

/**
 * The largest rectangle of an area that keeps a gap from every window standing there; of several alike,
 * the one farthest up, then farthest left. Null where none is at least as large as wanted.
 *
 * The sides of such a rectangle lie on the area's or a gap beside a window's, so that every pair of left and
 * right sides is tried, and for each the longest stretch that no window reaches into.
 *
 * @param taken what stands there
 * @param least the sides it has at least, in pixels, each above 0
 */
export function largestEmpty(
  area: Rect,
  taken: readonly Rect[],
  gap: Record<Axis, number>,
  least: { width: number; height: number },
): Rect | null {
  const right = area.x + area.width;
  const bottom = area.y + area.height;
  const kept = taken
    .map(({ x, y, width, height }) => ({
      left: x - gap.x,
      right: x + width + gap.x,
      top: y - gap.y,
      bottom: y + height + gap.y,
    }))
    .filter(
      (box) => box.left < right && box.right > area.x && box.top < bottom && box.bottom > area.y,
    )
    .sort((a, b) => a.top - b.top);
  const lefts = [area.x, ...kept.map((box) => box.right)];
  const rights = [right, ...kept.map((box) => box.left)];
  let best: Rect | null = null;
  for (const from of new Set(lefts)) {
    for (const to of new Set(rights)) {
      const width = to - from;
      if (width < least.width) continue;
      const stretch = longestFree(
        area.y,
        bottom,
        kept.filter((box) => box.left < to && box.right > from),
      );
      const height = stretch.end - stretch.start;
      if (height < least.height) continue;
      const found: Rect = { x: from, y: stretch.start, width, height };
      if (!best || comesBefore(found, best)) best = found;
    }
  }
  return best;
}

/** @param boxes by where they begin */
function longestFree(
  from: number,
  to: number,
  boxes: readonly { top: number; bottom: number }[],
): { start: number; end: number } {
  let best = { start: from, end: from };
  let start = from;
  const tried = (end: number) => {
    if (end - start > best.end - best.start) best = { start, end };
  };
  for (const { top, bottom } of boxes) {
    tried(Math.min(top, to));
    start = Math.max(start, bottom);
  }
  tried(to);
  return best;
}

function comesBefore(a: Rect, b: Rect): boolean {
  return (
    (b.width * b.height - a.width * a.height || a.y - b.y || a.x - b.x || b.width - a.width) < 0
  );
}
