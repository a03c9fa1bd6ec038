import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { profileSchema, type Profile } from '../model/profile.ts';
import { anyProfile, DEMO } from '../testing/profiles.ts';
import { withGap } from '../tiling/settings-edit.ts';
import { read } from '../values/faults.ts';
import { compactProfile } from './compact.ts';
import { FORMATS } from './format.ts';
import { textFor } from './keep-comments.ts';
import { parseText } from './parse.ts';
import { writeText } from './write.ts';

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
