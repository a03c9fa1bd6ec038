import type { WhenFull } from '../values/layout-parameters.ts';
import { shareLength } from '../geometry/length.ts';
import { span, type Rect, type Size } from '../geometry/rect.ts';
import type { ZoneBoard } from '../model/zone-board.ts';
import { rangeRect, type Tracks, existingRange } from '../tiling/zone-board.ts';
import type { Axis } from '../values/direction.ts';

import { ownEntry } from '../values/own-entry.ts';

/** The zones that a window spans, and those it spanned before it was widened. */
export interface InZones {
  zones: string[];
  before?: string[];
}

/** Which zones a window has: it was put there, it took the next empty one, or it found all taken. */
export interface Seat extends InZones {
  isOver?: true;
}

/**
 * Gives every window its zones: those it was put in, else the next empty zone in the board's order. A zone
 * whose window is away for the moment (floating, minimised) is taken only when no other is empty.
 *
 * @param ids tiled windows in their order
 * @param put where windows were put, also those that are not tiled now
 * @returns one for each window; null where it is to float
 */
export function assignSeats(
  board: ZoneBoard,
  ids: readonly string[],
  put: Readonly<Record<string, InZones>>,
  whenFull: WhenFull,
): (Seat | null)[] {
  const names = new Set(board.zones.map(({ name }) => name));
  const isThere = (seat: InZones | undefined): seat is InZones =>
    seat !== undefined && seat.zones.length > 0 && seat.zones.every((name) => names.has(name));
  const here = new Set(ids);
  const taken = new Set<string>();
  const kept = new Set<string>();
  for (const [id, seat] of Object.entries(put)) {
    if (!isThere(seat)) continue;
    for (const name of seat.zones) (here.has(id) ? taken : kept).add(name);
  }
  const free = board.zones.map(({ name }) => name).filter((name) => !taken.has(name));
  const nextEmpty = [
    ...free.filter((name) => !kept.has(name)),
    ...free.filter((name) => kept.has(name)),
  ];
  const last = board.zones.at(-1)?.name;
  return ids.map((id) => {
    const before = ownEntry(put, id);
    if (isThere(before)) return before;
    const next = nextEmpty.shift();
    if (next !== undefined) return { zones: [next] };
    return last === undefined || whenFull === 'float' ? null : { zones: [last], isOver: true };
  });
}

/** Windows that share a zone, side by side along an axis. */
export interface SharedZone {
  /** Positions of the windows. */
  members: readonly number[];
  axis: Axis;
}

/** What zones give to windows. Those with the same zones share them, or lie in them over each other. */
export interface SeatTiles {
  tiles: Rect[];
  shared: SharedZone[];
  /** Positions of windows that lie over each other, of which one is shown. */
  piles: number[][];
}

/**
 * The tiles of seated windows.
 *
 * @param drawn the board's tracks as drawn: a zone is shared along its longer side there, whatever was moved
 * @param minimums one for each seat
 */
export function seatTiles(
  board: ZoneBoard,
  { drawn, tracks }: { drawn: Tracks; tracks: Tracks },
  area: Rect,
  gap: Record<Axis, number>,
  seats: readonly Seat[],
  minimums: readonly Size[],
  whenFull: WhenFull,
): SeatTiles {
  const groups = new Map<string, number[]>();
  seats.forEach(({ zones }, i) => {
    const { columns, rows } = existingRange(board, zones);
    const key = [...columns, ...rows].join(' ');
    groups.set(key, [...(groups.get(key) ?? []), i]);
  });
  const tiles: Rect[] = [];
  const shared: SharedZone[] = [];
  const piles: number[][] = [];
  for (const members of groups.values()) {
    const range = existingRange(board, seats[members[0]!]!.zones);
    const whole = rangeRect(tracks, range, area);
    if (members.length === 1) tiles[members[0]!] = whole;
    else if (whenFull === 'share') {
      const asDrawn = rangeRect(drawn, range, area);
      const axis: Axis = asDrawn.width >= asDrawn.height ? 'x' : 'y';
      shared.push({ members, axis });
      const parts = dividedEvenly(whole, axis, gap[axis], members, minimums);
      members.forEach((at, i) => (tiles[at] = parts[i]!));
    } else {
      piles.push(members);
      for (const at of members) tiles[at] = whole;
    }
  }
  return { tiles, shared, piles };
}

function dividedEvenly(
  whole: Rect,
  axis: Axis,
  gap: number,
  members: readonly number[],
  minimums: readonly Size[],
): Rect[] {
  const least = members.map((at) => minimums[at]![axis === 'x' ? 'width' : 'height']);
  const { start: from, length } = span(whole, axis);
  const weights = members.map(() => 1);
  return shareLength(length, weights, least, gap).map(({ start, size }) =>
    axis === 'x'
      ? { ...whole, x: from + start, width: size }
      : { ...whole, y: from + start, height: size },
  );
}
