import type { TracksLayout } from '../../values/layout.ts';
import type { Tree } from '../tree.ts';
import { tracks } from './tracks.ts';

/**
 * Divides an area into rows, one a window, by their weights. With `max`, the last row holds all windows
 * that are left, side by side.
 *
 * @param count tiled windows, at least 1
 */
export function rowsTree(count: number, layout: TracksLayout): Tree {
  return tracks('rows', 'y', count, layout);
}
