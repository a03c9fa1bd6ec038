import { expect, test } from 'vitest';
import { foldsAt } from './folds.ts';
import type { Format } from './format.ts';

/** The lines, counted from 1, at which something can be folded, each with the last line of it. */
function folds(text: string, format: Format): [number, number][] {
  const starts = [0, ...[...text.matchAll(/\n/g)].map(({ index }) => index + 1)];
  const lineOf = (at: number) => text.slice(0, at).split('\n').length;
  return starts.flatMap((start, i) => {
    const fold = foldsAt(text, format, start);
    return fold ? [[i + 1, lineOf(fold.to)] as [number, number]] : [];
  });
}

test('YAML is folded by what stands further in, lists as far in as their name too', () => {
  const text = [
    'name: Hut', // 1
    'monitors:',
    '- id: a', // 3
    '  width: 9',
    '',
    '# about tiling', // 6
    'tiling:',
    '  gaps:', // 8
    '    inner: 3',
    '  growStep: 4', // 10
    '',
  ].join('\n');
  expect(folds(text, 'yaml')).toEqual([
    [2, 4],
    [3, 4],
    [7, 10],
    [8, 9],
  ]);
});

test('JSON is folded up to the bracket that closes, TOML table by table', () => {
  expect(folds('{\n  "a": [\n    1\n  ],\n  "b": 2\n}\n', 'json')).toEqual([
    [1, 6],
    [2, 4],
  ]);
  expect(folds('name = "x"\n[tiling]\na = 1\n\nb = 2\n[[rules]]\nid = "r"\n', 'toml')).toEqual([
    [2, 5],
    [6, 7],
  ]);
});
