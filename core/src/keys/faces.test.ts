import fc from 'fast-check';
import { expect, it } from 'vitest';
import { does, enter, profileWith } from '../testing/keys.ts';
import { inOrder, MODIFIERS, type Modifier } from '../values/modifiers.ts';
import { bindingId } from '../checkup/key-finding.ts';
import { checkKeys } from '../checkup/keys.ts';
import { keyFaces } from './faces.ts';
import { keyMap, type KeyBinding } from './map.ts';
import { resolveKey } from './resolve.ts';
import { IDLE, type KeyState } from './state.ts';
import { keyTable } from './table.ts';

const KEYS = [
  ...['KeyA', 'Main+KeyA', 'Main+Shift+KeyA', 'Ctrl+KeyA', 'Main+KeyA KeyB', 'KeyB KeyC', 'KeyB'],
  ...['tap Space', 'hold Space', 'hold KeyC', 'KeyC', 'Main+Space', 'Button4', 'Main+Button5'],
];
const CODES = ['KeyA', 'KeyB', 'KeyC', 'Space', 'Button4', 'Button5', 'KeyX'];
const COMMANDS = ['float', 'undo', 'redo', 'close', 'promote'] as const;
const anyBinding = fc.record({
  keys: fc.constantFrom(...KEYS),
  command: fc.constantFrom(...COMMANDS).map(does),
  in: fc.constantFrom('base', 'stay', 'one'),
  app: fc.constantFrom(null, null, null, 'notes'),
});

/** What a press leads to: a binding, or the bindings of a sequence that it begins. */
function pressed(
  state: KeyState,
  table: ReturnType<typeof keyTable>,
  code: string,
  modifiers: readonly Modifier[],
  app: string | null,
) {
  const input = { type: 'down', at: 5, code, modifiers } as const;
  const { state: next, out } = resolveKey(state, input, { table, interaction: null, app });
  if (next.undecided !== null) return 'tap or hold';
  if (next.pending) return 'sequence';
  const [done] = out.flatMap((each) =>
    'binding' in each && each.type === 'command' ? [each.binding] : [],
  );
  return done ?? null;
}

it('a drawn key says what a press of it leads to, in every layer and with any modifiers', () => {
  fc.assert(
    fc.property(
      fc.array(anyBinding, { maxLength: 10 }),
      fc.constantFrom('base', 'stay', 'one'),
      fc.subarray<Modifier>([...MODIFIERS], { maxLength: 2 }),
      (bindings, layer, held) => {
        const profile = profileWith(
          [
            ...bindings.map(({ in: of, app, ...rest }) => ({
              ...rest,
              ...(of !== 'base' && { in: of }),
              ...(app !== null && { app }),
            })),
            { keys: 'Main+F1', command: enter('stay') },
            { keys: 'Main+F2', command: enter('one') },
          ],
          { standIn: 'AltRight' },
        );
        const modifiers = inOrder(held);
        const table = keyTable(profile);
        const state: KeyState =
          layer === 'base' ? IDLE : { ...IDLE, layers: [{ layer, by: 'x' } as never] };
        const faces = keyFaces(profile, layer, modifiers);
        const told = Object.fromEntries(
          CODES.map((code) => {
            const face = faces.get(code);
            const { how, steps } = face?.binding.trigger ?? { how: 'press', steps: [] };
            return [
              code,
              how !== 'press'
                ? 'tap or hold'
                : steps.length > 1
                  ? 'sequence'
                  : (face?.binding ?? null),
            ];
          }),
        );
        const found = (app: string | null) =>
          Object.fromEntries(
            CODES.map((code) => [code, pressed(state, table, code, modifiers, app)]),
          );
        const plain = (all: Record<string, KeyBinding | string | null>) =>
          Object.fromEntries(
            Object.entries(all).map(([code, each]) => [
              code,
              each === null || typeof each === 'string'
                ? each
                : `${each.layer} ${each.command?.command ?? ''}`,
            ]),
          );
        const said = plain(told);
        // The board is drawn for no app: what one has for itself is on it where that is not in the way.
        const is = [null, 'notes'].map((app) => plain(found(app)));
        const isAbove = layer !== 'base' && bindings.some(({ app }) => app !== null);
        for (const code of CODES) {
          const [forAll, forOne] = is.map((each) => each[code]);
          if (isAbove) expect([forAll, forOne]).toContain(said[code]);
          else expect([code, said[code]]).toEqual([code, forAll ?? forOne]);
          if (said[code] === null) expect([null, null]).toEqual(is.map((each) => each[code]));
        }
      },
    ),
    { numRuns: 2000 },
  );
});

it('the checkup tells of keys that are hidden exactly where pressing them does something else, or nothing', () => {
  const keys = [
    ...['KeyA', 'Main+KeyA', 'Main+KeyA KeyB', 'KeyB KeyC', 'KeyB', 'Ctrl+KeyC KeyB', 'KeyC'],
    ...['tap KeyB', 'hold KeyC', 'hold KeyA', 'Main+KeyC', 'KeyB KeyB KeyC'],
  ];
  fc.assert(
    fc.property(
      fc.subarray(keys, { minLength: 1 }),
      fc.constantFrom('base', 'one'),
      fc.constantFrom('base', 'one'),
      (bound, layer, dual) => {
        const place = (each: string) => (/^(tap|hold)/.test(each) ? dual : layer);
        const profile = profileWith(
          [
            ...bound.map((each) => ({
              keys: each,
              command: does('float'),
              ...(place(each) !== 'base' && { in: place(each) }),
            })),
            { keys: 'Main+F2', command: enter('one') },
          ],
          { standIn: 'AltRight' },
        );
        const table = keyTable(profile);
        const context = { table, interaction: null, app: null };
        const told = new Set(
          checkKeys(profile)
            .filter(({ kind }) => kind === 'keys-hidden')
            // The first of those that it is about is what hides the others.
            .flatMap(({ about }) => about.slice(1)),
        );
        for (const binding of keyMap(profile)) {
          if (binding.trigger.how !== 'press' || binding.command?.command !== 'float') continue;
          let state: KeyState =
            binding.layer === 'base'
              ? IDLE
              : { ...IDLE, layers: [{ layer: 'one', by: 'x' } as never] };
          const done: unknown[] = [];
          let at = 5;
          for (const { code, modifiers } of binding.trigger.steps) {
            const down = {
              type: 'down',
              at: (at += 5),
              code: code!,
              modifiers: modifiers as Modifier[],
            } as const;
            const first = resolveKey(state, down, context);
            const second = resolveKey(
              first.state,
              { type: 'up', at: (at += 5), code: code! },
              context,
            );
            for (const each of [...first.out, ...second.out])
              if (each.type === 'command') done.push(each.binding);
            ({ state } = second);
          }
          const isReached = done.length === 1 && done[0] === binding;
          expect([binding.keys, told.has(bindingId(binding))]).toEqual([binding.keys, !isReached]);
        }
      },
    ),
    { numRuns: 1500 },
  );
});
