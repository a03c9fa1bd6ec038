import { shareValue, type Along, type Fraction, type PlacingSettings } from '../profile/placing.ts';

/** The side of an axis that a placing key is for; the middle has no opposite. */
export type PlacingSide = 'start' | 'middle' | 'end';

/** What a placing key comes to on its axis: another placing, or the monitor on that side. */
export type Rung = { along: Along } | { leaves: true };

/**
 * What a key does along an axis. From full, from the middle and from anything else it is the ladder's first
 * rung on that side; on that side already, the next rung, and after the last one full, or the neighbouring
 * monitor; from the other side full, or the first rung.
 */
export function nextRung(
  now: Along,
  side: PlacingSide,
  ladder: readonly Fraction[],
  { onRepeat, onOpposite }: Pick<PlacingSettings, 'onRepeat' | 'onOpposite'>,
): Rung {
  const first = { along: onSide(side, ladder[0]!) };
  const here = shareOn(now, side);
  if (here !== null) {
    if (onRepeat === 'next-monitor' && side !== 'middle') return { leaves: true };
    // A share that is on no rung, set by place-at, steps on to the first.
    const at = ladder.findIndex((rung) => shareValue(rung) === here);
    const next = ladder[at + 1];
    return { along: next === undefined ? 'full' : onSide(side, next) };
  }
  const opposite = side === 'start' ? 'end' : 'start';
  const isOpposite = side !== 'middle' && shareOn(now, opposite) !== null;
  return isOpposite && onOpposite === 'full' ? { along: 'full' } : first;
}

export function onSide(side: PlacingSide, share: Fraction): Along {
  if (side === 'start') return { start: share };
  return side === 'end' ? { end: share } : { middle: share };
}

/** The share that is taken on a side; null when it is not there. */
function shareOn(along: Along, side: PlacingSide): number | null {
  if (along === 'full') return null;
  const share = (along as Partial<Record<PlacingSide, Fraction>>)[side];
  return share === undefined ? null : shareValue(share);
}
