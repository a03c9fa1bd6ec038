import { DIRECTIONS, type Direction } from '../geometry/direction.ts';
import type { Modifier, Profile } from '../profile/schema.ts';
import type { Command, PlainCommandId } from '../session/commands/index.ts';
import type { Session } from '../session/session.ts';
import { chordText, type Binding, type Chord } from './chord.ts';
import { PICKING_KEYS, PLACING_STARTER } from './placing-keys.ts';

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
 * The key map a profile begins with: directions on the arrows, the rest of the shaping around them,
 * workspaces by their letter or digit (with Ctrl the window is put there, with Shift too it is followed),
 * apps by their letter with Shift, another window of one with Alt. With Alt, directions and the
 * keys that go round workspaces mean monitors (with Shift the window is put there, with Ctrl the workspace),
 * and desks are on F1 and on. What is named by the person, and places put on keys, come
 * before what the starter puts on a letter; within a kind a key stays with what took it first.
 */
export function starterKeys(profile: Profile): Binding[] {
  const { main, places } = profile.keys;
  const bindings = new Map<string, Binding>();
  const bind = (code: string, more: readonly Modifier[], command: Command) => {
    const chord: Chord = { modifiers: [...new Set([main, ...more])], code };
    const text = chordText(chord);
    if (!bindings.has(text)) bindings.set(text, { chord, command });
  };
  for (const { modifiers, code, x, y } of places) {
    const chord: Chord = { modifiers, code };
    bindings.set(chordText(chord), { chord, command: { command: 'place-at', x, y } });
  }
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

const BARE: readonly Modifier[] = [];

/** The key layer of shaping a window: what its bare keys do while it lasts. */
export const SHAPING_KEYS: readonly Binding[] = [
  ...DIRECTIONS.flatMap((direction): Binding[] => [
    {
      chord: { modifiers: BARE, code: ARROWS[direction] },
      command: { command: 'shape-step', direction },
    },
    {
      chord: { modifiers: ['Shift'], code: ARROWS[direction] },
      command: { command: 'shape-step', direction, inward: true },
    },
  ]),
  { chord: { modifiers: BARE, code: 'KeyM' }, command: { command: 'shape-as', by: 'move' } },
  { chord: { modifiers: BARE, code: 'KeyG' }, command: { command: 'shape-as', by: 'grow' } },
  { chord: { modifiers: BARE, code: 'KeyW' }, command: { command: 'shape-as', by: 'exchange' } },
  { chord: { modifiers: BARE, code: 'Backspace' }, command: { command: 'shape-back' } },
  { chord: { modifiers: BARE, code: 'Enter' }, command: { command: 'shape' } },
  { chord: { modifiers: BARE, code: 'Escape' }, command: { command: 'shape-drop' } },
];

/** The bindings that count now: those of the key layer that is entered, then the base layer's. */
export function bindingsNow(base: readonly Binding[], session: Session): readonly Binding[] {
  if (session.shaping) return [...SHAPING_KEYS, ...base];
  return session.picking ? [...PICKING_KEYS[session.picking.by], ...base] : base;
}

/** The key of a workspace that is called by one letter or digit. */
function codeOf(workspace: string): string | null {
  if (/^[A-Za-z]$/.test(workspace)) return `Key${workspace.toUpperCase()}`;
  return /^\d$/.test(workspace) ? `Digit${workspace}` : null;
}

/**
 * What a chord does: the binding for it, or for it with the main modifier in the place of its stand-in.
 */
export function bindingFor(
  bindings: readonly Binding[],
  chord: Chord,
  { main, standIn }: Profile['keys'],
): Binding | null {
  const find = (text: string) =>
    bindings.find((binding) => chordText(binding.chord) === text) ?? null;
  const exact = find(chordText(chord));
  if (exact || chord.modifiers.includes(main) || !chord.modifiers.includes(standIn)) return exact;
  const modifiers = chord.modifiers.map((modifier) => (modifier === standIn ? main : modifier));
  return find(chordText({ ...chord, modifiers }));
}
