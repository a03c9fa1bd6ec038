import { isIn } from '../model/window-mode.ts';
import { deskInForce, monitorOf, type DeskInForce } from '../desk/desk.ts';
import { picked, without } from '../model/object-fields.ts';
import type { Profile } from '../model/profile.ts';
import {
  CONNECTION_FIELDS,
  HOLDING_FIELDS,
  LIST_FIELDS,
  type Arrangement,
  type UndoStep,
  type Session,
  type SessionWindow,
} from '../model/session.ts';
import { ownEntry } from '../values/own-entry.ts';
import {
  applied,
  isShown,
  noop,
  arrangementKey,
  windowOf,
  withFocus,
  withFocusOnMonitor,
  type Outcome,
  type CommandContext,
  occupiedWorkspaces,
} from './session.ts';
import { relocateWindows } from './relocation.ts';

/** The most steps that undo can take back. */
const MOST_STEPS = 100;

/** The part of a window that commands change and undo puts back. */
function holdingOf(window: SessionWindow): UndoStep['windows'][string] {
  return picked(window, HOLDING_FIELDS) as UndoStep['windows'][string];
}

/** Lists of windows that are out of sight, the most recent last. */
const AWAY: readonly (typeof LIST_FIELDS)[number][] = ['pocket', 'minimised'];

/** What led from one session to another: all that is otherwise, as it was before. */
function stepBetween(before: Session, after: Session, command: string): UndoStep {
  const isOtherwise = CONNECTION_FIELDS.some((field) => before[field] !== after[field]);
  // A window that is put away again has its place in its list, whether or not the step changed that.
  const lists = LIST_FIELDS.filter(
    (field) => before[field] !== after[field] || (AWAY.includes(field) && before[field]),
  );
  const common = {
    command,
    shown: before.shown,
    ...Object.fromEntries(lists.map((field) => [field, before[field] ?? []])),
    ...(isOtherwise && { connection: picked(before, CONNECTION_FIELDS) }),
    ...(before.focus !== undefined && { focus: before.focus }),
    focusMonitor: before.focusMonitor,
  };
  const windows: UndoStep['windows'] = {};
  if (before.windows !== after.windows) {
    before.windows.forEach((window, i) => {
      const isAsItWas = after.windows[i] === window || windowOf(after, window.id) === window;
      if (!isAsItWas) windows[window.id] = holdingOf(window);
    });
  }
  const arrangements: UndoStep['arrangements'] = {};
  for (const key of Object.keys({ ...before.arrangements, ...after.arrangements })) {
    const former = before.arrangements[key];
    if (former !== after.arrangements[key]) arrangements[key] = former ?? { order: [] };
  }
  return { ...common, windows, arrangements };
}

/** Remembers a step, so that undo can take it back. */
export function withUndoStep(
  before: Session,
  after: Session,
  command: string,
  most = MOST_STEPS,
): Session {
  const past = [...before.past, stepBetween(before, after, command)].slice(-most);
  return { ...after, past, future: [] };
}

/** The session with a past and a future in which no step brings back a cable: what is connected now stays so. */
export function withCablesAsTheyAre(session: Session): Session {
  const cables = picked(session, ['connected', 'unplugged']);
  const kept = (step: UndoStep): UndoStep =>
    step.connection
      ? {
          ...step,
          connection: { ...without(step.connection, ['connected', 'unplugged']), ...cables },
        }
      : step;
  const { past, future } = session;
  if (![...past, ...future].some(({ connection }) => connection)) return session;
  return { ...session, past: past.map(kept), future: future.map(kept) };
}

/** The session as it was some steps ago; nothing is left to do again. */
export function stepsBack({ session, profile }: CommandContext, steps: number): Session {
  let former = session;
  for (let i = 0; i < steps; i++) {
    const step = former.past.at(-1);
    if (!step) break;
    former = { ...applyStep(former, step, profile), past: former.past.slice(0, -1), future: [] };
  }
  return former;
}

export function undo(context: CommandContext): Outcome {
  return travel(context, 'past', 'future');
}

export function redo(context: CommandContext): Outcome {
  return travel(context, 'future', 'past');
}

/** Takes the newest step of one list and leaves its opposite on the other. */
function travel(
  { session, profile }: CommandContext,
  from: 'past' | 'future',
  to: 'past' | 'future',
): Outcome {
  const step = session[from].at(-1);
  if (!step) {
    return noop(session, from === 'past' ? 'no step to take back' : 'no step to take again');
  }
  const there = applyStep(session, step, profile);
  const opposite = stepBetween(session, there, step.command);
  return applied(
    { ...there, [from]: session[from].slice(0, -1), [to]: [...session[to], opposite] },
    {
      decided: `${step.command} ${from === 'past' ? 'taken back' : 'done again'}`,
      because: from === 'past' ? 'undo' : 'redo',
    },
  );
}

/**
 * The lists after a step is taken back, which brings back those that it changed: closed windows are skipped, those put
 * away since they opened are at the end, a workspace with windows on it stays.
 */
