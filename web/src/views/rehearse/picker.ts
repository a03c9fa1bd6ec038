import { countText, isWorkspaceLetter, workspaceNameOf } from '@sorn/core/values';
import {
  argumentAskedFor,
  commandText,
  definitionOf,
  LAST,
  type Command,
} from '@sorn/core/commands';
import { findLaunches, findWindows, nearness, windowName } from '@sorn/core/engine';
import { deskInForce, monitorName } from '@sorn/core/desk';
import type { Session, UsedBy } from '@sorn/core/model';
import { perProfile } from '../../state/per-profile.ts';
import type { ProfileStore } from '../../state/profile-state.ts';

/** A list over the sheet that narrows as a name is typed. */
export type PickerKind =
  | 'find-window'
  | 'exchange-with'
  | 'launch'
  | 'save-lineup'
  | 'recall-lineup'
  | 'forget-lineup'
  | 'new-workspace'
  | 'rename-workspace'
  | 'menu';

/** The list a command opens: where what it needs is to be typed, or to choose from it; null for any other. */
function pickerOf(command: Command): PickerKind | null {
  const opens = argumentAskedFor(command) !== null || definitionOf(command.command).opensList;
  return opens ? (command.command as PickerKind) : null;
}

interface PickerState {
  kind: PickerKind | null;
  /** The command that opened it. */
  command: Command | null;
  /** The key caps that opened it. */
  caps: readonly string[];
  /** The binding that opened it, whose use is counted where something is chosen. */
  by: UsedBy | undefined;
  /** Opens the list of a command; false where it has none. */
  open: (command: Command, caps: readonly string[], by?: UsedBy) => boolean;
  close: () => void;
}

export const usePicker = perProfile<PickerState>((set) => ({
  kind: null,
  command: null,
  caps: [],
  by: undefined,
  open(command, caps, by) {
    const kind = pickerOf(command);
    if (kind) set({ kind, command, caps, by });
    return kind !== null;
  },
  close: () => set({ kind: null }),
}));

export interface Choice {
  id: string;
  name: string;
  detail: string;
  balloon: string;
  hue: number;
  command: Command;
}

/** The entries of a menu by their letters, in its order; null where there is no such menu. */
export function menuOf(
  { profile }: Pick<ProfileStore, 'profile'>,
  command: Command | null,
): { name: string; choices: Choice[] } | null {
  if (command?.command !== 'menu') return null;
  const menu = profile.menus.find(({ id }) => id === command.menu);
  if (!menu) return null;
  const choices = menu.entries.map(({ letter, command: does }): Choice => {
    const app = 'app' in does ? profile.apps.find(({ id }) => id === does.app) : undefined;
    const chain = does.command === 'chain' && profile.chains.find(({ id }) => id === does.chain);
    const name = app?.name ?? (chain ? chain.name : undefined);
    return {
      id: letter,
      name: name ?? commandText(does),
      detail: name === undefined ? '' : commandText(does),
      balloon: letter,
      hue: app?.hue ?? PLAIN_HUE,
      command: does,
    };
  });
  return { name: menu.name ?? menu.id, choices };
}

/** What matches the typed text, the best first. */
export function choicesFor(
  kind: Exclude<PickerKind, 'menu'>,
  { session, profile }: ProfileStore,
  typed: string,
): Choice[] {
  const appOf = (id: string | undefined) => profile.apps.find((app) => app.id === id);
  if (kind === 'launch') {
    return findLaunches(profile, typed).map(({ id, app, name }) => ({
      id,
      name,
      detail: 'opens a window',
      balloon: app.balloon ?? app.id.slice(0, 2),
      hue: app.hue ?? 0,
      command: { command: 'launch', text: id },
    }));
  }
  if (kind === 'new-workspace' || kind === 'rename-workspace')
    return workspaceChoices(kind, { session, profile }, typed);
  if (kind !== 'find-window' && kind !== 'exchange-with')
    return lineupChoices(kind, session, typed);
  const found = findWindows(session, profile, typed);
  // It exchanges with another one.
  const others = kind === 'find-window' ? found : found.filter(({ id }) => id !== session.focus);
  return others.map((window) => {
    const app = appOf(window.app);
    const name = windowName(profile, window);
    const where = window.held === 'pocketed' ? 'in the pocket' : `workspace ${window.workspace}`;
    return {
      id: window.id,
      name,
      detail: [window.title, where].filter(Boolean).join(' · '),
      balloon: app?.balloon ?? name.slice(0, 2),
      hue: app?.hue ?? 0,
      command: { command: kind, text: window.id },
    };
  });
}

