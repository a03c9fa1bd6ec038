import type { DeskMonitor } from '../desk/monitors.ts';
import { workArea } from '../desk/work-area.ts';
import { centredIn, keptInside, sameRect, type Rect, type Size } from '../geometry/rect.ts';
import { round, toPixels } from '../geometry/round.ts';
import type { FloatingRect } from '../model/session-snap.ts';
import type { Profile } from '../model/profile.ts';
import type { SessionWindow, WindowInput } from '../model/session.ts';
import { FARTHEST, LARGEST } from '../values/fields.ts';
import { largestAllowed, minimumOf } from './hints.ts';

/** Without a preferred size a floating window takes this part of its work area, in both axes. */
const FLOATING_SHARE = 0.5;

/**
 * Where a window stands when it first leaves the tiles: at its preferred size (else half the work area,
 * as far as its hints allow), in the middle of what it stands over, kept inside the work area.
 *
 * @param over the rectangle to centre on: its parent's, its tile, or the work area
 * @param grid logical pixels on whose multiples it stands, with its size as far as its hints allow; 0: anywhere
 */
export function firstFloatingRect(
  window: WindowInput,
  monitor: DeskMonitor,
  { over, grid = 0 }: { over?: Rect | undefined; grid?: number } = {},
): Rect {
  const { area } = workArea(monitor);
  const first = keptInside(area, centredIn(over ?? area, floatingSize(window, monitor, area)));
  if (grid <= 0) return first;
  return keptInside(
    area,
    onGrid({ ...first, ...sizeOnGrid(window, first, monitor, grid) }, monitor, grid),
  );
}

/** The size nearest to one that is whole steps of a grid in both axes, fits the work area and is allowed; else that size. */
function sizeOnGrid(window: WindowInput, size: Size, monitor: DeskMonitor, grid: number): Size {
  const { area } = workArea(monitor);
  const step = gridStep(grid, monitor);
  const sides = (length: number, most: number) =>
    [round(length / step), Math.floor(length / step), Math.ceil(length / step)]
      .map((steps) => steps * step)
      .filter((side) => side >= step && side <= most);
  for (const width of sides(size.width, area.width))
    for (const height of sides(size.height, area.height)) {
      const allowed = largestAllowed(window, { width, height }, monitor.scale);
      if (allowed?.width === width && allowed.height === height) return allowed;
    }
  return { width: size.width, height: size.height };
}

/** Whether a window stands on the grid of floating windows: a placed one stands where its placing says. */
export function floatsOnGrid({ floating }: Profile, window: SessionWindow): boolean {
  return floating.grid > 0 && window.held === 'floating' && !window.placing;
}

/** The distance of a grid's lines, in physical pixels. */
export function gridStep(grid: number, monitor: DeskMonitor): number {
  return Math.max(1, toPixels(grid, monitor.scale));
}

/**
 * A rectangle with its upper left corner on the grid of a monitor's work area, at the nearest point.
 *
 * @param grid logical pixels; 0: none
 */
export function onGrid(rect: Rect, monitor: DeskMonitor, grid: number): Rect {
  if (grid <= 0) return rect;
  const { area } = workArea(monitor);
  const step = gridStep(grid, monitor);
  /** At the nearest line from which the rectangle reaches no farther than the work area, where there is one. */
  const along = (at: number, from: number, length: number, room: number) => {
    const last = Math.floor(Math.max(0, room - length) / step);
    return from + Math.min(last, round((at - from) / step)) * step;
  };
  return {
    ...rect,
    x: along(rect.x, area.x, rect.width, area.width),
    y: along(rect.y, area.y, rect.height, area.height),
  };
}

/** How far a window is moved aside so that it does not hide another's title, in logical pixels. */
export const ASIDE = 32;

/** Moves the rectangle right and down until no other one has the same corner; it stays inside the work area. */
export function besideOthers(
  others: readonly Rect[],
  rect: Rect,
  monitor: DeskMonitor,
  grid = 0,
): Rect {
  const { area } = workArea(monitor);
  // On a grid, by as many of its steps as are needed.
  const aside = grid > 0 ? Math.ceil(ASIDE / grid) * grid : ASIDE;
  const step = toPixels(aside, monitor.scale);
  const isTaken = ({ x, y }: Rect) => others.some((other) => other.x === x && other.y === y);
  let there = rect;
  while (isTaken(there)) {
    const moved = keptInside(
      area,
      onGrid({ ...there, x: there.x + step, y: there.y + step }, monitor, grid),
    );
    if (moved.x === there.x && moved.y === there.y) break;
    there = moved;
  }
  return there;
}

