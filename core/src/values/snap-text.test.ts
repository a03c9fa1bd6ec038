import { expect, it } from 'vitest';
import { snapTargetText, snapText } from './snap-text.ts';

it('a placing is told by its sides and shares', () => {
  const texts = [
    snapText({ x: { start: '1/3' }, y: 'full' }),
    snapText({ x: { middle: 0.5 }, y: { middle: '1/3' } }),
    snapText({ x: { end: 0.33333 }, y: { start: '1/2' } }),
    snapText({ x: 'full', y: { end: '2/3' } }),
    snapText({ x: { from: 2, to: 4, of: 8 }, y: { from: 1, to: 1, of: 2 } }),
    snapText({ x: 'full', y: 'full' }),
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
    snapTargetText({ x: { start: '1/2' }, ladder: ['1/3', 0.25] }),
    snapTargetText({ long: { start: '1/2' } }),
    snapTargetText({ long: { middle: '1/3' }, ladder: [] }),
    snapTargetText({ long: { end: '1/4' } }),
    snapTargetText({ long: { from: 1, to: 2, of: 3 } }),
    snapTargetText({ long: 'full' }),
    snapTargetText({}),
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
