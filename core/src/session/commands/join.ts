import { monitorOf } from '../../desk/desk.ts';
import {
  withArrangement,
  withWindow,
  type Session,
  type SessionWindow,
  type Situation,
} from '../session.ts';
import { carriedStanding } from '../standing.ts';

/** The session with a window at the end of a workspace's order; the focus stays as it was. */
export function joined(
  { session, desk }: Situation,
  window: SessionWindow,
  monitor: string,
  workspace: string,
): Session {
  const { standing } = window;
  const there: SessionWindow = {
    ...window,
    monitor,
    workspace,
    ...(standing && {
      standing: carriedStanding({ ...window, standing }, monitorOf(desk, monitor), desk),
    }),
  };
  const moved = withWindow(session, window.id, () => there);
  const gone = withArrangement(moved, window.workspace, window.monitor, (arrangement) => ({
    ...arrangement,
    order: arrangement.order.filter((id) => id !== window.id),
  }));
  return withArrangement(gone, workspace, monitor, (arrangement) => ({
    ...arrangement,
    order: [...arrangement.order, window.id],
  }));
}
