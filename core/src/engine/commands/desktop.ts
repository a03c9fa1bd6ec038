import { interactionOf, withInteraction, withoutInteraction } from '../../model/interaction.ts';
import type { CommandFunctions } from './command-functions.ts';
import type { Session } from '../../model/session.ts';
import {
  applied,
  isShown,
  noop,
  windowOf,
  withFocus,
  type Outcome,
  type CommandContext,
} from '../session.ts';

/** show-desktop: hides all windows; a second time, shows them as they were. */
function showDesktop({ session }: CommandContext): Outcome {
  if (interactionOf(session, 'bare-desktop')) {
    return applied(windowsBack(session), {
      decided: 'windows shown',
      because: 'show-desktop, pressed again',
    });
  }
  return hidden(session, false, 'until show-desktop is pressed again, or anything else is done');
}

/** clear-while-pressed: hides all windows for as long as the key is down. */
function clearWhilePressed({ session }: CommandContext): Outcome {
  if (interactionOf(session, 'bare-desktop')) return noop(session, 'the desktop is shown already');
  return hidden(session, true, 'for as long as the key is down');
}

function hidden(session: Session, whilePressed: boolean, because: string): Outcome {
  if (!session.windows.some((window) => isShown(session, window))) {
    return noop(session, 'no window is shown');
  }
  const { focus, ...rest } = session;
  return applied(
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

export const desktopFunctions = {
  'show-desktop': showDesktop,
  'clear-while-pressed': clearWhilePressed,
} satisfies Partial<CommandFunctions>;
