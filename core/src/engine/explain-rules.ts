import isEqual from 'fast-deep-equal';
import { deskInForce } from '../desk/desk.ts';
import type { Profile } from '../model/profile.ts';
import { SETTINGS, type Rule, type Setting } from '../model/rule.ts';
import type { Ruled } from '../model/session-ruling.ts';
import type { SessionWindow } from '../model/session.ts';
import type { WindowFacts } from '../rules/facts.ts';
import { ruleNumber, settingText } from '../rules/rule-words.ts';
import { traceRules } from '../rules/trace.ts';
import { parentApp } from './rule-effects.ts';
import { factsOf } from './ruling.ts';
import { windowOf, type Reason, type CommandContext } from './session.ts';

/** The default of each setting, where neither the window nor a rule gives one. */
const DEFAULTS: Record<Setting, string> = {
  held: 'tile it',
  workspace: 'the workspace shown there',
  monitor: 'the monitor with the focus',
  zone: 'no zone',
  placing: 'no place of its own',
  size: 'the size it prefers',
  corner: 'over its parent, else in the middle',
  stayAbove: 'not above',
  everywhere: 'on one workspace',
  focus: 'take the focus',
  join: 'where new windows join',
  remember: 'where it was moved last, as set for all',
  private: 'may be pictured',
};

/**
 * For a window each setting with the rule that gave it and the conditions that matched, with the window
 * itself, or with the default; and for each rule that did not apply the first condition that failed.
 */
export function rulesWhy(context: CommandContext, id: string): Reason[] {
  const window = windowOf(context.session, id);
  if (!window?.ruled) return [];
  const { profile } = context;
  return [
    ...settingsWhy(profile, id, window.ruled),
    ...rulesAgainst(profile, id, factsThen(context, window, window.ruled)),
  ];
}

function settingsWhy(profile: Profile, id: string, { gave, itself = [] }: Ruled): Reason[] {
  return SETTINGS.map((setting): Reason => {
    const given = gave[setting];
    if (given) {
      return { about: id, decided: given.value, because: gaveBecause(profile, { gave }, setting)! };
    }
    return itself.includes(setting)
      ? { about: id, decided: setting, because: 'the window itself says so', minor: true }
      : { about: id, decided: DEFAULTS[setting], because: 'default', minor: true };
  });
}

/** The rule that gave a window a setting, and the conditions that matched; null where none did. */
export function gaveBecause(
  { rules }: Profile,
  { gave }: Pick<Ruled, 'gave'>,
  setting: Setting,
): string | null {
  const given = gave[setting];
  if (!given) return null;
  if (given.rule === undefined) return given.because;
  const at = rules.findIndex(({ id }) => id === given.rule);
  return `${at < 0 ? 'a rule that is gone' : ruleNumber(rules[at]!, at)}, ${given.because}`;
}

/** What rules saw of a window when they were asked. */
function factsThen(context: CommandContext, window: SessionWindow, ruled: Ruled): WindowFacts {
  const { session, profile, desk } = context;
  const isSameDesk = (desk.desk ?? desk.name) === ruled.desk;
  const then = profile.desks.some(({ id }) => id === ruled.desk) && !isSameDesk;
  const { title: _now, ...rest } = window;
  return factsOf(
    { desk: then ? deskInForce(profile, { desk: ruled.desk }) : desk },
    { ...rest, ...(ruled.title !== undefined && { title: ruled.title }) },
    ruled,
    parentApp(session.windows, window.parent),
  );
}

function isSame({ then: a }: Rule, { then: b }: Rule, setting: Setting): boolean {
  return isEqual(a[setting], b[setting]);
}

function rulesAgainst({ rules }: Profile, id: string, facts: WindowFacts): Reason[] {
  return traceRules(rules, facts).flatMap(({ rule, at, applies, because, passed }): Reason[] => {
    const said = { about: id, minor: true as const };
    if (!applies) return [{ ...said, decided: `not rule ${at + 1}`, because }];
    // What comes to the same thing is not against it.
    const others = passed.filter(({ setting, to }) => !isSame(rule, rules[to]!, setting));
    return others.map(({ setting, to }) => ({
      ...said,
      decided: `not ${settingText(rule.then, setting)}`,
      because: `${ruleNumber(rule, at)} says so, but ${ruleNumber(rules[to]!, to)} comes first`,
    }));
  });
}
