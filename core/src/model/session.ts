import { AXES } from '../values/layout-parameters.ts';
import { z } from 'zod';
import {
  between,
  fields,
  flagField,
  idField,
  listOf,
  neededText,
  oneOf,
  textField,
  weightField,
} from '../values/fields.ts';
import { LAYOUT_KINDS, layoutSchema, MOVED_BY_KEY } from '../values/layout.ts';
import { HELD, hintFields, KINDS, MODES, titleField, type Held } from '../values/window.ts';
import type { HandTree } from './hand-tree.ts';
import { interactionField } from './interaction.ts';
import { migratedSession, migratedWindow } from './migrate.ts';
import { modeField } from './window-mode.ts';
import { identityFields } from './identity.ts';
import { inZonesField, lineupFields, snapField, floatingRectField } from './session-snap.ts';
import { ruledField } from './session-ruling.ts';

/** Windows a session may hold, and ids a list of them. */
const MOST = 10_000;

/** With `alone`, all others here floated already when it left its tile by itself: it goes back by itself. */
const liftedField = fields({
  standing: floatingRectField.exactOptional(),
  alone: z.literal(true, { error: 'true' }).exactOptional(),
});

/** How a window is held and where: what commands change of it, and undo puts back. */
const holdingFields = {
  held: oneOf(HELD).default('tiled'),
  monitor: idField.exactOptional(),
  workspace: idField.exactOptional(),
  /** The monitor it returns to when that is connected again, where monitors share their workspaces. */
  away: idField.exactOptional(),
  /** Where it stands while it is not in a tile. */
  standing: floatingRectField.exactOptional(),
  /** The person moved it there. */
  moved: flagField.exactOptional(),
  stayAbove: flagField.exactOptional(),
  /** On every workspace of its monitor. */
  everywhere: flagField.exactOptional(),
  /**
   * It left its tile only while it stays above, is everywhere, or all windows float, and goes back after;
   * with it, where it stood when it floated before.
   */
  lifted: liftedField.exactOptional(),
  /** Where it stood when it was lifted the last time, by itself and with all others. */
  liftedAt: floatingRectField.exactOptional(),
  afloatAt: floatingRectField.exactOptional(),
  placing: snapField.exactOptional(),
  /** How it was held before float put it into its tile, where that was more than floating. */
  untiled: fields({
    held: oneOf(HELD),
    standing: floatingRectField.exactOptional(),
    stayAbove: flagField.exactOptional(),
    everywhere: flagField.exactOptional(),
    lifted: liftedField.exactOptional(),
    placing: snapField.exactOptional(),
  }).exactOptional(),
  mode: modeField.exactOptional(),
  /** Where a pocketed window was, and how it was held there. Kept while it is called back elsewhere. */
  pocketedFrom: fields({
    workspace: idField,
    monitor: idField,
    away: idField.exactOptional(),
    held: oneOf(HELD),
    standing: floatingRectField.exactOptional(),
    lifted: liftedField.exactOptional(),
    placing: snapField.exactOptional(),
  }).exactOptional(),
};

/** A window as a session file may give it; the engine fills in where it is. */
const wholeWindowSchema = fields({
  id: idField,
  app: idField.exactOptional(),
  title: titleField.exactOptional(),
  kind: oneOf(KINDS).default('normal'),
  /** The window this one stands over. */
  parent: idField.exactOptional(),
  ...holdingFields,
  /** Left out: as the rules say, else tiled. */
  held: oneOf(HELD).exactOptional(),
  /** What rules decided of it, and when. */
  ruled: ruledField.exactOptional(),
  ...hintFields,
});
/** A window of any version so far. */
export const windowSchema = z.preprocess(migratedWindow, wholeWindowSchema);
export type WindowInput = z.output<typeof windowSchema>;

/** A parameter of a layout moved by key; it wins over the profile until it is reset or edited there. */
const adjustedSchema = fields({
  ...MOVED_BY_KEY,
  /** Sizes of parts that were moved by key, on average 1, by the name of their split. */
  moved: z
    .record(idField, listOf(weightField, 'weights', MOST), { error: 'weights by split name' })
    .exactOptional(),
});
export type Adjusted = z.output<typeof adjustedSchema>;

const adjustedByKind = z.partialRecord(oneOf(LAYOUT_KINDS), adjustedSchema, {
  error: 'adjustments by kind of layout',
});

