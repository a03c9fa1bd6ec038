import { MODIFIERS, type Modifier } from '@sorn/core/values';

/** The modifiers an event tells to be held. */
export function modifiersOf(
  event: Pick<KeyboardEvent, 'ctrlKey' | 'altKey' | 'shiftKey' | 'metaKey'>,
): Modifier[] {
  const held: Record<Modifier, boolean> = {
    Ctrl: event.ctrlKey,
    Alt: event.altKey,
    Shift: event.shiftKey,
    Meta: event.metaKey,
  };
  return MODIFIERS.filter((modifier) => held[modifier]);
}
