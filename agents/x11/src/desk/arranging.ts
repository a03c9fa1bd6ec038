import type { AgentMessage, ArrangedWindow, FromHost } from '@sorn/link';
import isEqual from 'fast-deep-equal';
import type { Connection } from '../server/connection.ts';
import { geometryOf, type Geometry } from '../windows/box.ts';
import { boxOf, type Managed } from '../windows/managed.ts';
import type { Focus } from './focus.ts';
import type { RootWords } from './root-words.ts';
import { restacking } from './stacking.ts';
import type { Windows } from './windows.ts';

const ABOVE = 0;
const BELOW = 1;
const STRUCTURE = 0x00020000;
/** A window that asked for a place waits so long for the answer. */
const WAIT_MS = 400;
/** States that are ours to say; the others stay as the window has them. */
const OURS = [
  '_NET_WM_STATE_FULLSCREEN',
  '_NET_WM_STATE_HIDDEN',
  '_NET_WM_STATE_FOCUSED',
  '_NET_WM_STATE_ABOVE',
];
const ATTENTION = '_NET_WM_STATE_DEMANDS_ATTENTION';

/** Does what the host says of windows: places, borders, who is shown, who lies over whom, who has the keyboard. */
export class Arranging {
  private readonly connection: Connection;
  private readonly windows: Windows;
  private readonly focus: Focus;
  private readonly root: RootWords;
  private readonly say: (message: AgentMessage) => void;
  /** Those that are shown by the last order, the lowest first. */
  private order: readonly string[] = [];
  /** How all windows that were put in an order stand by now, the lowest first. */
  private stack: readonly number[] = [];
  private colours = new Map<number, number>();
  private saidStates = new Map<number, readonly string[]>();
  private saidDesktops = new Map<number, number>();
  /** The request after which no window comes under the pointer by our doing. */
  private settledAt = 0;
  /** Where the pointer was before the last round; null where nobody wants to know. */
  private pointer: { x: number; y: number } | null = null;
  /** It matters whether a window came under the pointer, or the pointer into the window. */
  watchesPointer = false;

  constructor(
    connection: Connection,
    windows: Windows,
    focus: Focus,
    root: RootWords,
    say: (message: AgentMessage) => void,
  ) {
    this.connection = connection;
    this.windows = windows;
    this.focus = focus;
    this.root = root;
    this.say = say;
  }

  /** One round, or a part of one. Every window of it is answered for once the server has done it. */
  arrange({ round, windows, order, focus }: FromHost<'arrange'>): void {
    if (this.watchesPointer) this.rememberPointer();
    const told = windows.flatMap((each) => {
      const managed = this.windows.called(each.window);
      return managed ? [{ managed, each }] : [];
    });
    const shown = told.filter(({ each }) => each.shown);
    const hidden = told.filter(({ each }) => !each.shown);
    for (const { managed, each } of shown) this.place(managed, each);
    if (order) this.order = order;
    this.restack();
    // Whatever comes is there before what goes is gone: nothing of the backdrop flashes up.
    for (const { managed } of shown) this.windows.show(managed);
    for (const { managed, each } of hidden) {
      this.windows.hide(managed);
      this.place(managed, each);
    }
    for (const { managed } of told) this.sayStates(managed);
    if (focus !== undefined) {
      const managed = focus === null ? null : (this.windows.called(focus) ?? null);
      this.focus.give(managed, round);
    }
    // The next request asks whether all is done: what the server tells from then on is not because of this.
    this.settledAt = this.connection.last + 1;
    void this.connection.sync().then(() => {
      for (const { managed } of told)
        if (this.windows.of(managed.window) === managed)
          this.say({ type: 'placed', window: managed.id, rect: boxOf(managed), round });
    });
  }

  /** Asked before anything moves, and so answered before what comes of that is told. */
  private rememberPointer(): void {
    const { x, root } = this.connection;
    x.QueryPointer(root, (error, at) => {
      if (!error) this.pointer = { x: at.rootX, y: at.rootY };
      return true;
    });
  }

  /** True where a window came under the pointer by our doing: the pointer is where it was before we moved windows. */
  movedUnder({ seq, x, y }: { seq: number; x: number; y: number }): boolean {
    return seq < this.settledAt && this.pointer?.x === x && this.pointer.y === y;
  }

  private place(managed: Managed, { rect, shown, state, border, above }: ArrangedWindow): void {
    managed.shown = shown;
    managed.isFullScreen = state === 'full-screen';
    managed.isAbove = above ?? false;
    const wanted = geometryOf(rect, managed.isFullScreen ? 0 : (border?.width ?? 0));
    if (border) this.colour(managed, border.colour);
    if (isEqual(managed.geometry, wanted)) {
      if (managed.isWaiting) this.tellPlace(managed);
    } else {
      this.configure(managed, wanted);
      // One that is only moved has to hear where it stands, too: its own event says that.
      managed.isWaiting = false;
    }
  }

