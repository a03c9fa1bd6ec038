import { BASE, KEYBOARD } from '../model/keys.ts';
import type { Profile } from '../model/profile.ts';
import { MAIN, MODIFIERS } from '../values/modifiers.ts';
import { stepText, triggerOf, triggerText } from '../values/trigger.ts';
import { keyboardOf, freeInputsOf } from './devices.ts';
import { expander, keyMap, type KeyBinding } from './map.ts';
import { neverComes, takesFromTyping } from './never-bound.ts';
import { placeOf } from './key-position.ts';
import { shortcutLists } from './shortcut-lists.ts';
import { dualRole } from './lookup.ts';
import { keyTable } from './table.ts';

/** Keys whose position differs between keyboards, or that some lack. */
export const SELDOM_THERE = ['ContextMenu', 'PrintScreen', 'ScrollLock', 'Pause', 'NumLock'];
/** How much farther than one key width a further modifier counts. */
const MODIFIER_COUNTS = 3;

/**
 * Tells whether keys are free in a layer: not bound, not the beginning of a sequence, not taken by the desktop, not
 * needed to type, and such as come at all.
 *
 * @param instead keys that are given up for them: what these are tapped or held for is no hindrance
 */
export function freeKeys(
  profile: Profile,
  layer: string,
  instead?: string,
): (keys: string) => boolean {
  const expand = expander(profile.keys);
  const used = new Set<string>();
  const map = keyMap(profile);
  const table = keyTable(profile);
  const hasRole = (code: string) => {
    const role = dualRole(table, [layer, BASE], code, null);
    return role !== null && role.keys !== instead;
  };
  // What is pressed in a chord could not be tapped or held for something beside.
  const isPressed = new Set<string>();
  for (const { layer: of, trigger, canonicalTrigger } of map) {
    // A tap or hold in the base layer is one in those above it as well.
    if (trigger.how === 'press' && (of === layer || layer === BASE))
      for (const { code } of trigger.steps) if (code !== undefined) isPressed.add(code);
    if (of !== layer) continue;
    used.add(canonicalTrigger);
    used.add(stepText(trigger.steps[0]!));
  }
  for (const { on, shortcuts } of shortcutLists(profile))
    if (on) for (const { keys } of shortcuts) used.add(expand(keys).canonicalTrigger);
  return (keys) => {
    const { trigger, canonicalTrigger } = expand(keys);
    return (
      !used.has(canonicalTrigger) &&
      !trigger.steps.some(({ code = '' }) =>
        trigger.how === 'press' ? hasRole(code) : isPressed.has(code),
      ) &&
      !takesFromTyping(trigger, layer) &&
      trigger.steps.every((step) => neverComes(profile, step) === null)
    );
  };
}

/**
 * The free keys nearest to those of a binding, of the inputs of a device: with the same modifiers at the key
 * nearest by, or with one modifier more. Null where none is free.
 */
export function nearestFree(
  profile: Profile,
  near: Pick<KeyBinding, 'keys' | 'layer'>,
  inputs: readonly string[] = inputsLike(profile, near.keys),
  instead: string = near.keys,
): string | null {
  const isFree = freeKeys(profile, near.layer, instead);
  const place = placeOf(profile);
  const { steps } = triggerOf(near.keys);
  const { modifiers, code = '' } = steps[0]!;
  const from = place(code);
  const bare = inputs.every((input) => input.startsWith('Button'));
  const withMain = bare || modifiers.length > 0 || near.layer !== BASE ? modifiers : [MAIN];
  const more = bare
    ? []
    : [...MODIFIERS.filter((name) => name !== profile.keys.main && !withMain.includes(name))];
  let best: { keys: string; far: number } | null = null;
  for (const modifiersDown of [withMain, ...more.map((name) => [...withMain, name])]) {
    for (const input of inputs) {
      const keys = triggerText({
        how: 'press',
        steps: [{ modifiers: modifiersDown, code: input }],
      });
      const to = place(input);
      const apart = from && to ? Math.hypot(from.x - to.x, from.y - to.y) : 0;
      const far = apart + MODIFIER_COUNTS * (modifiersDown.length - withMain.length);
      if ((!best || far < best.far) && input !== 'Escape' && isFree(keys)) best = { keys, far };
    }
  }
  return best?.keys ?? null;
}

/** The inputs that can take the place of what a trigger is pressed on: keys for a key, buttons for a button. */
function inputsLike(profile: Profile, keys: string): readonly string[] {
  const { code = '' } = triggerOf(keys).steps[0]!;
  const isButton = code.startsWith('Button');
  if (isButton) {
    const buttons = profile.keys.devices.flatMap(freeInputsOf);
    return buttons.filter((input) => input.startsWith('Button'));
  }
  const { form } = keyboardOf(profile);
  return freeInputsOf({ ...KEYBOARD, board: form }).filter((code) => !SELDOM_THERE.includes(code));
}
