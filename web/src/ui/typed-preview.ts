import { createContext, useContext, useEffect, useLayoutEffect, useRef } from 'react';
import { flushSync } from 'react-dom';

/** Begins a preview: what is changed until the answer is called is one change; called with `true`, it is none. */
export type BeginPreview = () => (isDropped: boolean) => void;

/** How what is typed shows at once, before it is taken. Null where it does not. */
export const PreviewContext = createContext<BeginPreview | null>(null);

/** Changes that show while something is typed, each from what was there before. */
export interface TypedPreview<T> {
  /** Shows a value; what was shown before it is dropped first. Null shows what was there. */
  show: (value: T | null) => void;
  /** Ends it. @param isDropped takes back what was shown. @returns false where nothing was shown */
  end: (isDropped: boolean) => boolean;
}

/**
 * Tries values out while they are typed.
 *
 * @param change makes a value what there is; null where this field shows nothing before it is taken
 */
export function useTypedPreview<T>(change: ((value: T) => void) | null): TypedPreview<T> {
  const begin = useContext(PreviewContext);
  const newest = useRef(change);
  const running = useRef<((isDropped: boolean) => void) | null>(null);
  useLayoutEffect(() => {
    newest.current = change;
  });
  const end = (isDropped: boolean) => {
    const ended = running.current;
    running.current = null;
    ended?.(isDropped);
    return ended !== null;
  };
  // A field that goes away while something is typed into it took nothing.
  useEffect(
    () => () => {
      running.current?.(true);
      running.current = null;
    },
    [],
  );
  return {
    show(value) {
      // The change is made by what is drawn of what was there before.
      flushSync(() => end(true));
      if (value === null || !begin || !newest.current) return;
      running.current = begin();
      newest.current(value);
    },
    end,
  };
}
