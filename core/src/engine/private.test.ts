import { expect, it } from 'vitest';
import { profileSchema } from '../model/profile.ts';
import { sessionSchema } from '../model/session.ts';
import { isPrivate } from './private.ts';
import { openSession } from './open.ts';

const when = { all: [{ of: 'title', has: 'secret' }] };

it('a window is private while a rule says so of it as it is now, the first that says anything', () => {
  const input = sessionSchema.parse({
    windows: [
      { id: 'a', title: 'A secret' },
      { id: 'b', title: 'Nothing' },
    ],
  });
  const profileOf = (...rules: object[]) =>
    profileSchema.parse({ monitors: [{ id: 'm', width: 1920, height: 1080 }], rules });
  const of = (...rules: object[]) => {
    const profile = profileOf(...rules);
    const { session } = openSession(input, profile);
    return ['a', 'b', 'gone'].map((id) => isPrivate(profile, session, id));
  };
  const yes = { id: 'yes', when, then: { private: true } };
  expect(of(yes)).toEqual([true, false, true]);
  expect(of({ id: 'no', then: { private: false } }, yes)).toEqual([false, false, true]);
  expect(of({ ...yes, on: false })).toEqual([false, false, true]);
});
