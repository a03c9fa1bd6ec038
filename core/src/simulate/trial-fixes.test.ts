import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { profileSchema } from '../model/profile.ts';
import { trialSchema } from '../model/trial.ts';
import { readExpectation } from './expectation-text.ts';
import { trialFixesFor } from './trial-fixes.ts';

const PROFILE = profileSchema.parse({
  monitors: [
    { id: 'one', width: 1000, height: 800 },
    { id: 'two', width: 1000, height: 800 },
  ],
  workspaces: [
    { id: 'A', monitor: 'one' },
    { id: 'B', monitor: 'two' },
  ],
  apps: [{ id: 'mail' }, { id: 'web', min: { width: 450, height: 300 } }],
  tiling: { layout: { kind: 'columns' }, gaps: { inner: 0, outer: 0 } },
});
const open = (app: string) => ({ command: 'open-app', app });
const fixes = (sentence: string, steps: unknown[] = [{ anyOrder: [open('mail'), open('web')] }]) =>
  trialFixesFor(
    PROFILE,
    trialSchema.parse({ id: 't', steps: [...steps, { expect: readExpectation(sentence) }] }),
    0,
  );

describe('what fixes a trial', () => {
  it.each([
    ['web is the lead', 'let it join as lead'],
    ['web is number 1', 'let it join as lead'],
    ['web is on monitor two', 'put it on monitor two'],
    ['web is on workspace B', 'put it on workspace B'],
    ['web is floating', 'float it'],
    ['web is above the others', 'keep it above the others'],
  ])('where %s is expected is a rule: %s', (sentence, says) => {
    const [fix] = fixes(sentence);
    expect(fix!.says).toContain(`When a window’s app is web, ${says}`);
    expect([fix!.held, fix!.tries]).toEqual([2, 2]);
    expect(fix!.profile.rules).toHaveLength(1);
  });

  it('is told only where it was tried and helps', () => {
    expect(fixes('web is focused')).toEqual([]);
    expect(fixes('web is hidden')).toEqual([]);
    expect(fixes('web is at 0 0, 10 × 10')).toEqual([]);
    expect(fixes('other is floating')).toEqual([]);
  });

  it('of windows with too little room is another way to be of too many', () => {
    const three = [open('web'), open('web'), open('web')];
    const found = fixes('every window is at least its minimum', three);
    expect(found.map(({ profile }) => profile.tiling.whenTooSmall)).toContain('float');
  });

  it('of the demo’s trial that fails is one rule, with which all of it holds', () => {
    const demo = profileSchema.parse(
      JSON.parse(
        readFileSync(new URL('../../../demo/bulletin-desk.profile.json', import.meta.url), 'utf8'),
      ),
    );
    const [fix, ...others] = trialFixesFor(demo, demo.trials[0]!, 2);
    expect(fix).toMatchObject({ held: 6, tries: 6 });
    expect(fix!.profile.rules[0]!.then).toEqual({ join: 'lead' });
    expect(others).toEqual([]);
  });
});