const PART = 'a window id, or the place of a later split in the list';
const handSplitSchema = fields({
  axis: oneOf(AXES),
  weights: listOf(weightField, 'weights', MOST),
  children: listOf(z.union([idField, z.int().min(1)], { error: PART }), 'parts', MOST).min(2, {
    error: 'at least two parts',
  }),
}).refine(({ weights, children }) => weights.length === children.length, {
  error: 'as many weights as parts',
});
const handTreeSchema: z.ZodType<HandTree> = z.union(
  [
    idField,
    listOf(handSplitSchema, 'splits', MOST)
      .min(1, { error: 'at least one split' })
      .refine(isOneTree, { error: 'each split after the first once within an earlier one' }),
  ],
  { error: 'a window id, or a list of splits with axis, weights and children' },
);

/** True where the splits of a list make one tree, the first being the outermost. */
function isOneTree(splits: readonly { children: readonly (string | number)[] }[]): boolean {
  const within = new Set<number>();
  return (
    splits.every(({ children }, at) =>
      children.every((child) => {
        if (typeof child === 'string') return true;
        const isFirst = child > at && child < splits.length && !within.has(child);
        within.add(child);
        return isFirst;
      }),
    ) && within.size === splits.length - 1
  );
}

/** What keys made of the gaps: added to every side of those that are set, in logical pixels, or all off for now. */
const gapsByKeySchema = fields({
  inner: between(-10_000, 10_000, 'logical pixels').exactOptional(),
  outer: between(-10_000, 10_000, 'logical pixels').exactOptional(),
  off: z.literal(true, { error: 'true' }).exactOptional(),
});
export type GapsByKey = z.output<typeof gapsByKeySchema>;

/** How a workspace is arranged on a monitor. */
const arrangementSchema = fields({
  /** Windows in their order, tiled or not. A pocketed one keeps its place while it is called back elsewhere. */
  order: listOf(idField, 'window ids', MOST),
  /** The workspace is on another monitor: this is how it was here, for its return. */
  detached: flagField.exactOptional(),
  /** The tree made by hand. */
  hand: handTreeSchema.exactOptional(),
  /** The zones windows are in, by board and by window. */
  inZones: z
    .record(idField, z.record(idField, inZonesField, { error: 'zones by window' }), {
      error: 'zones by board and window',
    })
    .exactOptional(),
  /** The window that swap-with-lead took the place of: from the lead, it takes it back. */
  leadBefore: idField.exactOptional(),
  /** How the next window that opens divides this one. */
  divides: fields({ window: idField, axis: oneOf(AXES) }).exactOptional(),
  /** All windows float for the time being. */
  afloat: flagField.exactOptional(),
  /** A layout chosen by key. */
  layout: layoutSchema.exactOptional(),
  /** Adjustments, by kind of layout. */
  adjusted: adjustedByKind.exactOptional(),
  gaps: gapsByKeySchema.exactOptional(),
});
export type Arrangement = z.output<typeof arrangementSchema>;

/** A lineup: windows and places, and how the layout was. */
const togetherSchema = fields({
  ...lineupFields,
  layout: layoutSchema.exactOptional(),
  adjusted: adjustedByKind.exactOptional(),
  hand: handTreeSchema.exactOptional(),
});
export type LastLineup = z.output<typeof togetherSchema>;
const lineupSchema = fields({
  name: neededText('a name of 1 to 400 characters'),
  ...togetherSchema.shape,
});
export type Lineup = z.output<typeof lineupSchema>;

export const HOLDING_FIELDS = keysOf(holdingFields);
const holdingSchema = z.preprocess(migratedWindow, fields(holdingFields));

/** A workspace made in the session, or put on a monitor by key. */
const madeSchema = fields({
  id: idField,
  monitor: idField,
  /** It was there because its monitor had no other. */
  byItself: flagField.exactOptional(),
});

/** What of a session as a whole commands change and undo puts back. */
const listFields = {
  /** Pocketed windows, the most recent last. */
  pocket: listOf(idField, 'window ids', MOST).exactOptional(),
  /** Minimised windows, the most recent last. */
  minimised: listOf(idField, 'window ids', MOST).exactOptional(),
  /** Workspaces that are there beside the profile's. */
  workspacesMade: listOf(madeSchema, 'workspaces').exactOptional(),
  /** Windows saved with their places under a name. */
  lineups: listOf(lineupSchema, 'lineups').exactOptional(),
  /** The profile's workspaces that are closed for now. */
  workspacesClosed: listOf(idField, 'workspaces').exactOptional(),
};
/** What decides which monitors there are, and where workspaces are at home. */
const connectionFields = {
  desk: idField.exactOptional(),
  /** Chosen by key; the desk's own mode where left out. */
  mode: oneOf(MODES).exactOptional(),
  /** The monitor that is lit in the mode `one`. */
  only: idField.exactOptional(),
  /** Workspaces put on a monitor by key: it is their home. */
  workspacesPut: listOf(madeSchema, 'workspaces').exactOptional(),
};
export const CONNECTION_FIELDS = ['connected', 'unplugged', ...keysOf(connectionFields)] as const;

