import type { ChangeEvent } from '@sorn/api';

/** Tells those who look at a profile what others save of it. */
export interface ChangeEvents {
  tell: (id: string, event: ChangeEvent) => void;
  /** The answer ends the listening. */
  listen: (id: string, listener: (event: ChangeEvent) => void) => () => void;
  /** All that is kept may be other than it was. */
  tellAll: () => void;
  onAll: (listener: () => void) => () => void;
  /** The server ends: listeners are told, so that they come back a while later. */
  end: () => void;
  onEnd: (listener: () => void) => () => void;
}

export function makeChangeEvents(): ChangeEvents {
  const listeners = new Set<{ id: string; listener: (event: ChangeEvent) => void }>();
  const all = new Set<() => void>();
  const ends = new Set<() => void>();
  const addTo = (set: Set<() => void>) => (listener: () => void) => {
    set.add(listener);
    return () => void set.delete(listener);
  };
  return {
    tell(id, event) {
      for (const entry of listeners) if (entry.id === id) entry.listener(event);
    },
    listen(id, listener) {
      const entry = { id, listener };
      listeners.add(entry);
      return () => void listeners.delete(entry);
    },
    tellAll() {
      for (const listener of all) listener();
    },
    onAll: addTo(all),
    end() {
      for (const listener of ends) listener();
    },
    onEnd: addTo(ends),
  };
}
