import type { Expectation, WhichWindow } from '../model/expectation.ts';
import type { Profile } from '../model/profile.ts';
import { ruleSchema, type Rule, type RuleSettings } from '../model/rule.ts';
import type { Trial } from '../model/trial.ts';
import { ruleSentence } from '../rules/sentence.ts';
import { expectationsOf } from './trial.ts';
import { allTries, type TrialOptions } from './trial-result.ts';

/** A change of the profile after which an expectation of a trial holds. */
export interface TrialFix {
  /** What it does, in words. */
  says: string;
  profile: Profile;
  /** In how many of so many tries the whole trial holds then. */
  held: number;
  tries: number;
}

/** Of a trial with more tries only so many are tried for a fix. */
const MOST_TRIES = 1_000;

/**
 * Changes of one thing that make an expectation of a trial hold in all tries; those with which more of the trial holds
 * come first. None is told without having been tried.
 */
export function trialFixesFor(
  profile: Profile,
  trial: Trial,
  expectation: number,
  options: TrialOptions = {},
): TrialFix[] {
  const expected = expectationsOf(trial)[expectation];
  if (!expected) return [];
  return candidates(profile, expected)
    .flatMap((candidate): TrialFix[] => {
      const { missed, tries, failed } = allTries(candidate.profile, trial, options, 0, MOST_TRIES);
      return missed[expectation]!.length > 0
        ? []
        : [{ ...candidate, tries, held: tries - failed.length }];
    })
    .sort((a, b) => b.held - a.held);
}

function candidates(profile: Profile, expected: Expectation): Pick<TrialFix, 'says' | 'profile'>[] {
  if ('window' in expected) {
    const then = settingsFor(expected);
    const rule = then && ruleFor(profile, expected.window, then);
    if (!rule) return [];
    const says = `a rule before all others: ${ruleSentence(rule)
      .map(({ text }) => text)
      .join('')}`;
    return [{ says, profile: { ...profile, rules: [rule, ...profile.rules] } }];
  }
  const isOfRoom =
    ('every' in expected && expected.every === 'at-least-its-minimum') || 'findings' in expected;
  if (!isOfRoom) return [];
  return (['float', 'stack'] as const).map((whenTooSmall) => ({
    says: `windows that find too little room ${whenTooSmall === 'float' ? 'float' : 'lie on each other'}.`,
    profile: { ...profile, tiling: { ...profile.tiling, whenTooSmall } },
  }));
}

/** What a rule has to say of a window for what is expected of it; null where no rule can. */
function settingsFor(expected: Extract<Expectation, { window: WhichWindow }>): RuleSettings | null {
  if ('monitor' in expected) return { monitor: expected.monitor };
  if ('workspace' in expected) return { workspace: expected.workspace };
  if ('zone' in expected) return { zone: expected.zone };
  if ('number' in expected) return expected.number === 1 ? { join: 'lead' } : null;
  if (!('is' in expected)) return null;
  switch (expected.is) {
    case 'lead':
      return { join: 'lead' };
    case 'above':
      return { stayAbove: true };
    case 'focused':
      return { focus: true };
    case 'shown':
    case 'hidden':
      return null;
    default:
      return { held: expected.is };
  }
}

function ruleFor(profile: Profile, which: WhichWindow, then: RuleSettings): Rule | null {
  const condition =
    typeof which === 'object' && 'title' in which
      ? { of: 'title', fits: which.title }
      : { of: 'app', is: typeof which === 'string' ? which : which.app };
  const ids = profile.rules.map(({ id }) => id);
  let id = 'mended';
  for (let again = 2; ids.includes(id); again++) id = `mended-${again}`;
  const read = ruleSchema.safeParse({ id, when: { all: [condition] }, then });
  return read.success ? read.data : null;
}
