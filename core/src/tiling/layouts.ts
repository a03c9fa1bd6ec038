import type { Axis } from '../values/direction.ts';
import type { Rect, Size } from '../geometry/rect.ts';
import type { ZoneBoard } from '../model/zone-board.ts';
import { LAYOUT_KINDS, parametersOf, type Layout, type LayoutKind } from '../values/layout.ts';
import { zoneRects } from './zone-board.ts';
import type { LayoutDefinition } from './layouts/definition.ts';
import { DEFINITIONS } from './layouts/registry.ts';
import { scattered } from './layouts/free.ts';
import { LEAD_AND_REST } from './layouts/lead.ts';
import { BOTH_SIDES } from './layouts/middle.ts';
import { solve, type Gap } from './solve.ts';
import type { Tree } from './tree.ts';

/** What keys can do in a layout. A command that needs an ability the layout lacks does nothing and says so. */
export interface Abilities {
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

type LayoutInfo<K extends LayoutKind> = LayoutDefinition<K> & { can: Abilities };

/** What there is to know of each kind of layout. */
export const LAYOUTS = Object.fromEntries(
  LAYOUT_KINDS.map((kind) => [kind, { ...DEFINITIONS[kind], can: abilitiesOf(kind) }]),
) as unknown as { [K in LayoutKind]: LayoutInfo<K> };

/** The definition of a layout, whichever kind it is. */
export function definitionOfLayout(layout: Layout): LayoutInfo<LayoutKind> {
  return LAYOUTS[layout.kind] as unknown as LayoutInfo<LayoutKind>;
}

/** The axis along which a layout with a lead area shares it. Throws a RangeError for a layout that has none. */
export function leadAxisOf(layout: Layout): Axis {
  const { leadAxis } = definitionOfLayout(layout);
  if (!leadAxis) throw new RangeError(`${layout.kind} has no lead area`);
  return leadAxis(layout);
}

function abilitiesOf(kind: LayoutKind): Abilities {
  const { tree, tiles, turn, byHand, hasZones } = DEFINITIONS[kind];
  const parameters = parametersOf(kind);
  const isByHand = byHand === true;
  const zones = hasZones === true;
  return {
    lead: tree !== undefined && !isByHand,
    leadCount: 'leadCount' in parameters,
    leadShare: 'leadShare' in parameters,
    turn: turn !== undefined || isByHand,
    grow: tree !== undefined || zones,
    order: tree !== undefined || tiles !== undefined,
    strips: 'strip' in parameters,
    zones,
  };
}

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
  board: ZoneBoard | null = null,
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
