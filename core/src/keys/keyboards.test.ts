import { describe, expect, it } from 'vitest';
import { KEYBOARD_FORMS } from '../model/keys.ts';
import { CODES } from '../values/codes.ts';
import { KEYBOARDS, middleOf } from './keyboards.ts';
import { fingerOf } from './reach.ts';

const COUNTS = {
  'ansi-60': 61,
  'ansi-80': 87,
  'ansi-100': 104,
  'iso-80': 88,
  'jis-80': 91,
  'split-42': 42,
};
/** Keys that touch have nothing in common; figures are sums of quarters and hundredths. */
const NOTHING = 1e-9;

describe.each(KEYBOARD_FORMS)('the board %s', (form) => {
  const board = KEYBOARDS[form];

  it('has its keys, each once, by codes that exist', () => {
    expect(board.keys).toHaveLength(COUNTS[form]);
    const codes = board.keys.map(({ code }) => code);
    expect(new Set(codes).size).toBe(codes.length);
    for (const code of codes) expect(CODES).toContain(code);
  });

  it('has no two keys over each other, and none beyond its edges', () => {
    const { keys, width, height } = board;
    keys.forEach((a, i) => {
      expect(a.x).toBeGreaterThanOrEqual(0);
      expect(a.y).toBeGreaterThanOrEqual(0);
      expect(a.x + a.width).toBeLessThanOrEqual(width + NOTHING);
      expect(a.y + a.height).toBeLessThanOrEqual(height + NOTHING);
      for (const b of keys.slice(i + 1)) {
        const x = Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x);
        const y = Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y);
        // The corner of a key of two rows that is less wide below is drawn under its neighbour.
        const isCorner = [a.code, b.code].includes('Enter') && a.y !== b.y;
        expect(x > NOTHING && y > NOTHING && !isCorner, `${a.code} over ${b.code}`).toBe(false);
      }
    });
  });

  it('has letters in the order they are typed in, and keys of a hand by fingers of it', () => {
    const row = ['KeyQ', 'KeyW', 'KeyE', 'KeyR', 'KeyT', 'KeyY', 'KeyU', 'KeyI', 'KeyO', 'KeyP'];
    const at = row.map((code) => middleOf(board, code)!.x);
    expect([...at].sort((a, b) => a - b)).toEqual(at);
    expect(row.map(fingerOf)).toEqual([
      ...['little', 'ring', 'middle', 'index', 'index'],
      ...['index', 'index', 'middle', 'ring', 'little'],
    ]);
    expect(middleOf(board, 'KeyA')!.y).toBeGreaterThan(middleOf(board, 'KeyQ')!.y);
    expect(middleOf(board, 'F24')).toBeNull();
  });
});
