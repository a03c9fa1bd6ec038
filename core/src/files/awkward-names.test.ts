import fc from 'fast-check';
import markdownIt from 'markdown-it';
import { SaxesParser } from 'saxes';
import { describe, expect, it } from 'vitest';
import { chartSvg } from '../keys/chart/drawing.ts';
import { chartCsv, chartMarkdown } from '../keys/chart/text.ts';
import { profileSchema } from '../model/profile.ts';
import { DEMO } from '../testing/profiles.ts';
import { layoutSvg, zoneBoardSvg } from './drawings.ts';
import { parseText } from './parse.ts';
import { readFileText } from './read-text.ts';
import { rulesCsv } from './rules-csv.ts';
import { whyNot, writeText } from './write.ts';

const refusal = (name: string, text: string, bundles: readonly string[] = []) => {
  const read = readFileText(name, text, bundles);
  return read.ok ? [] : read.lines;
};

describe('a table', () => {
  it('tells each fault by the line it stands in, though cells have lines of their own and lines are empty', () => {
    const text = [
      'id,name,all,held',
      '',
      'a,A,"app is shell',
      'title is x",floating',
      '',
      'b,B,app is shell,hello',
      'c,C,kind is nonsense,floating',
      'd,D,app shell,floating',
    ];
    expect(refusal('a.csv', `${text.join('\n')}\n`)).toEqual([
      'a.csv: line 8, all: app shell; expected a condition a line, such as "app is shell" or "width from 300 to 900"',
    ]);
    const lines = refusal('a.csv', `${text.slice(0, -1).join('\r\n')}\r\n`);
    expect(lines.map((line) => /line \d+, [\w.[\]]+/.exec(line)?.[0])).toEqual([
      'line 6, held',
      'line 7, all[0].is',
    ]);
    expect(refusal('k.csv', 'keys,command\n\nMain+KeyK,\nMain+KeyL,undoo\nnonsense+,\n')).toEqual([
      expect.stringMatching(/^k\.csv: line 4, command: "undoo"/),
      expect.stringMatching(/^k\.csv: line 5: "nonsense\+"/),
    ]);
  });

  it('brings nothing where a quote stays open, and tells the line in which it is opened', () => {
    expect(refusal('a.csv', 'id,name\na,A\nb,"B\nc,C\n')).toEqual([
      'a.csv: line 3: a quote that is opened here is never closed; expected comma-separated values',
    ]);
  });

  it('of rules makes up an id where there is none', () => {
    const text =
      'id,name,all,held\n,Shell floats,app is shell,floating\nshell-floats,,app is a,tiled\n';
    const read = readFileText('a.csv', `${text},,app is b,tiled\n,Shell floats,app is c,tiled\n`);
    expect(read.ok && read.value.profile.rules.map(({ id }) => id)).toEqual([
      'shell-floats-2',
      'shell-floats',
      'rule',
      'shell-floats-3',
    ]);
  });
});

