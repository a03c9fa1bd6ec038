import { useCallback, useRef, useState, useSyncExternalStore } from 'react';

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

function onPageResized(then: () => void): () => void {
  addEventListener('resize', then);
  return () => removeEventListener('resize', then);
}

/**
 * The height in pixels that a drawn keyboard may have: what it needs, and on a high page half of what is more.
 *
 * @param least on a page of 800 pixels and less
 */
export function useBoardHeight(least: number): number {
  const page = useSyncExternalStore(onPageResized, () => innerHeight);
  return least + Math.max(0, Math.round((page - 800) / 2));
}
