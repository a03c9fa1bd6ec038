import type { Size } from '../../geometry/rect.ts';
import type { SplitLayout } from '../../values/layout.ts';
import { completed, shownTree } from '../hand.ts';
import type { Tree } from '../tree.ts';

/**
 * The tree that comes about when nobody says how windows divide each other: each opens while the one
 * before has the focus, and halves its longer side.
 *
 * @param count tiled windows, at least 1
 */
export function unsaidTree(count: number, _layout: SplitLayout, area: Size): Tree {
  const ids = Array.from({ length: count }, (_, i) => String(i));
  return shownTree(completed(undefined, ids, area)!, ids)!;
}
