import { z } from 'zod';
import { keyCommandSchema } from '../commands/command.ts';
import { isCode } from '../values/codes.ts';
import {
  fields,
  flagField,
  idField,
  listOf,
  neededText,
  oneOf,
  textField,
  whole,
} from '../values/fields.ts';
import { MAIN, MODIFIERS } from '../values/modifiers.ts';
import { triggerField } from '../values/trigger.ts';

/** The layer that is there when no other is entered. */
export const BASE = 'base';
/** How long a layer lasts: for one command, until it is left, or while the key that entered it is held. */
export const LASTS = ['once', 'kept', 'held'] as const;
export type Lasts = (typeof LASTS)[number];
/** Key maps to begin from. */
export const KEY_STARTERS = [
  'whole',
  'few',
  'block',
  'arrows',
  'inverted-t',
  'inverted-t-left',
  'number-pad',
  'buttons',
  'none',
] as const;
export type KeyStarterId = (typeof KEY_STARTERS)[number];
/** Forms of keyboards that can be drawn. */
export const KEYBOARD_FORMS = [
  'ansi-60',
  'ansi-80',
  'ansi-100',
  'iso-80',
  'jis-80',
  'split-42',
] as const;
export type KeyboardForm = (typeof KEYBOARD_FORMS)[number];
/** Keys that can stand in for the main modifier, beside the other modifiers. */
export const STAND_IN_KEYS = ['AltRight', 'ControlRight', 'ContextMenu', 'CapsLock'] as const;
/** How much a command is needed when keys are few. */
export const MARKS = ['needed', 'wanted', 'spare'] as const;
export type Mark = (typeof MARKS)[number];
export const AT_ONCE = ['several', 'one'] as const;

const CODE = 'the UI Events code of a key, such as KeyL or F9';
const LEGEND = 'what is printed on the key: 1 to 8 characters without spaces';
const LEGENDS = 'what is printed on keys, by code';
const codeField = z.string({ error: CODE }).refine(isCode, { error: CODE });

/** Escape alone at the beginning of a sequence, and Escape with whatever else at the end of keys. */
const BEGINS_WITH_ESCAPE = /^(types:)?Escape /;
const ENDS_WITH_ESCAPE = /(^|[ +:])Escape$/;

const bindingSchema = fields({
  keys: triggerField,
  /** When the keys go down. */
  command: keyCommandSchema.exactOptional(),
  /** When they are let go. */
  release: keyCommandSchema.exactOptional(),
  /** The layer it is in; the base layer where left out. */
  in: idField.exactOptional(),
  /** Only while a window of this app has the focus. */
  app: idField.exactOptional(),
  /** Stays where it is when keys are suggested. */
  pinned: flagField.exactOptional(),
})
  .refine(({ command, release }) => command !== undefined || release !== undefined, {
    error: 'a binding with a command, a release or both',
  })
  .refine(
    ({ keys, command, release }) =>
      !BEGINS_WITH_ESCAPE.test(keys) &&
      !(
        ENDS_WITH_ESCAPE.test(keys) &&
        [command, release].some((each) => each?.command === 'enter-layer')
      ),
    { error: 'another key: Escape alone leads home from every layer and sequence', path: ['keys'] },
  );
/** A binding as the profile has it. */
export type OwnBinding = z.output<typeof bindingSchema>;

const layerSchema = fields({
  id: idField.refine((id) => id !== BASE, { error: `a name other than ${BASE}` }),
  name: textField.exactOptional(),
  lasts: oneOf(LASTS).default('kept'),
});
export type KeyLayer = z.output<typeof layerSchema>;

const BUNDLE = 'a name of 1 to 40 letters, digits and -, with a letter first';
const bundleSchema = fields({
  /** What it is called in triggers. */
  id: z
    .string({ error: BUNDLE })
    .regex(/^[A-Za-z][A-Za-z0-9-]{0,39}$/, { error: BUNDLE })
    .refine((id) => id !== MAIN && !MODIFIERS.some((name) => name === id), {
      error: 'a name that no modifier has',
    }),
  /** The key that is held. */
  hold: codeField,
  modifiers: listOf(oneOf([MAIN, ...MODIFIERS]), 'modifiers', MODIFIERS.length).min(1, {
    error: 'at least one modifier',
  }),
});
export type ModifierAlias = z.output<typeof bundleSchema>;

