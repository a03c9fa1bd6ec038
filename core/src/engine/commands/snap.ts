import { withoutLargeness, largenessOf, isIn, withMode } from '../../model/window-mode.ts';
import { inDirections, type CommandFunctions } from './command-functions.ts';
import { monitorOf } from '../../desk/desk.ts';
import { monitorTowards } from '../../desk/neighbours.ts';
import type { Snap } from '../../model/session-snap.ts';
import type { Session, SessionWindow } from '../../model/session.ts';
import { nextRung, onSide, type SnapSide } from '../../snap/ladder.ts';
import { isSameAlong, snapPositions } from '../../snap/target.ts';
import { axisOf, isForward, type Direction, type Axis } from '../../values/direction.ts';
import { snapText, type SnapText, type SnapTarget } from '../../values/snap-text.ts';
import type { Along } from '../../values/snap.ts';
import { snapArea } from '../snap-area.ts';
import {
  applied,
  noop,
  shownOn,
  withFocus,
  withWindow,
  type Outcome,
  type CommandContext,
  existingWindow,
} from '../session.ts';
import { zoneBoardHere, withSeats } from './zone-board-here.ts';
import { focusedWindow, isOutcome } from './focused-window.ts';
import { joinArrangement } from './arrangement-member.ts';
import { focusedArrangement } from './shares.ts';

const UNPLACED: Snap = { x: 'full', y: 'full' };

/** A window with a place of its own; no longer maximised or full screen. */
export function withSnap(session: Session, id: string, placing: Snap): Session {
  return withWindow(session, id, (window) => ({ ...unplaced(window), placing }));
}

/** A window without a place of its own: in its tile again, or where it floats. */
function unplaced(window: SessionWindow): SessionWindow {
  const { placing: _placing, ...rest } = withoutLargeness(window);
  return rest;
}

/** place-D: along its axis, by the two-axis model; the other axis stays as it is. */
function placeTowards(context: CommandContext, direction: Direction): Outcome {
  const side: SnapSide = isForward(direction) ? 'end' : 'start';
  const axis = axisOf(direction);
  return steppedOn(context, axis, side, (window, along) =>
    placedBeyond(context, window, direction, { ...along, [axis]: firstOpposite() }),
  );

  function firstOpposite(): Along {
    const opposite = side === 'start' ? 'end' : 'start';
    return onSide(opposite, context.profile.placing.ladders[axis][0]!);
  }
}

/** place-middle: in the middle of the longer side of the work area, a rung further with every press. */
function placeMiddle(context: CommandContext): Outcome {
  return steppedOn(context, longerSide(context), 'middle', () =>
    noop(context.session, 'it is in the middle'),
  );
}

/** The longer side of the area that the focused place has for placing. */
function longerSide(context: CommandContext): Axis {
  const { workspace, monitor } = focusedArrangement(context.session);
  const { width, height } = snapArea(context, workspace, monitor).area;
  return width >= height ? 'x' : 'y';
}

function steppedOn(
  context: CommandContext,
  axis: Axis,
  side: SnapSide,
  beyond: (window: SessionWindow, along: Pick<Snap, 'x' | 'y'>) => Outcome,
): Outcome {
  const { placing } = context.profile;
  const window = focusedWindow(context);
  if (isOutcome(window)) return window;
  const { x, y } = window.placing ?? UNPLACED;
  const rung = nextRung({ x, y }[axis], side, placing.ladders[axis], placing);
  if ('to' in rung) {
    return rung.to === 'monitor'
      ? beyond(window, { x, y })
      : wherePlacedFrom(context, window, 'the last of its ladder, or the opposite key');
  }
  const along = { x, y, [axis]: rung.along };
  return along.x === 'full' && along.y === 'full'
    ? wherePlacedFrom(context, window, 'both axes are full again')
    : placedAt(context, window, along);
}

