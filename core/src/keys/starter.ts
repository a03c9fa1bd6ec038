import { DIRECTIONS, type Direction } from '../geometry/direction.ts';
import type { Modifier, Profile } from '../profile/schema.ts';
import type { Command, PlainCommandId } from '../session/commands/index.ts';
import { chordText, type Chord } from './chord.ts';

export interface Binding {
  chord: Chord;
  command: Command;
}

const ARROWS: Record<Direction, string> = {
  left: 'ArrowLeft',
  right: 'ArrowRight',
  up: 'ArrowUp',
  down: 'ArrowDown',
};

const PLAIN: readonly (readonly [string, Modifier[], PlainCommandId])[] = [
  ['Comma', [], 'focus-previous'],
  ['Period', [], 'focus-next'],
  ['Backquote', [], 'focus-last'],
  ['Comma', ['Shift'], 'move-earlier'],
  ['Period', ['Shift'], 'move-later'],
  ['Enter', [], 'swap-with-lead'],
  ['Enter', ['Shift'], 'promote'],
  ['BracketLeft', [], 'lead-share-less'],
  ['BracketRight', [], 'lead-share-more'],
  ['Semicolon', [], 'lead-count-less'],
  ['Quote', [], 'lead-count-more'],
  ['Equal', [], 'even-out'],
  ['Backspace', [], 'reset-layout'],
  ['KeyL', [], 'next-layout'],
  ['KeyL', ['Shift'], 'previous-layout'],
  ['KeyT', [], 'turn-layout'],
  ['Space', [], 'float'],
  ['KeyQ', [], 'close'],
  ['KeyZ', [], 'undo'],
  ['KeyZ', ['Shift'], 'redo'],
];

/**
 * The key map a profile begins with: directions on the arrows, the rest of the shaping around them,
 * workspaces by their letter or digit (with Ctrl the window is put there, with Shift too it is followed), apps by their letter with Shift. A key that is taken stays with
 * what took it first.
 */
export function starterKeys(profile: Profile): Binding[] {
  const { main } = profile.keys;
  const bindings = new Map<string, Binding>();
  const bind = (code: string, more: readonly Modifier[], command: Command) => {
    const chord: Chord = { modifiers: [...new Set([main, ...more])], code };
    const text = chordText(chord);
    if (!bindings.has(text)) bindings.set(text, { chord, command });
  };
  for (const direction of DIRECTIONS) {
    bind(ARROWS[direction], [], { command: `focus-${direction}` });
    bind(ARROWS[direction], ['Shift'], { command: `move-${direction}` });
    bind(ARROWS[direction], ['Ctrl'], { command: `grow-${direction}` });
    bind(ARROWS[direction], ['Ctrl', 'Shift'], { command: `shrink-${direction}` });
  }
  for (const [code, more, command] of PLAIN) bind(code, more, { command });
  for (const { id } of profile.workspaces) {
    const code = codeOf(id);
    if (code === null) continue;
    bind(code, [], { command: 'go-workspace', which: id });
    bind(code, ['Ctrl'], { command: 'put-on-workspace', which: id });
    bind(code, ['Ctrl', 'Shift'], { command: 'put-on-workspace', which: id, follow: true });
  }
  for (const { id, letter } of profile.apps) {
    if (letter) bind(`Key${letter}`, ['Shift'], { command: 'open-app', app: id });
  }
  return [...bindings.values()];
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
