import { useEffect, useRef, type RefObject } from 'react';

/**
 * Keeps what is here in sight, in a list that scrolls.
 *
 * @param place where it stands in the list: one that is moved is followed
 */
export function useScrollIntoView<E extends Element>(
  isSelected: boolean,
  place = 0,
): RefObject<E | null> {
  const element = useRef<E>(null);
  useEffect(() => {
    if (isSelected) element.current?.scrollIntoView({ block: 'nearest' });
  }, [isSelected, place]);
  return element;
}
