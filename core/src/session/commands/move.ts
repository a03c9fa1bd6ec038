import { monitorOf } from '../../desk/desk.ts';
import { neighbourOf } from '../../desk/neighbours.ts';
import type { Direction } from '../../geometry/direction.ts';
import { LAYOUTS } from '../../layouts/index.ts';
import { tilingInForce } from '../arrange.ts';
import {
  arrangementOf,
  did,
  nothing,
  shownOn,
  windowName,
  windowOf,
  withArrangement,
  withFocus,
  type Outcome,
  type SessionWindow,
  type Situation,
} from '../session.ts';
import { lookAhead } from './focus.ts';
import { joined } from './join.ts';

/** Gives a window another place in the order of tiled windows; floating ones keep theirs. */
function reorder(
  { session }: Situation,
  window: SessionWindow,
  change: (tiled: string[], at: number) => string[],
) {
  return withArrangement(session, window.workspace, window.monitor, (arrangement) => {
    const isTiled = (id: string) => windowOf(session, id)?.held === 'tiled';
    const tiled = arrangement.order.filter(isTiled);
    const changed = change(tiled, tiled.indexOf(window.id));
    let next = 0;
    return {
      ...arrangement,
      order: arrangement.order.map((id) => (isTiled(id) ? changed[next++]! : id)),
    };
  });
}

function exchanged(list: string[], a: number, b: number): string[] {
  return list.map((id, i) => (i === a ? list[b]! : i === b ? list[a]! : id));
}

/** The focused window and its fellows in the order, or why an order means nothing to it. */
function focusedTiled(situation: Situation): { window: SessionWindow; tiled: string[] } | Outcome {
  const { session, profile } = situation;
  const window = windowOf(session, session.focus);
  if (!window) return nothing(session, 'no window has the focus');
  if (window.held !== 'tiled') {
    return nothing(session, `${windowName(profile, window)} is not tiled`);
  }
  const { order } = arrangementOf(session, window.workspace, window.monitor);
  return { window, tiled: order.filter((id) => windowOf(session, id)?.held === 'tiled') };
}

/** move-D: exchanges the window with the one focus-D would choose; past the last it joins the neighbour's workspace. */
export function moveTowards(situation: Situation, direction: Direction): Outcome {
  const { session, profile, desk } = situation;
  const window = windowOf(session, session.focus);
  if (!window) return nothing(session, 'no window has the focus');
  const ahead = window.held === 'tiled' ? tiledAhead(situation, direction) : null;
  if (ahead) {
    const moved = reorder(situation, window, (tiled, at) =>
      exchanged(tiled, at, tiled.indexOf(ahead.id)),
    );
    return did(moved, {
      about: window.id,
      decided: `exchanged with ${windowName(profile, ahead)}`,
      because: `it is next ${direction}`,
    });
  }
  const to = neighbourOf(monitorOf(desk, window.monitor), direction, desk.monitors);
  if (!to) return nothing(session, `nothing lies ${direction} of here`);
  const moved = joined(situation, window, to.id, shownOn(session, to.id));
  return did(withFocus(moved, windowOf(moved, window.id)!), {
    about: window.id,
    decided: `on ${to.name}, workspace ${shownOn(session, to.id)}`,
    because: `nothing lies ${direction} on this monitor`,
  });
}

/** The tiled window on the same monitor that a move in this direction exchanges with. */
function tiledAhead(situation: Situation, direction: Direction): SessionWindow | null {
  const { session } = situation;
  const onlyTiled = {
    ...situation,
    session: { ...session, windows: session.windows.filter((window) => window.held === 'tiled') },
  };
  const ahead = lookAhead(onlyTiled, direction);
  if (!ahead || !('window' in ahead) || ahead.window.monitor !== session.focusMonitor) return null;
  return ahead.window;
}

/** move-earlier (−1) and move-later (1): exchanges with the neighbour in the order. */
export function moveInOrder(situation: Situation, step: 1 | -1): Outcome {
  const focused = focusedTiled(situation);
  if (!('window' in focused)) return focused;
  const { window, tiled } = focused;
  const at = tiled.indexOf(window.id);
  const other = tiled[at + step];
  if (other === undefined) {
    return nothing(situation.session, `it is the ${step > 0 ? 'last' : 'first'} in the order`);
  }
  return did(
    reorder(situation, window, (list) => exchanged(list, at, at + step)),
    {
      about: window.id,
      decided: `place ${at + step + 1} of ${tiled.length}`,
      because: `exchanged with ${windowName(situation.profile, windowOf(situation.session, other)!)}`,
    },
  );
}

export function swapWithLead(situation: Situation): Outcome {
  return toLead(situation, (tiled, at) => exchanged(tiled, at, 0));
}

export function promote(situation: Situation): Outcome {
  return toLead(situation, (tiled, at) => [tiled[at]!, ...tiled.filter((_, i) => i !== at)]);
}

function toLead(situation: Situation, change: (tiled: string[], at: number) => string[]): Outcome {
  const focused = focusedTiled(situation);
  if (!('window' in focused)) return focused;
  const { session, profile } = situation;
  const { window, tiled } = focused;
  const { layout } = tilingInForce(profile, session, window.workspace, window.monitor);
  if (!LAYOUTS[layout.kind].can.lead) {
    return nothing(session, `${LAYOUTS[layout.kind].title} has no lead`);
  }
  if (tiled[0] === window.id) {
    return nothing(session, `${windowName(profile, window)} is the lead already`);
  }
  const former = windowName(profile, windowOf(session, tiled[0])!);
  return did(reorder(situation, window, change), {
    about: window.id,
    decided: 'lead',
    because: `it takes the place of ${former}`,
  });
}
