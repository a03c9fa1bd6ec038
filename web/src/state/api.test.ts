import { afterEach, describe, expect, it, vi } from 'vitest';
import { api, ApiError } from './api.ts';

const answering = (status: number, body: unknown) =>
  vi.stubGlobal('fetch', async () =>
    body === undefined
      ? new Response(null, { status })
      : new Response(typeof body === 'string' ? body : JSON.stringify(body), { status }),
  );
const refusal = async (asked: Promise<unknown>) => {
  const error: unknown = await asked.then(
    () => null,
    (thrown: unknown) => thrown,
  );
  expect(error).toBeInstanceOf(ApiError);
  return error as ApiError;
};
afterEach(() => void vi.unstubAllGlobals());

describe('what the server answers', () => {
  it('is given as the contract has it, with every default', async () => {
    const profile = { name: 'Desk', monitors: [{ id: 'm', width: 1920, height: 1080 }] };
    answering(200, { id: 'desk', revision: 3, savedAt: '2026-03-02T08:00:00Z', profile });
    const { profile: read, revision } = await api.read('desk');
    expect([revision, read.tiling.growStep]).toEqual([3, 40]);
  });

  it('is refused with its path where it is not so', async () => {
    const one = { revision: 2, savedAt: '2026-03-02T08:00:00Z', changes: [] };
    const list = { revisions: [one, { ...one, revision: 'first' }], rule: '', most: 50 };
    answering(200, list);
    const error = await refusal(api.revisions('desk'));
    expect(error.message).toBe(
      'The server answered what this page does not know: revisions[1].revision is "first"; expected a whole number.',
    );
    expect(error.faults[0]?.path).toBe('revisions[1].revision');
  });

  it.each([['<html>'], [''], ['[{']])('is refused where it is %j', async (text) => {
    answering(200, text);
    expect((await refusal(api.list())).message).toMatch(/the answer is nothing/);
  });

  it('is nothing where nothing is to be told', async () => {
    answering(204, undefined);
    expect(await api.remove('desk', 4)).toBeUndefined();
  });
});

describe('a refusal', () => {
  it('tells title, detail and faults', async () => {
    const faults = [{ path: 'name', found: '7', expected: 'text' }];
    const type = 'urn:sorn:problem:invalid';
    answering(422, {
      type,
      status: 422,
      title: 'The content is not valid',
      detail: 'name',
      faults,
    });
    const error = await refusal(api.create({}));
    expect([error.status, error.message, error.faults]).toEqual([
      422,
      'The content is not valid: name',
      faults,
    ]);
  });

  it('of something else than the server tells its number', async () => {
    answering(502, '<h1>Bad gateway</h1>');
    expect((await refusal(api.list())).message).toBe('The server answered 502.');
  });

  it('that did not reach it says so', async () => {
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no route')));
    const error = await refusal(api.list());
    expect([error.status, error.message]).toEqual([0, 'The server does not answer.']);
  });
});

it('sends what is saved with the state it is based on, to a path that any id is safe in', async () => {
  const asked = vi.fn(
    async (..._asked: [string, RequestInit]) =>
      new Response('{"revision":8,"savedAt":"2026-03-02T08:00:00Z"}'),
  );
  vi.stubGlobal('fetch', asked);
  const session = { windows: [] } as unknown as Parameters<typeof api.saveSession>[1];
  expect(await api.saveSession('a b?', session, 7)).toMatchObject({ revision: 8 });
  const [path, { method, headers, body }] = asked.mock.calls[0]!;
  expect([path, method, body]).toEqual(['/api/profiles/a%20b%3F/session', 'PUT', '{"windows":[]}']);
  expect(headers).toMatchObject({ 'If-Match': '"7"', 'Content-Type': 'application/json' });
});
