import isEqual from 'fast-deep-equal';
import { commandText } from '../commands/command.ts';
import { freeId } from '../desk/edit.ts';
import { inputsOf } from '../keys/devices.ts';
import { withoutModifierAlias, withoutLayer } from '../keys/edit-layers.ts';
import { bindingText, withBinding, withBindingChanged, withoutBinding } from '../keys/edit.ts';
import { freeKeys, nearestFree } from '../keys/free-keys.ts';
import { isPressedWith, keyMap, type KeyBinding } from '../keys/map.ts';
import { BASE, type OwnBinding } from '../model/keys.ts';
import type { Profile } from '../model/profile.ts';
import { MAIN } from '../values/modifiers.ts';
import { keysCaps, triggerOf, triggerText } from '../values/trigger.ts';
import { bindingId, type KeyFinding } from './key-finding.ts';

/** One quick fix of a finding. */
export interface QuickFix {
  how: 'move' | 'layer' | 'drop' | 'bind' | 'swap';
  /** What it does, in words. */
  says: string;
  profile: Profile;
}

/** The layer that a quick fix puts keys into, where there is none. */
const MORE = 'more';

/** The quick fixes of a finding about keys, the one that changes least first. */
export function quickFixesFor(profile: Profile, finding: KeyFinding): QuickFix[] {
  const map = keyMap(profile);
  const about = finding.about.flatMap((id) => map.find((each) => bindingId(each) === id) ?? []);
  const moved = map.find((binding) => bindingId(binding) === finding.moves);
  switch (finding.kind) {
    case 'keys-twice':
    case 'keys-hidden':
    case 'keys-taken':
    case 'keys-never':
      return moved
        ? [...moving(profile, moved), ...layered(profile, moved), ...dropping(profile, about)]
        : [];
    case 'keys-typed':
      return moved
        ? [...withMain(profile, moved), ...layered(profile, moved), ...dropping(profile, [moved])]
        : [];
    case 'needs-letters':
    case 'modifiers-not-sent':
      if (moved) return [...moving(profile, moved, true), ...dropping(profile, [moved])];
      return droppingBundle(profile, finding.layer);
    case 'one-at-a-time':
      return moved ? [...moving(profile, moved, true), ...dropping(profile, [moved])] : [];
    case 'layer-unreached':
      return [...entering(profile, finding.layer!), ...droppingLayer(profile, finding.layer!)];
    case 'layer-stuck':
      return leaving(profile, finding.layer!);
    case 'no-way-back':
      // Any other key for it would have no way back either.
      return [...binding(profile, about[0], finding), ...without(profile, alike(map, about[0]))];
    case 'keys-contradict':
      return swapping(profile, about);
    case 'keys-absent':
    case 'too-many-keys':
      return without(profile, about);
  }
}

const capsOf = ({ keys: captions }: Profile, keys: string) => keysCaps(keys, captions).join(' ');

/**
 * Moves a binding to the nearest free key. Where its device cannot send it, that is a key of a keyboard.
 *
 * @param wanted the keys it is to be near; its own where left out
 */
function moving(
  profile: Profile,
  moved: KeyBinding,
  toKeyboard = false,
  wanted = moved.keys,
): QuickFix[] {
  const { devices } = profile.keys;
  const dumb = devices.find((device) =>
    inputsOf(device).includes(moved.trigger.steps[0]!.code ?? ''),
  );
  const plain =
    toKeyboard && dumb && !dumb.modifiers && moved.trigger.steps[0]!.modifiers.length > 0;
  const inputs = toKeyboard && !plain ? keyboardInputs(profile) : undefined;
  const near = { ...moved, keys: plain ? moved.trigger.steps[0]!.code! : wanted };
  const keys = nearestFree(profile, near, inputs, moved.keys);
  if (keys === null) return [];
  const says = `Move ${bindingText(moved)} to ${capsOf(profile, keys)}`;
  return [
    { how: 'move', says, profile: withBindingChanged(profile, moved, (own) => ({ ...own, keys })) },
  ];
}

