import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { computePlacements, reduce } from '@sorn/core/engine';
import { profileSchema, type Profile, type Session } from '@sorn/core/model';
import { AgentProcess, recordFile } from '@sorn/host';
import { x11Command } from '@sorn/x11';
import x11, { type XClient } from 'x11';
import { timingOf } from './measure.ts';

const WINDOWS = 30;
const EDITS = 300;
const WARM_UP = 60;
const profileOf = (inner: number, layout = 'grid'): Profile =>
  profileSchema.parse({
    monitors: [{ id: 'one', name: 'screen', width: 3840, height: 1440 }],
    tiling: { layout: { kind: layout }, gaps: { inner, outer: 6 } },
    keys: { from: 'whole', main: 'Meta' },
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

/** Sorn on one screen, a bare client on another, in turns. */
interface Beside {
  agent: AgentProcess;
  screen: Screen;
  bareScreen: Screen;
}

async function beside(profile: Profile, run: (both: Beside) => Promise<void>): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'sorn-bench-x11-'));
  const store = recordFile(join(folder, 'record'));
  const [screen, bareScreen] = [await Screen.start(), await Screen.start()];
  const agent = new AgentProcess({
    command: [...x11Command(), '--display', screen.display],
    profile,
    machine: 'here',
    record: null,
    allowLaunch: false,
    keep: (record) => store.write(record),
  });
  agent.start();
  while (!agent.desk.isSettled || agent.desk.sessionNow?.windows.length !== WINDOWS)
    await new Promise((resolve) => setTimeout(resolve, 20));
  await run({ agent, screen, bareScreen });
  await agent.end();
  for (const each of [screen, bareScreen]) await each.end();
  rmSync(folder, { recursive: true });
}

/**
 * What thirty windows take to be elsewhere: from a gap that is edited, and from a key that is pressed, until the last
 * has heard of its new place. Beside each a bare client that configures thirty windows to places that it knows.
 */
export async function benchX11(): Promise<void> {
  process.stdout.write('\nReal windows: until the last of 30 windows has heard of its new place\n');
  await beside(GAPS[0]!, async ({ agent, screen, bareScreen }) => {
    const bare = await connected(bareScreen.display);
    const [own, bareTimes]: [number[], number[]] = [[], []];
    for (let i = 0; i < EDITS; i++) {
      const profile = GAPS[(i + 1) % 2]!;
      const places = placesIn(agent.desk.sessionNow!, agent, profile);
      const heard = await screen.standing(textsOf(places));
      const from = now();
      agent.desk.setProfile(profile);
      own.push((await heard.at) - from);
      await settled(agent);
      // The same places, by one who computes nothing.
      const wanted = onBare(bareScreen, places);
      const bareHeard = await bareScreen.standing(textsOf(new Map(wanted)));
      const bareFrom = now();
      for (const [window, { x, y, width, height }] of wanted)
        bare.ConfigureWindow(window, { x, y, width, height });
      bareTimes.push((await bareHeard.at) - bareFrom);
    }
    print('a gap edited', own, bareTimes);
  });
  const lead = profileOf(8, 'lead');
  await beside(lead, async ({ agent, screen, bareScreen }) => {
    const bare = new Worker(new URL('x11-bare.js', import.meta.url), {
      workerData: { display: bareScreen.display, keycodes: SHARE_KEYS, modifiers: META },
    });
    const told = () => new Promise((resolve) => bare.once('message', resolve));
    await told();
    const [keyboard, bareKeyboard] = [
      await keyboardOf(screen.display),
      await keyboardOf(bareScreen.display),
    ];
    // Until the keys are grabbed.
    await new Promise((resolve) => setTimeout(resolve, 500));
    const [own, bareTimes]: [number[], number[]] = [[], []];
    for (let i = 0; i < EDITS; i++) {
      const command = { command: i % 2 === 0 ? 'lead-share-more' : 'lead-share-less' } as const;
      const { session } = reduce(
        agent.desk.sessionNow!,
        { type: 'command', command },
        agent.desk.realProfile,
      );
      const places = placesIn(session, agent, lead);
      const heard = await screen.standing(textsOf(places));
      const from = now();
      keyboard(SHARE_KEYS[i % 2]!);
      own.push((await heard.at) - from);
      await settled(agent);
      const wanted = onBare(bareScreen, places);
      const bareHeard = await bareScreen.standing(textsOf(new Map(wanted)));
      bare.postMessage(wanted);
      await told();
      const bareFrom = now();
      bareKeyboard(SHARE_KEYS[i % 2]!);
      bareTimes.push((await bareHeard.at) - bareFrom);
    }
    await bare.terminate();
    print('a key pressed', own, bareTimes);
  });
}

/** Meta and the brackets, by the server's numbers of them: the lead's share more, and less. */
const SHARE_KEYS = [35, 34];
const META_KEY = 133;
const META = 64;

/** Presses a key with Meta. */
async function keyboardOf(display: string): Promise<(keycode: number) => void> {
  const x = await connected(display);
  const { FakeInput: fake } = await new Promise<{ FakeInput: (...all: number[]) => void }>(
    (resolve) => x.require('xtest', (_error, extension) => resolve(extension as never)),
  );
  return (keycode) => {
    for (const [type, key] of [
      [2, META_KEY],
      [2, keycode],
      [3, keycode],
      [3, META_KEY],
    ] as const)
      fake(type, key, 0, 0, 0, 0);
  };
}

function print(what: string, own: readonly number[], bare: readonly number[]): void {
  const line = (name: string, times: readonly number[]) => {
    const sorted = times.slice(WARM_UP).sort((a, b) => a - b);
    const at = (share: number) => sorted[Math.floor(share * sorted.length)]!.toFixed(2);
    return `  ${name.padEnd(14)} median ${at(0.5)} ms, 99th percentile ${at(0.99)} ms\n`;
  };
  const [is, beside] = [own, bare].map((times) => timingOf(times.slice(WARM_UP)).median);
  process.stdout.write(
    `${what}\n${line('Sorn', own)}${line('a bare client', bare)}` +
      `  1.5 × the bare client and 3 ms: ${(1.5 * beside! + 3).toFixed(2)} ms; Sorn: ${is!.toFixed(2)} ms\n`,
  );
}

/** The same places for the windows of another screen. */
function onBare(screen: Screen, places: ReadonlyMap<number, Rect>): (readonly [number, Rect])[] {
  const rects = [...places.values()];
  return screen.windows.map((window, at) => [window, rects[at]!] as const);
}

const textsOf = (places: ReadonlyMap<number, Rect>) =>
  new Map([...places].map(([id, rect]) => [id, textOf(rect)]));

/** Where windows stand within their borders, by the server's numbers of them. */
function placesIn(session: Session, agent: AgentProcess, profile: Profile): Map<number, Rect> {
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
