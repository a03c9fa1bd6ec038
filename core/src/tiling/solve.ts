import { shareInto, type ShareRoom } from '../geometry/length.ts';
import type { Rect, Size } from '../geometry/rect.ts';
import type { Split, Tree } from './tree.ts';

export interface Gap {
  x: number;
  y: number;
}

/**
 * A split tree laid flat for solving again and again: nodes are numbered breadth first, so the children
 * of a split stand side by side and always after it. All sizes in pixels.
 */
export interface FlatTree {
  /** The split of a node; null for a leaf. */
  splits: readonly (Split | null)[];
  /** Node of each window position. */
  leafNodes: number[];
  parents: number[];
  firstChild: number[];
  childCount: number[];
  /** Weight of a node in its parent. */
  weights: number[];
  /** Least size of a node along its parent's axis. */
  minimums: number[];
  minimumWidths: number[];
  minimumHeights: number[];
  /** 1 for a split along x, 0 for one along y. */
  alongX: number[];
  /** Weight of all children together. */
  weightSums: number[];
  /** From this length on (gaps taken off) no child of the split falls under its minimum. */
  easyLengths: number[];
  gap: Gap;
  room: ShareRoom;
}

/**
 * Lays a tree flat and adds up its minimums: along a split's axis the sum of its children's plus full
 * gaps, across it the largest of them.
 *
 * @param minimums least size of each window position, in pixels; missing ones count as 1 × 1
 */
export function flatten(tree: Tree, minimums: readonly Size[], gap: Gap): FlatTree {
  const nodes: Tree[] = [tree];
  const splits: (Split | null)[] = [];
  const parents = [-1];
  const weights = [1];
  let leaves = 0;
  // The list grows while it is gone through: children come after all nodes of their parent's depth.
  for (let i = 0; i < nodes.length; i++) {
    const node = nodes[i]!;
    if (typeof node === 'number') {
      splits.push(null);
      leaves++;
      continue;
    }
    splits.push(node);
    const { children } = node;
    for (let k = 0; k < children.length; k++) {
      nodes.push(children[k]!);
      parents.push(i);
      weights.push(node.weights[k]!);
    }
  }

  const count = nodes.length;
  // Plain lists: typed arrays of this length are made ten times as slowly, and are read no faster.
  const zeros = () => new Array<number>(count).fill(0);
  const flat: FlatTree = {
    splits,
    leafNodes: new Array<number>(leaves).fill(0),
    parents,
    firstChild: zeros(),
    childCount: zeros(),
    weights,
    minimums: zeros(),
    minimumWidths: zeros(),
    minimumHeights: zeros(),
    alongX: zeros(),
    weightSums: zeros(),
    easyLengths: zeros(),
    gap,
    room: { starts: [], ends: [], sizes: [] },
  };
  let first = 1;
  for (let i = 0; i < count; i++) {
    const node = splits[i];
    flat.firstChild[i] = first;
    if (!node) continue;
    first += node.children.length;
    flat.childCount[i] = node.children.length;
    if (node.axis === 'x') flat.alongX[i] = 1;
  }
  for (let i = count - 1; i >= 0; i--) {
    const node = nodes[i]!;
    if (typeof node === 'number') {
      flat.leafNodes[node] = i;
      const minimum = minimums[node];
      flat.minimumWidths[i] = Math.max(1, minimum?.width ?? 1);
      flat.minimumHeights[i] = Math.max(1, minimum?.height ?? 1);
    } else {
      sumMinimums(flat, i);
    }
  }
  return flat;
}

function sumMinimums(flat: FlatTree, node: number): void {
  const { minimumWidths, minimumHeights, weights, gap } = flat;
  const alongX = flat.alongX[node] === 1;
  const along = alongX ? minimumWidths : minimumHeights;
  const across = alongX ? minimumHeights : minimumWidths;
  const from = flat.firstChild[node]!;
  const to = from + flat.childCount[node]!;
  let sum = (alongX ? gap.x : gap.y) * (to - from - 1);
  let largest = 1;
  let weightSum = 0;
  for (let i = from; i < to; i++) {
    sum += along[i]!;
    largest = Math.max(largest, across[i]!);
    weightSum += weights[i]!;
    flat.minimums[i] = along[i]!;
  }
  let easy = to - from;
  for (let i = from; i < to; i++) {
    easy = Math.max(easy, (along[i]! * weightSum) / weights[i]!);
  }
  along[node] = sum;
  across[node] = largest;
  flat.weightSums[node] = weightSum;
  flat.easyLengths[node] = easy;
}

