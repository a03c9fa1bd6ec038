import { describe } from 'vitest';
import { fixture } from '../desk/fixture.ts';
import { checkScreens, type Screen } from '../desk/screens.ts';

const running = fixture({ demo: true });

const SCREENS: readonly Screen[] = [
  {
    name: 'Rehearse in a layer of keys',
    path: '/bulletin-desk/rehearse',
    keys: ['Enter', 'Meta+Insert'],
  },
  { name: 'Rehearse', path: '/bulletin-desk/rehearse', keys: [] },
  {
    name: 'Rehearse with a crowd, the sheet with the keyboard',
    path: '/bulletin-desk/rehearse',
    keys: ['i', 'm', 'c', 'w', 'Enter', 'Meta+BracketRight', 'Meta+KeyT'],
  },
  {
    name: 'Rehearse with a list over the sheet',
    path: '/bulletin-desk/rehearse',
    keys: ['Enter', 'Meta+Slash', 's'],
  },
  {
    name: 'Rehearse while a window is shaped and the engine then paused',
    path: '/bulletin-desk/rehearse',
    keys: ['Enter', 'Meta+Enter', 'ArrowRight', 'Meta+Escape'],
  },
  {
    name: 'Rehearse with places on offer',
    path: '/bulletin-desk/rehearse',
    keys: ['Enter', 'Meta+Control+KeyJ'],
  },
  {
    name: 'Rehearse with a corner pick',
    path: '/bulletin-desk/rehearse',
    keys: ['Enter', 'Meta+Control+KeyH', 'b', 'd'],
  },
  {
    name: 'Rehearse with boards to pick',
    path: '/bulletin-desk/rehearse',
    keys: ['Enter', 'Meta+Control+KeyY', 'b'],
  },
  { name: 'Zones', path: '/bulletin-desk/zones', keys: [']', 'n', 'k'] },
  { name: 'Zones with a board to add', path: '/bulletin-desk/zones', keys: ['b'] },
  { name: 'Tiling by a zone board', path: '/bulletin-desk/zones', keys: ['p', '2'] },
  { name: 'Rehearse in the past', path: '/bulletin-desk/rehearse', keys: ['i', 'm', '[', 'y'] },
  { name: 'all keys', path: '/bulletin-desk/rehearse', keys: ['?'] },
  { name: 'Desk', path: '/bulletin-desk/desk', keys: [']'] },
  { name: 'Workspaces', path: '/bulletin-desk/desk', keys: ['w', 'ArrowDown'] },
  { name: 'Desk with a monitor to add', path: '/bulletin-desk/desk', keys: ['a'] },
  { name: 'cables, desks and modes', path: '/bulletin-desk/desk', keys: ['x'] },
  { name: 'what would happen', path: '/bulletin-desk/desk', keys: ['x', '2'] },
  { name: 'Rehearse in mirror mode', path: '/bulletin-desk/rehearse', keys: ['x', '=', 'Enter'] },
];

describe('every screen of the desk', () => checkScreens(running, SCREENS));
