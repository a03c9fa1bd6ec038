import { z } from 'zod';
import { DIRECTIONS, type Direction } from '../../geometry/direction.ts';
import { fields, flagField, idField, oneOf, textField } from '../../profile/fields.ts';
import { layoutSchema } from '../../profile/layout.ts';
import { redo, undo } from '../history.ts';
import { SHAPING } from '../schema.ts';
import { nothing, type Outcome, type Session, type Situation } from '../session.ts';
import { peekDesktop, showDesktop, windowsBack } from './desktop.ts';
import { callApp, findWindow, launch, nextOfApp } from './find.ts';
import { focusInOrder, focusLast, focusTowards } from './focus.ts';
import { growTowards } from './grow.ts';
import { resetLayout, stepLayout, turnLayout, useLayout } from './layout.ts';
import { floatAll, toggleEverywhere, toggleFloat, toggleStayAbove } from './lift.ts';
import { moveInOrder, moveTowards, promote, swapWithLead } from './move.ts';
import { pause, resume } from './pause.ts';
import { callBack, pocket } from './pocket.ts';
import { shape, shapeAs, shapeBack, shapeDrop, shapeStep, taken } from './shape.ts';
import { evenOut, stepLeadCount, stepLeadShare } from './shares.ts';
import { minimise, restoreLast, toggleSize } from './size.ts';
import { splitNext } from './split.ts';
import { switched, switchWindow } from './switch.ts';
import { closeFocused, openApp } from './windows.ts';
import { closeWorkspace, goWorkspace, newWorkspace, putOnWorkspace } from './workspace.ts';

interface CommandInfo {
  run: (situation: Situation) => Outcome;
  /** Undo takes it back. Going somewhere, and opening and closing, are not steps of an arrangement. */
  isStep: boolean;
}

// Steps change an arrangement; they wait while the engine is paused. Visits go on.

const step = (run: CommandInfo['run']): CommandInfo => ({ run, isStep: true });
const visit = (run: CommandInfo['run']): CommandInfo => ({ run, isStep: false });

const focus = (direction: Direction) => visit((now) => focusTowards(now, direction));
const move = (direction: Direction) => step((now) => moveTowards(now, direction));
const grow = (direction: Direction) => step((now) => growTowards(now, direction, 1));
const shrink = (direction: Direction) => step((now) => growTowards(now, direction, -1));

function waits({ session }: Situation): Outcome {
  return nothing(session, 'the engine is paused; resume comes first');
}

