import type { ZoneBoard, ZoneBoardShape, Zone } from '../model/zone-board.ts';

const VERY_WIDE: ZoneBoardShape = { leastAspect: 2 };
const ORDINARY: ZoneBoardShape = { leastAspect: 1.2, turned: false };
const TURNED: ZoneBoardShape = { turned: true };

type Range = [number, number];

function zone(name: string, columns: Range, rows: Range = [1, 1]): Zone {
  return { name, columns, rows };
}

/** Ready-made boards to begin from, those for a narrower choice of monitors first. */
export const STARTER_ZONE_BOARDS: readonly ZoneBoard[] = [
  {
    id: 'broad-middle',
    name: 'Broad middle',
    columns: [1, 2, 1],
    rows: [1],
    zones: [zone('Middle', [2, 2]), zone('Quiet left', [1, 1]), zone('Quiet right', [3, 3])],
    for: VERY_WIDE,
  },
  {
    id: 'two-three-two',
    name: 'Two, three, two',
    columns: [2, 3, 2],
    rows: [1],
    zones: [zone('Left', [1, 1]), zone('Centre', [2, 2]), zone('Right', [3, 3])],
    for: VERY_WIDE,
  },
  {
    id: 'reading-strip',
    name: 'Reading strip',
    columns: [2, 2, 1],
    rows: [1],
    zones: [zone('Left', [1, 1]), zone('Right', [2, 2]), zone('Reading', [3, 3])],
    for: VERY_WIDE,
  },
  {
    id: 'watched-above',
    name: 'Watched above',
    columns: [1],
    rows: [1, 2],
    zones: [zone('Upper', [1, 1], [1, 1]), zone('Lower', [1, 1], [2, 2])],
    for: TURNED,
  },
  {
    id: 'page-and-margins',
    name: 'Page and margins',
    columns: [1, 1],
    rows: [2, 4, 1],
    zones: [
      zone('Head', [1, 2], [1, 1]),
      zone('Page', [1, 2], [2, 2]),
      zone('Foot left', [1, 1], [3, 3]),
      zone('Foot right', [2, 2], [3, 3]),
    ],
    for: TURNED,
  },
  {
    id: 'desk-and-shelf',
    name: 'Desk and shelf',
    columns: [2, 1],
    rows: [1, 2],
    zones: [
      zone('Shelf', [1, 1], [1, 1]),
      zone('Desk', [1, 1], [2, 2]),
      zone('Side', [2, 2], [1, 2]),
    ],
    for: ORDINARY,
  },
  {
    id: 'page-and-note',
    name: 'Page and note',
    columns: [3, 2],
    rows: [1],
    zones: [zone('Page', [1, 1]), zone('Note', [2, 2])],
    for: ORDINARY,
  },
];
