import type { Profile } from '../model/profile.ts';
import type { Session, UndoStep } from '../model/session.ts';

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
  const there = renamed ? renamedIn(session, renamed.from, renamed.to) : session;
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

function renamedIn(session: Session, from: string, to: string): Session {
  const called = (id: string) => (id === from ? to : id);
  const onIt = <T extends { workspace?: string }>(value: T): T =>
    value.workspace === from ? { ...value, workspace: to } : value;
  const byId = <T extends { id: string }>(list: readonly T[]): T[] =>
    list.map((each) => (each.id === from ? { ...each, id: to } : each));
  const shown = (record: Record<string, string>) =>
    Object.fromEntries(Object.entries(record).map(([monitor, id]) => [monitor, called(id)]));
  const arrangements = <T>(record: Record<string, T>) =>
    Object.fromEntries(
      Object.entries(record).map(([key, value]) => {
        const [workspace = '', ...monitor] = key.split('/');
        return [[called(workspace), ...monitor].join('/'), value];
      }),
    );
  const held = <T extends UndoStep['windows'][string]>(window: T): T => {
    const { pocketedFrom } = window;
    return { ...onIt(window), ...(pocketedFrom && { pocketedFrom: onIt(pocketedFrom) }) };
  };
  /** The lists of workspaces that a session and each of its steps have. */
  const lists = <T extends Pick<Session, 'workspacesMade' | 'workspacesClosed' | 'lineups'>>(
    value: T,
  ) => ({
    ...value,
    ...(value.workspacesMade && { workspacesMade: byId(value.workspacesMade) }),
    ...(value.workspacesClosed && { workspacesClosed: value.workspacesClosed.map(called) }),
    ...(value.lineups && { lineups: value.lineups.map(onIt) }),
  });
  const put = <T extends Pick<Session, 'workspacesPut'>>(value: T) => ({
    ...value,
    ...(value.workspacesPut && { workspacesPut: byId(value.workspacesPut) }),
  });
  const step = (each: UndoStep): UndoStep => ({
    ...lists(each),
    windows: Object.fromEntries(
      Object.entries(each.windows).map(([id, window]) => [id, held(window)]),
    ),
    arrangements: arrangements(each.arrangements),
    shown: shown(each.shown),
    ...(each.connection && { connection: put(each.connection) }),
  });
  return {
    ...put(lists(session)),
    windows: session.windows.map((window) => {
      const { ruled } = window;
      if (!ruled) return held(window);
      const { from: was } = ruled;
      const back = was && { ...onIt(was), to: called(was.to) };
      return { ...held(window), ruled: { ...onIt(ruled), ...(back && { from: back }) } };
    }),
    arrangements: arrangements(session.arrangements),
    shown: shown(session.shown),
    ...(session.shownBefore && { shownBefore: shown(session.shownBefore) }),
    ...(session.together && { together: onIt(session.together) }),
    past: session.past.map(step),
    future: session.future.map(step),
  };
}
