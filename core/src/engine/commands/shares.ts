import isEqual from 'fast-deep-equal';
import type { CommandFunctions } from './command-functions.ts';
import { span } from '../../geometry/rect.ts';
import type { Adjusted, Session } from '../../model/session.ts';
import { evened } from '../../tiling/hand.ts';
import { LAYOUTS, SHARE_SPLIT, leadAxisOf } from '../../tiling/layouts.ts';
import type { Layout } from '../../values/layout.ts';
import { arrange, tilingInForce } from '../arrange.ts';
import {
  arrangementOf,
  applied,
  noop,
  shownOn,
  withAdjusted,
  withArrangement,
  type Outcome,
  type CommandContext,
} from '../session.ts';
import { withEdgesBack } from './edges.ts';
import { handOf } from './split.ts';

const SHARE_STEP = 0.02;
const LEAST_SHARE = 0.05;
const MOST_SHARE = 0.95;

/** The workspace and monitor that commands without a window work on. */
export function focusedArrangement(session: Session): { workspace: string; monitor: string } {
  return {
    workspace: shownOn(session, session.focusMonitor),
    monitor: session.focusMonitor,
  };
}

function tilingInFocus({ session, profile }: CommandContext) {
  const { workspace, monitor } = focusedArrangement(session);
  return tilingInForce(profile, session, workspace, monitor);
}

/** Adjusts the layout that is in force where the focus is. */
export function adjust(
  { session, profile }: CommandContext,
  change: (adjusted: Adjusted) => Adjusted,
): Session {
  const { workspace, monitor } = focusedArrangement(session);
  const { kind } = tilingInForce(profile, session, workspace, monitor).layout;
  return withArrangement(session, workspace, monitor, (arrangement) =>
    withAdjusted(arrangement, kind, change(arrangement.adjusted?.[kind] ?? {})),
  );
}

/** Where the focus is: the layout, and what of it was moved by key. */
function layoutInFocus(context: CommandContext): { layout: Layout; adjusted: Adjusted } {
  const { session } = context;
  const { workspace, monitor } = focusedArrangement(session);
  const { layout } = tilingInFocus(context);
  const adjusted = arrangementOf(session, workspace, monitor).adjusted?.[layout.kind] ?? {};
  return { layout, adjusted };
}

/** The lead share as it is seen: what the boundaries beside a lead in the middle were moved to, else the parameter. */
export function presentLeadShare(layout: Layout, { moved: bySplit }: Adjusted): number | null {
  if (!('leadShare' in layout)) return null;
  const moved = bySplit?.[SHARE_SPLIT];
  if (!moved) return layout.leadShare;
  return moved[1]! / moved.reduce((sum, weight) => sum + weight, 0);
}

/** The edge of the leads as it stands: how long they are, and the length that they share with the rest. */
interface LeadEdge {
  length: number;
  shared: number;
  /** Leads in the middle have rest on both sides, and two edges that go together. */
  isDouble: boolean;
}

/** Where the edge between leads and rest stands; null where there is none. */
function leadEdge(context: CommandContext): LeadEdge | null {
  const { workspace, monitor } = focusedArrangement(context.session);
  const { tiles, area, gap, tiling } = arrange(context, workspace, monitor);
  const { layout } = tiling;
  if (!('leadCount' in layout) || !tiles || tiles.length <= layout.leadCount) return null;
  const isDouble = layout.kind === 'middle' && tiles.length - layout.leadCount > 1;
  const axis = leadAxisOf(layout);
  const shared = span(area, axis).length - gap[axis] * (isDouble ? 2 : 1);
  return shared > 0 ? { length: span(tiles[0]!, axis).length, shared, isDouble } : null;
}

/**
 * The share in force: what is set, but where a minimum is in the way of a single edge, that which the edge stands
 * at. Two edges have no share of their own where one of them is stopped.
 */
function shareInForce(edge: LeadEdge | null, set: number): number {
  if (!edge || edge.isDouble) return set;
  const isStopped = Math.abs(edge.length - set * edge.shared) > 1;
  return isStopped ? edge.length / edge.shared : set;
}

/**
 * lead-share-more (1) and lead-share-less (−1): 0.02 at a time within 0.05 – 0.95, and no further than minimums let
 * the edge go. What is kept is the share in force, and the next step goes on from there.
 */
