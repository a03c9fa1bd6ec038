import { describe, expect, it } from 'vitest';
import { byKeys, NO_EFFORT, pointerSeconds, withEffort, withPresses, type Done } from './effort.ts';

const rect = (x: number, width: number) => ({ x, y: 0, width, height: 1000 });
/** The left half of a monitor of 2000 × 1000 has the focus, its right half gets it. */
const THERE: Done = { before: rect(0, 1000), after: rect(1000, 1000), isSame: false, scale: 1 };
const grown = (from: number, to: number): Done => ({
  before: rect(0, from),
  after: rect(0, to),
  isSame: true,
  scale: 1,
});

describe('what a pointer would have taken', () => {
  it('is by Fitts’s law: longer for what is far or small, and the same at every scale', () => {
    // −107 + 223 ms for each bit: 700 px to a target of 100 px are three bits.
    expect(pointerSeconds('pointing', 700, 100)).toBeCloseTo(-0.107 + 0.223 * 3);
    expect(pointerSeconds('dragging', 700, 100)).toBeCloseTo(0.135 + 0.249 * 3);
    expect(pointerSeconds('pointing', 1400, 200)).toBe(pointerSeconds('pointing', 700, 100));
    expect(pointerSeconds('pointing', 0, 100)).toBe(0.1);
  });

  it('is the hand there and back, the way to the window from where the focus was, and a press', () => {
    const { trips, byPointer, presses } = withEffort(NO_EFFORT, 2, 'focus-right', THERE);
    // 1000 px to a window of 1000 px is one bit.
    expect([trips, presses]).toEqual([1, 2]);
    expect(byPointer).toBeCloseTo(0.4 + (-0.107 + 0.223) + 0.2 + 0.4);
    const far = { ...THERE, after: rect(7000, 1000) };
    expect(withEffort(NO_EFFORT, 2, 'focus-right', far).byPointer).toBeCloseTo(
      0.8 + 0.2 + (-0.107 + 0.223 * 3),
    );
  });

  it('is a drag of the edge: to the edge, by as much as it moved, a press at each end', () => {
    const { byPointer } = withEffort(NO_EFFORT, 3, 'grow-right', grown(1000, 1056));
    const toEdge = -0.107 + 0.223 * Math.log2(500 / 8 + 1);
    expect(byPointer).toBeCloseTo(0.8 + 0.4 + toEdge + (0.135 + 0.249 * 3));
  });

  it('counts a drag once however often its key is pressed', () => {
    const steps = [1020, 1040, 1060, 1040, 1056];
    const often = steps.reduce((effort, to, i) => {
      const command = i === 3 ? 'shrink-right' : 'grow-right';
      return withEffort(effort, 3, command, grown(steps[i - 1] ?? 1000, to));
    }, NO_EFFORT);
    const once = withEffort(NO_EFFORT, 3, 'grow-right', grown(1000, 1056));
    expect(often.trips).toBe(1);
    expect(often.byPointer).toBeCloseTo(once.byPointer);
    // Each press of a key takes its time all the same.
    expect(byKeys(often)).toBeCloseTo(15 * 0.2);
    const later = withEffort(
      withEffort(often, 2, 'focus-right', THERE),
      3,
      'grow-right',
      grown(1056, 1096),
    );
    expect(later.trips).toBe(3);
  });

  it('is nothing for undo, for what did nothing, and for what only steers a choice', () => {
    expect(withEffort(NO_EFFORT, 2, 'undo', THERE)).toEqual(withPresses(NO_EFFORT, 2));
    expect(withEffort(NO_EFFORT, 2, 'redo', THERE).byPointer).toBe(0);
    expect(withEffort(NO_EFFORT, 2, 'focus-left', null).byPointer).toBe(0);
    expect(withEffort(NO_EFFORT, 1, 'shape-as', grown(10, 20)).byPointer).toBe(0);
  });

  it('is the way of the whole window where that is moved, also into another size', () => {
    const moved = { ...THERE, isSame: true, after: rect(1000, 800) };
    const { byPointer } = withEffort(NO_EFFORT, 3, 'move-right', moved);
    const toTitle = -0.107 + 0.223 * Math.log2(500 / 24 + 1);
    const drag = 0.135 + 0.249 * Math.log2(900 / 400 + 1);
    expect(byPointer).toBeCloseTo(0.8 + 0.4 + toTitle + drag);
  });
});
