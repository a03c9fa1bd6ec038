export const MODIFIERS = ['Ctrl', 'Alt', 'Shift', 'Meta'] as const;
export type Modifier = (typeof MODIFIERS)[number];

/** What the main modifier is called in triggers: it is named once, and changed for all of them at once. */
export const MAIN = 'Main';

/** True for the keys that are modifiers by themselves, by UI Events `code`. */
export function isModifierCode(code: string): boolean {
  return modifierOf(code) !== null || code === 'CapsLock';
}

/** The modifier that a key is by itself. */
export function modifierOf(code: string): Modifier | null {
  const [, name] = /^(Control|Alt|Shift|Meta|OS)(?:Left|Right)$/.exec(code) ?? [];
  if (name === undefined) return null;
  if (name === 'Control') return 'Ctrl';
  return name === 'OS' ? 'Meta' : (name as Modifier);
}

/** Modifiers in their fixed order, each once. */
export function inOrder(modifiers: Iterable<Modifier>): Modifier[] {
  const held = new Set(modifiers);
  return MODIFIERS.filter((modifier) => held.has(modifier));
}
