import type { Profile } from '../model/profile.ts';
import type { ScriptStep } from '../model/script.ts';
import type { Trial, TrialStep } from '../model/trial.ts';

/** One way in which a trial is tried. */
export interface Variation {
  /** For each group of steps in any order: the places of its steps, in the order in which they come. */
  orders: readonly (readonly number[])[];
  /** The desk that it begins on; that of the trial where left out. */
  desk?: string;
  isTwice: boolean;
  /** How many further windows are open. */
  further: number;
  /** The monitor that is pulled, and plugged in again, after how many steps. */
  pulled?: { monitor: string; after: number };
  areMinimumsLarger: boolean;
}

/** All ways in which a trial is tried, each by its number from 0; number 0 is the trial as it is written. */
export interface Variations {
  count: number;
  at: (number: number) => Variation;
}

/** Of more steps than this not every order is tried. */
const ALL_ORDERS_OF = 7;

/**
 * The variations of a trial, multiplied.
 *
 * @param orders of a group with more orders than are tried, so many are: the one as written, and others by the seed
 */
export function variationsOf(
  profile: Profile,
  trial: Trial,
  { orders = 200, seed = 1 }: { orders?: number; seed?: number } = {},
): Variations {
  const { vary, session } = trial;
  const groups = trial.steps.flatMap((step) => ('anyOrder' in step ? [step.anyOrder.length] : []));
  const desks: (string | undefined)[] = [
    undefined,
    ...(vary.desks ? profile.desks.map(({ id }) => id) : []).filter((id) => id !== session.desk),
  ];
  const length = trial.steps.reduce((sum, step) => sum + lengthOf(step), 0);
  const pulled: Variation['pulled'][] = [undefined];
  if (vary.pulled)
    for (const { id } of profile.monitors)
      for (let after = 0; after <= length; after++) pulled.push({ monitor: id, after });
  const perGroup = groups.map((steps) =>
    steps <= ALL_ORDERS_OF ? factorial(steps) : Math.max(1, orders),
  );
  const rest = [
    desks.length,
    vary.twice ? 2 : 1,
    vary.further + 1,
    pulled.length,
    vary.minimums ? 2 : 1,
  ];
  // Orders come fastest, the last group first: two that follow each other begin alike.
  const sizes = [...rest, ...perGroup];
  return {
    count: sizes.reduce((product, size) => product * size, 1),
    at(number) {
      const digits = digitsOf(number, sizes);
      const [desk = 0, twice = 0, further = 0, pull = 0, minimums = 0, ...chosen] = digits;
      const [onDesk, pulling] = [desks[desk], pulled[pull]];
      return {
        orders: groups.map((steps, group) =>
          steps <= ALL_ORDERS_OF
            ? permutation(steps, chosen[group]!)
            : shuffle(steps, chosen[group]!, seed),
        ),
        ...(onDesk !== undefined && { desk: onDesk }),
        isTwice: twice === 1,
        further,
        ...(pulling && { pulled: pulling }),
        areMinimumsLarger: minimums === 1,
      };
    },
  };
}

/** How many things of a try a step is: those that only look are none. */
function lengthOf(step: TrialStep): number {
  if ('anyOrder' in step) return step.anyOrder.filter(doesSomething).length;
  return 'expect' in step || !doesSomething(step) ? 0 : 1;
}

function doesSomething(step: ScriptStep): boolean {
  return !('mark' in step) && !('same' in step);
}

/** The digits of a number where each place has a base of its own. */
function digitsOf(number: number, bases: readonly number[]): number[] {
  const digits: number[] = [];
  let left = number;
  for (const base of [...bases].reverse()) {
    digits.unshift(left % base);
    left = Math.floor(left / base);
  }
  return digits;
}

function factorial(of: number): number {
  return of <= 1 ? 1 : of * factorial(of - 1);
}

/** The order with a number, of all orders of so many things as a dictionary has them; 0 is the one as they are. */
function permutation(length: number, number: number): number[] {
  const left = Array.from({ length }, (_, i) => i);
  let rest = number;
  return left.slice().map((_, i) => {
    const each = factorial(length - 1 - i);
    const [at] = left.splice(Math.floor(rest / each), 1);
    rest %= each;
    return at!;
  });
}

/** An order by chance, the same for the same number and seed; number 0 is the one as they are. */
function shuffle(length: number, number: number, seed: number): number[] {
  const order = Array.from({ length }, (_, i) => i);
  if (number === 0) return order;
  const random = randomBelow(seed * 1_000_003 + number);
  // Fisher and Yates: each order is as likely as each other.
  for (let i = length - 1; i > 0; i--) {
    const j = random(i + 1);
    [order[i], order[j]] = [order[j]!, order[i]!];
  }
  return order;
}

/** Whole numbers below a limit, by Marsaglia's xorshift of 32 bits. */
function randomBelow(seed: number): (limit: number) => number {
  let state = Math.imul(seed, 0x9e3779b1) | 0 || 1;
  return (limit) => {
    state ^= state << 13;
    state ^= state >>> 17;
    state ^= state << 5;
    return (state >>> 0) % limit;
  };
}
