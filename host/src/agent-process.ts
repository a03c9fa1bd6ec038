import { spawn, type ChildProcess } from 'node:child_process';
import {
  LineReader,
  LineWriter,
  readAgentMessage,
  type AgentMessage,
  type FromAgent,
} from '@sorn/link';
import { REAL_CLOCK, type Clock } from './clock.ts';
import { LiveDesk, type LiveOptions } from './live-desk.ts';

/** An agent that ends with this code found another one in its place: it is not started again. */
const EXIT_BUSY = 3;
/** Waits before an agent is started again, growing. */
const FIRST_WAIT_MS = 100;
const LONGEST_WAIT_MS = 5_000;
/** An agent that ran so long was well: the waits begin anew. */
const WELL_MS = 2_000;
/** Nothing heard for so long: it is asked; for longer: it is started again. */
const PING_AFTER_MS = 2_000;
const SILENT_MS = 5_000;
const LOOK_MS = 500;
/** An agent that was told to end has so long. */
const END_MS = 2_000;
/** Faults of an agent that are told back to it, in a second: more would only add to a flood. */
const MOST_PROBLEMS = 20;
/** So many messages are taken before something else has its turn. */
const AT_ONCE = 2_000;

export interface AgentOptions extends Omit<LiveOptions, 'send' | 'hasRoom' | 'clock'> {
  /** The program of the agent and its arguments. */
  command: readonly string[];
  clock?: Clock;
  /** A line that the agent wrote on its standard error. */
  onLog?: (line: string) => void;
  /** It is over, and cannot go on: another agent has the desktop, or no agent can be started. */
  onOver?: (because: string) => void;
}

/**
 * Keeps an agent running for a live desk: starts it, passes messages on, starts it again where it died or hangs. From
 * a flood it reads everything, keeps the newest of what was changed and placed, and lets no key wait.
 */
export class AgentProcess {
  readonly desk: LiveDesk;
  private child: ChildProcess | null = null;
  private writer: LineWriter | null = null;
  private wait = FIRST_WAIT_MS;
  private isEnding = false;
  /** It is not started again, not even by hand. */
  private isOver = false;
  private heardAt = 0;
  private startedAt = 0;
  private queue: AgentMessage[] = [];
  /** What is in the queue that a newer message of the same window replaces. */
  private readonly newest = new Map<string, AgentMessage>();
  private isDraining = false;
  private problems = 0;
  private problemsSince = 0;
  private refused = false;
  /** Cancels whatever waits for its time. */
  private readonly cancels = new Set<() => void>();
  private readonly clock: Clock;
  private readonly options: AgentOptions;

  constructor(options: AgentOptions) {
    this.options = options;
    this.clock = options.clock ?? REAL_CLOCK;
    this.desk = new LiveDesk({
      ...options,
      clock: this.clock,
      send: (message) => this.writer?.write(message),
      hasRoom: () => this.writer?.hasRoom ?? false,
    });
  }

  start(): void {
    const [program = '', ...args] = this.options.command;
    this.startedAt = this.clock.now();
    this.heardAt = this.startedAt;
    this.refused = false;
    const child = spawn(program, args, { stdio: ['pipe', 'pipe', 'pipe'] });
    this.child = child;
    const writer = new LineWriter(child.stdin, () => this.desk.flush());
    this.writer = writer;
    const reader = new LineReader();
    child.stdout.on('data', (bytes: Buffer) => {
      if (this.child === child) this.read(reader, bytes);
    });
    const log = new LineReader();
    child.stderr.on('data', (bytes: Buffer) => {
      for (const line of log.push(bytes)) if (line.ok) this.options.onLog?.(line.text);
    });
    let isOver = false;
    const over = (code: number | null, because: string) => {
      if (isOver) return;
      isOver = true;
      if (this.child === child) this.gone(code, because);
    };
    child.on('error', (error) => over(null, `${program} cannot be started: ${error.message}`));
    child.on('exit', (code, signal) =>
      over(code, signal ? `the agent was ended by ${signal}` : `the agent ended with code ${code}`),
    );
    this.watch(child);
  }

  /** Ends the agent in order: it shows every window first. */
  end(): Promise<void> {
    this.isEnding = true;
    this.isOver = true;
    for (const cancel of this.cancels) cancel();
    this.desk.stop();
    return this.endChild();
  }

  private endChild(): Promise<void> {
    const { child } = this;
    if (!child || child.exitCode !== null || child.signalCode !== null) return Promise.resolve();
    this.desk.end();
    return new Promise((resolve) => {
      const cancel = this.clock.after(END_MS, () => child.kill('SIGKILL'));
      child.on('exit', () => {
        cancel();
        resolve();
      });
    });
  }

