import { COMMANDS } from '../commands/registry.ts';
import { describe, expect, it } from 'vitest';

import { KLM, NO_EFFORT, pointerWork, secondsOf, withEffort } from './effort.ts';

describe('pointer work spared', () => {
  it('is that of the operators of the keystroke-level model', () => {
    expect(secondsOf(pointerWork('focus-left'))).toBeCloseTo(0.4 + 1.1 + 0.2 + 0.4);
    expect(secondsOf(pointerWork('grow-left'))).toBeCloseTo(0.4 + 2 * (1.1 + 0.2) + 0.4);
    expect(pointerWork('shape-as')).toEqual([]);
    for (const id of COMMANDS) expect(pointerWork(id).every((op) => op in KLM)).toBe(true);
  });

  it('adds up less what the keys took, and a key that does nothing spares nothing', () => {
    const one = withEffort(NO_EFFORT, 2, 'focus-left', true);
    expect(one).toEqual({ presses: 2, trips: 1, seconds: expect.closeTo(2.1 - 0.4) });
    const idle = withEffort(one, 3, 'focus-left', false);
    expect(idle).toEqual({ presses: 5, trips: 1, seconds: expect.closeTo(1.7 - 0.6) });
    expect(withEffort(idle, 1, null, false).presses).toBe(6);
  });
});
