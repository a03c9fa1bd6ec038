import { withInteraction, interactionOf, withoutInteraction } from '../model/interaction.ts';
import { isUndoable } from '../commands/command.ts';
import { definitionOf } from '../commands/registry.ts';
import { openChosen } from './commands/choose-app.ts';
import type { CommandFunctions } from './commands/command-functions.ts';
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

/** Runs a command on a session in which nothing is under way that it does not continue. */
function runCommand(context: CommandContext, command: Command): Outcome {
  const { session } = context;
  const { whilePaused, whileUnplugged, givesPlace } = definitionOf(command.command);
  if (session.unplugged && !whileUnplugged)
    return noop(session, 'no monitor is connected: the session waits for one');
  if (session.paused && !whilePaused)
    return noop(session, 'the engine is paused; resume comes first');
  const apply = COMMAND_FUNCTIONS[command.command as keyof CommandFunctions] as (
    context: CommandContext,
    said: Command,
  ) => Outcome;
  const outcome = apply(context, command);
  return givesPlace ? withOffersAfter(context, outcome) : outcome;
}

/**
 * Runs a command as a step that undo takes back, where it is one. What was under way and ends by it is no part of the
 * step: a command that finds nothing to do is none.
 */
export function runUndoably(before: CommandContext, command: Command): Outcome {
  const session = withInteractionEnded(before, command.command);
  const outcome = runCommand({ ...before, session }, command);
  if (!isUndoable(command) || outcome.session === session) return outcome;
  return { ...outcome, session: withUndoStep(session, outcome.session, command.command) };
}

/** The key of a command is pressed and held: a placing is outlined first, where previews are on. */
export function commandKeyPressed(context: CommandContext, command: Command): Outcome {
  const { preview } = context.profile.placing;
  const { paused, unplugged } = context.session;
  const isOutlined = preview && !paused && !unplugged;
  if (!isOutlined || !definitionOf(command.command).isOutlined)
    return runUndoably(context, command);
  const session = withInteractionEnded(context, command.command);
  return applied(withInteraction(session, { kind: 'previewing', command }), {
    decided: 'outlined',
    because: 'release takes it, Escape drops it',
  });
}

/** After a window was placed, remembers the placed windows as the last lineup and offers the empty places. */
function withOffersAfter(context: CommandContext, outcome: Outcome): Outcome {
  const { session } = outcome;
  const window = windowOf(session, session.focus);
  if (session === context.session || !window) return outcome;
  const hasPlace = window.placing ?? zoneBoardHere({ ...context, session }, window);
  if (!hasPlace) return outcome;
  const remembering = withLastLineup(context, outcome);
  return withOffers({ ...context, session: remembering.session }, remembering, {
    besides: [window.id],
    ...(window.placing?.zone && { board: window.placing.zone.board }),
  });
}

/**
 * Where windows would be if the key of what is previewed were released now: the focused one, or of a layout all that
 * have or had a tile where the focus is.
 */
export function previewedPlacements(context: CommandContext): Placement[] {
  const previewing = interactionOf(context.session, 'previewing');
  if (!previewing) return [];
  const { session } = endInteraction(context, true);
  const { profile, desk } = context;
  const then = computePlacements(session, profile, desk).placements;
  if (definitionOf(previewing.command.command).task !== 'layout')
    return then.filter(({ id }) => id === session.focus);
  // In some layouts windows that had a tile have none.
  const now = computePlacements(context.session, profile, desk).placements;
  const tiled = new Set(now.flatMap(({ id, tile }) => (tile === null ? [] : [id])));
  return then.filter(
    ({ id, tile, shown, monitor }) =>
      shown && (tile !== null || tiled.has(id)) && monitor === session.focusMonitor,
  );
}

/**
 * The session with its interaction ended, unless the command continues it. `command` is null where an event other
 * than a command ends it.
 */
export function withInteractionEnded(context: CommandContext, command: CommandId | null): Session {
  const { session } = context;
  const { interaction } = session;
  if (!interaction) return session;
  const continues = command === null ? [] : (definitionOf(command).continues ?? []);
  const goesOn = interaction.kind === 'corner-pick' && interaction.goOn;
  if (goesOn || continues.includes(interaction.kind)) return session;
  // A mode is taken by its own keys alone, since it changes which monitors are lit; so is an app, since a window opens.
  const isTaken = interaction.kind !== 'choosing-mode' && interaction.kind !== 'choosing-app';
  return endInteraction(context, isTaken).session;
}

const DROPPED = { decided: 'nothing changed', because: 'the choice is dropped' };

/** Ends the interaction: takes what was chosen with it, or drops it. */
export function endInteraction(context: CommandContext, isTaken: boolean): Outcome {
  const { session, profile } = context;
  const { interaction } = session;
  const after = withoutInteraction(session);
  switch (interaction?.kind) {
    case undefined:
      return noop(session, 'nothing is under way');
    case 'previewing':
      return isTaken
        ? runUndoably({ ...context, session: after }, interaction.command)
        : applied(after, DROPPED);
    case 'choosing-mode': {
      if (!isTaken) return applied(after, DROPPED);
      const outcome = setMode(context, interaction.mode);
      if (context.desk.mode === interaction.mode) return outcome;
      return { ...outcome, session: withUndoStep(session, outcome.session, 'desk-mode') };
    }
    case 'choosing-app':
      return isTaken ? openChosen(context) : applied(after, DROPPED);
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
      return isTaken ? takeShaping(context) : dropShaping(context);
    case 'offer':
    case 'board-pick':
    case 'corner-pick':
      return applied(after, { decided: 'the choice is ended', because: 'ended by key' });
    case 'calling-back':
      return applied(after);
  }
}
