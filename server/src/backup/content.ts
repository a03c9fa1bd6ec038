import type { LibSQLDatabase } from 'drizzle-orm/libsql';
import { asc, sql } from 'drizzle-orm';
import { databaseCode } from '../storage/database-code.ts';
import { revisions, sessions } from '../storage/schema.ts';

/** All that the database keeps: every revision of every profile, and every session. */
export interface Content {
  revisions: (typeof revisions.$inferSelect)[];
  sessions: (typeof sessions.$inferSelect)[];
}

/** Everything as it is at one moment, whatever is saved meanwhile. */
export async function readContent(db: LibSQLDatabase): Promise<Content> {
  const [allRevisions, allSessions] = await db.batch([
    db.select().from(revisions).orderBy(asc(revisions.profile), asc(revisions.number)),
    db.select().from(sessions).orderBy(asc(sessions.profile)),
  ]);
  return { revisions: allRevisions, sessions: allSessions };
}

/** How many rows go into one statement. */
const AT_ONCE = 50;

/** Tells one moment of the database from another: every save and every name makes it another. */
function markOf({ revisions: rows, sessions: others }: Content): string {
  const sum = (list: readonly { number: number }[]) =>
    list.reduce((total, { number }) => total + number, 0);
  const named = rows.filter(({ label }) => label !== null).length;
  return [rows.length, sum(rows), named, others.length, sum(others)].join('/');
}

const MARK = sql`(SELECT (SELECT count(*) || '/' || coalesce(sum(number), 0) || '/' || count(label) FROM ${revisions})
  || '/' || (SELECT count(*) || '/' || coalesce(sum(number), 0) FROM ${sessions}))`;

/** Thrown where something was saved between reading what is here and replacing it; nothing is replaced then. */
export class ChangedMeanwhile extends Error {}

/**
 * Puts a content in the place of all that is kept, in one transaction. A profile that is here in another
 * state comes back as a revision beyond both, so that no number ever means two states: a page that was
 * open on it finds that it changed.
 *
 * @param present what is here, as it was read
 * @throws ChangedMeanwhile
 */
export async function replaceContent(
  db: LibSQLDatabase,
  present: Content,
  { revisions: kept, sessions: keptSessions }: Content,
  now: string,
): Promise<void> {
  const again = newestOf(kept).flatMap((newest) => {
    const here = newestOf(present.revisions).find(({ profile }) => profile === newest.profile);
    if (!here || (here.number === newest.number && here.content === newest.content)) return [];
    const number = Math.max(here.number, newest.number) + 1;
    return [{ ...newest, number, savedAt: now, label: null }];
  });
  const beyond = keptSessions.map((session) => {
    const here = present.sessions.find(({ profile }) => profile === session.profile);
    const isSame = !here || (here.number === session.number && here.content === session.content);
    return isSame ? session : { ...session, number: Math.max(here.number, session.number) + 1 };
  });
  // Where the mark is another, this breaks the rule that a value is not null, and with it the transaction.
  const guard = db.run(
    sql`INSERT INTO settings (name, value) SELECT 'guard', NULL WHERE ${MARK} <> ${markOf(present)}`,
  );
  const replacing = db.batch([
    guard,
    db.delete(sessions),
    db.delete(revisions),
    ...slices([...kept, ...again]).map((rows) => db.insert(revisions).values(rows)),
    ...slices(beyond).map((rows) => db.insert(sessions).values(rows)),
  ]);
  await replacing.catch((error: unknown) => {
    throw databaseCode(error).startsWith('SQLITE_CONSTRAINT') ? new ChangedMeanwhile() : error;
  });
}

/** The present state of each profile. */
export function newestOf(rows: Content['revisions']): Content['revisions'] {
  return [...new Map(rows.map((row) => [row.profile, row])).values()];
}

function slices<T>(rows: readonly T[]): T[][] {
  const count = Math.ceil(rows.length / AT_ONCE);
  return Array.from({ length: count }, (_, i) => rows.slice(i * AT_ONCE, (i + 1) * AT_ONCE));
}
