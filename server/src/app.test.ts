import type { Profile, SessionInput } from '@sorn/core/model';
import { beforeEach, describe, expect, it } from 'vitest';
import { storeIn } from './storage/store.ts';
import { PROFILE as profile, testServer, type TestServer } from './testing/server.ts';

let server: TestServer;
let api: TestServer['api'];

beforeEach(async () => {
  server = await testServer();
  api = server.api;
  return server.stop;
});

const create = (name = 'Desk') => api.post('/api/profiles').send({ profile: { ...profile, name } });
const save = (id: string, base: number, name: string) =>
  api
    .put(`/api/profiles/${id}`)
    .set('If-Match', `"${base}"`)
    .send({ profile: { ...profile, name } });

describe('a live desk', () => {
  it('is none where no agent was named: what is asked of it is refused, and so is nonsense', async () => {
    const ask = (body: object) => api.post('/api/live').send(body);
    const none = await ask({ ask: 'out' });
    expect([none.status, none.body.detail]).toEqual([
      404,
      'No desk is live: Sorn was started without --agent.',
    ]);
    const wrong = await ask({ ask: 'command', command: { command: 'flaot' } });
    expect([wrong.status, wrong.body.faults[0].path]).toEqual([422, 'command.command']);
    expect((await ask({ ask: 'run', program: '/bin/sh' })).status).toBe(422);
  });
});

describe('the machine', () => {
  it('is told by its host name', async () => {
    expect((await api.get('/api/machine')).body).toEqual({ host: 'here' });
  });
});

describe('profiles', () => {
  it('are created with every default, listed, and read with their revision', async () => {
    const created = await create('My desk');
    expect(created.status).toBe(201);
    expect(created.body).toMatchObject({ id: 'my-desk', revision: 1 });
    expect(created.headers['location']).toBe('/api/profiles/my-desk');
    const { body, headers } = await api.get('/api/profiles/my-desk');
    expect(headers['etag']).toBe('"1"');
    expect(body.profile.tiling.growStep).toBe(40);
    const list = await api.get('/api/profiles');
    expect(list.body).toMatchObject([{ id: 'my-desk', name: 'My desk', revision: 1 }]);
  });

  it('of one name get ids of their own', async () => {
    const ids = [await create(), await create(), await create('Ostréll!')].map(
      ({ body }) => body.id,
    );
    expect(ids).toEqual(['desk', 'desk-2', 'ostrell']);
  });

  it('make a new revision with each save, and list the newest', async () => {
    await create();
    const first = await save('desk', 1, 'Second');
    expect([first.status, first.body.revision, first.headers['etag']]).toEqual([200, 2, '"2"']);
    await save('desk', 2, 'Third');
    const { body } = await api.get('/api/profiles');
    expect(body).toMatchObject([{ id: 'desk', name: 'Third', revision: 3 }]);
  });

  it('refuse a save based on another state, and keep what is there', async () => {
    await create();
    await save('desk', 1, 'Theirs');
    const stale = await save('desk', 1, 'Mine');
    expect(stale.status).toBe(412);
    expect(stale.headers['content-type']).toMatch('application/problem+json');
    expect(stale.body).toMatchObject({ status: 412, detail: 'The present revision is 2.' });
    expect((await save('desk', 7, 'Mine')).status).toBe(412);
    expect((await api.get('/api/profiles/desk')).body.profile.name).toBe('Theirs');
  });

  it('are saved once when two saves on one base come at the same time', async () => {
    await create();
    const names = Array.from({ length: 8 }, (_, i) => `Save ${i}`);
    const answers = await Promise.all(names.map((name) => save('desk', 1, name)));
    const done = answers.filter(({ status }) => status === 200);
    expect(done).toHaveLength(1);
    expect(answers.filter(({ status }) => status === 412)).toHaveLength(7);
  });

  it('need the base of a save to be said', async () => {
    await create();
    const blind = await api.put('/api/profiles/desk').send(profile);
    expect([blind.status, blind.body.title]).toEqual([
      428,
      'A save must name the state it is based on',
    ]);
    const odd = await api.put('/api/profiles/desk').set('If-Match', '*').send(profile);
    expect(odd.status).toBe(428);
  });

  it('are deleted with their session, only in the state that was seen', async () => {
    await api.post('/api/demo');
    const id = 'bulletin-desk';
    const remove = (base: number) => api.delete(`/api/profiles/${id}`).set('If-Match', `"${base}"`);
    expect((await remove(2)).status).toBe(412);
    expect((await api.get(`/api/profiles/${id}/session`)).body.session.windows).toHaveLength(8);
    expect((await remove(1)).status).toBe(204);
    expect((await api.get(`/api/profiles/${id}`)).status).toBe(404);
    expect((await api.get(`/api/profiles/${id}/session`)).status).toBe(404);
    expect((await remove(1)).status).toBe(404);
  });
});

