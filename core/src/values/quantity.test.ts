import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  percentsText,
  readLength,
  readMillimetres,
  readShare,
  readWeight,
  readWeights,
} from './quantity.ts';

const share = (text: string, length: number | null = null) => {
  const reading = readShare(text, length);
  return 'value' in reading ? reading.value : reading.expected;
};

describe('a share', () => {
  it.each([
    ['0.62', 0.62],
    ['.62', 0.62],
    ['0,62', 0.62],
    ['62', 0.62],
    ['62 %', 0.62],
    ['62%', 0.62],
    ['0.5 %', 0.005],
    ['5/8', 0.625],
    [' 5 / 8 ', 0.625],
    ['1', 1],
    ['0', 0],
    ['100', 1],
    ['1.5', 0.015],
  ])('%j is %d', (text, value) => {
    expect(share(text)).toBe(value);
  });

  it('is a number of pixels where its length is known, and comes out at them', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 20_000 }), fc.nat(), (length, some) => {
        const pixels = some % (length + 1);
        const value = share(`${pixels} px`, length);
        expect(Math.round((value as number) * length)).toBe(pixels);
      }),
    );
  });

  it.each(['', 'x', '6 2', '1587 px', '5/0', '62 mm', '6..2', 'NaN', '1e3 %', '5/8 px'])(
    '%j is none, and says what one is',
    (text) => {
      expect(share(text)).toContain('expected a share such as 0.62, 62 %, 5/8');
    },
  );

  it.each(['-1', '101', '9/8', '-0.2', '2000 px'])('%j is outside of what there is', (text) => {
    expect(share(text, 1600)).toBe('expected a share from 0 to 100 %');
  });

  it('says what was understood', () => {
    expect(readShare('5/8', 2540)).toEqual({ value: 0.625, says: '62.5 % · 1588 px' });
    expect(readShare('62', null)).toEqual({ value: 0.62, says: '62 %' });
  });
});

describe('a length', () => {
  const known = { perMillimetre: 4, whole: 2560 };

  it.each([
    ['12', 12],
    ['12.5', 12.5],
    ['12 px', 12],
    ['12 pixels', 12],
    ['3 mm', 12],
    ['1 cm', 40],
    ['0.5 inch', 51],
    ['0,5"', 51],
    ['1 in', 102],
    ['1 %', 26],
    ['-3', -3],
  ])('%j is %d px', (text, value) => {
    expect(readLength(text, known)).toMatchObject({ value });
  });

  it('says what it became', () => {
    expect(readLength('3 mm', known)).toMatchObject({ says: '3 mm = 12 px' });
    expect(readLength('1 %', known)).toMatchObject({ says: '1 % of 2560 px = 26 px' });
  });

  it('on a screen whose size is not known is given in pixels alone, and it says so', () => {
    const unknown = { perMillimetre: null, whole: null };
    expect(readLength('12', unknown)).toMatchObject({ value: 12 });
    expect(readLength('3 mm', unknown)).toEqual({
      expected:
        'expected a number of pixels: the size of this screen is not known (Desk, Screen size)',
    });
    expect(readLength('1 %', unknown)).toEqual({ expected: 'expected a number of pixels' });
    expect(readLength('3 constructor', known)).toMatchObject({
      expected: 'expected pixels, or a length such as 3 mm, 0.2 inch, 1 %',
    });
  });

  it('of a screen is in millimetres, or in inches', () => {
    expect(readMillimetres('597')).toEqual({ value: 597, says: '597 mm' });
    expect(readMillimetres('23.5 inch')).toEqual({ value: 597, says: '597 mm' });
    expect(readMillimetres('23 px')).toHaveProperty('expected');
  });
});

describe('weights', () => {
  it.each(['25 50 25', '25/50/25', '25, 50, 25', '25 % 50 % 25 %', '25%,  50%, 25%', '25:50:25'])(
    '%j are three',
    (text) => {
      expect(readWeights(text, 8)).toEqual({
        weights: [25, 50, 25],
        says: '25 %, 50 %, 25 %',
      });
    },
  );

  it('are as many as there may be, each above 0', () => {
    for (const text of ['', '0', '1 0', '1 2 3', '-1', 'a b', '1e400']) {
      expect(readWeights(text, 2)).toHaveProperty('expected');
    }
    expect(readWeights('0,5 1.5', 2)).toMatchObject({ weights: [0.5, 1.5] });
  });

  it('of one track are numbers, or percent of all of them', () => {
    expect(readWeight('2', 2)).toEqual({ value: 2, says: '50 %' });
    expect(readWeight('25 %', 3)).toEqual({ value: 1, says: '25 %' });
    for (const text of ['', '0', '-1', '100 %', '0 %', '2 px']) {
      expect(readWeight(text, 3)).toHaveProperty('expected');
    }
    expect(readWeight('50 %', 0)).toEqual({ expected: 'expected a weight' });
  });

  it('are told as percent of all', () => {
    expect(percentsText([1, 2])).toBe('33.3 %, 66.7 %');
  });
});

it('weights are read past marks at their ends, and told where one is none', () => {
  expect(readWeights('/25 50', 9)).toMatchObject({ weights: [25, 50] });
  expect(readWeights(' 1/2/ ', 9)).toMatchObject({ weights: [1, 2] });
  expect(readWeights('1 0', 9)).toHaveProperty('expected');
  expect(readWeights('/', 9)).toHaveProperty('expected');
});
