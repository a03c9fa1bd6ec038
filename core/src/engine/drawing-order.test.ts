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

  it('leaves a floating window that is clicked as deep as it is where a click raises nothing', () => {
    const events = [
      ...['a', 'b', 'c'].flatMap((id) => [
        { type: 'window-focused', id } as const,
        { type: 'command', command: { command: 'float' } as Command } as const,
      ]),
      { type: 'window-focused', id: 'a' } as const,
    ];
    const orderOf = (clickRaises: boolean, more: Command['command'][] = []) => {
      const own = { ...profile, pointer: { ...profile.pointer, clickRaises } };
      const commands = more.map(
        (command) => ({ type: 'command', command: { command } as Command }) as const,
      );
      const session = [...events, ...commands].reduce(
        (now, event) => reduce(now, event, own).session,
        opened,
      );
      const { placements } = computePlacements(session, own);
      const order = inDrawingOrder(placements, { session, profile: own }).map(({ id }) => id);
      return [order.join(''), session.focus];
    };
    expect(orderOf(true)).toEqual(['dbca', 'a']);
    expect(orderOf(false)).toEqual(['dabc', 'a']);
    // A key raises it, and the order of focus is another question.
    expect(orderOf(false, ['focus-last', 'focus-last'])).toEqual(['dbca', 'a']);
    expect(orderOf(false, ['focus-last'])).toEqual(['dabc', 'c']);
  });
});
