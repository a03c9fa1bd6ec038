import { inDirections, type CommandFunctions } from './command-functions.ts';
import { monitorOf } from '../../desk/desk.ts';
import { monitorTowards } from '../../desk/neighbours.ts';
import type { Session, SessionWindow } from '../../model/session.ts';
import { renamed } from '../../tiling/hand.ts';
import { LAYOUTS } from '../../tiling/layouts.ts';
import type { Direction } from '../../values/direction.ts';
import { tilingInForce } from '../arrange.ts';
import {
  arrangementOf,
  applied,
  isTiled,
  noop,
  shownOn,
  windowName,
  windowOf,
  withArrangement,
  withFocus,
  type Outcome,
  type CommandContext,
  existingWindow,
} from '../session.ts';
import { lookAhead } from './focus.ts';
import { findWindows } from './find.ts';
import { joinArrangement } from './arrangement-member.ts';
import { withSnap } from './snap.ts';
import { moveOverZones, moveOverZonesInOrder } from './zones.ts';

/** True for a window that takes part in the same layout as another one. */
function tiledHere(session: Session, { workspace, monitor }: SessionWindow, id: string): boolean {
  const window = windowOf(session, id);
  return (
    window !== undefined &&
    isTiled(window) &&
    window.workspace === workspace &&
    window.monitor === monitor
  );
}

/** Gives a window another place in the order of tiled windows, and in a tree made by hand; floating ones keep theirs. */
function reorder(
  { session }: CommandContext,
  window: SessionWindow,
  change: (tiled: string[], at: number) => string[],
) {
  return withArrangement(session, window.workspace, window.monitor, (arrangement) => {
    const isMoved = (id: string) => tiledHere(session, window, id);
    const tiled = arrangement.order.filter(isMoved);
    const changed = change(tiled, tiled.indexOf(window.id));
    const hand = arrangement.hand;
    let next = 0;
    return {
      ...arrangement,
      order: arrangement.order.map((id) => (isMoved(id) ? changed[next++]! : id)),
      ...(hand !== undefined && {
        hand: renamed(hand, new Map(tiled.map((id, i) => [id, changed[i]!]))),
      }),
    };
  });
}

function exchanged(list: string[], a: number, b: number): string[] {
  return list.map((id, i) => (i === a ? list[b]! : i === b ? list[a]! : id));
}

/** The focused window and those of its order, or the reason why it has none. */
function focusedTiled(
  context: CommandContext,
): { window: SessionWindow; tiled: string[] } | Outcome {
  const { session, profile } = context;
  const window = windowOf(session, session.focus);
  if (!window) return noop(session, 'no window has the focus');
  const { kind } = tilingInForce(profile, session, window.workspace, window.monitor).layout;
  if (!LAYOUTS[kind].can.order) {
    return noop(session, `${LAYOUTS[kind].title} has no places to exchange`);
  }
  if (!isTiled(window)) {
    return noop(session, `${windowName(profile, window)} is not tiled`);
  }
  const { order } = arrangementOf(session, window.workspace, window.monitor);
  return { window, tiled: order.filter((id) => tiledHere(session, window, id)) };
}

/** move-D: exchanges the window with the one focus-D would choose; past the last it joins the neighbour's workspace. */
export function moveTowards(context: CommandContext, direction: Direction): Outcome {
  return moved(context, direction, 'exchanged with', exchanged);
}

/**
 * Takes the place of the window that focus-D would choose; the windows between move by one place. Past the last
 * one, it does what move-D does.
 */
export function insertTowards(context: CommandContext, direction: Direction): Outcome {
  return moved(context, direction, 'takes the place of', (tiled, at, ahead) => {
    const others = tiled.filter((_, i) => i !== at);
    return [...others.slice(0, ahead), tiled[at]!, ...others.slice(ahead)];
  });
}

