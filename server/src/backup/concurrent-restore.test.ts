import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { beforeEach, describe, expect, it } from 'vitest';
import { openConnection } from '../storage/connection.ts';
import { historyIn } from '../storage/history.ts';
import { zipOf } from '../testing/backup-files.ts';
import { PROFILE, testServer, type TestServer } from '../testing/server.ts';
import { atOneMoment, ChangedMeanwhile, replaceContent } from './content.ts';
import { backupFolder } from './folder.ts';
import { restoreBackup, type Where } from './work.ts';

let server: TestServer;
let api: TestServer['api'];
const AT = '/api/profiles/desk';

beforeEach(async () => {
  server = await testServer();
  api = server.api;
  await api.post('/api/profiles').send({ profile: PROFILE });
  await save(1, 'Second');
  return server.stop;
});

const save = (base: number, name: string) =>
  api
    .put(AT)
    .set('If-Match', `"${base}"`)
    .send({ profile: { ...PROFILE, name } });

describe('a restore beside a save', () => {
  const where = async (): Promise<Where> => ({
    client: await openConnection(server.file),
    folder: join(server.folder, 'backups'),
    now: () => new Date(),
  });
  async function* nothing() {}

  it('replaces nothing where something was saved since it looked: no answered save is in neither', async () => {
    const { client } = await where();
    const mark = await atOneMoment(client, (moment) => Promise.resolve(moment.mark));
    await save(2, 'Meanwhile');
    const replacing = replaceContent(client, mark, nothing(), new Map(), new Date().toISOString());
    await expect(replacing).rejects.toBeInstanceOf(ChangedMeanwhile);
    client.close();
    expect((await api.get(AT)).body.profile.name).toBe('Meanwhile');
  });

  it('and beside a name given', async () => {
    const { client } = await where();
    const mark = await atOneMoment(client, (moment) => Promise.resolve(moment.mark));
    await historyIn(server.database.db).name('desk', 2, 'named');
    const replacing = replaceContent(client, mark, nothing(), new Map(), new Date().toISOString());
    await expect(replacing).rejects.toBeInstanceOf(ChangedMeanwhile);
    client.close();
  });

  it('ends after some tries where somebody saves all the time, and leaves no backup of before', async () => {
    const made = join(server.folder, 'made.zip');
    writeFileSync(
      made,
      zipOf({ 'revisions/desk/1.json': { savedAt: '2026-01-01T00:00:00.000Z', profile: PROFILE } }),
    );
    const there = await where();
    let base = 2;
    const client = {
      transaction: async (mode: 'read' | 'write') => {
        if (mode === 'write') await save(base, `Meanwhile ${base++}`);
        return there.client.transaction(mode);
      },
    } as Where['client'];
    await expect(restoreBackup({ ...there, client }, made)).rejects.toBeInstanceOf(
      ChangedMeanwhile,
    );
    there.client.close();
    expect(base).toBe(7);
    expect(await backupFolder(there.folder).list()).toEqual([]);
    expect((await api.get(AT)).body).toMatchObject({ revision: 7 });
  });
});
