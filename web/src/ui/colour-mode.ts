import { create } from 'zustand';

export type ColourMode = 'day' | 'night';
const KEY = 'sorn.colours';

function wished(): ColourMode {
  const kept = localStorage.getItem(KEY);
  if (kept === 'day' || kept === 'night') return kept;
  return matchMedia('(prefers-color-scheme: dark)').matches ? 'night' : 'day';
}

function show(mode: ColourMode) {
  const { classList, style } = document.documentElement;
  classList.toggle('dark', mode === 'night');
  classList.toggle('light', mode === 'day');
  style.colorScheme = mode === 'night' ? 'dark' : 'light';
}

interface Colours {
  mode: ColourMode;
  toggle: () => void;
}

/** Day or night: as the system says until the person chooses; the choice is kept in this browser. */
export const useColourMode = create<Colours>((set, get) => {
  show(wished());
  return {
    mode: wished(),
    toggle: () => {
      const mode = get().mode === 'day' ? 'night' : 'day';
      localStorage.setItem(KEY, mode);
      show(mode);
      set({ mode });
    },
  };
});
