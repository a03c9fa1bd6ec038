import { BASE } from '../model/keys.ts';
import type { KeyBinding } from './map.ts';

/**
 * Finds the tap or hold that a key has in a layer, or below it in the base layer: it has these roles whatever is held
 * with it, and does nothing else. It gives null for a plain key. The app is that with the focus; null for what holds
 * everywhere.
 */
export function roleFinder(
  map: readonly KeyBinding[],
): (at: Pick<KeyBinding, 'layer' | 'app'>, code: string) => KeyBinding | null {
  const dual = new Set(
    map.flatMap(({ trigger: { how, steps } }) => (how === 'press' ? [] : [steps[0]!.code!])),
  );
  return ({ layer, app }, code) => {
    if (!dual.has(code)) return null;
    for (const of of new Set([layer, BASE])) {
      const onIt = map.filter(
        (other) =>
          other.layer === of &&
          (other.app === null || other.app === app) &&
          other.trigger.steps[0]!.code === code,
      );
      const role = onIt.find(({ trigger }) => trigger.how !== 'press');
      if (role) return role;
      // Bound by itself it is a plain key in this layer, whatever it is below.
      if (onIt.some(({ trigger }) => trigger.steps[0]!.modifiers.length === 0)) return null;
    }
    return null;
  };
}
