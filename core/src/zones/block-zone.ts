import { freeId } from '../desk/edit.ts';
import type { ZoneBoard } from '../model/zone-board.ts';
import type { Profile } from '../model/profile.ts';
import type { CornerGrid, Along } from '../values/snap.ts';
import { freeZoneName } from './edit.ts';

const GRID_NAME = 'Lettered grid';

/**
 * The profile with a block of the lettered grid as a zone: of the board of just this grid, which is made
 * where there is none.
 */
export function withBlockAsZone(
  profile: Profile,
  grid: CornerGrid,
  { x, y }: { x: Along; y: Along },
): { profile: Profile; board: string; zone: string } {
  const range = (along: Along, of: number): [number, number] =>
    typeof along === 'object' && 'from' in along ? [along.from, along.to] : [1, of];
  const ones = (count: number) => Array.from({ length: count }, () => 1);
  const isEven = (weights: readonly number[], count: number) =>
    weights.length === count && weights.every((weight) => weight === weights[0]);
  const there = profile.boards.find(
    (board) => isEven(board.columns, grid.columns) && isEven(board.rows, grid.rows),
  );
  const made: ZoneBoard = {
    id: freeId(
      'lettered-grid',
      profile.boards.map(({ id }) => id),
    ),
    name: GRID_NAME,
    columns: ones(grid.columns),
    rows: ones(grid.rows),
    zones: [],
    for: {},
  };
  const board = there ?? made;
  const zone = freeZoneName(board);
  const next: ZoneBoard = {
    ...board,
    zones: [
      ...board.zones,
      { name: zone, columns: range(x, grid.columns), rows: range(y, grid.rows) },
    ],
  };
  const boards = there
    ? profile.boards.map((each) => (each === there ? next : each))
    : [...profile.boards, next];
  return { profile: { ...profile, boards }, board: next.id, zone };
}
