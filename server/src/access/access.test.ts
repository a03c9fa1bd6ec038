import { mkdtempSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { PROFILE, testServer, type TestServer } from '../testing/server.ts';
import { tokenIn } from './token.ts';

const TOKEN = 'a-token-of-the-test';

describe('a server with a token', () => {
  let server: TestServer;
  let api: TestServer['api'];
  beforeEach(async () => {
    server = await testServer({
      token: TOKEN,
      hosts: { names: ['desk.example'], byAddress: true },
    });
    api = server.api;
    return server.stop;
  });

  const logIn = (token: string, next = '') =>
    api.post(`/login${next}`).type('form').send({ token });
  const cookieOf = (answer: { headers: Record<string, unknown> }) =>
    (answer.headers['set-cookie'] as string[] | undefined)?.[0] ?? '';
  const pairOf = (cookie: string) => cookie.split(';')[0]!;

  it('lets nobody in without it, whatever Host they name', async () => {
    for (const host of ['127.0.0.1:4680', 'localhost', 'desk.example', '192.0.2.7', '[::1]:80']) {
      const asked = await api.get('/api/profiles').set('Host', host);
      expect([asked.status, asked.body.title]).toEqual([401, 'Log in first']);
    }
    const saving = await api.post('/api/profiles').send({ profile: PROFILE });
    expect(saving.status).toBe(401);
    const page = await api.get('/bulletin-desk/tiling?a=1');
    expect([page.status, page.headers['location']]).toEqual([
      303,
      '/login?next=%2Fbulletin-desk%2Ftiling%3Fa%3D1',
    ]);
    expect((await api.get('/assets/index.js')).status).toBe(303);
    expect((await api.get('/login')).text).toContain('type="password"');
  });

  it('gives a cookie for it that no script and no other site can use', async () => {
    const done = await logIn(TOKEN, '?next=/bulletin-desk');
    expect([done.status, done.headers['location']]).toEqual([303, '/bulletin-desk']);
    const cookie = cookieOf(done);
    expect(cookie).toMatch(/^sorn=\S+; Max-Age=2592000; Path=\/; HttpOnly; SameSite=Strict$/i);
    expect(cookie).not.toContain(TOKEN);
    const asked = await api.get('/api/profiles').set('Cookie', pairOf(cookie));
    expect(asked.status).toBe(200);
    expect(asked.headers['cache-control']).toContain('no-store');
    const behindTls = await logIn(TOKEN).set('X-Forwarded-Proto', 'https');
    expect(cookieOf(behindTls)).toMatch(/; Secure/);
  });

  it('takes no cookie that it did not make, and none that is too old', async () => {
    const [, value = ''] = pairOf(cookieOf(await logIn(TOKEN))).split('=');
    const [until = '', proof = ''] = value.split('.');
    const get = (cookie: string) => api.get('/api/profiles').set('Cookie', `sorn=${cookie}`);
    expect((await get(`${until}.${proof}`)).status).toBe(200);
    expect((await get(`${Number(until) + 1}.${proof}`)).status).toBe(401);
    expect((await get(`${until}.${proof.slice(1)}`)).status).toBe(401);
    expect((await get('')).status).toBe(401);
    expect((await get('%00%ff')).status).toBe(401);
    const other = await testServer({ token: 'another-token-of-it' });
    const there = await other.api.get('/api/profiles').set('Cookie', `sorn=${value}`);
    await other.stop();
    expect(there.status).toBe(401);
  });

  it('takes it from programs, and lets people log out', async () => {
    const get = (token: string) => api.get('/api/profiles').set('Authorization', `Bearer ${token}`);
    expect((await get(TOKEN)).status).toBe(200);
    expect((await get('wrong')).status).toBe(401);
    const cookie = pairOf(cookieOf(await logIn(TOKEN)));
    expect((await api.get('/login').set('Cookie', cookie)).text).toContain('Log out');
    const out = await api.post('/logout').set('Cookie', cookie);
    expect(cookieOf(out)).toMatch(/^sorn=; Max-Age=0/);
  });

  it('lets nobody guess: ten wrong ones, then none for a while', async () => {
    for (let i = 0; i < 10; i++) expect((await logIn(`wrong ${i}`)).status).toBe(401);
    expect((await logIn(TOKEN)).status).toBe(429);
    const program = await api.get('/api/profiles').set('Authorization', `Bearer ${TOKEN}`);
    expect([program.status, program.body.title]).toEqual([429, 'Too many tries']);
  });

  it('takes many requests of a program at once for no tries', async () => {
    const get = () => api.get('/api/profiles').set('Authorization', `Bearer ${TOKEN}`);
    const answers = await Promise.all(Array.from({ length: 40 }, get));
    expect(new Set(answers.map(({ status }) => status))).toEqual(new Set([200]));
  });

  it('goes nowhere else after the login', async () => {
    for (const next of ['//evil.example', '/\\evil.example', 'https://evil.example', '/login']) {
      const done = await logIn(TOKEN, `?next=${encodeURIComponent(next)}`);
      expect(done.headers['location']).toBe('/');
    }
  });

  it('answers to the names it was given alone, and says how to give one', async () => {
    const get = (host: string) => api.get('/login').set('Host', host);
    expect((await get('DESK.example:80')).status).toBe(200);
    const other = await get('other.example:4680');
    expect(other.status).toBe(403);
    expect(other.body.detail).toContain('--name other.example');
    const foreign = await logIn(TOKEN).set('Origin', 'http://other.example');
    expect(foreign.status).toBe(403);
  });
});

describe('the file of the token', () => {
  let folder = '';
  beforeAll(() => void (folder = mkdtempSync(join(tmpdir(), 'sorn-token-'))));
  afterAll(() => rmSync(folder, { recursive: true }));

  it('is made where it is not there, for its owner alone', () => {
    const file = join(folder, 'new/token');
    const token = tokenIn(file);
    expect(token).toMatch(/^[\w-]{32}$/);
    expect((statSync(file).mode & 0o777).toString(8)).toBe('600');
    expect(tokenIn(file)).toBe(token);
    expect(tokenIn(join(folder, 'other'))).not.toBe(token);
  });

  it('is refused where others can read it, or it is too short', () => {
    const written = (text: string, mode: number) => {
      const file = join(folder, `token-${mode}-${text.length}`);
      writeFileSync(file, text, { mode });
      return () => tokenIn(file);
    };
    expect(written(`${TOKEN}\n`, 0o600)()).toBe(TOKEN);
    expect(written(TOKEN, 0o640)).toThrow('chmod 600');
    expect(written('short', 0o600)).toThrow('at least 16 characters');
    expect(written('two lines of words\nand more', 0o600)).toThrow('without spaces');
  });
});
