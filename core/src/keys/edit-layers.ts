import type { KeyCommand } from '../commands/registry.ts';
import { freeId } from '../desk/edit.ts';
import { withCommands } from '../model/commands-of.ts';
import { BASE, type ModifierAlias, type InputDevice, type KeyLayer } from '../model/keys.ts';
import type { Profile } from '../model/profile.ts';
import { CODES } from '../values/codes.ts';
import { MAIN } from '../values/modifiers.ts';
import { triggerOf, triggerText } from '../values/trigger.ts';
import { isPressedWith } from './map.ts';

function withKeys(profile: Profile, keys: Partial<Profile['keys']>): Profile {
  return { ...profile, keys: { ...profile.keys, ...keys } };
}

const idsOf = (list: readonly { id: string }[]) => list.map(({ id }) => id);

/** The profile with one more layer, kept until it is left, and its id. */
export function withNewLayer(profile: Profile): { profile: Profile; id: string } {
  const { layers } = profile.keys;
  const id = freeId('layer', [...idsOf(layers), BASE]);
  return { profile: withKeys(profile, { layers: [...layers, { id, lasts: 'kept' }] }), id };
}

/** The profile with a layer changed in how it lasts. */
export function withLayer(
  profile: Profile,
  id: string,
  change: (layer: KeyLayer) => KeyLayer,
): Profile {
  const layers = profile.keys.layers.map((layer) => (layer.id === id ? change(layer) : layer));
  return withKeys(profile, { layers });
}

/** The profile with a layer of another name, wherever it is named; null where the name is taken. */
export function layerRenamed(profile: Profile, id: string, name: string): Profile | null {
  const { layers } = profile.keys;
  if (name === id) return profile;
  if ([...idsOf(layers), BASE].includes(name)) return null;
  const renamed = withCommands(
    withLayer(profile, id, (layer) => ({ ...layer, id: name })),
    (command) =>
      command.command === 'enter-layer' && command.layer === id
        ? { ...command, layer: name }
        : command,
  );
  const bindings = renamed.keys.bindings.map((binding) =>
    binding.in === id ? { ...binding, in: name } : binding,
  );
  return withKeys(renamed, { bindings });
}

/** The profile without a layer, without the bindings in it and those that enter it. */
export function withoutLayer(profile: Profile, id: string): Profile {
  const { layers, bindings } = profile.keys;
  const enters = (command: KeyCommand | undefined) =>
    command?.command === 'enter-layer' && command.layer === id;
  return withKeys(profile, {
    layers: layers.filter((layer) => layer.id !== id),
    bindings: bindings.filter(
      (binding) => binding.in !== id && !enters(binding.command) && !enters(binding.release),
    ),
  });
}

/** The profile with one more bundle, all four modifiers on a key that holds none yet. */
export function withNewModifierAlias(profile: Profile): Profile {
  const { bundles } = profile.keys;
  const free = ['CapsLock', 'ContextMenu', ...CODES].find(
    (code) => !bundles.some(({ hold }) => hold === code),
  )!;
  const id = freeId('Bundle', idsOf(bundles));
  const bundle: ModifierAlias = { id, hold: free, modifiers: ['Ctrl', 'Alt', 'Shift', 'Meta'] };
  return withKeys(profile, { bundles: [...bundles, bundle] });
}

/** The profile with a bundle changed; by another name in every binding that is pressed with it. */
export function withModifierAlias(
  profile: Profile,
  id: string,
  change: (bundle: ModifierAlias) => ModifierAlias,
): Profile {
  const bundles = profile.keys.bundles.map((bundle) =>
    bundle.id === id ? change(bundle) : bundle,
  );
  const name = bundles.find((_, i) => profile.keys.bundles[i]!.id === id)?.id ?? id;
  const bindings = profile.keys.bindings.map((binding) => ({
    ...binding,
    keys: withModifierRenamed(binding.keys, id, name),
  }));
  return withKeys(profile, { bundles, bindings });
}

function withModifierRenamed(keys: string, former: string, name: string): string {
  if (former === name || !keys.includes(`${former}+`)) return keys;
  const { how, steps } = triggerOf(keys);
  const renamed = steps.map((step) => ({
    ...step,
    modifiers: step.modifiers.map((each) => (each === former ? name : each)),
  }));
  return triggerText({ how, steps: renamed });
}

/** The profile without a bundle, and without the bindings that are pressed with it. */
export function withoutModifierAlias(profile: Profile, id: string): Profile {
  const { bundles, bindings } = profile.keys;
  return withKeys(profile, {
    bundles: bundles.filter((bundle) => bundle.id !== id),
    bindings: bindings.filter((binding) => !isPressedWith(binding, id)),
  });
}

/** The modifiers a bundle can stand for. */
export const ALIASABLE_KEYS: readonly ModifierAlias['modifiers'][number][] = [
  MAIN,
  'Ctrl',
  'Alt',
  'Shift',
  'Meta',
];

/** The profile with one more device: a mouse of a dozen buttons without modifiers. */
export function withNewDevice(profile: Profile): { profile: Profile; id: string } {
  const { devices } = profile.keys;
  const id = freeId('device', idsOf(devices));
  const made: InputDevice = {
    id,
    name: 'Mouse, 12 buttons',
    buttons: 12,
    modifiers: false,
    atOnce: 'one',
    profiles: 1,
  };
  return { profile: withKeys(profile, { devices: [...devices, made] }), id };
}

/** The profile with a device changed. */
export function withDevice(
  profile: Profile,
  id: string,
  change: (device: InputDevice) => InputDevice,
): Profile {
  const devices = profile.keys.devices.map((device) =>
    device.id === id ? change(device) : device,
  );
  return withKeys(profile, { devices });
}

/** The profile without a device. */
export function withoutDevice(profile: Profile, id: string): Profile {
  return withKeys(profile, { devices: profile.keys.devices.filter((each) => each.id !== id) });
}
