import fc from 'fast-check';
import type { DeskMonitor } from '../desk/monitors.ts';

/** A monitor as a profile gives it, small enough to look at every pixel. */
export interface Box {
  id: string;
  x: number;
  y: number;
  width: number;
  height: number;
}

/** Monitors anywhere near each other: meeting, apart and overlapping. */
export function anyMonitors(least: number, most: number): fc.Arbitrary<Box[]> {
  return fc
    .array(
      fc.record({
        x: fc.integer({ min: 0, max: 30 }),
        y: fc.integer({ min: 0, max: 30 }),
        width: fc.integer({ min: 1, max: 12 }),
        height: fc.integer({ min: 1, max: 12 }),
      }),
      { minLength: least, maxLength: most },
    )
    .map((boxes) => boxes.map((box, i) => ({ id: `m${i}`, ...box })));
}

/** They as they stand on a desk. */
export function placedOn(boxes: readonly Box[]): DeskMonitor[] {
  const reserved = { top: 0, right: 0, bottom: 0, left: 0 };
  return boxes.map((box) => ({ ...box, name: box.id, scale: 1, turn: 0, reserved }));
}
