import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { expiredRevisions, type DatedRevision } from './retention.ts';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const NOW = 20_000 * DAY;

const anyRevisions: fc.Arbitrary<DatedRevision[]> = fc
  .array(fc.record({ age: fc.integer({ min: 0, max: 800 * 24 * 6 }), isNamed: fc.boolean() }), {
    minLength: 1,
    maxLength: 80,
  })
  .map((list) =>
    list
      .sort((a, b) => b.age - a.age)
      .map(({ age, isNamed }, i) => ({
        number: i + 1,
        savedAtMs: NOW - age * (HOUR / 6),
        isNamed,
      })),
  );

describe('saves grow fewer with age', () => {
  test('the newest, the named and those of two days stay; each span keeps its last', () => {
    fc.assert(
      fc.property(anyRevisions, (revisions) => {
        const dropped = new Set(expiredRevisions(revisions, NOW));
        const kept = revisions.filter(({ number }) => !dropped.has(number));
        expect(kept).toContainEqual(revisions.at(-1));
        for (const { number, savedAtMs, isNamed } of revisions) {
          if (isNamed || NOW - savedAtMs <= 2 * DAY) expect(dropped).not.toContain(number);
          const week = Math.floor(savedAtMs / (7 * DAY));
          expect(kept.some((other) => Math.floor(other.savedAtMs / (7 * DAY)) === week)).toBe(true);
        }
        expect(expiredRevisions(kept, NOW)).toEqual([]);
      }),
    );
  });

  test('of an hour three days ago one stays, of a day three weeks ago one, of a week a year ago one', () => {
    const at = (ages: number[]) =>
      ages.map((age, i) => ({ number: i + 1, savedAtMs: NOW - age, isNamed: false }));
    const [three, weeks, year] = [3 * DAY, 21 * DAY, 364 * DAY];
    expect(expiredRevisions(at([three, three - HOUR / 3, three - HOUR / 2, 0]), NOW)).toEqual([
      1, 2,
    ]);
    expect(expiredRevisions(at([weeks, weeks - HOUR, weeks - 2 * HOUR, 0]), NOW)).toEqual([1, 2]);
    expect(expiredRevisions(at([year, year - DAY, 0]), NOW)).toEqual([1]);
  });
});
