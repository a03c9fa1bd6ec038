import { describe, expect, test } from 'vitest';
import { DEMO } from '../testing/profiles.ts';
import { completionsAt, helpAt } from './complete.ts';
import { FORMATS, type Format } from './format.ts';
import { HELP, helpFor } from './help.ts';
import { publishedSchema } from './published-schema.ts';
import type { JsonSchema } from './schema-json.ts';

/** What is offered at the mark | of a text. */
function offered(text: string, format: Format = 'yaml'): string[] {
  const offset = text.indexOf('|');
  const found = completionsAt(text.replace('|', ''), format, offset, DEMO);
  return found?.options.map((option) => option.text) ?? [];
}

describe('what could be typed', () => {
  test('fields that are not there yet', () => {
    const top = offered('version: 4\nname: Hut\nru|');
    expect(top).toContain('rules');
    expect(top).not.toContain('name');
    expect(offered('tiling:\n  gaps:\n    inner: 4\n    |')).toEqual(['outer', 'dropWhenAlone']);
    expect(offered('tiling:\n  gaps: { inner: 4, | }')).toEqual(['outer', 'dropWhenAlone']);
    expect(offered('monitors:\n  - id: wide\n    sc|')).toContain('scale');
  });

  test('fields are written with what stands before their value, where it does not stand there', () => {
    const writes = (marked: string, format: 'yaml' | 'json' | 'toml') => {
      const at = marked.indexOf('|');
      const found = completionsAt(marked.replace('|', ''), format, at, DEMO);
      const option = found!.options.find(({ text }) => text === 'inner')!;
      return option.writes ?? option.text;
    };
    expect(writes('tiling:\n  gaps:\n    in|', 'yaml')).toBe('inner: ');
    expect(writes('tiling:\n  gaps:\n    in|: 4', 'yaml')).toBe('inner');
    expect(writes('[tiling.gaps]\nin|', 'toml')).toBe('inner = ');
    expect(writes('{"tiling": {"gaps": { in| }}}', 'json')).toBe('"inner": ');
    expect(writes('{"tiling": {"gaps": { "in|" }}}', 'json')).toBe('inner');
  });

  test('of the kind that was said', () => {
    expect(offered('tiling:\n  layout:\n    kind: halving\n    |')).toEqual([
      'share',
      'firstAxis',
      'turn',
    ]);
    expect(
      offered('rules:\n  - id: a\n    when:\n      all:\n        - of: width\n          |'),
    ).toEqual(['from', 'to']);
  });

  test('words a field may have', () => {
    expect(offered('tiling:\n  layout:\n    kind: |')).toContain('halving');
    expect(offered('tiling:\n  gaps:\n    dropWhenAlone: |')).toEqual(['true', 'false']);
    expect(offered('tiling:\n  cycle: [lead, |]')).toContain('columns');
    expect(
      offered('keys:\n  bindings:\n    - keys: Main+KeyK\n      command: { command: foc| }'),
    ).toContain('focus-left');
  });

  test('names that must match exactly', () => {
    expect(offered('rules:\n  - id: a\n    then:\n      workspace: |')).toEqual([
      'B',
      'M',
      'S',
      'R',
      'F',
      '1',
      '2',
      '3',
    ]);
    expect(offered('start:\n  - app: |')).toContain('pitreader');
    expect(offered('tiling:\n  layout: { kind: board, board: | }')).toContain(DEMO.boards[0]!.id);
  });

  test('in JSON and TOML as they are written there', () => {
    expect(offered('{"tiling": {"gaps": {"inner": 4, "|"}}}', 'json')).toEqual([
      'outer',
      'dropWhenAlone',
    ]);
    expect(offered('{"tiling": {"layout": {"kind": "|"}}}', 'json')).toContain('halving');
    expect(offered('[tiling.gaps]\ninner = 4\n|\n', 'toml')).toEqual(['outer', 'dropWhenAlone']);
    expect(offered('[tiling.layout]\nkind = "|"\n', 'toml')).toContain('halving');
    expect(offered('[tiling.layout]\nkind = |\n', 'toml')).toContain('"halving"');
  });

  test('nothing in a comment, and nothing where nothing is known', () => {
    expect(offered('# ru|')).toEqual([]);
    expect(offered('name: |')).toEqual([]);
    for (const format of FORMATS) expect(offered('{{{ |', format)).toEqual([]);
  });
});

describe('what a field means', () => {
  test('with what may stand there, and what it is if left out', () => {
    const text = 'tiling:\n  growStep: 40\n';
    expect(helpAt(text, 'yaml', text.indexOf('grow') + 2)).toEqual({
      path: 'tiling.growStep',
      says: expect.stringMatching(
        /^By how much growing .* A number from 1 to 10000\. If left out: 40\.$/,
      ),
    });
    expect(helpAt('nonsense: 1', 'yaml', 3)).toBeNull();
    expect(helpAt('', 'yaml', 0)).toBeNull();
  });

  test('is told of every field of the format, and of none that is not there', () => {
    const told = new Set<string>();
    const missing: string[] = [];
    const published = publishedSchema();
    const shared = published['$defs'] as Record<string, JsonSchema>;
    const meant = (schema: JsonSchema): JsonSchema => {
      const name = /^#\/\$defs\/(.*)$/.exec(String(schema['$ref']))?.[1];
      return name === undefined ? schema : shared[name]!;
    };
    const walk = (written: JsonSchema, path: readonly string[]) => {
      const schema = meant(written);
      for (const [name, part] of Object.entries(schema.properties ?? {})) {
        const at = [...path, name];
        const key = [`${path.at(-1) ?? 'profile'}.${name}`, name].find((each) => each in HELP);
        if (key) told.add(key);
        else missing.push(at.join('.'));
        expect(meant(part).description).toBe(helpFor(at));
        walk(part, at);
      }
      const inner = [schema.items, ...(schema.prefixItems ?? [])];
      for (const part of [...inner, ...(schema.anyOf ?? []), ...(schema.oneOf ?? [])])
        if (typeof part === 'object') walk(part, path);
    };
    walk(published, []);
    expect(missing).toEqual([]);
    expect(Object.keys(HELP).filter((name) => !told.has(name))).toEqual([]);
  });
});
