import type { Axis } from '../values/direction.ts';

/**
 * A split tree: how a work area is divided. A leaf is the position of a window in the list of tiled
 * windows; every position 0 … n − 1 stands in the tree once.
 */
export type Tree = number | Split;

export interface Split {
  /** What a layout calls this split. Sizes moved by key are remembered under this name. */
  name: string;
  axis: Axis;
  /** One per child, ≥ 0, not all 0. */
  weights: readonly number[];
  children: readonly Tree[];
}

/** A split, or its only child itself when there is just one. */
export function split(
  name: string,
  axis: Axis,
  children: readonly Tree[],
  weights: readonly number[] = children.map(() => 1),
): Tree {
  const only = children[0];
  if (only === undefined) throw new RangeError(`split ${name} has no children`);
  return children.length === 1 ? only : { name, axis, weights, children };
}

/** The window positions from `first` on, `count` of them, evenly along an axis. */
export function stack(name: string, axis: Axis, first: number, count: number): Tree {
  return split(
    name,
    axis,
    Array.from({ length: count }, (_, i) => first + i),
  );
}

/** Weights by the name of the split they belong to. */
export type NamedWeights = Readonly<Record<string, readonly number[]>>;

/**
 * The tree with the remembered weights in place of the layout's own. Remembered weights are by place:
 * those too many are ignored (and so are there again when a window comes back), a place without one has
 * the average, which is 1.
 */
export function withWeights(tree: Tree, named: NamedWeights): Tree {
  if (typeof tree === 'number' || Object.keys(named).length === 0) return tree;
  const remembered = named[tree.name];
  return {
    ...tree,
    weights: remembered ? tree.children.map((_, i) => remembered[i] ?? 1) : tree.weights,
    children: tree.children.map((child) => withWeights(child, named)),
  };
}

/** The weights that keep the given pixel sizes, on average 1. */
export function weightsOf(sizes: readonly number[]): number[] {
  const total = sizes.reduce((sum, size) => sum + size, 0);
  return sizes.map((size) => (size * sizes.length) / total);
}
