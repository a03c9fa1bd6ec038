import { expect, test } from 'vitest';
import { FULL } from '../testing/full-profile.ts';
import { waysIn, type Way } from '../testing/ways-in.ts';
import { read } from '../values/faults.ts';
import { profileSchema } from './profile.ts';
import { sessionSchema } from './session.ts';

const WRONG = [-1, 1e9, '', '/ /', 'x'.repeat(500), null, {}, []];

function withWrong(whole: object, way: Way, wrong: unknown): unknown {
  const copy = structuredClone(whole);
  const parent = way.slice(0, -1).reduce<unknown>((at, step) => (at as never)[step], copy);
  (parent as Record<string | number, unknown>)[way.at(-1)!] = wrong;
  return copy;
}

/** What the library of schemas says where nobody gave it words. */
const LIBRARY = /^(Invalid|Too (small|big)|Unrecognized|Expected)|must match|received/i;

test.each([
  ['a profile that names all', FULL, profileSchema],
  ['a session', FULL.trials[0]!.session, sessionSchema],
])('a value of %s that is wrong is told of once, in words of our own', (_, whole, schema) => {
  // Entries of a list are alike: the first two say what all say.
  const ways = waysIn(whole).filter(
    (way) => way.length > 0 && way.every((step) => typeof step === 'string' || step < 2),
  );
  expect(ways.length).toBeGreaterThan(15);
  for (const way of ways) {
    for (const wrong of WRONG) {
      const result = read(schema, withWrong(whole, way, wrong));
      if (result.ok) continue;
      const paths = result.faults.map(({ path }) => path);
      expect([way.join('.'), paths]).toEqual([way.join('.'), [...new Set(paths)]]);
      for (const { expected } of result.faults)
        expect([way.join('.'), wrong, LIBRARY.test(expected) && expected]).toEqual([
          way.join('.'),
          wrong,
          false,
        ]);
    }
  }
});
