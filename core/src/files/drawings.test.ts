import { describe, expect, test } from 'vitest';
import { DEMO } from '../testing/profiles.ts';
import { layoutSvg, zoneBoardSvg } from './drawings.ts';

const sizes = (svg: string) =>
  [...svg.matchAll(/>(\d+) × (\d+)<\/text>/g)].map((size) => size.slice(1, 3).map(Number));

describe('drawings that leave', () => {
  test('a layout at true scale: the lead has its share of what the gaps leave', () => {
    // Workspace B on wide: 3440 × 1440, 28 above, outer gap 6, inner gap 10, lead share 0.58.
    const inner = 3440 - 2 * 6 - 10;
    const height = 1440 - 28 - 2 * 6;
    const lead = Math.round(inner * 0.58);
    const half = Math.floor((height - 10) / 2);
    const svg = layoutSvg(DEMO, 'wide', 3);
    expect(sizes(svg)).toEqual([
      [lead, height],
      [inner - lead, half],
      [inner - lead, half],
    ]);
    expect(svg).toContain('viewBox="0 0 3440 ');
    // Letters are 3.8 % of the shorter side, lines an eighteenth of that.
    const letter = Math.round(1440 * 0.038);
    const lines = [...svg.matchAll(/stroke-width="([\d.]+)"/g)].map(([, width]) => Number(width));
    expect(new Set(lines)).toEqual(new Set([Math.round(letter / 18)]));
    expect(svg).toContain(`font-size="${letter}"`);
  });

  test('a board has every zone once, with its name as text', () => {
    const board = { ...DEMO.boards[0]!, name: 'A <b> & "c"' };
    const svg = zoneBoardSvg(DEMO, board, 'wide', 'night');
    expect(sizes(svg)).toHaveLength(board.zones.length);
    expect(svg).toContain('A &lt;b&gt; &amp; &quot;c&quot;');
    expect(svg).not.toContain('<b>');
  });

  test('a monitor that is on no desk is told', () => {
    expect(() => layoutSvg(DEMO, 'moon', 3)).toThrow('moon is on no desk');
  });
});
