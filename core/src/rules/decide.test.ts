import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { impliedBy } from '../checkup/rule-implication.ts';
import type { Rule, Setting } from '../model/rule.ts';
import { anyFacts, anyRules } from '../testing/rules.ts';
import { globSource, hasPattern, patternFault } from '../values/pattern.ts';
import { allConditionsHold, decide } from './decide.ts';
import { traceRules } from './trace.ts';

/** Each setting with its value, by rules that stand anywhere. */
function valuesOf(rules: readonly Rule[], facts: Parameters<typeof decide>[1]) {
  const decision = decide(rules, facts);
  return Object.fromEntries(
    Object.entries(decision).map(([setting, { rule }]) => [
      setting,
      `${rule.id} ${JSON.stringify(rule.then[setting as Setting])}`,
    ]),
  );
}

/** The rules with one setting each at most, so that neighbours often share none. */
function withFew(rules: readonly Rule[]): Rule[] {
  return rules.map((rule) => ({
    ...rule,
    then: Object.fromEntries(Object.entries(rule.then).slice(-1)),
  }));
}

describe('deciding', () => {
  it('comes to what the traces say, rule by rule', () => {
    fc.assert(
      fc.property(anyRules, anyFacts, (rules, facts) => {
        const byTrace = traceRules(rules, facts).flatMap(({ at, gave }) =>
          gave.map((setting) => [setting, at] as const),
        );
        const decision = Object.entries(decide(rules, facts)).map(([setting, { at }]) => [
          setting,
          at,
        ]);
        expect(Object.fromEntries(decision)).toEqual(Object.fromEntries(byTrace));
      }),
      { numRuns: 1_000 },
    );
  });

  it('is the same wherever a rule stands that shares no setting with its neighbours', () => {
    let moved = 0;
    fc.assert(
      fc.property(
        anyRules.map(withFew),
        anyFacts,
        fc.nat(),
        fc.boolean(),
        (rules, facts, nth, up) => {
          if (rules.length < 2) return;
          const at = nth % rules.length;
          let to = at;
          const step = up ? -1 : 1;
          const shares = (other: Rule) =>
            Object.keys(other.then).some((key) => key in rules[at]!.then);
          while (rules[to + step] && !shares(rules[to + step]!)) to += step;
          if (to === at) return;
          moved++;
          const others = rules.filter((_, i) => i !== at);
          expect(valuesOf(others.toSpliced(to, 0, rules[at]!), facts)).toEqual(
            valuesOf(rules, facts),
          );
        },
      ),
      { numRuns: 2_000 },
    );
    expect(moved).toBeGreaterThan(200);
  });

  it('goes by conditions that imply others only where they do', () => {
    fc.assert(
      fc.property(anyRules, anyFacts, (rules, facts) => {
        for (const { when: broad } of rules) {
          for (const { when: narrow } of rules) {
            if (impliedBy(broad, narrow) && allConditionsHold(narrow, facts)) {
              expect(allConditionsHold(broad, facts)).toBe(true);
            }
          }
        }
      }),
      { numRuns: 1_000 },
    );
  });
});

describe('patterns', () => {
  // Each of them takes an engine that goes back over the text longer than a lifetime.
  const HOSTILE = [
    '(a+)+$',
    '(a*)*b',
    '((a|aa)+)+$',
    '(a|a?)+b',
    '(.*a){20}b',
    '(a?){30}a{30}b',
    '^(([a-z])+.)+[A-Z]([a-z])+$',
  ];
  const title = 'a'.repeat(10_000);

  it('of nested repeats stay linear over long titles, one by one and together', () => {
    const text = `${title}!`;
    expect(HOSTILE.map((pattern) => hasPattern(text, pattern))).toEqual(HOSTILE.map(() => false));
    const rules = HOSTILE.map((matches, i): Rule => ({
      id: `h${i}`,
      on: true,
      when: { all: [{ of: 'title', matches }], any: [], none: [] },
      then: { held: 'floating' },
      again: { title: false, desk: false },
    }));
    const facts = fc.sample(anyFacts, 1)[0]!;
    expect(decide(rules, { ...facts, title: text })).toEqual({});
    expect(decide(rules, { ...facts, title }).held?.rule.id).toBe('h0');
  });

  it('as globs of many stars stay linear, too', () => {
    const glob = `${'*a'.repeat(40)}*b`;
    expect(hasPattern(title, globSource(glob))).toBe(false);
    expect(hasPattern(`${title}b`, globSource(glob))).toBe(true);
  });

  it('fit globs as a plain search of all ways says', () => {
    const fits = (text: string, glob: string): boolean => {
      if (glob === '') return text === '';
      if (glob[0] === '*')
        return fits(text, glob.slice(1)) || (text !== '' && fits(text.slice(1), glob));
      if (text === '') return false;
      return (glob[0] === '?' || glob[0] === text[0]!) && fits(text.slice(1), glob.slice(1));
    };
    const letters = (alphabet: string, maxLength: number) =>
      fc.string({ unit: fc.constantFrom(...alphabet), maxLength });
    fc.assert(
      fc.property(letters('ab.[\n(', 7), letters('ab.[\n(*?', 6), (text, glob) => {
        expect(hasPattern(text, globSource(glob))).toBe(fits(text, glob));
      }),
      { numRuns: 2_000 },
    );
  });

  it.each([
    ['(?=a)b', 'invalid or unsupported Perl syntax'],
    ['(a)\\1', 'invalid escape sequence'],
    ['(a', 'missing closing )'],
    ['((a{100}){100}){100}', 'invalid repeat count'],
    ['[a-z]{900}[0-9]{900}', 'repeats too much'],
  ])('that could not are told: %s', (pattern, fault) => {
    expect(patternFault(pattern)).toContain(fault);
  });
});
