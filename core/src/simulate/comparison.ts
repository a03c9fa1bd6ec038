import { withDifference } from '../files/apply-difference.ts';
import { differences } from '../files/differences.ts';
import { changeText } from '../files/words.ts';
import type { Profile } from '../model/profile.ts';
import type { Session } from '../model/session.ts';
import type { Trial } from '../model/trial.ts';
import type { Look } from './expect.ts';
import { itemText } from './item-text.ts';
import {
  MEASURE_NAMES,
  MEASURES,
  measuresOf,
  NOTHING_MEASURED,
  sumOfMeasures,
  type MeasureName,
  type StepMeasures,
} from './step-measures.ts';
import { tryWithLooks } from './trial.ts';
import { itemsIn, subjectOf } from './trial-subject.ts';
import { variationsOf } from './variations.ts';

/** How a desk is after a step, and what the step cost. The first one is the desk at the beginning. */
interface MeasuredStep {
  text: string;
  session: Session;
  profile: Profile;
  measures: StepMeasures;
}

/** A script on one profile. */
export interface MeasuredRun {
  steps: readonly MeasuredStep[];
  total: StepMeasures;
}

/** The steps of a trial, as they are written, on a profile: what is expected is left out. */
export function measuredRun(profile: Profile, trial: Trial): MeasuredRun {
  const variation = variationsOf(profile, trial).at(0);
  const subject = subjectOf(profile, trial, variation);
  const items = itemsIn(subject, variation.orders).filter((item) => !('expect' in item));
  const { looks } = tryWithLooks(subject, items);
  const at = ({ session, profile: then }: Look) => ({ session, profile: then });
  const steps = items.map((item, i): MeasuredStep => {
    const [before, after] = [looks[i]!, looks[i + 1]!];
    const measures = measuresOf('step' in item ? item.step : null, before, after);
    return { text: itemText(item), ...at(after), measures };
  });
  const begun = { text: 'It begins', ...at(looks[0]!), measures: NOTHING_MEASURED };
  return { steps: [begun, ...steps], total: sumOfMeasures(steps.map(({ measures }) => measures)) };
}

/** One change between two profiles, and what it alone makes of each measure of a script. */
export interface ChangeShare {
  text: string;
  shares: StepMeasures;
}

/** What makes the difference between two profiles in a script: change by change, and what only several do together. */
export interface Shares {
  changes: ChangeShare[];
  /** What is left of the difference. */
  together: StepMeasures;
}

/** Runs a trial once for each change between two profiles, with that change alone. */
export function changeShares(before: Profile, after: Profile, trial: Trial): Shares {
  const [was, becomes] = [measuredRun(before, trial).total, measuredRun(after, trial).total];
  const changes = differences(before, after)
    // What is tried is the same script for both.
    .filter(({ path }) => path[0] !== 'trials' && path[0] !== 'name')
    .map((difference): ChangeShare => {
      const alone = withDifference(before, difference);
      return {
        text: changeText(difference, before, after),
        shares: lessMeasures(measuredRun(alone, trial).total, was),
      };
    });
  const sum = sumOfMeasures(changes.map(({ shares }) => shares));
  return { changes, together: lessMeasures(lessMeasures(becomes, was), sum) };
}

/** The first measures less the second. */
export function lessMeasures(one: StepMeasures, other: StepMeasures): StepMeasures {
  const less = { ...NOTHING_MEASURED };
  for (const name of MEASURE_NAMES) less[name] = one[name] - other[name];
  return less;
}

/** A measure's figure as it is written. */
export function measureText(name: MeasureName, value: number): string {
  return value.toFixed(MEASURES[name].decimals).replace(/^-(0(\.0+)?)$/, '$1');
}
