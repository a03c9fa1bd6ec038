import { isIn } from '../../model/window-mode.ts';
import { inDirections, type CommandFunctions } from './command-functions.ts';
import { monitorOf } from '../../desk/desk.ts';
import { farEnd, neighbourOf } from '../../desk/neighbours.ts';
import { bearing, compareBearings, type Bearing } from '../../geometry/bearing.ts';
import { span, type Rect } from '../../geometry/rect.ts';
import type { SessionWindow } from '../../model/session.ts';
import { axisOf, isForward, type Direction } from '../../values/direction.ts';
import { computeShownPlacements } from '../placements.ts';
import type { Placement } from '../placement.ts';
import {
  arrangementOf,
  applied,
  isShown,
  noop,
  shownOn,
  windowName,
  windowOf,
  withFocus,
  withFocusOnMonitor,
  type Outcome,
  type CommandContext,
  existingWindow,
} from '../session.ts';

/** What focus would go to in a direction: a window, a monitor without windows, or nothing at the end of the desk. */
export type Ahead = { window: SessionWindow } | { monitor: string } | null;

/**
 * What focus-D would choose. Shown windows mostly beyond the focused edge: those in line come first,
 * then the nearest, the largest overlap, the most recently focused. Past the last one it is the
 * neighbouring monitor's, by the same order, or that monitor itself when it shows nothing.
 */
export function lookAhead(context: CommandContext, direction: Direction): Ahead {
  const { session, desk } = context;
  const here = monitorOf(desk, session.focusMonitor);
  const onMonitor = computeShownPlacements(context, here.id);
  const focused = onMonitor.find((placement) => placement.id === session.focus);
  // A window made large for the moment looks out from its place among the others.
  const from: Rect = (focused?.state && focused.tile) ?? focused ?? here;
  const near = from === here ? null : firstBeyond(context, from, direction, onMonitor);
  if (near) return { window: existingWindow(session, near.id) };

  const neighbour = neighbourOf(here, direction, desk.monitors);
  if (!neighbour && !desk.wraps) return null;
  const there = neighbour ?? farEnd(desk.monitors, here, direction);
  const over = computeShownPlacements(context, there.id);
  const seenFrom = neighbour ? from : comingInto(there, from, direction);
  const far = firstBeyond(context, seenFrom, direction, over) ?? mostRecent(context, over);
  if (far) return far.id === session.focus ? null : { window: existingWindow(session, far.id) };
  return there === here ? null : { monitor: there.id };
}

/** A rectangle as it would be seen coming into a monitor from outside, in a direction. */
function comingInto(monitor: Rect, rect: Rect, direction: Direction): Rect {
  const axis = axisOf(direction);
  const [own, edge] = [span(rect, axis), span(monitor, axis)];
  const start = isForward(direction) ? edge.start - own.length : edge.end;
  return { ...rect, [axis]: start };
}

function firstBeyond(
  { session }: CommandContext,
  from: Rect,
  direction: Direction,
  candidates: readonly Placement[],
): Placement | null {
  const age = ({ id }: Placement) => session.recent.indexOf(id);
  let best: { placement: Placement; towards: Bearing } | null = null;
  for (const placement of candidates) {
    if (placement.id === session.focus && placement.monitor === session.focusMonitor) continue;
    const towards = bearing(from, (placement.state && placement.tile) ?? placement, direction);
    if (towards.beyond <= 0.5) continue;
    const order = best ? compareBearings(towards, best.towards) : -1;
    if (order < 0 || (order === 0 && age(placement) < age(best!.placement))) {
      best = { placement, towards };
    }
  }
  return best?.placement ?? null;
}

function mostRecent({ session }: CommandContext, shown: readonly Placement[]): Placement | null {
  const byAge = [...shown].sort(
    (a, b) => session.recent.indexOf(a.id) - session.recent.indexOf(b.id),
  );
  return byAge[0] ?? null;
}

function focusTowards(context: CommandContext, direction: Direction): Outcome {
  const { session, profile } = context;
  const ahead = lookAhead(context, direction);
  if (!ahead) return noop(session, `nothing lies ${direction} of here`);
  if ('monitor' in ahead) {
    const name = monitorOf(context.desk, ahead.monitor).name;
    return applied(withFocusOnMonitor(session, ahead.monitor), {
      about: ahead.monitor,
      decided: `${name} has the focus`,
      because: `it stands ${direction} and shows no window`,
    });
  }
  const { window } = ahead;
  const crossed = window.monitor !== session.focusMonitor;
  return applied(withFocus(session, window), {
    about: window.id,
    decided: `${windowName(profile, window)} has the focus`,
    because: crossed
      ? `it lies ${direction}, on ${monitorOf(context.desk, window.monitor).name}`
      : `it is next ${direction}`,
  });
}

/** focus-next (1) and focus-previous (−1): round the workspace's order. */
function focusInOrder({ session, profile }: CommandContext, step: 1 | -1): Outcome {
  const monitor = session.focusMonitor;
  const workspace = shownOn(session, monitor);
  const { order } = arrangementOf(session, workspace, monitor);
  const guests = session.windows.filter(
    (window) => window.everywhere && window.monitor === monitor,
  );
  const ring = [...new Set([...order, ...guests.map(({ id }) => id)])].filter((id) => {
    const window = windowOf(session, id);
    return window?.monitor === monitor && isShown(session, window);
  });
  if (ring.length === 0) return noop(session, 'this workspace has no windows');
  const at = session.focus === undefined ? -1 : ring.indexOf(session.focus);
  const next = at < 0 ? 0 : (at + step + ring.length) % ring.length;
  const window = existingWindow(session, ring[next]);
  if (window.id === session.focus) return noop(session, 'it is the only window here');
  return applied(withFocus(session, window), {
    about: window.id,
    decided: `${windowName(profile, window)} has the focus`,
    because: `it is ${step > 0 ? 'next' : 'previous'} in the workspace's order`,
  });
}

function focusLast({ session, profile }: CommandContext): Outcome {
  for (const id of session.recent) {
    const window = windowOf(session, id);
    if (!window || id === session.focus) continue;
    if (window.held === 'pocketed' || isIn(window, 'minimised')) continue;
    return applied(withFocus(session, window), {
      about: id,
      decided: `${windowName(profile, window)} has the focus`,
      because: 'it had the focus before',
    });
  }
  return noop(session, 'no other window had the focus before');
}

export const focusFunctions = {
  ...inDirections('focus', focusTowards),
  'focus-next': (context) => focusInOrder(context, 1),
  'focus-previous': (context) => focusInOrder(context, -1),
  'focus-last': focusLast,
} satisfies Partial<CommandFunctions>;
