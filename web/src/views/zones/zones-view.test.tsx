// @vitest-environment jsdom
import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { drawView } from '../../testing/view.tsx';
import { ZonesView } from './ZonesView.tsx';

/** Three columns by two rows, two zones of one cell each. */
const BOARD = {
  id: 'work',
  name: 'Work',
  columns: [1, 1, 2],
  rows: [1, 1],
  zones: [
    { name: 'Left', columns: [1, 1], rows: [1, 2] },
    { name: 'Top', columns: [2, 2], rows: [1, 1] },
  ],
  for: {},
};

function drawZones(boards: unknown[] = [BOARD]) {
  const view = drawView(<ZonesView />, {
    profile: {
      name: 'Desk',
      monitors: [
        { id: 'main', width: 1920, height: 1080 },
        { id: 'side', x: 1920, width: 1280, height: 1024 },
      ],
      boards,
    },
    session: { windows: [{ id: 'a' }] },
  });
  const board = (at = 0) => view.profile().boards[at]!;
  /** Zones as name, columns, rows. */
  const zones = (at = 0) =>
    board(at).zones.map(
      ({ name, columns, rows }) => `${name} ${columns.join('-')} ${rows.join('-')}`,
    );
  return { ...view, board, zones, keys: (text: string) => view.user.keyboard(text) };
}

describe('zones by keys', () => {
  it('move and stretch the selected one, and go no further than the board', async () => {
    const { keys, zones } = drawZones();
    await keys('k{ArrowRight}{ArrowRight}{ArrowDown}{ArrowDown}');
    expect(zones()).toEqual(['Left 1-1 1-2', 'Top 3-3 2-2']);
    await keys('j{Shift>}{ArrowRight}{/Shift}');
    expect(zones()[0]).toBe('Left 1-2 1-2');
  });

  it('add one, name it, and refuse a name that another has', async () => {
    const { keys, zones } = drawZones();
    await keys('n');
    expect(zones().length).toBe(3);
    await keys('{Enter}Top{Enter}');
    expect(screen.getByRole('alert').textContent).toContain('another zone here is called Top');
    await keys('er{Enter}');
    expect(zones().map((zone) => zone.split(' ')[0])).toEqual(['Left', 'Top', 'Toper']);
  });

  it('split one, and merge it with the next again', async () => {
    const { keys, zones } = drawZones();
    await keys('d');
    expect(zones().length).toBe(3);
    expect(zones()[0]).toBe('Left 1-1 1-1');
    await keys('m');
    // The next one is to the right first.
    expect(zones()[0]).toBe('Left 1-2 1-1');
    expect(zones().length).toBe(2);
  });

  it('put one later in the order, and delete it', async () => {
    const { keys, zones } = drawZones();
    await keys('o');
    expect(zones().map((zone) => zone.split(' ')[0])).toEqual(['Top', 'Left']);
    await keys('{Delete}');
    expect(zones()).toEqual(['Top 2-2 1-1']);
    // The next one is selected now.
    await keys('{Delete}{Delete}');
    expect(zones()).toEqual([]);
  });
});

describe('tracks by keys', () => {
  it('are cut and taken out at the end of the selected zone, with what lies on them', async () => {
    const { keys, board, zones } = drawZones();
    await keys('c');
    expect(board().columns).toEqual([0.5, 0.5, 1, 2]);
    expect(zones()).toEqual(['Left 1-2 1-2', 'Top 3-3 1-1']);
    await keys('{Shift>}c{/Shift}{Shift>}r{/Shift}');
    expect([board().columns, board().rows]).toEqual([[0.5, 1, 2], [1]]);
    expect(zones()).toEqual(['Left 1-1 1-1', 'Top 2-2 1-1']);
  });

  it('give way to the line beside the selected zone, pixel by pixel', async () => {
    const { keys, board } = drawZones();
    await keys('{Control>}{ArrowRight}{/Control}');
    const [left, next, last] = board().columns as [number, number, number];
    const sum = left + next + last;
    // A quarter and 20 px of 1920; the line between the others stands.
    expect((left / sum) * 1920).toBeCloseTo(500, 0);
    expect((last / sum) * 1920).toBeCloseTo(960, 0);
  });
});

describe('boards by keys', () => {
  const OTHER = { ...BOARD, id: 'other', name: 'Other' };

  it('are gone round, ordered and deleted', async () => {
    const { keys, profile } = drawZones([BOARD, OTHER]);
    const names = () => profile().boards.map(({ name }) => name);
    await keys('{Shift>}g{/Shift}');
    expect(names()).toEqual(['Other', 'Work']);
    await keys(']{Shift>}{Delete}{/Shift}');
    expect(names()).toEqual(['Work']);
  });

  it('are used on this monitor, and by the same key it is arranged as before', async () => {
    const { keys, profile } = drawZones([BOARD, OTHER]);
    await keys(']p');
    const { places } = profile().tiling;
    expect(places.map(({ monitor, layout }) => [monitor, layout])).toEqual([
      ['main', { kind: 'board', board: 'other' }],
    ]);
    await keys('p');
    expect(profile().tiling.places.flatMap(({ layout }) => layout ?? [])).toEqual([]);
  });

  it('begin with one of one zone where there is none', async () => {
    const { keys, board, zones } = drawZones([]);
    await keys('n');
    expect([board().name, zones()]).toEqual(['Board', ['Zone 1 1-1 1-1']]);
  });

  it('are the next monitor’s after its key', async () => {
    const { keys, profile } = drawZones();
    await keys('vp');
    expect(profile().tiling.places.map(({ monitor }) => monitor)).toEqual(['side']);
  });
});
