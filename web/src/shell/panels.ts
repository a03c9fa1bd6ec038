import { later } from './later.tsx';
import type { PanelProps } from './panel.ts';

const isOpened = ({ isOpen }: PanelProps) => isOpen;

/** The panels, each a file of its own. */
export const PANELS = {
  keys: later(async () => (await import('./KeyHelp.tsx')).KeyHelp, isOpened),
  settings: later(async () => (await import('./Settings.tsx')).Settings, isOpened),
  connections: later(async () => (await import('./Connections.tsx')).Connections, isOpened),
  clashes: later(async () => (await import('./Clashes.tsx')).Clashes, isOpened),
  checkup: later(async () => (await import('./Checkup.tsx')).Checkup, isOpened),
  find: later(async () => (await import('./FindAnything.tsx')).FindAnything, isOpened),
};
