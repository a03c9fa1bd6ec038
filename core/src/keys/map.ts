import type { KeyCommand } from '../commands/registry.ts';
import { BASE } from '../model/keys.ts';
import type { Profile } from '../model/profile.ts';
import { inOrder, MAIN, MODIFIERS, type Modifier } from '../values/modifiers.ts';
import { keptByFields } from '../values/cache.ts';
import { triggerOf, triggerText, type TriggerStep, type Trigger } from '../values/trigger.ts';
import { FIXED_KEYS, FIXED_LAYERS } from './fixed-layers.ts';
import { STARTER_MAPS } from './starters/starters.ts';

/** A binding of the whole map: one of the person's own, of the starter, or of what is under way on the desk. */
export interface KeyBinding {
  /** Its trigger as the profile writes it. */
  keys: string;
  /** The same with the main modifier and bundles as what they stand for. */
  trigger: Trigger;
  /** One text for the same presses, however they are written. */
  canonicalTrigger: string;
  command?: KeyCommand;
  release?: KeyCommand;
  layer: string;
  app: string | null;
  from: 'own' | 'starter' | 'fixed';
  /** Its index in the profile's own bindings; −1 for a binding of the starter. */
  at: number;
  pinned: boolean;
}

/**
 * Every binding that holds in a profile, those that come first at a press first: the person's own, then the
 * starter's without the keys that are left out.
 */
export const keyMap = keptByFields(8, (profile: Profile): readonly KeyBinding[] => {
  const there = new Set<string>();
  // A copy of what is there already does nothing of its own.
  return [...ownBindings(profile), ...starterBindings(profile)].filter((binding) => {
    const means = meaning(binding);
    if (there.has(means)) return false;
    there.add(means);
    return true;
  });
});

/** Every binding of the person's own, copies too. */
export function ownBindings({ keys }: Profile): KeyBinding[] {
  const expand = expander(keys);
  return keys.bindings.map((binding, at): KeyBinding => {
    const { in: layer = BASE, app = null, pinned = false } = binding;
    const { keys: written, trigger, canonicalTrigger } = expand(binding.keys);
    const whole: KeyBinding = {
      keys: written,
      trigger,
      canonicalTrigger,
      layer,
      app,
      from: 'own',
      at,
      pinned,
    };
    if (binding.command) whole.command = binding.command;
    if (binding.release) whole.release = binding.release;
    return whole;
  });
}

/** What the profile's starter binds, without the keys that are left out. */
function starterBindings(profile: Profile): KeyBinding[] {
  const { from, without, main } = profile.keys;
  const expand = expander(profile.keys);
  const leftOut = new Set(without.map((keys) => triggerText(triggerOf(keys))));
  return STARTER_MAPS[from]
    .bindings(profile)
    .filter(({ keys }) => !leftOut.has(keys))
    .map(({ keys, command }) => ({
      ...expand(beside(keys, main)),
      command,
      layer: BASE,
      app: null,
      from: 'starter',
      at: -1,
      pinned: false,
    }));
}

/**
 * A trigger as starters write it, beside another main modifier than Meta: what it has of that modifier
 * itself becomes Meta, so that no two triggers become one.
 */
export function beside(keys: string, main: Modifier): string {
  return withSwapped(keys, main, 'Meta');
}

/** A trigger with one modifier in the place of another, where it is named itself. */
export function withSwapped(keys: string, former: Modifier, next: Modifier): string {
  if (former === next || !keys.includes(former)) return keys;
  const { how, steps } = triggerOf(keys);
  const swapped = steps.map((step) => ({
    ...step,
    modifiers: step.modifiers.map((name) => (name === former ? next : name)),
  }));
  return triggerText({ how, steps: swapped });
}

type Expand = (keys: string) => Pick<KeyBinding, 'keys' | 'trigger' | 'canonicalTrigger'>;

const expanders = new WeakMap<Profile['keys'], Expand>();

/** Puts what they stand for in the place of the main modifier and of bundles. */
export function expander(keys: Profile['keys']): Expand {
  const known = expanders.get(keys) ?? expanderOf(keys);
  expanders.set(keys, known);
  return known;
}

function expanderOf({ main, bundles }: Profile['keys']): Expand {
  const standsFor = (name: string): readonly string[] => {
    if (name === MAIN) return [main];
    const bundle = bundles.find(({ id }) => id === name);
    return bundle ? bundle.modifiers.map((each) => (each === MAIN ? main : each)) : [name];
  };
  const expandStep = (step: TriggerStep): TriggerStep => {
    const modifiers = step.modifiers.flatMap(standsFor);
    const known = inOrder(modifiers as Modifier[]);
    // A name that stands for nothing stays: no press has it.
    const unknown = modifiers.filter((name) => !MODIFIERS.some((modifier) => modifier === name));
    return { ...step, modifiers: [...known, ...unknown] };
  };
  const expanded = new Map<string, ReturnType<Expand>>();
  return (keys) => {
    const known = expanded.get(keys);
    if (known) return known;
    const { how, steps } = triggerOf(keys);
    const trigger: Trigger = { how, steps: steps.map(expandStep) };
    const found = { keys, trigger, canonicalTrigger: triggerText(trigger) };
    expanded.set(keys, found);
    return found;
  };
}

/** True where keys are written with a modifier or a bundle of this very name. */
export function isPressedWith({ keys }: Pick<KeyBinding, 'keys'>, name: string): boolean {
  return triggerOf(keys).steps.some(({ modifiers }) => modifiers.includes(name));
}

/** One text for the same keys that do the same in the same place. */
export function meaning({ canonicalTrigger, layer, app, command, release }: KeyBinding): string {
  return JSON.stringify([canonicalTrigger, layer, app, command, release]);
}

/** The presses of a binding one by one, as they are found by. */
export function pressesOf({
  canonicalTrigger,
  trigger,
}: Pick<KeyBinding, 'canonicalTrigger' | 'trigger'>): string[] {
  return trigger.steps.length === 1 ? [canonicalTrigger] : canonicalTrigger.split(' ');
}

/** The bindings of the layers that come with something under way on the desk. */
export const FIXED_BINDINGS: readonly KeyBinding[] = FIXED_LAYERS.flatMap((layer) =>
  FIXED_KEYS[layer].map(({ keys, command }): KeyBinding => {
    const trigger = triggerOf(keys);
    const canonicalTrigger = triggerText(trigger);
    return {
      keys,
      trigger,
      canonicalTrigger,
      command,
      layer,
      app: null,
      from: 'fixed',
      at: -1,
      pinned: false,
    };
  }),
);
