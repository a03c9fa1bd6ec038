import { BASE } from '../model/keys.ts';
import { triggerText } from '../values/trigger.ts';
import { dualRole } from './lookup.ts';
import type { KeyBinding } from './map.ts';
import type { KeyContext } from './resolve.ts';
import type { KeyState } from './state.ts';

/** The keys that can be pressed next in a sequence or a layer, and what they do. */
export interface NextKeys {
  /** The layer, or the presses that the sequence has begun with. */
  of: 'layer' | 'sequence';
  name: string;
  next: readonly { keys: string; binding: KeyBinding }[];
}

/** The keys that can be pressed next; null in the base layer with no sequence begun. */
export function nextKeys(
  { pending, layers }: KeyState,
  { table, app }: KeyContext,
): NextKeys | null {
  const layersNow = [...layers.map(({ layer }) => layer).reverse(), BASE];
  // A key that is tapped or held for something does nothing else.
  const hasRole = (code = '') => dualRole(table, layersNow, code, app) !== null;
  const isHere = ({ app: only, trigger: { how, steps } }: KeyBinding, done = 0) =>
    (only === null || only === app) && (how !== 'press' || !hasRole(steps[done]?.code));
  if (pending) {
    const { among, done } = pending;
    const rest = ({ trigger: { how, steps } }: KeyBinding, from: number, to?: number) =>
      triggerText({ how, steps: steps.slice(from, to) });
    return {
      of: 'sequence',
      name: rest(among[0]!, 0, done),
      next: among
        .filter((each) => isHere(each, done))
        .map((binding) => ({ keys: rest(binding, done), binding })),
    };
  }
  const top = layers.at(-1);
  if (!top) return null;
  const here = table.layers.get(top.layer);
  const bindings = here
    ? [here.presses, here.taps, here.holds].flatMap((by) => [...by.values()].flat())
    : [];
  return {
    of: 'layer',
    name: top.layer,
    next: bindings
      .filter((each) => isHere(each))
      .map((binding) => ({ keys: binding.keys, binding })),
  };
}
