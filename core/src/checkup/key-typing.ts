import type { KeyBinding } from '../keys/map.ts';
import { neverComes, takesFromTyping } from '../keys/never-bound.ts';
import type { Profile } from '../model/profile.ts';
import { stepText } from '../values/trigger.ts';
import { bindingName, finding, keysName, type KeyFinding } from './key-finding.ts';

/** What is left to the desktop takes nothing, and does not have to come. */
const isLeft = ({ command }: KeyBinding) => command?.command === 'leave-to-desktop';

/** Bindings that take from windows what is typed into them. */
export function typedNoMore(profile: Profile, map: readonly KeyBinding[]): KeyFinding[] {
  return map.flatMap((binding): KeyFinding[] => {
    const { trigger, layer, app } = binding;
    if (isLeft(binding)) return [];
    if (!takesFromTyping(trigger, layer)) return [];
    const apps = profile.apps.find(({ id }) => id === app);
    const where = app === null ? 'any window' : (apps?.name ?? app);
    const name = keysName(profile, binding);
    const text = `${name} does ${bindingName(binding)}: you could no longer type it in ${where}.`;
    return [finding('keys-typed', [binding], `${name} is needed to type`, text, binding)];
  });
}

/** Bindings whose keys never come: what gives the keyboard back, and what systems keep for themselves. */
export function neverPressed(profile: Profile, map: readonly KeyBinding[]): KeyFinding[] {
  return map.flatMap((binding): KeyFinding[] => {
    if (isLeft(binding)) return [];
    for (const step of binding.trigger.steps) {
      const why = neverComes(profile, step);
      if (why === null) continue;
      const press = keysName(profile, { keys: stepText(step) });
      const because =
        why === 'hands-back'
          ? `${keysName(profile, { keys: profile.keys.handBack })} gives the keyboard back to the page`
          : `Desktops keep ${press} for themselves`;
      const text = `${because}: ${bindingName(binding)} is not reached.`;
      const title = `${keysName(profile, binding)} never comes`;
      return [finding('keys-never', [binding], title, text, binding)];
    }
    return [];
  });
}
