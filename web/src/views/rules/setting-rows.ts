import isEqual from 'fast-deep-equal';
import { roleText, ROLES } from '@sorn/core/desk';
import { CORNERS, type Profile, type RuleSettings, type Setting } from '@sorn/core/model';
import { CORNER_WORDS, HELD_WORDS, settingWords, textOf } from '@sorn/core/rules';
import { HELD, NEW_WINDOWS, snapText, type Fraction } from '@sorn/core/values';

/** A value that can be chosen for a setting, with the settings it stands for. */
export interface SettingOption {
  text: string;
  value: RuleSettings[Setting];
}

export interface SettingRowOf {
  setting: Exclude<Setting, 'size'>;
  label: string;
  /** What holds where nothing says otherwise. */
  without: string;
  options: (profile: Profile) => readonly SettingOption[];
}

const yesNo = (yes: string, no: string) => () => [
  { text: yes, value: true },
  { text: no, value: false },
];

const JOIN = { lead: 'as lead', end: 'at the end', 'after-focused': 'after the focused' } as const;

const SHARES: readonly Fraction[] = ['1/2', '1/3', '2/3'];

/** Places that are chosen most: the whole, and halves, thirds and quarters. */
const PLACES: readonly NonNullable<RuleSettings['placing']>[] = [
  { x: 'full', y: 'full' },
  ...SHARES.flatMap((share) => [
    { x: { start: share }, y: 'full' as const },
    { x: { end: share }, y: 'full' as const },
  ]),
  { x: { middle: '1/3' }, y: 'full' },
  { x: { middle: '1/2' }, y: 'full' },
  { x: 'full', y: { start: '1/2' } },
  { x: 'full', y: { end: '1/2' } },
  { x: { start: '1/2' }, y: { start: '1/2' } },
  { x: { end: '1/2' }, y: { start: '1/2' } },
  { x: { start: '1/2' }, y: { end: '1/2' } },
  { x: { end: '1/2' }, y: { end: '1/2' } },
];

/** What a rule can say, as it is chosen in the inspector, in order. */
export const SETTING_ROWS: readonly SettingRowOf[] = [
  {
    setting: 'held',
    label: 'Window is',
    without: 'tile it',
    options: () => HELD.map((held) => ({ text: HELD_WORDS[held], value: held })),
  },
  {
    setting: 'workspace',
    label: 'Workspace',
    without: 'the one shown',
    options: ({ workspaces }) =>
      workspaces.map(({ id, name }) => ({ text: name ? `${id} ${name}` : id, value: id })),
  },
  {
    setting: 'monitor',
    label: 'Monitor',
    without: 'with the focus',
    options: ({ monitors }) => [
      ...monitors.map(({ id, name = id }) => ({ text: name, value: id })),
      ...ROLES.map((role) => ({ text: roleText(role), value: role })),
    ],
  },
  {
    setting: 'zone',
    label: 'Zone',
    without: 'none',
    options: ({ boards }) =>
      [...new Set(boards.flatMap(({ zones }) => zones.map(({ name }) => name)))].map((name) => ({
        text: name,
        value: name,
      })),
  },
  {
    setting: 'placing',
    label: 'Placed',
    without: 'nowhere',
    options: () => PLACES.map((place) => ({ text: snapText(place), value: place })),
  },
  {
    setting: 'corner',
    label: 'Stands',
    without: 'over its parent',
    options: () => CORNERS.map((corner) => ({ text: CORNER_WORDS[corner], value: corner })),
  },
  { setting: 'stayAbove', label: 'Stays above', without: 'no', options: yesNo('yes', 'no') },
  { setting: 'everywhere', label: 'Everywhere', without: 'no', options: yesNo('yes', 'no') },
  { setting: 'focus', label: 'Takes the focus', without: 'yes', options: yesNo('yes', 'no') },
  {
    setting: 'join',
    label: 'Joins the order',
    without: 'as new ones',
    options: () => NEW_WINDOWS.map((where) => ({ text: JOIN[where], value: where })),
  },
  {
    setting: 'remember',
    label: 'Place is remembered',
    without: 'as for all',
    options: yesNo('yes', 'no'),
  },
  { setting: 'private', label: 'Never pictured', without: 'no', options: yesNo('yes', 'no') },
];

/** The options of a setting, with the one that is given among them, whatever it is. */
export function optionsWith(
  { setting, options }: SettingRowOf,
  profile: Profile,
  then: RuleSettings,
): readonly SettingOption[] {
  const all = options(profile);
  const value = then[setting];
  if (value === undefined || all.some((option) => isSame(option.value, value))) return all;
  return [...all, { text: textOf(settingWords(then, setting)!), value }];
}

export function isSame(a: unknown, b: unknown): boolean {
  return isEqual(a, b);
}

/** "420 × 120" as a size; null where it is none. */
export function sizeTyped(text: string): { width: number; height: number } | null {
  const [, width, height] = /^\s*(\d{1,5})\s*[x×*, ]\s*(\d{1,5})\s*$/.exec(text) ?? [];
  const size = { width: Number(width), height: Number(height) };
  return size.width >= 1 && size.height >= 1 ? size : null;
}
