import type { Profile } from '../../model/profile.ts';
import { MAIN } from '../../values/modifiers.ts';
import { isWorkspaceLetter } from '../../values/workspace-letter.ts';
import type { KeyStarterBinding } from './binding.ts';
import {
  appKeys,
  bindingOf,
  LAYOUT_LETTERS,
  REGIONS,
  workspaceKeys,
  type KeyFor,
} from './regions.ts';

/** The key after which a letter is a layout. */
const LAYOUTS_AFTER = `${MAIN}+Backslash`;
/** The key after which a letter does what it did before a person gave it to a workspace or an app. */
const MOVED_AFTER = `${MAIN}+Space`;
const MOST_DESK_KEYS = 8;
const DIGITS = [...'123456789'];
const LETTERS = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'];

/** A command of the map that is not where it would be, since what a person named has its letter. */
export interface Moved {
  binding: KeyStarterBinding;
  /** Where it would be. */
  from: string;
  /** What has its letter: "workspace S". */
  by: string;
}

interface WholeMap {
  bindings: KeyStarterBinding[];
  moved: Moved[];
}

/**
 * The whole map. Each group of commands has its region of the keyboard. The modifiers say what kind of change it
 * is: the main one alone goes somewhere or changes how things are; with Shift the window comes along; with Ctrl it
 * is sized and placed; with Alt the key reaches farther, to monitors and apps. Letters that a person gives to
 * workspaces and apps come first; what they take the place of is behind Main Space, on the same letter.
 */
export function wholeMap(profile: Profile): WholeMap {
  const bindings = new Map<string, { binding: KeyStarterBinding; by: string }>();
  const moved: Moved[] = [];
  const bind = (key: KeyFor, by = '') => {
    const binding = bindingOf(key);
    const inTheWay = bindings.get(binding.keys);
    if (!inTheWay) {
      bindings.set(binding.keys, { binding, by });
      return;
    }
    const keys = behindSpace(binding.keys).find((each) => !bindings.has(each));
    if (keys === undefined) return;
    const there = { ...binding, keys };
    bindings.set(keys, { binding: there, by });
    moved.push({ binding: there, from: binding.keys, by: inTheWay.by });
  };
  for (const { id } of profile.workspaces) {
    const code = codeOf(id);
    if (code !== null) for (const key of workspaceKeys(code, id)) bind(key, `workspace ${id}`);
  }
  // Going to a digit makes the workspace where there is none.
  for (const digit of DIGITS) {
    if (profile.workspaces.some(({ id }) => id === digit)) continue;
    for (const key of workspaceKeys(`Digit${digit}`, digit)) bind(key, `workspace ${digit}`);
  }
  for (const { id, letter } of profile.apps) {
    if (letter === undefined) continue;
    for (const key of appKeys(`Key${letter}`, id)) bind(key, `app ${id}`);
  }
  profile.desks.slice(0, MOST_DESK_KEYS).forEach(({ id }, i) => {
    bind([`F${i + 1}`, [], { command: 'use-desk', desk: id }]);
  });
  for (const { keys } of REGIONS) for (const key of keys) bind(key);
  for (const [letter, layout] of LAYOUT_LETTERS) {
    const keys = `${LAYOUTS_AFTER} Key${letter}`;
    bindings.set(keys, { binding: { keys, command: { command: 'use-layout', layout } }, by: '' });
  }
  return { bindings: [...bindings.values()].map(({ binding }) => binding), moved };
}

export const wholeStarter = (profile: Profile): KeyStarterBinding[] => wholeMap(profile).bindings;

/**
 * Where a key that is taken is found: behind Main Space, on itself, or else on the next letter that is free, with
 * what is pressed beside the main modifier. Behind two Spaces where one does not do. None for keys other than letters
 * and digits.
 */
export function behindSpace(keys: string): string[] {
  const [, more = '', code] = /^Main\+(.*\+)?(Key[A-Z]|Digit\d)$/.exec(keys) ?? [];
  if (code === undefined) return [];
  const from = Math.max(0, LETTERS.indexOf(code.slice(-1)));
  const letters = [...LETTERS.slice(from), ...LETTERS.slice(0, from)].map((each) => `Key${each}`);
  return ['', ' Space', ' Space Space'].flatMap((spaces) =>
    [...new Set([code, ...letters])].map((each) => `${MOVED_AFTER}${spaces} ${more}${each}`),
  );
}

/** True for keys that are pressed behind Main Space. */
export function isBehindSpace(keys: string): boolean {
  return keys.startsWith(`${MOVED_AFTER} `);
}

/** The key of a workspace that is called by one letter or digit. */
function codeOf(workspace: string): string | null {
  if (!isWorkspaceLetter(workspace)) return null;
  return /\d/.test(workspace) ? `Digit${workspace}` : `Key${workspace.toUpperCase()}`;
}
