import type { Layout, LayoutKind } from '../profile/layout.ts';
import type { Tree } from '../tree/tree.ts';
import { columnsTree } from './columns.ts';
import { LEAD_AND_REST, leadTree } from './lead.ts';

/** What a layout can do; a key that needs something else says that it means nothing there. */
export interface Abilities {
  lead: boolean;
  leadCount: boolean;
  leadShare: boolean;
  side: boolean;
  grow: boolean;
}

interface LayoutKindInfo<K extends LayoutKind> {
  title: string;
  can: Abilities;
  defaults: Extract<Layout, { kind: K }>;
  tree: (count: number, layout: Extract<Layout, { kind: K }>) => Tree;
}

/** Every kind of layout, in the order in which they are shown. */
export const LAYOUTS: { [K in LayoutKind]: LayoutKindInfo<K> } = {
  lead: {
    title: 'Lead',
    can: { lead: true, leadCount: true, leadShare: true, side: true, grow: true },
    defaults: { kind: 'lead', side: 'left', leadCount: 1, leadShare: 0.5 },
    tree: leadTree,
  },
  columns: {
    title: 'Columns',
    can: { lead: true, leadCount: false, leadShare: false, side: false, grow: true },
    defaults: { kind: 'columns', weights: [] },
    tree: columnsTree,
  },
};

export const LAYOUT_KINDS = Object.keys(LAYOUTS) as LayoutKind[];

/** The split tree a layout makes of a number of tiled windows, at least 1. */
export function layoutTree(layout: Layout, count: number): Tree {
  const tree = LAYOUTS[layout.kind].tree as (count: number, layout: Layout) => Tree;
  return tree(count, layout);
}

/**
 * A moved boundary as a parameter of the layout, where the layout has one for it; null where the split
 * just keeps its weights. So a lead widened by its edge and one widened by its share are the same thing.
 */
export function shareOfBoundary(
  layout: Layout,
  split: string,
  weights: readonly number[],
): number | null {
  if (layout.kind !== 'lead' || split !== LEAD_AND_REST) return null;
  const [first = 1, second = 1] = weights;
  const leadsFirst = layout.side === 'left' || layout.side === 'top';
  return (leadsFirst ? first : second) / (first + second);
}
