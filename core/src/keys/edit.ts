import type { KeyCommand } from '../commands/registry.ts';
import { commandText } from '../commands/command.ts';
import { BASE, type OwnBinding, type KeyStarterId } from '../model/keys.ts';
import type { Profile } from '../model/profile.ts';
import { MAIN, type Modifier } from '../values/modifiers.ts';
import { triggerOf, triggerText } from '../values/trigger.ts';
import {
  beside,
  expander,
  keyMap,
  meaning,
  ownBindings,
  withSwapped,
  type KeyBinding,
} from './map.ts';
import { STARTER_MAPS } from './starters/starters.ts';

function withKeys(profile: Profile, keys: Partial<Profile['keys']>): Profile {
  return { ...profile, keys: { ...profile.keys, ...keys } };
}

/** The profile with one more binding of the person's own, first of them. */
export function withBinding(profile: Profile, binding: OwnBinding): Profile {
  return withKeys(profile, { bindings: [binding, ...profile.keys.bindings] });
}

/** A binding of the map as the person's own list has it. */
export function asOwn({ keys, command, release, layer, app, pinned }: KeyBinding): OwnBinding {
  return {
    keys,
    ...(command && { command }),
    ...(release && { release }),
    ...(layer !== BASE && { in: layer }),
    ...(app !== null && { app }),
    ...(pinned && { pinned }),
  };
}

/** How the starter itself writes the keys of one of its bindings, whatever the main modifier is. */
function starterKeysOf(keys: string, { main }: Profile['keys']): string {
  return withSwapped(keys, 'Meta', main);
}

/** Where the list of the person's own has a binding, copies of it too. */
function copiesOf(profile: Profile, binding: KeyBinding): number[] {
  const means = meaning(binding);
  return ownBindings(profile).flatMap((own) => (meaning(own) === means ? [own.at] : []));
}

/** The profile without a binding: one of the person's own goes, keys of the starter are left out. */
export function withoutBinding(profile: Profile, binding: KeyBinding): Profile {
  const { from, keys } = binding;
  const { bindings, without } = profile.keys;
  if (from === 'own') {
    const gone = copiesOf(profile, binding);
    return withKeys(profile, { bindings: bindings.filter((_, i) => !gone.includes(i)) });
  }
  if (from !== 'starter') return profile;
  return withKeys(profile, { without: [...without, starterKeysOf(keys, profile.keys)] });
}

/** The profile with a binding changed: one of the starter becomes the person's own, its former keys left out. */
export function withBindingChanged(
  profile: Profile,
  binding: KeyBinding,
  change: (binding: OwnBinding) => OwnBinding,
): Profile {
  if (binding.from === 'own') {
    const [first, ...copies] = copiesOf(profile, binding);
    const bindings = profile.keys.bindings
      .map((own, i) => (i === first ? change(own) : own))
      .filter((_, i) => !copies.includes(i));
    return withKeys(profile, { bindings });
  }
  if (binding.from === 'fixed') return profile;
  return withBinding(withoutBinding(profile, binding), change(asOwn(binding)));
}

/** The profile with what the starter has for a command: keys of one's own for it go, left out ones are back. */
export function setBack(profile: Profile, command: KeyCommand): Profile {
  const text = commandText(command);
  const isIt = ({ command: each, release }: { command?: KeyCommand; release?: KeyCommand }) =>
    [each, release].some((one) => one && commandText(one) === text);
  const { from, bindings, without } = profile.keys;
  const had = STARTER_MAPS[from].bindings(profile).filter(isIt);
  const back = new Set(had.map(({ keys }) => keys));
  return withKeys(profile, {
    bindings: bindings.filter((binding) => !isIt(binding)),
    without: without.filter((keys) => !back.has(triggerText(triggerOf(keys)))),
  });
}

/** True where a command has other keys than the starter gives it. */
export function changedCommands(profile: Profile): ReadonlySet<string> {
  const { bindings, without, from } = profile.keys;
  const leftOut = new Set(without.map((keys) => triggerText(triggerOf(keys))));
  const starter = STARTER_MAPS[from].bindings(profile).filter(({ keys }) => leftOut.has(keys));
  const other: Pick<OwnBinding, 'command' | 'release'>[] = [...bindings, ...starter];
  return new Set(
    other.flatMap(({ command, release }) =>
      [command, release].flatMap((each) => (each ? [commandText(each)] : [])),
    ),
  );
}

/**
 * The profile with another main modifier. Where bindings name the new one themselves they get the former one
 * for it, so that no two of them become the same.
 */
export function withMainModifier(profile: Profile, main: Modifier): Profile {
  const { main: former, bindings, bundles } = profile.keys;
  if (main === former) return profile;
  return withKeys(profile, {
    main,
    bindings: bindings.map((binding) => ({
      ...binding,
      keys: withSwapped(binding.keys, main, former),
    })),
    bundles: bundles.map((bundle) => ({
      ...bundle,
      modifiers: bundle.modifiers.map((name) => (name === main ? former : name)),
    })),
  });
}

