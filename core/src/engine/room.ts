import type { Size } from '../geometry/rect.ts';
import { toPixels } from '../geometry/round.ts';
import type { TooSmall } from '../model/profile.ts';
import type { Session, SessionWindow } from '../model/session.ts';
import type { ArrangedWorkspace } from './arranged-workspace.ts';
import { minimumOf } from './hints.ts';

/** Windows divided, before it is known which of them have no room. */
export interface Division {
  arranged: ArrangedWorkspace;
  /** The minimums of all windows are met. */
  allFit: boolean;
}

/** Divides an area among windows; `beneath` are to fit into the last tile too. */
export type Divide = (
  windows: readonly SessionWindow[],
  beneath: readonly SessionWindow[],
) => Division;

/**
 * The smallest tile that a person can still see and reach, in logical pixels. Where windows without room leave the
 * tiles, a window without a minimum of its own leaves before its tile gets smaller than this.
 */
const VISIBLE: Size = { width: 80, height: 60 };

/** The least tile a window is to have, in physical pixels. */
export function neededBy(window: SessionWindow, whenTooSmall: TooSmall, scale: number): Size {
  const minimum = minimumOf(window, scale);
  if (whenTooSmall === 'squeeze' || window.min || window.resizable === false) return minimum;
  return { width: toPixels(VISIBLE.width, scale), height: toPixels(VISIBLE.height, scale) };
}

/** The least tile that each of some windows fits into. One that is larger than the area fits nowhere, and is left out. */
export function neededByAll(needs: readonly Size[], area: Size): Size {
  const fitting = needs.filter(({ width, height }) => width <= area.width && height <= area.height);
  return {
    width: Math.max(1, ...fitting.map(({ width }) => width)),
    height: Math.max(1, ...fitting.map(({ height }) => height)),
  };
}

/**
 * Divides an area among the windows that have room there. Squeezed ones all keep a tile. Else the one opened last
 * leaves the tiles, again and again, until the rest fits.
 */
export function withRoom(
  session: Session,
  tiled: readonly SessionWindow[],
  divide: Divide,
): ArrangedWorkspace {
  let now = divide(tiled, []);
  const { whenTooSmall } = now.arranged.tiling;
  const overflow: SessionWindow[] = [];
  if (now.allFit || whenTooSmall === 'squeeze') return complete(now, overflow);
  const age = new Map(session.windows.map((window, i) => [window.id, i]));
  const oldestFirst = [...tiled].sort((a, b) => age.get(a.id)! - age.get(b.id)!);
  const gone = new Set<SessionWindow>();
  while (!now.allFit && oldestFirst.length > 1) {
    const last = oldestFirst.pop()!;
    overflow.push(last);
    gone.add(last);
    now = divide(
      tiled.filter((window) => !gone.has(window)),
      whenTooSmall === 'stack' ? overflow : [],
    );
  }
  return complete(now, overflow);
}

function complete({ arranged }: Division, overflow: readonly SessionWindow[]): ArrangedWorkspace {
  if (overflow.length === 0) return arranged;
  const isAfloat = arranged.tiling.whenTooSmall === 'float';
  const afloat = [...arranged.unseated, ...(isAfloat ? overflow : [])];
  return { ...arranged, overflow, afloat };
}
