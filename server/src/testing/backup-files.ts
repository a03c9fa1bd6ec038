import { createHash } from 'node:crypto';
import { createClient } from '@libsql/client';
import { strToU8, zipSync } from 'fflate';
import { openArchive } from '../backup/archive.ts';
import type { Row } from '../backup/content.ts';

/** Every row of a backup. */
export async function rowsIn(path: string): Promise<Row[]> {
  const archive = await openArchive(path);
  const rows: Row[] = [];
  for await (const row of archive.rows()) rows.push(row);
  archive.close();
  return rows;
}

/** Every row of a database, read past everything that the server reads with. */
export async function rowsKept(file: string): Promise<Record<string, unknown>[]> {
  const client = createClient({ url: `file:${file}` });
  const revisions = await client.execute('SELECT * FROM revisions ORDER BY profile, number');
  const sessions = await client.execute('SELECT * FROM sessions ORDER BY profile');
  client.close();
  return [...revisions.rows, ...sessions.rows].map((row) => ({ ...row }));
}

const sum = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex');

/**
 * A backup made by hand, with right checksums.
 * @param files what each has: bytes as they are, anything else as JSON
 * @param list what stands otherwise in its list
 */
export function zipOf(files: Record<string, unknown>, list: object = {}): Uint8Array {
  const bytes = Object.fromEntries(
    Object.entries(files).map(([name, value]) => [
      name,
      value instanceof Uint8Array ? value : strToU8(JSON.stringify(value)),
    ]),
  );
  const sums = Object.fromEntries(Object.entries(bytes).map(([name, each]) => [name, sum(each)]));
  const about = { sorn: 'backup', version: 1, madeAt: '2026-01-01T00:00:00.000Z', files: sums };
  return zipSync({ ...bytes, 'backup.json': strToU8(JSON.stringify({ ...about, ...list })) });
}
