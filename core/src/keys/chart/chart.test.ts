import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { profileSchema } from '../../model/profile.ts';
import { OFFICE } from '../../testing/desk.ts';
import { does, enter, profileWith } from '../../testing/keys.ts';
import { FIXED_KEYS, FIXED_LAYERS } from '../fixed-layers.ts';
import { keyMap } from '../map.ts';
import { CHART_COLOURS, chartSvg, keyboardSvg } from './drawing.ts';
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

const asHtml = (text: string) =>
  text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');

/** "1", "…", "4" as "1", "2", "3", "4", as a reader takes it. */
function withRows(signs: string[]): string[] {
  return signs.flatMap((sign, i) => {
    if (sign !== '…') return [sign];
    const [from, to] = [signs[i - 1]!, signs[i + 1]!].map((each) => Number(/\d+/.exec(each)![0]));
    const before = signs[i - 1]!.replace(/\d+/, '');
    return Array.from({ length: to! - from! - 1 }, (_, n) => `${before}${from! + 1 + n}`);
  });
}

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

  it('as a page has every binding, some of them in one line, and names are text', () => {
    const page = chartHtml(profile);
    // Beside those of the profile: what the keys do while something is under way.
    const [own] = page.split('While a window is shaped');
    const lines = [...own!.matchAll(/<li><span>(.*)<\/span><b>(.*)<\/b>/g)].map(
      ([, keys, words]) => ({
        caps: withRows([...keys!.matchAll(/<kbd>(.*?)<\/kbd>/g)].map(([, cap]) => cap!)),
        words: withRows(words!.replace(/[(),]/g, '').split(' ')),
      }),
    );
    expect(lines.length).toBeLessThan(count * 0.7);
    const { data } = Papa.parse<Record<string, string>>(chartCsv(profile), {
      header: true,
      skipEmptyLines: true,
    });
    for (const { keys, command, layer, app } of data) {
      const caps = asHtml(keys!.replace(/^'/, '')).split(/ then | (?!\d|\S$)/);
      const said = asHtml(`${command} ${layer === 'base' ? '' : layer} ${app}`);
      const words = said
        .replace(/,/g, '')
        .split(/[\s-]+/)
        .filter(Boolean);
      const isThere = lines.some(
        (line) =>
          caps.every((cap) => cap.split(' ').every((part) => line.caps.join(' ').includes(part))) &&
          words.every((word) => line.words.join(' ').replace(/-/g, ' ').split(' ').includes(word)),
      );
      expect(isThere, `${keys} ${command}`).toBe(true);
    }
    expect(page).toContain('Keys of A &lt;desk&gt; | &quot;mine&quot;');
    expect(page).not.toContain('<desk>');
  });

  it('as a page says of every key in a line of several what that key does', () => {
    const digits = fc.uniqueArray(fc.integer({ min: 1, max: 9 }), { minLength: 3, maxLength: 9 });
    // Mostly in order, sometimes two of them exchanged.
    const mapping = fc
      .tuple(digits, fc.nat(8), fc.nat(8), fc.boolean(), fc.integer({ min: 0, max: 3 }))
      .map(([all, one, other, isSwapped, further]) => {
        const keys = [...all].sort((a, b) => a - b);
        const which = keys.map((key) => key + further);
        const [i, j] = [one % keys.length, other % keys.length];
        if (isSwapped) [which[i], which[j]] = [which[j]!, which[i]!];
        return keys.map((key, at) => [`${key}`, `${which[at]}`] as const);
      });
    fc.assert(
      fc.property(mapping, fc.boolean(), (pairs, hasRelease) => {
        const own = profileWith(
          pairs.map(([key, which]) => ({
            keys: `Main+Digit${key}`,
            command: { command: 'go-workspace', which },
            ...(hasRelease && { release: does('float') }),
          })),
        );
        const [, list] = chartHtml(own).split('>Workspaces</h2>');
        const lines = [...list!.split('</ul>')[0]!.matchAll(/<li>(.*?)<b>(.*?)<\/b>/g)];
        const end = hasRelease ? ', on release Float.*' : '';
        const read = lines.flatMap(([, caps, words]) => {
          const keys = withRows([...caps!.matchAll(/<kbd>(.*?)<\/kbd>/g)].map(([, cap]) => cap!));
          const [, said = ''] = new RegExp(`^Go to workspace (.*?)${end}$`).exec(words!) ?? [];
          const all = withRows(said.replaceAll(',', '').split(' '));
          expect(keys[0]).toBe('Meta');
          expect(keys.slice(1)).toHaveLength(all.length);
          return all.map((which, i) => [keys[i + 1]!, which] as const);
        });
        const sorted = (all: readonly (readonly [string, string])[]) =>
          all.map((pair) => pair.join(' ')).sort();
        expect(sorted(read)).toEqual(sorted(pairs));
        // Where keys and workspaces follow each other, one line says all.
        const follow = (at: 0 | 1) =>
          pairs.every((pair, i) => Number(pair[at]) === Number(pairs[0]![at]) + i);
        if (follow(0) && follow(1)) expect(lines).toHaveLength(1);
      }),
    );
  });

  it('as a page has the keys of what is under way, those that choose in one line', () => {
    const [, ...groups] = chartHtml(profile).split(/<h2[^>]*>(?=While )/);
    expect(groups).toHaveLength(FIXED_LAYERS.length);
    for (const layer of FIXED_LAYERS) {
      const lines = FIXED_KEYS[layer].filter(({ command }) => command.command !== 'pick');
      const isPicked = lines.length < FIXED_KEYS[layer].length;
      const group = groups.find((each) => {
        const count = (each.match(/<li>/g) ?? []).length;
        return count === lines.length + Number(isPicked) && each.includes('Choose') === isPicked;
      });
      expect(group, layer).toBeDefined();
    }
    const corner = groups.find((each) => each.startsWith('While corners'))!;
    expect(corner).toMatch(/<kbd>A … Z<\/kbd>.*<kbd>0 … 9<\/kbd>.*Choose/);
    expect(groups.find((each) => each.startsWith('While a window'))).not.toContain('Choose');
  });

  it('as a page may have one layer alone, or what is used most', () => {
    const bindings = (more: object) =>
      [...chartHtml(profile, { paper: 'A4', isLandscape: false, ...more }).matchAll(/<li>.*/g)].map(
        ([line]) =>
          line
            .replace(/<[^>]+>/g, ' ')
            .replace(/ +/g, ' ')
            .trim(),
      );
    expect(bindings({ layer: 'more' })).toEqual(['- Float window, or tile it (more)']);
    const uses = [
      { keys: 'Main+KeyK KeyS', command: 'close', times: 7 },
      { keys: 'Main+KeyM', command: 'enter-layer more', times: 3 },
      { keys: 'Minus', command: 'float', times: 1 },
    ];
    expect(bindings({ usedMost: { most: 2, uses } })).toEqual([
      'Meta K then S Close window (Tour Notes)',
      'Meta M Enter the layer more',
    ]);
    // Where there is no room for sentences, commands are words all the same.
    expect(bindings({}).join()).not.toMatch(/[a-z]-[a-z]/);
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

/** Texts of a drawing: where they stand and how wide they are, by letters of the widths that the sheet reckons with. */
function textsOf(svg: string) {
  return [
    ...svg.matchAll(
      /<text( class="m")? x="([\d.-]+)" y="([\d.-]+)" font-size="([\d.]+)"([^>]*)>([^<]*)</g,
    ),
  ].map(([, mono, x, y, size, more, html]) => {
    const text = html!.replace(/&[a-z]+;/g, '&');
    const natural = text.length * Number(size) * (mono ? 0.67 : 0.52);
    const fitted = /textLength="([\d.]+)"/.exec(more!)?.[1];
    const width = fitted === undefined ? natural : Number(fitted);
    const isEnd = more!.includes('text-anchor="end"');
    return {
      text,
      natural,
      width,
      left: Number(x) - (isEnd ? width : 0),
      y: Number(y),
      isFitted: fitted !== undefined,
    };
  });
}

describe('a drawing of keys', () => {
  const long = profileSchema.parse({
    ...OFFICE,
    name: 'Long',
    apps: [{ id: 'notes', name: 'Tour Notes of every one of the stations in the valley' }],
    keys: {
      layers: [{ id: 'more', lasts: 'once' }],
      bindings: [
        { keys: 'Main+KeyM', command: enter('more') },
        { keys: 'Main+KeyK KeyS KeyT KeyU', command: does('close'), app: 'notes' },
        { keys: 'Main+Ctrl+Alt+Shift+BracketLeft', command: does('undo') },
      ],
    },
  });

  it.each([
    [3440, 1440],
    [1440, 2560],
    [800, 600],
  ])(
    'of %i × %i: no text reaches over another or the edge, and none is squeezed too far',
    (width, height) => {
      const svg = chartSvg(long, { width, height }, 'day');
      const [, w, h] = /viewBox="0 0 ([\d.]+) ([\d.]+)"/.exec(svg)!.map(Number);
      const texts = textsOf(svg);
      for (const { text, left, width: wide, natural, y, isFitted } of texts) {
        expect(left, text).toBeGreaterThanOrEqual(12);
        expect(left + wide, text).toBeLessThanOrEqual(w! - 12);
        expect(y, text).toBeLessThan(h! - 12);
        // Narrower down to 0.6; where it has room it is as wide as it is.
        expect(wide / natural, text).toBeGreaterThan(0.59);
        expect(isFitted, text).toBe(wide < natural);
      }
      const lines = new Map<number, typeof texts>();
      for (const each of texts) lines.set(each.y, [...(lines.get(each.y) ?? []), each]);
      for (const line of lines.values()) {
        line.sort((a, b) => a.left - b.left);
        line.slice(1).forEach((each, i) => {
          const before = line[i]!;
          expect(before.left + before.width, `${before.text} | ${each.text}`).toBeLessThanOrEqual(
            each.left + 0.1,
          );
        });
      }
      // What is cut is no more than it needs to be, and what is short is whole.
      const cut = texts.filter(({ text }) => text.endsWith('…') && text.length > 1);
      expect(cut.length).toBeGreaterThan(0);
      for (const { text, width: wide, natural } of cut)
        expect(wide / natural, text).toBeLessThan(0.68);
      expect(texts.some(({ text }) => text === 'Meta M')).toBe(true);
    },
  );

  it('has the board in the middle, each key’s words within it', () => {
    for (const svg of [
      chartSvg(long, { width: 1920, height: 1080 }, 'day'),
      keyboardSvg(long, 'night'),
    ]) {
      const [, w] = /viewBox="0 0 ([\d.]+) /.exec(svg)!.map(Number);
      const board = svg.slice(svg.indexOf('<g>'), svg.indexOf('</g>'));
      const keys = board
        .split('<rect ')
        .slice(1)
        .map((key) => {
          const [x, y, width, height] = ['x', 'y', 'width', 'height'].map((name) =>
            Number(new RegExp(`\\b${name}="([\\d.-]+)"`).exec(key)![1]),
          ) as [number, number, number, number];
          return { x, y, width, height, texts: textsOf(key) };
        });
      const left = Math.min(...keys.map(({ x }) => x));
      const right = Math.max(...keys.map(({ x, width }) => x + width));
      expect(Math.abs(left - (w! - right))).toBeLessThan(0.1);
      expect(left).toBeGreaterThan(20);
      // No key lies over another.
      keys.forEach((one, i) => {
        for (const other of keys.slice(i + 1)) {
          const isApart =
            one.x + one.width <= other.x + 0.1 ||
            other.x + other.width <= one.x + 0.1 ||
            one.y + one.height <= other.y + 0.1 ||
            other.y + other.height <= one.y + 0.1;
          expect(isApart).toBe(true);
        }
      });
      // Those that do something have a darker edge.
      const { hairline } = CHART_COLOURS[svg.includes(CHART_COLOURS.day.sheet) ? 'day' : 'night'];
      for (const key of board.split('<rect ').slice(1))
        expect(key.includes(`stroke="${hairline}"`)).toBe(textsOf(key).length === 1);
      for (const { x, y, width, height, texts } of keys)
        for (const { text, left: from, width: wide, y: base } of texts.slice(1)) {
          expect(from, text).toBeGreaterThan(x);
          expect(from + wide, text).toBeLessThanOrEqual(x + width);
          expect(base, text).toBeGreaterThan(y);
          expect(base, text).toBeLessThan(y + height);
        }
    }
  });
});
