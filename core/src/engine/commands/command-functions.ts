import type { CommandBy, CommandId } from '../../commands/registry.ts';
import { DIRECTIONS, type Direction } from '../../values/direction.ts';
import { noop, type Outcome, type CommandContext } from '../session.ts';

/** What a command does: from a context and its arguments to the session after it and the reasons. */
type Apply<Id extends CommandId> = (context: CommandContext, said: CommandBy[Id]) => Outcome;
/** What commands do, by their ids. A chain is no function of its own: it is what its commands come to (`../chain.ts`). */
export type CommandFunctions = { [Id in Exclude<CommandId, 'chain'>]: Apply<Id> };

/** The same function in the four directions. */
export function inDirections<Family extends string>(
  family: Family,
  apply: (context: CommandContext, direction: Direction) => Outcome,
): { [D in Direction as `${Family}-${D}`]: (context: CommandContext) => Outcome } {
  return Object.fromEntries(
    DIRECTIONS.map((direction) => [
      `${family}-${direction}`,
      (context: CommandContext) => apply(context, direction),
    ]),
  ) as { [D in Direction as `${Family}-${D}`]: (context: CommandContext) => Outcome };
}

/** The outcome where no part of a name was typed. */
export function nothingTyped({ session }: CommandContext, what: string): Outcome {
  return noop(session, `type some of the name of ${what}`);
}
