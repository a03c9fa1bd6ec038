import { keyCommandSchema, RUNNABLE } from '@sorn/core/commands';
import { expect, it } from 'vitest';
import { namedPlaces, wordsOf } from './command-words.ts';

it('every command that is run by its name has other words that it is found by', () => {
  expect(RUNNABLE.filter((id) => wordsOf(id) === '')).toEqual([]);
});

it('places have one name each, and are commands as the schema has them', () => {
  const places = namedPlaces();
  expect(new Set(places.map(({ text }) => text)).size).toBe(places.length);
  for (const { text, command } of places) {
    expect(keyCommandSchema.safeParse(command).success, text).toBe(true);
  }
  expect(places.find(({ text }) => text === 'left third')?.command).toEqual({
    command: 'place-at',
    x: { start: '1/3' },
  });
});
