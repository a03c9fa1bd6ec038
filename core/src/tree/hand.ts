import type { Axis, Size } from '../geometry/rect.ts';
import { split, type Tree } from './tree.ts';

/**
 * A split tree that a person makes by hand: its leaves are window ids, and it keeps them while a window
 * is away for a moment (floating, minimised, pocketed), so that it comes back to its place.
 */
export type HandTree = string | HandSplit;

export interface HandSplit {
  axis: Axis;
  /** One per child, above 0. */
  weights: readonly number[];
  children: readonly HandTree[];
}

const EVEN = [1, 1] as const;

/** The axis along which a rectangle is the longer. */
export function longerAxis({ width, height }: Size): Axis {
  return width >= height ? 'x' : 'y';
}

/** A layout's tree as it stands, for hand-splitting from there. Weights of 0 become the least that counts. */
export function takenOver(tree: Tree, ids: readonly string[]): HandTree {
  if (typeof tree === 'number') return ids[tree]!;
  return {
    axis: tree.axis,
    weights: tree.weights.map((weight) => Math.max(weight, 1e-9)),
    children: tree.children.map((child) => takenOver(child, ids)),
  };
}

/** Makes `id` share the place of the leaf `beside`, half and half, after it along the axis. */
export function dividedBy(tree: HandTree, beside: string, id: string, axis: Axis): HandTree {
  return atLeaf(tree, beside, (leaf) => ({ axis, weights: EVEN, children: [leaf, id] }));
}

function atLeaf(tree: HandTree, id: string, change: (leaf: string) => HandTree): HandTree {
  if (typeof tree === 'string') return tree === id ? change(tree) : tree;
  const children = tree.children.map((child) => atLeaf(child, id, change));
  return children.some((child, i) => child !== tree.children[i]) ? { ...tree, children } : tree;
}

/** The tree with other windows at its leaves; those not named stay. */
export function renamed(tree: HandTree, names: ReadonlyMap<string, string>): HandTree {
  if (typeof tree === 'string') return names.get(tree) ?? tree;
  return { ...tree, children: tree.children.map((child) => renamed(child, names)) };
}

/** The tree without a leaf; a split left with one child becomes that child. Undefined when nothing is left. */
export function withoutLeaf(tree: HandTree, id: string): HandTree | undefined {
  return pruned(tree, (leaf) => leaf !== id);
}

function pruned(tree: HandTree, isKept: (id: string) => boolean): HandTree | undefined {
  if (typeof tree === 'string') return isKept(tree) ? tree : undefined;
  const weights: number[] = [];
  const children: HandTree[] = [];
  tree.children.forEach((child, i) => {
    const kept = pruned(child, isKept);
    if (kept === undefined) return;
    children.push(kept);
    weights.push(tree.weights[i]!);
  });
  if (children.length === tree.children.length && children.every((c, i) => c === tree.children[i]))
    return tree;
  return children.length < 2 ? children[0] : { ...tree, weights, children };
}

export function leavesOf(tree: HandTree): string[] {
  return typeof tree === 'string' ? [tree] : tree.children.flatMap(leavesOf);
}

/**
 * The tree with a leaf for every window: one that has none divides the window before it in the order
 * along that one's longer side, as if it had opened while that one had the focus.
 */
export function completed(
  tree: HandTree | undefined,
  ids: readonly string[],
  area: Size,
): HandTree | undefined {
  const there = new Set(tree === undefined ? [] : leavesOf(tree));
  let whole = tree;
  ids.forEach((id, i) => {
    if (there.has(id)) return;
    if (whole === undefined) whole = id;
    else {
      const beside = i > 0 ? ids[i - 1]! : leavesOf(whole).at(-1)!;
      whole = dividedBy(whole, beside, id, longerAxis(shapeOfLeaf(whole, beside, area) ?? area));
    }
    there.add(id);
  });
  return whole;
}

/** About how large a leaf's tile is: by the weights alone, without gaps and minimums. */
export function shapeOfLeaf(tree: HandTree, id: string, area: Size): Size | null {
  if (typeof tree === 'string') return tree === id ? area : null;
  const sum = tree.weights.reduce((total, weight) => total + weight, 0);
  for (const [i, child] of tree.children.entries()) {
    const part = tree.weights[i]! / sum;
    const shape =
      tree.axis === 'x'
        ? { ...area, width: area.width * part }
        : { ...area, height: area.height * part };
    const found = shapeOfLeaf(child, id, shape);
    if (found) return found;
  }
  return null;
}

/**
 * The tree that is solved: only windows that are tiled now, as their positions in the order. Splits are
 * named by the way to them, "hand.0.1".
 */
export function shownTree(tree: HandTree, ids: readonly string[]): Tree | undefined {
  const positions = new Map(ids.map((id, i) => [id, i]));
  const shown = (node: HandTree, name: string): Tree | undefined => {
    if (typeof node === 'string') return positions.get(node);
    const weights: number[] = [];
    const children: Tree[] = [];
    node.children.forEach((child, i) => {
      const part = shown(child, `${name}.${i}`);
      if (part === undefined) return;
      children.push(part);
      weights.push(node.weights[i]!);
    });
    return children.length === 0 ? undefined : split(name, node.axis, children, weights);
  };
  return shown(tree, 'hand');
}

/**
 * The tree with the sizes of a split's shown parts as their weights. Parts that are away keep their
 * proportion to the others.
 *
 * @param name the split's, as in `shownTree`
 */
export function withSizes(
  tree: HandTree,
  name: string,
  sizes: readonly number[],
  isShown: (id: string) => boolean,
): HandTree {
  return atSplit(tree, name.split('.').slice(1).map(Number), (node) => {
    const shown = node.children.map((child) => leavesOf(child).some(isShown));
    const before = node.weights.reduce((sum, weight, i) => sum + (shown[i] ? weight : 0), 0);
    const total = sizes.reduce((sum, size) => sum + size, 0);
    let next = 0;
    const weights = node.weights.map((weight, i) =>
      shown[i] ? (Math.max(sizes[next++]!, 1e-9) * before) / total : weight,
    );
    return { ...node, weights };
  });
}

function atSplit(
  tree: HandTree,
  way: readonly number[],
  change: (node: HandSplit) => HandSplit,
): HandTree {
  if (typeof tree === 'string') return tree;
  const [at, ...further] = way;
  if (at === undefined) return change(tree);
  return {
    ...tree,
    children: tree.children.map((child, i) => (i === at ? atSplit(child, further, change) : child)),
  };
}

/** The tree with the split around a leaf turned; undefined when no split is around it. */
export function turnedAround(tree: HandTree, id: string): HandTree | undefined {
  if (typeof tree === 'string') return undefined;
  if (tree.children.includes(id)) return { ...tree, axis: tree.axis === 'x' ? 'y' : 'x' };
  for (const [i, child] of tree.children.entries()) {
    const turned = turnedAround(child, id);
    if (turned === undefined) continue;
    return { ...tree, children: tree.children.map((other, k) => (k === i ? turned : other)) };
  }
  return undefined;
}

/** The tree with every split's parts alike. */
export function evened(tree: HandTree): HandTree {
  if (typeof tree === 'string') return tree;
  return { ...tree, weights: tree.weights.map(() => 1), children: tree.children.map(evened) };
}
