import { expect, it } from 'vitest';
import { rangeText } from './rule-words.ts';

it('a range of sizes is told by what limits it', () => {
  expect(rangeText({ from: 300 })).toBe('at least 300');
  expect(rangeText({ to: 900 })).toBe('at most 900');
  expect(rangeText({ from: 300, to: 900 })).toBe('300 to 900');
  expect(rangeText({ from: 300, to: 300 })).toBe('300');
});
