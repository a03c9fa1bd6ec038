import { COMMANDS } from '../commands/command.ts';
import { keyCommandText, type KeyCommand } from '../model/keys.ts';
import { DIRECTIONS, type Direction } from '../values/direction.ts';

const OPPOSITE: Record<Direction, Direction> = {
  left: 'right',
  right: 'left',
  up: 'down',
  down: 'up',
};

/** Commands by what takes them back, both ways. */
const PAIRS: readonly (readonly [string, string])[] = [
  ['lead-share-more', 'lead-share-less'],
  ['lead-count-more', 'lead-count-less'],
  ['bigger', 'smaller'],
  ['move-earlier', 'move-later'],
];
/** What has another command as its way back, which is of use by itself, too. */
const WAYS: readonly (readonly [string, string])[] = [
  ['pocket', 'call-back'],
  ['minimise', 'restore-last'],
  ['pause', 'resume'],
  ['save-lineup', 'recall-lineup'],
];

const IDS = new Set<string>(COMMANDS);
/** split-down goes along an axis and has no direction: there is nothing opposite to it. */
const opposite = (id: string, direction: Direction) =>
  `${id.slice(0, -direction.length)}${OPPOSITE[direction]}`;

/** A direction that a command has, and the rest of it: what is the same in all four directions. */
export interface Directed {
  family: string;
  direction: Direction;
}

/** The direction of a command; null where it has none. */
export function directedOf(command: KeyCommand): Directed | null {
  const { command: id } = command;
  const inId = DIRECTIONS.find(
    (direction) => id.endsWith(`-${direction}`) && IDS.has(opposite(id, direction)),
  );
  if (inId) return { family: id.slice(0, -inId.length - 1), direction: inId };
  const said = 'which' in command ? command.which : 'direction' in command ? command.direction : '';
  const direction = DIRECTIONS.find((each) => each === said);
  if (!direction) return null;
  return { family: keyCommandText(command).replace(direction, '…'), direction };
}

/** A command in another direction. */
function directedTo(command: KeyCommand, direction: Direction): KeyCommand {
  const directed = directedOf(command);
  if (!directed) return command;
  if (command.command.endsWith(`-${directed.direction}`)) {
    return { command: `${directed.family}-${direction}` } as KeyCommand;
  }
  if ('which' in command) return { ...command, which: direction } as KeyCommand;
  return { ...command, direction } as KeyCommand;
}

/** The command that leads back from what another did; null where one and the same does, or none is needed. */
export function wayBack(command: KeyCommand): KeyCommand | null {
  const directed = directedOf(command);
  if (directed) return directedTo(command, OPPOSITE[directed.direction]);
  const { command: id } = command;
  const pair = PAIRS.find((each) => each.includes(id));
  const other = pair?.find((each) => each !== id) ?? WAYS.find(([to]) => to === id)?.[1];
  return other ? ({ command: other } as KeyCommand) : null;
}
