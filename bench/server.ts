import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { createClient } from '@libsql/client';

const MAIN = fileURLToPath(new URL('../../server/dist/main.js', import.meta.url));
const REVISIONS = 1_000;
const READERS = 20;
const AT = '/api/profiles/desk';

interface Server {
  url: string;
  child: ChildProcess;
}

async function serverOn(file: string): Promise<Server> {
  // As scripts/serve.mjs starts it.
  const flags = ['--max-semi-space-size=2', '--optimize-for-size'];
  const child = spawn(process.execPath, [...flags, MAIN, '--data', file, '--port', '0'], {
    stdio: ['ignore', 'pipe', 'inherit'],
    env: { MALLOC_ARENA_MAX: '2', ...process.env },
  });
  const url = await new Promise<string>((resolve) => {
    child.stdout!.on('data', (text: Buffer) => {
      const address = /http:\S+/.exec(text.toString());
      if (address) resolve(address[0]);
    });
  });
  return { url, child };
}

function ended(child: ChildProcess): Promise<void> {
  return new Promise((resolve) => {
    child.once('close', () => resolve());
    child.kill('SIGTERM');
  });
}

/** A profile of about 8 kB; each number makes another. */
function profileOf(number: number): object {
  const app = (i: number) => ({
    id: `app-${i}`,
    name: `App ${i} of state ${number}`,
    title: `What it shows in state ${number}`,
    min: { width: 400 + i, height: 300 },
  });
  const apps = Array.from({ length: 72 }, (_, i) => app(i));
  return { name: `State ${number}`, monitors: [{ id: 'm', width: 1920, height: 1080 }], apps };
}

const percentile = (values: readonly number[], share: number) =>
  [...values].sort((a, b) => a - b)[
    Math.min(values.length - 1, Math.floor(share * values.length))
  ]!;
const ms = (value: number) => `${value.toFixed(value < 10 ? 2 : 0)} ms`;
const spread = (values: readonly number[]) =>
  `median ${ms(percentile(values, 0.5))}, 99th percentile ${ms(percentile(values, 0.99))}`;

/** The most memory a process had, in MB. */
function peakMegabytes({ child }: Server): number {
  const status = readFileSync(`/proc/${child.pid}/status`, 'utf8');
  return Number(/VmHWM:\s+(\d+)/.exec(status)![1]) / 1024;
}

function sizeOf(file: string): number {
  return [file, `${file}-wal`]
    .filter((each) => existsSync(each))
    .reduce((total, each) => total + statSync(each).size, 0);
}

async function timed<T>(times: number[], act: () => Promise<T>): Promise<T> {
  const start = performance.now();
  const done = await act();
  times.push(performance.now() - start);
  return done;
}

async function send(url: string, method: string, body: unknown, base?: number): Promise<Response> {
  const answer = await fetch(url, {
    method,
    headers: {
      'Content-Type': 'application/json',
      ...(base !== undefined && { 'If-Match': `"${base}"` }),
    },
    body: JSON.stringify(body),
  });
  if (!answer.ok) throw new Error(`${method} ${url}: ${answer.status} ${await answer.text()}`);
  return answer;
}

