// An agent that measures: how long after a line with a key the last byte of the round that follows is there.
import { LineReader, LineWriter, type AgentMessage, type HostMessage } from '@sorn/link';

const windows = Number(process.argv[2]);
const presses = Number(process.argv[3]);
const host = new LineWriter(process.stdout);
const say = (message: AgentMessage) => host.write(message);
const reader = new LineReader();
let heard: (message: HostMessage) => void = () => undefined;

process.stdin.on('data', (bytes: Buffer) => {
  for (const line of reader.push(bytes)) {
    if (!line.ok) continue;
    const message = JSON.parse(line.text) as HostMessage;
    if (message.type === 'arrange')
      for (const { window, rect } of message.windows)
        say({ type: 'placed', window, rect, round: message.round });
    heard(message);
  }
});
process.stdin.on('end', () => process.exit(0));

/** Microseconds until a message of a type is there. */
function until(type: HostMessage['type'], begin: () => void): Promise<number> {
  return new Promise((resolve) => {
    const began = process.hrtime.bigint();
    heard = (message) => {
      if (message.type !== type) return;
      heard = () => undefined;
      resolve(Number(process.hrtime.bigint() - began) / 1_000);
    };
    begin();
  });
}

let n = 0;
const key = (code: string, down: boolean): AgentMessage => ({
  type: 'key',
  n: ++n,
  code,
  down,
  at: performance.now(),
  modifiers: ['Shift', 'Meta'],
});

async function measure(): Promise<void> {
  say({ type: 'hello', protocol: 1, agent: 'bench', version: '1', can: ['keys'] });
  say({
    type: 'monitors',
    monitors: [
      { name: 'one', x: 0, y: 0, width: 3440, height: 1440, scale: 1, turn: 0, primary: true },
    ],
  });
  const rect = { x: 0, y: 0, width: 640, height: 420 };
  for (let i = 0; i < windows; i++)
    say({
      type: 'opened',
      window: `w${i}`,
      app: 'shell',
      title: `Sheet ${i}`,
      kind: 'normal',
      rect,
      resizable: true,
    });
  await until('arrange', () => say({ type: 'ready' }));
  await new Promise((resolve) => setTimeout(resolve, 500));
  const keys: number[] = [];
  const echoes: number[] = [];
  for (let i = 0; i < presses; i++) {
    const code = i % 2 === 0 ? 'ArrowLeft' : 'ArrowRight';
    keys.push(await until('arrange', () => say(key(code, true))));
    say(key(code, false));
    // What follows a round, such as keeping it, is over before the next is measured.
    await new Promise((resolve) => setTimeout(resolve, 3));
    echoes.push(await until('pong', () => say({ type: 'ping' })));
  }
  process.stderr.write(`${JSON.stringify({ keys, echoes })}\n`);
}
await measure();
