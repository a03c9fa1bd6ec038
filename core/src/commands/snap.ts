import { snapTargetText, shareText, type SnapTarget } from '../values/snap-text.ts';
import type { Along, Fraction } from '../values/snap.ts';
import { along, ladder } from './argument.ts';
import { define, inDirections, UNDOABLE, BY_TWO_TARGETS } from './definition.ts';

const placing = { task: 'placing', ...UNDOABLE, ...BY_TWO_TARGETS, guessedUses: 2 } as const;
/** It gives the focused window a place among others. */
const among = { ...placing, isOutlined: true, givesPlace: true } as const;

/** The arguments of place-at. */
const placeAtArguments = {
  x: along('Across', 'full'),
  y: along('Down', 'full'),
  long: along('Along the longer side', 'not said'),
  ladder: ladder('Pressed again'),
};

/** Commands that give the focused window a place out of the layout. */
export const placingCommands = {
  ...inDirections('place', (direction) => ({
    ...among,
    guessedUses: direction === 'left' || direction === 'right' ? 20 : 10,
  })),
  'place-middle': define({ said: {}, ...among, guessedUses: 10 }),
  'put-back': define({ said: {}, ...placing, isOutlined: true }),
  centre: define({ said: {}, ...placing, isOutlined: true }),
  bigger: define({ said: {}, ...placing, inverse: 'smaller' }),
  smaller: define({ said: {}, ...placing, inverse: 'bigger' }),
  ...inDirections('nudge', () => placing),
  'fill-rest': define({ said: {}, ...among }),
  /**
   * Both axes at once; one that is left out is full. `long` says where along the longer side of the work area,
   * in place of x and y. `ladder` has the shares that further presses step through, along the axis that is not
   * full, or the longer one where neither is.
   */
  'place-at': define({
    said: placeAtArguments,
    rule: {
      holds: ({ x, y, long }) => long === undefined || (x === undefined && y === undefined),
      expected: 'long alone, or x and y',
      path: ['long'],
    },
    ...among,
    guessedUses: 20,
    text: snapTargetText,
    short: shortPlace,
  }),
};

const SIDES = {
  x: { start: 'left', middle: 'middle', end: 'right' },
  y: { start: 'upper', middle: 'middle', end: 'lower' },
  long: { start: 'first', middle: 'middle', end: 'last' },
} as const;

/** A place in a few letters: "left 1/2", "upper right", "whole". */
function shortPlace({ x = 'full', y = 'full', long }: SnapTarget): string {
  const side = (axis: keyof typeof SIDES, part: Along): string[] => {
    if (part === 'full') return [];
    if ('from' in part) return ['block'];
    const [[of, share]] = Object.entries(part) as [['start' | 'middle' | 'end', Fraction]];
    return [SIDES[axis][of], shareText(share)];
  };
  const [across, down] = [side('x', x), side('y', y)];
  if (long !== undefined) return side('long', long).join(' ') || 'whole';
  if (across.length > 0 && down.length > 0) return `${down[0]} ${across[0]}`;
  return [...across, ...down].join(' ') || 'whole';
}