/** The profile with a starter to begin from: its keys instead of the former starter's, one's own stay. */
export function beginningFrom(profile: Profile, from: KeyStarterId): Profile {
  return withDeviceOf(withKeys(profile, { from, without: [] }), from);
}

/** The profile with the bindings of a starter as one's own; what was on their keys in the base layer gives way. */
export function withMerged(profile: Profile, from: KeyStarterId): Profile {
  const { main } = profile.keys;
  const added = STARTER_MAPS[from].bindings(profile).map(({ keys, ...rest }): OwnBinding => {
    return { keys: beside(keys, main), ...rest };
  });
  const merged = keyMap(withKeys(profile, { bindings: added, from: 'none', without: [] }));
  const signs = new Set(merged.map(({ canonicalTrigger }) => canonicalTrigger));
  const same = (one: KeyBinding) =>
    merged.some(
      ({ canonicalTrigger, command }) =>
        canonicalTrigger === one.canonicalTrigger && textOf(command) === textOf(one.command),
    );
  const inTheWay = keyMap(profile).filter(
    (binding) =>
      binding.layer === BASE &&
      binding.app === null &&
      signs.has(binding.canonicalTrigger) &&
      !same(binding),
  );
  const kept = keyMap(profile).filter((binding) => binding.layer === BASE && same(binding));
  const there = new Set(kept.map(({ canonicalTrigger }) => canonicalTrigger));
  const own = new Set(inTheWay.filter(({ at }) => at >= 0).map(({ at }) => at));
  const hidden = inTheWay.filter(({ from: of }) => of === 'starter');
  const { bindings, without } = profile.keys;
  const next = withKeys(profile, {
    bindings: [
      ...merged.filter(({ canonicalTrigger }) => !there.has(canonicalTrigger)).map(asOwn),
      ...bindings.filter((_, i) => !own.has(i)),
    ],
    without: [...without, ...hidden.map(({ keys }) => starterKeysOf(keys, profile.keys))],
  });
  return withDeviceOf(next, from);
}

const textOf = (command: KeyCommand | undefined) => (command ? commandText(command) : '');

/** With the device that a starter is for, where none of that name is declared. */
function withDeviceOf(profile: Profile, from: KeyStarterId): Profile {
  const { device } = STARTER_MAPS[from];
  const { devices } = profile.keys;
  if (!device || devices.some(({ id, buttons }) => id === device.id || buttons !== undefined))
    return profile;
  return withKeys(profile, { devices: [...devices, device] });
}

/** What a change does to the map, binding by binding, in words of keys and commands. */
export interface MapChange {
  keys: string;
  layer: string;
  /** What the keys do before and after the change; null for nothing. */
  was: string | null;
  is: string | null;
}

/** What differs between the maps of two profiles, by trigger and layer. */
export function mapChanges(before: Profile, after: Profile): MapChange[] {
  const inForce = (profile: Profile) => {
    const first = new Map<string, KeyBinding>();
    for (const binding of keyMap(profile)) {
      const at = `${binding.layer} ${binding.app ?? ''} ${binding.canonicalTrigger}`;
      if (!first.has(at)) first.set(at, binding);
    }
    return first;
  };
  const [was, is] = [inForce(before), inForce(after)];
  const says = (binding: KeyBinding | undefined) => (binding ? bindingText(binding) : null);
  return [...new Set([...was.keys(), ...is.keys()])].flatMap((at): MapChange[] => {
    const [former, next] = [was.get(at), is.get(at)];
    if (says(former) === says(next)) return [];
    const { keys, layer } = (next ?? former)!;
    return [{ keys, layer, was: says(former), is: says(next) }];
  });
}

/** What a binding does, in words. */
export function bindingText({ command, release }: Pick<KeyBinding, 'command' | 'release'>): string {
  const words = command ? [commandText(command)] : [];
  if (release) words.push(`on release ${commandText(release)}`);
  return words.join(', ');
}

/** Keys with the main modifier in the place of the modifier that stands in for it. */
export function withStandIn(keys: string, { keys: { standIn } }: Profile): string {
  const { how, steps } = triggerOf(keys);
  const meant = steps.map((step) =>
    step.modifiers.includes(MAIN)
      ? step
      : { ...step, modifiers: step.modifiers.map((name) => (name === standIn ? MAIN : name)) },
  );
  return triggerText({ how, steps: meant });
}

/** What is bound to just these keys in a layer, for every app; null where nothing is. */
export function boundAt(profile: Profile, keys: string, layer = BASE): KeyBinding | null {
  const { canonicalTrigger } = expander(profile.keys)(keys);
  const is = (binding: KeyBinding) =>
    binding.canonicalTrigger === canonicalTrigger &&
    binding.layer === layer &&
    binding.app === null;
  return keyMap(profile).find(is) ?? null;
}
