import { expect, it } from 'vitest';
import { buttonOf, keyName } from './codes.ts';

it('a button is a number from 1 to 64 after its word, and nothing else', () => {
  for (const button of [1, 4, 10, 64]) expect(buttonOf(`Button${button}`)).toBe(button);
  for (const code of ['Button0', 'Button04', 'Button65', 'Button4x', 'xButton4', 'Button', 'KeyB'])
    expect(buttonOf(code)).toBeNull();
});

it('a key is called by what is printed on it, whichever side it is on', () => {
  const called = ['ShiftLeft', 'ShiftRight', 'ControlLeft', 'ControlRight', 'AltRight', 'MetaLeft'];
  expect(called.map((code) => keyName(code))).toEqual([
    ...['Shift', 'Shift', 'Ctrl', 'Ctrl', 'Alt', 'Meta'],
  ]);
  expect(['KeyQ', 'Digit7', 'Numpad4', 'Button5', 'F11'].map((code) => keyName(code))).toEqual([
    ...['Q', '7', 'Pad 4', 'Button 5', 'F11'],
  ]);
  expect(keyName('KeyY', { KeyY: 'Z' })).toBe('Z');
});
