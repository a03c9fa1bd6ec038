import { span, type Rect } from '../../geometry/rect.ts';
import type { Session, SessionWindow } from '../../model/session.ts';
import { axisOf, isForward, type Direction, type Axis } from '../../values/direction.ts';
import { minimumOf } from '../hints.ts';
import { snappedWindows, snapArea, type SnappedWindow } from '../snap-area.ts';
import { withWindow, type CommandContext } from '../session.ts';
import { toFloatingRect } from '../floating-rect.ts';

/** The result of moving an edge: how far it moved, counted outwards from the window whose edge it is. */
export interface EdgeMoved {
  session: Session;
  pixels: number;
  /** Windows whose edge went with it. */
  others: string[];
}

/**
 * Moves an edge of a placed window, and with it every edge of placed windows along that line: those on the
 * same side, and those across the gap. None goes below the smaller of its minimum and its present size,
 * none beyond the area.
 *
 * @param step physical pixels outwards; below 0 inwards
 */
export function moveSharedEdge(
  context: CommandContext,
  window: SessionWindow,
  direction: Direction,
  step: number,
): EdgeMoved {
  const { area, gap, monitor } = snapArea(context, window.workspace, window.monitor);
  const axis = axisOf(direction);
  const forward = isForward(direction);
  const all = snappedWindows(context, window.workspace, window.monitor);
  const own = all.find((placed) => placed.window.id === window.id)!;
  const line = edgeOf(own.rect, axis, forward);
  const across = forward ? line + gap[axis] : line - gap[axis];
  const facing = all.filter(({ rect }) => edgeOf(rect, axis, !forward) === across);
  const beside =
    facing.length > 0 ? all.filter(({ rect }) => edgeOf(rect, axis, forward) === line) : [own];
  const room = span(area, axis);
  const beyond = Math.max(0, forward ? room.end - line : line - room.start);
  const slack = (placed: SnappedWindow) => {
    const size = minimumOf(placed.window, monitor.scale)[axis === 'x' ? 'width' : 'height'];
    const { length } = span(placed.rect, axis);
    return length - Math.min(length, size);
  };
  const most = facing.length > 0 ? Math.min(...facing.map(slack)) : beyond;
  const least = Math.min(...beside.map(slack));
  const pixels = step > 0 ? Math.min(step, most) : -Math.min(-step, least);
  if (pixels === 0) return { session: context.session, pixels: 0, others: [] };
  const grown = (rect: Rect, isForwardEdge: boolean, by: number): Rect => {
    const { start, length } = span(rect, axis);
    const from = isForwardEdge ? start : start - by;
    return axis === 'x'
      ? { ...rect, x: from, width: length + by }
      : { ...rect, y: from, height: length + by };
  };
  const moved = [
    ...beside.map((placed) => ({ ...placed, rect: grown(placed.rect, forward, pixels) })),
    ...facing.map((placed) => ({ ...placed, rect: grown(placed.rect, !forward, -pixels) })),
  ];
  const session = moved.reduce<Session>(
    (now, { window: { id, placing }, rect }) =>
      withWindow(now, id, (there) => ({
        ...there,
        placing: { ...placing, moved: toFloatingRect(rect, monitor) },
      })),
    context.session,
  );
  const others = moved.map((placed) => placed.window.id).filter((id) => id !== window.id);
  return { session, pixels, others };
}

function edgeOf(rect: Rect, axis: Axis, isForwardEdge: boolean): number {
  const { start, end } = span(rect, axis);
  return isForwardEdge ? end : start;
}

/** even-out for placed windows: edges moved by key are as they were placed. Null where none was moved. */
export function withEdgesBack(
  session: Session,
  workspace: string,
  monitor: string,
): Session | null {
  const isMoved = (window: SessionWindow) =>
    window.workspace === workspace &&
    window.monitor === monitor &&
    window.placing?.moved !== undefined;
  if (!session.windows.some(isMoved)) return null;
  return {
    ...session,
    windows: session.windows.map((window) => {
      if (!isMoved(window)) return window;
      const { moved: _moved, ...placing } = window.placing!;
      return { ...window, placing };
    }),
  };
}
