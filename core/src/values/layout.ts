import { z } from 'zod';
import {
  between,
  countField,
  fields,
  idField,
  lengthField,
  listOf,
  oneOf,
  shareField,
  weightField,
} from './fields.ts';

/** Every kind of layout, in the order in which they are shown. */
export const LAYOUT_KINDS = [
  'lead',
  'middle',
  'columns',
  'rows',
  'grid',
  'halving',
  'split',
  'single',
  'cascade',
  'board',
  'free',
] as const;
export type LayoutKind = (typeof LAYOUT_KINDS)[number];

export const SIDES = ['left', 'right', 'top', 'bottom'] as const;
export type Side = (typeof SIDES)[number];
export const AXES = ['x', 'y'] as const;
export const FIRST_AXES = ['x', 'y', 'long'] as const;
export type FirstAxis = (typeof FIRST_AXES)[number];
export const TURNS = ['zigzag', 'inward'] as const;
export const STRIPS = ['none', 'tabs', 'list'] as const;
/** What becomes of windows that find every zone taken: they share the last, lie beneath it, or float. */
export const WHEN_FULL = ['share', 'stack', 'float'] as const;
export type WhenFull = (typeof WHEN_FULL)[number];

const trackFields = {
  weights: listOf(weightField, 'weights').exactOptional(),
  max: countField.exactOptional(),
};

/**
 * A layout as set somewhere: its kind and those of its parameters that are set there. What is left out
 * comes from a farther place, or from the layout's defaults.
 */
export const layoutSchema = z.discriminatedUnion(
  'kind',
  [
    fields({
      kind: z.literal('lead'),
      side: oneOf(SIDES).exactOptional(),
      leadCount: countField.exactOptional(),
      leadShare: shareField.exactOptional(),
    }),
    fields({
      kind: z.literal('middle'),
      axis: oneOf(AXES).exactOptional(),
      leadCount: countField.exactOptional(),
      leadShare: shareField.exactOptional(),
    }),
    fields({ kind: z.literal('columns'), ...trackFields }),
    fields({ kind: z.literal('rows'), ...trackFields }),
    fields({
      kind: z.literal('grid'),
      cellAspect: between(0.05, 20, 'width divided by height,').exactOptional(),
    }),
    fields({
      kind: z.literal('halving'),
      share: shareField.exactOptional(),
      firstAxis: oneOf(FIRST_AXES).exactOptional(),
      turn: oneOf(TURNS).exactOptional(),
    }),
    fields({ kind: z.literal('split') }),
    fields({
      kind: z.literal('single'),
      strip: oneOf(STRIPS).exactOptional(),
      /** Height of a tab, or of a line of the list, in logical pixels. */
      stripSize: lengthField.min(1, { error: 'logical pixels from 1 to 10000' }).exactOptional(),
    }),
    fields({
      kind: z.literal('cascade'),
      share: shareField.exactOptional(),
      /** By how much each window is moved from the one before, in logical pixels. */
      step: lengthField.exactOptional(),
    }),
    fields({
      kind: z.literal('board'),
      /** The first board that fits the monitor where left out. */
      board: idField.exactOptional(),
      whenFull: oneOf(WHEN_FULL).exactOptional(),
    }),
    fields({ kind: z.literal('free') }),
  ],
  { error: `a layout whose kind is one of ${LAYOUT_KINDS.join(', ')}` },
);

export type LayoutSetting = z.output<typeof layoutSchema>;
type SettingOf<K extends LayoutKind> = Extract<LayoutSetting, { kind: K }>;
type FieldOf<T> = T extends T ? keyof T : never;
export type LayoutField = FieldOf<LayoutSetting>;

/** A layout with every parameter decided. */
export type LeadLayout = Required<SettingOf<'lead'>>;
export type MiddleLayout = Required<SettingOf<'middle'>>;
export type TracksLayout = SettingOf<'columns' | 'rows'> & { weights: readonly number[] };
export type GridLayout = Required<SettingOf<'grid'>>;
export type HalvingLayout = Required<SettingOf<'halving'>>;
export type SplitLayout = SettingOf<'split'>;
export type SingleLayout = Required<SettingOf<'single'>>;
export type CascadeLayout = Required<SettingOf<'cascade'>>;
export type BoardLayout = SettingOf<'board'> & { whenFull: WhenFull };
type FreeLayout = SettingOf<'free'>;
export type Layout =
  | LeadLayout
  | MiddleLayout
  | TracksLayout
  | GridLayout
  | HalvingLayout
  | SplitLayout
  | SingleLayout
  | CascadeLayout
  | BoardLayout
  | FreeLayout;
