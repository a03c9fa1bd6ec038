import type { Profile } from '@sorn/core/model';
import type { CSSProperties } from 'react';
import { contrast, LEAST_CONTRAST } from '../ui/contrast.ts';
import { FILLS, type DayNight } from '../ui/fills.ts';

type Hue = Profile['look']['focusFrame']['hue'];

/** What a focused window is filled with, tiled and floating: the frame stands on it. */
const UNDER_FRAME = [FILLS.focused, FILLS.sheet];

/** True where a hue is a colour of the person's own and not one of the page's. */
export function isOwnColour(hue: Hue): boolean {
  return hue.startsWith('#');
}

/** Gives an element the colour of the focus frame, for the styles of the sheet. */
export function frameStyle(hue: Hue): CSSProperties {
  const colour = isOwnColour(hue) ? hue : `var(--sorn-colors-${hue})`;
  return { '--frame': colour } as CSSProperties;
}

/** What a person typed as a colour, as #rrggbb: of three or six digits, with their mark or without. Null where it is none. */
export function typedColour(text: string): string | null {
  const digits = /^#?([\da-f]{3}|[\da-f]{6})$/i.exec(text.trim())?.[1]?.toLowerCase();
  if (digits === undefined) return null;
  return `#${digits.length === 3 ? digits.replace(/./g, '$&$&') : digits}`;
}

/** How well a colour of one's own is seen on focused windows, by day and by night: the least ratio of each. */
function frameContrast(colour: string): Record<keyof DayNight, number> {
  const least = (when: keyof DayNight) =>
    Math.min(...UNDER_FRAME.map((fill) => contrast(colour, fill[when])));
  return { day: least('day'), night: least('night') };
}

/** Says when a colour of one's own is hard to see, with its ratio; null where it is seen by day and by night. */
export function frameWarning(colour: string): string | null {
  const ratios = frameContrast(colour);
  const faint = (['day', 'night'] as const).filter((when) => ratios[when] < LEAST_CONTRAST);
  if (faint.length === 0) return null;
  // Rounded down: a ratio just under the limit must not read as the limit.
  const text = (when: keyof DayNight) => `${Math.floor(ratios[when] * 10) / 10} : 1 by ${when}`;
  return `Hard to see: ${faint.map(text).join(', ')}. A frame needs ${LEAST_CONTRAST} : 1.`;
}
