import { countText } from '../../values/count-text.ts';
import type { ZoneDivision } from '../../zones/division.ts';
import { largenessOf } from '../../model/window-mode.ts';
import { inDirections, type CommandFunctions } from './command-functions.ts';
import { monitorOf } from '../../desk/desk.ts';
import { workArea } from '../../desk/work-area.ts';
import { keptInside, span, type Rect } from '../../geometry/rect.ts';
import { round, toPixels } from '../../geometry/round.ts';
import type { SessionWindow } from '../../model/session.ts';
import { moveBoundary } from '../../tiling/boundary.ts';
import { withSizes } from '../../tiling/hand.ts';
import { LAYOUTS, shareOfBoundary } from '../../tiling/layouts.ts';
import { axisOf, isForward, type Direction } from '../../values/direction.ts';
import { moveTrackLine } from '../../zones/track-line.ts';
import { arrange } from '../arrange.ts';
import type { ArrangedWorkspace } from '../arranged-workspace.ts';
import { inItsShape, lengthTowards } from '../hints.ts';
import { trackNames } from '../zone-board-division.ts';
import {
  applied,
  noop,
  windowName,
  windowOf,
  withArrangement,
  withWindow,
  type Outcome,
  type CommandContext,
} from '../session.ts';
import {
  currentFloatingRect,
  floatsOnGrid,
  gridStep,
  onGrid,
  toFloatingRect,
} from '../floating-rect.ts';
import { moveSharedEdge } from './edges.ts';
import { adjust } from './shares.ts';
import { handOf } from './split.ts';

/**
 * Moves the focused window's edge: grow-D outwards, shrink-D inwards, move-edge as it is told.
 *
 * @param by logical pixels outwards; below 0 inwards
 */
export function growTowards(context: CommandContext, direction: Direction, by: number): Outcome {
  const { session, profile, desk } = context;
  const window = windowOf(session, session.focus);
  if (!window) return noop(session, 'no window has the focus');
  const { scale } = monitorOf(desk, window.monitor);
  if (by === 0) return noop(session, 'it is to move by nothing');
  const step = Math.sign(by) * toPixels(Math.abs(by), scale);
  if (window.held === 'left-alone') {
    return noop(session, `${windowName(profile, window)} is left alone`);
  }
  if (largenessOf(window)) {
    return noop(session, `${windowName(profile, window)} is as large as it gets`);
  }
  if (window.placing) {
    if (window.resizable === false) return noop(session, 'its size is fixed');
    const shared = moveSharedEdge(context, window, direction, step);
    if (shared.pixels === 0) {
      return noop(session, 'it ends at the area, or what would get smaller is at its minimum');
    }
    return applied(
      shared.session,
      edgeMoved(window, direction, shared.pixels, shared.others.length),
    );
  }
  const arranged = arrange(context, window.workspace, window.monitor);
  const { tiled, solved, tiling } = arranged;
  const { layout } = tiling;
  const { zoned, tiles } = arranged;
  if (zoned && tiles)
    return growZone(context, window, { ...arranged, zoned, tiles }, direction, step);
  if (window.held === 'floating' || layout.kind === 'free') {
    return growStanding(context, window, direction, step);
  }
  if (!LAYOUTS[layout.kind].can.grow || !solved) {
    return noop(session, `${LAYOUTS[layout.kind].title} cannot grow`);
  }
  const at = tiled.findIndex((candidate) => candidate.id === window.id);
  if (at < 0) return noop(session, `${windowName(profile, window)} has no tile for want of room`);
  const moved = moveBoundary(solved.flat, solved.rects, at, direction, step);
  if (!moved) return noop(session, `nothing lies ${direction} to share with`);
  if (moved.pixels === 0) return noop(session, 'what would get smaller is at its minimum');

  if (layout.kind === 'split') {
    const shown = new Set(tiled.map(({ id }) => id));
    const resized = withArrangement(session, window.workspace, window.monitor, (there) => {
      const { hand } = handOf(there, arranged);
      const next = withSizes(hand!, moved.split, moved.weights, (id) => shown.has(id));
      return { ...there, hand: next };
    });
    return applied(resized, edgeMoved(window, direction, moved.pixels));
  }
  const share = shareOfBoundary(layout, moved.split, moved.weights);
  const next = adjust(context, (adjusted) =>
    share === null
      ? { ...adjusted, moved: { ...adjusted.moved, [moved.split]: moved.weights } }
      : { ...adjusted, leadShare: share },
  );
  return applied(next, edgeMoved(window, direction, moved.pixels));
}

