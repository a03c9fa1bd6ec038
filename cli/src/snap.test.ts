import { describe, expect, it } from 'vitest';
import { PROFILE, played, shapeOf } from './testing/snap.ts';

/**
 * The two-axis model, written down by hand for the work area 6,34 3428×1400 with gaps of 10: where each state
 * of an axis begins and how long it is, and which state each key leads to.
 */
const ACROSS: Record<string, [number, number]> = {
  full: [6, 3428],
  'start 1/2': [6, 1709],
  'start 1/3': [6, 1136],
  'start 2/3': [6, 2282],
  'middle 1/2': [866, 1709],
  'middle 1/3': [1152, 1136],
  'middle 2/3': [579, 2282],
  'end 1/2': [1725, 1709],
  'end 1/3': [2298, 1136],
  'end 2/3': [1152, 2282],
};
const DOWN: Record<string, [number, number]> = {
  full: [34, 1400],
  'start 1/2': [34, 695],
  'start 1/3': [34, 460],
  'start 2/3': [34, 930],
  'end 1/2': [739, 695],
  'end 1/3': [974, 460],
  'end 2/3': [504, 930],
};
const STEPS: Record<'start' | 'middle' | 'end', Record<string, string>> = {
  start: {
    full: 'start 1/2',
    'start 1/2': 'start 1/3',
    'start 1/3': 'start 2/3',
    'start 2/3': 'full',
    'middle 1/2': 'start 1/2',
    'middle 1/3': 'start 1/2',
    'middle 2/3': 'start 1/2',
    'end 1/2': 'start 1/2',
    'end 1/3': 'start 1/2',
    'end 2/3': 'start 1/2',
  },
  middle: {
    full: 'middle 1/2',
    'start 1/2': 'middle 1/2',
    'start 1/3': 'middle 1/2',
    'start 2/3': 'middle 1/2',
    'middle 1/2': 'middle 1/3',
    'middle 1/3': 'middle 2/3',
    'middle 2/3': 'full',
    'end 1/2': 'middle 1/2',
    'end 1/3': 'middle 1/2',
    'end 2/3': 'middle 1/2',
  },
  end: {
    full: 'end 1/2',
    'start 1/2': 'end 1/2',
    'start 1/3': 'end 1/2',
    'start 2/3': 'end 1/2',
    'middle 1/2': 'end 1/2',
    'middle 1/3': 'end 1/2',
    'middle 2/3': 'end 1/2',
    'end 1/2': 'end 1/3',
    'end 1/3': 'end 2/3',
    'end 2/3': 'full',
  },
};
const KEYS = {
  'place-left': ['x', 'start'],
  'place-right': ['x', 'end'],
  'place-up': ['y', 'start'],
  'place-down': ['y', 'end'],
  'place-middle': ['x', 'middle'],
  maximise: null,
  'put-back': null,
} as const;
type Key = keyof typeof KEYS;
const ALL = Object.keys(KEYS) as Key[];

interface Model {
  x: string;
  y: string;
  isLarge: boolean;
}
const UNPLACED: Model = { x: 'full', y: 'full', isLarge: false };

function pressed(model: Model, key: Key): Model {
  if (key === 'put-back') return UNPLACED;
  if (key === 'maximise') return { ...model, isLarge: !model.isLarge };
  const [axis, side] = KEYS[key]!;
  return { ...model, isLarge: false, [axis]: STEPS[side][model[axis]]! };
}

function rectOf({ x, y, isLarge }: Model, asItWas: string): string {
  if (isLarge) return '6,34 3428×1400';
  if (x === 'full' && y === 'full') return asItWas;
  const [left, width] = ACROSS[x]!;
  const [top, height] = DOWN[y]!;
  return `${left},${top} ${width}×${height}`;
}

const HELD = {
  tiled: { id: 'it' },
  floating: { id: 'it', held: 'floating', preferred: { width: 801, height: 603 } },
};

describe.each(Object.entries(HELD))('a %s window', (_held, window) => {
  const session = { windows: [{ id: 'a' }, window, { id: 'c' }], focus: 'it' };

  it.each(ALL)('goes where the model says, by every sequence of four keys from %s', (first) => {
    const sequences: Key[][] = [];
    for (const b of ALL) for (const c of ALL) for (const d of ALL) sequences.push([first, b, c, d]);
    const { steps, isSame } = played(PROFILE, {
      session,
      steps: [
        { mark: 'before' },
        ...sequences.flatMap((keys) => [...keys, 'put-back', { same: 'before' }]),
      ],
    });
    expect(isSame).toBe(true);
    const asItWas = shapeOf(steps[0]!, 'it');
    const wrong: string[] = [];
    sequences.forEach((keys, i) => {
      let model = UNPLACED;
      keys.forEach((key, j) => {
        model = pressed(model, key);
        const is = shapeOf(steps[2 + i * 6 + j]!, 'it');
        const ought = rectOf(model, asItWas);
        if (is !== ought) wrong.push(`${keys.slice(0, j + 1).join(' ')}: ${is}, not ${ought}`);
      });
    });
    expect(wrong).toEqual([]);
  });
});
