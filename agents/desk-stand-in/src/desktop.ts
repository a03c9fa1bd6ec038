import type { AgentMessage, FromAgent, FromHost, LinkMonitor, LinkRect } from '@sorn/link';
import { takenSize, type Character } from './character.ts';
import { pictureOf } from './picture.ts';
import { Keyboard, type Listening } from './keyboard.ts';

/** A window of the simulated desktop. */
export interface StandInWindow {
  id: string;
  app: string;
  title: string;
  kind: FromAgent<'opened'>['kind'];
  parent?: string;
  process?: string;
  startupId?: string;
  rect: LinkRect;
  /** It is on the desktop; without an agent every window is. */
  isShown: boolean;
  state: 'normal' | 'full-screen';
  border?: { width: number; colour: string };
  character: Character;
  /** The keys that it got, as "KeyJ" and "Meta+KeyJ". */
  typed: string[];
}

/** What a window is opened with. */
export interface Opening extends Partial<Character> {
  app?: string | undefined;
  title?: string | undefined;
  kind?: StandInWindow['kind'] | undefined;
  parent?: string | undefined;
  process?: string | undefined;
  rect?: LinkRect | undefined;
  startupId?: string | undefined;
}

/** What the desktop tells its agent: the agent's own messages, but for greetings. */
export type DesktopEvent =
  | Exclude<
      AgentMessage,
      { type: 'hello' | 'ready' | 'problem' | 'ping' | 'pong' | 'placed' | 'focused' }
    >
  | { type: 'took'; window: string; rect: LinkRect; request: number }
  /** `after` is the last request for a focus that came before it; 0 before any. */
  | { type: 'focused'; window: string | null; after: number };

/** How everything really stands: the desktop's own account. */
export interface Account {
  windows: {
    window: string;
    app: string;
    title: string;
    startupId?: string;
    rect: LinkRect;
    shown: boolean;
    state: StandInWindow['state'];
    typed: string[];
  }[];
  /** The windows that are shown, the lowest first. */
  order: string[];
  focus: string | null;
  monitors: string[];
  listening: { triggers: number; whole: boolean };
  hasAgent: boolean;
  /** The monitor that was asked last to show which one it is. */
  identified: string | null;
  /** Pictures of windows are made. */
  hasPictures: boolean;
}

export const TWO_MONITORS: LinkMonitor[] = [
  { name: 'DP-1', x: 0, y: 0, width: 3440, height: 1440, scale: 1, turn: 0, primary: true },
  { name: 'DP-2', x: 3440, y: 0, width: 1920, height: 1200, scale: 1, turn: 0, primary: false },
];

const FIRST_SIZE = { width: 640, height: 420 };

/**
 * A simulated window system: windows with characters, monitors that come and go, a keyboard. It knows nothing of
 * layouts: an agent tells it where windows go, and it tells the agent what happens.
 */
export class Desktop {
  private windows: StandInWindow[] = [];
  /** Every window, the lowest first. */
  private stack: string[] = [];
  private monitors: LinkMonitor[];
  private focus: string | null = null;
  private tell: ((event: DesktopEvent) => void) | null = null;
  private focusRequest = 0;
  private opened = 0;
  private identified: string | null = null;
  private pictures: ReturnType<typeof setInterval> | null = null;
  private readonly keyboard: Keyboard;
  private readonly isSafe: boolean;
  private readonly timers = new Set<ReturnType<typeof setTimeout>>();

  /** @param isSafe windows are shown by themselves once the agent that hid them is gone */
  constructor(monitors: LinkMonitor[] = TWO_MONITORS, isSafe = true) {
    this.monitors = monitors;
    this.isSafe = isSafe;
    this.keyboard = new Keyboard(
      (event) => this.tell?.(event),
      (keys) => this.windowWith(this.focus)?.typed.push(keys),
    );
  }

  /** An agent comes. There is one at a time: false where another is there. */
  attach(tell: (event: DesktopEvent) => void): boolean {
    if (this.tell) return false;
    this.tell = tell;
    tell({ type: 'monitors', monitors: this.monitors });
    for (const window of this.windows) tell(this.openedEvent(window));
    this.focusRequest = 0;
    if (this.focus !== null) this.tellFocus();
    return true;
  }

