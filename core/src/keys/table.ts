import type { Lasts } from '../model/keys.ts';
import type { Profile } from '../model/profile.ts';
import type { Modifier } from '../values/modifiers.ts';
import { stepText } from '../values/trigger.ts';
import { expander, FIXED_BINDINGS, keyMap, type KeyBinding } from './map.ts';

/** The bindings of one layer, by what sets them off. */
interface LayerTable {
  /** By the first press: chords and sequences. */
  presses: Map<string, KeyBinding[]>;
  taps: Map<string, KeyBinding[]>;
  holds: Map<string, KeyBinding[]>;
}

/** A profile's key map, made ready for presses to be looked up in it. */
export interface KeyTable {
  layers: ReadonlyMap<string, LayerTable>;
  lasts: ReadonlyMap<string, Lasts>;
  /** The modifiers that a key held down stands for. */
  bundles: ReadonlyMap<string, readonly Modifier[]>;
  /** By apps that keep all keys: the presses, taps and holds that they do not. */
  keepsAllBut: ReadonlyMap<string, ReadonlySet<string>>;
  main: Modifier;
  standIn: string;
  sequenceMs: number;
  holdMs: number;
}

/** Makes the key map of a profile ready. */
export function keyTable(profile: Profile): KeyTable {
  const { keys } = profile;
  const layers = new Map<string, LayerTable>();
  for (const binding of [...keyMap(profile), ...FIXED_BINDINGS]) {
    let table = layers.get(binding.layer);
    if (!table) {
      table = { presses: new Map(), taps: new Map(), holds: new Map() };
      layers.set(binding.layer, table);
    }
    const { how, steps } = binding.trigger;
    const first = steps[0]!;
    if (how === 'tap') add(table.taps, first.code!, binding);
    else if (how === 'hold') add(table.holds, first.code!, binding);
    else add(table.presses, stepText(first), binding);
  }
  const expand = expander(keys);
  const firstPress = (written: string) => {
    const { trigger, canonicalTrigger } = expand(written);
    return trigger.how === 'press' ? stepText(trigger.steps[0]!) : canonicalTrigger;
  };
  return {
    layers,
    lasts: new Map(keys.layers.map(({ id, lasts }) => [id, lasts])),
    bundles: new Map(
      keys.bundles.map(({ id, hold }) => [
        hold,
        expand(`${id}+KeyA`).trigger.steps[0]!.modifiers as Modifier[],
      ]),
    ),
    keepsAllBut: new Map(
      profile.apps.flatMap(({ id, keepsAllBut }) =>
        keepsAllBut ? [[id, new Set(keepsAllBut.map(firstPress))] as const] : [],
      ),
    ),
    main: keys.main,
    standIn: keys.standIn,
    sequenceMs: keys.sequenceMs,
    holdMs: keys.holdMs,
  };
}

function add(map: Map<string, KeyBinding[]>, key: string, binding: KeyBinding): void {
  const list = map.get(key);
  if (list) list.push(binding);
  else map.set(key, [binding]);
}
