import { describe, expect, it } from 'vitest';
import { zoneBoardSchema } from '../model/zone-board.ts';
import { cellAt, cellsBetween, drawZoneBoard, lineBeside, zoneOver } from './drawing.ts';

const board = zoneBoardSchema.parse({
  id: 'b',
  columns: [1, 2, 1],
  rows: [1, 1],
  zones: [
    { name: 'under', columns: [1, 2], rows: [1, 2] },
    { name: 'over', columns: [2, 3], rows: [1, 1] },
    { name: 'also', columns: [2, 2], rows: [1, 1] },
  ],
});
// Columns of 100, 200 and 100 with gaps of 10, rows of 95 with one of 10.
const area = { x: 1000, y: 500, width: 420, height: 200 };
const drawn = drawZoneBoard(board, { area, gap: { x: 10, y: 10 } });

describe('a board laid out on an area', () => {
  it('has lines in the middle of its gaps, and a measure for every track', () => {
    expect(drawn.lines).toEqual([
      { axis: 'x', track: 1, at: 1105, from: 500, to: 700 },
      { axis: 'x', track: 2, at: 1315, from: 500, to: 700 },
      { axis: 'y', track: 1, at: 600, from: 1000, to: 1420 },
    ]);
    expect(drawn.measured.map(({ weight, measure: { from, to } }) => [weight, from, to])).toEqual([
      [1, 1000, 1100],
      [2, 1110, 1310],
      [1, 1320, 1420],
      [1, 500, 595],
      [1, 605, 700],
    ]);
  });

  it('shows cells that several zones cover, each once', () => {
    // All three share one cell, by pairs.
    expect(drawn.overlaps).toEqual([{ x: 1110, y: 500, width: 200, height: 95 }]);
  });

  it('finds the cell under a point, or nearest to it, and the uppermost zone over that', () => {
    expect(cellAt(drawn, { x: 1200, y: 690 })).toEqual({ column: 2, row: 2 });
    expect(cellAt(drawn, { x: 1102, y: 100 })).toEqual({ column: 1, row: 1 });
    expect(cellAt(drawn, { x: 9000, y: 9000 })).toEqual({ column: 3, row: 2 });
    expect(zoneOver(board, { column: 2, row: 1 })).toBe('also');
    expect(zoneOver(board, { column: 3, row: 1 })).toBe('over');
    expect(zoneOver(board, { column: 3, row: 2 })).toBeNull();
  });

  it('ranges over cells whichever was first, and moves the line after a zone, else before it', () => {
    expect(cellsBetween({ column: 3, row: 1 }, { column: 2, row: 2 })).toEqual({
      columns: [2, 3],
      rows: [1, 2],
    });
    const [under, over] = board.zones;
    expect([lineBeside(board, under!, 'x'), lineBeside(board, over!, 'x')]).toEqual([2, 1]);
    expect(lineBeside(board, under!, 'y')).toBeNull();
  });
});