function stepLeadShare(context: CommandContext, direction: 1 | -1): Outcome {
  const { session } = context;
  const { layout, adjusted } = layoutInFocus(context);
  const set = presentLeadShare(layout, adjusted);
  if (set === null) return noop(session, `${LAYOUTS[layout.kind].title} has no lead share`);
  const before = leadEdge(context);
  const leadShare = shareInForce(before, set);
  // Of two edges both may be stopped for some steps: the first share that moves them is meant.
  for (let steps = 1; ; steps++) {
    const far = leadShare + steps * direction * SHARE_STEP;
    const wanted = Number(Math.min(MOST_SHARE, Math.max(LEAST_SHARE, far)).toFixed(6));
    if ((wanted - leadShare) * direction <= 0)
      return noop(session, `the lead share is at its ${direction > 0 ? 'most' : 'least'}`);
    const next = withLeadShare(context, wanted);
    const edge = leadEdge({ ...context, session: next });
    const share = shareInForce(edge, wanted);
    const isMoved = !before || !edge || (edge.length - before.length) * direction > 0;
    // A step of less than a pixel is kept for the next ones.
    if (isMoved || (!edge.isDouble && share === wanted)) {
      const said = leadShareSaid(share, leadShare);
      if (share === wanted) return applied(next, said);
      const because = `${said.because}; a minimum stops the edge there`;
      return applied(withLeadShare(context, share), { ...said, because });
    }
    if (before.isDouble && Math.abs(wanted - far) < 1e-5) continue;
    const at = shareText(before.length / before.shared);
    return noop(session, `the edge stops at ${at}: no minimum lets it go further`);
  }
}

function leadShareSaid(share: number, before: number) {
  return { decided: `lead share ${shareText(share)}`, because: `it was ${shareText(before)}` };
}

function withLeadShare(context: CommandContext, share: number): Session {
  return adjust(context, ({ moved = {}, ...kept }) => {
    const { [SHARE_SPLIT]: _share, ...others } = moved;
    const remaining = Object.keys(others).length > 0 ? { moved: others } : {};
    return { ...kept, ...remaining, leadShare: Number(share.toFixed(6)) };
  });
}

/** A share with at most three decimals. */
function shareText(share: number): string {
  return String(Number(share.toFixed(3)));
}

/** lead-count-more (1) and lead-count-less (−1), from 1 to as many as there are tiled windows. */
function stepLeadCount(context: CommandContext, direction: 1 | -1): Outcome {
  const { session } = context;
  const { layout } = layoutInFocus(context);
  if (!('leadCount' in layout)) {
    return noop(session, `${LAYOUTS[layout.kind].title} has no lead count`);
  }
  const { workspace, monitor } = focusedArrangement(session);
  const windows = arrange(context, workspace, monitor).tiled.length;
  const { leadCount } = layout;
  if (direction > 0 && leadCount >= windows) return noop(session, 'all windows lead already');
  if (direction < 0 && leadCount <= 1) return noop(session, 'one window leads already');
  // A count beyond the windows that are there looks like all of them: less steps down from what is seen.
  const seen = direction < 0 ? Math.min(leadCount, Math.max(1, windows)) : leadCount;
  const next = Math.max(1, seen + direction);
  return applied(
    adjust(context, (adjusted) => ({ ...adjusted, leadCount: next })),
    { decided: `lead count ${next}`, because: `it was ${leadCount}` },
  );
}

/** Makes all parts of every hand-made split equal. */
function evenHand(context: CommandContext): Outcome {
  const { session } = context;
  const { workspace, monitor } = focusedArrangement(session);
  const arrangement = arrangementOf(session, workspace, monitor);
  const { hand } = handOf(arrangement, arrange(context, workspace, monitor));
  const even = hand === undefined ? undefined : evened(hand);
  if (even === undefined || isEqual(even, hand)) {
    return noop(session, 'all parts are alike');
  }
  return applied(
    withArrangement(session, workspace, monitor, (there) => ({ ...there, hand: even })),
    { decided: 'all parts alike', because: 'even-out by key' },
  );
}

/** even-out: drops every size moved by key, so that the shares of the settings apply again. */
function evenOut(context: CommandContext): Outcome {
  const { session } = context;
  const { workspace, monitor } = focusedArrangement(session);
  const { kind } = tilingInFocus(context).layout;
  const asPlaced = withEdgesBack(session, workspace, monitor);
  const placedBack = {
    decided: 'placed windows as they were placed',
    because: 'edges moved by key are dropped',
  };
  if (kind === 'split') {
    const even = evenHand(asPlaced ? { ...context, session: asPlaced } : context);
    return asPlaced && even.session === asPlaced ? applied(asPlaced, placedBack) : even;
  }
  const adjusted = arrangementOf(session, workspace, monitor).adjusted?.[kind];
  if (adjusted?.leadShare === undefined && adjusted?.moved === undefined) {
    if (asPlaced) return applied(asPlaced, placedBack);
    return noop(session, 'no size here was moved by key');
  }
  return applied(
    adjust(
      asPlaced ? { ...context, session: asPlaced } : context,
      ({ leadShare: _share, moved: _moved, ...kept }) => kept,
    ),
    { decided: 'sizes as set', because: 'sizes moved by key are dropped' },
    ...(asPlaced ? [placedBack] : []),
  );
}

export const shareFunctions = {
  'lead-share-more': (context) => stepLeadShare(context, 1),
  'lead-share-less': (context) => stepLeadShare(context, -1),
  'lead-count-more': (context) => stepLeadCount(context, 1),
  'lead-count-less': (context) => stepLeadCount(context, -1),
  'even-out': evenOut,
} satisfies Partial<CommandFunctions>;
