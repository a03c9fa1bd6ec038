import { chmodSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Response } from 'supertest';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { beforeEach, describe, expect, it } from 'vitest';
import { PROFILE, testServer, type TestServer } from '../testing/server.ts';
import { rowsIn, rowsKept, zipOf } from '../testing/backup-files.ts';
import { databaseCode } from '../storage/database-code.ts';
import { openConnection } from '../storage/connection.ts';
import { backupFolder } from './folder.ts';
import { backupAtStart, keepBackup, restoreBackup } from './work.ts';

let server: TestServer;
let api: TestServer['api'];
const AT = '/api/profiles/desk';

beforeEach(async () => {
  server = await testServer();
  api = server.api;
  await api.post('/api/profiles').send({ profile: PROFILE });
  await save(1, 'Second');
  await api.put(`${AT}/revisions/1/name`).send({ label: 'The first' });
  await api.post('/api/demo');
  return server.stop;
});

const save = (base: number, name: string) =>
  api
    .put(AT)
    .set('If-Match', `"${base}"`)
    .send({ profile: { ...PROFILE, name }, text: { format: 'yaml', content: `# ${name}` } });

async function backup(): Promise<Buffer> {
  const { body } = await api.get('/api/backup').buffer().parse(binary);
  return body as Buffer;
}

function binary(
  response: Pick<Response, 'on'>,
  done: (error: Error | null, body: unknown) => void,
) {
  const parts: Buffer[] = [];
  response.on('data', (part: Buffer) => parts.push(part));
  response.on('end', () => done(null, Buffer.concat(parts)));
}

const send = (path: string, bytes: Buffer | Uint8Array) =>
  api.post(path).set('Content-Type', 'application/zip').send(Buffer.from(bytes));

const everything = () => rowsKept(server.file);

async function rowsOf(bytes: Uint8Array) {
  const path = join(server.folder, 'asked.zip');
  writeFileSync(path, bytes);
  return rowsIn(path);
}

describe('a backup', () => {
  it('has everything, and reads back as what it was made of', async () => {
    const rows = await rowsOf(await backup());
    expect(
      rows.map(({ kind, profile, number, savedAt, content, ...rest }) => ({
        profile,
        number,
        ...(kind === 'revision' && 'name' in rest
          ? { name: rest.name, label: rest.label, own_text: rest.ownText }
          : {}),
        saved_at: savedAt,
        content,
      })),
    ).toEqual(await everything());
    expect(rows.map(({ profile, number }) => [profile, number])).toEqual([
      ['bulletin-desk', 1],
      ['desk', 1],
      ['desk', 2],
      ['bulletin-desk', 1],
    ]);
    expect(rows[1]).toMatchObject({ label: 'The first' });
  });

  it('is open: JSON files in a ZIP archive', async () => {
    const files = unzipSync(await backup());
    expect(Object.keys(files).sort()).toEqual([
      'README.txt',
      'backup.json',
      'revisions/bulletin-desk/1.json',
      'revisions/desk/1.json',
      'revisions/desk/2.json',
      'sessions/bulletin-desk.json',
    ]);
  });

  it('restored brings all of it back, and what was there before is kept', async () => {
    const made = await backup();
    const before = await everything();
    await save(2, 'Third');
    await api.post('/api/profiles').send({ profile: { ...PROFILE, name: 'Another' } });
    const check = await send('/api/restore/check', made);
    expect(check.body.profiles).toMatchObject([
      { id: 'another', here: { revision: 1 }, backup: null, isSame: false },
      { id: 'bulletin-desk', isSame: true },
      { id: 'desk', here: { revision: 3 }, backup: { revision: 2, revisions: 2 }, isSame: false },
    ]);
    expect((await api.get(AT)).body.profile.name).toBe('Third');

    const restored = await send('/api/restore', made);
    expect(restored.status).toBe(200);
    const after = await everything();
    // Revision 3 is what was here: what is restored goes on beyond it, so that no number means two states.
    const beyond = after.find(({ number }) => number === 4)!;
    expect(beyond).toMatchObject({ profile: 'desk', content: before[2]!['content'] });
    expect(after.filter((row) => row !== beyond)).toEqual(before);

    const back = await api.post('/api/restore').send({ backup: restored.body.before });
    expect(back.status).toBe(200);
    expect((await api.get(AT)).body).toMatchObject({ revision: 5, profile: { name: 'Third' } });
    expect((await api.get('/api/profiles/another')).status).toBe(200);
  });

  it('is refused where anything about it is not right, and nothing is replaced', async () => {
    const made = await backup();
    const before = await everything();
    const files = unzipSync(made);
    const list = JSON.parse(Buffer.from(files['backup.json']!).toString()) as object;
    const broken: [string, Uint8Array][] = [
      ['no ZIP archive', strToU8('PK')],
      ['no ZIP archive', made.subarray(0, made.length - 40)],
      ['no backup.json', zipSync({ 'a.txt': strToU8('a') })],
      ['revisions/desk/2.json is missing', zipSync(without(files, 'revisions/desk/2.json'))],
      ['not as it was', zipSync({ ...files, 'revisions/desk/2.json': strToU8('{}') })],
      ['not in the list', zipSync({ ...files, 'revisions/desk/3.json': strToU8('{}') })],
      [
        'version 7',
        zipSync({ ...files, 'backup.json': strToU8(JSON.stringify({ ...list, version: 7 })) }),
      ],
    ];
    for (const [says, bytes] of broken) {
      for (const path of ['/api/restore/check', '/api/restore']) {
        const { status, body } = await send(path, bytes);
        expect([status, body.detail]).toEqual([422, expect.stringContaining(says)]);
      }
    }
    expect(await everything()).toEqual(before);
    expect((await api.post('/api/restore').send({ backup: '../sorn.db' })).status).toBe(404);
    expect((await api.post('/api/restore').send({})).status).toBe(415);
  });
});

