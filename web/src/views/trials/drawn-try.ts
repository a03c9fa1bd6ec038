import type { Profile, Session, Trial } from '@sorn/core/model';
import {
  itemsIn,
  subjectOf,
  tryInSteps,
  variationsOf,
  type TrialReport,
  type TrialResult,
  type TryStep,
} from '@sorn/core/simulate';

/** A try that is looked at, thing by thing, with the desk that it begins on. */
export interface DrawnTry {
  profile: Profile;
  session: Session;
  steps: readonly TryStep[];
  /** What it is, in a few words. */
  title: string;
}

/** The trial as it is written. */
export function writtenTry(profile: Profile, trial: Trial): DrawnTry {
  return { ...triedAs(profile, trial, 0), title: 'As it is written' };
}

/** The shortest case in which it fails, or as long as that is not known, the first one; null where it holds. */
export function failingTry(
  profile: Profile,
  trial: Trial,
  result: TrialResult | null,
  report: TrialReport | null,
): DrawnTry | null {
  const shortest = report?.failure?.shortest;
  if (shortest) {
    const { subject, items } = shortest;
    const steps = tryInSteps(subject, items);
    return {
      profile: subject.profile,
      session: subject.session,
      steps,
      title: 'The shortest case in which it fails',
    };
  }
  if (!result?.first) return null;
  return { ...triedAs(profile, trial, result.first.number), title: 'The first try that fails' };
}

function triedAs(profile: Profile, trial: Trial, number: number): Omit<DrawnTry, 'title'> {
  const variation = variationsOf(profile, trial).at(number);
  const subject = subjectOf(profile, trial, variation);
  const steps = tryInSteps(subject, itemsIn(subject, variation.orders));
  return { profile: subject.profile, session: subject.session, steps };
}

/** Where to look first: the first thing that does not hold, else the last step. */
export function firstToLookAt({ steps }: DrawnTry): number {
  const failing = steps.findIndex(({ failure }) => failure !== null);
  return failing >= 0 ? failing : steps.length - 1;
}
