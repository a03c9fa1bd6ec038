import type { Board, BoardShape, Zone } from '../profile/board.ts';

const VERY_WIDE: BoardShape = { leastAspect: 2 };
const ORDINARY: BoardShape = { leastAspect: 1.2, turned: false };
const TURNED: BoardShape = { turned: true };

type Range = [number, number];

function zone(name: string, columns: Range, rows: Range = [1, 1]): Zone {
  return { name, columns, rows };
}

/** Ready-made boards to begin from, those for a narrower choice of monitors first. */
export const STARTER_BOARDS: readonly Board[] = [
  {
    id: 'three-equal',
    name: 'Three equal',
    columns: [1, 1, 1],
    rows: [1],
    zones: [zone('Left', [1, 1]), zone('Middle', [2, 2]), zone('Right', [3, 3])],
    for: VERY_WIDE,
  },
  {
    id: 'wide-middle',
    name: 'Wide middle',
    columns: [1, 2, 1],
    rows: [1, 1],
    zones: [
      zone('Middle', [2, 2], [1, 2]),
      zone('Upper left', [1, 1], [1, 1]),
      zone('Lower left', [1, 1], [2, 2]),
      zone('Upper right', [3, 3], [1, 1]),
      zone('Lower right', [3, 3], [2, 2]),
    ],
    for: VERY_WIDE,
  },
  {
    id: 'two-thirds',
    name: 'Two thirds and a third',
    columns: [2, 1],
    rows: [1],
    zones: [zone('Two thirds', [1, 1]), zone('Third', [2, 2])],
    for: VERY_WIDE,
  },
  {
    id: 'sixths',
    name: 'Sixths',
    columns: [1, 1, 1],
    rows: [1, 1],
    zones: [
      zone('Upper left', [1, 1], [1, 1]),
      zone('Upper middle', [2, 2], [1, 1]),
      zone('Upper right', [3, 3], [1, 1]),
      zone('Lower left', [1, 1], [2, 2]),
      zone('Lower middle', [2, 2], [2, 2]),
      zone('Lower right', [3, 3], [2, 2]),
    ],
    for: VERY_WIDE,
  },
  {
    id: 'three-rows',
    name: 'Three rows',
    columns: [1],
    rows: [1, 1, 1],
    zones: [
      zone('Upper', [1, 1], [1, 1]),
      zone('Middle', [1, 1], [2, 2]),
      zone('Lower', [1, 1], [3, 3]),
    ],
    for: TURNED,
  },
  {
    id: 'tall-upper',
    name: 'Tall upper',
    columns: [1, 1],
    rows: [2, 1],
    zones: [
      zone('Upper', [1, 2], [1, 1]),
      zone('Lower left', [1, 1], [2, 2]),
      zone('Lower right', [2, 2], [2, 2]),
    ],
    for: TURNED,
  },
  {
    id: 'main-and-two',
    name: 'Main and two',
    columns: [3, 2],
    rows: [1, 1],
    zones: [
      zone('Main', [1, 1], [1, 2]),
      zone('Upper right', [2, 2], [1, 1]),
      zone('Lower right', [2, 2], [2, 2]),
    ],
    for: ORDINARY,
  },
  {
    id: 'quarters',
    name: 'Quarters',
    columns: [1, 1],
    rows: [1, 1],
    zones: [
      zone('Upper left', [1, 1], [1, 1]),
      zone('Upper right', [2, 2], [1, 1]),
      zone('Lower left', [1, 1], [2, 2]),
      zone('Lower right', [2, 2], [2, 2]),
    ],
    for: ORDINARY,
  },
];
