import {
  Columns3,
  Files,
  Flag,
  Keyboard,
  LayoutPanelLeft,
  ListOrdered,
  Monitor,
  Play,
} from 'lucide-react';
import { lazyPart } from './lazy-part.tsx';

/** The views there are, in the rail's order, with their digits; each is a file of its own. */
export const VIEWS = [
  {
    path: 'desk',
    word: 'Desk',
    /** Other words that people use for it. */
    also: 'monitors screens displays workspaces',
    digit: '1',
    Icon: Monitor,
    View: lazyPart(async () => (await import('../views/desk/DeskView.tsx')).DeskView),
  },
  {
    path: 'tiling',
    word: 'Tiling',
    also: 'layouts gaps shares',
    digit: '2',
    Icon: Columns3,
    View: lazyPart(async () => (await import('../views/tiling/TilingView.tsx')).TilingView),
  },
  {
    path: 'zones',
    word: 'Zones',
    also: 'boards places snap',
    digit: '3',
    Icon: LayoutPanelLeft,
    View: lazyPart(async () => (await import('../views/zones/ZonesView.tsx')).ZonesView),
  },
  {
    path: 'rules',
    word: 'Rules',
    also: 'windows apps matching',
    digit: '4',
    Icon: ListOrdered,
    View: lazyPart(async () => (await import('../views/rules/RulesView.tsx')).RulesView),
  },
  {
    path: 'keys',
    word: 'Keys',
    also: 'shortcuts hotkeys bindings keyboard',
    digit: '5',
    Icon: Keyboard,
    View: lazyPart(async () => (await import('../views/keys/KeysView.tsx')).KeysView),
  },
  {
    path: 'rehearse',
    word: 'Rehearse',
    also: 'try simulate play',
    digit: '6',
    Icon: Play,
    View: lazyPart(async () => (await import('../views/rehearse/RehearseView.tsx')).RehearseView),
  },
  {
    path: 'trials',
    word: 'Trials',
    also: 'tests checks expectations scenarios compare',
    digit: '7',
    Icon: Flag,
    View: lazyPart(async () => (await import('../views/trials/TrialsView.tsx')).TrialsView),
  },
  {
    path: 'files',
    word: 'Files',
    also: 'text export import backup revisions',
    digit: '8',
    Icon: Files,
    View: lazyPart(async () => (await import('../views/files/FilesView.tsx')).FilesView),
  },
];

/** What stands in no frame. */
export const ProfilesView = lazyPart(
  async () => (await import('../views/profiles/ProfilesView.tsx')).ProfilesView,
);
export const BeginView = lazyPart(
  async () => (await import('../views/begin/BeginView.tsx')).BeginView,
);
