import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { openSharedDatabase } from '../storage/open.ts';
import { askStore } from '../testing/raw-store-client.ts';
import { seeded } from '../testing/seeded.ts';
import { PROFILE, testServer, type TestServer } from '../testing/server.ts';
import { startStoreStandIn, type StoreFault, type StoreStandIn } from './stand-in.ts';

const TOKEN = 'let-me-in';
let folder: string;
let store: StoreStandIn;
let fault: (body: string) => StoreFault;
let servers: TestServer[];

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'sorn-shared-'));
  fault = () => 'none';
  servers = [];
  store = await startStoreStandIn({
    file: join(folder, 'store.db'),
    token: TOKEN,
    faultOf: (body) => fault(body),
  });
});
afterEach(async () => {
  fault = () => 'none';
  for (const server of servers) await server.stop();
  await store.end();
  rmSync(folder, { recursive: true });
});

const shared = () => ({ url: store.url, token: TOKEN });
const ask = (sql: string, args?: string[]) => askStore(shared(), sql, args);
async function server(): Promise<TestServer> {
  const made = await testServer({ shared: shared() });
  servers.push(made);
  return made;
}
const named = (name: string) => ({ profile: { ...PROFILE, name } });
const save = ({ api }: TestServer, id: string, base: number, name: string) =>
  api.put(`/api/profiles/${id}`).set('If-Match', `"${base}"`).send(named(name));

describe('the stand-in of a shared store', () => {
  test('speaks the open protocol, to a client without a library', async () => {
    await ask('CREATE TABLE t (a TEXT, b INTEGER, c REAL)');
    await ask("INSERT INTO t VALUES (?, 7, 1.5), ('é¼', NULL, -2)", ['x']);
    expect(await ask('SELECT * FROM t ORDER BY a')).toEqual([
      ['x', 7, 1.5],
      ['é¼', null, -2],
    ]);
    await expect(ask('SELECT a FROM nowhere')).rejects.toThrow('no such table');
    await expect(askStore({ url: store.url }, 'SELECT 1')).rejects.toThrow('401');
  });

  test('keeps a stream with its transaction until it is closed, and undoes what is not ended', async () => {
    await ask('CREATE TABLE t (a INTEGER)');
    const post = async (body: object) =>
      (await (
        await fetch(`${store.url}/v2/pipeline`, {
          method: 'POST',
          headers: { authorization: `Bearer ${TOKEN}` },
          body: JSON.stringify(body),
        })
      ).json()) as { baton: string | null; results: { type: string }[] };
    const run = (sql: string) => ({ type: 'execute', stmt: { sql } });
    const begun = await post({
      baton: null,
      requests: [run('BEGIN'), run('INSERT INTO t VALUES (1)')],
    });
    expect(begun.results.map(({ type }) => type)).toEqual(['ok', 'ok']);
    expect(await ask('SELECT count(*) FROM t')).toEqual([[0]]);
    await post({ baton: begun.baton, requests: [run('COMMIT'), { type: 'close' }] });
    expect(await ask('SELECT count(*) FROM t')).toEqual([[1]]);
    const other = await post({ baton: null, requests: [run('BEGIN'), run('DELETE FROM t')] });
    await post({ baton: other.baton, requests: [{ type: 'close' }] });
    expect(await ask('SELECT count(*) FROM t')).toEqual([[1]]);
    expect((await post({ baton: other.baton, requests: [run('SELECT 1')] })).results[0]!.type).toBe(
      'error',
    );
  });

  test.each(['refused', 'refused-after', 'cut', 'cut-after', 'cut-in-answer'] as const)(
    'has the fault “%s”',
    async (one) => {
      await ask('CREATE TABLE t (a INTEGER)');
      fault = () => one;
      await expect(ask('INSERT INTO t VALUES (1)')).rejects.toThrow();
      fault = () => 'none';
      const isDone = one.includes('after') || one.includes('answer');
      expect(await ask('SELECT count(*) FROM t')).toEqual([[isDone ? 1 : 0]]);
    },
  );
});

