import { RE2Set } from 're2js';
import type { Condition, Rule, Setting, When } from '../model/rule.ts';
import {
  conditionHolds,
  isAboutText,
  sourceOf,
  textsOf,
  type Matches,
  type WindowFacts,
} from './facts.ts';

/** The rule that gives a setting, and its place in the list, counted from 0. */
interface DecidedSetting {
  rule: Rule;
  at: number;
}
/** For each setting that a rule gives, the first rule that matches and gives it. */
export type Decision = { readonly [S in Setting]?: DecidedSetting };

/**
 * What the rules say of a window: for each setting the first rule decides that is on, matches and gives it.
 * Many windows are decided fast: rules about one app are looked at only for its windows, and all patterns
 * are tried on a text in one pass, in time linear in it.
 */
export function decide(rules: readonly Rule[], facts: WindowFacts): Decision {
  const decision: { [S in Setting]?: DecidedSetting } = {};
  const { candidates, matches } = readied(rules);
  for (const { given, gives, when } of candidates(facts)) {
    // What earlier rules gave already need not be asked again.
    if (gives.every((setting) => decision[setting]) || !allConditionsHold(when, facts, matches))
      continue;
    for (const setting of gives) decision[setting] ??= given;
  }
  return decision;
}

/** The places in the list, counted from 0, of the rules that are on and match a window. */
export function matchingRules(rules: readonly Rule[], facts: WindowFacts): number[] {
  const { candidates, matches } = readied(rules);
  return candidates(facts).flatMap(({ given, when }) =>
    allConditionsHold(when, facts, matches) ? [given.at] : [],
  );
}

/** True when all of `all`, one of `any` at least (where there is one), and none of `none` hold. */
export function allConditionsHold(
  { all, any, none }: When,
  facts: WindowFacts,
  matches?: Matches,
): boolean {
  for (const condition of all) if (!conditionHolds(condition, facts, matches)) return false;
  for (const condition of none) if (conditionHolds(condition, facts, matches)) return false;
  return any.length === 0 || any.some((condition) => conditionHolds(condition, facts, matches));
}

interface ReadyRule {
  given: DecidedSetting;
  gives: readonly Setting[];
  when: When;
}

interface Ready {
  /** The rules that may match a window, in their order: those whose anchor does, and those without one. */
  candidates: (facts: WindowFacts) => readonly ReadyRule[];
  matches: Matches;
}

const ready = new WeakMap<readonly Rule[], Ready>();

function readied(rules: readonly Rule[]): Ready {
  const known = ready.get(rules) ?? madeReady(rules);
  ready.set(rules, known);
  return known;
}

function madeReady(rules: readonly Rule[]): Ready {
  const giving = rules.flatMap((rule, at): ReadyRule[] => {
    const gives = Object.keys(rule.then) as Setting[];
    return rule.on ? [{ given: { rule, at }, gives, when: rule.when }] : [];
  });
  const patterns = inOnePass(
    giving.flatMap(({ when }) => [...when.all, ...when.any, ...when.none]),
  );
  const unanchored: ReadyRule[] = [];
  const byAnchor = new Map<string, ReadyRule[]>();
  for (const rule of giving) {
    const anchor = anchorOf(rule.when, patterns);
    const rulesOf = anchor === null ? unanchored : (byAnchor.get(anchor) ?? []);
    rulesOf.push(rule);
    if (anchor !== null) byAnchor.set(anchor, rulesOf);
  }
  const anchored = new Set(
    giving.flatMap(({ when }) => when.all.flatMap((each) => (isAboutText(each) ? each.of : []))),
  );
  const candidates = (facts: WindowFacts) => {
    const found = [...unanchored];
    const take = (anchor: string) => {
      const rulesOf = byAnchor.get(anchor);
      if (rulesOf) for (const rule of rulesOf) found.push(rule);
    };
    take(`kind is ${facts.kind}`);
    if (facts.app !== undefined) take(`app is ${facts.app}`);
    for (const fact of anchored) {
      const numbers = new Set(textsOf(fact, facts).flatMap((text) => [...patterns.in(text)]));
      for (const number of numbers) take(`${fact} ${number}`);
    }
    return found.sort((a, b) => a.given.at - b.given.at);
  };
  return { candidates, matches: patterns.matches };
}

/**
 * A condition by which the windows that a rule can match are found without asking about each: its app, a
 * pattern in a text, or its kind. Null where it has none.
 */
function anchorOf({ all }: When, patterns: Patterns): string | null {
  for (const condition of all) {
    if (condition.of === 'app' && 'is' in condition) return `app is ${condition.is}`;
  }
  for (const condition of all) {
    const number = patterns.numberOf(condition);
    if (number !== undefined) return `${condition.of} ${number}`;
  }
  for (const condition of all) if (condition.of === 'kind') return `kind is ${condition.is}`;
  return null;
}

/** Texts whose matches are kept: titles change as one works. */
const MOST_TEXTS = 10_000;

/** The patterns of some conditions, numbered. A text is gone through once for all of them. */
interface Patterns {
  numberOf: (condition: Condition) => number | undefined;
  /** The numbers of the patterns that are in a text. */
  in: (text: string) => ReadonlySet<number>;
  matches: Matches;
}

function inOnePass(conditions: readonly Condition[]): Patterns {
  const numbers = new Map<Condition, number>();
  const bySource = new Map<string, number>();
  const set = new RE2Set();
  for (const condition of conditions) {
    const source = isAboutText(condition) ? sourceOf(condition) : null;
    if (source === null) continue;
    const number = bySource.get(source) ?? set.add(source);
    bySource.set(source, number);
    numbers.set(condition, number);
  }
  const known = new Map<string, ReadonlySet<number>>();
  const inText = (text: string) => {
    const found = known.get(text) ?? new Set(numbers.size > 0 ? set.match(text) : []);
    if (known.size >= MOST_TEXTS) known.clear();
    known.set(text, found);
    return found;
  };
  return {
    numberOf: (condition) => numbers.get(condition),
    in: inText,
    matches: (text, condition) => inText(text).has(numbers.get(condition)!),
  };
}
