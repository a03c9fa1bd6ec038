import type { Profile } from '../model/profile.ts';
import type { Trial } from '../model/trial.ts';
import { expectationText } from './expectation-text.ts';
import { itemText } from './item-text.ts';
import { trialFixesFor, type TrialFix } from './trial-fixes.ts';
import type { Before } from './order-cause.ts';
import { shrinkFailure, type FailingCase } from './shrink.ts';
import { expectationsOf, type Failure } from './trial.ts';
import { orderCauseOf, type TrialOptions, type TrialResult } from './trial-result.ts';
import { variationsOf } from './variations.ts';

/** What came of the tries of a trial, for a person. */
export interface TrialReport {
  id: string;
  name: string;
  tries: number;
  /** Tries in which all that is expected holds. */
  held: number;
  expectations: { text: string; held: number }[];
  /** Null where all held. */
  failure: FailureReport | null;
}

/** The shortest failing case that was found, and why it fails. */
export interface FailureReport {
  expected: string;
  found: string;
  /** What is done, one line each. */
  steps: string[];
  /** How the desk differs from the one that the trial begins on. */
  desk: string | null;
  /** Which order makes it fail, one sentence each. */
  orders: string[];
  /** Changes of one thing with which it holds, as they were tried. */
  fixes: TrialFix[];
  shortest: FailingCase;
  failure: Failure;
}

export function trialReport(
  profile: Profile,
  trial: Trial,
  result: TrialResult,
  options: TrialOptions = {},
): TrialReport {
  const { first, tries, failed, missed } = result;
  return {
    id: trial.id,
    name: trial.name ?? trial.id,
    tries,
    held: tries - failed.length,
    expectations: expectationsOf(trial).map((expectation, i) => ({
      text: expectationText(expectation),
      held: tries - missed[i]!.length,
    })),
    failure: first && failureReport(profile, trial, result, first, options),
  };
}

function failureReport(
  profile: Profile,
  trial: Trial,
  result: TrialResult,
  { number, failure }: NonNullable<TrialResult['first']>,
  options: TrialOptions,
): FailureReport {
  const variation = variationsOf(profile, trial, options).at(number);
  const shortest = shrinkFailure(profile, trial, variation, failure);
  const expectation = expectationsOf(trial)[failure.number]!;
  const { desk } = shortest.subject.session;
  return {
    expected: expectationText(expectation),
    found: shortest.failure.found,
    steps: shortest.items.flatMap((item) => ('expect' in item ? [] : [itemText(item)])),
    desk: desk === trial.session.desk ? null : (desk ?? null),
    orders: orderTexts(profile, trial, result, failure.number, options),
    fixes: trialFixesFor(profile, trial, failure.number, options),
    shortest,
    failure,
  };
}

/** "open-app post before open-app web fails (60 of 120 orders)". */
function orderTexts(
  profile: Profile,
  trial: Trial,
  result: TrialResult,
  expectation: number,
  options: TrialOptions,
): string[] {
  const cause = orderCauseOf(profile, trial, result, expectation, options);
  const group = trial.steps.find((step) => 'anyOrder' in step);
  if (!cause || !group) return [];
  const counts = `${cause.missed} of ${cause.tried} orders`;
  const step = (at: number) => itemText({ step: group.anyOrder[at]! });
  const text = (pairs: readonly Before[]) =>
    pairs.map(([one, other]) => `${step(one)} before ${step(other)}`).join(', and ');
  if (cause.before) return [`${text(cause.before)} fails (${counts})`];
  if (cause.holds) return [`holds only with ${text(cause.holds)} (fails in ${counts})`];
  return [`fails in ${counts}; no order of single steps is the reason`];
}
