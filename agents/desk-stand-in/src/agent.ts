import { connect } from 'node:net';
import type { Readable, Writable } from 'node:stream';
import {
  LineReader,
  LineWriter,
  PROTOCOL,
  readHostMessage,
  type Ability,
  type AgentMessage,
  type FromHost,
  type HostMessage,
} from '@sorn/link';
import type { DesktopEvent } from './desktop.ts';
import { FAULTS, type Fault, type FaultName } from './faults.ts';
import type { Request } from './serve.ts';

/** The desktop is another agent's. */
const EXIT_BUSY = 3;
/** A key waits so long for its answer. */
const ANSWER_MS = 2_000;
/** What the desktop can do. */
const CAN: Ability[] = [
  'keys',
  'keys-whole',
  'buttons',
  'above',
  'full-screen',
  'launch',
  'close',
  'border',
  'workspaces',
  'identify',
  'pictures',
];

/** What comes over the desktop's socket: what happens, that all there is was told, or that another agent has it. */
type FromDesktop = DesktopEvent | { type: 'all' } | { type: 'busy' };

/** What a placed window answers to: the round in which it was told. */
interface Told {
  window: string;
  round: number;
}

/**
 * Speaks for a simulated desktop: what happens there goes to the host, what the host says is done there.
 *
 * @param fault something that it does wrong on purpose, to try whether that is noticed
 * @returns the code to exit with, once it is over
 */
