import fc from 'fast-check';
import { expect, it } from 'vitest';
import { isSame } from './differences.ts';

/** The same text, with the fields of every object in one order. */
const text = (value: unknown): string =>
  JSON.stringify(value, (_, part: unknown) =>
    typeof part === 'object' && part !== null && !Array.isArray(part)
      ? Object.fromEntries(Object.entries(part).sort(([a], [b]) => (a < b ? -1 : 1)))
      : part,
  );

it('values are the same where they are the same text, whatever the order of fields', () => {
  const few = fc.constantFrom(0, 1, 'a', null, true);
  const { value } = fc.letrec<{ value: unknown }>((tie) => ({
    value: fc.oneof(
      { maxDepth: 3 },
      few,
      fc.array(tie('value'), { maxLength: 2 }),
      fc.dictionary(fc.constantFrom('0', '1', 'x'), tie('value'), {
        maxKeys: 2,
        noNullPrototype: true,
      }),
    ),
  }));
  fc.assert(
    fc.property(value, value, (one, other) => {
      expect(isSame(one, other)).toBe(text(one) === text(other));
      expect(isSame(one, structuredClone(one))).toBe(true);
    }),
    { numRuns: 3000 },
  );
  expect(isSame([1], [1, 2])).toBe(false);
  expect(isSame([1], { 0: 1 })).toBe(false);
});
