import type { AgentMessage, FromHost, LinkTrigger } from '@sorn/link';
import { answer, type Connection } from '../server/connection.ts';
import {
  CAPS_LOCK,
  repeatWithoutReleases,
  setCapsLock,
  tellOfMaps,
  KeyTable,
} from './key-table.ts';

/** What becomes of an event that is kept back. */
const ALLOW = {
  asyncPointer: 0,
  replayPointer: 2,
  syncKeyboard: 4,
  replayKeyboard: 5,
} as const;
const SYNCHRONOUS = 0;
const ASYNCHRONOUS = 1;
const BUTTONS = 4 | 8;
const GRABBED = 0;
const ANY_KEY = 0;
const ANY_MODIFIER = 0x8000;
/** A press waits so long for its answer. */
const ANSWER_MS = 2_000;
/** So often it is looked whether a key is up whose release is not heard. */
const LOOK_MS = 15;
/** A keyboard that another program has is asked for again after so long. */
const AGAIN_MS = 60;
const FAKE = { press: 2, release: 3 } as const;

interface XTest {
  FakeInput: (
    type: number,
    keycode: number,
    time: number,
    window: number,
    x: number,
    y: number,
  ) => void;
}
/** A press or release as the server tells it. */
export interface InputEvent {
  name: string;
  keycode: number;
  /** The state of modifiers and buttons before it. */
  buttons: number;
  time: number;
  seq: number;
}
interface Grab {
  detail: number;
  state: number;
  isButton: boolean;
}
/** A press or release that was told of, and is not answered yet. */
interface Pending {
  n: number;
  detail: number;
  time: number;
  isDown: boolean;
  /** Kept back by a grab of its own, by that of the whole keyboard, by that of a button, or by nothing. */
  kind: 'frozen' | 'whole' | 'button' | 'free';
  taken: boolean | null;
  timer: NodeJS.Timeout;
}

/**
 * Listens to keys and buttons, and gives back what nobody takes. Keys are grabbed so that the server waits for the
 * answer: what is given back keeps its order with all that follows. To listen to every key they are all grabbed so, on
 * the window that has the keyboard.
 *
 * Where keys have to be told of before earlier ones are answered (one with two roles), the keyboard is taken as a whole.
 * Then nothing can be given back by the server; it is pressed anew, in order.
 */
export class Keys {
  private readonly connection: Connection;
  private readonly say: (message: AgentMessage) => void;
  private table: KeyTable;
  private readonly xtest: XTest;
  /** The window that has the keyboard. */
  private focused = 0;
  private grabs = new Map<string, Grab>();
  private triggers: readonly LinkTrigger[] = [];
  /** What is to be listened to beside the triggers: nothing, every key, every key before others are answered. */
  private wanted: 'chords' | 'every' | 'ahead' = 'chords';
  /** The window on which every key is grabbed. */
  private everyOn: number | null = null;
  private hasWhole = false;
  /** From which request until which other one the keyboard was ours as a whole. */
  private wholeFrom = 0;
  private wholeUntil = 0;
  private n = 0;
  /** In their order. */
  private pending: Pending[] = [];
  /** The key whose press the keyboard is grabbed by, until that is let go or given back. */
  private grabbedBy: number | null = null;
  /** Keys whose press was told of, by what became of it: null while that is not known. */
  private readonly down = new Map<number, boolean | null>();
  /** Releases of our own making that the server will tell of. */
  private readonly ownReleases = new Map<number, number>();
  private capsWasOn = false;
  /** The press that was given back last: a grab nearer to the window tells of it once more. */
  private replayed: { keycode: number; time: number } | null = null;
  private lookTimer: NodeJS.Timeout | null = null;
  private againTimer: NodeJS.Timeout | null = null;
  private isOver = false;

  private constructor(
    connection: Connection,
    say: (message: AgentMessage) => void,
    table: KeyTable,
    xtest: XTest,
  ) {
    this.connection = connection;
    this.say = say;
    this.table = table;
    this.xtest = xtest;
  }

  /** @throws where the server has not the extensions that this needs (XKB, XTEST) */
  static async on(connection: Connection, say: (message: AgentMessage) => void): Promise<Keys> {
    await repeatWithoutReleases(connection);
    await tellOfMaps(connection);
    const [table, xtest] = await Promise.all([
      KeyTable.read(connection),
      answer<XTest>((done) => connection.x.require('xtest', done)),
    ]);
    return new Keys(connection, say, table, xtest);
  }

