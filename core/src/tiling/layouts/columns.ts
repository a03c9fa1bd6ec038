import type { LayoutDefinition } from './definition.ts';
import type { LayoutOf } from '../../values/layout.ts';
import type { Tree } from '../tree.ts';
import { ONE_EACH, tracks } from './tracks.ts';

/**
 * Divides an area into columns, one a window, by their weights. With `max`, the last column holds all
 * windows that are left, stacked evenly.
 *
 * @param count tiled windows, at least 1
 */
function columnsTree(count: number, layout: LayoutOf<'columns' | 'rows'>): Tree {
  return tracks('columns', 'x', count, layout);
}

export const columns: LayoutDefinition<'columns'> = {
  title: 'Columns',
  defaults: { kind: 'columns', weights: [] },
  form: { title: 'Columns', says: ONE_EACH },
  tree: columnsTree,
  turn: { into: (layout) => ({ ...layout, kind: 'rows', weights: [...layout.weights] }) },
};
