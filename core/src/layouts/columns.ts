import type { ColumnsLayout } from '../profile/layout.ts';
import { split, stack, type Tree } from '../tree/tree.ts';

/**
 * Divides an area into columns, one a window, by their weights (1 where none is given, extra ones
 * ignored). With `max`, the last column holds all windows that are left, stacked evenly.
 *
 * @param count tiled windows, at least 1
 */
export function columnsTree(count: number, { weights, max }: ColumnsLayout): Tree {
  const columns = Math.min(count, max ?? count);
  return split(
    'columns',
    'x',
    Array.from({ length: columns }, (_, i) =>
      i < columns - 1 ? i : stack('last-column', 'y', i, count - i),
    ),
    Array.from({ length: columns }, (_, i) => weights[i] ?? 1),
  );
}
