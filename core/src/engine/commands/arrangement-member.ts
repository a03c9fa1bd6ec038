import { monitorOf, type DeskInForce } from '../../desk/desk.ts';
import { without } from '../../model/object-fields.ts';
import type { Session, SessionWindow } from '../../model/session.ts';
import {
  arrangementOf,
  withArrangement,
  withoutWindow,
  withWindow,
  type CommandContext,
} from '../session.ts';
import { carriedRect, toFloatingRect } from '../floating-rect.ts';

/** The session with a window at the end of a workspace's order; the focus stays as it was. */
export function joinArrangement(
  { session, desk }: CommandContext,
  window: SessionWindow,
  monitor: string,
  workspace: string,
): Session {
  const { away: _home, ...here } = window;
  const there: SessionWindow = {
    ...afloatNoMore(session, { ...here, monitor, workspace }),
    ...leftAloneAcross(desk, window, monitor),
  };
  const at = withoutFormerPlace(
    withWindow(session, window.id, () => there),
    there,
  );
  const gone = withArrangement(at, window.workspace, window.monitor, (arrangement) =>
    withoutWindow(arrangement, window.id),
  );
  return withArrangement(gone, workspace, monitor, (arrangement) => ({
    ...arrangement,
    // One that was called back from the pocket may have its place there still.
    order: [...arrangement.order.filter((id) => id !== window.id), window.id],
  }));
}

/** One that floats with all others floats by itself from now on, where not all float. */
export function afloatNoMore(session: Session, window: SessionWindow): SessionWindow {
  const { lifted, stayAbove, everywhere, monitor, workspace } = window;
  if (!lifted || stayAbove || everywhere) return window;
  if (arrangementOf(session, workspace, monitor).afloat) return window;
  return without(window, ['lifted']);
}

/** A window that is left alone keeps its pixels, so on another monitor it is put at the corresponding place once. */
function leftAloneAcross(desk: DeskInForce, window: SessionWindow, to: string) {
  const { standing } = window;
  if (!standing?.area || window.held !== 'left-alone' || window.monitor === to) return {};
  const monitor = monitorOf(desk, to);
  return {
    standing: toFloatingRect(carriedRect(window, standing, standing.area, monitor), monitor),
  };
}

/** Drops the place on another workspace that a window called back from the pocket still has: it belongs here now. */
export function withoutFormerPlace(session: Session, window: SessionWindow): Session {
  const from = window.pocketedFrom;
  if (!from || window.held === 'pocketed') return session;
  const here = withWindow(session, window.id, ({ pocketedFrom: _gone, ...rest }) => rest);
  const isHere = from.workspace === window.workspace && from.monitor === window.monitor;
  if (isHere) return here;
  return withArrangement(here, from.workspace, from.monitor, (arrangement) =>
    withoutWindow(arrangement, window.id),
  );
}
