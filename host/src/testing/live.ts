import { mkdtempSync, rmSync } from 'node:fs';
import type { Server } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { computePlacements, inDrawingOrder } from '@sorn/core/engine';
import { profileSchema, type Profile } from '@sorn/core/model';
import { Desktop, seeded, serveDesktop, type Account } from '@sorn/desk-stand-in';
import type { LinkMonitor } from '@sorn/link';
import { afterEach, expect } from 'vitest';
import { AgentProcess, type AgentOptions } from '../agent-process.ts';
import type { LiveEntry } from '../live-desk.ts';
import { recordFile, type RecordStore } from '../record.ts';

const AGENT = fileURLToPath(import.meta.resolve('@sorn/desk-stand-in')).replace(
  /agents\/desk-stand-in\/.*$/,
  'agents/desk-stand-in/dist/main.js',
);

const at = (name: string, x: number, y: number, width: number, height: number): LinkMonitor => ({
  name,
  x,
  y,
  width,
  height,
  scale: 1,
  turn: 0,
  primary: x === 0,
});
export const THREE: LinkMonitor[] = [
  at('DP-1', 0, 0, 3440, 1440),
  at('DP-2', 3440, 0, 1920, 1200),
  at('eDP-1', 500, 1440, 1920, 1080),
];

/** A profile for three monitors and five workspaces. */
export const PROFILE: Profile = profileSchema.parse({
  name: 'Live',
  monitors: [
    { id: 'wide', namePattern: 'DP-1', width: 3440, height: 1440 },
    { id: 'side', namePattern: 'DP-2', width: 1920, height: 1200 },
    { id: 'lap', namePattern: 'eDP-*', width: 1920, height: 1080 },
  ],
  workspaces: [
    { id: 'A', monitor: 'wide' },
    { id: 'B', monitor: 'wide' },
    { id: 'C', monitor: 'side' },
    { id: 'D', monitor: 'side' },
    { id: 'E', monitor: 'lap' },
  ],
  apps: ['shell', 'notes', 'post', 'map'].map((id) => ({ id, letter: id[0]!.toUpperCase() })),
  tiling: { gaps: { inner: 8, outer: 6 } },
  keys: { from: 'whole', main: 'Meta' },
});

/** A live desk on a simulated one, until the test is over. */
export class Live {
  readonly folder = mkdtempSync(join(tmpdir(), 'sorn-live-'));
  readonly socket = join(this.folder, 'desk.sock');
  readonly desktop: Desktop;
  readonly entries: LiveEntry[] = [];
  readonly log: string[] = [];
  over: string | null = null;
  store: RecordStore = recordFile(join(this.folder, 'record.json'));
  agent: AgentProcess | null = null;
  private server: Server | null = null;

  constructor(monitors: LinkMonitor[] = THREE) {
    this.desktop = new Desktop(monitors);
    running.push(this);
  }

  /** Starts a host; the desktop is served from the first time on. */
  async start(options: Partial<AgentOptions> & { fault?: string } = {}): Promise<AgentProcess> {
    this.server ??= await serveDesktop(this.desktop, this.socket, seeded(1));
    const { fault, ...others } = options;
    const kept = this.store.read();
    const agent = new AgentProcess({
      command: [
        process.execPath,
        AGENT,
        'agent',
        '--socket',
        this.socket,
        ...(fault === undefined ? [] : ['--fault', fault]),
      ],
      profile: PROFILE,
      machine: 'here',
      record: typeof kept === 'string' ? null : kept,
      allowLaunch: true,
      keep: (record) => this.store.write(record),
      onEntry: (entry) => this.entries.push(entry),
      onLog: (line) => this.log.push(line),
      onOver: (because) => (this.over = because),
      ...others,
    });
    this.agent = agent;
    agent.start();
    return agent;
  }

  async ready(): Promise<void> {
    await expect
      .poll(() => this.agent!.desk.isSettled, { timeout: 15_000, interval: 5 })
      .toBe(true);
    // What the desktop was told last is on its way.
    await expect.poll(() => this.differences(), { timeout: 15_000, interval: 10 }).toEqual([]);
  }

  get account(): Account {
    return this.desktop.look();
  }

  /** What differs between what the engine says of the session and how the desktop says that everything stands. */
  differences(except: readonly string[] = []): string[] {
    const { sessionNow: session, realProfile: profile } = this.agent!.desk;
    if (!session) return ['no session'];
    const { placements } = computePlacements(session, profile);
    const { account } = this;
    const found: string[] = [];
    const ids = new Set(account.windows.map(({ window }) => `win:${window}`));
    for (const { id, x, y, width, height, shown } of placements) {
      const there = account.windows.find(({ window }) => `win:${window}` === id);
      if (!there) found.push(`${id} is not on the desktop`);
      else if (!except.includes(there.window)) {
        const wanted = JSON.stringify({ x, y, width, height, shown });
        const { rect } = there;
        const is = JSON.stringify({
          x: rect.x,
          y: rect.y,
          width: rect.width,
          height: rect.height,
          shown: there.shown,
        });
        if (wanted !== is) found.push(`${id}: ${is}; wanted ${wanted}`);
      }
      ids.delete(id);
    }
    for (const id of ids) found.push(`${id} is not in the session`);
    const order = inDrawingOrder(placements, { session, profile }).map(({ id }) => id.slice(4));
    if (order.join() !== account.order.join())
      found.push(`order ${account.order.join()}; wanted ${order.join()}`);
    const focus = session.focus?.slice(4) ?? null;
    if (focus !== account.focus && (focus === null || order.includes(focus)))
      found.push(`focus ${account.focus}; wanted ${focus}`);
    return found;
  }

  /** Chords one after the other: "Meta+KeyJ KeyL". */
  press(keys: string): void {
    const codes: Record<string, string> = {
      Ctrl: 'ControlLeft',
      Alt: 'AltLeft',
      Shift: 'ShiftLeft',
      Meta: 'MetaLeft',
    };
    for (const chord of keys.split(' ')) {
      const held = chord.split('+').map((name) => codes[name] ?? name);
      for (const code of held) this.desktop.key(code, true);
      for (const code of [...held].reverse()) this.desktop.key(code, false);
    }
  }

  /** What is told of things that a person should know. */
  findings(): string[] {
    return this.agent!.desk.status().findings.map(({ kind }) => kind);
  }

  async end(): Promise<void> {
    await this.agent?.end();
    this.desktop.end();
    this.server?.close();
    rmSync(this.folder, { recursive: true, force: true });
  }
}

const running: Live[] = [];
afterEach(async () => {
  for (const live of running.splice(0)) await live.end();
});