const without = (files: Record<string, Uint8Array>, name: string) =>
  Object.fromEntries(Object.entries(files).filter(([each]) => each !== name));

describe('the folder of backups', () => {
  const folderOf = () => backupFolder(join(server.folder, 'backups'));

  it('keeps the newest made at a start, and makes none where nothing changed', async () => {
    const folder = folderOf();
    const client = await openConnection(server.file);
    const where = { client, folder: folder.path, now: () => new Date() };
    for (let i = 2; i < 6; i++) {
      await backupAtStart(where, 3);
      await backupAtStart(where, 3);
      await save(i, `State ${i}`);
    }
    await keepBackup(where, 'asked');
    const list = await folder.list();
    expect(list.map(({ why }) => why)).toEqual(['asked', 'start', 'start', 'start']);
    expect(readdirSync(folder.path)).toHaveLength(4);
    const names: unknown[] = [];
    for (const { name } of list) {
      const rows = await rowsIn(join(folder.path, name));
      names.push(rows.flatMap((row) => ('name' in row ? [row.name] : [])).at(-1));
    }
    expect(names).toEqual(['State 5', 'State 4', 'State 3', 'State 2']);
    await backupAtStart(where, 0);
    expect(await folder.list()).toHaveLength(4);
    client.close();
  });

  it('keeps the newest ten made before a restore, and all that were asked for; the rule is told', async () => {
    const folder = folderOf();
    const client = await openConnection(server.file);
    const where = { client, folder: folder.path, now: () => new Date('2026-01-01') };
    for (let i = 0; i < 12; i++) await keepBackup(where, 'asked');
    for (let i = 0; i < 12; i++) await keepBackup(where, 'before-restore');
    client.close();
    const list = await folder.list();
    const count = (why: string) => list.filter((file) => file.why === why).length;
    expect([count('asked'), count('before-restore')]).toEqual([12, 10]);
    expect(new Set(list.map(({ madeAt }) => madeAt)).size).toBe(22);
    expect((await api.get('/api/backups')).body.rule).toContain('newest 10');
  });

  it('has nothing half written after a start, and nothing that others can read', async () => {
    const folder = folderOf();
    const name = await server.backups.keep('asked');
    const gone = 2 ** 22 - 1;
    writeFileSync(join(folder.path, `x.zip.part-${gone}-1`), 'half', { mode: 0o644 });
    writeFileSync(join(folder.path, `y.zip.part-${process.ppid}-1`), 'under way');
    chmodSync(join(folder.path, name), 0o644);
    chmodSync(folder.path, 0o755);
    await server.backups.atStart(0);
    expect(readdirSync(folder.path).sort()).toEqual([name, `y.zip.part-${process.ppid}-1`]);
    expect(rightsOf(join(folder.path, name))).toBe('600');
    expect(rightsOf(folder.path)).toBe('700');
    const made = await server.backups.keep('asked');
    expect(rightsOf(join(folder.path, made))).toBe('600');
    expect(rightsOf(server.file)).toBe('600');
    expect(rightsOf(`${server.file}-wal`)).toBe('600');
  });

  it('is told and read, but for files of others', async () => {
    const { body } = await api.post('/api/backups');
    writeFileSync(join(server.folder, 'backups', 'diary.zip'), 'private');
    const { body: listed } = await api.get('/api/backups');
    expect(listed.backups).toMatchObject([{ name: body.name, why: 'asked' }]);
    const read = await api.get(`/api/backups/${body.name}`).buffer().parse(binary);
    expect(await rowsOf(read.body as Buffer)).toHaveLength((await everything()).length);
    expect((await api.get('/api/backups/diary.zip')).status).toBe(404);
    expect((await api.get('/api/backups/..%2Fsorn.db')).status).toBe(404);
  });

  it('has what was there before a profile was deleted, and a deletion that is refused makes none', async () => {
    const before = await everything();
    expect((await api.delete(AT).set('If-Match', '"1"')).status).toBe(412);
    expect(await folderOf().list()).toEqual([]);
    expect((await api.delete(AT).set('If-Match', '"2"')).status).toBe(204);
    const [file] = await folderOf().list();
    expect(file).toMatchObject({ why: 'before-delete' });
    expect((await api.post('/api/restore').send({ backup: file!.name })).status).toBe(200);
    expect(await everything()).toEqual(before);
  });

  it('has a setting for how many are kept', async () => {
    expect((await api.get('/api/settings')).body).toEqual({ backupsAtStart: 5 });
    expect((await api.put('/api/settings').send({ backupsAtStart: 0 })).status).toBe(200);
    expect((await api.get('/api/settings')).body).toEqual({ backupsAtStart: 0 });
    expect((await api.put('/api/settings').send({ backupsAtStart: -1 })).body.faults).toMatchObject(
      [{ path: 'backupsAtStart' }],
    );
  });
});