function moved(
  context: CommandContext,
  direction: Direction,
  decided: string,
  change: (tiled: string[], at: number, ahead: number) => string[],
): Outcome {
  const { session, profile, desk } = context;
  const window = windowOf(session, session.focus);
  if (!window) return noop(session, 'no window has the focus');
  const overZones = window.placing
    ? exchangedPlaces(context, window, direction)
    : moveOverZones(context, window, direction);
  if (overZones) return overZones;
  const { kind } = tilingInForce(profile, session, window.workspace, window.monitor).layout;
  const hasOrder = isTiled(window) && LAYOUTS[kind].can.order;
  const ahead = hasOrder ? tiledAhead(context, direction) : null;
  if (ahead) {
    const next = reorder(context, window, (tiled, at) =>
      change(tiled, at, tiled.indexOf(ahead.id)),
    );
    return applied(next, {
      about: window.id,
      decided: `${decided} ${windowName(profile, ahead)}`,
      because: `it is next ${direction}`,
    });
  }
  const to = monitorTowards(desk, monitorOf(desk, window.monitor), direction);
  if (!to) return noop(session, `nothing lies ${direction} of here`);
  const there = joinArrangement(context, window, to.id, shownOn(session, to.id));
  return applied(withFocus(there, existingWindow(there, window.id)), {
    about: window.id,
    decided: `on ${to.name}, workspace ${shownOn(session, to.id)}`,
    because: `nothing lies ${direction} on this monitor`,
  });
}

/** Placed windows exchange their places; null where no placed window lies in that direction. */
function exchangedPlaces(
  context: CommandContext,
  window: SessionWindow,
  direction: Direction,
): Outcome | null {
  const { session, profile } = context;
  const placed = session.windows.filter(({ placing }) => placing !== undefined);
  const ahead = lookAhead({ ...context, session: { ...session, windows: placed } }, direction);
  if (!ahead || !('window' in ahead) || ahead.window.monitor !== window.monitor) return null;
  const other = ahead.window;
  const next = withSnap(withSnap(session, window.id, other.placing!), other.id, window.placing!);
  return applied(next, {
    about: window.id,
    decided: `exchanged with ${windowName(profile, other)}`,
    because: `it is placed next ${direction}`,
  });
}

/** The tiled window on the same monitor that a move in this direction exchanges with. */
function tiledAhead(context: CommandContext, direction: Direction): SessionWindow | null {
  const { session } = context;
  const onlyTiled = {
    ...context,
    session: { ...session, windows: session.windows.filter(isTiled) },
  };
  const ahead = lookAhead(onlyTiled, direction);
  if (!ahead || !('window' in ahead) || ahead.window.monitor !== session.focusMonitor) return null;
  return ahead.window;
}

/** move-earlier (−1) and move-later (1): exchanges with the neighbour in the order; on a board, with the zone before or after. */
function moveInOrder(context: CommandContext, step: 1 | -1): Outcome {
  const overZones = moveOverZonesInOrder(context, step);
  if (overZones) return overZones;
  const focused = focusedTiled(context);
  if (!('window' in focused)) return focused;
  const { window, tiled } = focused;
  const at = tiled.indexOf(window.id);
  const other = tiled[at + step];
  if (other === undefined) {
    return noop(context.session, `it is the ${step > 0 ? 'last' : 'first'} in the order`);
  }
  return applied(
    reorder(context, window, (list) => exchanged(list, at, at + step)),
    {
      about: window.id,
      decided: `place ${at + step + 1} of ${tiled.length}`,
      because: `exchanged with ${windowName(context.profile, existingWindow(context.session, other))}`,
    },
  );
}

/** swap-with-lead: the focused window and the lead exchange places; from the lead, the one that was it before gets it. */
function swapWithLead(context: CommandContext): Outcome {
  const { session } = context;
  const swapped = focusedTiled(context);
  if (!('window' in swapped)) return swapped;
  const { window, tiled } = swapped;
  const { workspace, monitor } = window;
  const { leadBefore } = arrangementOf(session, workspace, monitor);
  const isLead = tiled[0] === window.id;
  const back = isLead && leadBefore !== undefined ? tiled.indexOf(leadBefore) : -1;
  const outcome =
    back > 0
      ? leadGivenBack(context, window, tiled[back]!)
      : toLead(context, (all, at) => exchanged(all, at, 0));
  if (outcome.session === session) return outcome;
  const before = tiled[0]!;
  const next = withArrangement(outcome.session, workspace, monitor, (there) => ({
    ...there,
    leadBefore: before,
  }));
  return { ...outcome, session: next };
}

