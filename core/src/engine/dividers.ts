import { sharedLength, span, type Rect } from '../geometry/rect.ts';
import type { Profile } from '../model/profile.ts';
import type { Session } from '../model/session.ts';
import { axisOf } from '../values/direction.ts';
import type { ArrangedWorkspace } from './arranged-workspace.ts';
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

/**
 * How far a divider goes when it is moved: less than was asked for where a minimum stops it.
 *
 * @param by logical pixels
 * @returns physical pixels
 */
export function dividerMoved(
  session: Session,
  profile: Profile,
  divider: Divider,
  by: number,
): number {
  let pixels = 0;
  let now = session;
  for (const event of dividerEvents(divider, by)) {
    const outcome = reduce(now, event, profile);
    now = outcome.session;
    pixels = outcome.trace.reduce((sum, reason) => sum + (reason.pixels ?? 0), 0);
  }
  return pixels;
}
