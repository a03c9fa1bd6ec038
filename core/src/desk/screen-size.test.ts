import { expect, it } from 'vitest';
import { inchesText, millimetresOf, screenSizeText } from './screen-size.ts';

it('a screen has a diagonal as it is sold, and its millimetres by that', () => {
  // 27 inches at 16 : 9 are 597.7 by 336.2 mm.
  expect(millimetresOf(27, { width: 2560, height: 1440 })).toEqual({ width: 598, height: 336 });
  expect(inchesText({ width: 598, height: 336 })).toBe('27 inches');
  expect(screenSizeText({ width: 302, height: 189 })).toBe('302 × 189 mm, 14 inches');
  expect(millimetresOf(0.01, { width: 1, height: 1 })).toEqual({ width: 1, height: 1 });
});
