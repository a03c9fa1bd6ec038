import type { Profile } from '@sorn/core/model';
import { inOrder, type Modifier } from '@sorn/core/values';
import { useEffect, useState } from 'react';
import { modifiersOf } from '../../ui/modifiers.ts';

/** The modifiers that are down now, the stand-in as the main one; none once the page is left. */
export function usePressedModifiers({ keys: { main, standIn } }: Profile): readonly Modifier[] {
  const [modifiersDown, setModifiersDown] = useState<readonly Modifier[]>([]);
  useEffect(() => {
    function onKey(event: KeyboardEvent) {
      const meant = modifiersOf(event).map((modifier) => (modifier === standIn ? main : modifier));
      const next = inOrder(meant);
      setModifiersDown((before) => (before.join() === next.join() ? before : next));
    }
    const onBlur = () => setModifiersDown([]);
    addEventListener('keydown', onKey);
    addEventListener('keyup', onKey);
    addEventListener('blur', onBlur);
    return () => {
      removeEventListener('keydown', onKey);
      removeEventListener('keyup', onKey);
      removeEventListener('blur', onBlur);
    };
  }, [main, standIn]);
  return modifiersDown;
}
