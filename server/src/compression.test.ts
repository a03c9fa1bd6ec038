import { once } from 'node:events';
import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { createServer, get } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync, brotliDecompressSync, gunzipSync } from 'node:zlib';
import { afterEach, expect, it } from 'vitest';
import { PROFILE, testServer, type TestServer } from './testing/server.ts';

const SCRIPT = `console.log('${'a desk '.repeat(400)}');`;

let server: TestServer;
afterEach(() => server.stop());

async function serverWithScript() {
  const page = mkdtempSync(join(tmpdir(), 'sorn-page-'));
  mkdirSync(join(page, 'assets'));
  writeFileSync(join(page, 'index.html'), '<title>Sorn</title>');
  writeFileSync(join(page, 'assets/page.js'), SCRIPT);
  writeFileSync(join(page, 'assets/page.js.br'), brotliCompressSync(SCRIPT));
  server = await testServer({ page });
}

/** The answer to a request as it goes over the line, not taken apart by the client. */
async function bytesOf(path: string, encodings: string) {
  const listening = createServer(server.app).listen(0, '127.0.0.1');
  await once(listening, 'listening');
  const { port } = listening.address() as AddressInfo;
  const asked = get({ port, path, headers: { 'Accept-Encoding': encodings } });
  const [answer] = await once(asked, 'response');
  const parts: Buffer[] = [];
  for await (const part of answer) {
    parts.push(part as Buffer);
    // What goes on for ever is told from its beginning.
    if (path.endsWith('/changes')) break;
  }
  listening.closeAllConnections();
  listening.close();
  const { headers } = answer as { headers: Record<string, string | undefined> };
  return { encoding: headers['content-encoding'], bytes: Buffer.concat(parts) };
}

it('sends scripts as they were compressed when the page was built, and plain to who cannot read that', async () => {
  await serverWithScript();
  const small = await bytesOf('/assets/page.js', 'gzip, br');
  expect(small.encoding).toBe('br');
  expect(small.bytes.length).toBeLessThan(SCRIPT.length / 5);
  expect(brotliDecompressSync(small.bytes).toString()).toBe(SCRIPT);
  const plain = await bytesOf('/assets/page.js', 'identity');
  expect([plain.encoding, plain.bytes.toString()]).toEqual([undefined, SCRIPT]);
});

it('compresses what it answers', async () => {
  await serverWithScript();
  const { body } = await server.api.post('/api/demo');
  const { encoding, bytes } = await bytesOf(`/api/profiles/${body.id}`, 'gzip');
  expect(encoding).toBe('gzip');
  expect(JSON.parse(gunzipSync(bytes).toString())).toMatchObject({ id: body.id });
});

it('tells what happens at once, not when there is enough to compress', async () => {
  await serverWithScript();
  await server.api.post('/api/profiles').send({ profile: PROFILE });
  const { encoding, bytes } = await bytesOf('/api/profiles/desk/changes', 'gzip, br');
  expect(encoding).toBeUndefined();
  expect(bytes.toString()).toContain('retry:');
});