export function runAgent(
  socketPath: string,
  input: Readable,
  output: Writable,
  faultName?: FaultName,
): Promise<number> {
  const fault: Fault = faultName === undefined ? {} : FAULTS[faultName];
  const socket = connect(socketPath);
  const desktop = new LineWriter(socket);
  const host = new LineWriter(output);
  const told = new Map<number, Told>();
  let requests = 0;
  /** The rounds of requests for a focus. */
  const focusRounds = new Map<number, number>();
  const hidden = new Set<string>();
  const unanswered = new Map<number, NodeJS.Timeout>();
  let isWelcome = false;
  let isBusy = false;
  /** What the desktop told before the host was ready for it. */
  const before: FromDesktop[] = [];
  const memory = {};

  const ask = (request: Request) => {
    for (const each of fault.request?.(request, memory) ?? [request]) desktop.write(each);
  };
  const say = (message: AgentMessage) => {
    for (const each of fault.say?.(message, memory) ?? [message]) {
      if (typeof each === 'string') output.write(`${each}\n`);
      else host.write(each);
    }
  };

  function onEvent(event: FromDesktop): void {
    if (event.type === 'busy') isBusy = true;
    if (event.type === 'all') say({ type: 'ready' });
    if (event.type === 'busy' || event.type === 'all') return;
    if (event.type === 'focused') {
      const round = focusRounds.get(event.after);
      for (const request of focusRounds.keys())
        if (request < event.after) focusRounds.delete(request);
      say({ type: 'focused', window: event.window, ...(round !== undefined && { round }) });
      return;
    }
    if (event.type !== 'took') {
      if (event.type === 'closed') hidden.delete(event.window);
      if ((event.type === 'key' || event.type === 'button') && event.down) waitForAnswer(event.n);
      say(event);
      return;
    }
    const { window, rect, request } = event;
    const { round } = told.get(request) ?? {};
    told.delete(request);
    if (round !== undefined) say({ type: 'placed', window, rect, round });
  }

  /** A press that nobody answers is the window's after a while: a person can type on. */
  function waitForAnswer(n: number): void {
    if (fault.waitsForEver) return;
    const timer = setTimeout(() => {
      unanswered.delete(n);
      ask({ ask: 'answer', answers: [n], taken: false });
    }, ANSWER_MS);
    unanswered.set(n, timer);
  }

  function answered(n: number): void {
    clearTimeout(unanswered.get(n));
    unanswered.delete(n);
  }

  function arrange({ round, windows, order, focus }: FromHost<'arrange'>): void {
    for (const { window, rect, shown: isShown, state, border } of windows) {
      told.set(++requests, { window, round });
      // It is shown where it was told to be, and hidden where it was.
      ask({ ask: 'configure', window, rect, request: requests });
      ask({ ask: 'show', window, shown: isShown, state, ...(border && { border }) });
      if (isShown) hidden.delete(window);
      else hidden.add(window);
    }
    if (order) ask({ ask: 'restack', order });
    if (focus === undefined) return;
    focusRounds.set(++requests, round);
    ask({ ask: 'focus', window: focus, request: requests });
  }

  function showAll(): void {
    for (const window of hidden) ask({ ask: 'show', window, shown: true, state: 'normal' });
    ask({ ask: 'listen', triggers: [], whole: false });
  }

  function onMessage(message: HostMessage): void {
    switch (message.type) {
      case 'welcome':
        isWelcome = true;
        for (const event of before.splice(0)) onEvent(event);
        return;
      case 'arrange':
        arrange(message);
        return;
      case 'listen':
        ask({ ask: 'listen', triggers: message.triggers, whole: message.whole });
        return;
      case 'keys':
        for (const n of message.answers) answered(n);
        ask({ ask: 'answer', answers: message.answers, taken: message.taken });
        return;
      case 'close':
        ask({ ask: 'close', window: message.window, force: message.force ?? false });
        return;
      case 'launch':
        ask({
          ask: 'launch',
          app: message.command[0]!,
          ...(message.startupId !== undefined && { startupId: message.startupId }),
        });
        return;
      case 'identify':
        ask({ ask: 'identify', monitor: message.monitor });
        return;
      case 'pictures':
        ask({ ask: 'pictures', on: message.on, every: message.every });
        return;
      case 'ping':
        say({ type: 'pong' });
        return;
      case 'workspaces':
      case 'settings':
      case 'pong':
      case 'problem':
      case 'refused':
      case 'bye':
    }
  }

  return new Promise((resolve) => {
    let isOver = false;
    const end = (code: number) => {
      if (isOver) return;
      isOver = true;
      if (!fault.leavesHidden) showAll();
      socket.end(() => resolve(code));
      setTimeout(() => resolve(code), 500).unref();
    };
    const hello: AgentMessage = {
      type: 'hello',
      protocol: PROTOCOL,
      agent: 'stand-in desktop',
      version: '1',
      can: CAN,
    };
    const fromDesktop = new LineReader();
    socket.on('connect', () => {
      socket.write('{"as":"agent"}\n');
      say(hello);
    });
    socket.on('data', (bytes: Buffer) => {
      for (const line of fromDesktop.push(bytes)) {
        if (!line.ok) continue;
        const event = JSON.parse(line.text) as FromDesktop;
        if (isWelcome || event.type === 'busy') onEvent(event);
        else before.push(event);
      }
    });
    socket.on('error', (error) => {
      process.stderr.write(`the desktop at ${socketPath} cannot be reached: ${error.message}\n`);
      resolve(1);
    });
    socket.on('close', () => {
      if (isBusy) process.stderr.write('another agent has this desktop\n');
      resolve(isBusy ? EXIT_BUSY : isOver ? 0 : 1);
    });
    const fromHost = new LineReader();
    input.on('data', (bytes: Buffer) => {
      for (const line of fromHost.push(bytes)) {
        const read = line.ok
          ? readHostMessage(line.text)
          : { ok: false as const, about: 'line', fault: line.fault };
        if (!read.ok) {
          if (fault.diesOfNonsense) {
            resolve(1);
            return;
          }
          say({ type: 'problem', about: read.about, message: read.fault });
          continue;
        }
        const { message } = read;
        if (message.type === 'problem' && fault.answersProblems)
          say({ type: 'problem', about: 'problem', message: 'a problem was told of' });
        for (const each of fault.hear?.(message, memory) ?? [message]) {
          if (each.type === 'bye' || each.type === 'refused') {
            if (!fault.staysAfterBye) end(0);
          } else onMessage(each);
        }
      }
    });
    // A host that died says nothing any more.
    input.on('end', () => {
      if (!fault.staysAfterBye) end(0);
    });
  });
}
