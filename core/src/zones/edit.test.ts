import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { withBinding } from '../keys/edit.ts';
import { keyMap } from '../keys/map.ts';
import { zoneBoardSchema, type ZoneBoard } from '../model/zone-board.ts';
import { profileSchema } from '../model/profile.ts';
import { anyBoard } from '../testing/zone-boards.ts';
import { OFFICE, testDesk, windows } from '../testing/desk.ts';
import { zoneRects } from '../tiling/zone-board.ts';
import { DIRECTIONS } from '../values/direction.ts';
import { withBlockAsZone } from './block-zone.ts';
import { DEMO } from '../testing/profiles.ts';
import {
  withZoneBoardAdded,
  withZoneBoardLast,
  withZoneBoardMoved,
  withLineMoved,
  withNewZone,
  withoutTrack,
  withTrackAfter,
  withZoneRenamed,
  zoneMoved,
  zoneRenamed,
  zoneReordered,
  zonesMerged,
  zoneSplit,
  zoneStretched,
} from './edit.ts';

const BOARD = zoneBoardSchema.parse({
  id: 'b',
  columns: [1, 2, 1],
  rows: [1, 1],
  zones: [
    { name: 'a', columns: [1, 2], rows: [1, 1] },
    { name: 'c', columns: [3, 3], rows: [1, 2] },
  ],
});
const ranges = (board: ZoneBoard) =>
  Object.fromEntries(
    board.zones.map(({ name, columns, rows }) => [name, `${columns.join('-')} ${rows.join('-')}`]),
  );

describe('zones', () => {
  it('move and stretch by cells, and stay on the board', () => {
    expect(ranges(zoneMoved(BOARD, 'a', 'right'))).toMatchObject({ a: '2-3 1-1' });
    expect(zoneMoved(BOARD, 'a', 'up')).toEqual(BOARD);
    expect(ranges(zoneStretched(BOARD, 'a', 'down'))).toMatchObject({ a: '1-2 1-2' });
    expect(ranges(zoneStretched(BOARD, 'a', 'left'))).toMatchObject({ a: '1-1 1-1' });
    expect(zoneStretched(zoneStretched(BOARD, 'c', 'left'), 'c', 'right')).toEqual(BOARD);
  });

  it('are added where no other is, are renamed but not to a name that is there, and change their order', () => {
    const { board, zone } = withNewZone(BOARD);
    expect(ranges(board)[zone]).toBe('1-1 2-2');
    expect(zoneRenamed(BOARD, 'a', 'c')).toBeNull();
    expect(zoneRenamed(BOARD, 'a', '  ')).toBeNull();
    expect(zoneRenamed(BOARD, 'a', 'u'.repeat(80))).not.toBeNull();
    expect(zoneRenamed(BOARD, 'a', 'u'.repeat(81))).toBeNull();
    expect(Object.keys(ranges(zoneRenamed(BOARD, 'a', ' Upper ')!))).toEqual(['Upper', 'c']);
    expect(Object.keys(ranges(zoneReordered(BOARD, 'a', 1)))).toEqual(['c', 'a']);
    expect(zoneReordered(BOARD, 'a', -1)).toEqual(BOARD);
    const named = ['u', 'v', 'w', 'x'].map((name) => ({ ...BOARD.zones[0]!, name }));
    const four = { ...BOARD, zones: named };
    const order = (board: ZoneBoard) => board.zones.map(({ name }) => name).join('');
    expect(order(zoneReordered(four, 'u', 1))).toBe('vuwx');
    expect(order(zoneReordered(four, 'w', -1))).toBe('uwvx');
    expect(order(zoneReordered(four, 'x', 1))).toBe('uvwx');
  });

  it('are copied with their board, which gets a name and an id that no other has', () => {
    const once = withZoneBoardAdded(DEMO, { ...BOARD, name: 'Desk' });
    const twice = withZoneBoardAdded(once.profile, { ...BOARD, name: 'Desk' });
    const named = (id: string) => twice.profile.boards.find((board) => board.id === id)?.name;
    expect([once.id, twice.id].map(named)).toEqual(['Desk', 'Desk 2']);
    const { name: _none, ...nameless } = BOARD;
    const added = withZoneBoardAdded(DEMO, nameless);
    expect(added.profile.boards.at(-1)).toMatchObject({ name: 'b', zones: BOARD.zones });
    expect(added.profile.boards).toHaveLength(DEMO.boards.length + 1);
  });

  it('split at the line in their middle, or cut their only track in two; merging takes both', () => {
    const split = zoneSplit(BOARD, 'a', 'x');
    expect(ranges(split)).toEqual({ a: '1-1 1-1', 'Zone 3': '2-2 1-1', c: '3-3 1-2' });
    expect(zonesMerged(split, 'a', 'Zone 3')).toEqual(BOARD);
    for (const [one, other] of [
      ['a', 'a'],
      ['a', 'nowhere'],
      ['nowhere', 'a'],
    ] as const)
      expect(zonesMerged(BOARD, one, other)).toBe(BOARD);
    const cut = zoneSplit(BOARD, 'a', 'y');
    expect(cut.rows).toEqual([0.5, 0.5, 1]);
    expect(ranges(cut)).toEqual({ a: '1-2 1-1', 'Zone 3': '1-2 2-2', c: '3-3 1-3' });
  });
});

