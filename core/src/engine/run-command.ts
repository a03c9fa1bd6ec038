import { withInteraction, interactionOf, withoutInteraction } from '../model/interaction.ts';
import { isUndoable } from '../commands/command.ts';
import { definitionOf } from '../commands/registry.ts';
import { COMMAND_FUNCTIONS } from './commands/registry.ts';
import { zoneBoardHere } from './commands/zone-board-here.ts';
import { setMode } from './commands/desks.ts';
import { windowsBack } from './commands/desktop.ts';
import { withOffers } from './commands/pick.ts';
import { takeShaping, dropShaping } from './commands/shape.ts';
import { endSwitching } from './commands/switch.ts';
import { withLastLineup } from './commands/last-lineup.ts';
import type { CommandId, Command } from '../commands/registry.ts';
import type { Session } from '../model/session.ts';
import { withUndoStep } from './history.ts';
import { computePlacements } from './placements.ts';
import type { Placement } from './placement.ts';
import {
  applied,
  noop,
  windowOf,
  type Outcome,
  type CommandContext,
  windowName,
} from './session.ts';

/** Runs a command; `isStep` tells whether undo is to take it back. */
function runCommand(
  situation: CommandContext,
  command: Command,
): { outcome: Outcome; isStep: boolean } {
  const { whilePaused, whileUnplugged, givesPlace } = definitionOf(command.command);
  const session = withInteractionEnded(situation, command.command);
  const now = session === situation.session ? situation : { ...situation, session };
  const idle = (because: string) => ({ outcome: noop(session, because), isStep: false });
  if (session.unplugged && !whileUnplugged)
    return idle('no monitor is connected: the session waits for one');
  if (session.paused && !whilePaused) return idle('the engine is paused; resume comes first');
  const apply = COMMAND_FUNCTIONS[command.command] as (
    now: CommandContext,
    said: Command,
  ) => Outcome;
  const outcome = apply(now, command);
  return {
    outcome: givesPlace ? withOffersAfter(now, outcome) : outcome,
    isStep: isUndoable(command),
  };
}

/** Runs a command as a step that undo takes back, where it is one. */
export function runUndoably(situation: CommandContext, command: Command): Outcome {
  const { outcome, isStep } = runCommand(situation, command);
  if (!isStep || outcome.session === situation.session) return outcome;
  return {
    ...outcome,
    session: withUndoStep(situation.session, outcome.session, command.command),
  };
}

/** The key of a command is pressed and held: a placing is outlined first, where previews are on. */
export function commandKeyPressed(situation: CommandContext, command: Command): Outcome {
  const { preview } = situation.profile.placing;
  const { paused, unplugged } = situation.session;
  const isOutlined = preview && !paused && !unplugged;
  if (!isOutlined || !definitionOf(command.command).isOutlined)
    return runUndoably(situation, command);
  const session = withInteractionEnded(situation, command.command);
  return applied(withInteraction(session, { kind: 'previewing', command }), {
    decided: 'outlined',
    because: 'release takes it, Escape drops it',
  });
}

/** After a placing, the windows placed together are a lineup, and the empty places are offered. */
function withOffersAfter(situation: CommandContext, outcome: Outcome): Outcome {
  const { session } = outcome;
  const window = windowOf(session, session.focus);
  if (session === situation.session || !window) return outcome;
  const hasPlace = window.placing ?? zoneBoardHere({ ...situation, session }, window);
  if (!hasPlace) return outcome;
  const remembering = withLastLineup(situation, outcome);
  return withOffers({ ...situation, session: remembering.session }, remembering, {
    besides: window.id,
    ...(window.placing?.zone && { board: window.placing.zone.board }),
  });
}

/** Where the focused window would be if the key of a previewed placing were released now. */
export function previewedPlacement(situation: CommandContext): Placement | null {
  if (!interactionOf(situation.session, 'previewing')) return null;
  const { session } = endInteraction(situation, true);
  const { profile, desk } = situation;
  return (
    computePlacements(session, profile, desk).placements.find(({ id }) => id === session.focus) ??
    null
  );
}

/** What is under way ends before a command that does not go on with it; null where it is no command that ends it. */
export function withInteractionEnded(
  situation: CommandContext,
  command: CommandId | null,
): Session {
  const { session } = situation;
  const { interaction } = session;
  if (!interaction) return session;
  const continues = command === null ? [] : (definitionOf(command).continues ?? []);
  const goesOn = interaction.kind === 'corner-pick' && interaction.goOn;
  if (goesOn || continues.includes(interaction.kind)) return session;
  // A mode is taken by its own keys alone: it changes which monitors are lit.
  return endInteraction(situation, interaction.kind !== 'choosing-mode').session;
}

const DROPPED = { decided: 'nothing changed', because: 'the choice is dropped' };

/** What is under way is over: what was chosen with it is taken, or dropped. */
export function endInteraction(situation: CommandContext, isTaken: boolean): Outcome {
  const { session, profile } = situation;
  const { interaction } = session;
  const after = withoutInteraction(session);
  switch (interaction?.kind) {
    case undefined:
      return noop(session, 'nothing is under way');
    case 'previewing':
      return isTaken
        ? runUndoably({ ...situation, session: after }, interaction.command)
        : applied(after, DROPPED);
    case 'choosing-mode': {
      if (!isTaken) return applied(after, DROPPED);
      const outcome = setMode(situation, interaction.mode);
      if (situation.desk.mode === interaction.mode) return outcome;
      return { ...outcome, session: withUndoStep(session, outcome.session, 'desk-mode') };
    }
    case 'switching': {
      const next = endSwitching(session, isTaken);
      const window = windowOf(next, next.focus);
      return applied(next, {
        decided: window ? `${windowName(profile, window)} has the focus` : 'no window taken',
        because: isTaken ? 'chosen, and released' : 'the choice is dropped',
      });
    }
    case 'bare-desktop':
      return applied(windowsBack(session), {
        decided: 'windows shown',
        because: 'the key was released',
      });
    case 'shaping':
      return isTaken ? takeShaping(situation) : dropShaping(situation);
    case 'offer':
    case 'board-pick':
    case 'corner-pick':
      return applied(after, { decided: 'the choice is ended', because: 'ended by key' });
    case 'calling-back':
      return applied(after);
  }
}
