import { type DeskInForce, monitorFor } from '../desk/desk.ts';
import { monitorNamed } from '../desk/roles.ts';
import { workArea } from '../desk/work-area.ts';
import { minimumOf } from '../engine/hints.ts';
import type { Profile } from '../model/profile.ts';
import type { Rule } from '../model/rule.ts';
import { matchingRules } from '../rules/decide.ts';
import { conditionHolds, type WindowFacts } from '../rules/facts.ts';
import {
  asksFor,
  contextsFor,
  desksInModes,
  desksOf,
  factsOfKnown,
  knownWindows,
  type KnownWindow,
} from '../rules/known-windows.ts';
import { conditionText, ruleNumber } from '../rules/rule-words.ts';
import { keptByFields } from '../values/cache.ts';
import { ruleName, type Case, type RuleFinding } from './rule-finding.ts';
import { nowhere } from './rule-monitors.ts';
import { hiddenRules, isGeneral, pulls } from './rule-overlaps.ts';

/** What is wrong with the rules of a profile, tried on every window its apps can open, on every desk. */
export const checkRules = keptByFields(2, (profile: Profile): readonly RuleFinding[] => {
  const { rules } = profile;
  const desks = desksOf(profile);
  const contexts = contextsFor(profile);
  const cases = knownWindows(profile).flatMap((known) =>
    contexts.map((context): Case => {
      const matching = matchingRules(rules, factsOfKnown(known, context));
      return { known, context, matching };
    }),
  );
  const facts = cases.map(({ known, context }) => factsOfKnown(known, context));
  const matchedBy: Case[][] = rules.map(() => []);
  for (const each of cases) for (const at of each.matching) matchedBy[at]!.push(each);
  const hidden = hiddenRules(rules, matchedBy);
  return [
    ...rules.flatMap((rule, at): RuleFinding[] => {
      if (!rule.on) return [];
      const name = ruleName(rules, at);
      if (Object.keys(rule.then).length === 0) {
        return [{ kind: 'rule-empty', rule: rule.id, text: `${name} says nothing to do.` }];
      }
      const isMatched = matchedBy[at]!.length > 0;
      return [
        ...(isMatched || isGeneral(rule) ? [] : [unmatched(rule, name, facts)]),
        ...(hidden.get(at) ?? []),
        ...nowhere(profile, rule, name, asksFor(rule, 'mode') ? desksInModes(profile) : desks),
      ];
    }),
    ...pulls(rules, cases, matchedBy, new Set(hidden.keys())),
    ...elsewhere(rules, cases, contexts.length > 1 ? null : desks),
    ...tooLarge(rules, cases, desks),
    ...undecided(rules, cases),
  ];
});

function unmatched({ id, when }: Rule, name: string, facts: readonly WindowFacts[]): RuleFinding {
  const unmet = when.all.find(
    (condition) => !facts.some((each) => conditionHolds(condition, each)),
  );
  const because = unmet ? `: none with ${conditionText(unmet)}` : '';
  return { kind: 'rule-unmatched', rule: id, text: `${name} matches no known window${because}.` };
}

/**
 * Windows that rules send to a workspace and to a monitor on which that is not. The workspace decides.
 *
 * @param all the desks, where what matches is the same on all of them; else each case is of its own
 */
function elsewhere(
  rules: readonly Rule[],
  cases: readonly Case[],
  all: readonly DeskInForce[] | null,
): RuleFinding[] {
  const found = new Map<string, RuleFinding>();
  for (const { known, context, matching } of cases) {
    const first = (setting: 'workspace' | 'monitor') =>
      matching.find((at) => rules[at]!.then[setting] !== undefined);
    const [by, other] = [first('workspace'), first('monitor')];
    if (by === undefined || other === undefined || found.has(`${by} ${other}`)) continue;
    const { workspace } = rules[by]!.then;
    const which = rules[other]!.then.monitor!;
    for (const desk of all ?? [context.desk]) {
      const home = desk.workspaces.find(({ id }) => id === workspace);
      const named = monitorNamed(which, desk.monitors);
      if (desk.joined || !home || !named || monitorFor(desk, home, named.id) === named.id) continue;
      const who =
        by === other
          ? `${ruleName(rules, by)} sends ${known.name} two ways`
          : `${ruleName(rules, by)} and ${ruleNumber(rules[other]!, other)} pull ${known.name} two ways`;
      found.set(`${by} ${other}`, {
        kind: 'rules-pull',
        rule: rules[Math.max(by, other)]!.id,
        other: rules[Math.min(by, other)]!.id,
        setting: 'monitor',
        app: known.app.id,
        text: `${who}: workspace ${workspace} is on ${home.monitor} on the desk ${desk.name}, not on monitor ${which}. The workspace decides.`,
      });
      break;
    }
  }
  return [...found.values()];
}

/** Windows that are told to tile and are larger, at their smallest, than every work area. */
function tooLarge(
  rules: readonly Rule[],
  cases: readonly Case[],
  desks: readonly DeskInForce[],
): RuleFinding[] {
  const monitors = desks.flatMap((desk) => desk.monitors);
  const found = new Map<KnownWindow, RuleFinding>();
  for (const { known, matching } of cases) {
    const at = matching.find((i) => rules[i]!.then.held !== undefined);
    if (at === undefined || rules[at]!.then.held !== 'tiled' || found.has(known)) continue;
    const window = { ...known.window, id: known.app.id };
    const fits = monitors.some((monitor) => {
      const { area } = workArea(monitor);
      const least = minimumOf(window, monitor.scale);
      return least.width <= area.width && least.height <= area.height;
    });
    if (fits) continue;
    const { width, height } = minimumOf(window, 1);
    found.set(known, {
      kind: 'rule-too-large',
      rule: rules[at]!.id,
      app: known.app.id,
      text: `${ruleName(rules, at)} tiles ${known.name}, which cannot be smaller than ${width} × ${height}: no monitor has room for it.`,
    });
  }
  return [...found.values()];
}

/** Dialogs and windows of a fixed size that no rule holds anywhere. */
function undecided(rules: readonly Rule[], cases: readonly Case[]): RuleFinding[] {
  const decided = new Set(
    cases.flatMap(({ known, matching }) =>
      matching.some((at) => rules[at]!.then.held !== undefined) ? [known] : [],
    ),
  );
  const all = [...new Set(cases.map(({ known }) => known))];
  return all.flatMap((known): RuleFinding[] => {
    const { kind, resizable } = known.window;
    const isFixed = resizable === false;
    if (decided.has(known) || (kind !== 'dialog' && !isFixed)) return [];
    const what = kind === 'dialog' ? 'is a dialog' : 'has a fixed size';
    const text = `${known.name} ${what}, and no rule says how it is held: it is tiled.`;
    return [{ kind: 'undecided', app: known.app.id, text }];
  });
}
