import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { zoneBoardSchema } from '../model/zone-board.ts';
import { profileSchema } from '../model/profile.ts';
import { STARTER_ZONE_BOARDS } from '../starters/zone-boards.ts';
import { anyBoard } from '../testing/zone-boards.ts';
import { OFFICE, testDesk } from '../testing/desk.ts';
import { read } from '../values/faults.ts';
import { zoneBoardFits } from '../zones/fit.ts';
import { rangeOf, tracksOf, zoneRects } from './zone-board.ts';

const AREA = { x: 30, y: 50, width: 1931, height: 1207 };
const GAP = { x: 10, y: 7 };

describe('the zones of a board', () => {
  it('cover exactly what their cells cover', () => {
    fc.assert(
      fc.property(anyBoard, (board) => {
        const { columns, rows } = tracksOf(board, AREA, GAP);
        zoneRects(board, AREA, GAP).forEach((rect, i) => {
          const zone = board.zones[i]!;
          const first = { column: columns[zone.columns[0] - 1]!, row: rows[zone.rows[0] - 1]! };
          const last = { column: columns[zone.columns[1] - 1]!, row: rows[zone.rows[1] - 1]! };
          expect(rect).toEqual({
            x: AREA.x + first.column.start,
            y: AREA.y + first.row.start,
            width: last.column.start + last.column.size - first.column.start,
            height: last.row.start + last.row.size - first.row.start,
          });
        });
      }),
    );
  });

  it('leave exactly the inner gap to their neighbours, and reach the area’s edges', () => {
    fc.assert(
      fc.property(anyBoard, (board) => {
        const rects = zoneRects(board, AREA, GAP);
        board.zones.forEach((a, i) => {
          if (a.columns[0] === 1) expect(rects[i]!.x).toBe(AREA.x);
          if (a.columns[1] === board.columns.length)
            expect(rects[i]!.x + rects[i]!.width).toBe(AREA.x + AREA.width);
          board.zones.forEach((b, j) => {
            if (b.columns[0] === a.columns[1] + 1)
              expect(rects[j]!.x - rects[i]!.x - rects[i]!.width).toBe(GAP.x);
            if (b.rows[0] === a.rows[1] + 1)
              expect(rects[j]!.y - rects[i]!.y - rects[i]!.height).toBe(GAP.y);
          });
        });
      }),
    );
  });
});

describe('a board in a file', () => {
  const faultsOf = (board: object) => {
    const result = read(profileSchema, { ...OFFICE, boards: [{ id: 'b', ...board }] });
    return result.ok ? [] : result.faults.map(({ path, expected }) => `${path}: ${expected}`);
  };
  const zone = { name: 'a', columns: [1, 1], rows: [1, 1] };

  it('has faults told with their path and what was expected', () => {
    expect(faultsOf({ columns: [] })).toEqual([
      'boards[0].columns: at least one weight: a board has at least one of its columns',
    ]);
    expect(faultsOf({ columns: [1, 0], rows: [-2] })).toEqual([
      'boards[0].columns[1]: a weight above 0, at most 1000000',
      'boards[0].rows[0]: a weight above 0, at most 1000000',
    ]);
    expect(faultsOf({ columns: [1, 1], zones: [{ ...zone, columns: [2, 3] }] })).toEqual([
      'boards[0].zones[0].columns: columns from 1 to 2, for the board has no more',
    ]);
    expect(faultsOf({ columns: [1, 1], zones: [{ ...zone, columns: [2, 1] }] })).toEqual([
      'boards[0].zones[0].columns: the first and the last, counted from 1, such as [1, 2]',
    ]);
    expect(faultsOf({ zones: [zone, zone] })).toEqual([
      'boards[0].zones[1].name: a name that no other zone of this board has',
    ]);
    expect(faultsOf({ zones: [{ ...zone, name: ' ' }] })[0]).toMatch(
      /^boards\[0\].zones\[0\].name/,
    );
  });

  it('may have 200 zones, and draws each where its cells are', () => {
    const zones = Array.from({ length: 200 }, (_, i) => ({
      name: `z${i + 1}`,
      columns: [(i % 20) + 1, (i % 20) + 1],
      rows: [Math.floor(i / 20) + 1, Math.floor(i / 20) + 1],
    }));
    const ones = (count: number) => Array.from({ length: count }, () => 1);
    const board = zoneBoardSchema.parse({ id: 'many', columns: ones(20), rows: ones(10), zones });
    const rects = zoneRects(board, AREA, GAP);
    const covered = rects.reduce((sum, { width, height }) => sum + width * height, 0);
    expect(covered).toBe((AREA.width - 19 * GAP.x) * (AREA.height - 9 * GAP.y));
  });
});

describe('which board a monitor gets', () => {
  const boards = [
    { id: 'named', for: { monitor: 'lap' } },
    { id: 'wide', for: { leastAspect: 2, leastWidth: 3000 } },
    { id: 'turned', for: { turned: true } },
    { id: 'any' },
    { id: 'absent', for: { monitor: 'wall' } },
  ];
  const desk = testDesk({ ...OFFICE, boards });
  const fits = (monitor: string) =>
    zoneBoardFits(
      desk.profile,
      desk.desk,
      desk.desk.monitors.find(({ id }) => id === monitor)!,
    ).map(({ board, fits: does, because }) => `${board.id} ${does ? 'yes' : 'no'}: ${because}`);

  it('is the first whose shape fits, and why is told for each', () => {
    expect(fits('wide')).toEqual([
      'named no: it is for lap',
      'wide yes: an aspect of 2.44 is at least 2; 3440 logical px are at least 3000',
      'turned no: it is at least as wide as high',
      'any yes: it is for every shape',
      'absent no: it is for wall',
    ]);
    expect(fits('tall')[2]).toBe('turned yes: it is higher than wide');
    // 2880 × 1800 at scale 2, less 24 and 40 logical px.
    expect(fits('lap')[0]).toBe('named yes: it is for lap');
    expect(fits('lap')[1]).toBe('wide no: its aspect is 1.72; the board asks for 2');
  });
});

it('the starter boards are right as they stand', () => {
  const profile = profileSchema.parse({ ...OFFICE, boards: STARTER_ZONE_BOARDS });
  expect(profile.boards).toEqual(STARTER_ZONE_BOARDS);
});

it('the range around no zone, or around one that is not there, is none', () => {
  const board = zoneBoardSchema.parse({
    id: 'b',
    columns: [1, 1, 1],
    rows: [1, 1],
    zones: [
      { name: 'a', columns: [1, 1], rows: [1, 1] },
      { name: 'b', columns: [3, 3], rows: [2, 2] },
    ],
  });
  expect(rangeOf(board, [])).toBeNull();
  expect(rangeOf(board, ['a', 'c'])).toBeNull();
  expect(rangeOf(board, ['b', 'a'])).toMatchObject({ columns: [1, 3], rows: [1, 2] });
});
