import { expect, test } from 'vitest';
import { profileSchema } from '../model/profile.ts';
import type { ScriptStep } from '../model/script.ts';
import { trialSchema } from '../model/trial.ts';
import { itemsIn, subjectOf, type TryItem } from './trial-subject.ts';
import type { Variation } from './variations.ts';

const min = { width: 401, height: 300 };
const PROFILE = profileSchema.parse({
  monitors: [
    { id: 'left', width: 1000, height: 800 },
    { id: 'right', width: 1000, height: 800 },
  ],
  desks: [{ id: 'one', monitors: [{ monitor: 'left', x: 0, y: 0 }] }],
  apps: [{ id: 'mail', min, windows: [{ title: 'Letter', min }] }, { id: 'shell' }],
});
const TRIAL = trialSchema.parse({
  id: 't',
  session: { windows: [{ id: 'there', min }, { id: 'other' }], focus: 'there' },
  steps: [
    { open: { id: 'note', min } },
    { expect: { window: 'mail', is: 'shown' } },
    { anyOrder: [{ retitle: 'note', title: 'x' }, { open: { id: 'late' } }, 'focus-next'] },
    { mark: 'm' },
    { point: 'note' },
    { point: 'there' },
    { ask: 'late', rect: { x: 1 } },
    { retitle: 'there', title: 'y' },
    { ask: 'there', rect: { y: 2 } },
    { expect: { same: 'm' } },
    { close: 'late' },
    { close: 'there' },
    { expect: { window: 'mail', is: 'hidden' } },
  ],
});
const AS_WRITTEN: Variation = {
  orders: [[0, 1, 2]],
  isTwice: false,
  further: 0,
  areMinimumsLarger: false,
};

const itemsOf = (variation: Partial<Variation>): TryItem[] => {
  const varied = { ...AS_WRITTEN, ...variation };
  return itemsIn(subjectOf(PROFILE, TRIAL, varied), varied.orders);
};
const stepsOf = (items: readonly TryItem[]): ScriptStep[] =>
  items.flatMap((item) => ('step' in item ? [item.step] : []));
/** What is written, expectations aside, with every group in one order. */
const written = TRIAL.steps.flatMap((step) =>
  'expect' in step ? [] : 'anyOrder' in step ? step.anyOrder : [step],
);

test('steps come in the order of their group, and expectations by their number', () => {
  const items = itemsOf({ orders: [[2, 0, 1]] });
  const turned = [...written];
  turned.splice(1, 3, written[3]!, written[1]!, written[2]!);
  expect(stepsOf(items)).toEqual(turned);
  const numbers = items.flatMap((item) => ('expect' in item ? [item.number] : []));
  expect(numbers).toEqual([0, 1, 2]);
  expect(items.findIndex((item) => 'expect' in item && item.number === 1)).toBe(11);
});

test('the second time, windows that the steps open are others, wherever they are said', () => {
  const twice = stepsOf(itemsOf({ isTwice: true }));
  const renamed = JSON.stringify(written)
    .replaceAll('"note"', '"note~2"')
    .replaceAll('"late"', '"late~2"');
  expect(twice.slice(0, written.length)).toEqual(written);
  expect(twice.slice(written.length)).toEqual(JSON.parse(renamed));
  const numbers = itemsOf({ isTwice: true }).flatMap((item) =>
    'expect' in item ? [item.number] : [],
  );
  expect(numbers).toEqual([0, 1, 2, 0, 1, 2]);
});

test('a monitor is pulled after so many steps that do something', () => {
  const doing = (items: readonly TryItem[]) =>
    items.filter((item) => 'step' in item && !('mark' in item.step)).length;
  const steps = doing(itemsOf({}));
  for (let after = 0; after <= steps; after++) {
    const items = itemsOf({ pulled: { monitor: 'right', after } });
    const at = items.findIndex((item) => 'pull' in item);
    expect(items[at]).toEqual({ pull: 'right' });
    expect(doing(items.slice(0, at))).toBe(after);
    // It comes at once, before what is expected there.
    if (after > 0) expect(doing(items.slice(at - 1, at))).toBe(1);
    else expect(at).toBe(0);
    expect(items.toSpliced(at, 1)).toEqual(itemsOf({}));
  }
});

test('further windows open behind those that are there, and leave the focus', () => {
  const { session } = subjectOf(PROFILE, TRIAL, { ...AS_WRITTEN, further: 2 });
  const ids = session.windows.map(({ id }) => id);
  expect(ids).toEqual(['there', 'other', 'further-1', 'further-2']);
  expect(session.focus).toBe('there');
  expect(subjectOf(PROFILE, TRIAL, AS_WRITTEN).session.windows).toHaveLength(2);
});

test('another desk is in force from the beginning', () => {
  const { session } = subjectOf(PROFILE, TRIAL, { ...AS_WRITTEN, desk: 'one' });
  expect(session.desk).toBe('one');
  expect(subjectOf(PROFILE, TRIAL, AS_WRITTEN).session.desk).toBeUndefined();
});

test('minimums are a quarter larger, rounded up, wherever one is said', () => {
  const varied = { ...AS_WRITTEN, areMinimumsLarger: true };
  const subject = subjectOf(PROFILE, TRIAL, varied);
  const larger = { width: 502, height: 375 };
  const [mail, shell] = subject.profile.apps;
  expect([mail!.min, mail!.windows![0]!.min, shell!.min]).toEqual([larger, larger, undefined]);
  expect(subject.session.windows.map((window) => window.min)).toEqual([larger, undefined]);
  const [first, second] = stepsOf(itemsIn(subject, varied.orders));
  expect(first).toEqual({ open: { ...(written[0] as { open: object }).open, min: larger } });
  expect(second).toEqual(written[1]);
});
