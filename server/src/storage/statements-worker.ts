import type { Client, InStatement, ResultSet } from '@libsql/client';
import { workerData } from 'piscina';
import { working } from '../threads/answer.ts';
import { openConnection } from './connection.ts';

/** Statements for one connection: a batch is one transaction. `close` ends the connection. */
export type StatementRequest =
  | { kind: 'execute'; statement: InStatement }
  | { kind: 'batch' | 'migrate'; statements: InStatement[] }
  | { kind: 'close' };

/** A ResultSet as plain data; each row in the order of the columns. */
export type PlainResult = Pick<
  ResultSet,
  'columns' | 'columnTypes' | 'rowsAffected' | 'lastInsertRowid'
> & { rows: unknown[][] };

let connection: Promise<Client> | undefined;

async function resultsOf(asked: StatementRequest): Promise<ResultSet[]> {
  connection ??= openConnection((workerData as { file: string }).file);
  const client = await connection.catch((error: unknown) => {
    connection = undefined;
    throw error;
  });
  switch (asked.kind) {
    case 'execute':
      return [await client.execute(asked.statement)];
    case 'batch':
      return client.batch(asked.statements);
    case 'migrate':
      return client.migrate(asked.statements);
    case 'close':
      client.close();
      connection = undefined;
      return [];
  }
}

function plain({
  columns,
  columnTypes,
  rows,
  rowsAffected,
  lastInsertRowid,
}: ResultSet): PlainResult {
  const list = rows.map((row) => columns.map((_, i) => row[i]));
  return { columns, columnTypes, rows: list, rowsAffected, lastInsertRowid };
}

export default working(async (asked: StatementRequest) => (await resultsOf(asked)).map(plain));
