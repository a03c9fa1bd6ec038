import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { computePlacements, inDrawingOrder } from '@sorn/core/engine';
import { profileSchema, type Profile, type Session } from '@sorn/core/model';
import { Desktop, seeded, serveDesktop, TWO_MONITORS, type Account } from '@sorn/desk-stand-in';
import type { LinkMonitor } from '@sorn/link';

const SORN = fileURLToPath(new URL('../../dist/main.js', import.meta.url));
const AGENT = fileURLToPath(new URL('../../../agents/desk-stand-in/dist/main.js', import.meta.url));

const MONITORS: LinkMonitor[] = [
  ...TWO_MONITORS,
  { name: 'eDP-1', x: 500, y: 1440, width: 1920, height: 1080, scale: 1, turn: 0, primary: false },
];

/** A profile of three monitors and five workspaces, whose monitors stand where those of the desktop do. */
export const LIVE_PROFILE: Profile = profileSchema.parse({
  name: 'Live',
  monitors: [
    { id: 'wide', name: 'DP-1', x: 0, y: 0, width: 3440, height: 1440 },
    { id: 'side', name: 'DP-2', x: 3440, y: 0, width: 1920, height: 1200 },
    { id: 'lap', name: 'eDP-1', x: 500, y: 1440, width: 1920, height: 1080 },
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

/** A simulated desktop in this process, and `sorn run` beside it in one of its own. */
export class LiveRun {
  readonly folder = mkdtempSync(join(tmpdir(), 'sorn-run-'));
  readonly file = join(this.folder, 'desk.profile.json');
  readonly socket = join(this.folder, 'desk.sock');
  readonly control = join(this.folder, 'control', 'live.sock');
  readonly desktop = new Desktop(MONITORS);
  host: ChildProcess | null = null;
  /** What the host printed and wrote on its standard error. */
  said = '';
  private server: Server | null = null;

  constructor() {
    writeFileSync(this.file, JSON.stringify(LIVE_PROFILE));
  }

  async start(...more: string[]): Promise<void> {
    this.server ??= await serveDesktop(this.desktop, this.socket, seeded(1));
    this.host = this.sorn(
      'run',
      this.file,
      '--agent',
      `"${process.execPath}" "${AGENT}" agent --socket "${this.socket}"`,
      ...more,
    );
  }

  sorn(...args: string[]): ChildProcess {
    const child = spawn(process.execPath, [SORN, ...args], {
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, SORN_CONTROL: this.control },
    });
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (text: Buffer) => (this.said += text.toString()));
    return child;
  }

  /** What another run of the command line prints, and its exit code. */
  async ran(...args: string[]): Promise<{ code: number | null; out: string }> {
    const child = this.sorn(...args);
    let out = '';
    for (const stream of [child.stdout!, child.stderr!])
      stream.on('data', (text: Buffer) => (out += text.toString()));
    const code = await new Promise<number | null>((resolve) => child.once('close', resolve));
    return { code, out };
  }

  get account(): Account {
    return this.desktop.look();
  }

  /** The session that is kept beside the profile; null while none is. */
  get kept(): Session | null {
    const file = `${this.file}.live`;
    if (!existsSync(file)) return null;
    return (JSON.parse(readFileSync(file, 'utf8')) as { session: Session }).session;
  }

  async end(): Promise<void> {
    const { host } = this;
    if (host && host.exitCode === null && host.signalCode === null) {
      const over = new Promise((resolve) => host.once('close', resolve));
      host.kill();
      await over;
    }
    this.desktop.end();
    this.server?.close();
    rmSync(this.folder, { recursive: true, force: true });
  }
}

/** How a desktop stands that does what the engine says of a session: rectangles, what is shown, order and focus. */
export function standing(session: Session, profile = LIVE_PROFILE): string {
  const { placements } = computePlacements(session, profile);
  const order = inDrawingOrder(placements, { session, profile }).map(({ id }) => id.slice(4));
  const focus = session.focus?.slice(4) ?? null;
  return text(
    placements.map(({ id, x, y, width, height, shown }) => ({
      window: id.slice(4),
      rect: { x, y, width, height },
      shown,
    })),
    order,
    focus !== null && order.includes(focus) ? focus : null,
  );
}

/** The same, by the desktop's own account. */
export function accountText({ windows, order, focus }: Account): string {
  return text(windows, order, focus);
}

function text(
  windows: readonly Pick<Account['windows'][number], 'window' | 'rect' | 'shown'>[],
  order: readonly string[],
  focus: string | null,
): string {
  const lines = windows.map(
    ({ window, rect: { x, y, width, height }, shown }) =>
      `${window} ${width}x${height}+${x}+${y} ${shown ? 'shown' : 'hidden'}`,
  );
  return [...lines.sort(), `order ${order.join(' ')}`, `focus ${focus ?? 'nobody'}`].join('\n');
}
