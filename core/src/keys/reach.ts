import type { Profile } from '../model/profile.ts';
import { buttonOf } from '../values/codes.ts';
import { MAIN, type Modifier } from '../values/modifiers.ts';
import { triggerOf, type TriggerStep } from '../values/trigger.ts';
import { middleOf, KEYBOARDS } from './keyboards.ts';
import { keyboardOf } from './devices.ts';
import { POINTING_BUTTONS } from './starters/small-maps.ts';

/**
 * The fingers and the keys they rest on, as typing is taught by touch, and how much a press of each counts
 * beside one of the index finger. The rest keys are those of the home row; the factors are Sorn's own, in the
 * order that fingers are quick at tapping: index and middle before ring, the little finger last.
 */
const FINGERS = {
  thumb: { rest: ['Space'], factor: 1 },
  index: { rest: ['KeyF', 'KeyJ'], factor: 1 },
  middle: { rest: ['KeyD', 'KeyK'], factor: 1.05 },
  ring: { rest: ['KeyS', 'KeyL'], factor: 1.2 },
  little: { rest: ['KeyA', 'Semicolon'], factor: 1.4 },
} as const;
export type Finger = keyof typeof FINGERS;

const COLUMNS: Record<Exclude<Finger, 'thumb'>, string> = {
  index: 'Digit4 Digit5 Digit6 Digit7 KeyR KeyT KeyY KeyU KeyF KeyG KeyH KeyJ KeyV KeyB KeyN KeyM',
  middle: 'Digit3 Digit8 KeyE KeyI KeyD KeyK KeyC Comma',
  ring: 'Digit2 Digit9 KeyW KeyO KeyS KeyL KeyX Period',
  little:
    'Backquote Digit1 Digit0 Minus Equal Backspace Tab KeyQ KeyP BracketLeft BracketRight Backslash CapsLock KeyA Semicolon Quote Enter KeyZ Slash IntlBackslash ShiftLeft ShiftRight ControlLeft ControlRight Escape',
};
const FINGER_OF = new Map<string, Finger>(
  (Object.keys(COLUMNS) as (keyof typeof COLUMNS)[]).flatMap((finger) =>
    COLUMNS[finger].split(' ').map((code): [string, Finger] => [code, finger]),
  ),
);
const THUMB = ['Space', 'AltLeft', 'AltRight', 'MetaLeft', 'MetaRight'];

/** The finger that presses a key; farther off, where the whole hand goes, the index finger. */
export function fingerOf(code: string): Finger {
  return THUMB.includes(code) ? 'thumb' : (FINGER_OF.get(code) ?? 'index');
}

/** The cost of a press, wherever the key is. */
const PRESS = 0.5;
/** Buttons lie under the fingers already; each further one is a little harder to tell from the others. */
const NEXT_BUTTON = 0.1;

/**
 * The reach of one key: how hard it is to press. The index of difficulty of Fitts's law in MacKenzie's form,
 * log2(D / W + 1), with D the way of the finger from the key it rests on and W one key width, and a
 * constant for the press; times the factor of the finger. I. S. MacKenzie, "Fitts' law as a research and design
 * tool in human–computer interaction", Human–Computer Interaction 7, 1992.
 */
export function reachOfKey(profile: Profile, code: string): number {
  const button = buttonOf(code);
  if (button !== null) return PRESS + NEXT_BUTTON * Math.max(0, button - POINTING_BUTTONS - 1);
  const board = keyboardOf(profile);
  const at = (key: string) => middleOf(board, key) ?? middleOf(KEYBOARDS['ansi-100'], key);
  const to = at(code);
  const { rest, factor } = FINGERS[fingerOf(code)];
  if (!to) return PRESS + Math.log2(8);
  const ways = rest.map((key) => {
    const from = at(key)!;
    return Math.hypot(from.x - to.x, from.y - to.y);
  });
  return factor * (PRESS + Math.log2(Math.min(...ways) + 1));
}

const CODES_OF: Record<Modifier, readonly string[]> = {
  Ctrl: ['ControlLeft', 'ControlRight'],
  Alt: ['AltLeft', 'AltRight'],
  Shift: ['ShiftLeft', 'ShiftRight'],
  Meta: ['MetaLeft', 'MetaRight'],
};

const tables = new WeakMap<Profile, (keys: string) => number>();

/** The reach of triggers of a profile: of every press of them, its key and each modifier that is held for it. */
export function reachTable(profile: Profile): (keys: string) => number {
  const known = tables.get(profile);
  if (known) return known;
  const byCode = new Map<string, number>();
  const ofKey = (code: string) => {
    const reach = byCode.get(code) ?? reachOfKey(profile, code);
    byCode.set(code, reach);
    return reach;
  };
  const { bundles, main } = profile.keys;
  const ofModifier = (name: string): number => {
    const bundle = bundles.find(({ id }) => id === name);
    if (bundle) return ofKey(bundle.hold);
    const codes = CODES_OF[(name === MAIN ? main : name) as Modifier];
    return codes ? Math.min(...codes.map(ofKey)) : 0;
  };
  const ofStep = ({ modifiers, code, types }: TriggerStep) => {
    const key = code ?? (/^[a-z]$/i.test(types ?? '') ? `Key${types!.toUpperCase()}` : 'Digit1');
    return ofKey(key) + modifiers.reduce((sum, name) => sum + ofModifier(name), 0);
  };
  const byKeys = new Map<string, number>();
  const table = (keys: string) => {
    let reach = byKeys.get(keys);
    if (reach === undefined) {
      // As it is written: a bundle is one key, however many modifiers it stands for.
      reach = triggerOf(keys).steps.reduce((sum, step) => sum + ofStep(step), 0);
      byKeys.set(keys, reach);
    }
    return reach;
  };
  tables.set(profile, table);
  return table;
}
