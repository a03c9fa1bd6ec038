import isEqual from 'fast-deep-equal';
import { isIn } from '../../model/window-mode.ts';
import {
  type InteractionOf,
  withoutInteraction,
  withInteraction,
  interactionOf,
} from '../../model/interaction.ts';
import type { Applies } from './applies.ts';
import type { Session } from '../../model/session.ts';
import { placingText } from '../../values/placing-text.ts';
import { offerNow, placeLeft, placingFor, type Offer } from '../offers.ts';
import { did, nothing, windowName, type Outcome, type Situation } from '../session.ts';
import { focusedWindow, isOutcome } from './focused.ts';
import { withPlacing } from './placing.ts';
import { putInZone } from './zones.ts';

type Offering = InteractionOf<'offer'>;

/** A session in which the next empty place is offered; none where nothing is left to offer. */
export function offering(situation: Situation, wanted: Partial<Offering>): Session {
  const rest = withoutInteraction(situation.session);
  const offer: Offering = { kind: 'offer', typed: '', skipped: 0, ...wanted };
  return offerNow({ ...situation, session: rest }, offer) ? withInteraction(rest, offer) : rest;
}

/** offer-places: the empty places here, one after the other, to any window. */
function offerPlaces(situation: Situation): Outcome {
  const next = offering(situation, { asked: true });
  if (!interactionOf(next, 'offer'))
    return nothing(situation.session, 'no place here is empty beside placed windows');
  return did(next, offered({ ...situation, session: next }));
}

/** What the digits mean now, as a reason. */
export function offered(situation: Situation): { decided: string; because: string } {
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
export function takeOffer(situation: Situation, { place, windows }: Offer, at: number): Outcome {
  const { session, profile } = situation;
  const window = windows[at]!;
  if (place.zone) return putInZone(situation, window, place.zone.board, place.zone.name);
  const placing = placingFor(situation, window, place.rect);
  const { width, height } = place.rect;
  const where = placing.at ? `${width} × ${height}` : placingText(placing);
  return did(withPlacing(session, window.id, placing), {
    about: window.id,
    decided: `${windowName(profile, window)}: ${where}`,
    because: 'it was offered',
  });
}

/** fill-rest: into the largest empty place beside windows that are placed or in zones. */
function fillRest(situation: Situation): Outcome {
  const { session } = situation;
  const window = focusedWindow(situation);
  if (isOutcome(window)) return window;
  const rect = placeLeft(situation, window);
  if (!rect) {
    return nothing(session, 'no other window has a place here, or none is left beside them');
  }
  const placing = placingFor(situation, window, rect);
  const next = withPlacing(session, window.id, placing);
  const isThere = isEqual(window.placing, placing) && !isIn(window, 'maximised');
  if (isThere) return nothing(session, 'it has the largest empty place');
  return did(next, {
    about: window.id,
    decided: `${rect.width} × ${rect.height}`,
    because: 'the largest empty place beside the others',
  });
}

function countText(windows: number): string {
  return windows === 1 ? 'one window' : `${windows} windows`;
}

export const offerApplies = {
  'fill-rest': fillRest,
  'offer-places': offerPlaces,
} satisfies Partial<Applies>;
