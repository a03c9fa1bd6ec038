import { monitorOf, type DeskInForce, type PlacedMonitor } from '../desk/desk.ts';
import { workArea } from '../desk/work-area.ts';
import { round, toPixels } from '../geometry/round.ts';
import { centredIn, keptInside, type Rect, type Size } from '../geometry/rect.ts';
import { largestAllowed, minimumOf } from './hints.ts';
import type { WindowInput } from './schema.ts';

/** Without a preferred size a floating window takes this part of its work area, in both axes. */
const FLOATING_SHARE = 0.5;

/**
 * Where a window stands when it first leaves the tiles: at its preferred size (else half the work area,
 * as far as its hints allow), in the middle of what it stands over, kept inside the work area.
 *
 * @param over the rectangle to centre on: its parent's, its tile, or the work area
 */
export function firstStanding(window: WindowInput, monitor: PlacedMonitor, over?: Rect): Rect {
  const { area } = workArea(monitor);
  return keptInside(area, centredIn(over ?? area, floatingSize(window, monitor, area)));
}

/** How far a window is moved aside so that it does not hide another's title, in logical pixels. */
const ASIDE = 32;

/** The rectangle, moved right and down as often as another stands at its very corner; inside the work area. */
export function clearOf(others: readonly Rect[], rect: Rect, monitor: PlacedMonitor): Rect {
  const { area } = workArea(monitor);
  const step = toPixels(ASIDE, monitor.scale);
  const isTaken = ({ x, y }: Rect) => others.some((other) => other.x === x && other.y === y);
  let there = rect;
  while (isTaken(there)) {
    const moved = keptInside(area, { ...there, x: there.x + step, y: there.y + step });
    if (moved.x === there.x && moved.y === there.y) break;
    there = moved;
  }
  return there;
}

function floatingSize(window: WindowInput, monitor: PlacedMonitor, area: Size): Size {
  const minimum = minimumOf(window, monitor.scale);
  const preferred = window.preferred;
  const asked: Size = preferred
    ? {
        width: round(preferred.width * monitor.scale),
        height: round(preferred.height * monitor.scale),
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

/** A standing window taken to another monitor: it keeps its share of the work area, not its pixels. */
export function carriedStanding(
  window: WindowInput & { monitor: string; standing: Rect },
  to: PlacedMonitor,
  desk: DeskInForce,
): Rect {
  const from = monitorOf(desk, window.monitor);
  const old = workArea(from).area;
  const area = workArea(to).area;
  const wanted: Size =
    window.resizable === false
      ? {
          width: round((window.standing.width * to.scale) / from.scale),
          height: round((window.standing.height * to.scale) / from.scale),
        }
      : {
          width: Math.max(1, round((window.standing.width * area.width) / old.width)),
          height: Math.max(1, round((window.standing.height * area.height) / old.height)),
        };
  const size = largestAllowed(window, wanted, to.scale) ?? minimumOf(window, to.scale);
  return keptInside(area, {
    x: area.x + round(((window.standing.x - old.x) * area.width) / old.width),
    y: area.y + round(((window.standing.y - old.y) * area.height) / old.height),
    ...size,
  });
}
