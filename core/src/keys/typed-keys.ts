import type { Profile } from '../model/profile.ts';
import { CODES, isCode } from '../values/codes.ts';
import { MAIN, MODIFIERS } from '../values/modifiers.ts';
import { nearestName } from '../values/nearest-name.ts';
import { MOST_STEPS, readTrigger, triggerText, type TriggerStep } from '../values/trigger.ts';

/** Keys as they were typed: in the profile's spelling, or what was expected in their place. */
export type TypedKeys = { keys: string } | { expected: string };

const KEYS = 'keys such as Meta Shift Left, Ctrl K then S, Main+KeyL or Button 4';

/** What people call modifiers, by the words on their keys. */
const MODIFIER_WORDS: Readonly<Record<string, string>> = {
  ctrl: 'Ctrl',
  control: 'Ctrl',
  alt: 'Alt',
  option: 'Alt',
  shift: 'Shift',
  meta: 'Meta',
  super: 'Meta',
  windows: 'Meta',
  win: 'Meta',
  command: 'Meta',
  cmd: 'Meta',
  main: MAIN,
};

/** What people call keys, beside their codes in any case. */
const KEY_WORDS: Readonly<Record<string, string>> = {
  left: 'ArrowLeft',
  right: 'ArrowRight',
  up: 'ArrowUp',
  down: 'ArrowDown',
  esc: 'Escape',
  return: 'Enter',
  del: 'Delete',
  ins: 'Insert',
  pgup: 'PageUp',
  pgdn: 'PageDown',
  caps: 'CapsLock',
  menu: 'ContextMenu',
  print: 'PrintScreen',
  break: 'Pause',
  dot: 'Period',
  dash: 'Minus',
  '-': 'Minus',
  '=': 'Equal',
  ',': 'Comma',
  '.': 'Period',
  '/': 'Slash',
  '\\': 'Backslash',
  ';': 'Semicolon',
  "'": 'Quote',
  '`': 'Backquote',
  '[': 'BracketLeft',
  ']': 'BracketRight',
  '←': 'ArrowLeft',
  '→': 'ArrowRight',
  '↑': 'ArrowUp',
  '↓': 'ArrowDown',
};
const BY_LOWER = new Map(CODES.map((code) => [code.toLowerCase(), code]));

/** What a key of two words begins with. */
const IN_TWO = /^(page|pad|numpad|num|button|mouse|caps|print|scroll|arrow)$/;

/**
 * Reads keys that a person typed: "meta shift left", "ctrl k then s", "tap caps", "button 4", or as a profile has them.
 * The main modifier may be called by its own name.
 *
 * @returns an expectation where a word is no key, or names a modifier or bundle that there is not
 */
export function readTypedKeys({ keys }: Pick<Profile, 'keys'>, text: string): TypedKeys {
  const names = [MAIN, ...MODIFIERS, ...keys.bundles.map(({ id }) => id)];
  const trigger = readTrigger(text);
  if (typeof trigger !== 'string') {
    const unknown = trigger.steps
      .flatMap(({ modifiers }) => modifiers)
      .find((name) => !names.includes(name));
    return unknown === undefined
      ? { keys: text.trim() }
      : { expected: modifierWanted(unknown, names) };
  }
  const spoken = readWords(text, keys);
  // Wrong in the spelling of profiles: its own message says more.
  return 'expected' in spoken && /\w\+\w|types:/.test(text) ? { expected: trigger } : spoken;
}

function modifierWanted(typed: string, names: readonly string[]): string {
  const nearest = nearestName(typed, names);
  return nearest === null
    ? `a modifier: one of ${names.join(', ')}`
    : `a modifier or a bundle; the nearest is ${nearest}`;
}

function readWords(text: string, { main, bundles, legends = {} }: Profile['keys']): TypedKeys {
  // What is printed on the person's own keys comes before what is on others.
  const printed = new Map(
    Object.entries(legends).map(([code, legend]) => [legend.toLowerCase(), code]),
  );
  const words = text
    .trim()
    .split(/[\s+]+/)
    .filter(Boolean);
  const [first = ''] = words;
  const how = /^(tap|hold)$/i.test(first) ? (first.toLowerCase() as 'tap' | 'hold') : 'press';
  const steps: TriggerStep[] = [];
  let modifiers: string[] = [];
  for (let i = how === 'press' ? 0 : 1; i < words.length; i++) {
    const word = words[i]!;
    const lower = word.toLowerCase();
    const bundle = bundles.find(({ id }) => id.toLowerCase() === lower)?.id;
    const modifier = bundle ?? MODIFIER_WORDS[lower];
    if (modifier !== undefined && how === 'press') {
      modifiers.push(modifier === main ? MAIN : modifier);
      continue;
    }
    if (lower === 'then' && modifiers.length === 0) continue;
    // Two words of one key: "pad 7", "page up", "button 4".
    const next = words[i + 1]?.toLowerCase();
    const pair = next !== undefined && IN_TWO.test(lower) ? codeCalled(lower + next) : null;
    const code = pair ?? printed.get(lower) ?? codeCalled(lower);
    if (code === null)
      return {
        expected: keyWanted(
          word,
          bundles.map(({ id }) => id),
        ),
      };
    if (pair !== null) i++;
    steps.push({ modifiers: [...new Set(modifiers)], code });
    modifiers = [];
  }
  const isWhole = steps.length > 0 && steps.length <= MOST_STEPS && modifiers.length === 0;
  if (!isWhole) return { expected: KEYS };
  const written = triggerText({ how, steps });
  const read = readTrigger(written);
  return typeof read === 'string' ? { expected: read } : { keys: written };
}

/** The code of a key by what it is called, in small letters. */
function codeCalled(name: string): string | null {
  const word = KEY_WORDS[name];
  if (word !== undefined) return word;
  if (/^[a-z]$/.test(name)) return `Key${name.toUpperCase()}`;
  if (/^\d$/.test(name)) return `Digit${name}`;
  const button = /^(?:button|mouse)(\d+)$/.exec(name)?.[1];
  if (button !== undefined) return isCode(`Button${button}`) ? `Button${button}` : null;
  const pad = /^(?:num)?pad(.+)$/.exec(name)?.[1];
  if (pad !== undefined) return BY_LOWER.get(`numpad${pad}`) ?? null;
  return BY_LOWER.get(name) ?? null;
}

function keyWanted(word: string, bundles: readonly string[]): string {
  const words = [...Object.keys(KEY_WORDS), ...Object.keys(MODIFIER_WORDS), ...bundles, ...CODES];
  const nearest = word.length > 1 ? nearestName(word, words) : null;
  return nearest === null ? KEYS : `a key or a modifier; the nearest to ${word} is ${nearest}`;
}
