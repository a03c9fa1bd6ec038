import express from 'express';
import { pino } from 'pino';
import request from 'supertest';
import { describe, expect, it } from 'vitest';
import { problemHandler } from './problem.ts';

/** What a route that throws is answered with. */
async function answerTo(thrown: object): Promise<[number, string]> {
  const app = express();
  app.get('/', () => {
    throw Object.assign(new Error('it failed'), thrown);
  });
  app.use(problemHandler(pino({ level: 'silent' })));
  const { status, body } = await request(app).get('/');
  return [status, body.title as string];
}

describe('a fault of the disk or of the database is told as what it is', () => {
  it.each([
    'SQLITE_FULL',
    'SQLITE_IOERR_WRITE',
    'SQLITE_IOERR_SHMSIZE',
    'ENOSPC',
    'EDQUOT',
    'EFBIG',
  ])('no room: %s', async (code) => {
    expect(await answerTo({ code })).toEqual([507, 'There is no room to save']);
    const cause = Object.assign(new Error('inside'), { code });
    if (code.startsWith('SQLITE')) expect((await answerTo({ cause }))[0]).toBe(507);
  });

  it.each(['SQLITE_READONLY_DIRECTORY', 'SQLITE_CANTOPEN', 'EACCES', 'EROFS'])(
    'not allowed: %s',
    async (code) => {
      expect(await answerTo({ code })).toEqual([503, 'The database can only be read']);
    },
  );

  it('a lock, and what nobody knows', async () => {
    expect((await answerTo({ code: 'SQLITE_BUSY' }))[1]).toBe(
      'Another program writes to the database',
    );
    expect(await answerTo({ code: 'EWHAT' })).toEqual([503, 'The database cannot be used']);
    expect((await answerTo({ status: 404 }))[0]).toBe(400);
  });
});
