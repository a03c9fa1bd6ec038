import { z } from 'zod';
import {
  between,
  fields,
  flagField,
  idField,
  lengthField,
  listOf,
  neededText,
  textField,
  weightField,
  whole,
} from '../values/fields.ts';

const MOST_TRACKS = 200;
const MOST_ZONES = 1_000;

const trackWeights = (what: string) =>
  listOf(weightField, `weights of ${what}`, MOST_TRACKS)
    .min(1, { error: `at least one weight: a board has at least one of its ${what}` })
    .default([1]);

const RANGE = 'the first and the last, counted from 1, such as [1, 2]';
const rangeField = z
  .tuple([whole(1, MOST_TRACKS), whole(1, MOST_TRACKS)], { error: RANGE })
  .refine(([first, last]) => first <= last, { error: RANGE });

/** A named range of a board's cells: the first and last column, the first and last row. */
const zoneSchema = fields({
  name: z.string({ error: 'a name of 1 to 80 characters' }).regex(/^(?!\s)[^\n]{1,80}(?<!\s)$/, {
    error: 'a name of 1 to 80 characters, without a space at its ends',
  }),
  columns: rangeField,
  rows: rangeField,
});
export type Zone = z.output<typeof zoneSchema>;

/** The shape of work area that a board is for; all that is said must hold. */
const boardShapeSchema = fields({
  /** Width divided by height is at least this. */
  leastAspect: between(0.05, 20, 'width divided by height,').exactOptional(),
  /** True: higher than wide. False: at least as wide as high. */
  turned: flagField.exactOptional(),
  /** In logical pixels. */
  leastWidth: lengthField.exactOptional(),
  /** A monitor by id, name, pattern or role. */
  monitor: neededText('a monitor').exactOptional(),
});
export type ZoneBoardShape = z.output<typeof boardShapeSchema>;

/** A drawing of zones over weighted columns and rows, made for a shape of work area. */
export const zoneBoardSchema = fields({
  id: idField,
  name: textField.exactOptional(),
  columns: trackWeights('columns'),
  rows: trackWeights('rows'),
  /** In the order in which windows fill them; a later one lies over an earlier one. */
  zones: listOf(zoneSchema, 'zones', MOST_ZONES).default([]),
  for: boardShapeSchema.prefault({}),
}).superRefine(({ columns, rows, zones }, context) => {
  const names = new Set<string>();
  const fault = (path: (string | number)[], message: string) =>
    context.addIssue({ code: 'custom', path: ['zones', ...path], message });
  zones.forEach((zone, i) => {
    if (names.has(zone.name)) fault([i, 'name'], 'a name that no other zone of this board has');
    names.add(zone.name);
    const inside = (what: 'columns' | 'rows', count: number) => {
      if (zone[what][1] > count)
        fault([i, what], `${what} from 1 to ${count}, for the board has no more`);
    };
    inside('columns', columns.length);
    inside('rows', rows.length);
  });
});
export type ZoneBoard = z.output<typeof zoneBoardSchema>;
