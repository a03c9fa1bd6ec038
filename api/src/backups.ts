import { fields, flagField, textOf, whole } from '@sorn/core/values';
import { z } from 'zod';
import { momentField, revisionField } from './profiles.ts';
import { route } from './route.ts';

/** Why a backup was made. */
export const BACKUP_REASONS = ['start', 'asked', 'before-restore', 'before-delete'] as const;

const backupFileSchema = fields({
  name: z.string(),
  why: z.enum(BACKUP_REASONS),
  madeAt: momentField,
  bytes: z.int(),
});
/** A backup in the server's folder. */
export type BackupFile = z.output<typeof backupFileSchema>;

const backupListSchema = fields({
  /** Newest first. */
  backups: z.array(backupFileSchema),
  folder: z.string(),
  /** How many are kept, in words. */
  rule: z.string(),
});

const stateSchema = fields({ revision: revisionField, savedAt: momentField });
const replacedSchema = fields({
  id: z.string(),
  name: z.string(),
  here: stateSchema.nullable(),
  backup: fields({ ...stateSchema.shape, revisions: z.int() }).nullable(),
  /** The present state here and the newest in the backup are the same. */
  isSame: flagField,
});
/** What a restore would do to one profile, or what it has done. */
export type Replaced = z.output<typeof replacedSchema>;

const restoringSchema = fields({ madeAt: momentField, profiles: z.array(replacedSchema) });
export type Restoring = z.output<typeof restoringSchema>;

/** What is set for the server itself, for all profiles. */
export const serverSettingsSchema = fields({
  /** How many backups made at a start are kept, the newest; 0: none is made. */
  backupsAtStart: whole(0, 100).default(5),
});
export type ServerSettings = z.output<typeof serverSettingsSchema>;

/** Which backup of the folder is meant; a backup itself is sent as application/zip. */
const byName = fields({ backup: textOf(200) });

export const BACKUPS = {
  /** Everything in one file. */
  download: route('GET', '/backup'),
  list: route('GET', '/backups', { answer: backupListSchema }),
  make: route('POST', '/backups', { answer: fields({ name: z.string() }) }),
  /** One of the folder, as a file. */
  file: route('GET', '/backups/:name'),
  checkRestore: route('POST', '/restore/check', { body: byName, answer: restoringSchema }),
  restore: route('POST', '/restore', {
    body: byName,
    // The name of the backup of what was there before.
    answer: fields({ ...restoringSchema.shape, before: z.string() }),
  }),
} as const;

export const SETTINGS = {
  read: route('GET', '/settings', { answer: serverSettingsSchema }),
  save: route('PUT', '/settings', { body: serverSettingsSchema, answer: serverSettingsSchema }),
} as const;
