import { interactionOf, withInteraction, withoutInteraction } from '../../model/interaction.ts';
import type { CommandFunctions } from './command-functions.ts';
import type { Session } from '../../model/session.ts';
import {
  applied,
  noop,
  windowName,
  windowOf,
  withFocus,
  type Outcome,
  type CommandContext,
  existingWindow,
} from '../session.ts';

/**
 * switch-window: chooses the window that had the focus before, each further press the one before that;
 * the choice is taken when the key is released. Pocketed windows are not among them.
 */
function switchWindow({ session, profile }: CommandContext): Outcome {
  const switching = interactionOf(session, 'switching');
  const among =
    switching?.among ??
    session.recent.filter((id) => {
      const window = windowOf(session, id);
      return window !== undefined && window.held !== 'pocketed';
    });
  if (among.length === 0) return noop(session, 'no window is open');
  const first = among[0] === session.focus ? 1 : 0;
  if (first >= among.length) return noop(session, 'it is the only window');
  const at = switching ? (switching.at + 1) % among.length : first;
  return applied(withInteraction(session, { kind: 'switching', among, at }), {
    about: among[at]!,
    decided: `${windowName(profile, existingWindow(session, among[at]))} chosen`,
    because: `number ${at + 1} of ${among.length}, most recent first; release takes it`,
  });
}

/** The chosen window with the focus; `isTaken` false leaves all as it was. */
export function endSwitching(session: Session, isTaken: boolean): Session {
  const switching = interactionOf(session, 'switching');
  const rest = withoutInteraction(session);
  const window = windowOf(rest, switching?.among[switching.at]);
  return isTaken && window ? withFocus(rest, window) : rest;
}

export const switchFunctions = {
  'switch-window': switchWindow,
} satisfies Partial<CommandFunctions>;
