import type { CommandBy, CommandId } from '../../commands/registry.ts';
import { DIRECTIONS, type Direction } from '../../values/direction.ts';
import { nothing, type Outcome, type Situation } from '../session.ts';

/** What a command does: a situation, and what is said with it, to the session after it and the reasons. */
type Apply<Id extends CommandId> = (situation: Situation, said: CommandBy[Id]) => Outcome;
/** What some commands do, by their ids. */
export type Applies = { [Id in CommandId]: Apply<Id> };

/** The same function in the four directions. */
export function inDirections<Family extends string>(
  family: Family,
  apply: (situation: Situation, direction: Direction) => Outcome,
): { [D in Direction as `${Family}-${D}`]: (situation: Situation) => Outcome } {
  return Object.fromEntries(
    DIRECTIONS.map((direction) => [
      `${family}-${direction}`,
      (situation: Situation) => apply(situation, direction),
    ]),
  ) as { [D in Direction as `${Family}-${D}`]: (situation: Situation) => Outcome };
}

/** The outcome where nothing was typed of a name. */
export function untyped({ session }: Situation, what: string): Outcome {
  return nothing(session, `type some of the name of ${what}`);
}
