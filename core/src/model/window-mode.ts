import { z } from 'zod';
import { fields } from '../values/fields.ts';

/** What a window can be beside its place, the later over the earlier: the last that holds is what is seen. */
const WINDOW_MODES = ['maximised', 'full-screen', 'minimised'] as const;
export type WindowModeName = (typeof WINDOW_MODES)[number];

const maximisedField = fields({ as: z.literal('maximised') });
const fullScreenField = fields({
  as: z.literal('full-screen'),
  over: maximisedField.exactOptional(),
});
const LARGE = { error: 'maximised or full-screen' };
const minimisedField = fields({
  as: z.literal('minimised'),
  over: z.discriminatedUnion('as', [maximisedField, fullScreenField], LARGE).exactOptional(),
});

/** How a window is beside its place, and in `over` what it is again when that is over; without one it is in its place. */
export const modeField = z.discriminatedUnion(
  'as',
  [maximisedField, fullScreenField, minimisedField],
  { error: 'maximised, full-screen or minimised' },
);
type WindowMode = z.output<typeof modeField>;

interface Moded {
  mode?: WindowMode;
}

/** True where a window is so, also beneath another mode. */
export function isIn({ mode }: Moded, name: WindowModeName): boolean {
  let at: { as: WindowModeName; over?: WindowMode } | undefined = mode;
  for (; at && at.as !== name; at = at.over);
  return at !== undefined;
}

/** How a window is seen; null where it is in its place. */
export function modeOf({ mode }: Moded): WindowModeName | null {
  return mode?.as ?? null;
}

/** How large a window is, in sight or not: null where it has its place. */
export function largenessOf({ mode }: Moded): 'maximised' | 'full-screen' | null {
  const large = mode?.as === 'minimised' ? mode.over : mode;
  return large?.as ?? null;
}

/** A window with one of its modes on or off. The others stay as they are, each over those before it. */
export function withMode<W extends Moded>(window: W, name: WindowModeName, isOn: boolean): W {
  const { mode: _former, ...rest } = window;
  let mode: WindowMode | undefined;
  for (const each of WINDOW_MODES) {
    if (each === name ? !isOn : !isIn(window, each)) continue;
    mode = { as: each, ...(mode && { over: mode }) } as WindowMode;
  }
  return { ...rest, ...(mode && { mode }) } as W;
}

/** A window no larger than its place; minimised it stays. */
export function withoutLargeness<W extends Moded>(window: W): W {
  if (largenessOf(window) === null) return window;
  return withMode(withMode(window, 'maximised', false), 'full-screen', false);
}
