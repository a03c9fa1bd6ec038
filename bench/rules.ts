import { deskInForce } from '@sorn/core/desk';
import {
  profileSchema,
  type Condition,
  type Rule,
  type RuleSettings,
  type Setting,
} from '@sorn/core/model';
import { decide, type WindowFacts } from '@sorn/core/rules';
import { hasPattern } from '@sorn/core/values';
import { timingOf } from './measure.ts';

const RULES = 500;
const WINDOWS = 1_000;
const ROUNDS = 15;

const WORDS = ['pass', 'bowl', 'ridge', 'station', 'level', 'draft', 'profile', 'bulletin'];

export function ruleOf(i: number): Rule {
  const app: Condition = { of: 'app', is: `app-${i % 120}` };
  const word = WORDS[i % WORDS.length]!;
  const conditions: Condition[][] = [
    [app],
    [app, { of: 'title', has: `${word} ${i % 40}` }],
    [{ of: 'title', matches: `^${word} [0-9]+ .*${i % 40}$` }],
    [
      { of: 'title', fits: `*${word}*${i % 60}` },
      { of: 'kind', is: 'normal' },
    ],
    [
      { of: 'kind', is: 'dialog' },
      { of: 'width', from: 100 + i },
    ],
  ];
  const settings: RuleSettings[] = [
    { held: 'floating', corner: 'middle' },
    { workspace: String(1 + (i % 9)) },
    { focus: false, stayAbove: true },
    { join: 'lead' },
  ];
  return {
    id: `r${i}`,
    on: true,
    when: { all: conditions[i % conditions.length]!, any: [], none: [] },
    then: settings[i % settings.length]!,
    again: { title: false, desk: false },
  };
}

function factsOf(i: number, desk: WindowFacts['desk']): WindowFacts {
  const word = WORDS[i % WORDS.length]!;
  return {
    app: `app-${i % 150}`,
    title: `${word} ${i} of the ${WORDS[(i * 3) % WORDS.length]} ${i % 97}`,
    kind: i % 7 === 0 ? 'dialog' : 'normal',
    resizable: i % 5 !== 0,
    width: 300 + (i % 500),
    height: 200,
    desk,
    monitor: 'm',
    workspace: '1',
  };
}

/** The plain way: every rule against every window, patterns by RegExp, made ready beforehand. */
function plainly(rules: readonly Rule[]): (facts: WindowFacts) => Partial<Record<Setting, number>> {
  const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
  const ready = rules.map(({ when, then }) => ({
    gives: Object.keys(then) as Setting[],
    tests: when.all.map((condition): ((facts: WindowFacts) => boolean) => {
      const text = (facts: WindowFacts) => facts[condition.of as 'app' | 'title'] ?? '';
      const by = (pattern: RegExp) => (facts: WindowFacts) => pattern.test(text(facts));
      if ('has' in condition) return by(new RegExp(escaped(condition.has), 'i'));
      if ('matches' in condition) return by(new RegExp(condition.matches));
      if ('fits' in condition) {
        const glob = condition.fits.split('*').map(escaped).join('.*');
        return by(new RegExp(`^${glob}$`, 'is'));
      }
      if (condition.of === 'width') return (facts) => (facts.width ?? 0) >= (condition.from ?? 0);
      if (condition.of === 'kind') return (facts) => facts.kind === condition.is;
      return (facts) => 'is' in condition && text(facts) === condition.is;
    }),
  }));
  return (facts) => {
    const decided: Partial<Record<Setting, number>> = {};
    ready.forEach(({ gives, tests }, at) => {
      if (!tests.every((test) => test(facts))) return;
      for (const setting of gives) decided[setting] ??= at;
    });
    return decided;
  };
}

const spent = (work: () => void): number => {
  const before = performance.now();
  work();
  return performance.now() - before;
};

const median = (times: readonly number[]) => timingOf(times).median;
const times = (other: number, own: number) => `${(other / own).toFixed(1)} ×`;

/** Prints how long 500 rules take to decide 1,000 windows, beside a plain loop, and how time grows with the text. */
export function benchRules(): void {
  const profile = profileSchema.parse({ monitors: [{ id: 'm', width: 1920, height: 1080 }] });
  const desk = deskInForce(profile, {});
  const rules = Array.from({ length: RULES }, (_, i) => ruleOf(i));
  const windows = Array.from({ length: WINDOWS }, (_, i) => factsOf(i, desk));
  const plain = plainly(rules);
  for (const facts of windows) {
    const ours = Object.entries(decide(rules, facts)).map(([setting, { at }]) => [setting, at]);
    const theirs = plain(facts);
    if (
      JSON.stringify(Object.fromEntries(ours.sort())) !==
      JSON.stringify(Object.fromEntries(Object.entries(theirs).sort()))
    ) {
      throw new Error('the two do not decide alike');
    }
  }
  // Titles that were never seen, as after another start; then the same windows once more.
  const first: number[] = [];
  const again: number[] = [];
  const byLoop: number[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    const renamed = windows.map((facts) => ({ ...facts, title: `${facts.title} ${round}` }));
    first.push(spent(() => renamed.forEach((facts) => decide(rules, facts))));
    again.push(spent(() => renamed.forEach((facts) => decide(rules, facts))));
    byLoop.push(spent(() => renamed.forEach((facts) => plain(facts))));
  }
  const peer = median(byLoop);
  const lines = [
    `${RULES} rules × ${WINDOWS} windows, one thread (aim: under 50 ms)`,
    `  titles never seen     ${median(first).toFixed(1)} ms, a plain loop over RegExp ${peer.toFixed(1)} ms, ${times(peer, median(first))}`,
    `  titles seen before    ${median(again).toFixed(1)} ms, ${times(peer, median(again))}`,
    `  the first time of all ${coldTime(rules, windows).toFixed(1)} ms, patterns made ready`,
    `a pattern of nested repeats over a title twice as long takes ${times(hostile(20_000), hostile(10_000))} as long`,
  ];
  process.stdout.write(`\n${lines.join('\n')}\n`);
}

/** Rules that are there for the first time: their patterns are made ready, and nothing is known of any title. */
function coldTime(rules: readonly Rule[], windows: readonly WindowFacts[]): number {
  return median(
    Array.from({ length: 5 }, () => {
      const fresh = structuredClone(rules) as Rule[];
      return spent(() => windows.forEach((facts) => decide(fresh, facts)));
    }),
  );
}

function hostile(length: number): number {
  const title = `${'a'.repeat(length)}!`;
  return median(Array.from({ length: 9 }, () => spent(() => hasPattern(title, '(a|a?)+b'))));
}
