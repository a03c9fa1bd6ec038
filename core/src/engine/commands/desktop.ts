import { interactionOf, withInteraction, withoutInteraction } from '../../model/interaction.ts';
import type { Applies } from './applies.ts';
import type { Session } from '../../model/session.ts';
import {
  did,
  isShown,
  nothing,
  windowOf,
  withFocus,
  type Outcome,
  type Situation,
} from '../session.ts';

/** show-desktop: all windows out of the way; again, all are back as they were. */
function showDesktop({ session }: Situation): Outcome {
  if (interactionOf(session, 'bare-desktop')) {
    return did(windowsBack(session), {
      decided: 'windows shown',
      because: 'show-desktop, pressed again',
    });
  }
  return hidden(session, false, 'until show-desktop is pressed again, or anything else is done');
}

/** clear-while-pressed: the bare desktop for as long as the key is down. */
function clearWhilePressed({ session }: Situation): Outcome {
  if (interactionOf(session, 'bare-desktop'))
    return nothing(session, 'the desktop is shown already');
  return hidden(session, true, 'for as long as the key is down');
}

function hidden(session: Session, whilePressed: boolean, because: string): Outcome {
  if (!session.windows.some((window) => isShown(session, window))) {
    return nothing(session, 'no window is shown');
  }
  const { focus, ...rest } = session;
  return did(
    withInteraction(rest, {
      kind: 'bare-desktop',
      whilePressed,
      ...(focus !== undefined && { focus }),
    }),
    { decided: 'the bare desktop', because },
  );
}

/** The session with its windows shown again, and the focus where it was. */
export function windowsBack(session: Session): Session {
  const desktop = interactionOf(session, 'bare-desktop');
  const rest = withoutInteraction(session);
  const focused = windowOf(rest, desktop?.focus);
  return focused && isShown(rest, focused) ? withFocus(rest, focused) : rest;
}

export const desktopApplies = {
  'show-desktop': showDesktop,
  'clear-while-pressed': clearWhilePressed,
} satisfies Partial<Applies>;