/** A zone's edge is its track line: every zone that begins or ends there goes with it. */
function growZone(
  context: CommandContext,
  window: SessionWindow,
  {
    zoned,
    tiled,
    tiles,
    minimums,
  }: ArrangedWorkspace & { zoned: ZoneDivision; tiles: readonly Rect[] },
  direction: Direction,
  step: number,
): Outcome {
  const { session } = context;
  const at = tiled.findIndex(({ id }) => id === window.id);
  if (at < 0) return growStanding(context, window, direction, step);
  const moved = moveTrackLine(zoned, at, direction, step, tiles, minimums);
  if (!moved) return noop(session, `nothing lies ${direction} to share with`);
  if (moved.pixels === 0) return noop(session, 'what would get smaller is at its minimum');
  const names = trackNames(zoned.board.id);
  const name = moved.axis === 'x' ? names.columns : names.rows;
  const next = adjust(context, (adjusted) => ({
    ...adjusted,
    moved: { ...adjusted.moved, [name]: moved.weights },
  }));
  return applied(next, edgeMoved(window, direction, moved.pixels));
}

function edgeMoved(window: SessionWindow, direction: Direction, pixels: number, others = 0) {
  const edge = { left: 'left', right: 'right', up: 'top', down: 'bottom' }[direction];
  return {
    about: window.id,
    decided: `${edge} edge ${pixels > 0 ? 'out' : 'in'} by ${Math.abs(pixels)} px`,
    because: `${pixels > 0 ? 'grown by key' : 'shrunk by key'}${others > 0 ? `; ${countText(others, 'other window')} along that line ${others === 1 ? 'goes' : 'go'} with it` : ''}`,
    pixels,
  };
}

/**
 * A floating window's edge moves freely: not beyond the work area, and to a size that the window allows. On a grid
 * it moves on to the line nearest to where it would be, one at least.
 */
function growStanding(
  { session, profile, desk }: CommandContext,
  window: SessionWindow,
  direction: Direction,
  step: number,
): Outcome {
  if (window.resizable === false) return noop(session, 'its size is fixed');
  const monitor = monitorOf(desk, window.monitor);
  const { area } = workArea(monitor);
  const { grid } = profile.floating;
  const onLines = floatsOnGrid(profile, window);
  const axis = axisOf(direction);
  const forward = isForward(direction);
  const now = currentFloatingRect(window, monitor);
  const own = span(now, axis);
  const room = span(area, axis);
  const beyond = Math.max(0, forward ? room.end - own.end : own.start - room.start);
  const edge = forward ? own.end : own.start;
  const outwards = forward ? 1 : -1;
  const wanted = onLines
    ? nextLine(edge, edge + outwards * step, room.start, gridStep(grid, monitor))
    : edge + outwards * step;
  const length = lengthTowards(
    window,
    axis,
    {
      now: own.length,
      wanted: own.length + outwards * (wanted - edge),
      room: own.length + beyond,
    },
    monitor.scale,
  );
  // What has a shape of its own grows in the other axis too.
  const across = window.aspect === undefined ? now : area;
  const size = inItsShape(
    window,
    axis === 'x'
      ? { width: length, height: across.height }
      : { width: across.width, height: length },
    now,
    monitor.scale,
  );
  const start = forward ? own.start : own.end - span({ ...now, ...size }, axis).length;
  const grown: Rect = { ...keptInside(area, { ...now, ...size }), [axis]: start };
  const rect = onLines ? keptInside(area, onGrid(grown, monitor, grid)) : grown;
  const pixels = span(rect, axis).length - own.length;
  if (pixels === 0) {
    return noop(
      session,
      step < 0
        ? 'it is at its minimum'
        : beyond === 0
          ? 'it ends at the work area'
          : 'it allows no larger size here',
    );
  }
  const standing = toFloatingRect(rect, monitor);
  return applied(
    withWindow(session, window.id, (there) => ({ ...there, standing })),
    edgeMoved(window, direction, pixels),
  );
}

/** The line nearest to where an edge is to be, at least one line on from where it is. */
function nextLine(edge: number, wanted: number, origin: number, step: number): number {
  const lines = (edge - origin) / step;
  const nearest = round((wanted - origin) / step);
  const line =
    wanted > edge
      ? Math.max(nearest, Math.floor(lines) + 1)
      : Math.min(nearest, Math.ceil(lines) - 1);
  return origin + line * step;
}

export const growFunctions = {
  ...inDirections('grow', (context, direction) =>
    growTowards(context, direction, growStep(context)),
  ),
  ...inDirections('shrink', (context, direction) =>
    growTowards(context, direction, -growStep(context)),
  ),
  'move-edge': (context, { direction, by }) => growTowards(context, direction, by),
} satisfies Partial<CommandFunctions>;

/** One step, in logical pixels: of the grid for a window that stands on it. */
function growStep({ session, profile }: CommandContext): number {
  const window = windowOf(session, session.focus);
  return window && floatsOnGrid(profile, window) ? profile.floating.grid : profile.tiling.growStep;
}
