import fc from 'fast-check';
import { stringify as tomlOf } from 'smol-toml';
import { describe, expect, it } from 'vitest';
import { stringify as yamlOf } from 'yaml';
import { profileSchema, type Profile } from '../model/profile.ts';
import { FULL } from '../testing/full-profile.ts';
import type { Format } from './format.ts';
import {
  editedProfileFiles,
  fileFaultText,
  includedIn,
  readProfileFiles,
  type FileText,
} from './profile-files.ts';

const WHOLE: Record<string, unknown> = { name: 'Desk', ...FULL, look: { motionMs: 90 } };
const FIELDS = Object.keys(WHOLE).filter((field) => field !== 'name');
const FORMATS: readonly Format[] = ['yaml', 'json', 'toml'];

/** A text of fields as other programs write them, with a comment above each where the format has any. */
function textOf(fields: Record<string, unknown>, format: Format): string {
  if (format === 'json') return `${JSON.stringify(fields, null, 2)}\n`;
  const write = format === 'yaml' ? yamlOf : tomlOf;
  return Object.entries(fields)
    .map(([name, value]) => `# about ${name}\n${write({ [name]: value })}`)
    .join(format === 'toml' ? '\n' : '');
}

/** The whole profile in a file of its own and up to two that are included, in any formats. */
const anyFiles: fc.Arbitrary<FileText[]> = fc
  .record({
    of: fc.array(fc.nat(2), { minLength: FIELDS.length, maxLength: FIELDS.length }),
    formats: fc.array(fc.constantFrom(...FORMATS), { minLength: 3, maxLength: 3 }),
  })
  .map(({ of, formats }) =>
    formats.flatMap((format, i) => {
      const mine = FIELDS.filter((_, at) => of[at] === i).map((field) => [field, WHOLE[field]]);
      const head = i === 0 ? [['name', WHOLE['name']]] : [];
      const fields = Object.fromEntries([...head, ...mine]) as Record<string, unknown>;
      // A file that says nothing is refused.
      if (Object.keys(fields).length === 0) return [];
      return [{ name: `${i}.${format}`, format, text: textOf(fields, format) }];
    }),
  );

const readOf = (files: readonly FileText[]) => {
  const read = readProfileFiles(files);
  if (!read.ok) throw new Error(read.faults.map(fileFaultText).join('\n'));
  return read;
};
const saidIn = ({ text }: FileText) => FIELDS.filter((field) => text.includes(`about ${field}\n`));

