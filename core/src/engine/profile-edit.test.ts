import { describe, expect, it } from 'vitest';
import { profileSchema, type Profile } from '../model/profile.ts';
import { OFFICE, testDesk, windows, type TestDesk } from '../testing/desk.ts';

const arrangementOf = ({ session }: TestDesk) => session.arrangements['B/wide']!;
const withLayout = (layout: unknown): Profile =>
  profileSchema.parse({ ...OFFICE, tiling: { ...OFFICE.tiling, layout } });

describe('when the layout of the profile is edited', () => {
  it('one chosen by key gives way to another kind, and stays with another share of the same', () => {
    const chosen = testDesk(OFFICE, windows('a', 'b')).run({
      command: 'use-layout',
      layout: { kind: 'columns' },
    });
    expect(arrangementOf(chosen).layout?.kind).toBe('columns');
    const sameKind = chosen.edited(withLayout({ kind: 'lead', leadShare: 0.7 }));
    expect(arrangementOf(sameKind).layout?.kind).toBe('columns');
    const otherKind = chosen.edited(withLayout({ kind: 'halving' }));
    expect(arrangementOf(otherKind).layout).toBeUndefined();
  });

  it('what was moved by key stays, but for the field that is edited', () => {
    const moved = testDesk(OFFICE, windows('a', 'b', 'c')).run(
      'lead-share-more',
      'lead-count-more',
    );
    const { lead } = arrangementOf(moved).adjusted!;
    expect(lead).toMatchObject({ leadCount: 2 });
    expect(lead!.leadShare).toBeGreaterThan(0.58);
    const edited = moved.edited(withLayout({ kind: 'lead', leadShare: 0.5 }));
    expect(arrangementOf(edited).adjusted?.lead).toEqual({ leadCount: 2 });
  });
});

describe('when a board is edited', () => {
  const BOARD = {
    ...OFFICE,
    tiling: { ...OFFICE.tiling, layout: { kind: 'board', board: 'five' } },
  };
  const withBoard = (change: (board: (typeof OFFICE.boards)[number]) => object) =>
    profileSchema.parse({
      ...BOARD,
      boards: OFFICE.boards.map((board) => (board.id === 'five' ? change(board) : board)),
    });
  const grown = () =>
    testDesk(BOARD, windows('a', 'b', 'c', 'd')).run('focus-left', 'focus-left', 'grow-right');

  it('sizes moved by key along the edited tracks go, and those along the others stay', () => {
    const { adjusted } = arrangementOf(grown());
    const names = Object.keys(adjusted!.board!.moved!);
    expect(names).toHaveLength(1);
    const columns = grown().edited(withBoard((board) => ({ ...board, columns: [2, 2, 1] })));
    expect(arrangementOf(columns).adjusted?.board?.moved).toBeUndefined();
    const rows = grown().edited(withBoard((board) => ({ ...board, rows: [1, 1] })));
    expect(Object.keys(arrangementOf(rows).adjusted!.board!.moved!)).toEqual(names);
    const both = grown().run('focus-right', 'grow-down');
    const twice = Object.keys(arrangementOf(both).adjusted!.board!.moved!);
    expect(twice).toHaveLength(2);
    const one = both.edited(withBoard((board) => ({ ...board, columns: [2, 2, 1] })));
    expect(Object.keys(arrangementOf(one).adjusted!.board!.moved!)).toEqual(
      twice.filter((name) => !names.includes(name)),
    );
  });
});
