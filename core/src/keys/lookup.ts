import { MODIFIERS, type Modifier } from '../values/modifiers.ts';
import { stepText, type TriggerStep } from '../values/trigger.ts';
import type { KeyBinding } from './map.ts';
import type { KeyTable } from './table.ts';

interface Pressed {
  code: string;
  key?: string;
}

/**
 * The bindings that a press sets off or goes on with, those limited to the app in focus before the others: of
 * a layer by its name, or among bindings that a sequence has begun of.
 *
 * @param done how many presses of them are done already
 */
export function findBinding(
  table: KeyTable,
  among: string | readonly KeyBinding[],
  done: number,
  pressed: Pressed,
  modifiers: readonly Modifier[],
  app: string | null,
): readonly KeyBinding[] {
  for (const modifiersDown of meanings(table, modifiers, done > 0)) {
    for (const step of stepsOf(pressed, modifiersDown)) {
      const sign = stepText(step);
      const all =
        typeof among === 'string'
          ? (table.layers.get(among)?.presses.get(sign) ?? [])
          : among.filter(({ trigger }) => {
              const next = trigger.steps[done];
              return next !== undefined && stepText(next) === sign;
            });
      const here = all.filter((binding) => binding.app === null || binding.app === app);
      if (here.length > 0) return [...here].sort(byApp);
    }
  }
  return [];
}

/**
 * What a key is tapped, or held, for; null where it is for nothing so, or a plain key. It has these roles whatever is
 * held with it, and does nothing else.
 *
 * @param layers those that hold now, the one that comes first before the others
 */
export function roleOf(
  table: KeyTable,
  layers: readonly string[],
  kind: 'taps' | 'holds',
  code: string,
  app: string | null,
): KeyBinding | null {
  for (const layer of layers) {
    const here = table.layers.get(layer);
    const list = here?.[kind].get(code) ?? [];
    const found =
      list.find((binding) => binding.app !== null && binding.app === app) ??
      list.find((binding) => binding.app === null);
    if (found) return found;
    // In this layer it is a plain key.
    if (here?.presses.has(code)) return null;
  }
  return null;
}

/** The tap of a key in some layers, or else its hold; null for a plain key, which chords and sequences can have. */
export function dualRole(
  table: KeyTable,
  layers: readonly string[],
  code: string,
  app: string | null,
): KeyBinding | null {
  return roleOf(table, layers, 'taps', code, app) ?? roleOf(table, layers, 'holds', code, app);
}

/** Every text that a press can be written as. */
export function signsOf(
  table: KeyTable,
  pressed: Pressed,
  modifiers: readonly Modifier[],
): string[] {
  return meanings(table, modifiers, false).flatMap((down) => stepsOf(pressed, down).map(stepText));
}

const byApp = (a: KeyBinding, b: KeyBinding) => Number(a.app === null) - Number(b.app === null);

/**
 * The modifiers as they are, and with the main one in the place of the modifier that stands in for it. A sequence
 * goes on without the main one, too: it may still be down from the press before.
 */
function meanings(
  { main, standIn }: KeyTable,
  modifiers: readonly Modifier[],
  isLater: boolean,
): (readonly Modifier[])[] {
  const all: (readonly Modifier[])[] = [modifiers];
  const stands = MODIFIERS.find((modifier) => modifier === standIn);
  if (stands && !modifiers.includes(main) && modifiers.includes(stands)) {
    const meant = modifiers.map((modifier) => (modifier === stands ? main : modifier));
    all.push(MODIFIERS.filter((modifier) => meant.includes(modifier)));
  }
  if (!isLater) return all;
  return [...all, ...all.map((each) => each.filter((modifier) => modifier !== main))];
}

/** A press by the place of its key, then by what it types: Shift may be what made it type that. */
function stepsOf({ code, key }: Pressed, modifiers: readonly Modifier[]): TriggerStep[] {
  const steps: TriggerStep[] = [{ modifiers, code }];
  if (key === undefined) return steps;
  steps.push({ modifiers, types: key });
  if (modifiers.includes('Shift')) {
    const others = modifiers.filter((modifier) => modifier !== 'Shift');
    steps.push({ modifiers: others, types: key });
    steps.push({ modifiers, types: key.toLowerCase() });
  }
  return steps;
}
