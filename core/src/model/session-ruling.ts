import { z } from 'zod';
import { fields, idField, listOf, oneOf } from '../values/fields.ts';
import { HELD, titleField } from '../values/window.ts';
import { SETTINGS, type Setting } from './rule.ts';

const settingField = oneOf(SETTINGS as readonly [Setting, ...Setting[]]);

/** One setting that a rule gave a window: which rule, what it was, and the conditions that matched. */
const gaveField = fields({
  /** Left out where not a rule, but the list of what opens at the start says it. */
  rule: idField.exactOptional(),
  value: titleField,
  because: titleField,
});

/** What rules decided of a window, and what was there when they were asked last. */
export const ruledField = fields({
  title: titleField.exactOptional(),
  desk: titleField,
  monitor: idField,
  workspace: idField,
  gave: z.partialRecord(settingField, gaveField, { error: 'rules by setting' }),
  /** Where it was, and how it was held, before a rule that was asked again took it: it returns when that is over. */
  from: fields({
    workspace: idField,
    monitor: idField,
    /** The workspace it was taken to: one that was moved on by key since stays. */
    to: idField,
    /** Its position in the order. */
    at: z.int().min(0),
    held: oneOf(HELD),
  }).exactOptional(),
  /** Settings that the window says itself, which no rule decides. */
  itself: listOf(settingField, 'settings').exactOptional(),
});
export type Ruled = z.output<typeof ruledField>;
