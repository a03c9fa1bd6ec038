import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  DESK_FINDINGS,
  expectationSchema,
  OF_EVERY_WINDOW,
  WINDOW_STATES,
  type Expectation,
} from '../model/expectation.ts';
import { LAYOUT_KINDS } from '../values/layout.ts';
import { expectationText, readExpectation } from './expectation-text.ts';

const id = fc
  .oneof(
    fc.stringMatching(/^[a-z][a-z0-9-]{0,12}$/),
    fc.stringMatching(/^[^\s/]{1,20}$/),
    fc.constantFrom(
      'monitor',
      'every',
      'titled',
      'at',
      'is',
      'nothing',
      'a.',
      '"',
      '(',
      ',',
      'x×y',
    ),
  )
  .filter((name) => name !== '__proto__');
const size = fc.integer({ min: 1, max: 9_999 });
const text = fc.string({ minLength: 1, maxLength: 20 });
const which = fc.oneof(
  id,
  fc.record({ app: id, nth: fc.integer({ min: 1, max: 1_000 }) }),
  fc.record({ title: text }),
);
const least = fc.oneof(
  size,
  fc.tuple(size, size).map(([part, of]) => `${part}/${of}`),
);
const window = { window: which };
const expectation: fc.Arbitrary<object> = fc.oneof(
  fc.record({ ...window, is: fc.constantFrom(...WINDOW_STATES) }),
  fc.record({ ...window, zone: text }),
  fc.record({ ...window, number: fc.integer({ min: 1, max: 1_000 }) }),
  fc.record({ ...window, atLeast: fc.record({ width: least, height: least }) }),
  fc.record({ ...window, beside: which }),
  fc.record({
    ...window,
    rect: fc.record({
      x: fc.integer({ min: -9_999, max: 9_999 }),
      y: fc.integer({ min: -9_999, max: 9_999 }),
      width: size,
      height: size,
    }),
  }),
  fc.record({ ...window, monitor: id }),
  fc.record({ ...window, workspace: id }),
  fc.record({ monitor: id, shows: id }),
  fc.record({ workspace: id, layout: fc.constantFrom(...LAYOUT_KINDS) }),
  fc.record({ every: fc.constantFrom(...OF_EVERY_WINDOW) }),
  fc.record({ findings: fc.subarray([...DESK_FINDINGS]) }),
  fc.record({ same: id }),
  fc.record({ presses: fc.nat({ max: 10_000 }) }),
  fc.record({ moved: fc.array(which, { maxLength: 3 }) }),
);

describe('an expectation as a sentence', () => {
  it('is the same object again when it is read', () => {
    fc.assert(
      fc.property(expectation, (given) => {
        const object = expectationSchema.parse(given);
        expect(readExpectation(expectationText(object))).toEqual(object);
      }),
      { numRuns: 2_000 },
    );
  });

  it('reads as a person would say it', () => {
    const said = (given: object) => expectationText(given as Expectation);
    expect(said({ window: 'pitreader', monitor: 'wide' })).toBe('pitreader is on monitor wide');
    expect(said({ window: { app: 'shell', nth: 2 }, is: 'left-alone' })).toBe(
      'shell (2) is left alone',
    );
    expect(said({ window: { title: 'In*' }, atLeast: { width: '1/2', height: 600 } })).toBe(
      'titled "In*" is at least 1/2 × 600',
    );
    expect(said({ moved: ['post', 'shell'] })).toBe('nothing moved but post, shell');
    expect(said({ findings: [] })).toBe('there is no finding');
  });

  it.each([
    ['', 'a sentence such as'],
    ['pitreader', 'a sentence such as'],
    ['pitreader is lost', 'one of the lead, tiled, floating'],
    ['pitreader is floating, and large', 'a sentence such as'],
    ['pitreader is at least', 'a sentence such as'],
    ['pitreader is number 0', 'a whole number from 1 to 1000'],
    ['workspace B has layout circles', 'one of '],
    ['there is no finding of dust', 'one of squeeze'],
    ['every window is blue', 'one of in reach, at least its minimum'],
    ['"open is floating', 'a sentence such as'],
  ])('says what was expected in the place of “%s”', (sentence, expected) => {
    expect(readExpectation(sentence)).toContain(expected);
  });

  it('is read in any case, with a full stop, and with an x', () => {
    expect(readExpectation('Post is at least 600 x 400.')).toEqual({
      window: 'Post',
      atLeast: { width: 600, height: 400 },
    });
    expect(readExpectation('Every window is in reach')).toEqual({ every: 'in-reach' });
  });
});