describe('sessions', () => {
  const put = (base: number, session: object) =>
    api.put('/api/profiles/desk/session').set('If-Match', `"${base}"`).send(session);

  it('are none at first, then kept with their own revisions', async () => {
    await create();
    expect((await api.get('/api/profiles/desk/session')).body).toEqual({ revision: 0 });
    expect((await put(0, { windows: [{ id: 'a' }] })).body.revision).toBe(1);
    expect((await put(1, { windows: [{ id: 'b' }] })).body.revision).toBe(2);
    expect((await put(1, { windows: [] })).status).toBe(412);
    const { body } = await api.get('/api/profiles/desk/session');
    expect(body.session.windows.map(({ id }: { id: string }) => id)).toEqual(['b']);
    expect((await api.get('/api/profiles')).body[0].revision).toBe(1);
  });

  it('are refused whole when something in them is wrong', async () => {
    await create();
    const bad = await put(0, { windows: [{ id: 'a' }, { id: 'a', held: 'nailed' }], focus: 'z' });
    expect(bad.status).toBe(422);
    expect(bad.body.faults).toEqual([
      {
        path: 'windows[1].held',
        found: '"nailed"',
        expected: 'one of tiled, floating, pocketed, left-alone',
      },
    ]);
    expect((await api.get('/api/profiles/desk/session')).body.revision).toBe(0);
  });
});

describe('what was kept in a former version of the format', () => {
  const former = {
    version: 1,
    name: 'Desk',
    monitors: profile.monitors,
    apps: [{ id: 'dutyline', kind: 'utility', held: 'floating' }],
  } as unknown as Profile;
  const windows = [{ id: 'a', kind: 'normal', held: 'tiled', zone: 'Upper' }];

  it('is read in the present one', async () => {
    await storeIn(server.database.db).create(former, { windows } as unknown as SessionInput);
    const { body } = await api.get('/api/profiles/desk');
    expect(body.profile).toMatchObject({
      version: 4,
      rules: [{ when: { all: [{ of: 'app', is: 'dutyline' }] }, then: { held: 'floating' } }],
    });
    const kept = await api.get('/api/profiles/desk/session');
    expect(kept.body.session.windows).toEqual([{ id: 'a', kind: 'normal', held: 'tiled' }]);
  });

  it('or of a later one is told, and left as it is', async () => {
    await storeIn(server.database.db).create({ ...former, version: 9 } as unknown as Profile);
    const { status, body } = await api.get('/api/profiles/desk');
    expect([status, body.title]).toEqual([500, 'What is kept cannot be read']);
    expect(body.faults[0]).toMatchObject({ path: 'version', found: '9' });
    expect((await api.get('/api/profiles')).body).toHaveLength(1);
  });
});

