import type { Rect, Size } from '../geometry/rect.ts';
import type { Board } from '../model/board.ts';
import { type Layout, type LayoutKind } from '../values/layout.ts';
import { zoneRects } from './board.ts';
import { cascadeTiles } from './layouts/cascade.ts';
import { columnsTree } from './layouts/columns.ts';
import { scattered } from './layouts/free.ts';
import { gridTree } from './layouts/grid.ts';
import { halvingTree } from './layouts/halving.ts';
import { LEAD_AND_REST, leadTree } from './layouts/lead.ts';
import { BOTH_SIDES, middleTree } from './layouts/middle.ts';
import { rowsTree } from './layouts/rows.ts';
import { singleTiles } from './layouts/single.ts';
import { unsaidTree } from './layouts/split.ts';
import { solve, type Gap } from './solve.ts';
import type { Tree } from './tree.ts';

/** What a layout can do; a key that needs something else says that it means nothing there. */
interface Abilities {
  lead: boolean;
  leadCount: boolean;
  leadShare: boolean;
  turn: boolean;
  grow: boolean;
  /** Windows stand in an order, and can be exchanged in it. */
  order: boolean;
  strips: boolean;
  /** Windows have zones, and move from one to another. */
  zones: boolean;
}

type LayoutOf<K extends LayoutKind> = Extract<Layout, { kind: K }>;

interface LayoutKindInfo<K extends LayoutKind> {
  title: string;
  can: Abilities;
  defaults: LayoutOf<K> & { kind: K };
  /** How a dividing layout divides; `area` is what is divided, after the outer gap. */
  tree?: (count: number, layout: LayoutOf<K>, area: Size) => Tree;
  /** The tiles of a layout that lets them lie over each other. `scale` is the monitor's. */
  tiles?: (count: number, layout: LayoutOf<K>, area: Rect, scale: number) => Rect[];
}

const LED: Abilities = {
  lead: true,
  leadCount: true,
  leadShare: true,
  turn: true,
  grow: true,
  order: true,
  strips: false,
  zones: false,
};
const EVEN: Abilities = { ...LED, leadCount: false, leadShare: false };
const OVERLAID: Abilities = { ...EVEN, lead: false, turn: false, grow: false };

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
  split: {
    title: 'Hand-split',
    can: { ...EVEN, lead: false },
    defaults: { kind: 'split' },
    tree: unsaidTree,
  },
  single: {
    title: 'One at a time',
    can: { ...OVERLAID, turn: true, strips: true },
    defaults: { kind: 'single', strip: 'none', stripSize: 28 },
    tiles: (count, layout, area, scale) => singleTiles(count, layout, area, scale).tiles,
  },
  cascade: {
    title: 'Cascade',
    can: OVERLAID,
    defaults: { kind: 'cascade', share: 0.7, step: 32 },
    tiles: cascadeTiles,
  },
  // Its zones are the profile's, and its windows keep theirs: see zones/divided.ts.
  board: {
    title: 'Zone board',
    can: { ...OVERLAID, order: false, grow: true, zones: true },
    defaults: { kind: 'board', whenFull: 'share' },
  },
  free: {
    title: 'Free',
    can: { ...OVERLAID, order: false },
    defaults: { kind: 'free' },
  },
};

/** True for layouts that turn the list of windows into a split tree. */
export function isDividing({ kind }: Layout): boolean {
  return LAYOUTS[kind].tree !== undefined;
}

/** The split tree a dividing layout makes of a number of tiled windows, at least 1, in an area. */
export function layoutTree(layout: Layout, count: number, area: Size): Tree {
  const tree = LAYOUTS[layout.kind].tree as
    ((count: number, layout: Layout, area: Size) => Tree) | undefined;
  if (!tree) throw new RangeError(`${layout.kind} divides nothing`);
  return tree(count, layout, area);
}

/** The tiles of a layout that lets them lie over each other; null when it gives none, or divides. */
export function overlaidTiles(
  layout: Layout,
  count: number,
  area: Rect,
  scale: number,
): Rect[] | null {
  const tiles = LAYOUTS[layout.kind].tiles as
    ((count: number, layout: Layout, area: Rect, scale: number) => Rect[]) | undefined;
  return tiles ? tiles(count, layout, area, scale) : null;
}

/**
 * A small drawing of a layout: how it arranges windows without hints.
 *
 * @param shape the area that is really divided: it decides how a grid or a halving falls out
 * @param into the drawing's area; `scale` is its pixels for one logical pixel
 * @param board the one that is meant where the layout is a zone board
 */
export function sampleTiles(
  layout: Layout,
  count: number,
  shape: Size,
  into: Rect,
  gap: Gap,
  scale: number,
  board: Board | null = null,
): Rect[] {
  if (layout.kind === 'board' && board) return zoneRects(board, into, gap).slice(0, count);
  if (isDividing(layout)) return solve(layoutTree(layout, count, shape), into, gap, []);
  return overlaidTiles(layout, count, into, scale) ?? scattered(count, into);
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
