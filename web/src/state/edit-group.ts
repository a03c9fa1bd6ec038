import { useRef } from 'react';
import { useProfileStoreApi } from './profile-context.ts';

/** Edits that are made bit by bit, such as by a pull, and are one step of undo. */
export function useEditGroup<T>() {
  const store = useProfileStoreApi();
  const now = useRef<{ with: T; end: (isDropped: boolean) => void } | null>(null);
  return {
    /** @param started what the edits start from */
    begin(started: T) {
      now.current?.end(false);
      now.current = { with: started, end: store.getState().groupEdits() };
    },
    /** What the edits started from; null where none were begun. */
    begun: () => now.current?.with ?? null,
    /** @param isDropped takes back what was edited */
    end(isDropped: boolean) {
      now.current?.end(isDropped);
      now.current = null;
    },
  };
}
