import { expect, test } from 'vitest';
import { profileSchema } from '../model/profile.ts';
import { trialSchema } from '../model/trial.ts';
import { measuredRun } from './comparison.ts';
import { allTries } from './trial-result.ts';

const PROFILE = profileSchema.parse({
  monitors: [{ id: 'm', width: 1200, height: 600 }],
  workspaces: [{ id: '1' }],
  apps: [{ id: 'a' }, { id: 'b' }, { id: 'c' }],
  tiling: { layout: { kind: 'columns' }, gaps: { inner: 0, outer: 0 } },
});

test('windows move by the ways of their centres: of one that opens only the others count', () => {
  const trial = trialSchema.parse({
    id: 't',
    steps: [
      ...['a', 'b', 'c'].map((app) => ({ command: 'open-app', app })),
      { command: 'move-earlier' },
      { close: 'a-1' },
    ],
  });
  const { steps, total } = measuredRun(PROFILE, trial);
  // Of 1200 across: alone at 600; then at 300 and 900; then at 200, 600 and 1000.
  const opened = [0, 0, 300, 100 + 300];
  // The third exchanges its place with the second: 400 each. Then two of them grow into what the first leaves.
  const [second, third] = [600, 1000];
  expect(steps.map(({ measures }) => measures.moved)).toEqual([
    ...opened,
    2 * (third - second),
    600 - 300 + (1000 - 900),
  ]);
  expect(total.moved).toBe(300 + 400 + 800 + 400);
});

test('tries tell it where they are asked to, in how many of them it is which', () => {
  const trial = trialSchema.parse({
    id: 't',
    steps: [{ anyOrder: ['a', 'b', 'c'].map((app) => ({ command: 'open-app', app })) }],
  });
  expect(allTries(PROFILE, trial).moved).toEqual({});
  // In each order the first moves by 300, then the first two by 400 together.
  expect(allTries(PROFILE, trial, { isMeasured: true }).moved).toEqual({ 700: 6 });
});
