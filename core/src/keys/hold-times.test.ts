import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { does, profileWith, run } from '../testing/keys.ts';
import { bestHoldTime, holdErrors, timedPresses } from './hold-times.ts';
import type { KeyInput } from './state.ts';

const SPACE = new Set(['Space']);
const down = (at: number, code: string): KeyInput => ({ type: 'down', at, code, modifiers: [] });
const up = (at: number, code: string): KeyInput => ({ type: 'up', at, code });

describe('hold times', () => {
  it('count a recorded stream of typing exactly: which taps would be taken for holds', () => {
    const stream = [
      // A short tap; one that rolls over into the next key; one over which a key is typed; a long one.
      ...[down(0, 'Space'), up(90, 'Space')],
      ...[down(200, 'KeyA'), up(260, 'KeyA')],
      ...[down(300, 'Space'), down(380, 'KeyB'), up(410, 'Space'), up(450, 'KeyB')],
      ...[down(600, 'Space'), down(640, 'KeyC'), up(700, 'KeyC'), up(720, 'Space')],
      ...[down(900, 'Space'), up(1190, 'Space')],
    ];
    const typed = timedPresses(stream, SPACE);
    expect(typed).toEqual([
      { code: 'Space', ms: 90, isNested: false },
      { code: 'Space', ms: 110, isNested: false },
      { code: 'Space', ms: 120, isNested: true },
      { code: 'Space', ms: 290, isNested: false },
    ]);
    const at = new Map(holdErrors(typed, []).map(({ holdMs, asHolds }) => [holdMs, asHolds]));
    expect([50, 90, 100, 110, 120, 290, 300].map((ms) => at.get(ms))).toEqual([
      4, 4, 3, 3, 2, 2, 1,
    ]);
  });

  it('are those at which the machine of keys itself decides so', () => {
    const presses = fc.array(
      fc.record({ ms: fc.integer({ min: 20, max: 480 }), nests: fc.boolean() }),
      { minLength: 1, maxLength: 5 },
    );
    fc.assert(
      fc.property(presses, fc.constantFrom(80, 150, 220, 300), (all, holdMs) => {
        const profile = profileWith(
          [
            { keys: 'tap Space', command: does('float') },
            { keys: 'hold Space', command: does('close') },
          ],
          { holdMs },
        );
        let at = 0;
        const inputs: KeyInput[] = [];
        const words: string[] = [];
        for (const { ms, nests } of all) {
          inputs.push(down(at, 'Space'));
          words.push(`${at} +Space`);
          if (nests) {
            inputs.push(down(at + 5, 'KeyQ'), up(at + 15, 'KeyQ'));
            words.push(`${at + 5} +KeyQ ${at + 15} -KeyQ`);
          }
          inputs.push(up(at + ms, 'Space'));
          words.push(`${at + ms} -Space`);
          at += 1_000;
        }
        const said = run(profile, words.join(' ')).steps.join(' ');
        const [errors] = holdErrors(timedPresses(inputs, SPACE), []).filter(
          (each) => each.holdMs === holdMs,
        );
        expect(errors!.asHolds).toBe(said.match(/close \(hold\)/g)?.length ?? 0);
      }),
    );
  });

  it('propose the one with the fewest errors of both kinds, in the middle of those alike', () => {
    const typed = [80, 90, 120, 140].map((ms) => ({ code: 'Space', ms, isNested: false }));
    const held = [320, 300, 400].map((ms) => ({ code: 'Space', ms, isNested: false }));
    // From 150 to 300 nothing is mistaken.
    expect(bestHoldTime(typed, held)).toEqual({ holdMs: 220, asHolds: 0, asTaps: 0 });
    const slow = [...typed, { code: 'Space', ms: 310, isNested: false }];
    expect(bestHoldTime(slow, held)!.asHolds).toBe(1);
    expect(bestHoldTime([], [])).toBeNull();
  });

  it('propose none that another time beats, by counting errors at every time that is offered', () => {
    const presses = fc.array(fc.integer({ min: 60, max: 480 }), { maxLength: 6 });
    fc.assert(
      fc.property(presses, presses, (taps, holds) => {
        fc.pre(taps.length + holds.length > 0);
        const timed = (all: number[]) => all.map((ms) => ({ code: 'Space', ms, isNested: false }));
        // A press as long as the hold time is a hold.
        const share = (ms: number) =>
          taps.filter((tap) => tap >= ms).length / Math.max(1, taps.length) +
          holds.filter((hold) => hold < ms).length / Math.max(1, holds.length);
        const times = holdErrors([], []).map(({ holdMs }) => holdMs);
        const least = Math.min(...times.map(share));
        const good = times.filter((ms) => share(ms) < least + 1e-6);
        let runs: number[][] = [];
        for (const ms of good) {
          if (runs.at(-1)?.at(-1) === ms - 10) runs.at(-1)!.push(ms);
          else runs = [...runs, [ms]];
        }
        const longest = runs.find(({ length }) => runs.every((run) => run.length <= length))!;
        expect(bestHoldTime(timed(taps), timed(holds))!.holdMs).toBe(
          longest[Math.floor((longest.length - 1) / 2)],
        );
      }),
    );
  });
});
