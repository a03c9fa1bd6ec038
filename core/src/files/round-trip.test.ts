import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { describe, expect, test } from 'vitest';
import { profileSchema } from '../model/profile.ts';
import { anyProfile } from '../testing/profiles.ts';
import { read } from '../values/faults.ts';
import { compactProfile } from './compact.ts';
import { FORMATS } from './format.ts';
import { keysCsv, readKeysCsv } from './keys-csv.ts';
import { parseText } from './parse.ts';
import { fileOf, SECTION_FIELDS, SECTIONS, readFile } from './sections.ts';
import { publishedSchema } from './published-schema.ts';
import { readRulesCsv, rulesCsv } from './rules-csv.ts';
import { writeText } from './write.ts';

const RUNS = { numRuns: 60 };

describe('a profile that leaves and comes back is the same', () => {
  test.each(FORMATS)('as %s, whole and compact', (format) => {
    fc.assert(
      fc.property(anyProfile, (profile) => {
        for (const said of [profile, compactProfile(profile), fileOf(profile)]) {
          const parsed = parseText(writeText(said, format), format);
          expect(parsed).toMatchObject({ ok: true });
          if (parsed.ok)
            expect(read(profileSchema, parsed.value)).toEqual({ ok: true, value: profile });
        }
      }),
      RUNS,
    );
  });

  test('in sections: each says its own part, and nothing else', () => {
    fc.assert(
      fc.property(anyProfile, fc.constantFrom(...SECTIONS), (profile, section) => {
        const parsed = readFile(fileOf(profile, [section]));
        if (!parsed.ok) throw new Error(JSON.stringify(parsed.faults));
        expect(parsed.value.says).toEqual(SECTION_FIELDS[section].map((field) => [field]));
        for (const field of SECTION_FIELDS[section])
          expect(parsed.value.profile[field]).toEqual(profile[field]);
      }),
      RUNS,
    );
  });

  test('rules and keys as tables', () => {
    fc.assert(
      fc.property(anyProfile, ({ rules, keys }) => {
        const readRules = readRulesCsv(rulesCsv(rules));
        if (!readRules.ok) throw new Error(JSON.stringify(readRules.faults));
        expect(readRules.value.profile.rules).toEqual(rules);
        const readKeys = readKeysCsv(keysCsv(keys));
        if (!readKeys.ok) throw new Error(JSON.stringify(readKeys.faults));
        const { bindings, without } = readKeys.value.profile.keys;
        expect({ bindings, without }).toEqual({ bindings: keys.bindings, without: keys.without });
      }),
      RUNS,
    );
  });

  test('what is written is valid by the published schema', () => {
    const validate = new Ajv2020({ allErrors: true, strict: true, strictTypes: false }).compile(
      publishedSchema(),
    );
    fc.assert(
      fc.property(anyProfile, fc.subarray([...SECTIONS]), (profile, sections) => {
        for (const file of [fileOf(profile), fileOf(profile, sections), profile]) {
          validate(file);
          expect(validate.errors ?? []).toEqual([]);
        }
      }),
      RUNS,
    );
    expect(validate({ version: 4, gaps: 3 })).toBe(false);
    expect(validate({ rules: [{ id: 'a b' }] })).toBe(false);
    expect(validate({ keys: { bindings: [{ keys: 'KeyA', command: { command: 'fly' } }] } })).toBe(
      false,
    );
  });
});

test('the schema in docs/ is the one that is published; npm run docs writes it', () => {
  const file = new URL('../../../docs/schema/profile-4.json', import.meta.url);
  const published = JSON.parse(JSON.stringify(publishedSchema())) as unknown;
  expect(JSON.parse(readFileSync(file, 'utf8'))).toEqual(published);
});

test('the profiles of these tests say something of everything', () => {
  const profiles = fc.sample(anyProfile, 120);
  const count = (of: (profile: (typeof profiles)[number]) => readonly unknown[]) =>
    profiles.reduce((sum, profile) => sum + of(profile).length, 0);
  expect(count(({ rules }) => rules.flatMap(({ when }) => when.all))).toBeGreaterThan(20);
  expect(count(({ keys }) => keys.bindings)).toBeGreaterThan(20);
  expect(count(({ boards }) => boards.flatMap(({ zones }) => zones))).toBeGreaterThan(5);
  expect(count(({ tiling }) => tiling.places)).toBeGreaterThan(10);
});
