import type { Client, InStatement, Transaction } from '@libsql/client';
import { databaseCode } from '../storage/database-code.ts';
import type { revisions, sessions } from '../storage/schema.ts';

/** A saved state of a profile, as the database keeps it. */
export type RevisionRow = typeof revisions.$inferSelect & { kind: 'revision' };
/** A kept session, likewise. */
type SessionRow = typeof sessions.$inferSelect & { kind: 'session' };
export type Row = RevisionRow | SessionRow;

/** All that the database keeps, as it was at one moment, whatever is saved meanwhile. */
export interface Moment {
  /** A mark of the state of the database: every save and every new name changes it. */
  mark: string;
  /** Every row: revisions by profile and number, then sessions. */
  rows: () => AsyncGenerator<Row>;
  /** The present state of each profile, without what it says, by the profile. */
  newest: () => Promise<Map<string, NewestHere>>;
  /** What the present state of a profile says; empty where there is no such profile. */
  newestContent: (profile: string) => Promise<string>;
}

interface NewestHere {
  name: string;
  number: number;
  savedAt: string;
}

/** How many rows are read in one statement. */
const AT_ONCE = 8;

const MARK = `SELECT (SELECT count(*) || '/' || coalesce(sum(number), 0) || '/' || count(label) FROM revisions)
  || '/' || (SELECT count(*) || '/' || coalesce(sum(number), 0) FROM sessions) AS mark`;

const REVISIONS = `SELECT 'revision' AS kind, profile, number, name, saved_at AS savedAt, content, label,
  own_text AS ownText FROM revisions WHERE (profile, number) > (?, ?) ORDER BY profile, number LIMIT ${AT_ONCE}`;
const SESSIONS = `SELECT 'session' AS kind, profile, number, saved_at AS savedAt, content
  FROM sessions WHERE (profile, 0) > (?, ?) ORDER BY profile LIMIT ${AT_ONCE}`;
const NEWEST = `SELECT profile, number, name, saved_at AS savedAt FROM revisions AS each
  WHERE number = (SELECT max(number) FROM revisions WHERE profile = each.profile) ORDER BY profile`;

const CONTENT = 'SELECT content FROM revisions WHERE profile = ? ORDER BY number DESC LIMIT 1';

/** Looks at everything as it is at one moment. */
export async function atOneMoment<T>(
  client: Client,
  look: (moment: Moment) => Promise<T>,
): Promise<T> {
  const transaction = await client.transaction('read');
  try {
    const mark = await markIn(transaction);
    return await look({
      mark,
      async *rows() {
        yield* rowsBy(transaction, REVISIONS);
        yield* rowsBy(transaction, SESSIONS);
      },
      newest: () => newestIn(transaction),
      async newestContent(profile) {
        const { rows } = await transaction.execute({ sql: CONTENT, args: [profile] });
        return String(rows[0]?.['content'] ?? '');
      },
    });
  } finally {
    transaction.close();
  }
}

async function markIn(transaction: Transaction): Promise<string> {
  const { rows } = await transaction.execute(MARK);
  return String(rows[0]?.['mark']);
}

async function* rowsBy(transaction: Transaction, sql: string): AsyncGenerator<Row> {
  for (let after: [string, number] = ['', 0]; ;) {
    const { rows } = await transaction.execute({ sql, args: after });
    for (const row of rows) yield { ...row } as unknown as Row;
    const last = rows.at(-1) as unknown as Row | undefined;
    if (!last || rows.length < AT_ONCE) return;
    after = [last.profile, last.number];
  }
}

async function newestIn(transaction: Transaction): Promise<Map<string, NewestHere>> {
  const { rows } = await transaction.execute(NEWEST);
  return new Map(
    rows.map((row) => {
      const { profile, ...rest } = row as unknown as NewestHere & { profile: string };
      return [profile, rest];
    }),
  );
}

/** Thrown where something was saved between looking at what is here and replacing it; nothing is replaced then. */
export class ChangedMeanwhile extends Error {}

const ADD_REVISION = `INSERT INTO revisions (profile, number, name, saved_at, content, label, own_text)
  VALUES (?, ?, ?, ?, ?, ?, ?)`;
const ADD_SESSION = 'INSERT INTO sessions (profile, number, saved_at, content) VALUES (?, ?, ?, ?)';

/**
 * Numbers beyond this are no count of saves. They are given anew, so that there is always a next one that a number can
 * be exact for.
 */
const MOST_NUMBER = 1e12;

/** Rows whose profile, or session, has a number beyond all are numbered from 1, in their order. */
async function* renumbered(
  rows: AsyncIterable<Row>,
  newest: ReadonlyMap<string, { number: number }>,
): AsyncGenerator<Row> {
  const counts = new Map<string, number>();
  for await (const row of rows) {
    const { kind, profile, number } = row;
    const most = kind === 'session' ? number : newest.get(profile)!.number;
    if (most <= MOST_NUMBER) {
      yield row;
      continue;
    }
    const key = `${kind} ${profile}`;
    counts.set(key, (counts.get(key) ?? 0) + 1);
    yield { ...row, number: counts.get(key)! };
  }
}

