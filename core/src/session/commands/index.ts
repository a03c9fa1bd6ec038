import { type Outcome, type Session, type Situation, nothing } from '../session.ts';
import type { Command, CommandId } from './command.ts';
import { windowsBack } from './desktop.ts';
import { callApp, findWindow, launch } from './find.ts';
import { growTowards } from './grow.ts';
import { useLayout } from './layout.ts';
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
  const session = settled(situation.session, command.command);
  const now = session === situation.session ? situation : { ...situation, session };
  if (isStep && session.paused) return { outcome: waits(now), isStep: false };
  return { outcome: run(now), isStep };
}

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
function settled(session: Session, command: CommandId): Session {
  let now = session;
  if (now.switching && command !== 'switch-window') now = switched(now, true);
  if (now.desktop && !OF_DESKTOP.includes(command)) now = windowsBack(now);
  if (now.shaping && !OF_SHAPING.includes(command)) now = taken(now);
  if (now.calledBack !== undefined && command !== 'call-back') {
    const { calledBack: _before, ...rest } = now;
    now = rest;
  }
  return now;
}

export * from './command.ts';
export { PLAIN_COMMANDS, type PlainCommandId } from './plain.ts';