/** Moves a binding to its own key with the main modifier, or to the nearest that is free so. */
function withMain(profile: Profile, moved: KeyBinding): QuickFix[] {
  const [first] = triggerOf(moved.keys).steps;
  const code = first!.code ?? 'KeyG';
  const modifiers = [MAIN, ...first!.modifiers];
  const keys = triggerText({ how: 'press', steps: [{ modifiers, code }] });
  return moving(profile, moved, false, keys);
}

function keyboardInputs(profile: Profile): string[] {
  const board = profile.keys.devices.find(({ board: form }) => form !== undefined);
  return board ? inputsOf(board).filter((code) => /^(Key|Digit|F\d)/.test(code)) : [];
}

/** Moves a binding into a layer that is used less often, on the same key without modifiers. */
function layered(profile: Profile, moved: KeyBinding): QuickFix[] {
  const code = moved.trigger.steps[0]!.code;
  if (moved.layer !== BASE || code === undefined || code === 'Escape') return [];
  const made = withLayerToEnter(profile);
  if (!made) return [];
  const near = { keys: code, layer: made.layer };
  const isFree = freeKeys(made.profile, made.layer)(code);
  const keys = !isFree ? nearestFree(made.profile, near) : code;
  if (keys === null) return [];
  const says = `Put ${bindingText(moved)} into the layer ${made.layer}, on ${capsOf(profile, keys)}${made.by === null ? '' : `; ${capsOf(profile, made.by)} enters it`}`;
  const next = withBindingChanged(made.profile, sameIn(made.profile, moved), (own) => ({
    ...own,
    keys,
    in: made.layer,
  }));
  return [{ how: 'layer', says, profile: next }];
}

/** A binding in the map of a changed profile. */
function sameIn(profile: Profile, { keys, layer, app, command, from }: KeyBinding): KeyBinding {
  return keyMap(profile).find(
    (each) =>
      each.keys === keys &&
      each.layer === layer &&
      each.app === app &&
      each.from === from &&
      isEqual(each.command, command),
  )!;
}

/** A one-shot layer to put keys into: one that is there and can be entered, else a new one with its key. */
function withLayerToEnter(
  profile: Profile,
): { profile: Profile; layer: string; by: string | null } | null {
  const map = keyMap(profile);
  const there = profile.keys.layers.find(
    ({ id, lasts }) =>
      lasts === 'once' &&
      map.some(({ command }) => command?.command === 'enter-layer' && command.layer === id),
  );
  if (there) return { profile, layer: there.id, by: null };
  const layer = freeId(
    MORE,
    profile.keys.layers.map(({ id }) => id),
  );
  const layers = [...profile.keys.layers, { id: layer, lasts: 'once' as const }];
  const withLayer = { ...profile, keys: { ...profile.keys, layers } };
  const keys = nearestFree(profile, { keys: `${MAIN}+KeyM`, layer: BASE });
  if (keys === null) return null;
  const bound = withBinding(withLayer, { keys, command: { command: 'enter-layer', layer } });
  return { profile: bound, layer, by: keys };
}

function dropping(profile: Profile, about: readonly KeyBinding[]): QuickFix[] {
  return [...about].reverse().map((dropped): QuickFix => {
    const says = `Drop ${bindingText(dropped)} from ${capsOf(profile, dropped.keys)}`;
    return { how: 'drop', says, profile: withoutBinding(profile, dropped) };
  });
}

/** Every binding that does what one does on press, or on release. */
function alike(map: readonly KeyBinding[], one: KeyBinding | undefined): KeyBinding[] {
  const texts = (binding: KeyBinding | undefined) =>
    [binding?.command, binding?.release].flatMap((each) => (each ? [commandText(each)] : []));
  const wanted = texts(one);
  return map.filter((binding) => texts(binding).some((text) => wanted.includes(text)));
}

