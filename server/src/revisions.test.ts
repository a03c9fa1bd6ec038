import type { AddressInfo } from 'node:net';
import { publishedSchema } from '@sorn/core/files';
import { publishedLinkSchema } from '@sorn/link';
import { beforeEach, describe, expect, it } from 'vitest';
import { historyIn } from './storage/history.ts';
import { storeIn } from './storage/store.ts';
import { PROFILE, testServer, type TestServer } from './testing/server.ts';

let server: TestServer;
let api: TestServer['api'];
const AT = '/api/profiles/desk';

beforeEach(async () => {
  server = await testServer();
  api = server.api;
  return server.stop;
});

const save = (base: number, profile: object, text?: object) =>
  api
    .put(AT)
    .set('If-Match', `"${base}"`)
    .send({ profile: { ...PROFILE, ...profile }, ...(text && { text }) });

const withGap = (inner: number) => ({ tiling: { gaps: { inner } } });

describe('revisions', () => {
  it('are all kept, newest first, with what changed in words', async () => {
    await api.post('/api/profiles').send({ profile: { ...PROFILE, ...withGap(10) } });
    await save(1, withGap(6));
    await save(2, { ...withGap(6), name: 'Hut' });
    const { body } = await api.get(`${AT}/revisions`);
    expect(body.revisions).toMatchObject([
      { revision: 3, changes: ['name Desk → Hut'] },
      { revision: 2, changes: ['inner gap 10 → 6'] },
      { revision: 1, changes: [] },
    ]);
    expect(body.rule).toContain('last 2 days');
    expect((await api.get(`${AT}/revisions/2`)).body.profile.tiling.gaps).toEqual({ inner: 6 });
  });

  it('gone back to are told as what they are the same as', async () => {
    await api.post('/api/profiles').send({ profile: { ...PROFILE, ...withGap(10) } });
    await save(1, withGap(6));
    await save(2, withGap(10));
    const { body } = await api.get(`${AT}/revisions`);
    expect(body.revisions[0]).toMatchObject({
      revision: 3,
      sameAs: 1,
      changes: ['inner gap 6 → 10'],
    });
  });

  it('have names that are given and taken away', async () => {
    await api.post('/api/profiles').send({ profile: PROFILE });
    expect(
      (await api.put(`${AT}/revisions/1/name`).send({ label: ' Before the hut ' })).status,
    ).toBe(204);
    expect((await api.get(`${AT}/revisions`)).body.revisions[0].label).toBe('Before the hut');
    await api.put(`${AT}/revisions/1/name`).send({ label: '' });
    expect((await api.get(`${AT}/revisions`)).body.revisions[0]).not.toHaveProperty('label');
    expect((await api.put(`${AT}/revisions/9/name`).send({ label: 'x' })).status).toBe(404);
    expect((await api.put(`${AT}/revisions/1/name`).send({ label: 7 })).status).toBe(422);
    expect((await api.get('/api/profiles/none/revisions')).status).toBe(404);
    expect((await api.get(`${AT}/revisions/x`)).status).toBe(404);
  });

  it('grow fewer with age; the named and the newest stay', async () => {
    const { db } = server.database;
    let now = new Date('2026-01-05T06:00:00Z');
    const store = storeIn(db, () => now);
    const { profile } = (await api.post('/api/demo')).body && (await demo());
    const { id } = await store.create({ ...profile, name: 'Old' });
    for (let i = 1; i <= 5; i++) {
      now = new Date(now.getTime() + 60_000);
      await store.saveProfile(id, { ...profile, name: `Old ${i}` }, i);
    }
    const history = historyIn(db, () => new Date('2026-01-09T06:00:00Z'));
    await history.name(id, 2, 'keep me');
    expect(await history.thin(id)).toBe(4);
    const left = await history.list(id, 100, 50);
    expect(left!.map(({ revision }) => revision)).toEqual([6, 2]);
    expect(left![0]!.changes).toEqual(['name Old 1 → Old 5']);
    expect(await store.saveProfile(id, profile, 6)).toMatchObject({ revision: 7 });
  });
});

async function demo() {
  return (await api.get('/api/profiles/bulletin-desk')).body;
}

describe('a text of one’s own', () => {
  it('is kept with the profile until another is given', async () => {
    await api.post('/api/profiles').send({ profile: PROFILE });
    const text = { format: 'yaml', content: '# mine\nname: Desk\n' };
    await save(1, withGap(6), text);
    expect((await api.get(AT)).body.text).toEqual(text);
    await save(2, withGap(8));
    expect((await api.get(AT)).body.text).toEqual(text);
    await save(3, {}, { ...text, content: '# other' });
    expect((await api.get(AT)).body.text.content).toBe('# other');
    expect((await api.get(`${AT}/revisions/2`)).body.text).toEqual(text);
    expect((await save(4, {}, { format: 'xml', content: '' })).body.faults).toMatchObject([
      { path: 'text.format' },
    ]);
  });
});

it.each([
  ['profile-4', publishedSchema],
  ['link-1', publishedLinkSchema],
])('the schema %s is published', async (name, schema) => {
  const { body, headers } = await api.get(`/schema/${name}.json`);
  expect(headers['content-type']).toContain('application/schema+json');
  expect(body).toEqual(JSON.parse(JSON.stringify(schema())));
});

describe('changes told to those who listen', () => {
  it('tell at once what is there, then each save of the profile and of its session', async () => {
    await api.post('/api/profiles').send({ profile: PROFILE });
    const listening = server.app.listen(0, '127.0.0.1');
    await new Promise((resolve) => listening.once('listening', resolve));
    const { port } = listening.address() as AddressInfo;
    const answer = await fetch(`http://127.0.0.1:${port}${AT}/changes`);
    expect(answer.headers.get('content-type')).toBe('text/event-stream');
    const reader = answer.body!.pipeThrough(new TextDecoderStream()).getReader();
    let heard = '';
    const hear = async (count: number) => {
      while (heard.split('data: ').length <= count) heard += (await reader.read()).value ?? '';
      return heard
        .split('data: ')
        .slice(1)
        .map((data) => JSON.parse(data.split('\n')[0]!) as object);
    };
    expect(await hear(1)).toEqual([{ profile: 1, session: 0 }]);
    await save(1, withGap(6));
    await api.put(`${AT}/session`).set('If-Match', '"0"').send({ windows: [] });
    await save(1, withGap(7));
    await api.put(`${AT}/revisions/2/name`).send({ label: 'x' });
    expect(await hear(4)).toEqual([{ profile: 1, session: 0 }, { profile: 2 }, { session: 1 }, {}]);
    await reader.cancel();
    listening.closeAllConnections();
    await new Promise((resolve) => listening.close(resolve));
  });
});
