import { freeId } from '../desk/edit.ts';
import type { Profile } from '../model/profile.ts';
import type { ScriptStep } from '../model/script.ts';
import { trialSchema, type Trial, type TrialStep } from '../model/trial.ts';
import { stepLine } from './step-line.ts';

/** Where a step stands in a trial, and which one of a group in any order it is; null outside a group. */
export interface StepPlace {
  step: number;
  inGroup: number | null;
}

/** One step of a trial as it stands in its list. */
export interface TrialLine {
  place: StepPlace;
  step: Exclude<TrialStep, { anyOrder: unknown }>;
  text: string;
}

/** The steps of a trial in a list, those of groups one by one. */
export function linesOfTrial(trial: Trial): TrialLine[] {
  return trial.steps.flatMap((step, i): TrialLine[] =>
    'anyOrder' in step
      ? step.anyOrder.map((each, j) => lineAt(each, { step: i, inGroup: j }))
      : [lineAt(step, { step: i, inGroup: null })],
  );
}

function lineAt(step: TrialLine['step'], place: StepPlace): TrialLine {
  return { place, step, text: stepLine(step) };
}

/** The profile with one more trial. */
export function withNewTrial(
  profile: Profile,
  { name, ...trial }: Partial<Trial> & { name: string },
): { profile: Profile; id: string } {
  const taken = profile.trials.map(({ id }) => id);
  const id = freeId(name, taken, 'trial');
  const made = trialSchema.parse({ ...trial, id, name });
  return { profile: { ...profile, trials: [...profile.trials, made] }, id };
}

/** The profile with a trial changed; its id stays. */
export function withTrial(profile: Profile, id: string, change: (trial: Trial) => Trial): Profile {
  return {
    ...profile,
    trials: profile.trials.map((trial) => (trial.id === id ? change(trial) : trial)),
  };
}

/** The profile without a trial. */
export function withoutTrial(profile: Profile, id: string): Profile {
  return { ...profile, trials: profile.trials.filter((trial) => trial.id !== id) };
}

/** The trial with a step after a place; at its beginning where there is none. An expectation goes behind a group. */
export function withStepAfter(
  trial: Trial,
  place: StepPlace | null,
  step: TrialLine['step'],
): Trial {
  if (place === null) return { ...trial, steps: [step, ...trial.steps] };
  const { step: at, inGroup } = place;
  const group = trial.steps[at];
  if (inGroup === null || 'expect' in step || !group || !('anyOrder' in group))
    return { ...trial, steps: trial.steps.toSpliced(at + 1, 0, step) };
  return withGroup(trial, at, group.anyOrder.toSpliced(inGroup + 1, 0, step));
}

/** The trial with another step in a place. */
export function withStepAt(
  trial: Trial,
  { step: at, inGroup }: StepPlace,
  step: TrialLine['step'],
): Trial {
  const group = trial.steps[at];
  if (inGroup === null || !group || !('anyOrder' in group))
    return { ...trial, steps: trial.steps.with(at, step) };
  // What is expected stands for no order.
  if ('expect' in step) return trial;
  return withGroup(trial, at, group.anyOrder.with(inGroup, step));
}

/** The trial without a step. */
export function withoutStep(trial: Trial, { step: at, inGroup }: StepPlace): Trial {
  const group = trial.steps[at];
  if (inGroup === null || !group || !('anyOrder' in group))
    return { ...trial, steps: trial.steps.toSpliced(at, 1) };
  return withGroup(trial, at, group.anyOrder.toSpliced(inGroup, 1));
}

/** The trial with a step earlier or later, and its place then; in a group among its steps, a group as a whole past others. */
export function withStepMoved(
  trial: Trial,
  place: StepPlace,
  by: 1 | -1,
): { trial: Trial; place: StepPlace } {
  const { step: at, inGroup } = place;
  const group = trial.steps[at];
  if (inGroup !== null && group && 'anyOrder' in group) {
    const to = inGroup + by;
    if (to >= 0 && to < group.anyOrder.length) {
      const anyOrder = swapped(group.anyOrder, inGroup, to);
      return { trial: withGroup(trial, at, anyOrder), place: { step: at, inGroup: to } };
    }
  }
  const to = at + by;
  if (to < 0 || to >= trial.steps.length) return { trial, place };
  return {
    trial: { ...trial, steps: swapped(trial.steps, at, to) },
    place: { ...place, step: to },
  };
}

/** The trial with a step in one group with the one before it: they come in any order. */
export function withAnyOrder(trial: Trial, { step: at }: StepPlace): Trial {
  const [before, here] = [trial.steps[at - 1], trial.steps[at]];
  if (!before || !here || 'expect' in before || 'expect' in here) return trial;
  const steps = [...stepsIn(before), ...stepsIn(here)];
  return { ...trial, steps: trial.steps.toSpliced(at - 1, 2, { anyOrder: steps }) };
}

/** The trial with the steps of a group one after the other, in the order in which they are written. */
export function withFixedOrder(trial: Trial, { step: at }: StepPlace): Trial {
  const group = trial.steps[at];
  if (!group || !('anyOrder' in group)) return trial;
  return { ...trial, steps: trial.steps.toSpliced(at, 1, ...group.anyOrder) };
}

function stepsIn(step: Exclude<TrialStep, { expect: unknown }>): ScriptStep[] {
  return 'anyOrder' in step ? step.anyOrder : [step];
}

/** A group of one step is none. */
function withGroup(trial: Trial, at: number, anyOrder: ScriptStep[]): Trial {
  const [only] = anyOrder;
  const steps: TrialStep[] = anyOrder.length > 1 ? [{ anyOrder }] : only ? [only] : [];
  return { ...trial, steps: trial.steps.toSpliced(at, 1, ...steps) };
}

function swapped<T>(list: readonly T[], one: number, other: number): T[] {
  return list.with(one, list[other]!).with(other, list[one]!);
}
