import { monitorNamed } from '../desk/roles.ts';
import type { DeskInForce } from '../desk/desk.ts';
import { workArea } from '../desk/work-area.ts';
import type { Rule, Setting } from '../profile/rule.ts';
import type { Profile } from '../profile/schema.ts';
import { levelsFor, resolveLayout } from '../profile/settings.ts';
import { minimumOf } from '../session/hints.ts';
import { zoneNamed } from '../zones/board.ts';
import { boardMeant } from '../zones/divided.ts';
import { boardsFitting } from '../zones/fitting.ts';
import { allHold } from './decide.ts';
import { holds } from './facts.ts';
import { impliedBy } from './implied.ts';
import {
  contextsFor,
  desksOf,
  factsOfKnown,
  knownWindows,
  type Context,
  type KnownWindow,
} from './known.ts';
import { conditionText, ruleNumber, settingWords, textOf } from './say.ts';

/** Something about the rules that a person should know. Rules are told by id, and by number and name. */
export type RuleFinding =
  /** It gives no setting. */
  | { kind: 'rule-empty'; rule: string; text: string }
  /** No known window matches it, wherever it opens. */
  | { kind: 'rule-unmatched'; rule: string; text: string }
  /** Earlier rules give all it gives; `always`, or for every window that is known. */
  | { kind: 'rule-hidden'; rule: string; by: readonly string[]; always: boolean; text: string }
  /** Two rules match one window and differ, and neither is an exception from the other. */
  | { kind: 'rules-pull'; rule: string; other: string; setting: Setting; app: string; text: string }
  /** It names a monitor or a zone that is not there on some desk where it holds. */
  | { kind: 'rule-nowhere'; rule: string; setting: Setting; desks: readonly string[]; text: string }
  /** It tiles a window that no monitor has room for. */
  | { kind: 'rule-too-large'; rule: string; app: string; text: string }
  /** A dialog or a window of fixed size, and no rule says how it is held. */
  | { kind: 'undecided'; app: string; text: string };

/** One known window at one place, the rules that match it there, in their order. */
interface Case {
  known: KnownWindow;
  context: Context;
  matching: readonly number[];
}

/** What is wrong with the rules of a profile, tried on every window its apps can open, on every desk. */
export function checkRules(profile: Profile): RuleFinding[] {
  const { rules } = profile;
  const desks = desksOf(profile);
  const contexts = contextsFor(profile, desks);
  const cases = knownWindows(profile).flatMap((known) =>
    contexts.map((context): Case => {
      const facts = factsOfKnown(known, context);
      const matching = rules.flatMap(({ on, when }, at) =>
        on && allHold(when, facts) ? [at] : [],
      );
      return { known, context, matching };
    }),
  );
  const hidden = hiddenRules(rules, cases);
  return [
    ...rules.flatMap((rule, at): RuleFinding[] => {
      if (!rule.on) return [];
      const name = ruleName(rules, at);
      if (Object.keys(rule.then).length === 0) {
        return [{ kind: 'rule-empty', rule: rule.id, text: `${name} says nothing to do.` }];
      }
      const isMatched = cases.some(({ matching }) => matching.includes(at));
      return [
        ...(isMatched || isGeneral(rule) ? [] : [unmatched(rule, name, cases)]),
        ...(hidden.get(at) ?? []),
        ...nowhere(profile, rule, name, desks),
      ];
    }),
    ...pulls(rules, cases, new Set(hidden.keys())),
    ...tooLarge(rules, cases, desks),
    ...undecided(rules, cases),
  ];
}

function ruleName(rules: readonly Rule[], at: number): string {
  const text = ruleNumber(rules[at]!, at);
  return `${text[0]!.toUpperCase()}${text.slice(1)}`;
}

/** True where a rule names nothing, but is about a sort of window: it waits for such ones, and is no mistake. */
function isGeneral({ when }: Rule): boolean {
  const general = ['kind', 'resizable', 'width', 'height'];
  return [...when.all, ...when.any, ...when.none].every(({ of }) => general.includes(of));
}

