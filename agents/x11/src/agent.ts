import type { Readable, Writable } from 'node:stream';
import {
  LineReader,
  LineWriter,
  PROTOCOL,
  readHostMessage,
  type Ability,
  type AgentMessage,
  type HostMessage,
} from '@sorn/link';
import { XDesk } from './desk/desk.ts';
import { Keys } from './keys/keys.ts';
import { launch } from './launch.ts';
import { Connection } from './server/connection.ts';
import { Monitors } from './server/monitors.ts';
import { DisplayTaken, takeDisplay, timeNow } from './server/ownership.ts';

/** The display is another one's. */
const EXIT_BUSY = 3;
/** What can be done with the windows of a display. */
const CAN: Ability[] = [
  'above',
  'full-screen',
  'close',
  'border',
  'workspaces',
  'launch',
  'identify',
  'pictures',
];
/** What can be done with its keyboard, where the server has XKB and XTEST. */
const CAN_WITH_KEYS: Ability[] = ['keys', 'keys-whole', 'buttons'];

export interface AgentOptions {
  /** The display; that of the environment where left out. */
  display?: string;
  /** Whoever arranges its windows now is asked to go. */
  replaces: boolean;
  input: Readable;
  output: Writable;
}

/**
 * Speaks for an X display, as the one that arranges its windows.
 *
 * @returns the code to exit with, once it is over
 */
export async function runAgent({
  display,
  replaces,
  input,
  output,
}: AgentOptions): Promise<number> {
  const fail = (code: number, text: string) => {
    process.stderr.write(`${text}\n`);
    return code;
  };
  const named = display ?? process.env['DISPLAY'] ?? ':0';
  let connection: Connection;
  try {
    connection = await Connection.open(named);
  } catch (error) {
    return fail(1, `the display ${named} cannot be reached: ${(error as Error).message}`);
  }
  let own: number;
  try {
    own = await takeDisplay(connection, replaces);
  } catch (error) {
    if (!(error instanceof DisplayTaken)) throw error;
    return fail(EXIT_BUSY, `${named}: ${error.message}`);
  }
  const host = new LineWriter(output);
  const say = (message: AgentMessage) => host.write(message);
  const monitors = await Monitors.of(connection);
  const keys = await Keys.on(connection, say).catch(() => null);
  const time = await timeNow(connection, own);

  return new Promise((resolve) => {
    let isOver = false;
    const end = (code: number) => {
      if (isOver) return;
      isOver = true;
      void desk.end().then(() => resolve(code));
    };
    const desk = new XDesk({ connection, monitors, keys, own, time }, say, () => {
      process.stderr.write(`another program takes the display ${named}\n`);
      end(EXIT_BUSY);
    });
    connection.onGone(() => {
      if (isOver) return;
      isOver = true;
      process.stderr.write(`the display ${named} is gone\n`);
      resolve(1);
    });

    function take(message: HostMessage): void {
      switch (message.type) {
        case 'welcome':
          void desk.begin();
          return;
        case 'arrange':
          desk.arrange(message);
          return;
        case 'workspaces':
          desk.workspaces(message);
          return;
        case 'settings':
          desk.set(message);
          return;
        case 'close':
          desk.close(message);
          return;
        case 'ping':
          say({ type: 'pong' });
          return;
        case 'bye':
        case 'refused':
          end(0);
          return;
        case 'listen':
          desk.listen(message);
          return;
        case 'keys':
          desk.answered(message);
          return;
        case 'launch':
          launch(message, named, (because) =>
            say({ type: 'problem', about: 'launch', message: because }),
          );
          return;
        case 'identify':
          void desk.identify(message).catch(() => undefined);
          return;
        case 'pictures':
          desk.pictures(message);
          return;
        case 'pong':
        case 'problem':
      }
    }

    const lines = new LineReader();
    input.on('data', (bytes: Buffer) => {
      for (const line of lines.push(bytes)) {
        const read = line.ok
          ? readHostMessage(line.text)
          : { ok: false as const, about: 'line', fault: line.fault };
        if (read.ok) take(read.message);
        else say({ type: 'problem', about: read.about, message: read.fault });
      }
    });
    // A host that died says nothing any more.
    input.on('end', () => end(0));
    process.on('SIGTERM', () => end(0));
    process.on('SIGINT', () => end(0));
    say({
      type: 'hello',
      protocol: PROTOCOL,
      agent: `x11 ${named}`,
      version: '1',
      can: keys ? [...CAN, ...CAN_WITH_KEYS] : CAN,
    });
  });
}
