import type { Backups } from '../backup/backups.ts';
import {
  backupAtStart,
  compareBackup,
  keepBackup,
  makeBackup,
  restoreBackup,
  type Where,
} from '../backup/work.ts';
import { openPlace, type DataPlace } from '../storage/connection.ts';

/** Backups without a thread, which takes a second to start: for tests of what is done, not of where. */
export function backupsHere(place: DataPlace, folder: string): Backups {
  async function having<T>(work: (where: Where) => Promise<T>): Promise<T> {
    const client = await openPlace(place);
    try {
      return await work({ client, folder, now: () => new Date() });
    } finally {
      client.close();
    }
  }
  return {
    make: (path) => having((where) => makeBackup(where, path)),
    keep: (why) => having((where) => keepBackup(where, why)),
    compare: (path) => having((where) => compareBackup(where, path)),
    restore: (path) => having((where) => restoreBackup(where, path)),
    atStart: (most) => having((where) => backupAtStart(where, most)),
    end: () => Promise.resolve(),
  };
}