describe('a file that is brought in', () => {
  it('is called empty where it is', () => {
    for (const name of ['a.json', 'a.yaml', 'a.toml', 'a'])
      for (const text of ['', ' \n\n', '\uFEFF'])
        expect(refusal(name, text)).toEqual([
          `${name}: empty; expected a text that says something`,
        ]);
    for (const name of ['a.yaml', 'a.toml'])
      expect(refusal(name, '# only this\n')).toEqual([
        `${name}: empty; expected a text that says something`,
      ]);
    expect(refusal('a.csv', '')[0]).toContain('a.csv: line 1: the file is empty');
    expect(refusal('a.json', '{}')).toEqual([]);
  });

  it('tells the line of a fault in every format', () => {
    const rules = [
      { id: 'a', then: { held: 'floating' } },
      { id: 'b', then: { held: 'flying' } },
    ];
    expect(refusal('a.json', JSON.stringify({ rules }, null, 1))).toEqual([
      expect.stringMatching(/^a\.json: line 12: rules\[1\]\.then\.held: "flying"/),
    ]);
    expect(
      refusal(
        'a.yaml',
        'rules:\n  - id: a\n    then: { held: floating }\n  - id: b\n    then:\n      held: flying\n',
      ),
    ).toEqual([expect.stringMatching(/^a\.yaml: line 6: rules\[1\]\.then\.held: "flying"/)]);
    expect(
      refusal(
        'a.toml',
        '[[rules]]\nid = "a"\nthen = { held = "floating" }\n\n[[rules]]\nid = "b"\nthen = { held = "flying" }\n',
      ),
    ).toEqual([expect.stringMatching(/^a\.toml: line 7: rules\[1\]\.then\.held: "flying"/)]);
  });

  it('names no modifier that does not exist; one that is a bundle where it goes is one', () => {
    const csv = 'keys,command\nMain+KeyK,undo\nWrong+KeyY,redo\n';
    expect(refusal('k.csv', csv)).toEqual([
      'k.csv: line 3, keys: "Wrong+KeyY"; expected modifiers among Main, Ctrl, Alt, Shift, Meta, not Wrong',
    ]);
    expect(refusal('k.csv', csv, ['Wrong'])).toEqual([]);
    const bindings = [{ keys: 'Shfit+KeyY', command: { command: 'undo' } }];
    expect(refusal('a.json', JSON.stringify({ keys: { bindings } }))[0]).toContain(
      'the nearest to Shfit is Shift',
    );
    const bundles = [{ id: 'Shfit', hold: 'CapsLock', modifiers: ['Ctrl'] }];
    expect(refusal('a.json', JSON.stringify({ keys: { bindings, bundles } }))).toEqual([]);
    // A whole profile has only the bundles it says.
    const whole = { monitors: [{ id: 'm', width: 9, height: 9 }], keys: { bindings } };
    expect(refusal('a.json', JSON.stringify(whole), ['Shfit'])).toHaveLength(1);
    const elsewhere = { apps: [{ id: 'a', shortcuts: [{ keys: 'Wrong+KeyA', what: 'x' }] }] };
    expect(refusal('a.json', JSON.stringify(elsewhere))[0]).toContain('apps[0].shortcuts[0].keys');
  });
});

const AWKWARD = fc.string({
  unit: fc.constantFrom(
    ...[
      'a',
      ' ',
      '<',
      '>',
      '&',
      '"',
      "'",
      '|',
      '*',
      '_',
      '`',
      '[',
      ']',
      '(',
      ')',
      '\\',
      '#',
      '!',
      '~',
    ],
    ...[
      '\u0000',
      '\u0007',
      '\u001b',
      '\uFFFE',
      '\uD800',
      '\uDC00',
      '😀',
      '\n',
      '\t',
      'ä',
      '=',
      '-',
    ],
    ...['<b>', '</text>', '**b**', '![x](y)', ']]>', '<!--', '&amp;', 'http://x.y', '$$'],
  ),
  minLength: 1,
  maxLength: 12,
});

/** What a strict reader of XML finds in it: the texts, in their order. */
function textsIn(svg: string): string[] {
  const texts: string[] = [];
  let inside = '';
  const parser = new SaxesParser();
  parser.on('error', (error) => {
    throw error;
  });
  parser.on('opentag', () => (inside = ''));
  parser.on('text', (text) => (inside += text));
  parser.on('closetag', ({ name }) => {
    if (name === 'text') texts.push(inside);
    inside = '';
  });
  parser.write(svg).close();
  return texts;
}

/** A zone's name is one line, without a space at its ends. */
const zoneName = (name: string) => name.replace(/\n/g, '').trim() || 'zone';

