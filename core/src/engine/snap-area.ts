import { monitorOf } from '../desk/desk.ts';
import type { DeskMonitor } from '../desk/monitors.ts';
import { workArea } from '../desk/work-area.ts';
import type { Rect } from '../geometry/rect.ts';
import { toPixels } from '../geometry/round.ts';
import type { Snap } from '../model/session-snap.ts';
import type { SessionWindow } from '../model/session.ts';
import { snappedRect } from '../snap/axis.ts';
import { rangeOf, rangeRect, tracksOf } from '../tiling/zone-board.ts';
import type { Gap } from '../tiling/solve.ts';
import { tilingInForce } from './arrange.ts';
import { isShown, type CommandContext } from './session.ts';
import { floatingRectOn } from './floating-rect.ts';

/** What windows are placed in: the work area less the outer gap, and the gap between them. */
export interface SnapArea {
  monitor: DeskMonitor;
  area: Rect;
  gap: Gap;
}

const NO_GAP: Gap = { x: 0, y: 0 };

/** The area for placing on a monitor; without any gaps where placing is set so. */
export function snapArea(
  { session, profile, desk }: CommandContext,
  workspace: string,
  monitorId: string,
): SnapArea {
  const monitor = monitorOf(desk, monitorId);
  if (!profile.placing.gaps) return { monitor, area: workArea(monitor).area, gap: NO_GAP };
  const { gaps } = tilingInForce(profile, session, workspace, monitorId);
  return {
    monitor,
    area: workArea(monitor, gaps.outer).area,
    gap: {
      x: toPixels(gaps.inner.x, monitor.scale),
      y: toPixels(gaps.inner.y, monitor.scale),
    },
  };
}

/** The rectangle a placed window was given, whatever its size hints make of it. */
export function rectOfSnap(context: CommandContext, window: SessionWindow, placing: Snap): Rect {
  const { moved, at } = placing;
  const on = snapArea(context, window.workspace, window.monitor);
  const own = moved ?? at;
  if (own) return floatingRectOn(window, own, on.monitor);
  return rectOfZones(context, placing, on) ?? snappedRect(on.area, on.gap, placing);
}

/** The zones' rectangle; null where it is in none, or a board does not have them any more. */
function rectOfZones(
  { profile }: CommandContext,
  { zone }: Snap,
  { area, gap }: SnapArea,
): Rect | null {
  const board = zone && profile.boards.find(({ id }) => id === zone.board);
  const range = board && rangeOf(board, zone.zones);
  return range ? rangeRect(tracksOf(board, area, gap), range, area) : null;
}

/** A window with a place of its own, and the rectangle of that. */
export interface SnappedWindow {
  window: SessionWindow & { placing: Snap };
  rect: Rect;
}

/** The placed windows that are shown on a workspace of a monitor, in the order they opened. */
export function snappedWindows(
  context: CommandContext,
  workspace: string,
  monitor: string,
): SnappedWindow[] {
  return context.session.windows.flatMap((window) => {
    const { placing } = window;
    const isHere =
      placing &&
      window.workspace === workspace &&
      window.monitor === monitor &&
      isShown(context.session, window);
    if (!isHere) return [];
    return [{ window: { ...window, placing }, rect: rectOfSnap(context, window, placing) }];
  });
}
