import type { Profile, Trial } from '@sorn/core/model';
import {
  builtInTrials,
  joinedResults,
  variationsOf,
  type TrialReport,
  type TrialResult,
} from '@sorn/core/simulate';
import { perProfile } from './per-profile.ts';
import { reportOn, tryVariations, tryWritten, type Running } from './try-pool.ts';

/** After an edit, a trial is tried at most so often by itself; the rest is tried when it is asked for. */
export const WATCHED_TRIES = 300;
/** An edit that is followed by another one so soon begins nothing. */
const SOON_MS = 30;

/** A trial, and what came of it since the last edit. */
export interface WatchedTrial {
  trial: Trial;
  /** One that the person wrote; the others are there in every profile. */
  isOwn: boolean;
  /** How many tries its variations make. */
  count: number;
  /** Null as long as it was not tried since the last edit. */
  result: TrialResult | null;
  /** All its tries are being done, as was asked for. */
  isRunning: boolean;
  /** When the last of its tries was done. */
  at: Date | null;
  /** The shortest failing case, and what mends it: once it was asked for and found. */
  report: TrialReport | null;
}

interface TrialWatch {
  /** The profile that they were tried with. */
  profile: Profile;
  trials: readonly WatchedTrial[];
  /** Tries that belong to the last edit are still to come. */
  isWatching: boolean;
  /** How many of them held, of how many, when all were last tried as they are written; null at first. */
  held: { held: number; of: number } | null;
  /** Does all tries of a trial. */
  runAll: (id: string) => void;
  /** Stops what was asked for. */
  stop: () => void;
  /** Looks for the shortest failing case of a trial that fails. */
  explain: (id: string) => void;
}

/** The trials of a profile that are tried, those of its own first. */
export function trialsOf(profile: Profile): { trial: Trial; isOwn: boolean }[] {
  return [
    ...profile.trials.map((trial) => ({ trial, isOwn: true })),
    ...builtInTrials(profile).map((trial) => ({ trial, isOwn: false })),
  ];
}

function untried(profile: Profile): WatchedTrial[] {
  return trialsOf(profile).map((each) => ({
    ...each,
    count: variationsOf(profile, each.trial).count,
    result: null,
    isRunning: false,
    at: null,
    report: null,
  }));
}

/** Whether all that was tried so far held. */
export function hasHeld({ result }: Pick<WatchedTrial, 'result'>): boolean {
  return result !== null && result.failed.length === 0;
}

const isFailing = (result: TrialResult | null) => result !== null && result.failed.length > 0;

/** Tries all trials anew after every edit: as they are written first, then those with few tries before those with many. */
export const useTrialWatch = perProfile<TrialWatch>(
  (set, get, store) => {
    let watching: Running[] = [];
    let asked: Running[] = [];
    let timer: ReturnType<typeof setTimeout> | undefined;

    const change = (id: string, by: (watched: WatchedTrial) => Partial<WatchedTrial>) =>
      set({
        trials: get().trials.map((each) =>
          each.trial.id === id ? { ...each, ...by(each) } : each,
        ),
      });

    /** What is known of a trial with tries more. */
    function take(id: string, result: TrialResult, others: Partial<WatchedTrial> = {}) {
      change(id, () => ({ result, at: new Date(), ...others }));
    }

    function stopAll() {
      for (const running of [...watching, ...asked]) running.cancel();
      watching = [];
      asked = [];
    }

    function watch() {
      const { profile, trials } = get();
      const tried = trials.filter(({ trial }) => trial.on);
      watching = [
        tryWritten(
          profile,
          tried.map(({ trial }) => trial),
          (results) => {
            const at = new Date();
            const byId = new Map(tried.map(({ trial }, i) => [trial.id, results[i]!]));
            set({
              trials: get().trials.map((each) => {
                const result = byId.get(each.trial.id);
                return result ? { ...each, result, at } : each;
              }),
            });
            tell();
            goOn(profile, tried);
          },
        ),
      ];
    }

    /** Tries the variations, the fewest first. */
    function goOn(profile: Profile, tried: readonly WatchedTrial[]) {
      const varied = tried
        .filter(({ count }) => count > 1)
        .sort((one, other) => one.count - other.count);
      let left = varied.length;
      const done = () => {
        left -= 1;
        if (left <= 0) set({ isWatching: false });
      };
      if (varied.length === 0) set({ isWatching: false });
      for (const { trial, count, result: _none } of varied) {
        const written = get().trials.find((each) => each.trial.id === trial.id)?.result ?? null;
        const of = { profile, trial, options: {}, isByHand: false };
        watching.push(
          tryVariations(of, [1, Math.min(count, WATCHED_TRIES)], (result, isDone) => {
            const present = get().trials.find((each) => each.trial.id === trial.id);
            // What was asked for meanwhile tells more.
            if (present && !present.isRunning)
              take(trial.id, joinedResults(trial, written ? [written, result] : [result]));
            if (isDone) {
              tell();
              done();
            }
          }),
        );
      }
    }

    function tell() {
      const tried = get().trials.filter(({ trial }) => trial.on);
      set({ held: { held: tried.filter(hasHeld).length, of: tried.length } });
    }

    /** The trials are those of the profile at once, so that the next key finds what the one before did. */
    function soon(profile: Profile) {
      stopAll();
      set({ profile, trials: untried(profile), isWatching: true });
      clearTimeout(timer);
      timer = setTimeout(watch, SOON_MS);
    }
    store.subscribe((now, before) => {
      if (now.profile !== before.profile) soon(now.profile);
    });
    timer = setTimeout(watch, SOON_MS);

    return {
      profile: store.getState().profile,
      trials: untried(store.getState().profile),
      isWatching: true,
      held: null,
      runAll(id) {
        const { profile, trials } = get();
        const watched = trials.find(({ trial }) => trial.id === id);
        if (!watched || watched.isRunning) return;
        const { trial, count } = watched;
        change(id, () => ({ isRunning: true, report: null }));
        const options = { isMeasured: true };
        asked.push(
          tryVariations(
            { profile, trial, options, isByHand: true },
            [0, count],
            (result, isDone) => {
              take(id, result, isDone ? { isRunning: false } : {});
              if (isDone) tell();
            },
          ),
        );
      },
      stop() {
        for (const running of asked) running.cancel();
        asked = [];
        set({ trials: get().trials.map((each) => ({ ...each, isRunning: false })) });
      },
      explain(id) {
        const { profile, trials } = get();
        const watched = trials.find(({ trial }) => trial.id === id);
        if (!watched?.result || !isFailing(watched.result) || watched.report) return;
        const { trial, result } = watched;
        asked.push(
          reportOn({ profile, trial, options: {} }, result, (report) =>
            change(id, () => ({ report })),
          ),
        );
      },
    };
  },
  { isOfProfile: true },
);
