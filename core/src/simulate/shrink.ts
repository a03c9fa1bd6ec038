import type { Profile } from '../model/profile.ts';
import type { Trial } from '../model/trial.ts';
import { runTry, type Failure } from './trial.ts';
import { itemsIn, subjectOf, type TrialSubject, type TryItem } from './trial-subject.ts';
import type { Variation } from './variations.ts';

/** The shortest case found in which an expectation does not hold. */
export interface FailingCase {
  subject: TrialSubject;
  items: readonly TryItem[];
  failure: Failure;
  /** How many tries it took to find it. */
  tries: number;
}

/**
 * Makes a failing try as short as it can be: what varies is left out, then windows of the beginning and steps one by one,
 * and steps come back into the order in which they are written, for as long as the same expectation still fails, and
 * for the same kind of reason. Nothing of what is left can be left out by itself.
 */
export function shrinkFailure(
  profile: Profile,
  trial: Trial,
  variation: Variation,
  failed: Pick<Failure, 'number' | 'isMissing'>,
): FailingCase {
  let tries = 0;
  const failureOf = (subject: TrialSubject, items: readonly TryItem[]): Failure | null => {
    tries += 1;
    const { failures } = runTry(subject, items);
    return failures.find(({ isMissing }) => isMissing === failed.isMissing) ?? null;
  };
  // No other expectation is left that could fail in its place.
  const isAlike = (item: TryItem) => !('expect' in item) || item.number === failed.number;
  const caseOf = (of: Trial, varied: Variation) => {
    const subject = subjectOf(profile, of, varied);
    return { subject, items: itemsIn(subject, varied.orders).filter(isAlike) };
  };

  let varied = variation;
  for (const plainer of plainerVariations(variation)) {
    const next = { ...plainer(varied), orders: varied.orders };
    const { subject, items } = caseOf(trial, next);
    if (failureOf(subject, items)) varied = next;
  }
  let { subject, items } = caseOf(trial, varied);
  const written = itemsIn(
    subject,
    varied.orders.map((order) => order.map((_, i) => i)),
  );
  const before = (one: TryItem, other: TryItem) => written.indexOf(one) < written.indexOf(other);

  let windows = trial.session.windows;
  for (const window of trial.session.windows) {
    const fewer = windows.filter((each) => each !== window);
    const next = subjectOf(profile, withWindows(trial, fewer), varied);
    if (!failureOf({ ...subject, session: next.session }, items)) continue;
    windows = fewer;
    subject = { ...subject, session: next.session };
  }
  for (let isShorter = true; isShorter;) {
    isShorter = false;
    for (const item of items) {
      if ('expect' in item) continue;
      const fewer = items.filter((each) => each !== item);
      if (!failureOf(subject, fewer)) continue;
      items = fewer;
      isShorter = true;
    }
    for (let i = 0; i + 1 < items.length; i++) {
      const [one, other] = [items[i]!, items[i + 1]!];
      if ('expect' in one || 'expect' in other || before(one, other)) continue;
      const straighter = items.with(i, other).with(i + 1, one);
      if (!failureOf(subject, straighter)) continue;
      items = straighter;
      isShorter = true;
    }
  }
  return { subject, items, failure: failureOf(subject, items)!, tries };
}

function withWindows(trial: Trial, windows: Trial['session']['windows']): Trial {
  const { focus, ...session } = trial.session;
  const isThere = windows.some(({ id }) => id === focus);
  return {
    ...trial,
    session: { ...session, windows, ...(isThere && focus !== undefined && { focus }) },
  };
}

/** Ways to make a variation plainer by one thing. */
function plainerVariations(variation: Variation): ((of: Variation) => Variation)[] {
  return [
    ({ pulled: _, ...rest }) => rest,
    (of) => ({ ...of, further: 0 }),
    ...(variation.further > 1
      ? [(of: Variation) => ({ ...of, further: Math.min(1, of.further) })]
      : []),
    (of) => ({ ...of, isTwice: false }),
    (of) => ({ ...of, areMinimumsLarger: false }),
    ({ desk: _, ...rest }) => rest,
  ];
}
