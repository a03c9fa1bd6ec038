import { monitorName } from '../desk/monitors.ts';
import { sameRect } from '../geometry/rect.ts';
import { computePlacements } from './placements.ts';
import type { Placement } from './placement.ts';
import { windowName, type Reason, type CommandContext, existingWindow } from './session.ts';

/** A window that is, or is shown, elsewhere than before. */
export interface WindowMove {
  window: string;
  from: Placement;
  to: Placement;
  because: string;
}

/** What happens to every window between two states of a desk; windows that stay as they are are left out. */
export function movesBetween(before: CommandContext, after: CommandContext): WindowMove[] {
  const former = new Map(
    computePlacements(before.session, before.profile, before.desk).placements.map((each) => [
      each.id,
      each,
    ]),
  );
  return computePlacements(after.session, after.profile, after.desk).placements.flatMap(
    (to): WindowMove[] => {
      const from = former.get(to.id);
      if (!from || isSame(from, to)) return [];
      return [{ window: to.id, from, to, because: reasonFor(from, to, before, after) }];
    },
  );
}

function isSame(a: Placement, b: Placement): boolean {
  return (
    a.monitor === b.monitor &&
    a.workspace === b.workspace &&
    a.shown === b.shown &&
    a.held === b.held &&
    sameRect(a, b)
  );
}

function reasonFor(
  from: Placement,
  to: Placement,
  before: CommandContext,
  after: CommandContext,
): string {
  const nameOf = (id: string) => monitorName(after.profile, id);
  if (from.monitor !== to.monitor) {
    const home = after.desk.workspaces.find(({ id }) => id === to.workspace);
    return after.desk.joined || !home ? `it was on ${nameOf(from.monitor)}` : home.because;
  }
  const isGone = !after.desk.workspaces.some(({ id }) => id === from.workspace);
  if (from.workspace !== to.workspace && isGone) return `workspace ${from.workspace} is gone`;
  if (from.shown !== to.shown) {
    return to.shown
      ? `${nameOf(to.monitor)} shows workspace ${to.workspace}`
      : `${nameOf(to.monitor)} shows another workspace, or nothing`;
  }
  if (from.held !== to.held) return `it is ${to.held.replace('-', ' ')}`;
  const at = (context: CommandContext) => context.desk.monitors.find(({ id }) => id === to.monitor);
  const [was, is] = [at(before), at(after)];
  const hasMoved = !was || !is || !sameRect(was, is) || was.scale !== is.scale;
  return hasMoved ? `${nameOf(to.monitor)} was changed` : 'it makes room';
}

/** Reasons for the windows that are on another monitor than before. */
export function monitorsLeft(before: CommandContext, after: CommandContext): Reason[] {
  return movesBetween(before, after)
    .filter(({ from, to }) => from.monitor !== to.monitor)
    .map(({ window, to, because }) => ({
      about: window,
      decided: `${windowName(after.profile, existingWindow(after.session, window))} on ${monitorName(after.profile, to.monitor)}`,
      because,
    }));
}
