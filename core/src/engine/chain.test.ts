import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Command } from '../commands/registry.ts';
import { commandsOfChain, isChainable, loopOf } from '../model/chain.ts';
import { profileSchema } from '../model/profile.ts';
import { OFFICE, testDesk, windows } from '../testing/desk.ts';
import { anyCommand } from '../testing/fuzz/events.ts';
import { computePlacements } from './placements.ts';
import { reduce } from './reduce.ts';

const chain = (id: string): Command => ({ command: 'chain', chain: id });
const plain = (command: string) => ({ command }) as Command;
const withChains = (chains: object[], more: object = {}) =>
  profileSchema.parse({ ...OFFICE, ...more, chains });
const start = testDesk(OFFICE, { ...windows('p', 'b', 's'), focus: 'p' });
const chainable = anyCommand.filter((each) => isChainable(each) && each.command !== 'chain');

describe('a chain', () => {
  it('comes to what its commands come to one after another', () => {
    fc.assert(
      fc.property(fc.array(chainable, { minLength: 1, maxLength: 6 }), (commands) => {
        const profile = withChains([{ id: 'all', commands }]);
        const { session, edit = profile } = reduce(
          start.session,
          { type: 'command', command: chain('all') },
          profile,
        );
        let [one, kept] = [start.session, profile];
        for (const command of commands) {
          const outcome = reduce(one, { type: 'command', command }, kept);
          one = outcome.session;
          if (!outcome.edit) continue;
          const before = kept;
          kept = outcome.edit;
          one = reduce(one, { type: 'profile-edited', before }, kept).session;
        }
        const { past, future, ...desk } = session;
        const { past: steps, future: _future, ...alone } = one;
        expect(desk).toEqual(alone);
        expect(edit).toEqual(kept);
        expect(past).toHaveLength(Math.min(1, steps.length));
        expect(future).toEqual([]);
      }),
      { numRuns: 300 },
    );
  });

  it('is taken back and done again as one step', () => {
    const commands = ['float', 'focus-next', 'move-down', 'lead-share-more'].map(plain);
    const profile = withChains([{ id: 'four', commands }]);
    const run = (session: typeof start.session, command: Command) =>
      reduce(session, { type: 'command', command }, profile).session;
    const placed = (session: typeof start.session) =>
      computePlacements(session, profile).placements;
    const done = run(start.session, chain('four'));
    expect(placed(done)).not.toEqual(placed(start.session));
    const back = run(done, plain('undo'));
    expect(placed(back)).toEqual(placed(start.session));
    expect(back.focus).toBe(start.session.focus);
    expect(placed(run(back, plain('redo')))).toEqual(placed(done));
  });

  it('that only goes somewhere is no step, and counts as one use', () => {
    const profile = withChains([{ id: 'there', commands: [plain('focus-next')] }]);
    const by = { keys: 'Main+KeyY', command: 'chain there' };
    const { session } = reduce(
      start.session,
      { type: 'key-pressed', command: chain('there'), by },
      profile,
    );
    expect(session.focus).not.toBe(start.session.focus);
    expect(session.past).toEqual([]);
    expect(session.uses).toEqual([{ ...by, times: 1 }]);
    const missing = reduce(start.session, { type: 'command', command: chain('none') }, profile);
    expect(missing.session).toBe(start.session);
    expect(missing.trace[0]!.because).toBe('no chain is called none');
  });

  it('has others in it, but never itself', () => {
    const two = [
      { id: 'a', commands: [plain('float'), chain('b')] },
      { id: 'b', commands: [plain('focus-next'), plain('close')] },
    ];
    const profile = withChains(two);
    expect(commandsOfChain(profile, 'a')!.map(({ command }) => command)).toEqual([
      'float',
      'focus-next',
      'close',
    ]);
    expect(loopOf(profile, 'a')).toBeNull();
    const looped = [...two.slice(0, 1), { id: 'b', commands: [plain('close'), chain('a')] }];
    const fault = profileSchema.safeParse({ ...OFFICE, chains: looped }).error!.issues[0]!;
    expect(fault.path).toEqual(['chains', 0, 'commands', 1, 'chain']);
    expect(fault.message).toContain('a, b, a');
    // Whatever comes by another way than a file still ends.
    expect(commandsOfChain({ chains: looped as never }, 'a')!.length).toBe(2);
  });

  it('has no commands that wait for something, and none that travel', () => {
    for (const command of [
      { command: 'undo' },
      { command: 'find-window' },
      { command: 'switch-window' },
      { command: 'menu', menu: 'm' },
    ]) {
      const bad = { ...OFFICE, chains: [{ id: 'a', commands: [command] }] };
      expect(profileSchema.safeParse(bad).success).toBe(false);
    }
  });
});
