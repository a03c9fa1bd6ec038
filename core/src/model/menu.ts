import { z } from 'zod';
import { commandSchema } from '../commands/command.ts';
import { definitionOf } from '../commands/registry.ts';
import { fields, idField, listOf, textField } from '../values/fields.ts';

/** The most entries of a menu: one for each letter and digit. */
const MOST_ENTRIES = 36;

const LETTER = 'a capital letter or a digit';
const entryField = fields({
  /** The letter or digit that takes it, as a capital. */
  letter: z.string({ error: LETTER }).regex(/^[A-Z0-9]$/, { error: LETTER }),
  command: commandSchema.refine(
    ({ command }) => {
      const { lasts, hasFixedKeys } = definitionOf(command);
      return !lasts && !hasFixedKeys;
    },
    { error: 'a command that a key can be given and that does not last while it is down' },
  ),
});

/** A list of commands by letter, opened over the sheet by one key. */
export const menuSchema = fields({
  id: idField,
  name: textField.exactOptional(),
  entries: listOf(entryField, 'entries', MOST_ENTRIES).default([]),
}).superRefine(({ entries }, context) => {
  entries.forEach(({ letter }, i) => {
    if (entries.findIndex((other) => other.letter === letter) === i) return;
    const message = 'a letter that no other entry of the menu has';
    context.addIssue({ code: 'custom', path: ['entries', i, 'letter'], message });
  });
});
export type Menu = z.output<typeof menuSchema>;
