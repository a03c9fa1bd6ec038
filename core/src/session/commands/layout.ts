import { LAYOUT_KINDS, LAYOUTS } from '../../layouts/index.ts';
import type { FirstAxis, LayoutSetting, Side } from '../../profile/layout.ts';
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

/** use-layout: another layout here, until reset-layout. What was adjusted under other layouts stays for later. */
export function useLayout(situation: Situation, layout: LayoutSetting): Outcome {
  const { session, profile } = situation;
  const { workspace, monitor } = placeInFocus(session);
  const before = tilingInForce(profile, session, workspace, monitor).layout;
  const next = withArrangement(session, workspace, monitor, (there) => ({ ...there, layout }));
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

/** reset-layout: drops every choice and adjustment made by key here. */
export function resetLayout({ session }: Situation): Outcome {
  const { workspace, monitor } = placeInFocus(session);
  const arrangement = arrangementOf(session, workspace, monitor);
  if (!arrangement.layout && !arrangement.adjusted) {
    return nothing(session, 'the layout here is as set');
  }
  return did(
    withArrangement(session, workspace, monitor, ({ order }) => ({ order })),
    {
      about: workspace,
      decided: `workspace ${workspace} as set`,
      because: 'what was chosen by key is dropped',
    },
  );
}

/** next-layout (1) and previous-layout (−1): round all kinds of layout. */
export function stepLayout(situation: Situation, step: 1 | -1): Outcome {
  const { session, profile } = situation;
  const { workspace, monitor } = placeInFocus(session);
  const { kind } = tilingInForce(profile, session, workspace, monitor).layout;
  const count = LAYOUT_KINDS.length;
  const next = LAYOUT_KINDS[(LAYOUT_KINDS.indexOf(kind) + step + count) % count]!;
  return useLayout(situation, { kind: next });
}

const NEXT_SIDE: Record<Side, Side> = {
  left: 'top',
  top: 'right',
  right: 'bottom',
  bottom: 'left',
};

/** turn-layout: the lead goes round the sides, middle and halving change axis, columns and rows change places. */
export function turnLayout(situation: Situation): Outcome {
  const { session } = situation;
  const { workspace, monitor } = placeInFocus(session);
  const { tiling, area } = arrange(situation, workspace, monitor);
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
    default:
      return nothing(session, `${LAYOUTS[layout.kind].title} cannot be turned`);
  }
}
