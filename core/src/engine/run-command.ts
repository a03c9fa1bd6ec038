import { withInteraction, interactionOf, withoutInteraction } from '../model/interaction.ts';
import { isUndoable } from '../commands/command.ts';
import { definitionOf } from '../commands/registry.ts';
import { APPLIES } from './commands/registry.ts';
import { boardHere } from './commands/board-here.ts';
import { setMode } from './commands/desks.ts';
import { windowsBack } from './commands/desktop.ts';
import { withOffers } from './commands/pick.ts';
import { shapingTaken, shapingDropped } from './commands/shape.ts';
import { switched } from './commands/switch.ts';
import { withTogether } from './commands/last-lineup.ts';
import type { CommandId, Command } from '../commands/registry.ts';
import type { Session } from '../model/session.ts';
import { remembered } from './history.ts';
import { place } from './place.ts';
import type { Placement } from './placement.ts';
import { did, nothing, windowOf, type Outcome, type Situation, windowName } from './session.ts';

/** Runs a command; `isStep` tells whether undo is to take it back. */
function runCommand(situation: Situation, command: Command): { outcome: Outcome; isStep: boolean } {
  const { whilePaused, whileUnplugged, givesPlace } = definitionOf(command.command);
  const session = settled(situation, command.command);
  const now = session === situation.session ? situation : { ...situation, session };
  const idle = (because: string) => ({ outcome: nothing(session, because), isStep: false });
  if (session.unplugged && !whileUnplugged)
    return idle('no monitor is connected: the session waits for one');
  if (session.paused && !whilePaused) return idle('the engine is paused; resume comes first');
  const apply = APPLIES[command.command] as (now: Situation, said: Command) => Outcome;
  const outcome = apply(now, command);
  return {
    outcome: givesPlace ? withWhatFollows(now, outcome) : outcome,
    isStep: isUndoable(command),
  };
}

/** Runs a command as a step that undo takes back, where it is one. */
export function stepped(situation: Situation, command: Command): Outcome {
  const { outcome, isStep } = runCommand(situation, command);
  if (!isStep || outcome.session === situation.session) return outcome;
  return {
    ...outcome,
    session: remembered(situation.session, outcome.session, command.command),
  };
}

/** The key of a command is pressed and held: a placing is outlined first, where previews are on. */
export function keyHeld(situation: Situation, command: Command): Outcome {
  const { preview } = situation.profile.placing;
  const { paused, unplugged } = situation.session;
  const isOutlined = preview && !paused && !unplugged;
  if (!isOutlined || !definitionOf(command.command).isOutlined) return stepped(situation, command);
  const session = settled(situation, command.command);
  return did(withInteraction(session, { kind: 'previewing', command }), {
    decided: 'outlined',
    because: 'release takes it, Escape drops it',
  });
}

/** After a placing, the windows placed together are a lineup, and the empty places are offered. */
function withWhatFollows(situation: Situation, outcome: Outcome): Outcome {
  const { session } = outcome;
  const window = windowOf(session, session.focus);
  if (session === situation.session || !window) return outcome;
  const hasPlace = window.placing ?? boardHere({ ...situation, session }, window);
  if (!hasPlace) return outcome;
  const remembering = withTogether(situation, outcome);
  return withOffers({ ...situation, session: remembering.session }, remembering, {
    besides: window.id,
    ...(window.placing?.zone && { board: window.placing.zone.board }),
  });
}

/** Where the focused window would be if the key of a previewed placing were released now. */
export function previewedPlacement(situation: Situation): Placement | null {
  if (!interactionOf(situation.session, 'previewing')) return null;
  const { session } = ended(situation, true);
  const { profile, desk } = situation;
  return place(session, profile, desk).placements.find(({ id }) => id === session.focus) ?? null;
}

/** What is under way ends before a command that does not go on with it; null where it is no command that ends it. */
export function settled(situation: Situation, command: CommandId | null): Session {
  const { session } = situation;
  const { interaction } = session;
  if (!interaction) return session;
  const continues = command === null ? [] : (definitionOf(command).continues ?? []);
  const goesOn = interaction.kind === 'corner-pick' && interaction.goOn;
  if (goesOn || continues.includes(interaction.kind)) return session;
  // A mode is taken by its own keys alone: it changes which monitors are lit.
  return ended(situation, interaction.kind !== 'choosing-mode').session;
}

const DROPPED = { decided: 'nothing changed', because: 'the choice is dropped' };

/** What is under way is over: what was chosen with it is taken, or dropped. */
export function ended(situation: Situation, isTaken: boolean): Outcome {
  const { session, profile } = situation;
  const { interaction } = session;
  const after = withoutInteraction(session);
  switch (interaction?.kind) {
    case undefined:
      return nothing(session, 'nothing is under way');
    case 'previewing':
      return isTaken
        ? stepped({ ...situation, session: after }, interaction.command)
        : did(after, DROPPED);
    case 'choosing-mode': {
      if (!isTaken) return did(after, DROPPED);
      const outcome = setMode(situation, interaction.mode);
      if (situation.desk.mode === interaction.mode) return outcome;
      return { ...outcome, session: remembered(session, outcome.session, 'desk-mode') };
    }
    case 'switching': {
      const next = switched(session, isTaken);
      const window = windowOf(next, next.focus);
      return did(next, {
        decided: window ? `${windowName(profile, window)} has the focus` : 'no window taken',
        because: isTaken ? 'chosen, and released' : 'the choice is dropped',
      });
    }
    case 'bare-desktop':
      return did(windowsBack(session), {
        decided: 'windows shown',
        because: 'the key was released',
      });
    case 'shaping':
      return isTaken ? shapingTaken(situation) : shapingDropped(situation);
    case 'offer':
    case 'board-pick':
    case 'corner-pick':
      return did(after, { decided: 'the choice is ended', because: 'ended by key' });
    case 'calling-back':
      return did(after);
  }
}
