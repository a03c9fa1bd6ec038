import { deskInForce } from '@sorn/core/desk';
import { tilingInForce, windowOf } from '@sorn/core/engine';
import type { Profile, Session } from '@sorn/core/model';
import type { LiveFinding } from './findings.ts';
import { linkId } from './real-window.ts';

/** How the live desk stands, for whoever watches. */
export interface LiveStatus {
  type: 'desk';
  state: 'waiting' | 'running' | 'paused' | 'out';
  monitors: { monitor: string; workspace: string; layout: string }[];
  workspaces: { id: string; name: string; monitor: string; shown: boolean; windows: number }[];
  focus: { window: string; app: string | null; title: string } | null;
  findings: LiveFinding[];
}

/**
 * How a desk stands.
 *
 * @param session null before an agent told what there is
 */
export function statusOf(
  session: Session | null,
  profile: Profile,
  state: LiveStatus['state'],
  findings: LiveFinding[],
): LiveStatus {
  if (!session)
    return { type: 'desk', state: 'waiting', monitors: [], workspaces: [], focus: null, findings };
  const desk = deskInForce(profile, session);
  const focus = windowOf(session, session.focus);
  return {
    type: 'desk',
    state,
    monitors: desk.monitors.map(({ id }) => {
      const workspace = session.shown[id] ?? '';
      const { kind } = tilingInForce(profile, session, workspace, id).layout;
      return { monitor: id, workspace, layout: kind };
    }),
    workspaces: desk.workspaces.map(({ id, name, monitor }) => ({
      id,
      name,
      monitor,
      shown: desk.monitors.some((each) => session.shown[each.id] === id),
      windows: session.windows.filter(({ workspace }) => workspace === id).length,
    })),
    focus: focus
      ? { window: linkId(focus.id), app: focus.app ?? null, title: focus.title ?? '' }
      : null,
    findings,
  };
}
