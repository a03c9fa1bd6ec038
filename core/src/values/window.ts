import { z } from 'zod';
import { between, fields, flagField, neededText, sizeField, whole } from './fields.ts';

export const KINDS = ['normal', 'dialog', 'utility'] as const;
export const HELD = ['tiled', 'floating', 'pocketed', 'left-alone'] as const;
export type Held = (typeof HELD)[number];
/** Where a window that opens stands in the order. */
export const NEW_WINDOWS = ['lead', 'end', 'after-focused'] as const;
export type NewWindows = (typeof NEW_WINDOWS)[number];

/** What connected monitors do together. One: only one of them is lit. */
export const MODES = ['extend', 'mirror', 'one'] as const;
export type Mode = (typeof MODES)[number];

/** What arrows do to the window being shaped. */
export const SHAPING = ['size', 'move', 'grow', 'exchange'] as const;
export type Shaping = (typeof SHAPING)[number];

const TITLE = 'text of at most 20000 characters';
/** The title of a window, which is its app's to choose. */
export const titleField = z.string({ error: TITLE }).max(20_000, { error: TITLE });

/** What a window says of its own size, in logical pixels. */
export const hintFields = {
  min: sizeField.exactOptional(),
  max: sizeField.exactOptional(),
  increment: sizeField.exactOptional(),
  base: fields({ width: whole(0, 100_000), height: whole(0, 100_000) }).exactOptional(),
  aspect: z
    .union([between(0.01, 100), sizeField], {
      error: 'width divided by height, or {width, height}',
    })
    .exactOptional(),
  resizable: flagField.exactOptional(),
  preferred: sizeField.exactOptional(),
  wanted: fields({
    width: whole(1, 100_000).exactOptional(),
    height: whole(1, 100_000).exactOptional(),
  }).exactOptional(),
};

const WHICH_MONITOR =
  'the id or name of a monitor, a pattern with * or ?, or a role such as widest';
/** A monitor by its id or name (also a pattern with * and ?), or by a role that some monitor has on any desk. */
export const whichMonitorField = neededText(WHICH_MONITOR);
