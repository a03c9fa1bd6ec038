import { checkKeys } from '@sorn/core/checkup';
import { COMMANDS } from '@sorn/core/commands';
import { assign, keyMap, type KeyBinding } from '@sorn/core/keys';
import { profileSchema, type Profile } from '@sorn/core/model';
import { CODES } from '@sorn/core/values';
import { timingOf } from './measure.ts';

const BINDINGS = 2_000;
const ROUNDS = 15;
const SIZE = 120;

const SETS = ['', 'Shift+', 'Ctrl+', 'Alt+', 'Ctrl+Shift+', 'Alt+Shift+', 'Ctrl+Alt+'];
const KEYS = CODES.filter((code) => /^(Key|Digit|F\d|Numpad\d|Arrow)/.test(code));
const LAYERS = ['a', 'b', 'c'];

/** A map of so many bindings, of which some are in each other's way. */
function largeProfile(): Profile {
  const plain = COMMANDS.filter((id) =>
    /^(focus|move|grow|place|nudge)-(left|right|up|down)$/.test(id),
  );
  const bindings = Array.from({ length: BINDINGS }, (_, i) => {
    const layer = i % 4;
    const keys = `Main+${SETS[i % SETS.length]}${KEYS[(i * 7) % KEYS.length]}`;
    return {
      keys: i % 50 === 0 ? `${keys} KeyS` : keys,
      command: { command: plain[i % plain.length]! },
      ...(layer > 0 && { in: LAYERS[layer - 1]! }),
    };
  });
  return profileSchema.parse({
    monitors: [{ id: 'm', width: 1920, height: 1080 }],
    keys: { from: 'none', bindings, layers: LAYERS.map((id) => ({ id, lasts: 'kept' })) },
  });
}

/** The plain way to find the same keys twice: every binding beside every other. */
function pairs(map: readonly KeyBinding[]): number {
  let found = 0;
  for (let i = 0; i < map.length; i++) {
    for (let j = i + 1; j < map.length; j++) {
      const [a, b] = [map[i]!, map[j]!];
      if (a.layer === b.layer && a.app === b.app && a.canonicalTrigger === b.canonicalTrigger)
        found++;
    }
  }
  return found;
}

const spent = (work: () => void): number => {
  const before = performance.now();
  work();
  return performance.now() - before;
};
const median = (times: readonly number[]) => timingOf(times).median;

/** Prints how long the checkup of 2,000 bindings takes, beside comparing every pair of them, and an assignment. */
export function benchKeyMap(): void {
  const profile = largeProfile();
  const map = keyMap(profile);
  if (pairs(map) === 0 || !checkKeys(profile).some(({ kind }) => kind === 'keys-twice'))
    throw new Error('the map has nothing to be found');
  const checked: number[] = [];
  const byPairs: number[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    // Another profile each time: the map is made anew, as after an edit.
    checked.push(spent(() => checkKeys({ ...profile, keys: { ...profile.keys } })));
    byPairs.push(spent(() => pairs(map)));
  }
  const costs = Array.from({ length: SIZE }, (_, i) =>
    Array.from({ length: SIZE }, (_unused, j) => ((i + 1) * (j + 3) * 7919) % 1009),
  );
  const assigned = Array.from({ length: ROUNDS }, () => spent(() => assign(costs)));
  const [all, peer] = [median(checked), median(byPairs)];
  const lines = [
    `${map.length} bindings checked, one thread (aim: under 50 ms)`,
    `  the whole checkup     ${all.toFixed(1)} ms, ${checkKeys(profile).length} findings`,
    `  every pair compared   ${peer.toFixed(1)} ms for keys bound twice alone, ${(peer / all).toFixed(2)} × as long`,
    `an assignment of ${SIZE} × ${SIZE}: ${median(assigned).toFixed(2)} ms`,
  ];
  process.stdout.write(`\n${lines.join('\n')}\n`);
}
