import type { Axis } from './direction.ts';
import type { Along, Fraction } from './snap.ts';
/** The arguments of place-at. */
export interface SnapTarget {
  x?: Along;
  y?: Along;
  /** Along the longer side of the work area, in place of x and y. */
  long?: Along;
  /** Shares that further presses step through. */
  ladder?: readonly Fraction[];
}

/** What a place-at says, in words: "left 1/2, upper 1/2, then 1/3". */
export function snapTargetText({ x = 'full', y = 'full', long, ladder = [] }: SnapTarget): string {
  const where = long === undefined ? snapText({ x, y }) : alongLongerText(long);
  return [where, ...(ladder.length > 0 ? [`then ${ladder.map(shareText).join(', ')}`] : [])].join(
    ', ',
  );
}

/** Where along the longer side, in words. */
function alongLongerText(long: Along): string {
  if (long === 'full') return snapText({ x: 'full', y: 'full' });
  if ('from' in long) return `parts ${long.from} to ${long.to} of ${long.of} of the longer side`;
  const [[of, share] = ['', '']] = Object.entries(long) as [string, Fraction][];
  const names: Record<string, string> = { start: 'first', middle: 'middle', end: 'last' };
  return `${names[of]} ${shareText(share)} of the longer side`;
}

/** Where a window is placed, axis by axis. */
export interface SnapText {
  x: Along;
  y: Along;
}

/** What a placing along an axis is called: "first 1/3", "middle 1/2", "columns 2 to 4 of 8". */
function alongText(along: Exclude<Along, 'full'>, axis: Axis): string {
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
export function snapText({ x, y }: SnapText): string {
  const parts = [
    ...(x === 'full' ? [] : [alongText(x, 'x')]),
    ...(y === 'full' ? [] : [alongText(y, 'y')]),
  ];
  return parts.length > 0 ? parts.join(', ') : 'the whole work area';
}
