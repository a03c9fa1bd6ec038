import { expect, test } from 'vitest';
import { profileSchema } from '../model/profile.ts';
import { trialSchema } from '../model/trial.ts';
import { tryInSteps } from './trial-steps.ts';
import { itemsIn, subjectOf } from './trial-subject.ts';
import { variationsOf } from './variations.ts';

const PROFILE = profileSchema.parse({
  monitors: [
    { id: 'left', width: 1000, height: 800 },
    { id: 'right', width: 600, height: 500, scale: 2 },
  ],
  desks: [
    {
      id: 'both',
      monitors: [
        { monitor: 'left', x: 0, y: 0 },
        { monitor: 'right', x: 1000, y: 40 },
      ],
    },
  ],
  workspaces: [
    { id: '1', monitor: 'left' },
    { id: '2', monitor: 'right' },
  ],
  apps: [{ id: 'a' }, { id: 'b' }],
  tiling: { layout: { kind: 'columns' }, gaps: { inner: 0, outer: 0 } },
});

/** What is told of expectations after two windows opened, side by side on the left monitor. */
function told(expects: readonly object[]) {
  const trial = trialSchema.parse({
    id: 't',
    session: { desk: 'both', focusMonitor: 'left' },
    steps: [
      { command: 'open-app', app: 'a' },
      { command: 'open-app', app: 'b' },
      ...expects.map((expect) => ({ expect })),
    ],
  });
  const variation = variationsOf(PROFILE, trial).at(0);
  const subject = subjectOf(PROFILE, trial, variation);
  const steps = tryInSteps(subject, itemsIn(subject, variation.orders));
  expect(steps.slice(0, 2).map(({ text }) => text)).toEqual(['open-app a', 'open-app b']);
  return steps.slice(2).map(({ failure }) => failure);
}

const LEFT = { x: 0, y: 0, width: 500, height: 800 };
const RIGHT = { ...LEFT, x: 500 };

test('where a window was expected, and how far off it stands', () => {
  const failures = told([
    { window: 'a', monitor: 'left' },
    { window: 'b', is: 'lead' },
    { window: 'a', number: 2 },
    { window: 'a', monitor: 'right' },
    { window: 'a', workspace: '2' },
    { window: 'a', rect: { x: 0, y: 100, width: 500, height: 700 } },
    { window: 'a', atLeast: { width: 700, height: '1/2' } },
    { window: 'b', is: 'floating' },
    { moved: [] },
    { monitor: 'right', shows: '1' },
  ]);
  expect(failures[0]).toBeNull();
  const places = failures.slice(1).map((failure) => failure!.place);
  const monitor = { x: 1000, y: 40, width: 600, height: 500 };
  expect(places).toEqual([
    { window: 'b-1', expected: LEFT, stands: RIGHT, apart: [{ axis: 'x', from: 500, to: 0 }] },
    { window: 'a-1', expected: RIGHT, stands: LEFT, apart: [{ axis: 'x', from: 0, to: 500 }] },
    ...[0, 1].map(() => ({
      window: 'a-1',
      expected: monitor,
      stands: LEFT,
      apart: [
        { axis: 'x', from: 0, to: 1000 },
        { axis: 'y', from: 0, to: 40 },
      ],
    })),
    {
      window: 'a-1',
      expected: { x: 0, y: 100, width: 500, height: 700 },
      stands: LEFT,
      apart: [{ axis: 'y', from: 0, to: 100 }],
    },
    {
      window: 'a-1',
      expected: { x: 0, y: 0, width: 700, height: 800 },
      stands: LEFT,
      apart: [{ axis: 'x', from: 500, to: 700 }],
    },
    // How it is held is no place.
    null,
    // Before the second one opened, the first had all of the monitor.
    {
      window: 'a-1',
      expected: { x: 0, y: 0, width: 1000, height: 800 },
      stands: LEFT,
      apart: [{ axis: 'x', from: 500, to: 1000 }],
    },
    { expected: monitor, apart: [] },
  ]);
});
