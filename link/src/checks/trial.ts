import { spawn, type ChildProcess } from 'node:child_process';
import { z } from 'zod';
import { LineReader, LineWriter } from '../lines.ts';
import type {
  AgentMessage,
  ArrangedWindow,
  FromAgent,
  FromHost,
  HostMessage,
  LinkRect,
} from '../messages.ts';
import { readAgentMessage } from '../read-message.ts';

/** What is waited for has so long. */
const WAIT_MS = 1_000;
/** So long nothing may come that must not. */
const QUIET_MS = 150;

const rect = z.object({ x: z.int(), y: z.int(), width: z.int(), height: z.int() });
const accountSchema = z.object({
  windows: z.array(
    z.object({
      window: z.string(),
      rect,
      shown: z.boolean(),
      /** The presses that it got, as "KeyJ" and "Meta+KeyJ". */
      typed: z.array(z.string()),
    }),
  ),
  /** Those that are shown, the lowest first. */
  order: z.array(z.string()),
  focus: z.string().nullable(),
});
/** How everything stands by the window system's own account. */
type Account = z.output<typeof accountSchema>;

/** Something that kept a check from being run to its end. */
export class NotRun extends Error {}

/** A program that opens windows and presses keys when it is told so, a line each. */
export class Stimulus {
  private readonly child: ChildProcess;
  private readonly answers: ((line: string) => void)[] = [];
  private fault: string | null = null;

  constructor([program = '', ...args]: readonly string[]) {
    this.child = spawn(program, args, { stdio: ['pipe', 'pipe', 'inherit'] });
    const reader = new LineReader();
    this.child.stdout!.on('data', (bytes: Buffer) => {
      for (const line of reader.push(bytes)) this.answers.shift()?.(line.ok ? line.text : '');
    });
    this.child.stdin!.on('error', () => undefined);
    this.child.on('error', (error) => (this.fault = error.message));
    this.child.on('exit', () => (this.fault ??= 'it ended'));
  }

  /** Does something, and gives what came of it. */
  async do(step: { do: string } & Record<string, unknown>): Promise<Record<string, unknown>> {
    if (this.fault !== null) throw new NotRun(`the stimulus cannot be used: ${this.fault}`);
    const line = await new Promise<string>((resolve, reject) => {
      const timer = setTimeout(
        () => reject(new NotRun(`the stimulus did not answer ${step.do}`)),
        WAIT_MS * 5,
      );
      this.answers.push((text) => {
        clearTimeout(timer);
        resolve(text);
      });
      this.child.stdin!.write(`${JSON.stringify(step)}\n`);
    });
    const answer = JSON.parse(line) as Record<string, unknown>;
    if (answer['did'] === undefined)
      throw new NotRun(`the stimulus could not do ${step.do}: ${String(answer['fault'])}`);
    return answer;
  }

  async look(): Promise<Account> {
    const read = accountSchema.safeParse((await this.do({ do: 'look' }))['account']);
    if (!read.success) throw new NotRun('the stimulus tells no account that can be read');
    return read.data;
  }

  end(): void {
    this.child.kill();
  }
}

/** One agent that is looked at: what it said, and what is said to it. */
export class Trial {
  readonly stimulus: Stimulus;
  /** Everything that it said, in order; a fault where it could not be read. */
  readonly heard: (AgentMessage | { type: 'unreadable'; about: string; fault: string })[] = [];
  exit: number | null = null;
  private child: ChildProcess | null = null;
  private writer: LineWriter | null = null;
  private readonly waiting = new Set<() => void>();
  private round = 0;
  private readonly opened: string[] = [];
  private readonly command: readonly string[];
  private readonly patience: number;

  /** @param patience so many times as long is waited for everything: on a machine with much else to do */
  constructor(command: readonly string[], stimulus: Stimulus, patience: number) {
    this.patience = patience;
    this.command = command;
    this.stimulus = stimulus;
  }

  /** Starts the agent, and waits for nothing. */
  begin(): void {
    const [program = '', ...args] = this.command;
    this.heard.length = 0;
    this.exit = null;
    this.round = 0;
    const child = spawn(program, args, { stdio: ['pipe', 'pipe', 'ignore'] });
    this.child = child;
    this.writer = new LineWriter(child.stdin);
    const reader = new LineReader();
    child.stdout.on('data', (bytes: Buffer) => {
      for (const line of reader.push(bytes)) {
        const read = line.ok
          ? readAgentMessage(line.text)
          : { ok: false as const, about: 'line', fault: line.fault };
        this.heard.push(read.ok ? read.message : { type: 'unreadable', ...read });
      }
      this.wake();
    });
    const over = (code: number | null) => {
      this.exit ??= code ?? 1;
      this.wake();
    };
    child.on('error', () => over(1));
    child.on('exit', (code) => over(code));
  }

