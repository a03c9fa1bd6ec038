import type { Command } from '../session/commands/index.ts';
import { MODIFIERS, type Modifier } from '../profile/schema.ts';

/** Modifiers and one key, by UI Events `code`: where the key is, whatever it types. */
export interface Chord {
  modifiers: readonly Modifier[];
  code: string;
}

/** A chord and what it does. */
export interface Binding {
  chord: Chord;
  command: Command;
}

/** The part of a UI Events keyboard event that makes a chord. */
export interface KeyPress {
  code: string;
  ctrlKey: boolean;
  altKey: boolean;
  shiftKey: boolean;
  metaKey: boolean;
}

export function chordOf(press: KeyPress): Chord {
  const held: Record<Modifier, boolean> = {
    Ctrl: press.ctrlKey,
    Alt: press.altKey,
    Shift: press.shiftKey,
    Meta: press.metaKey,
  };
  return { modifiers: MODIFIERS.filter((modifier) => held[modifier]), code: press.code };
}

/** True while only modifiers are down: no chord yet. */
export function isModifierCode(code: string): boolean {
  return /^(Control|Alt|Shift|Meta|OS)(Left|Right)$/.test(code) || code === 'CapsLock';
}

/** One text for one chord, modifiers in a fixed order. */
export function chordText({ modifiers, code }: Chord): string {
  return [...MODIFIERS.filter((modifier) => modifiers.includes(modifier)), code].join('+');
}

const NAMES: Record<string, string> = {
  ArrowLeft: '←',
  ArrowRight: '→',
  ArrowUp: '↑',
  ArrowDown: '↓',
  BracketLeft: '[',
  BracketRight: ']',
  Semicolon: ';',
  Quote: "'",
  Comma: ',',
  Period: '.',
  Slash: '/',
  Backslash: '\\',
  Backquote: '`',
  Minus: '-',
  Equal: '=',
  Escape: 'Esc',
  NumpadDecimal: 'Pad .',
};

/** What a key is called on a key cap. */
export function keyName(code: string): string {
  return NAMES[code] ?? code.replace(/^(Key|Digit)/, '').replace(/^Numpad/, 'Pad ');
}

const CAP_ORDER: readonly Modifier[] = ['Meta', 'Ctrl', 'Alt', 'Shift'];

/** The caps of a chord, in the order they are pressed. */
export function chordCaps({ modifiers, code }: Chord): string[] {
  return [...CAP_ORDER.filter((modifier) => modifiers.includes(modifier)), keyName(code)];
}
