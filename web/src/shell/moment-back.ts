import { useEffect, useState } from 'react';
import { usePageKeys } from '../ui/page-keys.ts';

/** How long a stray key can be taken back by Backspace. */
const MOMENT_MS = 4_000;
const TYPING = 'input, textarea, select, [contenteditable=true], [role=dialog]';

/**
 * For a moment after a key of the frame, Backspace takes it back: a digit that was meant for a field which a click
 * just missed. In that moment it is nothing else.
 *
 * @returns tells what Backspace is to do
 */
export function useMomentBack(): (back: () => void) => void {
  const [back, setBack] = useState<(() => void) | null>(null);
  useEffect(() => {
    if (!back) return;
    const timer = setTimeout(() => setBack(null), MOMENT_MS);
    const onKeyDown = (event: KeyboardEvent) => {
      const isTyping = event.target instanceof Element && event.target.closest(TYPING);
      const isOther = event.ctrlKey || event.altKey || event.metaKey || event.shiftKey;
      setBack(null);
      if (event.key !== 'Backspace' || isOther || isTyping) return;
      event.preventDefault();
      back();
    };
    addEventListener('keydown', onKeyDown, { capture: true });
    return () => {
      clearTimeout(timer);
      removeEventListener('keydown', onKeyDown, { capture: true });
    };
  }, [back]);
  usePageKeys(
    'moment',
    back
      ? [{ keys: [], caps: ['Backspace'], label: 'back', stays: true, run: () => undefined }]
      : [],
  );
  return (next) => setBack(() => next);
}
