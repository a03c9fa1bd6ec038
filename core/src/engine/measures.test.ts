import { SIDES } from '../values/layout-parameters.ts';
import { describe, expect, it } from 'vitest';
import { deskInForce } from '../desk/desk.ts';
import { testDesk, windows } from '../testing/desk.ts';

import { arrange } from './arrange.ts';
import { measure } from './measures.ts';

function measured(layout: object, ids = ['a', 'b', 'c']) {
  const { session, profile } = testDesk(
    {
      monitors: [{ id: 'm', width: 1032, height: 632 }],
      tiling: { layout, gaps: { inner: 10, outer: 6 } },
    },
    windows(...ids),
  );
  const desk = deskInForce(profile, session);
  return measure(arrange({ session, profile, desk }, '1', 'm'));
}

describe('measures', () => {
  it('give lead and rest along the axis that divides them', () => {
    // 1020 less a gap of 10 to share: 606 and 404.
    expect(measured({ kind: 'lead', leadShare: 0.6 }).shares).toEqual({
      axis: 'x',
      parts: [
        { axis: 'x', from: 6, to: 612, isLead: true },
        { axis: 'x', from: 622, to: 1026, isLead: false },
      ],
    });
    const middle = measured({ kind: 'middle', leadShare: 0.5 }).shares!;
    expect(middle.parts.map(({ from, to, isLead }) => [from, to, isLead])).toEqual([
      [6, 256, false],
      [266, 766, true],
      [776, 1026, false],
    ]);
  });

  it('give none where nothing is shared so', () => {
    expect(measured({ kind: 'columns' }).shares).toBeNull();
    expect(measured({ kind: 'lead' }, ['a']).shares).toBeNull();
    expect(measured({ kind: 'lead' }, []).innerGap).toBeNull();
  });

  it('mark both gaps at the lead, at whichever side it stands', () => {
    const marks = SIDES.map((side) => {
      const { innerGap, outerGap } = measured({ kind: 'lead', side });
      return [innerGap?.into, innerGap?.x, innerGap?.y, outerGap.into, outerGap.x].join(' ');
    });
    expect(marks).toEqual([
      'left 516 378 right 3',
      'right 516 378 left 1029',
      'up 618 316 right 3',
      'down 618 316 right 3',
    ]);
  });
});

it('marks are in the gaps they tell of: no tile lies there, and one stands on each side', () => {
  const boards = [
    {
      id: 'b',
      columns: [1, 1, 1],
      rows: [1, 1, 1],
      zones: [
        { name: 'first', columns: [1, 1], rows: [1, 1] },
        { name: 'across', columns: [2, 2], rows: [2, 2] },
        { name: 'below', columns: [1, 1], rows: [2, 2] },
        { name: 'right', columns: [2, 2], rows: [1, 1] },
      ],
    },
  ];
  const marked = (layout: object, ids: string[], order?: string[]) => {
    const zones = order && [
      {
        ...boards[0]!,
        zones: order.map((name) => boards[0]!.zones.find((zone) => zone.name === name)!),
      },
    ];
    const desk = testDesk(
      {
        monitors: [{ id: 'm', width: 1032, height: 632, reserved: { top: 20 } }],
        boards: zones ?? boards,
        tiling: { layout, gaps: { inner: 10, outer: 6 } },
      },
      windows(...ids),
    );
    const { session, profile } = desk;
    const { innerGap, outerGap } = measure(
      arrange({ session, profile, desk: desk.desk }, '1', 'm'),
    );
    return { desk, innerGap, outerGap, tiles: ids.map((id) => desk.at(id)) };
  };
  const has =
    (x: number, y: number) => (tile: { x: number; y: number; width: number; height: number }) =>
      x >= tile.x && x < tile.x + tile.width && y >= tile.y && y < tile.y + tile.height;
  const check = (...given: Parameters<typeof marked>) => {
    const { innerGap, outerGap, tiles } = marked(...given);
    const [first] = tiles;
    expect(outerGap.y).toBe(first!.y + first!.height / 2);
    expect(tiles.some(has(outerGap.x, outerGap.y))).toBe(false);
    if (!innerGap) return null;
    const { x, y, into } = innerGap;
    expect(tiles.some(has(x, y))).toBe(false);
    const [dx, dy] = into === 'left' || into === 'right' ? [5, 0] : [0, 5];
    expect(tiles.some(has(x - dx - 1, y - dy - 1))).toBe(true);
    expect(tiles.some(has(x + dx + 1, y + dy + 1))).toBe(true);
    return into;
  };
  for (const side of SIDES) check({ kind: 'lead', side }, ['a', 'b', 'c']);
  for (const kind of ['columns', 'rows', 'grid', 'halving', 'middle']) {
    for (const ids of [['a'], ['a', 'b'], ['a', 'b', 'c', 'd', 'e']]) check({ kind }, ids);
  }
  const board = { kind: 'board', board: 'b' };
  // Only a tile that faces the first one has a gap with it.
  expect(check(board, ['a', 'b'], ['first', 'across'])).toBeNull();
  expect(check(board, ['a', 'b', 'c'], ['first', 'across', 'below'])).toBe('up');
  expect(check(board, ['a', 'b', 'c'], ['across', 'first', 'below'])).toBe('right');
  expect(check(board, ['a', 'b', 'c'], ['across', 'first', 'right'])).toBe('down');
  expect(check(board, ['a', 'b', 'c'], ['first', 'across', 'right'])).toBe('left');
});
