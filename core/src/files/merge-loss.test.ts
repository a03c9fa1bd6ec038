import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { profileSchema, type Profile } from '../model/profile.ts';
import { DEMO } from '../testing/profiles.ts';
import { mergeProfiles } from './merge-profiles.ts';
import { conflictId, type Conflict } from './merge.ts';
import { changeTexts, conflictWords } from './words.ts';

/** Lists whose entries have ids, and inside them lists whose entries have names. */
const LISTS = ['monitors', 'workspaces', 'apps', 'rules', 'boards', 'desks'] as const;
type List = (typeof LISTS)[number];
type Item = Record<string, unknown> & { id: string };

interface Edit {
  list: List;
  how: 'move' | 'take-out' | 'add' | 'name' | 'inside';
  at: number;
  to: number;
}

const anyEdit: fc.Arbitrary<Edit> = fc.record({
  list: fc.constantFrom(...LISTS),
  how: fc.constantFrom('move', 'move', 'take-out', 'add', 'name', 'inside'),
  at: fc.nat(12),
  to: fc.nat(12),
});
const anyEdits = fc.array(anyEdit, { maxLength: 5 });

/** A profile with one edit made, as a person makes them; what could not be read again is left out. */
function edited(profile: Profile, { list, how, at, to }: Edit, by: string): Profile {
  const items = [...(profile[list] as unknown as Item[])];
  const i = at % Math.max(1, items.length);
  const item = items[i];
  if (!item) return profile;
  if (how === 'move') items.splice(to % items.length, 0, ...items.splice(i, 1));
  else if (how === 'take-out') items.splice(i, 1);
  else if (how === 'add') items.splice(to % items.length, 0, { ...item, id: `${by}-${at}-${to}` });
  else if (how === 'name') items[i] = { ...item, name: `${by} ${to}` };
  else if (list === 'boards')
    items[i] = { ...item, zones: [...(item.zones as unknown[])].reverse() };
  else if (list === 'rules') items[i] = { ...item, on: to % 2 === 0 };
  else items[i] = { ...item, name: `${by} inside ${to}` };
  const next = profileSchema.safeParse({ ...profile, [list]: items });
  return next.success ? next.data : profile;
}

/**
 * What somebody else changed of a base and a merged profile has not got, though no conflict names it. Compares plain
 * data: entries by id, fields by JSON, order by pairs.
 */
function lost(
  base: Profile,
  theirs: Profile,
  value: Profile,
  conflicts: readonly Conflict[],
): string[] {
  const json = (of: unknown) => JSON.stringify(of);
  const isNamed = (...path: string[]) =>
    conflicts.some((conflict) =>
      path.every((part, i) => i >= conflict.path.length || conflict.path[i] === part),
    );
  const missing: string[] = [];
  for (const list of LISTS) {
    const [was, is, got] = [base, theirs, value].map(
      (profile) => new Map((profile[list] as unknown as Item[]).map((item) => [item.id, item])),
    ) as [Map<string, Item>, Map<string, Item>, Map<string, Item>];
    for (const [id, item] of is) {
      const before = was.get(id);
      for (const field of new Set([...Object.keys(item), ...Object.keys(before ?? {})])) {
        if (before && json(before[field]) === json(item[field])) continue;
        if (json(got.get(id)?.[field]) === json(item[field]) || isNamed(list, id, field)) continue;
        missing.push(`${list} ${id} ${field}`);
      }
    }
    for (const id of was.keys())
      if (!is.has(id) && got.has(id) && !isNamed(list, id)) missing.push(`${list} ${id} taken out`);
    const places = (of: Map<string, Item>) => new Map([...of.keys()].map((id, i) => [id, i]));
    const [from, to, now] = [places(was), places(is), places(got)];
    const common = [...from.keys()].filter((id) => to.has(id) && now.has(id));
    for (const a of common)
      for (const b of common) {
        const above = (at: Map<string, number>) => at.get(a)! < at.get(b)!;
        if (above(from) || !above(to) || a === b || above(now)) continue;
        if (!isNamed(list)) missing.push(`${list}: ${a} above ${b}`);
      }
  }
  return missing;
}

const isOrderOf = (list: string) => (conflict: Conflict) =>
  conflict.path[0] === list && conflict.path.length === 2;

