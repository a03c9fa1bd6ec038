import type { Rule, Setting } from '../model/rule.ts';
import type { Context, KnownWindow } from '../rules/known-windows.ts';
import { ruleNumber } from '../rules/rule-words.ts';

/** Something about the rules that a person should know. Rules are told by id, and by number and name. */
export type RuleFinding =
  /** It gives no setting. */
  | { kind: 'rule-empty'; rule: string; text: string }
  /** No known window matches it, wherever it opens. */
  | { kind: 'rule-unmatched'; rule: string; text: string }
  /** Earlier rules give all it gives; `always`, or for every window that is known. */
  | { kind: 'rule-hidden'; rule: string; by: readonly string[]; always: boolean; text: string }
  /** Two rules match the same window, give different values, and neither is an exception from the other. */
  | { kind: 'rules-pull'; rule: string; other: string; setting: Setting; app: string; text: string }
  /** It names a monitor or a zone that is not there on some desk where it holds. */
  | { kind: 'rule-nowhere'; rule: string; setting: Setting; desks: readonly string[]; text: string }
  /** It tiles a window that no monitor has room for. */
  | { kind: 'rule-too-large'; rule: string; app: string; text: string }
  /** A dialog or a window of fixed size, and no rule says how it is held. */
  | { kind: 'undecided'; app: string; text: string };

/** One known window at one place, the rules that match it there, in their order. */
export interface Case {
  known: KnownWindow;
  context: Context;
  matching: readonly number[];
}

/** A rule by its number, at the beginning of a sentence. */
export function ruleName(rules: readonly Rule[], at: number): string {
  const text = ruleNumber(rules[at]!, at);
  return `${text[0]!.toUpperCase()}${text.slice(1)}`;
}