describe('tracks', () => {
  it('cut in two leave every zone where it was; taken out, zones shrink or go', () => {
    const area = { x: 0, y: 0, width: 2400, height: 1000 };
    const none = { x: 0, y: 0 };
    fc.assert(
      fc.property(
        anyBoard,
        fc.nat(5),
        fc.constantFrom('x' as const, 'y' as const),
        (board, n, axis) => {
          const count = axis === 'x' ? board.columns.length : board.rows.length;
          const track = (n % count) + 1;
          const more = withTrackAfter(board, axis, track);
          expect(zoneBoardSchema.parse(more)).toEqual(more);
          // A track of less than two pixels cannot be cut in two.
          const weights = axis === 'x' ? board.columns : board.rows;
          const sum = weights.reduce((all, weight) => all + weight, 0);
          if ((weights[track - 1]! / sum) * 1000 > 8)
            zoneRects(more, area, none).forEach((rect, i) => {
              const was = zoneRects(board, area, none)[i]!;
              expect(
                Math.abs(rect.x - was.x) + Math.abs(rect.width - was.width),
              ).toBeLessThanOrEqual(2);
            });
          const less = withoutTrack(board, axis, track);
          expect(zoneBoardSchema.parse(less)).toEqual(less);
          expect(withoutTrack(more, axis, track).zones).toEqual(board.zones);
        },
      ),
    );
  });

  it('a line moved changes the two beside it by just that, and the sum of weights stays', () => {
    const over = { length: 2000, gap: 10 };
    const moved = withLineMoved(BOARD, 'x', 1, 100, over);
    const sizes = zoneRects(
      { ...moved, zones: [1, 2, 3].map((n) => ({ name: `${n}`, columns: [n, n], rows: [1, 1] })) },
      { x: 0, y: 0, width: 2000, height: 100 },
      { x: 10, y: 10 },
    ).map(({ width }) => width);
    expect(sizes).toEqual([595, 890, 495]);
    expect(moved.columns.reduce((a, b) => a + b)).toBeCloseTo(4, 5);
    expect(withLineMoved(BOARD, 'x', 3, 100, over)).toBe(BOARD);
    expect(
      zoneRects(
        withLineMoved(BOARD, 'x', 1, -9999, over),
        { x: 0, y: 0, width: 2000, height: 9 },
        { x: 10, y: 0 },
      )[0]!.width,
    ).toBe(8 + 10 + 1477);
  });

  it('that get another name are called so in rules, and at the start, where no other board has the former', () => {
    const profile = profileSchema.parse({
      ...OFFICE,
      boards: [BOARD, { ...BOARD, id: 'd', zones: [{ name: 'c', columns: [1, 1], rows: [1, 1] }] }],
      rules: [
        { id: 'r', then: { zone: 'a' } },
        { id: 's', then: { zone: 'c' } },
      ],
      start: [{ app: 'shell', zone: 'a' }],
    });
    const zones = ({ boards, rules, start }: typeof profile) => [
      boards[0]!.zones.map(({ name }) => name).join(),
      ...rules.map(({ then }) => then.zone),
      start[0]!.zone,
    ];
    expect(zones(withZoneRenamed(profile, 'b', 'a', ' Upper'))).toEqual([
      'Upper,c',
      'Upper',
      'c',
      'Upper',
    ]);
    expect(zones(withZoneRenamed(profile, 'b', 'c', 'Low'))).toEqual(['a,Low', 'a', 'c', 'a']);
    expect(withZoneRenamed(profile, 'b', 'a', 'c')).toBe(profile);
  });

  it('any edit leaves a board that is right', () => {
    fc.assert(
      fc.property(anyBoard, fc.nat(7), fc.constantFrom(...DIRECTIONS), (board, n, direction) => {
        const { name } = board.zones[n % board.zones.length]!;
        const other = board.zones[(n + 1) % board.zones.length]!.name;
        for (const next of [
          zoneMoved(board, name, direction),
          zoneStretched(board, name, direction),
          zoneSplit(board, name, 'x'),
          zoneSplit(board, name, 'y'),
          zonesMerged(board, name, other),
          withNewZone(board).board,
        ]) {
          expect(zoneBoardSchema.parse(next)).toEqual(next);
        }
      }),
    );
  });
});

