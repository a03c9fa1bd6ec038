import { appCommands } from './apps.ts';
import type { Argument, ArgumentValues } from './argument.ts';
import type { Definition } from './definition.ts';
import { engineCommands } from './engine.ts';
import { focusCommands } from './focus.ts';
import { holdingCommands } from './window-state.ts';
import { layerCommands } from './layers.ts';
import { layoutCommands } from './layout.ts';
import { monitorCommands } from './monitors.ts';
import { moveCommands } from './move.ts';
import { outsideCommands } from './outside.ts';
import { placingCommands } from './snap.ts';
import { sizeCommands } from './sizes.ts';
import { workspaceCommands } from './workspaces.ts';
import { zoneCommands } from './zones.ts';

/** Every command of the desk by its id. */
export const COMMAND_DEFINITIONS = {
  ...focusCommands,
  ...moveCommands,
  ...sizeCommands,
  ...layoutCommands,
  ...holdingCommands,
  ...placingCommands,
  ...zoneCommands,
  ...appCommands,
  ...workspaceCommands,
  ...monitorCommands,
  ...engineCommands,
};
const keyOnlyCommands = { ...layerCommands, ...outsideCommands };
/** What a key can do: any command of the desk, entering and leaving layers of keys, and what is done outside. */
const KEY_COMMAND_DEFINITIONS = { ...COMMAND_DEFINITIONS, ...keyOnlyCommands };

type Definitions = typeof KEY_COMMAND_DEFINITIONS;
export type CommandId = keyof typeof COMMAND_DEFINITIONS;
export type KeyCommandId = keyof Definitions;

type ArgumentsOf<Id extends KeyCommandId> = Definitions[Id]['said'];
/** The commands that need nothing said with them. */
export type CommandIdWithoutArguments = {
  [Id in CommandId]: keyof ArgumentsOf<Id> extends never ? Id : never;
}[CommandId];

type KeyOnlyId = keyof typeof keyOnlyCommands;

type Flat<T> = { [Name in keyof T]: T[Name] };
/** A command with what is said with it, by its id. */
export type CommandBy = {
  [Id in KeyCommandId]: Flat<{ command: Id } & ArgumentValues<ArgumentsOf<Id>>>;
};
type CommandIdWithArguments = Exclude<CommandId, CommandIdWithoutArguments>;

/** A command of the desk with what it needs. */
export type Command = { command: CommandIdWithoutArguments } | CommandBy[CommandIdWithArguments];
/** What a key does. */
export type KeyCommand = Command | CommandBy[KeyOnlyId];
/** What is done outside the desk by a key. */
export type OutsideCommand = CommandBy[keyof typeof outsideCommands];

/** True for what the desk itself does. */
export function isOfDesk(command: KeyCommand): command is Command {
  return command.command in COMMAND_DEFINITIONS;
}

/** The definition of a command, whichever it is. */
export function definitionOf(id: KeyCommandId): Definition {
  return KEY_COMMAND_DEFINITIONS[id] as unknown as Definition;
}

/** What is said with a command, argument by argument; the value is undefined where one is left out. */
export function argumentsOf(
  command: KeyCommand,
): readonly { field: string; argument: Argument; value: unknown }[] {
  return Object.entries(definitionOf(command.command).said).map(([field, argument]) => ({
    field,
    argument,
    value: (command as Record<string, unknown>)[field],
  }));
}

export const COMMANDS = Object.keys(COMMAND_DEFINITIONS) as readonly CommandId[];
/** What a key alone can do, which is no command of the desk. */
export const KEY_ONLY = Object.keys(keyOnlyCommands) as readonly KeyOnlyId[];
export const KEY_COMMANDS = Object.keys(KEY_COMMAND_DEFINITIONS) as readonly KeyCommandId[];

export const COMMANDS_WITHOUT_ARGUMENTS = COMMANDS.filter(isPlain);
function isPlain(id: CommandId): id is CommandIdWithoutArguments {
  return Object.keys(COMMAND_DEFINITIONS[id].said).length === 0;
}
