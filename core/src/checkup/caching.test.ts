import fc from 'fast-check';
import { expect, it } from 'vitest';
import { keyMap } from '../keys/map.ts';
import type { Profile } from '../model/profile.ts';
import { anyProfile } from '../testing/profiles.ts';
import { checkProfile } from './profile.ts';

/** A profile with some of its parts taken from another, the others being the very same objects. */
function edited(profile: Profile, other: Profile, parts: readonly string[]): Profile {
  const taken = Object.entries(other).filter(([name]) => parts.includes(name));
  const tiling = { ...profile.tiling, growStep: profile.tiling.growStep + 1 };
  return { ...profile, tiling, ...Object.fromEntries(taken) } as Profile;
}

const PARTS = [
  'rules',
  'apps',
  'boards',
  'desks',
  'monitors',
  'workspaces',
  'keys',
  'tiling',
  'start',
];

it('what is kept of a profile from edit to edit is what would be found anew', () => {
  fc.assert(
    fc.property(
      anyProfile,
      fc.array(fc.tuple(anyProfile, fc.subarray(PARTS, { minLength: 1, maxLength: 3 })), {
        minLength: 1,
        maxLength: 4,
      }),
      (first, edits) => {
        let profile = first;
        for (const [other, parts] of edits) {
          profile = edited(profile, other, parts);
          // A copy shares no object with anything seen before: nothing of it can be kept. What is told of both can be
          // copied, so that nothing that only watches what is read has got out.
          const told = structuredClone([checkProfile(profile), keyMap(profile)]);
          const copy = structuredClone(profile);
          expect(told).toEqual([checkProfile(copy), keyMap(copy)]);
        }
      },
    ),
    { numRuns: 40 },
  );
});
