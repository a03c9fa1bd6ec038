import { RE2Set } from 're2js';
import type { Condition, Rule, Setting, When } from '../profile/rule.ts';
import { holds, isAboutText, sourceOf, type Matches, type WindowFacts } from './facts.ts';

/** The rule that gives a setting, and its place in the list, counted from 0. */
export interface Given {
  rule: Rule;
  at: number;
}
/** For each setting that a rule gives, the first rule that matches and gives it. */
export type Decision = { readonly [S in Setting]?: Given };

/**
 * What the rules say of a window: for each setting the first rule decides that is on, matches and gives it.
 * Many windows are decided fast: rules about one app are looked at only for its windows, and all patterns
 * are tried on a text in one pass, in time linear in it.
 */
export function decide(rules: readonly Rule[], facts: WindowFacts): Decision {
  const decision: { [S in Setting]?: Given } = {};
  const { rulesFor, matches } = readied(rules);
  for (const { given, gives, when } of rulesFor(facts.app)) {
    // What earlier rules gave already need not be asked again.
    if (gives.every((setting) => decision[setting]) || !allHold(when, facts, matches)) continue;
    for (const setting of gives) decision[setting] ??= given;
  }
  return decision;
}

/** True when all of `all`, one of `any` at least (where there is one), and none of `none` hold. */
export function allHold({ all, any, none }: When, facts: WindowFacts, matches?: Matches): boolean {
  for (const condition of all) if (!holds(condition, facts, matches)) return false;
  for (const condition of none) if (holds(condition, facts, matches)) return false;
  return any.length === 0 || any.some((condition) => holds(condition, facts, matches));
}

interface ReadyRule {
  given: Given;
  gives: readonly Setting[];
  when: When;
}

interface Ready {
  /** The rules that can match windows of an app, in their order. */
  rulesFor: (app: string | undefined) => readonly ReadyRule[];
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
    return rule.on && gives.length > 0 ? [{ given: { rule, at }, gives, when: rule.when }] : [];
  });
  const ofNoApp = giving.filter(({ when }) => appOf(when) === null);
  const byApp = new Map<string, readonly ReadyRule[]>();
  for (const { when } of giving) {
    const app = appOf(when);
    if (app === null || byApp.has(app)) continue;
    const mine = giving.filter((rule) => [null, app].includes(appOf(rule.when)));
    byApp.set(app, mine);
  }
  return {
    rulesFor: (app) => (app === undefined ? ofNoApp : (byApp.get(app) ?? ofNoApp)),
    matches: inOnePass(giving.flatMap(({ when }) => [...when.all, ...when.any, ...when.none])),
  };
}

/** The one app whose windows a rule is about; null where others' can match. */
function appOf({ all }: When): string | null {
  for (const condition of all) if (condition.of === 'app' && 'is' in condition) return condition.is;
  return null;
}

/** Texts whose matches are kept: titles change as one works. */
const MOST_TEXTS = 10_000;

/** Tells which patterns of some conditions are in a text; a text is gone through once for all of them. */
function inOnePass(conditions: readonly Condition[]): Matches {
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
  const matched = new Map<string, ReadonlySet<number>>();
  return (text, condition) => {
    let numbersIn = matched.get(text);
    if (!numbersIn) {
      numbersIn = new Set(set.match(text));
      if (matched.size >= MOST_TEXTS) matched.clear();
      matched.set(text, numbersIn);
    }
    return numbersIn.has(numbers.get(condition)!);
  };
}
