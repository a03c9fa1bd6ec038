import type { ArrangedWorkspace } from '../engine/arranged-workspace.ts';
import { fitInto, minimumOf } from '../engine/hints.ts';
import type { Rect, Size } from '../geometry/rect.ts';
import { toPixels } from '../geometry/round.ts';
import type { SessionWindow } from '../model/session.ts';
import type { Lever } from './lever.ts';
import { sweptShares } from './sweep.ts';

/** How good a share is: most wanted sizes met, then the least area that no window uses. */
export interface Rating {
  share: number;
  /** Windows that get the size they want, or that they need where they want none, out of all. */
  met: number;
  of: number;
  /** Physical pixels of tiles that windows do not fill, or that are more than they want. */
  wasted: number;
  /** Physical pixels of all tiles. */
  area: number;
}

/** What a search found. */
export interface BestShare {
  best: Rating;
  /** The best of those that are not next to it; null where there is none other. */
  runnerUp: Rating | null;
  /** The share in force before. */
  present: Rating;
}

/** Rates the windows as they are arranged. */
export function rate(
  share: number,
  { tiled, overflow, tiles, monitor }: ArrangedWorkspace,
): Rating {
  const { scale } = monitor;
  let met = 0;
  let wasted = 0;
  let area = 0;
  tiled.forEach((window, i) => {
    const tile = tiles?.[i];
    if (!tile) return;
    const wanted = wantedSize(window, scale);
    if (tile.width >= wanted.width && tile.height >= wanted.height) met++;
    area += tile.width * tile.height;
    wasted += tile.width * tile.height - used(window, tile, scale);
  });
  return { share, met, of: tiled.length + overflow.length, wasted, area };
}

/** What a window wants on each axis, else what it needs, in physical pixels. */
function wantedSize(window: SessionWindow, scale: number): Size {
  const minimum = minimumOf(window, scale);
  const { width, height } = window.wanted ?? {};
  return {
    width: Math.max(minimum.width, width === undefined ? 0 : toPixels(width, scale)),
    height: Math.max(minimum.height, height === undefined ? 0 : toPixels(height, scale)),
  };
}

/** The area of a tile that a window makes use of: what it fills, and of that no more than it wants. */
function used(window: SessionWindow, tile: Rect, scale: number): number {
  const fitted = fitInto(window, tile, scale);
  const { width, height } = window.wanted ?? {};
  const most = (length: number, wanted: number | undefined) =>
    wanted === undefined ? length : Math.min(length, toPixels(wanted, scale));
  return most(fitted.width, width) * most(fitted.height, height);
}

export interface Search {
  /** Shares tried so far, and in all. */
  tried: number;
  of: number;
  best: Rating;
}

/** Shares closer than this to each other are told as one. */
const APART = 0.02;

/**
 * Searches the share that meets most wanted sizes, then wastes least, then lies nearest to the present
 * one, in steps of 0.001. Yields how far it has got after every few shares; the last one is the answer.
 */
export function* searchBestShare(lever: Lever): Generator<Search, BestShare> {
  const shares = sweptShares({ from: 0.05, to: 0.95, step: 0.001 });
  const ratings: Rating[] = [];
  const bestOf = (some: readonly Rating[]): Rating | null =>
    some.reduce<Rating | null>(
      (best, rating) => (best === null || isBetter(rating, best, lever.present) ? rating : best),
      null,
    );
  let best: Rating | null = null;
  for (const [i, share] of shares.entries()) {
    const rating = rate(share, lever.at(share));
    ratings.push(rating);
    best = bestOf(best === null ? [rating] : [best, rating]);
    if (i % 10 === 9) yield { tried: i + 1, of: shares.length, best: best! };
  }
  const found = best!;
  const others = ratings.filter(({ share }) => Math.abs(share - found.share) >= APART);
  return {
    best: found,
    runnerUp: bestOf(others),
    present: rate(lever.present, lever.at(lever.present)),
  };
}

function isBetter(a: Rating, b: Rating, present: number): boolean {
  if (a.met !== b.met) return a.met > b.met;
  if (a.wasted !== b.wasted) return a.wasted < b.wasted;
  return Math.abs(a.share - present) < Math.abs(b.share - present);
}
