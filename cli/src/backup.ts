import { existsSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import {
  BadBackup,
  BadDatabase,
  compareBackup,
  databaseCode,
  databaseFile,
  makeBackup,
  openConnection,
  openDatabase,
  ownDatabase,
  restoreBackup,
  type Where,
} from '@sorn/server';
import type { Restoring } from '@sorn/api';
import { BadInput } from './input.ts';

/** `sorn backup`: everything in one file; it may run beside the server. Tells where the file is. */
export async function backupTo(
  file: string | undefined,
  data: string | undefined,
): Promise<string> {
  return withDatabase(data, async (where) => {
    const day = where.now().toISOString().slice(0, 10);
    const path = resolve(file ?? `sorn-${day}.zip`);
    await makeBackup(where, path);
    return `${path}\n`;
  });
}

/** `sorn restore`: tells what a backup would replace, and with `isMeant` replaces it. */
export async function restoreFrom(
  file: string,
  data: string | undefined,
  isMeant: boolean,
): Promise<string> {
  if (!existsSync(file)) throw new BadInput([`${file}: no such file; expected a backup`]);
  return withDatabase(data, async (where) => {
    if (!isMeant) {
      const lines = linesOf(await compareBackup(where, file));
      return `${lines.join('\n')}\nNothing is replaced yet: say --yes to do it.\n`;
    }
    const { before, ...restoring } = await restoreBackup(where, file);
    const way = join(where.folder, before);
    return `${linesOf(restoring).join('\n')}\nDone. What was there before is in ${way}\n`;
  });
}

/** Runs work on a database that is there, brought up to date. */
async function withDatabase<T>(
  given: string | undefined,
  run: (where: Where) => Promise<T>,
): Promise<T> {
  const data = given === undefined ? ownDatabase(process.env) : fileIn(given);
  if (!existsSync(data))
    throw new BadInput([
      `${data}: no such database; expected --data with the one the server names`,
    ]);
  try {
    await (await openDatabase(data)).close();
    const client = await openConnection(data);
    try {
      return await run({ client, folder: join(dirname(data), 'backups'), now: () => new Date() });
    } finally {
      client.close();
    }
  } catch (error) {
    if (error instanceof BadBackup) throw new BadInput(error.lines);
    if (error instanceof BadDatabase) throw new BadInput([error.message]);
    const code = databaseCode(error);
    if (code)
      throw new BadInput([`${data}: the database refused it (${code}); nothing was changed`]);
    const { code: onDisk, message } = error as NodeJS.ErrnoException;
    if (onDisk) throw new BadInput([`${message}; nothing was changed`]);
    throw error;
  }
}

function fileIn(data: string): string {
  try {
    return databaseFile(data);
  } catch (error) {
    throw new BadInput([(error as Error).message]);
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
