import { describe, expect, it } from 'vitest';
import type { CommandId } from '../../commands/registry.ts';
import { testDesk, windows } from '../../testing/desk.ts';
import { LAYOUTS, type Abilities } from '../../tiling/layouts.ts';
import { LAYOUT_KINDS, parametersOf, type LayoutKind } from '../../values/layout.ts';

const boards = [
  {
    id: 'halves',
    columns: [1, 1],
    rows: [1],
    zones: [
      { name: 'a', columns: [1, 1], rows: [1, 1] },
      { name: 'b', columns: [2, 2], rows: [1, 1] },
    ],
  },
];

/** A desk of four windows, the second of them in the focus, under a layout. */
function deskOf(kind: LayoutKind) {
  const layout = kind === 'single' ? { kind, strip: 'tabs' } : { kind };
  const profile = {
    monitors: [{ id: 'm', width: 2000, height: 1000 }],
    boards,
    tiling: { layout },
  };
  return testDesk(profile, { ...windows('a', 'b', 'c', 'd'), focus: 'b' });
}

/** Commands, one of which does something wherever the layout has the ability. */
const TRIED: readonly (readonly [keyof Abilities, readonly CommandId[]])[] = [
  ['turn', ['turn-layout']],
  ['leadCount', ['lead-count-more', 'lead-count-less']],
  ['leadShare', ['lead-share-more', 'lead-share-less']],
  ['lead', ['swap-with-lead', 'promote']],
];

describe.each(LAYOUT_KINDS)('%s', (kind) => {
  const { can, leadAxis } = LAYOUTS[kind];

  it('can do by key just what it says', () => {
    const desk = deskOf(kind);
    for (const [ability, commands] of TRIED) {
      const works = commands.some((id) => desk.run(id).session !== desk.session);
      expect({ ability, works }).toEqual({ ability, works: can[ability] });
    }
    if (can.order) expect(desk.run('move-later').session).not.toBe(desk.session);
    const grown = (['left', 'right', 'up', 'down'] as const).some((direction) => {
      const next = desk.run(`grow-${direction}`);
      return next.session !== desk.session && kind !== 'free';
    });
    expect(grown).toBe(can.grow);
  });

  it('says along which axis its leads stand, where it has a number of them', () => {
    expect(leadAxis !== undefined).toBe('leadCount' in parametersOf(kind));
  });
});
