import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const MAIN = fileURLToPath(new URL('../../server/dist/main.js', import.meta.url));

export interface RunningServer {
  url: string;
  port: number;
  pid: number;
  file: string;
  /** Ends it as a power cut would. */
  kill: () => Promise<void>;
  stop: () => Promise<void>;
}

/** A folder of its own under the system's temporary one, and its removal. */
export function temporaryFolder(): { path: string; remove: () => void } {
  const path = mkdtempSync(join(tmpdir(), 'sorn-e2e-'));
  return { path, remove: () => rmSync(path, { recursive: true, force: true }) };
}

interface StartOptions {
  demo?: boolean;
  port?: number;
  /** Arguments beside those. */
  more?: readonly string[];
  env?: NodeJS.ProcessEnv;
}

/** Starts the built server on a free port, or on the given one. */
export async function startServer(
  file: string,
  { demo = false, port = 0, more = [], env = {} }: StartOptions = {},
): Promise<RunningServer> {
  const given = ['--data', file, '--port', String(port), ...(demo ? ['--demo'] : []), ...more];
  const args = [MAIN, ...given];
  const child = spawn(process.execPath, args, {
    stdio: ['ignore', 'pipe', 'pipe'],
    env: { ...process.env, ...env },
  });
  const url = await addressOf(child);
  const ended = new Promise<void>((resolve) => child.once('close', () => resolve()));
  const end = (signal: NodeJS.Signals) => {
    child.kill(signal);
    return ended;
  };
  return {
    url,
    port: Number(new URL(url).port),
    pid: child.pid!,
    file,
    kill: () => end('SIGKILL'),
    stop: () => end('SIGTERM'),
  };
}

function addressOf(child: ChildProcess): Promise<string> {
  return new Promise((resolve, reject) => {
    let said = '';
    const hear = (data: Buffer) => {
      said += data.toString();
      const address = /http:\/\/\S+/.exec(said);
      if (address) resolve(address[0]);
    };
    child.stdout!.on('data', hear);
    child.stderr!.on('data', (data: Buffer) => (said += data.toString()));
    child.once('close', (code) => reject(new Error(`the server ended with ${code}: ${said}`)));
  });
}
