import type { Profile, Trial } from '@sorn/core/model';
import { allTries, type TrialOptions, type TrialResult } from '@sorn/core/simulate';

/** Some of the tries of a trial. */
export interface TryJob {
  profile: Profile;
  trial: Trial;
  options: TrialOptions;
  from: number;
  to: number;
}

/** What comes of them: what a thread of the pool does. */
export default function runTries({ profile, trial, options, from, to }: TryJob): TrialResult {
  return allTries(profile, trial, options, from, to);
}
