import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkKeys } from '../../checkup/keys.ts';
import { profileSchema, type Profile } from '../../model/profile.ts';
import { sessionSchema } from '../../model/session.ts';
import { usesByCommand, type Use } from '../../model/uses.ts';
import { profileWith } from '../../testing/keys.ts';
import { asOwn, bindingText } from '../edit.ts';
import { keyMap } from '../map.ts';
import { reachTable } from '../reach.ts';
import { searchChanges, withChanges, type ChangesFor, type ChangesFound } from './changes.ts';
import { suggest } from './suggest.ts';

const DEMO = new URL('../../../../demo/', import.meta.url);
const json = (name: string): unknown => JSON.parse(readFileSync(new URL(name, DEMO), 'utf8'));
const demo = profileSchema.parse(json('bulletin-desk.profile.json'));
const { uses = [], countedOn } = sessionSchema.parse(json('bulletin-desk.session.json'));
const days = countedOn!.days;

/** Of the demo each search is made once: together it takes seconds. */
const ofDemo = new Map<string, ChangesFound>();
function found(profile: Profile, more: Partial<ChangesFor> = {}): ChangesFound {
  if (profile !== demo) return searched(profile, more);
  const { together = true, letters = 'much' } = more;
  const known = ofDemo.get(`${together} ${letters}`) ?? searched(profile, { together, letters });
  ofDemo.set(`${together} ${letters}`, known);
  return known;
}

function searched(profile: Profile, more: Partial<ChangesFor>): ChangesFound {
  const search = searchChanges(profile, {
    device: profile.keys.devices[0]!,
    counted: { uses, days },
    together: true,
    letters: 'much',
    ...more,
  });
  for (let step = search.next(); ; step = search.next()) if (step.done) return step.value;
}

/** The commands of a profile, each as often as it has keys. */
const commandsOf = (profile: Profile) => keyMap(profile).map(bindingText).sort();

/** Reach of all uses, each by the easiest keys of its command: told from the map alone. */
function reachOf(profile: Profile, counts: readonly Use[]): number {
  const reach = reachTable(profile);
  const easiest = new Map<string, number>();
  for (const binding of keyMap(profile)) {
    const command = bindingText(binding);
    easiest.set(command, Math.min(reach(binding.keys), easiest.get(command) ?? Infinity));
  }
  return counts.reduce((sum, { command, times }) => sum + times * easiest.get(command)!, 0);
}

/** A generator of numbers from 0 to 1, the same for the same seed (a linear congruence, Numerical Recipes). */
function numbers(seed: number): () => number {
  let state = seed;
  return () => (state = (Math.imul(state, 1664525) + 1013904223) >>> 0) / 2 ** 32;
}

function shuffled<T>(list: readonly T[], next: () => number): T[] {
  const all = [...list];
  for (let i = all.length - 1; i > 0; i--) {
    const j = Math.floor(next() * (i + 1));
    [all[i], all[j]] = [all[j]!, all[i]!];
  }
  return all;
}

/** Uses by rank r are 20 000 / r^1.2 (Zipf), the ranks given by chance to 120 commands on their keys in the whole map. */
const ZIPF = { commands: 120, exponent: 1.2, most: 20000 };
function zipfProfile(seed: number): { profile: Profile; counts: Use[] } {
  const next = numbers(seed);
  const texts = new Set<string>();
  const chords = keyMap(demo).filter(
    ({ from, trigger, command }) =>
      command && from === 'starter' && trigger.how === 'press' && trigger.steps.length === 1,
  );
  const some = shuffled(chords, next)
    .filter((binding) => !texts.has(bindingText(binding)) && texts.add(bindingText(binding)))
    .slice(0, ZIPF.commands);
  const counts = shuffled(some, next).map((binding, i) => ({
    keys: binding.keys,
    command: bindingText(binding),
    times: Math.round(ZIPF.most / (i + 1) ** ZIPF.exponent),
  }));
  const { devices } = demo.keys;
  const bindings = some.map(asOwn);
  const keys = { ...demo.keys, from: 'none', layers: [], devices: devices.slice(0, 1), bindings };
  return { profile: profileSchema.parse({ ...demo, keys }), counts };
}

