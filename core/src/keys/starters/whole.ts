import { DIRECTIONS, type Direction } from '../../geometry/direction.ts';
import type { Command, PlainCommandId } from '../../profile/command.ts';
import type { Profile } from '../../profile/schema.ts';
import { inOrder, type Modifier } from '../modifiers.ts';
import { PLACING_STARTER } from './placing-keys.ts';
import { withMain, type StarterBinding } from './binding.ts';

const ARROWS: Record<Direction, string> = {
  left: 'ArrowLeft',
  right: 'ArrowRight',
  up: 'ArrowUp',
  down: 'ArrowDown',
};

type PlainBinding = readonly [string, Modifier[], PlainCommandId];

/** What nothing may hide: the ways back. */
const WAYS_BACK: readonly PlainBinding[] = [
  ['KeyZ', [], 'undo'],
  ['KeyZ', ['Shift'], 'redo'],
  ['Escape', [], 'pause'],
  ['Escape', ['Shift'], 'resume'],
];

const PLAIN: readonly PlainBinding[] = [
  ['Comma', [], 'focus-previous'],
  ['Period', [], 'focus-next'],
  ['Backquote', [], 'focus-last'],
  ['Tab', [], 'switch-window'],
  ['Comma', ['Shift'], 'move-earlier'],
  ['Period', ['Shift'], 'move-later'],
  ['Enter', [], 'swap-with-lead'],
  ['Enter', ['Shift'], 'promote'],
  ['BracketLeft', [], 'lead-share-less'],
  ['BracketRight', [], 'lead-share-more'],
  ['Semicolon', [], 'lead-count-less'],
  ['Quote', [], 'lead-count-more'],
  ['Equal', [], 'even-out'],
  ['KeyG', [], 'shape'],
  ['Backspace', [], 'reset-layout'],
  ['Backspace', ['Shift'], 'apply-rules'],
  ['KeyL', [], 'next-layout'],
  ['KeyL', ['Shift'], 'previous-layout'],
  ['KeyT', [], 'turn-layout'],
  ['KeyH', [], 'split-across'],
  ['KeyV', [], 'split-down'],
  ['Space', [], 'float'],
  ['Space', ['Shift'], 'float-all'],
  ['KeyA', [], 'stay-above'],
  ['KeyE', [], 'everywhere'],
  ['KeyX', [], 'maximise'],
  ['KeyW', [], 'full-screen'],
  ['Minus', [], 'minimise'],
  ['Minus', ['Shift'], 'restore-last'],
  ['KeyP', [], 'pocket'],
  ['KeyO', [], 'call-back'],
  ['KeyJ', [], 'next-of-app'],
  ['KeyD', [], 'show-desktop'],
  ['KeyU', [], 'peek-desktop'],
  ['KeyN', [], 'new-workspace'],
  ['KeyK', [], 'close-workspace'],
  ['KeyI', [], 'bring-inside'],
  ['KeyQ', [], 'close'],
  ['End', [], 'open-start'],
];

/** Going round the workspaces, and putting a window on the next one: by which key, with which word. */
const WORKSPACES_ROUND = [
  ['PageDown', 'next'],
  ['PageUp', 'previous'],
  ['Home', 'last'],
] as const;

const MONITORS_ROUND = [
  ['PageDown', 'next'],
  ['PageUp', 'previous'],
  ['Home', 'primary'],
] as const;
const MOST_DESK_KEYS = 8;

/**
 * The whole map: directions on the arrows, the rest of the shaping around them,
 * workspaces by their letter or digit (with Ctrl the window is put there, with Shift too it is followed),
 * apps by their letter with Shift, another window of one with Alt. With Alt, directions and the
 * keys that go round workspaces mean monitors (with Shift the window is put there, with Ctrl the workspace),
 * and desks are on F1 and on. What is named by the person comes before what the starter puts on a letter;
 * within a kind a key stays with what took it first.
 */
export function wholeStarter(profile: Profile): StarterBinding[] {
  const bindings = new Map<string, StarterBinding>();
  const bind = (code: string, more: readonly Modifier[], command: Command) => {
    const binding = withMain(code, inOrder(more), command);
    if (!bindings.has(binding.keys)) bindings.set(binding.keys, binding);
  };
  const workspace = (code: string, which: string) => {
    bind(code, [], { command: 'go-workspace', which });
    bind(code, ['Ctrl'], { command: 'put-on-workspace', which });
    bind(code, ['Ctrl', 'Shift'], { command: 'put-on-workspace', which, follow: true });
  };
  const monitor = (code: string, which: string) => {
    bind(code, ['Alt'], { command: 'go-monitor', which });
    bind(code, ['Alt', 'Shift'], { command: 'put-on-monitor', which });
    bind(code, ['Alt', 'Ctrl'], { command: 'put-workspace-on-monitor', which });
  };
  for (const direction of DIRECTIONS) {
    bind(ARROWS[direction], [], { command: `focus-${direction}` });
    bind(ARROWS[direction], ['Shift'], { command: `move-${direction}` });
    bind(ARROWS[direction], ['Ctrl'], { command: `grow-${direction}` });
    bind(ARROWS[direction], ['Ctrl', 'Shift'], { command: `shrink-${direction}` });
    monitor(ARROWS[direction], direction);
  }
  for (const [code, more, command] of WAYS_BACK) bind(code, more, { command });
  for (const { id } of profile.workspaces) {
    const code = codeOf(id);
    if (code !== null) workspace(code, id);
  }
  for (const [code, which] of WORKSPACES_ROUND) workspace(code, which);
  for (const [code, which] of MONITORS_ROUND) monitor(code, which);
  profile.desks.slice(0, MOST_DESK_KEYS).forEach(({ id }, i) => {
    bind(`F${i + 1}`, [], { command: 'use-desk', desk: id });
  });
  bind('Backslash', [], { command: 'desk-mode' });
  for (const { id, letter } of profile.apps) {
    if (letter === undefined) continue;
    bind(`Key${letter}`, ['Shift'], { command: 'call-app', app: id });
    bind(`Key${letter}`, ['Alt'], { command: 'open-app', app: id });
  }
  for (const [code, more, command] of PLAIN) bind(code, more, { command });
  for (const [code, more, command] of PLACING_STARTER) bind(code, more, command);
  bind('Slash', [], { command: 'find-window' });
  bind('Slash', ['Shift'], { command: 'launch' });
  return [...bindings.values()];
}

/** The key of a workspace that is called by one letter or digit. */
function codeOf(workspace: string): string | null {
  if (/^[A-Za-z]$/.test(workspace)) return `Key${workspace.toUpperCase()}`;
  return /^\d$/.test(workspace) ? `Digit${workspace}` : null;
}
