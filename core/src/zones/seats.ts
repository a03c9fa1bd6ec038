import { shareLength } from '../geometry/length.ts';
import type { Axis, Rect, Size } from '../geometry/rect.ts';
import type { Board } from '../profile/board.ts';
import type { WhenFull } from '../profile/layout.ts';
import { rangeOf, rangeRect, type Tracks } from './board.ts';

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
export function seated(
  board: Board,
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
    const own = put[id];
    if (isThere(own)) return own;
    const next = nextEmpty.shift();
    if (next !== undefined) return { zones: [next] };
    return last === undefined || whenFull === 'float' ? null : { zones: [last], isOver: true };
  });
}

/** Windows that have the same zones share their rectangle, or lie in it over each other. */
export interface SeatTiles {
  tiles: Rect[];
  /** Positions of windows that lie over each other, of which one is shown. */
  piles: number[][];
}

/**
 * The tiles of seated windows. Those with the same zones share them along the longer side, or lie over
 * each other.
 *
 * @param minimums one for each seat
 */
export function seatTiles(
  board: Board,
  tracks: Tracks,
  area: Rect,
  gap: Record<Axis, number>,
  seats: readonly Seat[],
  minimums: readonly Size[],
  whenFull: WhenFull,
): SeatTiles {
  const groups = new Map<string, number[]>();
  seats.forEach(({ zones }, i) => {
    const { columns, rows } = rangeOf(board, zones)!;
    const key = [...columns, ...rows].join(' ');
    groups.set(key, [...(groups.get(key) ?? []), i]);
  });
  const tiles: Rect[] = [];
  const piles: number[][] = [];
  for (const members of groups.values()) {
    const whole = rangeRect(tracks, rangeOf(board, seats[members[0]!]!.zones)!, area);
    if (members.length > 1 && whenFull !== 'share') piles.push(members);
    const isShared = members.length > 1 && whenFull === 'share';
    const parts = isShared
      ? dividedEvenly(whole, gap, members, minimums)
      : members.map(() => whole);
    members.forEach((at, i) => (tiles[at] = parts[i]!));
  }
  return { tiles, piles };
}

function dividedEvenly(
  whole: Rect,
  gap: Record<Axis, number>,
  members: readonly number[],
  minimums: readonly Size[],
): Rect[] {
  const isWide = whole.width >= whole.height;
  const least = members.map((at) => minimums[at]![isWide ? 'width' : 'height']);
  const length = isWide ? whole.width : whole.height;
  const weights = members.map(() => 1);
  return shareLength(length, weights, least, isWide ? gap.x : gap.y).map(({ start, size }) =>
    isWide
      ? { ...whole, x: whole.x + start, width: size }
      : { ...whole, y: whole.y + start, height: size },
  );
}
