import isEqual from 'fast-deep-equal';
import { isIn } from '../../model/window-mode.ts';
import {
  type InteractionOf,
  withoutInteraction,
  withInteraction,
  interactionOf,
} from '../../model/interaction.ts';
import type { CommandFunctions } from './command-functions.ts';
import type { Session } from '../../model/session.ts';
import { snapText } from '../../values/snap-text.ts';
import { offerNow, emptyPlaceOffered, snapForOffer, type Offer } from '../offers.ts';
import { applied, noop, windowName, type Outcome, type CommandContext } from '../session.ts';
import { focusedWindow, isOutcome } from './focused-window.ts';
import { withSnap } from './snap.ts';
import { putInZone } from './zones.ts';

type Offering = InteractionOf<'offer'>;

/** A session in which the next empty place is offered; none where nothing is left to offer. */
export function startOffer(context: CommandContext, wanted: Partial<Offering>): Session {
  const rest = withoutInteraction(context.session);
  const offer: Offering = { kind: 'offer', typed: '', skipped: 0, besides: [], ...wanted };
  return offerNow({ ...context, session: rest }, offer) ? withInteraction(rest, offer) : rest;
}

/** offer-places: the empty places here, one after the other, to any window. */
function offerPlaces(context: CommandContext): Outcome {
  const next = startOffer(context, { asked: true });
  if (!interactionOf(next, 'offer'))
    return noop(context.session, 'no place here is empty beside placed windows');
  return applied(next, answerOffer({ ...context, session: next }));
}

/** The meaning of each digit, as a reason for the log. */
export function answerOffer(context: CommandContext): { decided: string; because: string } {
  const offering = interactionOf(context.session, 'offer');
  const offer = offering && offerNow(context, offering);
  if (!offer)
    return { decided: 'no more offers', because: 'no place is empty, or no window is left' };
  const { width, height } = offer.place.rect;
  const where = offer.place.zone?.name ?? `${width} × ${height}`;
  return {
    decided: `${where} is offered to ${countText(offer.windows.length)}`,
    because: 'it is empty; digits choose, Escape ends',
  };
}

/** The chosen window in the offered place. The focus stays where it is. */
export function takeOffer(context: CommandContext, { place, windows }: Offer, at: number): Outcome {
  const { session, profile } = context;
  const window = windows[at]!;
  if (place.zone) return putInZone(context, window, place.zone.board, place.zone.name);
  const placing = snapForOffer(context, window, place.rect);
  const { width, height } = place.rect;
  const where = placing.at ? `${width} × ${height}` : snapText(placing);
  return applied(withSnap(session, window.id, placing), {
    about: window.id,
    decided: `${windowName(profile, window)}: ${where}`,
    because: 'it was offered',
  });
}

/** fill-rest: into the largest empty place beside windows that are placed or in zones. */
function fillRest(context: CommandContext): Outcome {
  const { session } = context;
  const window = focusedWindow(context);
  if (isOutcome(window)) return window;
  const rect = emptyPlaceOffered(context, window);
  if (!rect) {
    return noop(session, 'no other window has a place here, or none is left beside them');
  }
  const placing = snapForOffer(context, window, rect);
  const next = withSnap(session, window.id, placing);
  const isThere = isEqual(window.placing, placing) && !isIn(window, 'maximised');
  if (isThere) return noop(session, 'it has the largest empty place');
  return applied(next, {
    about: window.id,
    decided: `${rect.width} × ${rect.height}`,
    because: 'the largest empty place beside the others',
  });
}

function countText(windows: number): string {
  return windows === 1 ? 'one window' : `${windows} windows`;
}

export const offerFunctions = {
  'fill-rest': fillRest,
  'offer-places': offerPlaces,
} satisfies Partial<CommandFunctions>;