const named = (name: string) =>
  profileSchema.parse({
    ...DEMO,
    name,
    apps: DEMO.apps.map((app) => ({ ...app, name })),
    boards: DEMO.boards.map((board) => ({
      ...board,
      name,
      zones: board.zones.map((zone, i) => ({ ...zone, name: zoneName(name) + (i === 0 ? '' : i) })),
    })),
    keys: {
      ...DEMO.keys,
      bindings: [{ keys: 'Main+KeyK', command: { command: 'undo' }, app: DEMO.apps[0]!.id }],
    },
  });

describe('names of any characters', () => {
  it('are text in drawings that every reader of XML takes', () => {
    fc.assert(
      fc.property(AWKWARD, (name) => {
        const profile = named(name);
        const zones = textsIn(zoneBoardSvg(profile, profile.boards[0]!, 'wide'));
        expect(zones.length).toBe(profile.boards[0]!.zones.length * 2 + 1);
        expect(textsIn(layoutSvg(profile, 'wide', 3))).toHaveLength(7);
        expect(
          textsIn(chartSvg(profile, { width: 1920, height: 1080 }, 'day')).length,
        ).toBeGreaterThan(100);
        // What XML can hold is there as it is.
        if (!/[\p{Cc}\uFFFE]|\p{Surrogate}/u.test(name)) expect(zones[0]).toBe(zoneName(name));
      }),
      { numRuns: 60 },
    );
  });

  it('are text in Markdown: no mark of theirs is one', () => {
    const reader = markdownIt({ html: true, linkify: true });
    fc.assert(
      fc.property(AWKWARD, (name) => {
        const html = reader.render(chartMarkdown(named(name)));
        const tags = new Set(html.match(/<\/?[a-z][^>]*>|<!--/g));
        const known = ['h1', 'h2', 'table', 'thead', 'tbody', 'tr', 'th', 'td', 'kbd'];
        expect([...tags].filter((tag) => !known.includes(/[a-z]\w*/.exec(tag)?.[0] ?? ''))).toEqual(
          [],
        );
        const rows = html.match(/<tr>[^]*?<\/tr>/g)!;
        expect(rows.every((row) => row.match(/<t[dh]>/g)?.length === 3)).toBe(true);
        const [, title] = /<h1>Keys of([^]*?)<\/h1>/.exec(html)!;
        const plain = name.replace(/[\s\p{Cc}]+/gu, ' ');
        const shown = title!
          .replace(/&lt;/g, '<')
          .replace(/&gt;/g, '>')
          .replace(/&quot;/g, '"')
          .replace(/&amp;/g, '&');
        if (!/\p{Surrogate}/u.test(name)) expect(shown.trim()).toBe(plain.trim());
      }),
      { numRuns: 60 },
    );
  });

  it('are no formula to a spreadsheet, in any cell', () => {
    for (const start of ['=', '+', '-', '@', '\t', '\r']) {
      const profile = named(`${start}SUM(A1)`);
      const cells = [chartCsv(profile), rulesCsv([{ ...DEMO.rules[0]!, name: `${start}x` }])]
        .join('\n')
        .split(/\n|,/)
        .map((cell) => cell.replace(/^"/, ''));
      expect(cells.filter((cell) => /^[=+@\t\r]|^-[^-]/.test(cell))).toEqual([]);
    }
  });

  it('with half a character are no TOML, which says so; they are read again from the others', () => {
    const value = { name: 'whole', apps: [{ id: 'a', name: 'half \uD800' }] };
    const because =
      'apps[0].name: half a character (a lone surrogate), which TOML cannot hold; expected YAML or JSON';
    expect(whyNot(value, 'toml')).toBe(because);
    expect(() => writeText(value, 'toml')).toThrow(because);
    for (const format of ['json', 'yaml'] as const) {
      expect(whyNot(value, format)).toBeNull();
      expect(parseText(writeText(value, format), format)).toMatchObject({ value });
    }
    expect(whyNot({ name: 'an emoji 😀' }, 'toml')).toBeNull();
    expect(parseText('name = "half \\uD800"', 'toml')).toMatchObject({
      ok: false,
      faults: [{ line: 1 }],
    });
  });
});
