import { withoutLargeness } from '../../model/window-mode.ts';
import { inDirections, type CommandFunctions } from './command-functions.ts';
import { monitorOf } from '../../desk/desk.ts';
import { workArea } from '../../desk/work-area.ts';
import { centredIn, keptInside, sameRect, type Rect, type Size } from '../../geometry/rect.ts';
import { toPixels } from '../../geometry/round.ts';
import type { Session, SessionWindow } from '../../model/session.ts';
import { axisOf, isForward, type Direction } from '../../values/direction.ts';
import { minimumOf } from '../hints.ts';
import { computePlacements } from '../placements.ts';
import { applied, noop, withWindow, type Outcome, type CommandContext } from '../session.ts';
import { onGrid, toFloatingRect } from '../floating-rect.ts';
import { focusedWindow, isOutcome } from './focused-window.ts';
import { withSnap } from './snap.ts';

/** The window as it is seen, and the room it may take. */
interface Free {
  window: SessionWindow;
  rect: Rect;
  area: Rect;
  /** One step, in physical pixels. */
  step: number;
  least: Size;
}

function freely(
  context: CommandContext,
  move: (free: Free) => { rect: Rect; decided: string; because: string } | string,
): Outcome {
  const { session, profile, desk } = context;
  const window = focusedWindow(context);
  if (isOutcome(window)) return window;
  const { x, y, width, height } = computePlacements(session, profile, desk).placements.find(
    ({ id }) => id === window.id,
  )!;
  const monitor = monitorOf(desk, window.monitor);
  const { area } = workArea(monitor);
  const { grid } = profile.floating;
  // On a grid a step is one of its own: from line to line.
  const floats = grid > 0 && window.held === 'floating' && !window.placing;
  const step = Math.max(1, toPixels(floats ? grid : profile.tiling.growStep, monitor.scale));
  const least = minimumOf(window, monitor.scale);
  const moved = move({ window, rect: { x, y, width, height }, area, step, least });
  if (typeof moved === 'string') return noop(session, moved);
  const { decided, because } = moved;
  const rect = floats ? keptInside(area, onGrid(moved.rect, monitor, grid)) : moved.rect;
  return applied(withRect(context, window, rect), { about: window.id, decided, because });
}

/**
 * Puts the window over a rectangle. A floating one floats there; a tiled or placed one is placed there, and put-
 * back returns it to its tile.
 */
function withRect(context: CommandContext, window: SessionWindow, rect: Rect): Session {
  const { session, desk } = context;
  const at = toFloatingRect(rect, monitorOf(desk, window.monitor));
  if (window.held === 'floating' && !window.placing) {
    return withWindow(session, window.id, (there) => ({
      ...withoutLargeness(there),
      standing: at,
      moved: true,
    }));
  }
  return withSnap(session, window.id, { x: 'full', y: 'full', at });
}

/** centre: in the middle of the work area, as large as it is. */
function centre(context: CommandContext): Outcome {
  return freely(context, ({ rect, area }) => {
    const { width, height } = rect;
    const to = keptInside(area, centredIn(area, { width, height }));
    if (sameRect(to, rect)) return 'it is in the middle';
    return { rect: to, decided: 'centred', because: 'by key; its size is kept' };
  });
}

/** bigger (1) and smaller (−1): a step on each of its four sides, inside the work area. */
function resized(context: CommandContext, by: 1 | -1): Outcome {
  return freely(context, ({ window, rect, area, step, least }) => {
    if (window.resizable === false) return 'its size is fixed';
    const along = (length: number, room: number, minimum: number) =>
      by > 0
        ? Math.max(length, Math.min(length + 2 * step, room))
        : Math.min(length, Math.max(length - 2 * step, minimum));
    const size = {
      width: along(rect.width, area.width, least.width),
      height: along(rect.height, area.height, least.height),
    };
    const to = keptInside(area, centredIn(rect, size));
    if (sameRect(to, rect)) return by > 0 ? 'it fills the work area' : 'it is at its minimum';
    return {
      rect: to,
      decided: `${to.width} × ${to.height}`,
      because: by > 0 ? 'bigger by key, on every side' : 'smaller by key, on every side',
    };
  });
}

/** nudge-D: a step in a direction, kept inside the work area. */
export function nudge(context: CommandContext, direction: Direction): Outcome {
  return freely(context, ({ rect, area, step }) => {
    const axis = axisOf(direction);
    const by = isForward(direction) ? step : -step;
    const to = keptInside(area, { ...rect, [axis]: rect[axis] + by });
    const pixels = Math.abs(to[axis] - rect[axis]);
    if (pixels === 0) return 'it ends at the work area';
    return { rect: to, decided: `${pixels} px ${direction}`, because: 'moved by key' };
  });
}

export const nudgeFunctions = {
  centre,
  bigger: (context) => resized(context, 1),
  smaller: (context) => resized(context, -1),
  ...inDirections('nudge', nudge),
} satisfies Partial<CommandFunctions>;
