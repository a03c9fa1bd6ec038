import { freeId } from '../desk/edit.ts';
import { shareLength } from '../geometry/length.ts';
import type { ZoneBoard, Zone } from '../model/zone-board.ts';
import { withBeginnings, withCommands, withTrialSteps } from '../model/commands-of.ts';
import type { Profile } from '../model/profile.ts';
import { withZonesCalled } from '../model/session-names.ts';
import type { TrialStep } from '../model/trial.ts';
import { commonCells, rangeAround } from '../tiling/zone-board.ts';
import { weightsOf } from '../tiling/tree.ts';
import { axisOf, isForward, type Direction, type Axis } from '../values/direction.ts';

type Across = 'columns' | 'rows';

function tracksOn(axis: Axis): Across {
  return axis === 'x' ? 'columns' : 'rows';
}

/** Changes one of the profile's boards. */
export function withZoneBoard(
  profile: Profile,
  id: string,
  change: (board: ZoneBoard) => ZoneBoard,
): Profile {
  const boards = profile.boards.map((board) => (board.id === id ? change(board) : board));
  return { ...profile, boards };
}

function withZone(board: ZoneBoard, name: string, change: (zone: Zone) => Zone): ZoneBoard {
  return { ...board, zones: board.zones.map((zone) => (zone.name === name ? change(zone) : zone)) };
}

/** A name that no zone of the board has: "Zone 4". */
export function freeZoneName({ zones }: ZoneBoard): string {
  let number = zones.length + 1;
  while (zones.some(({ name }) => name === `Zone ${number}`)) number++;
  return `Zone ${number}`;
}

/** The board with one more zone, at the first cell that no zone covers, else at the first of all. */
export function withNewZone(board: ZoneBoard): { board: ZoneBoard; zone: string } {
  const name = freeZoneName(board);
  const cell = firstBareCell(board);
  return { board: { ...board, zones: [...board.zones, { name, ...cell }] }, zone: name };
}

function firstBareCell({ columns, rows, zones }: ZoneBoard): Pick<Zone, Across> {
  for (let row = 1; row <= rows.length; row++) {
    for (let column = 1; column <= columns.length; column++) {
      const cell: Pick<Zone, Across> = { columns: [column, column], rows: [row, row] };
      if (!zones.some((zone) => commonCells(zone, cell))) return cell;
    }
  }
  return { columns: [1, 1], rows: [1, 1] };
}

export function withoutZone(board: ZoneBoard, name: string): ZoneBoard {
  return { ...board, zones: board.zones.filter((zone) => zone.name !== name) };
}

/** A zone one cell further; it stays on the board. */
export function zoneMoved(board: ZoneBoard, name: string, direction: Direction): ZoneBoard {
  const across = tracksOn(axisOf(direction));
  const by = isForward(direction) ? 1 : -1;
  return withZone(board, name, (zone) => {
    const [first, last] = zone[across];
    const isOut = first + by < 1 || last + by > board[across].length;
    return isOut ? zone : { ...zone, [across]: [first + by, last + by] };
  });
}

/** A zone's far side one cell out (right, down) or in (left, up); it keeps at least one cell. */
export function zoneStretched(board: ZoneBoard, name: string, direction: Direction): ZoneBoard {
  const across = tracksOn(axisOf(direction));
  const by = isForward(direction) ? 1 : -1;
  return withZone(board, name, (zone) => {
    const [first, last] = zone[across];
    const to = Math.min(board[across].length, Math.max(first, last + by));
    return { ...zone, [across]: [first, to] };
  });
}

/** A zone under another name; null where another zone has that name already. */
export function zoneRenamed(board: ZoneBoard, name: string, to: string): ZoneBoard | null {
  const next = to.trim();
  if (next === '' || next.length > 80) return null;
  if (next !== name && board.zones.some((zone) => zone.name === next)) return null;
  return withZone(board, name, (zone) => ({ ...zone, name: next }));
}

