import { useDrag } from '@use-gesture/react';
import { useEffect, useRef } from 'react';

/** A pull by pointer, at one moment of it. Coordinates are those of the window, in screen pixels. */
export interface Pull<A extends readonly unknown[]> {
  /** What was pulled at, as it was bound. */
  args: A;
  /** Where it began, and where it is. */
  from: readonly [number, number];
  to: readonly [number, number];
  isFirst: boolean;
  isLast: boolean;
  /** It was a press without a pull: neither first nor last. */
  isTap: boolean;
  /** It was dropped, by Escape or by the system: what was done by it is to be taken back. */
  isDropped: boolean;
}

/**
 * Takes pulls by pointer. A press that only trembles is a tap. Escape drops a pull, and so does whatever takes the
 * pointer away.
 *
 * @returns the handlers of an element, with what tells it from others
 */
export function usePull<A extends readonly unknown[]>(onPull: (pull: Pull<A>) => void) {
  const drop = useRef<(() => void) | null>(null);
  useEffect(() => {
    function onKeyDown(event: KeyboardEvent) {
      if (event.key !== 'Escape' || !drop.current) return;
      event.preventDefault();
      event.stopImmediatePropagation();
      drop.current();
    }
    addEventListener('keydown', onKeyDown, { capture: true });
    return () => removeEventListener('keydown', onKeyDown, { capture: true });
  }, []);
  return useDrag(
    ({ args, initial, xy, first, last, tap, canceled, cancel, event }) => {
      drop.current = last || tap ? null : cancel;
      onPull({
        args: args as A,
        from: initial,
        to: xy,
        isFirst: first,
        isLast: last,
        isTap: tap,
        isDropped: canceled || event.type === 'pointercancel',
      });
    },
    { filterTaps: true, pointer: { keys: false } },
  );
}
