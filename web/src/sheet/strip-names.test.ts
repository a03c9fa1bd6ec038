// @vitest-environment jsdom
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import '../testing/view.tsx';
import { stripNames } from './strip-names.ts';

const tile = { x: 100, y: 50, width: 500, height: 200 };
const texts = (...given: Parameters<typeof stripNames>) =>
  stripNames(...given).map(({ text, isChosen }) => (isChosen ? `[${text}]` : text));

describe('the names of a strip', () => {
  it('are all there where they fit, the shown one marked', () => {
    const names = ['Mail', 'Maps', 'Notes'];
    expect(texts('tabs', tile, names, 1)).toEqual(['Mail', '[Maps]', 'Notes']);
    expect(texts('list', tile, names, 0)).toEqual(['[Mail]', 'Maps', 'Notes']);
  });

  it('leave the tile alone where there is no room for two', () => {
    expect(stripNames('tabs', { ...tile, width: 90 }, ['Mail', 'Maps'], 0)).toEqual([]);
    expect(stripNames('list', { ...tile, height: 120 }, ['Mail', 'Maps'], 0)).toEqual([]);
  });

  it('stay inside the tile and apart, can be read, and count those that have no room', () => {
    const given = fc.record({
      kind: fc.constantFrom('tabs' as const, 'list' as const),
      width: fc.integer({ min: 20, max: 900 }),
      height: fc.integer({ min: 20, max: 900 }),
      names: fc.array(fc.string({ minLength: 3, maxLength: 30 }), { minLength: 2, maxLength: 60 }),
      at: fc.nat(),
    });
    fc.assert(
      fc.property(given, ({ kind, width, height, names, at }) => {
        const chosen = at % names.length;
        const cells = stripNames(kind, { ...tile, width, height }, names, chosen);
        if (cells.length === 0) return;
        cells.forEach((cell, i) => {
          expect(cell.x).toBeGreaterThanOrEqual(tile.x);
          expect(cell.x + cell.width).toBeLessThanOrEqual(tile.x + width);
          // The mark and the title are at the top, the figures at the foot.
          expect(cell.y).toBeGreaterThanOrEqual(tile.y + 60);
          expect(cell.y + cell.height).toBeLessThanOrEqual(tile.y + height - 40);
          expect(cell.height).toBeGreaterThan(15);
          const next = cells[i + 1];
          if (next && kind === 'tabs') expect(next.x).toBeGreaterThanOrEqual(cell.x + cell.width);
          if (next && kind === 'list') expect(next.y).toBeGreaterThanOrEqual(cell.y + cell.height);
        });
        expect(cells.filter(({ isChosen }) => isChosen)).toHaveLength(1);
        const isCut = cells.length < names.length;
        const more = isCut ? Number(cells.at(-1)!.text.slice(1)) : 0;
        expect(cells.length - (isCut ? 1 : 0) + more).toBe(names.length);
      }),
    );
  });
});