export const LIST_FIELDS = keysOf(listFields);

function keysOf<T extends object>(shape: T): (keyof T)[] {
  return Object.keys(shape) as (keyof T)[];
}

/** A connected device that tells who it is. */
const deviceSchema = fields({ name: textField.exactOptional(), ...identityFields });
/** Monitors by id, or as devices by which the profile knows them. Empty: none is connected. */
export const connectedField = listOf(
  z.union([idField, deviceSchema], {
    error: 'a monitor id, or a device with maker, model, serial and name',
  }),
  'monitors',
  32,
);

/** What one step changed, as it was on the other side of it. An arrangement not there then is an empty order. */
const stepSchema = fields({
  command: idField,
  windows: z.record(idField, holdingSchema, { error: 'windows by id' }),
  arrangements: z.record(z.string(), arrangementSchema, { error: 'arrangements by place' }),
  shown: z.record(idField, idField, { error: 'workspaces by monitor' }),
  ...listFields,
  /** What was connected, and how; only where the step changed it. Windows follow by themselves. */
  connection: fields({
    ...connectionFields,
    connected: listOf(idField, 'monitor ids', 32).exactOptional(),
    unplugged: flagField.exactOptional(),
  }).exactOptional(),
  focus: idField.exactOptional(),
  focusMonitor: idField,
});
export type UndoStep = z.output<typeof stepSchema>;

const standingFields = {
  windows: listOf(windowSchema, 'windows', MOST).default([]),
  focus: idField.exactOptional(),
  ...connectionFields,
  /** All that the desk has where left out. */
  connected: connectedField.exactOptional(),
  /** No monitor is connected: the session waits as it is. */
  unplugged: flagField.exactOptional(),
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
  /** The same, the topmost first, where a click gave the focus and did not raise: left out where that is one order. */
  depths: listOf(idField, 'window ids', MOST).exactOptional(),
  ...listFields,
  /** All monitors are switched from workspace to workspace together. */
  joined: flagField.exactOptional(),
  /** The engine is paused: where every window stood then, and which opened since. */
  paused: fields({
    standing: z.record(idField, floatingRectField, { error: 'rectangles by window' }),
    opened: listOf(idField, 'window ids', MOST),
  }).exactOptional(),
  /** The windows placed together last, a lineup without being saved. */
  together: togetherSchema.exactOptional(),
  /** Monitors that the focus was on when they went, one after the other, and what got it then. */
  focusAway: listOf(
    fields({ monitor: idField, to: idField, window: idField.exactOptional() }),
    'monitors',
    MOST,
  ).exactOptional(),
  /** By app, where the person moved its last floating window. */
  remembered: z
    .record(idField, fields({ monitor: idField, standing: floatingRectField }), {
      error: 'places by app',
    })
    .exactOptional(),
  /** How many windows of each app were ever opened. */
  opened: z.record(idField, z.int().min(0), { error: 'counts by app' }).default({}),
};

/** Ids of windows are one for each, and the focus is on one of them. */
function haveIds(
  session: { windows: readonly { id: string }[]; focus?: string },
  context: z.RefinementCtx,
): void {
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
}

/** How a running desk stands: what a trial begins with. */
export const standingSchema = fields(standingFields).superRefine(haveIds);

/**
 * A session as kept in a file. Only `windows` need be there; the rest is what a running desk remembers
 * between two visits.
 */
const wholeSchema = fields({
  ...standingFields,
  /** What is under way: whatever ends with the next command that does not go on with it. */
  interaction: interactionField.exactOptional(),
  /** How often keys did something. */
  uses: listOf(
    fields({ keys: textField, command: textField, times: z.int().min(0) }),
    'uses of keys',
    MOST,
  ).exactOptional(),
  /** The days on which they were counted, and the last of them. */
  countedOn: fields({
    days: z.int().min(1),
    last: z.iso.date({ error: 'a day such as 2026-11-13' }),
  }).exactOptional(),
  past: listOf(stepSchema, 'steps').default([]),
  future: listOf(stepSchema, 'steps').default([]),
}).superRefine(haveIds);

/** A session file of any version so far. */
export const sessionSchema = z.preprocess(migratedSession, wholeSchema);

export type SessionInput = z.output<typeof sessionSchema>;

/** A window of a running desk: it is on a monitor and a workspace. */
export type SessionWindow = Omit<WindowInput, 'held'> & {
  held: Held;
  monitor: string;
  workspace: string;
};

/**
 * The state of a running desk: an immutable value. Written as JSON it is a session file.
 */
export interface Session extends Omit<SessionInput, 'windows' | 'connected'> {
  /** In the order they opened. */
  windows: readonly SessionWindow[];
  /** Ids of the profile's monitors. */
  connected?: string[];
  focusMonitor: string;
}
