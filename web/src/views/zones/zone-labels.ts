import { meet, type Rect } from '@sorn/core/geometry';
import { shortened, textWidth } from '../../sheet/text-width.ts';

/** What is written into a zone, and where its baseline begins, in pixels on screen. */
export interface ZoneLabel {
  /** The box around its number, and its name beside it; null where there is no room. */
  name: { box: Rect; text: string } | null;
  /** Its size; null where there is no room. */
  size: { x: number; y: number } | null;
}

const NUMBER_HEIGHT = 20;
const SIZE_HEIGHT = 16;
/** Figures are drawn at 88 % of the width that is measured. */
const NARROWER = 0.88;

/**
 * Places the number, the name and the size of every zone so that none lies over another: zones may overlap, and some
 * begin or end in the same corner. Names go down from the upper left corner until they are free, sizes up from the
 * lower left one; a text that finds no room in its zone is left out.
 *
 * @param zones in their order, with their frames in pixels on screen
 */
export function zoneLabels(
  zones: readonly { frame: Rect; name: string; size: string }[],
): ZoneLabel[] {
  const taken: Rect[] = [];
  const names = zones.map(({ frame, name }, i) => {
    const width = Math.max(22, 8 * String(i + 1).length + 6);
    if (frame.width < width + 8) return null;
    const text = shortened(name, 'title', frame.width - width - 22);
    const whole = width + (text === '' ? 0 : 7 + textWidth(text, 'title'));
    const top = frame.y + Math.min(24, frame.height / 2 + 5) - 15;
    const at = free(taken, { x: frame.x + 8, y: top, width: whole, height: NUMBER_HEIGHT }, 22);
    if (at === null || at.y + 19 > frame.y + frame.height) return null;
    taken.push(at);
    return { box: { ...at, width }, text };
  });
  const sizes = zones.map(({ frame, size }) => {
    const width = textWidth(size, 'figure') * NARROWER;
    if (frame.height <= 70 || frame.width <= 96) return null;
    const bottom = frame.y + frame.height - 6;
    const box = { x: frame.x + 8, y: bottom - SIZE_HEIGHT, width, height: SIZE_HEIGHT };
    const at = free(taken, box, -18);
    if (at === null || at.y < frame.y) return null;
    taken.push(at);
    return { x: at.x, y: at.y + SIZE_HEIGHT - 4 };
  });
  return names.map((name, i) => ({ name, size: sizes[i]! }));
}

/** A box moved by steps until it meets none of those taken; null where it would go too far. */
function free(taken: readonly Rect[], box: Rect, step: number): Rect | null {
  for (let n = 0; n < 40; n++) {
    const moved = { ...box, y: box.y + n * step };
    if (!taken.some((other) => meet(other, moved))) return moved;
  }
  return null;
}