/** Without all of these bindings. */
function without(profile: Profile, about: readonly KeyBinding[]): QuickFix[] {
  if (about.length === 0) return [];
  // From the end of the person's own list, so that the others keep their places.
  const inTurn = [...about].sort((a, b) => b.at - a.at);
  const next = inTurn.reduce((now, binding) => withoutBinding(now, binding), profile);
  const count = about.length === 1 ? bindingText(about[0]!) : `these ${about.length} bindings`;
  return [{ how: 'drop', says: `Drop ${count}`, profile: next }];
}

function droppingBundle(profile: Profile, id: string | undefined): QuickFix[] {
  if (id === undefined) return [];
  const using = keyMap(profile).filter((binding) => isPressedWith(binding, id));
  const says = `Drop the bundle ${id} and ${using.length === 1 ? 'the key' : `${using.length} keys`} with it`;
  return [{ how: 'drop', says, profile: withoutModifierAlias(profile, id) }];
}

function entering(profile: Profile, layer: string): QuickFix[] {
  const letter = /^[a-z]/i.exec(layer)?.[0]?.toUpperCase() ?? 'G';
  const keys = nearestFree(profile, { keys: `${MAIN}+Key${letter}`, layer: BASE });
  if (keys === null) return [];
  const bound = withBinding(profile, { keys, command: { command: 'enter-layer', layer } });
  return [{ how: 'bind', says: `Enter ${layer} with ${capsOf(profile, keys)}`, profile: bound }];
}

function droppingLayer(profile: Profile, layer: string): QuickFix[] {
  const next = withoutLayer(profile, layer);
  return [{ how: 'drop', says: `Drop the layer ${layer} and its keys`, profile: next }];
}

function leaving(profile: Profile, layer: string): QuickFix[] {
  const escape: OwnBinding = { keys: 'Escape', command: { command: 'leave-layer' }, in: layer };
  const isThere = keyMap(profile).some(
    (each) => each.layer === layer && each.canonicalTrigger === 'Escape' && each.app === null,
  );
  const keys = isThere ? nearestFree(profile, { keys: 'Backspace', layer }) : 'Escape';
  if (keys === null) return [];
  const says = `Bind ${capsOf(profile, keys)} to leave-layer in ${layer}`;
  return [{ how: 'bind', says, profile: withBinding(profile, { ...escape, keys }) }];
}

/** Binds the command that leads back to the free keys nearest to those of the command that leads there. */
function binding(
  profile: Profile,
  way: KeyBinding | undefined,
  { wanted }: KeyFinding,
): QuickFix[] {
  if (!way || !wanted) return [];
  const keys = nearestFree(profile, { keys: lastPress(way.keys), layer: way.layer });
  if (keys === null) return [];
  const bound: OwnBinding = {
    keys,
    command: wanted,
    ...(way.layer !== BASE && { in: way.layer }),
    ...(way.app !== null && { app: way.app }),
  };
  const says = `Bind ${capsOf(profile, keys)} to ${commandText(wanted)}`;
  return [{ how: 'bind', says, profile: withBinding(profile, bound) }];
}

function lastPress(keys: string): string {
  const { steps } = triggerOf(keys);
  return triggerText({ how: 'press', steps: steps.slice(-1) });
}

/** Swaps the keys of two bindings. */
function swapping(profile: Profile, [one, other]: readonly KeyBinding[]): QuickFix[] {
  if (!one || !other) return [];
  const first = withBindingChanged(profile, one, (own) => ({ ...own, keys: other.keys }));
  const second = sameIn(first, other);
  const next = withBindingChanged(first, second, (own) => ({ ...own, keys: one.keys }));
  const says = `Swap ${capsOf(profile, one.keys)} and ${capsOf(profile, other.keys)}`;
  return [{ how: 'swap', says, profile: next }];
}
