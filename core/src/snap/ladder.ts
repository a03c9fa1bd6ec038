import { shareValue, type Along, type Fraction, type SnapSettings } from '../values/snap.ts';

/** The side of an axis that a placing key is for; the middle has no opposite. */
export type SnapSide = 'start' | 'middle' | 'end';

/** What a placing key comes to: another placing along its axis, the monitor on that side, or where the window was. */
export type Rung = { along: Along } | { to: 'monitor' | 'before' };

/**
 * What a key does along an axis. From full, from the middle and from anything else it is the ladder's first
 * rung on that side. On that side already, `onRepeat` decides; from the other side, `onOpposite` does. The
 * middle has neither another side nor a monitor: there, the next rung follows, and after the last one full.
 */
export function nextRung(
  now: Along,
  side: SnapSide,
  ladder: readonly Fraction[],
  { onRepeat, onOpposite }: Pick<SnapSettings, 'onRepeat' | 'onOpposite'>,
): Rung {
  const first = { along: onSide(side, ladder[0]!) };
  const here = shareOn(now, side);
  if (here !== null) {
    if (onRepeat === 'next-monitor' && side !== 'middle') return { to: 'monitor' };
    if (onRepeat === 'other-side' && side !== 'middle')
      return { along: onSide(opposite(side), ladder[0]!) };
    // A share that is on no rung, set by place-at, steps on to the first.
    const at = ladder.findIndex((rung) => shareValue(rung) === here);
    const next = ladder[at + 1];
    if (next !== undefined) return { along: onSide(side, next) };
    return onRepeat === 'round' ? { to: 'before' } : { along: 'full' };
  }
  if (side === 'middle' || shareOn(now, opposite(side)) === null) return first;
  if (onOpposite === 'put-back') return { to: 'before' };
  return onOpposite === 'full' ? { along: 'full' } : first;
}

function opposite(side: 'start' | 'end'): SnapSide {
  return side === 'start' ? 'end' : 'start';
}

export function onSide(side: SnapSide, share: Fraction): Along {
  if (side === 'start') return { start: share };
  return side === 'end' ? { end: share } : { middle: share };
}

/** The share that is taken on a side; null when it is not there. */
function shareOn(along: Along, side: SnapSide): number | null {
  if (along === 'full') return null;
  const share = (along as Partial<Record<SnapSide, Fraction>>)[side];
  return share === undefined ? null : shareValue(share);
}
