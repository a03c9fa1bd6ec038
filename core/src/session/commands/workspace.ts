import { nearestName } from '../../profile/nearest.ts';
import { did, nothing, withFocusOnMonitor, type Outcome, type Situation } from '../session.ts';

/** go-workspace: shows a workspace on its monitor and goes there. */
export function goWorkspace({ session, desk }: Situation, which: string): Outcome {
  const home = desk.workspaces.find((workspace) => workspace.id === which);
  if (!home) {
    const nearest = nearestName(
      which,
      desk.workspaces.map(({ id }) => id),
    );
    const hint = nearest ? `; the nearest is ${nearest}` : '';
    return nothing(session, `no workspace is called ${which}${hint}`);
  }
  if (session.focusMonitor === home.monitor && session.shown[home.monitor] === which) {
    return nothing(session, `workspace ${which} has the focus already`);
  }
  const shown = { ...session.shown, [home.monitor]: which };
  return did(withFocusOnMonitor({ ...session, shown }, home.monitor), {
    about: which,
    decided: `workspace ${which} shown`,
    because: `it is on ${desk.monitors.find(({ id }) => id === home.monitor)!.name}`,
  });
}
