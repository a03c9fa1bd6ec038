import fc from 'fast-check';
import { parse as parseToml } from 'smol-toml';
import { describe, expect, test } from 'vitest';
import { parse as parseYaml } from 'yaml';
import { oddToml, oddYaml, seeded } from '../../testing/odd-text.ts';
import { waysIn } from '../../testing/ways-in.ts';
import { FORMATS } from '../format.ts';
import { parseText } from '../parse.ts';
import { writeText } from '../write.ts';
import { editedText } from './edited-text.ts';

const RUNS = { numRuns: 200 };

/** Data such as profiles have: maps, lists of maps that have an id, lists of plain values. */
const name = fc.constantFrom('id', 'one', 'two', 'gaps', 'lines', 'when', 'with space', 'ä');
const leaf = fc.oneof(
  fc.integer({ min: -5, max: 400 }),
  fc.boolean(),
  fc.constantFrom(
    'shell',
    'it’s',
    'a: b # c',
    "'",
    '"',
    '- x',
    '',
    'true',
    '12',
    'back\\slash',
    '[x]',
  ),
  fc
    .string({ maxLength: 8 })
    .filter((text) => !/\p{Surrogate}/u.test(text) && !/\p{Control}/u.test(text)),
);
const { data } = fc.letrec<{ data: unknown; map: Record<string, unknown> }>((tie) => ({
  data: fc.oneof(
    { depthSize: 'small' },
    leaf,
    fc.array(leaf, { maxLength: 4 }),
    fc.array(tie('map'), { maxLength: 4 }),
    tie('map'),
  ),
  map: fc.dictionary(name, tie('data'), { maxKeys: 5, noNullPrototype: true }) as fc.Arbitrary<
    Record<string, unknown>
  >,
}));
const whole = fc.dictionary(name, data, { minKeys: 2, maxKeys: 6, noNullPrototype: true });

type Step = string | number;
type Data = Record<Step, unknown>;

const at = (value: unknown, way: readonly Step[]): unknown =>
  way.reduce<unknown>((inner, step) => (inner as Data)[step], value);

const FORMS = [
  {
    format: 'yaml',
    write: (value: object, seed: number) => oddYaml(value, seed),
    parse: (text: string): unknown => parseYaml(text),
  },
  {
    format: 'toml',
    write: (value: object, seed: number) => oddToml(value, seed),
    parse: (text: string): unknown => parseToml(text),
  },
  {
    format: 'json',
    write: (value: object) => ({
      text: JSON.stringify(value, null, 2),
      lineOf: new Map<string, number>(),
    }),
    parse: (text: string): unknown => JSON.parse(text),
  },
] as const;

const linesOf = (text: string) => text.split('\n');

describe.each(FORMS)('a text in $format', ({ format, write, parse }) => {
  test('is written oddly, and says what is meant', () => {
    fc.assert(
      fc.property(whole, fc.nat(), (value, seed) => {
        expect(parse(write(value, seed).text)).toEqual(value);
      }),
      RUNS,
    );
  });

  test('has one line changed where one plain value is another one', () => {
    fc.assert(
      fc.property(whole, fc.nat(), fc.nat(), leaf, (value, seed, which, fresh) => {
        const leaves = waysIn(value).filter((way) => {
          const there = at(value, way);
          return way.length > 0 && (typeof there !== 'object' || there === null);
        });
        fc.pre(leaves.length > 0);
        const way = leaves[which % leaves.length]!;
        fc.pre(at(value, way) !== fresh);
        const { text, lineOf } = write(value, seed);
        const wanted = structuredClone(value);
        (at(wanted, way.slice(0, -1)) as Data)[way.at(-1)!] = fresh;
        const edited = editedText(text, format, wanted);
        if (edited === null) throw new Error(`no form:\n${text}\n${JSON.stringify(wanted)}`);
        expect(parse(edited)).toEqual(wanted);
        const [before, after] = [linesOf(text), linesOf(edited)];
        expect(after).toHaveLength(before.length);
        const changed = before.flatMap((line, i) => (line === after[i] ? [] : [i]));
        const line = lineOf.get(JSON.stringify(way));
        const isAnchored = format === 'yaml' && / \*a|&a/.test(text);
        if (line !== undefined && !isAnchored) expect(changed).toEqual([line]);
        else if (!isAnchored) expect(changed.length).toBe(1);
      }),
      RUNS,
    );
  });

  test('says whatever is wanted', () => {
    let forms = 0;
    fc.assert(
      fc.property(whole, whole, fc.nat(), (value, fresh, seed) => {
        // One field stays: a text that says nothing is none.
        const { text } = write({ ...value, version: 4 }, seed);
        const wanted = { ...fresh, version: 4 };
        const edited = editedText(text, format, wanted);
        if (edited === null) return;
        forms++;
        expect(parse(edited)).toEqual(wanted);
      }),
      RUNS,
    );
    expect(forms).toBeGreaterThan(RUNS.numRuns * 0.999);
  });

  test('loses only the lines of what is taken out, and gets only lines of what is new', () => {
    fc.assert(
      fc.property(whole, fc.nat(), fc.nat(), fc.nat(), (value, seed, which, choice) => {
        const { text } = write(value, seed);
        const random = seeded(choice);
        const wanted = structuredClone(value);
        const ways = waysIn(value).filter((way) => way.length > 0);
        const way = ways[which % ways.length]!;
        const parent = at(wanted, way.slice(0, -1)) as Data;
        const step = way.at(-1)!;
        const isAdded = random() < 0.5;
        if (isAdded && Array.isArray(parent))
          parent.splice(Number(step), 0, typeof parent[0] === 'object' ? { id: 'fresh' } : 'fresh');
        else if (isAdded) parent['fresh'] = { of: 'fresh', is: [1, 2] };
        else if (Array.isArray(parent)) parent.splice(Number(step), 1);
        else Reflect.deleteProperty(parent, step);
        const edited = editedText(text, format, wanted);
        if (edited === null) throw new Error(`no form:\n${text}\n${JSON.stringify(wanted)}`);
        expect(parse(edited)).toEqual(wanted);
        if (format === 'yaml' && / \*a|&a/.test(text)) return;
        const [fewer, more] = isAdded ? [text, edited] : [edited, text];
        // At most the line with the brackets, or the comma, in which it stood is otherwise.
        expect(missing(linesOf(fewer), linesOf(more))).toBeLessThanOrEqual(2);
      }),
      RUNS,
    );
  });
});

test.each(FORMATS)('line ends of two characters and a mark at the head stay in %s', (format) => {
  const said = { name: 'Hut', gaps: { inner: 4, outer: 6 }, rules: [{ id: 'a' }, { id: 'b' }] };
  const own = `\uFEFF${writeText(said, format).replaceAll('\n', '\r\n')}`;
  const wanted = {
    ...said,
    gaps: { inner: 5, outer: 6 },
    rules: [{ id: 'b' }],
    look: { frame: 2 },
  };
  const edited = editedText(own, format, wanted)!;
  expect(edited.startsWith('\uFEFF')).toBe(true);
  expect(edited.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/);
  expect(parseText(edited, format)).toMatchObject({ ok: true, value: wanted });
});

/** How many lines of the first text do not stand in the second, in their order (by the longest common run). */
function missing(some: readonly string[], all: readonly string[]): number {
  let row = new Array<number>(all.length + 1).fill(0);
  for (const line of some) {
    const next = [0];
    all.forEach((other, i) => {
      next.push(line === other ? row[i]! + 1 : Math.max(row[i + 1]!, next[i]!));
    });
    row = next;
  }
  return some.length - row.at(-1)!;
}
