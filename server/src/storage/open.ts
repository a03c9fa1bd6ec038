import { chmodSync, closeSync, existsSync, mkdirSync, openSync } from 'node:fs';
import { dirname } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { fileURLToPath } from 'node:url';
import type { Client } from '@libsql/client';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { readMigrationFiles } from 'drizzle-orm/migrator';
import { threadedClient } from './client.ts';
import { openShared, type SharedStore } from './shared.ts';
import { databaseCode } from './database-code.ts';

export interface OpenDatabase {
  db: LibSQLDatabase;
  client: Client;
  close: () => Promise<void>;
}

/** A database that is not opened: what is wrong with it, and what to do, for the person. */
export class BadDatabase extends Error {}

const MIGRATIONS = { migrationsFolder: fileURLToPath(new URL('../../drizzle', import.meta.url)) };

/**
 * Opens the database file, making it and its folder when they are not there, and brings its tables up to
 * date. Only its owner can read it. Write-ahead log with full synchronisation: a save that was answered is
 * on the disk.
 * @throws BadDatabase, before anything is written
 */
export async function openDatabase(file: string): Promise<OpenDatabase> {
  makePrivate(file);
  const { client, end } = threadedClient(file);
  try {
    await refuseForeign(client, file);
    await client.execute('PRAGMA journal_mode = WAL');
    const db = drizzle(client);
    await migrate(db, MIGRATIONS);
    return { db, client, close: end };
  } catch (error) {
    await end().catch(() => undefined);
    throw error instanceof BadDatabase ? error : new BadDatabase(whyNotOpened(file, error));
  }
}

/** How often the tables of a shared store are brought up to date: two servers may begin at once. */
const MOST_TRIES = 5;

/**
 * Opens a shared store, and brings its tables up to date.
 * @throws BadDatabase, before anything is written
 */
export async function openSharedDatabase(store: SharedStore): Promise<OpenDatabase> {
  const client = openShared(store);
  const db = drizzle(client);
  try {
    await refuseForeign(client, store.url);
    for (let tries = 1; ; tries++) {
      try {
        await migrate(db, MIGRATIONS);
        break;
      } catch (error) {
        if (tries === MOST_TRIES) throw error;
        await pause(tries * 200);
      }
    }
  } catch (error) {
    client.close();
    throw error instanceof BadDatabase ? error : new BadDatabase(whyNotReached(store, error));
  }
  return { db, client, close: () => Promise.resolve(client.close()) };
}

/** What a person can do about a shared store that cannot be used. */
function whyNotReached({ url, token }: SharedStore, error: unknown): string {
  const text = textsOf(error);
  if (/\b40[13]\b|UNAUTHORIZED/.test(text))
    return token === undefined
      ? `The shared store ${url} wants a token: --data-token-file FILE`
      : `The shared store ${url} does not take the token; expected the one that it gives out, in the file of --data-token-file`;
  if (/\b404\b/.test(text))
    return `At ${url} nothing speaks the protocol of libSQL over HTTP; expected the address of such a server: --data URL`;
  return `The shared store ${url} does not answer: ${text.split('\n')[0]}. Start again when it does, or without --data: then everything is kept on this machine.`;
}

function textsOf(error: unknown): string {
  const texts: string[] = [];
  for (let at = error; at instanceof Error; at = at.cause)
    texts.push(`${at.message} ${String((at as { code?: unknown }).code ?? '')}`.trim());
  return texts.reverse().join('\n');
}

/** Makes the file where it is not there; SQLite gives the files beside it the rights of this one. */
function makePrivate(file: string): void {
  const folder = dirname(file);
  try {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    closeSync(openSync(file, 'a', 0o600));
  } catch (error) {
    throw new BadDatabase(whyNotOpened(file, error));
  }
  for (const each of [file, `${file}-wal`, `${file}-shm`]) {
    try {
      if (existsSync(each)) chmodSync(each, 0o600);
    } catch {
      // Another's file, which we may write to: its rights are theirs to set.
    }
  }
}

/** What a person can do about a file that cannot be opened, by the code of the fault. */
function whyNotOpened(file: string, error: unknown): string {
  const code = databaseCode(error) || ((error as NodeJS.ErrnoException).code ?? '');
  const folder = dirname(file);
  switch (code.replace(/^(SQLITE_(?:CANTOPEN|READONLY)).*/, '$1')) {
    case 'SQLITE_CANTOPEN':
    case 'SQLITE_READONLY':
    case 'EACCES':
    case 'EPERM':
    case 'EROFS':
      return `Nothing can be saved: ${file} or its folder ${folder} may not be written to. Allow it, or choose another file: --data FILE`;
    case 'EISDIR':
      return `${file} is a folder; expected a file: --data FILE`;
    case 'ENOTDIR':
    case 'EEXIST':
      return `${folder} is no folder; expected a path to a file in one: --data FILE`;
    case 'SQLITE_NOTADB':
      return `${file} is no database; nothing in it was changed. Choose another file: --data FILE`;
    default:
      if (code.startsWith('SQLITE_BUSY'))
        return `${file} is locked by another program. Start again when that has ended.`;
      if (code === 'ENOSPC' || code.startsWith('SQLITE_FULL'))
        return `There is no room on the disk of ${file}. Make room and start again.`;
      return `The database ${file} cannot be opened: ${String(error)}`;
  }
}

/** Refuses what a newer Sorn or another program wrote, before anything is written. */
async function refuseForeign(client: Client, file: string): Promise<void> {
  const { rows } = await client.execute(
    "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'",
  );
  if (rows.length === 0) return;
  if (!rows.some(({ name }) => name === '__drizzle_migrations'))
    throw new BadDatabase(
      `${file} is the database of another program; nothing in it was changed. Choose another file: --data FILE`,
    );
  const {
    rows: [newest],
  } = await client.execute('SELECT max(created_at) AS made FROM __drizzle_migrations');
  const last = readMigrationFiles(MIGRATIONS).at(-1)!.folderMillis;
  if (Number(newest?.['made'] ?? 0) > last)
    throw new BadDatabase(
      `${file} was written by a newer Sorn; nothing in it was changed. Start that one, or choose another file: --data FILE`,
    );
}
