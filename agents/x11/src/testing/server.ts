import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import x11, { type XClient, type XEvent } from 'x11';

export interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}
/** A window by the server's own account. */
export interface ServerWindow extends Box {
  window: number;
  isShown: boolean;
}

/** Two monitors side by side on a screen of 3840 × 1440. */
export const TWO = [
  ['left', '2560/600x1440/335+0+0', 'screen'],
  ['right', '1280/300x1440/335+2560+0', 'none'],
] as const;

/** An X server without a monitor, of its own, with a client that asks it how things stand: not one of the agent's. */
export class XServer {
  readonly display: string;
  readonly x: XClient;
  readonly root: number;
  private readonly child: ChildProcess;
  private readonly programs: ChildProcess[] = [];

  private constructor(display: string, child: ChildProcess, x: XClient) {
    this.display = display;
    this.child = child;
    this.x = x;
    this.root = x.display.screen[0]!.root;
  }

  /** @param screen its size, such as 3840x1440 */
  static async start(
    monitors: readonly (readonly string[])[] = TWO,
    screen = '3840x1440',
  ): Promise<XServer> {
    const args = ['-displayfd', '1', '-screen', '0', `${screen}x24`, '-noreset'];
    const child = spawn('Xvfb', [...args, '-nolisten', 'tcp'], {
      stdio: ['ignore', 'pipe', 'ignore'],
    });
    const number = await new Promise<string>((resolve, reject) => {
      child.on('error', reject);
      child.on('exit', () => reject(new Error('Xvfb ended')));
      child.stdout!.once('data', (bytes: Buffer) => resolve(bytes.toString().trim()));
    });
    const display = `:${number}`;
    const x = await connect(display);
    const server = new XServer(display, child, x);
    for (const monitor of monitors) server.run('xrandr', ['--setmonitor', ...monitor]);
    return server;
  }

  /** Runs a program to its end. */
  run(program: string, args: readonly string[]): string {
    const env = { ...process.env, DISPLAY: this.display };
    return execFileSync(program, args, {
      env,
      encoding: 'utf8',
      stdio: ['ignore', 'pipe', 'pipe'],
    });
  }

  /** Starts a program that goes on. */
  start(program: string, args: readonly string[] = []): ChildProcess {
    const env = { ...process.env, DISPLAY: this.display };
    const child = spawn(program, args, { env, stdio: 'ignore' });
    this.programs.push(child);
    return child;
  }

  client(): Promise<XClient> {
    return connect(this.display);
  }

  ask<T>(run: (done: (error: unknown, reply: T) => boolean) => void): Promise<T> {
    return new Promise((resolve, reject) => {
      run((error, reply) => {
        if (error) reject(error as Error);
        else resolve(reply);
        return true;
      });
    });
  }

  /** The outer box of every window of the root, the lowest first, as the server has it. */
  async look(): Promise<ServerWindow[]> {
    const { x, root } = this;
    const { children } = await this.ask<{ children: number[] }>((done) => x.QueryTree(root, done));
    const all = await Promise.all(
      children.map(async (window) => {
        try {
          const [at, is] = await Promise.all([
            this.ask<{
              xPos: number;
              yPos: number;
              width: number;
              height: number;
              borderWidth: number;
            }>((done) => x.GetGeometry(window, done as never)),
            this.ask<{ mapState: number }>((done) => x.GetWindowAttributes(window, done as never)),
          ]);
          return {
            window,
            x: at.xPos,
            y: at.yPos,
            width: at.width + 2 * at.borderWidth,
            height: at.height + 2 * at.borderWidth,
            isShown: is.mapState === 2,
          };
        } catch {
          return null;
        }
      }),
    );
    return all.filter((each) => each !== null);
  }

  async focus(): Promise<number> {
    return (await this.ask<{ focus: number }>((done) => this.x.GetInputFocus(done as never))).focus;
  }

  async atom(name: string): Promise<number> {
    return this.ask<number>((done) => this.x.InternAtom(false, name, done as never));
  }

  /** The 32-bit numbers of a property. */
  async numbers(window: number, name: string): Promise<number[]> {
    const atom = await this.atom(name);
    const { data } = await this.ask<{ data: Buffer }>((done) =>
      this.x.GetProperty(0, window, atom, 0, 0, 4_096, done as never),
    );
    return Array.from({ length: data.length / 4 }, (_, i) => data.readUInt32LE(i * 4));
  }

  async text(window: number, name: string): Promise<string> {
    const atom = await this.atom(name);
    const { data } = await this.ask<{ data: Buffer }>((done) =>
      this.x.GetProperty(0, window, atom, 0, 0, 4_096, done as never),
    );
    return data.toString('utf8');
  }

  /** A message of a program to whoever arranges the display (EWMH). */
  async request(window: number, type: string, data: (number | string)[]): Promise<void> {
    const numbers = await Promise.all(
      data.map((each) => (typeof each === 'string' ? this.atom(each) : each)),
    );
    this.x.SendEvent(this.root, 0, 0x00180000, {
      name: 'ClientMessage',
      format: 32,
      wid: window,
      message_type: await this.atom(type),
      data: numbers,
    });
  }

  /** A person moves the pointer, and clicks. */
  async click(x: number, y: number, button = 1): Promise<void> {
    await this.point(x, y);
    const xtest = await this.xtest();
    xtest.FakeInput(4, button, 0, 0, 0, 0);
    xtest.FakeInput(5, button, 0, 0, 0, 0);
  }

  async point(x: number, y: number): Promise<void> {
    (await this.xtest()).FakeInput(6, 0, 0, this.root, x, y);
  }