const shortcutSchema = fields({
  keys: triggerField,
  what: neededText('what it does, in 1 to 400 characters'),
});
export const shortcutsField = listOf(shortcutSchema, 'shortcuts');
export type Shortcut = z.output<typeof shortcutSchema>;

/** Shortcuts that something outside takes. */
const takenSchema = fields({
  id: idField,
  name: neededText('a name of 1 to 400 characters'),
  on: flagField.default(true),
  shortcuts: shortcutsField,
});
export type ShortcutList = z.output<typeof takenSchema>;

const deviceSchema = fields({
  id: idField,
  name: textField.exactOptional(),
  /** A keyboard of this form: it can send the keys of that. */
  board: oneOf(KEYBOARD_FORMS).exactOptional(),
  /** Buttons of a pointing device, Button1 and on. */
  buttons: whole(1, 64).exactOptional(),
  /** Further inputs, by the code of what they send. */
  codes: listOf(codeField, 'codes', 200).exactOptional(),
  /** It can send modifiers. */
  modifiers: flagField.default(true),
  atOnce: oneOf(AT_ONCE).default('several'),
  /** How many sets of meanings it can be switched between by itself. */
  profiles: whole(1, 16).default(1),
});
export type InputDevice = z.output<typeof deviceSchema>;

export const KEYBOARD: InputDevice = {
  id: 'keyboard',
  name: 'Keyboard',
  board: 'ansi-100',
  modifiers: true,
  atOnce: 'several',
  profiles: 1,
};

export const keysSchema = fields({
  /** The modifier most bindings start with, as Main. */
  main: oneOf(MODIFIERS).default('Meta'),
  /** The modifier or key that stands in for the main one where the browser or system keeps that for itself. */
  standIn: oneOf([...MODIFIERS, ...STAND_IN_KEYS]).default('Alt'),
  /** The key that takes the keyboard back from the sheet. */
  handBack: codeField.default('F9'),
  /** The ready-made map that holds where nothing else is said. */
  from: oneOf(KEY_STARTERS).default('whole'),
  /** What is printed on keys, by code, where it is other than on a US keyboard. */
  legends: z
    .record(codeField, z.string({ error: LEGEND }).regex(/^\S{1,8}$/u, { error: LEGEND }), {
      error: LEGENDS,
    })
    .exactOptional(),
  /** Bindings of one's own; they come before those of the starter. */
  bindings: listOf(bindingSchema, 'bindings', 5_000).default([]),
  /** Keys of the starter that are left out. */
  without: listOf(triggerField, 'keys', 5_000).default([]),
  layers: listOf(layerSchema, 'layers', 100).default([]),
  bundles: listOf(bundleSchema, 'bundles', 20).default([]),
  /** How long the next press of a sequence is waited for. */
  sequenceMs: whole(100, 10_000).default(1_000),
  /** How long a further press is waited for while keys are recorded; 0: one press is all. */
  recordMs: whole(0, 5_000).default(0),
  /** How long a tap-hold key is down before it counts as held rather than tapped. */
  holdMs: whole(50, 2_000).default(220),
  /** Shortcuts that the desktop takes; the common ones where left out. */
  taken: listOf(takenSchema, 'lists of shortcuts', 20).exactOptional(),
  devices: listOf(deviceSchema, 'devices', 20).default([KEYBOARD]),
  /** How much commands are needed when keys are suggested; wanted where nothing is said. */
  marks: listOf(fields({ command: keyCommandSchema, mark: oneOf(MARKS) }), 'marks').default([]),
}).superRefine(({ layers, bundles, devices, taken }, context) => {
  for (const [path, list] of Object.entries({ layers, bundles, devices, taken: taken ?? [] })) {
    list.forEach(({ id }, i) => {
      if (list.findIndex((other) => other.id === id) === i) return;
      const message = `an id that no other of the ${path} has`;
      context.addIssue({ code: 'custom', path: [path, i, 'id'], message });
    });
  }
});
export type Keys = z.output<typeof keysSchema>;