describe('a profile in several files', () => {
  it('is what they say together', () => {
    fc.assert(
      fc.property(anyFiles, (files) => {
        expect(readOf(files).profile).toEqual(profileSchema.parse(WHOLE));
      }),
      { numRuns: 25 },
    );
  });

  const EDITS: [fields: string, change: (profile: Profile) => Profile][] = [
    ['look', (p) => ({ ...p, look: { ...p.look, motionMs: 10 } })],
    ['tiling', (p) => ({ ...p, tiling: { ...p.tiling, growStep: 33 } })],
    ['rules', (p) => ({ ...p, rules: [...p.rules, { ...p.rules[0]!, id: 'more' }] })],
    ['chains', (p) => ({ ...p, chains: [] })],
    ['workspaces', (p) => ({ ...p, workspaces: [...p.workspaces].reverse() })],
    ['apps', (p) => ({ ...p, apps: p.apps.map((app) => ({ ...app, title: 'new' })) })],
    ['placing', (p) => ({ ...p, placing: { ...p.placing, onRepeat: 'round' } })],
    ['name', (p) => ({ ...p, name: 'Another' })],
  ];

  it('is edited in the files that say what is edited, and reads as it is then', () => {
    fc.assert(
      fc.property(anyFiles, fc.subarray(EDITS, { minLength: 1, maxLength: 3 }), (files, edits) => {
        const { profile, parts } = readOf(files);
        const after = edits.reduce((now, [, change]) => change(now), profile);
        const { texts, anew } = editedProfileFiles(parts, profile, after);
        const written = files.map((file, i) => ({ ...file, text: texts[i]! }));
        expect(readOf(written).profile).toEqual(after);
        expect(anew).toEqual([]);
        files.forEach((file, i) => {
          const mine = [
            ...Object.keys(parts[i]!.value),
            // What no file says yet comes into the first one.
            ...(i === 0 ? ['name', 'placing'] : []),
          ];
          const isEdited = edits.some(([field]) => mine.includes(field));
          expect([file.name, texts[i] !== file.text]).toEqual([file.name, isEdited]);
          // Comments above what stays are there.
          if (file.format === 'json') return;
          const left = saidIn({ ...file, text: texts[i]! });
          for (const field of saidIn(file))
            if (!edits.some(([edited]) => edited === field)) expect(left).toContain(field);
        });
      }),
      { numRuns: 25 },
    );
  });

  it('keeps a section in its file when it becomes empty, and fills it there again', () => {
    const { monitors, chains, apps, workspaces } = FULL;
    const root = textOf({ monitors, apps, workspaces }, 'yaml');
    const files: FileText[] = [
      { name: 'desk.yaml', format: 'yaml', text: root },
      { name: 'chains.yaml', format: 'yaml', text: textOf({ chains }, 'yaml') },
    ];
    const first = readOf(files);
    const none = editedProfileFiles(first.parts, first.profile, { ...first.profile, chains: [] });
    expect(none.texts[0]).toBe(root);
    const emptied = files.map((file, i) => ({ ...file, text: none.texts[i]! }));
    const second = readOf(emptied);
    expect(second.profile.chains).toEqual([]);
    const again = editedProfileFiles(second.parts, second.profile, first.profile);
    expect(again.texts[0]).toBe(root);
    expect(readOf(files.map((file, i) => ({ ...file, text: again.texts[i]! }))).profile).toEqual(
      first.profile,
    );
  });

  it('with a fault tells the file, the line and what stands there', () => {
    const faulty: [string, (whole: Record<string, unknown>) => unknown][] = [
      ['look', () => ({ motionMs: 'QQQ' })],
      ['tiling', () => ({ growStep: 'QQQ' })],
      ['apps', () => [{ id: 'a' }, { id: 'b', kind: 'QQQ' }]],
      ['rules', () => [{ id: 'a', when: {}, then: { held: 'QQQ' } }]],
    ];
    fc.assert(
      fc.property(
        fc.constantFrom(...faulty),
        fc.constantFrom(...FORMATS),
        fc.nat(4),
        ([field, value], format, above) => {
          const monitors = { monitors: WHOLE['monitors'] };
          const root = { name: '0.yaml', format: 'yaml' as const, text: textOf(monitors, 'yaml') };
          const blank = format === 'json' ? '\n'.repeat(above) : '# more\n'.repeat(above);
          const text = blank + textOf({ [field]: value(WHOLE) }, format);
          const read = readProfileFiles([root, { name: `1.${format}`, format, text }]);
          const line = text.split('\n').findIndex((each) => each.includes('QQQ')) + 1;
          expect(read.ok).toBe(false);
          if (read.ok) return;
          expect(read.faults).toHaveLength(1);
          const [fault] = read.faults;
          expect([fault!.file, fault!.line]).toEqual([`1.${format}`, line]);
          expect(fault!.excerpt).toBe(text.split('\n')[line - 1]!.trim());
          expect(text.split('\n')[line - 1]!.slice(fault!.column - 1)).toMatch(
            /^"?(motionMs|growStep|kind|held)\b/,
          );
          expect(fileFaultText(fault!)).toMatch(
            new RegExp(`^1\\.${format}:${line}:\\d+: ${field}.* is "QQQ"; expected `),
          );
        },
      ),
      { numRuns: 100 },
    );
  });

  it('that say a thing twice, or what no other file can say, tell both places', () => {
    const file = (name: string, text: string): FileText => ({ name, format: 'yaml', text });
    const root = file('desk.yaml', 'name: Desk\nmonitors: [{ id: m, width: 800, height: 600 }]\n');
    const faults = (...files: FileText[]) => {
      const read = readProfileFiles(files);
      return read.ok ? [] : read.faults.map(fileFaultText);
    };
    expect(faults(root, file('a.yaml', 'version: 4\nname: mine\n$schema: x\n'))).toEqual([]);
    expect(
      faults(root, file('a.yaml', '\nboards: []\n'), file('b.yaml', '# b\nboards: []')),
    ).toEqual(['b.yaml:2:1: boards is said twice; expected it here or in a.yaml:2:1, not in both']);
    const three = ['a', 'b', 'c'].map((name) => file(`${name}.yaml`, 'boards: []\n'));
    expect(faults(root, ...three).map((fault) => fault.split(';')[1])).toEqual([
      ' expected it here or in a.yaml:1:1, not in both',
      ' expected it here or in a.yaml:1:1, not in both',
    ]);
    expect(faults(root, file('a.yaml', '\n\nnonsense: 1\n'))[0]).toMatch(
      /^a\.yaml:3:1: nonsense is no section of a profile; expected some of monitors, /,
    );
    expect(faults(root, file('a.yaml', '- a\n'))).toEqual([
      'a.yaml:1:1: no fields; expected a profile, or sections of one',
    ]);
    expect(faults(root, file('a.yaml', 'a: [\n'))[0]).toMatch(/^a\.yaml:\d:\d: not YAML: /);
    expect(faults(root, file('a.yaml', ''))[0]).toMatch(/^a\.yaml:1:1: empty/);
    // The first file may say what goes for all of it.
    expect(faults(file('desk.yaml', `$schema: x\ninclude: [a.yaml]\n${root.text}`))).toEqual([]);
  });
});

describe('what a file includes', () => {
  const included = (format: Format, text: string) => {
    const found = includedIn({ name: 'desk', format, text });
    return Array.isArray(found)
      ? found.map(({ name, line, column }) => `${name} ${line}:${column}`)
      : fileFaultText(found);
  };

  it('are the files it names, with their places', () => {
    expect(included('yaml', 'name: x\ninclude:\n  - a.yaml\n  - b.toml\n')).toEqual([
      'a.yaml 3:5',
      'b.toml 4:5',
    ]);
    expect(included('json', '{\n"include": ["a.json"] }')).toEqual(['a.json 2:13']);
    expect(included('toml', 'name = "x"\ninclude = ["a", "b"]\n')).toEqual(['a 2:12', 'b 2:17']);
    expect(included('yaml', 'name: x\n')).toEqual([]);
    expect(included('yaml', 'include: []\n')).toEqual([]);
    expect(included('yaml', 'include: [a\n')).toEqual([]);
    expect(included('yaml', '- include: a\n')).toEqual([]);
  });

  it('is a list of at most 50 names, or told', () => {
    const names = (count: number) =>
      `include: [${Array.from({ length: count }, (_, i) => `f${i}`).join(', ')}]`;
    expect(included('yaml', names(50))).toHaveLength(50);
    const told = 'is no list of file names; expected at most 50, such as [rules.yaml]';
    expect(included('yaml', `\n${names(51)}`)).toBe(`desk:2:1: include ${told}`);
    expect(included('yaml', 'include: rules.yaml')).toBe(`desk:1:1: include ${told}`);
    expect(included('yaml', 'include: [a, 1]')).toBe(`desk:1:1: include ${told}`);
  });
});
