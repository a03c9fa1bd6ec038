import type { Size } from '../geometry/rect.ts';
import { LAYOUT_KINDS, type Layout, type LayoutKind } from '../profile/layout.ts';
import type { Tree } from '../tree/tree.ts';
import { columnsTree } from './columns.ts';
import { gridTree } from './grid.ts';
import { halvingTree } from './halving.ts';
import { LEAD_AND_REST, leadTree } from './lead.ts';
import { BOTH_SIDES, middleTree } from './middle.ts';
import { rowsTree } from './rows.ts';

/** What a layout can do; a key that needs something else says that it means nothing there. */
export interface Abilities {
  lead: boolean;
  leadCount: boolean;
  leadShare: boolean;
  turn: boolean;
  grow: boolean;
}

type LayoutOf<K extends LayoutKind> = Extract<Layout, { kind: K }>;

interface LayoutKindInfo<K extends LayoutKind> {
  title: string;
  can: Abilities;
  defaults: LayoutOf<K> & { kind: K };
  /** `area` is what is divided, after the outer gap. */
  tree: (count: number, layout: LayoutOf<K>, area: Size) => Tree;
}

const LED: Abilities = { lead: true, leadCount: true, leadShare: true, turn: true, grow: true };
const EVEN: Abilities = { ...LED, leadCount: false, leadShare: false };

/** What there is to know of each kind of layout. */
export const LAYOUTS: { [K in LayoutKind]: LayoutKindInfo<K> } = {
  lead: {
    title: 'Lead',
    can: LED,
    defaults: { kind: 'lead', side: 'left', leadCount: 1, leadShare: 0.5 },
    tree: leadTree,
  },
  middle: {
    title: 'Middle lead',
    can: LED,
    defaults: { kind: 'middle', axis: 'x', leadCount: 1, leadShare: 0.5 },
    tree: middleTree,
  },
  columns: {
    title: 'Columns',
    can: EVEN,
    defaults: { kind: 'columns', weights: [] },
    tree: columnsTree,
  },
  rows: {
    title: 'Rows',
    can: EVEN,
    defaults: { kind: 'rows', weights: [] },
    tree: rowsTree,
  },
  grid: {
    title: 'Even grid',
    can: { ...EVEN, turn: false },
    defaults: { kind: 'grid', cellAspect: 1.6 },
    tree: gridTree,
  },
  halving: {
    title: 'Halving',
    can: EVEN,
    defaults: { kind: 'halving', share: 0.5, firstAxis: 'x', turn: 'zigzag' },
    tree: halvingTree,
  },
};

export { LAYOUT_KINDS };

/** The split tree a layout makes of a number of tiled windows, at least 1, in an area. */
export function layoutTree(layout: Layout, count: number, area: Size): Tree {
  const tree = LAYOUTS[layout.kind].tree as (count: number, layout: Layout, area: Size) => Tree;
  return tree(count, layout, area);
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
  if (split !== LEAD_AND_REST) return null;
  const [first = 1, second = 1] = weights;
  const leadsLast = layout.kind === 'lead' && (layout.side === 'right' || layout.side === 'bottom');
  return (leadsLast ? second : first) / (first + second);
}

/** The split whose remembered weights stand in the place of the lead share, with the lead as second part. */
export const SHARE_SPLIT = BOTH_SIDES;
