import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { profileSchema } from '../model/profile.ts';
import { trialSchema, type Trial, type TrialStep } from '../model/trial.ts';
import {
  linesOfTrial,
  withAnyOrder,
  withFixedOrder,
  withNewTrial,
  withoutStep,
  withoutTrial,
  withStepAfter,
  withStepAt,
  withStepMoved,
  withTrial,
  type StepPlace,
} from './trial-edits.ts';

const mark = (name: string): TrialStep => ({ mark: name });
const EXPECT: TrialStep = { expect: { findings: [] } };

function trialOf(steps: readonly TrialStep[]): Trial {
  return trialSchema.parse({ id: 't', steps });
}

/** The steps as letters: those of a group in brackets, an expectation as an exclamation mark. */
function written({ steps }: Trial): string {
  const letter = (step: TrialStep) => ('mark' in step ? step.mark : '!');
  return steps
    .map((step) => ('anyOrder' in step ? `(${step.anyOrder.map(letter).join('')})` : letter(step)))
    .join('');
}

/** The trial that is written so. */
function read(text: string): Trial {
  const steps: TrialStep[] = [];
  for (const [part] of text.matchAll(/\([a-z]+\)|./g)) {
    if (part === '!') steps.push(EXPECT);
    else if (part.startsWith('('))
      steps.push({ anyOrder: [...part.slice(1, -1)].map((name) => ({ mark: name })) });
    else steps.push(mark(part));
  }
  return trialOf(steps);
}

/** The place of a letter. */
function at(trial: Trial, name: string): StepPlace {
  const line = linesOfTrial(trial).find(
    ({ text }) => text === (name === '!' ? 'there is no finding' : `mark ${name}`),
  );
  return line!.place;
}

const X = { mark: 'x' };

describe('steps of a trial', () => {
  test('stand in a list, those of groups one by one', () => {
    const trial = read('a(bc)!');
    expect(linesOfTrial(trial).map(({ text }) => text)).toEqual([
      'mark a',
      'mark b',
      'mark c',
      'there is no finding',
    ]);
    expect(linesOfTrial(trial).map(({ place }) => place.inGroup)).toEqual([null, 0, 1, null]);
  });

  test.each([
    ['ab', 'a', 'axb'],
    ['a(bc)d', 'b', 'a(bxc)d'],
    ['a(bc)d', 'c', 'a(bcx)d'],
  ])('%s with one more after %s is %s', (before, name, after) => {
    const trial = read(before);
    expect(written(withStepAfter(trial, at(trial, name), X))).toBe(after);
  });

  test('one more at the beginning, and an expectation behind the group that it is asked for in', () => {
    expect(written(withStepAfter(read('ab'), null, X))).toBe('xab');
    const trial = read('a(bc)d');
    expect(written(withStepAfter(trial, at(trial, 'b'), EXPECT as never))).toBe('a(bc)!d');
  });

  test.each([
    ['ab!', 'b', 'ax!'],
    ['a(bc)', 'c', 'a(bx)'],
  ])('%s with another in the place of %s is %s', (before, name, after) => {
    const trial = read(before);
    expect(written(withStepAt(trial, at(trial, name), X))).toBe(after);
  });

  test('what is expected has no place in a group', () => {
    const trial = read('(ab)');
    expect(withStepAt(trial, at(trial, 'a'), EXPECT as never)).toBe(trial);
  });

  test.each([
    ['abc', 'b', 'ac'],
    ['(abc)', 'b', '(ac)'],
    ['(ab)c', 'a', 'bc'],
    ['a!', '!', 'a'],
  ])('%s without %s is %s', (before, name, after) => {
    const trial = read(before);
    expect(written(withoutStep(trial, at(trial, name)))).toBe(after);
  });

  test.each([
    ['abc', 'b', -1, 'bac'],
    ['abc', 'c', 1, 'abc'],
    ['(abc)d', 'b', 1, '(acb)d'],
    ['(abc)d', 'c', 1, 'd(abc)'],
    ['a(bc)', 'b', -1, '(bc)a'],
    ['a(bc)', 'a', 1, '(bc)a'],
  ] as const)('%s with %s moved by %s is %s', (before, name, by, after) => {
    const trial = read(before);
    const moved = withStepMoved(trial, at(trial, name), by);
    expect(written(moved.trial)).toBe(after);
    expect(moved.place).toEqual(at(moved.trial, name));
  });

  test.each([
    ['ab', 'b', '(ab)'],
    ['(ab)c', 'c', '(abc)'],
    ['a(bc)', 'b', '(abc)'],
    ['a!b', 'b', 'a!b'],
    ['ab', 'a', 'ab'],
    ['a!', '!', 'a!'],
  ])('%s with %s in any order with the one before is %s', (before, name, after) => {
    const trial = read(before);
    expect(written(withAnyOrder(trial, at(trial, name)))).toBe(after);
  });

  test('a group in one order is its steps', () => {
    const trial = read('a(bc)d');
    expect(written(withFixedOrder(trial, at(trial, 'c')))).toBe('abcd');
    expect(withFixedOrder(trial, at(trial, 'a'))).toBe(trial);
  });

  test('whatever is edited, no group of fewer than two is left, and no step is lost or doubled by moving', () => {
    const anyTrial = fc
      .tuple(fc.integer({ min: 2, max: 6 }), fc.array(fc.nat(20), { maxLength: 12 }))
      .map(([count, edits]) => ({ trial: read('abcdef'.slice(0, count)), edits }));
    fc.assert(
      fc.property(anyTrial, ({ trial, edits }) => {
        const letters = (of: Trial) => written(of).replace(/[()]/g, '').split('').sort().join('');
        let now = trial;
        for (const edit of edits) {
          const lines = linesOfTrial(now);
          const { place } = lines[edit % lines.length]!;
          const edited = [withAnyOrder, withFixedOrder][edit % 3];
          now = edited
            ? edited(now, place)
            : withStepMoved(now, place, edit % 2 === 0 ? 1 : -1).trial;
          expect(letters(now)).toBe(letters(trial));
          expect(written(now)).not.toMatch(/\(.?\)/);
          // What is made is a trial.
          expect(trialSchema.parse(now)).toEqual(now);
        }
      }),
    );
  });
});

test('trials of a profile: a new one has an id of its own, and is changed and taken out by it', () => {
  const profile = profileSchema.parse({ monitors: [{ id: 'm', width: 100, height: 100 }] });
  const one = withNewTrial(profile, { name: 'The Morning' });
  const two = withNewTrial(one.profile, { name: 'The Morning' });
  expect([one.id, two.id]).toEqual(['the-morning', 'the-morning-2']);
  const off = withTrial(two.profile, two.id, (trial) => ({ ...trial, on: false }));
  expect(off.trials.map(({ on }) => on)).toEqual([true, false]);
  expect(withoutTrial(off, one.id).trials.map(({ id }) => id)).toEqual([two.id]);
});
