import { describe, expect, it } from 'vitest';
import type { Command } from '../commands/registry.ts';
import { profileSchema } from '../model/profile.ts';
import { sessionSchema } from '../model/session.ts';
import { inDrawingOrder } from './drawing-order.ts';
import { openSession } from './open.ts';
import { computePlacements } from './placements.ts';
import { reduce } from './reduce.ts';

const profile = profileSchema.parse({
  monitors: [{ id: 'm', width: 1600, height: 900 }],
  tiling: { layout: { kind: 'cascade' } },
});
const opened = openSession(
  sessionSchema.parse({ windows: ['a', 'b', 'c', 'd'].map((id) => ({ id })), focus: 'd' }),
  profile,
).session;

function drawn(...ids: Command['command'][]): string[] {
  const session = ids.reduce(
    (now, command) =>
      reduce(now, { type: 'command', command: { command } as Command }, profile).session,
    opened,
  );
  return inDrawingOrder(computePlacements(session, profile).placements, { session, profile }).map(
    ({ id }) => id,
  );
}

describe('the order of drawing', () => {
  it('has tiled windows in their order, the focused one raised', () => {
    expect(drawn()).toEqual(['a', 'b', 'c', 'd']);
    expect(drawn('focus-next')).toEqual(['b', 'c', 'd', 'a']);
  });

  it('has one made large above the others, and under the focused one', () => {
    expect(drawn('maximise')).toEqual(['a', 'b', 'c', 'd']);
    expect(drawn('maximise', 'focus-next')).toEqual(['b', 'c', 'd', 'a']);
  });

  it('has floating ones over tiled ones, and those that stay above over all', () => {
    expect(drawn('float', 'focus-next', 'stay-above', 'focus-next')).toEqual(['c', 'b', 'd', 'a']);
  });

  it('leaves out what is not shown', () => {
    expect(drawn('minimise')).toEqual(['a', 'b', 'c']);
    expect(drawn('show-desktop')).toEqual([]);
  });
});
