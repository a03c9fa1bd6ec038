import { commandText } from '../commands/command.ts';
import { definitionOf, argumentsOf, type KeyCommand } from '../commands/registry.ts';
import { DIRECTIONS, type Direction } from '../values/direction.ts';

const OPPOSITE: Record<Direction, Direction> = {
  left: 'right',
  right: 'left',
  up: 'down',
  down: 'up',
};

/** A direction that a command has, and the rest of it: what is the same in all four directions. */
export interface Directed {
  family: string;
  direction: Direction;
}

/** The argument that says the direction of a command, and which it is; null where none does. */
function saidDirection(command: KeyCommand): { field: string; direction: Direction } | null {
  for (const { field, argument, value } of argumentsOf(command)) {
    if (argument.of !== 'direction' && argument.of !== 'monitor') continue;
    const direction = DIRECTIONS.find((each) => each === value);
    if (direction) return { field, direction };
  }
  return null;
}

/** The direction of a command, by its id or by what is said with it; null where it has none. */
export function directedOf(command: KeyCommand): Directed | null {
  const { directed } = definitionOf(command.command);
  if (directed) return directed;
  const said = saidDirection(command);
  if (!said) return null;
  return { family: commandText(command).replace(said.direction, '…'), direction: said.direction };
}

/** The command that leads back from what another did; null where one and the same does, or none is needed. */
export function wayBack(command: KeyCommand): KeyCommand | null {
  const { directed, inverse } = definitionOf(command.command);
  if (inverse !== undefined) return { command: inverse } as KeyCommand;
  if (directed) {
    return { command: `${directed.family}-${OPPOSITE[directed.direction]}` } as KeyCommand;
  }
  const said = saidDirection(command);
  return said ? ({ ...command, [said.field]: OPPOSITE[said.direction] } as KeyCommand) : null;
}