describe('two servers on a shared store', () => {
  test('have the same profiles, and each tells what the other saved', async () => {
    const [one, other] = [await server(), await server()];
    const { body } = await one.api.post('/api/profiles').send(named('Hut'));
    expect((await other.api.get('/api/profiles')).body).toMatchObject([{ id: 'hut', name: 'Hut' }]);
    const heard: object[] = [];
    other.changes.listen('hut', (event) => heard.push(event));
    // What there is was seen once.
    await new Promise((resolve) => setTimeout(resolve, 2_200));
    expect((await save(one, body.id as string, 1, 'Den')).body).toMatchObject({ revision: 2 });
    await expect.poll(() => heard, { timeout: 6_000 }).toContainEqual({ profile: 2, session: 0 });
    const stale = await save(other, 'hut', 1, 'Shed');
    expect(stale.status).toBe(412);
    expect((await other.api.get('/api/profiles/hut')).body.profile.name).toBe('Den');
    const kept = await one.api
      .put('/api/profiles/hut/session')
      .set('If-Match', '"0"')
      .send({ windows: [{ id: 'a' }] });
    expect(kept.body).toMatchObject({ revision: 1 });
    expect((await other.api.get('/api/profiles/hut/session')).body.session.windows).toMatchObject([
      { id: 'a' },
    ]);
  });

  test('make a backup, and restore it as one batch: all of it or nothing', async () => {
    const one = await server();
    await one.api.post('/api/profiles').send({ ...named('Hut'), session: { windows: [] } });
    await save(one, 'hut', 1, 'Den');
    const path = join(folder, 'all.zip');
    await one.backups.make(path);
    await save(one, 'hut', 2, 'Shed');
    await one.api.post('/api/profiles').send(named('Attic'));
    const { profiles, before } = await one.backups.restore(path);
    expect(profiles.map(({ id }) => id).sort()).toEqual(['attic', 'hut']);
    expect(before).toContain('before-restore');
    expect(
      await ask('SELECT profile, number, name FROM revisions ORDER BY profile, number'),
    ).toEqual([
      ['hut', 1, 'Hut'],
      ['hut', 2, 'Den'],
      ['hut', 4, 'Den'],
    ]);
    // Cut before it was done, nothing is replaced.
    await save(one, 'hut', 4, 'Barn');
    let requests = 0;
    fault = () => (++requests > 6 ? 'cut' : 'none');
    await expect(one.backups.restore(path)).rejects.toThrow();
    fault = () => 'none';
    expect(await ask('SELECT count(*), max(name) FROM revisions WHERE number = 5')).toEqual([
      [1, 'Barn'],
    ]);
  });

  test('restore nothing over what somebody saved meanwhile: it begins again, and no number means two states', async () => {
    const [one, other] = [await server(), await server()];
    await one.api.post('/api/profiles').send(named('Hut'));
    const path = join(folder, 'all.zip');
    await one.backups.make(path);
    await save(one, 'hut', 1, 'Den');
    // The batch is two seconds on its way.
    let batches = 0;
    fault = (body) => (body.includes('DELETE FROM revisions') && ++batches === 1 ? 'slow' : 'none');
    const restoring = one.backups.restore(path);
    await expect.poll(() => batches).toBe(1);
    expect((await save(other, 'hut', 2, 'Shed')).body).toMatchObject({ revision: 3 });
    const { before } = await restoring;
    expect(batches).toBe(2);
    expect(await ask('SELECT number, name FROM revisions ORDER BY number')).toEqual([
      [1, 'Hut'],
      [4, 'Hut'],
    ]);
    // What was saved meanwhile is in the backup of before.
    await one.backups.restore(join(one.folder, 'backups', before));
    expect(await ask('SELECT number, name FROM revisions ORDER BY number')).toEqual([
      [1, 'Hut'],
      [2, 'Den'],
      [3, 'Shed'],
      [5, 'Shed'],
    ]);
  });

  test('where the store cannot be used, that is told with what to do', async () => {
    await expect(openSharedDatabase({ url: store.url })).rejects.toThrow('wants a token');
    await expect(openSharedDatabase({ url: store.url, token: 'x' })).rejects.toThrow(
      'does not take the token',
    );
    await expect(
      openSharedDatabase({ url: `${store.url}/nowhere/`, token: TOKEN }),
    ).rejects.toThrow('nothing speaks the protocol');
    await expect(openSharedDatabase({ url: 'http://127.0.0.1:9' })).rejects.toThrow(
      'does not answer',
    );
  });
});

const SAVES = Number(process.env['STORE_SAVES'] ?? 100);
const FAULTS: readonly StoreFault[] = [
  'refused',
  'refused-after',
  'cut',
  'cut-after',
  'cut-in-answer',
];

test(
  `${SAVES} interleaved saves of two servers with cuts: each that was acknowledged is there, and nothing is twice`,
  async () => {
    const both = [await server(), await server()];
    const random = seeded(7);
    const below = (count: number) => Math.floor(random() * count);
    let isSlow = true;
    fault = () => {
      if (random() < 0.75) return 'none';
      // Two seconds are waited for only now and then.
      if (isSlow && random() < 0.02) {
        isSlow = random() < 0.9;
        return 'slow';
      }
      return FAULTS[below(FAULTS.length)]!;
    };
    /** What was acknowledged: what stands under a number of a profile. */
    const acknowledged = new Map<string, string>();
    const acknowledge = (id: string, revision: number, name: string) => {
      // No number ever means two states.
      expect(acknowledged.get(`${id} ${revision}`) ?? name).toBe(name);
      acknowledged.set(`${id} ${revision}`, name);
    };
    const bases = new Map<string, number>();
    let unsure = 0;
    let written = 0;
    async function one(which: TestServer, name: string): Promise<void> {
      const ids = [...bases.keys()];
      if (ids.length < 4 || random() < 0.15) {
        const { status, body } = await which.api.post('/api/profiles').send(named(name));
        if (status === 504) unsure += 1;
        else {
          expect(status).toBe(201);
          bases.set(body.id as string, 1);
          acknowledge(body.id as string, 1, name);
        }
        return;
      }
      const id = ids[below(ids.length)]!;
      const { status, body } = await save(which, id, bases.get(id)!, name);
      if (status === 200) {
        written += 1;
        bases.set(id, Math.max(bases.get(id)!, body.revision as number));
        acknowledge(id, body.revision as number, name);
      } else if (status === 504) unsure += 1;
      else {
        expect(status).toBe(412);
        const present = await which.api.get(`/api/profiles/${id}`);
        if (present.status === 200) bases.set(id, present.body.revision as number);
      }
    }
    for (let at = 0; at < SAVES; at += 2)
      await Promise.all(both.map((which, i) => one(which, `state-${at + i}`)));
    fault = () => 'none';

    const rows = await ask('SELECT profile, number, name FROM revisions');
    const there = new Map(rows.map(([id, number, name]) => [`${id} ${number}`, name]));
    expect(there.size).toBe(rows.length);
    for (const [key, name] of acknowledged) expect(there.get(key), key).toBe(name);
    const names = rows.map(([, , name]) => name);
    expect(new Set(names).size).toBe(names.length);
    expect(written).toBeGreaterThan(SAVES / 4);
    expect(names.length - acknowledged.size).toBeLessThanOrEqual(unsure);
  },
  SAVES * 3_000,
);
