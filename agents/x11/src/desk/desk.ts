import type { AgentMessage, FromHost, LinkMonitor } from '@sorn/link';
import isEqual from 'fast-deep-equal';
import type { XEvent } from 'x11';
import { BigText } from '../drawing/big-text.ts';
import { pictureOf } from '../drawing/pictures.ts';
import { answer, type Connection } from '../server/connection.ts';
import type { Monitors } from '../server/monitors.ts';
import { timeNow } from '../server/ownership.ts';
import { reservedOf } from '../windows/reserved.ts';
import { boxOf, type Managed } from '../windows/managed.ts';
import { Arranging } from './arranging.ts';
import { Focus } from './focus.ts';
import { Pointer } from './pointer.ts';
import { Requests, type ClientMessage } from './requests.ts';
import { RootWords } from './root-words.ts';
import type { InputEvent, Keys } from '../keys/keys.ts';
import { Windows } from './windows.ts';

const SYNTHETIC = 0x80;
/** Which fields of a ConfigureRequest are asked for. */
const WISH = { x: 1, y: 2, width: 4, height: 8 } as const;
const INFERIOR = 2;
const NORMAL = 0;
const GRABBED = 1;
const REPLAY_POINTER = 2;
/** A monitor that comes or goes shows in several events: so long they are put together. */
const MONITORS_MS = 30;
const DELETED = 1;
const IDENTIFY_MS = 2_000;
const PAPER = 0xfaf9f5;
const INK = 0x1f2a28;
const Z_PIXMAP = 2;
const ALL_PLANES = 0xffffffff;

/** An X display, as an agent has it: what happens there is told, what the host says is done there. */
export class XDesk {
  private readonly connection: Connection;
  private readonly monitors: Monitors;
  private readonly own: number;
  private readonly say: (message: AgentMessage) => void;
  private readonly windows: Windows;
  private readonly focus: Focus;
  private readonly root: RootWords;
  private readonly arranging: Arranging;
  private readonly requests: Requests;
  private readonly pointer: Pointer;
  private saidMonitors: readonly LinkMonitor[] = [];
  private settings: FromHost<'settings'> = {
    type: 'settings',
    focusFollowsPointer: false,
    pointerFollowsFocus: false,
    clickRaises: true,
    border: 0,
  };
  /** The server's time of what happened last. */
  private time: number;
  private monitorsTimer: NodeJS.Timeout | null = null;
  private hasBegun = false;
  private picturesTimer: NodeJS.Timeout | null = null;
  private text: Promise<BigText> | null = null;
  /** Windows that wanted to be shown before that. */
  private readonly waiting = new Set<number>();
  private readonly onLost: () => void;
  private readonly keys: Keys | null;

  /**
   * @param own our window on the display
   * @param say tells the host
   * @param onLost another program has taken the display
   */
  constructor(
    {
      connection,
      monitors,
      keys,
      own,
      time,
    }: {
      connection: Connection;
      monitors: Monitors;
      keys: Keys | null;
      own: number;
      time: number;
    },
    say: (message: AgentMessage) => void,
    onLost: () => void,
  ) {
    this.connection = connection;
    this.monitors = monitors;
    this.keys = keys;
    keys?.focusIs(own);
    this.own = own;
    this.time = time;
    this.say = say;
    this.onLost = onLost;
    this.windows = new Windows(connection, say);
    this.root = new RootWords(connection, own);
    this.focus = new Focus(
      connection,
      own,
      () => this.time,
      (window, round) => this.onFocus(window, round),
    );
    this.arranging = new Arranging(connection, this.windows, this.focus, this.root, say);
    this.requests = new Requests(connection, this.windows, this.root, say);
    this.pointer = new Pointer(connection);
    connection.onEvent((event) => this.take(event));
  }

  /** Tells of all that there is: once, when the host is ready for it. */
  async begin(): Promise<void> {
    this.root.begin();
    this.time = await timeNow(this.connection, this.own);
    await this.tellMonitors();
    await this.windows.adopt();
    this.hasBegun = true;
    for (const window of this.waiting) await this.windows.come(window);
    this.waiting.clear();
    await this.tellMonitors();
    this.say({ type: 'focused', window: null });
    this.say({ type: 'ready' });
  }

  arrange(message: FromHost<'arrange'>): void {
    this.arranging.arrange(message);
  }

