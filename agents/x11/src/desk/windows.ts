import { randomUUID } from 'node:crypto';
import type { AgentMessage } from '@sorn/link';
import { answer, type Connection } from '../server/connection.ts';
import { textsOf, numbersOf } from '../server/values.ts';
import { isBackdrop } from '../windows/kind.ts';
import { outerBox } from '../windows/box.ts';
import { changedOf, openedOf, toldOf, type Managed } from '../windows/managed.ts';
import { readAnew, readSaid, strutsOf } from '../windows/said.ts';
import type { Strut } from '../windows/reserved.ts';

const EVENTS = {
  enter: 0x00000010,
  focus: 0x00200000,
  property: 0x00400000,
};
const WM_STATE = { withdrawn: 0, normal: 1, iconic: 3 };
const UNMAPPED = 0;
const SAVE = 1;
const FORGET = 0;
/** Clicks that give the keyboard: those of a wheel do not. */
const CHOOSING_BUTTONS = [1, 2, 3];
const BUTTON_PRESS = 4;
const SYNCHRONOUS = 0;
const ASYNCHRONOUS = 1;
const ANY_MODIFIER = 0x8000;

interface Coming {
  isGone: boolean;
  /** Atoms of the properties that changed while it was read. */
  readonly changed: Set<number>;
}

/** The windows that are Sorn's to show: takes them in charge, reads what they say, and tells of it. */
export class Windows {
  private readonly byWindow = new Map<number, Managed>();
  private readonly byId = new Map<string, Managed>();
  private readonly told = new Map<Managed, ReturnType<typeof toldOf>>();
  private readonly coming = new Map<number, Coming>();
  private readonly connection: Connection;
  private readonly say: (message: AgentMessage) => void;
  /** The width of the border that every window will have. */
  private border = 0;

  constructor(connection: Connection, say: (message: AgentMessage) => void) {
    this.connection = connection;
    this.say = say;
  }

  of(window: number): Managed | undefined {
    return this.byWindow.get(window);
  }

  called(id: string): Managed | undefined {
    return this.byId.get(id);
  }

  /** In the order in which they came. */
  get all(): readonly Managed[] {
    return [...this.byWindow.values()];
  }

  /** What docks keep free of the edges of the whole desktop. */
  get struts(): readonly Strut[] {
    return this.all.flatMap(({ said, isMapped }) => (isMapped ? strutsOf(said) : []));
  }

  /** True where nobody arranges it: it goes by itself, and is shown by us. */
  isOwn(managed: Managed): boolean {
    const kind = this.told.get(managed)?.kind;
    return kind === 'dock' || kind === 'splash';
  }

  /** Those that lie under all others. */
  isUnderAll({ said }: Managed): boolean {
    return isBackdrop(said.types);
  }

  /** Takes the windows that are there already, the lowest first. */
  async adopt(): Promise<void> {
    const { x, root } = this.connection;
    const { children } = await answer<{ children: number[] }>((done) => x.QueryTree(root, done));
    // One after the other: they are told of in their order.
    const read = children.map((window) => this.read(window, true));
    for (const each of read) await this.enter(await each);
  }

  /** A window wants to be shown. */
  async come(window: number): Promise<void> {
    if (this.coming.has(window)) return;
    await this.enter(await this.read(window, false));
  }

  private async read(window: number, isThere: boolean): Promise<Managed | null> {
    const { connection } = this;
    const { x } = connection;
    const coming: Coming = { isGone: false, changed: new Set() };
    this.coming.set(window, coming);
    // From now on what changes is heard of.
    const attributes = answer<{ overrideRedirect: number; mapState: number }>((done) =>
      x.GetWindowAttributes(window, done),
    );
    x.ChangeWindowAttributes(
      window,
      { eventMask: EVENTS.enter | EVENTS.focus | EVENTS.property },
      () => true,
    );
    const [is, geometry, said, names, states] = await Promise.all([
      attributes.catch(() => null),
      answer<{
        depth: number;
        xPos: number;
        yPos: number;
        width: number;
        height: number;
        borderWidth: number;
      }>((done) => x.GetGeometry(window, done)).catch(() => null),
      readSaid(connection, window),
      connection.property(window, '_SORN_WINDOW'),
      connection.property(window, 'WM_STATE'),
    ]);
    if (!is || !geometry || coming.isGone) {
      this.coming.delete(window);
      return null;
    }
    const wasPutAway = numbersOf(states)[0] === WM_STATE.iconic;
    const isMapped = is.mapState !== UNMAPPED;
    if (is.overrideRedirect !== 0 || (isThere && !isMapped && !wasPutAway)) {
      this.coming.delete(window);
      x.ChangeWindowAttributes(window, { eventMask: 0 }, () => true);
      return null;
    }
    x.ChangeSaveSet(SAVE, window);
    const [name] = textsOf(names, connection.atoms.UTF8_STRING);
    const id = name || `w${window.toString(16)}-${randomUUID().slice(0, 8)}`;
    if (!name) connection.setText(window, '_SORN_WINDOW', id);
    return {
      window,
      id,
      said,
      geometry: {
        x: geometry.xPos,
        y: geometry.yPos,
        width: geometry.width,
        height: geometry.height,
        border: geometry.borderWidth,
      },
      ownBorder: geometry.borderWidth,
      depth: geometry.depth,
      isMapped,
      saidState: null,
      unmapsToCome: 0,
      shown: null,
      isFullScreen: false,
      isAbove: false,
      isWaiting: false,
    };
  }

