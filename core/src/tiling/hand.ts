import type { HandSplit, HandTree } from '../model/hand-tree.ts';
import type { Size } from '../geometry/rect.ts';
import type { Axis } from '../values/direction.ts';
import { split, type Tree } from './tree.ts';

/** The same tree, a split within the other, as it is worked on. */
export type HandNode = string | HandBranch;

interface HandBranch {
  axis: Axis;
  weights: readonly number[];
  children: readonly HandNode[];
}

/** Trees are read with every placement; each is taken apart and put together once. */
const nodes = new WeakMap<readonly HandSplit[], HandNode>();
const trees = new WeakMap<HandBranch, readonly HandSplit[]>();

/** A tree with its splits within each other. */
export function nested(tree: HandTree): HandNode {
  if (typeof tree === 'string') return tree;
  const known = nodes.get(tree);
  if (known !== undefined) return known;
  const node = (at: number): HandNode => {
    const { axis, weights, children } = tree[at]!;
    return {
      axis,
      weights,
      children: children.map((child) => (typeof child === 'string' ? child : node(child))),
    };
  };
  const whole = node(0);
  nodes.set(tree, whole);
  if (typeof whole !== 'string') trees.set(whole, tree);
  return whole;
}

/** A tree as it is kept. */
export function flattened(node: HandNode): HandTree {
  if (typeof node === 'string') return node;
  const known = trees.get(node);
  if (known) return known;
  const splits: HandSplit[] = [];
  const add = ({ axis, weights, children }: HandBranch): number => {
    const at = splits.length;
    splits.push({ axis, weights, children: [] });
    const parts = children.map((child) => (typeof child === 'string' ? child : add(child)));
    splits[at] = { axis, weights, children: parts };
    return at;
  };
  add(node);
  trees.set(node, splits);
  nodes.set(splits, node);
  return splits;
}

const EVEN = [1, 1] as const;

/** The axis along which a rectangle is the longer. */
export function longerAxis({ width, height }: Size): Axis {
  return width >= height ? 'x' : 'y';
}

/** A layout's tree as it stands, for hand-splitting from there. Weights of 0 become the least that counts. */
export function takenOver(tree: Tree, ids: readonly string[]): HandTree {
  const node = (part: Tree): HandNode =>
    typeof part === 'number'
      ? ids[part]!
      : {
          axis: part.axis,
          weights: part.weights.map((weight) => Math.max(weight, 1e-9)),
          children: part.children.map(node),
        };
  return flattened(node(tree));
}

/** Makes `id` share the place of the leaf `beside`, half and half, after it along the axis. */
export function dividedBy(tree: HandTree, beside: string, id: string, axis: Axis): HandTree {
  return flattened(divided(nested(tree), beside, id, axis));
}

function divided(node: HandNode, beside: string, id: string, axis: Axis): HandNode {
  return atLeaf(node, beside, (leaf) => ({ axis, weights: EVEN, children: [leaf, id] }));
}

function atLeaf(node: HandNode, id: string, change: (leaf: string) => HandNode): HandNode {
  if (typeof node === 'string') return node === id ? change(node) : node;
  const children = node.children.map((child) => atLeaf(child, id, change));
  return children.some((child, i) => child !== node.children[i]) ? { ...node, children } : node;
}

/** The tree with other windows at its leaves; those not named stay. */
export function renamed(tree: HandTree, names: ReadonlyMap<string, string>): HandTree {
  const called = (id: string) => names.get(id) ?? id;
  if (typeof tree === 'string') return called(tree);
  return tree.map((split) => ({
    ...split,
    children: split.children.map((child) => (typeof child === 'string' ? called(child) : child)),
  }));
}

/** The tree without a leaf; a split left with one child becomes that child. Undefined when nothing is left. */
export function withoutLeaf(tree: HandTree, id: string): HandTree | undefined {
  return keeping(tree, (leaf) => leaf !== id);
}

