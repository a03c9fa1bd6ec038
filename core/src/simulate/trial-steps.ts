import type { Expectation } from '../model/expectation.ts';
import type { Session } from '../model/session.ts';
import type { Profile } from '../model/profile.ts';
import { expectationText } from './expectation-text.ts';
import { expectedPlace, type ExpectedPlace } from './expected-place.ts';
import { itemText } from './item-text.ts';
import { tryWithLooks } from './trial.ts';
import type { TrialSubject, TryItem } from './trial-subject.ts';

/** One thing of a try as it is drawn: what it is, how the desk stands after it, and what of it does not hold. */
export interface TryStep {
  text: string;
  session: Session;
  profile: Profile;
  /** Which expectation of the trial it is, counted from 0; null where it is a step. */
  expectation: { number: number; text: string; expects: Expectation } | null;
  /** What stands there instead; null where it holds, or is a step. */
  failure: { found: string; windows: readonly string[]; place: ExpectedPlace | null } | null;
}

/** A try, thing by thing. */
export function tryInSteps(subject: TrialSubject, items: readonly TryItem[]): TryStep[] {
  const { outcome, looks } = tryWithLooks(subject, items);
  let done = 0;
  return items.map((item, i): TryStep => {
    const look = looks[i + 1]!;
    const { session, profile } = look;
    const at = { text: itemText(item), session, profile };
    if (!('expect' in item)) {
      done = i;
      return { ...at, expectation: null, failure: null };
    }
    const expectation = {
      number: item.number,
      text: expectationText(item.expect),
      expects: item.expect,
    };
    const failure = outcome.failures.find((each) => each.at === i);
    if (!failure) return { ...at, expectation, failure: null };
    const { found, windows } = failure;
    const place = expectedPlace(item.expect, look, looks[done] ?? null, windows);
    return { ...at, expectation, failure: { found, windows, place } };
  });
}
