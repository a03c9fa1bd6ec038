import type { ProfileSummary, Saved } from '@sorn/api';
import type { OwnText } from '@sorn/core/files';
import type { Profile, SessionInput } from '@sorn/core/model';
import { and, desc, eq, max, sql } from 'drizzle-orm';
import type { LibSQLDatabase } from 'drizzle-orm/libsql';
import { databaseCode } from './database-code.ts';
import { freeSlug } from './free-slug.ts';
import { revisions, sessions } from './schema.ts';
import { untilAnswered } from './unanswered.ts';

/** Something kept, as JSON, with the number of its state and when that was saved. */
interface StoredRow<T = string> {
  content: T;
  revision: number;
  savedAt: string;
}

/** A profile with what the person wrote as text, where they did. */
export interface StoredText extends StoredRow {
  text?: OwnText;
  label?: string;
}

/** A save or delete that was based on another state than the present one. */
export interface Stale {
  stale: true;
  present: number;
}

export interface Store {
  list: () => Promise<ProfileSummary[]>;
  /** The text where a person wrote it. */
  create: (profile: Profile, session?: SessionInput, text?: OwnText) => Promise<ProfileSummary>;
  /** The number of the present state; null where there is no such profile. */
  revisionOf: (id: string) => Promise<number | null>;
  readProfile: (id: string) => Promise<StoredText | null>;
  /** The text is that of the base where none is given. */
  saveProfile: (
    id: string,
    profile: Profile,
    base: number,
    text?: OwnText,
  ) => Promise<Saved | Stale | null>;
  remove: (id: string, base: number) => Promise<'removed' | Stale | null>;
  /** Revision 0 and no content while none was saved. */
  readSession: (id: string) => Promise<StoredRow<string | null> | null>;
  saveSession: (id: string, session: SessionInput, base: number) => Promise<Saved | Stale | null>;
}

const FIRST = 1;
const MOST_TRIES = 20;

/**
 * Keeps profiles and sessions in the database. Each save is one transaction: done whole or not at all. A save whose answer is lost
 * on the way from a shared store is looked for, and done again where it did not arrive: never twice.
 */
