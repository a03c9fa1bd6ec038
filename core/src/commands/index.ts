export type { Argument, ArgumentKind } from './argument.ts';
export {
  COMMANDS_BY_NAME,
  commandSchema,
  argumentAskedFor,
  commandText,
  keyCommandSchema,
  LAST,
  RUNNABLE,
  shortText,
} from './command.ts';
export {
  COMMANDS,
  definitionOf,
  isOfDesk,
  KEY_COMMANDS,
  type Command,
  type CommandId,
  type KeyCommand,
  type KeyCommandId,
} from './registry.ts';
export { TASK_TITLES, type Task } from './tasks.ts';
