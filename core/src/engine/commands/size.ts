import { isIn, withMode } from '../../model/window-mode.ts';
import type { CommandFunctions } from './command-functions.ts';
import {
  applied,
  noop,
  windowName,
  windowOf,
  withFocus,
  withFocusOnMonitor,
  withList,
  withWindow,
  type Outcome,
  type CommandContext,
} from '../session.ts';
import { focusedWindow, isOutcome } from './focused-window.ts';

const WORDS = { maximised: 'maximised', 'full-screen': 'full screen' } as const;

/** maximise and full-screen: over the work area, or the whole monitor; again, the window is back where it was. */
function toggleSize(context: CommandContext, state: keyof typeof WORDS): Outcome {
  const { session } = context;
  const window = focusedWindow(context);
  if (isOutcome(window)) return window;
  const isOn = isIn(window, state);
  if (!isOn && window.resizable === false) return noop(session, 'its size is fixed');
  const next = withWindow(session, window.id, (there) => withMode(there, state, !isOn));
  return applied(next, {
    about: window.id,
    decided: isOn ? `no longer ${WORDS[state]}` : WORDS[state],
    because: isOn ? 'back where it was' : 'by key; its place is kept',
  });
}

/** minimise: out of sight; the others close up, and its place in the order is kept. */
function minimise(context: CommandContext): Outcome {
  const { session } = context;
  const window = focusedWindow(context);
  if (isOutcome(window)) return window;
  const hidden = withList(
    withWindow(session, window.id, (there) => withMode(there, 'minimised', true)),
    'minimised',
    (ids) => [...ids, window.id],
  );
  return applied(withFocusOnMonitor(hidden, session.focusMonitor), {
    about: window.id,
    decided: 'minimised',
    because: 'by key; restore-last brings it back to its place',
  });
}

/** restore-last: the window minimised last is back at its place, wherever that is. */
function restoreLast({ session, profile }: CommandContext): Outcome {
  // What is in the pocket as well is called back from there.
  const window = session.minimised
    ?.map((id) => windowOf(session, id))
    .findLast((each) => each !== undefined && each.held !== 'pocketed');
  if (!window) return noop(session, 'no window is minimised');
  return applied(withFocus(session, window), {
    about: window.id,
    decided: `${windowName(profile, window)} restored`,
    because: 'it was minimised last',
  });
}

export const sizeFunctions = {
  maximise: (context) => toggleSize(context, 'maximised'),
  'full-screen': (context) => toggleSize(context, 'full-screen'),
  minimise,
  'restore-last': restoreLast,
} satisfies Partial<CommandFunctions>;
