import type { Axis } from '../../values/direction.ts';
import type { LayoutOf } from '../../values/layout.ts';
import { split, stack, type Tree } from '../tree.ts';

/** Parts along an axis, by weights (1 where none is given, extra ones ignored); the last holds all over `max`. */
export function tracks(
  name: string,
  axis: Axis,
  count: number,
  { weights, max }: LayoutOf<'columns' | 'rows'>,
): Tree {
  const across: Axis = axis === 'x' ? 'y' : 'x';
  const parts = Math.min(count, max ?? count);
  return split(
    name,
    axis,
    Array.from({ length: parts }, (_, i) =>
      i < parts - 1 ? i : stack(`last-of-${name}`, across, i, count - i),
    ),
    Array.from({ length: parts }, (_, i) => weights[i] ?? 1),
  );
}

export const ONE_EACH =
  'One window each; with a limit the last one holds all that are left. Single ones grow by key in Rehearse.';
