import type { Condition, Rule, RuleSettings } from '../profile/rule.ts';
import type { Profile } from '../profile/schema.ts';
import { arrange } from '../session/arrange.ts';
import type { Situation } from '../session/session.ts';
import { windowName, windowOf } from '../session/session.ts';
import { missingStarters } from './starters.ts';

/** A profile that was changed, and the rule that is in hand then. */
export interface RuleEdited {
  profile: Profile;
  id: string;
}

const NO_CONDITIONS = { all: [], any: [], none: [] };
/** A rule that says nothing yet, of any window. */
export const EMPTY_RULE: Omit<Rule, 'id'> = {
  on: true,
  when: NO_CONDITIONS,
  then: {},
  again: { title: false, desk: false },
};

export function withRule(profile: Profile, id: string, change: (rule: Rule) => Rule): Profile {
  const rules = profile.rules.map((rule) => (rule.id === id ? change(rule) : rule));
  return { ...profile, rules };
}

/** @param after the rule behind which it stands; at the top where there is none */
export function withNewRule(
  profile: Profile,
  rule: Omit<Rule, 'id'>,
  after: string | null,
  wished = 'rule',
): RuleEdited {
  const id = freeId(profile, wished);
  const at = profile.rules.findIndex((each) => each.id === after) + 1;
  return { profile: { ...profile, rules: profile.rules.toSpliced(at, 0, { ...rule, id }) }, id };
}

/** The same rule once more, behind the first. */
export function ruleDuplicated(profile: Profile, id: string): RuleEdited {
  const rule = profile.rules.find((each) => each.id === id);
  if (!rule) return { profile, id };
  const { id: _id, name, ...rest } = rule;
  const copy = { ...rest, ...(name !== undefined && { name: `${name}, copy`.slice(0, 400) }) };
  return withNewRule(profile, copy, id, id);
}

/** Without a rule; the next one is in hand then, else the one before. */
export function withoutRule(profile: Profile, id: string): { profile: Profile; id: string | null } {
  const at = profile.rules.findIndex((rule) => rule.id === id);
  const rules = profile.rules.filter((rule) => rule.id !== id);
  return { profile: { ...profile, rules }, id: (rules[at] ?? rules[at - 1])?.id ?? null };
}

/** A rule moved to a place in the list, counted from 0 and kept within it. */
export function ruleMoved(profile: Profile, id: string, to: number): Profile {
  const rule = profile.rules.find((each) => each.id === id);
  if (!rule) return profile;
  const others = profile.rules.filter((each) => each !== rule);
  const at = Math.min(others.length, Math.max(0, to));
  return { ...profile, rules: others.toSpliced(at, 0, rule) };
}

/** The rules people expect, behind all others, as far as they are not there. */
export function withStarterRules(profile: Profile): Profile {
  const missing = missingStarters(profile.rules);
  return missing.length > 0 ? { ...profile, rules: [...profile.rules, ...missing] } : profile;
}

/** Gives a setting of a rule, or takes it out where it is undefined; of a zone and a placing the later one stays. */
export function withSetting(
  rule: Rule,
  given: Partial<RuleSettings> | { [S in keyof RuleSettings]: undefined },
): Rule {
  const settings = { ...rule.then, ...given };
  if (given.zone !== undefined) delete settings.placing;
  if (given.placing !== undefined) delete settings.zone;
  const entries = Object.entries(settings).filter(([, value]) => value !== undefined);
  return { ...rule, then: Object.fromEntries(entries) as RuleSettings };
}

/**
 * A rule that keeps windows like this one as it is now: how it is held, its workspace, and the zone it is in.
 * It matches its app, and its kind and title where its app has windows of several.
 */
export function ruleFromWindow(situation: Situation, id: string): Omit<Rule, 'id'> | null {
  const { session, profile } = situation;
  const window = windowOf(session, id);
  if (!window) return null;
  const app = profile.apps.find((each) => each.id === window.app);
  const isOneOfSeveral = app === undefined || (app.windows?.length ?? 0) > 0;
  const all: Condition[] = [
    ...(window.app === undefined ? [] : [{ of: 'app' as const, is: window.app }]),
    ...(isOneOfSeveral && window.title
      ? [{ of: 'title' as const, is: window.title.slice(0, 400) }]
      : []),
    ...(window.kind === 'normal' ? [] : [{ of: 'kind' as const, is: window.kind }]),
  ];
  const { zoned, tiled } = arrange(situation, window.workspace, window.monitor);
  const seat = zoned?.seats[tiled.findIndex((each) => each.id === id)];
  const zone = window.placing?.zone?.zones[0] ?? seat?.zones[0];
  const then: RuleSettings = {
    held: window.held,
    ...(window.held !== 'left-alone' && { workspace: window.workspace }),
    ...(zone !== undefined && { zone }),
  };
  return {
    ...EMPTY_RULE,
    name: windowName(profile, window),
    when: { ...NO_CONDITIONS, all },
    then,
  };
}

function freeId({ rules }: Profile, wished: string): string {
  const base = wished.replace(/-\d+$/, '').slice(0, 70);
  const isTaken = (id: string) => rules.some((rule) => rule.id === id);
  let number = 1;
  while (isTaken(number === 1 ? base : `${base}-${number}`)) number++;
  return number === 1 ? base : `${base}-${number}`;
}
