import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyBoard } from '../../testing/zone-boards.ts';
import { OFFICE, testDesk, windows } from '../../testing/desk.ts';
import { DIRECTIONS } from '../../values/direction.ts';

const board = (more: object = {}) => ({
  ...OFFICE,
  tiling: { gaps: { inner: 10, outer: 6 }, layout: { kind: 'board', ...more } },
});
const zone = (which: string) => ({ command: 'place-in-zone', zone: which }) as const;
const because = (desk: ReturnType<typeof testDesk>) => desk.trace[0]?.because;
const zonesOf = (desk: ReturnType<typeof testDesk>, ...ids: string[]) =>
  Object.fromEntries(ids.map((id) => [id, desk.at(id).zones?.join('+')]));

// On wide, less gaps: 6,34 3428×1400; columns 852 1704 852, rows 927 463.
const LEFT = '6,34 852×1400';
const MIDDLE = '868,34 1704×927';
const LOW = '868,971 2566×463';

describe('a zone board', () => {
  const desk = testDesk(board(), { ...windows('a', 'b', 'c'), focus: 'a' });

  it('places nothing where no window has the focus, and says so', () => {
    const bare = testDesk(board()).run(zone('middle'));
    expect(because(bare)).toBe('no window has the focus');
  });

  it('gives windows its zones in order, which they keep when others close', () => {
    expect(desk.shapes()).toEqual({ a: LEFT, b: MIDDLE, c: LOW });
    const gone = desk.event({ type: 'window-closed', id: 'b' });
    expect(gone.shapes()).toEqual({ a: LEFT, c: LOW });
    const opened = gone.run({ command: 'open-app', app: 'shell' });
    expect(opened.at('shell-1').zones).toEqual(['middle']);
    expect(opened.trace.filter(({ minor }) => !minor).at(-1)).toMatchObject({
      decided: 'in middle',
      because: 'the next empty zone',
    });
  });

  it('that is full and floats the rest lets a window stand where it is to stay', () => {
    const open = { command: 'open-app', app: 'shell' } as const;
    let now = testDesk(board({ whenFull: 'float' }));
    const zones = 5;
    for (let count = 1; count <= zones + 2; count++) {
      now = now.run(open);
      const window = now.session.windows.at(-1)!;
      const { x, y, width, height, zones: its } = now.at(window.id);
      // Only one without a zone needs a place of its own.
      expect([count, its !== undefined]).toEqual([count, count <= zones]);
      if (count <= zones) expect(window.standing).toBeUndefined();
      else expect(window.standing).toMatchObject({ x, y, width, height });
    }
  });

  it('puts a window where its app asks, and the next ones elsewhere', () => {
    const apps = [{ id: 'pit', zone: 'right' }, { id: 'shell' }];
    const asked = testDesk({ ...board(), apps });
    const two = asked.run(
      { command: 'open-app', app: 'pit' },
      { command: 'open-app', app: 'shell' },
    );
    expect(zonesOf(two, 'pit-1', 'shell-1')).toEqual({ 'pit-1': 'right', 'shell-1': 'left' });
  });

  it('keeps a zone for a window that floats or is minimised, while others are empty', () => {
    for (const away of ['float', 'minimise'] as const) {
      const out = desk.run(away, { command: 'open-app', app: 'shell' });
      expect(out.at('shell-1').zones).toEqual(['right']);
      const back =
        away === 'float' ? out.run(zone('1')).run({ command: 'find-window', text: 'a' }) : out;
      expect(back.run(away === 'float' ? 'float' : 'restore-last').at('a').zones).toEqual(['left']);
    }
  });

  it.each([
    ['share', 2, true],
    ['stack', 1, true],
    ['float', 1, false],
  ])('when all are taken: %s', (whenFull, seen, hasZone) => {
    const full = testDesk(board({ whenFull }), {
      ...windows('a', 'b', 'c', 'd', 'e', 'f'),
      focus: 'a',
    });
    const { placements, findings } = full.placed();
    const over = placements.filter(({ zones, shown }) => shown && zones?.includes('over'));
    expect(over).toHaveLength(seen);
    expect(full.at('f').zones?.includes('over') ?? false).toBe(hasZone);
    expect(findings.map(({ kind }) => kind)).toEqual(hasZone ? [] : ['no-zone']);
    if (whenFull === 'share') {
      const [e, f] = [full.at('e'), full.at('f')];
      expect(f.x - e.x - e.width).toBe(10);
      expect([e.x, f.x + f.width]).toEqual([6, 2572]);
    }
    if (whenFull === 'float') {
      const more = full.run(
        { command: 'open-app', app: 'shell' },
        { command: 'open-app', app: 'shell' },
      );
      expect(more.at('shell-1').x).not.toBe(more.at('shell-2').x);
    }
    // One that waits takes the next zone that is empty.
    const freed = full.event({ type: 'window-closed', id: 'b' });
    expect(freed.at('f').zones).toEqual(['middle']);
  });

  it('of no shape that fits lets windows float, and says so', () => {
    const none = testDesk({ ...board(), boards: [] }, windows('a'));
    expect(none.at('a')).toMatchObject({ held: 'floating', tile: null });
    expect(none.placed().findings).toEqual([{ kind: 'no-board', workspace: 'B', monitor: 'wide' }]);
    const unknown = testDesk(board({ board: 'fvie' }), windows('a'));
    expect(unknown.placed().findings).toContainEqual({
      kind: 'unknown-name',
      path: 'tiling.layout.board',
      value: 'fvie',
      nearest: 'five',
    });
    expect(unknown.at('a').zones).toEqual(['left']);
  });

  it('is another one on a monitor of another shape', () => {
    const turned = desk.run({ command: 'put-on-workspace', which: 'S' });
    expect(turned.at('a').zones).toEqual(['upper']);
  });

  it('comes back as it was when another layout was tried, and by undo', () => {
    const moved = desk.run(zone('over'), 'next-layout', 'previous-layout');
    expect(moved.at('a').zones).toEqual(['over']);
    expect(moved.run('undo', 'undo', 'undo').shapes()).toEqual(desk.shapes());
  });
});