describe('bad requests', () => {
  it('get a problem document with the path of each fault', async () => {
    const bad = await api
      .post('/api/profiles')
      .send({ profile: { monitors: [{ id: 'm', width: 0 }] } });
    expect(bad.status).toBe(422);
    expect(bad.body.faults.map(({ path }: { path: string }) => path)).toEqual([
      'profile.monitors[0].width',
      'profile.monitors[0].height',
    ]);
    expect(bad.body.detail).toContain('profile.monitors[0].width is 0');
    expect((await api.get('/api/profiles')).body).toEqual([]);
  });

  it('get one for bodies that are no JSON, of another type, or too large', async () => {
    const post = (body: string, type: string) =>
      api.post('/api/profiles').set('Content-Type', type).send(body);
    expect((await post('{"profile":', 'application/json')).body.title).toBe('The body is not JSON');
    expect((await post('name: x', 'text/yaml')).status).toBe(415);
    const large = await post(JSON.stringify({ x: 'y'.repeat(9 << 20) }), 'application/json');
    expect([large.status, large.body.title]).toEqual([413, 'The body is too large']);
  });

  it('are the fault of who asked, not of the server', async () => {
    expect((await api.get('/api/profiles/%ff')).status).toBe(400);
    expect((await api.get('/%ff')).status).toBe(400);
    const post = (body: Buffer | string) =>
      api.post('/api/profiles').set('Content-Type', 'application/json').send(body);
    const packed = await post('{"profile": 1}').set('Content-Encoding', 'gzip');
    expect([packed.status, packed.body.title]).toEqual([400, 'The request cannot be read']);
    expect((await post('{}').set('Content-Encoding', 'br2')).status).toBe(400);
    expect((await post('{}').type('application/json; charset=koi9')).status).toBe(400);
    for (const body of ['null', '7', '"x"', '[]', '{"profile":null}'])
      expect([400, 422]).toContain((await post(body)).status);
    expect(server.logged).toEqual([]);
  });

  it('are refused where a body is no UTF-8: nothing is replaced without a word', async () => {
    const body = Buffer.from(JSON.stringify({ profile: { ...profile, name: 'D@sk' } }));
    body[body.indexOf('@')] = 0xff;
    const pipe = api.post('/api/profiles').set('Content-Type', 'application/json');
    pipe.write(body);
    const answer = await pipe;
    expect([answer.status, answer.body.detail]).toEqual([400, 'the body is not UTF-8']);
    expect((await api.get('/api/profiles')).body).toEqual([]);
  });

  it('of a method that does nothing get a problem document', async () => {
    for (const path of ['/', '/bulletin-desk/tiling', '/schema/profile']) {
      const { status, body, headers } = await api.post(path).send({});
      expect([status, body.status, headers['allow']]).toEqual([405, 405, 'GET, HEAD']);
    }
    expect((await api.delete('/')).headers['content-type']).toContain('problem+json');
  });

  it('get one for paths that are not there', async () => {
    expect((await api.get('/api/nothing')).status).toBe(404);
    expect((await save('none', 1, 'x')).status).toBe(404);
  });
});

describe('requests from elsewhere', () => {
  it('are refused by their Host, Origin or site', async () => {
    const get = () => api.get('/api/profiles');
    expect((await get().set('Host', 'sorn.example:4680')).status).toBe(403);
    expect((await get().set('Origin', 'http://sorn.example')).status).toBe(403);
    expect((await get().set('Sec-Fetch-Site', 'cross-site')).status).toBe(403);
    expect((await api.get('/').set('Host', 'sorn.example')).status).toBe(403);
    const own = await get().set('Host', '127.0.0.1:4680').set('Origin', 'http://127.0.0.1:4680');
    expect(own.status).toBe(200);
  });

  it('find a page that runs no script but its own files', async () => {
    const page = await api.get('/bulletin-desk/tiling');
    expect(page.text).toBe('<title>Sorn</title>');
    const policy = page.headers['content-security-policy'] ?? '';
    expect(policy).toContain("script-src 'self';");
    expect(policy).toContain("frame-ancestors 'none'");
  });
});
