import type { Axis } from '../geometry/rect.ts';
import { shareValue, type Along, type Fraction } from '../profile/placing.ts';
import { placingText, shareText, type PlacedBy } from './along.ts';

/** What is said with place-at. */
export interface PlaceAt {
  x?: Along;
  y?: Along;
  /** Along the longer side of the work area, in place of x and y. */
  long?: Along;
  /** Shares that further presses step through. */
  ladder?: readonly Fraction[];
}

/**
 * The places that presses of one key step through, the first one first: what is said itself, then the same with
 * each share of its ladder along the axis that is not full, or along the longer one where neither is.
 *
 * @param longer the longer side of the work area
 */
export function placesOf({ x, y, long, ladder = [] }: PlaceAt, longer: Axis): PlacedBy[] {
  const first: PlacedBy = long
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

/** What a place-at says, in words: "left 1/2, upper 1/2, then 1/3". */
export function placeAtText({ x = 'full', y = 'full', long, ladder = [] }: PlaceAt): string {
  const where = long === undefined ? placingText({ x, y }) : alongLongerText(long);
  return [where, ...(ladder.length > 0 ? [`then ${ladder.map(shareText).join(', ')}`] : [])].join(
    ', ',
  );
}

/** Where along the longer side, in words. */
export function alongLongerText(long: Along): string {
  if (long === 'full') return placingText({ x: 'full', y: 'full' });
  if ('from' in long) return `parts ${long.from} to ${long.to} of ${long.of} of the longer side`;
  const [[of, share] = ['', '']] = Object.entries(long) as [string, Fraction][];
  const names: Record<string, string> = { start: 'first', middle: 'middle', end: 'last' };
  return `${names[of]} ${shareText(share)} of the longer side`;
}
