import { commandText } from '../commands/command.ts';
import type { Interaction } from '../model/interaction.ts';
import { resolveKey } from '../keys/resolve.ts';
import { IDLE, type KeyInput, type KeyOutput, type KeyState } from '../keys/state.ts';
import { keyTable } from '../keys/table.ts';
import { profileSchema, type Profile } from '../model/profile.ts';
import { MODIFIERS, modifierOf } from '../values/modifiers.ts';
import { OFFICE } from './desk.ts';

const LAYERS = [
  { id: 'stay', lasts: 'kept' },
  { id: 'one', lasts: 'once' },
  { id: 'while', lasts: 'held' },
];
export const does = (command: string) => ({ command });
export const enter = (layer: string) => ({ command: 'enter-layer', layer });

export function profileWith(bindings: object[], more: object = {}): Profile {
  const keys = { from: 'none', layers: LAYERS, bindings, ...more };
  return profileSchema.parse({ ...OFFICE, keys });
}

/** What each of the inputs came to, in short: commands, layers with + and −, sequences with … and ×. */
function said(out: readonly KeyOutput[]): string {
  return out
    .map((each) => {
      switch (each.type) {
        case 'command':
          return `${each.command.command}${each.on === 'press' ? '' : ` (${each.on})`}${each.repeat ? ' again' : ''}`;
        case 'ask':
          return `asks ${each.command.command}`;
        case 'choice':
          return each.taken ? 'taken' : 'dropped';
        case 'layer':
          return `${each.is === 'entered' ? '+' : '-'}${each.layer}`;
        case 'sequence':
          return each.is === 'begun' ? '…' : '×';
        case 'released':
          return each.lost ? 'lost' : 'up';
        case 'outside':
          return `outside ${commandText(each.command)}`;
        case 'kept':
          return `kept ${[...each.modifiers, each.code].join('+')}`;
        case 'unbound':
          return `none ${[...each.modifiers, each.code].join('+')}`;
      }
    })
    .join(', ');
}

/**
 * Runs a list such as "0 +MetaLeft 10 +KeyL 60 -KeyL": a time, then a key that goes down or up, ~ for a repeat,
 * ! for the focus lost. Modifiers are those that are down, as a browser tells them.
 */
export function run(
  profile: Profile,
  list: string,
  interaction: Interaction | null = null,
  app: string | null = null,
) {
  const context = { table: keyTable(profile), interaction, app };
  const words = list.trim().split(/\s+/);
  const held: string[] = [];
  let state: KeyState = IDLE;
  const steps: string[] = [];
  for (let i = 0; i < words.length; i += 2) {
    const input = inputOf(Number(words[i]), words[i + 1] ?? '', held);
    const resolved = resolveKey(state, input, context);
    ({ state } = resolved);
    steps.push(said(resolved.out));
  }
  return { state, steps: steps.filter((text) => text !== '') };
}

function inputOf(at: number, word: string, held: string[]): KeyInput {
  const code = word.slice(1);
  if (word === '!') return { type: 'blur', at };
  if (word === '') return { type: 'wait', at };
  if (word[0] === '-') {
    held.splice(held.indexOf(code), 1);
    return { type: 'up', at, code };
  }
  if (modifierOf(code) !== null) held.push(code);
  const modifiers = MODIFIERS.filter((name) => held.some((each) => modifierOf(each) === name));
  const key = /^Key(.)$/.exec(code)?.[1];
  const typed = key && (modifiers.includes('Shift') ? key : key.toLowerCase());
  return {
    type: 'down',
    at,
    code,
    modifiers,
    ...(typed && { key: typed }),
    ...(word[0] === '~' && { repeat: true }),
  };
}
