import { rmSync } from 'node:fs';
import { createServer, type Server, type Socket } from 'node:net';
import { LineReader, LineWriter } from '@sorn/link';
import { z } from 'zod';
import { control, controlSchema, type Control } from './control.ts';
import type { Desktop } from './desktop.ts';

const rect = z.object({ x: z.number(), y: z.number(), width: z.number(), height: z.number() });
/** What an agent asks of the desktop over its socket. */
const requestSchema = z.discriminatedUnion('ask', [
  z.object({ ask: z.literal('configure'), window: z.string(), rect, request: z.int() }),
  z.object({
    ask: z.literal('show'),
    window: z.string(),
    shown: z.boolean(),
    state: z.enum(['normal', 'full-screen']),
    border: z.object({ width: z.number(), colour: z.string() }).optional(),
  }),
  z.object({ ask: z.literal('restack'), order: z.array(z.string()) }),
  z.object({ ask: z.literal('focus'), window: z.string().nullable(), request: z.int() }),
  z.object({
    ask: z.literal('listen'),
    triggers: z.array(z.any()),
    whole: z.boolean(),
  }),
  z.object({ ask: z.literal('answer'), answers: z.array(z.int()), taken: z.boolean() }),
  z.object({ ask: z.literal('close'), window: z.string(), force: z.boolean() }),
  z.object({
    ask: z.literal('launch'),
    app: z.string(),
    startupId: z.string().exactOptional(),
  }),
  z.object({ ask: z.literal('identify'), monitor: z.string() }),
  z.object({ ask: z.literal('pictures'), on: z.boolean(), every: z.int().min(100) }),
]);
export type Request = z.input<typeof requestSchema>;

/**
 * Gives the desktop to whoever connects to a Unix socket: a line {"as": "agent"} or {"as": "control"} comes first. One
 * agent at a time; a second is told so and let go.
 */
export function serveDesktop(
  desktop: Desktop,
  path: string,
  random: () => number,
): Promise<Server> {
  const server = createServer((socket) => {
    const reader = new LineReader();
    const writer = new LineWriter(socket);
    let role: 'agent' | 'control' | null = null;
    let before: Promise<void> = Promise.resolve();
    socket.on('data', (bytes: Buffer) => {
      for (const line of reader.push(bytes)) {
        const value = line.ok ? parsed(line.text) : undefined;
        if (role === 'agent') onRequest(desktop, value);
        else if (role === 'control')
          // One after the other: a step that waits holds up those behind it.
          before = before.then(() => onControl(desktop, value, random, writer));
        else role = begun(desktop, value, writer, socket);
      }
    });
    socket.on('error', () => undefined);
    socket.on('close', () => {
      if (role === 'agent') desktop.detach();
    });
  });
  rmSync(path, { force: true });
  return new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(path, () => resolve(server));
  });
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

function begun(
  desktop: Desktop,
  value: unknown,
  writer: LineWriter,
  socket: Socket,
): 'agent' | 'control' | null {
  const { as } = (value ?? {}) as { as?: unknown };
  if (as === 'control') return 'control';
  if (as !== 'agent') {
    socket.end();
    return null;
  }
  if (desktop.attach((event) => writer.write(event))) {
    writer.write({ type: 'all' });
    return 'agent';
  }
  writer.write({ type: 'busy' });
  socket.end();
  return null;
}

function onRequest(desktop: Desktop, value: unknown): void {
  const read = requestSchema.safeParse(value);
  if (!read.success) return;
  const request = read.data;
  switch (request.ask) {
    case 'configure':
      desktop.configure(request.window, request.rect, request.request);
      return;
    case 'show': {
      const { window, shown: isShown, state, border } = request;
      desktop.show(window, { isShown, state, ...(border && { border }) });
      return;
    }
    case 'restack':
      desktop.restack(request.order);
      return;
    case 'focus':
      desktop.focusOn(request.window, request.request);
      return;
    case 'listen':
      desktop.listen(request);
      return;
    case 'answer':
      desktop.answer(request.answers, request.taken);
      return;
    case 'close':
      desktop.askToClose(request.window, request.force);
      return;
    case 'launch':
      desktop.launch(request.app, request.startupId);
      return;
    case 'identify':
      desktop.identify(request.monitor);
      return;
    case 'pictures':
      desktop.picture(request.on, request.every);
  }
}

async function onControl(
  desktop: Desktop,
  value: unknown,
  random: () => number,
  writer: LineWriter,
): Promise<void> {
  const read = controlSchema.safeParse(value);
  if (!read.success) {
    const [issue] = read.error.issues;
    writer.write({ fault: `${issue?.path.join('.') ?? ''}: ${issue?.message ?? ''}` });
    return;
  }
  const step: Control = read.data;
  writer.write({ did: step.do, ...(await control(desktop, step, random)) });
}
