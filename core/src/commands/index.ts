export {
  COMMANDS,
  type Command,
  type CommandId,
  HELD_COMMANDS,
  LAST,
  PLAIN_COMMANDS,
  commandText,
} from './command.ts';