  /** Ends the agent until it is started again by hand. */
  async stop(): Promise<void> {
    if (this.isEnding) return;
    this.isEnding = true;
    for (const cancel of this.cancels) cancel();
    this.cancels.clear();
    await this.endChild();
    this.desk.agentGone('the agent was stopped by hand', true);
  }

  /** Starts an agent that was stopped. */
  startAgain(): void {
    if (!this.isEnding || this.child || this.isOver) return;
    this.isEnding = false;
    this.wait = FIRST_WAIT_MS;
    this.start();
  }

  /** The process of the agent; for who has to see that it is gone. */
  get pid(): number | undefined {
    return this.child?.pid;
  }

  private read(reader: LineReader, bytes: Buffer): void {
    this.heardAt = this.clock.now();
    for (const line of reader.push(bytes)) {
      const read = line.ok
        ? readAgentMessage(line.text)
        : { ok: false as const, about: 'line', fault: line.fault };
      if (!read.ok) {
        this.problem(read.about, read.fault);
        continue;
      }
      const { message } = read;
      if (message.type === 'key' || message.type === 'button' || message.type === 'keys-lost')
        this.takeKey(message);
      else this.keep(message);
    }
    if (!this.isDraining) this.drain();
  }

  /** A key never waits behind anything else. */
  private takeKey(message: AgentMessage): void {
    this.desk.take(message);
    this.desk.flush();
  }

  /** Of what only the newest counts the older one is dropped. */
  private keep(message: AgentMessage): void {
    if (message.type === 'changed' || message.type === 'placed') {
      const key = `${message.type} ${message.window}`;
      const before = this.newest.get(key);
      if (before) {
        if (message.type === 'changed') Object.assign(before, { ...before, ...message });
        else Object.assign(before, message);
        return;
      }
      this.newest.set(key, message);
    } else if ('window' in message)
      for (const type of ['changed', 'placed']) this.newest.delete(`${type} ${message.window}`);
    this.queue.push(message);
  }

  private drain(): void {
    this.isDraining = false;
    const some = this.queue.splice(0, AT_ONCE);
    if (this.queue.length === 0) this.newest.clear();
    for (const message of some) {
      if (message.type === 'hello') this.hello(message);
      else if (!this.refused) this.desk.take(message);
    }
    this.desk.flush();
    if (this.queue.length === 0) return;
    this.isDraining = true;
    setImmediate(() => this.drain());
  }

  private hello(message: FromAgent<'hello'>): void {
    if (this.desk.greet(message)) return;
    // Another version does not become this one by being started again.
    this.refused = true;
    this.isEnding = true;
    this.options.onOver?.(`the agent speaks protocol ${message.protocol}`);
  }

  private problem(about: string, message: string): void {
    const now = this.clock.now();
    if (now - this.problemsSince > 1_000) {
      this.problemsSince = now;
      this.problems = 0;
    }
    if (++this.problems > MOST_PROBLEMS) return;
    this.options.onLog?.(`not taken, ${about}: ${message}`);
    // A problem is never answered.
    if (about !== 'problem') this.writer?.write({ type: 'problem', about, message });
  }

  /** Asks an agent that says nothing, and ends one that does not answer: it is started again then. */
  private watch(child: ChildProcess): void {
    let asked = false;
    const look = () => {
      if (this.child !== child || this.isEnding) return;
      const silent = this.clock.now() - this.heardAt;
      if (silent >= SILENT_MS) {
        child.kill('SIGKILL');
        return;
      }
      if (silent < PING_AFTER_MS) asked = false;
      else if (!asked) {
        asked = true;
        this.writer?.write({ type: 'ping' });
      }
      this.later(LOOK_MS, look);
    };
    this.later(LOOK_MS, look);
  }

  private later(ms: number, run: () => void): void {
    const cancel = this.clock.after(ms, () => {
      this.cancels.delete(cancel);
      run();
    });
    this.cancels.add(cancel);
  }

  private gone(code: number | null, because: string): void {
    this.child = null;
    this.writer = null;
    this.queue = [];
    this.newest.clear();
    if (this.isEnding) return;
    if (code === EXIT_BUSY) {
      this.isEnding = true;
      this.desk.agentGone('another agent has the desktop');
      this.options.onOver?.('another agent has the desktop');
      return;
    }
    this.desk.agentGone(`${because}; it is started again`);
    if (this.clock.now() - this.startedAt >= WELL_MS) this.wait = FIRST_WAIT_MS;
    this.later(this.wait, () => this.start());
    this.wait = Math.min(LONGEST_WAIT_MS, this.wait * 2);
  }
}
