import type { Axis } from '../values/direction.ts';
import { type SnapText, type SnapTarget } from '../values/snap-text.ts';
import { shareValue, type Along, type Fraction } from '../values/snap.ts';

/**
 * The places that presses of one key step through, the first one first: what is said itself, then the same with
 * each share of its ladder along the axis that is not full, or along the longer one where neither is.
 *
 * @param longer the longer side of the work area
 */
export function snapPositions({ x, y, long, ladder = [] }: SnapTarget, longer: Axis): SnapText[] {
  const first: SnapText = long
    ? { x: 'full', y: 'full', [longer]: long }
    : { x: x ?? 'full', y: y ?? 'full' };
  const isCorner = first.x !== 'full' && first.y !== 'full';
  const axis: Axis = isCorner ? longer : first.x === 'full' ? 'y' : 'x';
  return [first, ...ladder.map((share) => ({ ...first, [axis]: withShare(first[axis], share) }))];
}

/** The same side with another share; cells and the full length have none. */
function withShare(along: Along, share: Fraction): Along {
  if (along === 'full' || 'from' in along) return along;
  if ('start' in along) return { start: share };
  return 'end' in along ? { end: share } : { middle: share };
}

/** True where two placings along an axis are the same, however their shares are written. */
export function isSameAlong(one: Along, other: Along): boolean {
  return signOf(one) === signOf(other);
}

function signOf(along: Along): string {
  if (along === 'full') return along;
  return Object.entries(along)
    .map(([of, value]) => `${of} ${shareValue(value as Fraction)}`)
    .join(' ');
}
