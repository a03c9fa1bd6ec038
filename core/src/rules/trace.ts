import type { Condition, Rule, Setting } from '../model/rule.ts';
import { conditionHolds, type WindowFacts } from './facts.ts';
import { conditionText, failureText } from './rule-words.ts';

/** What one rule had to do with a window. */
export interface RuleTrace {
  rule: Rule;
  /** Its place in the list, counted from 0. */
  at: number;
  applies: boolean;
  /** The conditions that matched; or the first one that failed. */
  because: string;
  /** The settings it decides. */
  gave: readonly Setting[];
  /** The settings it gives, which an earlier rule decided: that one's place. */
  passed: readonly { setting: Setting; to: number }[];
}

/** What every rule had to do with a window, in their order. Says the same as `decide`, and why. */
export function traceRules(rules: readonly Rule[], facts: WindowFacts): RuleTrace[] {
  const decided = new Map<Setting, number>();
  return rules.map((rule, at) => {
    const failed = rule.on ? firstFailure(rule, facts) : 'it is off';
    if (failed !== null) {
      return { rule, at, applies: false, because: failed, gave: [], passed: [] };
    }
    const gives = Object.keys(rule.then) as Setting[];
    const gave = gives.filter((setting) => !decided.has(setting));
    const passed = gives
      .filter((setting) => decided.has(setting))
      .map((setting) => ({ setting, to: decided.get(setting)! }));
    for (const setting of gave) decided.set(setting, at);
    return { rule, at, applies: true, because: matchText(rule, facts), gave, passed };
  });
}

/** The conditions of a rule that hold of a window it matches, in words. */
export function matchText({ when }: Rule, facts: WindowFacts): string {
  const held: Condition[] = [
    ...when.all,
    ...when.any.filter((each) => conditionHolds(each, facts)).slice(0, 1),
  ];
  const parts = [
    ...held.map(conditionText),
    ...when.none.map((condition) => `not ${conditionText(condition)}`),
  ];
  return parts.length > 0 ? parts.join(', ') : 'it matches any window';
}

/** The first condition, in the order of the file, that keeps a rule from matching; null where none does. */
function firstFailure({ when }: Rule, facts: WindowFacts): string | null {
  const failed = when.all.find((condition) => !conditionHolds(condition, facts));
  if (failed) return failureText(failed, facts);
  if (when.any.length > 0 && !when.any.some((condition) => conditionHolds(condition, facts))) {
    return when.any.map((condition) => failureText(condition, facts)).join(', and ');
  }
  const against = when.none.find((condition) => conditionHolds(condition, facts));
  return against ? `${conditionText(against)}, which it must not` : null;
}
