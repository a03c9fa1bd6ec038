export { type BestShare, type Rating, type Search, searchBestShare } from './best-share.ts';
export { builtInTrials } from './built-in-trials.ts';
export { Look, type Miss } from './expect.ts';
export { expectationText, readExpectation } from './expectation-text.ts';
export { type Landing, landings } from './landing.ts';
export { type Lever, leverOf } from './lever.ts';
export { type Before } from './order-cause.ts';
export { type Played, play, scriptSchema } from './script.ts';
export { type FailingCase } from './shrink.ts';
export { type Band, SWEEP, type Sweep, sweep } from './sweep.ts';
export { expectationsOf, type Failure } from './trial.ts';
export { type FailureReport, trialReport, type TrialReport } from './trial-report.ts';
export { type TryStep, tryInSteps } from './trial-steps.ts';
export { itemText } from './item-text.ts';
export { type ExpectedPlace } from './expected-place.ts';
export {
  allTries,
  joinedResults,
  type TrialOptions,
  type TrialResult,
  tryTrial,
} from './trial-result.ts';
export { itemsIn, subjectOf, type TryItem } from './trial-subject.ts';
export { variationsOf } from './variations.ts';
export { readStepLine, stepLine } from './step-line.ts';
export {
  keptSteps,
  type KeptSteps,
  offeredExpectations,
  type OfferedExpectation,
  pressesIn,
  type Recorded,
} from './kept-trial.ts';
export {
  linesOfTrial,
  type StepPlace,
  type TrialLine,
  withAnyOrder,
  withFixedOrder,
  withNewTrial,
  withoutStep,
  withoutTrial,
  withStepAfter,
  withStepAt,
  withStepMoved,
  withTrial,
} from './trial-edits.ts';
export { type Bin, binsOf, type EndPlace, endPlaces } from './trial-figures.ts';
export {
  changeShares,
  type ChangeShare,
  lessMeasures,
  measuredRun,
  type MeasuredRun,
  measureText,
  type Shares,
} from './comparison.ts';
export { type Compared, comparisonCsv, comparisonHtml, comparisonSvg } from './comparison-files.ts';
export { MEASURE_NAMES, type MeasureName, MEASURES, type StepMeasures } from './step-measures.ts';