  private configure({ window }: Managed, { x, y, width, height, border }: Geometry): void {
    this.connection.x.ConfigureWindow(window, { x, y, width, height, borderWidth: border });
  }

  private colour({ window, depth }: Managed, colour: string): void {
    const rgb = Number.parseInt(colour.slice(1), 16);
    // Of a window that may be seen through the border is not.
    const pixel = depth === 32 ? rgb + 0xff000000 : rgb;
    if (this.colours.get(window) === pixel) return;
    this.colours.set(window, pixel);
    this.connection.x.ChangeWindowAttributes(window, { borderPixel: pixel }, () => true);
  }

  /** The window asks where it may be: it hears where it is, now or after the host decided (ICCCM 4.1.5). */
  asked(managed: Managed): void {
    managed.isWaiting = true;
    setTimeout(() => {
      if (managed.isWaiting && this.windows.of(managed.window) === managed) this.tellPlace(managed);
    }, WAIT_MS).unref();
  }

  private tellPlace(managed: Managed): void {
    managed.isWaiting = false;
    const { window, geometry } = managed;
    this.connection.x.SendEvent(window, 0, STRUCTURE, {
      name: 'ConfigureNotify',
      wid: window,
      wid1: window,
      aboveSibling: 0,
      x: geometry.x,
      y: geometry.y,
      width: geometry.width,
      height: geometry.height,
      borderWidth: geometry.border,
      overrideRedirect: 0,
    });
  }

  /**
   * Brings windows into the order of the host, and what is shown by itself between them: over all of them, but right
   * under the lowest that has a whole screen.
   */
  restack(): void {
    const { windows } = this;
    const ordered = this.order.flatMap((id) => windows.called(id) ?? []);
    const own = windows.all.filter((each) => windows.isOwn(each) && each.isMapped);
    const lowest = ordered.findIndex(({ isFullScreen }) => isFullScreen);
    const under = lowest < 0 ? ordered.length : lowest;
    const wanted = [
      ...own.filter((each) => windows.isUnderAll(each)),
      ...ordered.slice(0, under),
      ...own.filter((each) => !windows.isUnderAll(each)),
      ...ordered.slice(under),
    ].map(({ window }) => window);
    for (const { window, above } of restacking(this.stack, wanted))
      this.connection.x.ConfigureWindow(
        window,
        above === null ? { stackMode: BELOW } : { sibling: above, stackMode: ABOVE },
      );
    this.stack = wanted;
    this.root.windows(
      windows.all.map(({ window }) => window),
      wanted,
    );
  }

  /** A window is gone: what was to be put right above it may not be there, so all are put in their places anew. */
  forget(window: number): void {
    this.stack = [];
    this.colours.delete(window);
    this.saidStates.delete(window);
    this.saidDesktops.delete(window);
  }

  /** Says to all windows and panels how they stand. */
  sayAll(): void {
    for (const managed of this.windows.all) this.sayStates(managed);
  }

  /** The states of a window (EWMH), and its workspace: only what is another one. */
  sayStates(managed: Managed): void {
    const { window, id, said, shown, isFullScreen, isAbove } = managed;
    const isDock = this.windows.isOwn(managed);
    const hasFocus = this.focus.window === window;
    if (!isDock && shown !== null) {
      const isPutAway = !shown && this.root.isWorkspaceShown(id);
      const states = [
        ...said.states.filter(
          (state) => !OURS.includes(state) && !(hasFocus && state === ATTENTION),
        ),
        ...(isFullScreen ? ['_NET_WM_STATE_FULLSCREEN'] : []),
        ...(isAbove ? ['_NET_WM_STATE_ABOVE'] : []),
        ...(isPutAway ? ['_NET_WM_STATE_HIDDEN'] : []),
        ...(hasFocus ? ['_NET_WM_STATE_FOCUSED'] : []),
      ];
      if (!isEqual(this.saidStates.get(window), states)) {
        this.saidStates.set(window, states);
        this.connection.setNumbers(
          window,
          '_NET_WM_STATE',
          'ATOM',
          this.connection.atomsOf(states),
        );
      }
    }
    const desktop = this.root.desktopOf(id, isDock);
    if (desktop === null || this.saidDesktops.get(window) === desktop) return;
    this.saidDesktops.set(window, desktop);
    this.connection.setNumbers(window, '_NET_WM_DESKTOP', 'CARDINAL', [desktop]);
  }
}
