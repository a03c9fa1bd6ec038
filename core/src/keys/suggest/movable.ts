import { commandText } from '../../commands/command.ts';
import { definitionOf, type KeyCommand } from '../../commands/registry.ts';
import { BASE, type InputDevice } from '../../model/keys.ts';
import type { Profile } from '../../model/profile.ts';
import type { Use } from '../../model/uses.ts';
import { stepText, triggerOf } from '../../values/trigger.ts';
import { freeInputsOf } from '../devices.ts';
import { withoutBinding } from '../edit.ts';
import { freeKeys, SELDOM_THERE } from '../free-keys.ts';
import { expander, keyMap, type KeyBinding } from '../map.ts';
import { reachTable } from '../reach.ts';
import {
  isMnemonic,
  modifiersWithMain,
  namedTargetsOf,
  type KeySlot,
} from './binding-candidates.ts';

/** A binding that may move, with what is known of it. */
export interface Movable {
  binding: KeyBinding;
  /** Uses a day of these very keys. */
  uses: number;
  /** Its place now, in the list of places. */
  home: number;
}

/** A place for a binding. */
export interface Place extends KeySlot {
  /** Only the binding that is there already can be there: the desktop takes these keys, or no press comes. */
  isHeld: boolean;
}

/** True for bindings that a suggestion may move: chords of the base layer on the device, not pinned. */
export function isMovable(
  { layer, app, pinned, trigger, command }: KeyBinding,
  inputs: ReadonlySet<string>,
): boolean {
  const [step] = trigger.steps;
  return (
    layer === BASE &&
    app === null &&
    !pinned &&
    command !== undefined &&
    command.command !== 'leave-to-desktop' &&
    trigger.how === 'press' &&
    trigger.steps.length === 1 &&
    step?.code !== undefined &&
    inputs.has(step.code)
  );
}

/** The profile without some bindings. */
export function withoutBindings(profile: Profile, bindings: readonly KeyBinding[]): Profile {
  return [...bindings]
    .sort((a, b) => b.at - a.at)
    .reduce((now, binding) => withoutBinding(now, binding), profile);
}

/** How often bindings are used a day. */
export interface UsesADay {
  uses: readonly Use[];
  /** The days on which they were counted. */
  days: number;
}

/**
 * The bindings of a device that may move, and the places for them: with the main modifier and up to two more, and
 * with all that is held for some binding now.
 *
 * @param counted null: as estimated
 * @param codes only these inputs get anything new, where given
 */
export function movableOf(
  profile: Profile,
  device: InputDevice,
  counted: UsesADay | null,
  codes?: readonly string[],
): { movable: Movable[]; places: Place[] } {
  const inputs = new Set(freeInputsOf(device));
  const bindings = keyMap(profile).filter((binding) => isMovable(binding, inputs));
  const expand = expander(profile.keys);
  const reach = reachTable(profile);
  const isFree = freeKeys(withoutBindings(profile, bindings), BASE);
  const sets = new Map<string, readonly string[]>();
  const addSet = (modifiers: readonly string[]) => {
    // Without a key there is no trigger: any one tells which modifiers are the same.
    const { canonicalTrigger } = expand(stepText({ modifiers, code: 'KeyA' }));
    if (!sets.has(canonicalTrigger)) sets.set(canonicalTrigger, modifiers);
  };
  for (const set of modifiersWithMain(profile)) addSet(set);
  for (const { keys } of bindings) addSet(triggerOf(keys).steps[0]!.modifiers);
  const places: Place[] = [];
  const at = new Map<string, number>();
  const addPlace = (keys: string, isHeld: boolean) => {
    const { canonicalTrigger } = expand(keys);
    const known = at.get(canonicalTrigger);
    if (known !== undefined) return known;
    const [step] = triggerOf(keys).steps;
    at.set(canonicalTrigger, places.length);
    const { modifiers, code } = step!;
    places.push({ keys, code: code!, modifiers, reach: reach(keys), isHeld });
    return places.length - 1;
  };
  const wanted = codes ? new Set(codes) : inputs;
  for (const modifiers of sets.values()) {
    for (const code of inputs) {
      const keys = stepText({ modifiers, code });
      if (wanted.has(code) && !SELDOM_THERE.includes(code) && isFree(keys)) addPlace(keys, false);
    }
  }
  const uses = usesOf(bindings, counted, reach);
  const movable = bindings.map((binding, i): Movable => ({
    binding,
    uses: uses[i]!,
    home: addPlace(binding.keys, true),
  }));
  return { movable, places };
}

/**
 * Uses a day of each binding: those of its own keys, and those of keys that its command has no longer at its easiest
 * ones.
 */
function usesOf(
  bindings: readonly KeyBinding[],
  counted: UsesADay | null,
  reach: (keys: string) => number,
): number[] {
  const texts = bindings.map(({ command }) => commandText(command!));
  const uses = bindings.map(() => 0);
  const indexOf = new Map(bindings.map(({ keys }, i) => [`${keys} ${texts[i]}`, i]));
  const easiest = new Map<string, number>();
  texts.forEach((text, i) => {
    const known = easiest.get(text);
    const isEasier = known === undefined || reach(bindings[i]!.keys) < reach(bindings[known]!.keys);
    if (isEasier) easiest.set(text, i);
  });
  if (!counted) {
    for (const i of easiest.values()) {
      uses[i] = definitionOf(bindings[i]!.command!.command).guessedUses;
    }
    return uses;
  }
  for (const { keys, command, times } of counted.uses) {
    const at = indexOf.get(`${keys} ${command}`) ?? easiest.get(command);
    if (at !== undefined) uses[at] = uses[at]! + times / counted.days;
  }
  return uses;
}

/** True where a key is called as what its command leads to; where that has no name, by the command's first letter. */
export function standsForName(profile: Profile, command: KeyCommand, code: string): boolean {
  if (namedTargetsOf(command).length > 0) return isMnemonic(profile, command, code);
  return code === `Key${command.command[0]!.toUpperCase()}`;
}
