import type { Placement } from '../engine/placement.ts';

/**
 * How far windows moved, in physical pixels: the ways of the centres of those that are in sight before and after, added
 * up.
 */
export function movedPixels(before: readonly Placement[], after: readonly Placement[]): number {
  const was = new Map(before.map((placement) => [placement.id, placement]));
  return after.reduce((sum, placement) => {
    const then = was.get(placement.id);
    if (!then?.shown || !placement.shown) return sum;
    const x = placement.x + placement.width / 2 - then.x - then.width / 2;
    const y = placement.y + placement.height / 2 - then.y - then.height / 2;
    return sum + Math.hypot(x, y);
  }, 0);
}
