import { z } from 'zod';
import { fields, oneOf } from '../values/fields.ts';
import { nearestName } from '../values/nearest-name.ts';
import type { Definition } from './definition.ts';
import {
  COMMANDS,
  COMMAND_DEFINITIONS,
  definitionOf,
  argumentsOf,
  KEY_ONLY,
  COMMANDS_WITHOUT_ARGUMENTS,
  type Command,
  type KeyCommand,
  type KeyCommandId,
} from './registry.ts';

/** The lineup of the windows that were placed together last. */
export const LAST = 'last';

type CommandSchema<C> = z.ZodType<C> & z.core.$ZodTypeDiscriminable;

/** The schema of a command with what is said with it. */
function schemaOf(id: KeyCommandId): z.core.$ZodTypeDiscriminable {
  const { said, rule } = definitionOf(id);
  const shape = Object.fromEntries(
    Object.entries(said).map(([name, { schema }]) => [name, schema]),
  );
  const schema = fields({ command: z.literal(id), ...shape });
  return rule
    ? schema.refine((value) => rule.holds(value as never), {
        error: rule.expected,
        path: [...rule.path],
      })
    : schema;
}

const plain = new Set<string>(COMMANDS_WITHOUT_ARGUMENTS);
const error = ({ input }: { input?: unknown }) =>
  expectedCommand((input as { command?: unknown } | undefined)?.command);

/** A command with its arguments. The fault for a mistyped id names the nearest one that exists. */
export const commandSchema = z.discriminatedUnion(
  'command',
  [
    fields({ command: oneOf(COMMANDS_WITHOUT_ARGUMENTS) }),
    ...COMMANDS.filter((id) => !plain.has(id)).map(schemaOf),
  ],
  { error },
) as unknown as CommandSchema<Command>;

/** Commands that say enough by their name: what is said with them can be left out. */
export const COMMANDS_BY_NAME = COMMANDS.filter(
  (id) => commandSchema.safeParse({ command: id }).success,
);
/** Commands that a person can run by their name, without a key. */
export const RUNNABLE = COMMANDS_BY_NAME.filter((id) => !definitionOf(id).lasts);

/** What a key does: a command of the desk, entering and leaving a layer of keys, or something outside. */
export const keyCommandSchema = z.discriminatedUnion(
  'command',
  [commandSchema, ...KEY_ONLY.map(schemaOf)],
  { error },
) as unknown as CommandSchema<KeyCommand>;

/** The words for "expected" in the fault of something that is no command: the nearest command where one is near. */
export function expectedCommand(typed: unknown): string {
  const nearest = typeof typed === 'string' ? nearestName(typed, COMMANDS) : null;
  if (nearest === typed && nearest !== null)
    return `{"command": "${nearest}", …} with what it needs`;
  return nearest
    ? `a command; the nearest is ${nearest}`
    : 'a command with what it needs, such as {"command": "focus-left"}';
}

/** A command in words: its id, then its arguments: "open-app pitreader". */
export function commandText(command: KeyCommand): string {
  const { text } = definitionOf(command.command);
  if (text) return `${command.command} ${text(command as never)}`;
  const parts = argumentsOf(command).map(({ argument, value }) => {
    if (value === undefined || value === '') return '';
    return argument.text ? argument.text(value as never) : ` ${String(value)}`;
  });
  return `${command.command}${parts.join('')}`;
}

/** A command in a few letters, for a key cap on a drawn board. */
export function shortText(command: KeyCommand): string {
  const { short } = definitionOf(command.command);
  if (typeof short === 'function') return short(command as never);
  return short ?? commandText(command).replaceAll('-', ' ');
}

/** Whether undo is to take a command back. */
export function isUndoable(command: Command): boolean {
  const { undoable } = definitionOf(command.command);
  return typeof undoable === 'function' ? undoable(command as never) : undoable;
}

/** The argument that a person is asked to type when the key of a command is pressed; null where nothing is left to say. */
export function argumentAskedFor(command: KeyCommand): string | null {
  const asked = argumentsOf(command).find(
    ({ argument, value }) => argument.isAsked && value === undefined,
  );
  return asked?.field ?? null;
}

/** The ids of the commands of which something holds. */
export function commandsThat(holds: (definition: Definition) => boolean): readonly KeyCommandId[] {
  return (Object.keys(COMMAND_DEFINITIONS) as KeyCommandId[]).filter((id) =>
    holds(definitionOf(id)),
  );
}
