import { describe, expect, it } from 'vitest';
import { profileSchema, type Profile } from '../model/profile.ts';
import { homelessWorkspaces } from './desk.ts';
import type { Finding } from './findings.ts';
import { checkProfile } from './profile.ts';
import { nameFixesFor } from './name-fixes.ts';

const profileOf = (more: object) =>
  profileSchema.parse({
    monitors: [{ id: 'main', width: 1920, height: 1080 }],
    workspaces: [{ id: 'Mail' }, { id: 'B' }],
    ...more,
  });
/** The one finding of a profile, with its fixes, and what is found after each. */
function fixesOf(more: object, of: 'unknown-name' | 'homed-nowhere' = 'unknown-name') {
  const found = (some: Profile): Finding[] =>
    [...checkProfile(some), ...homelessWorkspaces(some)].filter(({ kind }) => kind === of);
  const profile = profileOf(more);
  const [finding] = found(profile);
  const fixes = nameFixesFor(profile, finding!);
  for (const { says, profile: next } of fixes) expect(found(next), says).toEqual([]);
  return fixes.map(({ says }) => says);
}

describe('a name that matches nothing', () => {
  it('is written as the nearest one, wherever it stands', () => {
    const named = (then: object) => ({
      rules: [{ id: 'r', when: { all: [{ of: 'title', is: 'x' }] }, then }],
    });
    expect(fixesOf(named({ monitor: 'mian' }))).toEqual(['Write main']);
    expect(
      fixesOf({
        desks: [{ id: 'd', monitors: [{ monitor: 'main', x: 0, y: 0 }], primary: 'mein' }],
      }),
    ).toEqual(['Write main']);
    expect(fixesOf(named({ workspace: 'Mial' }))).toEqual(['Write Mail', 'Make workspace Mial']);
  });

  it('of a workspace can be made, where nothing is near as well', () => {
    const binding = { keys: 'Main+KeyQ', command: { command: 'go-workspace', which: 'Elsewhere' } };
    expect(fixesOf({ keys: { bindings: [binding] } })).toEqual(['Make workspace Elsewhere']);
  });
});

it('a workspace at home nowhere is at home on what it may have meant, or on the primary', () => {
  const at = (monitor: string) => ({ workspaces: [{ id: 'B', monitor }] });
  expect(fixesOf(at('from-left-7'), 'homed-nowhere')).toEqual(['Make the primary its home']);
  expect(fixesOf(at('mian'), 'homed-nowhere')).toEqual([
    'Make main its home',
    'Make the primary its home',
  ]);
});
