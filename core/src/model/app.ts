import { z } from 'zod';
import {
  between,
  fields,
  idField,
  listOf,
  neededText,
  oneOf,
  textField,
} from '../values/fields.ts';
import { hintFields, KINDS, titleField } from '../values/window.ts';
import { triggerField } from '../values/trigger.ts';
import { shortcutsField } from './keys.ts';
import { settingFields } from './rule.ts';

const MATCH = 'a name, or a pattern with * and ?';
/** The whole of a name, in any case; * and ? stand for any characters and any one. */
const matchField = neededText(MATCH);

const LINE = 'text of at most 4000 characters';

/** One more kind of window of an app, beside its own: a dialog of it, or a tool window. */
export const appWindowSchema = fields({
  title: neededText('a title of 1 to 20000 characters', 20_000),
  kind: oneOf(KINDS).default('normal'),
  /** The app whose window it stands over; its own where it is a dialog and nothing is said. */
  parent: idField.exactOptional(),
  ...hintFields,
});

export const appSchema = fields({
  id: idField,
  name: textField.exactOptional(),
  /** Two capitals for its balloon on the sheet. */
  balloon: z
    .string({ error: 'one or two characters' })
    .regex(/^\S{1,2}$/u, { error: 'one or two characters' })
    .exactOptional(),
  /** Hue of the balloon's outline, in degrees. */
  hue: between(0, 360, 'degrees').exactOptional(),
  letter: z
    .string({ error: 'one letter, A to Z' })
    .regex(/^[A-Z]$/, { error: 'one letter, A to Z' })
    .exactOptional(),
  title: titleField.exactOptional(),
  kind: oneOf(KINDS).default('normal'),
  /** The app whose window its own windows stand over. */
  parent: idField.exactOptional(),
  ...hintFields,
  /** Further kinds of window that it opens. */
  windows: listOf(appWindowSchema, 'windows').exactOptional(),
  /** Keys it takes for itself while it has the focus. */
  shortcuts: shortcutsField.exactOptional(),
  /** It keeps all keys for itself while it has the focus, but for these; it does not where left out. */
  keepsAllBut: listOf(triggerField, 'keys').exactOptional(),
  /** By what a real desktop knows its windows; its id or name where left out. */
  match: listOf(
    fields({
      class: matchField.exactOptional(),
      process: matchField.exactOptional(),
      title: matchField.exactOptional(),
    }).refine((match) => Object.keys(match).length > 0, {
      error: 'at least one of class, process and title',
    }),
    'ways to know it',
    20,
  ).exactOptional(),
  /** Name of its icon. */
  icon: textField.exactOptional(),
  /** The command line that would open it: kept as text, never run. */
  exec: z.string({ error: LINE }).max(4_000, { error: LINE }).exactOptional(),
});
export type App = z.output<typeof appSchema>;
export type AppWindow = z.output<typeof appWindowSchema>;

/** An app to open at the start, and where its window goes; what is left out is up to the rules. */
export const startSchema = fields({ app: idField, ...settingFields });
export type Start = z.output<typeof startSchema>;
