import type { CommandFunctions } from './command-functions.ts';
import { deskInForce, monitorFor, workspacesOn, type DeskInForce } from '../../desk/desk.ts';
import type { HomedWorkspace } from '../../desk/homes.ts';
import { withNewWorkspace, withWorkspaceName } from '../../desk/workspaces.ts';
import type { Session, SessionWindow } from '../../model/session.ts';
import { nearestName } from '../../values/nearest-name.ts';
import { ownEntry } from '../../values/own-entry.ts';
import {
  isWorkspaceLetter,
  workspaceIdOf,
  workspaceNameOf,
} from '../../values/workspace-letter.ts';
import {
  applied,
  arrangementOf,
  noop,
  shownNow,
  shownOn,
  windowName,
  windowOf,
  withFocus,
  withFocusOnMonitor,
  withList,
  withWindow,
  type Outcome,
  type CommandContext,
  existingWindow,
} from '../session.ts';
import { relocateWindows, withNamesKept } from '../relocation.ts';
import { joinArrangement } from './arrangement-member.ts';

/**
 * The workspaces a monitor goes round: all it can show, or where empty ones are dropped, those with
 * windows and the shown one.
 */
export function listedWorkspaces(
  { session, profile, desk }: CommandContext,
  monitor: string,
): readonly HomedWorkspace[] {
  const all = workspacesOn(desk, monitor);
  if (profile.tiling.emptyWorkspaces === 'kept') return all;
  const used = new Set(session.windows.map(({ workspace }) => workspace));
  return all.filter(({ id }) => used.has(id) || shownOn(session, monitor) === id);
}

/**
 * The workspace meant: by its name, else the next or previous one of the monitor with the focus, round
 * its list, or the one that monitor showed last. A sentence for the person when there is none.
 */
function meant(context: CommandContext, which: string): HomedWorkspace | string {
  const { session, desk } = context;
  const named = workspaceCalled(desk, which);
  if (named) return named;
  const monitor = session.focusMonitor;
  const here = listedWorkspaces(context, monitor);
  const at = here.findIndex(({ id }) => id === shownOn(session, monitor));
  switch (which) {
    case 'next':
      return here[(at + 1) % here.length]!;
    case 'previous':
      return here[(at - 1 + here.length) % here.length]!;
    case 'last':
      return (
        workspacesOn(desk, monitor).find(
          ({ id }) => id === ownEntry(session.shownBefore, monitor),
        ) ?? 'this monitor showed no other workspace before'
      );
    default: {
      const names = desk.workspaces.map(({ id }) => id);
      const nearest = nearestName(which, names);
      return `no workspace is called ${which}${nearest ? `; the nearest is ${nearest}` : ''}`;
    }
  }
}

/** By its id; a letter names it in either case. */
function workspaceCalled(desk: DeskInForce, which: string): HomedWorkspace | undefined {
  const letter = isWorkspaceLetter(which) ? workspaceIdOf(which) : null;
  return (
    desk.workspaces.find(({ id }) => id === which) ??
    desk.workspaces.find(({ id }) => id.toUpperCase() === letter)
  );
}

/**
 * The context with the workspace there: a closed one is open again when it is called by its name, and one that is called
 * by a letter or digit which no other has is made, on the monitor with the focus.
 */
function withWorkspaceThere(context: CommandContext, which: string): CommandContext {
  const { session, profile, desk } = context;
  const there = (next: Session) => ({
    profile,
    session: next,
    desk: deskInForce(profile, next),
  });
  if (session.workspacesClosed?.includes(which))
    return there(withList(session, 'workspacesClosed', (ids) => ids.filter((id) => id !== which)));
  const isMade = profile.tiling.missingWorkspaces === 'made' && isWorkspaceLetter(which);
  if (!isMade || workspaceCalled(desk, which)) return context;
  return there(withWorkspaceMade(context, workspaceIdOf(which)));
}

/** It was neither there nor closed. */
function isNew({ session, desk }: CommandContext, { id }: HomedWorkspace): boolean {
  return !session.workspacesClosed?.includes(id) && !desk.workspaces.some((each) => each.id === id);
}

