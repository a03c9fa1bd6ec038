import type { CommandId } from '@sorn/core/commands';
import { deskInForce } from '@sorn/core/desk';
import { computePlacements, type SessionEvent } from '@sorn/core/engine';
import type { Done } from '@sorn/core/keys';
import {
  type Profile,
  type Session,
  interactionOf,
  pickingOf,
  type Interaction,
} from '@sorn/core/model';

/** The command that an event carries out: with a key that is let go, the one it held. */
export function commandOf(event: SessionEvent, session: Session): CommandId | null {
  if (event.type === 'command' || event.type === 'key-pressed') return event.command.command;
  if (event.type !== 'key-released' || !event.taken) return null;
  return interactionOf(session, 'previewing')?.command.command ?? null;
}

/** False where a key only typed into a choice, or outlined what its release would do. */
export function doesSomething(before: Session, after: Session): boolean {
  const fields = new Set([...Object.keys(before), ...Object.keys(after)]) as Set<keyof Session>;
  fields.delete('uses');
  fields.delete('countedOn');
  fields.delete('interaction');
  const isOtherwise = [...fields].some((field) => before[field] !== after[field]);
  return isOtherwise || doneSoFar(before) !== doneSoFar(after);
}

/** What is under way, but for choices that are only typed or outlined so far. */
function doneSoFar(session: Session): Interaction | null {
  const { interaction = null } = session;
  const isSteered = interaction?.kind === 'previewing' || interaction === pickingOf(session);
  return isSteered ? null : interaction;
}

/** What was done to the focused window, for what a pointer would have done instead. */
export function doneBetween(before: Session, after: Session, profile: Profile): Done {
  const placementOf = (session: Session) =>
    computePlacements(session, profile).placements.find(({ id }) => id === session.focus) ?? null;
  const [then, now] = [placementOf(before), placementOf(after)];
  const { monitors } = deskInForce(profile, after);
  const on = monitors.find(({ id }) => id === (now ?? then)?.monitor);
  return { before: then, after: now, isSame: before.focus === after.focus, scale: on?.scale ?? 1 };
}
