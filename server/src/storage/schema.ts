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
    /** The name a person gave to this state; one with a name is never dropped. */
    label: text('label'),
    /** What the person wrote as text, JSON: {format, content}. */
    ownText: text('own_text'),
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

/** Settings of the server itself. */
export const settings = sqliteTable('settings', {
  name: text('name').primaryKey(),
  /** JSON. */
  value: text('value').notNull(),
});
