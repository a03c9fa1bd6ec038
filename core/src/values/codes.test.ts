import { expect, it } from 'vitest';
import { buttonOf } from './codes.ts';

it('a button is a number from 1 to 64 after its word, and nothing else', () => {
  for (const button of [1, 4, 10, 64]) expect(buttonOf(`Button${button}`)).toBe(button);
  for (const code of ['Button0', 'Button04', 'Button65', 'Button4x', 'xButton4', 'Button', 'KeyB'])
    expect(buttonOf(code)).toBeNull();
});
