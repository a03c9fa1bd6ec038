import { chmodSync, mkdirSync, rmSync, statSync } from 'node:fs';
import { connect, createServer, type Server, type Socket } from 'node:net';
import { tmpdir, userInfo } from 'node:os';
import { dirname, join } from 'node:path';
import { COMMANDS_BY_NAME, commandSchema, type Command } from '@sorn/core/commands';
import { LineReader, LineWriter } from '@sorn/link';
import type { LiveDesk } from './live-desk.ts';

/** Where a running desk is reached: a folder of the person's own. */
export function controlPath(): string {
  const own = process.env['XDG_RUNTIME_DIR'] ?? join(tmpdir(), `sorn-${userInfo().uid}`);
  return process.env['SORN_CONTROL'] ?? join(own, 'sorn', 'live.sock');
}

/** Another desk is reached there already. */
export class ControlTaken extends Error {}

/** A desk that is reached by a Unix socket that only its owner can open. */
export interface Control {
  /** Tells all that watch how the desk stands, where that is another way than before. */
  changed: () => void;
  close: () => void;
}

/**
 * Opens the socket by which commands are given to a running desk, and by which it is watched. A line
 * `{"do": command}` is answered with the reasons or a fault; `{"watch": true}` with how the desk stands, again and again.
 *
 * @throws ControlTaken where another desk is reached there
 */
export async function openControl(path: string, desk: LiveDesk): Promise<Control> {
  mkdirSync(dirname(path), { recursive: true, mode: 0o700 });
  if (await isReached(path))
    throw new ControlTaken(`another desk is live: it is reached by ${path}`);
  const watching = new Map<LineWriter, string>();
  const tell = (writer: LineWriter) => {
    const status = JSON.stringify(desk.status());
    if (watching.get(writer) === status || !writer.hasRoom) return;
    watching.set(writer, status);
    writer.write(desk.status());
  };
  let isTelling = false;
  const changed = () => {
    if (isTelling) return;
    isTelling = true;
    setImmediate(() => {
      isTelling = false;
      for (const writer of watching.keys()) tell(writer);
    });
  };
  const sockets = new Set<Socket>();
  const server = createServer((socket) => {
    sockets.add(socket);
    const writer = new LineWriter(socket, () => watching.has(writer) && tell(writer));
    const reader = new LineReader();
    socket.on('error', () => undefined);
    socket.on('close', () => {
      watching.delete(writer);
      sockets.delete(socket);
    });
    socket.on('data', (bytes: Buffer) => {
      for (const line of reader.push(bytes)) {
        if (!line.ok) writer.write({ fault: line.fault });
        else
          answer(line.text, desk, writer, () => {
            watching.set(writer, '');
            tell(writer);
          });
      }
    });
  });
  await listening(server, path);
  return {
    changed,
    close: () => {
      server.close();
      for (const socket of sockets) socket.end();
      rmSync(path, { force: true });
    },
  };
}

function answer(text: string, desk: LiveDesk, writer: LineWriter, watch: () => void): void {
  let asked: { do?: unknown; watch?: unknown };
  try {
    asked = JSON.parse(text) as typeof asked;
  } catch {
    writer.write({ fault: 'it is no JSON' });
    return;
  }
  if (asked?.watch === true) {
    watch();
    return;
  }
  const read = readCommand(asked?.do);
  if (typeof read === 'string') writer.write({ fault: read });
  else if (!desk.sessionNow) writer.write({ fault: 'the desk is not there yet' });
  else writer.write({ did: desk.command(read) });
}

/** A command as a word or an object; a sentence where it is none. */
function readCommand(given: unknown): Command | string {
  const value = typeof given === 'string' ? { command: given } : given;
  const result = commandSchema.safeParse(value);
  if (result.success) return result.data;
  const [issue] = result.error.issues;
  const at = issue?.path.join('.');
  return `${at ? `${at}: ` : ''}expected ${issue?.message ?? `one of ${COMMANDS_BY_NAME.join(', ')}`}`;
}

/** Tells whether somebody answers there; what a host that was killed left behind is taken away. */
function isReached(path: string): Promise<boolean> {
  return new Promise((resolve) => {
    try {
      statSync(path);
    } catch {
      resolve(false);
      return;
    }
    const socket = connect(path);
    socket.on('connect', () => {
      socket.destroy();
      resolve(true);
    });
    socket.on('error', () => {
      rmSync(path, { force: true });
      resolve(false);
    });
  });
}

function listening(server: Server, path: string): Promise<void> {
  return new Promise((resolve, reject) => {
    // It is nobody else's from the first moment on.
    const before = process.umask(0o177);
    server.once('error', reject);
    server.listen(path, () => {
      chmodSync(path, 0o600);
      resolve();
    });
    process.umask(before);
  });
}

/** Connects to a running desk; null where none is reached. */
export function reach(path: string): Promise<Socket | null> {
  return new Promise((resolve) => {
    const socket = connect(path);
    socket.once('connect', () => resolve(socket));
    socket.once('error', () => resolve(null));
  });
}
