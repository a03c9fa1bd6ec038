import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Profile } from '../model/profile.ts';
import { does, enter, profileWith } from '../testing/keys.ts';
import type { Modifier } from '../values/modifiers.ts';
import { resolveKey } from './resolve.ts';
import { IDLE, isIdle, type KeyInput, type KeyState } from './state.ts';
import { keyTable } from './table.ts';

const CODES = ['KeyA', 'KeyB', 'Space', 'Escape', 'CapsLock', 'MetaLeft', 'ShiftLeft', 'AltRight'];
const anyInput = fc.record({
  ms: fc.nat(400),
  type: fc.constantFrom('down' as const, 'up' as const, 'wait' as const, 'blur' as const),
  code: fc.constantFrom(...CODES),
  modifiers: fc.subarray<Modifier>(['Meta', 'Alt']),
  repeat: fc.boolean(),
});
const anyBinding = fc.record({
  keys: fc.constantFrom(
    ...['KeyA', 'Main+KeyA', 'Main+KeyA KeyB', 'KeyB KeyB Space', 'tap Space', 'hold Space'],
    ...['Caps+Escape', 'Main+Escape', 'Escape', 'tap Escape', 'hold Escape', 'tap MetaLeft'],
    ...['hold KeyA', 'tap CapsLock', 'Space', 'types:b', 'Main+KeyA Escape'],
  ),
  command: fc.constantFrom(
    does('float'),
    enter('stay'),
    enter('one'),
    enter('while'),
    does('leave-layer'),
  ),
  release: fc.constantFrom(does('undo'), enter('stay')),
  in: fc.constantFrom('base', 'stay', 'one', 'while'),
});
/** Maps that the schema lets through. */
const anyMap = fc
  .array(anyBinding, { maxLength: 14 })
  .map((bindings) =>
    bindings.filter(({ keys, command, release }) => {
      const enters = [command, release].some((each) => each.command === 'enter-layer');
      return !(/Escape$/.test(keys) && enters);
    }),
  )
  .chain((bindings) =>
    fc.constantFrom('Alt', 'AltRight').map((standIn) =>
      profileWith(
        bindings.map(({ in: layer, ...rest }) => ({
          ...rest,
          ...(layer !== 'base' && { in: layer }),
        })),
        { standIn, bundles: [{ id: 'Caps', hold: 'CapsLock', modifiers: ['Ctrl', 'Alt'] }] },
      ),
    ),
  );

describe('whatever happens at the keys', () => {
  const after = (profile: Profile, list: readonly { ms: number; type: string }[]) => {
    const context = { table: keyTable(profile), interaction: null, app: null };
    let state: KeyState = IDLE;
    let at = 0;
    for (const { ms, ...input } of list) {
      at += ms;
      ({ state } = resolveKey(state, { ...input, at } as KeyInput, context));
    }
    return { state, at, context };
  };

  it('a lone Escape brings home', () => {
    fc.assert(
      fc.property(anyMap, fc.array(anyInput, { maxLength: 40 }), (profile, list) => {
        const { state, at, context } = after(profile, list);
        const down = { type: 'down', at, code: 'Escape', modifiers: [] } as const;
        const pressed = resolveKey(state, down, context).state;
        const { state: end } = resolveKey(
          pressed,
          { type: 'up', at: at + 50, code: 'Escape' },
          context,
        );
        expect(isIdle(end)).toBe(true);
      }),
      { numRuns: 1500 },
    );
  });

  it('nothing is left of layers, sequences and held keys once the focus is lost', () => {
    fc.assert(
      fc.property(anyMap, fc.array(anyInput, { maxLength: 40 }), (profile, list) => {
        const { state, at, context } = after(profile, list);
        expect(resolveKey(state, { type: 'blur', at }, context).state).toEqual(IDLE);
      }),
    );
  });

  it('every layer that is entered is left as often, at the latest by Escape', () => {
    fc.assert(
      fc.property(anyMap, fc.array(anyInput, { maxLength: 40 }), (profile, list) => {
        const context = { table: keyTable(profile), interaction: null, app: null };
        let state: KeyState = IDLE;
        let [at, depth] = [0, 0];
        for (const { ms, ...input } of [...list, { ms: 1, type: 'blur' }]) {
          at += ms;
          const resolved = resolveKey(state, { ...input, at } as KeyInput, context);
          ({ state } = resolved);
          for (const each of resolved.out)
            if (each.type === 'layer') depth += each.is === 'entered' ? 1 : -1;
          expect(depth).toBe(state.layers.length);
        }
        expect(depth).toBe(0);
      }),
    );
  });
});