  async pointer(): Promise<[number, number]> {
    const at = await this.ask<{ rootX: number; rootY: number }>((done) =>
      this.x.QueryPointer(this.root, done as never),
    );
    return [at.rootX, at.rootY];
  }

  private xtest() {
    return this.ask<{ FakeInput: (...args: number[]) => void }>((done) =>
      this.x.require('xtest', done as never),
    );
  }

  async end(): Promise<void> {
    for (const program of this.programs) program.kill('SIGKILL');
    this.child.removeAllListeners('exit');
    const isOver = new Promise((resolve) => this.child.once('exit', resolve));
    this.child.kill('SIGKILL');
    await isOver;
  }
}

function connect(display: string): Promise<XClient> {
  return new Promise((resolve, reject) => {
    const client = x11.createClient({ display, shm: 'off' }, (error, connected) => {
      if (error) reject(error);
      else resolve(connected.client);
    });
    // Windows come and go; the server ends at the end.
    client.on('error', () => undefined);
  });
}

/** What an odd window is like. */
export interface Odd {
  title?: string;
  app?: string;
  box?: Box;
  /** WM_NORMAL_HINTS. */
  min?: [number, number];
  max?: [number, number];
  increment?: [number, number];
  base?: [number, number];
  over?: number;
  type?: string;
  struts?: number[];
  protocols?: string[];
  states?: string[];
  takesNoInput?: boolean;
  isUrgent?: boolean;
  overrideRedirect?: boolean;
}

/** A window of the tests' own, and what the server told of it. */
export class OddWindow {
  readonly window: number;
  readonly events: XEvent[] = [];
  private readonly x: XClient;
  private readonly server: XServer;
  /** Does something at every event of the window. */
  onEvent: (event: XEvent) => void = () => undefined;

  private constructor(server: XServer, x: XClient) {
    this.server = server;
    this.x = x;
    this.window = x.AllocID();
    x.on('event', (event: XEvent) => {
      if (event.wid !== this.window) return;
      this.events.push(event);
      this.onEvent(event);
    });
  }

  /** Made, but not shown. */
  static async make(server: XServer, odd: Odd = {}): Promise<OddWindow> {
    const x = await server.client();
    const made = new OddWindow(server, x);
    const { x: left = 40, y: top = 60, width = 300, height = 200 } = odd.box ?? {};
    x.CreateWindow(made.window, server.root, left, top, width, height, 0, 0, 1, 0, {
      eventMask: 0x00020000 | 0x00200000 | 4 | 3,
      ...(odd.overrideRedirect && { overrideRedirect: 1 }),
    });
    await made.say(odd);
    return made;
  }

  static async open(server: XServer, odd: Odd = {}): Promise<OddWindow> {
    const made = await OddWindow.make(server, odd);
    made.show();
    return made;
  }

  /** Says something of itself, by its properties. */
  async say(odd: Odd): Promise<void> {
    const { title, app, min, max, increment, base, over, type, struts, protocols, states } = odd;
    if (title !== undefined) await this.set('WM_NAME', 'STRING', 8, Buffer.from(title, 'latin1'));
    if (app !== undefined)
      await this.set('WM_CLASS', 'STRING', 8, Buffer.from(`${app}\0${app}\0`, 'latin1'));
    if (min ?? max ?? increment ?? base) {
      const flags = (min ? 16 : 0) | (max ? 32 : 0) | (increment ? 64 : 0) | (base ? 256 : 0);
      const none = [0, 0];
      await this.set('WM_NORMAL_HINTS', 'WM_SIZE_HINTS', 32, [
        ...[flags, 0, 0, 0, 0],
        ...[...(min ?? none), ...(max ?? none), ...(increment ?? none)],
        ...[0, 0, 0, 0],
        ...(base ?? none),
        1,
      ]);
    }
    if (over !== undefined) await this.set('WM_TRANSIENT_FOR', 'WINDOW', 32, [over]);
    if (type !== undefined)
      await this.set('_NET_WM_WINDOW_TYPE', 'ATOM', 32, [
        await this.server.atom(`_NET_WM_WINDOW_TYPE_${type}`),
      ]);
    if (struts) await this.set('_NET_WM_STRUT_PARTIAL', 'CARDINAL', 32, struts);
    for (const [name, list] of [
      ['WM_PROTOCOLS', protocols],
      ['_NET_WM_STATE', states],
    ] as const)
      if (list)
        await this.set(
          name,
          'ATOM',
          32,
          await Promise.all(list.map((each) => this.server.atom(each))),
        );
    if (odd.takesNoInput || odd.isUrgent)
      await this.set('WM_HINTS', 'WM_HINTS', 32, [
        (odd.takesNoInput ? 1 : 0) | (odd.isUrgent ? 256 : 0),
        0,
        ...[0, 0, 0, 0, 0, 0, 0],
      ]);
    await this.sync();
  }

  private async set(
    name: string,
    type: string,
    format: 8 | 32,
    data: Buffer | number[],
  ): Promise<void> {
    const [atom, typeAtom] = await Promise.all([this.server.atom(name), this.server.atom(type)]);
    this.x.ChangeProperty(0, this.window, atom, typeAtom, format, data);
  }

  show(): void {
    this.x.MapWindow(this.window);
  }

  hide(): void {
    this.x.UnmapWindow(this.window);
  }

  ask(box: Partial<Box>): void {
    this.x.ConfigureWindow(this.window, box);
  }

  destroy(): void {
    this.x.DestroyWindow(this.window);
  }

  /** Its program ends at once. */
  vanish(): void {
    this.x.stream.destroy();
  }

  /** All that it said is done, and what came of it is here. */
  async sync(): Promise<void> {
    await this.server.ask<unknown>((done) => this.x.GetInputFocus(done as never));
  }
}