/**
 * All rows that take the place of what is kept. A profile, or session, that is here in another state comes back under a
 * number beyond both, so that no number ever means two states: a page that was open on it finds that it changed.
 *
 * @param beyond the number for a row that takes the place of another state; null where what is here is the same, or nothing is
 */
async function* replacements(
  rows: AsyncIterable<Row>,
  newest: ReadonlyMap<string, { number: number }>,
  beyond: (row: Row) => Promise<number | null>,
  now: string,
): AsyncGenerator<Row> {
  let last: RevisionRow | undefined;
  async function* endProfile(): AsyncGenerator<Row> {
    const number = last ? await beyond(last) : null;
    if (last && number !== null) yield { ...last, number, savedAt: now, label: null };
    last = undefined;
  }
  for await (const row of renumbered(rows, newest)) {
    if (row.kind === 'session' || row.profile !== last?.profile) yield* endProfile();
    if (row.kind === 'session') yield { ...row, number: (await beyond(row)) ?? row.number };
    else {
      yield row;
      last = row;
    }
  }
  yield* endProfile();
}

/** A statement that puts a row where it belongs. */
function adding(row: Row): InStatement {
  const { profile, number, savedAt, content } = row;
  return row.kind === 'session'
    ? { sql: ADD_SESSION, args: [profile, number, savedAt, content] }
    : {
        sql: ADD_REVISION,
        args: [profile, number, row.name, savedAt, content, row.label, row.ownText],
      };
}

/**
 * Puts rows in the place of all that is kept, in one transaction.
 *
 * @param mark of the moment that was kept as a backup
 * @param rows revisions by profile and number, then sessions
 * @param newest the newest number of each profile in them
 * @param now ISO 8601
 * @throws ChangedMeanwhile
 */
export async function replaceContent(
  client: Client,
  mark: string,
  rows: AsyncIterable<Row>,
  newest: ReadonlyMap<string, { number: number }>,
  now: string,
): Promise<void> {
  const transaction = await client.transaction('write');
  try {
    if ((await markIn(transaction)) !== mark) throw new ChangedMeanwhile();
    await rememberPresent(transaction);
    await transaction.batch(['DELETE FROM revisions', 'DELETE FROM sessions']);
    const beyond = (row: Row) => numberBeyond(transaction, row);
    for await (const row of replacements(rows, newest, beyond, now))
      await transaction.execute(adding(row));
    await transaction.commit();
  } finally {
    transaction.close();
  }
}

/** Breaks the batch that it is in where anything was saved since: a setting has a value. */
const GUARD = `INSERT INTO settings (name, value) SELECT 'restore', NULL WHERE (${MARK}) <> ?`;
const PRESENT = `SELECT 'revision' AS kind, profile, number, content FROM revisions AS each
    WHERE number = (SELECT max(number) FROM revisions WHERE profile = each.profile)
  UNION ALL SELECT 'session', profile, number, content FROM sessions`;

/**
 * The same in one batch: a store over the network keeps no transaction open that waits for its client.
 * @throws ChangedMeanwhile
 */
export async function replaceAtOnce(
  client: Client,
  mark: string,
  rows: AsyncIterable<Row>,
  newest: ReadonlyMap<string, { number: number }>,
  now: string,
): Promise<void> {
  const { rows: here } = await client.execute(PRESENT);
  const present = new Map(
    here.map((row) => [`${String(row['kind'])} ${String(row['profile'])}`, row]),
  );
  const beyond = ({ kind, profile, number, content }: Row) => {
    const own = present.get(`${kind} ${profile}`);
    const isSame = Number(own?.['number']) === number && own?.['content'] === content;
    return Promise.resolve(own && !isSame ? Math.max(number, Number(own['number'])) + 1 : null);
  };
  const adds: InStatement[] = [];
  for await (const row of replacements(rows, newest, beyond, now)) adds.push(adding(row));
  const statements: InStatement[] = [
    { sql: GUARD, args: [mark] },
    'DELETE FROM revisions',
    'DELETE FROM sessions',
    ...adds,
  ];
  try {
    await client.batch(statements, 'write');
  } catch (error) {
    if (databaseCode(error).startsWith('SQLITE_CONSTRAINT')) throw new ChangedMeanwhile();
    throw error;
  }
}

/** Remembers what stands for each profile and each session now; on the disk, however much it is. */
async function rememberPresent(transaction: Transaction): Promise<void> {
  await transaction.batch([
    'DROP TABLE IF EXISTS temp.here',
    `CREATE TEMP TABLE here AS ${PRESENT}`,
  ]);
}

/** The number for a row that takes the place of another state; null where what was here is the same, or nothing was. */
async function numberBeyond(
  transaction: Transaction,
  { kind, profile, number, content }: Row,
): Promise<number | null> {
  const { rows } = await transaction.execute({
    sql: `SELECT max(number, ?) + 1 AS next FROM temp.here
      WHERE kind = ? AND profile = ? AND NOT (number = ? AND content = ?)`,
    args: [number, kind, profile, number, content],
  });
  return rows[0] ? Number(rows[0]['next']) : null;
}
