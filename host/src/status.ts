import { deskInForce } from '@sorn/core/desk';
import { tilingInForce, windowOf } from '@sorn/core/engine';
import type { Profile, Session } from '@sorn/core/model';
import type { Rect } from '@sorn/core/geometry';
import type { LiveFinding } from './findings.ts';
import type { KeepQuestion } from './profile-in-force.ts';
import type { DeviceWords } from './real-monitors.ts';
import { linkId } from './real-window.ts';

/** How the live desk stands, for whoever watches. */
export interface LiveStatus {
  type: 'desk';
  /** `waiting` for an agent that is not there, or has not told everything; `stopped` by hand. */
  state: 'waiting' | 'running' | 'paused' | 'out' | 'stopped';
  monitors: { monitor: string; workspace: string; layout: string }[];
  workspaces: { id: string; name: string; monitor: string; shown: boolean; windows: number }[];
  focus: { window: string; app: string | null; title: string } | null;
  findings: LiveFinding[];
}

/** What a page shows of a live desk beside its windows. */
export interface LiveAbout {
  /** Null before one said who it is. */
  agent: { name: string; version: string; can: string[] } | null;
  state: LiveStatus['state'];
  monitors: RealMonitor[];
  /** What is taken back unless a person keeps it. */
  question: KeepQuestion | null;
  /** Whether edits wait until the person says that they apply, and whether there are any. */
  held: 'nothing' | 'edits' | null;
  /** A command line that a person has to confirm before it is launched. */
  waitingLaunch: string | null;
  hasPictures: boolean;
  findings: LiveFinding[];
  unknownApps: UnknownApp[];
}

/** A connected monitor, in physical pixels, and which of the profile's it is. */
interface RealMonitor extends Rect {
  name: string;
  id: string;
  by: string;
  device: DeviceWords;
}

/** An app that the profile does not know, as its newest window has it. */
export interface UnknownApp {
  name: string;
  app?: string;
  process?: string;
  title?: string;
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
