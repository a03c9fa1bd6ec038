import type { Side } from '../../values/layout-parameters.ts';
import type { LayoutDefinition } from './definition.ts';
import type { Size } from '../../geometry/rect.ts';
import type { Axis } from '../../values/direction.ts';
import type { LayoutOf } from '../../values/layout.ts';
import { split, type Tree } from '../tree.ts';

const INWARD: Record<Axis, readonly Side[]> = {
  x: ['left', 'top', 'right', 'bottom'],
  y: ['top', 'right', 'bottom', 'left'],
};
const ZIGZAG: Record<Axis, readonly Side[]> = { x: ['left', 'top'], y: ['top', 'left'] };

/**
 * Each window takes its share of what is left, the last one the remainder. Zigzag: the window is always
 * at the left or the top, in turns. Inward: left, top, right, bottom and round again.
 *
 * @param count tiled windows, at least 1
 * @param area what is divided; its longer axis is the first where `firstAxis` is long
 */
function halvingTree(
  count: number,
  { share, firstAxis, turn }: LayoutOf<'halving'>,
  area: Size,
): Tree {
  const first: Axis = firstAxis === 'long' ? (area.width >= area.height ? 'x' : 'y') : firstAxis;
  const sides = (turn === 'inward' ? INWARD : ZIGZAG)[first];
  let tree: Tree = count - 1;
  for (let window = count - 2; window >= 0; window--) {
    const side = sides[window % sides.length]!;
    const axis: Axis = side === 'left' || side === 'right' ? 'x' : 'y';
    const name = `cut-${window}`;
    tree =
      side === 'left' || side === 'top'
        ? split(name, axis, [window, tree], [share, 1 - share])
        : split(name, axis, [tree, window], [1 - share, share]);
  }
  return tree;
}

export const halving: LayoutDefinition<'halving'> = {
  title: 'Halving',
  defaults: { kind: 'halving', share: 0.5, firstAxis: 'x', turn: 'zigzag' },
  form: { title: 'Halving' },
  tree: halvingTree,
  turn: {
    field: 'firstAxis',
    through: ['x', 'y'],
    present: ({ firstAxis }, { width, height }) =>
      firstAxis === 'long' ? (width >= height ? 'x' : 'y') : firstAxis,
    says: (axis) => `first divided along ${axis}`,
  },
};
