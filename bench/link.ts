import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import { computePlacements, openSession, reduce } from '@sorn/core/engine';
import { profileSchema, sessionSchema, type Profile } from '@sorn/core/model';
import { control, Desktop, seeded, serveDesktop } from '@sorn/desk-stand-in';
import { AgentProcess, recordFile } from '@sorn/host';

const PRESSES = 700;
/** The first presses only warm up. */
const WARM_UP = 200;
const PROFILE: Profile = profileSchema.parse({
  monitors: [{ id: 'one', name: 'one', width: 3440, height: 1440 }],
  tiling: { layout: { kind: 'grid' } },
  keys: { from: 'whole', main: 'Meta' },
});

interface Figures {
  keys: number[];
  echoes: number[];
}

/** From a key to the last byte of its round, beside an echo over the same pipe and the engine by itself. */
export async function benchLink(): Promise<void> {
  process.stdout.write(
    '\nLive desk: a line with a key in, until the last byte of its round is out\n',
  );
  for (const windows of [30, 200]) {
    const figures = await measured(windows);
    const [keys, echoes, engine] = [figures.keys, figures.echoes, engineAlone(windows)].map((all) =>
      all.slice(WARM_UP),
    ) as [number[], number[], number[]];
    const line = (name: string, times: readonly number[]) =>
      `  ${name.padEnd(22)} median ${ms(at(times, 0.5))}, 99th percentile ${ms(at(times, 0.99))}\n`;
    const over = at(keys, 0.99) - at(echoes, 0.99) - at(engine, 0.99);
    process.stdout.write(
      `${windows} windows\n${line('key to round', keys)}${line('echo', echoes)}${line('reduce and placements', engine)}` +
        `  over echo and engine at the 99th percentile: ${ms(over)}; aim: at most 2 ms\n`,
    );
  }
  await soak();
}

function measured(windows: number): Promise<Figures> {
  const folder = mkdtempSync(join(tmpdir(), 'sorn-bench-link-'));
  const store = recordFile(join(folder, 'record'));
  return new Promise((resolve) => {
    const agent = new AgentProcess({
      command: [
        process.execPath,
        fileURLToPath(new URL('link-agent.js', import.meta.url)),
        String(windows),
        String(PRESSES),
      ],
      profile: PROFILE,
      machine: 'here',
      record: null,
      allowLaunch: false,
      keep: (record) => store.write(record),
      onLog: (line) => {
        if (!line.startsWith('{')) return;
        void agent.end().then(() => rmSync(folder, { recursive: true }));
        resolve(JSON.parse(line) as Figures);
      },
    });
    agent.start();
  });
}

/** Microseconds of the same steps without a pipe. */
function engineAlone(windows: number): number[] {
  const input = sessionSchema.parse({
    windows: Array.from({ length: windows }, (_, i) => ({ id: `w${i}`, app: 'shell' })),
  });
  let { session } = openSession(input, PROFILE);
  const times: number[] = [];
  for (let i = 0; i < PRESSES; i++) {
    const command = { command: i % 2 === 0 ? 'move-left' : 'move-right' } as const;
    const began = process.hrtime.bigint();
    session = reduce(session, { type: 'key-pressed', command }, PROFILE).session;
    computePlacements(session, PROFILE);
    times.push(Number(process.hrtime.bigint() - began) / 1_000);
  }
  return times;
}

const EVENTS = 10_000;
const AT_ONCE = 50;
const DESK: Profile = profileSchema.parse({
  monitors: [
    { id: 'wide', name: 'DP-1', x: 0, y: 0, width: 3440, height: 1440 },
    { id: 'side', name: 'DP-2', x: 3440, y: 0, width: 1920, height: 1200 },
  ],
  apps: ['shell', 'notes', 'post'].map((id) => ({ id })),
  keys: { from: 'whole' },
});

/** Ten thousand things that happen by chance on a desktop of about thirty windows: drift and memory. */
async function soak(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'sorn-soak-'));
  const socket = join(folder, 'desk.sock');
  const desktop = new Desktop();
  const random = seeded(7);
  const server = await serveDesktop(desktop, socket, random);
  const store = recordFile(join(folder, 'record'));
  const main = fileURLToPath(new URL('main.js', import.meta.resolve('@sorn/desk-stand-in')));
  const agent = new AgentProcess({
    command: [process.execPath, main, 'agent', '--socket', socket],
    profile: DESK,
    machine: 'here',
    record: null,
    allowLaunch: false,
    keep: (record) => store.write(record),
  });
  agent.start();
  const heap: number[] = [];
  let drift = 0;
  let most = 0;
  for (let done = 0; done < EVENTS; done += AT_ONCE) {
    await control(desktop, { do: 'chance', events: AT_ONCE }, random);
    await settled(agent);
    const off = differences(agent, desktop);
    drift += off;
    most = Math.max(most, desktop.look().windows.length);
    if (done % (EVENTS / 5) === 0) {
      collectGarbage();
      heap.push(process.memoryUsage().heapUsed / 1_048_576);
    }
  }
  process.stdout.write(
    `\nLive desk, soak: ${EVENTS} events, up to ${most} windows: ${drift} windows or orders off\n` +
      `  heap after each fifth, garbage collected: ${heap.map((mb) => mb.toFixed(1)).join(', ')} MB\n`,
  );
  await agent.end();
  desktop.end();
  server.close();
  rmSync(folder, { recursive: true });
}

/** Until the desktop did all that it was told, or for three seconds. */
async function settled(agent: AgentProcess): Promise<void> {
  const end = performance.now() + 3_000;
  let still = 0;
  while (still < 3 && performance.now() < end) {
    await new Promise((resolve) => setTimeout(resolve, 4));
    still = agent.desk.isSettled ? still + 1 : 0;
  }
}

/** Windows that stand elsewhere than the engine says, by the desktop's own account. */
function differences({ desk }: AgentProcess, desktop: Desktop): number {
  const session = desk.sessionNow;
  if (!session) return 1;
  const { windows } = desktop.look();
  const { placements } = computePlacements(session, desk.realProfile);
  const off = windows.filter(({ window, rect, shown }) => {
    const wanted = placements.find(({ id }) => id === `win:${window}`);
    return (
      !wanted ||
      wanted.shown !== shown ||
      wanted.x !== rect.x ||
      wanted.y !== rect.y ||
      wanted.width !== rect.width ||
      wanted.height !== rect.height
    );
  });
  return off.length + Math.abs(placements.length - windows.length);
}

function at(times: readonly number[], share: number): number {
  const sorted = [...times].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;
}

/** All garbage is gone: what is left is in use. */
function collectGarbage(): void {
  setFlagsFromString('--expose_gc');
  (runInNewContext('gc') as () => void)();
}

const ms = (us: number) => `${(us / 1_000).toFixed(2)} ms`;
