import { z } from 'zod';
import { countField, fields, listOf, oneOf, shareField, weightField } from './fields.ts';

export const SIDES = ['left', 'right', 'top', 'bottom'] as const;
export type Side = (typeof SIDES)[number];

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
      kind: z.literal('columns'),
      weights: listOf(weightField, 'weights').exactOptional(),
      max: countField.exactOptional(),
    }),
  ],
  { error: 'a layout whose kind is lead or columns' },
);

export type LayoutSetting = z.output<typeof layoutSchema>;
export type LayoutKind = LayoutSetting['kind'];

/** A layout with every parameter decided. */
export type LeadLayout = Required<Extract<LayoutSetting, { kind: 'lead' }>>;
export type ColumnsLayout = Extract<LayoutSetting, { kind: 'columns' }> & {
  weights: readonly number[];
};
export type Layout = LeadLayout | ColumnsLayout;
