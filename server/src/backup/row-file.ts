import { ownTextSchema } from '@sorn/core/files';
import { profileSchema, sessionSchema } from '@sorn/core/model';
import { fields, read, textOf as textFieldOf, whole as wholeNumber } from '@sorn/core/values';
import { z } from 'zod';
import { BadBackup } from './bad-backup.ts';
import type { Row } from './content.ts';

export const REVISION_FILE = /^revisions\/([a-z0-9-]{1,60})\/([1-9]\d{0,15})\.json$/;
export const SESSION_FILE = /^sessions\/([a-z0-9-]{1,60})\.json$/;

const numberField = wholeNumber(1, Number.MAX_SAFE_INTEGER);
const timeField = z.iso.datetime({
  error: 'a time in ISO 8601, UTC, like 2026-01-31T08:30:00.000Z',
});
const revisionSchema = fields({
  savedAt: timeField,
  label: textFieldOf(80).exactOptional(),
  profile: profileSchema,
  text: ownTextSchema.exactOptional(),
});
const sessionFileSchema = fields({
  number: numberField,
  savedAt: timeField,
  session: sessionSchema,
});

interface RevisionFile {
  savedAt: string;
  label?: string;
  profile: { name?: string };
  text?: unknown;
}
interface SessionFile {
  number: number;
  savedAt: string;
  session: unknown;
}

/**
 * The row that a file of a backup is restored as: with what the file says, in the version it was written in.
 * @param isChecked whether it is known to be what its schema asks for
 * @throws BadBackup
 */
export function checkedRow(name: string, value: unknown, isChecked: boolean): Row {
  const [, profile = '', number = ''] = REVISION_FILE.exec(name) ?? SESSION_FILE.exec(name) ?? [];
  if (!profile) throw new BadBackup(`${name} is none of a backup’s files`);
  if (number !== '' && !numberField.safeParse(Number(number)).success)
    throw new BadBackup(`${name}: ${number} is no number of a revision`);
  if (!isChecked) {
    const result = read(number === '' ? sessionFileSchema : revisionSchema, value);
    if (!result.ok) {
      const { path, found, expected } = result.faults[0]!;
      throw new BadBackup(`${name}: ${path || 'the file'}: ${found}; expected ${expected}`);
    }
  }
  if (number === '') {
    const { number: at, savedAt, session } = value as SessionFile;
    return { kind: 'session', profile, number: at, savedAt, content: JSON.stringify(session) };
  }
  const { savedAt, label, profile: kept, text } = value as RevisionFile;
  return {
    kind: 'revision',
    profile,
    number: Number(number),
    name: kept.name ?? 'Untitled',
    savedAt,
    content: JSON.stringify(kept),
    label: label ?? null,
    ownText: text === undefined ? null : JSON.stringify(text),
  };
}
