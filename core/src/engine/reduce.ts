import { interactionOf, isWhilePressed } from '../model/interaction.ts';
import { definitionOf } from '../commands/registry.ts';
import type { Command } from '../commands/registry.ts';

import { deskInForce } from '../desk/desk.ts';
import type { Rect } from '../geometry/rect.ts';
import type { Profile } from '../model/profile.ts';
import type { WindowInput, Session } from '../model/session.ts';
import { withUse, type UsedBy } from '../model/uses.ts';
import { reapplyRules } from './reapply-rules.ts';
import { onWindowRequest, onWindowRetitled } from './commands/window-request.ts';
import { onWindowOpened } from './commands/opening.ts';
import { onWindowClosed } from './commands/windows.ts';
import { isChain, runChain } from './chain.ts';
import { onMonitorsChanged, type ConnectedMonitors } from './connect.ts';
import { onProfileEdited } from './profile-edit.ts';
import { withCablesAsTheyAre, withUndoStep } from './history.ts';
import {
  commandKeyPressed,
  withInteractionEnded,
  runUndoably,
  endInteraction,
} from './run-command.ts';
import { withSeatsKept } from './seats.ts';
import {
  applied,
  noop,
  windowName,
  windowOf,
  withFocus,
  type Outcome,
  type CommandContext,
} from './session.ts';

/** What can happen to a running desk. */
export type SessionEvent =
  /** `by` tells what it was given by, where uses are counted. */
  | { type: 'command'; command: Command; by?: UsedBy }
  /** The key of a command is pressed and not let go yet. */
  | { type: 'key-pressed'; command: Command; by?: UsedBy }
  | { type: 'window-opened'; window: WindowInput }
  | { type: 'window-closed'; id: string }
  | { type: 'window-focused'; id: string }
  | { type: 'window-retitled'; id: string; title: string }
  /** A window asks for a place or size, in physical pixels. */
  | { type: 'window-asked'; id: string; rect: Partial<Rect> }
  /** The key of a command that lasts while it is held is let go; `taken` false where its outcome is dropped. */
  | { type: 'key-released'; taken: boolean }
  /**
   * Monitors were plugged in or unplugged: the list of all that are connected now. `byHand`: a person did it on the
   * simulated desk, so undo takes it back; a real cable cannot be put back by undo.
   */
  | { type: 'monitors-changed'; connected: readonly ConnectedMonitors[]; byHand?: boolean }
  | { type: 'profile-edited'; before: Profile };

/**
 * Takes one event into a session: the session after it, and the reasons for what was decided. Pure: the
 * same session, event and profile always give the same outcome, and none of them is changed.
 */
export function reduce(session: Session, event: SessionEvent, profile: Profile): Outcome {
  const happening = happened(session, event, profile);
  // What is taken back or done again is as it was then, whatever rules would say now.
  const isTravel = event.type === 'command' && definitionOf(event.command.command).travels === true;
  const outcome = isTravel ? happening : withRulesAgain(session, happening, profile);
  return outcome.session === session
    ? outcome
    : { ...outcome, session: withSeatsKept(outcome.session, profile) };
}

/** Where the desk or its mode is another one now, the rules that are asked again then are, as a part of the same step. */
function withRulesAgain(before: Session, outcome: Outcome, profile: Profile): Outcome {
  const { session } = outcome;
  if (session === before || session.paused || session.unplugged) return outcome;
  if (!profile.rules.some(({ again }) => again.desk)) return outcome;
  const desk = deskInForce(profile, session);
  const former = deskInForce(profile, before);
  if (former.desk === desk.desk && former.mode === desk.mode) return outcome;
  const ids = session.windows.map(({ id }) => id);
  const again = reapplyRules({ session, profile, desk }, 'desk', ids);
  const step = session.past.at(-1);
  const isStep = step !== undefined && step !== before.past.at(-1);
  const next = isStep ? withUndoStep(before, again.session, step.command) : again.session;
  return { session: next, trace: [...outcome.trace, ...again.trace] };
}

function happened(session: Session, event: SessionEvent, profile: Profile): Outcome {
  const context: CommandContext = { session, profile, desk: deskInForce(profile, session) };
  switch (event.type) {
    case 'command':
    case 'key-pressed': {
      const { command, type } = event;
      if (isChain(command)) return used(context, event, runChain(context, command, reduce));
      const run = type === 'command' ? runUndoably : commandKeyPressed;
      return used(context, event, run(context, command));
    }
    case 'window-opened':
      return onWindowOpened(context, event.window);
    case 'window-closed':
      return onWindowClosed(context, event.id);
    case 'window-focused':
      return windowFocused(context, event.id);
    case 'window-retitled':
      return onWindowRetitled(context, event.id, event.title);
    case 'window-asked':
      return onWindowRequest(context, event.id, event.rect);
    case 'key-released':
      return keyReleased(context, event.taken);
    case 'monitors-changed': {
      const before = withInteractionEnded(context, null);
      const outcome = onMonitorsChanged({ ...context, session: before }, event.connected);
      if (outcome.session === before) return outcome;
      if (!event.byHand) return { ...outcome, session: withCablesAsTheyAre(outcome.session) };
      return { ...outcome, session: withUndoStep(before, outcome.session, event.type) };
    }
    case 'profile-edited':
      return onProfileEdited(context, event.before);
  }
}

/** Keys that did something are counted. */
function used({ session }: CommandContext, { by }: { by?: UsedBy }, outcome: Outcome): Outcome {
  const isIdle = outcome.session === session && !outcome.edit;
  if (by === undefined || isIdle) return outcome;
  return { ...outcome, session: withUse(outcome.session, by) };
}

/** Things under way that a key which is down keeps up: they end when it is let go. */
function keyReleased(context: CommandContext, taken: boolean): Outcome {
  const { session } = context;
  return isWhilePressed(session.interaction) || interactionOf(session, 'choosing-app')
    ? endInteraction(context, taken)
    : noop(session, 'no key of a command that lasts is down');
}

function windowFocused({ session, profile }: CommandContext, id: string): Outcome {
  const window = windowOf(session, id);
  if (!window) return noop(session, `no window ${id} is open`);
  if (window.held === 'pocketed') {
    return noop(session, `${windowName(profile, window)} is in the pocket; call-back brings it`);
  }
  const { clickRaises } = profile.pointer;
  return applied(withFocus(session, window, clickRaises), {
    about: id,
    decided: `${windowName(profile, window)} has the focus`,
    because: clickRaises
      ? 'it was chosen by pointer'
      : 'it was chosen by pointer, which raises nothing',
  });
}