  workspaces(message: FromHost<'workspaces'>): void {
    this.root.desktops(message);
    this.sayPlace();
    this.arranging.sayAll();
    this.leadPointer();
  }

  set(settings: FromHost<'settings'>): void {
    this.settings = settings;
    this.windows.setBorder(settings.border);
    this.arranging.watchesPointer = settings.focusFollowsPointer;
  }

  /** A monitor shows its name, large, for a while. */
  async identify({ monitor: name }: FromHost<'identify'>): Promise<void> {
    const monitor = this.saidMonitors.find((each) => each.name === name);
    if (!monitor) return;
    const { x, root } = this.connection;
    this.text ??= BigText.of(this.connection);
    const text = await this.text;
    const dot = Math.max(
      2,
      Math.min(20, Math.floor((monitor.width * 0.6) / text.lengthOf(name, 1))),
    );
    const width = text.lengthOf(name, dot) + 8 * dot;
    const height = (text.height + 4) * dot;
    const [window, gc] = [x.AllocID(), x.AllocID()];
    const left = monitor.x + Math.floor((monitor.width - width) / 2);
    const top = monitor.y + Math.floor((monitor.height - height) / 2);
    x.CreateWindow(window, root, left, top, width, height, 0, 0, 1, 0, {
      overrideRedirect: 1,
      backgroundPixel: PAPER,
    });
    x.CreateGC(gc, window, { foreground: INK });
    x.MapWindow(window);
    text.draw(window, gc, 4 * dot, 2 * dot, name, dot);
    setTimeout(() => {
      x.DestroyWindow(window);
      x.FreeGC(gc);
    }, IDENTIFY_MS);
  }

  /** Pictures of the windows that are shown, again and again, or none any more. */
  pictures({ on, every }: FromHost<'pictures'>): void {
    clearInterval(this.picturesTimer ?? undefined);
    this.picturesTimer = null;
    if (!on) return;
    const take = () => void this.takePictures();
    this.picturesTimer = setInterval(take, every);
    take();
  }

  private async takePictures(): Promise<void> {
    const { x } = this.connection;
    for (const { window, id, geometry, isMapped } of this.windows.all) {
      if (!isMapped || this.picturesTimer === null) continue;
      const { width, height } = geometry;
      const image = await answer<{ data: Buffer }>((done) =>
        x.GetImage(Z_PIXMAP, window, 0, 0, width, height, ALL_PLANES, done),
      ).catch(() => null);
      // One that reaches over the edge of the screen cannot be had.
      if (image && image.data.length >= width * height * 4)
        this.say({ type: 'picture', window: id, png: pictureOf(image.data, { width, height }) });
    }
  }

  listen(message: FromHost<'listen'>): void {
    this.keys?.listen(message);
  }

  answered(message: FromHost<'keys'>): void {
    this.keys?.answered(message);
  }

  /** Asks a window to close; ends its program where it cannot be asked, or is to be ended. */
  close({ window: id, force }: FromHost<'close'>): void {
    const managed = this.windows.called(id);
    if (!managed) return;
    const { x, atoms } = this.connection;
    if (force || !managed.said.protocols.includes('WM_DELETE_WINDOW')) x.KillClient(managed.window);
    else
      this.connection.tell(managed.window, 'WM_PROTOCOLS', [
        atoms.WM_DELETE_WINDOW,
        this.time,
        0,
        0,
        0,
      ]);
  }

  /** Shows every window, lets the keyboard go, and says that nobody arranges them. */
  async end(): Promise<void> {
    this.keys?.end();
    clearInterval(this.picturesTimer ?? undefined);
    for (const managed of this.windows.all) this.windows.show(managed);
    this.focus.letGo();
    this.root.end();
    await Promise.race([
      this.connection.sync(),
      new Promise((resolve) => setTimeout(resolve, 1_000).unref()),
    ]);
  }

  // What happens on the display.

