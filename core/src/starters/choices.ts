import type { KeyStarterId } from '../model/keys.ts';
import type { LayoutKind } from '../values/layout.ts';

/** A monitor to begin with, before it has a name of its own. */
interface FirstMonitor {
  id: string;
  name: string;
  width: number;
  height: number;
  scale?: number;
  turn?: 90;
  /** Where it stands on the first desk, in physical pixels. */
  x: number;
  y: number;
}

const LAPTOP = { id: 'panel', name: 'Built-in panel', width: 2880, height: 1800, scale: 2 };

/** Which monitors there are: the first question. Sizes and places can be set to the pixel later. */
export const MONITOR_CHOICES = [
  {
    id: 'one',
    title: 'One monitor',
    says: '2560 × 1440',
    monitors: [{ id: 'main', name: 'Main monitor', width: 2560, height: 1440, x: 0, y: 0 }],
  },
  {
    id: 'laptop',
    title: 'A laptop',
    says: '2880 × 1800, twice as fine',
    monitors: [{ ...LAPTOP, x: 0, y: 0 }],
  },
  {
    id: 'wide',
    title: 'One wide monitor',
    says: '3440 × 1440',
    monitors: [{ id: 'wide', name: 'Wide monitor', width: 3440, height: 1440, x: 0, y: 0 }],
  },
  {
    id: 'laptop-below',
    title: 'A monitor, and a laptop below',
    says: '2560 × 1440 and 2880 × 1800',
    monitors: [
      { id: 'main', name: 'Main monitor', width: 2560, height: 1440, x: 0, y: 0 },
      { ...LAPTOP, x: -160, y: 1440 },
    ],
  },
  {
    id: 'two',
    title: 'Two side by side',
    says: 'each 1920 × 1080',
    monitors: [
      { id: 'left', name: 'Left monitor', width: 1920, height: 1080, x: 0, y: 0 },
      { id: 'right', name: 'Right monitor', width: 1920, height: 1080, x: 1920, y: 0 },
    ],
  },
  {
    id: 'three',
    title: 'Wide, a turned one, and a laptop',
    says: '3440 × 1440, 1440 × 2560, 2880 × 1800',
    monitors: [
      { id: 'wide', name: 'Wide monitor', width: 3440, height: 1440, x: 0, y: 0 },
      {
        id: 'turned',
        name: 'Turned monitor',
        width: 1440,
        height: 2560,
        turn: 90,
        x: 3440,
        y: -560,
      },
      { ...LAPTOP, x: 280, y: 1440 },
    ],
  },
] as const satisfies readonly {
  id: string;
  title: string;
  says: string;
  monitors: readonly FirstMonitor[];
}[];

/** How windows are arranged: the second question. */
export const ARRANGEMENT_CHOICES: readonly { kind: LayoutKind; says: string }[] = [
  { kind: 'lead', says: 'one large window, the rest beside it' },
  { kind: 'middle', says: 'the large one in the middle' },
  { kind: 'columns', says: 'side by side' },
  { kind: 'grid', says: 'all of a size' },
  { kind: 'halving', says: 'each takes half of what is left' },
  { kind: 'board', says: 'places that you draw' },
  { kind: 'single', says: 'one fills all, the others behind it' },
  { kind: 'free', says: 'where you put them' },
];

/** Which hand moves focus and windows: the third question. */
export const HAND_CHOICES: readonly { id: KeyStarterId; title: string; says: string }[] = [
  { id: 'whole', title: 'The right, on the arrows', says: 'hand off the letters' },
  { id: 'inverted-t', title: 'The right, in an inverted T', says: 'I above J K L' },
  { id: 'inverted-t-left', title: 'The left', says: 'E above S D F, the right stays where it is' },
  { id: 'number-pad', title: 'The right, on the number pad', says: 'each digit is a zone' },
];

export type MonitorChoice = (typeof MONITOR_CHOICES)[number]['id'];
