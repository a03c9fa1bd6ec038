import { expect, it } from 'vitest';
import { zoneBoardSchema } from '../model/zone-board.ts';
import { tracksOf } from '../tiling/zone-board.ts';
import { seatTiles } from './seats.ts';

const board = zoneBoardSchema.parse({
  id: 'one',
  columns: [1],
  rows: [1],
  zones: [{ name: 'all', columns: [1, 1], rows: [1, 1] }],
});

it.each([
  ['side by side in a wide zone', 'x', 'width', 1000, 600],
  ['one below the other in a high zone', 'y', 'height', 600, 1000],
] as const)(
  'windows share it %s, none under its minimum along that side',
  (_, axis, side, width, height) => {
    const area = { x: 10, y: 20, width, height };
    const gap = { x: 20, y: 20 };
    const seats = [1, 2, 3].map(() => ({ zones: ['all'] }));
    const least = { width: 1, height: 1 };
    const tracks = tracksOf(board, area, gap);
    const { tiles, shared } = seatTiles(
      board,
      { drawn: tracks, tracks },
      area,
      gap,
      seats,
      [least, { ...least, [side]: 500 }, least],
      'share',
    );
    expect(shared).toEqual([{ members: [0, 1, 2], axis }]);
    // 1000 less two gaps of 20 is 960: 500 for the one with a minimum, 230 for each of the others.
    expect(tiles.map((tile) => tile[side])).toEqual([230, 500, 230]);
    expect(tiles.map((tile) => tile[axis] - area[axis])).toEqual([0, 250, 770]);
    const across = axis === 'x' ? 'height' : 'width';
    expect(new Set(tiles.map((tile) => tile[across]))).toEqual(new Set([600]));
  },
);
