import type { ArgumentKind } from '../commands/argument.ts';
import { argumentsOf, type KeyCommand } from '../commands/registry.ts';
import { fitsPattern, isPattern, isRole, ROLES } from '../desk/roles.ts';
import { BASE } from '../model/keys.ts';
import type { Expectation, WhichWindow } from '../model/expectation.ts';
import type { Profile } from '../model/profile.ts';
import { GROUPS, type RuleSettings } from '../model/rule.ts';
import type { Trial, TrialStep } from '../model/trial.ts';
import { DIRECTIONS } from '../values/direction.ts';
import type { LayoutSetting } from '../values/layout.ts';
import { MAIN, MODIFIERS } from '../values/modifiers.ts';
import { nearestName, type UnknownName } from '../values/nearest-name.ts';
import { keptByFields } from '../values/cache.ts';
import { isWorkspaceLetter } from '../values/workspace-letter.ts';
import { triggerOf } from '../values/trigger.ts';

/** Every reference of the profile to a monitor, workspace, app, board or zone that is not there. */
export const unknownNames = keptByFields(2, lookedUp);

type Look = (
  path: string,
  value: string | undefined,
  names: readonly string[],
  of?: UnknownName['of'],
) => void;

const ids = (list: readonly { id: string }[]) => list.map((item) => item.id);

/** Names in rules, and in the list of what opens at the start. */
function lookRules(
  profile: Profile,
  look: Look,
  lookWhich: (path: string, value: string | undefined) => void,
): void {
  const named = (list: readonly { id: string; name?: string }[]) =>
    list.flatMap(({ id, name = id }) => [id, name]);
  const apps = profile.apps.map(({ id }) => id);
  const names = { app: apps, parent: apps, desk: named(profile.desks) };
  const workspaces = named(profile.workspaces);
  const zones = zoneNames(profile);
  const lookSettings = (path: string, { workspace, monitor, zone }: RuleSettings) => {
    // Without a list of workspaces they are made up, one a monitor.
    if (workspaces.length > 0)
      look(
        `${path}.workspace`,
        workspace,
        profile.workspaces.map(({ id }) => id),
        'workspace',
      );
    lookWhich(`${path}.monitor`, monitor);
    look(`${path}.zone`, zone, zones);
  };
  profile.rules.forEach(({ when, then }, i) => {
    for (const group of GROUPS) {
      when[group].forEach((condition, j) => {
        const path = `rules[${i}].when.${group}[${j}].is`;
        if (condition.of === 'monitor') lookWhich(path, condition.is);
        else if (condition.of === 'workspace' && 'is' in condition) {
          if (workspaces.length > 0) look(path, condition.is, workspaces, 'workspace');
        } else if (condition.of in names && 'is' in condition) {
          look(path, String(condition.is), names[condition.of as keyof typeof names]);
        }
      });
    }
    lookSettings(`rules[${i}].then`, then);
  });
  profile.start.forEach(({ app, ...then }, i) => {
    look(`start[${i}].app`, app, apps);
    lookSettings(`start[${i}]`, then);
  });
}

type LookCommand = (path: string, command: KeyCommand) => void;

/** Looks up what commands are said with. */
function commandLook(
  profile: Profile,
  look: Look,
  lookWhich: (path: string, value: string | undefined) => void,
  lookLayout: (path: string, layout: LayoutSetting | undefined) => void,
): LookCommand {
  const layerIds = [BASE, ...ids(profile.keys.layers)];
  const apps = ids(profile.apps);
  const workspaces = [...ids(profile.workspaces), ...WORKSPACE_WORDS];
  const desks = ids(profile.desks);
  const zones = zoneNames(profile);
  const lookUp: Partial<
    Record<ArgumentKind, (path: string, value: string, command: KeyCommand) => void>
  > = {
    layer: (path, value) => look(path, value, layerIds),
    app: (path, value) => look(path, value, apps),
    desk: (path, value) => look(path, value, desks),
    chain: (path, value) => look(path, value, ids(profile.chains)),
    menu: (path, value) => look(path, value, ids(profile.menus)),
    workspace(path, value) {
      if (profile.workspaces.length > 0 && !isMade(profile, value))
        look(path, value, workspaces, 'workspace');
    },
    monitor(path, value) {
      if (!MONITOR_WORDS.includes(value)) lookWhich(path, value);
    },
    zone(path, value) {
      // A number is a zone's on whichever board there is, which may have fewer.
      if (!/^\d{1,4}$/.test(value)) look(path, value, zones);
    },
    'window-of-app'(path, value, command) {
      const of = profile.apps.find(({ id }) => 'app' in command && id === command.app);
      if (of) look(path, value, of.windows?.flatMap(({ title }) => title ?? []) ?? []);
    },
  };
  return (at, command) => {
    for (const { field, argument, value } of argumentsOf(command)) {
      const path = `${at}.${field}`;
      if (argument.of === 'layout') lookLayout(path, value as LayoutSetting);
      else if (typeof value === 'string') lookUp[argument.of]?.(path, value, command);
    }
  };
}

