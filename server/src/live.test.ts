import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import type { Server } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { liveNewsSchema, type LiveNews } from '@sorn/api';
import { withDifference, type Profile, type Session } from '@sorn/core/model';
import { Desktop, seeded, serveDesktop } from '@sorn/desk-stand-in';
import { afterAll, expect, it } from 'vitest';

const MAIN = fileURLToPath(new URL('../dist/main.js', import.meta.url));
const AGENT = fileURLToPath(new URL('../../agents/desk-stand-in/dist/main.js', import.meta.url));
const folder = mkdtempSync(join(tmpdir(), 'sorn-server-live-'));
const socket = join(folder, 'desk.sock');
const desktop = new Desktop();
let served: Server | null = null;
let running: ChildProcess | null = null;
afterAll(async () => {
  await stopped();
  served?.close();
  rmSync(folder, { recursive: true });
});

const poll = (read: () => unknown) => expect.poll(read, { timeout: 20_000, interval: 20 });
const leftmost = () => Math.min(...desktop.look().windows.map(({ rect }) => rect.x));

/** Starts the server with the demo and an agent; its address, or what it said where it ended. */
function started(...args: string[]): Promise<string> {
  const child = spawn(
    process.execPath,
    [MAIN, '--port', '0', '--demo', '--data', join(folder, 'live.db'), ...args],
    { env: { ...process.env, SORN_CONTROL: join(folder, 'control', 'live.sock') } },
  );
  running = child;
  return new Promise((resolve) => {
    let said = '';
    const hear = (text: Buffer) => {
      said += text.toString();
      const url = /http:\S+/.exec(said)?.[0];
      if (url) resolve(url);
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.on('close', () => resolve(said));
  });
}

async function stopped(): Promise<void> {
  if (!running || running.exitCode !== null || running.signalCode !== null) return;
  const over = new Promise((resolve) => running!.once('close', resolve));
  running.kill('SIGTERM');
  await over;
}

it('a server arranges a desktop by a profile of its own: what is saved of it applies at once', async () => {
  served = await serveDesktop(desktop, socket, seeded(1));
  for (const app of ['shell', 'notes']) desktop.open({ app });
  const agent = `"${process.execPath}" "${AGENT}" agent --socket "${socket}"`;
  const url = await started('--agent', agent, '--profile', 'bulletin-desk');
  expect(url).toContain('http');
  await poll(() => desktop.look().hasAgent).toBe(true);
  await poll(leftmost).toBeLessThan(20);

  const at = `${url}/api/profiles/bulletin-desk`;
  const read = async () =>
    (await (await fetch(at)).json()) as { profile: Profile; revision: number };
  const { profile, revision } = await read();
  const tiling = { ...profile.tiling, gaps: { outer: 300 }, places: [] };
  const saved = await fetch(at, {
    method: 'PUT',
    headers: { 'content-type': 'application/json', 'if-match': `"${revision}"` },
    body: JSON.stringify({ profile: { ...profile, tiling } }),
  });
  expect(saved.status).toBe(200);
  await poll(leftmost).toBe(300);

  // Deleted, it goes on being the one in force.
  const gone = await fetch(at, { method: 'DELETE', headers: { 'if-match': `"${revision + 1}"` } });
  expect(gone.ok).toBe(true);
  desktop.open({ app: 'post' });
  await poll(() => desktop.look().windows.at(-1)?.shown).toBe(true);
  expect(leftmost()).toBe(300);

  await stopped();
  await poll(() => desktop.look().hasAgent).toBe(false);
  expect(desktop.look().order).toHaveLength(3);
});

/** The events that a page of a profile gets, as they come. */
async function listening(url: string): Promise<{ events: [string, unknown][]; stop: () => void }> {
  const stopping = new AbortController();
  const { body } = await fetch(url, { signal: stopping.signal });
  const events: [string, unknown][] = [];
  void (async () => {
    let text = '';
    for await (const bytes of body!.pipeThrough(new TextDecoderStream())) {
      text += bytes;
      const parts = text.split('\n\n');
      text = parts.pop()!;
      for (const part of parts) {
        const [, name = 'message', data] = /^(?:event: (\w+)\n)?data: (.*)$/.exec(part) ?? [];
        if (data !== undefined) events.push([name, JSON.parse(data)]);
      }
    }
  })().catch(() => undefined);
  return { events, stop: () => stopping.abort() };
}

it('tells pages of the live desk all of it first, then what differs, at most sixty times a second', async () => {
  const agent = `"${process.execPath}" "${AGENT}" agent --socket "${socket}"`;
  const url = await started('--fresh', '--agent', agent, '--profile', 'bulletin-desk');
  const ask = async (body: object) => {
    const answer = await fetch(`${url}/api/live`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    return [answer.status, await answer.json()] as const;
  };
  const at = `${url}/api/profiles/bulletin-desk/changes`;
  const { events, stop } = await listening(at);
  const news = () =>
    events.filter(([name]) => name === 'live').map(([, data]) => liveNewsSchema.parse(data));
  await poll(() => news().some(({ about }) => about?.state === 'running')).toBe(true);
  expect(news()[0]?.isFirst).toBe(true);
  /** The session as a page has it. */
  const there = () =>
    news().reduce(
      (session, { session: difference }) =>
        difference ? withDifference(session, difference) : session,
      null as Session | null,
    );
  await poll(() => there()?.windows.length).toBe(desktop.look().windows.length);
  const [status, done] = await ask({ ask: 'command', command: { command: 'float' } });
  expect([status, Object.keys(done as object)]).toEqual([200, ['reasons']]);
  await poll(() => there()?.windows.some(({ held }) => held === 'floating')).toBe(true);
  // A page that comes now has the same, in one piece.
  const later = await listening(at);
  await poll(() => later.events.length > 0).toBe(true);
  const whole = later.events.find(([name]) => name === 'live')![1] as LiveNews;
  expect(withDifference(null, whole.session!)).toEqual(there());

  const before = news().length;
  const from = performance.now();
  for (let i = 0; i < 400; i++) {
    desktop.retitle('w1', `Title ${i}`);
    await new Promise((resolve) => setTimeout(resolve, 2));
  }
  await poll(() => there()?.windows.find(({ id }) => id === 'win:w1')?.title).toBe('Title 399');
  const seconds = (performance.now() - from) / 1_000;
  expect(news().length - before).toBeLessThanOrEqual(Math.ceil(seconds * 60) + 3);

  // What cannot be done is said, and nothing is done.
  expect((await ask({ ask: 'identify', monitor: 'none' }))[0]).toBe(409);
  expect((await ask({ ask: 'show', parts: { tiling: { gaps: { inner: 'x' } } } }))[0]).toBe(409);
  expect((await ask({ ask: 'pictures', isOn: true }))[0]).toBe(200);
  await poll(() => events.some(([name]) => name === 'picture')).toBe(true);
  // Nobody looks any more: no pictures are made.
  stop();
  later.stop();
  await poll(() => desktop.look().hasPictures).toBe(false);
  await stopped();
});

it('says what is wrong before it serves anything', async () => {
  expect(await started('--fresh', '--agent', 'stand-in', '--profile', 'bulletin')).toContain(
    '--profile is bulletin; expected one of bulletin-desk',
  );
  expect(await started('--agent', '"half')).toContain(
    'expected stand-in or x11, or a command line',
  );
  expect(await started('--allow-launch')).toContain('are for --agent');
});
