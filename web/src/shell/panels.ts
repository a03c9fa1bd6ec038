import { lazyPart } from './lazy-part.tsx';
import type { PanelProps } from './panel.ts';

const isOpened = ({ isOpen }: PanelProps) => isOpen;

/** The panels, each a file of its own. */
export const PANELS = {
  keys: lazyPart(async () => (await import('./KeyHelp.tsx')).KeyHelp, isOpened),
  settings: lazyPart(async () => (await import('./Settings.tsx')).Settings, isOpened),
  connections: lazyPart(async () => (await import('./Connections.tsx')).Connections, isOpened),
  conflicts: lazyPart(async () => (await import('./Conflicts.tsx')).Conflicts, isOpened),
  paste: lazyPart(async () => (await import('./Paste.tsx')).Paste, isOpened),
  slip: lazyPart(async () => (await import('./SlipPanel.tsx')).SlipPanel, isOpened),
  checkup: lazyPart(async () => (await import('./Checkup.tsx')).Checkup, isOpened),
  find: lazyPart(async () => (await import('./FindAnything.tsx')).FindAnything, isOpened),
};
