import type { ReactNode } from 'react';
import { DeskView } from '../views/desk/DeskView.tsx';
import { FilesView } from '../views/files/FilesView.tsx';
import { KeysView } from '../views/keys/KeysView.tsx';
import { RehearseView } from '../views/rehearse/RehearseView.tsx';
import { RulesView } from '../views/rules/RulesView.tsx';
import { TilingView } from '../views/tiling/TilingView.tsx';
import { TrialsView } from '../views/trials/TrialsView.tsx';
import { ZonesView } from '../views/zones/ZonesView.tsx';

/** Every view of a profile, by its path. */
export const EVERY_VIEW: Record<string, ReactNode> = {
  desk: <DeskView />,
  tiling: <TilingView />,
  zones: <ZonesView />,
  rules: <RulesView />,
  keys: <KeysView />,
  rehearse: <RehearseView />,
  trials: <TrialsView />,
  files: <FilesView />,
};

/** A profile with one thing at least of each kind that a view sets. */
export const ONE_OF_EACH = {
  name: 'Desk',
  monitors: [
    { id: 'main', width: 1920, height: 1080, millimetres: { width: 600, height: 340 } },
    { id: 'side', x: 1920, width: 1280, height: 1024 },
  ],
  desks: [
    {
      id: 'home',
      mode: 'extend',
      monitors: [
        { monitor: 'main', x: 0, y: 0 },
        { monitor: 'side', x: 1920, y: 0 },
      ],
    },
  ],
  workspaces: [{ id: '1' }],
  apps: [{ id: 'maps', name: 'Maps', letter: 'M' }],
  rules: [{ id: 'r', when: { all: [{ of: 'app', is: 'maps' }] }, then: { held: 'floating' } }],
  boards: [
    {
      id: 'b',
      name: 'B',
      columns: [1, 1],
      rows: [1],
      zones: [{ name: 'Z', columns: [1, 1], rows: [1, 1] }],
      for: {},
    },
  ],
  trials: [
    {
      id: 'day',
      name: 'Day',
      steps: [{ command: 'open-app', app: 'maps' }, { expect: { window: 'maps', is: 'floating' } }],
    },
  ],
  chains: [{ id: 'calm', name: 'Calm', commands: [{ command: 'even-out' }] }],
  menus: [
    {
      id: 'often',
      name: 'Often',
      entries: [{ letter: 'M', command: { command: 'call-app', app: 'maps' } }],
    },
  ],
  keys: {
    layers: [{ id: 'far', lasts: 'once' }],
    bundles: [{ id: 'Caps', hold: 'CapsLock', modifiers: ['Ctrl', 'Alt'] }],
    devices: [{ id: 'mouse', buttons: 12, profiles: 2 }],
    bindings: [{ keys: 'Main+KeyK', command: { command: 'float' } }],
  },
};