/** A thousand saves by the server, beside the same rows written by bare libSQL with the same durability. */
async function benchSaves(folder: string): Promise<string> {
  const file = join(folder, 'saves.db');
  const server = await serverOn(file);
  await send(`${server.url}/api/profiles`, 'POST', { profile: { ...profileOf(0), name: 'Desk' } });
  const before = sizeOf(file);
  const saves: number[] = [];
  for (let base = 1; base <= REVISIONS; base++) {
    const body = { profile: profileOf(base) };
    const answer = await timed(saves, () => send(server.url + AT, 'PUT', body, base));
    await answer.arrayBuffer();
  }
  const grown = sizeOf(file) - before;
  await ended(server.child);

  const { rows } = await (async () => {
    const client = createClient({ url: `file:${file}` });
    const result = await client.execute('SELECT * FROM revisions WHERE number > 1 ORDER BY number');
    client.close();
    return result;
  })();
  const bareFile = join(folder, 'bare.db');
  const bare = createClient({ url: `file:${bareFile}`, concurrency: 1 });
  await bare.execute('PRAGMA journal_mode = WAL');
  await bare.execute('PRAGMA synchronous = FULL');
  await bare.execute(
    'CREATE TABLE revisions (profile TEXT NOT NULL, number INTEGER NOT NULL, name TEXT NOT NULL, saved_at TEXT NOT NULL, content TEXT NOT NULL, label TEXT, own_text TEXT, PRIMARY KEY (profile, number))',
  );
  const bareBefore = sizeOf(bareFile);
  const inserts: number[] = [];
  for (const row of rows) {
    const args = ['profile', 'number', 'name', 'saved_at', 'content', 'label', 'own_text'].map(
      (name) => row[name] ?? null,
    );
    await timed(inserts, () =>
      bare.execute({ sql: 'INSERT INTO revisions VALUES (?, ?, ?, ?, ?, ?, ?)', args }),
    );
  }
  const bareGrown = sizeOf(bareFile) - bareBefore;
  bare.close();
  return [
    `1,000 saves of ${(JSON.stringify(profileOf(1)).length / 1000).toFixed(1)} kB by HTTP: ${spread(saves)}`,
    `  bare libSQL, the same rows: ${spread(inserts)}; ratio of medians ${(percentile(saves, 0.5) / percentile(inserts, 0.5)).toFixed(2)}`,
    `  file and its log grew by ${(grown / 1e6).toFixed(1)} MB, bare by ${(bareGrown / 1e6).toFixed(1)} MB; ratio ${(grown / bareGrown).toFixed(2)}`,
  ].join('\n');
}

/** Twenty readers while a backup of a thousand revisions is restored, beside as many without it. */
async function benchRestore(folder: string): Promise<string> {
  const file = join(folder, 'saves.db');
  const server = await serverOn(file);
  const backup = await (await fetch(`${server.url}/api/backup`)).blob();
  async function read(times: number[], isOver: () => boolean): Promise<void> {
    while (!isOver()) {
      const answer = await timed(times, () => fetch(server.url + AT));
      await answer.arrayBuffer();
      if (!answer.ok) throw new Error(`a reader got ${answer.status}`);
    }
  }
  async function reading(during: () => Promise<unknown>): Promise<number[]> {
    const times: number[] = [];
    let over = false;
    const readers = Array.from({ length: READERS }, () => read(times, () => over));
    await during();
    over = true;
    await Promise.all(readers);
    return times;
  }
  const calm = await reading(() => new Promise((resolve) => setTimeout(resolve, 3_000)));
  let tookMs = 0;
  const busy = await reading(async () => {
    const start = performance.now();
    const answer = await fetch(`${server.url}/api/restore`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/zip' },
      body: backup,
    });
    tookMs = performance.now() - start;
    if (!answer.ok) throw new Error(await answer.text());
  });
  const memory = peakMegabytes(server);
  await ended(server.child);
  return [
    `Restore of ${REVISIONS + 1} revisions (${(backup.size / 1e6).toFixed(1)} MB) in ${ms(tookMs)}, while ${READERS} read: ${busy.length} reads, ${spread(busy)}`,
    `  without it: ${calm.length} reads, ${spread(calm)}; most memory of the server ${memory.toFixed(0)} MB`,
  ].join('\n');
}

/** What the server takes: saves beside bare libSQL, and reads beside a restore. */
export async function benchServer(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'sorn-bench-'));
  try {
    process.stdout.write(`\nServer\n${await benchSaves(folder)}\n${await benchRestore(folder)}\n`);
  } finally {
    rmSync(folder, { recursive: true });
  }
}
