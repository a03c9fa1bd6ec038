import { keysCaps, triggerOf } from '../../values/trigger.ts';
import { withStandIn, boundAt, bindingText, withBinding } from '../../keys/edit.ts';
import { withBlockAsZone } from '../../zones/block-zone.ts';
import type { CommandFunctions } from './command-functions.ts';
import { monitorOf } from '../../desk/desk.ts';
import type { DeskMonitor } from '../../desk/monitors.ts';
import { workArea } from '../../desk/work-area.ts';
import type { ZoneBoard } from '../../model/zone-board.ts';
import {
  interactionOf,
  pickingOf,
  withInteraction,
  withoutInteraction,
  type InteractionOf,
  type Picking,
} from '../../model/interaction.ts';
import type { Session } from '../../model/session.ts';
import { blockOf, cornerGrid, gridText, typedOn, type Block } from '../../snap/block.ts';
import { letterOf, numberLabels } from '../../snap/labels.ts';
import { zoneBoardName } from '../../tiling/zone-board.ts';
import type { CornerGrid, SnapSettings } from '../../values/snap.ts';
import { fittingZoneBoards } from '../../zones/fit.ts';
import { withUndoStep } from '../history.ts';
import { offerNow } from '../offers.ts';
import { applied, noop, type Outcome, type CommandContext } from '../session.ts';
import { focusedWindow, isOutcome } from './focused-window.ts';
import { useLayout } from './layout.ts';
import { answerOffer, startOffer, takeOffer } from './offer.ts';
import { snapTo } from './snap.ts';
import { withLastLineup } from './last-lineup.ts';
import { putInZone } from './zones.ts';

/** A board to choose, with its letter, and a number for each of its zones. */
export interface ZoneBoardChoice {
  board: ZoneBoard;
  letter: string;
  /** In the order of the zones. */
  numbers: string[];
  /** Numbers mean its zones, and Enter takes it. */
  isMarked: boolean;
}

/** The boards that fit the monitor with the focus. The first is marked, or the one whose letter is typed. */
export function zoneBoardChoices({ session, profile, desk }: CommandContext): ZoneBoardChoice[] {
  const boards = fittingZoneBoards(profile, desk, monitorOf(desk, session.focusMonitor)).slice(
    0,
    26,
  );
  const marked = letterIn(pickingOf(session)?.typed ?? '') || letterOf(0);
  return boards.map((board, i) => ({
    board,
    letter: letterOf(i),
    numbers: numberLabels(board.zones.length),
    isMarked: letterOf(i) === marked,
  }));
}

/** What is typed into a choice of boards: a letter, then digits. */
function letterIn(typed: string): string {
  return /^[a-z]/.exec(typed)?.[0] ?? '';
}

/** The lettered and numbered grid over the monitor with the focus. */
export function gridHere({ session, profile, desk }: CommandContext): CornerGrid {
  return gridOf(profile.placing, monitorOf(desk, session.focusMonitor));
}

/** The lettered and numbered grid over a monitor. */
export function gridOf({ cornerPick }: SnapSettings, monitor: DeskMonitor): CornerGrid {
  return cornerGrid(cornerPick, workArea(monitor).area);
}

/**
 * pick-board: the boards that fit this monitor, the marked one drawn on it; a number is a zone of that, a letter or
 * an arrow marks another, Enter takes it as the layout here. Again, it ends.
 */
function pickBoard(context: CommandContext): Outcome {
  const { session } = context;
  if (interactionOf(session, 'board-pick')) return drop(session);
  const choices = zoneBoardChoices(context);
  if (choices.length === 0) return noop(session, 'no zone board fits this monitor');
  return applied(withInteraction(session, { kind: 'board-pick', typed: '' }), {
    decided: `${choices.length === 1 ? 'one board fits' : `${choices.length} boards fit`} this monitor`,
    because:
      'a number picks a zone for the window, a letter or an arrow marks another board, Enter takes it for this workspace',
  });
}

