import { z } from 'zod';
import { byShape, fields, flagField, listOf, oneOf, whole } from './fields.ts';

const SHARE = 'a share above 0 and below 1, such as 0.4 or "2/3"';
const FRACTION = /^(\d{1,4})\/(\d{1,4})$/;

/** A share that may be written as a fraction, so that a third stays a third in the file. */
const fractionField = z
  .union([z.number(), z.string().regex(FRACTION, { error: SHARE })], { error: SHARE })
  .refine(
    (share) => {
      const value = shareValue(share);
      return value > 0 && value < 1;
    },
    { error: SHARE },
  );
export type Fraction = number | string;

/** A share as a number: 2/3 of "2/3". */
export function shareValue(share: Fraction): number {
  if (typeof share === 'number') return share;
  const [, above, below] = FRACTION.exec(share) ?? [];
  return Number(above) / Number(below);
}

/** The most columns a corner pick has letters for, and the most rows it has digits for. */
export const MOST_LETTERS = 26;
export const MOST_DIGITS = 9;

/** Shares as a person types them, apart from each other by spaces or commas; what is no number is none that is valid. */
export function rungsIn(text: string): Fraction[] {
  return text
    .split(/[\s,;]+/)
    .filter(Boolean)
    .map((word) => (word.includes('/') ? word : Number(word)));
}

/** The most rungs of a ladder. */
const MOST_RUNGS = 20;
/** Shares that repeated presses of one key step through. */
export const rungsField = listOf(fractionField, 'shares', MOST_RUNGS);

const cellsField = fields({
  from: whole(1, 200),
  to: whole(1, 200),
  of: whole(1, 200),
}).refine(({ from, to, of }) => from <= to && to <= of, {
  error: '{from, to, of}: cells counted from 1, from not after to, to not after of',
});

const PLACED_BY = {
  start: fields({ start: fractionField }),
  middle: fields({ middle: fractionField }),
  end: fields({ end: fractionField }),
  from: cellsField,
};
const ALONG = 'full, {start: share}, {middle: share}, {end: share} or {from, to, of}';
const FULL = z.literal('full', { error: ALONG });

/**
 * Where a placed window stands along one axis: over the whole length, over a share of it at its start,
 * in its middle or at its end, or over some of a number of equal cells.
 */
export const alongField = byShape(
  [FULL, ...Object.values(PLACED_BY)],
  (along): z.ZodType<Along> => {
    if (typeof along !== 'object' || along === null) return FULL;
    const named = (Object.keys(PLACED_BY) as (keyof typeof PLACED_BY)[]).find(
      (key) => key in along,
    );
    return named ? (PLACED_BY[named] as z.ZodType<Along>) : (z.never({ error: ALONG }) as never);
  },
);
export type Along =
  | 'full'
  | { start: Fraction }
  | { middle: Fraction }
  | { end: Fraction }
  | { from: number; to: number; of: number };

/**
 * What a placing key does to a window that stands on its side already: the next rung, and after the last one the
 * whole length; the other side; the monitor on that side; or the next rung, and after the last one where the
 * window was before it was placed.
 */
export const ON_REPEAT = ['next-rung', 'other-side', 'next-monitor', 'round'] as const;
/** What a placing key does to a window that stands on the other side. */
export const ON_OPPOSITE = ['other-side', 'full', 'put-back'] as const;

/**
 * Which windows come up together when one of them has the focus: none; those that are where a lineup with a name has
 * them; those placed together last too.
 */
const TOGETHER = ['never', 'lineups', 'last-too'] as const;

const ladderField = rungsField
  .min(1, { error: 'at least one share' })
  .default(['1/2', '1/3', '2/3']);

/** How windows are placed by key, without a layout. */
export const snapSettingsSchema = fields({
  /** The widths and heights that repeated presses of one placing key step through. */
  ladders: fields({ x: ladderField, y: ladderField }).prefault({}),
  onRepeat: oneOf(ON_REPEAT).default('next-rung'),
  onOpposite: oneOf(ON_OPPOSITE).default('other-side'),
  /** Placed and maximised windows keep the gaps of the tiling. */
  gaps: flagField.default(true),
  /** A placing key that is held outlines where the window will land; its release takes it. */
  preview: flagField.default(true),
  /** After a placing, the empty places are offered to the other windows. */
  offers: flagField.default(true),
  /** Windows placed together come up together. */
  together: oneOf(TOGETHER).default('lineups'),
  cornerPick: fields({
    /** Nearly square cells, about fifty of them, where columns or rows are left out. */
    columns: whole(1, MOST_LETTERS).exactOptional(),
    rows: whole(1, MOST_DIGITS).exactOptional(),
    /** It goes on with the next window, until it is ended by key. */
    goOn: flagField.default(false),
  }).prefault({}),
});
export type SnapSettings = z.output<typeof snapSettingsSchema>;

/** A grid over a monitor, with letters along the top and digits down the side. */
export interface CornerGrid {
  columns: number;
  rows: number;
}
