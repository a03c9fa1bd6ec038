import { monitorOf } from '../desk/desk.ts';
import type { PlacedMonitor } from '../desk/monitors.ts';
import { workArea } from '../desk/work-area.ts';
import type { Rect } from '../geometry/rect.ts';
import { toPixels } from '../geometry/round.ts';
import type { Placing } from '../model/session-placing.ts';
import type { SessionWindow } from '../model/session.ts';
import { placedRect } from '../placing/along.ts';
import { rangeOf, rangeRect, tracksOf } from '../tiling/board.ts';
import type { Gap } from '../tiling/solve.ts';
import { tilingInForce } from './arrange.ts';
import { isShown, type Situation } from './session.ts';
import { standsAt } from './standing.ts';

/** What windows are placed in: the work area less the outer gap, and the gap between them. */
export interface PlacingArea {
  monitor: PlacedMonitor;
  area: Rect;
  gap: Gap;
}

const NO_GAP: Gap = { x: 0, y: 0 };

/** The area for placing on a monitor; without any gaps where placing is set so. */
export function placingArea(
  { session, profile, desk }: Situation,
  workspace: string,
  monitorId: string,
): PlacingArea {
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
export function rectOfPlacing(situation: Situation, window: SessionWindow, placing: Placing): Rect {
  const { moved, at } = placing;
  const on = placingArea(situation, window.workspace, window.monitor);
  const own = moved ?? at;
  if (own) return standsAt(window, own, on.monitor);
  return rectOfZones(situation, placing, on) ?? placedRect(on.area, on.gap, placing);
}

/** The zones' rectangle; null where it is in none, or a board does not have them any more. */
function rectOfZones(
  { profile }: Situation,
  { zone }: Placing,
  { area, gap }: PlacingArea,
): Rect | null {
  const board = zone && profile.boards.find(({ id }) => id === zone.board);
  const range = board && rangeOf(board, zone.zones);
  return range ? rangeRect(tracksOf(board, area, gap), range, area) : null;
}

/** A window with a place of its own, and the rectangle of that. */
export interface PlacedWindow {
  window: SessionWindow & { placing: Placing };
  rect: Rect;
}

/** The placed windows that are shown on a workspace of a monitor, in the order they opened. */
export function placedWindows(
  situation: Situation,
  workspace: string,
  monitor: string,
): PlacedWindow[] {
  return situation.session.windows.flatMap((window) => {
    const { placing } = window;
    const isHere =
      placing &&
      window.workspace === workspace &&
      window.monitor === monitor &&
      isShown(situation.session, window);
    if (!isHere) return [];
    return [{ window: { ...window, placing }, rect: rectOfPlacing(situation, window, placing) }];
  });
}
