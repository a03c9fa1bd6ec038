import { commandSchema, type Command } from '@sorn/core/commands';
import type { Reason } from '@sorn/core/engine';
import type { SessionDifference } from '@sorn/core/model';
import { fields, textField } from '@sorn/core/values';
import { z } from 'zod';
import { route } from './route.ts';

const count = z.int().min(0);
const rectFields = { x: z.int(), y: z.int(), width: z.int(), height: z.int() };
// What the engine of the same version made of the desk: its parts are not read one by one sixty times a second.
const differenceField: z.ZodType<SessionDifference> = z.custom<SessionDifference>(
  (value) => typeof value === 'object' && value !== null,
  { error: 'a difference of sessions' },
);
const commandField: z.ZodType<Command> = commandSchema;
const reasonsField = z.array(
  z.custom<Reason>((value) => typeof value === 'object' && value !== null, { error: 'a reason' }),
);

const entrySchema = z.object({
  number: count,
  /** Milliseconds since 1970. */
  at: z.number(),
  what: z.string(),
  reasons: reasonsField,
  keys: z.string().exactOptional(),
  isRepeat: z.literal(true).exactOptional(),
  command: z
    .custom<Command>((value) => typeof value === 'object' && value !== null)
    .exactOptional(),
});
/** What happened on the live desk, and why; by which keys, where by any. */
export type LiveLine = z.output<typeof entrySchema>;

const spreadSchema = z.object({ median: z.number(), most: z.number() });

const latencySchema = z.object({
  /** From what happened to what was told of it. */
  decided: spreadSchema,
  /** From what was told until every window stood there. */
  done: spreadSchema,
  /** Both together of each of the last rounds, the newest last. */
  last: z.array(z.number()),
});
export type LiveLatency = z.output<typeof latencySchema>;

const aboutSchema = z.object({
  agent: z.object({ name: z.string(), version: z.string(), can: z.array(z.string()) }).nullable(),
  state: z.enum(['waiting', 'running', 'paused', 'out', 'stopped']),
  monitors: z.array(
    z.object({
      name: z.string(),
      id: z.string(),
      /** By what it was taken for that one, in words. */
      by: z.string(),
      device: z.object({
        name: z.string(),
        maker: z.string().exactOptional(),
        model: z.string().exactOptional(),
        serial: z.string().exactOptional(),
      }),
      ...rectFields,
    }),
  ),
  question: z
    .object({ parts: z.array(z.enum(['keys', 'desks', 'monitors', 'machines'])), left: z.number() })
    .nullable(),
  held: z.enum(['nothing', 'edits']).nullable(),
  waitingLaunch: z.string().nullable(),
  hasPictures: z.boolean(),
  findings: z.array(
    z.object({ kind: z.string(), about: z.string().exactOptional(), text: z.string() }),
  ),
  unknownApps: z.array(
    z.object({
      name: z.string(),
      app: z.string().exactOptional(),
      process: z.string().exactOptional(),
      title: z.string().exactOptional(),
    }),
  ),
});
/** What a page shows of a live desk beside its windows. */
export type LiveAbout = z.output<typeof aboutSchema>;

const nextKeysSchema = z.object({
  of: z.enum(['layer', 'sequence']),
  name: z.string(),
  next: z.array(z.object({ id: z.string(), keys: z.string(), text: z.string() })),
});

/**
 * News of the live desk, as an event called `live` among those of a profile: what is otherwise than in the news before.
 * The first news of a connection hold all.
 */
export const liveNewsSchema = z.object({
  /** The profile that it is arranged by. News of another profile than that hold this and `about` alone. */
  profile: z.string(),
  isFirst: z.literal(true).exactOptional(),
  session: differenceField.exactOptional(),
  /** The parts of the profile that real monitors make otherwise: its monitors and desks. */
  real: z.custom<{ monitors: unknown[]; desks: unknown[] }>().exactOptional(),
  about: aboutSchema.exactOptional(),
  /** How long the last rounds took, in milliseconds; at most twice a second. */
  latency: latencySchema.exactOptional(),
  lines: z.array(entrySchema).exactOptional(),
  /** Null where nothing is begun. */
  next: nextKeysSchema.nullable().exactOptional(),
  canUndo: z.boolean().exactOptional(),
  canRedo: z.boolean().exactOptional(),
});
export type LiveNews = z.output<typeof liveNewsSchema>;

/** A picture of a window, as an event called `picture`: a PNG in base64. */
export const livePictureSchema = z.object({ window: z.string(), png: z.string() });
export type LivePicture = z.output<typeof livePictureSchema>;

const isOn = z.boolean({ error: 'true or false' });

/** What can be asked of the live desk. */
export const liveRequestSchema = z.discriminatedUnion('ask', [
  fields({ ask: z.literal('command'), command: commandField }),
  /** The window gets the focus, as if it was chosen by a pointer. */
  fields({ ask: z.literal('focus'), window: textField }),
  /** Goes by parts of a profile while a figure is typed into them; null where that is over. */
  fields({ ask: z.literal('show'), parts: z.record(z.string(), z.unknown()).nullable() }),
  /** Keeps the edit that is asked about, or takes it back. */
  fields({ ask: z.literal('keep'), isKept: isOn }),
  /** Waits with edits of the profile; goes on: applies them, takes them back, or only if there are none. */
  fields({ ask: z.literal('hold') }),
  fields({
    ask: z.literal('go-on'),
    edits: z.enum(['apply', 'drop', 'none'], { error: 'one of apply, drop, none' }),
  }),
  /** Goes out of the way, or comes back. */
  fields({ ask: z.literal('out') }),
  fields({ ask: z.literal('start') }),
  fields({ ask: z.literal('stop') }),
  fields({ ask: z.literal('identify'), monitor: textField }),
  /** Confirms a command line. */
  fields({ ask: z.literal('allow'), line: textField }),
  fields({ ask: z.literal('pictures'), isOn }),
]);
export type LiveRequest = z.output<typeof liveRequestSchema>;

export const LIVE = {
  /** Answers with the reasons for what was done. */
  ask: route('POST', '/live', {
    body: liveRequestSchema,
    answer: z.object({ reasons: reasonsField }),
  }),
} as const;