  listen({ triggers, whole, ahead }: FromHost<'listen'>): void {
    this.triggers = triggers;
    this.regrab();
    this.wanted = !whole ? 'chords' : ahead ? 'ahead' : 'every';
    this.widen();
  }

  /** The window that has the keyboard is another one. */
  focusIs(window: number): void {
    if (this.focused === window) return;
    this.focused = window;
    this.widen();
  }

  /** The board is another one, or its keys type something else. */
  async mapped(): Promise<void> {
    this.table = await KeyTable.read(this.connection);
    this.regrab();
  }

  /** What came of presses: answers come in the order of the presses. */
  answered({ answers, taken }: FromHost<'keys'>): void {
    for (const n of answers) this.settle(n, taken);
  }

  /** No key and no button is Sorn's any more. */
  end(): void {
    this.isOver = true;
    for (const { timer } of this.pending) clearTimeout(timer);
    clearTimeout(this.lookTimer ?? undefined);
    clearTimeout(this.againTimer ?? undefined);
    this.triggers = [];
    this.regrab();
    const { x } = this.connection;
    x.AllowEvents(ALLOW.replayKeyboard, 0);
    x.AllowEvents(ALLOW.replayPointer, 0);
    x.UngrabKeyboard(0);
  }

  // What happens on the keyboard.

  take(event: InputEvent): void {
    const isDown = event.name === 'KeyPress';
    const { keycode } = event;
    if (!isDown && this.isOwnRelease(keycode)) return;
    const isWhole = event.seq >= this.wholeFrom && event.seq < this.wholeUntil;
    if (isWhole) this.tellKey(event, isDown, 'whole');
    else if (isDown) this.pressed(event);
    else this.released(event);
  }

  private pressed(event: InputEvent): void {
    const { keycode, time } = event;
    this.grabbedBy ??= keycode;
    const isReplayed = this.replayed?.keycode === keycode && this.replayed.time === time;
    const isOurs = this.everyOn !== null || this.isTriggered(event) || this.down.has(keycode);
    if (isOurs && !isReplayed) this.tellKey(event, true, 'frozen');
    // A further key while the first is down, which is nobody's: the window's, and so is what follows.
    else this.allow('replayKeyboard');
  }

  private released(event: InputEvent): void {
    const isOver = this.grabbedBy === null || this.grabbedBy === event.keycode;
    if (isOver) this.grabbedBy = null;
    if (this.down.has(event.keycode)) this.tellKey(event, false, isOver ? 'free' : 'frozen');
    else if (this.table.isModifier(event.keycode)) this.allow('replayKeyboard');
    else this.allow('syncKeyboard');
  }

  takeButton(event: InputEvent): void {
    const isDown = event.name === 'ButtonPress';
    this.tell({ type: 'button', button: event.keycode }, event, isDown, 'button');
  }

  /** Somebody has the keyboard. Where that is another program no release will be heard. */
  async grabbed(): Promise<void> {
    // A grab of our own is told of by its press, after this.
    await this.connection.sync();
    if (this.hasWhole || this.pending.length > 0 || this.down.size > 0) return;
    this.down.clear();
    this.say({ type: 'keys-lost' });
  }

  private tellKey(
    event: InputEvent,
    isDown: boolean,
    kind: Exclude<Pending['kind'], 'button'>,
  ): void {
    const { keycode, buttons } = event;
    const code = this.table.codeOf(keycode);
    if (code === undefined) {
      // A key without a name is nobody's but the window's.
      if (kind === 'frozen') this.allow('replayKeyboard');
      else if (kind === 'whole') this.giveBack(keycode, isDown);
      return;
    }
    const key = this.table.keyOf(keycode, buttons);
    const isRepeat = isDown && this.down.has(keycode);
    if (code === 'CapsLock' && isDown && !isRepeat) this.capsWasOn = (buttons & CAPS_LOCK) !== 0;
    if (!isDown) this.down.delete(keycode);
    else if (!isRepeat) this.down.set(keycode, null);
    this.tell(
      { type: 'key', code, ...(key !== undefined && { key }), ...(isRepeat && { repeat: true }) },
      event,
      isDown,
      kind,
    );
  }

