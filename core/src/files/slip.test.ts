import fc from 'fast-check';
import { SaxesParser } from 'saxes';
import { describe, expect, test } from 'vitest';
import { parse } from 'yaml';
import { profileSchema, type Profile } from '../model/profile.ts';
import { anyLayout } from '../testing/layouts.ts';
import { anyProfile, DEMO } from '../testing/profiles.ts';
import { anyBoard } from '../testing/zone-boards.ts';
import { layoutSvg, zoneBoardSvg } from './drawings.ts';
import { importItems, withImported } from './import.ts';
import { readFileText } from './read-text.ts';
import { layoutSlip, slipText, type Slip } from './slip.ts';

/** All that can be copied of a profile, one by one. */
function slipsOf(profile: Profile): Slip[] {
  const { boards, rules, chains, menus, trials, keys, tiling } = profile;
  return [
    ...boards.map((board) => ({ board })),
    ...rules.map((rule) => ({ rule })),
    ...chains.map((chain) => ({ chain })),
    ...menus.map((menu) => ({ menu })),
    ...trials.map((trial) => ({ trial })),
    ...keys.bindings.map((binding) => ({ binding })),
    ...(tiling.layout ? [{ layout: tiling.layout }] : []),
  ];
}

/** Where a thing stands in a profile, as a person would look it up. */
function listed(profile: Profile, slip: Slip): readonly unknown[] {
  if (slip.layout) return [profile.tiling.layout];
  const { boards, rules, chains, menus, trials, keys } = profile;
  const lists = { board: boards, rule: rules, chain: chains, menu: menus, trial: trials };
  const [kind] = Object.keys(slip);
  return kind === 'binding' ? keys.bindings : lists[kind as keyof typeof lists];
}

const thing = (slip: Slip) => Object.values(slip)[0] as unknown;

/** A profile with all that is brought. */
function pasted(into: Profile, name: string, text: string): Profile {
  const read = readFileText(name, text);
  if (!read.ok) throw new Error(read.lines.join('\n'));
  const taken = new Map(importItems(into, read.value).map(({ id }) => [id, 'theirs'] as const));
  const made = withImported(into, read.value, taken);
  if (!made.ok) throw new Error(JSON.stringify(made.faults));
  return made.value;
}

const EMPTY = profileSchema.parse({
  monitors: [{ id: 'a', width: 1920, height: 1080 }],
  tiling: { growStep: 55 },
  keys: { main: 'Alt', from: 'few' },
});

describe('a slip', () => {
  test('of anything comes back equal, and brings nothing else', () => {
    let count = 0;
    fc.assert(
      fc.property(anyProfile, (profile) => {
        for (const slip of slipsOf(profile)) {
          count += 1;
          const text = slipText(slip);
          expect((parse(text) as { sorn: number }).sorn).toBe(4);
          const there = pasted(EMPTY, 'slip.yaml', text);
          expect(listed(there, slip)).toEqual([thing(slip)]);
          const without = { ...there, boards: [], rules: [], chains: [], menus: [], trials: [] };
          const { layout: _layout, ...tiling } = there.tiling;
          expect({ ...without, tiling, keys: { ...there.keys, bindings: [] } }).toEqual(EMPTY);
        }
      }),
      { numRuns: 60, endOnFailure: true },
    );
    expect(count).toBeGreaterThan(100);
  }, 120_000);

  test('of a drawing is in its metadata, and comes back equal', () => {
    fc.assert(
      fc.property(
        anyBoard,
        anyLayout(() => true),
        fc.string({ unit: 'binary' }),
        (any, layout, name) => {
          const board = { ...any, id: 'drawn', name };
          const profile = { ...DEMO, boards: [...DEMO.boards, board] };
          const svg = zoneBoardSvg(profile, board, 'wide');
          // Read by another reader of XML than the one that is tried.
          let metadata = '';
          let isInside = false;
          const saxes = new SaxesParser();
          saxes.on('opentag', (tag) => (isInside = tag.name === 'metadata'));
          saxes.on('closetag', () => (isInside = false));
          saxes.on('text', (part) => (metadata += isInside ? part : ''));
          saxes.on('error', (error) => {
            throw error;
          });
          saxes.write(svg).close();
          expect(
            profileSchema.parse({ ...EMPTY, boards: [JSON.parse(metadata).board] }).boards,
          ).toEqual([board]);
          expect(pasted(EMPTY, 'board.svg', svg).boards).toEqual([board]);

          const other = { ...DEMO, tiling: { ...DEMO.tiling, layout, places: [] } };
          const drawn = pasted(
            EMPTY,
            'layout.svg',
            layoutSvg(profileSchema.parse(other), 'wide', 3),
          );
          expect(drawn.tiling.layout).toMatchObject(layout);
        },
      ),
      { numRuns: 100, endOnFailure: true },
    );
  }, 60_000);

  test('of a layout by a zone board has the board with it', () => {
    const [board] = DEMO.boards;
    const slip = layoutSlip(DEMO, { kind: 'board', board: board!.id });
    expect(slip).toEqual({ layout: { kind: 'board', board: board!.id }, board });
    const there = pasted(EMPTY, 'slip.yaml', slipText(slip));
    expect([there.boards, there.tiling.layout]).toEqual([[board], slip.layout]);
  });

  test.each([
    [
      'sorn: 4\nboard: { id: b, columns: [1], rows: [1], zones: [{ name: x, columns: [1, 2], rows: [1, 1] }] }\n',
      'slip.yaml: line 2: board.zones[0].columns',
    ],
    [
      'sorn: 4\nbinding: { keys: Wrong+KeyY, command: { command: float } }\n',
      'slip.yaml: line 2: binding.keys: "Wrong+KeyY"; expected modifiers among',
    ],
    [
      'sorn: 5\nrule: { id: a }\n',
      'slip.yaml: line 1: sorn: 5; expected at most 4: the file is from a newer Sorn',
    ],
    [
      'sorn: 4\nbord: { id: b }\n',
      'slip.yaml: line 2: bord: a field; expected one of board, layout, rule',
    ],
    ['sorn: 4\n', 'slip.yaml: the whole input: nothing beside its version; expected one of board'],
  ])('that is wrong is told by its own paths: %s', (text, message) => {
    const result = readFileText('slip.yaml', text);
    expect(result.ok ? '' : result.lines[0]).toContain(message);
  });

  test('a drawing without data is told as that, and so is what is no drawing', () => {
    for (const svg of [
      '<svg xmlns="http://www.w3.org/2000/svg"><rect/></svg>',
      'x',
      '<svg><',
      '<metadata id="sorn"/>',
    ])
      expect(readFileText('a.svg', svg)).toEqual({
        ok: false,
        lines: [
          'a.svg: a drawing without data; expected one of a board or a layout that Sorn saved',
        ],
      });
  });

  test('is read again after another program wrote the drawing', () => {
    const [board] = DEMO.boards;
    const svg = zoneBoardSvg(DEMO, board!, 'wide');
    const data = /<metadata[^]*?<\/metadata>/.exec(svg)![0];
    const rewritten = `<?xml version="1.0"?>\n<!DOCTYPE svg>\n<svg:svg xmlns:svg="http://www.w3.org/2000/svg"><svg:g><svg:g>${data
      .replace('<metadata', '<svg:metadata class="x"')
      .replace('</metadata', '</svg:metadata')
      .replaceAll('&quot;', '"')}</svg:g></svg:g></svg:svg>`;
    expect(pasted(EMPTY, 'b.svg', rewritten).boards).toEqual([board]);
  });
});
