import { withoutLargeness } from '../../model/window-mode.ts';
import { inDirections, type CommandFunctions } from './command-functions.ts';
import { monitorOf } from '../../desk/desk.ts';
import { workArea } from '../../desk/work-area.ts';
import { centredIn, keptInside, sameRect, span, type Rect } from '../../geometry/rect.ts';
import { toPixels } from '../../geometry/round.ts';
import type { Session, SessionWindow } from '../../model/session.ts';
import { axisOf, isForward, type Axis, type Direction } from '../../values/direction.ts';
import { inItsShape, lengthTowards } from '../hints.ts';
import { computePlacements } from '../placements.ts';
import { applied, noop, withWindow, type Outcome, type CommandContext } from '../session.ts';
import { floatsOnGrid, gridStep, onGrid, toFloatingRect } from '../floating-rect.ts';
import { focusedWindow, isOutcome } from './focused-window.ts';
import { withSnap } from './snap.ts';

/** The window as it is seen, and the room it may take. */
interface Free {
  window: SessionWindow;
  rect: Rect;
  area: Rect;
  /** One step, in physical pixels. */
  step: number;
  scale: number;
}

/** Where a window is to be, what is said of it by the rectangle it gets, and why it is not moved where it is there. */
interface Moved {
  rect: Rect;
  decided: (rect: Rect) => string;
  because: string;
  unmoved: string;
}

function freely(context: CommandContext, move: (free: Free) => Moved | string): Outcome {
  const { session, profile, desk } = context;
  const window = focusedWindow(context);
  if (isOutcome(window)) return window;
  const { x, y, width, height } = computePlacements(session, profile, desk).placements.find(
    ({ id }) => id === window.id,
  )!;
  const monitor = monitorOf(desk, window.monitor);
  const { area } = workArea(monitor);
  const { scale } = monitor;
  const onLines = floatsOnGrid(profile, window);
  // On a grid a step is one of its own: from line to line.
  const { grid } = profile.floating;
  const step = onLines
    ? gridStep(grid, monitor)
    : Math.max(1, toPixels(profile.tiling.growStep, scale));
  const now = { x, y, width, height };
  const moved = move({ window, rect: now, area, step, scale });
  if (typeof moved === 'string') return noop(session, moved);
  const rect = onLines ? keptInside(area, onGrid(moved.rect, monitor, grid)) : moved.rect;
  if (sameRect(rect, now)) return noop(session, moved.unmoved);
  const { because } = moved;
  return applied(withRect(context, window, rect), {
    about: window.id,
    decided: moved.decided(rect),
    because,
  });
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
    return {
      rect: keptInside(area, centredIn(area, { width, height })),
      decided: () => 'centred',
      because: 'by key; its size is kept',
      unmoved: 'it is in the middle',
    };
  });
}

/** bigger (1) and smaller (−1): a step on each of its four sides, as it allows, inside the work area. */
function resized(context: CommandContext, by: 1 | -1): Outcome {
  return freely(context, ({ window, rect, area, step, scale }) => {
    if (window.resizable === false) return 'its size is fixed';
    const along = (axis: Axis) => {
      const now = span(rect, axis).length;
      const room = Math.max(now, span(area, axis).length);
      return lengthTowards(window, axis, { now, wanted: now + by * 2 * step, room }, scale);
    };
    const size = inItsShape(window, { width: along('x'), height: along('y') }, rect, scale);
    return {
      rect: keptInside(area, centredIn(rect, size)),
      decided: (to) => `${to.width} × ${to.height}`,
      because: by > 0 ? 'bigger by key, on every side' : 'smaller by key, on every side',
      unmoved:
        by < 0
          ? 'it is at its minimum'
          : rect.width >= area.width && rect.height >= area.height
            ? 'it fills the work area'
            : 'it allows no larger size here',
    };
  });
}

/** nudge-D: a step in a direction, kept inside the work area. */
export function nudge(context: CommandContext, direction: Direction): Outcome {
  return freely(context, ({ rect, area, step }) => {
    const axis = axisOf(direction);
    const by = isForward(direction) ? step : -step;
    return {
      rect: keptInside(area, { ...rect, [axis]: rect[axis] + by }),
      decided: (to) => `${Math.abs(to[axis] - rect[axis])} px ${direction}`,
      because: 'moved by key',
      unmoved: 'it ends at the work area',
    };
  });
}

export const nudgeFunctions = {
  centre,
  bigger: (context) => resized(context, 1),
  smaller: (context) => resized(context, -1),
  ...inDirections('nudge', nudge),
} satisfies Partial<CommandFunctions>;
