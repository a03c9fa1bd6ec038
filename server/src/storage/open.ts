import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';
import { createClient, type Client } from '@libsql/client';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';

export interface OpenDatabase {
  db: LibSQLDatabase;
  client: Client;
}

const MIGRATIONS = fileURLToPath(new URL('../../drizzle', import.meta.url));

/**
 * Opens the database file, making it and its folder when they are not there, and brings its tables up to
 * date. Write-ahead log with full synchronisation: a save that was answered is on the disk.
 */
export async function openDatabase(file: string): Promise<OpenDatabase> {
  mkdirSync(dirname(file), { recursive: true });
  const client = createClient({ url: `file:${file}` });
  for (const pragma of ['journal_mode = WAL', 'synchronous = FULL', 'busy_timeout = 5000']) {
    await client.execute(`PRAGMA ${pragma}`);
  }
  const db = drizzle(client);
  await migrate(db, { migrationsFolder: MIGRATIONS });
  return { db, client };
}