/** The window where it was before it was placed. */
function wherePlacedFrom({ session }: CommandContext, window: SessionWindow, why: string): Outcome {
  if (!window.placing && !largenessOf(window)) return noop(session, 'it is not placed');
  return applied(
    withWindow(session, window.id, unplaced),
    said(window, 'put back where it was', why),
  );
}

/** The window with both axes set. */
function placedAt(
  { session }: CommandContext,
  window: SessionWindow,
  along: Pick<Snap, 'x' | 'y'>,
): Outcome {
  const next = withSnap(session, window.id, along);
  return applied(next, said(window, snapText(along), because(window)));
}

function because(window: SessionWindow): string {
  if (isIn(window, 'maximised')) return 'placed by key; it is no longer maximised';
  if (window.placing) return 'placed by key';
  return window.held === 'tiled'
    ? 'placed by key; the rest close up, and put-back brings it to its tile'
    : 'placed by key; put-back brings it where it floated';
}

function said(window: SessionWindow, decided: string, why: string) {
  return { about: window.id, decided, because: why };
}

/** Moves the window to the neighbouring monitor, to the side at which it comes in. */
function placedBeyond(
  context: CommandContext,
  window: SessionWindow,
  direction: Direction,
  along: Pick<Snap, 'x' | 'y'>,
): Outcome {
  const { session, desk } = context;
  const to = monitorTowards(desk, monitorOf(desk, window.monitor), direction);
  if (!to) return noop(session, `no monitor lies ${direction} of here`);
  const there = joinArrangement(context, window, to.id, shownOn(session, to.id));
  const placed = withSnap(there, window.id, along);
  return applied(
    withFocus(placed, existingWindow(placed, window.id)),
    said(window, `${snapText(along)} of ${to.name}`, `it stood on this side already`),
  );
}

/**
 * place-at: both axes at once, whatever they were; both full fill the area. Where the window is there already,
 * the next share of the command's own ladder, and after the last one the first again.
 */
export function snapTo(context: CommandContext, where: SnapTarget): Outcome {
  const window = focusedWindow(context);
  if (isOutcome(window)) return window;
  const places = snapPositions(where, longerSide(context));
  const at = placeNow(window, places);
  if (at >= 0 && places.length === 1) return noop(context.session, 'it is placed there already');
  return placedAt(context, window, places[(at + 1) % places.length]!);
}

/** The index of the place in which the window was put by key; −1 for none of them. */
function placeNow(window: SessionWindow, places: readonly SnapText[]) {
  const { placing } = window;
  if (!placing || largenessOf(window)) return -1;
  if (placing.zone ?? placing.at ?? placing.moved) return -1;
  return places.findIndex(({ x, y }) => isSameAlong(x, placing.x) && isSameAlong(y, placing.y));
}

/**
 * put-back: ends what placing and maximise did: the window is in its tile, at its place in the order, or
 * where it floated. A window that was widened over zones is in those from before.
 */
function putBack(context: CommandContext): Outcome {
  const { session } = context;
  const window = focusedWindow(context);
  if (isOutcome(window)) return window;
  if (window.placing || isIn(window, 'maximised')) {
    const back = withWindow(session, window.id, (there) =>
      withMode(unplaced(there), 'full-screen', isIn(there, 'full-screen')),
    );
    return applied(
      back,
      said(
        window,
        'put back where it was',
        window.held === 'tiled' ? 'in its tile, at its place in the order' : 'where it floated',
      ),
    );
  }
  const here = zoneBoardHere(context, window);
  const seat = here?.seat;
  if (!here || !seat?.before) return noop(session, 'it is where it belongs');
  const { before } = seat;
  const narrow = withSeats(session, window, here.board.id, { [window.id]: { zones: before } });
  return applied(narrow, said(window, `in ${before.join(' and ')}`, 'as before it was widened'));
}

export const snapFunctions = {
  ...inDirections('place', placeTowards),
  'place-middle': placeMiddle,
  'put-back': putBack,
  'place-at': snapTo,
} satisfies Partial<CommandFunctions>;
