// @vitest-environment jsdom
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import '../testing/view.tsx';
import { tabParts } from './tab-parts.ts';

// The test's letters are 7 pixels wide, all of them.
const LETTER = 7;
const tab = (more: object = {}) => ({
  name: 'Wide 34',
  layout: 'Lead 0.58',
  pixels: '3440×1440',
  workspaces: [
    { id: 'B', name: 'Bulletin' },
    { id: 'M', name: 'Maps' },
    { id: '1', name: '1' },
  ],
  shown: 'B',
  hasOtherEdge: false,
  ...more,
});
const texts = (width: number, more: object = {}) => {
  const { cells, name, layout } = tabParts(width, tab(more));
  return [name, layout, ...cells.map(({ text }) => text)].join(' | ');
};

describe('the tab of a monitor', () => {
  it('has names beside letters where there is room, that of the shown workspace first', () => {
    expect(texts(700)).toBe('Wide 34 | Lead 0.58 | B Bulletin | M Maps | 1');
    expect(texts(300)).toBe('Wide 34 | Lead 0.58 | B Bulletin | M | 1');
    expect(texts(300, { shown: 'M' })).toBe('Wide 34 | Lead 0.58 | B | M Maps | 1');
    expect(texts(220)).toBe('Wide 34 | Lead 0.58 | B | M | 1');
  });

  it('keeps the layout’s name when the monitor’s has to be cut', () => {
    expect(texts(217)).toBe('Wide… | Lead 0.58 | B | M | 1');
    expect(texts(195)).toBe(' | Lead 0.58 | B | M | 1');
  });

  it('has the layout at the other edge of the monitor rather than cut the name', () => {
    const { name, isLayoutApart, layout } = tabParts(160, tab({ hasOtherEdge: true }));
    expect([name, isLayoutApart, layout]).toEqual(['Wide 34', true, 'Lead 0.58']);
  });

  it('says no more of the layout than there is room for along the monitor', () => {
    expect(tabParts(60, tab({ hasOtherEdge: true })).layout).toBe('Lead 0.…');
    expect(tabParts(20, tab({ hasOtherEdge: true })).layout).toBe('');
  });

  it('tells how many workspaces more there are, and always has the shown one', () => {
    const workspaces = Array.from({ length: 30 }, (_, i) => ({ id: `${i}`, name: `${i}` }));
    fc.assert(
      fc.property(fc.integer({ min: 80, max: 600 }), fc.nat(29), (width, shown) => {
        const { cells } = tabParts(width, tab({ workspaces, shown: String(shown) }));
        const more = Number(/^\+(\d+)$/.exec(cells.at(-1)!.text)?.[1] ?? 0);
        expect(cells.some(({ id }) => id === String(shown))).toBe(true);
        expect(cells.filter(({ id }) => id !== '').length + more).toBe(30);
      }),
    );
  });

  it('lays nothing over anything else, at any width', () => {
    const word = fc
      .string({ minLength: 1, maxLength: 14 })
      .map((text) => text.replaceAll(' ', 'x'));
    const any = fc.record({
      name: word,
      layout: word,
      pixels: word,
      workspaces: fc.uniqueArray(fc.record({ id: word, name: word }), {
        minLength: 1,
        maxLength: 12,
        selector: ({ id }) => id,
      }),
      hasOtherEdge: fc.boolean(),
    });
    fc.assert(
      fc.property(any, fc.integer({ min: 90, max: 900 }), (some, width) => {
        const parts = tabParts(width, { ...some, shown: some.workspaces[0]!.id });
        const cellsEnd = parts.cells.reduce((at, cell) => at + cell.width, parts.cellsAt);
        expect(cellsEnd).toBeLessThan(width);
        const nameEnd = 15 + parts.name.length * LETTER;
        const pixelsEnd =
          parts.pixels === '' ? nameEnd : parts.pixelsAt + parts.pixels.length * LETTER;
        const layoutFrom = parts.layoutEnd - parts.layout.length * LETTER;
        if (parts.pixels !== '') expect(parts.pixelsAt).toBeGreaterThanOrEqual(nameEnd);
        if (parts.layout !== '' && !parts.isLayoutApart) {
          expect(layoutFrom).toBeGreaterThanOrEqual(pixelsEnd);
          expect(parts.layoutEnd).toBeLessThanOrEqual(parts.cellsAt);
        } else expect(pixelsEnd).toBeLessThanOrEqual(parts.cellsAt);
      }),
    );
  });
});
