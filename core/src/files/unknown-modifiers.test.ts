import { expect, it } from 'vitest';
import { does, profileWith } from '../testing/keys.ts';
import { unknownModifiers } from './unknown-modifiers.ts';

it('keys with a modifier that does not exist are told with those that do', () => {
  const profile = profileWith(
    [
      { keys: 'Main+KeyA', command: does('float') },
      { keys: 'Shfit+KeyY', command: does('undo') },
      { keys: 'KeyK Caps+KeyS', command: does('redo') },
      { keys: 'Else+KeyS', command: does('close') },
    ],
    { bundles: [{ id: 'Caps', hold: 'CapsLock', modifiers: ['Ctrl'] }] },
  );
  const [fault, other] = unknownModifiers(profile);
  expect(fault).toMatchObject({ path: 'keys.bindings[1].keys', found: '"Shfit+KeyY"' });
  expect(fault!.expected).toContain('Caps');
  expect(fault!.expected).toMatch(/the nearest to Shfit is Shift$/);
  expect(other).toMatchObject({ path: 'keys.bindings[3].keys' });
  expect(unknownModifiers(profile, ['Else', 'Shfit'])).toEqual([]);
});
