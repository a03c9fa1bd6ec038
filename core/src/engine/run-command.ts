import { isUndoable } from '../commands/command.ts';
import type { UnderWay } from '../commands/definition.ts';
import { definitionOf } from '../commands/registry.ts';
import { APPLIES } from './commands/registry.ts';
import { boardHere } from './commands/board-here.ts';
import { withoutChoice } from './commands/desks.ts';
import { windowsBack } from './commands/desktop.ts';
import { withOffers } from './commands/pick.ts';
import { taken } from './commands/shape.ts';
import { switched } from './commands/switch.ts';
import { withTogether } from './commands/last-lineup.ts';
import type { CommandId, Command } from '../commands/registry.ts';
import { without } from '../model/object-fields.ts';
import type { Picking, Previewing } from '../model/session-placing.ts';
import type { Session } from '../model/session.ts';
import { remembered } from './history.ts';
import { place } from './place.ts';
import type { Placement } from './placement.ts';
import { did, nothing, windowOf, type Outcome, type Situation } from './session.ts';

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
  return did(
    { ...session, previewing: command as Previewing },
    { decided: 'outlined', because: 'release takes it, Escape drops it' },
  );
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

/** The key of a previewed placing is released. */
export function previewTaken(situation: Situation): Outcome {
  const { previewing: command, ...session } = situation.session;
  if (!command) return nothing(session, 'nothing is outlined');
  return stepped({ ...situation, session }, command as Command);
}

/** Where the focused window would be if the key of a previewed placing were released now. */
export function previewedPlacement(situation: Situation): Placement | null {
  if (!situation.session.previewing) return null;
  const { session } = previewTaken(situation);
  const { profile, desk } = situation;
  return place(session, profile, desk).placements.find(({ id }) => id === session.focus) ?? null;
}

/**
 * What lasts only until something else is done, ends before another command: a choice of window is
 * taken, the desktop is covered again, a shaping is taken.
 */
export function settled({ session, ...around }: Situation, command: CommandId | null): Session {
  const continues = command === null ? [] : (definitionOf(command).continues ?? []);
  const goesOn = (underWay: UnderWay) => continues.includes(underWay);
  let now = session;
  if (now.previewing) now = previewTaken({ session: now, ...around }).session;
  if (now.switching && !goesOn('switching')) now = switched(now, true);
  if (now.desktop && !goesOn('bare-desktop')) now = windowsBack(now);
  if (now.shaping && !goesOn('shaping')) now = taken({ session: now, ...around });
  if (now.picking && !staysOpen(now.picking, goesOn)) now = withoutPicking(now);
  if (now.choosingMode && !goesOn('choosing-mode')) now = withoutChoice(now);
  if ((now.calledBack ?? now.putAway) !== undefined && !goesOn('calling-back'))
    now = without(now, ['calledBack', 'putAway']);
  return now;
}

function staysOpen(picking: Picking, goesOn: (underWay: UnderWay) => boolean): boolean {
  if (picking.by === 'corner') return picking.goOn || goesOn('corner-pick');
  return goesOn(picking.by === 'board' ? 'board-pick' : 'offer');
}

function withoutPicking({ picking: _over, ...session }: Session): Session {
  return session;
}
