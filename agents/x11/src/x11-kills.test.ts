import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { connect, type Socket } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { Command } from '@sorn/core/commands';
import { computePlacements, inDrawingOrder, reduce } from '@sorn/core/engine';
import { profileSchema, sessionSchema, type Session } from '@sorn/core/model';
import { afterAll, describe, expect, it, vi } from 'vitest';
import { AGENT, PROFILE, XLive } from './testing/live.ts';
import { OddWindow, XServer } from './testing/server.ts';

/** Kills in all: a tenth of those of `npm run kills`. */
const KILLS = Number(process.env['X11_KILLS'] ?? 6);
const MOST_MS = 20;
const WINDOWS = 8;
const SORN = fileURLToPath(new URL('../../../cli/dist/main.js', import.meta.url));

const folder = mkdtempSync(join(tmpdir(), 'sorn-x11-kills-'));
const file = join(folder, 'desk.profile.json');
const control = join(folder, 'control', 'live.sock');
// Monitors that stand where those of the display do: what is kept can be computed without a host.
const [left, right] = PROFILE.monitors;
const profile = profileSchema.parse({
  ...PROFILE,
  monitors: [left, { ...right, x: 2_560, y: 0 }],
});
writeFileSync(file, JSON.stringify(profile));

let server: XServer;
let host: ChildProcess | null = null;
const odds = new Map<number, OddWindow>();
afterAll(async () => {
  host?.kill('SIGKILL');
  await server.end();
  rmSync(folder, { recursive: true, force: true });
});

function startHost(): void {
  const agent = `"${process.execPath}" "${AGENT}" agent --display ${server.display}`;
  host = spawn(process.execPath, [SORN, 'run', file, '--agent', agent], {
    stdio: 'ignore',
    env: { ...process.env, SORN_CONTROL: control },
  });
}
function kept(): Session | null {
  try {
    const { session } = JSON.parse(readFileSync(`${file}.live`, 'utf8')) as { session: unknown };
    return sessionSchema.parse(session) as Session;
  } catch {
    return null;
  }
}
function agentOf(pid: number): number | null {
  const children = readFileSync(`/proc/${pid}/task/${pid}/children`, 'utf8').trim();
  return children === '' ? null : Number(children.split(' ')[0]);
}
async function give(command: Command): Promise<void> {
  await vi.waitFor(
    () =>
      new Promise<void>((resolve, reject) => {
        const socket: Socket = connect(control, () => {
          socket.write(`${JSON.stringify({ do: command })}\n`);
        });
        socket.once('data', () => {
          socket.destroy();
          resolve();
        });
        socket.once('error', reject);
      }),
    { timeout: 15_000, interval: 20 },
  );
}

/** What is held how, where, and in which order. */
function held({ windows, arrangements, minimised, shown, focus }: Session): string {
  const orders = Object.entries(arrangements)
    .filter(([, { order }]) => order.length > 0)
    .map(([key, { order }]) => `${key}: ${order.join(' ')}`);
  const all = windows.map(({ id, held: how, workspace, monitor, mode }) => [
    id,
    how,
    workspace,
    monitor,
    mode,
  ]);
  return JSON.stringify([all, orders.sort(), minimised ?? [], shown, focus]);
}

