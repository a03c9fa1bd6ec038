import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { strToU8, zipSync } from 'fflate';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { rowsKept, zipOf } from '../testing/backup-files.ts';
import { PROFILE, testServer, type TestServer } from '../testing/server.ts';

const AT = '2026-01-01T00:00:00.000Z';
const REVISION = { savedAt: AT, profile: PROFILE };
const SESSION = { number: 1, savedAt: AT, session: {} };
const NAME = 'revisions/desk/1.json';
const sessionFiles = (session: object) => ({
  [NAME]: REVISION,
  'sessions/desk.json': { ...SESSION, ...session },
});
const revisionFile = (revision: object) => ({ [NAME]: { ...REVISION, ...revision } });

let server: TestServer;
beforeAll(async () => {
  server = await testServer({ threads: true });
  await server.api.post('/api/profiles').send({ profile: PROFILE });
});
afterAll(() => server.stop());

const restore = (bytes: Uint8Array) =>
  server.api.post('/api/restore').set('Content-Type', 'application/zip').send(Buffer.from(bytes));

/** What a restore is refused for, after which everything is as it was. */
async function refusal(bytes: Uint8Array): Promise<string> {
  const before = await rowsKept(server.file);
  const { status, body } = await restore(bytes);
  expect(await rowsKept(server.file)).toEqual(before);
  expect((await server.api.get('/api/backups')).body.backups).toEqual([]);
  expect(status).toBe(422);
  return body.detail as string;
}

describe('a crafted backup is refused whole', () => {
  it.each([
    ['a number beyond all', sessionFiles({ number: 1e21 }), 'number: 1e+21'],
    ['no whole number', sessionFiles({ number: 1.5 }), 'number: 1.5'],
    ['a number that is text', sessionFiles({ number: '7' }), 'number: "7"'],
    ['no number', sessionFiles({ number: null }), 'number: null'],
    ['a date of nonsense in a session', sessionFiles({ savedAt: 'soon' }), 'savedAt: "soon"'],
    ['a date of nonsense', revisionFile({ savedAt: '2026-13-77' }), 'savedAt: "2026-13-77"'],
    ['a date that is a number', revisionFile({ savedAt: 7 }), 'savedAt: 7'],
    ['a name of 100,000 characters', revisionFile({ label: 'x'.repeat(100_000) }), 'label'],
    ['a name that is none', revisionFile({ label: null }), 'label: null'],
    ['a text that is none', revisionFile({ text: { format: 'doc', content: '' } }), 'text.format'],
    ['a text that is null', revisionFile({ text: null }), 'text: null'],
    ['no profile', revisionFile({ profile: null }), 'profile: null'],
    ['no object', { [NAME]: null }, 'null'],
    ['a list', { [NAME]: [1] }, '[1]'],
    ['what nobody wrote', revisionFile({ more: 1 }), 'more'],
    ['a session without a profile', { 'sessions/desk.json': SESSION }, 'has no profile'],
    [
      'a number past all that are exact',
      { 'revisions/desk/9999999999999999.json': REVISION },
      'no number',
    ],
    ['a path that leads elsewhere', { 'revisions/../1.json': REVISION }, 'no ZIP archive'],
    ['an id that is none', { 'revisions/DESK/1.json': REVISION }, 'none of a backup’s files'],
    ['bytes that are no text', { [NAME]: new Uint8Array([0x22, 0xff, 0x22]) }, 'not UTF-8'],
  ])('%s', async (_name, files, says) => {
    expect(await refusal(zipOf(files))).toContain(says);
  });

  it.each([
    ['files of null', { files: null }],
    ['files that are numbers', { files: { [NAME]: 7 } }],
    ['files in a list', { files: [NAME] }],
    ['no date', { madeAt: 'yesterday' }],
    ['a version that is text', { version: 'one' }],
    ['null for a word', { sorn: null }],
  ])('a list with %s', async (_name, list) => {
    expect(await refusal(zipOf({ [NAME]: REVISION }, list))).toContain('backup.json is not that');
  });

  it('what is small and unpacks to much, is not unpacked', async () => {
    const bomb = zipSync({ 'backup.json': new Uint8Array(30 * 1024 ** 2) }, { level: 9 });
    expect(bomb.length).toBeLessThan(50_000);
    expect(await refusal(bomb)).toContain('larger than a backup of its size');
    const many = Object.fromEntries(
      Array.from({ length: 40 }, (_, i) => [`a${i}`, new Uint8Array(1024 ** 2)]),
    );
    expect(await refusal(zipSync(many))).toContain('larger than a backup of its size');
  });

  it('what says that it is smaller than it is', async () => {
    const bytes = zipOf({ [NAME]: { ...REVISION, label: 'x'.repeat(80) } });
    // The size unpacked stands in the central directory, 24 bytes behind its mark.
    const lie = Buffer.from(bytes);
    for (let at = lie.indexOf('PK\x01\x02'); at >= 0; at = lie.indexOf('PK\x01\x02', at + 4))
      lie.writeUInt32LE(10, at + 24);
    expect(await refusal(lie)).toContain('cannot be unpacked');
  });

  it('what names one file twice', async () => {
    const bytes = Buffer.from(zipOf({ [NAME]: REVISION, 'revisions/desk/2.json': REVISION }));
    const twice = Buffer.from(
      bytes.toString('latin1').replaceAll('revisions/desk/2.json', NAME),
      'latin1',
    );
    expect(await refusal(twice)).toContain(`two files called ${NAME}`);
  });
});

describe('the largest numbers', () => {
  const most = Number.MAX_SAFE_INTEGER;
  const numbers = async () =>
    (await rowsKept(server.file)).map(({ profile, number }) => [profile, number]);

  it('are given anew, in their order: there is always a next one', async () => {
    const files = {
      'revisions/far/7.json': { ...REVISION, savedAt: '2025-01-01T00:00:00.000Z' },
      [`revisions/far/${most}.json`]: REVISION,
      'sessions/far.json': { ...SESSION, number: most },
      'revisions/near/1000000000000.json': REVISION,
    };
    expect((await restore(zipOf(files))).status).toBe(200);
    expect(await numbers()).toEqual([
      ['far', 1],
      ['far', 2],
      ['near', 1e12],
      ['far', 1],
    ]);
    const saved = await server.api
      .put('/api/profiles/near')
      .set('If-Match', '"1000000000000"')
      .send({ profile: { ...PROFILE, name: 'Next' } });
    expect(saved.body.revision).toBe(1e12 + 1);
    const { body } = await server.api.post('/api/backups');
    const again = await server.api.post('/api/restore').send({ backup: body.name });
    expect(again.status).toBe(200);
  });
});

describe('a backup in the folder that is none', () => {
  it('is told as one, and the others can be used', async () => {
    const name = 'sorn-2026-01-01T00-00-00-000Z-asked.zip';
    const made = (await server.api.post('/api/backups')).body.name as string;
    writeFileSync(join(server.folder, 'backups', name), strToU8('PK no'));
    const answer = await server.api.post('/api/restore/check').send({ backup: name });
    expect([answer.status, answer.body.detail]).toEqual([
      422,
      'it is no ZIP archive, or a broken one',
    ]);
    expect((await server.api.post('/api/restore/check').send({ backup: made })).status).toBe(200);
  });
});
