import type { Axis } from '../values/direction.ts';
/**
 * A split tree that a person makes by hand: its leaves are window ids, and it keeps them while a window
 * is away for a moment (floating, minimised, pocketed), so that it comes back to its place. One leaf, or a list of
 * splits, the outermost first: so however many windows divide each other, it is written no deeper.
 */
export type HandTree = string | readonly HandSplit[];

/** A split of it: each of its parts is a window, or the place in the list of a split that comes later in it. */
export interface HandSplit {
  axis: Axis;
  /** One per part, above 0. */
  weights: readonly number[];
  children: readonly (string | number)[];
}