function listsAfter(
  session: Session,
  step: UndoStep,
  windows: readonly SessionWindow[],
): Pick<Session, (typeof LIST_FIELDS)[number]> {
  const away = (
    before: readonly string[],
    now: readonly string[] = [],
    isAway: (window: SessionWindow) => boolean,
  ) => {
    if (before.length === 0 && now.length === 0) return [];
    const ids = new Set(windows.filter(isAway).map(({ id }) => id));
    return [...new Set([...before, ...now])].filter((id) => ids.has(id));
  };
  const { pocket = [], minimised = [] } = step;
  const { workspacesMade = [], workspacesClosed = [], lineups = [] } = { ...session, ...step };
  const used = new Set(occupiedWorkspaces(windows).map(({ workspace }) => workspace));
  const made = new Set(workspacesMade.map(({ id }) => id));
  const stay = (session.workspacesMade ?? []).filter(({ id }) => used.has(id) && !made.has(id));
  const lists = {
    pocket: away(pocket, session.pocket, ({ held }) => held === 'pocketed'),
    minimised: away(minimised, session.minimised, (window) => isIn(window, 'minimised')),
    workspacesMade: [...workspacesMade, ...stay],
    workspacesClosed: workspacesClosed.filter((id) => !used.has(id)),
    lineups,
  };
  return Object.fromEntries(Object.entries(lists).filter(([, list]) => list.length > 0));
}

/**
 * Puts back what a step changed; windows opened since stay, at the end, and closed ones are skipped. What
 * happened on a monitor that is not there now is taken back where its workspace is.
 */
function applyStep(before: Session, step: UndoStep, profile: Profile): Session {
  const session = step.connection
    ? { ...without(before, CONNECTION_FIELDS), ...step.connection }
    : before;
  const isHeldOtherwise = session.windows.some(({ id }) => ownEntry(step.windows, id));
  const former = (window: SessionWindow): SessionWindow => {
    const holding = ownEntry(step.windows, window.id);
    if (!holding) return window;
    const { workspace = window.workspace, monitor = window.monitor } = holding;
    return { ...without(window, HOLDING_FIELDS), ...holding, workspace, monitor };
  };
  const windows = isHeldOtherwise ? session.windows.map(former) : session.windows;
  const lists = listsAfter(session, step, windows);
  const listed = { ...without(session, LIST_FIELDS), ...lists };
  const desk = deskInForce(profile, listed);
  const there = relocateWindows(
    {
      ...listed,
      windows: isHeldOtherwise
        ? windows.map((window) =>
            ownEntry(step.windows, window.id) ? whereItsWorkspaceIs(window, desk) : window,
          )
        : windows,
      arrangements: arrangementsAfter(session.arrangements, step, desk),
      shown: { ...session.shown, ...step.shown },
    },
    profile,
    desk,
  );
  const focused = windowOf(there, step.focus);
  if (focused && isShown(there, focused)) return withFocus(there, focused);
  // No window had it.
  if (step.focus === undefined && desk.monitors.some((each) => each.id === step.focusMonitor))
    return { ...without(there, ['focus']), focusMonitor: step.focusMonitor };
  const { id } = monitorOf(desk, step.focusMonitor);
  return withFocusOnMonitor(there, id);
}

/** A window put back to a monitor that its workspace is not on now. */
function whereItsWorkspaceIs(window: SessionWindow, desk: DeskInForce): SessionWindow {
  if (desk.joined) return window;
  const monitor = homeOfWorkspace(desk, window.workspace);
  return monitor === undefined || monitor === window.monitor ? window : { ...window, monitor };
}

function homeOfWorkspace(desk: DeskInForce, workspace: string): string | undefined {
  return desk.workspaces.find(({ id }) => id === workspace)?.monitor;
}

/** The arrangements after a step is taken back; one of a workspace that is on another monitor now is there. */
function arrangementsAfter(
  now: Session['arrangements'],
  { arrangements: former, connection }: UndoStep,
  desk: DeskInForce,
): Session['arrangements'] {
  const after = { ...now };
  const isLive = (arrangement: Arrangement | undefined): arrangement is Arrangement =>
    arrangement !== undefined && !arrangement.detached;
  // Windows that opened there since are at the end; who was there before it was elsewhere says nothing.
  const joinedBy = (order: string[], present: Arrangement | undefined) =>
    isLive(present) ? [...new Set([...order, ...present.order])] : order;
  const hasOrder = (arrangement: Arrangement | undefined): arrangement is Arrangement =>
    isLive(arrangement) && arrangement.order.length > 0;
  const elsewhere: { arrangement: Arrangement; there: string }[] = [];
  for (const [key, arrangement] of Object.entries(former)) {
    const [workspace = '', monitor = ''] = key.split('/');
    const home = desk.joined ? undefined : homeOfWorkspace(desk, workspace);
    if (home === undefined) {
      const isAway = !connection && now[key]?.detached;
      after[key] = isAway ? { ...arrangement, detached: true } : arrangement;
    } else if (home !== monitor) {
      after[key] = { ...arrangement, detached: true };
      const there = arrangementKey(workspace, home);
      if (hasOrder(arrangement) && !hasOrder(former[there])) elsewhere.push({ arrangement, there });
    } else if (isLive(arrangement) || !isLive(now[key])) {
      // Else it was elsewhere then, on a monitor that is not there now, and stays as it is here.
      after[key] = { ...arrangement, order: joinedBy(arrangement.order, now[key]) };
    }
  }
  // What is here already is known by now, whichever came first in the step.
  for (const { arrangement, there } of elsewhere) {
    // What its windows take along from monitor to monitor is as it was then.
    const alongFields = ['hand', 'afloat', 'divides'] as const;
    after[there] = {
      ...without(after[there] ?? { order: [] }, [...alongFields, 'detached']),
      ...picked(arrangement, alongFields),
      order: joinedBy(arrangement.order, after[there]),
    };
  }
  return after;
}
