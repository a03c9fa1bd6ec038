import type { LayoutDefinition } from './definition.ts';
import type { Size } from '../../geometry/rect.ts';
import type { LayoutOf } from '../../values/layout.ts';
import { completed, shownTree } from '../hand.ts';
import type { Tree } from '../tree.ts';

/**
 * The tree that comes about when nobody says how windows divide each other: each opens while the one
 * before has the focus, and halves its longer side.
 *
 * @param count tiled windows, at least 1
 */
function unsaidTree(count: number, _layout: LayoutOf<'split'>, area: Size): Tree {
  const ids = Array.from({ length: count }, (_, i) => String(i));
  return shownTree(completed(undefined, ids, area)!, ids)!;
}

export const handSplit: LayoutDefinition<'split'> = {
  title: 'Hand-split',
  defaults: { kind: 'split' },
  form: {
    title: 'Hand-split',
    says: 'You make it by key in Rehearse: split-across and split-down say how the next window divides the focused one. From another layout they take it over as it stands.',
  },
  tree: unsaidTree,
  byHand: true,
};