  private async enter(managed: Managed | null): Promise<void> {
    if (!managed) return;
    const { window, id } = managed;
    const coming = this.coming.get(window);
    this.coming.delete(window);
    if (!coming || coming.isGone) return;
    this.byWindow.set(window, managed);
    this.byId.set(id, managed);
    const told = toldOf(managed, (other) => this.byWindow.get(other)?.id, this.border);
    this.told.set(managed, told);
    // With the border that it will have.
    this.say(openedOf(managed, told, outerBox({ ...managed.geometry, border: this.border })));
    if (told.urgent) this.say({ type: 'changed', window: id, urgent: true });
    if (managed.said.startsMinimised && !managed.isMapped)
      this.say({ type: 'requested', what: 'minimise', window: id });
    if (this.isOwn(managed)) this.show(managed);
    else this.letChoose(managed, true);
    for (const atom of coming.changed) await this.changed(window, atom);
  }

  /** A window is gone, or nobody's to show any more. */
  leave(window: number, isThere: boolean): Managed | undefined {
    const coming = this.coming.get(window);
    if (coming) coming.isGone = true;
    const managed = this.byWindow.get(window);
    if (!managed) return undefined;
    this.byWindow.delete(window);
    this.byId.delete(managed.id);
    this.told.delete(managed);
    this.say({ type: 'closed', window: managed.id });
    if (isThere) {
      const { connection } = this;
      this.letChoose(managed, false);
      connection.x.ChangeSaveSet(FORGET, window);
      connection.x.ChangeWindowAttributes(window, { eventMask: 0 }, () => true);
      this.setState(window, 'withdrawn');
      for (const name of ['_NET_WM_STATE', '_NET_WM_DESKTOP'] as const)
        connection.remove(window, name);
    }
    return managed;
  }

  /** A property of a window is another one. True where that was told. */
  async changed(window: number, atom: number): Promise<boolean> {
    this.coming.get(window)?.changed.add(atom);
    const managed = this.byWindow.get(window);
    if (!managed) return false;
    const read = await readAnew(this.connection, window, atom);
    if (!read || this.byWindow.get(window) !== managed) return false;
    managed.said = { ...managed.said, ...read };
    this.tell(managed);
    return true;
  }

  /** Every window will have a border of this width: sizes are told of outer boxes. */
  setBorder(border: number): void {
    if (this.border === border) return;
    this.border = border;
    for (const managed of this.all) this.tell(managed);
  }

  /** Tells what a window says differently now. */
  tell(managed: Managed): void {
    const before = this.told.get(managed);
    if (!before) return;
    const now = toldOf(managed, (other) => this.byWindow.get(other)?.id, this.border);
    this.told.set(managed, now);
    const changed = changedOf(managed.id, before, now);
    if (changed) this.say(changed);
  }

  show(managed: Managed): void {
    if (!managed.isMapped) this.connection.x.MapWindow(managed.window);
    managed.isMapped = true;
    managed.unmapsToCome = 0;
    this.sayState(managed, 'normal');
  }

  hide(managed: Managed): void {
    if (managed.isMapped) {
      managed.unmapsToCome++;
      this.connection.x.UnmapWindow(managed.window);
    }
    managed.isMapped = false;
    this.sayState(managed, 'iconic');
  }

  private sayState(managed: Managed, state: 'normal' | 'iconic'): void {
    if (managed.saidState === state) return;
    managed.saidState = state;
    this.setState(managed.window, state);
  }

  /** What the window's own programs are told of it (ICCCM 4.1.3.1). */
  private setState(window: number, state: keyof typeof WM_STATE): void {
    this.connection.setNumbers(window, 'WM_STATE', 'WM_STATE', [WM_STATE[state], 0]);
  }

  /** A click into it is heard of before it: it chooses the window. It has no need of that where it has the keyboard. */
  letChoose({ window }: Managed, isOn: boolean): void {
    const { x } = this.connection;
    for (const button of CHOOSING_BUTTONS)
      if (isOn)
        x.GrabButton(
          window,
          0,
          BUTTON_PRESS,
          SYNCHRONOUS,
          ASYNCHRONOUS,
          0,
          0,
          button,
          ANY_MODIFIER,
        );
      else x.UngrabButton(window, button, ANY_MODIFIER);
  }
}
