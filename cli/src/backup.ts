import { existsSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import {
  backupFolder,
  BadBackup,
  backupsOf,
  databaseCode,
  openDatabase,
  ownDatabase,
  writeWhole,
  type Restoring,
} from '@sorn/server';
import { BadInput, bytesOf } from './input.ts';

/** `sorn backup`: everything in one file; it may run beside the server. Tells where the file is. */
export async function backupTo(
  file: string | undefined,
  data: string | undefined,
): Promise<string> {
  return withBackups(data, async (backups) => {
    const day = new Date().toISOString().slice(0, 10);
    const path = resolve(file ?? `sorn-${day}.zip`);
    const bytes = await backups.make();
    // What cannot be read back is no backup.
    await backups.compare(bytes);
    await writeWhole(path, bytes);
    return `${path}\n`;
  });
}

/** `sorn restore`: tells what a backup would replace, and with `isMeant` replaces it. */
export async function restoreFrom(
  file: string,
  data: string | undefined,
  isMeant: boolean,
): Promise<string> {
  const bytes = bytesOf(file);
  return withBackups(data, async (backups, folder) => {
    if (!isMeant) {
      const lines = linesOf(await backups.compare(bytes));
      return `${lines.join('\n')}\nNothing is replaced yet: say --yes to do it.\n`;
    }
    const { before, ...restoring } = await backups.restore(bytes);
    const way = join(folder, before);
    return `${linesOf(restoring).join('\n')}\nDone. What was there before is in ${way}\n`;
  });
}

type Made = ReturnType<typeof backupsOf>;

async function withBackups<T>(
  given: string | undefined,
  run: (backups: Made, folder: string) => Promise<T>,
): Promise<T> {
  const data = given ?? ownDatabase(process.env);
  if (!existsSync(data))
    throw new BadInput([
      `${data}: no such database; right would be --data with the one the server names`,
    ]);
  const { db, client } = await openDatabase(data).catch((error: unknown) => {
    throw new BadInput([`${data}: cannot be opened: ${String(error)}`]);
  });
  const folder = join(dirname(data), 'backups');
  try {
    return await run(backupsOf(db, backupFolder(folder)), folder);
  } catch (error) {
    if (error instanceof BadBackup) throw new BadInput(error.lines);
    const code = databaseCode(error);
    if (code)
      throw new BadInput([`${data}: the database refused it (${code}); nothing was changed`]);
    throw error;
  } finally {
    client.close();
  }
}

function linesOf({ madeAt, profiles }: Restoring): string[] {
  const lines = profiles.map(({ id, here, backup, isSame }) => {
    if (isSame) return `same      ${id}`;
    if (!here) return `added     ${id}: revision ${backup!.revision}`;
    if (!backup) return `taken out ${id}: revision ${here.revision} here is not in the backup`;
    return `replaced  ${id}: revision ${here.revision} here, of ${here.savedAt}, by ${backup.revision}, of ${backup.savedAt}`;
  });
  return [`backup    made ${madeAt}`, ...lines];
}
