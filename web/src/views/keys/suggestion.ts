import type { Suggestion } from '@sorn/core/keys';
import type { Profile } from '@sorn/core/model';
import { useEffect, useState } from 'react';
import { suggestKeys } from '../../state/suggest.ts';

const letters = (text: string) => [...text].map((letter) => `Key${letter}`);
/** Keys that a suggestion may use. */
export const AMONG: readonly { value: string; text: string; codes?: readonly string[] }[] = [
  { value: 'all', text: 'every input' },
  { value: 'letters', text: 'letters', codes: letters('ABCDEFGHIJKLMNOPQRSTUVWXYZ') },
  {
    value: 'home',
    text: 'the home row and its neighbours',
    codes: [
      ...letters('QWERTYUIOPASDFGHJKLZXCVBNM'.slice(0, 19)),
      'Semicolon',
      'Quote',
      'Enter',
      'Space',
    ],
  },
  {
    value: 'right',
    text: 'the right hand',
    codes: [
      ...letters('YUIOPHJKLNM'),
      'Semicolon',
      'Quote',
      'Comma',
      'Period',
      'Slash',
      'Enter',
      'Space',
      'BracketLeft',
      'BracketRight',
    ],
  },
  {
    value: 'left',
    text: 'the left hand',
    codes: [
      ...letters('QWERTASDFGZXCVB'),
      'Tab',
      'Space',
      'Backquote',
      'Digit1',
      'Digit2',
      'Digit3',
      'Digit4',
      'Digit5',
    ],
  },
];

/** The suggestion for what is asked, from a worker; what was asked before is dropped. */
export function useSuggestion(profile: Profile, wanted: Parameters<typeof suggestKeys>[1] | null) {
  const [done, setDone] = useState<{ of: unknown; found: Suggestion | null; fault: string | null }>(
    {
      of: null,
      found: null,
      fault: null,
    },
  );
  useEffect(() => {
    if (!wanted) return;
    let isStale = false;
    const running = suggestKeys(profile, wanted);
    running.answer.then(
      (found) => {
        if (!isStale) setDone({ of: wanted, found, fault: null });
      },
      (error: unknown) => {
        const fault = error instanceof Error ? error.message : String(error);
        if (!isStale) setDone({ of: wanted, found: null, fault });
      },
    );
    return () => {
      isStale = true;
      running.cancel();
    };
  }, [profile, wanted]);
  return done.of === wanted ? done : { found: null, fault: null };
}
