import type { Applies } from './applies.ts';
import { turnedAround } from '../../tiling/hand.ts';
import { LAYOUTS } from '../../tiling/layouts.ts';
import type { FirstAxis, LayoutSetting, Side } from '../../values/layout.ts';
import { arrange, tilingInForce } from '../arrange.ts';
import {
  arrangementOf,
  did,
  nothing,
  withArrangement,
  type Outcome,
  type Situation,
} from '../session.ts';
import { adjust, placeInFocus } from './shares.ts';
import { carriedOver, handOf } from './split.ts';

/** use-layout: another layout here, until reset-layout. What was adjusted under other layouts stays for later. */
export function useLayout(situation: Situation, layout: LayoutSetting): Outcome {
  const { session, profile } = situation;
  const { workspace, monitor } = placeInFocus(session);
  const before = tilingInForce(profile, session, workspace, monitor).layout;
  const chosen = withArrangement(session, workspace, monitor, (there) => ({ ...there, layout }));
  const next = carriedOver(chosen, arrange(situation, workspace, monitor), layout.kind);
  const { title } = LAYOUTS[layout.kind];
  const now = tilingInForce(profile, next, workspace, monitor).layout;
  if (JSON.stringify(now) === JSON.stringify(before)) {
    return nothing(session, `${title} is in force here already`);
  }
  return did(next, {
    about: workspace,
    decided: `${title} on workspace ${workspace}`,
    because: `it was ${LAYOUTS[before.kind].title}`,
  });
}

/** reset-layout: drops every choice and adjustment made by key here, a tree made by hand among them. */
function resetLayout(situation: Situation): Outcome {
  const { session, profile } = situation;
  const { workspace, monitor } = placeInFocus(session);
  const { layout, adjusted, hand, divides } = arrangementOf(session, workspace, monitor);
  if (!layout && !adjusted && hand === undefined && !divides) {
    return nothing(session, 'the layout here is as set');
  }
  const before = arrange(situation, workspace, monitor);
  const reset = withArrangement(session, workspace, monitor, ({ order, afloat }) => ({
    order,
    ...(afloat && { afloat }),
  }));
  const { kind } = tilingInForce(profile, reset, workspace, monitor).layout;
  return did(kind === 'free' ? carriedOver(reset, before, kind) : reset, {
    about: workspace,
    decided: `workspace ${workspace} as set`,
    because: 'what was chosen by key is dropped',
  });
}

/** next-layout (1) and previous-layout (−1): round the layouts to cycle through here. */
function stepLayout(situation: Situation, step: 1 | -1): Outcome {
  const { session, profile } = situation;
  const { workspace, monitor } = placeInFocus(session);
  const { layout, cycle } = tilingInForce(profile, session, workspace, monitor);
  const at = cycle.indexOf(layout.kind);
  const from = at < 0 && step < 0 ? 0 : at;
  const next = cycle[(from + step + cycle.length) % cycle.length]!;
  return useLayout(situation, { kind: next });
}

const NEXT_SIDE: Record<Side, Side> = {
  left: 'top',
  top: 'right',
  right: 'bottom',
  bottom: 'left',
};

/** turn-layout: the lead goes round the sides, middle and halving change axis, columns and rows change places, hand-split turns the split around the focused window, tabs and list change places. */
function turnLayout(situation: Situation): Outcome {
  const { session } = situation;
  const { workspace, monitor } = placeInFocus(session);
  const arranged = arrange(situation, workspace, monitor);
  const { tiling, area } = arranged;
  const { layout } = tiling;
  const turned = (to: string, next: Outcome['session']) =>
    did(next, { about: workspace, decided: to, because: `${LAYOUTS[layout.kind].title} turned` });
  switch (layout.kind) {
    case 'lead': {
      const side = NEXT_SIDE[layout.side];
      return turned(
        `lead at the ${side}`,
        adjust(situation, (was) => ({ ...was, side })),
      );
    }
    case 'middle': {
      const axis = layout.axis === 'x' ? 'y' : 'x';
      return turned(
        `divided along ${axis}`,
        adjust(situation, (was) => ({ ...was, axis })),
      );
    }
    case 'halving': {
      const isX =
        layout.firstAxis === 'long' ? area.width >= area.height : layout.firstAxis === 'x';
      const firstAxis: FirstAxis = isX ? 'y' : 'x';
      const next = adjust(situation, (was) => ({ ...was, firstAxis }));
      return turned(`first divided along ${firstAxis}`, next);
    }
    case 'columns':
    case 'rows': {
      const kind = layout.kind === 'columns' ? 'rows' : 'columns';
      const { weights, max } = layout;
      return useLayout(situation, {
        kind,
        weights: [...weights],
        ...(max !== undefined && { max }),
      });
    }
    case 'split': {
      const { hand } = handOf(arrangementOf(session, workspace, monitor), arranged);
      const isShown = arranged.tiled.some(({ id }) => id === session.focus);
      const next = isShown && hand !== undefined ? turnedAround(hand, session.focus!) : undefined;
      if (next === undefined) return nothing(session, 'no split is around the focused window');
      return turned(
        'the split around it turned',
        withArrangement(session, workspace, monitor, (there) => ({ ...there, hand: next })),
      );
    }
    case 'single': {
      if (layout.strip === 'none') return nothing(session, 'no strip is shown to turn');
      const strip = layout.strip === 'tabs' ? 'list' : 'tabs';
      return turned(
        strip === 'tabs' ? 'a strip of tabs' : 'a list',
        adjust(situation, (was) => ({ ...was, strip })),
      );
    }
    default:
      return nothing(session, `${LAYOUTS[layout.kind].title} cannot be turned`);
  }
}

export const layoutApplies = {
  'next-layout': (now) => stepLayout(now, 1),
  'previous-layout': (now) => stepLayout(now, -1),
  'turn-layout': turnLayout,
  'reset-layout': resetLayout,
  'use-layout': (now, { layout }) => useLayout(now, layout),
} satisfies Partial<Applies>;