/** The workspaces that some monitor goes round. */
function allListed(context: CommandContext): ReadonlySet<string> {
  const { monitors } = context.desk;
  return new Set(
    monitors.flatMap((monitor) => listedWorkspaces(context, monitor.id).map(({ id }) => id)),
  );
}

/** The session with one more workspace on the monitor with the focus; made ones that are not gone round any more go. */
function withWorkspaceMade(context: CommandContext, id: string): Session {
  const { session, desk } = context;
  const monitor = session.focusMonitor;
  const listed = allListed(context);
  const kept = withNamesKept(session, desk, shownOn(session, monitor));
  return withList(kept, 'workspacesMade', (all) => [
    ...all.filter((made) => listed.has(made.id)),
    { id, monitor },
  ]);
}

/** go-workspace: shows a workspace on its monitor and goes there. */
function goWorkspace(before: CommandContext, which: string): Outcome {
  const context = withWorkspaceThere(before, which);
  const { session, desk } = context;
  const to = meant(context, which);
  if (typeof to === 'string') return noop(before.session, to);
  const monitor = monitorFor(desk, to, session.focusMonitor);
  if (session.focusMonitor === monitor && ownEntry(session.shown, monitor) === to.id) {
    return noop(before.session, `workspace ${to.id} has the focus already`);
  }
  const shown = { ...session, ...shownNow(session, monitor, to.id) };
  return applied(withFocusOnMonitor(shown, monitor), {
    about: to.id,
    decided: `workspace ${to.id} ${isNew(before, to) ? 'made and ' : ''}shown`,
    because: desk.joined
      ? 'all monitors are switched together'
      : `it is on ${desk.monitors.find(({ id }) => id === monitor)!.name}`,
  });
}

/**
 * put-on-workspace: the focused window joins the end of a workspace. Unless it is followed there, the
 * focus stays where it is, with the window that had it before.
 */
function putOnWorkspace(before: CommandContext, which: string, follow: boolean): Outcome {
  const context = withWorkspaceThere(before, which);
  const { session, profile, desk } = context;
  const window = windowOf(session, session.focus);
  if (!window) return noop(before.session, 'no window has the focus');
  const to = meant(context, which);
  if (typeof to === 'string') return noop(before.session, to);
  if (to.id === window.workspace) {
    return noop(before.session, `${windowName(profile, window)} is on workspace ${to.id} already`);
  }
  const put = joinArrangement(context, window, monitorFor(desk, to, window.monitor), to.id);
  const next = follow
    ? withFocus(put, existingWindow(put, window.id))
    : withFocusOnMonitor(put, session.focusMonitor);
  return applied(next, {
    about: window.id,
    decided: isNew(before, to)
      ? `on workspace ${to.id}, which is made`
      : `on workspace ${to.id}, at the end`,
    because: follow ? 'put there by key, and followed' : 'put there by key',
  });
}

/**
 * new-workspace: one more on the monitor with the focus; goes there. One that a person calls by a letter or a name is
 * in the profile from then on, at home there: its keys follow from that. Else it is called by the next free number.
 */
function newWorkspace(context: CommandContext, typed: string): Outcome {
  const { session, profile, desk } = context;
  const monitor = session.focusMonitor;
  const listed = allListed(context);
  const isTyped = typed.trim() !== '';
  const inUse = desk.workspaces.filter(({ id }) => isTyped || listed.has(id));
  const called = workspaceNameOf(
    typed,
    [...profile.workspaces, ...inUse].map(({ id }) => id),
  );
  if (!called) return noop(session, `a workspace is called ${workspaceIdOf(typed)} already`);
  const { id, name } = called;
  const made = withWorkspaceMade(context, id);
  const shown = { ...made, ...shownNow(made, monitor, id) };
  const outcome = applied(withFocusOnMonitor(shown, monitor), {
    about: id,
    decided: `workspace ${name === undefined ? id : `${id}, ${name},`} made and shown`,
    because: isTyped ? 'it was called so' : `${id} is the next free number`,
  });
  const edit = withNewWorkspace(profile, { ...called, monitor });
  return isTyped ? { ...outcome, edit } : outcome;
}

