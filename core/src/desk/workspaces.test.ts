import { describe, expect, it } from 'vitest';
import { profileSchema } from '../model/profile.ts';
import {
  withNewWorkspace,
  withWorkspaceHome,
  withWorkspaceId,
  withWorkspaceName,
  withoutWorkspace,
  workspaceMoved,
} from './workspaces.ts';

/** A profile that names the workspace `here` in every way it can, and nothing else so. */
const NAMED = {
  monitors: [{ id: 'main', width: 1920, height: 1080 }],
  apps: [{ id: 'notes' }],
  workspaces: [{ id: '1' }, { id: 'here', name: 'Work', monitor: 'main' }, { id: 'B' }],
  rules: [
    {
      id: 'r',
      when: {
        all: [{ of: 'workspace', is: 'here' }],
        none: [
          { of: 'workspace', is: '1' },
          { of: 'workspace', is: 'here' },
        ],
      },
      then: { workspace: 'here' },
    },
  ],
  start: [{ app: 'notes', workspace: 'here' }],
  tiling: {
    places: [
      { workspace: 'here', newWindows: 'lead' },
      { workspace: 'B', newWindows: 'end' },
    ],
  },
  keys: {
    bindings: [
      { keys: 'Main+KeyH', command: { command: 'go-workspace', which: 'here' } },
      {
        keys: 'Main+Shift+KeyH',
        command: { command: 'put-on-workspace', which: 'here', follow: true },
        release: { command: 'go-workspace', which: 'here' },
      },
      { keys: 'Main+KeyO', command: { command: 'go-workspace', which: 'last' } },
    ],
  },
};
const profile = profileSchema.parse(NAMED);
const ids = (some: typeof profile) => some.workspaces.map(({ id }) => id);

describe('a workspace by another letter', () => {
  it('is named by it wherever the profile names it', () => {
    // The same text with the one word replaced.
    const written = JSON.stringify(NAMED).replaceAll('"here"', '"H"');
    expect(withWorkspaceId(profile, 'here', 'H')).toEqual(profileSchema.parse(JSON.parse(written)));
  });

  it('stays as it is where another one has that letter', () => {
    expect(withWorkspaceId(profile, 'here', 'B')).toBe(profile);
  });
});

describe('the list of workspaces', () => {
  it('gets one behind another or at the end, and none twice', () => {
    expect(ids(withNewWorkspace(profile, { id: 'K' }, '1'))).toEqual(['1', 'K', 'here', 'B']);
    expect(ids(withNewWorkspace(profile, { id: 'K' }))).toEqual(['1', 'here', 'B', 'K']);
    expect(withNewWorkspace(profile, { id: 'B' })).toBe(profile);
  });

  it('is put in order, and kept within its ends', () => {
    expect(ids(workspaceMoved(profile, 'B', 0))).toEqual(['B', '1', 'here']);
    expect(ids(workspaceMoved(profile, '1', 9))).toEqual(['here', 'B', '1']);
    expect(workspaceMoved(profile, 'nobody', 0)).toBe(profile);
  });

  it('loses one, with what is set for it alone', () => {
    const less = withoutWorkspace(profile, 'here');
    expect(ids(less)).toEqual(['1', 'B']);
    expect(less.tiling.places).toEqual([{ workspace: 'B', newWindows: 'end' }]);
  });

  it('says names and homes, and nothing where they say nothing', () => {
    const entry = (some: typeof profile) => some.workspaces[1];
    expect(entry(withWorkspaceName(profile, 'here', ' Play '))?.name).toBe('Play');
    expect(entry(withWorkspaceName(profile, 'here', 'here'))).not.toHaveProperty('name');
    expect(entry(withWorkspaceHome(profile, 'here', ''))).not.toHaveProperty('monitor');
    expect(entry(withWorkspaceHome(profile, 'here', 'left'))?.monitor).toBe('left');
  });
});
