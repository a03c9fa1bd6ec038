import type { Rect } from '../geometry/rect.ts';
import type { Axis } from '../values/direction.ts';
import { arrange } from './arrange.ts';
import { arrangementOf, shownOn, type CommandContext } from './session.ts';

/** The half of a window that the next one gets, in physical pixels, and how it is divided. */
export interface ComingHalf {
  rect: Rect;
  axis: Axis;
}

/**
 * The right or lower half of the window that the next one divides, as it stands now; minimums may share it otherwise
 * then. Null where no division is under way on the workspace with the focus.
 */
export function comingHalf(context: CommandContext): ComingHalf | null {
  const { session } = context;
  const monitor = session.focusMonitor;
  const workspace = shownOn(session, monitor);
  const { divides } = arrangementOf(session, workspace, monitor);
  if (!divides) return null;
  const { tiled, tiles } = arrange(context, workspace, monitor);
  const tile = tiles?.[tiled.findIndex(({ id }) => id === divides.window)];
  if (!tile) return null;
  const { axis } = divides;
  const [width, height] = [Math.ceil(tile.width / 2), Math.ceil(tile.height / 2)];
  const rect =
    axis === 'x'
      ? { ...tile, x: tile.x + tile.width - width, width }
      : { ...tile, y: tile.y + tile.height - height, height };
  return { rect, axis };
}
