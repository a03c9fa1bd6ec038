import { openSession } from '../engine/open.ts';
import type { Expectation } from '../model/expectation.ts';
import type { Profile } from '../model/profile.ts';
import type { ScriptStep } from '../model/script.ts';
import { sessionSchema, type Session } from '../model/session.ts';
import type { Trial, TrialStep } from '../model/trial.ts';
import type { Variation } from './variations.ts';

/** One thing of a try: a step, a monitor that is pulled and plugged in again, or an expectation with its number. */
export type TryItem =
  { step: ScriptStep } | { pull: string } | { expect: Expectation; number: number };

/** What is tried, but for the order of steps: the profile, how the desk stands, and the items in their groups. */
export interface TrialSubject {
  profile: Profile;
  session: Session;
  /** One item, or several in any order. */
  parts: readonly (TryItem | readonly TryItem[])[];
  pulled?: { item: TryItem; after: number };
}

/** A trial as a variation has it, but for the order of steps. */
export function subjectOf(profile: Profile, trial: Trial, variation: Variation): TrialSubject {
  const subject = variation.areMinimumsLarger
    ? { profile: withLargerApps(profile), trial: withLargerWindows(trial) }
    : { profile, trial };
  const once = partsOf(subject.trial.steps);
  const { pulled } = variation;
  return {
    profile: subject.profile,
    session: sessionOf(subject.profile, subject.trial.session, variation),
    parts: variation.isTwice ? [...once, ...partsOf(subject.trial.steps.map(again(trial)))] : once,
    ...(pulled && { pulled: { item: { pull: pulled.monitor }, after: pulled.after } }),
  };
}

/** The items of a subject in an order of the steps of its groups. */
export function itemsIn({ parts, pulled }: TrialSubject, orders: Variation['orders']): TryItem[] {
  let group = 0;
  const items = parts.flatMap((part) => {
    if (!isGroup(part)) return [part];
    const order = orders[group++ % orders.length]!;
    return order.map((at) => part[at]!);
  });
  if (!pulled) return items;
  const doing = items.flatMap((item, i) => (isDone(item) ? [i] : []));
  const at = pulled.after === 0 ? 0 : (doing[pulled.after - 1] ?? items.length - 1) + 1;
  items.splice(at, 0, pulled.item);
  return items;
}

function isGroup(part: TryItem | readonly TryItem[]): part is readonly TryItem[] {
  return Array.isArray(part);
}

function isDone(item: TryItem): boolean {
  return 'step' in item && !('mark' in item.step) && !('same' in item.step);
}

function partsOf(steps: readonly TrialStep[]): (TryItem | TryItem[])[] {
  let number = 0;
  return steps.map((step) => {
    if ('expect' in step) return { expect: step.expect, number: number++ };
    return 'anyOrder' in step ? step.anyOrder.map((each) => ({ step: each })) : { step };
  });
}

/** The session that a try begins with. */
function sessionOf(profile: Profile, input: Trial['session'], varied: Variation): Session {
  const { desk = input.desk, further } = varied;
  const begun = (beginning: Trial['session']) =>
    openSession(sessionSchema.parse({ ...beginning, ...(desk !== undefined && { desk }) }), profile)
      .session;
  const session = begun(input);
  if (further === 0) return session;
  const others = Array.from({ length: further }, (_, i) => ({
    id: `further-${i + 1}`,
    title: `Further ${i + 1}`,
    kind: 'normal' as const,
  }));
  // The focus stays where it is without them.
  const { focus } = session;
  const windows = [...input.windows, ...others];
  return begun({ ...input, windows, ...(focus !== undefined && { focus }) });
}

/** The steps for the second time: windows that they open are others than before. */
function again(trial: Trial): (step: TrialStep) => TrialStep {
  const steps = trial.steps.flatMap((step) => ('anyOrder' in step ? step.anyOrder : [step]));
  const opened = new Set(steps.flatMap((step) => ('open' in step ? [step.open.id] : [])));
  const renamed = (id: string) => (opened.has(id) ? `${id.slice(0, 76)}~2` : id);
  const once = (step: ScriptStep): ScriptStep => {
    if ('open' in step) return { open: { ...step.open, id: renamed(step.open.id) } };
    if ('close' in step) return { close: renamed(step.close) };
    if ('point' in step) return { point: renamed(step.point) };
    if ('retitle' in step) return { ...step, retitle: renamed(step.retitle) };
    return 'ask' in step ? { ...step, ask: renamed(step.ask) } : step;
  };
  return (step) => {
    if ('expect' in step) return step;
    return 'anyOrder' in step ? { anyOrder: step.anyOrder.map(once) } : once(step);
  };
}

interface WithMinimum {
  min?: { width: number; height: number };
}
/** A quarter larger, as far as sizes go. */
function withLargerMinimum<T extends WithMinimum>(thing: T): T {
  if (!thing.min) return thing;
  const larger = (length: number) => Math.min(100_000, Math.ceil(length * 1.25));
  return { ...thing, min: { width: larger(thing.min.width), height: larger(thing.min.height) } };
}

function withLargerApps(profile: Profile): Profile {
  const apps = profile.apps.map((app) => ({
    ...withLargerMinimum(app),
    ...(app.windows && { windows: app.windows.map(withLargerMinimum) }),
  }));
  return { ...profile, apps };
}

function withLargerWindows(trial: Trial): Trial {
  const larger = (step: ScriptStep): ScriptStep =>
    'open' in step ? { open: withLargerMinimum(step.open) } : step;
  return {
    ...trial,
    session: { ...trial.session, windows: trial.session.windows.map(withLargerMinimum) },
    steps: trial.steps.map((step) => {
      if ('expect' in step) return step;
      return 'anyOrder' in step ? { anyOrder: step.anyOrder.map(larger) } : larger(step);
    }),
  };
}
