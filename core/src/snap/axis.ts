import type { SnapText } from '../values/snap-text.ts';
import { gapThatFits } from '../geometry/length.ts';
import type { Rect } from '../geometry/rect.ts';
import { round } from '../geometry/round.ts';
import type { Axis } from '../values/direction.ts';
import { shareValue, type Along } from '../values/snap.ts';

/**
 * The part of a length that a placed window takes. Parts that make up the whole meet with exactly one
 * gap: with L the length and g the gap, a share k begins or ends at a whole part of L + g.
 *
 * @param length whole pixels, at least 1
 * @returns where it starts and ends, at least 1 px apart
 */
export function alongLength(
  length: number,
  gap: number,
  along: Along,
): { start: number; end: number } {
  if (along === 'full') return { start: 0, end: length };
  const at = (share: number) => round(share * (length + gap));
  const between = (from: number, to: number) => {
    const start = Math.min(Math.max(0, from), length - 1);
    return { start, end: Math.min(length, Math.max(start + 1, to)) };
  };
  if ('start' in along) return between(0, at(shareValue(along.start)) - gap);
  if ('end' in along) return between(at(1 - shareValue(along.end)), length);
  if ('middle' in along) {
    const share = shareValue(along.middle);
    return between(at((1 - share) / 2), at((1 + share) / 2) - gap);
  }
  const { from, to, of } = along;
  const fitting = gapThatFits(length, of, gap);
  const cell = (count: number) => round((count / of) * (length + fitting));
  return between(cell(from - 1), to === of ? length : cell(to) - fitting);
}

/** The rectangle a placed window takes of an area. */
export function snappedRect(area: Rect, gap: Record<Axis, number>, { x, y }: SnapText): Rect {
  const across = alongLength(area.width, gap.x, x);
  const down = alongLength(area.height, gap.y, y);
  return {
    x: area.x + across.start,
    y: area.y + down.start,
    width: across.end - across.start,
    height: down.end - down.start,
  };
}
