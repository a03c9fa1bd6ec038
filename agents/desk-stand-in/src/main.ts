#!/usr/bin/env node
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { connect, type Server, type Socket } from 'node:net';
import { tmpdir, userInfo } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { Command } from 'commander';
import { parse } from 'yaml';
import { z } from 'zod';
import { runAgent } from './agent.ts';
import { control, controlSchema, seeded } from './control.ts';
import { Desktop } from './desktop.ts';
import { FAULTS, type FaultName } from './faults.ts';
import { serveDesktop } from './serve.ts';

const USUAL_SOCKET = join(tmpdir(), `sorn-desk-${userInfo().uid}`, 'desk.sock');

const program = new Command('sorn-desk-stand-in').description(
  'A simulated window system, and the agent that speaks for it.',
);

program
  .command('desktop')
  .description('the desktop: lives on until it is ended')
  .option('--socket <path>', 'the Unix socket it is reached by', USUAL_SOCKET)
  .option('--script <file>', 'what happens, as YAML: a list of steps')
  .option('--seed <number>', 'for what happens by chance', '1')
  .option('--idle <minutes>', 'ends when nobody was connected for so long')
  .action(async (options: { socket: string; script?: string; seed: string; idle?: string }) => {
    const desktop = new Desktop();
    const random = seeded(Number(options.seed));
    mkdirSync(dirname(options.socket), { recursive: true, mode: 0o700 });
    const server = await serveDesktop(desktop, options.socket, random);
    const end = () => {
      desktop.end();
      server.close();
      rmSync(options.socket, { force: true });
      process.exit(0);
    };
    process.on('SIGTERM', end);
    process.on('SIGINT', end);
    if (options.idle !== undefined) endWhenIdle(server, Number(options.idle) * 60_000, end);
    process.stdout.write('the desktop is there\n');
    if (options.script === undefined) return;
    const steps = z.array(controlSchema).parse(parse(readFileSync(options.script, 'utf8')));
    for (const step of steps) await control(desktop, step, random);
  });

program
  .command('agent', { isDefault: true })
  .description('the agent: speaks on standard input and output')
  .option('--socket <path>', 'the desktop; one is begun where none is there', USUAL_SOCKET)
  .option('--script <file>', 'what happens on a desktop that is begun')
  .option('--fault <name>', 'does one thing wrong on purpose')
  .action(async (options: { socket: string; script?: string; fault?: string }) => {
    const { fault } = options;
    if (fault !== undefined && !Object.hasOwn(FAULTS, fault)) {
      process.stderr.write(
        `no fault is called ${fault}; expected one of ${Object.keys(FAULTS).join(', ')}\n`,
      );
      process.exit(2);
    }
    if (!(await isThere(options.socket))) await begin(options.socket, options.script);
    process.exit(
      await runAgent(options.socket, process.stdin, process.stdout, fault as FaultName | undefined),
    );
  });

program
  .command('stimulus')
  .description('passes control lines on to the desktop, and its answers back')
  .option('--socket <path>', 'the desktop', USUAL_SOCKET)
  .action(({ socket: path }: { socket: string }) => {
    const socket = connect(path);
    socket.on('error', (error) => {
      process.stderr.write(`the desktop at ${path} cannot be reached: ${error.message}\n`);
      process.exit(1);
    });
    socket.write('{"as":"control"}\n');
    process.stdin.pipe(socket);
    socket.pipe(process.stdout);
    socket.on('close', () => process.exit(0));
  });

/** Ends a desktop that nobody is connected to. */
function endWhenIdle(server: Server, ms: number, end: () => void): void {
  let connected = 0;
  let timer = setTimeout(end, ms);
  server.on('connection', (socket: Socket) => {
    connected++;
    clearTimeout(timer);
    socket.on('close', () => {
      connected--;
      if (connected > 0) return;
      clearTimeout(timer);
      timer = setTimeout(end, ms);
    });
  });
}

/** Whether a desktop listens there. */
function isThere(path: string): Promise<boolean> {
  if (!existsSync(path)) return Promise.resolve(false);
  return new Promise((resolve) => {
    const socket = connect(path);
    socket.on('connect', () => {
      socket.destroy();
      resolve(true);
    });
    socket.on('error', () => resolve(false));
  });
}

/** A desktop that was begun by an agent ends when nobody was connected for so long, in minutes. */
const IDLE = '10';

/** Begins a desktop that outlives the agent. */
async function begin(path: string, script: string | undefined): Promise<void> {
  const args = [
    'desktop',
    '--socket',
    path,
    '--idle',
    IDLE,
    ...(script === undefined ? [] : ['--script', script]),
  ];
  const child = spawn(process.execPath, [fileURLToPath(import.meta.url), ...args], {
    detached: true,
    stdio: 'ignore',
  });
  child.unref();
  for (let tries = 0; tries < 100 && !(await isThere(path)); tries++)
    await new Promise((resolve) => setTimeout(resolve, 50));
}

await program.parseAsync();
