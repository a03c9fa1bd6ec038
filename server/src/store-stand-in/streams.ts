import { setTimeout as pause } from 'node:timers/promises';
import Database from 'libsql';

/** A value as the protocol writes it. */
type WireValue =
  | { type: 'null' }
  | { type: 'integer'; value: string }
  | { type: 'float'; value: number }
  | { type: 'text'; value: string }
  | { type: 'blob'; base64: string };

interface Statement {
  sql?: string;
  sql_id?: number;
  args?: WireValue[];
  named_args?: { name: string; value: WireValue }[];
  want_rows?: boolean;
}

type Condition =
  | { type: 'ok' | 'error'; step: number }
  | { type: 'not'; cond: Condition }
  | { type: 'and' | 'or'; conds: Condition[] };

type Asked =
  | { type: 'close' }
  | { type: 'execute'; stmt: Statement }
  | { type: 'batch'; batch: { steps: { stmt: Statement; condition?: Condition }[] } }
  | { type: 'sequence'; sql?: string; sql_id?: number }
  | { type: 'store_sql'; sql_id: number; sql: string }
  | { type: 'close_sql'; sql_id: number };

export interface PipelineRequest {
  baton?: string | null;
  requests: Asked[];
}
type Result =
  { type: 'ok'; response: object } | { type: 'error'; error: { message: string; code?: string } };
export interface PipelineAnswer {
  baton: string | null;
  base_url: null;
  results: Result[];
}

/** A connection that a client goes on with, and the texts of statements that it gave numbers. */
interface Stream {
  db: Database.Database;
  texts: Map<number, string>;
  usedAt: number;
}

/** A stream that nobody goes on with is closed: what it began is undone. */
const IDLE_MS = 10_000;
/** So long a statement waits for another stream that writes. */
const BUSY_MS = 5_000;
const AGAIN_MS = 5;

/** The streams of the clients, each a connection to the same database file. */
export class Streams {
  private readonly open = new Map<string, Stream>();
  private readonly free: Database.Database[] = [];
  private readonly file: string;
  private readonly looks: NodeJS.Timeout;

  constructor(file: string) {
    this.file = file;
    this.looks = setInterval(() => this.closeIdle(), IDLE_MS / 2);
    this.looks.unref();
  }

  /** Does one request of a client: what it asks, one after the other, on its stream. */
  async pipeline(
    { baton, requests }: PipelineRequest,
    newBaton: () => string,
  ): Promise<PipelineAnswer> {
    const former = baton ? this.open.get(baton) : undefined;
    if (baton && !former) {
      const error = { message: 'the stream is closed', code: 'STREAM_EXPIRED' };
      return {
        baton: null,
        base_url: null,
        results: requests.map(() => ({ type: 'error', error })),
      };
    }
    if (baton) this.open.delete(baton);
    const stream = former ?? { db: this.connection(), texts: new Map(), usedAt: 0 };
    const results: Result[] = [];
    let isClosed = false;
    for (const asked of requests) {
      if (asked.type === 'close') isClosed = true;
      results.push(await this.done(stream, asked));
    }
    if (isClosed) {
      this.release(stream.db);
      return { baton: null, base_url: null, results };
    }
    const next = newBaton();
    this.open.set(next, { ...stream, usedAt: Date.now() });
    return { baton: next, base_url: null, results };
  }

  end(): void {
    clearInterval(this.looks);
    for (const { db } of this.open.values()) db.close();
    for (const db of this.free) db.close();
  }

  private connection(): Database.Database {
    const free = this.free.pop();
    if (free) return free;
    const db = new Database(this.file);
    // Waiting here would keep the one that is waited for from going on.
    db.pragma('busy_timeout = 0');
    db.pragma('journal_mode = WAL');
    return db;
  }

  private release(db: Database.Database): void {
    if (db.inTransaction) db.exec('ROLLBACK');
    this.free.push(db);
  }

  private closeIdle(): void {
    for (const [baton, { db, usedAt }] of this.open) {
      if (Date.now() - usedAt < IDLE_MS) continue;
      this.open.delete(baton);
      this.release(db);
    }
  }

  private async done(stream: Stream, asked: Asked): Promise<Result> {
    try {
      const response = await this.response(stream, asked);
      return { type: 'ok', response: { type: asked.type, ...response } };
    } catch (error) {
      return { type: 'error', error: wireError(error) };
    }
  }

