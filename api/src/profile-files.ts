import { profileSchema, type Profile } from '@sorn/core/model';
import { fields, textOf } from '@sorn/core/values';
import { z } from 'zod';
import { momentField } from './profiles.ts';
import { route } from './route.ts';

// An interface has a name: the whole type of a profile would be written into the type of each route.
/* eslint-disable @typescript-eslint/no-empty-object-type */
interface AnyProfile extends Profile {}
/* eslint-enable @typescript-eslint/no-empty-object-type */
const profileField: z.ZodType<AnyProfile> = profileSchema;

const faultSchema = fields({
  file: z.string(),
  /** Counted from 1, as the column. */
  line: z.int(),
  column: z.int(),
  /** The line itself. */
  excerpt: z.string(),
  message: z.string(),
});

const conflictSchema = fields({
  path: z.array(z.string()),
  base: z.unknown(),
  mine: z.unknown(),
  theirs: z.unknown(),
});

/** How a file is in which a profile lives. */
export const profileFileStateSchema = fields({
  /** As it is told: ~/desk.yaml. */
  path: z.string(),
  /** The profile's id; null while the file was never a profile. */
  profile: z.string().nullable(),
  /** It was kept in the page, and can be let go there; else it was named at the start. */
  isKept: z.boolean(),
  state: z.enum([
    'waits',
    'same',
    'faults',
    'conflicts',
    'asks',
    'gone',
    'unreadable',
    'too-large',
    'not-written',
    'deleted',
    'released',
  ]),
  at: momentField,
  /** Why it cannot be read or written. */
  because: z.string().exactOptional(),
  faults: z.array(faultSchema).exactOptional(),
  /** Edits here and in the file that do not go together: mine is what is saved here. */
  conflicts: z.array(conflictSchema).exactOptional(),
  /** What the file says, and what both began from. */
  theirs: profileField.exactOptional(),
  base: profileField.nullable().exactOptional(),
  /** Files that would lose comments. */
  anew: z.array(z.string()).exactOptional(),
});
export type ProfileFileState = z.output<typeof profileFileStateSchema>;

const fileListSchema = fields({
  files: z.array(profileFileStateSchema),
  /** Folders in which a profile may be kept. */
  folders: z.array(z.string()),
});
export type ProfileFileList = z.output<typeof fileListSchema>;

/** Profiles that live in files. */
export const FILES = {
  list: route('GET', '/files', { answer: fileListSchema }),
  keep: route('POST', '/profiles/:id/file', {
    body: fields({ path: textOf(4_000) }),
    answer: profileFileStateSchema,
  }),
  release: route('DELETE', '/profiles/:id/file'),
  /** Which of the two is taken for each conflict, by what the conflict is known by. */
  decide: route('POST', '/profiles/:id/file/decide', {
    body: fields({ decided: z.record(z.string(), z.enum(['mine', 'theirs'])) }),
    answer: profileFileStateSchema,
  }),
  writeAnew: route('POST', '/profiles/:id/file/write-anew', { answer: profileFileStateSchema }),
} as const;