  private take(event: XEvent): void {
    if (typeof event['time'] === 'number' && event['time'] > 0) this.time = event['time'];
    if (this.monitors.isChange(event)) {
      this.monitorsTimer ??= setTimeout(() => {
        this.monitorsTimer = null;
        void this.tellMonitors();
      }, MONITORS_MS);
    }
    const { wid } = event;
    switch (event.name) {
      case 'MapRequest':
        this.onMapRequest(wid);
        return;
      case 'ConfigureRequest':
        this.onConfigureRequest(event);
        return;
      case 'ConfigureNotify':
        this.onConfigured(event);
        return;
      case 'UnmapNotify':
        this.onUnmapped(event);
        return;
      case 'DestroyNotify':
        this.gone(wid, false);
        return;
      case 'ReparentNotify':
        if (event['parent'] !== this.connection.root) this.gone(wid, false);
        return;
      case 'PropertyNotify':
        this.onProperty(wid, event['atom'] as number, event['state'] as number);
        return;
      case 'KeyPress':
      case 'KeyRelease':
        this.keys?.take(event as unknown as InputEvent);
        return;
      case 'XkbEvent':
        void this.keys?.mapped().catch(() => undefined);
        return;
      case 'FocusIn':
      case 'FocusOut':
        if (event.name === 'FocusOut' && event['mode'] === GRABBED) void this.keys?.grabbed();
        if (this.windows.of(wid)) this.focus.hear(event.name === 'FocusIn', wid, event as never);
        return;
      case 'EnterNotify':
        this.onEntered(event);
        return;
      case 'ButtonPress':
      case 'ButtonRelease':
        if (wid === this.connection.root) this.keys?.takeButton(event as unknown as InputEvent);
        else if (event.name === 'ButtonPress') this.onClicked(event);
        return;
      case 'ClientMessage':
        this.onMessage(event as never);
        return;
      case 'SelectionClear':
        if (event['selection'] === this.connection.atoms.WM_S0) this.onLost();
        return;
      default:
    }
  }

  private onMapRequest(window: number): void {
    if (!this.hasBegun) {
      this.waiting.add(window);
      return;
    }
    const managed = this.windows.of(window);
    // One that is put away, and asks to be shown again by itself.
    if (managed) this.say({ type: 'requested', what: 'activate', window: managed.id });
    else void this.windows.come(window).then(() => this.afterComing(window));
  }

  /** A dock that came keeps an edge free. */
  private afterComing(window: number): void {
    const managed = this.windows.of(window);
    if (!managed || !this.windows.isOwn(managed)) return;
    this.arranging.restack();
    this.arranging.sayStates(managed);
    void this.tellMonitors();
  }

  private onConfigureRequest(event: XEvent): void {
    const { wid } = event;
    const mask = event['mask'] as number;
    const managed = this.windows.of(wid);
    const names = Object.keys(WISH) as (keyof typeof WISH)[];
    const wish = Object.fromEntries(
      names.flatMap((name) => (mask & WISH[name] ? [[name, event[name] as number]] : [])),
    );
    if (managed && !this.windows.isOwn(managed)) {
      this.arranging.asked(managed);
      if (Object.keys(wish).length > 0) this.requests.askFor(managed, wish);
      return;
    }
    // Nobody's to arrange, or not shown yet: as it likes. Whether it lies over others is not its own to say.
    const own = mask & 16 ? { borderWidth: event['borderWidth'] as number } : {};
    this.connection.x.ConfigureWindow(wid, { ...wish, ...own });
  }

  private onConfigured({ rawData, ...event }: XEvent): void {
    const managed = this.windows.of(event['wid1'] as number);
    if (!managed || rawData[0]! & SYNTHETIC) return;
    managed.geometry = {
      x: event['x'] as number,
      y: event['y'] as number,
      width: event['width'] as number,
      height: event['height'] as number,
      border: event['borderWidth'] as number,
    };
  }

  /** Where we did not do that, its programs take it back (ICCCM 4.1.4). */
  private onUnmapped({ wid, rawData }: XEvent): void {
    const managed = this.windows.of(wid);
    this.waiting.delete(wid);
    const isSynthetic = (rawData[0]! & SYNTHETIC) !== 0;
    if (managed && !isSynthetic && managed.unmapsToCome > 0) {
      managed.unmapsToCome--;
      return;
    }
    this.gone(wid, true);
  }

  private gone(window: number, isThere: boolean): void {
    this.waiting.delete(window);
    const managed = this.windows.of(window);
    const keptEdges = managed !== undefined && this.windows.isOwn(managed);
    this.focus.gone(window);
    this.windows.leave(window, isThere);
    this.arranging.forget(window);
    if (managed) this.arranging.restack();
    if (keptEdges) void this.tellMonitors();
  }

