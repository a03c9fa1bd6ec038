import { z } from 'zod';
import { CODES, isCode, keyName, MOST_BUTTONS, type Legends } from './codes.ts';
import { MAIN, modifierOf, MODIFIERS, type Modifier } from './modifiers.ts';
import { nearestName } from './nearest-name.ts';

/** How a key sets its binding off: when it goes down, or, of a tap-hold key, by a tap or by being held. */
type How = 'press' | 'tap' | 'hold';

/** One press of a trigger as it is written: modifiers by name (also Main, also a bundle), and a key. */
export interface TriggerStep {
  modifiers: readonly string[];
  /** Where the key is: its UI Events `code`, or a button. */
  code?: string;
  /** What the key types: its UI Events `key`. */
  types?: string;
}

/** What sets a binding off: a chord, a sequence of chords, a tap or a hold of one key. */
export interface Trigger {
  how: How;
  steps: readonly TriggerStep[];
}

export const MOST_STEPS = 4;
const TRIGGER =
  'keys such as Main+Shift+KeyL, Main+KeyK KeyS, tap CapsLock, hold Space, Main+types:? or Button4';
const NAME = /^[A-Za-z][A-Za-z0-9-]{0,39}$/;
const TYPES = 'types:';

/** A trigger read off its text; a message of what was expected where it is none. */
export function readTrigger(text: string): Trigger | string {
  const [first = '', ...rest] = text.trim().split(/ +/);
  const how: How = first === 'tap' || first === 'hold' ? first : 'press';
  const words = how === 'press' ? [first, ...rest] : rest;
  if (words.length === 0 || words.length > MOST_STEPS) return TRIGGER;
  const steps: TriggerStep[] = [];
  for (const word of words) {
    const step = readStep(word);
    if (typeof step === 'string') return step;
    steps.push(step);
  }
  if (how === 'press') {
    const alone = steps.find(({ code }) => code !== undefined && modifierOf(code) !== null)?.code;
    return alone === undefined ? { how, steps } : `tap or hold of a modifier, such as tap ${alone}`;
  }
  const [only] = steps;
  if (steps.length > 1 || only!.modifiers.length > 0 || only!.code === undefined)
    return `${how} and one key by its place, such as ${how} Space`;
  return { how, steps };
}

function readStep(word: string): TriggerStep | string {
  const typed = word.indexOf(TYPES);
  const place = typed < 0 ? word : word.slice(0, typed);
  const names = place.split('+');
  const last = names.pop()!;
  const modifiers = names.filter((name, i) => names.indexOf(name) === i);
  if (!modifiers.every((name) => NAME.test(name))) return TRIGGER;
  if (typed >= 0) {
    const types = word.slice(typed + TYPES.length);
    if (last !== '' || types === '' || types.length > 40) return TRIGGER;
    return { modifiers, types: types === 'Space' ? ' ' : types };
  }
  if (isCode(last)) return { modifiers, code: last };
  if (/^Button/.test(last)) return `a button, Button1 to Button${MOST_BUTTONS}`;
  const nearest = nearestName(last, CODES);
  return nearest ? `the code of a key; the nearest is ${nearest}` : TRIGGER;
}

/** Keys as a profile writes them. */
export const triggerField = z.string({ error: 'keys as text' }).superRefine((text, context) => {
  const trigger = readTrigger(text);
  if (typeof trigger === 'string') context.addIssue({ code: 'custom', message: trigger });
});

const known = new Map<string, Trigger>();
/** Triggers are read with every drawing; those of a few profiles are kept. */
const MOST_KNOWN = 20_000;

/** A trigger read off a text that the profile's schema has let through. */
export function triggerOf(text: string): Trigger {
  const found = known.get(text);
  if (found) return found;
  const trigger = readTrigger(text);
  if (typeof trigger === 'string') throw new Error(`${text} is no trigger; expected ${trigger}`);
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(text, trigger);
  return trigger;
}

const ORDER: readonly string[] = [MAIN, ...MODIFIERS];

/** Modifiers as they are pressed: the main one, the others, then bundles. */
function sorted(modifiers: readonly string[]): string[] {
  const bundles = modifiers.filter((name) => !ORDER.includes(name)).sort();
  return [...ORDER.filter((name) => modifiers.includes(name)), ...bundles];
}

/** The text of one press of a trigger, its modifiers in a fixed order. */
export function stepText({ modifiers, code, types }: TriggerStep): string {
  const key = code ?? `${TYPES}${types === ' ' ? 'Space' : types}`;
  return [...sorted(modifiers), key].join('+');
}

/** The text of a trigger, as the profile has it. */
export function triggerText({ how, steps }: Trigger): string {
  const keys = steps.map(stepText).join(' ');
  return how === 'press' ? keys : `${how} ${keys}`;
}

/** What key caps say: which modifier is the main one, and what is printed on keys. The keys of a profile are this. */
export interface Captions {
  main: Modifier;
  legends?: Legends;
}

/** The caps of a trigger, press by press, the main modifier by its own name. */
export function triggerCaps({ how, steps }: Trigger, { main, legends }: Captions): string[][] {
  return steps.map(({ modifiers, code, types }) => [
    ...(how === 'press' ? [] : [how]),
    ...sorted(modifiers).map((name) => (name === MAIN ? main : name)),
    code === undefined ? `“${types === ' ' ? 'Space' : types}”` : keyName(code, legends),
  ]);
}

/** What stands between the presses of a sequence, in a row of caps. */
export const THEN = 'then';

/** The caps of a trigger in one row. */
export function keysCaps(keys: string, captions: Captions): string[] {
  return triggerCaps(triggerOf(keys), captions).flatMap((caps, i) =>
    i === 0 ? caps : [THEN, ...caps],
  );
}

/** How many keys are pressed for a row of caps, modifiers counted. */
export function pressesIn(caps: readonly string[]): number {
  return caps.filter((cap) => cap !== THEN).length;
}
