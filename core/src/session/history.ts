import type { Step } from './schema.ts';
import {
  did,
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
function holdingOf({ held, workspace, monitor, standing }: SessionWindow): Step['windows'][string] {
  return { held, workspace, monitor, ...(standing && { standing }) };
}

/** What led from one session to another, as it was before: only that which changed. */
function stepBetween(before: Session, after: Session, command: string): Step {
  const windows: Step['windows'] = {};
  const now = new Map(after.windows.map((window) => [window.id, window]));
  for (const window of before.windows) {
    if (now.get(window.id) !== window) windows[window.id] = holdingOf(window);
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
    ...(before.focus !== undefined && { focus: before.focus }),
    focusMonitor: before.focusMonitor,
  };
}

/** Remembers a step, so that undo can take it back. */
export function remembered(before: Session, after: Session, command: string): Session {
  const past = [...before.past, stepBetween(before, after, command)].slice(-MOST_STEPS);
  return { ...after, past, future: [] };
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

/** Puts back what a step changed; windows opened since stay, at the end, and closed ones are skipped. */
function applyStep(session: Session, step: Step): Session {
  const windows = session.windows.map((window): SessionWindow => {
    const holding = step.windows[window.id];
    if (!holding) return window;
    const { standing: _standing, ...rest } = window;
    const { workspace = window.workspace, monitor = window.monitor } = holding;
    return { ...rest, ...holding, workspace, monitor };
  });
  const mended = mendOrders({
    ...session,
    windows,
    arrangements: { ...session.arrangements, ...step.arrangements },
    shown: { ...session.shown, ...step.shown },
  });
  const focused = windowOf(mended, step.focus);
  return focused ? withFocus(mended, focused) : withFocusOnMonitor(mended, step.focusMonitor);
}
