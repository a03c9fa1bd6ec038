import { useEffect, useRef, type RefObject } from 'react';

/**
 * Keeps the selected entry in view in a list that scrolls.
 *
 * @param place its index in the list, so that an entry that moves is followed
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