  /** The agent is gone, however it went: nothing stays hidden, and every key is the windows' again. */
  detach(): void {
    this.tell = null;
    if (this.isSafe) for (const window of this.windows) window.isShown = true;
    this.keyboard.listen({ triggers: [], whole: false });
    this.keyboard.giveAllBack();
    this.picture(false, 0);
  }

  /** Makes pictures of the windows that are shown, again and again, or none any more. */
  picture(isOn: boolean, every: number): void {
    if (this.pictures) clearInterval(this.pictures);
    this.pictures = null;
    if (!isOn) return;
    const make = () => {
      for (const { id, app, title, rect, isShown } of this.windows)
        if (isShown) this.tell?.({ type: 'picture', window: id, png: pictureOf(app, title, rect) });
    };
    this.pictures = setInterval(make, every);
    make();
  }

  /** A monitor shows which one it is. */
  identify(monitor: string): void {
    if (this.monitors.some(({ name }) => name === monitor)) this.identified = monitor;
  }

  open(opening: Opening): string {
    const {
      app = 'shell',
      title = app,
      kind = 'normal',
      parent,
      process,
      startupId,
      ...rest
    } = opening;
    const { rect = this.placeForNew(), ...character } = rest;
    const id = `w${++this.opened}`;
    const window: StandInWindow = {
      id,
      app,
      title,
      kind,
      ...(parent !== undefined && { parent }),
      ...(process !== undefined && { process }),
      ...(startupId !== undefined && { startupId }),
      rect,
      // A window that opens is shown when it was told where; a dock, a splash and any without an agent at once.
      isShown: this.tell === null || kind === 'dock' || kind === 'splash',
      state: 'normal',
      character,
      typed: [],
    };
    this.windows.push(window);
    this.stack.push(id);
    if (this.tell === null) this.focus = id;
    this.tell?.(this.openedEvent(window));
    const { diesMs } = character;
    if (diesMs !== undefined) this.later(diesMs, () => this.close(id));
    return id;
  }

  /** A window goes by itself. */
  close(id: string): void {
    if (!this.windowWith(id)) return;
    this.windows = this.windows.filter((window) => window.id !== id);
    this.stack = this.stack.filter((other) => other !== id);
    this.tell?.({ type: 'closed', window: id });
    if (this.focus !== id) return;
    this.focus = null;
    this.tellFocus();
  }

  retitle(id: string, title: string): void {
    const window = this.windowWith(id);
    if (!window) return;
    window.title = title;
    this.tell?.({ type: 'changed', window: id, title });
  }

  /** A window, or a pointer that pulls it, wants it there. Without an agent it goes there. */
  ask(id: string, rect: LinkRect, by: FromAgent<'asked'>['by'] = 'window'): void {
    const window = this.windowWith(id);
    if (!window) return;
    if (this.tell) this.tell({ type: 'asked', window: id, rect, by });
    else window.rect = rect;
  }

  /** A pointer chooses a window. */
  point(id: string): void {
    if (!this.windowWith(id)) return;
    this.focus = id;
    this.tellFocus();
  }

  plug(monitors: LinkMonitor[]): void {
    this.monitors = monitors;
    this.tell?.({ type: 'monitors', monitors });
  }

  request(request: Omit<FromAgent<'requested'>, 'type'>): void {
    this.tell?.({ type: 'requested', ...request });
  }

  key(code: string, isDown: boolean, types?: string): void {
    this.keyboard.key(code, isDown, types);
  }

  button(button: number, isDown: boolean): void {
    this.keyboard.button(button, isDown);
  }

  /** Another program takes the keyboard: what is let go from then on is not told. */
  loseKeyboard(): void {
    this.keyboard.lose();
    this.tell?.({ type: 'keys-lost' });
  }

  // What an agent asks for.

  /** Tells a window where to go; what it really takes is told with the number of the request. */
  configure(id: string, rect: LinkRect, request: number): void {
    const window = this.windowWith(id);
    if (!window) return;
    const { slowMs = 0, isDeaf, isStuck, isStubborn, resizesOnce } = window.character;
    if (isDeaf) return;
    const take = () => {
      if (!isStuck) window.rect = { ...rect, ...takenSize(window.character, rect) };
      this.tell?.({ type: 'took', window: id, rect: window.rect, request });
      if (isStubborn && !isSame(rect, STUBBORN)) this.ask(id, STUBBORN);
      if (!resizesOnce) return;
      delete window.character.resizesOnce;
      this.ask(id, { ...window.rect, ...resizesOnce });
    };
    if (slowMs > 0) this.later(slowMs, () => this.windowWith(id) && take());
    else take();
  }

