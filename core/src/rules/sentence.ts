import { monitorText } from '../desk/roles.ts';
import type { Condition, Rule, RuleSettings, Setting } from '../model/rule.ts';
import { snapText } from '../values/snap-text.ts';
import { isAboutText } from './facts.ts';
import {
  CORNER_WORDS,
  HELD_WORDS,
  plainText,
  quoted,
  rangeText,
  strong,
  type Words,
} from './rule-words.ts';

/**
 * A rule as one sentence: "When a window’s app is areamap and its kind is normal, put it on workspace M in
 * zone “Middle”."
 */
export function ruleSentence({ when, then, again }: Rule): Words[] {
  const all = [
    ...when.all.map((condition) => clauseOf(condition, false)),
    ...when.none.map((condition) => clauseOf(condition, true)),
  ];
  const any = when.any.map((condition) => clauseOf(condition, false));
  const certain = joined(all, ' and ', ' and ');
  const [first, ...rest] = all.length > 0 ? certain : joined(any, ' or ', ' or ');
  const begins = first ? ofAWindow(first) : [strong('any window'), plainText(' opens')];
  // After all the others and told as a choice: "a and b or c and d" could be read in three ways.
  const choice = any.length > 1 ? plainText(', and either ') : plainText(' and ');
  const chosen = all.length > 0 && any.length > 0 ? [choice, ...joined(any, ' or ', ' or ')] : [];
  const times = [
    ...(again.title ? ['its title changes'] : []),
    ...(again.desk ? ['the desk or its mode changes'] : []),
  ];
  return [
    plainText('When '),
    ...begins,
    ...rest,
    ...chosen,
    plainText(', '),
    ...orders(then),
    plainText(times.length > 0 ? `; and again when ${times.join(' or ')}.` : '.'),
  ];
}

/** The first clause names what it is about: "its app" of "a window’s app". */
function ofAWindow({ text, ...rest }: Words): Words[] {
  return [{ text: text.replace(/^its /, 'a window’s ').replace(/^it /, 'a window '), ...rest }];
}

function joined(parts: readonly Words[][], between: string, last: string): Words[] {
  return parts.flatMap((words, i) => [
    ...(i > 0 ? [plainText(i === parts.length - 1 ? last : between)] : []),
    ...words,
  ]);
}

function clauseOf(condition: Condition, isNot: boolean): Words[] {
  if (isAboutText(condition)) {
    const its = `its ${condition.of}`;
    const verb = (is: string, base: string) =>
      plainText(isNot ? `${its} does not ${base} ` : `${its} ${is} `);
    if ('has' in condition) return [verb('has', 'have'), strong(quoted(condition.has))];
    if ('fits' in condition) return [verb('fits', 'fit'), strong(quoted(condition.fits))];
    if ('matches' in condition) return [verb('matches', 'match'), strong(condition.matches)];
    const value = condition.of === 'title' ? quoted(condition.is) : condition.is;
    return [plainText(`${its} is ${isNot ? 'not ' : ''}`), strong(value)];
  }
  if (condition.of === 'resizable') {
    return [plainText('it is '), strong(condition.is === isNot ? 'not resizable' : 'resizable')];
  }
  if (condition.of === 'mode') {
    return [plainText(`the desk’s mode is ${isNot ? 'not ' : ''}`), strong(condition.is)];
  }
  const value = 'is' in condition ? condition.is : rangeText(condition);
  return [plainText(`its ${condition.of} is ${isNot ? 'not ' : ''}`), strong(value)];
}

type Order<S extends Setting> = (value: NonNullable<RuleSettings[S]>) => Words[];

/** Where a window is put: these go together. */
const PLACES: { [S in Setting]?: Order<S> } = {
  workspace: (id) => [plainText('on '), strong(`workspace ${id}`)],
  monitor: (which) => [plainText('on '), strong(monitorText(which))],
  zone: (zone) => [plainText('in '), strong(`zone ${quoted(zone)}`)],
  placing: (placing) => [strong(snapText(placing))],
  corner: (corner) => [strong(CORNER_WORDS[corner])],
  size: ({ width, height }) => [plainText('at '), strong(`${width} × ${height}`)],
};

const OTHERS: { [S in Setting]?: Order<S> } = {
  stayAbove: (is) => [strong(is ? 'keep it above the others' : 'do not keep it above')],
  everywhere: (is) => [strong(is ? 'show it on every workspace' : 'show it on one workspace')],
  focus: (is) => [strong(is ? 'give it the focus' : 'give it no focus')],
  join: (join) => [
    plainText('let it join '),
    strong(
      { lead: 'as lead', end: 'at the end', 'after-focused': 'after the focused window' }[join],
    ),
  ],
  remember: (is) => [strong(is ? 'open it where it was moved last' : 'forget where it was moved')],
  private: (is) => [strong(is ? 'never make a picture of it' : 'let pictures of it be made')],
};

/** What a rule says to do, as orders: "float it, put it on workspace M and give it no focus". */
function orders(then: RuleSettings): Words[] {
  const ordered = (orders: { [S in Setting]?: Order<S> }) =>
    (Object.keys(orders) as Setting[]).flatMap((setting) => {
      const value = then[setting];
      return value === undefined ? [] : [(orders[setting] as Order<Setting>)(value as never)];
    });
  const places = ordered(PLACES);
  const parts = [
    ...(then.held ? [[strong(HELD_WORDS[then.held])]] : []),
    ...(places.length > 0 ? [[plainText('put it '), ...joined(places, ' ', ' ')]] : []),
    ...ordered(OTHERS),
  ];
  return parts.length > 0 ? joined(parts, ', ', ' and ') : [plainText('do nothing yet')];
}
