import { span } from '../geometry/rect.ts';
import { axisOf, isForward, type Direction } from '../values/direction.ts';
import { rectOf, type FlatTree } from './solve.ts';
import { weightsOf } from './tree.ts';

/** A boundary moved: which split, its weights from now on, and by how much it really moved. */
export interface MovedBoundary {
  split: string;
  weights: number[];
  /** Whole pixels the leaf's edge moved outwards; negative when it moved in. */
  pixels: number;
}

/**
 * Moves the boundary at a leaf's edge: that of the nearest split around the leaf that divides along the
 * direction's axis and has a part beyond the edge. Only the two parts at the boundary change; neither
 * goes below the smaller of its minimum and its present size. The split keeps its parts' sizes as weights.
 *
 * @param rects the solved tree
 * @param position the window whose edge moves
 * @param step pixels outwards; negative moves the edge in
 * @returns null when nothing lies beyond the edge
 */
export function moveBoundary(
  flat: FlatTree,
  rects: number[],
  position: number,
  direction: Direction,
  step: number,
): MovedBoundary | null {
  const axis = axisOf(direction);
  const towards = isForward(direction) ? 1 : -1;
  for (let node = flat.leafNodes[position]!; flat.parents[node]! >= 0; node = flat.parents[node]!) {
    const parent = flat.parents[node]!;
    const split = flat.splits[parent]!;
    const from = flat.firstChild[parent]!;
    const beyond = node + towards;
    if (split.axis !== axis || beyond < from || beyond >= from + split.children.length) continue;

    const sizes = split.children.map((_, i) => span(rectOf(rects, from + i), axis).length);
    const own = sizes[node - from]!;
    const other = sizes[beyond - from]!;
    const spare = (size: number, part: number) => size - Math.min(size, flat.minimums[part]!);
    const pixels =
      step >= 0 ? Math.min(step, spare(other, beyond)) : -Math.min(-step, spare(own, node));
    sizes[node - from] = own + pixels;
    sizes[beyond - from] = other - pixels;
    return { split: split.name, weights: weightsOf(sizes), pixels: pixels === 0 ? 0 : pixels };
  }
  return null;
}
