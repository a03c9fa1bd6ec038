import { commandText, LAST, RUNNABLE, type Command } from '@sorn/core/commands';
import { windowName } from '@sorn/core/engine';
import type { Profile, Session, ZoneBoard } from '@sorn/core/model';
import { knownWindows } from '@sorn/core/rules';
import { LAYOUTS } from '@sorn/core/tiling';
import { DIRECTIONS, LAYOUT_KINDS } from '@sorn/core/values';
import { namedPlaces, wordsOf } from './command-words.ts';

/** A command with what is said with it, as find-anything knows it. */
export interface CommandEntry {
  group: string;
  text: string;
  /** Other words that people use for it. */
  also: string;
  command: Command;
}

/** The most windows that have entries of their own: the first ones. */
const MOST_WINDOWS = 120;
/** Logical pixels that an edge is moved by its entry. */
const EDGE_STEP = 40;
/** The words of a command's family with what is said with it. */
const MOVED = 'send move put';

function entry(
  group: string,
  command: Command,
  text = commandText(command),
  also = wordsOf(command.command),
): CommandEntry {
  return { group, command, text, also };
}

/** Every command that can be given without a key, with everything that it can be said with here. */
export function commandEntries(
  profile: Profile,
  { windows, lineups = [] }: Pick<Session, 'windows' | 'lineups'>,
  board: ZoneBoard | undefined,
): CommandEntry[] {
  return [
    ...profile.desks.map(({ id, name = id }) =>
      entry('Desks', { command: 'use-desk', desk: id }, name, 'go switch docked monitors'),
    ),
    ...profile.monitors.flatMap(({ id, name = id }) => [
      entry('Monitors', { command: 'go-monitor', which: id }, name, 'go focus screen display'),
      entry('Monitors', { command: 'put-on-monitor', which: id }, `Window to ${name}`, MOVED),
      entry(
        'Monitors',
        { command: 'put-workspace-on-monitor', which: id },
        `Workspace to ${name}`,
        MOVED,
      ),
    ]),
    ...profile.workspaces.flatMap(({ id, name }) => {
      const called = `${id} ${name ?? ''}`.trim();
      return [
        entry('Workspaces', { command: 'go-workspace', which: id }, called, 'go show desktop'),
        entry(
          'Workspaces',
          { command: 'put-on-workspace', which: id },
          `Window to ${called}`,
          `${MOVED} desktop`,
        ),
      ];
    }),
    ...namedPlaces().map(({ text, command }) =>
      entry('Place the window', command, text, 'snap put move'),
    ),
    ...windows.slice(0, MOST_WINDOWS).map((window) => {
      const name = windowName(profile, window);
      return entry(
        'Windows',
        { command: 'find-window', text: window.id },
        [name, window.title].filter(Boolean).join(' · '),
        `${window.id} go focus`,
      );
    }),
    ...(board?.zones ?? []).map(({ name }, i) =>
      // By number where there is a key for that.
      entry(
        'Zones here',
        { command: 'place-in-zone', zone: i < 9 ? String(i + 1) : name },
        `${i + 1} ${name}`,
        'snap put place',
      ),
    ),
    ...lineups.map(({ name }) =>
      entry('Lineups', { command: 'recall-lineup', which: name }, name, 'restore arrangement'),
    ),
    entry(
      'Lineups',
      { command: 'recall-lineup', which: LAST },
      'Placed together last',
      'restore arrangement lineup',
    ),
    ...knownWindows(profile).map(({ app, window, name, further }) =>
      entry(
        'Open an app',
        {
          command: 'open-app',
          app: app.id,
          ...(further !== null && { window: window.title! }),
        },
        name,
        'launch start run new program',
      ),
    ),
    ...profile.apps.map(({ id, name = id }) =>
      entry(
        'Call an app',
        { command: 'call-app', app: id },
        `Call ${name}`,
        'focus switch raise bring program',
      ),
    ),
    ...profile.chains.map(({ id, name = id }) =>
      entry('Chains', { command: 'chain', chain: id }, name, 'macro steps several commands'),
    ),
    ...profile.menus.map(({ id, name = id }) =>
      entry('Menus', { command: 'menu', menu: id }, name, 'list letters leader'),
    ),
    ...LAYOUT_KINDS.map((kind) =>
      entry(
        'Layouts here',
        { command: 'use-layout', layout: { kind } },
        LAYOUTS[kind].title,
        'arrange tile change',
      ),
    ),
    ...RUNNABLE.map((id) => entry('Commands', { command: id } as Command)),
    ...DIRECTIONS.map((direction) =>
      entry(
        'Commands',
        { command: 'move-edge', direction, by: EDGE_STEP },
        `move-edge ${direction} by ${EDGE_STEP}`,
        'resize pixels border drag',
      ),
    ),
  ];
}