/** corner-pick: opens the lettered and numbered grid over the monitor; again, it ends. */
function cornerPick(context: CommandContext): Outcome {
  const { session, profile } = context;
  if (interactionOf(session, 'corner-pick')) return drop(session);
  const { goOn } = profile.placing.cornerPick;
  return applied(withInteraction(session, { kind: 'corner-pick', typed: '', goOn }), {
    decided: 'corner pick',
    because: `${gridText(gridHere(context))}; two letters and two digits make a block`,
  });
}

/** corner-go-on: the grid goes on with the next window, until it is ended by key; again, it ends with its block. */
function cornerGoOn({ session }: CommandContext): Outcome {
  const picking = pickingOf(session);
  if (picking?.kind !== 'corner-pick') return noop(session, NO_GRID);
  return applied(withInteraction(session, { ...picking, goOn: !picking.goOn }), {
    decided: picking.goOn ? 'ends with the next block' : 'goes on with the next window',
    because: 'by key',
  });
}

function drop(session: Session): Outcome {
  return applied(withoutInteraction(session), {
    decided: 'the choice is ended',
    because: 'ended by key',
  });
}

const NO_PICK = 'nothing is to be picked';
const NO_GRID = 'no corner pick is open';
const EDITED = 'by key; undo outside Rehearse takes it back';

/** The block typed so far into an open corner pick. */
function blockHere(context: CommandContext): Block | Outcome {
  const { session } = context;
  const picking = pickingOf(session);
  if (picking?.kind !== 'corner-pick') return noop(session, NO_GRID);
  return (
    blockOf(gridHere(context), picking.typed) ??
    noop(session, 'type a letter or a digit of the grid first')
  );
}

/** keep-block: the block is a zone of a board from now on. */
function keepBlock(context: CommandContext): Outcome {
  const { session, profile } = context;
  const block = blockHere(context);
  if ('trace' in block) return block;
  const { profile: edit, board, zone } = withBlockAsZone(profile, gridHere(context), block);
  return {
    ...applied(session, { decided: `${zone} of the board ${board}`, because: EDITED }),
    edit,
  };
}

/** bind-block: the next keys that are pressed place a window over the block; with keys, those do. */
function bindBlock(context: CommandContext, pressed: string | undefined): Outcome {
  const { session, profile } = context;
  const block = blockHere(context);
  if ('trace' in block) return block;
  const { typed, goOn } = pickingOf(session) as InteractionOf<'corner-pick'>;
  const asked = { kind: 'corner-pick', typed, goOn, asksKeys: true } as const;
  if (pressed === undefined)
    return applied(withInteraction(session, asked), {
      decided: 'the next keys place a window there',
      because: 'by key; Escape gives none',
    });
  const { main } = profile.keys;
  const keys = withStandIn(pressed, profile);
  const name = keysCaps(keys, profile.keys).join(' ');
  if (triggerOf(keys).steps[0]?.modifiers.every((modifier) => modifier === 'Shift'))
    return noop(session, `${name} types something: press it with ${main}`);
  const taken = boundAt(profile, keys);
  if (taken) return noop(session, `${name} does ${bindingText(taken)} already: press another`);
  const { x, y } = block;
  const edit = withBinding(profile, { keys, command: { command: 'place-at', x, y } });
  const next = withInteraction(session, { kind: 'corner-pick', typed, goOn });
  return { ...applied(next, { decided: `${name} places a window there`, because: EDITED }), edit };
}

/** pick-drop: ends the choice; what was picked before stays. */
function pickDrop({ session }: CommandContext): Outcome {
  return pickingOf(session) ? drop(session) : noop(session, NO_PICK);
}

/** pick-back: takes the last letter or digit back. */
function pickBack({ session }: CommandContext): Outcome {
  const picking = pickingOf(session);
  if (!picking) return noop(session, NO_PICK);
  if (picking.kind === 'corner-pick' && picking.asksKeys) {
    const { typed, goOn } = picking;
    return applied(withInteraction(session, { kind: 'corner-pick', typed, goOn }), {
      decided: 'no keys for the block',
      because: 'by key',
    });
  }
  if (picking.typed === '') return noop(session, 'nothing is typed');
  const typed = picking.typed.slice(0, -1);
  return applied(withTyped(session, picking, typed), said(typed));
}

