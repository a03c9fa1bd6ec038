import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { profileJson } from '../files/compact.ts';
import { stepsOf, type PathStep } from '../files/positions.ts';
import type { JsonSchema } from '../files/schema-json.ts';
import { profileSchema, type Profile } from '../model/profile.ts';
import { read } from '../values/faults.ts';

const LONGEST = 3;
const TRIGGERS = ['Main+KeyK', 'Main+KeyK KeyS', 'tap CapsLock', 'types:?', 'Button4', 'Shift+F5'];
/** Texts that formats, tables and their readers could take for something else. */
const AWKWARD = [
  '',
  'no',
  'null',
  '1e3',
  '=1+1',
  "'",
  '"',
  ' a ',
  '#x',
  'a: b',
  '- a',
  'a\nb',
  'a\r\n',
  'é¼',
  '2026-11-25',
  '~',
  '[x]',
  'tab\there',
  'a,b;c',
  '\\',
  '0x1F',
  'true',
  '@home',
];

/** By the names of fields, where any text that fits would seldom be one that means something. */
const NAMED: Record<string, fc.Arbitrary<unknown>> = {
  keys: fc.constantFrom(...TRIGGERS),
  keepsAllBut: fc.array(fc.constantFrom(...TRIGGERS), { maxLength: LONGEST }),
  without: fc.array(fc.constantFrom(...TRIGGERS), { maxLength: LONGEST }),
  hold: fc.constantFrom('CapsLock', 'F13'),
  codes: fc.array(fc.constantFrom('F13', 'KeyA'), { maxLength: LONGEST }),
  handBack: fc.constantFrom('F9', 'F10'),
  matches: fc.constantFrom('^P', '\\d+$', 'a|b'),
};

function anyOf(schema: JsonSchema, name = ''): fc.Arbitrary<unknown> {
  const named = NAMED[name];
  if (named && schema.type !== 'object' && !(name === 'keys' && schema.properties)) return named;
  if ('const' in schema) return fc.constant(schema.const);
  if (schema.enum) return fc.constantFrom(...schema.enum);
  const alternatives = schema.anyOf ?? schema.oneOf;
  if (alternatives) return fc.oneof(...alternatives.map((each) => anyOf(each)));
  // Ranges of a board's tracks, of which there are few.
  if (schema.prefixItems) return fc.constantFrom([1, 1], [1, 2], [2, 2], [1, 3]);
  switch (schema.type) {
    case 'object': {
      const { properties = {}, required = [] } = schema;
      const parts = Object.entries(properties).map(([key, each]) => [key, anyOf(each, key)]);
      const model = Object.fromEntries(parts) as Record<string, fc.Arbitrary<unknown>>;
      return fc.record(model, { requiredKeys: required });
    }
    case 'array':
      return fc.array(anyOf(schema.items || {}), {
        minLength: limit(schema, 'minItems', 0),
        maxLength: LONGEST,
      });
    case 'boolean':
      return fc.boolean();
    case 'integer':
      return fc.integer({ min: limit(schema, 'minimum', 0), max: limit(schema, 'maximum', 5000) });
    case 'number':
      return fc.oneof(
        fc.integer({ min: Math.ceil(limit(schema, 'minimum', 0)), max: 3 }),
        fc.double({
          min: limit(schema, 'minimum', 0.001),
          max: limit(schema, 'maximum', 5000),
          noNaN: true,
        }),
      );
    case 'string': {
      const pattern = new RegExp(
        typeof schema['pattern'] === 'string' ? schema['pattern'] : '',
        'u',
      );
      if (pattern.source !== '(?:)' && !pattern.source.includes('(?'))
        return fc.stringMatching(pattern, { size: 'small' });
      const texts = fc.oneof(fc.constantFrom('Left', ...AWKWARD), fc.string({ maxLength: 12 }));
      return texts.filter((text) => pattern.test(text));
    }
    default:
      return fc.constantFrom(...AWKWARD, 0.5, 300);
  }
}

function limit(schema: JsonSchema, name: string, otherwise: number): number {
  const value = schema[name];
  return typeof value === 'number' && Math.abs(value) < 1e7 ? value : otherwise;
}

/**
 * What is not right is taken out until all is: a field, and where one is missing the entry that lacks it. Of what is
 * wrong in one entry only the first goes at a time: without it the rest may be right.
 */
function mended(input: unknown): Profile | null {
  const value = structuredClone(input);
  for (let tries = 0; tries < 600; tries++) {
    const result = read(profileSchema, value);
    if (result.ok) return result.value;
    const wrong = new Map<string, PathStep[]>();
    for (const { path, found } of result.faults) {
      const steps = stepsOf(path);
      const entry = steps.slice(0, steps.findLastIndex((step) => typeof step === 'number') + 1);
      const name = JSON.stringify(entry);
      if (!wrong.has(name)) wrong.set(name, found === 'nothing' ? entry : steps);
    }
    // What is inside first, and the last entries first: what is taken out later is still where it was.
    const lastFirst = [...wrong.values()].sort((a, b) => order(b, a));
    if (!lastFirst.every((steps) => takeOut(value, steps))) return null;
  }
  return null;
}

/** Below nought where the first path stands before the second: entry by entry, and before what is inside it. */
function order(a: readonly PathStep[], b: readonly PathStep[]): number {
  const at = a.findIndex((step, i) => step !== b[i]);
  if (at < 0 || at >= b.length) return a.length - b.length;
  const [one, other] = [a[at], b[at]];
  if (typeof one === 'number' && typeof other === 'number') return one - other;
  return String(one) < String(other) ? -1 : 1;
}

function takeOut(value: unknown, way: readonly PathStep[]): boolean {
  const last = way.at(-1);
  const parent = way.slice(0, -1).reduce<unknown>((at, step) => (at as never)?.[step], value);
  if (last === undefined || typeof parent !== 'object' || parent === null) return false;
  if (Array.isArray(parent)) parent.splice(Number(last), 1);
  else Reflect.deleteProperty(parent, last);
  return true;
}

const MONITOR = { id: 'main', width: 1920, height: 1080 };

/** Profiles in which anything that the file format can say is said, with awkward texts among it. */
export const anyProfile: fc.Arbitrary<Profile> = anyOf(profileJson())
  .map((input) => {
    const { monitors, ...rest } = input as { monitors: unknown[] };
    return mended({ ...rest, monitors: [...monitors, MONITOR] });
  })
  .filter((profile) => profile !== null)
  // Minus nought is nought in every text.
  .map((profile) => JSON.parse(JSON.stringify(profile)) as Profile);

/** The demo profile of a version of the format, as it was kept. */
export function keptFile(version: 1 | 2 | 3 | 4): unknown {
  const file = new URL(`../files/versions/${version}.json`, import.meta.url);
  return JSON.parse(readFileSync(file, 'utf8'));
}

export const DEMO = profileSchema.parse(keptFile(4));
