import type { LayoutDefinition } from './definition.ts';
import type { LayoutOf } from '../../values/layout.ts';
import type { Tree } from '../tree.ts';
import { ONE_EACH, tracks } from './tracks.ts';

/**
 * Divides an area into rows, one a window, by their weights. With `max`, the last row holds all windows
 * that are left, side by side.
 *
 * @param count tiled windows, at least 1
 */
function rowsTree(count: number, layout: LayoutOf<'columns' | 'rows'>): Tree {
  return tracks('rows', 'y', count, layout);
}

export const rows: LayoutDefinition<'rows'> = {
  title: 'Rows',
  defaults: { kind: 'rows', weights: [] },
  form: { title: 'Rows', says: ONE_EACH },
  tree: rowsTree,
  turn: { into: (layout) => ({ ...layout, kind: 'columns', weights: [...layout.weights] }) },
};
