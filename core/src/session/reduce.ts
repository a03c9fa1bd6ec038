import { deskInForce } from '../desk/desk.ts';
import type { Profile } from '../profile/schema.ts';
import { runCommand, type Command } from './commands/index.ts';
import { windowClosed, windowOpened } from './commands/windows.ts';
import { profileEdited } from './edited.ts';
import { remembered } from './history.ts';
import type { WindowInput } from './schema.ts';
import {
  did,
  nothing,
  windowName,
  windowOf,
  withFocus,
  type Outcome,
  type Session,
  type Situation,
} from './session.ts';

/** What can happen to a running desk. */
export type SessionEvent =
  | { type: 'command'; command: Command }
  | { type: 'window-opened'; window: WindowInput }
  | { type: 'window-closed'; id: string }
  | { type: 'window-focused'; id: string }
  | { type: 'profile-edited'; before: Profile };

/**
 * Takes one event into a session: the session after it, and the reasons for what was decided. Pure: the
 * same session, event and profile always give the same outcome, and none of them is changed.
 */
export function reduce(session: Session, event: SessionEvent, profile: Profile): Outcome {
  const situation: Situation = { session, profile, desk: deskInForce(profile, session) };
  switch (event.type) {
    case 'command': {
      const { outcome, isStep } = runCommand(situation, event.command);
      if (!isStep || outcome.session === session) return outcome;
      return {
        ...outcome,
        session: remembered(session, outcome.session, event.command.command),
      };
    }
    case 'window-opened':
      return windowOpened(situation, event.window);
    case 'window-closed':
      return windowClosed(situation, event.id);
    case 'window-focused':
      return windowFocused(situation, event.id);
    case 'profile-edited':
      return profileEdited(situation, event.before);
  }
}

function windowFocused({ session, profile }: Situation, id: string): Outcome {
  const window = windowOf(session, id);
  if (!window) return nothing(session, `no window ${id} is open`);
  return did(withFocus(session, window), {
    about: id,
    decided: `${windowName(profile, window)} has the focus`,
    because: 'it was chosen by pointer',
  });
}
