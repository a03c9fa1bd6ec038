import { execFileSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import type { Readable, Writable } from 'node:stream';
import { LineReader, LineWriter, type LinkMonitor, type LinkRect } from '@sorn/link';
import type { XEvent } from 'x11';
import { KeyTable } from './keys/key-table.ts';
import type { AtomName } from './server/atoms.ts';
import { answer, Connection } from './server/connection.ts';
import { textsOf } from './server/values.ts';

interface XTest {
  FakeInput: (
    type: number,
    detail: number,
    time: number,
    window: number,
    x: number,
    y: number,
  ) => void;
}
const FAKE = { keyDown: 2, keyUp: 3, buttonDown: 4, buttonUp: 5, motion: 6 };
const EVENTS = { keys: 1, structure: 0x00020000 };
const REPLACE = 0;
const TO_MANAGER = 0x00180000;
const VIEWABLE = 2;
/** A taken keyboard is given back after so long. */
const TAKEN_MS = 100;
const KINDS: Readonly<Record<string, AtomName>> = {
  dialog: '_NET_WM_WINDOW_TYPE_DIALOG',
  utility: '_NET_WM_WINDOW_TYPE_UTILITY',
  splash: '_NET_WM_WINDOW_TYPE_SPLASH',
  dock: '_NET_WM_WINDOW_TYPE_DOCK',
};

/** One line of what is to be done: fields as docs/link.md has them. */
interface Step {
  do: string;
  window?: string;
  [field: string]: unknown;
}

/**
 * Does on a display what a person and programs do there, by lines, and tells how everything stands: for who judges an
 * agent (docs/link.md). Its windows name themselves as the agent would, so that they have a name before there is one.
 */
export class Stimulus {
  private readonly connection: Connection;
  private readonly table: KeyTable;
  private readonly xtest: XTest;
  private readonly display: string | undefined;
  /** Its own windows by their names: each has a connection of its own, as each program has. */
  private readonly windows = new Map<string, { window: number; program: Connection }>();
  private readonly typed = new Map<number, string[]>();

  private constructor(
    connection: Connection,
    table: KeyTable,
    xtest: XTest,
    display: string | undefined,
  ) {
    this.connection = connection;
    this.table = table;
    this.xtest = xtest;
    this.display = display;
  }

  static async on(display: string | undefined): Promise<Stimulus> {
    const connection = await Connection.open(display);
    const [table, xtest] = await Promise.all([
      KeyTable.read(connection),
      answer<XTest>((done) => connection.x.require('xtest', done)),
    ]);
    connection.onGone(() => process.exit(1));
    return new Stimulus(connection, table, xtest, display);
  }

  /** Takes lines until they end. */
  run(input: Readable, output: Writable): Promise<void> {
    const lines = new LineReader();
    const writer = new LineWriter(output);
    let last = Promise.resolve();
    const take = async (text: string) => {
      try {
        const step = JSON.parse(text) as Step;
        writer.write({ did: step.do, ...(await this.does(step)) });
      } catch (error) {
        writer.write({ fault: (error as Error).message });
      }
    };
    input.on('data', (bytes: Buffer) => {
      for (const line of lines.push(bytes)) if (line.ok) last = last.then(() => take(line.text));
    });
    return new Promise((resolve) => input.on('end', () => resolve(last)));
  }

  private async does(step: Step): Promise<object> {
    const { connection } = this;
    const { x } = connection;
    const own = () => {
      const one = this.windows.get(step.window ?? '');
      if (one === undefined) throw new Error(`no window ${step.window} is open`);
      return one;
    };
    switch (step.do) {
      case 'open':
        return { window: await this.open(step) };
      case 'close':
        await this.close(step.window ?? '');
        break;
      case 'retitle':
        own().program.setText(own().window, '_NET_WM_NAME', String(step['title']));
        await own().program.sync();
        break;
      case 'ask': {
        const { x: left, y, width, height } = step['rect'] as LinkRect;
        own().program.x.ConfigureWindow(own().window, { x: left, y, width, height });
        await own().program.sync();
        break;
      }
      case 'point':
        await this.point(own().window);
        break;
      case 'key': {
        const [keycode] = this.table.keycodesOf(String(step['code']));
        if (keycode === undefined) throw new Error(`no key is called ${String(step['code'])}`);
        this.fake(step['down'] === true ? FAKE.keyDown : FAKE.keyUp, keycode);
        break;
      }
      case 'button':
        this.fake(step['down'] === true ? FAKE.buttonDown : FAKE.buttonUp, Number(step['button']));
        break;
      case 'lose-keyboard':
        x.GrabKeyboard(connection.root, 0, 0, 1, 1, () => true);
        await new Promise((resolve) => setTimeout(resolve, TAKEN_MS));
        x.UngrabKeyboard(0);
        break;
      case 'monitors':
        this.connect(step['monitors'] as LinkMonitor[]);
        break;
      case 'request':
        this.request(step, own().window);
        break;
      case 'look':
        return { account: await this.look() };
      default:
        throw new Error(`nothing is called ${step.do}`);
    }
    await connection.sync();
    return {};
  }

  private async open(step: Step): Promise<string> {
    const connection = await Connection.open(this.display);
    const { x, root, atoms } = connection;
    connection.onGone(() => undefined);
    connection.onEvent((event) => this.hear(event));
    const window = x.AllocID();
    const name = `w${window.toString(16)}-${randomUUID().slice(0, 8)}`;
    const min = step['min'] as { width: number; height: number } | undefined;
    const steps = step['steps'] as { width: number; height: number } | undefined;
    const { width, height } = min ?? { width: 300, height: 200 };
    x.CreateWindow(window, root, 60, 60, width, height, 0, 0, 1, 0, {
      eventMask: EVENTS.keys | EVENTS.structure,
    });
    connection.setText(window, '_SORN_WINDOW', name);
    const app = Buffer.from(`${String(step['app'])}\0${String(step['app'])}\0`, 'latin1');
    x.ChangeProperty(REPLACE, window, atoms.WM_CLASS, atoms.STRING, 8, app);
    connection.setText(window, '_NET_WM_NAME', String(step['title'] ?? step['app']));
    const kind = KINDS[String(step['kind'])];
    if (kind) connection.setNumbers(window, '_NET_WM_WINDOW_TYPE', 'ATOM', [atoms[kind]]);
    const parent = this.windows.get(String(step['parent']));
    if (parent) connection.setNumbers(window, 'WM_TRANSIENT_FOR', 'WINDOW', [parent.window]);
    const isFixed = step['isFixed'] === true;
    const flags = (min || isFixed ? 16 : 0) | (isFixed ? 32 : 0) | (steps ? 64 : 0);
    if (flags !== 0 && step['isSilent'] !== true)
      connection.setNumbers(window, 'WM_NORMAL_HINTS', 'CARDINAL', [
        ...[flags, 0, 0, 0, 0],
        ...[width, height],
        ...(isFixed ? [width, height] : [0, 0]),
        ...[steps?.width ?? 0, steps?.height ?? 0],
        ...[0, 0, 0, 0, 0, 0, 1],
      ]);
    this.windows.set(name, { window, program: connection });
    this.typed.set(window, []);
    x.MapWindow(window);
    await connection.sync();
    return name;
  }

  /** One of its own ends, program and all; so does one that was launched. */
  private async close(name: string): Promise<void> {
    const own = this.windows.get(name);
    this.windows.delete(name);
    if (own) {
      own.program.x.stream.destroy();
      return;
    }
    const there = (await this.all()).find((each) => each.window === name);
    if (there) this.connection.x.KillClient(there.number);
  }

  /** The pointer goes to a window, and clicks. */
  private async point(window: number): Promise<void> {
    const { x, root } = this.connection;
    const at = await answer<{ xPos: number; yPos: number; width: number; height: number }>((done) =>
      x.GetGeometry(window, done),
    );
    this.xtest.FakeInput(FAKE.motion, 0, 0, root, at.xPos + 5, at.yPos + 5);
    this.fake(FAKE.buttonDown, 1);
    this.fake(FAKE.buttonUp, 1);
  }

  private fake(type: number, detail: number): void {
    this.xtest.FakeInput(type, detail, 0, 0, 0, 0);
  }

  /** These monitors and no others are connected now: parts of the screen that there is. */
  private connect(monitors: readonly LinkMonitor[]): void {
    const env = { ...process.env, ...(this.display !== undefined && { DISPLAY: this.display }) };
    const run = (...args: string[]) => execFileSync('xrandr', args, { env, encoding: 'utf8' });
    for (const [, name] of run('--listmonitors').matchAll(/^\s*\d+: [+*]*(\S+)/gm))
      run('--delmonitor', name!);
    monitors.forEach(({ name, x, y, width, height, widthMm = 0, heightMm = 0 }, i) => {
      const place = `${width}/${widthMm}x${height}/${heightMm}+${x}+${y}`;
      run('--setmonitor', name, place, i === 0 ? 'screen' : 'none');
    });
  }

  private request(step: Step, window: number): void {
    const { connection } = this;
    const { x, root, atoms } = connection;
    const on = step['on'] === false ? 0 : 1;
    const messages: Readonly<Record<string, [AtomName, number[]]>> = {
      activate: ['_NET_ACTIVE_WINDOW', [2, 0, 0, 0, 0]],
      close: ['_NET_CLOSE_WINDOW', [0, 2, 0, 0, 0]],
      minimise: ['WM_CHANGE_STATE', [3, 0, 0, 0, 0]],
      'full-screen': ['_NET_WM_STATE', [on, atoms._NET_WM_STATE_FULLSCREEN, 0, 2, 0]],
      above: ['_NET_WM_STATE', [on, atoms._NET_WM_STATE_ABOVE, 0, 2, 0]],
    };
    const message = messages[String(step['what'])];
    if (!message) throw new Error(`nobody asks for ${String(step['what'])}`);
    const [type, data] = message;
    x.SendEvent(root, 0, TO_MANAGER, {
      name: 'ClientMessage',
      format: 32,
      wid: window,
      message_type: atoms[type],
      data,
    });
  }

  private hear(event: XEvent): void {
    const typed = this.typed.get(event.wid);
    if (!typed || event.name !== 'KeyPress') return;
    const keycode = event['keycode'] as number;
    const code = this.table.codeOf(keycode);
    if (code === undefined || this.table.isModifier(keycode)) return;
    const held = this.table.modifiersOf(event['buttons'] as number);
    typed.push([...held, code].join('+'));
  }

  /** Every window that has a name, the lowest first. */
  private async all() {
    const { connection } = this;
    const { x, root } = connection;
    const { children } = await answer<{ children: number[] }>((done) => x.QueryTree(root, done));
    const all = await Promise.all(
      children.map(async (window) => {
        const [name] = textsOf(
          await connection.property(window, '_SORN_WINDOW'),
          connection.atoms.UTF8_STRING,
        );
        const [at, is] = await Promise.all([
          answer<{
            xPos: number;
            yPos: number;
            width: number;
            height: number;
            borderWidth: number;
          }>((done) => x.GetGeometry(window, done as never)).catch(() => null),
          answer<{ mapState: number }>((done) => x.GetWindowAttributes(window, done)).catch(
            () => null,
          ),
        ]);
        if (!name || !at || !is) return [];
        const rect = {
          x: at.xPos,
          y: at.yPos,
          width: at.width + 2 * at.borderWidth,
          height: at.height + 2 * at.borderWidth,
        };
        const typed = this.typed.get(window) ?? [];
        return [{ number: window, window: name, rect, shown: is.mapState === VIEWABLE, typed }];
      }),
    );
    return all.flat();
  }

  private async look(): Promise<object> {
    const windows = await this.all();
    const { focus } = await answer<{ focus: number }>((done) =>
      this.connection.x.GetInputFocus(done),
    );
    return {
      windows: windows.map(({ number: _number, ...window }) => window),
      order: windows.filter(({ shown }) => shown).map(({ window }) => window),
      focus: windows.find(({ number }) => number === focus)?.window ?? null,
    };
  }
}
