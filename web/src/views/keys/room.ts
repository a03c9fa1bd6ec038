import { useCallback, useRef, useState } from 'react';

/** The width in pixels that an element has, as it changes. */
export function useRoom<E extends Element>() {
  const [width, setWidth] = useState(800);
  const observer = useRef<ResizeObserver>(null);
  const ref = useCallback((element: E | null) => {
    observer.current?.disconnect();
    if (!element) return;
    observer.current = new ResizeObserver(([entry]) => {
      if (entry) setWidth(entry.contentRect.width);
    });
    observer.current.observe(element);
  }, []);
  return [ref, width] as const;
}
