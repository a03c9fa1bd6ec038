import type { KeyInput } from './state.ts';

/** A press of a key that does one thing tapped and another held, as it was timed. */
export interface TimedPress {
  code: string;
  /** How long it was down, in milliseconds. */
  ms: number;
  /** Another key was pressed and let go while it was down: that is a hold however short it is. */
  isNested: boolean;
}

/** The presses of some keys in a recording, those that were let go, in the order in which they ended. */
export function timedPresses(
  inputs: readonly KeyInput[],
  codes: ReadonlySet<string>,
): TimedPress[] {
  const down = new Map<string, { at: number; since: Set<string>; isNested: boolean }>();
  const ended: TimedPress[] = [];
  for (const input of inputs) {
    if (input.type === 'blur') down.clear();
    if (input.type === 'down' && input.repeat !== true) {
      for (const press of down.values()) press.since.add(input.code);
      if (codes.has(input.code))
        down.set(input.code, { at: input.at, since: new Set(), isNested: false });
    }
    if (input.type !== 'up') continue;
    const own = down.get(input.code);
    down.delete(input.code);
    for (const press of down.values()) if (press.since.has(input.code)) press.isNested = true;
    if (own) ended.push({ code: input.code, ms: input.at - own.at, isNested: own.isNested });
  }
  return ended;
}

/** Both kinds of errors at a hold time. */
export interface HoldErrors {
  holdMs: number;
  /** Presses that were meant to type and would count as holds. */
  asHolds: number;
  /** Presses that were meant to hold and would count as taps. */
  asTaps: number;
}

/** Hold times that are tried, in milliseconds. */
export const HOLD_TIMES = Array.from({ length: 46 }, (_, i) => 50 + 10 * i);

/**
 * The errors that there would be at every hold time.
 *
 * @param typed presses that were meant to type
 * @param held presses that were meant to hold
 */
export function holdErrors(
  typed: readonly TimedPress[],
  held: readonly TimedPress[],
): HoldErrors[] {
  const isHold = ({ ms, isNested }: TimedPress, holdMs: number) => isNested || ms >= holdMs;
  return HOLD_TIMES.map((holdMs) => ({
    holdMs,
    asHolds: typed.filter((press) => isHold(press, holdMs)).length,
    asTaps: held.filter((press) => !isHold(press, holdMs)).length,
  }));
}

/**
 * The hold time with the fewest errors, as shares of both kinds; of several that are alike the one in the middle, which
 * has the most room on both sides. Null where nothing was recorded.
 */
export function bestHoldTime(
  typed: readonly TimedPress[],
  held: readonly TimedPress[],
): HoldErrors | null {
  if (typed.length + held.length === 0) return null;
  const all = holdErrors(typed, held);
  const share = ({ asHolds, asTaps }: HoldErrors) =>
    asHolds / Math.max(1, typed.length) + asTaps / Math.max(1, held.length);
  const least = Math.min(...all.map(share));
  const best = all.filter((errors) => share(errors) <= least + 1e-9);
  // The longest run of them: others may be as good by chance, far from it.
  const runs = best.reduce<HoldErrors[][]>((found, errors) => {
    const last = found.at(-1);
    const isNext = last && errors.holdMs - last.at(-1)!.holdMs <= 10;
    if (isNext) last.push(errors);
    else found.push([errors]);
    return found;
  }, []);
  const longest = runs.reduce((a, b) => (b.length > a.length ? b : a));
  return longest[Math.floor((longest.length - 1) / 2)]!;
}