  show(
    id: string,
    looks: Pick<StandInWindow, 'isShown' | 'state'> & { border?: StandInWindow['border'] },
  ): void {
    const window = this.windowWith(id);
    if (window) Object.assign(window, looks);
  }

  restack(order: readonly string[]): void {
    const named = order.filter((id) => this.windowWith(id));
    this.stack = [...this.stack.filter((id) => !named.includes(id)), ...named];
  }

  focusOn(id: string | null, request: number): void {
    this.focusRequest = request;
    if (id !== null && !this.windowWith(id)) return;
    if (this.focus === id) return;
    this.focus = id;
    this.tellFocus();
  }

  listen(listening: Listening): void {
    this.keyboard.listen(listening);
  }

  answer(answers: FromHost<'keys'>['answers'], isTaken: boolean): void {
    this.keyboard.answer(answers, isTaken);
  }

  /** Asks a window to close: one with changes that are not saved stays, until it is forced. */
  askToClose(id: string, isForced: boolean): void {
    const window = this.windowWith(id);
    if (window && (isForced || !window.character.keepsOpen)) this.close(id);
  }

  /** Starts an app: by the command's first word, as its window's app. */
  launch(app: string, startupId?: string): void {
    this.open({ app, startupId });
  }

  look(): Account {
    return {
      windows: this.windows.map(({ id, app, title, startupId, rect, isShown, state, typed }) => ({
        window: id,
        app,
        title,
        ...(startupId !== undefined && { startupId }),
        rect,
        shown: isShown,
        state,
        typed: [...typed],
      })),
      order: this.stack.filter((id) => this.windowWith(id)?.isShown),
      focus: this.focus,
      monitors: this.monitors.map(({ name }) => name),
      listening: this.keyboard.listening,
      hasAgent: this.tell !== null,
      identified: this.identified,
      hasPictures: this.pictures !== null,
    };
  }

  end(): void {
    for (const timer of this.timers) clearTimeout(timer);
    this.picture(false, 0);
  }

  private tellFocus(): void {
    this.tell?.({ type: 'focused', window: this.focus, after: this.focusRequest });
  }

  private windowWith(id: string | null): StandInWindow | undefined {
    return this.windows.find((window) => window.id === id);
  }

  private openedEvent(window: StandInWindow): DesktopEvent {
    const { id, app, title, kind, parent, process, startupId, rect, character } = window;
    const { min, max, steps, base, aspect, isSilent, isFixed } = character;
    const hints = {
      ...(min && { min }),
      ...(max && { max }),
      ...(steps && { increment: steps }),
      ...(base && { base }),
      ...(aspect && { aspect }),
    };
    return {
      type: 'opened',
      window: id,
      app,
      title,
      kind,
      ...(parent !== undefined && { parent }),
      ...(process !== undefined && { process }),
      ...(startupId !== undefined && { startupId }),
      rect,
      resizable: !isFixed,
      ...(!isSilent && Object.keys(hints).length > 0 && { hints }),
    };
  }

  /** One beside the other, so that none lies right on another. */
  private placeForNew(): LinkRect {
    const [first] = this.monitors;
    const step = (this.opened % 12) * 28;
    return { x: (first?.x ?? 0) + 40 + step, y: (first?.y ?? 0) + 40 + step, ...FIRST_SIZE };
  }

  private later(ms: number, run: () => void): void {
    const timer = setTimeout(() => {
      this.timers.delete(timer);
      run();
    }, ms);
    this.timers.add(timer);
  }
}

/** Where a stubborn window wants to be, whatever it is told. */
const STUBBORN: LinkRect = { x: 11, y: 13, width: 500, height: 300 };

function isSame(a: LinkRect, b: LinkRect): boolean {
  return a.x === b.x && a.y === b.y && a.width === b.width && a.height === b.height;
}