function zoneNames({ boards }: Profile): string[] {
  return boards.flatMap((board) => board.zones.map(({ name }) => name));
}

/** A workspace that is called by a letter is made when it is gone to. */
function isMade({ tiling }: Profile, workspace: string): boolean {
  return tiling.missingWorkspaces === 'made' && isWorkspaceLetter(workspace);
}

/** Names in bindings, chains and menus: modifiers and bundles, layers, apps, and what commands are said with. */
function lookKeys(profile: Profile, look: Look, lookCommand: LookCommand): void {
  const { bindings, layers, bundles } = profile.keys;
  const modifiers = [MAIN, ...MODIFIERS, ...ids(bundles)];
  const layerIds = [BASE, ...ids(layers)];
  profile.chains.forEach(({ commands }, i) =>
    commands.forEach((command, j) => lookCommand(`chains[${i}].commands[${j}]`, command)),
  );
  profile.menus.forEach(({ entries }, i) =>
    entries.forEach(({ command }, j) => lookCommand(`menus[${i}].entries[${j}].command`, command)),
  );
  bindings.forEach((binding, i) => {
    const path = `keys.bindings[${i}]`;
    for (const { modifiers: named } of triggerOf(binding.keys).steps)
      for (const name of named) look(`${path}.keys`, name, modifiers);
    look(`${path}.in`, binding.in, layerIds);
    look(`${path}.app`, binding.app, ids(profile.apps));
    for (const part of ['command', 'release'] as const) {
      const command = binding[part];
      if (command) lookCommand(`${path}.${part}`, command);
    }
  });
}

/** Names in trials: what their steps are said with, and what is expected. */
function lookTrials(profile: Profile, look: Look, lookCommand: LookCommand): void {
  profile.trials.forEach(({ session, steps }, i) => {
    const path = `trials[${i}]`;
    lookSession(profile, look, `${path}.session`, session);
    const single = steps.flatMap((step) => ('anyOrder' in step ? step.anyOrder : [step]));
    // A trial may open windows of apps that the profile does not know.
    const opened = single.flatMap((step) => ('open' in step ? [step.open] : []));
    const apps = [...session.windows, ...opened].flatMap(({ app }) => app ?? []);
    const marks = single.flatMap((step) => ('mark' in step ? [step.mark] : []));
    const windows = [
      ...ids(session.windows),
      ...single.flatMap((step) => ('open' in step ? [step.open.id] : [])),
    ];
    const lookStep = (at: string, step: TrialStep) => {
      if ('command' in step) lookCommand(at, step as KeyCommand);
      if ('hold' in step) lookCommand(`${at}.hold`, step.hold);
      if ('plugged' in step)
        step.plugged.forEach((monitor, j) => {
          if (typeof monitor === 'string')
            look(`${at}.plugged[${j}]`, monitor, ids(profile.monitors));
        });
      for (const [does, id] of Object.entries(step))
        if (OF_A_WINDOW.has(does) && !isOfApp(profile, String(id)))
          look(`${at}.${does}`, String(id), windows);
      if ('anyOrder' in step)
        step.anyOrder.forEach((each, j) => lookStep(`${at}.anyOrder[${j}]`, each));
      if ('expect' in step)
        lookExpectation(profile, look, `${at}.expect`, step.expect, { apps, marks });
    };
    steps.forEach((step, j) => lookStep(`${path}.steps[${j}]`, step));
  });
}

/** What a step does to a window that it names. */
const OF_A_WINDOW: ReadonlySet<string> = new Set(['close', 'point', 'retitle', 'ask']);

/** Windows that a command opens are called by their app and a number. */
function isOfApp({ apps }: Profile, window: string): boolean {
  const [, app] = /^(.+)-\d+$/.exec(window) ?? [];
  return apps.some(({ id }) => id === app);
}

/** Names in how the desk stands when a trial begins. */
function lookSession(profile: Profile, look: Look, path: string, session: Trial['session']): void {
  const monitors = ids(profile.monitors);
  // Those that were made by then are listed: none is made when the desk is opened.
  const workspaces = ids([...profile.workspaces, ...(session.workspacesMade ?? [])]);
  const lookWorkspace = (at: string, workspace: string | undefined) => {
    if (profile.workspaces.length > 0) look(at, workspace, workspaces, 'workspace');
  };
  look(`${path}.desk`, session.desk, ids(profile.desks));
  session.connected?.forEach((monitor, i) => {
    if (typeof monitor === 'string') look(`${path}.connected[${i}]`, monitor, monitors);
  });
  look(`${path}.focusMonitor`, session.focusMonitor, monitors);
  for (const [monitor, workspace] of Object.entries(session.shown))
    lookWorkspace(`${path}.shown.${monitor}`, workspace);
  session.windows.forEach(({ monitor, workspace }, i) => {
    look(`${path}.windows[${i}].monitor`, monitor, monitors);
    lookWorkspace(`${path}.windows[${i}].workspace`, workspace);
  });
}

