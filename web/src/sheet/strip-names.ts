import type { Rect } from '@sorn/core/geometry';
import { shortened, textWidth } from './text-width.ts';

/** Height of a cell with a name in it, in screen pixels: what is lower cannot be read. */
export const READABLE = 18;
const PAD = 8;
const LEAST = 52;
const MOST = 170;
/** What a window says of itself takes this much at its top and at its foot. */
const HEAD = 60;
const FOOT = 46;

export interface StripName extends Rect {
  text: string;
  isChosen: boolean;
}

/**
 * Names of the windows of a strip that is drawn too low to be read, laid over the shown window between its title and
 * its figures: in a row as tabs are, or one under the other. Where they do not all fit, some around the shown one,
 * and how many more there are. None where there is no room for two.
 *
 * @param tile in screen pixels
 */
export function stripNames(
  kind: 'tabs' | 'list',
  tile: Rect,
  names: readonly string[],
  chosen: number,
): StripName[] {
  const room = tile.width - 2 * PAD;
  const height = tile.height - HEAD - FOOT;
  const widths = names.map((name) => Math.ceil(textWidth(name, 'label')) + 2 * PAD);
  const widest = Math.min(MOST, room, Math.max(LEAST, ...widths));
  const most =
    height < READABLE
      ? 0
      : kind === 'list'
        ? room < LEAST
          ? 0
          : Math.floor(height / READABLE)
        : Math.floor(room / Math.min(widest, LEAST));
  if (most < 2) return [];
  const cells = around(names, chosen, most);
  const foot = tile.y + tile.height - FOOT;
  const width = kind === 'list' ? widest : Math.min(widest, Math.floor(room / cells.length));
  const length = kind === 'list' ? widest : width * cells.length;
  const left = tile.x + tile.width - PAD - length;
  return cells.map(({ text, at }, i) => ({
    x: left + (kind === 'list' ? 0 : i * width),
    y: foot - READABLE * (kind === 'list' ? cells.length - i : 1),
    width,
    height: READABLE,
    text: shortened(text, 'label', width - PAD),
    isChosen: at === chosen,
  }));
}

/** All names, or as many as there is room for, the chosen one among them, and how many more there are. */
function around(
  names: readonly string[],
  chosen: number,
  most: number,
): { text: string; at: number }[] {
  const all = names.map((text, at) => ({ text, at }));
  if (all.length <= most) return all;
  const count = most - 1;
  const from = Math.min(Math.max(0, chosen - Math.floor(count / 2)), all.length - count);
  return [...all.slice(from, from + count), { text: `+${all.length - count}`, at: -1 }];
}
