import type { Definition } from '../commands/definition.ts';
import { definitionOf, type CommandId } from '../commands/registry.ts';

/**
 * Times of the operators of the keystroke-level model, in seconds. Card, Moran and Newell, "The
 * keystroke-level model for user performance time with interactive systems", Communications of the ACM
 * 23 (7), 1980: K for an average skilled typist, P to point at a target, H to move the hand between
 * keyboard and pointing device, M to prepare mentally. A press of the pointer's button counts as a K.
 * M is the same by key and by pointer, so it cancels out of what is spared.
 */
export const KLM = { K: 0.2, P: 1.1, H: 0.4, M: 1.35 } as const;
export type Operator = keyof typeof KLM;

/**
 * The pointer work of the same command: to the device (H), to one or two targets (P) with a press (K) at each, and
 * back to the keys (H). One target: something in sight is clicked. Two: something is dragged, or an entry of a menu
 * is chosen.
 */
const BY_POINTER: Record<Definition['byPointer'], readonly Operator[]> = {
  'one-target': ['H', 'P', 'K', 'H'],
  'two-targets': ['H', 'P', 'K', 'P', 'K', 'H'],
  nothing: [],
};

/** The operators that a command would take by pointer; none for a command that only steers a choice. */
export function pointerWork(command: CommandId): readonly Operator[] {
  return BY_POINTER[definitionOf(command).byPointer];
}

/** Seconds that some operators take. */
export function secondsOf(operators: readonly Operator[]): number {
  return operators.reduce((sum, operator) => sum + KLM[operator], 0);
}

/** The effort so far: key presses, and the trips to the pointing device and seconds that they saved. */
export interface Effort {
  presses: number;
  trips: number;
  seconds: number;
}

export const NO_EFFORT: Effort = { presses: 0, trips: 0, seconds: 0 };

/**
 * The effort after one more command by key.
 *
 * @param keys key presses it took, modifiers counted
 * @param isDone whether it did anything: a key that does nothing spares nothing
 */
export function withEffort(
  { presses, trips, seconds }: Effort,
  keys: number,
  command: CommandId | null,
  isDone: boolean,
): Effort {
  const spared = command !== null && isDone ? pointerWork(command) : [];
  return {
    presses: presses + keys,
    trips: trips + (spared.length > 0 ? 1 : 0),
    seconds: seconds + secondsOf(spared) - keys * KLM.K,
  };
}
