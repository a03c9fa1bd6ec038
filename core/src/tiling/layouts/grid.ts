import type { LayoutDefinition } from './definition.ts';
import type { Size } from '../../geometry/rect.ts';
import type { LayoutOf } from '../../values/layout.ts';
import { split, stack, type Tree } from '../tree.ts';

/** Columns as good as fewer ones are not taken; as good means within this. */
const TIE = 1e-9;

/**
 * Divides an area into an even grid, filled row by row; the last row stretches. The number of columns is
 * that whose cells come nearest to the wished aspect, by ratio.
 *
 * @param count tiled windows, at least 1
 * @param area what is divided: the work area less the outer gap
 */
function gridTree(count: number, { cellAspect }: LayoutOf<'grid'>, area: Size): Tree {
  const columns = columnsOf(count, cellAspect, area);
  const rows = Math.ceil(count / columns);
  return split(
    'rows',
    'y',
    Array.from({ length: rows }, (_, row) =>
      stack(`row-${row}`, 'x', row * columns, Math.min(columns, count - row * columns)),
    ),
  );
}

function columnsOf(count: number, cellAspect: number, { width, height }: Size): number {
  let best = 1;
  let least = Infinity;
  for (let columns = 1; columns <= count; columns++) {
    const rows = Math.ceil(count / columns);
    const off = Math.abs(Math.log(width / columns / (height / rows) / cellAspect));
    if (off < least - TIE) {
      best = columns;
      least = off;
    }
  }
  return best;
}

export const grid: LayoutDefinition<'grid'> = {
  title: 'Even grid',
  defaults: { kind: 'grid', cellAspect: 1.6 },
  form: {
    title: 'Even grid',
    says: 'Width divided by height. The grid takes the number of columns that comes nearest to it.',
  },
  tree: gridTree,
};