/** The size a window floats at by itself: its preferred one, else its share of the work area, as its hints allow. */
export function floatingSize(window: WindowInput, monitor: DeskMonitor, area: Size): Size {
  const minimum = minimumOf(window, monitor.scale);
  const preferred = window.preferred;
  const asked: Size = preferred
    ? {
        width: Math.max(1, round(preferred.width * monitor.scale)),
        height: Math.max(1, round(preferred.height * monitor.scale)),
      }
    : {
        width: Math.max(minimum.width, round(area.width * FLOATING_SHARE)),
        height: Math.max(minimum.height, round(area.height * FLOATING_SHARE)),
      };
  const asRoomAllows = {
    width: Math.max(1, Math.min(asked.width, area.width)),
    height: Math.max(1, Math.min(asked.height, area.height)),
  };
  return largestAllowed(window, asRoomAllows, monitor.scale) ?? asked;
}

/** A rectangle within what a session can keep. */
function withinLimits({ x, y, width, height }: Rect): Rect {
  const within = (value: number, least: number, most: number) =>
    Math.min(most, Math.max(least, value));
  return {
    x: within(x, -FARTHEST, FARTHEST),
    y: within(y, -FARTHEST, FARTHEST),
    width: within(width, 1, LARGEST),
    height: within(height, 1, LARGEST),
  };
}

/** A rectangle with the work area it belongs to, within the limits of a session. */
export function toFloatingRect(rect: Rect, monitor: DeskMonitor): FloatingRect {
  return {
    ...withinLimits(rect),
    area: { ...workArea(monitor).area, scale: monitor.scale },
  };
}

/**
 * The floating rectangle of a window that names one itself, as in a session file. A floating window is moved inside
 * the work area; a window that is left alone is not moved. A rectangle that Sorn has written before stays as it is.
 */
export function givenFloatingRect(
  held: WindowInput['held'],
  given: FloatingRect,
  monitor: DeskMonitor,
): FloatingRect {
  if (given.area) return given;
  return toFloatingRect(
    held === 'floating' ? keptInside(workArea(monitor).area, given) : given,
    monitor,
  );
}

/**
 * The floating rectangle of a window on a monitor. In the work area in which it was put, it keeps its pixels. In
 * another one (another monitor, or this one moved, turned or scaled) it keeps its share of the work area and is
 * moved inside. A window that is left alone is not moved.
 */
export function floatingRectOn(window: WindowInput, standing: FloatingRect, to: DeskMonitor): Rect {
  const { area: from } = standing;
  if (!from || window.held === 'left-alone') return standing;
  const { area } = workArea(to);
  if (sameRect(from, area) && from.scale === to.scale) return standing;
  return carriedRect(window, standing, from, to);
}

/** Where a window stands on its monitor now: as it was put, or as it would stand at first. */
export function currentFloatingRect(window: WindowInput, monitor: DeskMonitor): Rect {
  return window.standing
    ? floatingRectOn(window, window.standing, monitor)
    : firstFloatingRect(window, monitor);
}

/** The same share of a monitor's work area as a rectangle had of a former one. */
export function carriedRect(
  window: WindowInput,
  rect: Rect,
  from: Rect & { scale: number },
  to: DeskMonitor,
): Rect {
  const { area } = workArea(to);
  const wanted: Size =
    window.resizable === false
      ? {
          width: Math.max(1, round((rect.width * to.scale) / from.scale)),
          height: Math.max(1, round((rect.height * to.scale) / from.scale)),
        }
      : {
          width: Math.max(1, round((rect.width * area.width) / from.width)),
          height: Math.max(1, round((rect.height * area.height) / from.height)),
        };
  const size = largestAllowed(window, wanted, to.scale) ?? minimumOf(window, to.scale);
  const there = {
    x: area.x + round(((rect.x - from.x) * area.width) / from.width),
    y: area.y + round(((rect.y - from.y) * area.height) / from.height),
    ...size,
  };
  return keptInside(area, withinLimits(there));
}
