import fc from 'fast-check';
import { parse as parseToml } from 'smol-toml';
import { describe, expect, test } from 'vitest';
import { parse as parseYaml } from 'yaml';
import { profileSchema, type Profile } from '../model/profile.ts';
import { oddToml, oddYaml } from '../testing/odd-text.ts';
import { anyProfile, DEMO } from '../testing/profiles.ts';
import { withGap } from '../tiling/settings-edit.ts';
import { read } from '../values/faults.ts';
import { compactProfile } from './compact.ts';
import { FORMATS } from './format.ts';
import { isFields, isSame } from './differences.ts';
import { editedFor, textAfterImport, textFor } from './keep-comments.ts';
import { parseText } from './parse.ts';
import { whyNot, writeText } from './write.ts';

const OWN = `# My desk, as of autumn
version: 4
name: Bulletin desk # the old name
monitors:
  # the good one
  - { id: wide, width: 3440, height: 1440 }
rules:
  # never tile the guest
  - id: guest
    when: { all: [{ of: app, is: wxguest }] }
    then:
      held: left-alone # not even once
  # the duty line
  - id: duty
    then: { held: floating }
tiling:
  gaps:
    inner: 0x0A # ten
`;

function profileOf(text: string): Profile {
  const parsed = parseText(text, 'yaml');
  if (!parsed.ok) throw new Error(parsed.faults[0]!.message);
  return profileSchema.parse(parsed.value);
}

const own = { format: 'yaml', content: OWN } as const;
const edited = (change: (profile: Profile) => Profile) => textFor(own, change(profileOf(OWN)));

