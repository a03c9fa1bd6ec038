import { interactionField, pickingOf } from '../../model/interaction.ts';
import { describe, expect, it } from 'vitest';
import { OFFICE, testDesk, windows } from '../../testing/desk.ts';
import { zoneBoardChoices } from './pick.ts';

const pick = (keys: string) => ({ command: 'pick', keys }) as const;
const desk = testDesk(OFFICE, { ...windows('a', 'b', 'c'), focus: 'a' });
type Desk = typeof desk;
const picking = ({ session }: Desk) => pickingOf(session);
const said = ({ trace }: Desk) => trace.at(-1)?.decided;

describe('an offer', () => {
  it('follows a placing: the largest empty place, and a digit for each window, the recent first', () => {
    const placed = desk.run('place-left');
    expect(said(placed)).toBe('1709 × 1400 is offered to 2 windows');
    const taken = placed.run(pick('1'));
    expect(taken.shapes()).toEqual({
      a: '6,34 1709×1400',
      b: '6,34 3428×1400',
      c: '1725,34 1709×1400',
    });
    expect(taken.session.focus).toBe('a');
    // No place is left, though b has none.
    expect(picking(taken)).toBeNull();
    expect(taken.run('undo').shapes()).toEqual(placed.shapes());
  });

  it('goes on with the next place until all are filled', () => {
    const quarter = desk.run('place-left', 'place-up');
    // The right half is the largest, then what is left under the quarter.
    const first = quarter.run(pick('2'));
    expect(first.shapes()['b']).toBe('1725,34 1709×1400');
    // Only to the one that was not placed just now.
    expect(said(first)).toBe('1709 × 695 is offered to one window');
    const second = first.run(pick('1'));
    expect(second.shapes()['c']).toBe('6,739 1709×695');
    expect(picking(second)).toBeNull();
  });

  it('may leave a place as it is, end by Escape, and ends with any other command', () => {
    const quarter = desk.run('place-left', 'place-up');
    const next = quarter.run('pick-next', pick('1'));
    expect(next.shapes()['c']).toBe('6,739 1709×695');
    expect(picking(quarter.run('pick-drop'))).toBeNull();
    expect(picking(quarter.run('focus-next'))).toBeNull();
    expect(quarter.run(pick('7')).trace[0]?.because).toBe('type a number from 1 to 2');
  });

  it('is not made where that is set, nor to windows that cannot take a place', () => {
    const off = testDesk({ ...OFFICE, placing: { offers: false } }, windows('a', 'b'));
    expect(picking(off.run('place-left'))).toBeNull();
    expect(picking(off.run('place-left', 'offer-places'))).toMatchObject({ kind: 'offer' });
    const fixed = testDesk(OFFICE, {
      windows: [{ id: 'a' }, { id: 'f', resizable: false }, { id: 'l', held: 'left-alone' }],
      focus: 'a',
    });
    expect(picking(fixed.run('place-left'))).toBeNull();
  });

  it('follows on a board, too, where a window there has no place', () => {
    const floating = testDesk(
      { ...OFFICE, tiling: { layout: { kind: 'board' } } },
      { windows: [{ id: 'a' }, { id: 'f', held: 'floating' }], focus: 'a' },
    );
    const moved = floating.run({ command: 'place-in-zone', zone: 'low' });
    expect(said(moved)).toBe('left is offered to one window');
    expect(moved.run(pick('1')).at('f')).toMatchObject({ zones: ['left'], held: 'floating' });
    const lead = testDesk(OFFICE, {
      windows: [{ id: 'a' }, { id: 'f', held: 'floating' }],
      focus: 'a',
    });
    expect(said(lead.run('pick-board', 'pick-take'))).toBe('middle is offered to 2 windows');
  });

  it('that was kept by a former program is read: it named one window alone', () => {
    expect(interactionField.parse({ kind: 'offer', besides: 'a' })).toMatchObject({
      besides: ['a'],
    });
    expect(interactionField.safeParse({ kind: 'offer', besides: 7 }).success).toBe(false);
  });

  it('has the empty zones of a board, in order', () => {
    const board = testDesk(
      { ...OFFICE, tiling: { layout: { kind: 'board' } } },
      { ...windows('a', 'b'), focus: 'a' },
    );
    const asked = board.run('offer-places');
    expect(said(asked)).toBe('low is offered to 2 windows');
    const taken = asked.run(pick('1'));
    expect(taken.at('a').zones).toEqual(['low']);
    expect(said(taken)).toBe('left is offered to one window');
  });
});

