import { fields, read, whole as wholeNumber } from '@sorn/core/values';
import { eq } from 'drizzle-orm';
import type { LibSQLDatabase } from 'drizzle-orm/libsql';
import { settings } from './schema.ts';

/** What is set for the server itself, for all profiles. */
export const serverSettingsSchema = fields({
  /** How many backups made at a start are kept, the newest; 0: none is made. */
  backupsAtStart: wholeNumber(0, 100).default(5),
});
type ServerSettings = ReturnType<typeof serverSettingsSchema.parse>;

const NAME = 'server';

/** The settings as they are kept; the defaults where none are, or what is kept cannot be read. */
export interface Settings {
  read: () => Promise<ServerSettings>;
  save: (next: ServerSettings) => Promise<void>;
}

export function settingsIn(db: LibSQLDatabase): Settings {
  return {
    async read() {
      const [row] = await db.select().from(settings).where(eq(settings.name, NAME));
      const kept = read(serverSettingsSchema, row ? JSON.parse(row.value) : {});
      return kept.ok ? kept.value : serverSettingsSchema.parse({});
    },
    async save(next) {
      const value = JSON.stringify(next);
      await db
        .insert(settings)
        .values({ name: NAME, value })
        .onConflictDoUpdate({ target: settings.name, set: { value } });
    },
  };
}
