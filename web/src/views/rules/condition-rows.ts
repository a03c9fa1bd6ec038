import { ROLES } from '@sorn/core/desk';
import {
  conditionSchema,
  GROUPS,
  TEXT_TESTS,
  whenSchema,
  type Condition,
  type Fact,
  type Group,
  type Profile,
  type When,
} from '@sorn/core/model';
import { KINDS, MODES, read } from '@sorn/core/values';

/** A condition as it is typed: all of it text, right or not. */
export interface ConditionRow {
  group: Group;
  of: Fact;
  test: Test;
  value: string;
}

export type Test = (typeof TEXT_TESTS)[number] | 'from' | 'to' | 'both';

export const TEST_WORDS: Record<Test, string> = {
  is: 'is',
  has: 'has',
  fits: 'fits * ?',
  matches: 'matches',
  from: 'at least',
  to: 'at most',
  both: 'from … to',
};

/** How a fact can be asked about. */
export function testsOf(of: Fact): readonly Test[] {
  if (of === 'width' || of === 'height') return ['from', 'to', 'both'];
  return of === 'monitor' || isChosen(of) ? ['is'] : TEXT_TESTS;
}

/** The values that a fact is asked for most; empty where anything can be typed. */
export function valuesOf(of: Fact, profile: Profile): readonly string[] {
  switch (of) {
    case 'kind':
      return KINDS;
    case 'mode':
      return MODES;
    case 'resizable':
      return ['yes', 'no'];
    case 'app':
    case 'parent':
      return profile.apps.map(({ id }) => id);
    case 'title':
      return [...new Set(profile.apps.flatMap(({ title }) => title ?? []))];
    case 'desk':
      return profile.desks.map(({ id }) => id);
    case 'workspace':
      return profile.workspaces.map(({ id }) => id);
    case 'monitor':
      return [...profile.monitors.map(({ id }) => id), ...ROLES];
    default:
      return [];
  }
}

/** What stands first where a fact is one of a few words. */
const FIRST_CHOSEN: { [F in Fact]?: string } = { kind: 'dialog', mode: 'mirror', resizable: 'no' };

/** True where a fact is one of a few words. */
export function isChosen(of: Fact): boolean {
  return FIRST_CHOSEN[of] !== undefined;
}

export function rowsOf(when: When): ConditionRow[] {
  return GROUPS.flatMap((group) => when[group].map((condition) => rowOf(group, condition)));
}

function rowOf(group: Group, condition: Condition): ConditionRow {
  const { of } = condition;
  if (of === 'width' || of === 'height') {
    const { from, to } = condition;
    const test = from === undefined ? 'to' : to === undefined ? 'from' : 'both';
    const value = test === 'both' ? `${from} to ${to}` : String(from ?? to);
    return { group, of, test, value };
  }
  if (of === 'resizable') return { group, of, test: 'is', value: condition.is ? 'yes' : 'no' };
  const test = TEXT_TESTS.find((each) => each in condition) ?? 'is';
  return { group, of, test, value: String((condition as Record<string, unknown>)[test]) };
}

/** What a row says, before it is checked. */
function conditionOf({ of, test, value }: ConditionRow): unknown {
  if (of === 'resizable') return { of, is: value === 'yes' };
  if (test !== 'from' && test !== 'to' && test !== 'both') return { of, [test]: value };
  const [first, second] = value.split(/\s*(?:to|…|-|–)\s*/).map(Number);
  if (test !== 'both') return { of, [test]: first };
  return { of, from: first, to: second ?? Number.NaN };
}

/** Nothing is typed yet: such a row is not a condition. */
export function isBlank({ value }: ConditionRow): boolean {
  return value.trim() === '';
}

/** Why a row is no condition; null where it is one. */
export function rowFault(row: ConditionRow): string | null {
  const result = read(conditionSchema, conditionOf(row));
  return result.ok ? null : `expected ${result.faults[0]!.expected}`;
}

/** All rows as the conditions of a rule; null where one of them is not right. */
export function whenOf(rows: readonly ConditionRow[]): When | null {
  const of = (group: Group) =>
    rows.filter((row) => row.group === group && !isBlank(row)).map(conditionOf);
  const result = read(whenSchema, { all: of('all'), any: of('any'), none: of('none') });
  return result.ok ? result.value : null;
}

/** A row about another fact: what was typed stays where it can. */
export function aboutFact(row: ConditionRow, of: Fact): ConditionRow {
  const tests = testsOf(of);
  const test = tests.includes(row.test) ? row.test : tests[0]!;
  const first = FIRST_CHOSEN[of] ?? (isChosen(row.of) ? '' : row.value);
  return { ...row, of, test, value: first };
}
