import type { Size } from '@sorn/core/geometry';
import { flatten, rectsFor, solveInto, type Split, type Tree } from '@sorn/core/tiling';
import { hierarchy, treemap, treemapSliceDice, type HierarchyRectangularNode } from 'd3-hierarchy';
import Yoga, { Edge, FlexDirection, Gutter, type Node as YogaNode } from 'yoga-layout';

export const GAP = 10;

/** Lays the same tree out at a width; returns a size out of it, so that nothing can be left out. */
export type Relayout = (width: number) => number;

/** Sorn's solver, minimums and gaps on. */
export function sorn(tree: Split, height: number, minimums: readonly Size[]): Relayout {
  const flat = flatten(tree, minimums, { x: GAP, y: GAP });
  const rects = rectsFor(flat);
  const area = { x: 0, y: 0, width: 0, height };
  return (width) => {
    area.width = width;
    solveInto(flat, area, rects);
    return rects[rects.length - 2]!;
  };
}

/** yoga-layout: a flex box for each split, with the weights as flex-grow, gaps and minimums. */
export function yoga(tree: Split, height: number, minimums: readonly Size[]): Relayout {
  let last: YogaNode | undefined;
  const build = (node: Tree, weight: number): YogaNode => {
    const box = Yoga.Node.create();
    box.setFlexGrow(weight);
    box.setFlexShrink(1);
    box.setFlexBasis(0);
    if (typeof node === 'number') {
      box.setMinWidth(minimums[node]!.width);
      box.setMinHeight(minimums[node]!.height);
      last = box;
      return box;
    }
    box.setFlexDirection(node.axis === 'x' ? FlexDirection.Row : FlexDirection.Column);
    box.setGap(Gutter.All, GAP);
    box.setPadding(Edge.All, 0);
    node.children.forEach((child, i) => box.insertChild(build(child, node.weights[i]!), i));
    return box;
  };
  const root = build(tree, 1);
  root.setHeight(height);
  return (width) => {
    root.setWidth(width);
    root.calculateLayout(width, height);
    return last!.getComputedWidth();
  };
}

/** d3-hierarchy's slice-and-dice treemap with inner padding and rounding; it knows no minimums. */
export function d3(tree: Split, height: number): Relayout {
  const childrenOf = (node: Tree) => (typeof node === 'number' ? null : [...node.children]);
  const root = hierarchy<Tree>(tree, childrenOf) as HierarchyRectangularNode<Tree>;
  // A node's value is its share of the whole: what summing leaves made from the weights would give.
  root.eachBefore((node) => {
    const parent = node.parent?.data as Split | undefined;
    const total = parent?.weights.reduce((sum, weight) => sum + weight, 0) ?? 1;
    const at = node.parent?.children?.indexOf(node) ?? 0;
    const value = ((node.parent?.value ?? 1) * (parent?.weights[at] ?? 1)) / total;
    Object.assign(node, { value });
  });
  const lay = treemap<Tree>().tile(treemapSliceDice).paddingInner(GAP).round(true);
  const leaves = root.leaves();
  const last = leaves[leaves.length - 1]!;
  return (width) => {
    lay.size([width, height])(root);
    return last.x1 - last.x0;
  };
}
