import { z } from 'zod';
import type { Direction } from '../../geometry/direction.ts';
import { fields, flagField, idField, oneOf } from '../../profile/fields.ts';
import { layoutSchema } from '../../profile/layout.ts';
import { redo, undo } from '../history.ts';
import type { Outcome, Situation } from '../session.ts';
import { toggleFloat } from './float.ts';
import { focusInOrder, focusLast, focusTowards } from './focus.ts';
import { growTowards } from './grow.ts';
import { resetLayout, stepLayout, turnLayout, useLayout } from './layout.ts';
import { moveInOrder, moveTowards, promote, swapWithLead } from './move.ts';
import { evenOut, stepLeadCount, stepLeadShare } from './shares.ts';
import { closeFocused, openApp } from './windows.ts';
import { goWorkspace, putOnWorkspace } from './workspace.ts';

interface CommandInfo {
  run: (situation: Situation) => Outcome;
  /** Undo takes it back. Going somewhere, and opening and closing, are not steps of an arrangement. */
  isStep: boolean;
}

const step = (run: CommandInfo['run']): CommandInfo => ({ run, isStep: true });
const visit = (run: CommandInfo['run']): CommandInfo => ({ run, isStep: false });

const focus = (direction: Direction) => visit((now) => focusTowards(now, direction));
const move = (direction: Direction) => step((now) => moveTowards(now, direction));
const grow = (direction: Direction) => step((now) => growTowards(now, direction, 1));
const shrink = (direction: Direction) => step((now) => growTowards(now, direction, -1));

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
  float: step(toggleFloat),
  'next-layout': step((now) => stepLayout(now, 1)),
  'previous-layout': step((now) => stepLayout(now, -1)),
  'turn-layout': step(turnLayout),
  'reset-layout': step(resetLayout),
  close: visit(closeFocused),
  undo: visit((now) => undo(now.session)),
  redo: visit((now) => redo(now.session)),
} satisfies Record<string, CommandInfo>;

export type PlainCommandId = keyof typeof PLAIN;
export const PLAIN_COMMANDS = Object.keys(PLAIN) as PlainCommandId[];

export const commandSchema = z.union(
  [
    fields({ command: z.literal('use-layout'), layout: layoutSchema }),
    fields({ command: z.literal('open-app'), app: idField }),
    fields({ command: z.literal('go-workspace'), which: idField }),
    fields({
      command: z.literal('put-on-workspace'),
      which: idField,
      follow: flagField.exactOptional(),
    }),
    fields({ command: oneOf(PLAIN_COMMANDS) }),
  ],
  { error: 'a command with what it needs' },
);
export type Command = z.output<typeof commandSchema>;
export type CommandId = Command['command'];

function infoOf(command: Command): CommandInfo {
  switch (command.command) {
    case 'use-layout':
      return step((now) => useLayout(now, command.layout));
    case 'open-app':
      return visit((now) => openApp(now, command.app));
    case 'go-workspace':
      return visit((now) => goWorkspace(now, command.which));
    case 'put-on-workspace':
      return step((now) => putOnWorkspace(now, command.which, command.follow ?? false));
    default:
      return PLAIN[command.command];
  }
}

/** Runs a command; `isStep` tells whether undo is to take it back. */
export function runCommand(
  situation: Situation,
  command: Command,
): { outcome: Outcome; isStep: boolean } {
  const { run, isStep } = infoOf(command);
  return { outcome: run(situation), isStep };
}

/** A command in words, its arguments with it: "open-app pitreader". */
export function commandText(command: Command): string {
  switch (command.command) {
    case 'use-layout':
      return `use-layout ${command.layout.kind}`;
    case 'open-app':
      return `open-app ${command.app}`;
    case 'go-workspace':
      return `go-workspace ${command.which}`;
    case 'put-on-workspace':
      return `put-on-workspace ${command.which}${command.follow ? ', follow' : ''}`;
    default:
      return command.command;
  }
}