/**
 * A profile with a zone of a board under another name, also where trials begin in it. What names a zone and not its
 * board follows where no other board has a zone of the former name: commands, rules, what opens at the start, and
 * what trials expect. The profile itself where the name is another zone's already.
 */
export function withZoneRenamed(
  profile: Profile,
  boardId: string,
  name: string,
  to: string,
): Profile {
  const board = profile.boards.find(({ id }) => id === boardId);
  const renamed = board && zoneRenamed(board, name, to);
  if (!renamed) return profile;
  const names = new Map([[name, to.trim()]]);
  const next = withBeginnings(
    withZoneBoard(profile, boardId, () => renamed),
    (session) => withZonesCalled(session, boardId, names),
  );
  if (next.boards.some(({ zones }) => zones.some((zone) => zone.name === name))) return next;
  const following = <S extends { zone?: string }>(value: S): S =>
    value.zone === name ? { ...value, zone: to.trim() } : value;
  const expected = <S extends TrialStep>(step: S): S =>
    'expect' in step && 'zone' in step.expect ? { ...step, expect: following(step.expect) } : step;
  const commanded = withCommands(next, (command) =>
    command.command === 'place-in-zone' ? { ...command, ...following(command) } : command,
  );
  return {
    ...withTrialSteps(commanded, expected),
    rules: next.rules.map((rule) => ({ ...rule, then: following(rule.then) })),
    start: next.start.map(following),
  };
}

/** A zone earlier (−1) or later (1) in the order: later ones are filled later, and lie over. */
export function zoneReordered(board: ZoneBoard, name: string, by: 1 | -1): ZoneBoard {
  const at = board.zones.findIndex((zone) => zone.name === name);
  const other = board.zones[at + by];
  if (at < 0 || !other) return board;
  const zones = board.zones.map((zone, i) =>
    i === at ? other : i === at + by ? board.zones[at]! : zone,
  );
  return { ...board, zones };
}

/**
 * A zone cut in two along an axis, at the track line in its middle; one of a single track has that cut in
 * two first. The second half has the next free name and comes right after it.
 */
export function zoneSplit(board: ZoneBoard, name: string, axis: Axis): ZoneBoard {
  const across = tracksOn(axis);
  const zone = board.zones.find((each) => each.name === name);
  if (!zone) return board;
  const [first, last] = zone[across];
  if (first === last) return zoneSplit(withTrackAfter(board, axis, first), name, axis);
  const middle = first + Math.floor((last - first) / 2);
  const second: Zone = { ...zone, name: freeZoneName(board), [across]: [middle + 1, last] };
  const zones = board.zones.flatMap((each) =>
    each === zone ? [{ ...zone, [across]: [first, middle] as [number, number] }, second] : [each],
  );
  return { ...board, zones };
}

/** Two zones as one, around both; it keeps the first one's name and place in the order. */
export function zonesMerged(board: ZoneBoard, name: string, other: string): ZoneBoard {
  const [a, b] = [name, other].map((each) => board.zones.find((zone) => zone.name === each));
  if (!a || !b || a === b) return board;
  const { columns, rows } = rangeAround([a, b]);
  const whole: Zone = { name, columns: [...columns], rows: [...rows] };
  return withZone(withoutZone(board, other), name, () => whole);
}

/** A track cut in two halves, both spanned by every zone that spanned it. */
export function withTrackAfter(board: ZoneBoard, axis: Axis, track: number): ZoneBoard {
  const across = tracksOn(axis);
  const weight = board[across][track - 1];
  if (weight === undefined || board[across].length >= 200) return board;
  const weights = board[across].toSpliced(track - 1, 1, weight / 2, weight / 2);
  const zones = board.zones.map((zone) => {
    const [first, last] = zone[across];
    const moved: [number, number] = [
      first > track ? first + 1 : first,
      last >= track ? last + 1 : last,
    ];
    return { ...zone, [across]: moved };
  });
  return { ...board, [across]: weights, zones };
}