  private onProperty(window: number, atom: number, state: number): void {
    if (window === this.own) return;
    const { atoms, root } = this.connection;
    if (window === root) {
      if (atom === atoms.RESOURCE_MANAGER) void this.tellMonitors();
      return;
    }
    // Of states only what a window says before it is shown counts: later it has to ask.
    if (atom === atoms._NET_WM_STATE && state !== DELETED) return;
    void this.windows.changed(window, atom).then((isRead) => {
      const isStrut = atom === atoms._NET_WM_STRUT || atom === atoms._NET_WM_STRUT_PARTIAL;
      if (isRead && isStrut) void this.tellMonitors();
    });
  }

  /** The pointer comes into a window, moved by a person: not where windows moved under it. */
  private onEntered(event: XEvent): void {
    if (!this.settings.focusFollowsPointer) return;
    const managed = this.windows.of(event.wid);
    const isMoved = event['mode'] === NORMAL && event['detail'] !== INFERIOR;
    if (!managed || !isMoved || this.windows.isOwn(managed)) return;
    const at = { seq: event.seq, x: event['rootx'] as number, y: event['rooty'] as number };
    if (!this.arranging.movedUnder(at)) this.choose(managed);
  }

  private onClicked(event: XEvent): void {
    const managed = this.windows.of(event.wid);
    if (managed && !this.windows.isOwn(managed)) this.choose(managed);
    this.connection.x.AllowEvents(REPLAY_POINTER, event['time'] as number);
  }

  private choose(managed: Managed): void {
    const { x, y } = boxOf(managed);
    this.pointer.isOn(this.monitorAt(x, y)?.name);
    if (this.focus.window !== managed.window) this.focus.give(managed);
  }

  private onMessage(message: ClientMessage): void {
    const { atoms } = this.connection;
    if (message.message_type === atoms._NET_REQUEST_FRAME_EXTENTS) {
      this.sayExtents(message.wid);
      return;
    }
    const asking = this.requests.take(message);
    if (asking) this.arranging.asked(asking);
  }

  /** Another window has the keyboard, or none. */
  private onFocus(window: number | null, round: number | undefined): void {
    const managed = window === null ? undefined : this.windows.of(window);
    this.keys?.focusIs(window ?? this.own);
    this.root.active(window);
    for (const each of this.windows.all) {
      const hasIt = each === managed;
      if (!this.windows.isOwn(each)) this.windows.letChoose(each, !hasIt);
      this.arranging.sayStates(each);
    }
    this.say({
      type: 'focused',
      window: managed?.id ?? null,
      ...(round !== undefined && { round }),
    });
    this.leadPointer();
  }

  private leadPointer(): void {
    if (!this.settings.pointerFollowsFocus) return;
    const name = this.root.focusedMonitor;
    const monitor = this.saidMonitors.find((each) => each.name === name);
    const { window } = this.focus;
    const focused = window === null ? undefined : this.windows.of(window);
    void this.pointer.follow(monitor, focused && boxOf(focused)).catch(() => undefined);
  }

  private monitorAt(x: number, y: number): LinkMonitor | undefined {
    return this.saidMonitors.find(
      (each) => x >= each.x && x < each.x + each.width && y >= each.y && y < each.y + each.height,
    );
  }

  /** How wide our border is around a window, for programs that ask before they are shown. */
  private sayExtents(window: number): void {
    const { border } = this.settings;
    this.connection.setNumbers(window, '_NET_FRAME_EXTENTS', 'CARDINAL', [
      border,
      border,
      border,
      border,
    ]);
  }

  /** Tells the monitors, and what docks keep of them, where anything about that is another one. */
  private async tellMonitors(): Promise<void> {
    const [all, desktop] = await Promise.all([this.monitors.all(), this.monitors.desktop()]);
    const { struts } = this.windows;
    const now = all.map((monitor) => ({
      ...monitor,
      ...(struts.length > 0 && { reserved: reservedOf(monitor, struts, desktop) }),
    }));
    if (isEqual(now, this.saidMonitors)) return;
    this.saidMonitors = now;
    this.say({ type: 'monitors', monitors: now });
    this.sayPlace(desktop);
  }

  private sayPlace(known?: { width: number; height: number }): void {
    const say = (desktop: { width: number; height: number }) =>
      this.root.place(this.saidMonitors, desktop);
    if (known) say(known);
    else void this.monitors.desktop().then(say, () => undefined);
  }
}