/** Of what is no window. */
const PLAIN_HUE = 190;

/** The one workspace that would be made, or have another name; where a letter is taken, the one that has it. */
function workspaceChoices(
  kind: 'new-workspace' | 'rename-workspace',
  { session, profile }: Pick<ProfileStore, 'session' | 'profile'>,
  typed: string,
): Choice[] {
  const desk = deskInForce(profile, session);
  const monitor = session.focusMonitor;
  const line = (letter: string, name: string, detail: string, command: Command): Choice[] => [
    { id: 'workspace', name, detail, balloon: letter, hue: PLAIN_HUE, command },
  ];
  if (kind === 'rename-workspace') {
    const name = typed.trim();
    const letter = session.shown[monitor] ?? '';
    return name === ''
      ? []
      : line(letter, name, `workspace ${letter} is called so`, { command: kind, name });
  }
  const called = workspaceNameOf(
    typed,
    [...profile.workspaces, ...desk.workspaces].map(({ id }) => id),
  );
  if (!called) {
    const there = desk.workspaces.find(({ id }) => id.toUpperCase() === typed.trim().toUpperCase());
    const which = there?.id ?? typed.trim();
    const detail = 'is there already: goes to it';
    return line(which, there?.name ?? which, detail, { command: 'go-workspace', which });
  }
  const where = typed.trim() === '' ? 'next free number' : `on ${monitorName(profile, monitor)}`;
  const keys = isWorkspaceLetter(called.id) ? `, with the keys of ${called.id}` : '';
  return line(called.id, called.name ?? `Workspace ${called.id}`, where + keys, {
    command: kind,
    called: typed,
  });
}

/** Lineups by name, best first; to save one, what is typed is a name of its own. */
function lineupChoices(
  kind: 'save-lineup' | 'recall-lineup' | 'forget-lineup',
  session: Session,
  typed: string,
): Choice[] {
  const commandFor = (name: string): Command =>
    kind === 'recall-lineup' ? { command: kind, which: name } : { command: kind, text: name };
  const line = (id: string, name: string, detail: string, command: Command): Choice => ({
    id,
    name,
    detail,
    balloon: name.slice(0, 2).toUpperCase(),
    hue: PLAIN_HUE,
    command,
  });
  const saved = (session.lineups ?? [])
    .map((lineup) => ({ lineup, score: nearness(lineup.name, typed) }))
    .filter(({ score }) => score > 0)
    .sort((a, b) => b.score - a.score)
    .map(({ lineup: { name, windows, workspace } }, i) => {
      const detail = `${countText(windows.length, 'window')}, workspace ${workspace}`;
      const what = kind === 'save-lineup' ? `replace it: ${detail}` : detail;
      return line(`lineup-${i}`, name, what, commandFor(name));
    });
  const name = typed.trim();
  if (kind === 'save-lineup' && name !== '' && !saved.some((choice) => choice.name === name))
    return [line('new', name, 'a lineup of this workspace', commandFor(name)), ...saved];
  const { together } = session;
  if (kind !== 'recall-lineup' || !together || name !== '') return saved;
  const detail = `${countText(together.windows.length, 'window')}, workspace ${together.workspace}`;
  return [...saved, line('last', 'Placed together last', detail, commandFor(LAST))];
}
