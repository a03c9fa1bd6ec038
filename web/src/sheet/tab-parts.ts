import { shortened, textWidth } from './text-width.ts';

/** Of a cell with a letter alone, in screen pixels. */
export const CELL = 22;
const MARK = 15;
const GAP = 8;
/** The most of a workspace's name that stands beside its letter. */
const MOST_OF_NAME = 90;
/** The least of a monitor's name that tells it from others. */
const LEAST_OF_NAME = 34;

interface TabCell {
  id: string;
  /** What stands in it: the letter, and the name where there is room; how many more there are in the last one. */
  text: string;
  width: number;
}

/** What a monitor's tab says, and where in it, from its left end. */
export interface TabParts {
  name: string;
  layout: string;
  /** The layout stands at the other edge of the monitor. */
  isLayoutApart: boolean;
  /** Where the layout ends. */
  layoutEnd: number;
  /** The size in pixels, behind the name; empty where there is no room. */
  pixels: string;
  pixelsAt: number;
  cells: readonly TabCell[];
  cellsAt: number;
}

/**
 * Shares the length of a tab. What is more needed comes first: letters of workspaces, the layout's name, the
 * monitor's name, names of workspaces, pixels. Where the name of the monitor would be cut, the layout goes to the other
 * edge, if nothing is in its way there.
 *
 * @param width in screen pixels
 */
export function tabParts(
  width: number,
  tab: {
    name: string;
    layout: string;
    pixels: string;
    workspaces: readonly { id: string; name: string }[];
    shown: string;
    hasOtherEdge: boolean;
  },
): TabParts {
  const end = width - 2;
  const { name, layout, pixels, workspaces } = tab;
  const letters = letterCells(workspaces, tab.shown, end - MARK);
  const lettersAt = end - lengthOf(letters);
  const nameWidth = textWidth(name, 'title');
  const layoutWidth = textWidth(layout, 'label') + 2 * GAP;
  const room = lettersAt - MARK - GAP;
  const isLayoutApart = tab.hasOtherEdge && nameWidth + layoutWidth > room;
  const forName = isLayoutApart ? room : room - layoutWidth;
  // One that would be a letter or two tells nothing.
  const shownName = forName < LEAST_OF_NAME ? '' : shortened(name, 'title', forName);
  const left = forName - textWidth(shownName, 'title');
  const cells =
    shownName === name ? withNames(letters, workspaces, tab.shown, left - GAP) : letters;
  const grown = lengthOf(cells) - lengthOf(letters);
  const showsPixels = left - grown >= textWidth(pixels, 'figure') + GAP;
  return {
    name: shownName,
    layout: shortened(layout, 'label', isLayoutApart ? end : shownName === '' ? room : end),
    isLayoutApart,
    layoutEnd: isLayoutApart ? end : end - lengthOf(cells) - GAP,
    pixels: shownName === name && showsPixels ? pixels : '',
    pixelsAt: MARK + nameWidth + GAP,
    cells,
    cellsAt: end - lengthOf(cells),
  };
}

function lengthOf(cells: readonly TabCell[]): number {
  return cells.reduce((sum, { width }) => sum + width, 0);
}

/** A letter each; where they do not all fit, some around the one that is shown, and how many more there are. */
function letterCells(
  workspaces: readonly { id: string }[],
  shown: string,
  room: number,
): TabCell[] {
  const cell = (id: string): TabCell => ({
    id,
    text: shortened(id, 'figure', CELL - 4) || id.slice(0, 1),
    width: CELL,
  });
  const most = Math.max(2, Math.floor(room / CELL));
  if (workspaces.length <= most) return workspaces.map(({ id }) => cell(id));
  const at = Math.max(
    0,
    workspaces.findIndex(({ id }) => id === shown),
  );
  const count = most - 1;
  const from = Math.min(Math.max(0, at - count + 1), workspaces.length - count);
  const some = workspaces.slice(from, from + count).map(({ id }) => cell(id));
  return [...some, { id: '', text: `+${workspaces.length - count}`, width: CELL }];
}

/** The cells with names beside their letters as far as the room reaches, that of the shown one first. */
function withNames(
  cells: readonly TabCell[],
  workspaces: readonly { id: string; name: string }[],
  shown: string,
  room: number,
): TabCell[] {
  let left = room;
  const named = [...cells];
  const inTurn = cells
    .map((_, at) => at)
    .sort((a, b) => Number(cells[b]!.id === shown) - Number(cells[a]!.id === shown) || a - b);
  for (const at of inTurn) {
    const { id, text, width } = cells[at]!;
    const name = workspaces.find((each) => each.id === id)?.name ?? id;
    if (name === id) continue;
    const short = shortened(name, 'label', MOST_OF_NAME);
    const more = textWidth(short, 'label') + GAP;
    if (more > left) break;
    left -= more;
    named[at] = { id, text: `${text} ${short}`, width: width + more };
  }
  return named;
}
