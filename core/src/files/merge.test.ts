import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { profileSchema } from '../model/profile.ts';
import { anyProfile, DEMO } from '../testing/profiles.ts';
import { withGap } from '../tiling/settings-edit.ts';
import { differences, isSame } from './differences.ts';
import { importItems, withImported, type Taking } from './import.ts';
import { mergeProfiles } from './merge-profiles.ts';
import { conflictId, merge, type Conflict } from './merge.ts';
import { fileOf, readFile, type FromFile, type SectionId } from './sections.ts';

const RUNS = { numRuns: 40 };
const theirsIn = (conflicts: readonly Conflict[]) =>
  new Map(conflicts.map((conflict) => [conflictId(conflict), 'theirs'] as const));

const BOARD = {
  id: 'two',
  columns: [1, 1],
  rows: [1],
  zones: [{ name: 'Left', columns: [1, 1] as [number, number], rows: [1, 1] as [number, number] }],
  for: {},
};

describe('two edits of the same profile', () => {
  test('of which one is none are the other', () => {
    fc.assert(
      fc.property(anyProfile, anyProfile, (base, other) => {
        expect(merge(base, other, base)).toEqual({ value: other, conflicts: [] });
        expect(merge(base, base, other)).toEqual({ value: other, conflicts: [] });
        expect(merge(base, other, other)).toEqual({ value: other, conflicts: [] });
        const { conflicts } = merge(base, base, other);
        expect(conflicts).toEqual([]);
      }),
      RUNS,
    );
  });

  test('each field is as one of the two has it, and a conflict is told where both differ', () => {
    fc.assert(
      fc.property(anyProfile, anyProfile, anyProfile, (base, mine, theirs) => {
        const { value, conflicts } = merge(base, mine, theirs);
        for (const { path, kind } of differences(base, mine)) {
          // The same entry twice, and the order of lists, are told apart by the tests below.
          if (kind === 'moved' || path.some((part) => part.includes(' #'))) continue;
          const isTold = conflicts.some((conflict) =>
            conflict.path.every((part, i) => part === path[i]),
          );
          const isTheirs = differences(value, theirs).every((other) => !isSame(other.path, path));
          const isMine = differences(value, mine).every((other) => !isSame(other.path, path));
          expect(isTold || isMine || isTheirs).toBe(true);
        }
      }),
      RUNS,
    );
  });

  test('a gap and a rule go together; two gaps conflict, field by field', () => {
    const [first, ...rest] = DEMO.rules;
    const mine = withGap(DEMO, {}, 'inner', 4);
    const theirs = { ...DEMO, rules: [...rest, { ...first!, name: 'Last' }] };
    const together = merge(DEMO, mine, theirs);
    expect(together.conflicts).toEqual([]);
    expect(together.value).toEqual({ ...mine, rules: theirs.rules });

    const other = withGap(withGap(DEMO, {}, 'inner', 8), {}, 'outer', 0);
    const apart = merge(DEMO, mine, other);
    expect(apart.conflicts).toEqual([
      { path: ['tiling', 'gaps', 'inner'], base: 10, mine: 4, theirs: 8 },
    ]);
    expect(apart.value.tiling.gaps).toMatchObject({ inner: 4, outer: 0 });
    const settled = merge(DEMO, mine, other, theirsIn(apart.conflicts)).value;
    expect(settled.tiling.gaps).toMatchObject({ inner: 8, outer: 0 });
  });

  test('what one takes out and the other changes is a conflict, and nothing is lost unasked', () => {
    const mine = { ...DEMO, rules: DEMO.rules.slice(1) };
    const theirs = {
      ...DEMO,
      rules: DEMO.rules.map((rule, i) => (i === 0 ? { ...rule, on: false } : rule)),
    };
    const { conflicts } = merge(DEMO, mine, theirs);
    expect(conflicts).toMatchObject([{ path: ['rules', DEMO.rules[0]!.id], mine: undefined }]);
    const back = merge(DEMO, mine, theirs, theirsIn(conflicts)).value;
    expect(back.rules.find(({ id }) => id === DEMO.rules[0]!.id)).toMatchObject({ on: false });
  });

  test('rules that both added stand where each put them', () => {
    const rule = (id: string) => ({ ...DEMO.rules[0]!, id });
    const mine = { ...DEMO, rules: [rule('a'), ...DEMO.rules] };
    const theirs = { ...DEMO, rules: [...DEMO.rules, rule('z')] };
    const { value } = merge(DEMO, mine, theirs);
    expect(value.rules.map(({ id }) => id)).toEqual(['a', ...DEMO.rules.map(({ id }) => id), 'z']);
  });
});

