import type { HomedWorkspace } from '../../desk/desk.ts';
import { workspacesOn } from '../../desk/desk.ts';
import { nearestName } from '../../profile/nearest.ts';
import {
  did,
  nothing,
  shownNow,
  shownOn,
  windowName,
  windowOf,
  withFocus,
  withFocusOnMonitor,
  type Outcome,
  type Situation,
} from '../session.ts';
import { joined } from './join.ts';

/**
 * The workspace meant: by its name, else the next or previous one of the monitor with the focus, round
 * its list, or the one that monitor showed last. A sentence for the person when there is none.
 */
function meant({ session, desk }: Situation, which: string): HomedWorkspace | string {
  const named = desk.workspaces.find((workspace) => workspace.id === which);
  if (named) return named;
  const monitor = session.focusMonitor;
  const here = workspacesOn(desk, monitor);
  const at = here.findIndex(({ id }) => id === shownOn(session, monitor));
  switch (which) {
    case 'next':
      return here[(at + 1) % here.length]!;
    case 'previous':
      return here[(at - 1 + here.length) % here.length]!;
    case 'last':
      return (
        here.find(({ id }) => id === session.shownBefore?.[monitor]) ??
        'this monitor showed no other workspace before'
      );
    default: {
      const names = desk.workspaces.map(({ id }) => id);
      const nearest = nearestName(which, names);
      return `no workspace is called ${which}${nearest ? `; the nearest is ${nearest}` : ''}`;
    }
  }
}

/** go-workspace: shows a workspace on its monitor and goes there. */
export function goWorkspace(situation: Situation, which: string): Outcome {
  const { session, desk } = situation;
  const to = meant(situation, which);
  if (typeof to === 'string') return nothing(session, to);
  if (session.focusMonitor === to.monitor && session.shown[to.monitor] === to.id) {
    return nothing(session, `workspace ${to.id} has the focus already`);
  }
  const shown = { ...session, ...shownNow(session, to.monitor, to.id) };
  return did(withFocusOnMonitor(shown, to.monitor), {
    about: to.id,
    decided: `workspace ${to.id} shown`,
    because: `it is on ${desk.monitors.find(({ id }) => id === to.monitor)!.name}`,
  });
}

/**
 * put-on-workspace: the focused window joins the end of a workspace. Unless it is followed there, the
 * focus stays where it is, with the window that had it before.
 */
export function putOnWorkspace(situation: Situation, which: string, follow: boolean): Outcome {
  const { session, profile } = situation;
  const window = windowOf(session, session.focus);
  if (!window) return nothing(session, 'no window has the focus');
  const to = meant(situation, which);
  if (typeof to === 'string') return nothing(session, to);
  if (to.id === window.workspace) {
    return nothing(session, `${windowName(profile, window)} is on workspace ${to.id} already`);
  }
  const put = joined(situation, window, to.monitor, to.id);
  const next = follow
    ? withFocus(put, windowOf(put, window.id)!)
    : withFocusOnMonitor(put, session.focusMonitor);
  return did(next, {
    about: window.id,
    decided: `on workspace ${to.id}, at the end`,
    because: follow ? 'put there by key, and followed' : 'put there by key',
  });
}