  /** Starts the agent and greets it; it has told all there is then. */
  async start(): Promise<void> {
    this.begin();
    if (!(await this.hears('hello'))) throw new NotRun('the agent says no hello');
    this.say({ type: 'welcome', protocol: 1, session: 'check' });
    await this.hears('ready');
  }

  /** True while the agent has not ended. */
  get isRunning(): boolean {
    return this.exit === null;
  }

  say(message: HostMessage): void {
    this.writer?.write(message);
  }

  /** Says a line as it is. */
  sayLine(line: string | Buffer): void {
    this.child?.stdin?.write(line);
    this.child?.stdin?.write('\n');
  }

  /** The first message of a type that fits, also one that came before; null where none comes in time. */
  async hears<T extends AgentMessage['type']>(
    type: T,
    fits: (message: FromAgent<T>) => boolean = () => true,
    ms = WAIT_MS,
  ): Promise<FromAgent<T> | null> {
    const find = () =>
      (this.heard.find((each) => each.type === type && fits(each as FromAgent<T>)) as
        FromAgent<T> | undefined) ?? null;
    await this.until(() => find() !== null, ms);
    return find();
  }

  /** All messages of a type so far. */
  all<T extends AgentMessage['type']>(type: T): FromAgent<T>[] {
    return this.heard.filter((each) => each.type === type) as FromAgent<T>[];
  }

  /** Waits until something holds; true where it does in time. */
  async until(holds: () => boolean | Promise<boolean>, ms = WAIT_MS): Promise<boolean> {
    const end = performance.now() + ms * this.patience;
    while (!(await holds())) {
      const left = end - performance.now();
      if (left <= 0) return false;
      await new Promise<void>((resolve) => {
        const wake = () => {
          this.waiting.delete(wake);
          clearTimeout(timer);
          resolve();
        };
        const timer = setTimeout(wake, Math.min(left, 20));
        this.waiting.add(wake);
      });
    }
    return true;
  }

  /** So much time passes in which nothing is asked. */
  quiet(ms = QUIET_MS): Promise<void> {
    return new Promise((resolve) => setTimeout(resolve, ms));
  }

  /** Opens a window through the stimulus; its id as the window system has it. */
  async opens(opening: Record<string, unknown> = {}): Promise<string> {
    const { window } = await this.stimulus.do({ do: 'open', app: 'shell', ...opening });
    if (typeof window !== 'string') throw new NotRun('the stimulus opened no window');
    this.opened.push(window);
    return window;
  }

  /** Opens a window, and waits for the agent to tell it; by the id that the agent gives it. */
  async openTold(opening: Record<string, unknown> = {}): Promise<FromAgent<'opened'>> {
    const before = this.all('opened').length;
    await this.opens(opening);
    await this.until(() => this.all('opened').length > before);
    const told = this.all('opened')[before];
    if (!told) throw new NotRun('the agent tells no window that opens');
    return told;
  }

  /** Says a round; its number. */
  arrange(round: Partial<Omit<FromHost<'arrange'>, 'type' | 'round'>>): number {
    this.say({ type: 'arrange', round: ++this.round, windows: [], ...round });
    return this.round;
  }

  /** The same round goes on in its next part. */
  arrangeMore(round: Partial<Omit<FromHost<'arrange'>, 'type' | 'round'>>): void {
    this.say({ type: 'arrange', round: this.round, windows: [], ...round });
  }

  /** How a window stands by the window system's account. */
  async seen(window: string): Promise<Account['windows'][number] | undefined> {
    return (await this.stimulus.look()).windows.find((each) => each.window === window);
  }

  /** Ends the agent and closes what was opened. */
  async end(): Promise<void> {
    this.child?.kill('SIGKILL');
    await this.until(() => this.exit !== null);
    for (const window of this.opened.splice(0)) await this.stimulus.do({ do: 'close', window });
  }

  /** The agent is killed, and another one started. */
  async restart(): Promise<void> {
    this.child?.kill('SIGKILL');
    await this.until(() => this.exit !== null);
    await this.start();
  }

  private wake(): void {
    for (const wake of [...this.waiting]) wake();
  }
}

/** A window of a round. */
export function placed(window: string, at: LinkRect, shown = true): ArrangedWindow {
  return { window, rect: at, shown, state: 'normal' };
}
