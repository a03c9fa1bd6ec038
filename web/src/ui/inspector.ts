import type { RefObject } from 'react';
import { flushSync } from 'react-dom';
import { create } from 'zustand';
import { useScreen } from './screen.ts';

const KEY = 'sorn.inspector';

interface InspectorState {
  isAway: boolean;
  toggle: () => void;
  /** Brings it back when it is away. */
  show: () => void;
  /** Where it lies over the view for want of room, it gives way to the view. */
  giveWay: () => void;
}

const wasPutAway = () => localStorage.getItem(KEY) === 'away';

/** Whether the inspector is put away: kept in this browser, but on a small screen, where it is brought for a while. */
export const useInspector = create<InspectorState>((set, get) => ({
  isAway: useScreen.getState().isSmall || wasPutAway(),
  toggle() {
    const isAway = !get().isAway;
    if (!useScreen.getState().isSmall) localStorage.setItem(KEY, isAway ? 'away' : 'here');
    set({ isAway });
  },
  show() {
    if (get().isAway) get().toggle();
  },
  giveWay() {
    if (useScreen.getState().isSmall) set({ isAway: true });
  },
}));
useScreen.subscribe(({ isSmall }, before) => {
  if (isSmall !== before.isSmall) useInspector.setState({ isAway: isSmall || wasPutAway() });
});

/** Goes to a figure or a choice of the inspector, which may have been put away. */
export function focusFigure(figure: RefObject<HTMLElement | null>) {
  flushSync(() => useInspector.getState().show());
  figure.current?.focus();
}