/** The commands that need nothing said with them. */
const PLAIN = {
  'focus-left': focus('left'),
  'focus-right': focus('right'),
  'focus-up': focus('up'),
  'focus-down': focus('down'),
  'focus-next': visit((now) => focusInOrder(now, 1)),
  'focus-previous': visit((now) => focusInOrder(now, -1)),
  'focus-last': visit(focusLast),
  'move-left': move('left'),
  'move-right': move('right'),
  'move-up': move('up'),
  'move-down': move('down'),
  'move-earlier': step((now) => moveInOrder(now, -1)),
  'move-later': step((now) => moveInOrder(now, 1)),
  'swap-with-lead': step(swapWithLead),
  promote: step(promote),
  'lead-share-more': step((now) => stepLeadShare(now, 1)),
  'lead-share-less': step((now) => stepLeadShare(now, -1)),
  'lead-count-more': step((now) => stepLeadCount(now, 1)),
  'lead-count-less': step((now) => stepLeadCount(now, -1)),
  'grow-left': grow('left'),
  'grow-right': grow('right'),
  'grow-up': grow('up'),
  'grow-down': grow('down'),
  'shrink-left': shrink('left'),
  'shrink-right': shrink('right'),
  'shrink-up': shrink('up'),
  'shrink-down': shrink('down'),
  'even-out': step(evenOut),
  'split-across': step((now) => splitNext(now, 'x')),
  'split-down': step((now) => splitNext(now, 'y')),
  float: step(toggleFloat),
  'float-all': step(floatAll),
  'stay-above': step(toggleStayAbove),
  everywhere: step(toggleEverywhere),
  maximise: step((now) => toggleSize(now, 'maximised')),
  'full-screen': step((now) => toggleSize(now, 'fullScreen')),
  minimise: step(minimise),
  'restore-last': step(restoreLast),
  pocket: step(pocket),
  'call-back': step(callBack),
  'next-layout': step((now) => stepLayout(now, 1)),
  'previous-layout': step((now) => stepLayout(now, -1)),
  'turn-layout': step(turnLayout),
  'reset-layout': step(resetLayout),
  close: visit(closeFocused),
  'next-of-app': visit(nextOfApp),
  'switch-window': visit(switchWindow),
  'show-desktop': visit(showDesktop),
  'peek-desktop': visit(peekDesktop),
  'new-workspace': step(newWorkspace),
  'close-workspace': step(closeWorkspace),
  pause: visit(pause),
  resume: visit(resume),
  undo: visit((now) => (now.session.paused ? waits(now) : undo(now.session))),
  redo: visit((now) => (now.session.paused ? waits(now) : redo(now.session))),
  shape: visit((now) => (now.session.paused ? waits(now) : shape(now))),
  'shape-back': visit(shapeBack),
  'shape-drop': visit(shapeDrop),
} satisfies Record<string, CommandInfo>;

export type PlainCommandId = keyof typeof PLAIN;
export const PLAIN_COMMANDS = Object.keys(PLAIN) as PlainCommandId[];

export const commandSchema = z.union(
  [
    fields({ command: z.literal('use-layout'), layout: layoutSchema }),
    fields({ command: z.literal('open-app'), app: idField }),
    fields({ command: z.literal('call-app'), app: idField }),
    fields({ command: z.literal('find-window'), text: textField.exactOptional() }),
    fields({ command: z.literal('launch'), text: textField.exactOptional() }),
    fields({ command: z.literal('go-workspace'), which: idField }),
    fields({
      command: z.literal('put-on-workspace'),
      which: idField,
      follow: flagField.exactOptional(),
    }),
    fields({ command: z.literal('shape-as'), by: oneOf(SHAPING) }),
    fields({
      command: z.literal('shape-step'),
      direction: oneOf(DIRECTIONS),
      inward: flagField.exactOptional(),
    }),
    fields({ command: oneOf(PLAIN_COMMANDS) }),
  ],
  { error: 'a command with what it needs' },
);
export type Command = z.output<typeof commandSchema>;
export type CommandId = Command['command'];

/** The commands that need something said with them. */
export const SAID_COMMANDS = [
  'use-layout',
  'open-app',
  'call-app',
  'find-window',
  'launch',
  'go-workspace',
  'put-on-workspace',
  'shape-as',
  'shape-step',
] as const satisfies Exclude<CommandId, PlainCommandId>[];
export const COMMANDS: readonly CommandId[] = [...PLAIN_COMMANDS, ...SAID_COMMANDS];

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

/** A command in words, its arguments with it: "open-app pitreader". */
export function commandText(command: Command): string {
  switch (command.command) {
    case 'use-layout':
      return `use-layout ${command.layout.kind}`;
    case 'open-app':
    case 'call-app':
      return `${command.command} ${command.app}`;
    case 'find-window':
    case 'launch':
      return command.text ? `${command.command} ${command.text}` : command.command;
    case 'shape-as':
      return `shape-as ${command.by}`;
    case 'shape-step':
      return `shape-step ${command.direction}${command.inward ? ', inward' : ''}`;
    case 'go-workspace':
      return `go-workspace ${command.which}`;
    case 'put-on-workspace':
      return `put-on-workspace ${command.which}${command.follow ? ', follow' : ''}`;
    default:
      return command.command;
  }
}
