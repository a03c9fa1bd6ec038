import { z } from 'zod';
import { COMMANDS_BY_NAME, commandSchema, expectedCommand } from '../commands/command.ts';
import type { Command } from '../commands/registry.ts';
import { isCode } from '../values/codes.ts';
import {
  byShape,
  coordinateField,
  fields,
  idField,
  listOf,
  oneOf,
  textField,
  whole,
} from '../values/fields.ts';
import { triggerField } from '../values/trigger.ts';
import { connectedField, windowSchema } from './session.ts';

const CODE = 'the UI Events code of a key, such as KeyL, or a button, such as Button4';
const codeField = z.string({ error: CODE }).refine(isCode, { error: CODE });

const ACTIONS = {
  down: fields({
    down: codeField,
    /** What the key types, where bindings may name that: its UI Events `key`. */
    types: textField.exactOptional(),
    /** The key is down already, and this is a repeat of it. */
    repeat: z.literal(true, { error: 'true' }).exactOptional(),
  }),
  up: fields({ up: codeField }),
  wait: fields({ wait: whole(1, 600_000) }),
  /** The keyboard goes elsewhere: what is let go from then on is not told. */
  leave: fields({ leave: z.literal(true, { error: 'true' }) }),
};
type ActionName = keyof typeof ACTIONS;
export type Action = z.output<(typeof ACTIONS)[ActionName]>;
const actionField = byShape(Object.values(ACTIONS), (given): z.ZodType<Action> => {
  const name = Object.keys(Object(given)).find((key): key is ActionName => key in ACTIONS);
  return ACTIONS[name ?? 'down'];
});
const actionsField = listOf(actionField, 'key actions', 1_000);

/** Keys that are pressed: as a profile writes them, or one thing after the other with times between. */
const pressField = byShape([triggerField, actionsField], (given): z.ZodType<Press> =>
  typeof given === 'string' ? triggerField : actionsField,
);
export type Press = string | readonly Action[];

/** The most steps of a script. */
export const MOST_STEPS = 10_000;

/** The parts of a rectangle that a window asks for, in physical pixels. */
const askedField = fields({
  x: coordinateField.exactOptional(),
  y: coordinateField.exactOptional(),
  width: whole(1, 100_000).exactOptional(),
  height: whole(1, 100_000).exactOptional(),
});

/** A command that needs nothing said with it, as a word. */
const wordSchema = z
  .enum(COMMANDS_BY_NAME, {
    error: ({ input }): string =>
      typeof input === 'string' ? expectedCommand(input) : expectedStep(Object.keys(EVENTS)),
  })
  .transform((id) => ({ command: id }) as Command);

const EVENTS = {
  open: fields({ open: windowSchema }),
  close: fields({ close: idField }),
  point: fields({ point: idField }),
  retitle: fields({ retitle: idField, title: textField }),
  ask: fields({ ask: idField, rect: askedField }),
  plugged: fields({ plugged: connectedField }),
  hold: fields({
    hold: byShape([commandSchema, wordSchema], (command): z.ZodType<Command> =>
      typeof command === 'object' ? commandSchema : wordSchema,
    ),
  }),
  press: fields({ press: pressField }),
  release: fields({ release: oneOf(['taken', 'dropped']) }),
  mark: fields({ mark: idField }),
  same: fields({ same: idField }),
};
type EventName = keyof typeof EVENTS;

type EventSchema = (typeof EVENTS)[EventName];

/** What a step can be: a command, as a word where it needs nothing else, or an object by the field that tells it. */
export const STEPS = { word: wordSchema, command: commandSchema, ...EVENTS };

/** Picks what a step is out of those that there can be. */
export function stepIn<T extends z.ZodType>(steps: Readonly<Record<string, T>>, step: unknown): T {
  if (typeof step !== 'object' || step === null) return steps['word']!;
  const known = Object.keys(steps).filter((name) => name !== 'word');
  const named = known.find((name) => name in step);
  return named ? steps[named]! : (z.never({ error: expectedStep(known) }) as z.ZodType as T);
}

function expectedStep(names: readonly string[]): string {
  const others = names.filter((name) => name !== 'command');
  return `a command, or an object with one of ${others.join(', ')}`;
}

/**
 * One step of a script: a command (as a word where it needs nothing else), something that happens to a
 * window, or a look at how things stand.
 */
export const stepSchema = byShape(Object.values(STEPS), (step): z.ZodType<ScriptStep> =>
  stepIn<z.ZodType<ScriptStep>>(STEPS, step),
);
export type ScriptStep = Command | z.output<EventSchema>;
