import { createHash } from 'node:crypto';
import { chmodSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { afterAll, describe, expect, it } from 'vitest';
import { PROFILE, testServer } from '../testing/server.ts';
import { BadDatabase, openDatabase } from './open.ts';

const folder = mkdtempSync(join(tmpdir(), 'sorn-open-'));
afterAll(() => rmSync(folder, { recursive: true }));

const sumOf = (path: string) => createHash('sha256').update(readFileSync(path)).digest('hex');
const rightsOf = (path: string) => (statSync(path).mode & 0o777).toString(8);

async function refusedFor(file: string): Promise<string> {
  const opening = openDatabase(file);
  await expect(opening).rejects.toBeInstanceOf(BadDatabase);
  return opening.catch((error: Error) => error.message) as Promise<string>;
}

describe('opening a database', () => {
  it('makes it for its owner alone, in a folder likewise', async () => {
    const file = join(folder, 'a/b/sorn.db');
    const { close } = await openDatabase(file);
    expect([file, `${file}-wal`, `${file}-shm`, join(folder, 'a/b')].map(rightsOf)).toEqual([
      '600',
      '600',
      '600',
      '700',
    ]);
    await close();
    chmodSync(file, 0o644);
    await (await openDatabase(file)).close();
    expect(rightsOf(file)).toBe('600');
  });

  it.each(['a b.db', 'what?.db', 'a#b.db', '100%25.db', 'ä–ö.db'])(
    'takes the name %s',
    async (name) => {
      const file = join(folder, name);
      const { client, close } = await openDatabase(file);
      await client.execute("INSERT INTO settings (name, value) VALUES ('a', '1')");
      await close();
      const again = await openDatabase(file);
      expect((await again.client.execute('SELECT value FROM settings')).rows).toMatchObject([
        { value: '1' },
      ]);
      await again.close();
      expect(statSync(file).size).toBeGreaterThan(0);
    },
  );

  it('writes nothing into that of a newer Sorn', async () => {
    const file = join(folder, 'newer.db');
    await (await openDatabase(file)).close();
    const client = createClient({ url: `file:${file}` });
    await client.execute(
      "INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('x', 9999999999999)",
    );
    // All of it is in the file before that is looked at.
    await client.execute('PRAGMA wal_checkpoint(TRUNCATE)');
    client.close();
    const before = sumOf(file);
    expect(await refusedFor(file)).toContain('was written by a newer Sorn');
    expect(sumOf(file)).toBe(before);
  });

  it('writes nothing into that of another program, or into what is no database', async () => {
    const file = join(folder, 'other.db');
    const client = createClient({ url: `file:${file}` });
    await client.execute('CREATE TABLE birds (name TEXT)');
    client.close();
    const text = join(folder, 'diary.db');
    writeFileSync(text, 'Dear diary, '.repeat(200));
    for (const [each, says] of [
      [file, 'the database of another program'],
      [text, 'is no database'],
    ] as const) {
      const before = sumOf(each);
      expect(await refusedFor(each)).toContain(says);
      expect(sumOf(each)).toBe(before);
    }
  });

  it('says what is wrong with the path', async () => {
    expect(await refusedFor(folder)).toContain('is a folder');
    expect(await refusedFor(join(folder, 'diary.db/x.db'))).toContain('is no folder');
  });
});

describe('a lock of another program', () => {
  it('lets everybody read, and the save waits until it ends', async () => {
    const server = await testServer();
    await server.api.post('/api/profiles').send({ profile: PROFILE });
    const other = createClient({ url: `file:${server.file}` });
    const lock = await other.transaction('write');
    let isSaved = false;
    const saving = server.api
      .put('/api/profiles/desk')
      .set('If-Match', '"1"')
      .send({ profile: { ...PROFILE, name: 'Meanwhile' } })
      .then((answer) => {
        isSaved = true;
        return answer;
      });
    const reads: string[] = [];
    for (let i = 0; i < 20; i++) {
      const { body } = await server.api.get('/api/profiles/desk');
      reads.push(body.profile.name as string);
    }
    expect(isSaved).toBe(false);
    expect(new Set(reads)).toEqual(new Set(['Desk']));
    await lock.rollback();
    other.close();
    expect((await saving).body.revision).toBe(2);
    expect((await server.api.get('/api/profiles/desk')).body.profile.name).toBe('Meanwhile');
    await server.stop();
  });
});

describe('two servers on one database', () => {
  it('give names of their own where both make a profile of one name at once', async () => {
    const server = await testServer();
    const second = await openDatabase(server.file);
    const { storeIn } = await import('./store.ts');
    const stores = [storeIn(server.database.db), storeIn(second.db)];
    const made = await Promise.all(
      Array.from({ length: 12 }, (_, i) => stores[i % 2]!.create(PROFILE as never)),
    );
    expect(new Set(made.map(({ id }) => id)).size).toBe(12);
    await second.close();
    await server.stop();
  });
});
