/** Sheets of paper, in millimetres, upright. ISO 216; ANSI/ASME Y14.1. */
const PAPERS = {
  A4: { width: 210, height: 297 },
  Letter: { width: 215.9, height: 279.4 },
} as const;
type PaperName = keyof typeof PAPERS;
export const PAPER_NAMES = Object.keys(PAPERS) as readonly PaperName[];

/** A sheet to print on. */
export interface ChartPaper {
  paper: PaperName;
  isLandscape: boolean;
}

/** The margin all around, in millimetres: what common printers leave white is less. */
export const PAPER_MARGIN = 8;
const POINTS_PER_MM = 72 / 25.4;

/** The room within the margins of a sheet, in points. */
export function roomOf({ paper, isLandscape }: ChartPaper): { width: number; height: number } {
  const { width, height } = PAPERS[paper];
  const [w, h] = isLandscape ? [height, width] : [width, height];
  return {
    width: (w - 2 * PAPER_MARGIN) * POINTS_PER_MM,
    height: (h - 2 * PAPER_MARGIN) * POINTS_PER_MM,
  };
}

/** What is written in columns, in widths of the letter size. */
export interface ColumnLine {
  isTitle: boolean;
  /** Of the keys, and of what they do, which may take several lines beside them. */
  keys: number;
  words: number;
}

/** The letter size in points, and the number of columns. */
export interface ColumnFit {
  size: number;
  columns: number;
}

const LARGEST = 10;
const SMALLEST = 3;
const STEP = 0.25;
const MOST_COLUMNS = 8;
/** Between columns, in points, and between the keys and what they do, in letter sizes. */
export const COLUMN_GAP = 12;
export const WORDS_GAP = 0.6;
/** The least width of the keys, in letter sizes: what they do stands in a column of its own. */
export const KEYS_WIDTH = 6;
/** The least width of what keys do, in letter sizes: in less, long words would be broken. */
const LEAST_WORDS = 5.6;
/** Heights in letter sizes: of a line, of what stands above and below a binding, and of a title in all. */
export const LINE = 1.25;
export const BINDING_SPACE = 0.3;
export const TITLE_HEIGHT = 2.4;
/** Widths are estimates, and a column ends where the next line has no room: so much of the height is not counted on. */
const SPARE = 0.03;

/**
 * The largest letters, and the columns for them, at which some lines have room.
 *
 * @param room in points
 */
export function columnFit(
  lines: readonly ColumnLine[],
  room: { width: number; height: number },
): ColumnFit {
  for (let size = LARGEST; size > SMALLEST; size -= STEP) {
    for (let columns = 1; columns <= MOST_COLUMNS; columns++) {
      const width = (room.width - (columns - 1) * COLUMN_GAP) / columns / size;
      if (heightOf(lines, width) * size <= columns * (room.height * (1 - SPARE) - 2 * size))
        return { size, columns };
    }
  }
  return { size: SMALLEST, columns: MOST_COLUMNS };
}

/** The height of lines one below the other in a column, in letter sizes. */
function heightOf(lines: readonly ColumnLine[], width: number): number {
  return lines.reduce((height, { isTitle, keys, words }) => {
    if (isTitle) return height + TITLE_HEIGHT;
    const beside = width - Math.max(KEYS_WIDTH, keys) - WORDS_GAP;
    const count = beside < LEAST_WORDS ? Infinity : Math.max(1, Math.ceil(words / beside));
    return height + count * LINE + BINDING_SPACE;
  }, 0);
}
