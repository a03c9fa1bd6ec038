import { minimumOf } from '../engine/hints.ts';
import { toPixels } from '../geometry/round.ts';
import type { SessionWindow } from '../model/session.ts';
import type { Axis } from '../values/direction.ts';
import type { Lever } from './lever.ts';

/** Shares at which a sweep begins and ends, and how far apart its samples are. */
export const SWEEP = { from: 0.05, to: 0.95, step: 0.01 } as const;

/** The length of one window at every share, in physical pixels; null where it has no tile. */
interface SweptWindow {
  window: SessionWindow;
  lengths: readonly (number | null)[];
  /** What it needs along the axis, and what it wants there where it says so. */
  minimum: number;
  wanted: number | null;
}

/** Shares at which a window is under its minimum, or under its wanted size, along the axis. */
export interface Band {
  window: string;
  from: number;
  to: number;
  under: 'minimum' | 'wanted';
}

/** What every window gets along an axis while a lever goes from one end to the other. */
export interface Sweep {
  axis: Axis;
  shares: readonly number[];
  windows: readonly SweptWindow[];
  bands: readonly Band[];
}

/** Every share of a sweep. */
export function sweptShares(
  { from, to, step } = SWEEP as { from: number; to: number; step: number },
) {
  const count = Math.round((to - from) / step) + 1;
  return Array.from({ length: count }, (_, i) => Number((from + i * step).toFixed(6)));
}

/** Tries a lever at every share, and takes each window's length along an axis. */
export function sweep(lever: Lever, axis: Axis): Sweep {
  const shares = sweptShares();
  const samples = shares.map((share) => lever.at(share));
  const { tiled, overflow, monitor } = lever.at(lever.present);
  const windows = [...tiled, ...overflow].map((window): SweptWindow => {
    const minimum = minimumOf(window, monitor.scale);
    const wanted = axis === 'x' ? window.wanted?.width : window.wanted?.height;
    return {
      window,
      lengths: samples.map((arranged) => {
        const tile = arranged.tiles?.[arranged.tiled.indexOf(window)];
        return tile ? (axis === 'x' ? tile.width : tile.height) : null;
      }),
      minimum: axis === 'x' ? minimum.width : minimum.height,
      wanted: wanted === undefined ? null : toPixels(wanted, monitor.scale),
    };
  });
  return { axis, shares, windows, bands: windows.flatMap((window) => bandsOf(window, shares)) };
}

function bandsOf({ window, lengths, minimum, wanted }: SweptWindow, shares: readonly number[]) {
  const under = (least: number, kind: Band['under']): Band[] => {
    const bands: Band[] = [];
    let open: Band | null = null;
    lengths.forEach((length, i) => {
      if (length === null || length >= least) {
        open = null;
        return;
      }
      if (open) open.to = shares[i]!;
      else
        bands.push((open = { window: window.id, from: shares[i]!, to: shares[i]!, under: kind }));
    });
    return bands;
  };
  return [...under(minimum, 'minimum'), ...(wanted === null ? [] : under(wanted, 'wanted'))];
}
