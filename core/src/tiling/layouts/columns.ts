import type { TracksLayout } from '../../values/layout.ts';
import type { Tree } from '../tree.ts';
import { tracks } from './tracks.ts';

/**
 * Divides an area into columns, one a window, by their weights. With `max`, the last column holds all
 * windows that are left, stacked evenly.
 *
 * @param count tiled windows, at least 1
 */
export function columnsTree(count: number, layout: TracksLayout): Tree {
  return tracks('columns', 'x', count, layout);
}
