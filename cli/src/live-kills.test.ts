import { readFileSync } from 'node:fs';
import { connect, type Socket } from 'node:net';
import type { Command } from '@sorn/core/commands';
import { reduce } from '@sorn/core/engine';
import type { Session } from '@sorn/core/model';
import { seeded } from '@sorn/desk-stand-in';
import { afterAll, describe, expect, it } from 'vitest';
import { accountText, LIVE_PROFILE, LiveRun, standing } from './testing/live-run.ts';

/** Kills in all, half of them of the agent: a tenth of those of `npm run kills`. */
const KILLS = Number(process.env['LIVE_KILLS'] ?? 10);
/** A kill comes so long after a command was given, at most, mostly sooner: before, within and after what comes of it. */
const MOST_MS = 20;
const WINDOWS = 12;

const poll = (read: () => unknown) => expect.poll(read, { timeout: 30_000, interval: 15 });
const live = new LiveRun();
afterAll(() => live.end());
const random = seeded(12);
const one = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;

const WORKSPACES = ['A', 'B', 'C', 'D', 'E'];
const PLAIN = [
  ...['focus-left', 'focus-right', 'focus-down', 'move-left', 'move-right', 'float', 'maximise'],
  ...[
    'lead-share-more',
    'swap-with-lead',
    'next-layout',
    'turn-layout',
    'minimise',
    'restore-last',
  ],
  ...['stay-above', 'pocket', 'call-back', 'undo', 'place-left', 'full-screen'],
] as const;
function anyCommand(): Command {
  const dice = random();
  if (dice < 0.15) return { command: 'go-workspace', which: one(WORKSPACES) };
  if (dice < 0.35) return { command: 'put-on-workspace', which: one(WORKSPACES) };
  return { command: one(PLAIN) } as Command;
}

/** How windows are held, and every order: what no account of the desktop can tell. */
function held({ windows, arrangements, pocket, minimised, shown }: Session): string {
  const orders = Object.entries(arrangements)
    .filter(([, { order }]) => order.length > 0)
    .map(([key, { order }]) => `${key}: ${order.join(' ')}`);
  return JSON.stringify([
    windows.map(({ id, held: how, workspace, monitor, mode }) => [
      id,
      how,
      workspace,
      monitor,
      mode,
    ]),
    orders.sort(),
    pocket ?? [],
    minimised ?? [],
    shown,
  ]);
}
const whole = (session: Session) => `${standing(session)}\n${held(session)}`;

/** The process that a host started. */
function agentOf(host: number): number | null {
  const children = readFileSync(`/proc/${host}/task/${host}/children`, 'utf8').trim();
  return children === '' ? null : Number(children.split(' ')[0]);
}

function controlled(): Promise<Socket> {
  return new Promise((resolve, reject) => {
    const socket = connect(live.control, () => resolve(socket));
    socket.on('error', reject);
  });
}

/** The desktop stands as the session says that is kept. */
const settled = () => {
  const { kept } = live;
  return kept !== null && live.account.hasAgent && accountText(live.account) === standing(kept);
};

describe('killing the agent or the host of a live desk', () => {
  it('leaves arrangement, order, how windows are held and the focus as before', async () => {
    const apps = ['shell', 'notes', 'post', 'map'];
    for (let i = 0; i < WINDOWS; i++) live.desktop.open({ app: one(apps), title: `Sheet ${i}` });
    await live.start();
    await poll(settled).toBe(true);
    // On every workspace, and so on every monitor.
    const first = await controlled();
    for (let i = 0; i < WINDOWS; i++) {
      const steps = [
        { command: 'find-window', text: `win:w${i + 1}` },
        { command: 'put-on-workspace', which: WORKSPACES[i % WORKSPACES.length] },
      ];
      for (const step of steps) {
        first.write(`${JSON.stringify({ do: step })}\n`);
        await new Promise((resolve) => first.once('data', resolve));
      }
    }
    first.destroy();
    await poll(settled).toBe(true);
    expect(new Set(live.kept!.windows.map(({ workspace }) => workspace)).size).toBe(5);
    const killed = { agent: 0, host: 0 };
    const came = { before: 0, after: 0 };
    for (let i = 0; i < KILLS; i++) {
      const socket = await controlled();
      // Some that are answered before the one that is interrupted.
      for (let quiet = 0; quiet < 3; quiet++) {
        socket.write(`${JSON.stringify({ do: anyCommand() })}\n`);
        await new Promise((resolve) => socket.once('data', resolve));
      }
      await poll(settled).toBe(true);
      const before = live.kept!;
      const command = anyCommand();
      const after = reduce(before, { type: 'command', command }, LIVE_PROFILE).session;
      socket.on('error', () => undefined);
      socket.write(`${JSON.stringify({ do: command })}\n`);
      await new Promise((resolve) => setTimeout(resolve, random() ** 3 * MOST_MS));
      const host = live.host!.pid!;
      if (i % 2 === 0) {
        const agent = agentOf(host);
        if (agent !== null) process.kill(agent, 'SIGKILL');
        killed.agent++;
        // The command was taken over by a host that lives on.
        await poll(() => whole(live.kept!))
          .toBe(whole(after))
          .catch((e) => {
            console.log(
              i,
              command,
              '\nBEFORE',
              whole(before),
              '\nAFTER',
              whole(after),
              '\nNOW',
              whole(live.kept!),
              live.said.slice(-500),
            );
            throw e;
          });
      } else {
        const over = new Promise((resolve) => live.host!.once('close', resolve));
        live.host!.kill('SIGKILL');
        await over;
        killed.host++;
        await poll(() => live.account.hasAgent).toBe(false);
        // Nothing is out of reach while nobody arranges.
        expect(live.account.order).toHaveLength(WINDOWS);
        await live.start();
      }
      socket.destroy();
      await poll(settled).toBe(true);
      // Whatever was told last was kept, or was not told yet.
      const now = whole(live.kept!);
      expect([whole(before), whole(after)]).toContain(now);
      if (now === whole(after)) came.after++;
      else came.before++;
    }
    expect(killed.agent + killed.host).toBe(KILLS);
    process.stdout.write(
      `\nlive kills: ${killed.agent} of the agent, ${killed.host} of the host; ${came.after} commands had come through, ${came.before} had not\n`,
    );
  }, 600_000);
});
