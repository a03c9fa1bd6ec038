import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { rowsKept, zipOf } from './testing/backup-files.ts';
import { PROFILE, testServer } from './testing/server.ts';

const mounted = mkdtempSync(join(tmpdir(), 'sorn-small-'));
const isMounted =
  spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=3m', 'tmpfs', mounted]).status === 0;
afterAll(() => {
  if (isMounted) spawnSync('umount', ['-l', mounted]);
  rmSync(mounted, { recursive: true });
});

// A disk of its own takes the rights of root: elsewhere, problem.test.ts alone holds what is answered.
describe.skipIf(!isMounted)('a full disk', () => {
  it('is told by everything that writes, and nothing is lost or left half written', async () => {
    const server = await testServer({ threads: true }, mkdtempSync(join(mounted, 'data-')));
    const { api } = server;
    await api.post('/api/profiles').send({ profile: PROFILE });
    await api.post('/api/backups');
    const before = await rowsKept(server.file);
    // Down to the last bytes.
    for (const bytes of [1 << 20, 1 << 12, 512])
      for (let i = 0, isFull = false; !isFull; i++)
        try {
          writeFileSync(join(mounted, `fill-${bytes}-${i}`), Buffer.alloc(bytes));
        } catch {
          isFull = true;
        }
    const at = '/api/profiles/desk';
    const apps = Array.from({ length: 300 }, (_, i) => ({ id: `a${i}`, exec: 'x'.repeat(300) }));
    const profile = { ...PROFILE, apps };
    const windows = Array.from({ length: 900 }, (_, i) => ({ id: `w${i}`, title: 'x'.repeat(90) }));
    const backup = zipOf({
      'revisions/desk/1.json': { savedAt: '2026-01-01T00:00:00.000Z', profile },
    });
    const asks = {
      save: () => api.put(at).set('If-Match', '"1"').send({ profile }),
      create: () => api.post('/api/profiles').send({ profile }),
      session: () => api.put(`${at}/session`).set('If-Match', '"0"').send({ windows }),
      'make a backup': () => api.post('/api/backups'),
      'save a backup': () => api.get('/api/backup'),
      restore: () =>
        api.post('/api/restore').set('Content-Type', 'application/zip').send(Buffer.from(backup)),
      settings: () => api.put('/api/settings').send({ backupsAtStart: 3 }),
      'delete, after a backup': () => api.delete(at).set('If-Match', '"1"'),
    };
    for (const [name, ask] of Object.entries(asks))
      expect([name, (await ask()).status]).toEqual([name, 507]);
    expect((await api.get(at)).status).toBe(200);
    for (const name of readdirSync(mounted).filter((each) => each.startsWith('fill')))
      rmSync(join(mounted, name));
    expect(await rowsKept(server.file)).toEqual(before);
    expect(readdirSync(join(server.folder, 'backups'))).toHaveLength(1);
    expect((await asks.save()).body.revision).toBe(2);
    await server.stop();
  });
});