function unmatched({ id, when }: Rule, name: string, cases: readonly Case[]): RuleFinding {
  const facts = cases.map(({ known, context }) => factsOfKnown(known, context));
  const unmet = when.all.find((condition) => !facts.some((each) => holds(condition, each)));
  const because = unmet ? `: none with ${conditionText(unmet)}` : '';
  return { kind: 'rule-unmatched', rule: id, text: `${name} matches no known window${because}.` };
}

/** Rules that never decide anything: earlier ones give all of it. */
function hiddenRules(rules: readonly Rule[], cases: readonly Case[]): Map<number, RuleFinding[]> {
  const found = new Map<number, RuleFinding[]>();
  rules.forEach((rule, at) => {
    const gives = Object.keys(rule.then) as Setting[];
    if (!rule.on || gives.length === 0) return;
    const earlier = rules.flatMap((other, i) => (i < at && other.on ? [i] : []));
    const broader = earlier.filter((i) => impliedBy(rules[i]!.when, rule.when));
    const always = coversAll(rules, broader, gives);
    const matched = cases.filter(({ matching }) => matching.includes(at));
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
function pulls(
  rules: readonly Rule[],
  cases: readonly Case[],
  hidden: ReadonlySet<number>,
): RuleFinding[] {
  const matched = rules.map(
    (_, at) => new Set(cases.filter(({ matching }) => matching.includes(at))),
  );
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
        const says = (at: number) => textOf(settingWords(rules[at]!.then, setting)!);
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
    (setting) =>
      b[setting] !== undefined && JSON.stringify(a[setting]) !== JSON.stringify(b[setting]),
  );
}

/** Monitors and zones that are not there, on the desks on which a rule can hold. */
function nowhere(
  profile: Profile,
  rule: Rule,
  name: string,
  desks: readonly DeskInForce[],
): RuleFinding[] {
  const { monitor, zone } = rule.then;
  const there = desks.filter((desk) => canHoldOn(rule, desk));
  const missing = (setting: Setting, what: string, lacks: (desk: DeskInForce) => boolean) => {
    const without = there.filter(lacks).map((desk) => desk.name);
    if (without.length === 0) return [];
    const on = without.length > 1 ? `the desks ${without.join(' and ')}` : `the desk ${without[0]}`;
    const finding: RuleFinding = {
      kind: 'rule-nowhere',
      rule: rule.id,
      setting,
      desks: without,
      text: `${name} names ${what}, which is not there on ${on}.`,
    };
    return [finding];
  };
  return [
    ...(monitor === undefined
      ? []
      : missing(
          'monitor',
          `the monitor ${monitor}`,
          (desk) => !monitorNamed(monitor, desk.monitors),
        )),
    ...(zone === undefined
      ? []
      : missing('zone', `the zone “${zone}”`, (desk) => !hasZone(profile, rule, desk, zone))),
  ];
}

function canHoldOn({ when }: Rule, desk: DeskInForce): boolean {
  const [{ id: monitor }] = desk.monitors as [DeskInForce['monitors'][number]];
  const facts = { kind: 'normal' as const, resizable: true, desk, monitor, workspace: '' };
  const ofDesk = (list: Rule['when']['all']) => list.filter(({ of }) => of === 'desk');
  const { all, any, none } = when;
  return (
    ofDesk(all).every((condition) => holds(condition, facts)) &&
    !ofDesk(none).some((condition) => holds(condition, facts)) &&
    (any.length === 0 ||
      ofDesk(any).length < any.length ||
      any.some((condition) => holds(condition, facts)))
  );
}

/** True when a zone is on a board of the monitor to which a rule brings windows, or of some where it does not say. */
function hasZone(
  profile: Profile,
  { then: { workspace, monitor } }: Rule,
  desk: DeskInForce,
  zone: string,
): boolean {
  const home = desk.workspaces.find(({ id }) => id === workspace);
  const named = monitor === undefined ? null : monitorNamed(monitor, desk.monitors);
  const only = home && !desk.joined ? home.monitor : named?.id;
  return desk.monitors
    .filter(({ id }) => only === undefined || id === only)
    .some((on) => {
      const fitting = boardsFitting(profile, desk, on);
      const { layout } = resolveLayout(levelsFor(profile, workspace ?? '', on.id));
      const own = layout.kind === 'board' ? boardMeant(layout, profile.boards, fitting) : null;
      return [...(own ? [own] : []), ...fitting].some((board) => zoneNamed(board, zone));
    });
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
