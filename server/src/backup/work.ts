import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import type { Client } from '@libsql/client';
import type { Replaced, Restoring } from '@sorn/api';
import { digest, openArchive, sumsOf, writeArchive } from './archive.ts';
import { BadBackup } from './bad-backup.ts';
import {
  atOneMoment,
  ChangedMeanwhile,
  replaceAtOnce,
  replaceContent,
  type Moment,
  type RevisionRow,
} from './content.ts';
import { backupFolder, putInPlace, type Why } from './folder.ts';

// What is done with backups. It takes seconds where there is much: the server has it done in a thread of its own.

/** What a restore would do to one profile. */
export interface Where {
  client: Client;
  /** The folder of backups. */
  folder: string;
  now: () => Date;
}

/** How often a restore begins again because somebody saved while it was made ready. */
const MOST_TRIES = 5;

/** Writes everything, as it is now, into one file. */
export async function makeBackup({ client, now }: Where, path: string): Promise<void> {
  await atOneMoment(client, (moment) => written(moment, path, now()));
}

async function written({ rows }: Moment, path: string, at: Date): Promise<void> {
  await putInPlace(path, async (beside) => {
    await writeArchive(beside, rows(), at.toISOString());
    await readBack(beside);
  });
}

/** What cannot be read back is no backup. */
async function readBack(path: string): Promise<void> {
  const archive = await openArchive(path);
  try {
    const rows = archive.rows(true);
    while (!(await rows.next()).done);
  } finally {
    archive.close();
  }
}

/** Keeps everything as a backup in the folder, and tells its name. */
export async function keepBackup(where: Where, why: Why): Promise<string> {
  const name = await atOneMoment(where.client, (moment) => kept(where, moment, why));
  await backupFolder(where.folder).thin();
  return name;
}

async function kept({ folder, now }: Where, moment: Moment, why: Why): Promise<string> {
  const at = now();
  const name = await backupFolder(folder).nameFor(why, at);
  await written(moment, join(folder, name), at);
  return name;
}

/** A backup at a start, where it is wished for and anything changed since the last one; the oldest go. */
export async function backupAtStart(where: Where, most: number): Promise<void> {
  const folder = backupFolder(where.folder);
  await folder.clean();
  if (most > 0) await keepWhereChanged(where);
  await folder.thin(most);
}

async function keepWhereChanged(where: Where): Promise<void> {
  const folder = backupFolder(where.folder);
  await atOneMoment(where.client, async (moment) => {
    if ((await moment.newest()).size === 0) return;
    const [last] = (await folder.list()).filter(({ why }) => why === 'start');
    if (last && (await isBackupOf(join(folder.path, last.name), moment))) return;
    await kept(where, moment, 'start');
  });
}

/** True where a backup has just what there is at a moment. */
async function isBackupOf(path: string, { rows }: Moment): Promise<boolean> {
  try {
    const archive = await openArchive(path);
    archive.close();
    const sums = await sumsOf(rows());
    return (
      sums.size === archive.sums.size &&
      [...sums].every(([name, sum]) => archive.sums.get(name) === sum)
    );
  } catch (error) {
    if (error instanceof BadBackup) return false;
    throw error;
  }
}

/**
 * Tells what a restore would replace.
 * @throws BadBackup for what is none
 */
export async function compareBackup({ client }: Where, path: string): Promise<Restoring> {
  const archive = await openArchive(path);
  try {
    const backup = await newestIn(archive.check);
    return {
      madeAt: archive.madeAt,
      profiles: await atOneMoment(client, (moment) => replacements(moment, backup)),
    };
  } finally {
    archive.close();
  }
}

/** Puts a backup in the place of everything, after keeping that as a backup, whose name is told. */
export async function restoreBackup(
  where: Where,
  path: string,
): Promise<{ before: string } & Restoring> {
  const archive = await openArchive(path);
  try {
    const backup = await newestIn(archive.check);
    for (let tries = 1; ; tries++) {
      const { before, mark, profiles } = await atOneMoment(where.client, async (moment) => ({
        mark: moment.mark,
        profiles: await replacements(moment, backup),
        before: await kept(where, moment, 'before-restore'),
      }));
      try {
        const now = where.now().toISOString();
        const replace = where.client.protocol === 'http' ? replaceAtOnce : replaceContent;
        await replace(where.client, mark, archive.rows(true), backup, now);
      } catch (error) {
        // Nothing was replaced, so that nothing of before has to be kept.
        await rm(join(where.folder, before), { force: true });
        // Somebody saved since: what they saved belongs into the backup of before.
        if (error instanceof ChangedMeanwhile && tries < MOST_TRIES) continue;
        throw error;
      }
      await backupFolder(where.folder).thin();
      return { before, madeAt: archive.madeAt, profiles };
    }
  } finally {
    archive.close();
  }
}

interface NewestInBackup extends Pick<RevisionRow, 'name' | 'number' | 'savedAt'> {
  revisions: number;
  /** SHA-256 of the content. */
  sum: string;
}

/** The newest state of each profile in a backup, of which everything is checked. */
async function newestIn(
  check: (take: (row: { kind: 'session' } | RevisionRow) => void) => Promise<void>,
): Promise<Map<string, NewestInBackup>> {
  const newest = new Map<string, NewestInBackup>();
  await check((row) => {
    if (row.kind === 'session') return;
    const revisions = (newest.get(row.profile)?.revisions ?? 0) + 1;
    const { profile, name, number, savedAt, content } = row;
    newest.set(profile, { name, number, savedAt, revisions, sum: digest(content) });
  });
  return newest;
}

async function replacements(
  moment: Moment,
  backup: ReadonlyMap<string, NewestInBackup>,
): Promise<Replaced[]> {
  const here = await moment.newest();
  const ids = [...new Set([...backup.keys(), ...here.keys()])].sort();
  return Promise.all(
    ids.map(async (id) => {
      const [own, other] = [here.get(id), backup.get(id)];
      return {
        id,
        name: (other ?? own)!.name,
        here: own ? { revision: own.number, savedAt: own.savedAt } : null,
        backup: other
          ? { revision: other.number, savedAt: other.savedAt, revisions: other.revisions }
          : null,
        isSame: own !== undefined && digest(await moment.newestContent(id)) === other?.sum,
      };
    }),
  );
}
