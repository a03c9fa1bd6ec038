import { argumentsOf, type KeyCommand } from '../commands/registry.ts';
import { withBeginnings, withCommands, withTrialSteps } from '../model/commands-of.ts';
import { withWorkspaceCalled } from '../model/session-names.ts';
import type { TrialStep } from '../model/trial.ts';
import type { Profile } from '../model/profile.ts';
import { GROUPS, type Rule } from '../model/rule.ts';

type Workspace = Profile['workspaces'][number];

const withList = (profile: Profile, workspaces: Workspace[]): Profile => ({
  ...profile,
  workspaces,
});

/** One workspace more, behind another one, or at the end. One with the same id is left as it is. */
export function withNewWorkspace(profile: Profile, workspace: Workspace, after?: string): Profile {
  const { workspaces } = profile;
  if (workspaces.some(({ id }) => id === workspace.id)) return profile;
  const at = workspaces.findIndex(({ id }) => id === after);
  return withList(profile, workspaces.toSpliced(at < 0 ? workspaces.length : at + 1, 0, workspace));
}

/** Without a workspace, and without the settings that only it has. Keys and rules that name it are findings then. */
export function withoutWorkspace(profile: Profile, id: string): Profile {
  const { tiling } = profile;
  return {
    ...withList(
      profile,
      profile.workspaces.filter((each) => each.id !== id),
    ),
    tiling: { ...tiling, places: tiling.places.filter(({ workspace }) => workspace !== id) },
  };
}

/** A workspace moved to a place in the list, counted from 0 and kept within it. */
export function workspaceMoved(profile: Profile, id: string, to: number): Profile {
  const workspace = profile.workspaces.find((each) => each.id === id);
  if (!workspace) return profile;
  const others = profile.workspaces.filter((each) => each !== workspace);
  const at = Math.min(others.length, Math.max(0, to));
  return withList(profile, others.toSpliced(at, 0, workspace));
}

/** @param name what it is called beside its letter; nothing beside it where this is empty or the letter */
export function withWorkspaceName(profile: Profile, id: string, name: string): Profile {
  return changed(profile, id, ({ name: _former, ...rest }) =>
    name.trim() === '' || name === id ? rest : { ...rest, name: name.trim() },
  );
}

/** @param home a monitor by id, name, role or pattern; the primary one where it is empty */
export function withWorkspaceHome(profile: Profile, id: string, home: string): Profile {
  return changed(profile, id, ({ monitor: _former, ...rest }) =>
    home === '' ? rest : { ...rest, monitor: home },
  );
}

function changed(profile: Profile, id: string, change: (one: Workspace) => Workspace): Profile {
  return withList(
    profile,
    profile.workspaces.map((each) => (each.id === id ? change(each) : each)),
  );
}

/**
 * A workspace with another id, its letter: it keeps its place in the list, and keys, rules, settings of places, the
 * start and trials name it by the new one. Nothing changes where another workspace is called so.
 */
export function withWorkspaceId(profile: Profile, from: string, to: string): Profile {
  if (from === to || profile.workspaces.some(({ id }) => id === to)) return profile;
  const onIt = <T extends { workspace?: string }>(value: T): T =>
    value.workspace === from ? { ...value, workspace: to } : value;
  const conditions = <T extends Rule['when'][(typeof GROUPS)[number]][number]>(list: T[]): T[] =>
    list.map((each) =>
      each.of === 'workspace' && 'is' in each && each.is === from ? { ...each, is: to } : each,
    );
  const rule = (each: Rule): Rule => ({
    ...each,
    when: {
      ...each.when,
      ...Object.fromEntries(GROUPS.map((group) => [group, conditions(each.when[group])])),
    },
    then: onIt(each.then),
  });
  const command = <C extends KeyCommand>(said: C): C => {
    const fields = argumentsOf(said).filter(
      ({ argument, value }) => argument.of === 'workspace' && value === from,
    );
    return { ...said, ...Object.fromEntries(fields.map(({ field }) => [field, to])) };
  };
  const expected = <S extends TrialStep>(step: S): S => {
    if (!('expect' in step)) return step;
    const { expect } = step;
    if ('workspace' in expect) return { ...step, expect: onIt(expect) };
    return 'shows' in expect && expect.shows === from
      ? { ...step, expect: { ...expect, shows: to } }
      : step;
  };
  const renamed = withCommands(
    changed(profile, from, (each) => ({ ...each, id: to })),
    command,
  );
  const begun = withBeginnings(renamed, (session) => withWorkspaceCalled(session, from, to));
  return {
    ...withTrialSteps(begun, expected),
    rules: profile.rules.map(rule),
    start: profile.start.map(onIt),
    tiling: { ...profile.tiling, places: profile.tiling.places.map(onIt) },
  };
}
