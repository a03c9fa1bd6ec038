import type { Rect } from '../geometry/rect.ts';
import type { TrialResult } from './trial-result.ts';

/** A place where windows were after tries. */
export interface EndPlace {
  rect: Rect;
  /** Which windows: the app and which of its windows it is, counted from 1; the one that was there most often first. */
  windows: readonly EndWindow[];
}
interface EndWindow {
  app: string;
  nth: number;
  /** Part of the tries in which it was there, from 0 to 1. */
  part: number;
}

/** Where windows were after the tries of a trial, the rarest places first: what is drawn last lies above. */
export function endPlaces({ ended, tries }: TrialResult): EndPlace[] {
  const places = new Map<string, EndWindow[]>();
  for (const [window, rects] of Object.entries(ended)) {
    const at = window.lastIndexOf(' ');
    const [app, nth] = [window.slice(0, at), Number(window.slice(at + 1))];
    for (const [rect, count] of Object.entries(rects))
      places.set(rect, [
        ...(places.get(rect) ?? []),
        { app, nth, part: count / Math.max(1, tries) },
      ]);
  }
  return [...places]
    .map(([text, windows]): EndPlace => {
      const [x = 0, y = 0, width = 0, height = 0] = text.split(',').map(Number);
      return {
        rect: { x, y, width, height },
        windows: windows.sort((one, other) => other.part - one.part),
      };
    })
    .sort((one, other) => one.windows[0]!.part - other.windows[0]!.part);
}

/** Tries whose figure is from one number up to, and with, another. */
export interface Bin {
  from: number;
  to: number;
  tries: number;
}

/** How many tries have which figures: each figure by itself where they are few, else so many equal ranges. */
export function binsOf(counts: Readonly<Record<number, number>>, most = 12): Bin[] {
  const figures = Object.keys(counts)
    .map(Number)
    .sort((a, b) => a - b);
  const [least = 0] = figures;
  const last = figures.at(-1) ?? 0;
  if (figures.length <= most)
    return figures.map((figure) => ({ from: figure, to: figure, tries: counts[figure]! }));
  const width = Math.ceil((last - least + 1) / most);
  return Array.from({ length: Math.ceil((last - least + 1) / width) }, (_, i): Bin => {
    const from = least + i * width;
    const to = from + width - 1;
    const within = figures.filter((figure) => figure >= from && figure <= to);
    return { from, to, tries: within.reduce((sum, figure) => sum + counts[figure]!, 0) };
  });
}
