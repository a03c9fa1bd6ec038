import { LETTERS, type LettersMatter } from '@sorn/core/keys';
import type { InputDevice } from '@sorn/core/model';
import { useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import type { Running } from '../../state/suggest.ts';
import { useKeptChoices } from '../../ui/kept-choices.ts';

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

/** A figure of reach: with a decimal where it is small. */
export function shortFigure(value: number): string {
  return Math.abs(value) < 10 ? value.toFixed(1) : String(Math.round(value));
}

/** What counts when keys are suggested; kept in this browser. */
export const useSuggestChoices = () =>
  useKeptChoices<{ together: boolean; letters: LettersMatter }>(
    'sorn.suggest',
    { together: true, letters: 'much' },
    ({ letters }) => LETTERS.includes(letters),
  );

/** What a body of the page is for. */
export interface SuggestBody {
  pages: ReactNode;
  /** The settings that all have in common. */
  settings: ReactNode;
  device: InputDevice;
  codes: readonly string[] | null;
  /** By what was counted, else by an estimate. */
  isCounted: boolean;
  together: boolean;
  letters: LettersMatter;
  onLetters: (letters: LettersMatter) => void;
}

/** How far an answer is: what was found, or why nothing was. */
export interface Answer<T, P> {
  found: T | null;
  fault: string | null;
  progress: P | null;
  isCancelled: boolean;
  cancel: () => void;
  /** Asks once more. */
  again: () => void;
}

/**
 * What a worker answers to what is asked; an answer to what was asked before is dropped.
 *
 * @param ask stays the same as long as the question does; null asks nothing
 */
export function useAnswer<T, P = never>(
  ask: ((onProgress: (progress: P) => void) => Running<T>) | null,
): Answer<T, P> {
  const [count, setCount] = useState(0);
  const question = useMemo(() => ({ ask, count }), [ask, count]);
  const [state, setState] = useState<{
    of: unknown;
    found?: T;
    fault?: string;
    progress?: P;
    isCancelled?: boolean;
  }>({ of: null });
  const cancelIt = useRef<() => void>(() => undefined);
  useEffect(() => {
    if (!question.ask) return;
    // Word of progress comes by another way than the answer, and may come after it.
    let isOver = false;
    const end = (more: Omit<typeof state, 'of'>) => {
      if (!isOver) setState({ of: question, ...more });
      isOver = true;
    };
    const asked = question.ask((progress) => {
      if (!isOver) setState({ of: question, progress });
    });
    cancelIt.current = () => {
      end({ isCancelled: true });
      asked.cancel();
    };
    asked.answer.then(
      (found) => end({ found }),
      (error: unknown) => end({ fault: error instanceof Error ? error.message : String(error) }),
    );
    return () => {
      isOver = true;
      asked.cancel();
    };
  }, [question]);
  const { found, fault, progress, isCancelled } = state.of === question ? state : {};
  return {
    found: found ?? null,
    fault: fault ?? null,
    progress: progress ?? null,
    isCancelled: isCancelled ?? false,
    cancel: () => cancelIt.current(),
    again: () => setCount(count + 1),
  };
}
