import fc from 'fast-check';
import { expect, it } from 'vitest';
import { does, profileWith, enter } from '../testing/keys.ts';
import { inOrder, MODIFIERS, type Modifier } from '../values/modifiers.ts';
import { listenedPresses, listensToAll } from './listen.ts';
import { resolveKey } from './resolve.ts';
import { IDLE } from './state.ts';
import { keyTable } from './table.ts';

const BINDINGS = [
  ...['KeyA', 'Main+KeyA', 'Main+Shift+KeyA', 'Ctrl+KeyA', 'Main+KeyA KeyB', 'KeyB KeyC'],
  ...['tap Space', 'hold Space', 'hold KeyC', 'tap CapsLock', 'Caps+KeyB', 'Main+types:?'],
  ...['types:b', 'Button4', 'Main+Button5', 'Main+Caps+KeyC', 'tap AltLeft'],
];
const TYPED: Record<string, string> = { KeyA: 'a', KeyB: 'b', KeyC: 'c', Slash: '/', Space: ' ' };
const CODES = [...Object.keys(TYPED), 'CapsLock', 'AltRight', 'Button4', 'Button5', 'Escape'];
/** What a key types with or without Shift. */
const types = (code: string, modifiers: readonly Modifier[]) => {
  const plain = TYPED[code];
  if (plain === undefined || !modifiers.includes('Shift')) return plain;
  return plain === '/' ? '?' : plain.toUpperCase();
};

it('a desktop tells of a press exactly where it means something while no key is down', () => {
  fc.assert(
    fc.property(
      fc.subarray(BINDINGS, { minLength: 1, maxLength: 6 }),
      fc.constantFrom<Modifier>('Meta', 'Ctrl'),
      fc.constantFrom('Alt', 'AltRight'),
      fc.constantFrom(...CODES),
      fc.subarray<Modifier>([...MODIFIERS]),
      (bound, main, standIn, code, held) => {
        const profile = profileWith(
          bound.map((keys) => ({ keys, command: does('float') })),
          {
            main,
            standIn,
            bundles: [{ id: 'Caps', hold: 'CapsLock', modifiers: ['Ctrl', 'Alt'] }],
          },
        );
        const modifiers = inOrder(held);
        const key = types(code, modifiers);
        const { state, out } = resolveKey(
          IDLE,
          { type: 'down', at: 0, code, modifiers, ...(key !== undefined && { key }) } as never,
          { table: keyTable(profile), interaction: null, app: null },
        );
        // What stands for a modifier is told of whatever is held: it changes what the next press means.
        const standsFor = code === 'CapsLock' || code === standIn;
        const isMeant =
          standsFor ||
          out.some(({ type }) => type !== 'unbound') ||
          state.pending !== null ||
          state.undecided !== null;
        const isTold = listenedPresses(profile).some(
          (press) =>
            JSON.stringify(press.modifiers) === JSON.stringify(modifiers) &&
            (press.code === code ||
              (press.button !== undefined && code === `Button${press.button}`) ||
              (press.key !== undefined && press.key === key)),
        );
        expect(isTold).toBe(isMeant);
      },
    ),
    { numRuns: 3000 },
  );
});

it('every press is told of while the next one depends on it, or something else is under way', () => {
  const profile = profileWith([
    { keys: 'KeyA KeyB', command: does('float') },
    { keys: 'KeyC', command: enter('one') },
    { keys: 'KeyB', command: does('undo') },
  ]);
  const after = (code: string) =>
    resolveKey(
      IDLE,
      { type: 'down', at: 0, code, modifiers: [] },
      { table: keyTable(profile), interaction: null, app: null },
    ).state;
  const calm = {};
  expect(listensToAll(IDLE, calm)).toBe(false);
  expect(listensToAll(after('KeyA'), calm)).toBe(true);
  expect(listensToAll(after('KeyC'), calm)).toBe(true);
  const window = 'a';
  const busy = (interaction: object) => listensToAll(IDLE, { interaction } as never);
  expect(busy({ kind: 'shaping', window, by: 'grow', steps: 0 })).toBe(true);
  expect(busy({ kind: 'choosing-app', letter: 'a', typed: '' })).toBe(true);
  expect(busy({ kind: 'bare-desktop', whilePressed: true })).toBe(true);
  expect(busy({ kind: 'bare-desktop' })).toBe(false);
  expect(busy({ kind: 'calling-back', window, from: 'desk' })).toBe(false);
});