  private async response(stream: Stream, asked: Asked): Promise<object> {
    switch (asked.type) {
      case 'close':
        return {};
      case 'store_sql':
        stream.texts.set(asked.sql_id, asked.sql);
        return {};
      case 'close_sql':
        stream.texts.delete(asked.sql_id);
        return {};
      case 'sequence':
        stream.db.exec(textOf(stream, asked));
        return {};
      case 'execute':
        return { result: await executed(stream, asked.stmt) };
      case 'batch': {
        const results: (object | null)[] = [];
        const errors: (object | null)[] = [];
        for (const { stmt, condition } of asked.batch.steps) {
          const isWanted = !condition || holds(condition, results, errors);
          try {
            results.push(isWanted ? await executed(stream, stmt) : null);
            errors.push(null);
          } catch (error) {
            results.push(null);
            errors.push(wireError(error));
          }
        }
        return { result: { step_results: results, step_errors: errors } };
      }
    }
  }
}

function holds(
  condition: Condition,
  results: readonly (object | null)[],
  errors: readonly (object | null)[],
): boolean {
  switch (condition.type) {
    case 'ok':
      return results[condition.step] !== null && results[condition.step] !== undefined;
    case 'error':
      return errors[condition.step] !== null && errors[condition.step] !== undefined;
    case 'not':
      return !holds(condition.cond, results, errors);
    case 'and':
      return condition.conds.every((each) => holds(each, results, errors));
    case 'or':
      return condition.conds.some((each) => holds(each, results, errors));
  }
}

function textOf({ texts }: Stream, { sql, sql_id: id }: { sql?: string; sql_id?: number }): string {
  const text = sql ?? texts.get(id ?? -1);
  if (text === undefined) throw new Error(`no text has the number ${id}`);
  return text;
}

/** Runs a statement; while another stream writes it waits. */
async function executed(stream: Stream, statement: Statement): Promise<object> {
  const until = Date.now() + BUSY_MS;
  for (;;) {
    try {
      return run(stream, statement);
    } catch (error) {
      const isBusy = /SQLITE_BUSY/.test(String((error as { code?: unknown }).code));
      if (!isBusy || Date.now() > until) throw error;
      await pause(AGAIN_MS);
    }
  }
}

function run(stream: Stream, statement: Statement): object {
  const prepared = stream.db.prepare(textOf(stream, statement));
  const named = Object.fromEntries(
    (statement.named_args ?? []).map(({ name, value }) => [
      name.replace(/^[:@$]/, ''),
      plainValue(value),
    ]),
  );
  const args = [
    ...(statement.args ?? []).map(plainValue),
    ...(Object.keys(named).length > 0 ? [named] : []),
  ];
  if (!prepared.reader) {
    const { changes, lastInsertRowid } = prepared.run(...args);
    return {
      cols: [],
      rows: [],
      affected_row_count: changes,
      last_insert_rowid: String(lastInsertRowid),
    };
  }
  const cols = prepared.columns().map(({ name, type }) => ({ name, decltype: type }));
  const rows = prepared.raw().all(...args) as unknown[][];
  return {
    cols,
    rows: rows.map((row) => row.map(wireValue)),
    affected_row_count: 0,
    last_insert_rowid: null,
  };
}

function plainValue(value: WireValue): unknown {
  switch (value.type) {
    case 'null':
      return null;
    case 'integer':
      return BigInt(value.value);
    case 'blob':
      return Buffer.from(value.base64, 'base64');
    default:
      return value.value;
  }
}

function wireValue(value: unknown): WireValue {
  if (value === null || value === undefined) return { type: 'null' };
  if (typeof value === 'bigint') return { type: 'integer', value: String(value) };
  if (typeof value === 'number')
    return Number.isInteger(value)
      ? { type: 'integer', value: String(value) }
      : { type: 'float', value };
  if (typeof value === 'string') return { type: 'text', value };
  return { type: 'blob', base64: Buffer.from(value as Uint8Array).toString('base64') };
}

function wireError(error: unknown): { message: string; code?: string } {
  const { message, code } = error as { message: string; code?: unknown };
  return { message, ...(typeof code === 'string' && { code }) };
}
