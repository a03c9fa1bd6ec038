import { sameRect, meet, type Rect } from '../geometry/rect.ts';
import { toPixels } from '../geometry/round.ts';
import type { ZoneBoard } from '../model/zone-board.ts';
import type { InteractionOf } from '../model/interaction.ts';
import type { Snap } from '../model/session-snap.ts';
import type { SessionWindow } from '../model/session.ts';
import { snappedRect } from '../snap/axis.ts';
import { largestEmpty } from '../snap/empty-area.ts';
import { onSide } from '../snap/ladder.ts';
import { rangeRect, tracksOf } from '../tiling/zone-board.ts';
import type { Along } from '../values/snap.ts';
import { arrange } from './arrange.ts';
import { snappedWindows, snapArea } from './snap-area.ts';
import { isShown, shownOn, type CommandContext } from './session.ts';
import { toFloatingRect } from './floating-rect.ts';

/** An empty place, and the windows that could go there, in the order of their digits. */
export interface Offer {
  place: EmptyPlace;
  windows: SessionWindow[];
}

interface EmptyPlace {
  rect: Rect;
  /** The zone it is, where boards give the places. */
  zone?: { board: ZoneBoard; name: string };
}

/** A place is worth offering where it is at least as large, in logical pixels. */
const LEAST_PLACE = { width: 160, height: 120 };

type Offering = InteractionOf<'offer'>;

/** What is offered now where the focus is; null when nothing is left to offer. */
export function offerNow(context: CommandContext, offering: Offering): Offer | null {
  const { session } = context;
  const monitor = session.focusMonitor;
  const workspace = shownOn(session, monitor);
  const place = emptyPlaces(context, workspace, monitor, offering)[offering.skipped];
  if (!place) return null;
  const windows = candidates(context, workspace, monitor, offering);
  return windows.length > 0 ? { place, windows } : null;
}

/** The windows that may be offered a place: those without one first, then the most recent. */
function candidates(
  context: CommandContext,
  workspace: string,
  monitor: string,
  { besides, asked }: Offering,
): SessionWindow[] {
  const { session } = context;
  const { zoned, tiled } = arrange(context, workspace, monitor);
  const hasPlace = (window: SessionWindow) =>
    window.placing !== undefined || (zoned !== null && tiled.includes(window));
  const here = session.windows.filter(
    (window) =>
      window.workspace === workspace &&
      window.monitor === monitor &&
      !besides.includes(window.id) &&
      window.held !== 'left-alone' &&
      window.kind === 'normal' &&
      window.resizable !== false &&
      isShown(session, window),
  );
  if (!asked && here.every(hasPlace)) return [];
  const age = ({ id }: SessionWindow) => session.recent.indexOf(id);
  return here.sort((a, b) => Number(hasPlace(a)) - Number(hasPlace(b)) || age(a) - age(b));
}

/** The empty places: zones in the board's order, else the areas that placed windows leave free, the largest first. */
function emptyPlaces(
  context: CommandContext,
  workspace: string,
  monitor: string,
  { board: wanted, skipped }: Offering,
): EmptyPlace[] {
  const { zoned } = arrange(context, workspace, monitor);
  const board = zoned?.board ?? context.profile.boards.find(({ id }) => id === wanted);
  if (board) return emptyZones(context, workspace, monitor, board);
  const { area, gap, monitor: on } = snapArea(context, workspace, monitor);
  const least = {
    width: toPixels(LEAST_PLACE.width, on.scale),
    height: toPixels(LEAST_PLACE.height, on.scale),
  };
  const taken = snappedWindows(context, workspace, monitor).map(({ rect }) => rect);
  const places: EmptyPlace[] = [];
  while (taken.length > 0 && places.length <= skipped) {
    const rect = largestEmpty(area, [...taken, ...places.map((place) => place.rect)], gap, least);
    if (!rect) break;
    places.push({ rect });
  }
  return places;
}

function emptyZones(
  context: CommandContext,
  workspace: string,
  monitor: string,
  board: ZoneBoard,
): EmptyPlace[] {
  const { zoned, area } = arrange(context, workspace, monitor);
  const on = snapArea(context, workspace, monitor);
  const here = zoned
    ? { tracks: zoned.tracks, area }
    : { tracks: tracksOf(board, on.area, on.gap), area: on.area };
  const seatedIn = new Set(zoned?.seats.flatMap(({ zones }) => zones) ?? []);
  const placed = snappedWindows(context, workspace, monitor).map(({ rect }) => rect);
  return board.zones.flatMap((zone): EmptyPlace[] => {
    const rect = rangeRect(here.tracks, zone, here.area);
    const isTaken = seatedIn.has(zone.name) || placed.some((other) => meet(other, rect));
    return isTaken ? [] : [{ rect, zone: { board, name: zone.name } }];
  });
}

/** The largest empty place beside the other windows that have a place: placed ones, and those in zones. */
export function emptyPlaceOffered(context: CommandContext, window: SessionWindow): Rect | null {
  const { workspace, monitor } = window;
  const { area, gap } = snapArea(context, workspace, monitor);
  const { zoned, tiled, tiles } = arrange(context, workspace, monitor);
  const placed = snappedWindows(context, workspace, monitor)
    .filter((other) => other.window.id !== window.id)
    .map(({ rect }) => rect);
  const inZones = zoned ? (tiles ?? []).filter((_, i) => tiled[i]!.id !== window.id) : [];
  const taken = [...placed, ...inZones];
  return taken.length === 0 ? null : largestEmpty(area, taken, gap, { width: 1, height: 1 });
}

/**
 * A rectangle as a placing: by axes where it is just that, so that it stays a half on another monitor and
 * placing keys step on from it; else a rectangle of its own.
 */
export function snapForOffer(context: CommandContext, window: SessionWindow, rect: Rect): Snap {
  const { area, gap, monitor } = snapArea(context, window.workspace, window.monitor);
  const { ladders } = context.profile.placing;
  const alongs = (axis: 'x' | 'y'): Along[] => [
    'full',
    ...(['start', 'end', 'middle'] as const).flatMap((side) =>
      ladders[axis].map((share) => onSide(side, share)),
    ),
  ];
  for (const x of alongs('x')) {
    for (const y of alongs('y')) {
      if (x === 'full' && y === 'full') continue;
      if (sameRect(snappedRect(area, gap, { x, y }), rect)) return { x, y };
    }
  }
  return { x: 'full', y: 'full', at: toFloatingRect(rect, monitor) };
}
