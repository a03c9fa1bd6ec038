import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { profileSchema } from '../model/profile.ts';
import { trialSchema } from '../model/trial.ts';
import { binsOf, endPlaces } from './trial-figures.ts';
import { allTries } from './trial-result.ts';

test('ranges of figures hold every try once, none overlaps, and they are no more than asked for', () => {
  fc.assert(
    fc.property(
      fc.dictionary(fc.nat(5_000).map(String), fc.integer({ min: 1, max: 50 })),
      fc.integer({ min: 1, max: 14 }),
      (counts, most) => {
        const bins = binsOf(counts, most);
        expect(bins.length).toBeLessThanOrEqual(most);
        for (const [figure, count] of Object.entries(counts)) {
          const within = bins.filter(
            ({ from, to }) => Number(figure) >= from && Number(figure) <= to,
          );
          expect(within).toHaveLength(1);
          expect(within[0]!.tries).toBeGreaterThanOrEqual(count);
        }
        const sum = (numbers: readonly number[]) => numbers.reduce((all, each) => all + each, 0);
        expect(sum(bins.map(({ tries }) => tries))).toBe(sum(Object.values(counts)));
      },
    ),
  );
});

describe('where windows were after tries', () => {
  const profile = profileSchema.parse({
    monitors: [{ id: 'm', width: 900, height: 600 }],
    workspaces: [{ id: '1' }],
    apps: [{ id: 'a' }, { id: 'b' }, { id: 'c' }],
    tiling: { layout: { kind: 'columns' } },
  });
  const trial = trialSchema.parse({
    id: 't',
    steps: [{ anyOrder: ['a', 'b', 'c'].map((app) => ({ command: 'open-app', app })) }],
  });

  test('three windows in any order are in each of three places as often', () => {
    const places = endPlaces(allTries(profile, trial));
    expect(places).toHaveLength(3);
    for (const { windows } of places) {
      expect(windows.map(({ app }) => app).sort()).toEqual(['a', 'b', 'c']);
      for (const { part, nth } of windows) {
        expect(part).toBeCloseTo(2 / 6, 9);
        expect(nth).toBe(1);
      }
    }
  });
});
