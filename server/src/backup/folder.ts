import { open, mkdir, readdir, readFile, rename, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';

/** Why a backup was made. */
export type Why = 'start' | 'asked' | 'before-restore' | 'before-delete';

interface BackupFile {
  name: string;
  why: Why;
  madeAt: string;
  bytes: number;
}

const NAME =
  /^sorn-(\d{4}-\d\d-\d\dT\d\d-\d\d-\d\d-\d{3}Z)-(start|asked|before-restore|before-delete)\.zip$/;

/** The folder beside the database in which backups lie. */
export interface BackupFolder {
  path: string;
  /** Newest first. */
  list: () => Promise<BackupFile[]>;
  read: (name: string) => Promise<Uint8Array | null>;
  /** Writes a backup, whole or not at all, and tells its name. */
  write: (bytes: Uint8Array, why: Why, madeAt: Date) => Promise<string>;
  /** Keeps only the newest of those made at a start. */
  keepNewest: (most: number) => Promise<void>;
}

export function backupFolder(path: string): BackupFolder {
  async function list(): Promise<BackupFile[]> {
    const names = await readdir(path).catch((): string[] => []);
    const files = names.flatMap((name) => {
      const [, at, why] = NAME.exec(name) ?? [];
      return at === undefined ? [] : [{ name, why: why as Why, madeAt: isoOf(at) }];
    });
    const sized = files.map(async (file) => {
      const { size } = await stat(join(path, file.name));
      return { ...file, bytes: size };
    });
    return (await Promise.all(sized)).sort((a, b) => (a.madeAt < b.madeAt ? 1 : -1));
  }

  return {
    path,
    list,
    async read(name) {
      return NAME.test(name) ? await readFile(join(path, name)).catch(() => null) : null;
    },
    async write(bytes, why, madeAt) {
      await mkdir(path, { recursive: true });
      const name = `sorn-${madeAt.toISOString().replace(/[:.]/g, '-')}-${why}.zip`;
      await writeWhole(join(path, name), bytes);
      return name;
    },
    async keepNewest(most) {
      const made = (await list()).filter(({ why }) => why === 'start');
      for (const { name } of made.slice(most)) await rm(join(path, name), { force: true });
    },
  };
}

const isoOf = (at: string) => at.replace(/T(\d\d)-(\d\d)-(\d\d)-(\d{3})Z/, 'T$1:$2:$3.$4Z');

/** Writes a file beside its place first and then puts it there: whoever reads finds all of it or none. */
export async function writeWhole(path: string, bytes: Uint8Array | string): Promise<void> {
  const beside = `${path}.part-${process.pid}`;
  const file = await open(beside, 'w');
  try {
    await file.writeFile(bytes);
    await file.sync();
  } finally {
    await file.close();
  }
  await rename(beside, path);
}