describe('a text of one’s own, after edits made elsewhere', () => {
  test('is as it was where it says the same', () => expect(edited((p) => p)).toBe(OWN));

  test('has one value changed, and nothing else', () => {
    expect(edited((p) => withGap(p, {}, 'inner', 6))).toBe(OWN.replace('0x0A # ten', '6 # ten'));
  });

  test('keeps the comments of rules that moved, and of those beside one taken out', () => {
    const moved = edited((p) => ({ ...p, rules: [...p.rules].reverse() }));
    expect(moved).toMatch(/# the duty line\n {2}- id: duty[^]*- id: guest[^]*# not even once/);
    const one = edited((p) => ({ ...p, rules: p.rules.slice(0, 1) }));
    expect(one).toContain('held: left-alone # not even once');
    expect(one).not.toContain('duty');
  });

  test('says nothing that goes without saying, and takes back what it said', () => {
    const text = edited((p) => ({ ...withGap(p, {}, 'outer', 4), name: 'Hut' }));
    expect(text).toContain('outer: 4');
    expect(text).toContain('name: Hut # the old name');
    expect(text).not.toMatch(/look|growStep|placing/);
    const bare = edited(({ tiling: { gaps: _gaps, ...tiling }, ...p }) => ({ ...p, tiling }));
    expect(bare).not.toContain('inner');
  });

  test('with aliases is brought up to date all the same', () => {
    const content = `${OWN}boards:\n  - &a { id: a, columns: &c [1, 2] }\n  - { id: b, columns: *c }\n`;
    const before = profileOf(content);
    const after = {
      ...before,
      boards: before.boards.map((board) => (board.id === 'a' ? { ...board, columns: [3] } : board)),
    };
    expect(profileOf(textFor({ format: 'yaml', content }, after))).toEqual(after);
  });

  test('of another version is written anew below its head', () => {
    const content = OWN.replace('version: 4', 'version: 3');
    const text = textFor({ format: 'yaml', content }, { ...profileOf(content), name: 'Hut' });
    expect(text).toMatch(/^# My desk, as of autumn\nversion: 4\nname: Hut\n/);
  });

  test.each(FORMATS)('in %s always says what the profile is', (format) => {
    fc.assert(
      fc.property(anyProfile, anyProfile, fc.boolean(), (before, after, isPart) => {
        const content = writeText(compactProfile(before), format);
        const next = isPart ? { ...before, rules: after.rules, keys: after.keys } : after;
        const parsed = parseText(textFor({ format, content }, next), format);
        expect(parsed.ok && read(profileSchema, parsed.value)).toEqual({ ok: true, value: next });
      }),
      { numRuns: 25 },
    );
  });

  test('of the demo keeps a comment before every line that is still there', () => {
    const lines = writeText(compactProfile(DEMO), 'yaml').split('\n');
    const content = lines
      .map((line, i) => (/^\s*- id:|^\w/.test(line) ? `${line} # c${i}` : line))
      .join('\n');
    const text = textFor({ format: 'yaml', content }, withGap(DEMO, {}, 'inner', 7));
    expect(text.match(/# c\d+/g)).toEqual(content.match(/# c\d+/g));
  });
});

describe('a profile that was written by hand, in an odd but legal style', () => {
  /** Edits of one field, and the lines of the text that may be otherwise: those of the field. */
  const EDITS: readonly {
    way: (profile: Profile) => (string | number)[] | null;
    edit: (profile: Profile) => Profile;
  }[] = [
    { way: () => ['name'], edit: (p) => ({ ...p, name: `${p.name.slice(0, 9)} 2` }) },
    {
      // Two sides of their own have lines of their own.
      way: ({ tiling }) => (isFields(tiling.gaps?.inner) ? null : ['tiling', 'gaps', 'inner']),
      edit: (p) => withGap(p, {}, 'inner', p.tiling.gaps?.inner === 33 ? 34 : 33),
    },
    {
      way: ({ rules }) => (rules.length > 0 ? ['rules', rules.length - 1, 'name'] : null),
      edit: (p) => ({
        ...p,
        rules: p.rules.map((rule, i) => (i < p.rules.length - 1 ? rule : { ...rule, name: 'Odd' })),
      }),
    },
    {
      way: () => ['monitors', 0, 'width'],
      edit: (p) => ({
        ...p,
        monitors: p.monitors.map((each, i) => (i > 0 ? each : { ...each, width: each.width + 1 })),
      }),
    },
    {
      way: ({ boards }) => (boards.length > 0 ? ['boards', 0, 'name'] : null),
      edit: (p) => ({
        ...p,
        boards: p.boards.map((each, i) => (i > 0 ? each : { ...each, name: 'B' })),
      }),
    },
  ];

  test.each([
    ['yaml', oddYaml],
    ['toml', oddToml],
  ] as const)(
    'has only the lines of the edited field changed in %s',
    (format, write) => {
      let counted = 0;
      fc.assert(
        fc.property(
          anyProfile,
          fc.nat(),
          fc.constantFrom(...EDITS),
          (profile, seed, { way, edit }) => {
            const after = edit(profile);
            const path = way(profile);
            fc.pre(
              path !== null && read(profileSchema, after).ok && whyNot(profile, format) === null,
            );
            const { text, lineOf } = write(compactProfile(profile), seed, seed % 2 === 0);
            const edited = editedFor({ format, content: text }, after);
            if (edited === null) throw new Error('written anew');
            const parsed: unknown = format === 'yaml' ? parseYaml(edited) : parseToml(edited);
            expect(profileSchema.parse(parsed)).toEqual(after);
            const [old, young] = [text.split('\n'), edited.split('\n')];
            const line = lineOf.get(JSON.stringify(path));
            // What is called by several names has more lines than one.
            if (/[&*]a\d/.test(text)) return;
            counted++;
            if (line === undefined || young.length !== old.length) {
              // The field is new: its lines come, and at most those that it comes between are otherwise.
              const kept = old.filter((each) => young.includes(each));
              expect(kept.length).toBeGreaterThanOrEqual(old.length - 1);
            } else
              expect(old.flatMap((each, i) => (each === young[i] ? [] : [i]))).toEqual(
                isSame(profile, after) ? [] : [line],
              );
          },
        ),
        { numRuns: 100, endOnFailure: true },
      );
      expect(counted).toBeGreaterThan(40);
      // Made-up profiles are large: a busy machine takes its time.
    },
    240_000,
  );
});

test('a list that is one value, such as weights, is written anew with its comment', () => {
  const content = `${OWN}boards:
  - id: b
    columns: [1, 2] # two of them
    rows: [1]
`;
  const profile = profileOf(content);
  const [board] = profile.boards;
  const next = { ...profile, boards: [{ ...board!, columns: [1, 3, 2] }] };
  const text = textFor({ format: 'yaml', content }, next);
  expect(profileOf(text).boards[0]!.columns).toEqual([1, 3, 2]);
  expect(text).toMatch(/columns: \[ ?1, 3, 2 ?\] # two of them/);
});

describe('the text after an import', () => {
  const file = { format: 'yaml', content: OWN } as const;
  const mine = { format: 'yaml', content: OWN.replace('# ten', '# mine') } as const;

  test('is that of the file, with its comments, where all of it is taken', () => {
    expect(textAfterImport(null, file, profileOf(OWN))).toEqual(file);
    expect(textAfterImport(mine, file, profileOf(OWN))).toEqual(file);
  });

  test('is that of the file with what only the profile has, where there was none', () => {
    const made = { ...profileOf(OWN), name: 'Hut' };
    expect(textAfterImport(null, file, made)?.content).toBe(
      OWN.replace('name: Bulletin desk', 'name: Hut'),
    );
  });

  test('stays one’s own where only a part is taken', () => {
    expect(textAfterImport(mine, file, { ...profileOf(OWN), name: 'Hut' })).toEqual(mine);
    const part = { format: 'yaml', content: 'rules: []\n' } as const;
    expect(textAfterImport(null, part, profileOf(OWN))).toBeNull();
  });
});