describe('moving over zones', () => {
  const desk = testDesk(board(), { ...windows('a', 'b', 'c'), focus: 'a' });

  it('by direction: into the next zone, exchanging with what is there', () => {
    const right = desk.run('move-right');
    expect(zonesOf(right, 'a', 'b', 'c')).toEqual({ a: 'middle', b: 'left', c: 'low' });
    expect(because(right)).toBe('exchanged with b');
    const empty = right.run('move-right');
    expect(zonesOf(empty, 'a', 'b')).toEqual({ a: 'right', b: 'left' });
    expect(because(empty)).toBe('it was empty');
    // Past the last zone as in any layout: to the monitor there.
    expect(empty.run('move-right').at('a').monitor).toBe('tall');
  });

  it('by the order of the zones', () => {
    const later = desk.run('move-later');
    expect(zonesOf(later, 'a', 'b')).toEqual({ a: 'middle', b: 'left' });
    expect(later.run('move-earlier').shapes()).toEqual(desk.shapes());
    expect(because(desk.run('move-earlier'))).toBe('it is in the first zone');
  });

  it('by number and by name; a mistyped one is told with the nearest', () => {
    expect(desk.run(zone('3')).at('a').zones).toEqual(['low']);
    expect(zonesOf(desk.run(zone('right')), 'a', 'b')).toEqual({ a: 'right', b: 'middle' });
    expect(because(desk.run(zone('rihgt')))).toBe('five has no zone rihgt; the nearest is right');
    expect(because(desk.run(zone('6')))).toBe('five has no zone 6; it has 5');
  });

  it('widens over neighbours, and put-back makes it as narrow as it was', () => {
    const wide = desk.run('widen-right', 'widen-right');
    expect(wide.shapes()['a']).toBe('6,34 3428×1400');
    expect(wide.at('a').zones).toEqual(['left', 'middle', 'right']);
    expect(wide.run('put-back').shapes()).toEqual(desk.shapes());
    expect(because(wide.run('widen-left'))).toBe('no zone lies left of it');
  });

  it('that it is in already is told, but over two it goes into the one, and from its largeness too', () => {
    expect(because(desk.run(zone('left')))).toBe('it is in left already');
    const wide = desk.run('widen-right');
    expect(wide.run(zone('left')).at('a').zones).toEqual(['left']);
    expect(wide.run(zone('middle')).at('a').zones).toEqual(['middle']);
    const full = desk.run('full-screen').run(zone('left'));
    expect(full.shapes()).toEqual(desk.shapes());
  });

  it('elsewhere places the window in a zone of the board that fits, and put-back ends it', () => {
    const lead = testDesk(OFFICE, { ...windows('a', 'b'), focus: 'b' });
    const placed = lead.run(zone('low'));
    expect(placed.shapes()).toEqual({ a: '6,34 3428×1400', b: LOW });
    expect(placed.run('widen-left').shapes()['b']).toBe('6,34 3428×1400');
    expect(placed.run('widen-up').shapes()['b']).toBe('868,34 2566×1400');
    expect(placed.run('put-back').shapes()).toEqual(lead.shapes());
  });
});

