import { HOLDING_FIELDS, LIST_FIELDS, type Step } from './schema.ts';
import {
  did,
  isShown,
  mendOrders,
  nothing,
  windowOf,
  withFocus,
  withFocusOnMonitor,
  type Outcome,
  type Session,
  type SessionWindow,
} from './session.ts';

/** As many steps can be taken back. */
const MOST_STEPS = 100;

/** The part of a window that commands change and undo puts back. */
function holdingOf(window: SessionWindow): Step['windows'][string] {
  return picked(window, HOLDING_FIELDS) as Step['windows'][string];
}

function picked<T extends object, F extends keyof T>(
  value: T,
  fields: readonly F[],
): Partial<Pick<T, F>> {
  const there = fields.filter((field) => value[field] !== undefined);
  return Object.fromEntries(there.map((field) => [field, value[field]])) as Partial<Pick<T, F>>;
}

function without<T extends object>(value: T, fields: readonly (keyof T)[]): T {
  const kept = Object.entries(value).filter(([field]) => !fields.includes(field as keyof T));
  return Object.fromEntries(kept) as T;
}

/** What led from one session to another, as it was before: only that which changed. */
function stepBetween(before: Session, after: Session, command: string): Step {
  const windows: Step['windows'] = {};
  if (before.windows !== after.windows) {
    for (const window of before.windows) {
      if (windowOf(after, window.id) !== window) windows[window.id] = holdingOf(window);
    }
  }
  const arrangements: Step['arrangements'] = {};
  for (const key of Object.keys({ ...before.arrangements, ...after.arrangements })) {
    const former = before.arrangements[key];
    if (former !== after.arrangements[key]) arrangements[key] = former ?? { order: [] };
  }
  return {
    command,
    windows,
    arrangements,
    shown: before.shown,
    ...picked(before, LIST_FIELDS),
    ...(before.focus !== undefined && { focus: before.focus }),
    focusMonitor: before.focusMonitor,
  };
}

/** Remembers a step, so that undo can take it back. */
export function remembered(
  before: Session,
  after: Session,
  command: string,
  most = MOST_STEPS,
): Session {
  const past = [...before.past, stepBetween(before, after, command)].slice(-most);
  return { ...after, past, future: [] };
}

/** The session as it was some steps ago; nothing is left to do again. */
export function stepsBack(session: Session, steps: number): Session {
  let former = session;
  for (let i = 0; i < steps; i++) {
    const step = former.past.at(-1);
    if (!step) break;
    former = { ...applyStep(former, step), past: former.past.slice(0, -1), future: [] };
  }
  return former;
}

export function undo(session: Session): Outcome {
  return travel(session, 'past', 'future');
}

export function redo(session: Session): Outcome {
  return travel(session, 'future', 'past');
}

/** Takes the newest step of one list and leaves its opposite on the other. */
function travel(session: Session, from: 'past' | 'future', to: 'past' | 'future'): Outcome {
  const step = session[from].at(-1);
  if (!step) {
    return nothing(session, from === 'past' ? 'no step to take back' : 'no step to take again');
  }
  const there = applyStep(session, step);
  const opposite = stepBetween(session, there, step.command);
  return did(
    { ...there, [from]: session[from].slice(0, -1), [to]: [...session[to], opposite] },
    {
      decided: `${step.command} ${from === 'past' ? 'taken back' : 'done again'}`,
      because: from === 'past' ? 'undo' : 'redo',
    },
  );
}

/** The lists a step brings back: closed windows are skipped, a workspace with windows on it stays. */
function listsAfter(
  session: Session,
  step: Step,
  windows: readonly SessionWindow[],
): Pick<Session, (typeof LIST_FIELDS)[number]> {
  const open = new Set(windows.map(({ id }) => id));
  const used = new Set(windows.map(({ workspace }) => workspace));
  const { pocket = [], minimised = [], workspacesMade = [], workspacesClosed = [] } = step;
  const made = new Set(workspacesMade.map(({ id }) => id));
  const stay = (session.workspacesMade ?? []).filter(({ id }) => used.has(id) && !made.has(id));
  const lists = {
    pocket: pocket.filter((id) => open.has(id)),
    minimised: minimised.filter((id) => open.has(id)),
    workspacesMade: [...workspacesMade, ...stay],
    workspacesClosed: workspacesClosed.filter((id) => !used.has(id)),
  };
  return Object.fromEntries(Object.entries(lists).filter(([, list]) => list.length > 0));
}

/** Puts back what a step changed; windows opened since stay, at the end, and closed ones are skipped. */
function applyStep(session: Session, step: Step): Session {
  const isHeldOtherwise = session.windows.some(({ id }) => step.windows[id]);
  const former = (window: SessionWindow): SessionWindow => {
    const holding = step.windows[window.id];
    if (!holding) return window;
    const { workspace = window.workspace, monitor = window.monitor } = holding;
    return { ...without(window, HOLDING_FIELDS), ...holding, workspace, monitor };
  };
  const windows = isHeldOtherwise ? session.windows.map(former) : session.windows;
  const lists = listsAfter(session, step, windows);
  const mended = mendOrders({
    ...without(session, LIST_FIELDS),
    ...lists,
    windows,
    arrangements: { ...session.arrangements, ...step.arrangements },
    shown: { ...session.shown, ...step.shown },
  });
  const focused = windowOf(mended, step.focus);
  return focused && isShown(mended, focused)
    ? withFocus(mended, focused)
    : withFocusOnMonitor(mended, step.focusMonitor);
}
