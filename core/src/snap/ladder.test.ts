import { describe, expect, it } from 'vitest';
import { ON_OPPOSITE, ON_REPEAT, type Along } from '../values/snap.ts';
import { nextRung, type Rung, type SnapSide } from './ladder.ts';

const LADDER = ['1/2', '2/3'] as const;
/** Where a window stands, and what a key comes to, as words: a side and its share. */
const PLACES: Record<string, Along> = {
  full: 'full',
  cells: { from: 1, to: 2, of: 5 },
  'start 1/2': { start: '1/2' },
  // The same share, written otherwise.
  'start 0.5': { start: 0.5 },
  'start 2/3': { start: '2/3' },
  'start 0.4': { start: 0.4 },
  'middle 1/2': { middle: '1/2' },
  'middle 2/3': { middle: '2/3' },
  'end 1/2': { end: '1/2' },
  'end 2/3': { end: '2/3' },
};
const said = (rung: Rung): string => {
  if ('to' in rung) return rung.to;
  return rung.along === 'full' ? 'full' : Object.entries(rung.along).flat().join(' ');
};

/** By where the window stands: what the keys for start, middle and end come to with all as it is given. */
const PLAIN: Record<string, [string, string, string]> = {
  full: ['start 1/2', 'middle 1/2', 'end 1/2'],
  cells: ['start 1/2', 'middle 1/2', 'end 1/2'],
  'start 1/2': ['start 2/3', 'middle 1/2', 'end 1/2'],
  'start 0.5': ['start 2/3', 'middle 1/2', 'end 1/2'],
  'start 2/3': ['full', 'middle 1/2', 'end 1/2'],
  'start 0.4': ['start 1/2', 'middle 1/2', 'end 1/2'],
  'middle 1/2': ['start 1/2', 'middle 2/3', 'end 1/2'],
  'middle 2/3': ['start 1/2', 'full', 'end 1/2'],
  'end 1/2': ['start 1/2', 'middle 1/2', 'end 2/3'],
  'end 2/3': ['start 1/2', 'middle 1/2', 'full'],
};
const SIDES: readonly SnapSide[] = ['start', 'middle', 'end'];

describe('what a placing key comes to', () => {
  const cases = Object.keys(PLACES).flatMap((now) =>
    SIDES.flatMap((side) =>
      ON_REPEAT.flatMap((onRepeat) =>
        ON_OPPOSITE.map((onOpposite) => ({ now, side, onRepeat, onOpposite })),
      ),
    ),
  );

  it('is the same side further on, the first rung elsewhere, or what the profile says', () => {
    expect(cases).toHaveLength(360);
    for (const { now, side, onRepeat, onOpposite } of cases) {
      const other = { start: 'end', middle: '-', end: 'start' }[side];
      let meant = PLAIN[now]![SIDES.indexOf(side)];
      if (now.startsWith(side)) {
        const isLast = now.endsWith('2/3');
        if (onRepeat === 'round' && isLast) meant = 'before';
        if (onRepeat === 'next-monitor' && side !== 'middle') meant = 'monitor';
        if (onRepeat === 'other-side' && side !== 'middle') meant = `${other} 1/2`;
      } else if (now.startsWith(other)) {
        if (onOpposite === 'put-back') meant = 'before';
        if (onOpposite === 'full') meant = 'full';
      }
      const rung = nextRung(PLACES[now]!, side, LADDER, { onRepeat, onOpposite });
      expect([now, side, onRepeat, onOpposite, said(rung)]).toEqual([
        now,
        side,
        onRepeat,
        onOpposite,
        meant,
      ]);
    }
  });
});