describe('a database without room, or that may only be read', () => {
  const spacious = {
    ...PROFILE,
    apps: Array.from({ length: 300 }, (_, i) => ({ id: `a${i}`, exec: 'x'.repeat(3000) })),
  };
  const put = () => api.put(AT).set('If-Match', '"2"').send({ profile: spacious });
  const pragma = (text: string) => server.database.client.execute(`PRAGMA ${text}`);

  it('says so, keeps what was there, and saves when there is room again', async () => {
    const { rows } = await pragma('page_count');
    await pragma(`max_page_count = ${String(rows[0]!['page_count'])}`);
    const full = await put();
    expect([full.status, full.body.title]).toEqual([507, 'There is no room to save']);
    expect(server.logged.join()).toContain('There is no room to save');
    expect(server.logged.join()).toContain('SQLITE_FULL');
    expect((await api.get(AT)).body).toMatchObject({ revision: 2, profile: { name: 'Second' } });
    const before = await everything();
    await noRoomFor(bigger());
    expect(await everything()).toEqual(before);
    await pragma('max_page_count = 1000000');
    expect((await put()).body).toMatchObject({ revision: 3 });
  });

  it('the same where it is read-only', async () => {
    await pragma('query_only = ON');
    const refused = await put();
    expect([refused.status, refused.body.title]).toEqual([503, 'The database can only be read']);
    expect(server.logged.join()).toContain('SQLITE_READONLY');
    expect((await api.get(AT)).status).toBe(200);
    await pragma('query_only = OFF');
    expect((await put()).body).toMatchObject({ revision: 3 });
  });

  /** Restores a backup over a connection that may not make the database larger. */
  async function noRoomFor(backup: Uint8Array): Promise<void> {
    const path = join(server.folder, 'bigger.zip');
    writeFileSync(path, backup);
    const client = await openConnection(server.file);
    const { rows } = await client.execute('PRAGMA page_count');
    await client.execute(`PRAGMA max_page_count = ${String(rows[0]!['page_count'])}`);
    const folder = join(server.folder, 'backups');
    const restoring = restoreBackup({ client, folder, now: () => new Date() }, path);
    expect(databaseCode(await restoring.catch((error: unknown) => error))).toBe('SQLITE_FULL');
    client.close();
    expect(readdirSync(folder)).toEqual([]);
  }

  /** A backup that does not fit into what is there. */
  const bigger = () =>
    zipOf({
      'revisions/big/1.json': { savedAt: '2026-01-01T00:00:00.000Z', profile: spacious },
    });
});

const rightsOf = (path: string) => (statSync(path).mode & 0o777).toString(8);
