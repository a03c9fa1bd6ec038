import fc from 'fast-check';
import { expect, it } from 'vitest';
import { does, enter, profileWith } from '../testing/keys.ts';
import { inOrder, type Modifier } from '../values/modifiers.ts';
import { triggerOf } from '../values/trigger.ts';
import { nextKeys } from './next-keys.ts';
import { resolveKey } from './resolve.ts';
import { IDLE, type KeyState } from './state.ts';
import { keyTable } from './table.ts';

const KEYS = [
  ...['KeyA KeyB', 'KeyA KeyC', 'KeyA KeyB KeyC', 'KeyA Main+KeyB', 'KeyA KeyA', 'KeyB KeyC KeyA'],
  ...['KeyA', 'KeyB', 'KeyC', 'Main+KeyC', 'tap KeyC', 'hold KeyB', 'tap KeyB'],
];
const CODES = ['KeyA', 'KeyB', 'KeyC', 'KeyX'];
const SETS: Modifier[][] = [[], ['Meta'], ['Shift']];

it('the keys that are listed next are those that lead on, in a sequence and in a layer', () => {
  let listed = 0;
  fc.assert(
    fc.property(
      fc.array(
        fc.record({
          keys: fc.constantFrom(...KEYS),
          in: fc.constantFrom('base', 'stay'),
          app: fc.constantFrom(null, null, 'notes', 'shell'),
        }),
        { maxLength: 8 },
      ),
      fc.constantFrom(null, 'notes'),
      fc.constantFrom('base', 'stay'),
      fc.array(fc.constantFrom(...CODES), { maxLength: 2 }),
      (bindings, app, layer, before) => {
        const profile = profileWith(
          [
            ...bindings.map(({ keys, in: of, app: only }) => ({
              keys,
              command: does('float'),
              ...(of !== 'base' && { in: of }),
              ...(only !== null && { app: only }),
            })),
            { keys: 'Main+F1', command: enter('stay') },
          ],
          { standIn: 'AltRight' },
        );
        const context = { table: keyTable(profile), interaction: null, app };
        const entered = { ...IDLE, layers: [{ layer: 'stay', by: 'x' } as never] };
        let state: KeyState = layer === 'base' ? IDLE : entered;
        let at = 0;
        const press = (from: KeyState, code: string, modifiers: readonly Modifier[]) => {
          const down = resolveKey(from, { type: 'down', at: at + 5, code, modifiers }, context);
          const up = resolveKey(down.state, { type: 'up', at: at + 9, code }, context);
          return { state: up.state, out: [...down.out, ...up.out], down };
        };
        for (const code of before) {
          ({ state } = press(state, code, []));
          at += 10;
        }
        const next = nextKeys(state, context);
        if (!next) {
          expect(state.pending === null && state.layers.length === 0).toBe(true);
          return;
        }
        for (const code of CODES)
          for (const set of SETS) {
            const modifiers = inOrder(set);
            const { out, down } = press(state, code, modifiers);
            const isDropped = out.some((each) => each.type === 'sequence' && each.is === 'dropped');
            const begun = down.state.undecided;
            const done = out.flatMap((each) =>
              each.type === 'command' && each.binding ? [each.binding] : [],
            );
            const among = down.state.pending?.among ?? [];
            const isOfNext = (each: (typeof done)[number]) =>
              next.next.some(
                ({ binding }) =>
                  binding.canonicalTrigger === each.canonicalTrigger &&
                  binding.layer === each.layer,
              );
            // A tap or a hold goes by itself, and a sequence waits on.
            const here = begun
              ? [begun.tap, begun.hold].filter((each) => each !== null)
              : [...done, ...among];
            const leadsOn =
              !isDropped &&
              here.some((each) => next.of === 'sequence' || each.layer === next.name) &&
              here.some(isOfNext);
            const isListed = next.next.some(({ keys }) => {
              const { how, steps } = triggerOf(keys);
              const [step] = steps;
              if (step!.code !== code) return false;
              if (how !== 'press') return true;
              const own = step!.modifiers.map((name) => (name === 'Main' ? 'Meta' : name)).join();
              // The main modifier may still be down from the press before.
              const isSame = own === modifiers.join();
              return (
                isSame || (next.of === 'sequence' && own === '' && modifiers.join() === 'Meta')
              );
            });
            listed += Number(isListed);
            expect([next.of, code, modifiers, isListed]).toEqual([
              next.of,
              code,
              modifiers,
              leadsOn,
            ]);
          }
      },
    ),
    { numRuns: 3000 },
  );
  expect(listed).toBeGreaterThan(1000);
});
