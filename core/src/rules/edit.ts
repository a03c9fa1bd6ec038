import isEqual from 'fast-deep-equal';
import type { Profile } from '../model/profile.ts';
import type { Rule, RuleSettings } from '../model/rule.ts';

/** A profile that was changed, and the rule that is selected then. */
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

/** Without a rule; the next one is selected then, else the one before. */
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

function freeId({ rules }: Profile, wished: string): string {
  const base = wished.replace(/-\d+$/, '').slice(0, 70);
  const isTaken = (id: string) => rules.some((rule) => rule.id === id);
  let number = 1;
  while (isTaken(number === 1 ? base : `${base}-${number}`)) number++;
  return number === 1 ? base : `${base}-${number}`;
}

/** Where an app is always in a zone: a workspace, or a monitor where the profile names no workspaces. */
type Where = Pick<RuleSettings, 'workspace' | 'monitor'>;

/** The rule that has an app always in a zone there, and says nothing else; null where there is none. */
export function ruleOfAppInZone(
  { rules }: Profile,
  app: string,
  zone: string,
  where: Where,
): Rule | null {
  return (
    rules.find(({ when, then }) => isOnlyAbout(when, app) && isEqual(then, { ...where, zone })) ??
    null
  );
}

function isOnlyAbout({ all, any, none }: Rule['when'], app: string): boolean {
  return isEqual(all, [{ of: 'app', is: app }]) && any.length === 0 && none.length === 0;
}

/**
 * A profile in which an app is always in a zone there, and in no other, by a rule before all others; without that rule
 * where there is one.
 */
export function withAppInZone(profile: Profile, app: string, zone: string, where: Where): Profile {
  const there = ruleOfAppInZone(profile, app, zone, where);
  if (there) return withoutRule(profile, there.id).profile;
  const others = profile.rules.filter(
    ({ when, then }) => !(isOnlyAbout(when, app) && isEqual(then, { ...where, zone: then.zone })),
  );
  const name = profile.apps.find(({ id }) => id === app)?.name ?? app;
  const rule = {
    ...EMPTY_RULE,
    name: `${name} in ${zone}`,
    when: { ...NO_CONDITIONS, all: [{ of: 'app', is: app } as const] },
    then: { ...where, zone },
  };
  return withNewRule({ ...profile, rules: others }, rule, null, `${app}-zone`).profile;
}
