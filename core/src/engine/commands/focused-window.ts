import type { SessionWindow } from '../../model/session.ts';
import { noop, windowName, windowOf, type Outcome, type CommandContext } from '../session.ts';

/** The window that has the focus; why there is nothing to do when none has, or it is left alone. */
export function focusedWindow({ session, profile }: CommandContext): SessionWindow | Outcome {
  const window = windowOf(session, session.focus);
  if (!window) return noop(session, 'no window has the focus');
  if (window.held === 'left-alone') {
    return noop(session, `${windowName(profile, window)} is left alone`);
  }
  return window;
}

export function isOutcome(value: object): value is Outcome {
  return 'trace' in value;
}
