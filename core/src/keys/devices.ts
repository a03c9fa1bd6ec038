import type { InputDevice } from '../model/keys.ts';
import type { Profile } from '../model/profile.ts';
import { isModifierCode } from '../values/modifiers.ts';
import { KEYBOARDS, type Keyboard } from './keyboards.ts';
import { POINTING_BUTTONS } from './starters/small-maps.ts';

/** The code of every input of a device: the keys of its board, its buttons, and what else it declares. */
export function inputsOf({ board, buttons = 0, codes = [] }: InputDevice): string[] {
  const keys = board ? KEYBOARDS[board].keys.map(({ code }) => code) : [];
  const all = Array.from({ length: buttons }, (_, i) => `Button${i + 1}`);
  return [...new Set([...keys, ...all, ...codes])];
}

/** The inputs that can have bindings: no modifiers, and no buttons that point, press and open menus. */
export function freeInputsOf(device: InputDevice): string[] {
  const pointing = Array.from({ length: POINTING_BUTTONS }, (_, i) => `Button${i + 1}`);
  return inputsOf(device).filter((code) => !isModifierCode(code) && !pointing.includes(code));
}

/** True for a device that text can be typed on. */
export function hasLetters(device: InputDevice): boolean {
  const inputs = new Set(inputsOf(device));
  return [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'].every((letter) => inputs.has(`Key${letter}`));
}

/** What a device is called. */
export function deviceName({ name, id }: InputDevice): string {
  return name ?? id;
}

/** The board that stands for the profile's keys: that of its first keyboard. */
export function keyboardOf({ keys }: Profile): Keyboard {
  const form = keys.devices.find(({ board }) => board !== undefined)?.board;
  return KEYBOARDS[form ?? 'ansi-100'];
}

/** True for a device with so few inputs that everything on it is best thought over at once. */
export function hasFewInputs(device: InputDevice): boolean {
  return !device.modifiers || freeInputsOf(device).length <= 20;
}
