import { integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** Every saved state of every profile. A profile's present state is its highest revision. */
export const revisions = sqliteTable(
  'revisions',
  {
    profile: text('profile').notNull(),
    number: integer('number').notNull(),
    name: text('name').notNull(),
    savedAt: text('saved_at').notNull(),
    /** The profile file, JSON. */
    content: text('content').notNull(),
  },
  (table) => [primaryKey({ columns: [table.profile, table.number] })],
);

/** The running desk kept with each profile. */
export const sessions = sqliteTable('sessions', {
  profile: text('profile').primaryKey(),
  number: integer('number').notNull(),
  savedAt: text('saved_at').notNull(),
  /** The session file, JSON. */
  content: text('content').notNull(),
});
