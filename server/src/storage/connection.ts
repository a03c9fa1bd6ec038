import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { createClient, type Client } from '@libsql/client';
import { openShared, type SharedStore } from './shared.ts';

/** Where a database is: a file of this machine, or a store that several servers share. */
export type DataPlace = { file: string } | SharedStore;

/** One connection to a database, wherever it is. */
export async function openPlace(place: DataPlace): Promise<Client> {
  return 'url' in place ? openShared(place) : openConnection(place.file);
}

/** How long a statement waits while another program has the database locked. */
const BUSY_MS = 5_000;

/**
 * One connection to a database file. It blocks the thread it is used in while it reads, writes and waits for a
 * lock: the server uses none in its main thread. Full synchronisation: what was written is on the disk.
 */
export async function openConnection(file: string): Promise<Client> {
  // As a URL with every character of the path escaped: a `?` in a name is no parameter.
  const url = pathToFileURL(resolve(file)).href;
  // More connections than one would each need the settings that follow.
  const client = createClient({ url, concurrency: 1, timeout: BUSY_MS });
  await client.execute('PRAGMA synchronous = FULL');
  return client;
}
