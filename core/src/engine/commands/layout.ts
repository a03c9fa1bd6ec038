import isEqual from 'fast-deep-equal';
import type { CommandFunctions } from './command-functions.ts';
import { turnedAround } from '../../tiling/hand.ts';
import { definitionOfLayout, LAYOUTS } from '../../tiling/layouts.ts';
import type { ArrangedWorkspace } from '../arranged-workspace.ts';
import type { LayoutSetting } from '../../values/layout.ts';
import { arrange, tilingInForce } from '../arrange.ts';
import {
  arrangementOf,
  applied,
  noop,
  withArrangement,
  type Outcome,
  type CommandContext,
} from '../session.ts';
import { adjust, focusedArrangement } from './shares.ts';
import { carriedOver, handOf } from './split.ts';

/**
 * use-layout: uses another layout here, until reset-layout. Adjustments under other layouts are kept for their
 * return.
 */
export function useLayout(context: CommandContext, layout: LayoutSetting): Outcome {
  const { session, profile } = context;
  const { workspace, monitor } = focusedArrangement(session);
  const before = tilingInForce(profile, session, workspace, monitor).layout;
  const chosen = withArrangement(session, workspace, monitor, (there) => ({ ...there, layout }));
  const next = carriedOver(chosen, arrange(context, workspace, monitor), layout.kind);
  const { title } = LAYOUTS[layout.kind];
  const now = tilingInForce(profile, next, workspace, monitor).layout;
  if (isEqual(now, before)) {
    return noop(session, `${title} is in force here already`);
  }
  return applied(next, {
    about: workspace,
    decided: `${title} on workspace ${workspace}`,
    because: `it was ${LAYOUTS[before.kind].title}`,
  });
}

/** reset-layout: drops every choice and adjustment made by key here, a tree made by hand among them. */
function resetLayout(context: CommandContext): Outcome {
  const { session, profile } = context;
  const { workspace, monitor } = focusedArrangement(session);
  const { layout, adjusted, hand, divides, gaps } = arrangementOf(session, workspace, monitor);
  if (!layout && !adjusted && hand === undefined && !divides && !gaps) {
    return noop(session, 'the layout here is as set');
  }
  const before = arrange(context, workspace, monitor);
  const reset = withArrangement(session, workspace, monitor, ({ order, afloat }) => ({
    order,
    ...(afloat && { afloat }),
  }));
  const { kind } = tilingInForce(profile, reset, workspace, monitor).layout;
  return applied(kind === 'free' ? carriedOver(reset, before, kind) : reset, {
    about: workspace,
    decided: `workspace ${workspace} as set`,
    because: 'what was chosen by key is dropped',
  });
}

/** next-layout (1) and previous-layout (−1): round the layouts to cycle through here. */
function stepLayout(context: CommandContext, step: 1 | -1): Outcome {
  const { session, profile } = context;
  const { workspace, monitor } = focusedArrangement(session);
  const { layout, cycle } = tilingInForce(profile, session, workspace, monitor);
  const at = cycle.indexOf(layout.kind);
  const from = at < 0 && step < 0 ? 0 : at;
  const next = cycle[(from + step + cycle.length) % cycle.length]!;
  return useLayout(context, { kind: next });
}

/** turn-layout: as the layout's definition says; where its tree is made by hand, the split around the focused window. */
function turnLayout(context: CommandContext): Outcome {
  const { session } = context;
  const { workspace, monitor } = focusedArrangement(session);
  const arranged = arrange(context, workspace, monitor);
  const { tiling, area } = arranged;
  const { layout } = tiling;
  const turned = (to: string, next: Outcome['session']) =>
    applied(next, {
      about: workspace,
      decided: to,
      because: `${LAYOUTS[layout.kind].title} turned`,
    });
  const { turn, byHand, title } = definitionOfLayout(layout);
  if (byHand) return handTurned(context, arranged, turned);
  if (!turn) return noop(session, `${title} cannot be turned`);
  if ('into' in turn) return useLayout(context, turn.into(layout));
  const reason = turn.unless?.(layout);
  if (reason) return noop(session, reason);
  const present = turn.present?.(layout, area) ?? (layout as Record<string, unknown>)[turn.field];
  const { through } = turn;
  const value = through[(through.indexOf(String(present)) + 1) % through.length]!;
  return turned(
    turn.says(value),
    adjust(context, (was) => ({ ...was, [turn.field]: value })),
  );
}

/** Turns the split around the focused window. */
function handTurned(
  { session }: CommandContext,
  arranged: ArrangedWorkspace,
  turned: (to: string, next: Outcome['session']) => Outcome,
): Outcome {
  const { workspace, monitor } = focusedArrangement(session);
  const { hand } = handOf(arrangementOf(session, workspace, monitor), arranged);
  const isShown = arranged.tiled.some(({ id }) => id === session.focus);
  const next = isShown && hand !== undefined ? turnedAround(hand, session.focus!) : undefined;
  if (next === undefined) return noop(session, 'no split is around the focused window');
  return turned(
    'the split around it turned',
    withArrangement(session, workspace, monitor, (there) => ({ ...there, hand: next })),
  );
}

export const layoutFunctions = {
  'next-layout': (context) => stepLayout(context, 1),
  'previous-layout': (context) => stepLayout(context, -1),
  'turn-layout': turnLayout,
  'reset-layout': resetLayout,
  'use-layout': (context, { layout }) => useLayout(context, layout),
} satisfies Partial<CommandFunctions>;