describe('suggested changes', () => {
  it('spare at least 60 % of what new keys for everything spare, with at most ten keys changed', () => {
    const shares: string[] = [];
    const share = (profile: Profile, counts: readonly Use[], more: Partial<ChangesFor>) => {
      const device = profile.keys.devices[0]!;
      const whole = suggest(profile, { device, uses: usesByCommand(counts), grouped: false });
      const counted = counts === uses ? { uses, days } : { uses: counts, days: 1 };
      const { points } = found(profile, { counted, ...more });
      const best = points.filter(({ keys }) => keys <= 10).at(-1)!;
      const after = withChanges(profile, best.changes);
      expect(commandsOf(after)).toEqual(commandsOf(profile));
      const spared = reachOf(profile, counts) - reachOf(after, counts);
      expect(spared).toBeCloseTo(best.spares * counted.days, 3);
      return spared / (whole.before - whole.after);
    };
    for (const together of [true, false]) {
      const part = share(demo, uses, { together });
      shares.push(`demo, ${together ? 'together' : 'apart'} ${part.toFixed(2)}`);
      expect(part).toBeGreaterThan(0.6);
    }
    for (let seed = 1; seed <= 20; seed++) {
      const { profile, counts } = zipfProfile(seed);
      expect(new Set(commandsOf(profile)).size).toBe(ZIPF.commands);
      const part = share(profile, counts, { together: false, letters: 'not at all' });
      shares.push(`seed ${seed} ${part.toFixed(2)}`);
      expect(part).toBeGreaterThan(0.6);
    }
    console.info(`Spared by at most ten keys: ${shares.join(', ')}`);
  }, 120_000);

  it('for each number of keys are as good as any, on small maps, and never worse than before', () => {
    const CODES = ['KeyJ', 'KeyU', 'KeyB', 'Digit6'];
    const places = CODES.flatMap((code) => [`Main+${code}`, `Main+Shift+${code}`]);
    const small = fc.record({
      at: fc.shuffledSubarray(places, { minLength: 4, maxLength: 4 }),
      times: fc.array(fc.integer({ min: 0, max: 40 }), { minLength: 4, maxLength: 4 }),
    });
    const COMMANDS = ['float', 'close', 'promote', 'pocket'];
    fc.assert(
      fc.property(small, ({ at, times }) => {
        const profile = profileWith(
          at.map((keys, i) => ({ keys, command: { command: COMMANDS[i] } })),
          { layers: [], devices: [{ id: 'board', board: 'ansi-60' }] },
        );
        const counts = COMMANDS.map((command, i) => ({
          keys: at[i]!,
          command,
          times: times[i]!,
        }));
        const { points } = found(profile, {
          codes: CODES,
          counted: { uses: counts, days: 1 },
          together: false,
          letters: 'not at all',
        });
        const reach = reachTable(profile);
        const everywhere = ['Main', 'Main+Shift', 'Main+Ctrl', 'Main+Alt', 'Main+Ctrl+Shift'];
        const slots = CODES.flatMap((code) => everywhere.map((set) => `${set}+${code}`));
        const best = bruteForce(at, slots, (i, keys) => times[i]! * (reach(at[i]!) - reach(keys)));
        for (const { keys, spares, is, changes } of points) {
          expect(spares).toBeLessThanOrEqual(best[keys]! + 1e-9);
          // What pays less than a twentieth a day is left alone.
          if (is === 'proven') expect(spares).toBeGreaterThan(best[keys]! - 0.05 * keys - 0.02);
          const after = withChanges(profile, changes);
          expect(reachOf(profile, counts) - reachOf(after, counts)).toBeCloseTo(spares);
          expect(commandsOf(after)).toEqual(commandsOf(profile));
        }
        const most = points.at(-1)!;
        expect(most.spares).toBeGreaterThan(best[4]! - 0.05 * 4 - 0.02);
      }),
      { numRuns: 60 },
    );
  });

  it('with what belongs together are as good as any that keep it so, on small maps', () => {
    const CODES = ['KeyJ', 'KeyU', 'KeyB', 'Digit6'];
    const COMMANDS = [
      { command: 'go-workspace', which: 'B' },
      { command: 'put-on-workspace', which: 'B' },
      { command: 'float' },
      { command: 'promote' },
    ];
    const TEXTS = ['go-workspace B', 'put-on-workspace B', 'float', 'promote'];
    const small = fc.record({
      codes: fc.shuffledSubarray(CODES, { minLength: 3, maxLength: 3 }),
      times: fc.array(fc.integer({ min: 0, max: 40 }), { minLength: 4, maxLength: 4 }),
    });
    let moved = 0;
    fc.assert(
      fc.property(small, ({ codes: [pair, one, other], times }) => {
        const at = [`Main+${pair}`, `Main+Shift+${pair}`, `Main+${one}`, `Main+Shift+${other}`];
        const profile = profileWith(
          at.map((keys, i) => ({ keys, command: COMMANDS[i] })),
          { layers: [], devices: [{ id: 'board', board: 'ansi-60' }] },
        );
        const counts = TEXTS.map((command, i) => ({ keys: at[i]!, command, times: times[i]! }));
        const { points } = found(profile, {
          codes: CODES,
          counted: { uses: counts, days: 1 },
          letters: 'not at all',
        });
        const reach = reachTable(profile);
        const everywhere = ['Main', 'Main+Shift', 'Main+Ctrl', 'Main+Alt', 'Main+Ctrl+Shift'];
        const slots = CODES.flatMap((code) => everywhere.map((set) => `${set}+${code}`));
        const codeOf = (keys: string) => keys.split('+').at(-1)!;
        const best = bruteForce(
          at,
          slots,
          (i, keys) => times[i]! * (reach(at[i]!) - reach(keys)),
          ([going, putting]) =>
            codeOf(going!) === codeOf(putting!) &&
            going === `Main+${codeOf(going!)}` &&
            putting === `Main+Shift+${codeOf(putting!)}`,
        );
        for (const { keys, spares, is } of points) {
          expect(spares).toBeLessThanOrEqual(best[keys]! + 1e-9);
          if (is === 'proven') expect(spares).toBeGreaterThan(best[keys]! - 0.05 * keys - 0.02);
        }
        if (points.length > 1) moved++;
      }),
      { numRuns: 40 },
    );
    expect(moved).toBeGreaterThan(10);
  });

  it('can be taken one by one in any choice: nothing is lost, no keys are there twice, ways back stay near', () => {
    const apart = found(demo, { together: false, letters: 'not at all' });
    const seen = new Set<string>();
    for (const { points } of [found(demo), apart]) {
      for (const { changes } of points) {
        const some = changes.filter((_, i) => i % 2 === 0);
        for (const taken of [changes, some, ...changes.map((change) => [change])]) {
          // What several points have in common is looked at once.
          if (seen.has(JSON.stringify(taken))) continue;
          seen.add(JSON.stringify(taken));
          const after = withChanges(demo, taken);
          expect(profileSchema.parse(after)).toEqual(after);
          expect(commandsOf(after)).toEqual(commandsOf(demo));
          const kinds = checkKeys(after).map(({ kind }) => kind);
          // Directions that may part can stand on the wrong side of each other.
          expect(
            kinds.filter((kind) => points !== apart.points || kind !== 'keys-contradict'),
          ).toEqual([]);
          for (const { spares } of taken) expect(spares).toBeGreaterThan(0);
          expect(reachOf(after, uses)).toBeLessThanOrEqual(reachOf(demo, uses) + 1e-9);
        }
      }
    }
  });

  it('between two points have none that a part of the changes of a point beats', () => {
    for (const together of [true, false]) {
      const { points } = found(demo, { together });
      for (const { changes, keys, spares } of points) {
        const moved = changes.reduce((sum, { moves }) => sum + moves.length, 0);
        expect(moved).toBe(keys);
        expect(changes.reduce((sum, change) => sum + change.spares, 0)).toBeCloseTo(spares);
        for (let some = 1; some < 2 ** Math.min(changes.length, 12); some++) {
          const part = changes.filter((_, i) => (some >> i) % 2 === 1);
          const count = part.reduce((sum, { moves }) => sum + moves.length, 0);
          const best = points.filter((point) => point.keys <= count).at(-1);
          expect(best?.spares ?? 0).toBeGreaterThan(
            part.reduce((sum, change) => sum + change.spares, 0) - 1e-6,
          );
        }
      }
    }
  });

  it('leave what is never used where it is, unless its place is wanted', () => {
    const { points } = found(demo, { together: false, letters: 'not at all' });
    for (const { moves } of points.flatMap(({ changes }) => changes)) {
      const wanted = new Set(moves.map(({ to }) => to));
      for (const { binding, uses: times } of moves) {
        if (times === 0) expect(wanted).toContain(binding.keys);
      }
    }
  });

  it('keep directions, ways back and what concerns one workspace together, and letters where they matter', () => {
    const codeOf = (profile: Profile, text: string) =>
      keyMap(profile).find((binding) => bindingText(binding) === text)!.trigger.steps[0]!.code;
    for (const { changes } of found(demo).points) {
      const after = withChanges(demo, changes);
      for (const id of ['B', 'M', 'S', 'R', 'F']) {
        expect(codeOf(after, `go-workspace ${id}`)).toBe(codeOf(after, `put-on-workspace ${id}`));
      }
    }
    for (const { changes } of found(demo, { together: false, letters: 'a lot' }).points) {
      const after = withChanges(demo, changes);
      for (const id of ['B', 'M', 'S'])
        expect(codeOf(after, `go-workspace ${id}`)).toBe(`Key${id}`);
    }
  });

  it('leave pinned keys and keys of other devices alone, and what has been changed since', () => {
    const left = keyMap(demo).find((binding) => bindingText(binding) === 'focus-left')!;
    const pinned = profileSchema.parse({
      ...demo,
      keys: { ...demo.keys, bindings: [{ ...asOwn(left), pinned: true }, ...demo.keys.bindings] },
    });
    const { points } = found(pinned, { together: false });
    const moved = points.flatMap(({ changes }) => changes.flatMap(({ moves }) => moves));
    expect(moved.length).toBeGreaterThan(10);
    for (const { binding } of moved) {
      expect(bindingText(binding)).not.toBe('focus-left');
      expect(binding.keys).not.toMatch(/Button|Numpad/);
    }
    const { changes } = found(demo).points.at(-1)!;
    expect(
      withChanges(profileSchema.parse({ ...demo, keys: { from: 'none' } }), changes).keys.bindings,
    ).toEqual([]);
  });
});

/** By the number of bindings that move, the most that any way to place them spares. */
function bruteForce(
  at: readonly string[],
  slots: readonly string[],
  spares: (binding: number, keys: string) => number,
  isAllowed: (places: readonly string[]) => boolean = () => true,
): number[] {
  const best = at.map(() => 0).concat(0);
  const go = (i: number, taken: ReadonlySet<string>, moved: number, sum: number) => {
    if (i === at.length) {
      if (!isAllowed([...taken])) return;
      for (let keys = moved; keys <= at.length; keys++) best[keys] = Math.max(best[keys]!, sum);
      return;
    }
    for (const keys of slots) {
      if (taken.has(keys)) continue;
      go(i + 1, new Set([...taken, keys]), moved + Number(keys !== at[i]), sum + spares(i, keys));
    }
  };
  go(0, new Set(), 0, 0);
  return best;
}
