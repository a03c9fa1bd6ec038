import type { Profile, Trial } from '@sorn/core/model';
import {
  joinedResults,
  type Shares,
  type TrialOptions,
  type TrialReport,
  type TrialResult,
} from '@sorn/core/simulate';
import { wrap, type Remote } from 'comlink';
import type { SentProfile, TryWorker } from './try.worker.ts';

/** A worker is away for at most so long at once: so long it takes until a cancel is heard, and until there is progress. */
const SLICE_MS = 60;
/** So many tries are given to a worker at once, if there is time for them. */
const AT_ONCE = 400;

interface PoolWorker {
  worker: Worker;
  remote: Remote<TryWorker>;
  /** The number of the profile that it has. */
  has: number;
}

/** One piece of work of a job, on whichever worker is free. */
interface Task {
  job: Job;
  run: (remote: Remote<TryWorker>, sent: SentProfile) => Promise<void>;
  /** It cannot be done in slices: a worker that is in the middle of it is ended when it is cancelled. */
  isWhole?: boolean;
}

/** Work that is cancelled as a whole. What is asked for by hand comes before what is done after every edit. */
interface Job {
  readonly profile: Profile;
  readonly isByHand: boolean;
  isCancelled: boolean;
}

const workers: PoolWorker[] = [];
const idle: PoolWorker[] = [];
const busy = new Map<PoolWorker, Task>();
let waiting: Task[] = [];

/** Two at least; one processor is left to the page. */
const MOST_WORKERS = Math.max(2, Math.min(6, navigator.hardwareConcurrency - 1));

const numbers = new WeakMap<Profile, number>();
let profileCount = 0;

function numberOf(profile: Profile): number {
  const number = numbers.get(profile) ?? ++profileCount;
  numbers.set(profile, number);
  return number;
}

function newWorker(): PoolWorker {
  const worker = new Worker(new URL('./try.worker.ts', import.meta.url), { type: 'module' });
  const made = { worker, remote: wrap<TryWorker>(worker), has: 0 };
  // One that could not be loaded, or stopped, is replaced by the next task.
  worker.addEventListener('error', () => endWorker(made));
  workers.push(made);
  return made;
}

function endWorker(ended: PoolWorker): void {
  ended.worker.terminate();
  busy.delete(ended);
  for (const list of [workers, idle]) {
    const at = list.indexOf(ended);
    if (at >= 0) list.splice(at, 1);
  }
}

function take(task: Task): void {
  waiting.push(task);
  next();
}

function next(): void {
  waiting = waiting.filter(({ job }) => !job.isCancelled);
  while (waiting.length > 0) {
    const free = idle.pop() ?? (workers.length < MOST_WORKERS ? newWorker() : null);
    if (!free) return;
    const at = Math.max(
      0,
      waiting.findIndex(({ job }) => job.isByHand),
    );
    const [task] = waiting.splice(at, 1);
    void runOn(free, task!);
  }
}

async function runOn(free: PoolWorker, task: Task): Promise<void> {
  const number = numberOf(task.job.profile);
  const profile = free.has === number ? null : task.job.profile;
  free.has = number;
  busy.set(free, task);
  try {
    await task.run(free.remote, { number, profile });
  } finally {
    // It may have been ended meanwhile.
    if (busy.delete(free)) {
      idle.push(free);
      next();
    }
  }
}

function cancel(job: Job): void {
  job.isCancelled = true;
  for (const [worker, task] of busy) if (task.job === job && task.isWhole) endWorker(worker);
  next();
}

/** Work under way. */
export interface Running {
  cancel: () => void;
}

/** Tries trials as they are written, one try each, all of them in one go. */
export function tryWritten(
  profile: Profile,
  trials: readonly Trial[],
  onResults: (results: readonly TrialResult[]) => void,
): Running {
  const job: Job = { profile, isByHand: false, isCancelled: false };
  take({
    job,
    async run(remote, sent) {
      const results = await remote.written(sent, trials);
      if (!job.isCancelled) onResults(results);
    },
  });
  return { cancel: () => cancel(job) };
}

/**
 * Tries a trial from one number of its variations up to another, in all workers that are free.
 *
 * @param onResult with what came of all tries so far, as they come
 */
export function tryVariations(
  of: { profile: Profile; trial: Trial; options: TrialOptions; isByHand: boolean },
  [from, to]: readonly [number, number],
  onResult: (result: TrialResult, isDone: boolean) => void,
): Running {
  const job: Job = { profile: of.profile, isByHand: of.isByHand, isCancelled: false };
  let joined: TrialResult | null = null;
  let left = to - from;
  const add = (begin: number, end: number) =>
    take({
      job,
      async run(remote, sent) {
        const result = await remote.tries(sent, of.trial, of.options, [begin, end], SLICE_MS);
        if (job.isCancelled) return;
        joined = joinedResults(of.trial, joined ? [joined, result] : [result]);
        // Where nothing was tried there is no variation left: that is the end of it.
        const until = result.tries === 0 ? end : begin + result.tries;
        left -= until - begin;
        if (until < end) add(until, end);
        onResult(joined, left <= 0);
      },
    });
  for (let begin = from; begin < to; begin += AT_ONCE) add(begin, Math.min(to, begin + AT_ONCE));
  return { cancel: () => cancel(job) };
}

/** Looks for the shortest failing case of what was tried, and for what mends it. */
export function reportOn(
  of: { profile: Profile; trial: Trial; options: TrialOptions },
  result: TrialResult,
  onReport: (report: TrialReport) => void,
): Running {
  const job: Job = { profile: of.profile, isByHand: true, isCancelled: false };
  take({
    job,
    isWhole: true,
    async run(remote, sent) {
      const report = await remote.report(sent, of.trial, result, of.options);
      if (!job.isCancelled) onReport(report);
    },
  });
  return { cancel: () => cancel(job) };
}

/** Looks for what makes the difference between two profiles in a script, change by change. */
export function sharesOf(
  of: { before: Profile; after: Profile; trial: Trial },
  onShares: (shares: Shares) => void,
): Running {
  const job: Job = { profile: of.before, isByHand: true, isCancelled: false };
  take({
    job,
    isWhole: true,
    async run(remote, sent) {
      const shares = await remote.shares(sent, of.after, of.trial);
      if (!job.isCancelled) onShares(shares);
    },
  });
  return { cancel: () => cancel(job) };
}
