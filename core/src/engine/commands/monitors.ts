import type { CommandFunctions } from './command-functions.ts';
import { monitorOf } from '../../desk/desk.ts';
import { monitorRound, monitorTowards } from '../../desk/neighbours.ts';
import type { DeskMonitor } from '../../desk/monitors.ts';
import { isRole, monitorNamed, ROLES } from '../../desk/roles.ts';
import { DIRECTIONS, type Direction } from '../../values/direction.ts';
import { nearestName } from '../../values/nearest-name.ts';
import {
  applied,
  noop,
  shownNow,
  shownOn,
  windowName,
  windowOf,
  withFocus,
  withFocusOnMonitor,
  type Outcome,
  type CommandContext,
  existingWindow,
} from '../session.ts';
import { connectionState, afterReconnection, withNamesKept } from '../relocation.ts';
import { joinArrangement } from './arrangement-member.ts';

/**
 * The monitor meant: by a direction from the one with the focus, next or previous, by its id, name, a
 * pattern, or a role. A sentence for the person when there is none.
 */
function meant({ session, desk }: CommandContext, which: string): DeskMonitor | string {
  const named = monitorNamed(which, desk.monitors);
  if (named) return named;
  const here = monitorOf(desk, session.focusMonitor);
  if (which === 'next') return monitorRound(desk, here.id, 1);
  if (which === 'previous') return monitorRound(desk, here.id, -1);
  if ((DIRECTIONS as readonly string[]).includes(which)) {
    const direction = which as Direction;
    return (
      monitorTowards(desk, here, direction) ?? `no monitor stands ${direction} of ${here.name}`
    );
  }
  if (isRole(which)) return `no monitor here is ${which}`;
  const names = desk.monitors.flatMap(({ id, name }) => [id, name]);
  const nearest = nearestName(which, [...names, ...ROLES, ...DIRECTIONS, 'next', 'previous']);
  return `no monitor is called ${which}${nearest ? `; the nearest is ${nearest}` : ''}`;
}

/** go-monitor: sends the focus to a monitor, to its most recent window, or to itself where it shows none. */
function goMonitor(context: CommandContext, which: string): Outcome {
  const { session } = context;
  const to = meant(context, which);
  if (typeof to === 'string') return noop(session, to);
  if (to.id === session.focusMonitor) return noop(session, `${to.name} has the focus already`);
  const there = withFocusOnMonitor(session, to.id);
  return applied(there, {
    about: to.id,
    decided: `${to.name} has the focus`,
    because: there.focus === undefined ? 'by key; it shows no window' : 'by key',
  });
}

/** put-on-monitor: the focused window joins the end of the workspace another monitor shows. */
function putOnMonitor(context: CommandContext, which: string, follow: boolean): Outcome {
  const { session, profile } = context;
  const window = windowOf(session, session.focus);
  if (!window) return noop(session, 'no window has the focus');
  const to = meant(context, which);
  if (typeof to === 'string') return noop(session, to);
  if (to.id === window.monitor) {
    return noop(session, `${windowName(profile, window)} is on ${to.name} already`);
  }
  const put = joinArrangement(context, window, to.id, shownOn(session, to.id));
  const next = follow
    ? withFocus(put, existingWindow(put, window.id))
    : withFocusOnMonitor(put, session.focusMonitor);
  return applied(next, {
    about: window.id,
    decided: `on ${to.name}, workspace ${shownOn(session, to.id)}, at the end`,
    because: follow ? 'put there by key, and followed' : 'put there by key',
  });
}

/** put-workspace-on-monitor: the shown workspace goes to another monitor, which is its home from now on. */
function putWorkspaceOnMonitor(context: CommandContext, which: string): Outcome {
  const { session, desk } = context;
  if (desk.joined) {
    return noop(session, 'workspaces are joined: every monitor shows the same one');
  }
  const to = meant(context, which);
  if (typeof to === 'string') return noop(session, to);
  const from = session.focusMonitor;
  const workspace = shownOn(session, from);
  if (to.id === from) return noop(session, `workspace ${workspace} is on ${to.name} already`);
  const kept = withNamesKept(session, desk, workspace);
  const workspacesPut = [
    ...(session.workspacesPut ?? []).filter(({ id }) => id !== workspace),
    { id: workspace, monitor: to.id },
  ];
  const connection = { ...connectionState(session), workspacesPut };
  const moved = afterReconnection({ ...context, session: kept }, connection);
  const shown = { ...moved, ...shownNow(moved, to.id, workspace) };
  return applied(withFocusOnMonitor(shown, to.id), {
    about: workspace,
    decided: `workspace ${workspace} on ${to.name}`,
    because: 'put there by key; it is at home there from now on',
  });
}

export const monitorFunctions = {
  'go-monitor': (context, { which }) => goMonitor(context, which),
  'put-on-monitor': (context, { which, follow }) => putOnMonitor(context, which, follow ?? true),
  'put-workspace-on-monitor': (context, { which }) => putWorkspaceOnMonitor(context, which),
} satisfies Partial<CommandFunctions>;
