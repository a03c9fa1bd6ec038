import { type Outcome, type Session, type Situation, nothing } from '../session.ts';
import type { Command, CommandId } from './command.ts';
import { windowsBack } from './desktop.ts';
import { callApp, findWindow, launch } from './find.ts';
import { growTowards } from './grow.ts';
import { useLayout } from './layout.ts';
import { chooseMode, setMode, useDesk, withoutChoice } from './desks.ts';
import { goMonitor, putOnMonitor, putWorkspaceOnMonitor } from './monitors.ts';
import { PLAIN, step, visit, waits, type CommandInfo } from './plain.ts';
import { shapeAs, shapeStep, taken } from './shape.ts';
import { switched } from './switch.ts';
import { openApp } from './windows.ts';
import { goWorkspace, putOnWorkspace } from './workspace.ts';

function infoOf(command: Command): CommandInfo {
  switch (command.command) {
    case 'use-layout':
      return step((now) => useLayout(now, command.layout));
    case 'open-app':
      return visit((now) => openApp(now, command.app));
    case 'call-app':
      return visit((now) => callApp(now, command.app));
    case 'find-window':
      return visit((now) =>
        command.text ? findWindow(now, command.text) : untyped(now, 'a window'),
      );
    case 'launch':
      return visit((now) => (command.text ? launch(now, command.text) : untyped(now, 'an app')));
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
export function runCommand(
  situation: Situation,
  command: Command,
): { outcome: Outcome; isStep: boolean } {
  const { run, isStep } = infoOf(command);
  const session = settled(situation, command.command);
  const now = session === situation.session ? situation : { ...situation, session };
  if (session.unplugged && !CONNECTS.includes(command.command)) {
    const outcome = nothing(session, 'no monitor is connected: the session waits for one');
    return { outcome, isStep: false };
  }
  if (isStep && session.paused && !OF_CONNECTION.includes(command.command))
    return { outcome: waits(now), isStep: false };
  return { outcome: run(now), isStep };
}

/** What is connected changes also while the engine is paused. */
const OF_CONNECTION: readonly CommandId[] = ['use-desk', 'desk-mode', 'put-workspace-on-monitor'];
/** What can bring a monitor back where none is connected. */
const CONNECTS: readonly CommandId[] = ['use-desk', 'undo', 'redo'];
const OF_DESKTOP: readonly CommandId[] = ['show-desktop', 'peek-desktop'];
const OF_SHAPING: readonly CommandId[] = [
  'shape',
  'shape-as',
  'shape-step',
  'shape-back',
  'shape-drop',
];

/**
 * What lasts only until something else is done, ends before another command: a choice of window is
 * taken, the desktop is covered again, a shaping is taken.
 */
export function settled({ session, ...around }: Situation, command: CommandId | null): Session {
  let now = session;
  if (now.switching && command !== 'switch-window') now = switched(now, true);
  if (now.desktop && !isAmong(OF_DESKTOP, command)) now = windowsBack(now);
  if (now.shaping && !isAmong(OF_SHAPING, command)) now = taken({ session: now, ...around });
  if (now.choosingMode && command !== 'desk-mode') now = withoutChoice(now);
  if (now.calledBack !== undefined && command !== 'call-back') {
    const { calledBack: _before, ...rest } = now;
    now = rest;
  }
  return now;
}

function isAmong(commands: readonly CommandId[], command: CommandId | null): boolean {
  return command !== null && commands.includes(command);
}

export * from './command.ts';
export { PLAIN_COMMANDS, type PlainCommandId } from './plain.ts';
