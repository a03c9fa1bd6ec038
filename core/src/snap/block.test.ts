import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cornerGrid, typedOn } from './block.ts';

describe('the lettered and numbered grid', () => {
  it('has about fifty cells, near to square, on the monitors of the demo', () => {
    // √(50 · W / H) columns, by hand: √121.8 = 11.04, √28.1 = 5.30, √86.1 = 9.28, √88.9 = 9.43.
    const on = (width: number, height: number) => cornerGrid({}, { width, height });
    expect(on(3440, 1412)).toEqual({ columns: 11, rows: 5 });
    expect(on(1440, 2560)).toEqual({ columns: 5, rows: 9 });
    expect(on(2880, 1672)).toEqual({ columns: 9, rows: 6 });
    expect(on(1920, 1080)).toEqual({ columns: 9, rows: 6 });
  });

  it('has at least one column and row, and no more than there are letters and digits', () => {
    const side = fc.integer({ min: 1, max: 100_000 });
    fc.assert(
      fc.property(side, side, (width, height) => {
        const { columns, rows } = cornerGrid({}, { width, height });
        expect(columns).toBeGreaterThanOrEqual(1);
        expect(columns).toBeLessThanOrEqual(26);
        expect(rows).toBeGreaterThanOrEqual(1);
        expect(rows).toBeLessThanOrEqual(9);
        // Where letters and digits do not run out, no cell is more than twice as long as it is wide.
        const ratio = width / height;
        if (ratio < 0.6 || ratio > 6) return;
        expect(Math.abs(Math.log(width / columns / (height / rows)))).toBeLessThan(Math.log(2));
        expect(Math.abs(columns * rows - 50)).toBeLessThanOrEqual(15);
      }),
    );
  });

  it('is as it is set, and the other side follows it', () => {
    expect(cornerGrid({ columns: 8, rows: 6 }, { width: 3440, height: 1412 })).toEqual({
      columns: 8,
      rows: 6,
    });
    expect(cornerGrid({ columns: 5 }, { width: 3440, height: 1412 })).toEqual({
      columns: 5,
      rows: 9,
    });
    expect(cornerGrid({ rows: 2 }, { width: 1440, height: 2560 })).toEqual({ columns: 5, rows: 2 });
  });
});

it('what is no letter and no digit of the grid is not typed on it', () => {
  const grid = { columns: 5, rows: 4 };
  for (const key of ['!', 'A', '0', 'ab', '', 'f', '5', ' '])
    expect(typedOn(grid, '', key)).toBeNull();
  for (const key of ['a', 'e', '1', '4']) expect(typedOn(grid, '', key)).toBe(key);
});
