import { chmod, mkdir, open, readdir, rename, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { BACKUP_REASONS, type BackupFile } from '@sorn/api';

/** Why a backup was made. */
export type Why = BackupFile['why'];

const NAME = new RegExp(
  `^sorn-(\\d{4}-\\d\\d-\\d\\dT\\d\\d-\\d\\d-\\d\\d-\\d{3}Z)-(${BACKUP_REASONS.join('|')})\\.zip$`,
);

/** How many of the backups that are made by themselves before something is replaced or deleted are kept, of each. */
const MOST_BEFORE = 10;
/** What becomes of backups, for the person. */
export const RETENTION_TEXT = `Of the backups made before a restore, and of those made before a profile is deleted, the newest ${MOST_BEFORE} are kept. Those made because you asked stay until you delete the file.`;

/** The folder beside the database in which backups lie. */
export interface BackupFolder {
  path: string;
  /** Newest first. */
  list: () => Promise<BackupFile[]>;
  /** The path of a backup; null where there is none of this name. */
  pathOf: (name: string) => Promise<string | null>;
  /** A free name for a backup that is made now. The folder is there afterwards. */
  nameFor: (why: Why, madeAt: Date) => Promise<string>;
  /** A path in the folder for a file that is under way. */
  pathBeside: (name: string) => Promise<string>;
  /** Deletes the oldest of those made by themselves. */
  thin: (mostAtStart?: number) => Promise<void>;
  /** Deletes what runs that ended in the middle left half written, and makes all there is private. */
  clean: () => Promise<void>;
}

export function backupFolder(path: string): BackupFolder {
  const names = () => readdir(path).catch((): string[] => []);
  const make = () => mkdir(path, { recursive: true, mode: 0o700 });

  async function list(): Promise<BackupFile[]> {
    const files = (await names()).flatMap((name) => {
      const [, at, why] = NAME.exec(name) ?? [];
      return at === undefined ? [] : [{ name, why: why as Why, madeAt: isoOf(at) }];
    });
    const sized = files.map(async (file) => {
      const found = await stat(join(path, file.name)).catch(() => null);
      return found ? [{ ...file, bytes: found.size }] : [];
    });
    return (await Promise.all(sized)).flat().sort((a, b) => (a.madeAt < b.madeAt ? 1 : -1));
  }

  return {
    path,
    list,
    async pathOf(name) {
      return NAME.test(name) && (await names()).includes(name) ? join(path, name) : null;
    },
    async nameFor(why, madeAt) {
      await make();
      const taken = new Set((await names()).map((name) => NAME.exec(name)?.[1]));
      for (let ms = madeAt.getTime(); ; ms++) {
        const at = new Date(ms).toISOString().replace(/[:.]/g, '-');
        if (!taken.has(at)) return `sorn-${at}-${why}.zip`;
      }
    },
    async pathBeside(name) {
      await make();
      return partOf(join(path, name));
    },
    async thin(mostAtStart) {
      const most: Partial<Record<Why, number>> = {
        'before-restore': MOST_BEFORE,
        'before-delete': MOST_BEFORE,
        ...(mostAtStart !== undefined && mostAtStart > 0 && { start: mostAtStart }),
      };
      const files = await list();
      for (const [why, count] of Object.entries(most))
        for (const { name } of files.filter((file) => file.why === why).slice(count))
          await rm(join(path, name), { force: true });
    },
    async clean() {
      const there = await names();
      if (there.length > 0) await chmod(path, 0o700).catch(() => undefined);
      for (const name of there) {
        const [, process] = PART.exec(name) ?? [];
        if (process !== undefined && !isAlive(Number(process)))
          await rm(join(path, name), { force: true });
        else if (NAME.test(name)) await chmod(join(path, name), 0o600).catch(() => undefined);
      }
    },
  };
}

const isoOf = (at: string) => at.replace(/T(\d\d)-(\d\d)-(\d\d)-(\d{3})Z/, 'T$1:$2:$3.$4Z');

const PART = /\.part-(\d+)-\d+$/;
let parts = 0;
const partOf = (path: string) => `${path}.part-${process.pid}-${++parts}`;

function isAlive(pid: number): boolean {
  if (pid === process.pid) return false;
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
}

/**
 * Has a file written beside its place and then puts it there: whoever reads finds all of it or none. What was half
 * written is deleted.
 * @param write writes the file at the path it is given, and onto the disk
 */
export async function putInPlace(
  path: string,
  write: (beside: string) => Promise<void>,
): Promise<void> {
  const beside = partOf(path);
  try {
    await write(beside);
    await rename(beside, path);
    await syncFolderOf(path);
  } catch (error) {
    await rm(beside, { force: true });
    throw error;
  }
}

/** A name is on the disk when its folder is. */
async function syncFolderOf(path: string): Promise<void> {
  const folder = await open(join(path, '..'));
  try {
    await folder.sync();
  } finally {
    await folder.close();
  }
}
