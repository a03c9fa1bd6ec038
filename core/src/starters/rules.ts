import type { Profile } from '../model/profile.ts';
import type { Rule } from '../model/rule.ts';

const ALWAYS = { on: true, again: { title: false, desk: false } };

/** Logical pixels from which a fixed window is taken for the screen of another machine. */
const GUEST = { width: 1024, height: 720 };

/**
 * What people expect of windows without having said so. Rules like any others, to be edited or switched
 * off: a profile has them in its list, or has not.
 */
export const STARTER_RULES: readonly Rule[] = [
  {
    ...ALWAYS,
    id: 'guest-screens',
    name: 'Guest screens',
    when: {
      all: [
        { of: 'kind', is: 'normal' },
        { of: 'resizable', is: false },
        { of: 'width', from: GUEST.width },
        { of: 'height', from: GUEST.height },
      ],
      any: [],
      none: [],
    },
    then: { held: 'left-alone' },
  },
  {
    ...ALWAYS,
    id: 'dialogs',
    name: 'Dialogs',
    when: { all: [{ of: 'kind', is: 'dialog' }], any: [], none: [] },
    then: { held: 'floating', corner: 'over-parent' },
  },
  {
    ...ALWAYS,
    id: 'utilities',
    name: 'Utilities',
    when: { all: [{ of: 'kind', is: 'utility' }], any: [], none: [] },
    then: { held: 'floating', corner: 'over-parent' },
  },
  {
    ...ALWAYS,
    id: 'fixed-sizes',
    name: 'Fixed sizes',
    when: { all: [{ of: 'resizable', is: false }], any: [], none: [] },
    then: { held: 'floating', corner: 'over-parent' },
  },
];

/** The starter rules that a list has not, by their ids. */
function missingStarters(rules: readonly Rule[]): readonly Rule[] {
  return STARTER_RULES.filter(({ id }) => !rules.some((rule) => rule.id === id));
}

/** The rules people expect, behind all others, as far as they are not there. */
export function withStarterRules(profile: Profile): Profile {
  const missing = missingStarters(profile.rules);
  return missing.length > 0 ? { ...profile, rules: [...profile.rules, ...missing] } : profile;
}
