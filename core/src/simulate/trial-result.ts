import type { Placement } from '../engine/placement.ts';
import type { Profile } from '../model/profile.ts';
import type { Trial } from '../model/trial.ts';
import type { Look } from './expect.ts';
import { orderCause, type Before } from './order-cause.ts';
import { expectationsOf, trialRunner, type Failure } from './trial.ts';
import { variationsOf } from './variations.ts';

/** How a trial is varied where its orders are too many to try them all. */
export interface TrialOptions {
  orders?: number;
  seed?: number;
  /** Tells how far windows moved, too; it takes longer. */
  isMeasured?: boolean;
}

/** What came of tries of a trial. Numbers of tries are those of its variations. */
export interface TrialResult {
  tries: number;
  /** Tries in which some expectation does not hold, in order. */
  failed: number[];
  /** For each expectation the tries in which it does not hold. */
  missed: number[][];
  /** The first failure of the first of them. */
  first: { number: number; failure: Failure } | null;
  /** How many tries took how many key presses. */
  presses: Record<number, number>;
  /** How many tries moved windows by how many physical pixels; empty where it is not measured. */
  moved: Record<number, number>;
  /** Where windows ended, by app and how many of it opened before: how many tries each rectangle had it. */
  ended: Record<string, Record<string, number>>;
}

function noTries(trial: Trial): TrialResult {
  const missed = expectationsOf(trial).map(() => []);
  return { tries: 0, failed: [], missed, first: null, presses: {}, moved: {}, ended: {} };
}

/**
 * Tries a trial in its variations from one number up to another, one at each step of the iteration.
 *
 * @param to all that there are where left out
 */
export function* tryTrial(
  profile: Profile,
  trial: Trial,
  options: TrialOptions = {},
  from = 0,
  to = Infinity,
): Generator<TrialResult, TrialResult> {
  const variations = variationsOf(profile, trial, options);
  const run = trialRunner(profile, trial, options.isMeasured);
  const result = noTries(trial);
  for (let number = from; number < Math.min(to, variations.count); number++) {
    const { failures, presses, moved, end } = run(variations.at(number));
    result.tries += 1;
    result.presses[presses] = (result.presses[presses] ?? 0) + 1;
    if (options.isMeasured) result.moved[moved] = (result.moved[moved] ?? 0) + 1;
    for (const missed of new Set(failures.map((failure) => failure.number)))
      result.missed[missed]!.push(number);
    if (failures[0]) {
      result.failed.push(number);
      result.first ??= { number, failure: failures[0] };
    }
    countEnds(result, end);
    yield result;
  }
  return result;
}

/** Tries a trial in its variations, all of them or from one number up to another, in one go. */
export function allTries(...given: Parameters<typeof tryTrial>): TrialResult {
  const tries = tryTrial(...given);
  for (;;) {
    const { done, value } = tries.next();
    if (done) return value;
  }
}

/** What came of tries of a trial, together. Order does not matter. */
export function joinedResults(trial: Trial, results: readonly TrialResult[]): TrialResult {
  const joined = noTries(trial);
  for (const result of results) {
    joined.tries += result.tries;
    joined.failed.push(...result.failed);
    result.missed.forEach((missed, i) => joined.missed[i]!.push(...missed));
    const { first } = result;
    if (first && (!joined.first || first.number < joined.first.number)) joined.first = first;
    addCounts(joined.presses, result.presses);
    addCounts(joined.moved, result.moved);
    for (const [window, ended] of Object.entries(result.ended))
      addCounts((joined.ended[window] ??= {}), ended);
  }
  const ascending = (a: number, b: number) => a - b;
  joined.failed.sort(ascending);
  for (const missed of joined.missed) missed.sort(ascending);
  return joined;
}

function addCounts(to: Record<string, number>, from: Record<string, number>): void {
  for (const [name, count] of Object.entries(from)) to[name] = (to[name] ?? 0) + count;
}

function countEnds(result: TrialResult, end: Look): void {
  const nth = new Map<string, number>();
  end.session.windows.forEach((window, i) => {
    const app = window.app ?? window.id;
    const number = (nth.get(app) ?? 0) + 1;
    nth.set(app, number);
    const placement = end.placements[i]!;
    if (!placement.shown) return;
    const ended = (result.ended[`${app} ${number}`] ??= {});
    const where = rectText(placement);
    ended[where] = (ended[where] ?? 0) + 1;
  });
}

function rectText({ x, y, width, height }: Placement): string {
  return `${x},${y},${width},${height}`;
}

/** Why an expectation does not hold in some orders. */
export interface OrderCause {
  /** Orders that were tried, and in how many of them it does not hold. */
  tried: number;
  missed: number;
  /** It fails exactly where all of these hold; null where no such set is. */
  before: Before[] | null;
  /** It holds exactly where all of these hold; null where no such set is. */
  holds: Before[] | null;
}

/**
 * Which step before which other one makes an expectation fail. Null where the trial has not one group of steps in any
 * order alone, or the order does not matter. Only tries count in which nothing else is varied.
 */
export function orderCauseOf(
  profile: Profile,
  trial: Trial,
  result: TrialResult,
  expectation: number,
  options: TrialOptions = {},
): OrderCause | null {
  const groups = trial.steps.filter((step) => 'anyOrder' in step);
  if (groups.length !== 1) return null;
  const plain: Trial = { ...trial, vary: NOTHING_VARIED };
  const orders = variationsOf(profile, plain, options);
  const missed = new Set(result.missed[expectation]);
  const failing: (readonly number[])[] = [];
  const others: (readonly number[])[] = [];
  for (let number = 0; number < orders.count; number++)
    (missed.has(number) ? failing : others).push(orders.at(number).orders[0]!);
  if (failing.length === 0 || others.length === 0) return null;
  return {
    tried: orders.count,
    missed: failing.length,
    before: orderCause(failing, others),
    holds: orderCause(others, failing),
  };
}

const NOTHING_VARIED: Trial['vary'] = {
  desks: false,
  twice: false,
  further: 0,
  pulled: false,
  minimums: false,
};
