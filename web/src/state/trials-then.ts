import type { Profile } from '@sorn/core/model';
import {
  expectationsOf,
  expectationText,
  variationsOf,
  type TrialResult,
} from '@sorn/core/simulate';
import { useEffect, useState } from 'react';
import { trialsOf, useTrialWatch, type WatchedTrial } from './trial-watch.ts';
import { tryVariations, tryWritten, type Running } from './try-pool.ts';

/** So many tries of a trial tell whether a change is a mistake; the standing watch does more of them afterwards. */
const MOST_TRIES = 60;

/** Trials that would fail with another profile, and hold now or are not here yet, in words. */
export interface TrialsThen {
  failing: readonly string[];
  /** Some are still being tried. */
  isLooking: boolean;
}

const NOTHING: TrialsThen = { failing: [], isLooking: false };

/** Tries the trials of another profile before it is taken. Undefined: there is none to be taken. */
export function useTrialsThen(next: Profile | undefined): TrialsThen {
  const watch = useTrialWatch.use();
  const [found, setFound] = useState<{ of: Profile; then: TrialsThen } | null>(null);
  useEffect(() => {
    if (!next) return;
    let running: Running[] = [];
    const failing = new Map<string, string>();
    const trials = trialsOf(next).filter(({ trial }) => trial.on);
    const tell = (isLooking: boolean) =>
      setFound({ of: next, then: { failing: [...failing.values()], isLooking } });
    let left = 0;
    const add = ({ trial }: (typeof trials)[number], result: TrialResult) => {
      const now = watch.getState().trials.find((each) => each.trial.id === trial.id);
      if (failsNow(now) || result.first === null || failing.has(trial.id)) return;
      const expected = expectationsOf(trial)[result.first.failure.number];
      const text = expected ? `: ${expectationText(expected)}; ${result.first.failure.found}` : '';
      failing.set(trial.id, `${trial.name ?? trial.id}${text}`);
    };
    running = [
      tryWritten(
        next,
        trials.map(({ trial }) => trial),
        (results) => {
          trials.forEach((each, i) => add(each, results[i]!));
          const varied = trials.filter(({ trial }) => variationsOf(next, trial).count > 1);
          left = varied.length;
          tell(left > 0);
          running = varied.map((each) =>
            tryVariations(
              { profile: next, trial: each.trial, options: {}, isByHand: false },
              [1, Math.min(MOST_TRIES, variationsOf(next, each.trial).count)],
              (result, isDone) => {
                add(each, result);
                if (isDone) left -= 1;
                tell(left > 0);
              },
            ),
          );
        },
      ),
    ];
    return () => {
      for (const each of running) each.cancel();
    };
  }, [next, watch]);
  if (!next) return NOTHING;
  return found?.of === next ? found.then : { failing: [], isLooking: true };
}

const failsNow = (now: WatchedTrial | undefined) =>
  now?.trial.on === true && (now.result?.failed.length ?? 0) > 0;
