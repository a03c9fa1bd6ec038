import type { Previewing } from '../schema.ts';
import { did, type Outcome, type Session } from '../session.ts';
import type { Command, CommandId } from './command.ts';

/** Commands that say where the focused window goes: outlined first where previews are on. */
export const PLACING_COMMANDS: readonly CommandId[] = [
  'place-left',
  'place-right',
  'place-up',
  'place-down',
  'place-middle',
  'place-at',
  'place-in-zone',
  'fill-rest',
  'centre',
  'maximise',
  'put-back',
];

/** The session with a placing that waits for the release of its key. */
export function previewing(session: Session, command: Command): Outcome {
  return did(
    { ...session, previewing: command as Previewing },
    { decided: 'outlined', because: 'release takes it, Escape drops it' },
  );
}
