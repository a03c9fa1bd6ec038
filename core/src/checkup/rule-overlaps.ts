import isEqual from 'fast-deep-equal';
import { FACTS, type Condition, type Rule, type Setting, type When } from '../model/rule.ts';
import { ruleNumber, settingText } from '../rules/rule-words.ts';
import { ruleName, type Case, type RuleFinding } from './rule-finding.ts';
import { impliedBy } from './rule-implication.ts';

/**
 * True where a rule names no app or title, but a kind of window. Such a rule waits for windows of that kind and is
 * no mistake.
 */
export function isGeneral({ when }: Rule): boolean {
  const general = ['kind', 'resizable', 'width', 'height'];
  return [...when.all, ...when.any, ...when.none].every(({ of }) => general.includes(of));
}

/** The facts that some conditions ask about, one bit for each. */
function factsIn(conditions: readonly Condition[]): number {
  return conditions.reduce((bits, { of }) => bits | (1 << FACTS.indexOf(of)), 0);
}

/** Rules that never decide anything: earlier ones give all of it. */
export function hiddenRules(
  rules: readonly Rule[],
  matchedBy: readonly (readonly Case[])[],
): Map<number, RuleFinding[]> {
  const found = new Map<number, RuleFinding[]>();
  const earlier: { at: number; when: When; facts: number }[] = [];
  rules.forEach((rule, at) => {
    const gives = Object.keys(rule.then) as Setting[];
    if (!rule.on) return;
    const { when } = rule;
    // Each rule is compared with each before it: what a glance rules out is not looked into.
    const said = factsIn([...when.all, ...when.any]);
    const broader = earlier
      .filter(({ facts, when: broad }) => (facts & ~said) === 0 && impliedBy(broad, when))
      .map((other) => other.at);
    earlier.push({ at, when, facts: factsIn(when.all) });
    if (gives.length === 0) return;
    const always = coversAll(rules, broader, gives);
    const matched = matchedBy[at]!;
    const inEach = matched.map(({ matching }) =>
      coversAll(
        rules,
        matching.filter((i) => i < at),
        gives,
      ),
    );
    const isHidden = !isGeneral(rule) && matched.length > 0 && inEach.every((by) => by !== null);
    const by = always ?? (isHidden ? [...new Set(inEach.flatMap((each) => each ?? []))] : null);
    if (!by) return;
    const names = by.sort((a, b) => a - b).map((i) => ruleNumber(rules[i]!, i));
    const come = by.length > 1 ? 'come' : 'comes';
    const whose = always ? 'says all of it' : 'says all of it for every known window';
    found.set(at, [
      {
        kind: 'rule-hidden',
        rule: rule.id,
        by: by.map((i) => rules[i]!.id),
        always: always !== null,
        text: `${ruleName(rules, at)} never decides anything: ${names.join(' and ')} ${come} first and ${by.length > 1 ? whose.replace('says', 'say') : whose}.`,
      },
    ]);
  });
  return found;
}

/** The rules, of some, that between them give all of some settings; null where one is given by none. */
function coversAll(
  rules: readonly Rule[],
  some: readonly number[],
  settings: readonly Setting[],
): number[] | null {
  const by = settings.map((setting) => some.find((i) => rules[i]!.then[setting] !== undefined));
  return by.some((i) => i === undefined) ? null : [...new Set(by as number[])];
}

/** Pairs of rules that differ about one window; one that matches less than the other is an exception from it. */
export function pulls(
  rules: readonly Rule[],
  cases: readonly Case[],
  matchedBy: readonly (readonly Case[])[],
  hidden: ReadonlySet<number>,
): RuleFinding[] {
  const matched = matchedBy.map((each) => new Set(each));
  const isException = (first: number, later: number) =>
    matched[first]!.size < matched[later]!.size &&
    [...matched[first]!].every((each) => matched[later]!.has(each));
  const found = new Map<string, RuleFinding>();
  for (const { known, matching } of cases) {
    matching.forEach((first, i) => {
      for (const later of matching.slice(i + 1)) {
        if (hidden.has(later)) continue;
        const setting = differing(rules[first]!, rules[later]!);
        const key = `${first} ${later}`;
        if (!setting || found.has(key) || isException(first, later)) continue;
        const says = (at: number) => settingText(rules[at]!.then, setting);
        found.set(key, {
          kind: 'rules-pull',
          rule: rules[later]!.id,
          other: rules[first]!.id,
          setting,
          app: known.app.id,
          text: `${ruleName(rules, first)} and ${ruleNumber(rules[later]!, later)} pull ${known.name} two ways: ${says(first)}, and ${says(later)}. The first one wins.`,
        });
      }
    });
  }
  return [...found.values()];
}

/** The first setting that both give, and not alike. */
function differing({ then: a }: Rule, { then: b }: Rule): Setting | undefined {
  return (Object.keys(a) as Setting[]).find(
    (setting) => b[setting] !== undefined && !isEqual(a[setting], b[setting]),
  );
}
