import { round } from './round.ts';

/** One part of a shared length: where it begins and how long it is, in pixels. */
export interface Part {
  start: number;
  size: number;
}

/**
 * The gap that is left when the full one would leave less than a pixel for each part.
 * @param length whole pixels to share
 * @param parts how many share it, at least 1
 */
export function gapThatFits(length: number, parts: number, gap: number): number {
  if (length - gap * (parts - 1) >= parts) return gap;
  return Math.max(0, Math.floor((length - parts) / (parts - 1)));
}

/**
 * Real (unrounded) sizes of the parts of a length. Every part whose proportional share of what is left
 * falls under its minimum is fixed at its minimum, all such parts at once; the rest is shared again
 * among the others, until none falls under.
 *
 * Needs Σ minimums ≤ available. Reads and writes `count` entries: weights and minimums from `from`,
 * sizes from 0.
 */
function fillSizes(
  available: number,
  weights: readonly number[],
  minimums: readonly number[] | null,
  from: number,
  count: number,
  sizes: number[],
): void {
  const UNDECIDED = -1;
  for (let i = 0; i < count; i++) sizes[i] = UNDECIDED;
  let left = available;
  let weightLeft = 0;
  for (let again = true; again;) {
    again = false;
    weightLeft = 0;
    for (let i = 0; i < count; i++) {
      if (sizes[i] === UNDECIDED) weightLeft += weights[from + i]!;
    }
    let taken = 0;
    for (let i = 0; i < count; i++) {
      if (sizes[i] !== UNDECIDED) continue;
      const minimum = minimums ? minimums[from + i]! : 1;
      const share = weightLeft > 0 ? (left * weights[from + i]!) / weightLeft : 0;
      if (share < minimum) {
        sizes[i] = minimum;
        taken += minimum;
        again = true;
      }
    }
    left -= taken;
  }
  for (let i = 0; i < count; i++) {
    if (sizes[i] === UNDECIDED) sizes[i] = (left * weights[from + i]!) / weightLeft;
  }
}

/**
 * Shares a length among parts in proportion to their weights, none under its minimum while the
 * minimums fit, with a gap between neighbours. Parts and gaps cover the length exactly.
 *
 * When the minimums do not fit together they are ignored. When there are more parts than pixels, each
 * part is one pixel, for no size is ever under 1, and those over lie where the last pixel is.
 *
 * @param length whole pixels, at least 1
 * @param weights one per part, ≥ 0 and not all 0
 * @param minimums whole pixels ≥ 1, one per part
 */
export function shareLength(
  length: number,
  weights: readonly number[],
  minimums: readonly number[],
  gap: number,
): Part[] {
  const count = weights.length;
  const room: ShareRoom = { starts: [], ends: [], sizes: [] };
  shareInto(length, gap, weights, minimums, 0, count, room);
  const { starts, ends } = room;
  return Array.from({ length: count }, (_, i) => ({
    start: starts[i]!,
    size: ends[i]! - starts[i]!,
  }));
}

/** Room for the work of `shareInto`, kept between calls so that a solver allocates nothing. */
export interface ShareRoom {
  starts: number[];
  ends: number[];
  sizes: number[];
}

/** `shareLength` over a slice of arrays: writes where each part starts and ends into the room's entries 0 … count − 1. */
export function shareInto(
  length: number,
  fullGap: number,
  weights: readonly number[],
  minimums: readonly number[],
  from: number,
  count: number,
  room: ShareRoom,
): void {
  const { starts, ends, sizes } = room;
  const gap = gapThatFits(length, count, fullGap);
  const available = length - gap * (count - 1);
  if (available < count) {
    for (let i = 0; i < count; i++) {
      starts[i] = Math.min(i, length - 1);
      ends[i] = starts[i]! + 1;
    }
    return;
  }
  let needed = 0;
  for (let i = 0; i < count; i++) needed += minimums[from + i]!;
  fillSizes(available, weights, needed <= available ? minimums : null, from, count, sizes);

  let sum = 0;
  let start = 0;
  for (let i = 0; i < count; i++) {
    sum += sizes[i]!;
    starts[i] = start + i * gap;
    start = i === count - 1 ? available : round(sum);
    ends[i] = start + i * gap;
  }
}