/** What differs between the session that is kept and the server's own account; every window is in the one and the other. */
async function differences(): Promise<string[]> {
  const session = kept();
  if (!session) return ['nothing is kept'];
  const { placements } = computePlacements(session, profile);
  const there = (await server.look()).filter(({ window }) => odds.has(window));
  const found = there
    .filter(({ window }) => !placements.some(({ id }) => XLive.number(id) === window))
    .map(({ window }) => `${window} is not in the session`);
  for (const { id, x, y, width, height, shown } of placements) {
    const is = there.find(({ window }) => window === XLive.number(id));
    const wanted = JSON.stringify({ x, y, width, height, shown });
    const has =
      is &&
      JSON.stringify({ x: is.x, y: is.y, width: is.width, height: is.height, shown: is.isShown });
    if (wanted !== has) found.push(`${id}: ${has}; expected ${wanted}`);
  }
  const order = inDrawingOrder(placements, { session, profile }).map(({ id }) => XLive.number(id));
  const stands = there.filter(({ isShown }) => isShown).map(({ window }) => window);
  if (order.join() !== stands.join())
    found.push(`order ${stands.join()}; expected ${order.join()}`);
  return found;
}
const settled = () =>
  vi.waitFor(async () => expect(await differences()).toEqual([]), {
    timeout: 30_000,
    interval: 20,
  });

// A generator of its own: the same kills every time.
let seed = 7;
const random = () => {
  seed = (seed * 1_103_515_245 + 12_345) % 2 ** 31;
  return seed / 2 ** 31;
};
const one = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
const PLAIN = [
  ...['focus-left', 'focus-right', 'move-left', 'move-right', 'float', 'maximise', 'full-screen'],
  ...['lead-share-more', 'swap-with-lead', 'next-layout', 'minimise', 'restore-last', 'place-left'],
];
function anyCommand(): Command {
  const dice = random();
  if (dice < 0.2) return { command: 'go-workspace', which: one(['A', 'B', 'C']) };
  if (dice < 0.45) return { command: 'put-on-workspace', which: one(['A', 'B', 'C']) };
  return { command: one(PLAIN) } as Command;
}

describe('killing agent, host or programs of a real display', () => {
  it('leaves every window in reach, and everything else as before', async () => {
    server = await XServer.start();
    const open = async (title: string) => {
      const odd = await OddWindow.open(server, { title });
      odds.set(odd.window, odd);
    };
    for (let i = 0; i < WINDOWS; i++) await open(`sheet ${i}`);
    startHost();
    await settled();
    const killed = { agent: 0, host: 0, program: 0 };
    for (let i = 0; i < KILLS; i++) {
      for (let quiet = 0; quiet < 3; quiet++) await give(anyCommand());
      await settled();
      const before = kept()!;
      const command = anyCommand();
      const whom = (['agent', 'host', 'program'] as const)[i % 3]!;
      killed[whom]++;
      if (whom === 'program') {
        const [window, odd] = one([...odds]);
        const id = before.windows.find((each) => XLive.number(each.id) === window)!.id;
        odds.delete(window);
        odd.vanish();
        await vi.waitFor(() => expect(kept()!.windows.map((each) => each.id)).not.toContain(id), {
          timeout: 15_000,
        });
        await settled();
        const after = reduce(before, { type: 'window-closed', id }, profile).session;
        expect(held(kept()!)).toBe(held(after));
        await open(`again ${i}`);
        await settled();
        continue;
      }
      const after = reduce(before, { type: 'command', command }, profile).session;
      void give(command).catch(() => undefined);
      await new Promise((resolve) => setTimeout(resolve, random() ** 3 * MOST_MS));
      const { pid } = host!;
      if (whom === 'agent') process.kill(agentOf(pid!) ?? 0, 'SIGKILL');
      else {
        const isOver = new Promise((resolve) => host!.once('exit', resolve));
        process.kill(pid!, 'SIGKILL');
        await isOver;
        // Its agent shows every window, and goes: nobody is left without one.
        await vi.waitFor(
          async () => {
            const there = await server.look();
            for (const window of odds.keys())
              expect(there.find((each) => each.window === window)!.isShown).toBe(true);
          },
          { timeout: 15_000 },
        );
        startHost();
      }
      await vi.waitFor(() => expect([held(before), held(after)]).toContain(held(kept()!)), {
        timeout: 15_000,
      });
      await settled();
    }
    expect(killed.agent + killed.host + killed.program).toBe(KILLS);
    expect(odds.size).toBe(WINDOWS);
  }, 600_000);
});
