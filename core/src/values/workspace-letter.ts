import { idField } from './fields.ts';

/** True for what one key can stand for: a single letter or digit. A workspace that is called so has keys of its own. */
export function isWorkspaceLetter(text: string): boolean {
  return /^[A-Za-z0-9]$/.test(text);
}

/** The id that a typed one stands for: a single letter is the capital, as on its key cap. */
export function workspaceIdOf(typed: string): string {
  const id = typed.trim();
  return isWorkspaceLetter(id) ? id.toUpperCase() : id;
}

/** Why a workspace cannot be called so; null where it can. */
export function workspaceIdFault(typed: string, taken: readonly string[]): string | null {
  const id = workspaceIdOf(typed);
  if (!idField.safeParse(id).success)
    return 'one letter or digit for keys, or a word without spaces';
  return taken.includes(id) ? `another is called ${id}` : null;
}

/** What a workspace that is made is called. */
export interface WorkspaceName {
  id: string;
  /** Left out where it is called by its letter alone. */
  name?: string;
}

/** The least number, from 1, that is not in use as a name. */
export function freeNumber(names: readonly string[]): string {
  let number = 1;
  while (names.includes(String(number))) number++;
  return String(number);
}

/**
 * Reads what a person typed for a new workspace. A letter or digit is its letter; a longer text is its name, and its
 * letter is the first one of the name that is free, else the next free number. Nothing typed is the next free number.
 *
 * @param taken the ids that are in use
 * @returns null where exactly that letter is taken
 */
export function workspaceNameOf(typed: string, taken: readonly string[]): WorkspaceName | null {
  const name = typed.trim();
  const isFree = (letter: string) => !taken.some((id) => id.toUpperCase() === letter.toUpperCase());
  if (name === '') return { id: freeNumber(taken) };
  if (isWorkspaceLetter(name)) return isFree(name) ? { id: workspaceIdOf(name) } : null;
  const letter = [...name].find((each) => isWorkspaceLetter(each) && isFree(each));
  return { id: letter ? workspaceIdOf(letter) : freeNumber(taken), name: name.slice(0, 400) };
}
