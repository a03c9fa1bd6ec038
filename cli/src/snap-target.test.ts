import { describe, expect, it } from 'vitest';
import { PROFILE, played, shapeOf, WIDE } from './testing/snap.ts';

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

  it('with both axes full fills the area, and is another thing than its tile', () => {
    expect(shapes(PROFILE, [at(), 'place-left', 'put-back'])).toEqual([
      '6,34 3428×1400',
      '6,34 1709×1400',
      '6,34 1982×1400',
    ]);
  });

  it('along the longer side is across on a wide monitor, and down on a tall one', () => {
    const tall = { ...PROFILE, monitors: [{ id: 'tall', width: 1440, height: 2560 }] };
    const thirds = [{ start: '1/3' }, { middle: '1/3' }, { end: '2/3' }].map((long) => ({
      command: 'place-at',
      long,
    }));
    expect(shapes(PROFILE, thirds)).toEqual([
      '6,34 1136×1400',
      '1152,34 1136×1400',
      '1152,34 2282×1400',
    ]);
    // 2548 high, gaps of 10: thirds of 2558 begin at 0, 853 and 1705.
    expect(shapes(tall, thirds)).toEqual(['6,6 1428×843', '6,859 1428×842', '6,859 1428×1695']);
  });

  it('steps through a ladder of its own: a half along its axis, a corner along the longer side', () => {
    const half = { ...at({ end: '1/2' }), ladder: ['1/3', '2/3'] };
    expect(shapes(PROFILE, [half, half, half, half])).toEqual([
      '1725,34 1709×1400',
      '2298,34 1136×1400',
      '1152,34 2282×1400',
      '1725,34 1709×1400',
    ]);
    const corner = { ...at({ end: '1/2' }, { start: '1/2' }), ladder: ['1/3'] };
    expect(shapes(PROFILE, [corner, corner, corner])).toEqual([
      '1725,34 1709×695',
      '2298,34 1136×695',
      '1725,34 1709×695',
    ]);
    const tall = { ...PROFILE, monitors: [{ id: 'tall', width: 1440, height: 2560 }] };
    expect(shapes(tall, [corner, corner])).toEqual(['725,6 709×1269', '725,6 709×843']);
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
      /steps\[0\]\.x\.start: "3\/2"; expected a share above 0 and below 1/,
    );
    expect(() => shapes(PROFILE, [at('full', { from: 3, to: 2, of: 4 })])).toThrow(
      /cells counted from 1/,
    );
    expect(() => shapes(PROFILE, [{ ...at({ start: 0.5 }), long: { start: 0.5 } }])).toThrow(
      /steps\[0\]\.long: .*long alone, or x and y/,
    );
  });
});

describe('the ladders and what repeats and opposites do', () => {
  it('are the profile’s', () => {
    const set = {
      ...PROFILE,
      placing: {
        ladders: { x: ['1/4', '3/4'], y: [0.5] },
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

  /** Widths of the work area by hand: halves, thirds and two thirds on either side, and the tile of a window alone. */
  const LEFT = ['6,34 1709×1400', '6,34 1136×1400', '6,34 2282×1400'];
  const RIGHT = ['1725,34 1709×1400', '2298,34 1136×1400', '1152,34 2282×1400'];
  const TILE = '6,34 3428×1400';
  it.each([
    ['next-rung', [...LEFT, TILE, LEFT[0]]],
    ['round', [...LEFT, TILE, LEFT[0]]],
    ['other-side', [LEFT[0], RIGHT[0], LEFT[0], RIGHT[0], LEFT[0]]],
  ])('repeated presses of one key: %s', (onRepeat, shapes) => {
    const { steps } = played(
      { ...PROFILE, placing: { onRepeat } },
      { session: { windows: [{ id: 'it' }] }, steps: Array(5).fill('place-left') },
    );
    expect(steps.slice(1).map((step) => shapeOf(step, 'it'))).toEqual(shapes);
  });

  it.each([
    ['next-rung', '6,34 3428×695'],
    // Where the window was: the height that was placed before is over, too.
    ['round', TILE],
  ])('after the last size of one axis, with the other one placed: %s', (onRepeat, shape) => {
    const { steps } = played(
      { ...PROFILE, placing: { onRepeat } },
      {
        session: { windows: [{ id: 'it' }] },
        steps: ['place-up', ...Array<string>(4).fill('place-left')],
      },
    );
    expect(shapeOf(steps.at(-1)!, 'it')).toBe(shape);
  });

  it.each([
    ['other-side', RIGHT[0]],
    ['full', TILE],
    ['put-back', TILE],
  ])('the opposite key: %s', (onOpposite, shape) => {
    const { steps } = played(
      { ...PROFILE, placing: { onOpposite } },
      { session: { windows: [{ id: 'it' }] }, steps: ['place-left', 'place-left', 'place-right'] },
    );
    expect(shapeOf(steps.at(-1)!, 'it')).toBe(shape);
  });

  it('with a height placed, the opposite key keeps it or puts the window back', () => {
    const after = (onOpposite: string) => {
      const { steps } = played(
        { ...PROFILE, placing: { onOpposite } },
        { session: { windows: [{ id: 'it' }] }, steps: ['place-up', 'place-left', 'place-right'] },
      );
      return shapeOf(steps.at(-1)!, 'it');
    };
    expect(after('other-side')).toBe('1725,34 1709×695');
    expect(after('full')).toBe('6,34 3428×695');
    expect(after('put-back')).toBe(TILE);
  });

  it('of a file of a former version that does not say keep the whole length', () => {
    const steps = ['place-up', 'place-left', 'place-right'];
    for (const version of [1, 2, 3]) {
      const { steps: all } = played(
        { ...PROFILE, version },
        { session: { windows: [{ id: 'it' }] }, steps },
      );
      expect(shapeOf(all.at(-1)!, 'it')).toBe('6,34 3428×695');
    }
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
      // The left half of the next one, then the right half.
      '3446,6 489×788',
      '3945,6 489×788',
      '3945,6 489×788',
      '3945,6 489×788',
    ]);
    expect(steps.at(-1)!.reasons[0]!.because).toBe('no monitor lies right of here');
  });
});
