import { monitorText } from '../desk/roles.ts';
import {
  GROUPS,
  type Condition,
  type Corner,
  type Group,
  type Rule,
  type RuleSettings,
  type Setting,
  type TextCondition,
  type When,
} from '../model/rule.ts';
import { snapText } from '../values/snap-text.ts';
import { isAboutText, type WindowFacts } from './facts.ts';

/** A piece of a sentence; what the person chose is strong. */
export interface Words {
  text: string;
  strong?: true;
}

export const CORNER_WORDS: Record<Corner, string> = {
  'over-parent': 'centred over its parent',
  middle: 'in the middle',
  'upper-left': 'in the upper left corner',
  upper: 'at the upper edge',
  'upper-right': 'in the upper right corner',
  left: 'at the left edge',
  right: 'at the right edge',
  'lower-left': 'in the lower left corner',
  lower: 'at the lower edge',
  'lower-right': 'in the lower right corner',
};

export const plainText = (text: string): Words => ({ text });
export const strong = (text: string): Words => ({ text, strong: true });
export const quoted = (text: string) => `“${text}”`;

/** A condition in words: "app is areamap", "title has “briefing”". */
function conditionWords(condition: Condition): Words[] {
  if (isAboutText(condition)) {
    const word = condition.of;
    if ('has' in condition) return [plainText(`${word} has `), strong(quoted(condition.has))];
    if ('fits' in condition) return [plainText(`${word} fits `), strong(quoted(condition.fits))];
    if ('matches' in condition) return [plainText(`${word} matches `), strong(condition.matches)];
    const is = condition.of === 'title' ? quoted(condition.is) : condition.is;
    return [plainText(`${word} is `), strong(is)];
  }
  switch (condition.of) {
    case 'mode':
      return [plainText('desk mode is '), strong(condition.is)];
    case 'monitor':
    case 'kind':
      return [plainText(`${condition.of} is `), strong(condition.is)];
    case 'resizable':
      return [strong(condition.is ? 'resizable' : 'not resizable')];
    default:
      return [plainText(`${condition.of} is `), strong(rangeText(condition))];
  }
}

export function rangeText({ from, to }: { from?: number; to?: number }): string {
  if (from === undefined) return `at most ${to}`;
  if (to === undefined) return `at least ${from}`;
  return from === to ? String(from) : `${from} to ${to}`;
}

export function conditionText(condition: Condition): string {
  return conditionWords(condition)
    .map(({ text }) => text)
    .join('');
}

const SEPARATORS: Record<Group, string> = { all: ', ', any: ' or ', none: ', ' };

/** When a rule matches, in words: "app is areamap, kind is normal"; "any window" where it asks nothing. */
export function whenWords(when: When): Words[] {
  const groups = GROUPS.filter((group) => when[group].length > 0);
  if (groups.length === 0) return [strong('any window')];
  return groups.flatMap((group, i) => {
    const parts = when[group].flatMap((condition, j) => [
      ...(j > 0 ? [plainText(SEPARATORS[group])] : []),
      ...(group === 'none' ? [plainText('not ')] : []),
      ...conditionWords(condition),
    ]);
    // Among others a choice stands in brackets, so that it is seen where it ends.
    const isChoice = group === 'any' && groups.length > 1 && when.any.length > 1;
    const whole = isChoice ? [plainText('('), ...parts, plainText(')')] : parts;
    return i > 0 ? [plainText(', '), ...whole] : whole;
  });
}

export const HELD_WORDS = {
  tiled: 'tile it',
  floating: 'float it',
  pocketed: 'pocket it',
  'left-alone': 'leave it alone',
} as const;
const JOIN_WORDS = {
  lead: 'join as lead',
  end: 'join at the end',
  'after-focused': 'join after the focused',
} as const;

const which = (is: boolean, yes: string, no: string): Words[] => [strong(is ? yes : no)];

