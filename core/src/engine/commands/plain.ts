import type { PlainCommandId } from '../../commands/command.ts';
import type { Direction } from '../../values/direction.ts';
import { applyRules } from '../again.ts';
import { redo, undo } from '../history.ts';
import { nothing, type Outcome, type Situation } from '../session.ts';
import { clearWhilePressed, showDesktop } from './desktop.ts';
import { nextOfApp } from './find.ts';
import { focusInOrder, focusLast, focusTowards } from './focus.ts';
import { centre, nudge, resized } from './freely.ts';
import { growTowards } from './grow.ts';
import { bringInside } from './inside.ts';
import { resetLayout, stepLayout, turnLayout } from './layout.ts';
import { floatAll, toggleEverywhere, toggleFloat, toggleStayAbove } from './lift.ts';
import { moveInOrder, moveTowards, promote, swapWithLead } from './move.ts';
import { fillRest, offerPlaces } from './offer.ts';
import { pause, resume } from './pause.ts';
import {
  cornerPick,
  cornerGoOn,
  pickBack,
  pickBoard,
  pickDrop,
  pickStep,
  pickTake,
} from './pick.ts';
import { placeMiddle, placeTowards, putBack } from './placing.ts';
import { callBack, pocket } from './pocket.ts';
import { shape, shapeBack, shapeDrop } from './shape.ts';
import { evenOut, stepLeadCount, stepLeadShare } from './shares.ts';
import { minimise, restoreLast, toggleSize } from './size.ts';
import { splitNext } from './split.ts';
import { switchWindow } from './switch.ts';
import { closeFocused, openStart } from './windows.ts';
import { closeWorkspace, newWorkspace } from './workspace.ts';
import { widen } from './zones.ts';

export interface CommandInfo {
  run: (situation: Situation) => Outcome;
  /** Undo takes it back. Going somewhere, and opening and closing, are not steps of an arrangement. */
  isStep: boolean;
}

/** Steps change an arrangement; they wait while the engine is paused. */
export const step = (run: CommandInfo['run']): CommandInfo => ({ run, isStep: true });
/** Visits go on while the engine is paused, and undo does not take them back. */
export const visit = (run: CommandInfo['run']): CommandInfo => ({ run, isStep: false });

const focus = (direction: Direction) => visit((now) => focusTowards(now, direction));
const move = (direction: Direction) => step((now) => moveTowards(now, direction));
const grow = (direction: Direction) => step((now) => growTowards(now, direction, growStep(now)));
const shrink = (direction: Direction) => step((now) => growTowards(now, direction, -growStep(now)));

const place = (direction: Direction) => step((now) => placeTowards(now, direction));
const nudged = (direction: Direction) => step((now) => nudge(now, direction));
const widened = (direction: Direction) => step((now) => widen(now, direction));
/** What is picked is a step by itself; while the engine is paused nothing is. */
const picking = (run: CommandInfo['run']) =>
  visit((now) => (now.session.paused ? waits(now) : run(now)));

function growStep({ profile }: Situation): number {
  return profile.tiling.growStep;
}

export function waits({ session }: Situation): Outcome {
  return nothing(session, 'the engine is paused; resume comes first');
}

/** The commands that need nothing said with them. */
export const PLAIN = {
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
  'place-left': place('left'),
  'place-right': place('right'),
  'place-up': place('up'),
  'place-down': place('down'),
  'place-middle': step(placeMiddle),
  'put-back': step(putBack),
  centre: step(centre),
  bigger: step((now) => resized(now, 1)),
  smaller: step((now) => resized(now, -1)),
  'nudge-left': nudged('left'),
  'nudge-right': nudged('right'),
  'nudge-up': nudged('up'),
  'nudge-down': nudged('down'),
  'fill-rest': step(fillRest),
  'widen-left': widened('left'),
  'widen-right': widened('right'),
  'widen-up': widened('up'),
  'widen-down': widened('down'),
  'offer-places': picking(offerPlaces),
  'pick-board': picking(pickBoard),
  'corner-pick': picking(cornerPick),
  'corner-go-on': visit(cornerGoOn),
  'pick-next': visit((now) => pickStep(now, 1)),
  'pick-previous': visit((now) => pickStep(now, -1)),
  'pick-take': picking(pickTake),
  'pick-back': visit(pickBack),
  'pick-drop': visit(pickDrop),
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
  'open-start': visit(openStart),
  'next-of-app': visit(nextOfApp),
  'switch-window': visit(switchWindow),
  'show-desktop': visit(showDesktop),
  'clear-while-pressed': visit(clearWhilePressed),
  'bring-inside': step(bringInside),
  'apply-rules': step(applyRules),
  'new-workspace': step(newWorkspace),
  'close-workspace': step(closeWorkspace),
  pause: visit(pause),
  resume: visit(resume),
  undo: visit((now) => (now.session.paused ? waits(now) : undo(now))),
  redo: visit((now) => (now.session.paused ? waits(now) : redo(now))),
  shape: visit((now) => (now.session.paused ? waits(now) : shape(now))),
  'shape-back': visit(shapeBack),
  'shape-drop': visit(shapeDrop),
} satisfies Record<PlainCommandId, CommandInfo>;
