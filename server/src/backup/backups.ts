import type { LibSQLDatabase } from 'drizzle-orm/libsql';
import { isBackupOf, openArchive, packBackup, readBackup, type Backup } from './archive.ts';
import {
  ChangedMeanwhile,
  newestOf,
  readContent,
  replaceContent,
  type Content,
} from './content.ts';
import type { BackupFolder, Why } from './folder.ts';

/** What a restore would do to one profile. */
interface Replaced {
  id: string;
  name: string;
  here: { revision: number; savedAt: string } | null;
  backup: { revision: number; savedAt: string; revisions: number } | null;
  /** The present state here and the newest in the backup are the same. */
  isSame: boolean;
}

export interface Restoring {
  madeAt: string;
  profiles: Replaced[];
}

export interface Backups {
  /** Everything in one file, as it is now. */
  make: () => Promise<Uint8Array>;
  /** The same, kept in the folder; tells its name. */
  keep: (why: Why) => Promise<string>;
  /** What a restore would replace. Throws BadBackup for what is none. */
  compare: (bytes: Uint8Array) => Promise<Restoring>;
  /** Puts a backup in the place of everything, after keeping that as a backup, whose name is told. */
  restore: (bytes: Uint8Array) => Promise<{ before: string } & Restoring>;
}

/** Makes backups of a database, and restores them. */
export function backupsOf(
  db: LibSQLDatabase,
  folder: BackupFolder,
  now: () => Date = () => new Date(),
): Backups {
  const pack = (content: Content) => packBackup(content, now().toISOString());
  async function kept(content: Content, why: Why): Promise<string> {
    const bytes = pack(content);
    // What cannot be read back is no backup.
    openArchive(bytes);
    return folder.write(bytes, why, now());
  }
  const compared = async ({ madeAt, content }: Backup): Promise<Restoring> => ({
    madeAt,
    profiles: replacements(await readContent(db), content),
  });
  return {
    make: async () => pack(await readContent(db)),
    keep: async (why) => kept(await readContent(db), why),
    compare: (bytes) => compared(readBackup(bytes)),
    async restore(bytes) {
      const backup = readBackup(bytes);
      for (;;) {
        const restoring = await compared(backup);
        const present = await readContent(db);
        const before = await kept(present, 'before-restore');
        try {
          await replaceContent(db, present, backup.content, now().toISOString());
          return { before, ...restoring };
        } catch (error) {
          // Somebody saved since: what they saved belongs into the backup of before.
          if (!(error instanceof ChangedMeanwhile)) throw error;
        }
      }
    },
  };
}

function replacements(present: Content, kept: Content): Replaced[] {
  const [here, there] = [newestOf(present.revisions), newestOf(kept.revisions)];
  const ids = [...new Set([...there, ...here].map(({ profile }) => profile))].sort();
  return ids.map((id) => {
    const own = here.find(({ profile }) => profile === id);
    const other = there.find(({ profile }) => profile === id);
    const count = kept.revisions.filter(({ profile }) => profile === id).length;
    return {
      id,
      name: (other ?? own)!.name,
      here: own ? { revision: own.number, savedAt: own.savedAt } : null,
      backup: other ? { revision: other.number, savedAt: other.savedAt, revisions: count } : null,
      isSame: own !== undefined && own.content === other?.content,
    };
  });
}

/** A backup at a start, where it is wished for and anything changed since the last one; the oldest go. */
export async function backupAtStart(
  db: LibSQLDatabase,
  folder: BackupFolder,
  most: number,
): Promise<void> {
  if (most === 0) return;
  const content = await readContent(db);
  if (content.revisions.length === 0) return;
  const [last] = (await folder.list()).filter(({ why }) => why === 'start');
  const bytes = last && (await folder.read(last.name));
  if (bytes && isBackupOf(bytes, content)) return;
  await backupsOf(db, folder).keep('start');
  await folder.keepNewest(most);
}