describe('the edges of zones', () => {
  it('move with all zones along the line, and even-out sets them back', () => {
    const desk = testDesk(board(), { ...windows('a', 'b', 'c'), focus: 'a' });
    const grown = desk.run('grow-right');
    expect(grown.trace[0]).toMatchObject({ pixels: 40 });
    expect(grown.shapes()).toEqual({
      a: '6,34 892×1400',
      b: '908,34 1664×927',
      c: '908,971 2526×463',
    });
    expect(grown.run('even-out').shapes()).toEqual(desk.shapes());
    expect(because(desk.run('grow-left'))).toBe('nothing lies left to share with');
  });

  it('give way to the profile where the board is edited, and zones keep their windows when renamed', () => {
    const desk = testDesk(board(), { ...windows('a', 'b'), focus: 'a' }).run(
      'move-right',
      'grow-left',
    );
    const [five, pages] = desk.profile.boards;
    const renamed = desk.edited({
      ...desk.profile,
      boards: [
        { ...five!, zones: five!.zones.map((z, i) => (i === 1 ? { ...z, name: 'centre' } : z)) },
        pages!,
      ],
    });
    expect(renamed.at('a').zones).toEqual(['centre']);
    expect(renamed.shapes()).toEqual(desk.shapes());
    const even = renamed.edited({
      ...renamed.profile,
      boards: [{ ...renamed.profile.boards[0]!, columns: [1, 1, 1] }, pages!],
    });
    expect(even.at('a').width).toBe(1136);
  });

  it('moved, and moved back by what they really moved, are as before', () => {
    const anyMinimum = fc.record({
      width: fc.integer({ min: 1, max: 900 }),
      height: fc.integer({ min: 1, max: 500 }),
    });
    fc.assert(
      fc.property(
        anyBoard,
        fc.array(anyMinimum, { minLength: 1, maxLength: 8 }),
        fc.nat(7),
        fc.constantFrom(...DIRECTIONS),
        fc.integer({ min: -600, max: 600 }).filter((by) => by !== 0),
        (drawn, minimums, at, direction, by) => {
          const desk = testDesk(
            {
              monitors: [{ id: 'm', width: 1900, height: 1200 }],
              boards: [drawn],
              tiling: { gaps: { inner: 9 }, layout: { kind: 'board' } },
            },
            {
              windows: minimums.map((min, i) => ({ id: `w${i}`, min })),
              focus: `w${at % minimums.length}`,
            },
          );
          // One that is under its minimum as the board gives it may grow to it, but not shrink again.
          fc.pre(desk.placed().findings.length === 0);
          const edge = (pixels: number) =>
            ({ command: 'move-edge', direction, by: pixels }) as const;
          const moved = desk.run(edge(by));
          const really = moved.trace[0]!.pixels ?? 0;
          const before = desk.placed().placements;
          for (const { id, tile } of moved.placed().placements) {
            const was = before.find((placement) => placement.id === id)!.tile!;
            const least = minimums[Number(id.slice(1))]!;
            expect(tile!.width).toBeGreaterThanOrEqual(Math.min(least.width, was.width));
            expect(tile!.height).toBeGreaterThanOrEqual(Math.min(least.height, was.height));
          }
          if (really === 0) return;
          expect(Math.abs(really)).toBeLessThanOrEqual(Math.abs(by));
          expect(moved.run(edge(-really)).shapes()).toEqual(desk.shapes());
        },
      ),
      { numRuns: 300 },
    );
  });
});

it('a zone that is called otherwise keeps its window, seated or placed', () => {
  const board = { kind: 'board', board: 'five' };
  const seated = testDesk(
    { ...OFFICE, tiling: { ...OFFICE.tiling, layout: board } },
    { ...windows('a', 'b'), focus: 'a' },
  );
  const placed = testDesk(OFFICE, { ...windows('a', 'b'), focus: 'a' }).run({
    command: 'place-in-zone',
    zone: 'right',
  });
  for (const before of [seated, placed]) {
    const zones = before.at('a').zones!;
    expect(zones).toHaveLength(1);
    const boards = before.profile.boards.map((each) => ({
      ...each,
      zones: each.zones.map((zone) => (zone.name === zones[0] ? { ...zone, name: 'new' } : zone)),
    }));
    const after = before.edited({ ...before.profile, boards });
    expect(after.at('a').zones).toEqual(['new']);
    expect(after.shapes()).toEqual(before.shapes());
  }
});