/** The tree with only some leaves; undefined when none is left. */
export function keeping(tree: HandTree, isKept: (id: string) => boolean): HandTree | undefined {
  const node = pruned(nested(tree), isKept);
  return node === undefined ? undefined : flattened(node);
}

function pruned(node: HandNode, isKept: (id: string) => boolean): HandNode | undefined {
  if (typeof node === 'string') return isKept(node) ? node : undefined;
  const weights: number[] = [];
  const children: HandNode[] = [];
  node.children.forEach((child, i) => {
    const kept = pruned(child, isKept);
    if (kept === undefined) return;
    children.push(kept);
    weights.push(node.weights[i]!);
  });
  if (children.length === node.children.length && children.every((c, i) => c === node.children[i]))
    return node;
  return children.length < 2 ? children[0] : { ...node, weights, children };
}

export function leavesOf(tree: HandTree): string[] {
  return leaves(nested(tree));
}

function leaves(node: HandNode): string[] {
  return typeof node === 'string' ? [node] : node.children.flatMap(leaves);
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
  let whole = tree === undefined ? undefined : nested(tree);
  const there = new Set(whole === undefined ? [] : leaves(whole));
  ids.forEach((id, i) => {
    if (there.has(id)) return;
    if (whole === undefined) whole = id;
    else {
      const beside = i > 0 ? ids[i - 1]! : leaves(whole).at(-1)!;
      whole = divided(whole, beside, id, longerAxis(shapeOf(whole, beside, area) ?? area));
    }
    there.add(id);
  });
  return whole === undefined ? undefined : flattened(whole);
}

/** About how large a leaf's tile is: by the weights alone, without gaps and minimums. */
export function shapeOfLeaf(tree: HandTree, id: string, area: Size): Size | null {
  return shapeOf(nested(tree), id, area);
}

function shapeOf(node: HandNode, id: string, area: Size): Size | null {
  if (typeof node === 'string') return node === id ? area : null;
  const sum = node.weights.reduce((total, weight) => total + weight, 0);
  for (const [i, child] of node.children.entries()) {
    const part = node.weights[i]! / sum;
    const shape =
      node.axis === 'x'
        ? { ...area, width: area.width * part }
        : { ...area, height: area.height * part };
    const found = shapeOf(child, id, shape);
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
  const shown = (node: HandNode, name: string): Tree | undefined => {
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
  return shown(nested(tree), 'hand');
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
  const way = name.split('.').slice(1).map(Number);
  const sized = atSplit(nested(tree), way, (node) => {
    const shown = node.children.map((child) => leaves(child).some(isShown));
    const before = node.weights.reduce((sum, weight, i) => sum + (shown[i] ? weight : 0), 0);
    const total = sizes.reduce((sum, size) => sum + size, 0);
    let next = 0;
    const weights = node.weights.map((weight, i) =>
      shown[i] ? (Math.max(sizes[next++]!, 1e-9) * before) / total : weight,
    );
    return { ...node, weights };
  });
  return flattened(sized);
}

function atSplit(
  node: HandNode,
  way: readonly number[],
  change: (node: HandBranch) => HandBranch,
): HandNode {
  if (typeof node === 'string') return node;
  const [at, ...further] = way;
  if (at === undefined) return change(node);
  return {
    ...node,
    children: node.children.map((child, i) => (i === at ? atSplit(child, further, change) : child)),
  };
}

/** The tree with the split around a leaf turned; undefined when no split is around it. */
export function turnedAround(tree: HandTree, id: string): HandTree | undefined {
  if (typeof tree === 'string' || !tree.some(({ children }) => children.includes(id)))
    return undefined;
  return tree.map((split) =>
    split.children.includes(id) ? { ...split, axis: split.axis === 'x' ? 'y' : 'x' } : split,
  );
}

/** The tree with every split's parts alike. */
export function evened(tree: HandTree): HandTree {
  if (typeof tree === 'string') return tree;
  return tree.map((split) => ({ ...split, weights: split.weights.map(() => 1) }));
}
