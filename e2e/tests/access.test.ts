import { describe } from 'vitest';
import { fixture } from '../desk/fixture.ts';
import { checkScreens, type Screen } from '../desk/screens.ts';

const running = fixture({ demo: true });

const SCREENS: readonly Screen[] = [
  { name: 'Tiling', path: '/bulletin-desk/tiling', keys: [] },
  { name: 'Tiling in Columns', path: '/bulletin-desk/tiling', keys: ['ArrowDown', 'p'] },
  { name: 'Rules', path: '/bulletin-desk/rules', keys: [] },
  {
    name: 'Rules with a rule that finds faults, a blank condition and a filter',
    path: '/bulletin-desk/rules',
    keys: ['n', 'u', 'a', 'Escape', '/', 'd', 'u'],
  },
  { name: 'Apps', path: '/bulletin-desk/rules', keys: ['p', 'ArrowDown', 'b'] },
  {
    name: 'Keys with a finding, a search and the use of keys',
    path: '/bulletin-desk/keys',
    keys: ['l', 'm', 'g', 'e', 'v'],
  },
  {
    name: 'keys while they are recorded, in a layer by reach',
    path: '/bulletin-desk/keys',
    keys: ['/', 's', 'a', 'v', 'e', 'Enter', ']', 'v', 'v', 'r'],
  },
  { name: 'layers and bundles of Keys', path: '/bulletin-desk/keys', keys: ['l', 'n', 'u'] },
  { name: 'starters of Keys', path: '/bulletin-desk/keys', keys: ['p', 'ArrowDown'] },
  {
    name: 'devices of Keys, tried',
    path: '/bulletin-desk/keys',
    keys: ['d', 'ArrowDown', 't', 'F8', 'Numpad7', 'Escape'],
  },
  { name: 'suggested keys', path: '/bulletin-desk/keys', keys: ['s', 'v', 'v', 'ArrowDown'] },
  {
    name: 'suggested changes of keys',
    path: '/bulletin-desk/keys',
    keys: ['s', 'w'],
    shows: '[data-change]',
  },
  { name: 'chains and menus', path: '/bulletin-desk/keys', keys: ['j', 'ArrowDown'] },
  {
    name: 'the hold time, proved',
    path: '/bulletin-desk/keys',
    keys: ['l', 'y'],
    shows: '[data-as-holds]',
  },
  {
    name: 'a menu over the sheet',
    path: '/bulletin-desk/rehearse',
    keys: ['Enter', 'Meta+F5'],
    shows: '#menu',
  },
  { name: 'saved states', path: '/bulletin-desk/files', keys: ['w'], shows: '[data-revision]' },
  {
    name: 'the profile as text',
    path: '/bulletin-desk/files',
    keys: ['t', 'Enter', 'x', 'x'],
    shows: '[data-editor]',
  },
  {
    name: 'a file to save',
    path: '/bulletin-desk/files',
    keys: ['e', 'ArrowDown'],
    shows: '[data-file]',
  },
  {
    name: 'a file to bring in',
    path: '/bulletin-desk/files',
    keys: ['i'],
    shows: 'input[type=file]',
  },
  {
    name: 'backups, and one that is asked about',
    path: '/bulletin-desk/files',
    keys: ['b', 'n'],
    shows: '[data-backup]',
  },
  {
    name: 'starting over',
    path: '/bulletin-desk/files',
    keys: ['o', 'ArrowDown'],
    shows: '[data-part=boards]',
  },
  { name: 'the first question', path: '/begin', keys: ['2'], shows: '[data-card=laptop]' },
  {
    name: 'the question about programs',
    path: '/begin',
    keys: ['Enter', '8'],
    shows: '[data-card=call][aria-checked=true]',
  },
  {
    name: 'the last question',
    path: '/begin',
    keys: ['Enter', 'Enter', 'Enter', '2'],
    shows: '[data-card=inverted-t]',
  },
  { name: 'the key chart', path: '/bulletin-desk/keys', keys: ['c', 'n'] },
  { name: 'settings', path: '/bulletin-desk/tiling', keys: [','] },
  { name: 'findings', path: '/bulletin-desk/tiling', keys: ['!'] },
  { name: 'find anything', path: '/bulletin-desk/tiling', keys: ['Control+k'] },
  { name: 'Profiles', path: '/profiles', keys: [] },
];

describe('every screen of text, and Tiling', () => checkScreens(running, SCREENS));
