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
export function startOffer(situation: CommandContext, wanted: Partial<Offering>): Session {
  const rest = withoutInteraction(situation.session);
  const offer: Offering = { kind: 'offer', typed: '', skipped: 0, ...wanted };
  return offerNow({ ...situation, session: rest }, offer) ? withInteraction(rest, offer) : rest;
}

/** offer-places: the empty places here, one after the other, to any window. */
function offerPlaces(situation: CommandContext): Outcome {
  const next = startOffer(situation, { asked: true });
  if (!interactionOf(next, 'offer'))
    return noop(situation.session, 'no place here is empty beside placed windows');
  return applied(next, answerOffer({ ...situation, session: next }));
}

/** What the digits mean now, as a reason. */
export function answerOffer(situation: CommandContext): { decided: string; because: string } {
  const offering = interactionOf(situation.session, 'offer');
  const offer = offering && offerNow(situation, offering);
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
export function takeOffer(
  situation: CommandContext,
  { place, windows }: Offer,
  at: number,
): Outcome {
  const { session, profile } = situation;
  const window = windows[at]!;
  if (place.zone) return putInZone(situation, window, place.zone.board, place.zone.name);
  const placing = snapForOffer(situation, window, place.rect);
  const { width, height } = place.rect;
  const where = placing.at ? `${width} × ${height}` : snapText(placing);
  return applied(withSnap(session, window.id, placing), {
    about: window.id,
    decided: `${windowName(profile, window)}: ${where}`,
    because: 'it was offered',
  });
}

/** fill-rest: into the largest empty place beside windows that are placed or in zones. */
function fillRest(situation: CommandContext): Outcome {
  const { session } = situation;
  const window = focusedWindow(situation);
  if (isOutcome(window)) return window;
  const rect = emptyPlaceOffered(situation, window);
  if (!rect) {
    return noop(session, 'no other window has a place here, or none is left beside them');
  }
  const placing = snapForOffer(situation, window, rect);
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
