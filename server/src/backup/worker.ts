import { workerData } from 'piscina';
import { openPlace, type DataPlace } from '../storage/connection.ts';
import { working } from '../threads/answer.ts';
import type { Why } from './folder.ts';
import { backupAtStart, compareBackup, keepBackup, makeBackup, restoreBackup } from './work.ts';

/** What the thread of backups can be asked for. */
export type BackupAsked =
  | { kind: 'make' | 'compare' | 'restore'; path: string }
  | { kind: 'keep'; why: Why }
  | { kind: 'at-start'; most: number };

const { place, folder } = workerData as { place: DataPlace; folder: string };

export default working(async (asked: BackupAsked): Promise<unknown> => {
  const client = await openPlace(place);
  const where = { client, folder, now: () => new Date() };
  try {
    switch (asked.kind) {
      case 'make':
        return await makeBackup(where, asked.path);
      case 'keep':
        return await keepBackup(where, asked.why);
      case 'compare':
        return await compareBackup(where, asked.path);
      case 'restore':
        return await restoreBackup(where, asked.path);
      case 'at-start':
        return await backupAtStart(where, asked.most);
    }
  } finally {
    client.close();
  }
});
