import type { Profile } from '../model/profile.ts';
import type { Session } from '../model/session.ts';
import { withWorkspaceCalled } from '../model/session-names.ts';

type Workspaces = Profile['workspaces'];

/**
 * The session after the list of workspaces was edited. Where one of them is called by another id now, everything that
 * is on it stays on it.
 */
export function onWorkspacesEdited(
  session: Session,
  before: Workspaces,
  after: Workspaces,
): Session {
  const renamed = renameBetween(before, after);
  const there = renamed ? withWorkspaceCalled(session, renamed.from, renamed.to) : session;
  return withoutMade(there, after);
}

/** The one workspace that has another id at the same place of an otherwise equal list of ids; null where there is none. */
function renameBetween(before: Workspaces, after: Workspaces): { from: string; to: string } | null {
  if (before.length !== after.length) return null;
  const changed = before.flatMap(({ id }, i) => (id === after[i]!.id ? [] : [i]));
  const [at] = changed;
  if (at === undefined || changed.length > 1) return null;
  const [from, to] = [before[at]!.id, after[at]!.id];
  return before.some(({ id }) => id === to) ? null : { from, to };
}

/** What the profile names is not made in the session as well. */
function withoutMade(session: Session, workspaces: Workspaces): Session {
  const named = new Set(workspaces.map(({ id }) => id));
  if (!session.workspacesMade?.some(({ id }) => named.has(id))) return session;
  const { workspacesMade, ...rest } = session;
  const made = workspacesMade.filter(({ id }) => !named.has(id));
  return { ...rest, ...(made.length > 0 && { workspacesMade: made }) };
}
