import { describe, expect, test } from 'vitest';
import { DEMO } from '../testing/profiles.ts';
import { compactProfile } from './compact.ts';
import { FORMATS } from './format.ts';
import { pathAt, spanOf, stepsOf } from './positions.ts';
import { writeText } from './write.ts';

test('the path of a fault, step by step', () => {
  expect(stepsOf('tiling.places[1].layout.leadShare')).toEqual([
    'tiling',
    'places',
    1,
    'layout',
    'leadShare',
  ]);
  expect(stepsOf('')).toEqual([]);
});

describe.each(FORMATS)('places in %s', (format) => {
  const text = writeText(compactProfile(DEMO), format);
  const paths = [
    'name',
    'monitors[1].width',
    'rules[2].when.all[0].of',
    'tiling.gaps.inner',
    'boards[0].zones[1].name',
  ];

  test.each(paths)('%s stands at the name of its field, and is found there again', (path) => {
    const span = spanOf(text, format, stepsOf(path));
    const name = String(stepsOf(path).at(-1));
    expect(text.slice(span.from, span.to)).toMatch(new RegExp(`^"?(\\w+\\.)*${name}"?$`));
    expect(pathAt(text, format, span.from + 1)).toEqual(stepsOf(path));
  });

  test('the first letter of a name is in that, not in what stands before it', () => {
    // In TOML a list has no name of its own.
    const fields = format === 'toml' ? ['version', 'name'] : Object.keys(compactProfile(DEMO));
    for (const field of fields) {
      const { from } = spanOf(text, format, [field]);
      expect(pathAt(text, format, from)).toEqual([field]);
    }
    for (const path of paths) {
      const { from } = spanOf(text, format, stepsOf(path));
      expect(pathAt(text, format, from)).toEqual(stepsOf(path));
    }
  });

  test('what is not there is told where it would be', () => {
    const inside = spanOf(text, format, ['rules', 2, 'when', 'nothing']);
    expect(pathAt(text, format, inside.from)).toEqual(expect.arrayContaining(['rules', 2]));
  });
});

test('what is broken has no places, and breaks nothing', () => {
  for (const format of FORMATS)
    expect(spanOf('= [', format, ['name']).from).toBeGreaterThanOrEqual(0);
});
