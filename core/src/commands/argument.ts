import { z } from 'zod';
import { DIRECTIONS } from '../values/direction.ts';
import { flagField, idField, neededText, oneOf, textField, whole } from '../values/fields.ts';
import { layoutSchema, type LayoutSetting } from '../values/layout.ts';
import { triggerField } from '../values/trigger.ts';
import { alongField, rungsField } from '../values/snap.ts';
import { whichMonitorField } from '../values/window.ts';

/** The kind of an argument of a command. Forms offer things of this kind, and the check of names looks them up. */
export type ArgumentKind =
  | 'workspace'
  | 'monitor'
  | 'app'
  | 'window-of-app'
  | 'desk'
  | 'zone'
  | 'layer'
  | 'chain'
  | 'menu'
  | 'layout'
  | 'lineup'
  | 'direction'
  | 'choice'
  | 'along'
  | 'ladder'
  | 'flag'
  | 'figure'
  | 'text'
  | 'desktop-words'
  | 'line'
  | 'typed'
  | 'keys';

/** An argument of a command: one field beside the command's id. */
export interface Argument<S extends z.ZodType = z.ZodType> {
  of: ArgumentKind;
  schema: S;
  /** What a form calls it. */
  label: string;
  /** How the value is written after the command's id and a space. Left out: the value as it is. */
  text?: (value: never) => string;
  /** Of a choice: what can be chosen. Of a figure: the least and the most. */
  options?: readonly string[];
  range?: readonly [least: number, most: number];
  /** The words of a form for leaving it out, where that has a meaning of its own. */
  none?: string;
  /** Of a flag: what it is where it is left out. */
  isOn?: boolean;
  /** Where it is left out, a person is asked to type it when the key is pressed. */
  isAsked?: true;
}
export type Arguments = Readonly<Record<string, Argument>>;

/** The values of the arguments of a command. */
export type ArgumentValues<A extends Arguments> = keyof A extends never
  ? unknown
  : z.output<z.ZodObject<{ -readonly [Name in keyof A]: A[Name]['schema'] }>>;

export const workspace = () => argument('workspace', 'Which', idField);
export const monitor = () => argument('monitor', 'Which', whichMonitorField);
export const app = () => argument('app', 'App', idField);
export const desk = () => argument('desk', 'Desk', idField);
export const layer = () => argument('layer', 'Layer', idField);
export const chain = () => argument('chain', 'Chain', idField);
export const menu = () => argument('menu', 'Menu', idField);
export const direction = (label: string) => argument('direction', label, oneOf(DIRECTIONS));

export const zone = () => argument('zone', 'Zone', neededText('a zone'));

/** A further window of an app by its title; the app's own where it is left out. */
export const windowOfApp = () => ({
  ...argument('window-of-app', 'Window', textField.exactOptional()),
  text: (title: string) => `: ${title}`,
});

/** A layout by its kind, with what else is said of it. */
export const layout = () => ({
  ...argument('layout', 'Layout', layoutSchema),
  text: ({ kind, ...said }: LayoutSetting) =>
    ` ${[kind, ...Object.entries(said).map(([name, value]) => `${name} ${String(value)}`)].join(', ')}`,
});

export const choice = <const T extends readonly string[]>(label: string, options: T) => ({
  ...argument('choice', label, oneOf(options)),
  options,
});

/** @param none what leaving it out means */
export const choiceOrNone = <const T extends readonly string[]>(
  label: string,
  options: T,
  none: string,
) => ({ ...argument('choice', label, oneOf(options).exactOptional()), options, none });

/** @param words told where the flag is other than it is when left out */
export const flag = (label: string, isOn: boolean, words: string) => ({
  ...argument('flag', label, flagField.exactOptional()),
  isOn,
  text: (value: boolean) => (value === isOn ? '' : `, ${words}`),
});

export const figure = (label: string, least: number, most: number) => ({
  ...argument('figure', label, whole(least, most)),
  range: [least, most] as const,
});

/** What desktops commonly do with keys, in words. */
const DESKTOP_WORDS = [
  'lock the screen',
  'picture of the screen',
  'clipboard list',
  'emoji',
  'dictation',
  'louder',
  'quieter',
  'sound off',
  'brighter',
  'darker',
  'next input language',
  'notifications',
  'sleep',
] as const;
const WORDS = 'words of 1 to 80 characters';
/** What the desktop does with a key, in words. */
export const desktopWords = () => ({
  ...argument(
    'desktop-words',
    'What it does',
    z.string({ error: WORDS }).regex(/^(?!\s)[^\n]{1,80}$/, { error: WORDS }),
  ),
  options: DESKTOP_WORDS,
});

const LINE = 'a command line of 1 to 400 characters';
/** A command line as a person types it. */
export const line = (label: string) =>
  argument('line', label, z.string({ error: LINE }).regex(/^(?!\s)[^\n]{1,400}$/, { error: LINE }));

/** A part of a name. Where the binding has none, the person types it when the key is pressed. */
export const askedText = (label: string) => ({
  ...argument('text', label, textField.exactOptional()),
  isAsked: true as const,
});
export const askedLineup = (label: string) => ({
  ...argument('lineup', label, textField.exactOptional()),
  isAsked: true as const,
});

export const along = (label: string, none: string) => ({
  ...argument('along', label, alongField.exactOptional()),
  none,
});
export const ladder = (label: string) => argument('ladder', label, rungsField.exactOptional());

const PICKED = 'letters and digits';
/** Letters and digits typed into an open choice. */
export const typed = () =>
  argument(
    'typed',
    'Keys',
    z.string({ error: PICKED }).regex(/^[A-Za-z0-9]{1,40}$/, { error: PICKED }),
  );

/** Keys as a profile writes them; where they are left out, the next that are pressed. */
export const pressedKeys = (label: string) => argument('keys', label, triggerField.exactOptional());

function argument<K extends ArgumentKind, S extends z.ZodType>(of: K, label: string, schema: S) {
  return { of, label, schema };
}