/** The board without a track. Zones over others too are that much smaller; one over it alone goes with it. */
export function withoutTrack(board: ZoneBoard, axis: Axis, track: number): ZoneBoard {
  const across = tracksOn(axis);
  if (board[across].length < 2 || track < 1 || track > board[across].length) return board;
  const zones = board.zones.flatMap((zone) => {
    const [first, last] = zone[across];
    if (first === track && last === track) return [];
    const moved: [number, number] = [
      first > track ? first - 1 : first,
      last >= track ? last - 1 : last,
    ];
    return [{ ...zone, [across]: moved }];
  });
  return { ...board, [across]: board[across].toSpliced(track - 1, 1), zones };
}

export function withTrackWeight(
  board: ZoneBoard,
  axis: Axis,
  track: number,
  weight: number,
): ZoneBoard {
  return { ...board, [tracksOn(axis)]: board[tracksOn(axis)].with(track - 1, weight) };
}

/** The least a track keeps when the line beside it is moved, in pixels. */
const LEAST_TRACK = 8;

/**
 * The line after a track moved over an area: the two tracks beside it change, and all weights become what the
 * tracks are in pixels, their sum kept.
 *
 * @param length the area's, in pixels, with the gap between tracks
 * @param by pixels, forwards
 */
export function withLineMoved(
  board: ZoneBoard,
  axis: Axis,
  track: number,
  by: number,
  { length, gap }: { length: number; gap: number },
): ZoneBoard {
  const weights = board[tracksOn(axis)];
  if (track < 1 || track >= weights.length) return board;
  const ones = weights.map(() => 1);
  const sizes = shareLength(length, weights, ones, gap).map(({ size }) => size);
  const [before, after] = [sizes[track - 1]!, sizes[track]!];
  const moved = Math.max(
    Math.min(0, LEAST_TRACK - before),
    Math.min(by, Math.max(0, after - LEAST_TRACK)),
  );
  if (moved === 0) return board;
  sizes[track - 1] = before + moved;
  sizes[track] = after - moved;
  const sum = weights.reduce((all, weight) => all + weight, 0);
  const even = weightsOf(sizes).map((weight) =>
    Number(((weight * sum) / weights.length).toFixed(6)),
  );
  return { ...board, [tracksOn(axis)]: even };
}

/** The profile with one more board: a copy of another, under an id and a name of its own. */
export function withZoneBoardAdded(
  profile: Profile,
  board: ZoneBoard,
): { profile: Profile; id: string } {
  const name = board.name ?? board.id;
  const id = freeId(
    name,
    profile.boards.map((each) => each.id),
  );
  const names = profile.boards.map((each) => each.name ?? each.id);
  let free = name;
  for (let number = 2; names.includes(free); number++) free = `${name} ${number}`;
  return { profile: { ...profile, boards: [...profile.boards, { ...board, id, name: free }] }, id };
}

export function withoutZoneBoard(profile: Profile, id: string): Profile {
  return { ...profile, boards: profile.boards.filter((board) => board.id !== id) };
}

/** A board after all others, by its name or, where it has none, its id: monitors get those before it. */
export function withZoneBoardLast(profile: Profile, called: string): Profile {
  const last = profile.boards.find(({ id, name = id }) => name === called);
  if (!last) return profile;
  return { ...profile, boards: [...profile.boards.filter((board) => board !== last), last] };
}

/** A board earlier (−1) or later (1) in the profile: of those that fit a monitor the first is its own. */
export function withZoneBoardMoved(profile: Profile, id: string, by: 1 | -1): Profile {
  const at = profile.boards.findIndex((board) => board.id === id);
  const other = profile.boards[at + by];
  if (at < 0 || !other) return profile;
  return { ...profile, boards: profile.boards.with(at, other).with(at + by, profile.boards[at]!) };
}
