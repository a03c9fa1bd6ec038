import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { profileSchema } from '../model/profile.ts';
import { commandSchema } from '../commands/command.ts';
import { keyMap } from '../keys/map.ts';
import type { TrialStep } from '../model/trial.ts';
import { readStepLine, stepLine } from './step-line.ts';

const demo = profileSchema.parse(
  JSON.parse(
    readFileSync(new URL('../../../demo/bulletin-desk.profile.json', import.meta.url), 'utf8'),
  ),
);

function stepsOf(steps: readonly TrialStep[]): TrialStep[] {
  return steps.flatMap((step): TrialStep[] =>
    'anyOrder' in step ? [step, ...step.anyOrder] : [step],
  );
}

describe('a step on one line', () => {
  test('comes back as it was: every step of the demo, and every command on a key', () => {
    const commands = keyMap(demo).flatMap(({ command }) => {
      const own = commandSchema.safeParse(command);
      return own.success ? [own.data as TrialStep] : [];
    });
    const steps = [...demo.trials.flatMap((trial) => stepsOf(trial.steps)), ...commands];
    expect(steps.length).toBeGreaterThan(120);
    expect(steps.filter((step) => stepLine(step).startsWith('{')).length).toBeLessThan(26);
    for (const step of steps) expect(readStepLine(stepLine(step))).toEqual(step);
  });

  test.each([
    ['open-app pitreader', { command: 'open-app', app: 'pitreader' }],
    ['  go-workspace B ', { command: 'go-workspace', which: 'B' }],
    ['press Main+KeyL', { press: 'Main+KeyL' }],
    ['plugged wide, lap', { plugged: ['wide', 'lap'] }],
    ['plugged nothing', { plugged: [] }],
    ['post is on workspace R', { expect: { window: 'post', workspace: 'R' } }],
    ['mark is focused', { expect: { window: 'mark', is: 'focused' } }],
    ['mark before', { mark: 'before' }],
    ['hold focus-left', { hold: { command: 'focus-left' } }],
    ['{mark: a}', { mark: 'a' }],
  ])('%s', (line, step) => expect(readStepLine(line)).toEqual(step));

  test.each([
    ['', /such as/],
    ['open-ap pitreader', /the nearest is open-app/],
    ['open-app', /open-app/],
    ['press Main+', /press/],
    ['post is on the moon', /expected|a sentence|one of/],
    ['{nonsense: 1}', /an object with one of/],
  ])('%s is refused', (line, message) => expect(readStepLine(line)).toMatch(message));
});
