import { isWhilePressed } from '../model/interaction.ts';
import { BASE } from '../model/keys.ts';
import type { Profile } from '../model/profile.ts';
import type { Session } from '../model/session.ts';
import { buttonOf } from '../values/codes.ts';
import { inOrder, MODIFIERS, type Modifier } from '../values/modifiers.ts';
import { fixedLayerOf } from './fixed-layers.ts';
import { isIdle, type KeyState } from './state.ts';
import { keyTable } from './table.ts';

/** A press that a desktop is to tell of: a key by its place or by what it types, or a button, with what is held. */
export interface ListenedPress {
  code?: string;
  key?: string;
  button?: number;
  modifiers: readonly Modifier[];
}

const ALL_MODIFIERS: readonly (readonly Modifier[])[] = MODIFIERS.reduce<Modifier[][]>(
  (sets, modifier) => [...sets, ...sets.map((set) => [...set, modifier])],
  [[]],
);

/**
 * The presses with which something of the map begins in the base layer: what a desktop has to tell of while no key is
 * down. What follows them is told of by `listensToAll`.
 */
export function listenedPresses(profile: Profile): ListenedPress[] {
  const table = keyTable(profile);
  const base = table.layers.get(BASE);
  const found = new Map<string, ListenedPress>();
  const add = (modifiers: readonly Modifier[], code: string | undefined, key?: string) => {
    const button = code === undefined ? null : buttonOf(code);
    const press: ListenedPress = {
      ...(button !== null ? { button } : code !== undefined ? { code } : { key: key! }),
      modifiers: inOrder(modifiers),
    };
    found.set(JSON.stringify(press), press);
  };
  const stands = MODIFIERS.find((modifier) => modifier === table.standIn);
  for (const [first] of base?.presses.values() ?? []) {
    const [step] = first!.trigger.steps;
    const modifiers = step!.modifiers as readonly Modifier[];
    const isMain = (modifier: Modifier) => modifier === table.main;
    const ways = [modifiers];
    // Where it is held for itself, it cannot stand for the main modifier as well.
    if (stands && modifiers.some(isMain) && !modifiers.includes(stands))
      ways.push(modifiers.map((modifier) => (isMain(modifier) ? stands : modifier)));
    for (const way of ways) {
      add(way, step!.code, step!.types);
      // Shift may be what made the key type that.
      if (step!.types !== undefined) add([...way, 'Shift'], undefined, step!.types);
    }
  }
  // A key with two roles, and one that stands for modifiers, counts whatever is held with it.
  const always = new Set([
    ...(base?.taps.keys() ?? []),
    ...(base?.holds.keys() ?? []),
    ...table.bundles.keys(),
    ...(stands ? [] : [table.standIn]),
  ]);
  for (const code of always) for (const modifiers of ALL_MODIFIERS) add(modifiers, code);
  return [...found.values()];
}

/** True while what a press means depends on those before it, or on what is under way: every key has to be told of. */
export function listensToAll(state: KeyState, session: Pick<Session, 'interaction'>): boolean {
  const { interaction } = session;
  if (!isIdle(state) || isWhilePressed(interaction)) return true;
  return fixedLayerOf(session) !== null || interaction?.kind === 'choosing-app';
}
