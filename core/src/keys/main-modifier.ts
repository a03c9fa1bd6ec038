import { MAIN, type Modifier } from '../values/modifiers.ts';
import { triggerText } from '../values/trigger.ts';

/** Keys as they were pressed, written with the main modifier by its name where it is held. Bundles are among the modifiers. */
export function keysWithMain(main: Modifier, modifiers: readonly string[], code: string): string {
  const names = modifiers.map((name) => (name === main ? MAIN : name));
  return triggerText({ how: 'press', steps: [{ modifiers: names, code }] });
}