/**
 * pick-next (1) and pick-previous (−1): the next empty place is offered, and this one left as it is; or the next of
 * the boards is marked, the first again after the last.
 */
function pickStep(context: CommandContext, step: 1 | -1): Outcome {
  const { session } = context;
  const picking = pickingOf(session);
  if (picking?.kind === 'board-pick') return markBoard(context, picking, step);
  if (picking?.kind !== 'offer') return noop(session, 'no place or board is offered');
  const skipped = picking.skipped + step;
  if (skipped < 0) return noop(session, 'this is the first empty place');
  const next = startOffer(context, { ...picking, typed: '', skipped });
  return applied(next, answerOffer({ ...context, session: next }));
}

function markBoard(context: CommandContext, picking: Picking, step: 1 | -1): Outcome {
  const { session } = context;
  const choices = zoneBoardChoices(context);
  const at = choices.findIndex(({ isMarked }) => isMarked);
  const next = choices[(at + step + choices.length) % choices.length];
  if (!next || choices.length === 1) return noop(session, 'no other zone board fits this monitor');
  return applied(withTyped(session, picking, next.letter), {
    decided: `marked ${zoneBoardName(next.board)}`,
    because: 'by key',
  });
}

/** pick-take: takes the block typed so far, or the marked board as the layout here. */
function pickTake(context: CommandContext): Outcome {
  const { session } = context;
  const picking = pickingOf(session);
  if (picking?.kind === 'board-pick') return takeBoard(context);
  if (picking?.kind !== 'corner-pick') return noop(session, NO_PICK);
  const block = blockOf(gridHere(context), picking.typed);
  return block ? takeBlock(context, picking.typed) : noop(session, 'no letter or digit is typed');
}

function withTyped(session: Session, picking: Picking, typed: string): Session {
  return withInteraction(session, { ...picking, typed });
}

function said(typed: string) {
  return { decided: typed === '' ? 'nothing typed' : `typed ${typed}`, because: 'by key' };
}

/** pick: types letters and digits, one after the other. */
function pick(context: CommandContext, keys: string): Outcome {
  let now: Outcome = applied(context.session);
  for (const key of keys.toLowerCase()) {
    const picking = pickingOf(now.session);
    if (!picking) return noop(now.session, NO_PICK);
    const next = picked({ ...context, session: now.session }, picking, key);
    now = { session: next.session, trace: [...now.trace, ...next.trace] };
  }
  return now;
}

function picked(context: CommandContext, picking: Picking, key: string): Outcome {
  switch (picking.kind) {
    case 'offer':
      return pickedOffer(context, picking, key);
    case 'board-pick':
      return pickedBoard(context, picking, key);
    case 'corner-pick':
      return pickedCorner(context, picking, key);
  }
}

/** Makes everything that a choice changed one step of undo. */
function asStep(before: Session, outcome: Outcome, command: string): Outcome {
  if (outcome.session === before) return outcome;
  return { ...outcome, session: withUndoStep(before, outcome.session, command) };
}

function pickedOffer(
  context: CommandContext,
  picking: InteractionOf<'offer'>,
  key: string,
): Outcome {
  const { session } = context;
  const offer = offerNow(context, picking);
  if (!offer) return applied(withoutInteraction(session), answerOffer(context));
  const at = numberLabels(offer.windows.length);
  const typed = picking.typed + key;
  if (!at.some((label) => label.startsWith(typed)))
    return noop(
      session,
      at.length === 1 ? `type ${at[0]}` : `type a number from ${at[0]} to ${at.at(-1)}`,
    );
  const chosen = at.indexOf(typed);
  if (chosen < 0) return applied(withTyped(session, picking, typed), said(typed));
  const taken = takeOffer({ ...context, session: withoutInteraction(session) }, offer, chosen);
  const step = asStep(session, withLastLineup(context, taken), 'offer-places');
  const besides = [...picking.besides, offer.windows[chosen]!.id];
  const next = startOffer(
    { ...context, session: step.session },
    { ...picking, typed: '', besides },
  );
  return { session: next, trace: [...step.trace, answerOffer({ ...context, session: next })] };
}

