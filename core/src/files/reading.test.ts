import { describe, expect, test } from 'vitest';
import { checkProfile } from '../checkup/profile.ts';
import { profileSchema } from '../model/profile.ts';
import { DEMO, keptFile } from '../testing/profiles.ts';
import { faultText, read } from '../values/faults.ts';
import { textIn } from './bytes.ts';
import { FORMATS } from './format.ts';
import { readKeysCsv } from './keys-csv.ts';
import { parseFile, parseText, textFaultText } from './parse.ts';
import { fileOf, readFile } from './sections.ts';
import { readRulesCsv } from './rules-csv.ts';

const utf8 = (text: string) => new TextEncoder().encode(text);
const faultsOf = (text: string, format: (typeof FORMATS)[number]) => {
  const parsed = parseText(text, format);
  return parsed.ok ? [] : parsed.faults.map(textFaultText);
};

describe('files of every version', () => {
  test.each([1, 2, 3, 4] as const)(
    'version %i is read, and has nothing for the checkup',
    (version) => {
      const result = read(profileSchema, keptFile(version));
      if (!result.ok) throw new Error(result.faults.map(faultText).join('\n'));
      expect(result.value.version).toBe(4);
      expect(result.value.apps).toHaveLength(13);
      expect(result.value.rules.length).toBeGreaterThan(version === 1 ? 0 : 6);
      expect(checkProfile(result.value)).toEqual([]);
    },
  );

  test('a newer one is refused with the reason', () => {
    const result = readFile({ ...DEMO, version: 5 });
    expect(result).toMatchObject({
      ok: false,
      faults: [{ path: 'version', found: '5', expected: expect.stringContaining('newer Sorn') }],
    });
  });

  test('nothing is null', () => {
    expect(read(profileSchema, { ...DEMO, rules: null })).toMatchObject({
      ok: false,
      faults: [{ path: 'rules', found: 'null', expected: expect.stringContaining('leave it out') }],
    });
  });
});

describe('hostile files are refused with a reason', () => {
  test('large ones', () => {
    expect(() => textIn(new Uint8Array(100 * 1024 * 1024))).toThrow('larger than 16 MiB');
  });

  test('other encodings', () => {
    expect(() => textIn(new Uint8Array([0xff, 0xfe, 0x61, 0]))).toThrow('UTF-16');
    expect(() => textIn(new Uint8Array([0x61, 0, 0x62, 0]))).toThrow('no text');
    expect(() => textIn(new Uint8Array([0xe9, 0x74, 0xe9]))).toThrow('not UTF-8');
    expect(parseText(`\uFEFF${JSON.stringify(fileOf(DEMO))}`, 'json').ok).toBe(true);
    expect(textIn(utf8('né'))).toBe('né');
  });

  test('more values than any profile has, before they are parsed', () => {
    const list = '- {id: m, width: 1}\n'.repeat(100_000);
    expect(faultsOf(`monitors:\n${list}`, 'yaml')).toEqual([
      expect.stringContaining('at most 150000'),
    ]);
    const monitors = Array.from({ length: 600_000 }, () => 1);
    expect(read(profileSchema, { monitors })).toMatchObject({
      faults: [{ path: '', expected: 'a file of at most 500000 values' }],
    });
    const wrong = read(profileSchema, { rules: Array.from({ length: 900 }, () => 1) });
    expect(wrong.ok ? [] : wrong.faults).toHaveLength(100);
  });

  test('aliases that explode', () => {
    const lines = ['a: &a [x, x, x, x, x, x, x, x, x]'];
    for (let i = 1; i < 12; i++) {
      const [own, former] = ['abcdefghijklm'[i], 'abcdefghijklm'[i - 1]];
      lines.push(`${own}: &${own} [${Array.from({ length: 9 }, () => `*${former}`).join(', ')}]`);
    }
    expect(faultsOf(lines.join('\n'), 'yaml')).toEqual([expect.stringContaining('aliases')]);
  });

  test.each(FORMATS)('deep nesting in %s', (format) => {
    const deep = '['.repeat(50_000) + ']'.repeat(50_000);
    const text = { json: `{"name":${deep}}`, yaml: `name: ${deep}`, toml: `name = ${deep}` }[
      format
    ];
    const parsed = parseText(text, format);
    if (parsed.ok) {
      expect(readFile(parsed.value)).toMatchObject({
        ok: false,
        faults: [{ expected: expect.stringContaining('nested') }],
      });
    } else expect(parsed.faults[0]!.message).toBe('nested too deeply to be read');
  });

  test.each([
    ['yaml', 'name: a\nname: b\n', 'line 2, column 1: Map keys must be unique'],
    ['yaml', 'name: !!binary aGVsbG8=\n', 'Unresolved tag'],
    ['yaml', 'name: "a\nrules: [', 'line'],
    ['yaml', 'a: 1\n---\nb: 2\n', 'multiple documents'],
    ['json', '{"name": "a",}', 'line 1, column 14'],
    ['json', '{"name": ', 'line 1'],
    ['toml', 'name = "a"\nname = "b"', 'line 2'],
    ['toml', 'name = ', 'line 1'],
  ] as const)('broken %s: %j', (format, text, says) => {
    expect(faultsOf(text, format).join('\n')).toContain(says);
  });

  test.each([
    ['__proto__', '{"__proto__": {"name": "x"}, "monitors": [{"id":"m","width":1,"height":1}]}'],
    ['constructor', '{"constructor": 1, "monitors": [{"id":"m","width":1,"height":1}]}'],
  ])('a field called %s', (name, text) => {
    const parsed = parseText(text, 'json');
    expect(parsed.ok && readFile(parsed.value)).toMatchObject({
      ok: false,
      faults: [{ path: name }],
    });
    expect(({} as { name?: string }).name).toBeUndefined();
  });

  test('what is no object at all', () => {
    for (const text of ['', '42', '[]', '"x"', 'null'])
      expect(readFile(parseFile('x', text).ok ? JSON.parse(text || 'null') : 0)).toMatchObject({
        ok: false,
        faults: [{ path: '' }],
      });
  });

  test('tables with columns, lines or cells that are not right', () => {
    expect(readRulesCsv('id,hold\na,b\n')).toMatchObject({
      faults: [{ path: 'line 1', found: 'hold' }],
    });
    expect(readRulesCsv('id,on\na,maybe\n')).toMatchObject({
      faults: [{ path: 'line 2, on', found: 'maybe', expected: 'yes or no' }],
    });
    expect(readRulesCsv('id,all\na,app shell\n')).toMatchObject({
      faults: [{ path: 'line 2, all' }],
    });
    expect(readKeysCsv('keys,command\nMain+KeyK,fly\n')).toMatchObject({
      faults: [{ path: 'line 2, command' }],
    });
    expect(readKeysCsv('keys,command\n"Main')).toMatchObject({ ok: false });
  });
});
