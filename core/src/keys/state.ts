import type { Command, OutsideCommand } from '../commands/registry.ts';

import type { Modifier } from '../values/modifiers.ts';
import type { KeyBinding } from './map.ts';

/** Something that happens at a keyboard or at buttons. Times in milliseconds of any clock that only goes forward. */
export type KeyInput =
  | {
      type: 'down';
      at: number;
      /** UI Events `code`, or a button as Button4. */
      code: string;
      /** UI Events `key`: what it types. */
      key?: string;
      /** The modifiers that the event itself tells to be held. */
      modifiers: readonly Modifier[];
      /** The key is down already, and this is a repeat of it. */
      repeat?: boolean;
    }
  | { type: 'up'; at: number; code: string }
  /** Time passes. */
  | { type: 'wait'; at: number }
  /** The keyboard focus went elsewhere: releases after this are not reported. */
  | { type: 'blur'; at: number };

/** The part of a key press that runs a command. */
export type On = 'press' | 'release' | 'tap' | 'hold';

/** One result of an input. */
export type KeyOutput =
  /** `binding` is null for keys that were asked for, and answer a command. */
  | { type: 'command'; command: Command; binding: KeyBinding | null; on: On; repeat: boolean }
  /** Something is to be typed first: a list opens, and what is chosen in it is the command. */
  | { type: 'ask'; command: Command; binding: KeyBinding; on: On }
  /** What lasted while its key was down is over: what was chosen with it is taken, or dropped. */
  | { type: 'choice'; taken: boolean; because: string }
  | { type: 'layer'; layer: string; is: 'entered' | 'left'; because: string }
  | { type: 'sequence'; is: 'begun' | 'dropped'; because: string }
  /** The key of a binding that ran is let go; `lost` where only the keyboard went elsewhere. */
  | { type: 'released'; binding: KeyBinding; lost: boolean }
  /** Something is done outside the desk: by the desktop, or by a command line. */
  | { type: 'outside'; command: OutsideCommand; binding: KeyBinding }
  /** The app with the focus keeps these keys for itself. */
  | { type: 'kept'; code: string; modifiers: readonly Modifier[]; app: string }
  /** Nothing is bound to these keys. */
  | { type: 'unbound'; code: string; modifiers: readonly Modifier[] };

/** A key that is down, and its role. */
interface KeyDown {
  code: string;
  role: 'bound' | 'unbound' | 'modifier' | 'bundle' | 'stand-in';
  binding?: KeyBinding;
}

/** A layer that is entered, and the key that holds it. */
interface EnteredLayer {
  layer: string;
  by: string;
}

/** The state of the keys of a map. */
export interface KeyState {
  down: readonly KeyDown[];
  /** The last one entered is last. */
  layers: readonly EnteredLayer[];
  /** A sequence that has begun: what it can become, how many presses are done, until when the next is waited for. */
  pending: { among: readonly KeyBinding[]; done: number; until: number } | null;
  /** A tap-hold key that is down, until it is decided which of the two it does; inputs are kept meanwhile. */
  undecided: {
    code: string;
    until: number;
    tap: KeyBinding | null;
    hold: KeyBinding | null;
    queue: readonly KeyInput[];
  } | null;
}

/** Nothing is down, entered or begun. */
export const IDLE: KeyState = { down: [], layers: [], pending: null, undecided: null };

/** True in the base layer with nothing begun and nothing that changes what keys mean. */
export function isIdle({ down, layers, pending, undecided }: KeyState): boolean {
  const changes = down.some(({ role }) => role === 'bundle' || role === 'stand-in');
  return !changes && layers.length === 0 && pending === null && undecided === null;
}

/** The next time at which waiting alone changes the state; null when there is none. */
export function nextTime({ pending, undecided }: KeyState): number | null {
  const times = [pending?.until, undecided?.until].filter((at) => at !== undefined);
  return times.length > 0 ? Math.min(...times) : null;
}
