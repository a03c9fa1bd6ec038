import { BASE } from '../model/keys.ts';
import type { Profile } from '../model/profile.ts';
import { codeTypes, isNeededAlone } from '../values/codes.ts';
import type { Trigger, TriggerStep } from '../values/trigger.ts';

/**
 * True where windows lose a key by a binding: something that types or that a text cannot do without, alone or, where
 * it types, with Shift. A hold leaves its key to type by a tap.
 *
 * @param trigger with what bundles and the main modifier stand for
 */
export function takesFromTyping({ how, steps }: Trigger, layer: string): boolean {
  const [first] = steps;
  if (layer !== BASE || how === 'hold' || !first) return false;
  const { modifiers, code, types } = first;
  const isAlone = modifiers.length === 0;
  if (!isAlone && !(modifiers.length === 1 && modifiers[0] === 'Shift')) return false;
  if (types !== undefined) return types.length === 1;
  return code !== undefined && (isAlone ? isNeededAlone(code) : codeTypes(code));
}

/** Why a press never comes, whatever it is bound to; null where it can. */
export function neverComes(
  { keys: { handBack } }: Pick<Profile, 'keys'>,
  { code, modifiers }: TriggerStep,
): 'hands-back' | 'kept-by-systems' | null {
  if (code === handBack) return 'hands-back';
  const isOfSystems =
    code === 'Delete' && ['Ctrl', 'Alt'].every((modifier) => modifiers.includes(modifier));
  return isOfSystems ? 'kept-by-systems' : null;
}