/** rename-workspace: what the shown one is called beside its letter. One that only the session has is kept in the profile. */
function renameWorkspace({ session, profile, desk }: CommandContext, typed: string): Outcome {
  const id = shownOn(session, session.focusMonitor);
  const name = typed.trim();
  if (name === '') return noop(session, 'no name was typed');
  const present = desk.workspaces.find((workspace) => workspace.id === id);
  if (present?.name === name) return noop(session, `workspace ${id} is called ${name} already`);
  const kept = withNewWorkspace(profile, { id, monitor: session.focusMonitor });
  return {
    ...applied(session, {
      about: id,
      decided: `workspace ${id} is called ${name}`,
      because: 'it was called so by key',
    }),
    edit: withWorkspaceName(kept, id, name),
  };
}

/** close-workspace: the present one; its windows go to the one this monitor showed before. */
function closeWorkspace(context: CommandContext): Outcome {
  const { session, profile, desk } = context;
  const monitor = session.focusMonitor;
  const closed = shownOn(session, monitor);
  const others = workspacesOn(desk, monitor).filter(({ id }) => id !== closed);
  const before =
    others.find(({ id }) => id === ownEntry(session.shownBefore, monitor)) ?? others[0];
  if (!before) return noop(session, `${closed} is the only workspace here`);

  const members = inTheirOrder(session, closed);
  const moved = members.reduce<Session>(
    (now, window) => sentTo({ ...context, session: now }, window.id, before.id),
    session,
  );
  const isMade = !profile.workspaces.some(({ id }) => id === closed);
  const closing = isMade
    ? withList(moved, 'workspacesMade', (all) => all.filter(({ id }) => id !== closed))
    : withList(moved, 'workspacesClosed', (ids) => [...ids, closed]);
  // Another that is called so later is not where this one was put.
  const { workspacesPut, ...unput } = closing;
  const put = workspacesPut?.filter(({ id }) => id !== closed) ?? [];
  const without: Session = { ...unput, ...(put.length > 0 && { workspacesPut: put }) };
  const rest = withoutShownBefore({ ...without, ...shownNow(without, monitor, before.id) }, closed);
  // Workspaces that only fill a monitor may be called otherwise without it.
  const relocated = relocateWindows(rest, profile, deskInForce(profile, rest));
  const focused = windowOf(relocated, session.focus);
  const name = profile.workspaces.find(({ id }) => id === closed)?.name;
  return applied(focused ? withFocus(relocated, focused) : withFocusOnMonitor(relocated, monitor), {
    about: closed,
    decided: `workspace ${closed} closed`,
    because:
      members.length > 0
        ? `by key; its windows are on ${before.id}, shown before`
        : `by key; ${name ?? closed} was empty`,
  });
}

/** The windows of a workspace, on each monitor in the order that they have there. */
function inTheirOrder(session: Session, workspace: string): SessionWindow[] {
  const members = session.windows.filter((window) => window.workspace === workspace);
  const place = ({ id, monitor }: SessionWindow) =>
    arrangementOf(session, workspace, monitor).order.indexOf(id);
  return members.sort((a, b) => place(a) - place(b));
}

/** The session without a workspace as the one that a monitor showed before. */
function withoutShownBefore(session: Session, workspace: string): Session {
  const { shownBefore = {}, ...rest } = session;
  const kept = Object.entries(shownBefore).filter(([, id]) => id !== workspace);
  return { ...rest, ...(kept.length > 0 && { shownBefore: Object.fromEntries(kept) }) };
}

/** A window on another workspace of its own monitor; one in the pocket comes from there now, unless it only visited. */
function sentTo(context: CommandContext, id: string, workspace: string): Session {
  const window = existingWindow(context.session, id);
  const sent = joinArrangement(context, window, window.monitor, workspace);
  return withWindow(sent, id, (there) =>
    there.pocketedFrom?.workspace === window.workspace
      ? { ...there, pocketedFrom: { ...there.pocketedFrom, workspace, monitor: there.monitor } }
      : there,
  );
}

export const workspaceFunctions = {
  'go-workspace': (context, { which }) => goWorkspace(context, which),
  'put-on-workspace': (context, { which, follow }) =>
    putOnWorkspace(context, which, follow ?? false),
  'new-workspace': (context, { called }) => newWorkspace(context, called ?? ''),
  'rename-workspace': (context, { name }) => renameWorkspace(context, name ?? ''),
  'close-workspace': closeWorkspace,
} satisfies Partial<CommandFunctions>;