export function storeIn(db: LibSQLDatabase, now: () => Date = () => new Date()): Store {
  const timestamp = () => now().toISOString();

  async function presentRevision(id: string): Promise<number | null> {
    const [row] = await db
      .select({ number: max(revisions.number) })
      .from(revisions)
      .where(eq(revisions.profile, id));
    return row?.number ?? null;
  }

  /** True where a state is the one that was saved here, by its time and what it says. */
  async function isOwn(id: string, number: number, savedAt: string, content: string) {
    const [row] = await db
      .select({ savedAt: revisions.savedAt, content: revisions.content })
      .from(revisions)
      .where(and(eq(revisions.profile, id), eq(revisions.number, number)));
    return row?.savedAt === savedAt && row.content === content;
  }

  async function createAs(
    id: string,
    profile: Profile,
    session?: SessionInput,
    text?: OwnText,
  ): Promise<ProfileSummary> {
    const savedAt = timestamp();
    const content = JSON.stringify(profile);
    const insert = db.insert(revisions).values({
      profile: id,
      number: FIRST,
      name: profile.name,
      savedAt,
      content,
      ...(text && { ownText: JSON.stringify(text) }),
    });
    await untilAnswered(async (isAgain) => {
      try {
        if (session) {
          const its = JSON.stringify(session);
          await db.batch([
            insert,
            db.insert(sessions).values({ profile: id, number: FIRST, savedAt, content: its }),
          ]);
        } else {
          await insert;
        }
      } catch (error) {
        // The first try had arrived.
        const isTaken = isAgain && databaseCode(error).startsWith('SQLITE_CONSTRAINT');
        if (!isTaken || !(await isOwn(id, FIRST, savedAt, content))) throw error;
      }
    });
    return { id, name: profile.name, revision: FIRST, savedAt };
  }

  return {
    async list() {
      const newest = db
        .select({ profile: revisions.profile, number: max(revisions.number).as('newest') })
        .from(revisions)
        .groupBy(revisions.profile)
        .as('newest_revisions');
      const rows = await db
        .select({
          id: revisions.profile,
          name: revisions.name,
          revision: revisions.number,
          savedAt: revisions.savedAt,
        })
        .from(revisions)
        .innerJoin(
          newest,
          and(eq(revisions.profile, newest.profile), eq(revisions.number, newest.number)),
        )
        .orderBy(desc(revisions.savedAt));
      return rows;
    },

    async create(profile, session, text) {
      for (let tries = 1; ; tries++) {
        try {
          const id = await freeSlug(
            profile.name,
            async (slug) => (await presentRevision(slug)) !== null,
          );
          return await createAs(id, profile, session, text);
        } catch (error) {
          // Another server took the name between the question and the answer.
          if (tries === MOST_TRIES || !databaseCode(error).startsWith('SQLITE_CONSTRAINT'))
            throw error;
        }
      }
    },

    revisionOf: presentRevision,

    async readProfile(id) {
      const [row] = await db
        .select()
        .from(revisions)
        .where(eq(revisions.profile, id))
        .orderBy(desc(revisions.number))
        .limit(1);
      return row ? keptProfile(row) : null;
    },

    async saveProfile(id, profile, base, text) {
      const savedAt = timestamp();
      const ownText = text ? JSON.stringify(text) : null;
      const content = JSON.stringify(profile);
      return untilAnswered(async (isAgain) => {
        // One statement: the base is compared and the revision written with nothing in between.
        const result = await db.run(sql`
        INSERT INTO revisions (profile, number, name, saved_at, content, own_text)
        SELECT ${id}, ${base + 1}, ${profile.name}, ${savedAt}, ${content},
          coalesce(${ownText}, own_text)
        FROM revisions
        WHERE profile = ${id} AND number = ${base}
          AND (SELECT max(number) FROM revisions WHERE profile = ${id}) = ${base}`);
        if (result.rowsAffected === 1) return { revision: base + 1, savedAt };
        if (isAgain && (await isOwn(id, base + 1, savedAt, content)))
          return { revision: base + 1, savedAt };
        const present = await presentRevision(id);
        return present === null ? null : { stale: true, present };
      });
    },

    async remove(id, base) {
      const isBase = sql`(SELECT max(number) FROM revisions WHERE profile = ${id}) = ${base}`;
      return untilAnswered(async (isAgain) => {
        const [, removed] = await db.batch([
          db.delete(sessions).where(and(eq(sessions.profile, id), isBase)),
          db.delete(revisions).where(and(eq(revisions.profile, id), isBase)),
        ]);
        if (removed.rowsAffected > 0) return 'removed';
        const present = await presentRevision(id);
        if (present === null) return isAgain ? 'removed' : null;
        return { stale: true, present };
      });
    },

    async readSession(id) {
      const [row] = await db.select().from(sessions).where(eq(sessions.profile, id));
      if (row) return { content: row.content, revision: row.number, savedAt: row.savedAt };
      const present = await presentRevision(id);
      return present === null ? null : { content: null, revision: 0, savedAt: '' };
    },

    async saveSession(id, session, base) {
      const savedAt = timestamp();
      const content = JSON.stringify(session);
      return untilAnswered(async (isAgain) => {
        const result = await db.run(sql`
        INSERT INTO sessions (profile, number, saved_at, content)
        SELECT ${id}, ${base + 1}, ${savedAt}, ${content}
        WHERE EXISTS (SELECT 1 FROM revisions WHERE profile = ${id})
          AND coalesce((SELECT number FROM sessions WHERE profile = ${id}), 0) = ${base}
        ON CONFLICT (profile) DO UPDATE
        SET number = excluded.number, saved_at = excluded.saved_at, content = excluded.content`);
        if (result.rowsAffected === 1) return { revision: base + 1, savedAt };
        const present = await this.readSession(id);
        const isSame = present?.savedAt === savedAt && present.content === content;
        if (isAgain && isSame) return { revision: present.revision, savedAt };
        return present === null ? null : { stale: true, present: present.revision };
      });
    },
  };
}

/** A row of the table of revisions as what it keeps. */
export function keptProfile(row: typeof revisions.$inferSelect): StoredText {
  const { number, savedAt, content, ownText, label } = row;
  return {
    content,
    revision: number,
    savedAt,
    ...(ownText !== null && { text: JSON.parse(ownText) as OwnText }),
    ...(label !== null && { label }),
  };
}
