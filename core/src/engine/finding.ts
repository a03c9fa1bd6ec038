import type { Dropped } from '../desk/work-area.ts';
import type { Axis } from '../values/direction.ts';
import type { UnknownName } from '../values/nearest-name.ts';

/** Something about how windows are arranged that a person should know. Lengths in physical pixels. */
export type ArrangementFinding =
  | {
      kind: 'squeeze';
      window: string;
      workspace: string;
      monitor: string;
      axis: Axis;
      has: number;
      needs: number;
    }
  | { kind: 'no-tile'; window: string; workspace: string; monitor: string; now: 'float' | 'stack' }
  /** A window that finds no empty zone on a board, and floats. */
  | { kind: 'no-zone'; window: string; workspace: string; monitor: string }
  /** The layout is a zone board, and none fits the monitor. */
  | { kind: 'no-board'; workspace: string; monitor: string }
  | ({ kind: 'no-room'; workspace: string; monitor: string } & Dropped)
  | ({ kind: 'unknown-name' } & UnknownName)
  /** A window that is left alone and meets no work area. */
  | { kind: 'outside'; window: string; monitor: string }
  | { kind: 'elsewhere'; window: string; workspace: string; monitor: string; asked: string };
