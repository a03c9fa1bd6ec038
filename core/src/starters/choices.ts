import type { Rect, Size } from '../geometry/rect.ts';
import { millimetresOf } from '../desk/screen-size.ts';
import type { KeyStarterId } from '../model/keys.ts';
import type { LayoutKind } from '../values/layout.ts';
import type { CommonScreen, ScreenForm } from './screens.ts';

/** A monitor to begin with, and where it stands: in the middle of that side of one before it. */
interface ChoiceMonitor {
  id: string;
  name: string;
  form: ScreenForm;
  isTurned?: true;
  at?: { side: 'right' | 'below'; of: number };
}

const LAPTOP = { id: 'panel', name: 'Built-in panel', form: 'laptop' } as const;

/** Which monitors there are: the first question. Sizes and places can be set to the pixel later. */
export const MONITOR_CHOICES = [
  {
    id: 'one',
    title: 'One monitor',
    monitors: [{ id: 'main', name: 'Main monitor', form: 'monitor' }],
  },
  { id: 'laptop', title: 'A laptop', monitors: [LAPTOP] },
  {
    id: 'wide',
    title: 'One wide monitor',
    monitors: [{ id: 'wide', name: 'Wide monitor', form: 'wide' }],
  },
  {
    id: 'laptop-below',
    title: 'A laptop, a monitor above',
    monitors: [
      { id: 'main', name: 'Main monitor', form: 'monitor' },
      { ...LAPTOP, at: { side: 'below', of: 0 } },
    ],
  },
  {
    id: 'two',
    title: 'Two side by side',
    monitors: [
      { id: 'left', name: 'Left monitor', form: 'monitor' },
      { id: 'right', name: 'Right monitor', form: 'monitor', at: { side: 'right', of: 0 } },
    ],
  },
  {
    id: 'three',
    title: 'Wide, a turned one, and a laptop',
    monitors: [
      { id: 'wide', name: 'Wide monitor', form: 'wide' },
      {
        id: 'turned',
        name: 'Turned monitor',
        form: 'monitor',
        isTurned: true,
        at: { side: 'right', of: 0 },
      },
      { ...LAPTOP, at: { side: 'below', of: 0 } },
    ],
  },
] as const satisfies readonly {
  id: string;
  title: string;
  monitors: readonly ChoiceMonitor[];
}[];
export type MonitorChoice = (typeof MONITOR_CHOICES)[number]['id'];

/** The screens a person has, by form. */
export type Screens = Readonly<Record<ScreenForm, CommonScreen>>;

/** A monitor of the first desk. */
export interface FirstMonitor extends Rect {
  id: string;
  name: string;
  screen: CommonScreen;
  turn: 0 | 90;
  /** Where it stands as seen on the table, in millimetres; x, y, width and height are physical pixels. */
  seen: Rect;
}

/** The monitors of a choice where they stand, in pixels and as seen. */
export function firstMonitors(choice: MonitorChoice, screens: Screens): FirstMonitor[] {
  const monitors: readonly ChoiceMonitor[] = MONITOR_CHOICES.find(
    ({ id }) => id === choice,
  )!.monitors;
  const turned = ({ width, height }: Size, { isTurned }: ChoiceMonitor): Size =>
    isTurned ? { width: height, height: width } : { width, height };
  const pixels = standing(monitors, (each) => turned(screens[each.form], each));
  const seen = standing(monitors, (each) => {
    const screen = screens[each.form];
    return turned(millimetresOf(screen.inches, screen), each);
  });
  return monitors.map(({ id, name, form, isTurned }, i) => ({
    id,
    name,
    screen: screens[form],
    turn: isTurned ? 90 : 0,
    ...pixels[i]!,
    seen: seen[i]!,
  }));
}

/** Where monitors of some sizes stand, by which side of which other each is at. */
function standing(
  monitors: readonly ChoiceMonitor[],
  sizeOf: (monitor: ChoiceMonitor) => Size,
): Rect[] {
  const rects: Rect[] = [];
  for (const monitor of monitors) {
    const { width, height } = sizeOf(monitor);
    const { side, of } = monitor.at ?? { side: null, of: 0 };
    const beside = rects[of] ?? { x: 0, y: 0, width, height: 0 };
    const [x, y] =
      side === 'right'
        ? [beside.x + beside.width, beside.y + Math.round((beside.height - height) / 2)]
        : [beside.x + Math.round((beside.width - width) / 2), beside.y + beside.height];
    rects.push({ x, y, width, height });
  }
  return rects;
}

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