function takeBoard(context: CommandContext): Outcome {
  const { session } = context;
  const marked = zoneBoardChoices(context).find(({ isMarked }) => isMarked);
  if (!marked) return noop(session, 'no zone board fits this monitor');
  const closed = { ...context, session: withoutInteraction(session) };
  const outcome = useLayout(closed, { kind: 'board', board: marked.board.id });
  const step = asStep(closed.session, outcome, 'pick-board');
  return withOffers({ ...context, session: step.session }, step, {});
}

function pickedBoard(
  context: CommandContext,
  picking: InteractionOf<'board-pick'>,
  key: string,
): Outcome {
  const { session } = context;
  const choices = zoneBoardChoices(context);
  if (choices.some(({ letter }) => letter === key))
    return applied(withTyped(session, picking, key), said(key));
  const marked = choices.find(({ isMarked }) => isMarked) ?? choices[0]!;
  const letter = letterIn(picking.typed);
  const digits = picking.typed.slice(letter.length) + key;
  const { numbers, board } = marked;
  if (!numbers.some((number) => number.startsWith(digits))) {
    const last = choices.at(-1)!.letter;
    const zones = numbers.length > 0 ? `a number from ${numbers[0]} to ${numbers.at(-1)}, or ` : '';
    return noop(session, `type ${zones}a letter from a to ${last}`);
  }
  const zone = board.zones[numbers.indexOf(digits)];
  if (!zone) return applied(withTyped(session, picking, letter + digits), said(letter + digits));
  const here = { ...context, session: withoutInteraction(session) };
  const window = focusedWindow(here);
  if (isOutcome(window)) return window;
  const put = putInZone(here, window, board, zone.name);
  const step = asStep(here.session, withLastLineup(here, put), 'pick-board');
  return withOffers({ ...context, session: step.session }, step, {
    besides: [window.id],
    board: board.id,
  });
}

/** The outcome of a placing, with the empty places offered to other windows, where that is set. */
export function withOffers(
  context: CommandContext,
  outcome: Outcome,
  wanted: Partial<InteractionOf<'offer'>>,
): Outcome {
  if (!context.profile.placing.offers) return outcome;
  const next = startOffer(context, wanted);
  if (!interactionOf(next, 'offer')) return outcome;
  return { session: next, trace: [...outcome.trace, answerOffer({ ...context, session: next })] };
}

function pickedCorner(
  context: CommandContext,
  picking: InteractionOf<'corner-pick'>,
  key: string,
): Outcome {
  const { session } = context;
  const grid = gridHere(context);
  const typed = typedOn(grid, picking.typed, key);
  if (typed === null) return noop(session, `two of each at most: ${gridText(grid)}`);
  if (blockOf(grid, typed)?.isWhole) return takeBlock(context, typed);
  return applied(withTyped(session, picking, typed), said(typed));
}

/** The focused window over a block of the grid. */
function takeBlock(context: CommandContext, typed: string): Outcome {
  const { session } = context;
  const picking = pickingOf(session) as InteractionOf<'corner-pick'>;
  const { x, y } = blockOf(gridHere(context), typed)!;
  const closed = { ...context, session: withoutInteraction(session) };
  const placed = withLastLineup(closed, snapTo(closed, { x, y }));
  const step = asStep(closed.session, placed, 'corner-pick');
  if (!picking.goOn) {
    const besides = session.focus === undefined ? [] : [session.focus];
    return withOffers({ ...context, session: step.session }, step, { besides });
  }
  return {
    ...step,
    session: withInteraction(step.session, { kind: 'corner-pick', typed: '', goOn: true }),
  };
}

export const pickFunctions = {
  'pick-board': pickBoard,
  'corner-pick': cornerPick,
  'corner-go-on': cornerGoOn,
  'keep-block': keepBlock,
  'bind-block': (context, { keys }) => bindBlock(context, keys),
  'pick-next': (context) => pickStep(context, 1),
  'pick-previous': (context) => pickStep(context, -1),
  'pick-take': pickTake,
  'pick-back': pickBack,
  'pick-drop': pickDrop,
  pick: (context, { keys }) => pick(context, keys),
} satisfies Partial<CommandFunctions>;