describe('nothing of theirs is missing unless a conflict names it', () => {
  test('for any edits on both sides', () => {
    fc.assert(
      fc.property(anyEdits, anyEdits, (ours, others) => {
        const mine = ours.reduce((made, edit) => edited(made, edit, 'mine'), DEMO);
        const theirs = others.reduce((made, edit) => edited(made, edit, 'theirs'), DEMO);
        const { value, conflicts } = mergeProfiles(DEMO, mine, theirs);
        expect(lost(DEMO, theirs, value, conflicts)).toEqual([]);
        // Nor is anything of mine, the other way about.
        expect(lost(DEMO, mine, value, conflicts)).toEqual([]);
        // Decided for them, all of theirs is there, and no conflict is left.
        const sides = new Map(
          conflicts.map((conflict) => [conflictId(conflict), 'theirs'] as const),
        );
        const decided = mergeProfiles(DEMO, mine, theirs, sides);
        expect(decided.conflicts).toEqual([]);
        expect(lost(DEMO, theirs, decided.value, [])).toEqual([]);
      }),
      { numRuns: 400 },
    );
  });

  test('the oracle sees an order that is lost, a field and an entry', () => {
    const turned = { ...DEMO, workspaces: [...DEMO.workspaces].reverse() };
    expect(lost(DEMO, turned, DEMO, []).length).toBeGreaterThan(5);
    const named = edited(DEMO, { list: 'apps', how: 'name', at: 0, to: 1 }, 'theirs');
    expect(lost(DEMO, named, DEMO, [])).toEqual(['apps pitreader name']);
    const less = edited(DEMO, { list: 'rules', how: 'take-out', at: 0, to: 0 }, 'theirs');
    expect(lost(DEMO, less, DEMO, [])).toEqual(['rules duty-line taken out']);
  });
});

describe('the order of a list is a value of its own', () => {
  const ids = (list: readonly { id: string }[]) => list.map(({ id }) => id);
  const order = (...wanted: string[]) => ({
    ...DEMO,
    workspaces: wanted.map((id) => DEMO.workspaces.find((each) => each.id === id)!),
  });
  const base = order('B', 'M', 'S', 'R');

  test('moved there, it comes in, and is told', () => {
    const theirs = order('R', 'S', 'M', 'B');
    const mine = { ...base, name: 'Mine' };
    const { value, conflicts } = mergeProfiles(base, mine, theirs);
    expect(conflicts).toEqual([]);
    expect(ids(value.workspaces)).toEqual(['R', 'S', 'M', 'B']);
    expect(value.name).toBe('Mine');
    expect(changeTexts(base, value).length).toBeGreaterThan(1);
    expect(changeTexts(base, value).join()).toContain('workspace');
  });

  test('moved here and something added there, both hold', () => {
    const mine = order('R', 'B', 'M', 'S');
    const theirs = { ...base, workspaces: [...base.workspaces, { id: 'F' }] };
    expect(ids(mergeProfiles(base, mine, theirs).value.workspaces)).toEqual([
      // Behind what it was added behind.
      'R',
      'F',
      'B',
      'M',
      'S',
    ]);
  });

  test('moved in both to the same, there is nothing to decide; moved differently, it is a conflict that is decided', () => {
    const mine = order('R', 'B', 'M', 'S');
    const theirs = order('M', 'B', 'S', 'R');
    expect(mergeProfiles(base, mine, mine).conflicts).toEqual([]);
    const { value, conflicts } = mergeProfiles(base, mine, theirs);
    expect(conflicts.filter(isOrderOf('workspaces'))).toHaveLength(1);
    expect(ids(value.workspaces)).toEqual(['R', 'B', 'M', 'S']);
    expect(conflictWords(conflicts[0]!, value)).toEqual({
      what: 'order of workspaces',
      mine: 'R, B, M, S',
      theirs: 'M, B, S, R',
    });
    const taken = mergeProfiles(
      base,
      mine,
      theirs,
      new Map([[conflictId(conflicts[0]!), 'theirs']]),
    );
    expect(taken.conflicts).toEqual([]);
    expect(ids(taken.value.workspaces)).toEqual(['M', 'B', 'S', 'R']);
  });

  test('of rules, whose order is their meaning, moved differently in both', () => {
    const [first, second, ...rest] = DEMO.rules;
    const mine = { ...DEMO, rules: [second!, first!, ...rest] };
    const theirs = { ...DEMO, rules: [...rest, first!, second!] };
    const { conflicts } = mergeProfiles(DEMO, mine, theirs);
    expect(conflicts).toHaveLength(1);
    expect(conflictWords(conflicts[0]!, DEMO).what).toBe('order of rules');
    expect(conflictWords(conflicts[0]!, DEMO).mine).toMatch(/^Slope Cams, Duty Line/);
  });
});