/** @param known apps and marks of the trial itself */
function lookExpectation(
  profile: Profile,
  look: Look,
  path: string,
  expectation: Expectation,
  known: { apps: readonly string[]; marks: readonly string[] },
): void {
  const apps = [...ids(profile.apps), ...known.apps];
  const lookWindow = (at: string, which: WhichWindow) => {
    if (typeof which === 'string') look(at, which, apps);
    else if ('app' in which) look(`${at}.app`, which.app, apps);
  };
  const lookWorkspace = (at: string, workspace: string) => {
    if (profile.workspaces.length > 0 && !isMade(profile, workspace))
      look(at, workspace, ids(profile.workspaces), 'workspace');
  };
  if ('window' in expectation) lookWindow(`${path}.window`, expectation.window);
  if ('beside' in expectation) lookWindow(`${path}.beside`, expectation.beside);
  if ('moved' in expectation)
    expectation.moved.forEach((which, i) => lookWindow(`${path}.moved[${i}]`, which));
  if ('workspace' in expectation) lookWorkspace(`${path}.workspace`, expectation.workspace);
  if ('shows' in expectation) lookWorkspace(`${path}.shows`, expectation.shows);
  if ('monitor' in expectation) look(`${path}.monitor`, expectation.monitor, ids(profile.monitors));
  if ('zone' in expectation) look(`${path}.zone`, expectation.zone, zoneNames(profile));
  if ('same' in expectation) look(`${path}.same`, expectation.same, known.marks);
}

/** What workspaces and monitors are called beside their names, from where one is. */
const WORKSPACE_WORDS = ['next', 'previous', 'last'];
const MONITOR_WORDS = ['next', 'previous', ...DIRECTIONS];

function lookedUp(profile: Profile): readonly UnknownName[] {
  const monitors = ids(profile.monitors);
  const workspaces = ids(profile.workspaces);
  const apps = ids(profile.apps);
  const unknown: UnknownName[] = [];
  const look: Look = (path, value, names, of) => {
    if (value === undefined || names.includes(value)) return;
    unknown.push({ path, value, nearest: nearestName(value, names), ...(of && { of }) });
  };
  const lookWhich = (path: string, value: string | undefined) => {
    if (value === undefined || isRole(value)) return;
    const names = [...monitors, ...profile.monitors.flatMap(({ name }) => name ?? [])];
    if (isPattern(value) && names.some((name) => fitsPattern(name, value))) return;
    look(path, value, names);
    // A mistyped role is nearer to a role than to any name.
    const last = unknown.at(-1);
    if (last?.path === path) last.nearest = nearestName(value, [...names, ...ROLES]);
  };
  profile.monitors.forEach(({ fallback }, i) => lookWhich(`monitors[${i}].fallback`, fallback));
  profile.desks.forEach((desk, i) => {
    desk.monitors.forEach((entry, j) =>
      look(`desks[${i}].monitors[${j}].monitor`, entry.monitor, monitors),
    );
    const here = desk.monitors.map(({ monitor }) => monitor);
    look(`desks[${i}].primary`, desk.primary, here);
    look(`desks[${i}].only`, desk.only, here);
  });
  profile.machines.forEach((machine, i) => {
    machine.monitors.forEach(({ monitor }, j) =>
      look(`machines[${i}].monitors[${j}].monitor`, monitor, monitors),
    );
  });
  profile.workspaces.forEach((workspace, i) =>
    lookWhich(`workspaces[${i}].monitor`, workspace.monitor),
  );
  lookRules(profile, look, lookWhich);
  const boards = ids(profile.boards);
  const lookLayout = (path: string, layout: LayoutSetting | undefined) => {
    if (layout?.kind === 'board') look(`${path}.board`, layout.board, boards);
  };
  const lookLayouts = (
    path: string,
    { layout, setAside = [] }: Profile['tiling']['places'][number] | Profile['tiling'],
  ) => {
    lookLayout(`${path}.layout`, layout);
    setAside.forEach((kept, i) => lookLayout(`${path}.setAside[${i}]`, kept));
  };
  const lookCommand = commandLook(profile, look, lookWhich, lookLayout);
  lookKeys(profile, look, lookCommand);
  lookTrials(profile, look, lookCommand);
  lookLayouts('tiling', profile.tiling);
  profile.boards.forEach((board, i) => lookWhich(`boards[${i}].for.monitor`, board.for.monitor));
  profile.apps.forEach((app, i) => {
    look(`apps[${i}].parent`, app.parent, apps);
    app.windows?.forEach(({ parent }, j) => look(`apps[${i}].windows[${j}].parent`, parent, apps));
  });
  profile.tiling.places.forEach((place, i) => {
    lookLayouts(`tiling.places[${i}]`, place);
    look(`tiling.places[${i}].monitor`, place.monitor, monitors);
    // Without a list of workspaces they are made up, one a monitor.
    if (workspaces.length > 0)
      look(`tiling.places[${i}].workspace`, place.workspace, workspaces, 'workspace');
  });
  return unknown;
}
