import { useState } from 'react';

/**
 * Choices of a page that are no part of a profile, kept in this browser: they are there again after the page is loaded anew.
 *
 * @param key what they are kept under
 * @param first what they are before anything was chosen
 * @param isRight false for kept choices that nobody can have made: the first ones take their place
 * @returns the choices, and the change of some of them
 */
export function useKeptChoices<T extends object>(
  key: string,
  first: T,
  isRight: (choices: T) => boolean = () => true,
): readonly [T, (some: Partial<T>) => void] {
  const [choices, setChoices] = useState(() => {
    try {
      const kept = { ...first, ...(JSON.parse(localStorage.getItem(key) ?? '{}') as Partial<T>) };
      return isRight(kept) ? kept : first;
    } catch {
      return first;
    }
  });
  const choose = (some: Partial<T>) => {
    const next = { ...choices, ...some };
    localStorage.setItem(key, JSON.stringify(next));
    setChoices(next);
  };
  return [choices, choose];
}
