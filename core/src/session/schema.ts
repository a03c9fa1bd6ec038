import { z } from 'zod';
import {
  countField,
  fields,
  idField,
  listOf,
  oneOf,
  rectField,
  shareField,
  textField,
  weightField,
} from '../profile/fields.ts';
import { AXES, FIRST_AXES, LAYOUT_KINDS, layoutSchema, SIDES } from '../profile/layout.ts';
import { HELD, hintFields, KINDS } from '../profile/schema.ts';

/** Windows a session may hold, and ids a list of them. */
const MOST = 10_000;

/** A window as a session file may give it; the engine fills in where it is. */
export const windowSchema = fields({
  id: idField,
  app: idField.exactOptional(),
  title: textField.exactOptional(),
  kind: oneOf(KINDS).default('normal'),
  /** The window this one stands over. */
  parent: idField.exactOptional(),
  held: oneOf(HELD).default('tiled'),
  monitor: idField.exactOptional(),
  workspace: idField.exactOptional(),
  /** Where it stands while it is not in a tile, in physical pixels of the joint desktop. */
  standing: rectField.exactOptional(),
  ...hintFields,
});
export type WindowInput = z.output<typeof windowSchema>;

/** A parameter of a layout moved by key; it wins over the profile until it is reset or edited there. */
const adjustedSchema = fields({
  side: oneOf(SIDES).exactOptional(),
  axis: oneOf(AXES).exactOptional(),
  firstAxis: oneOf(FIRST_AXES).exactOptional(),
  leadCount: countField.exactOptional(),
  leadShare: shareField.exactOptional(),
  /** Sizes of the parts of a split, on average 1, by the split's name. */
  weights: z
    .record(idField, listOf(weightField, 'weights', MOST), { error: 'weights by split name' })
    .exactOptional(),
});
export type Adjusted = z.output<typeof adjustedSchema>;

/** How a workspace is arranged on a monitor. */
const arrangementSchema = fields({
  /** Windows in their order, tiled or not. */
  order: listOf(idField, 'window ids', MOST),
  /** A layout chosen by key. */
  layout: layoutSchema.exactOptional(),
  /** Adjustments, by kind of layout. */
  adjusted: z
    .partialRecord(oneOf(LAYOUT_KINDS), adjustedSchema, {
      error: 'adjustments by kind of layout',
    })
    .exactOptional(),
});
export type Arrangement = z.output<typeof arrangementSchema>;

const holdingSchema = windowSchema.pick({
  held: true,
  workspace: true,
  monitor: true,
  standing: true,
});

/** What one step changed, as it was on the other side of it. An arrangement not there then is an empty order. */
const stepSchema = fields({
  command: idField,
  windows: z.record(idField, holdingSchema, { error: 'windows by id' }),
  arrangements: z.record(z.string(), arrangementSchema, { error: 'arrangements by place' }),
  shown: z.record(idField, idField, { error: 'workspaces by monitor' }),
  focus: idField.exactOptional(),
  focusMonitor: idField,
});
export type Step = z.output<typeof stepSchema>;

/**
 * A session as kept in a file. Only `windows` need be there; the rest is what a running desk remembers
 * between two visits.
 */
export const sessionSchema = fields({
  windows: listOf(windowSchema, 'windows', MOST).default([]),
  focus: idField.exactOptional(),
  desk: idField.exactOptional(),
  connected: listOf(idField, 'monitor ids', 32)
    .min(1, { error: 'at least one monitor id' })
    .exactOptional(),
  focusMonitor: idField.exactOptional(),
  shown: z.record(idField, idField, { error: 'workspaces by monitor' }).default({}),
  /** The workspace each monitor showed before the present one. */
  shownBefore: z.record(idField, idField, { error: 'workspaces by monitor' }).exactOptional(),
  /** By "workspace/monitor". */
  arrangements: z
    .record(z.string(), arrangementSchema, { error: 'arrangements by "workspace/monitor"' })
    .default({}),
  /** Windows, most recently focused first. */
  recent: listOf(idField, 'window ids', MOST).default([]),
  /** How many windows of each app were ever opened. */
  opened: z.record(idField, z.int().min(0), { error: 'counts by app' }).default({}),
  past: listOf(stepSchema, 'steps').default([]),
  future: listOf(stepSchema, 'steps').default([]),
}).superRefine((session, context) => {
  const seen = new Set<string>();
  session.windows.forEach((window, i) => {
    if (seen.has(window.id)) {
      context.addIssue({
        code: 'custom',
        path: ['windows', i, 'id'],
        message: 'an id that no other window has',
      });
    }
    seen.add(window.id);
  });
  if (session.focus !== undefined && !seen.has(session.focus)) {
    context.addIssue({
      code: 'custom',
      path: ['focus'],
      message: 'the id of one of the windows',
    });
  }
});

export type SessionInput = z.output<typeof sessionSchema>;
