import { serverSettingsSchema, type ServerSettings } from '@sorn/api';
import { read } from '@sorn/core/values';
import { eq } from 'drizzle-orm';
import type { LibSQLDatabase } from 'drizzle-orm/libsql';
import { settings } from './schema.ts';
import { untilAnswered } from './unanswered.ts';

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
      await untilAnswered(() =>
        db
          .insert(settings)
          .values({ name: NAME, value })
          .onConflictDoUpdate({ target: settings.name, set: { value } }),
      );
    },
  };
}
