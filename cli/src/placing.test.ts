import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import type { Played } from '@sorn/core';
import { playFiles } from './play.ts';

const folder = mkdtempSync(join(tmpdir(), 'sorn-placing-'));
afterAll(() => rmSync(folder, { recursive: true }));

function file(name: string, value: unknown): string {
  const path = join(folder, name);
  writeFileSync(path, JSON.stringify(value));
  return path;
}

const WIDE = { id: 'wide', width: 3440, height: 1440, reserved: { top: 28 } };
const PROFILE = {
  monitors: [WIDE],
  tiling: { gaps: { inner: 10, outer: 6 }, layout: { kind: 'lead', leadShare: 0.58 } },
};

function played(profile: unknown, script: unknown) {
  const result = playFiles(file('profile.json', profile), file('script.json', script));
  return { ...result, steps: (JSON.parse(result.text) as { steps: Played[] }).steps };
}

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
    'end 1/2': 'full',
    'end 1/3': 'full',
    'end 2/3': 'full',
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
    'start 1/2': 'full',
    'start 1/3': 'full',
    'start 2/3': 'full',
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

function shapeOf({ placements }: Played, id: string): string {
  const { x, y, width, height } = placements.find((placement) => placement.id === id)!;
  return `${x},${y} ${width}×${height}`;
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

describe('place-at', () => {
  const session = { windows: [{ id: 'it' }, { id: 'b' }] };
  const at = (x?: unknown, y?: unknown) => ({
    command: 'place-at',
    ...(x !== undefined && { x }),
    ...(y !== undefined && { y }),
  });
  const shapes = (profile: unknown, steps: unknown[]) =>
    played(profile, { session: { ...session, focus: 'it' }, steps })
      .steps.slice(1)
      .map((step) => shapeOf(step, 'it'));

  it('gives halves, thirds, two thirds, quarters and sixths that meet with exactly one gap', () => {
    expect(
      shapes(PROFILE, [
        at({ start: '1/2' }),
        at({ end: '1/2' }),
        at({ start: '1/3' }),
        at({ middle: '1/3' }),
        at({ end: '1/3' }),
        at({ start: '2/3' }),
        at({ start: '1/2' }, { start: '1/2' }),
        at({ end: '1/2' }, { start: '1/2' }),
        at({ start: '1/2' }, { end: '1/2' }),
        at({ end: '1/2' }, { end: '1/2' }),
        at({ start: '1/3' }, { start: '1/2' }),
        at({ middle: '1/3' }, { end: '1/2' }),
        at({ from: 3, to: 3, of: 3 }, { from: 2, to: 2, of: 2 }),
      ]),
    ).toEqual([
      '6,34 1709×1400',
      '1725,34 1709×1400',
      '6,34 1136×1400',
      '1152,34 1136×1400',
      '2298,34 1136×1400',
      '6,34 2282×1400',
      '6,34 1709×695',
      '1725,34 1709×695',
      '6,739 1709×695',
      '1725,739 1709×695',
      '6,34 1136×695',
      '1152,739 1136×695',
      '2298,739 1136×695',
    ]);
  });

  it('without gaps meets edge to edge, and maximise fills the work area', () => {
    const bare = { ...PROFILE, placing: { gaps: false } };
    expect(shapes(bare, [at({ start: '1/2' }), at({ end: '1/2' }), 'maximise'])).toEqual([
      '0,28 1720×1412',
      '1720,28 1720×1412',
      '0,28 3440×1412',
    ]);
  });

  it('is told with the path of the fault where it is mistyped', () => {
    expect(() => shapes(PROFILE, [at({ strat: 0.5 })])).toThrow(
      /steps\[0\]\.x: .*full, \{start: share\}/,
    );
    expect(() => shapes(PROFILE, [at({ start: '3/2' })])).toThrow(
      /steps\[0\]\.x\.start: "3\/2"; right would be a share above 0 and below 1/,
    );
    expect(() => shapes(PROFILE, [at('full', { from: 3, to: 2, of: 4 })])).toThrow(
      /cells counted from 1/,
    );
  });
});

describe('the ladders and what repeats and opposites do', () => {
  it('are the profile’s', () => {
    const set = {
      ...PROFILE,
      placing: {
        ladders: { x: ['1/4', '3/4'], y: [0.5] },
        onOpposite: 'other-side',
      },
    };
    const { steps } = played(set, {
      session: { windows: [{ id: 'it' }] },
      steps: ['place-left', 'place-left', 'place-right', 'place-left', 'place-up', 'place-up'],
    });
    // Quarters of 3438: 859.5, so that three quarters begin at 859 or end at 2578.
    expect(steps.slice(1).map((step) => shapeOf(step, 'it'))).toEqual([
      '6,34 850×1400',
      '6,34 2569×1400',
      '2585,34 849×1400',
      '6,34 850×1400',
      '6,34 850×695',
      '6,34 850×1400',
    ]);
  });

  it('go on to the neighbouring monitor where they are set so, and stop at the last', () => {
    const two = {
      ...PROFILE,
      monitors: [WIDE, { id: 'next', width: 1000, height: 800 }],
      placing: { onRepeat: 'next-monitor' },
    };
    const { steps } = played(two, {
      session: { windows: [{ id: 'it' }] },
      steps: ['place-right', 'place-right', 'place-right', 'place-right', 'place-right'],
    });
    expect(steps.slice(1).map((step) => shapeOf(step, 'it'))).toEqual([
      '1725,34 1709×1400',
      // The left half of the next one, then full and so in its tile there, then the right half.
      '3446,6 489×788',
      '3446,6 988×788',
      '3945,6 489×788',
      '3945,6 489×788',
    ]);
    expect(steps.at(-1)!.reasons[0]!.because).toBe('no monitor lies right of here');
  });
});
