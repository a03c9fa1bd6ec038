import type { Profile, Trial } from '@sorn/core/model';
import {
  allTries,
  changeShares,
  trialReport,
  tryTrial,
  type Shares,
  type TrialOptions,
  type TrialReport,
  type TrialResult,
} from '@sorn/core/simulate';
import { expose } from 'comlink';

const profiles = new Map<number, Profile>();

/** The profile that is sent with a job, or was sent with one before under the same number. */
function profileOf(number: number, sent: Profile | null): Profile {
  if (sent) {
    profiles.clear();
    profiles.set(number, sent);
  }
  const profile = profiles.get(number);
  if (!profile) throw new Error(`profile ${number} was not sent`);
  return profile;
}

/** A profile by a number of its own: a worker that has it already is not sent it again. */
export interface SentProfile {
  number: number;
  profile: Profile | null;
}

const tryWorker = {
  /** Trials as they are written, one try each. */
  written({ number, profile: sent }: SentProfile, trials: readonly Trial[]): TrialResult[] {
    const profile = profileOf(number, sent);
    return trials.map((trial) => allTries(profile, trial, {}, 0, 1));
  },
  /** Tries from one number up to another, as many as can be done in so many milliseconds. */
  tries(
    { number, profile: sent }: SentProfile,
    trial: Trial,
    options: TrialOptions,
    [from, to]: readonly [number, number],
    ms: number,
  ): TrialResult {
    const until = performance.now() + ms;
    const tries = tryTrial(profileOf(number, sent), trial, options, from, to);
    for (;;) {
      const { done, value } = tries.next();
      if (done || performance.now() >= until) return value;
    }
  },
  report(
    { number, profile: sent }: SentProfile,
    trial: Trial,
    result: TrialResult,
    options: TrialOptions,
  ): TrialReport {
    return trialReport(profileOf(number, sent), trial, result, options);
  },
  /** What each change between the profile that is sent and another one makes of a script. */
  shares({ number, profile: sent }: SentProfile, after: Profile, trial: Trial): Shares {
    return changeShares(profileOf(number, sent), after, trial);
  },
};

export type TryWorker = typeof tryWorker;

expose(tryWorker);
