import { expect, it } from 'vitest';
import { profileWith } from '../../testing/keys.ts';
import { neighbourRows } from './shapes.ts';

it('neighbours are keys that touch on the board, and buttons that follow each other', () => {
  const profile = profileWith([], { layers: [], devices: [{ id: 'board', board: 'ansi-60' }] });
  const board = neighbourRows(profile, ['KeyA', 'Space']);
  expect(board.map((row) => row[1])).toEqual([
    ...['Digit1', 'KeyQ', 'KeyA', 'KeyZ', expect.stringMatching(/Left$/)],
  ]);
  // All keys of the board are in one row each.
  expect(new Set(board.flat()).size).toBe(board.flat().length);
  const codes = ['Button9', 'KeyA', 'Button10', 'Button4', 'Button6', 'Button5', 'Button4'];
  expect(neighbourRows(profile, codes)).toEqual([
    ...board,
    ['Button4', 'Button5', 'Button6'],
    ['Button9', 'Button10'],
  ]);
});
