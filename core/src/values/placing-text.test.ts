import { expect, it } from 'vitest';
import { placeAtText, placingText } from './placing-text.ts';

it('a placing is told by its sides and shares', () => {
  const texts = [
    placingText({ x: { start: '1/3' }, y: 'full' }),
    placingText({ x: { middle: 0.5 }, y: { middle: '1/3' } }),
    placingText({ x: { end: 0.33333 }, y: { start: '1/2' } }),
    placingText({ x: 'full', y: { end: '2/3' } }),
    placingText({ x: { from: 2, to: 4, of: 8 }, y: { from: 1, to: 1, of: 2 } }),
    placingText({ x: 'full', y: 'full' }),
  ];
  expect(texts).toEqual([
    'left 1/3',
    'middle 0.5, middle 1/3 of the height',
    'right 0.333, upper 1/2',
    'lower 2/3',
    'columns 2 to 4 of 8, rows 1 to 1 of 2',
    'the whole work area',
  ]);
});

it('what place-at says is told with its ladder, or along the longer side', () => {
  const texts = [
    placeAtText({ x: { start: '1/2' }, ladder: ['1/3', 0.25] }),
    placeAtText({ long: { start: '1/2' } }),
    placeAtText({ long: { middle: '1/3' }, ladder: [] }),
    placeAtText({ long: { end: '1/4' } }),
    placeAtText({ long: { from: 1, to: 2, of: 3 } }),
    placeAtText({ long: 'full' }),
    placeAtText({}),
  ];
  expect(texts).toEqual([
    'left 1/2, then 1/3, 0.25',
    'first 1/2 of the longer side',
    'middle 1/3 of the longer side',
    'last 1/4 of the longer side',
    'parts 1 to 2 of 3 of the longer side',
    'the whole work area',
    'the whole work area',
  ]);
});