describe('pick-board', () => {
  const two = testDesk(
    {
      ...OFFICE,
      boards: [...OFFICE.boards, { ...OFFICE.boards[0]!, id: 'again', columns: [1, 1, 1] }],
    },
    { ...windows('a', 'b', 'c'), focus: 'a' },
  );

  it('shows the boards that fit, by letter, each with its zones by number', () => {
    const marked = (now: Desk) =>
      zoneBoardChoices(now).map(
        ({ board, letter, isMarked }) => `${letter} ${board.id} ${isMarked}`,
      );
    expect(marked(two.run('pick-board'))).toEqual(['a five true', 'b again false']);
    expect(marked(two.run('pick-board', pick('b')))).toEqual(['a five false', 'b again true']);
    expect(zoneBoardChoices(desk)[0]!.numbers).toEqual(['1', '2', '3', '4', '5']);
    const placed = two.run('pick-board', pick('b1'));
    expect(placed.at('a')).toMatchObject({ zones: ['left'], width: 1136 });
    expect(two.run('pick-board', pick('9')).trace[0]?.because).toBe(
      'type a number from 1 to 5, or a letter from a to b',
    );
  });

  it('puts the window into a zone by its number, and offers the other zones', () => {
    const placed = desk.run('pick-board', pick('1'));
    expect(placed.shapes()['a']).toBe('6,34 852×1400');
    expect(said(placed)).toBe('middle is offered to 2 windows');
    const both = placed.run(pick('1'), pick('1'));
    expect([both.at('c').zones, both.at('b').zones]).toEqual([['middle'], ['low']]);
  });

  it('takes the marked board for the workspace', () => {
    const taken = desk.run('pick-board', 'pick-take');
    expect(taken.at('b')).toMatchObject({ zones: ['middle'], held: 'tiled' });
    expect(picking(taken)).toBeNull();
    expect(taken.run('undo').shapes()).toEqual(desk.shapes());
  });

  it('goes through the boards one by one, and round', () => {
    const two = testDesk(
      { ...OFFICE, boards: [...OFFICE.boards, { ...OFFICE.boards[0], id: 'other' }] },
      { ...windows('a', 'b', 'c'), focus: 'a' },
    );
    const marked = (at: typeof two) =>
      zoneBoardChoices(at).flatMap(({ board, isMarked }) => (isMarked ? [board.id] : []));
    const open = two.run('pick-board');
    expect(marked(open)).toEqual(['five']);
    expect(marked(open.run('pick-next'))).toEqual(['other']);
    expect(marked(open.run('pick-next', 'pick-next'))).toEqual(['five']);
    expect(marked(open.run('pick-previous'))).toEqual(['other']);
    // What was typed of a number is over, and a number is a zone of the board that is marked now.
    const first = desk.run('pick-board', 'pick-next');
    expect(first.trace[0]?.because).toBe('no other zone board fits this monitor');
    expect(open.run('pick-next', pick('1')).at('a')).toMatchObject({ zones: ['left'] });
  });

  it('ends when pressed again, and says where no board fits', () => {
    expect(picking(desk.run('pick-board', 'pick-board'))).toBeNull();
    const none = testDesk({ ...OFFICE, boards: [] }, windows('a')).run('pick-board');
    expect(none.trace[0]?.because).toBe('no zone board fits this monitor');
  });
});

describe('corner-pick', () => {
  const desk = testDesk(
    { ...OFFICE, placing: { cornerPick: { columns: 8, rows: 6 } } },
    { ...windows('a', 'b', 'c'), focus: 'a' },
  );
  // Eight columns and six rows of 3428 × 1400: cells of 421 or 420 by 225, with gaps of 10.
  it('two letters and two digits make a block', () => {
    const block = desk.run('corner-pick', pick('bd12'));
    expect(block.shapes()['a']).toBe('436,34 1279×460');
    expect(picking(block)?.kind).toBe('offer');
  });

  it('two letters are the full height; Enter takes what is typed, Backspace takes it back', () => {
    const typed = desk.run('corner-pick', pick('bx'), 'pick-back', pick('ad'));
    expect(picking(typed)).toMatchObject({ kind: 'corner-pick', typed: 'ad' });
    expect(typed.run('pick-take').shapes()['a']).toBe('6,34 1709×1400');
    expect(desk.run('corner-pick', pick('3'), 'pick-take').shapes()['a']).toBe('6,504 3428×225');
    expect(desk.run('corner-pick', pick('z')).trace[0]?.because).toMatch(
      /letters a to h, digits 1 to 6/,
    );
  });

  it('goes on with the next window where it is set so, until it is ended by key', () => {
    const goesOn = desk.run(
      'corner-pick',
      'corner-go-on',
      pick('ad16'),
      'focus-right',
      pick('eh16'),
    );
    expect(picking(goesOn)).toEqual({ kind: 'corner-pick', typed: '', goOn: true });
    const moved = goesOn.session.windows.filter(({ placing }) => placing).length;
    expect(moved).toBe(2);
    expect(picking(goesOn.run('pick-drop'))).toBeNull();
  });

  it('that goes on is there again, with what was typed, after another key was down or a window was shaped', () => {
    const typing = desk.run('corner-pick', 'corner-go-on', pick('ad'));
    const open = { kind: 'corner-pick', typed: 'ad', goOn: true };
    const switching = typing.event({ type: 'key-pressed', command: { command: 'switch-window' } });
    expect(switching.session.interaction).toMatchObject({ kind: 'switching', resumes: open });
    expect(picking(switching)).toEqual(open);
    const released = switching.event({ type: 'key-released', taken: true });
    expect(released.session.interaction).toEqual(open);
    const shaped = typing.run(
      'shape',
      { command: 'shape-step', direction: 'right' },
      { command: 'shape-as', by: 'move' },
    );
    expect(picking(shaped)).toEqual(open);
    expect(shaped.run('shape').session.interaction).toEqual(open);
    expect(shaped.run('shape-drop').session.interaction).toEqual(open);
    const ends = desk.run('corner-pick', pick('ad'), 'shape');
    expect(picking(ends)).toBeNull();
    expect(ends.run('shape').session.interaction).toBeUndefined();
  });
});
