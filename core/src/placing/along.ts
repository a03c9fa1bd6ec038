import type { Axis, Rect } from '../geometry/rect.ts';
import { gapThatFits } from '../geometry/length.ts';
import { round } from '../geometry/round.ts';
import { shareValue, type Along } from '../profile/placing.ts';

/** Where a window is placed, axis by axis. */
export interface PlacedBy {
  x: Along;
  y: Along;
}

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
export function placedRect(area: Rect, gap: Record<Axis, number>, { x, y }: PlacedBy): Rect {
  const across = alongLength(area.width, gap.x, x);
  const down = alongLength(area.height, gap.y, y);
  return {
    x: area.x + across.start,
    y: area.y + down.start,
    width: across.end - across.start,
    height: down.end - down.start,
  };
}

/** What a placing along an axis is called: "first 1/3", "middle 1/2", "columns 2 to 4 of 8". */
export function alongText(along: Along, axis: Axis): string {
  if (along === 'full') return axis === 'x' ? 'full width' : 'full height';
  const side = (start: string, end: string) => (axis === 'x' ? start : end);
  if ('start' in along) return `${side('left', 'upper')} ${shareText(along.start)}`;
  if ('end' in along) return `${side('right', 'lower')} ${shareText(along.end)}`;
  if ('middle' in along)
    return `${side('middle', 'middle')} ${shareText(along.middle)}${side('', ' of the height')}`;
  return `${side('columns', 'rows')} ${along.from} to ${along.to} of ${along.of}`;
}

export function shareText(share: number | string): string {
  return typeof share === 'string' ? share : String(Number(share.toFixed(3)));
}

/** Both axes in words: "left 1/2, upper 1/3"; a full one beside another is left out. */
export function placingText({ x, y }: PlacedBy): string {
  const parts = [
    ...(x === 'full' ? [] : [alongText(x, 'x')]),
    ...(y === 'full' ? [] : [alongText(y, 'y')]),
  ];
  return parts.length > 0 ? parts.join(', ') : 'the whole work area';
}
