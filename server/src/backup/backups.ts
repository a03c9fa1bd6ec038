import type { DataPlace } from '../storage/connection.ts';
import { startThread } from '../threads/thread.ts';
import type { Why } from './folder.ts';
import type { Restoring } from '@sorn/api';
import type { BackupAsked } from './worker.ts';

/** Makes backups of a database and restores them, in a thread of its own. */
export interface Backups {
  /** Writes everything, as it is now, into a new file. */
  make: (path: string) => Promise<void>;
  /** The same, kept in the folder; tells its name. */
  keep: (why: Why) => Promise<string>;
  /** What a restore would replace. Throws BadBackup for what is none. */
  compare: (path: string) => Promise<Restoring>;
  /** Puts a backup in the place of everything, after keeping that as a backup, whose name is told. */
  restore: (path: string) => Promise<{ before: string } & Restoring>;
  /** A backup at a start, where anything changed since the last one; of those so many are kept. */
  atStart: (most: number) => Promise<void>;
  end: () => Promise<void>;
}

const IDLE_MS = 60_000;
const MEGABYTES = 80;

/**
 * @param place the database
 * @param folder where backups lie
 */
export function backupsOf(place: DataPlace, folder: string): Backups {
  const thread = startThread<BackupAsked, unknown>('@sorn/server/backup-worker', {
    data: { place, folder },
    idleMs: IDLE_MS,
    megabytes: MEGABYTES,
  });
  const ask = <T>(asked: BackupAsked) => thread.ask(asked) as Promise<T>;
  return {
    make: (path) => ask({ kind: 'make', path }),
    keep: (why) => ask({ kind: 'keep', why }),
    compare: (path) => ask({ kind: 'compare', path }),
    restore: (path) => ask({ kind: 'restore', path }),
    atStart: (most) => ask({ kind: 'at-start', most }),
    end: thread.end,
  };
}
