import { interactionOf, withInteraction, withoutInteraction } from '../../model/interaction.ts';
import type { Applies } from './applies.ts';
import type { Session } from '../../model/session.ts';
import {
  did,
  nothing,
  windowName,
  windowOf,
  withFocus,
  type Outcome,
  type Situation,
  existingWindow,
} from '../session.ts';

/**
 * switch-window: chooses the window that had the focus before, each further press the one before that;
 * the choice is taken when the key is released. Pocketed windows are not among them.
 */
function switchWindow({ session, profile }: Situation): Outcome {
  const switching = interactionOf(session, 'switching');
  const among =
    switching?.among ??
    session.recent.filter((id) => {
      const window = windowOf(session, id);
      return window !== undefined && window.held !== 'pocketed';
    });
  if (among.length === 0) return nothing(session, 'no window is open');
  const first = among[0] === session.focus ? 1 : 0;
  if (first >= among.length) return nothing(session, 'it is the only window');
  const at = switching ? (switching.at + 1) % among.length : first;
  return did(withInteraction(session, { kind: 'switching', among, at }), {
    about: among[at]!,
    decided: `${windowName(profile, existingWindow(session, among[at]))} chosen`,
    because: `number ${at + 1} of ${among.length}, most recent first; release takes it`,
  });
}

/** The chosen window with the focus; `isTaken` false leaves all as it was. */
export function switched(session: Session, isTaken: boolean): Session {
  const switching = interactionOf(session, 'switching');
  const rest = withoutInteraction(session);
  const window = windowOf(rest, switching?.among[switching.at]);
  return isTaken && window ? withFocus(rest, window) : rest;
}

export const switchApplies = {
  'switch-window': switchWindow,
} satisfies Partial<Applies>;
