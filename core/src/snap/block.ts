import { round } from '../geometry/round.ts';
import { MOST_DIGITS, MOST_LETTERS, type Along, type CornerGrid } from '../values/snap.ts';
import { letterOf } from './labels.ts';

/** How many cells a grid has about where nothing else is set. */
const CELLS = 50;

/**
 * The grid over a work area: the columns and rows that are set, else those that give about fifty cells, as
 * near to square as whole numbers let them be, and no more rows than there are digits.
 *
 * @param width of the work area, in physical pixels; so is `height`
 */
export function cornerGrid(
  set: Partial<CornerGrid>,
  { width, height }: { width: number; height: number },
): CornerGrid {
  const square = round(Math.sqrt((CELLS * width) / height));
  const columns = set.columns ?? Math.min(MOST_LETTERS, Math.max(1, square));
  const rows = set.rows ?? Math.min(MOST_DIGITS, Math.max(1, round(CELLS / columns)));
  return { columns, rows };
}

/** A block of it, by what was typed: two letters for columns, two digits for rows, in any order. */
export interface Block {
  x: Along;
  y: Along;
  /** Both corners are said: nothing is left to type. */
  isWhole: boolean;
}

/** What was typed, less what is no letter or digit of the grid, or more than two of them. */
export function typedOn(grid: CornerGrid, typed: string, key: string): string | null {
  const isLetter = /^[a-z]$/.test(key);
  const isDigit = /^[1-9]$/.test(key);
  if (!isLetter && !isDigit) return null;
  const at = isLetter ? key.charCodeAt(0) - 'a'.charCodeAt(0) + 1 : Number(key);
  if (at > (isLetter ? grid.columns : grid.rows)) return null;
  const alike = [...typed].filter((other) => /[a-z]/.test(other) === isLetter);
  return alike.length >= 2 ? null : typed + key;
}

/** The block typed so far; null before anything is. */
export function blockOf(grid: CornerGrid, typed: string): Block | null {
  if (typed === '') return null;
  const letters = [...typed]
    .filter((key) => /[a-z]/.test(key))
    .map((key) => key.charCodeAt(0) - 'a'.charCodeAt(0) + 1);
  const digits = [...typed].filter((key) => /[1-9]/.test(key)).map(Number);
  const along = (ends: readonly number[], of: number): Along =>
    ends.length === 0 ? 'full' : { from: Math.min(...ends), to: Math.max(...ends), of };
  return {
    x: along(letters, grid.columns),
    y: along(digits, grid.rows),
    isWhole: letters.length === 2 && digits.length === 2,
  };
}

/** What can be typed on a grid, for a person: "a to h, 1 to 6". */
export function gridText({ columns, rows }: CornerGrid): string {
  return `letters a to ${letterOf(columns - 1)}, digits 1 to ${rows}`;
}
