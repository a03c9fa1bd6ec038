import { expect, it } from 'vitest';
import { profileSchema } from '../model/profile.ts';
import { unknownNames } from './unknown-names.ts';

const profileWith = (trial: object) =>
  profileSchema.parse({
    monitors: [{ id: 'wide', width: 1000, height: 800 }],
    desks: [{ id: 'office', monitors: [{ monitor: 'wide', x: 0, y: 0 }] }],
    workspaces: [{ id: 'Main' }],
    apps: [{ id: 'mail' }],
    trials: [{ id: 't', ...trial }],
  });

it('names in a trial that nothing has are found where they stand, with the nearest', () => {
  const profile = profileWith({
    session: { desk: 'ofice' },
    steps: [
      { command: 'call-app', app: 'male' },
      { anyOrder: [{ command: 'use-desk', desk: 'offce' }, 'float'] },
      { expect: { window: 'mial', monitor: 'wid' } },
      { expect: { window: { app: 'mai', nth: 2 }, workspace: 'Man' } },
      { expect: { window: 'mail', beside: 'mall' } },
      { expect: { moved: ['mail', 'maill'] } },
      { expect: { same: 'begn' } },
      { mark: 'begin' },
    ],
  });
  expect(unknownNames(profile).map(({ path, nearest }) => `${path}: ${nearest}`)).toEqual([
    'trials[0].session.desk: office',
    'trials[0].steps[0].app: mail',
    'trials[0].steps[1].anyOrder[0].desk: office',
    'trials[0].steps[2].expect.window: mail',
    'trials[0].steps[2].expect.monitor: wide',
    'trials[0].steps[3].expect.window.app: mail',
    'trials[0].steps[3].expect.workspace: Main',
    'trials[0].steps[4].expect.beside: mail',
    'trials[0].steps[5].expect.moved[1]: mail',
    'trials[0].steps[6].expect.same: begin',
  ]);
});

it('what a trial opens itself, and workspaces that are made by a letter, are there', () => {
  const profile = profileWith({
    session: { windows: [{ id: 'a', app: 'game' }] },
    steps: [
      { open: { id: 'b', app: 'chat' } },
      { command: 'go-workspace', which: 'Q' },
      { expect: { window: 'game', beside: 'chat' } },
      { expect: { window: 'chat', workspace: 'Q' } },
      { expect: { monitor: 'wide', shows: 'Q' } },
    ],
  });
  expect(unknownNames(profile)).toEqual([]);
});
