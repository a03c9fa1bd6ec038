import type { Direction } from '../values/direction.ts';
import { DIRECTIONS } from '../values/direction.ts';
import type { Arguments, ArgumentValues } from './argument.ts';
import type { Task } from './tasks.ts';

/** An interaction that can be under way on a desk. Some commands continue it; any other command ends it. */
export type InteractionKind =
  | 'offer'
  | 'board-pick'
  | 'corner-pick'
  | 'previewing'
  | 'shaping'
  | 'switching'
  | 'bare-desktop'
  | 'choosing-mode'
  | 'choosing-app'
  | 'calling-back';

/**
 * Everything about a command except what it does, which is a function of the same id in `engine/commands/`. Lists
 * of commands, forms, checks, starters of keys and the tables in docs/ are derived from these definitions.
 */
export interface Definition<A extends Arguments = Arguments> {
  /** Its arguments, in the order in which a form asks for them. */
  said: A;
  /** A condition on all arguments together. */
  rule?: { holds: (said: ArgumentValues<A>) => boolean; expected: string; path: readonly string[] };
  /** What it is for. */
  task: Task;
  /** Undo takes it back: a step of an arrangement. Going somewhere, and opening and closing, are none. */
  undoable: boolean | ((said: ArgumentValues<A>) => boolean);
  /** It does something while the engine is paused; else it waits. */
  whilePaused: boolean;
  /** It does something while no monitor is connected: it can bring one back. */
  whileUnplugged?: true;
  /** The command that leads back from what this one did, where another one does. */
  inverse?: string;
  /** The direction it has by its id, and what is the same in all four. */
  directed?: { family: string; direction: Direction };
  /** Its arguments in words, where they are not written one by one. */
  text?: (said: ArgumentValues<A>) => string;
  /** A few letters for a key cap; the id without hyphens where left out. */
  short?: string | ((said: ArgumentValues<A>) => string);
  /** Estimated uses a day, for profiles in which uses were not counted. */
  guessedUses: number;
  /** What the same takes by pointer: going to one thing in sight, a drag or a menu, or nothing as it only steers a choice. */
  byPointer: 'one-target' | 'two-targets' | 'nothing';
  /** What is under way goes on with it. */
  continues?: readonly InteractionKind[];
  /** It is a step of an interaction, whose own keys run it. It gets no other key. */
  hasFixedKeys?: true;
  /** It means something by key alone: it lasts while its key is down. */
  lasts?: true;
  /** A key that stays down does it once. */
  ignoresRepeat?: true;
  /** It says where windows go: that can be outlined while its key is down. */
  isOutlined?: true;
  /** It gives the focused window a place among others, after which the empty places are offered. */
  givesPlace?: true;
  /** It goes on with letters or digits being typed. */
  needsTyping?: true;
  /** It opens a list over the sheet, from which a person chooses. */
  opensList?: true;
  /** Its arguments `next` and `previous` reach everything that it can go to. */
  goesRound?: true;
  /** It goes back to a former state or forth again, so rules are not applied. */
  travels?: true;
}

/** A definition, with the types of its arguments. */
export function define<const A extends Arguments>(definition: Definition<A>): Definition<A> {
  return definition;
}

type InDirections<Family extends string> = {
  [D in Direction as `${Family}-${D}`]: Definition<Record<never, never>>;
};

/** The same command in the four directions; the opposite one leads back. */
export function inDirections<Family extends string>(
  family: Family,
  definition: (direction: Direction) => Omit<Definition<Record<never, never>>, 'said' | 'directed'>,
): InDirections<Family> {
  return Object.fromEntries(
    DIRECTIONS.map((direction) => [
      `${family}-${direction}`,
      { ...definition(direction), said: {}, directed: { family, direction } },
    ]),
  ) as unknown as InDirections<Family>;
}

/** A step of an arrangement: undo takes it back, and it waits while the engine is paused. */
export const UNDOABLE = { undoable: true, whilePaused: false } as const;
/** Going somewhere: undo does not take it back, and it goes on while the engine is paused. */
export const NAVIGATION = { undoable: false, whilePaused: true } as const;
/** A choice that is steered: what it comes to is a step by itself. */
export const STEERED_CHOICE = { undoable: false, whilePaused: false } as const;

export const BY_ONE_TARGET = { byPointer: 'one-target' } as const;
export const BY_TWO_TARGETS = { byPointer: 'two-targets' } as const;
export const BY_NOTHING = { byPointer: 'nothing' } as const;
