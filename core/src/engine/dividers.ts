import { deskInForce } from '../desk/desk.ts';
import { sharedLength, span, type Rect, type Size } from '../geometry/rect.ts';
import type { Profile } from '../model/profile.ts';
import type { Session } from '../model/session.ts';
import { axisOf } from '../values/direction.ts';
import type { ArrangedWorkspace } from './arranged-workspace.ts';
import { computePlacements } from './placements.ts';
import { reduce, type SessionEvent } from './reduce.ts';

/** The gap behind a window that another one begins after: moving it is moving the window's edge. */
export interface Divider {
  window: string;
  direction: 'right' | 'down';
  /** As long as the window's edge and as broad as the gap, at least a pixel. */
  rect: Rect;
}

/** Every divider of a workspace, in the order of its windows. */
export function dividersOf({ tiled, tiles, gap }: ArrangedWorkspace): Divider[] {
  const all = tiles ?? [];
  return tiled.flatMap(({ id }, i) =>
    (['right', 'down'] as const).flatMap((direction): Divider[] => {
      const axis = axisOf(direction);
      const across = axis === 'x' ? 'y' : 'x';
      const tile = all[i];
      if (!tile) return [];
      const own = span(tile, axis);
      const end = own.start + own.length;
      const isMet = all.some((other) => {
        const there = span(other, axis);
        return (
          there.start === end + gap[axis] &&
          sharedLength(span(tile, across), span(other, across)) > 0
        );
      });
      if (!isMet) return [];
      const breadth = Math.max(1, gap[axis]);
      const rect =
        axis === 'x' ? { ...tile, x: end, width: breadth } : { ...tile, y: end, height: breadth };
      return [{ window: id, direction, rect }];
    }),
  );
}

/** What moving a divider comes to: the window beside it gets the focus, and its edge is moved. */
export function dividerEvents({ window, direction }: Divider, by: number): SessionEvent[] {
  return [
    { type: 'window-focused', id: window },
    { type: 'command', command: { command: 'move-edge', direction, by } },
  ];
}

/** Where a divider would be, and what its window would have then. */
export interface MovedDivider {
  /** How far it goes, in physical pixels: less than was asked for where a minimum stops it. */
  pixels: number;
  rect: Rect;
  size: Size;
}

/**
 * What moving a divider would come to; null where its window has no tile.
 *
 * @param by logical pixels
 */
export function dividerMoved(
  session: Session,
  profile: Profile,
  divider: Divider,
  by: number,
): MovedDivider | null {
  let pixels = 0;
  let now = session;
  for (const event of dividerEvents(divider, by)) {
    const outcome = reduce(now, event, profile);
    now = outcome.session;
    pixels = outcome.trace.reduce((sum, reason) => sum + (reason.pixels ?? 0), 0);
  }
  const { placements } = computePlacements(now, profile, deskInForce(profile, now));
  const tile = placements.find(({ id }) => id === divider.window)?.tile;
  if (!tile) return null;
  const { rect, direction } = divider;
  return {
    pixels,
    rect: direction === 'right' ? { ...rect, x: rect.x + pixels } : { ...rect, y: rect.y + pixels },
    size: { width: tile.width, height: tile.height },
  };
}
