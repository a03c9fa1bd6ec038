import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { profileSchema } from '../../model/profile.ts';
import { OFFICE } from '../../testing/desk.ts';
import { does, enter } from '../../testing/keys.ts';
import { keyMap } from '../map.ts';
import { CHART_COLOURS, chartSvg } from './drawing.ts';
import { chartHtml } from './page.ts';
import { chartCsv, chartMarkdown } from './text.ts';

const profile = profileSchema.parse({
  ...OFFICE,
  name: 'A <desk> | "mine"',
  apps: [{ id: 'notes', name: 'Tour Notes' }],
  keys: {
    layers: [{ id: 'more', lasts: 'once' }],
    bindings: [
      { keys: 'Main+KeyM', command: enter('more') },
      { keys: 'Minus', command: does('float'), in: 'more' },
      { keys: 'Main+KeyK KeyS', command: does('close'), app: 'notes' },
      { keys: 'Main+types:|', command: does('undo'), release: does('redo') },
    ],
  },
});
const count = keyMap(profile).length;

/** The contrast of two colours. WCAG 2.2, relative luminance. */
function contrast(a: string, b: string): number {
  const luminance = (colour: string) => {
    const [r, g, blue] = [1, 3, 5]
      .map((at) => parseInt(colour.slice(at, at + 2), 16) / 255)
      .map((part) => (part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4));
    return 0.2126 * r! + 0.7152 * g! + 0.0722 * blue!;
  };
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x);
  return (light! + 0.05) / (dark! + 0.05);
}

describe('a key chart', () => {
  it('as CSV lists every binding once', () => {
    const { data } = Papa.parse<Record<string, string>>(chartCsv(profile), {
      header: true,
      skipEmptyLines: true,
    });
    expect(data).toHaveLength(count);
    expect(new Set(data.map((row) => Object.values(row).join('\t'))).size).toBe(count);
    expect(data.find(({ app }) => app !== '')).toEqual({
      task: 'apps',
      keys: 'Meta K then S',
      command: 'close',
      layer: 'base',
      app: 'Tour Notes',
      from: 'own',
    });
    // No spreadsheet takes a key for a formula.
    expect(data.find(({ layer }) => layer === 'more')?.keys).toBe("'-");
  });

  it('as Markdown lists every binding once', () => {
    const lines = chartMarkdown(profile)
      .split('\n')
      .filter((line) => line.startsWith('| <kbd>'));
    expect(lines).toHaveLength(count);
    expect(new Set(lines).size).toBe(count);
    expect(lines).toContain('| <kbd>Meta</kbd> <kbd>“\\|”</kbd> | undo, on release redo |  |');
  });

  it('as a page has every binding once, and names are text', () => {
    const page = chartHtml(profile);
    expect(page.match(/<tr>/g)).toHaveLength(count);
    expect(page).toContain('Keys of A &lt;desk&gt; | &quot;mine&quot;');
    expect(page).not.toContain('<desk>');
  });

  it.each([
    [3440, 1440],
    [1440, 2560],
    [1920, 1080],
    [800, 600],
  ])('as a drawing of %i × %i has every binding, within its edges', (width, height) => {
    const svg = chartSvg(profile, { width, height }, 'day');
    expect(svg).toContain(`width="${width}" height="${height}"`);
    const [, w, h] = /viewBox="0 0 ([\d.]+) ([\d.]+)"/.exec(svg)!.map(Number);
    expect(w! / h!).toBeCloseTo(width / height, 2);
    const texts = [...svg.matchAll(/<text class="m" x="([\d.]+)" y="([\d.]+)" font-size="10"/g)];
    expect(texts).toHaveLength(count);
    const spots = texts.map(([, x, y]) => `${x} ${y}`);
    expect(new Set(spots).size).toBe(count);
    for (const [, x, y] of texts) {
      expect(Number(x)).toBeGreaterThan(12);
      expect(Number(x)).toBeLessThan(w! - 200);
      expect(Number(y)).toBeLessThan(h! - 12);
    }
  });

  it.each(['day', 'night'] as const)('can be read by %s', (mode) => {
    const { sheet, ground, ink, slate, petrol } = CHART_COLOURS[mode];
    for (const text of [ink, slate, petrol]) {
      for (const under of [sheet, ground]) expect(contrast(text, under)).toBeGreaterThan(4.5);
    }
  });
});
