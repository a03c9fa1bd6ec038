import { findApps, findWindows, windowName, type Command } from '@sorn/core';
import { create } from 'zustand';
import type { Bench } from '../../data/bench.ts';

/** A list over the sheet that narrows as a name is typed. */
export type PickerKind = 'find-window' | 'launch';

interface PickerState {
  kind: PickerKind | null;
  /** The key caps that opened it. */
  caps: readonly string[];
  open: (kind: PickerKind, caps: readonly string[]) => void;
  close: () => void;
}

export const usePicker = create<PickerState>((set) => ({
  kind: null,
  caps: [],
  open: (kind, caps) => set({ kind, caps }),
  close: () => set({ kind: null }),
}));

export interface Choice {
  id: string;
  name: string;
  detail: string;
  balloon: string;
  hue: number;
  command: Command;
}

/** What answers to what was typed, best first. */
export function choicesFor(kind: PickerKind, { session, profile }: Bench, typed: string): Choice[] {
  const appOf = (id: string | undefined) => profile.apps.find((app) => app.id === id);
  if (kind === 'launch') {
    return findApps(profile, typed).map((app) => ({
      id: app.id,
      name: app.name ?? app.id,
      detail: 'opens a window',
      balloon: app.balloon ?? app.id.slice(0, 2),
      hue: app.hue ?? 0,
      command: { command: 'launch', text: app.id },
    }));
  }
  return findWindows(session, profile, typed).map((window) => {
    const app = appOf(window.app);
    const name = windowName(profile, window);
    const where = window.held === 'pocketed' ? 'in the pocket' : `workspace ${window.workspace}`;
    return {
      id: window.id,
      name,
      detail: [window.title, where].filter(Boolean).join(' · '),
      balloon: app?.balloon ?? name.slice(0, 2),
      hue: app?.hue ?? 0,
      command: { command: 'find-window', text: window.id },
    };
  });
}
