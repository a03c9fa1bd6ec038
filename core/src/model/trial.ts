import { z } from 'zod';
import { byShape, fields, flagField, idField, listOf, textField, whole } from '../values/fields.ts';
import { expectationSchema, type Expectation } from './expectation.ts';
import { migratedScript } from './migrate.ts';
import { stepIn, STEPS, type ScriptStep } from './script.ts';
import { standingSchema } from './session.ts';

const { same: _look, ...DONE } = STEPS;
const doneStep = byShape(Object.values(DONE), (step): z.ZodType<ScriptStep> =>
  stepIn<z.ZodType<ScriptStep>>(DONE, step),
);
const WITH_EXPECTATIONS = {
  ...DONE,
  expect: fields({ expect: expectationSchema }),
  anyOrder: fields({
    anyOrder: listOf(doneStep, 'steps', 30).min(2, { error: 'at least two steps' }),
  }),
};
/** One step of a trial: one of a script, an expectation, or several steps in any order. */
export type TrialStep = ScriptStep | { expect: Expectation } | { anyOrder: ScriptStep[] };
/** A step of a trial. */
export const trialStepSchema = byShape(
  Object.values(WITH_EXPECTATIONS),
  (step): z.ZodType<TrialStep> => stepIn<z.ZodType<TrialStep>>(WITH_EXPECTATIONS, step),
);

/** In how many ways a trial is tried: each that is on is combined with each other. */
const varySchema = fields({
  /** On each desk of the profile, beside the one that it begins on. */
  desks: flagField.default(false),
  /** The steps once, and the steps twice. */
  twice: flagField.default(false),
  /** With none and up to so many further windows. */
  further: whole(0, 50).default(0),
  /** Each monitor is pulled after each step, and plugged in again. */
  pulled: flagField.default(false),
  /** Minimums of windows as they are, and a quarter larger. */
  minimums: flagField.default(false),
});

/** A script with expectations, which is tried with its variations. */
const wholeTrialSchema = fields({
  id: idField,
  name: textField.exactOptional(),
  on: flagField.default(true),
  /** How the desk stands when it begins: as windows open where no more is said. */
  session: standingSchema.prefault({}),
  steps: listOf(trialStepSchema, 'steps', 1_000).default([]),
  vary: varySchema.prefault({}),
});
export const trialSchema = z.preprocess(migratedScript, wholeTrialSchema);
export type Trial = z.output<typeof wholeTrialSchema>;
