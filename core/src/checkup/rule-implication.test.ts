import fc from 'fast-check';
import { expect, it } from 'vitest';
import { profileSchema } from '../model/profile.ts';
import { ruleSchema, type Condition, type When } from '../model/rule.ts';
import { OFFICE, testDesk } from '../testing/desk.ts';
import type { WindowFacts } from '../rules/facts.ts';
import { checkRules } from './rules.ts';
import { impliedBy } from './rule-implication.ts';

const TEXTS = ['ab', 'AB', 'abc', 'b', 'xb'];
const anyCondition = fc.oneof(
  fc.record({
    of: fc.constantFrom('app', 'title', 'parent'),
    is: fc.constantFrom(...TEXTS),
  }),
  fc.record({ of: fc.constantFrom('app', 'title'), has: fc.constantFrom('a', 'B', 'abc') }),
  fc.record({ of: fc.constantFrom('app', 'title'), fits: fc.constantFrom('a*', '?b', '*') }),
  fc.record({ of: fc.constantFrom('app', 'title'), matches: fc.constantFrom('^a', 'b$', 'x') }),
  fc.record({ of: fc.constant('kind'), is: fc.constantFrom('normal', 'dialog') }),
  fc.record({ of: fc.constant('resizable'), is: fc.boolean() }),
  fc.record({
    of: fc.constantFrom('width', 'height'),
    from: fc.constantFrom(100, 200, 300),
    to: fc.constantFrom(300, 400),
  }),
  fc.record({ of: fc.constantFrom('width', 'height'), from: fc.constantFrom(100, 200) }),
  fc.record({ of: fc.constantFrom('width', 'height'), to: fc.constantFrom(200, 400) }),
) as fc.Arbitrary<Condition>;
const few = (most: number) => fc.array(anyCondition, { maxLength: most });
const anyWhen: fc.Arbitrary<When> = fc.record({ all: few(3), any: few(2), none: few(1) });

/** What a condition says of a window, word by word; globs and patterns as the few that are used here. */
function holds(condition: Condition, facts: WindowFacts): boolean {
  if (condition.of === 'kind') return facts.kind === condition.is;
  if (condition.of === 'resizable') return facts.resizable === condition.is;
  if (condition.of === 'width' || condition.of === 'height') {
    const size = facts[condition.of];
    if (size === undefined) return false;
    if (condition.from !== undefined && size < condition.from) return false;
    return condition.to === undefined || size <= condition.to;
  }
  const text = facts[condition.of as 'app'];
  if (text === undefined) return false;
  if ('is' in condition) return text === condition.is;
  if ('has' in condition) return text.toLowerCase().includes(condition.has.toLowerCase());
  const low = text.toLowerCase();
  if ('fits' in condition) {
    if (condition.fits === 'a*') return low.startsWith('a');
    return condition.fits === '*' || (low.length === 2 && low.endsWith('b'));
  }
  // A pattern has its letters as they are.
  const { matches } = condition as { matches: string };
  if (matches === '^a') return text.startsWith('a');
  return matches === 'b$' ? text.endsWith('b') : text.includes('x');
}
const matches = ({ all, any, none }: When, facts: WindowFacts) =>
  all.every((each) => holds(each, facts)) &&
  (any.length === 0 || any.some((each) => holds(each, facts))) &&
  !none.some((each) => holds(each, facts));

const { desk } = testDesk(OFFICE);
const anyFacts: fc.Arbitrary<WindowFacts> = fc.record(
  {
    app: fc.constantFrom(...TEXTS),
    title: fc.constantFrom(...TEXTS),
    parent: fc.constantFrom(...TEXTS),
    width: fc.constantFrom(99, 100, 200, 250, 300, 400, 401),
    height: fc.constantFrom(99, 100, 200, 250, 300, 400, 401),
    kind: fc.constantFrom('normal' as const, 'dialog' as const),
    resizable: fc.boolean(),
    desk: fc.constant(desk),
    monitor: fc.constant('wide'),
    workspace: fc.constant('B'),
  },
  { requiredKeys: ['kind', 'resizable', 'desk', 'monitor', 'workspace'] },
);

it('what follows from other conditions holds of every window that they hold of', () => {
  let followed = 0;
  fc.assert(
    fc.property(
      anyWhen,
      anyWhen,
      fc.array(anyFacts, { minLength: 20, maxLength: 40 }),
      (one, more, windows) => {
        // The same conditions and some more, so that something follows now and then.
        const narrow = { ...more, all: [...one.all, ...more.all] };
        for (const broad of [one, more, { ...one, any: [], none: [] }]) {
          if (!impliedBy(broad, narrow)) continue;
          followed += 1;
          for (const facts of windows)
            if (matches(narrow, facts)) expect(matches(broad, facts)).toBe(true);
        }
      },
    ),
    { numRuns: 2000 },
  );
  expect(followed).toBeGreaterThan(500);
});

it('a rule is hidden where earlier ones give all of its settings for each known window that it matches', () => {
  const settings = [{ held: 'floating' }, { workspace: 'B' }, { held: 'tiled', workspace: '1' }];
  const apps = TEXTS.map((id, i) => ({
    id: `${id}${i}`,
    title: TEXTS[(i + 1) % TEXTS.length]!,
    ...(i % 2 === 0 && { kind: 'dialog' }),
    preferred: { width: 100 + i * 100, height: 300 },
  }));
  const { desks: _none, ...plain } = OFFICE as typeof OFFICE & { desks?: unknown };
  fc.assert(
    fc.property(
      fc.array(fc.tuple(anyWhen, fc.constantFrom(...settings)), { minLength: 2, maxLength: 4 }),
      (given) => {
        const rules = given.map(([when, then], i) => ruleSchema.parse({ id: `r${i}`, when, then }));
        const profile = profileSchema.parse({ ...plain, boards: [], apps, rules });
        const found = new Map(
          checkRules(profile).flatMap((each) =>
            each.kind === 'rule-hidden' ? [[each.rule, each.always] as const] : [],
          ),
        );
        const known = apps.map(({ id, title, preferred }, i): WindowFacts => ({
          app: id,
          title,
          ...preferred,
          kind: i % 2 === 0 ? 'dialog' : 'normal',
          resizable: true,
          desk,
          monitor: 'wide',
          workspace: 'B',
        }));
        rules.forEach((rule, at) => {
          const mine = known.filter((facts) => matches(rule.when, facts));
          const isGiven = (facts: WindowFacts, setting: string) =>
            rules.slice(0, at).some(({ when, then }) => matches(when, facts) && setting in then);
          const isHidden = mine.every((facts) =>
            Object.keys(rule.then).every((setting) => isGiven(facts, setting)),
          );
          // Certain of every window there could be, or else of all that are known.
          if (found.get(rule.id) === true) expect(isHidden).toBe(true);
          const { all, any, none } = rule.when;
          const isNamed = [...all, ...any, ...none].some(({ of }) => /app|title|parent/.test(of));
          if (mine.length > 0 && isNamed) expect(found.has(rule.id)).toBe(isHidden);
        });
      },
    ),
    { numRuns: 600 },
  );
});
