import { LAYOUTS } from '../../layouts/index.ts';
import type { LayoutSetting } from '../../profile/layout.ts';
import { tilingInForce } from '../arrange.ts';
import {
  arrangementOf,
  did,
  nothing,
  withArrangement,
  type Outcome,
  type Situation,
} from '../session.ts';
import { placeInFocus } from './shares.ts';

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
