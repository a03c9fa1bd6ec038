import type { Client, InStatement, ResultSet, Row } from '@libsql/client';
import { isRead } from './is-read.ts';
import { startThread } from '../threads/thread.ts';
import type { StatementRequest, PlainResult } from './statements-worker.ts';

const MEGABYTES = 48;

/** A libSQL client whose `end` waits for what it was asked. */
export interface ThreadedClient {
  client: Client;
  end: () => Promise<void>;
}

/**
 * A libSQL client that works in two threads, one for reading and one for all else. A save that waits for
 * another program's lock, or writes much, keeps neither the server nor those who read from going on.
 */
export function threadedClient(file: string): ThreadedClient {
  const thread = () =>
    startThread<StatementRequest, PlainResult[]>('@sorn/server/statements-worker', {
      data: { file },
      megabytes: MEGABYTES,
    });
  // Made at the first question: while the writer makes the database there is nothing to read.
  let reads: ReturnType<typeof thread> | undefined;
  const writes = thread();
  const threadFor = (statements: readonly InStatement[]) =>
    statements.every(isRead) ? (reads ??= thread()) : writes;

  async function ask(statements: InStatement[], asked: StatementRequest): Promise<ResultSet[]> {
    return (await threadFor(statements).ask(asked)).map(resultSet);
  }
  const client: Client = {
    closed: false,
    protocol: 'file',
    async execute(statement: InStatement | string, args?: unknown) {
      const whole =
        typeof statement === 'string' && args
          ? ({ sql: statement, args } as InStatement)
          : statement;
      const [result] = await ask([whole], { kind: 'execute', statement: whole });
      return result!;
    },
    batch(statements) {
      const list = statements as InStatement[];
      return ask(list, { kind: 'batch', statements: list });
    },
    async migrate(statements) {
      return (await writes.ask({ kind: 'migrate', statements })).map(resultSet);
    },
    transaction: () => refused('a transaction that waits for its caller'),
    executeMultiple: () => refused('several statements in one text'),
    sync: () => refused('a replica'),
    reconnect: () => undefined,
    close: () => undefined,
  };
  return {
    client,
    async end() {
      for (const each of [reads, writes]) {
        await each?.ask({ kind: 'close' });
        await each?.end();
      }
    },
  };
}

function refused(what: string): Promise<never> {
  return Promise.reject(new Error(`a database in threads does not take ${what}`));
}

function resultSet({ rows, ...rest }: PlainResult): ResultSet {
  const list = rows.map((values) => rowOf(rest.columns, values));
  return { ...rest, rows: list, toJSON: () => ({ ...rest, rows }) };
}

/** A row as the client makes it: values by their place, and, for those who list its fields, by their column. */
function rowOf(columns: readonly string[], values: readonly unknown[]): Row {
  const row = Object.fromEntries(columns.map((name, i) => [name, values[i]]));
  values.forEach((value, i) => Object.defineProperty(row, i, { value }));
  return Object.defineProperty(row, 'length', { value: values.length }) as unknown as Row;
}
