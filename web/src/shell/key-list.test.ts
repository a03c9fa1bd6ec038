import { describe, expect, it } from 'vitest';
import type { PageKey } from '../ui/page-keys.ts';
import { keyList } from './key-list.ts';

const key = (caps: string[], label: string, more: Partial<PageKey> = {}): PageKey => ({
  keys: [],
  caps,
  label,
  run: () => undefined,
  ...more,
});
const GROUPS = new Map<string, readonly PageKey[]>([
  ['frame', [key(['?'], 'all keys'), key(['X'], 'cables and desks')]],
  [
    'sheet-keys',
    [
      key(['Meta', 'W'], 'float', { part: 'What a window is' }),
      key(['Meta', '\\', 'then', 'L'], 'use-layout lead', { part: 'Layout' }),
      key(['Meta', '\\', 'then', 'C'], 'use-layout columns', { part: 'Layout' }),
    ],
  ],
  [
    'Desk',
    [
      key(['[', ']'], 'select'),
      key([']'], 'select the next monitor'),
      key(['Ctrl', '← → ↑ ↓'], '1 px'),
      key(['Ctrl', '↑'], 'move it up by 1 px'),
      key(['↑'], 'move it up'),
      key(['X'], 'cables', { summary: true }),
    ],
  ],
]);
const texts = (typed?: string) =>
  keyList(GROUPS, typed).map(
    ({ title, keys }) => `${title}: ${keys.map(({ label }) => label).join(', ')}`,
  );

describe('the list of keys', () => {
  it('has each key once, those of the view first and those of every page last', () => {
    expect(texts()).toEqual([
      'Desk: select, 1 px, move it up',
      'What a window is: float',
      'Layout: use-layout lead, use-layout columns',
      'Everywhere: all keys, cables and desks',
    ]);
  });

  it('is narrowed by words, by caps and by what keys are for', () => {
    expect(texts('all')).toEqual(['Everywhere: all keys']);
    expect(texts('meta w')).toEqual(['What a window is: float']);
    expect(texts('layout col')).toEqual(['Layout: use-layout columns']);
    expect(texts('nothing at all')).toEqual([]);
  });

  it('says whose keys they are', () => {
    expect(keyList(GROUPS).map(({ of }) => of)).toEqual([
      'of this page',
      'of the desk',
      'of the desk',
      'of every page',
    ]);
  });
});