describe('a track that goes', () => {
  it('takes its own weight with it, and no other’s', () => {
    const board = zoneBoardSchema.parse({
      id: 'b',
      columns: [1, 2, 3, 4],
      rows: [5, 6],
      zones: [{ name: 'z', columns: [1, 4], rows: [1, 2] }],
    });
    const columns = [1, 2, 3, 4].map((track) => withoutTrack(board, 'x', track).columns);
    expect(columns).toEqual([
      [2, 3, 4],
      [1, 3, 4],
      [1, 2, 4],
      [1, 2, 3],
    ]);
    expect(withoutTrack(board, 'y', 2).rows).toEqual([5]);
  });
});

describe('a block of the lettered grid', () => {
  const grid = { columns: 8, rows: 6 };
  const block = { x: { from: 2, to: 4, of: 8 }, y: { from: 1, to: 2, of: 6 } };
  const desk = testDesk({ ...OFFICE, placing: { cornerPick: grid } }, windows('p'));

  it('as a zone covers just what the block placed', () => {
    const placed = desk.run('corner-pick', { command: 'pick', keys: 'bd12' });
    const saved = withBlockAsZone(desk.profile, grid, block);
    expect(profileSchema.parse(saved.profile)).toEqual(saved.profile);
    const board = saved.profile.boards.find(({ id }) => id === saved.board)!;
    const area = { x: 6, y: 34, width: 3428, height: 1400 };
    expect(zoneRects(board, area, { x: 10, y: 10 })).toEqual([placed.at('p').placed]);
    const other = withBlockAsZone(saved.profile, { columns: 3, rows: 2 }, block);
    expect(new Set(other.profile.boards.map(({ id }) => id)).size).toBe(
      other.profile.boards.length,
    );
    const twice = withBlockAsZone(saved.profile, grid, { x: 'full', y: block.y });
    expect(twice.board).toBe(saved.board);
    expect(twice.profile.boards.at(-1)!.zones.at(-1)).toMatchObject({
      columns: [1, 8],
      rows: [1, 2],
    });
  });

  it('on a key is placed by it, before what the starter puts there', () => {
    const { x, y } = block;
    const bound = withBinding(desk.profile, {
      keys: 'Main+Shift+KeyX',
      command: { command: 'place-at', x, y },
    });
    expect(profileSchema.parse(bound)).toEqual(bound);
    const found = keyMap(bound).find(
      ({ canonicalTrigger }) => canonicalTrigger === 'Shift+Meta+KeyX',
    );
    expect(found?.command).toEqual({ command: 'place-at', ...block });
  });
});

describe('the order of boards', () => {
  const ids = (profile: typeof DEMO) => profile.boards.map(({ id }) => id);
  const three = ['a', 'b', 'c'].reduce(
    (profile, id) => ({ ...profile, boards: [...profile.boards, { ...BOARD, id }] }),
    { ...DEMO, boards: [] as ZoneBoard[] },
  );

  it('changes by one place, and not past an end', () => {
    expect(ids(withZoneBoardMoved(three, 'a', 1))).toEqual(['b', 'a', 'c']);
    expect(ids(withZoneBoardMoved(three, 'b', -1))).toEqual(['b', 'a', 'c']);
    expect(ids(withZoneBoardMoved(three, 'b', 1))).toEqual(['a', 'c', 'b']);
    expect(withZoneBoardMoved(three, 'a', -1)).toBe(three);
    expect(withZoneBoardMoved(three, 'c', 1)).toBe(three);
    expect(withZoneBoardMoved(three, 'none', 1)).toBe(three);
  });

  it('has the one last that is sent there, by its id or its name', () => {
    expect(ids(withZoneBoardLast(three, 'a'))).toEqual(['b', 'c', 'a']);
    const named = {
      ...three,
      boards: three.boards.map((each) => ({ ...each, name: `Board ${each.id}` })),
    };
    expect(ids(withZoneBoardLast(named, 'Board b'))).toEqual(['a', 'c', 'b']);
    expect(withZoneBoardLast(named, 'b')).toBe(named);
  });
});
