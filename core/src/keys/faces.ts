import type { Task } from '../commands/tasks.ts';
import { shortText } from '../commands/command.ts';
import { BASE } from '../model/keys.ts';
import type { Profile } from '../model/profile.ts';
import { inOrder, type Modifier } from '../values/modifiers.ts';

import { FIXED_BINDINGS, keyMap, type KeyBinding } from './map.ts';
import { definitionOf } from '../commands/registry.ts';
import { dualRole } from './lookup.ts';
import { keyTable } from './table.ts';

/** What a key of a drawn board does, in a layer and with modifiers down. */
export interface KeyFace {
  binding: KeyBinding;
  /** In a few letters; … where a sequence begins. */
  text: string;
  task: Task;
  /** The layer has no binding for it, so the base layer's holds. */
  isBelow: boolean;
}

/** Of several bindings that a key begins, that of the least rank is done: one of two roles hides the others, a chord a sequence. */
function rankOf({ app, trigger: { how, steps } }: KeyBinding): number {
  const hidden = how !== 'press' ? 0 : steps.length === 1 ? 1 : 2;
  return (app === null ? 0 : 3) + hidden;
}

/** What every key does, by its code, with just these modifiers down. Keys that do nothing are left out. */
export function keyFaces(
  profile: Profile,
  layer: string,
  modifiersDown: readonly Modifier[],
): ReadonlyMap<string, KeyFace> {
  const wanted = inOrder(modifiersDown).join('+');
  const map = [...keyMap(profile), ...FIXED_BINDINGS];
  const table = keyTable(profile);
  const faces = new Map<string, KeyFace>();
  const add = (binding: KeyBinding, isBelow: boolean) => {
    const { trigger, command, release, app } = binding;
    const [step] = trigger.steps;
    const code = step!.code;
    if (code === undefined) return;
    // A key with two roles has them whatever is held, and no chord.
    const isChord = trigger.how === 'press';
    if (isChord && step!.modifiers.join('+') !== wanted) return;
    const hasRole = dualRole(table, [layer, BASE], code, app) !== null;
    if (isChord === hasRole) return;
    const first = command ?? release!;
    const isSequence = trigger.steps.length > 1;
    if (faces.has(code)) return;
    const text = isSequence
      ? '…'
      : `${trigger.how === 'press' ? '' : `${trigger.how}: `}${shortText(first)}`;
    faces.set(code, { binding, text, task: definitionOf(first.command).task, isBelow });
  };
  // What holds for every app comes before what one app has for itself.
  const byRank = [...map].sort((a, b) => rankOf(a) - rankOf(b));
  for (const binding of byRank) if (binding.layer === layer) add(binding, false);
  if (layer !== BASE) for (const binding of byRank) if (binding.layer === BASE) add(binding, true);
  return faces;
}

/** What keys did before an edit, by code, where it is otherwise after it; an empty text where they did nothing. */
export function formerFaces(
  before: Profile,
  after: Profile,
  layer: string,
  modifiersDown: readonly Modifier[],
): ReadonlyMap<string, string> {
  const old = keyFaces(before, layer, modifiersDown);
  const now = keyFaces(after, layer, modifiersDown);
  const former = new Map<string, string>();
  for (const code of new Set([...old.keys(), ...now.keys()])) {
    const was = old.get(code)?.text ?? '';
    if (was !== (now.get(code)?.text ?? '')) former.set(code, was);
  }
  return former;
}

/** The sets of modifiers that the keys of a layer are bound with, the one with the most keys first. */
export function modifierSets(profile: Profile, layer: string): Modifier[][] {
  const counts = new Map<string, { set: Modifier[]; count: number }>();
  for (const { trigger, layer: of } of [...keyMap(profile), ...FIXED_BINDINGS]) {
    if (of !== layer) continue;
    const set = inOrder(trigger.steps[0]!.modifiers as Modifier[]);
    const key = set.join('+');
    counts.set(key, { set, count: (counts.get(key)?.count ?? 0) + 1 });
  }
  return [...counts.values()].sort((a, b) => b.count - a.count).map(({ set }) => set);
}
