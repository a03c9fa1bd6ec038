import type { RefObject } from 'react';
import { flushSync } from 'react-dom';
import { create } from 'zustand';

const KEY = 'sorn.inspector';

interface InspectorState {
  isAway: boolean;
  toggle: () => void;
  /** Brings it back when it is away. */
  show: () => void;
}

/** Whether the inspector is put away; kept in this browser. */
export const useInspector = create<InspectorState>((set, get) => ({
  isAway: localStorage.getItem(KEY) === 'away',
  toggle() {
    const isAway = !get().isAway;
    localStorage.setItem(KEY, isAway ? 'away' : 'here');
    set({ isAway });
  },
  show() {
    if (get().isAway) get().toggle();
  },
}));

/** Goes to a figure or a choice of the inspector, which may have been put away. */
export function focusFigure(figure: RefObject<HTMLElement | null>) {
  flushSync(() => useInspector.getState().show());
  figure.current?.focus();
}
