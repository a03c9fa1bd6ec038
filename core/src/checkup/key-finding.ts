import type { KeyCommand } from '../commands/registry.ts';
import { bindingText } from '../keys/edit.ts';
import type { KeyBinding } from '../keys/map.ts';
import { BASE } from '../model/keys.ts';
import type { Profile } from '../model/profile.ts';
import { keysCaps } from '../values/trigger.ts';

export const KEY_FINDINGS = [
  'keys-twice',
  'keys-hidden',
  'keys-taken',
  'keys-typed',
  'keys-never',
  'layer-unreached',
  'layer-stuck',
  'no-way-back',
  'keys-contradict',
  'keys-absent',
  'too-many-keys',
  'needs-letters',
  'modifiers-not-sent',
  'one-at-a-time',
] as const;
export type KeyFindingKind = (typeof KEY_FINDINGS)[number];

/** Something about the key map that a person should know. */
export interface KeyFinding {
  kind: KeyFindingKind;
  /** In a few words, and in a sentence. */
  title: string;
  text: string;
  /** The bindings it is about, by id; what keeps the others from working comes first. */
  about: readonly string[];
  /** The binding that a quick fix would move, by id. */
  moves?: string;
  layer?: string;
  /** A command that lacks a key. */
  wanted?: KeyCommand;
  device?: string;
}

const ids = new WeakMap<KeyBinding, string>();

/** What a binding is found by in its map. */
export function bindingId(binding: KeyBinding): string {
  const { layer, app, canonicalTrigger, from } = binding;
  const known =
    ids.get(binding) ??
    `${layer === BASE ? '' : layer}|${app ?? ''}|${canonicalTrigger}|${from}|${bindingText(binding)}`;
  ids.set(binding, known);
  return known;
}

export function finding(
  kind: KeyFindingKind,
  about: readonly KeyBinding[],
  title: string,
  text: string,
  moves?: KeyBinding,
): KeyFinding {
  return {
    kind,
    title,
    text,
    about: about.map(bindingId),
    ...(moves && { moves: bindingId(moves) }),
  };
}

/** The keys of a binding as they are pressed: "Meta L". */
export function keysName({ keys: captions }: Profile, { keys }: Pick<KeyBinding, 'keys'>): string {
  return keysCaps(keys, captions).join(' ');
}

export const bindingName = bindingText;