  private tell(
    what:
      | { type: 'key'; code: string; key?: string; repeat?: true }
      | { type: 'button'; button: number },
    { keycode, buttons, time }: InputEvent,
    isDown: boolean,
    kind: Pending['kind'],
  ): void {
    const n = ++this.n;
    const timer = setTimeout(() => this.settle(n, false), ANSWER_MS);
    this.pending.push({ n, detail: keycode, time, isDown, kind, taken: null, timer });
    this.say({
      ...what,
      n,
      down: isDown,
      at: performance.now(),
      modifiers: this.table.modifiersOf(buttons),
    });
  }

  private settle(n: number, taken: boolean): void {
    const pending = this.pending.find((each) => each.n === n);
    if (pending?.taken !== null) return;
    pending.taken = taken;
    clearTimeout(pending.timer);
    // What is pressed after it does not reach a window before it.
    while (this.pending[0] && this.pending[0].taken !== null) this.follow(this.pending.shift()!);
    if (this.pending.length === 0) this.widen();
  }

  private follow({ detail, time, isDown, kind, taken }: Pending): void {
    if (kind === 'button') {
      this.connection.x.AllowEvents(
        isDown && taken === false ? ALLOW.replayPointer : ALLOW.asyncPointer,
        0,
      );
      return;
    }
    // It may be up by now.
    if (isDown && this.down.has(detail)) this.down.set(detail, taken);
    if (taken && this.table.codeOf(detail) === 'CapsLock')
      void setCapsLock(this.connection, this.capsWasOn);
    if (kind === 'whole') {
      if (!taken) this.giveBack(detail, isDown);
      return;
    }
    if (kind === 'free') return;
    if (isDown && !taken) {
      this.down.delete(detail);
      this.replayed = { keycode: detail, time };
    }
    this.allow(taken || !isDown ? 'syncKeyboard' : 'replayKeyboard');
  }

  private allow(what: keyof typeof ALLOW): void {
    if (what === 'replayKeyboard') this.grabbedBy = null;
    this.connection.x.AllowEvents(ALLOW[what], 0);
    this.lookForReleases();
  }

  /** A grab that is over hears no release: it is looked for, so that nothing stays down for the host. */
  private lookForReleases(): void {
    if (this.lookTimer || this.isOver) return;
    this.lookTimer = setTimeout(() => {
      this.lookTimer = null;
      if (this.hasWhole || this.pending.length > 0 || this.down.size === 0) return;
      void answer<Buffer>((done) => this.connection.x.QueryKeymap(done)).then((map) => {
        if (this.hasWhole || this.pending.length > 0 || this.isOver) return;
        for (const keycode of this.down.keys()) {
          if (((map[keycode >> 3] ?? 0) & (1 << (keycode & 7))) !== 0) continue;
          const event = { name: 'KeyRelease', keycode, buttons: 0, time: 0, seq: 0 };
          this.tellKey(event, false, 'free');
        }
        this.lookForReleases();
      });
    }, LOOK_MS);
  }

  // Grabs.

  private isTriggered({ keycode, buttons }: InputEvent): boolean {
    const locks = this.table.locks.reduce((all, mask) => all | mask, 0);
    return this.grabs.has(`key ${keycode} ${buttons & 0xff & ~locks}`);
  }

  private regrab(): void {
    const wanted = new Map<string, Grab>();
    for (const { code, key, button, modifiers } of this.triggers) {
      const state = this.table.stateOf(modifiers);
      const details =
        button !== undefined
          ? [button]
          : code !== undefined
            ? this.table.keycodesOf(code)
            : this.table.keycodesTyping(key!, modifiers);
      for (const detail of details) {
        const isButton = button !== undefined;
        wanted.set(`${isButton ? 'button' : 'key'} ${detail} ${state}`, {
          detail,
          state,
          isButton,
        });
      }
    }
    for (const [name, grab] of this.grabs) if (!wanted.has(name)) this.ungrab(grab);
    for (const [name, grab] of wanted) if (!this.grabs.has(name)) this.grab(grab);
    this.grabs = wanted;
  }

  /** A grab counts with exactly its modifiers: there is one for each way in which locks may be. */
  private withLocks(state: number): number[] {
    return this.table.locks.reduce(
      (all, mask) => [...all, ...all.map((each) => each | mask)],
      [state],
    );
  }

