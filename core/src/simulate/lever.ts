import { arrangeAs } from '../engine/arrange.ts';
import type { ArrangedWorkspace } from '../engine/arranged-workspace.ts';
import { presentLeadShare } from '../engine/commands/shares.ts';
import { handOf } from '../engine/commands/split.ts';
import { arrangementOf, withAdjusted } from '../engine/session.ts';
import { span } from '../geometry/rect.ts';
import { round } from '../geometry/round.ts';
import type { Arrangement, Session } from '../model/session.ts';
import { withSizes } from '../tiling/hand.ts';
import { LAYOUTS, SHARE_SPLIT, leadAxisOf } from '../tiling/layouts.ts';
import { rectOf } from '../tiling/solve.ts';
import { weightsOf } from '../tiling/tree.ts';
import { axisOf, isForward, type Direction, type Axis } from '../values/direction.ts';
import type { LayoutField } from '../values/layout.ts';

/**
 * The one length that decides most about an arrangement: the layout's share, or, where it has none, the
 * boundary at the focused window's edge. It can be tried at any share without being moved.
 */
export interface Lever {
  /** The parameter of the layout that it is, or the edge of the focused window. */
  of: { field: Exclude<LayoutField, 'kind'> } | { edge: Direction; window: string };
  /** The axis along which it divides; null where it works on both. */
  axis: Axis | null;
  /** Where it is now, from 0 to 1. */
  present: number;
  /** How far the edge would move outwards to a share, in logical pixels; 0 for a parameter. */
  edgeBy: (share: number) => number;
  /** The windows as they would be arranged with it at a share. */
  at: (share: number) => ArrangedWorkspace;
}

/** The lever of a workspace as it is arranged; null where there is nothing to move. */
export function leverOf(session: Session, arranged: ArrangedWorkspace): Lever | null {
  return shareLever(session, arranged) ?? boundaryLever(session, arranged);
}

function shareLever(session: Session, arranged: ArrangedWorkspace): Lever | null {
  const { tiling, tiled, overflow, workspace, monitor } = arranged;
  const { layout } = tiling;
  const count = tiled.length + overflow.length;
  const there = arrangementOf(session, workspace, monitor.id);
  const at = (field: 'leadShare' | 'share') => (share: number) =>
    arrangeAs(session, arranged, {
      tiling: { ...tiling, layout: { ...layout, [field]: share } as typeof layout },
      arrangement: withoutSplit(there, layout.kind, SHARE_SPLIT),
    });
  const lever = { edgeBy: () => 0 };
  if ('leadShare' in layout) {
    if (count <= layout.leadCount) return null;
    const axis = leadAxisOf(layout);
    const of = { field: 'leadShare' } as const;
    const present = presentLeadShare(layout, there.adjusted?.[layout.kind] ?? {})!;
    return { ...lever, of, axis, present, at: at('leadShare') };
  }
  if (!('share' in layout) || count < (layout.kind === 'cascade' ? 1 : 2)) return null;
  return { ...lever, of: { field: 'share' }, axis: null, present: layout.share, at: at('share') };
}

function withoutSplit(
  arrangement: Arrangement,
  kind: keyof NonNullable<Arrangement['adjusted']>,
  split: string,
): Arrangement {
  const { moved, ...kept } = arrangement.adjusted?.[kind] ?? {};
  if (!moved?.[split]) return arrangement;
  const { [split]: _dropped, ...others } = moved;
  const rest = Object.keys(others).length > 0 ? { ...kept, moved: others } : kept;
  return withAdjusted(arrangement, kind, rest);
}

/** The edges of a window, in the order in which one with a boundary is looked for. */
const EDGES: readonly Direction[] = ['right', 'left', 'down', 'up'];

/** The boundary that growing the focused window would move: at its right, else its left, lower or upper edge. */
function boundaryLever(session: Session, arranged: ArrangedWorkspace): Lever | null {
  const { solved, tiled, tiling, monitor } = arranged;
  if (!solved || !LAYOUTS[tiling.layout.kind].can.grow) return null;
  const focused = tiled.findIndex(({ id }) => id === session.focus);
  const position = Math.max(0, focused);
  const window = tiled[position];
  if (!window) return null;
  const { flat, rects } = solved;
  for (const edge of EDGES) {
    const axis = axisOf(edge);
    const towards = isForward(edge) ? 1 : -1;
    let node = flat.leafNodes[position]!;
    for (; flat.parents[node]! >= 0; node = flat.parents[node]!) {
      const parent = flat.parents[node]!;
      const split = flat.splits[parent]!;
      const from = flat.firstChild[parent]!;
      const own = node - from;
      const other = own + towards;
      if (split.axis !== axis || other < 0 || other >= split.children.length) continue;
      const sizes = split.children.map((_, i) => span(rectOf(rects, from + i), axis).length);
      const both = sizes[own]! + sizes[other]!;
      const sizesAt = (share: number) => {
        const length = Math.min(both - 1, Math.max(1, round(both * share)));
        return sizes.map((size, i) => (i === own ? length : i === other ? both - length : size));
      };
      return {
        of: { edge, window: window.id },
        axis,
        present: sizes[own]! / both,
        edgeBy: (share) => round((sizesAt(share)[own]! - sizes[own]!) / monitor.scale),
        at: (share) => withBoundary(session, arranged, split.name, sizesAt(share)),
      };
    }
  }
  return null;
}

function withBoundary(
  session: Session,
  arranged: ArrangedWorkspace,
  split: string,
  sizes: readonly number[],
): ArrangedWorkspace {
  const { workspace, monitor, tiled, tiling } = arranged;
  const { kind } = tiling.layout;
  const there = arrangementOf(session, workspace, monitor.id);
  if (kind === 'split') {
    const shown = new Set(tiled.map(({ id }) => id));
    const { hand } = handOf(there, arranged);
    const moved = withSizes(hand!, split, weightsOf([...sizes]), (id) => shown.has(id));
    return arrangeAs(session, arranged, { arrangement: { ...there, hand: moved } });
  }
  const adjusted = there.adjusted?.[kind] ?? {};
  const moved = { ...adjusted.moved, [split]: weightsOf([...sizes]) };
  return arrangeAs(session, arranged, {
    arrangement: withAdjusted(there, kind, { ...adjusted, moved }),
  });
}
