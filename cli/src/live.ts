import { controlPath, reach } from '@sorn/host';
import { LineReader } from '@sorn/link';
import { parse } from 'yaml';
import { BadInput } from './input.ts';

const NOBODY = 'no desk is live; sorn run FILE --agent … starts one';

/** Gives a command to the running desk; what came of it, as JSON. Throws BadInput where it is none. */
export async function giveCommand(text: string): Promise<string> {
  let command: unknown;
  try {
    command = parse(text);
  } catch {
    throw new BadInput([`${text}; expected a command as a word, or as YAML`]);
  }
  for await (const line of conversation({ do: command })) {
    const answer = JSON.parse(line) as { fault?: string; did?: unknown };
    if (answer.fault !== undefined) throw new BadInput([`${text}: ${answer.fault}`]);
    return `${JSON.stringify(answer.did, null, 2)}\n`;
  }
  throw new BadInput(['the desk ended before it answered']);
}

/** Prints how the running desk stands, a line whenever that changes, until the desk ends. */
export async function watchDesk(print: (text: string) => void): Promise<void> {
  for await (const line of conversation({ watch: true })) print(`${line}\n`);
}

/** Says a line to the running desk, and gives the lines that it answers. */
async function* conversation(message: object): AsyncGenerator<string> {
  const socket = await reach(controlPath());
  if (!socket) throw new BadInput([NOBODY]);
  socket.write(`${JSON.stringify(message)}\n`);
  const reader = new LineReader();
  try {
    for await (const bytes of socket)
      for (const line of reader.push(bytes as Buffer)) if (line.ok) yield line.text;
  } finally {
    socket.destroy();
  }
}