/** A setting of a rule in words: "float it", "workspace M", "in the upper right corner". */
const SETTING_WORDS: {
  [S in Setting]-?: (value: NonNullable<RuleSettings[S]>) => Words[];
} = {
  held: (held) => [strong(HELD_WORDS[held])],
  workspace: (id) => [plainText('workspace '), strong(id)],
  monitor: (which) => [strong(monitorText(which))],
  zone: (zone) => [plainText('zone '), strong(quoted(zone))],
  placing: (placing) => [plainText('placed '), strong(snapText(placing))],
  size: ({ width, height }) => [strong(`${width} × ${height}`)],
  corner: (corner) => [strong(CORNER_WORDS[corner])],
  stayAbove: (is) => which(is, 'stay above', 'not above'),
  everywhere: (is) => which(is, 'everywhere', 'on one workspace'),
  focus: (is) => which(is, 'take the focus', 'no focus'),
  join: (where) => [strong(JOIN_WORDS[where])],
  remember: (is) => which(is, 'where it was moved last', 'forget where it was moved'),
  private: (is) => which(is, 'never pictured', 'may be pictured'),
};

/** Settings in words, in the order in which they are listed everywhere. */
export function settingsWords(then: RuleSettings): Words[] {
  const parts = (Object.keys(SETTING_WORDS) as Setting[]).flatMap((setting) => {
    const words = settingWords(then, setting);
    return words ? [words] : [];
  });
  if (parts.length === 0) return [plainText('nothing yet')];
  return parts.flatMap((words, i) => [...(i > 0 ? [plainText(', ')] : []), ...words]);
}

/** One setting in words; null where it is not given. */
export function settingWords<S extends Setting>(then: RuleSettings, setting: S): Words[] | null {
  const value = then[setting];
  if (value === undefined) return null;
  return SETTING_WORDS[setting](value as never);
}

/** A rule as a person reads it: with the names of monitors in the place of their ids. */
export function withMonitorNames<R extends Pick<Rule, 'when' | 'then'>>(
  rule: R,
  nameOf: (id: string) => string,
): R {
  const { when, then } = rule;
  const named = (condition: Condition): Condition =>
    condition.of === 'monitor' ? { ...condition, is: nameOf(condition.is) } : condition;
  return {
    ...rule,
    when: { all: when.all.map(named), any: when.any.map(named), none: when.none.map(named) },
    then: then.monitor === undefined ? then : { ...then, monitor: nameOf(then.monitor) },
  };
}

/** What a setting of a rule says, in words; empty where the rule does not give it. */
export function settingText(then: RuleSettings, setting: Setting): string {
  return textOf(settingWords(then, setting) ?? []);
}

export function textOf(words: readonly Words[]): string {
  return words.map(({ text }) => text).join('');
}

/** Titles are the apps' to choose, and may be long. */
const MOST_SHOWN = 60;
const shown = (text: string) =>
  quoted(text.length > MOST_SHOWN ? `${text.slice(0, MOST_SHOWN - 1)}…` : text);

/** Why a condition does not hold of a window: "kind is normal, not dialog". */
export function failureText(condition: Condition, facts: WindowFacts): string {
  if (isAboutText(condition)) return textFailure(condition, facts);
  switch (condition.of) {
    case 'mode':
      return `desk mode is ${facts.desk.mode}, not ${condition.is}`;
    case 'monitor':
      return `monitor is ${facts.monitor}, not ${condition.is}`;
    case 'kind':
      return `kind is ${facts.kind}, not ${condition.is}`;
    case 'resizable':
      return facts.resizable ? 'it is resizable' : 'it is not resizable';
    default: {
      const length = facts[condition.of];
      return length === undefined
        ? `it asks for no ${condition.of}`
        : `${condition.of} is ${length}, not ${rangeText(condition)}`;
    }
  }
}

function textFailure(condition: TextCondition, facts: WindowFacts) {
  const { of } = condition;
  const text = of === 'desk' ? facts.desk.name : of === 'workspace' ? facts.workspace : facts[of];
  if (text === undefined) return of === 'parent' ? 'it stands over no window' : `it has no ${of}`;
  if ('is' in condition) {
    return of === 'title'
      ? `${of} is ${shown(text)}, not ${shown(condition.is)}`
      : `${of} is ${text}, not ${condition.is}`;
  }
  if ('has' in condition) return `${of} ${shown(text)} lacks ${shown(condition.has)}`;
  if ('fits' in condition) return `${of} ${shown(text)} does not fit ${shown(condition.fits)}`;
  return `${of} ${shown(text)} does not match ${condition.matches}`;
}

/** A rule by its number, counted from 1, and its name where it has one. */
export function ruleNumber({ name }: Rule, at: number): string {
  return name === undefined || name === '' ? `rule ${at + 1}` : `rule ${at + 1} ${name}`;
}
