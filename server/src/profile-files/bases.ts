import { profileSchema, type Profile } from '@sorn/core/model';
import { read } from '@sorn/core/values';
import { eq, like } from 'drizzle-orm';
import type { LibSQLDatabase } from 'drizzle-orm/libsql';
import { settings } from '../storage/schema.ts';
import { untilAnswered } from '../storage/unanswered.ts';

/** What a file and its profile were when they were the same last. */
export interface FileBase {
  /** The profile's id. */
  id: string;
  profile: Profile;
  /** Kept in the page: it is taken up again at the next start without being named. */
  isKept: boolean;
}

/** Where it is kept what files and their profiles were when they were the same last. */
export interface FileBases {
  read: (path: string) => Promise<FileBase | null>;
  save: (path: string, base: FileBase) => Promise<void>;
  drop: (path: string) => Promise<void>;
  /** The files that are to be taken up without being named. */
  kept: () => Promise<string[]>;
}

/**
 * @param machine the host name of this machine, where several share the database: a path means another file on each
 */
export function fileBasesIn(db: LibSQLDatabase, machine?: string): FileBases {
  const prefix = machine === undefined ? 'file ' : `file of ${machine} `;
  const parsed = (value: string): FileBase | null => {
    const { id, profile, isKept } = JSON.parse(value) as FileBase;
    const known = read(profileSchema, profile);
    return known.ok ? { id, profile: known.value, isKept } : null;
  };
  return {
    async read(path) {
      const [row] = await db
        .select()
        .from(settings)
        .where(eq(settings.name, prefix + path));
      return row ? parsed(row.value) : null;
    },
    async save(path, base) {
      const value = JSON.stringify(base);
      await untilAnswered(() =>
        db
          .insert(settings)
          .values({ name: prefix + path, value })
          .onConflictDoUpdate({ target: settings.name, set: { value } }),
      );
    },
    async drop(path) {
      await db.delete(settings).where(eq(settings.name, prefix + path));
    },
    async kept() {
      const rows = await db
        .select()
        .from(settings)
        .where(like(settings.name, `${prefix}%`));
      return rows.flatMap(({ name, value }) =>
        parsed(value)?.isKept === true ? [name.slice(prefix.length)] : [],
      );
    },
  };
}
