import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { CHECKS, checkAgent, type Checked } from '@sorn/link/checks';
import { afterAll, describe, expect, it } from 'vitest';
import { seeded } from './control.ts';
import { Desktop } from './desktop.ts';
import { FAULTS } from './faults.ts';
import { serveDesktop } from './serve.ts';

const MAIN = fileURLToPath(new URL('../dist/main.js', import.meta.url));
const folder = mkdtempSync(join(tmpdir(), 'sorn-check-'));
const servers: Server[] = [];
afterAll(() => {
  for (const server of servers) server.close();
  rmSync(folder, { recursive: true });
});

/** A desktop of its own; what is hidden stays so when nobody shows it. */
async function desktop(name: string): Promise<string> {
  const socket = join(folder, name);
  servers.push(await serveDesktop(new Desktop(undefined, false), socket, seeded(1)));
  return socket;
}

async function checked(
  socket: string,
  fault: string | null,
  options: { only?: string[]; patience?: number },
): Promise<Checked[]> {
  const run = (...args: string[]) => [process.execPath, MAIN, ...args, '--socket', socket];
  const agent = [...run('agent'), ...(fault === null ? [] : ['--fault', fault])];
  const all: Checked[] = [];
  for await (const each of checkAgent(agent, run('stimulus'), options)) all.push(each);
  return all;
}

describe('the checks of an agent', () => {
  it('are passed by the stand-in, every one', async () => {
    const all = await checked(await desktop('sound'), null, { patience: 15 });
    expect(all.filter(({ came }) => came !== null)).toEqual([]);
    expect(all).toHaveLength(CHECKS.length);
    expect(CHECKS.length).toBeGreaterThan(40);
  });

  it('are one for each fault that it can have', () => {
    expect(CHECKS.map(({ name }) => name).sort()).toEqual(Object.keys(FAULTS).sort());
  });

  // Most of the time they wait for what does not come.
  describe.concurrent('fail, each by its name, with the fault that it is for', () => {
    it.each(Object.keys(FAULTS).map((name, i) => [name, `faulty-${i}`]))(
      '%s',
      async (name, socket) => {
        const [only] = await checked(await desktop(socket), name, { only: [name] });
        expect(only?.came).not.toBeNull();
        expect(only?.came).not.toContain('the stimulus');
      },
    );
  });

  it('are passed by the agent that docs/link.md begins with, as far as it goes', async () => {
    const page = readFileSync(new URL('../../../docs/link.md', import.meta.url), 'utf8');
    const file = join(folder, 'agent.mjs');
    writeFileSync(file, /```js\n([^]*?)```/.exec(page)![1]!);
    const stimulus = [process.execPath, MAIN, 'stimulus', '--socket', await desktop('page')];
    const only = [
      ...['says hello first', 'speaks protocol 1', 'tells the monitors', 'has one primary monitor'],
      ...['says when all were told', 'answers a ping', 'answers what it does not know'],
      ...['never answers a problem', 'survives a broken line', 'ends when told'],
    ];
    const came: (string | null)[] = [];
    for await (const each of checkAgent([process.execPath, file], stimulus, { only, patience: 15 }))
      came.push(each.came);
    expect(came).toEqual(only.map(() => null));
  });

  it('that cannot be run have failed', async () => {
    const nobody = [process.execPath, '-e', 'process.exit(0)'];
    const all: Checked[] = [];
    for await (const each of checkAgent(nobody, nobody, {
      only: ['answers a ping', 'tells its app'],
    }))
      all.push(each);
    expect(all.map(({ came }) => came?.split(':')[0])).toEqual([
      'it could not be run',
      'it could not be run',
    ]);
  });
});
