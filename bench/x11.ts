import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { computePlacements } from '@sorn/core/engine';
import { profileSchema, type Profile } from '@sorn/core/model';
import { AgentProcess, recordFile } from '@sorn/host';
import { x11Command } from '@sorn/x11';
import x11, { type XClient } from 'x11';
import { timingOf } from './measure.ts';

const WINDOWS = 30;
const EDITS = 300;
const WARM_UP = 60;
const profileOf = (inner: number): Profile =>
  profileSchema.parse({
    monitors: [{ id: 'one', name: 'screen', width: 3840, height: 1440 }],
    tiling: { layout: { kind: 'grid' }, gaps: { inner, outer: 6 } },
  });
const GAPS = [profileOf(8), profileOf(20)];

interface Rect {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** An X server without a monitor, with thirty windows of one client that hears where they stand. */
class Screen {
  readonly display: string;
  windows: readonly number[] = [];
  private readonly server: ChildProcess;
  private readonly client: Worker;

  private constructor(display: string, server: ChildProcess) {
    this.display = display;
    this.server = server;
    this.client = new Worker(new URL('x11-screen.js', import.meta.url), {
      workerData: { display, count: WINDOWS },
    });
  }

  static async start(): Promise<Screen> {
    const args = ['-displayfd', '1', '-screen', '0', '3840x1440x24', '-noreset'];
    const server = spawn('Xvfb', args, { stdio: ['ignore', 'pipe', 'ignore'] });
    const number = await new Promise<string>((resolve, reject) => {
      server.on('error', reject);
      server.stdout.once('data', (bytes: Buffer) => resolve(bytes.toString().trim()));
    });
    const screen = new Screen(`:${number}`, server);
    ({ windows: screen.windows } = await screen.told<{ windows: number[] }>());
    return screen;
  }

  /** Waits for the windows to stand somewhere; when they did, in milliseconds since 1970. */
  async standing(wanted: ReadonlyMap<number, string>): Promise<{ at: Promise<number> }> {
    this.client.postMessage(wanted);
    await this.told();
    return { at: this.told<{ at: number }>().then(({ at }) => at) };
  }

  private told<T>(): Promise<T> {
    return new Promise((resolve) => this.client.once('message', resolve));
  }

  async end(): Promise<void> {
    await this.client.terminate();
    this.server.kill('SIGKILL');
  }
}

/**
 * From a gap that is edited until the last of thirty windows has heard of its new place, beside a bare client that
 * configures thirty windows to places that it knows.
 */
export async function benchX11(): Promise<void> {
  process.stdout.write(
    '\nReal windows: a gap edited, until the last of 30 windows has heard of its new place\n',
  );
  const folder = mkdtempSync(join(tmpdir(), 'sorn-bench-x11-'));
  const store = recordFile(join(folder, 'record'));
  const [screen, bareScreen] = [await Screen.start(), await Screen.start()];
  const agent = new AgentProcess({
    command: [...x11Command(), '--display', screen.display],
    profile: GAPS[0]!,
    record: null,
    allowLaunch: false,
    keep: (record) => store.write(record),
  });
  agent.start();
  while (!agent.desk.isSettled || agent.desk.sessionNow?.windows.length !== WINDOWS)
    await new Promise((resolve) => setTimeout(resolve, 20));
  const bare = await connected(bareScreen.display);
  const [own, bareTimes]: [number[], number[]] = [[], []];
  for (let i = 0; i < EDITS; i++) {
    const profile = GAPS[(i + 1) % 2]!;
    const places = placesIn(agent, profile);
    const heard = await screen.standing(
      new Map([...places].map(([id, rect]) => [id, textOf(rect)])),
    );
    const from = now();
    agent.desk.setProfile(profile);
    own.push((await heard.at) - from);
    await settled(agent);
    // The same places, by one who computes nothing.
    const rects = [...places.values()];
    const wanted = bareScreen.windows.map((window, at) => [window, rects[at]!] as const);
    const bareHeard = await bareScreen.standing(
      new Map(wanted.map(([window, rect]) => [window, textOf(rect)])),
    );
    const bareFrom = now();
    for (const [window, { x, y, width, height }] of wanted)
      bare.ConfigureWindow(window, { x, y, width, height });
    bareTimes.push((await bareHeard.at) - bareFrom);
  }
  await agent.end();
  for (const each of [screen, bareScreen]) await each.end();
  rmSync(folder, { recursive: true });
  const line = (name: string, times: readonly number[]) => {
    const { median, low, high } = timingOf(times.slice(WARM_UP));
    return `  ${name.padEnd(14)} median ${median.toFixed(2)} ms (${low.toFixed(2)} to ${high.toFixed(2)})\n`;
  };
  const [is, beside] = [own, bareTimes].map((times) => timingOf(times.slice(WARM_UP)).median);
  process.stdout.write(
    `${line('Sorn', own)}${line('a bare client', bareTimes)}` +
      `  1.5 × the bare client and 3 ms: ${(1.5 * beside! + 3).toFixed(2)} ms; Sorn: ${is!.toFixed(2)} ms\n`,
  );
}

/** Where windows stand within their borders, by the server's numbers of them. */
function placesIn(agent: AgentProcess, profile: Profile): Map<number, Rect> {
  const session = agent.desk.sessionNow!;
  const monitors = agent.desk.realProfile.monitors;
  const { placements } = computePlacements(session, { ...profile, monitors });
  const { weight } = profile.look.focusFrame;
  return new Map(
    placements.map(({ id, x, y, width, height }) => [
      Number.parseInt(/^win:w([\da-f]+)-/.exec(id)![1]!, 16),
      { x, y, width: width - 2 * weight, height: height - 2 * weight },
    ]),
  );
}

const now = () => performance.timeOrigin + performance.now();
const textOf = ({ x, y, width, height }: Rect) => `${x} ${y} ${width} ${height}`;

async function settled(agent: AgentProcess): Promise<void> {
  while (!agent.desk.isSettled) await new Promise((resolve) => setTimeout(resolve, 1));
}

function connected(display: string): Promise<XClient> {
  return new Promise((resolve, reject) => {
    const client = x11.createClient(
      { display, bufferRequests: true, shm: 'off' },
      (error, shown) => {
        if (error) reject(error);
        else resolve(shown.client);
      },
    );
    client.on('error', () => undefined);
  });
}