describe('two edits of the same profile, as a profile', () => {
  test('are always a profile, and what is decided is as decided', () => {
    fc.assert(
      fc.property(anyProfile, anyProfile, anyProfile, (base, mine, theirs) => {
        const { value, conflicts } = mergeProfiles(base, mine, theirs);
        expect(profileSchema.parse(value)).toEqual(value);
        const taken = mergeProfiles(base, mine, theirs, theirsIn(conflicts));
        expect(profileSchema.parse(taken.value)).toEqual(taken.value);
      }),
      RUNS,
    );
  });

  test('that do not go together are told part by part', () => {
    const two = (change: object) => ({ ...DEMO, boards: [{ ...BOARD, ...change }] });
    const base = two({});
    const mine = two({ columns: [1], zones: [] });
    const theirs = two({
      name: 'Theirs',
      zones: [{ name: 'Right', columns: [2, 2], rows: [1, 1] }],
    });
    const { value, conflicts } = mergeProfiles(base, mine, theirs);
    expect(value).toEqual(mine);
    expect(conflicts).toMatchObject([{ path: ['boards'] }]);
    expect(mergeProfiles(base, mine, theirs, theirsIn(conflicts)).value).toEqual(theirs);
  });

  test('of which it is not known what both began from, differ field by field', () => {
    const { conflicts, value } = mergeProfiles(null, DEMO, withGap(DEMO, {}, 'inner', 3));
    expect(conflicts).toMatchObject([{ path: ['tiling', 'gaps', 'inner'], mine: 10, theirs: 3 }]);
    expect(value).toEqual(DEMO);
  });
});

describe('a file that is brought in', () => {
  const fileWith = (input: unknown): FromFile => {
    const file = readFile(input);
    if (!file.ok) throw new Error(JSON.stringify(file.faults));
    return file.value;
  };
  const every = (items: readonly { id: string }[], taking: Taking = 'theirs') =>
    new Map(items.map(({ id }) => [id, taking] as const));

  test('of the same profile brings nothing', () => {
    fc.assert(
      fc.property(anyProfile, (profile) => {
        expect(importItems(profile, fileWith(fileOf(profile)))).toEqual([]);
      }),
      RUNS,
    );
  });

  test('all of it taken: whatever the file says holds, and what only the profile has stays', () => {
    fc.assert(
      fc.property(anyProfile, anyProfile, (profile, other) => {
        const file = fileWith(fileOf(other));
        const made = withImported(profile, file, every(importItems(profile, file)));
        if (!made.ok) throw new Error(JSON.stringify(made.faults));
        expect(importItems(made.value, file)).toEqual([]);
        for (const list of ['rules', 'boards', 'apps', 'monitors'] as const) {
          const ids = new Set(made.value[list].map(({ id }) => id));
          for (const { id } of [...profile[list], ...other[list]]) expect(ids).toContain(id);
        }
      }),
      RUNS,
    );
  });

  test('only of some sections changes no other', () => {
    fc.assert(
      fc.property(
        anyProfile,
        anyProfile,
        fc.constantFrom<SectionId>('rules', 'boards'),
        (profile, other, section) => {
          const file = fileWith(fileOf(other));
          const items = importItems(profile, file).filter((item) => item.section === section);
          const made = withImported(profile, file, every(items));
          if (!made.ok) throw new Error(JSON.stringify(made.faults));
          const field = section as 'rules' | 'boards';
          expect({ ...made.value, [field]: [] }).toEqual({ ...profile, [field]: [] });
        },
      ),
      RUNS,
    );
  });

  test('tells what is added, changed and in the way', () => {
    const [first] = DEMO.rules;
    const keys = DEMO.keys.bindings[0]!;
    const items = importItems(
      DEMO,
      fileWith({
        rules: [
          { ...first!, then: { held: 'pocketed' } },
          { ...DEMO.rules[1]!, when: { all: [{ of: 'app', is: 'post' }] } },
          { ...first!, id: 'new' },
        ],
        keys: { ...DEMO.keys, bindings: [{ ...keys, command: { command: 'undo' } }] },
      }),
    );
    expect(items.map(({ section, kind, canBoth }) => [section, kind, canBoth])).toEqual([
      ['rules', 'changed', true],
      ['rules', 'conflict', true],
      ['rules', 'added', false],
      ['keys', 'conflict', false],
    ]);
  });

  test('what has the same id and is another thing is in the way', () => {
    const [monitor] = DEMO.monitors;
    const [board] = DEMO.boards;
    const [app] = DEMO.apps;
    const kindOf = (said: object) => importItems(DEMO, fileWith(said)).map(({ kind }) => kind);
    const monitorWith = (said: object) => kindOf({ monitors: [{ ...monitor, ...said }] });
    for (const said of [{ width: 777 }, { height: 777 }, { maker: 'Fenn' }, { model: 'x' }])
      expect(monitorWith(said)).toEqual(['conflict']);
    expect(monitorWith({ serial: 'x' })).toEqual(['conflict']);
    expect(monitorWith({ scale: 1.25 })).toEqual(['changed']);
    expect(kindOf({ boards: [{ ...board, name: 'Other' }] })).toEqual(['conflict']);
    expect(kindOf({ boards: [{ ...board, for: { leastAspect: 1.1 } }] })).toEqual(['changed']);
    expect(kindOf({ apps: [{ ...app, name: 'Other' }] })).toEqual(['conflict']);
    expect(kindOf({ apps: [{ ...app, min: { width: 7, height: 7 } }] })).toEqual(['changed']);
  });

  test('beside what is here, under another id', () => {
    const [first] = DEMO.rules;
    const file = fileWith({ rules: [{ ...first!, then: { held: 'pocketed' } }] });
    const made = withImported(DEMO, file, every(importItems(DEMO, file), 'both'));
    expect(made.ok && made.value.rules.map(({ id }) => id)).toEqual([
      ...DEMO.rules.map(({ id }) => id),
      `${first!.id}-2`,
    ]);
  });
});
