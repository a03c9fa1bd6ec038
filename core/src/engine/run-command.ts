import { LAST, type Command, type CommandId } from '../commands/command.ts';
import { without } from '../model/picked.ts';
import type { Picking, Previewing } from '../model/session-placing.ts';
import type { Session } from '../model/session.ts';
import { boardHere } from './commands/board-here.ts';
import { chooseMode, setMode, useDesk, withoutChoice } from './commands/desks.ts';
import { windowsBack } from './commands/desktop.ts';
import { callApp, findWindow, launch } from './commands/find.ts';
import { growTowards } from './commands/grow.ts';
import { useLayout } from './commands/layout.ts';
import { forgetLineup, recallLineup, saveLineup } from './commands/lineups.ts';
import { goMonitor, putOnMonitor, putWorkspaceOnMonitor } from './commands/monitors.ts';
import { pick, withOffers } from './commands/pick.ts';
import { placeAt } from './commands/placing.ts';
import { PLAIN, step, visit, waits, type CommandInfo } from './commands/plain.ts';
import { shapeAs, shapeStep, taken } from './commands/shape.ts';
import { switched } from './commands/switch.ts';
import { withTogether } from './commands/together.ts';
import { openApp } from './commands/windows.ts';
import { goWorkspace, putOnWorkspace } from './commands/workspace.ts';
import { placeInZone } from './commands/zones.ts';
import { remembered } from './history.ts';
import { place } from './place.ts';
import type { Placement } from './placement.ts';
import { did, nothing, windowOf, type Outcome, type Situation } from './session.ts';

function infoOf(command: Command): CommandInfo {
  switch (command.command) {
    case 'use-layout':
      return step((now) => useLayout(now, command.layout));
    case 'open-app':
      return visit((now) => openApp(now, command.app, command.window));
    case 'call-app':
      return visit((now) => callApp(now, command.app));
    case 'find-window':
      return visit((now) =>
        command.text ? findWindow(now, command.text) : untyped(now, 'a window'),
      );
    case 'launch':
      return visit((now) => (command.text ? launch(now, command.text) : untyped(now, 'an app')));
    case 'place-at':
      return step((now) => placeAt(now, command));
    case 'place-in-zone':
      return step((now) => placeInZone(now, command.zone));
    case 'pick':
      return visit((now) => (now.session.paused ? waits(now) : pick(now, command.keys)));
    case 'save-lineup':
      return step((now) =>
        command.text ? saveLineup(now, command.text) : untyped(now, 'the lineup'),
      );
    case 'forget-lineup':
      return step((now) =>
        command.text ? forgetLineup(now, command.text) : untyped(now, 'the lineup'),
      );
    case 'recall-lineup':
      return step((now) => recallLineup(now, command.which ?? LAST));
    case 'move-edge':
      return step((now) => growTowards(now, command.direction, command.by));
    case 'shape-as':
      return visit((now) => shapeAs(now, command.by));
    case 'shape-step':
      return visit((now) => shapeStep(now, command.direction, command.inward ?? false));
    case 'go-workspace':
      return visit((now) => goWorkspace(now, command.which));
    case 'put-on-workspace':
      return step((now) => putOnWorkspace(now, command.which, command.follow ?? false));
    case 'go-monitor':
      return visit((now) => goMonitor(now, command.which));
    case 'put-on-monitor':
      return step((now) => putOnMonitor(now, command.which, command.follow ?? true));
    case 'put-workspace-on-monitor':
      return step((now) => putWorkspaceOnMonitor(now, command.which));
    case 'use-desk':
      return step((now) => useDesk(now, command.desk));
    case 'desk-mode':
      return command.mode
        ? step((now) => setMode(now, command.mode!))
        : visit((now) => chooseMode(now));
    default:
      return PLAIN[command.command];
  }
}

function untyped({ session }: Situation, what: string): Outcome {
  return nothing(session, `type some of the name of ${what}`);
}

/** Runs a command; `isStep` tells whether undo is to take it back. */
function runCommand(situation: Situation, command: Command): { outcome: Outcome; isStep: boolean } {
  const { run, isStep } = infoOf(command);
  const session = settled(situation, command.command);
  const now = session === situation.session ? situation : { ...situation, session };
  if (session.unplugged && !CONNECTS.includes(command.command)) {
    const outcome = nothing(session, 'no monitor is connected: the session waits for one');
    return { outcome, isStep: false };
  }
  if (isStep && session.paused && !OF_CONNECTION.includes(command.command))
    return { outcome: waits(now), isStep: false };
  const outcome = run(now);
  const isPlacing = GIVES_PLACE.includes(command.command);
  return { outcome: isPlacing ? withWhatFollows(now, outcome) : outcome, isStep };
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
  if (!isOutlined || !PLACING_COMMANDS.includes(command.command))
    return stepped(situation, command);
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

/** Commands that give the focused window a place among others. */
const GIVES_PLACE: readonly CommandId[] = [
  'place-left',
  'place-right',
  'place-up',
  'place-down',
  'place-middle',
  'place-at',
  'place-in-zone',
  'fill-rest',
];
/** Commands that say where the focused window goes. */
const PLACING_COMMANDS: readonly CommandId[] = [...GIVES_PLACE, 'centre', 'maximise', 'put-back'];
/** What is connected changes also while the engine is paused. */
const OF_CONNECTION: readonly CommandId[] = ['use-desk', 'desk-mode', 'put-workspace-on-monitor'];
/** What can bring a monitor back where none is connected. */
const CONNECTS: readonly CommandId[] = ['use-desk', 'undo', 'redo'];
const OF_DESKTOP: readonly CommandId[] = ['show-desktop', 'clear-while-pressed'];
const OF_SHAPING: readonly CommandId[] = [
  'shape',
  'shape-as',
  'shape-step',
  'shape-back',
  'shape-drop',
];

const OF_PICKING: readonly CommandId[] = [
  'pick',
  'pick-next',
  'pick-previous',
  'pick-take',
  'pick-back',
  'pick-drop',
  'corner-go-on',
];

/**
 * What lasts only until something else is done, ends before another command: a choice of window is
 * taken, the desktop is covered again, a shaping is taken.
 */
export function settled({ session, ...around }: Situation, command: CommandId | null): Session {
  let now = session;
  if (now.previewing) now = previewTaken({ session: now, ...around }).session;
  if (now.switching && command !== 'switch-window') now = switched(now, true);
  if (now.desktop && !isAmong(OF_DESKTOP, command)) now = windowsBack(now);
  if (now.shaping && !isAmong(OF_SHAPING, command)) now = taken({ session: now, ...around });
  if (now.picking && !staysOpen(now.picking, command)) now = withoutPicking(now);
  if (now.choosingMode && command !== 'desk-mode') now = withoutChoice(now);
  if ((now.calledBack ?? now.putAway) !== undefined && command !== 'call-back')
    now = without(now, ['calledBack', 'putAway']);
  return now;
}

function staysOpen(picking: Picking, command: CommandId | null): boolean {
  if (isAmong(OF_PICKING, command)) return true;
  if (picking.by === 'corner') return picking.goOn || command === 'corner-pick';
  return picking.by === 'board' && command === 'pick-board';
}

function withoutPicking({ picking: _over, ...session }: Session): Session {
  return session;
}

function isAmong(commands: readonly CommandId[], command: CommandId | null): boolean {
  return command !== null && commands.includes(command);
}