  private grab({ detail, state, isButton }: Grab): void {
    const { x, root } = this.connection;
    const taken = () => {
      const names = this.table.modifiersOf(state).join('+');
      const what = isButton ? `Button${detail}` : (this.table.codeOf(detail) ?? `key ${detail}`);
      const message = `${names === '' ? '' : `${names}+`}${what} is another program’s`;
      this.say({ type: 'problem', about: 'listen', message });
      return true;
    };
    let isTold = false;
    for (const each of this.withLocks(state)) {
      const done = (error: unknown) => {
        if (!error || isTold) return true;
        isTold = true;
        return taken();
      };
      if (isButton)
        x.GrabButton(root, 0, BUTTONS, SYNCHRONOUS, ASYNCHRONOUS, 0, 0, detail, each, done);
      else x.GrabKey(root, 0, each, detail, ASYNCHRONOUS, SYNCHRONOUS, done);
    }
  }

  private ungrab({ detail, state, isButton }: Grab): void {
    const { x, root } = this.connection;
    for (const each of this.withLocks(state))
      if (isButton) x.UngrabButton(root, detail, each);
      else x.UngrabKey(root, detail, each);
  }

  // Every key.

  /** Listens to as much as is wanted. */
  private widen(): void {
    if (this.isOver) return;
    if (this.wanted === 'ahead') this.takeWhole();
    const on = this.wanted === 'every' ? this.focused : null;
    if (this.everyOn !== on) {
      const { x } = this.connection;
      if (this.everyOn !== null) x.UngrabKey(this.everyOn, ANY_KEY, ANY_MODIFIER);
      this.everyOn = on;
      if (on !== null)
        x.GrabKey(on, 0, ANY_MODIFIER, ANY_KEY, ASYNCHRONOUS, SYNCHRONOUS, () => true);
    }
    if (this.wanted !== 'ahead') this.leaveWhole();
  }

  private takeWhole(): void {
    if (this.hasWhole) return;
    this.hasWhole = true;
    this.grabbedBy = null;
    // What was kept back by a chord's grab cannot be replayed any more: it is pressed anew.
    for (const each of this.pending) if (each.kind === 'frozen') each.kind = 'whole';
    const { x, root } = this.connection;
    x.GrabKeyboard(root, 0, 0, ASYNCHRONOUS, ASYNCHRONOUS, (error, status) => {
      if (!error && status === GRABBED) return true;
      this.hasWhole = false;
      this.wholeUntil = 0;
      this.againTimer ??= setTimeout(() => {
        this.againTimer = null;
        this.widen();
      }, AGAIN_MS);
      return true;
    });
    this.wholeFrom = this.connection.last;
    this.wholeUntil = Infinity;
  }

  private leaveWhole(): void {
    if (!this.hasWhole || this.pending.length > 0) return;
    this.hasWhole = false;
    this.connection.x.UngrabKeyboard(0);
    this.wholeUntil = this.connection.last;
    this.lookForReleases();
  }

  /** A key goes to the window after all: in one write, so that nothing comes between. */
  private giveBack(keycode: number, isDown: boolean): void {
    const { x, root } = this.connection;
    const own = [...this.grabs.values()].filter(
      (grab) => !grab.isButton && grab.detail === keycode,
    );
    if (isDown) {
      // It is down: let go first, so that it can be pressed anew.
      this.ownReleases.set(keycode, (this.ownReleases.get(keycode) ?? 0) + 1);
      this.xtest.FakeInput(FAKE.release, keycode, 0, 0, 0, 0);
      // One that the server did not tell of is none.
      void this.connection.sync().then(() => this.ownReleases.delete(keycode));
    }
    x.UngrabKeyboard(0);
    for (const grab of own) this.ungrab(grab);
    this.xtest.FakeInput(isDown ? FAKE.press : FAKE.release, keycode, 0, 0, 0, 0);
    for (const grab of own) this.grab(grab);
    if (this.hasWhole) x.GrabKeyboard(root, 0, 0, ASYNCHRONOUS, ASYNCHRONOUS, () => true);
  }

  private isOwnRelease(keycode: number): boolean {
    const left = this.ownReleases.get(keycode) ?? 0;
    if (left === 0) return false;
    if (left === 1) this.ownReleases.delete(keycode);
    else this.ownReleases.set(keycode, left - 1);
    return true;
  }
}
