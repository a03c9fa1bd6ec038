import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { computePlacements, inDrawingOrder } from '@sorn/core/engine';
import { profileSchema, type Profile } from '@sorn/core/model';
import { AgentProcess, recordFile, type LiveEntry } from '@sorn/host';
import { expect, vi } from 'vitest';
import { XServer, type ServerWindow } from './server.ts';

export const AGENT = fileURLToPath(new URL('../../dist/main.js', import.meta.url));

export const PROFILE: Profile = profileSchema.parse({
  name: 'X',
  monitors: [
    { id: 'left', namePattern: 'left', width: 2560, height: 1440 },
    { id: 'right', namePattern: 'right', width: 1280, height: 1440 },
  ],
  workspaces: [
    { id: 'A', monitor: 'left' },
    { id: 'B', monitor: 'left' },
    { id: 'C', monitor: 'right' },
  ],
  apps: [{ id: 'xterm', name: 'Terminal', match: [{ class: 'XTerm' }] }],
  rules: [
    {
      id: 'dialogs',
      when: { all: [{ of: 'kind', is: 'dialog' }] },
      then: { held: 'floating', corner: 'over-parent' },
    },
  ],
  tiling: { gaps: { inner: 8, outer: 6 } },
  keys: { from: 'whole', main: 'Meta' },
});

/** A live desk on an X server. */
export class XLive {
  readonly server: XServer;
  readonly folder = mkdtempSync(join(tmpdir(), 'sorn-x11-'));
  readonly entries: LiveEntry[] = [];
  readonly log: string[] = [];
  over: string | null = null;
  agent!: AgentProcess;
  private readonly profile: Profile;

  private constructor(server: XServer, profile: Profile) {
    this.server = server;
    this.profile = profile;
  }

  static async start(profile: Profile = PROFILE, server?: XServer): Promise<XLive> {
    const live = new XLive(server ?? (await XServer.start()), profile);
    live.host();
    await live.ready();
    return live;
  }

  /** Starts a host, with what was kept of the one before. */
  host(): void {
    const store = recordFile(join(this.folder, 'record.json'));
    const kept = store.read();
    this.agent = new AgentProcess({
      command: [process.execPath, AGENT, 'agent', '--display', this.server.display],
      profile: this.profile,
      machine: 'here',
      record: typeof kept === 'string' ? null : kept,
      allowLaunch: true,
      keep: (record) => store.write(record),
      onEntry: (entry) => this.entries.push(entry),
      onLog: (line) => this.log.push(line),
      onOver: (because) => (this.over = because),
    });
    this.agent.start();
  }

  get desk() {
    return this.agent.desk;
  }

  get session() {
    return this.desk.sessionNow!;
  }

  /** The windows of the session by their titles. */
  titles(): string[] {
    return this.session.windows.map(({ title }) => title ?? '').sort();
  }

  /** Everything stands as it should, with so many windows. */
  async ready(windows?: number): Promise<void> {
    await vi.waitFor(
      async () => {
        expect(this.desk.isSettled).toBe(true);
        if (windows !== undefined) expect(this.session.windows).toHaveLength(windows);
        expect(await this.differences()).toEqual([]);
      },
      { timeout: 30_000, interval: 10 },
    );
  }

  /** The server's number of a window of the session: the first part of its name. */
  static number(id: string): number {
    return Number.parseInt(/^win:w([\da-f]+)-/.exec(id)![1]!, 16);
  }

  /**
   * What differs between what the engine computes and the server's own account: outer boxes, who is shown, who lies
   * over whom, who has the keyboard.
   */
  async differences(): Promise<string[]> {
    const { sessionNow: session, realProfile: profile } = this.desk;
    if (!session) return ['no session'];
    const { placements } = computePlacements(session, profile);
    const there = await this.server.look();
    const found: string[] = [];
    const text = ({ x, y, width, height }: Omit<ServerWindow, 'window' | 'isShown'>, is: boolean) =>
      `${x},${y} ${width} × ${height} ${is ? 'shown' : 'hidden'}`;
    for (const placement of placements) {
      const is = there.find(({ window }) => window === XLive.number(placement.id));
      const wanted = text(placement, placement.shown);
      const has = is ? text(is, is.isShown) : 'nothing';
      if (wanted !== has) found.push(`${placement.id}: ${has}; expected ${wanted}`);
    }
    const order = inDrawingOrder(placements, { session, profile }).map(({ id }) =>
      XLive.number(id),
    );
    const stands = there.map(({ window }) => window).filter((window) => order.includes(window));
    if (order.join() !== stands.join())
      found.push(`order ${stands.join()}; expected ${order.join()}`);
    const focus = session.focus === undefined ? null : XLive.number(session.focus);
    const has = await this.server.focus();
    if (focus === null || !order.includes(focus)) return found;
    // One that takes no keys is not given any: then nobody has them.
    const [flags = 0, input] = await this.server.numbers(focus, 'WM_HINTS');
    const takesKeys = (flags & 1) === 0 || input !== 0;
    const isRight = takesKeys ? has === focus : !order.includes(has);
    if (!isRight) found.push(`focus ${has}; expected ${focus}`);
    return found;
  }

  async end(): Promise<void> {
    await this.agent.end();
    await this.server.end();
    rmSync(this.folder, { recursive: true, force: true });
  }
}
