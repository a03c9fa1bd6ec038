import { largenessOf, withoutLargeness } from '../../model/window-mode.ts';
import { inDirections, type CommandFunctions } from './command-functions.ts';
import type { ZoneBoard, Zone } from '../../model/zone-board.ts';
import type { Snap } from '../../model/session-snap.ts';
import type { SessionWindow } from '../../model/session.ts';
import { zoneBoardName, tracksOf, zoneNamed } from '../../tiling/zone-board.ts';
import type { Direction } from '../../values/direction.ts';
import { nearestName } from '../../values/nearest-name.ts';
import type { InZones } from '../../zones/seats.ts';
import { zoneTowards } from '../../zones/neighbour-zone.ts';
import { snapArea } from '../snap-area.ts';
import {
  applied,
  noop,
  windowName,
  windowOf,
  withWindow,
  type Outcome,
  type CommandContext,
} from '../session.ts';
import { zoneBoardFor, zoneBoardHere, withSeats, type ZoneBoardHere } from './zone-board-here.ts';
import { focusedWindow, isOutcome } from './focused-window.ts';
import { withSnap } from './snap.ts';

/** Exchanges a window with those in another zone, or puts it there where that is empty. */
function exchanged(
  context: CommandContext,
  window: SessionWindow,
  here: ZoneBoardHere,
  zone: string,
): Outcome {
  const { session, profile } = context;
  const { zoned, arranged } = here;
  const there = arranged.tiled.filter(
    ({ id }, i) => id !== window.id && zoned.seats[i]?.zones.includes(zone),
  );
  const seats: Record<string, InZones> = { [window.id]: { zones: [zone] } };
  for (const { id } of there) seats[id] = { zones: here.seat.before ?? here.seat.zones };
  const others = there.map((other) => windowName(profile, other)).join(' and ');
  return applied(withSeats(session, window, here.board.id, seats), {
    about: window.id,
    decided: `in ${zone}`,
    because: others ? `exchanged with ${others}` : 'it was empty',
  });
}

/** move-D on a board: into the next zone in that direction; null where there is none, or the window is in none. */
export function moveOverZones(
  context: CommandContext,
  window: SessionWindow,
  direction: Direction,
): Outcome | null {
  const here = zoneBoardHere(context, window);
  if (!here) return null;
  const { zoned, arranged } = here;
  const { area } = arranged;
  const zone = zoneTowards(here.board, zoned.tracks, area, here.seat.zones, direction);
  return zone === null ? null : exchanged(context, window, here, zone);
}

/** move-earlier and move-later on a board: into the zone before or after in its order; null elsewhere. */
export function moveOverZonesInOrder(context: CommandContext, step: 1 | -1): Outcome | null {
  const window = windowOf(context.session, context.session.focus);
  const here = window && zoneBoardHere(context, window);
  if (!window || !here) return null;
  const names = here.board.zones.map(({ name }) => name);
  const next = names[names.indexOf(here.seat.zones[0]!) + step];
  if (next !== undefined) return exchanged(context, window, here, next);
  return noop(context.session, `it is in the ${step > 0 ? 'last' : 'first'} zone`);
}

/** The zone meant by its name or its number in the board's order; else what was expected. */
function zoneMeant(board: ZoneBoard, which: string): Zone | string {
  const named = zoneNamed(board, which);
  if (named) return named;
  const numbered = /^\d{1,4}$/.test(which) ? board.zones[Number(which) - 1] : undefined;
  if (numbered) return numbered;
  const nearest = nearestName(
    which,
    board.zones.map(({ name }) => name),
  );
  const hint = nearest ? `; the nearest is ${nearest}` : `; it has ${board.zones.length}`;
  return `${zoneBoardName(board)} has no zone ${which}${hint}`;
}

/**
 * place-in-zone: by name or by number. On a board the window exchanges with what is there; elsewhere it is
 * placed in that zone of the board that fits its monitor.
 */
function placeInZone(context: CommandContext, which: string): Outcome {
  const { session } = context;
  const window = focusedWindow(context);
  if (isOutcome(window)) return window;
  const board = zoneBoardFor(context, window);
  if (!board) return noop(session, 'no zone board fits this monitor');
  const zone = zoneMeant(board, which);
  if (typeof zone === 'string') return noop(session, zone);
  return putInZone(context, window, board, zone.name);
}

/** A window in a zone of a board: exchanged where that board arranges it, else placed. */
export function putInZone(
  context: CommandContext,
  window: SessionWindow,
  board: ZoneBoard,
  zone: string,
): Outcome {
  const { session } = context;
  const here = zoneBoardHere(context, window);
  if (here?.board.id === board.id) {
    const isThere = here.seat.zones.length === 1 && here.seat.zones[0] === zone;
    if (isThere && !largenessOf(window)) return noop(session, `it is in ${zone} already`);
    const plain = withWindow(session, window.id, withoutLargeness);
    return exchanged({ ...context, session: plain }, window, here, zone);
  }
  const now = window.placing?.zone;
  if (now?.board === board.id && now.zones.length === 1 && now.zones[0] === zone)
    return noop(session, `it is in ${zone} already`);
  return applied(withSnap(session, window.id, inZonesOf(board, [zone])), {
    about: window.id,
    decided: `in ${zone} of ${zoneBoardName(board)}`,
    because: 'placed by key; put-back brings it back',
  });
}

/** widen-D: over the next zone in that direction too; put-back makes it as narrow as it was. */
function widen(context: CommandContext, direction: Direction): Outcome {
  const { session, profile } = context;
  const window = focusedWindow(context);
  if (isOutcome(window)) return window;
  const said = (zones: readonly string[]) => ({
    about: window.id,
    decided: `over ${zones.join(' and ')}`,
    because: 'widened by key; put-back makes it as narrow as it was',
  });
  const here = zoneBoardHere(context, window);
  if (here) {
    const { seat, board, zoned } = here;
    const { area } = here.arranged;
    const next = zoneTowards(board, zoned.tracks, area, seat.zones, direction);
    if (next === null) return noop(session, `no zone lies ${direction} of it`);
    const zones = [...seat.zones, next];
    const wide = { zones, before: seat.before ?? seat.zones };
    return applied(withSeats(session, window, board.id, { [window.id]: wide }), said(zones));
  }
  const zone = window.placing?.zone;
  const board = zone && profile.boards.find(({ id }) => id === zone.board);
  if (!zone || !board) return noop(session, `${windowName(profile, window)} is in no zone`);
  const { area, gap } = snapArea(context, window.workspace, window.monitor);
  const next = zoneTowards(board, tracksOf(board, area, gap), area, zone.zones, direction);
  if (next === null) return noop(session, `no zone lies ${direction} of it`);
  const zones = [...zone.zones, next];
  return applied(withSnap(session, window.id, inZonesOf(board, zones)), said(zones));
}

/** A place in zones of a board that is not the layout. */
export function inZonesOf({ id }: ZoneBoard, zones: string[]): Snap {
  return { x: 'full', y: 'full', zone: { board: id, zones } };
}

export const zoneFunctions = {
  ...inDirections('widen', widen),
  'place-in-zone': (context, { zone }) => placeInZone(context, zone),
} satisfies Partial<CommandFunctions>;
