import { deskInForce } from '../desk/desk.ts';
import type { Expectation } from '../model/expectation.ts';
import type { Profile } from '../model/profile.ts';
import type { ScriptStep } from '../model/script.ts';
import type { Trial } from '../model/trial.ts';
import { triggerOf } from '../values/trigger.ts';
import { Look, missOf, type Miss } from './expect.ts';
import { movedPixels } from './moved-pixels.ts';
import { applyPress, type Pressing } from './press.ts';
import { applyStep, beginning, type ScriptState } from './script.ts';
import { itemsIn, subjectOf, type TrialSubject, type TryItem } from './trial-subject.ts';
import type { Variation } from './variations.ts';

/** An expectation of a try that does not hold. */
export interface Failure extends Miss {
  /** Which expectation of the trial it is, counted from 0. */
  number: number;
  /** Where in the items of the try it stands. */
  at: number;
}

/** What came of a try. */
export interface TryOutcome {
  items: readonly TryItem[];
  failures: readonly Failure[];
  presses: number;
  /** How far windows moved, in physical pixels; 0 where it is not measured. */
  moved: number;
  /** The desk after the last item. */
  end: Look;
}

/** The expectations of a trial, in their order: their places here are their numbers. */
export function expectationsOf(trial: Trial): Expectation[] {
  return trial.steps.flatMap((step) => ('expect' in step ? [step.expect] : []));
}

/** How a try stands after some of its items. */
interface Point {
  item: TryItem | null;
  desk: Pressing;
  look: Look;
  before: Look | null;
  marks: ReadonlyMap<string, ScriptState>;
  presses: number;
  /** Null where it is not measured: it takes the placements after every step. */
  moved: number | null;
  failures: readonly Failure[];
}

/**
 * Tries a trial in one variation after the other: what two tries have in common at their beginnings is done once.
 *
 * @param isMeasured tells how far windows moved, too
 */
export function trialRunner(
  profile: Profile,
  trial: Trial,
  isMeasured = false,
): (variation: Variation) => TryOutcome {
  let subject: TrialSubject | null = null;
  let subjectKey = '';
  let points: Point[] = [];
  return (variation) => {
    const { orders, ...others } = variation;
    const key = JSON.stringify(others);
    if (!subject || key !== subjectKey) {
      subject = subjectOf(profile, trial, variation);
      subjectKey = key;
      points = [{ ...beginningOf(subject), moved: isMeasured ? 0 : null }];
    }
    points = runItems(points, itemsIn(subject, orders));
    return outcomeOf(points);
  };
}

/** Tries items on a subject. */
export function runTry(subject: TrialSubject, items: readonly TryItem[]): TryOutcome {
  return outcomeOf(runItems([beginningOf(subject)], items));
}

/** Tries items on a subject, with the desk before each of them and after the last one. */
export function tryWithLooks(
  subject: TrialSubject,
  items: readonly TryItem[],
): { outcome: TryOutcome; looks: Look[] } {
  const points = runItems([beginningOf(subject)], items);
  return { outcome: outcomeOf(points), looks: points.map(({ look }) => look) };
}

function beginningOf({ session, profile }: TrialSubject): Point {
  const desk = beginning(session, profile);
  const look = new Look(desk);
  return {
    item: null,
    desk,
    look,
    before: null,
    marks: new Map(),
    presses: 0,
    moved: null,
    failures: [],
  };
}

/** @param known points of another try of the same subject: those with the same items so far are kept */
function runItems(known: readonly Point[], items: readonly TryItem[]): Point[] {
  const points = [known[0]!];
  let isSame = true;
  for (const [i, item] of items.entries()) {
    isSame &&= known[i + 1]?.item === item;
    points.push(isSame ? known[i + 1]! : after(points[i]!, item, i));
  }
  return points;
}

function outcomeOf(points: readonly Point[]): TryOutcome {
  const { failures, presses, moved, look } = points.at(-1)!;
  const items = points.slice(1).map(({ item }) => item!);
  return { items, failures, presses, moved: Math.round(moved ?? 0), end: look };
}

function after(point: Point, item: TryItem, at: number): Point {
  if ('expect' in item) {
    const miss = missOf(item.expect, point.look, point);
    if (!miss) return { ...point, item };
    return { ...point, item, failures: [...point.failures, { ...miss, number: item.number, at }] };
  }
  if ('pull' in item) return stepped(point, item, pulledAndPlugged(point.desk, item.pull));
  const { step } = item;
  if ('mark' in step) {
    const marks = new Map(point.marks).set(step.mark, point.look.standing);
    return { ...point, item, marks };
  }
  // A trial has an expectation in its place.
  if ('same' in step) return { ...point, item };
  const done = stepped(point, item, applyStep(point.desk, step).desk);
  return { ...done, presses: point.presses + pressesOf(step) };
}

function stepped(point: Point, item: TryItem, desk: Pressing): Point {
  const look = new Look(desk);
  const moved =
    point.moved === null ? null : point.moved + movedPixels(point.look.placements, look.placements);
  return { ...point, item, desk, look, before: point.look, moved };
}

function pulledAndPlugged(desk: Pressing, monitor: string): Pressing {
  const connected = deskInForce(desk.profile, desk.session).monitors.map(({ id }) => id);
  const rest = connected.filter((id) => id !== monitor);
  if (rest.length === connected.length) return desk;
  const without = applyPress(desk, { type: 'monitors-changed', connected: rest }).desk;
  return applyPress(without, { type: 'monitors-changed', connected }).desk;
}

/** How many keys a step presses, modifiers not counted. */
function pressesOf(step: ScriptStep): number {
  if (!('press' in step)) return 0;
  if (typeof step.press === 'string') return triggerOf(step.press).steps.length;
  return step.press.filter((action) => 'down' in action && !action.repeat).length;
}
