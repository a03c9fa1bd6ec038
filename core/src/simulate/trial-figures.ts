import type { Rect } from '../geometry/rect.ts';
import type { TrialResult } from './trial-result.ts';

/** A place where a window was after tries. */
export interface EndPlace {
  /** The app, and which of its windows it is, counted from 1. */
  app: string;
  nth: number;
  rect: Rect;
  /** Part of the tries in which it was there, from 0 to 1. */
  part: number;
}

/** Where windows were after the tries of a trial, the rarest first: what is drawn last lies above. */
export function endPlaces({ ended, tries }: TrialResult): EndPlace[] {
  return Object.entries(ended)
    .flatMap(([window, places]) => {
      const at = window.lastIndexOf(' ');
      return Object.entries(places).map(([text, count]): EndPlace => {
        const [x = 0, y = 0, width = 0, height = 0] = text.split(',').map(Number);
        return {
          app: window.slice(0, at),
          nth: Number(window.slice(at + 1)),
          rect: { x, y, width, height },
          part: count / Math.max(1, tries),
        };
      });
    })
    .sort((one, other) => one.part - other.part);
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
