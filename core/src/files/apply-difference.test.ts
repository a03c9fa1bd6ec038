import fc from 'fast-check';
import { expect, test } from 'vitest';
import { profileSchema } from '../model/profile.ts';
import { anyProfile } from '../testing/profiles.ts';
import { withDifference } from './apply-difference.ts';
import { differences } from './differences.ts';

test('all differences of two profiles, done one after the other, leave none', () => {
  fc.assert(
    fc.property(anyProfile, anyProfile, (one, other) => {
      let now = one;
      // Each is told of what is there by then: a list that got shorter counts its places anew.
      for (let left = differences(now, other); left.length > 0; left = differences(now, other)) {
        const next = withDifference(now, left[0]!);
        expect(next).not.toEqual(now);
        now = next;
      }
      expect(now).toEqual(other);
    }),
    { numRuns: 12 },
  );
});

test('one alone changes nothing else', () => {
  const before = profileSchema.parse({
    monitors: [{ id: 'm', width: 100, height: 100 }],
    rules: [
      { id: 'a', when: { all: [{ of: 'app', is: 'x' }] }, then: { held: 'floating' } },
      { id: 'b', when: { all: [{ of: 'app', is: 'x' }] }, then: { held: 'tiled' } },
    ],
  });
  const after = profileSchema.parse({
    monitors: [{ id: 'm', width: 100, height: 100 }],
    rules: [
      { id: 'b', when: { all: [{ of: 'app', is: 'x' }] }, then: { held: 'tiled' } },
      { id: 'a', when: { all: [{ of: 'app', is: 'x' }] }, then: { held: 'pocketed' } },
    ],
    tiling: { gaps: { inner: 3 } },
  });
  const told = differences(before, after).map((each) => withDifference(before, each));
  expect(told.map(({ rules }) => rules.map(({ id, then }) => `${id} ${then.held}`).join())).toEqual(
    expect.arrayContaining(['a pocketed,b tiled', 'b tiled,a floating', 'a floating,b tiled']),
  );
  expect(
    told.filter(({ tiling }) => JSON.stringify(tiling.gaps) === JSON.stringify(after.tiling.gaps)),
  ).toHaveLength(1);
});