/** An array for `solveInto`: x, y, width, height of each node. */
export function rectsFor(flat: FlatTree): number[] {
  return new Array<number>(flat.splits.length * 4).fill(0);
}

/**
 * Gives every node of the tree its rectangle. Allocates nothing.
 * @param rects from `rectsFor`; entries 4·i … 4·i + 3 become node i's x, y, width and height
 * @returns how many splits have fewer pixels than parts; see `positionsOver`
 */
export function solveInto(flat: FlatTree, area: Rect, rects: number[]): number {
  const { firstChild, childCount, weights, minimums, alongX, weightSums, easyLengths, room } = flat;
  const { x: gapX, y: gapY } = flat.gap;
  const nodes = childCount.length;
  let crowded = 0;
  rects[0] = area.x;
  rects[1] = area.y;
  rects[2] = area.width;
  rects[3] = area.height;

  for (let node = 0; node < nodes; node++) {
    const count = childCount[node]!;
    if (count === 0) continue;
    // Offsets within a rectangle: start and size along the axis, start and size across it.
    const start = 1 - alongX[node]!;
    const gap = start === 0 ? gapX : gapY;
    const own = node * 4;
    const origin = rects[own + start]!;
    const length = rects[own + start + 2]!;
    const across = rects[own + 1 - start]!;
    const acrossSize = rects[own + 3 - start]!;
    const from = firstChild[node]!;
    const available = length - gap * (count - 1);

    if (available >= easyLengths[node]!) {
      // No part falls under its minimum: the fill of `fillSizes` ends after one round.
      const weightSum = weightSums[node]!;
      let sum = 0;
      let position = 0;
      let offset = origin;
      let to = from * 4;
      const last = to + (count - 1) * 4;
      for (let child = from; to <= last; child++, to += 4) {
        sum += (available * weights[child]!) / weightSum;
        const next = to === last ? available : Math.floor(sum + 0.500001);
        rects[to + start] = position + offset;
        rects[to + start + 2] = next - position;
        rects[to + 1 - start] = across;
        rects[to + 3 - start] = acrossSize;
        position = next;
        offset += gap;
      }
      continue;
    }
    if (length < count) crowded++;
    shareInto(length, gap, weights, minimums, from, count, room);
    for (let i = 0, to = from * 4; i < count; i++, to += 4) {
      rects[to + start] = origin + room.starts[i]!;
      rects[to + start + 2] = room.ends[i]! - room.starts[i]!;
      rects[to + 1 - start] = across;
      rects[to + 3 - start] = acrossSize;
    }
  }
  return crowded;
}

/** The window positions for which no pixel is left: those in the parts of a split that are more than its pixels. */
export function positionsOver(flat: FlatTree, rects: number[]): number[] {
  const isOver = new Array<number>(flat.splits.length).fill(0);
  flat.splits.forEach((split, node) => {
    const { width, height } = rectOf(rects, node);
    const pixels = split?.axis === 'x' ? width : height;
    split?.children.forEach((_, i) => {
      isOver[flat.firstChild[node]! + i] = isOver[node]! | Number(i >= pixels);
    });
  });
  return [...flat.leafNodes.keys()].filter((position) => isOver[flat.leafNodes[position]!]);
}

/** Node i's rectangle out of what `solveInto` wrote. */
export function rectOf(rects: number[], node: number): Rect {
  const at = node * 4;
  return { x: rects[at]!, y: rects[at + 1]!, width: rects[at + 2]!, height: rects[at + 3]! };
}

/** The tile of every window position. */
export function tilesOf(flat: FlatTree, rects: number[]): Rect[] {
  const tiles: Rect[] = [];
  for (let i = 0; i < flat.leafNodes.length; i++) tiles.push(rectOf(rects, flat.leafNodes[i]!));
  return tiles;
}

/** Divides an area by a tree: one tile for each window position. */
export function solve(tree: Tree, area: Rect, gap: Gap, minimums: readonly Size[]): Rect[] {
  const flat = flatten(tree, minimums, gap);
  const rects = rectsFor(flat);
  solveInto(flat, area, rects);
  return tilesOf(flat, rects);
}

/** True when every window can have its minimum at once: the whole tree's fits the area in both axes. */
export function minimumsCanBeMet(flat: FlatTree, area: Size): boolean {
  return flat.minimumWidths[0]! <= area.width && flat.minimumHeights[0]! <= area.height;
}