function leadGivenBack(context: CommandContext, window: SessionWindow, to: string): Outcome {
  const { session, profile } = context;
  const { layout } = tilingInForce(profile, session, window.workspace, window.monitor);
  if (!LAYOUTS[layout.kind].can.lead) {
    return noop(session, `${LAYOUTS[layout.kind].title} has no lead`);
  }
  const swap = (all: string[], at: number) => exchanged(all, at, all.indexOf(to));
  const lead = windowName(profile, existingWindow(session, to));
  return applied(reorder(context, window, swap), {
    about: window.id,
    decided: `${lead} is the lead again`,
    because: 'it was before; the two exchange places',
  });
}

function promote(context: CommandContext): Outcome {
  return toLead(context, (tiled, at) => [tiled[at]!, ...tiled.filter((_, i) => i !== at)]);
}

function toLead(
  context: CommandContext,
  change: (tiled: string[], at: number) => string[],
): Outcome {
  const focused = focusedTiled(context);
  if (!('window' in focused)) return focused;
  const { session, profile } = context;
  const { window, tiled } = focused;
  const { layout } = tilingInForce(profile, session, window.workspace, window.monitor);
  if (!LAYOUTS[layout.kind].can.lead) {
    return noop(session, `${LAYOUTS[layout.kind].title} has no lead`);
  }
  if (tiled[0] === window.id) {
    return noop(session, `${windowName(profile, window)} is the lead already`);
  }
  const former = windowName(profile, existingWindow(session, tiled[0]));
  return applied(reorder(context, window, change), {
    about: window.id,
    decided: 'lead',
    because: `it takes the place of ${former}`,
  });
}

/**
 * exchange-with: the focused window and the one that answers to what was typed exchange their tiles, or their places
 * where both are placed. One on another workspace gives its place there, and moves on by one.
 */
function exchangeWith(context: CommandContext, typed: string): Outcome {
  const { session, profile } = context;
  const window = windowOf(session, session.focus);
  if (!window) return noop(session, 'no window has the focus');
  const other = findWindows(session, profile, typed).find(({ id }) => id !== window.id);
  if (!other) return noop(session, `no other window answers to ${typed}`);
  const name = windowName(profile, other);
  if (other.held === 'pocketed') return noop(session, `${name} is in the pocket`);
  const said = { about: window.id, decided: `exchanged with ${name}`, because: 'by its name' };
  if (other.workspace !== window.workspace || other.monitor !== window.monitor)
    return takenPlace(context, window, other);
  if (window.placing && other.placing) {
    const placed = withSnap(session, window.id, other.placing);
    return applied(withSnap(placed, other.id, window.placing), said);
  }
  const focused = focusedTiled(context);
  if (!('window' in focused)) return focused;
  if (!focused.tiled.includes(other.id)) return noop(session, `${name} is not tiled`);
  return applied(
    reorder(context, window, (all, at) => exchanged(all, at, all.indexOf(other.id))),
    said,
  );
}

/** The window on the other one's workspace, before it in the order, and with the focus. */
function takenPlace(context: CommandContext, window: SessionWindow, other: SessionWindow): Outcome {
  const { profile } = context;
  const { monitor, workspace } = other;
  const joined = joinArrangement(context, window, monitor, workspace);
  const there = withArrangement(joined, workspace, monitor, (arrangement) => {
    const rest = arrangement.order.filter((id) => id !== window.id);
    return { ...arrangement, order: rest.toSpliced(rest.indexOf(other.id), 0, window.id) };
  });
  return applied(withFocus(there, existingWindow(there, window.id)), {
    about: window.id,
    decided: `takes the place of ${windowName(profile, other)}`,
    because: `that is on workspace ${workspace}`,
  });
}

export const moveFunctions = {
  ...inDirections('move', moveTowards),
  'move-earlier': (context) => moveInOrder(context, -1),
  'move-later': (context) => moveInOrder(context, 1),
  'swap-with-lead': swapWithLead,
  'exchange-with': (context, { text }) =>
    text === undefined ? noop(context.session, 'no window was named') : exchangeWith(context, text),
  promote,
} satisfies Partial<CommandFunctions>;
