/** How a window is held on the paper desk. */
type Held = 'tiled' | 'floating' | 'pocketed';

interface PaperWindow {
  id: string;
  workspace: string;
  /** How it is held by itself; it floats as well while it stays above, is everywhere, or all on its workspace float. */
  held: Held;
  isAbove: boolean;
  isEverywhere: boolean;
  /** It is in its tile though all others on its workspace float. */
  isSettled: boolean;
  /** It stands at a place of its own, out of its tile or from where it floats. */
  isPlaced: boolean;
  /** How it floated before float put it into its tile; whether it did so only with all others. */
  afloat:
    | (Pick<PaperWindow, 'held' | 'isAbove' | 'isEverywhere' | 'isSettled' | 'isPlaced'> & {
        isWithAll: boolean;
      })
    | null;
  isMaximised: boolean;
  isFullScreen: boolean;
  isMinimised: boolean;
  /** Where it was pocketed from, and how it was held there: while it is in the pocket, or visits another workspace. */
  from: { workspace: string; held: Held; isInTile: boolean; isPlaced: boolean } | null;
}

/** All that undo puts back. */
interface PaperState {
  windows: PaperWindow[];
  /** Windows of each workspace, in their order. */
  orders: Record<string, string[]>;
  /** Workspaces whose windows all float for the time being. */
  afloat: string[];
  /** The monitor that each workspace is at home on. */
  homes: Record<string, string>;
  /** Workspaces in their order: the made ones are the last. */
  workspaces: string[];
  /** Those of the beginning that are closed for now. */
  closed: string[];
  shown: Record<string, string>;
  focus: string | null;
  focusMonitor: string;
  pocket: string[];
  minimised: string[];
  /** By "workspace monitor": the window that swap-with-lead took the lead from. */
  leadBefore: Record<string, string | undefined>;
}

export interface PaperRect {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** What is expected of a window: the rectangle only where it has a tile or is large, and can be seen. */
export interface PaperPlacement {
  workspace: string;
  monitor: string;
  held: Held;
  shown: boolean;
  /** It has a place of its own; of one that is out of sight that is not told. */
  isPlaced: boolean;
  rect: PaperRect | null;
}

export const PAPER = {
  width: 1200,
  height: 620,
  reserved: 20,
  monitors: ['m', 'n'],
  workspaces: { a: 'm', b: 'm', c: 'm', d: 'n', e: 'n', f: 'n' } as Record<string, string>,
};

const clone = <T>(value: T): T => structuredClone(value);

/** How it was before a step, and what of it the step changed: that alone is taken back. */
interface PaperStep {
  then: PaperState;
  windows: readonly string[];
  orders: readonly string[];
  isHomes: boolean;
  isWorkspaces: boolean;
  isClosed: boolean;
}

/**
 * A desk as a person would keep it on paper: lists of names, and two monitors side by side whose windows stand in
 * columns. It follows the words of what commands do and shares nothing with the engine, which is held to it.
 * Each command gives true where it did something.
 */
export class PaperDesk {
  private now: PaperState = {
    windows: [],
    orders: Object.fromEntries(Object.keys(PAPER.workspaces).map((id) => [id, []])),
    afloat: [],
    homes: { ...PAPER.workspaces },
    workspaces: Object.keys(PAPER.workspaces),
    closed: [],
    shown: { m: 'a', n: 'd' },
    focus: null,
    focusMonitor: 'm',
    pocket: [],
    minimised: [],
    leadBefore: {},
  };
  private shownBefore: Record<string, string | undefined> = {};
  private recent: string[] = [];
  private opened: Record<string, number> = {};
  private past: PaperStep[] = [];
  private future: PaperStep[] = [];
  private plugged: readonly string[] = PAPER.monitors;
  /** All windows are hidden for the time being; this one had the focus. */
  private bare: { focus: string | null } | null = null;
  /** A monitor that was sent the focus and went; what got it then, until that monitor is back. */
  private away: { monitor: string; to: string; focus: string | null } | null = null;
  /** What pocket or call-back did last, where nothing was done since. */
  private called: { window: string; by: 'pocket' | 'call-back' } | null = null;

  get focus(): string | null {
    return this.now.focus;
  }
  get focusMonitor(): string {
    return this.now.focusMonitor;
  }
  get shown(): Record<string, string> {
    return this.now.shown;
  }
  get ids(): string[] {
    return this.now.windows.map(({ id }) => id);
  }

  /** True where what a direction finds depends on where windows float. */
  get hasFloatingInSight(): boolean {
    const { windows } = this.now;
    return windows.some((window) => this.heldOf(window) === 'floating' && !window.isMinimised);
  }

  get isAlone(): boolean {
    return this.plugged.length === 1;
  }

  /** The monitor that a workspace is on: while its own is unplugged, the other one. */
  private monitorOf(workspace: string, { homes } = this.now): string {
    const home = homes[workspace]!;
    return this.plugged.includes(home) ? home : this.plugged[0]!;
  }
  workspacesOf(monitor: string): string[] {
    return this.now.workspaces.filter(
      (id) => this.monitorOf(id) === monitor && !this.now.closed.includes(id),
    );
  }
  /** How many workspaces are at home where the shown one is. */
  get atHomeHere(): number {
    const { workspaces, homes, closed } = this.now;
    const home = homes[this.here()];
    return workspaces.filter((id) => homes[id] === home && !closed.includes(id)).length;
  }

  placement(id: string): PaperPlacement {
    const window = this.window(id);
    const monitor = this.monitorOf(window.workspace);
    return {
      workspace: window.workspace,
      monitor,
      // A place of its own takes it out of its tile while it can be seen.
      held: window.isMinimised && this.isAtRest(window) ? 'tiled' : this.heldOf(window),
      shown: this.isShown(window),
      isPlaced: window.isPlaced && window.held !== 'pocketed' && !window.isMinimised,
      rect: this.rectOf(window, PAPER.monitors.indexOf(monitor) * PAPER.width),
    };
  }

  private rectOf(window: PaperWindow, left: number): PaperRect | null {
    const { width, height, reserved } = PAPER;
    if (window.isMinimised || window.held === 'pocketed') return null;
    if (window.isFullScreen) return { x: left, y: 0, width, height };
    const inside = { y: reserved, height: height - reserved };
    if (window.isMaximised) return { x: left, width, ...inside };
    const tiled = this.tiledOn(window.workspace);
    const at = tiled.indexOf(window.id);
    if (at < 0) return null;
    const edge = (i: number) => Math.round((i * width) / tiled.length);
    return { x: left + edge(at), width: edge(at + 1) - edge(at), ...inside };
  }

  run(command: string, said = ''): void {
    if (command !== 'show-desktop') this.windowsBack();
    const before = clone(this.now);
    const [id = command, direction = ''] =
      /^(focus|move)-(left|right)$/.exec(command)?.slice(1) ?? [];
    const steps: Record<string, () => boolean> = {
      'move-earlier': () => this.moveInOrder(-1),
      'move-later': () => this.moveInOrder(1),
      move: () => this.moveTowards(direction === 'right' ? 1 : -1),
      promote: () => this.promote(),
      'swap-with-lead': () => this.swapWithLead(),
      'put-on-workspace': () => this.putOnWorkspace(said, false),
      'follow-to-workspace': () => this.putOnWorkspace(said, true),
      'put-on-monitor': () => this.putOnMonitor(true),
      'leave-on-monitor': () => this.putOnMonitor(false),
      'put-workspace-on-monitor': () => this.putWorkspaceOnMonitor(),
      'new-workspace': () => this.newWorkspace(),
      'close-workspace': () => this.closeWorkspace(),
      float: () => this.float(),
      'place-at': () => this.place(),
      'put-back': () => this.putBack(),
      'float-all': () => this.floatAll(),
      'stay-above': () => this.stayAbove(),
      everywhere: () => this.everywhere(),
      maximise: () => this.toggle('isMaximised'),
      'full-screen': () => this.toggle('isFullScreen'),
      minimise: () => this.minimise(),
      'restore-last': () => this.restoreLast(),
      pocket: () => this.pocket(),
      'call-back': () => this.callBack(),
    };
    const others: Record<string, () => void> = {
      'open-app': () => this.open(said),
      close: () => this.close(),
      focus: () => this.focusTowards(direction === 'right' ? 1 : -1),
      'focus-next': () => this.focusInOrder(1),
      'focus-previous': () => this.focusInOrder(-1),
      'focus-last': () => this.focusLast(),
      'go-workspace': () => this.goWorkspace(said),
      'go-monitor': () => {
        const other = this.otherMonitor();
        if (other !== null) this.focusMonitorItself(other);
      },
      'call-app': () => this.callApp(said),
      'next-of-app': () => this.nextOfApp(),
      'show-desktop': () => this.showDesktop(),
      undo: () => this.travel(this.past, this.future),
      redo: () => this.travel(this.future, this.past),
    };
    const step = steps[id];
    if (id !== 'call-back') {
      const called = this.called;
      this.called = null;
      if (id === 'pocket') this.called = called;
    }
    if (!step) return others[id]!();
    if (!step()) return;
    this.past.push(this.stepFrom(before));
    this.future = [];
  }

  private window(id: string): PaperWindow {
    return this.now.windows.find((each) => each.id === id)!;
  }
  private focused(): PaperWindow | null {
    return this.now.focus === null ? null : this.window(this.now.focus);
  }
  private otherMonitor(): string | null {
    return this.plugged.find((id) => id !== this.now.focusMonitor) ?? null;
  }
  /** The monitor that stands there, seen from the one with the focus. */
  private monitorTowards(step: 1 | -1): string | undefined {
    const there = PAPER.monitors[PAPER.monitors.indexOf(this.now.focusMonitor) + step];
    return this.plugged.find((id) => id === there);
  }
  private here(): string {
    return this.now.shown[this.now.focusMonitor]!;
  }
  /** True where nothing but a place of its own takes it out of its tile. */
  private isAtRest(
    { held, isAbove, isEverywhere, isSettled, workspace }: PaperWindow,
    { afloat } = this.now,
  ): boolean {
    const isWithAll = afloat.includes(workspace) && !isSettled;
    return held === 'tiled' && !isAbove && !isEverywhere && !isWithAll;
  }
  /** How it is held as a person sees it. */
  private heldOf(window: PaperWindow, now = this.now): Held {
    if (window.held === 'pocketed') return 'pocketed';
    return this.isAtRest(window, now) && !window.isPlaced ? 'tiled' : 'floating';
  }
  private isShown(window: PaperWindow): boolean {
    const { held, isMinimised, isEverywhere, workspace } = window;
    const isInSight = isEverywhere || this.now.shown[this.monitorOf(workspace)] === workspace;
    return !this.bare && held !== 'pocketed' && !isMinimised && isInSight;
  }
  private tiledOn(workspace: string): string[] {
    return this.now.orders[workspace]!.filter((id) => {
      const window = this.window(id);
      return (
        window.workspace === workspace && this.heldOf(window) === 'tiled' && !window.isMinimised
      );
    });
  }

  private show(monitor: string, workspace: string): void {
    if (this.now.shown[monitor] === workspace) return;
    this.shownBefore[monitor] = this.now.shown[monitor]!;
    this.now.shown[monitor] = workspace;
  }
  private focusOn(id: string): void {
    const window = this.window(id);
    window.isMinimised = false;
    this.now.minimised = this.now.minimised.filter((each) => each !== id);
    this.now.focus = id;
    this.now.focusMonitor = this.monitorOf(window.workspace);
    this.recent = [id, ...this.recent.filter((each) => each !== id)];
    if (!window.isEverywhere) this.show(this.now.focusMonitor, window.workspace);
  }
  /** The window of a monitor that had the focus last, or the monitor itself. */
  private focusMonitorItself(monitor: string): void {
    const id = this.recent.find((each) => {
      const window = this.window(each);
      return this.monitorOf(window.workspace) === monitor && this.isShown(window);
    });
    if (id !== undefined) return this.focusOn(id);
    this.now.focus = null;
    this.now.focusMonitor = monitor;
  }

  private open(app: string): void {
    this.opened[app] = (this.opened[app] ?? 0) + 1;
    const id = `${app}-${this.opened[app]}`;
    const plain = {
      isMaximised: false,
      isFullScreen: false,
      isMinimised: false,
      isAbove: false,
      isEverywhere: false,
      isSettled: false,
      isPlaced: false,
      afloat: null,
      from: null,
    };
    this.now.windows.push({ id, workspace: this.here(), held: 'tiled', ...plain });
    this.now.orders[this.here()]!.push(id);
    this.focusOn(id);
  }
  private close(): void {
    const id = this.now.focus;
    if (id === null) return;
    this.now.windows = this.now.windows.filter((each) => each.id !== id);
    this.recent = this.recent.filter((each) => each !== id);
    for (const workspace of Object.keys(this.now.orders)) this.leave(workspace, id);
    this.focusMonitorItself(this.now.focusMonitor);
  }
  private leave(workspace: string, id: string): void {
    this.now.orders[workspace] = this.now.orders[workspace]!.filter((each) => each !== id);
    // All float until the last of them is gone.
    if (this.now.orders[workspace].length === 0)
      this.now.afloat = this.now.afloat.filter((each) => each !== workspace);
    const key = `${workspace} ${this.monitorOf(workspace)}`;
    if (this.now.leadBefore[key] === id) this.now.leadBefore[key] = undefined;
  }
  /** To the end of a workspace; it belongs there from now on. */
  private join(window: PaperWindow, workspace: string): void {
    if (this.isAtRest(window)) window.isSettled = true;
    else if (!window.isAbove && !window.isEverywhere && !this.now.afloat.includes(workspace))
      if (window.held === 'tiled') window.held = 'floating';
    this.leave(window.workspace, window.id);
    if (window.from) this.leave(window.from.workspace, window.id);
    window.from = null;
    window.workspace = workspace;
    const others = this.now.orders[workspace]!.filter((each) => each !== window.id);
    this.now.orders[workspace] = [...others, window.id];
  }

  /** The next window to the side of a place in a row; the first or last of the row where there is no place. */
  private beside(row: string[], id: string | null, step: 1 | -1): string | undefined {
    if (id === null || !row.includes(id)) return step > 0 ? row[0] : row.at(-1);
    return row[row.indexOf(id) + step];
  }
  private focusTowards(step: 1 | -1): void {
    const { focus } = this.now;
    const near = focus === null ? undefined : this.beside(this.tiledOn(this.here()), focus, step);
    if (near !== undefined) return this.focusOn(near);
    const there = this.monitorTowards(step);
    if (there === undefined) return;
    const far = this.beside(this.tiledOn(this.now.shown[there]!), null, step);
    if (far !== undefined) return this.focusOn(far);
    this.now.focus = null;
    this.now.focusMonitor = there;
  }
  private focusInOrder(step: 1 | -1): void {
    const { orders, windows, focusMonitor } = this.now;
    const guests = windows.filter(({ isEverywhere }) => isEverywhere).map(({ id }) => id);
    const ring = [...new Set([...orders[this.here()]!, ...guests])].filter((id) => {
      const window = this.window(id);
      return this.monitorOf(window.workspace) === focusMonitor && this.isShown(window);
    });
    if (ring.length === 0) return;
    const at = this.now.focus === null ? -1 : ring.indexOf(this.now.focus);
    this.focusOn(ring[at < 0 ? 0 : (at + step + ring.length) % ring.length]!);
  }
  private focusLast(): void {
    const last = this.recent.find((id) => {
      const { held, isMinimised } = this.window(id);
      return id !== this.now.focus && held !== 'pocketed' && !isMinimised;
    });
    if (last !== undefined) this.focusOn(last);
  }

  private exchange(workspace: string, one: string, other: string): void {
    this.now.orders[workspace] = this.now.orders[workspace]!.map((id) =>
      id === one ? other : id === other ? one : id,
    );
  }
  private tiledFocus(): { id: string; tiled: string[]; at: number } | null {
    const window = this.focused();
    if (!window) return null;
    const tiled = this.tiledOn(window.workspace);
    const at = tiled.indexOf(window.id);
    return at < 0 ? null : { id: window.id, tiled, at };
  }
  private moveInOrder(step: 1 | -1): boolean {
    const focused = this.tiledFocus();
    const other = focused?.tiled[focused.at + step];
    if (!focused || other === undefined) return false;
    this.exchange(this.here(), focused.id, other);
    return true;
  }
  private moveTowards(step: 1 | -1): boolean {
    if (this.moveInOrder(step)) return true;
    const window = this.focused();
    const there = this.monitorTowards(step);
    if (!window || there === undefined) return false;
    this.join(window, this.now.shown[there]!);
    this.focusOn(window.id);
    return true;
  }
  private promote(): boolean {
    const focused = this.tiledFocus();
    if (!focused || focused.at === 0) return false;
    for (let i = focused.at; i > 0; i--)
      this.exchange(this.here(), focused.id, focused.tiled[i - 1]!);
    return true;
  }
  private swapWithLead(): boolean {
    const focused = this.tiledFocus();
    if (!focused) return false;
    const { id, tiled, at } = focused;
    const key = `${this.here()} ${this.now.focusMonitor}`;
    const with_ = at === 0 ? this.now.leadBefore[key] : tiled[0];
    if (with_ === undefined || with_ === id || !tiled.includes(with_)) return false;
    this.exchange(this.here(), id, with_);
    this.now.leadBefore[key] = tiled[0]!;
    return true;
  }

  /** The workspace that is meant; null where there is none. */
  private meant(which: string): string | null {
    const here = this.workspacesOf(this.now.focusMonitor);
    const at = here.indexOf(this.here());
    if (which === 'next') return here[(at + 1) % here.length]!;
    if (which === 'previous') return here[(at - 1 + here.length) % here.length]!;
    if (which !== 'last') {
      this.now.closed = this.now.closed.filter((id) => id !== which);
      if (!this.now.workspaces.includes(which)) this.make(which);
      return which;
    }
    const before = this.shownBefore[this.now.focusMonitor];
    return before !== undefined && here.includes(before) ? before : null;
  }
  private goWorkspace(which: string): void {
    const to = this.meant(which);
    if (to === null) return;
    const monitor = this.monitorOf(to);
    if (this.now.focusMonitor === monitor && this.now.shown[monitor] === to) return;
    this.show(monitor, to);
    this.focusMonitorItself(monitor);
  }
  private make(id: string): void {
    this.now.workspaces.push(id);
    this.now.homes[id] = this.now.focusMonitor;
    this.now.orders[id] = [];
  }
  private newWorkspace(): boolean {
    let number = 1;
    while (this.now.workspaces.includes(String(number))) number++;
    this.make(String(number));
    this.show(this.now.focusMonitor, String(number));
    this.focusMonitorItself(this.now.focusMonitor);
    return true;
  }
  private closeWorkspace(): boolean {
    const monitor = this.now.focusMonitor;
    const closed = this.here();
    const others = this.workspacesOf(monitor).filter((id) => id !== closed);
    const before = this.shownBefore[monitor];
    const to = before !== undefined && others.includes(before) ? before : others[0];
    if (to === undefined) return false;
    // They come in the order that they have.
    for (const id of this.now.orders[closed]!) {
      const window = this.window(id);
      if (window.workspace !== closed) continue;
      const { from } = window;
      // One that is in the pocket comes from there now, unless it only visited.
      const isAway = window.held === 'pocketed';
      if (isAway) window.from = null;
      this.join(window, to);
      if (isAway) window.from = from?.workspace === closed ? { ...from, workspace: to } : from;
    }
    const { focus } = this.now;
    if (closed in PAPER.workspaces) {
      this.now.closed.push(closed);
      // Opened again, it is where it was at first.
      this.now.homes[closed] = PAPER.workspaces[closed]!;
    } else this.now.workspaces = this.now.workspaces.filter((id) => id !== closed);
    this.now.shown[monitor] = to;
    this.shownBefore[monitor] = undefined;
    if (focus === null) this.focusMonitorItself(monitor);
    else this.focusOn(focus);
    return true;
  }
  private putOnWorkspace(which: string, isFollowed: boolean): boolean {
    const window = this.focused();
    const to = window && this.meant(which);
    if (!window || to === null || to === window.workspace) return false;
    this.join(window, to!);
    if (isFollowed) this.focusOn(window.id);
    else this.focusMonitorItself(this.now.focusMonitor);
    return true;
  }
  private putOnMonitor(isFollowed: boolean): boolean {
    const window = this.focused();
    const other = this.otherMonitor();
    if (!window || other === null) return false;
    this.join(window, this.now.shown[other]!);
    if (isFollowed) this.focusOn(window.id);
    else this.focusMonitorItself(this.now.focusMonitor);
    return true;
  }
  private putWorkspaceOnMonitor(): boolean {
    const to = this.otherMonitor();
    if (to === null) return false;
    const workspace = this.here();
    this.now.homes[workspace] = to;
    this.showWhatIsHere();
    this.show(to, workspace);
    this.focusMonitorItself(to);
    return true;
  }

  /** Each monitor shows what it showed, what it showed before, what was in sight on one that is gone, or its first. */
  private showWhatIsHere(): void {
    const gone = PAPER.monitors.filter((id) => !this.plugged.includes(id));
    for (const monitor of this.plugged) {
      const here = this.workspacesOf(monitor);
      const wanted = [
        this.now.shown[monitor],
        this.shownBefore[monitor],
        ...gone.map((id) => this.now.shown[id]),
        here[0],
      ];
      this.now.shown[monitor] = wanted.find((id) => here.includes(id!))!;
    }
  }
  /** A cable comes out or goes in. */
  plug(monitors: readonly string[]): void {
    this.windowsBack();
    this.called = null;
    this.plugged = monitors;
    this.showWhatIsHere();
    const { away, focus, focusMonitor } = { ...this.now, away: this.away };
    this.away = null;
    const isUnmoved = away !== null && away.focus === focus && away.to === focusMonitor;
    if (isUnmoved && monitors.includes(away.monitor)) {
      this.now.focus = null;
      this.now.focusMonitor = away.monitor;
      return;
    }
    if (isUnmoved) this.away = away;
    if (focus !== null) {
      const window = this.window(focus);
      if (!this.isShown(window) || this.monitorOf(window.workspace) !== focusMonitor)
        this.focusOn(focus);
    } else if (!monitors.includes(focusMonitor)) {
      const to = monitors[0]!;
      this.focusMonitorItself(to);
      this.away = { monitor: focusMonitor, to, focus: this.now.focus };
    }
  }

  private windowsBack(): void {
    if (!this.bare) return;
    const { focus } = this.bare;
    this.bare = null;
    if (focus !== null) this.focusOn(focus);
  }
  private showDesktop(): void {
    if (this.bare) return this.windowsBack();
    if (!this.now.windows.some((each) => this.isShown(each))) return;
    this.bare = { focus: this.now.focus };
    this.now.focus = null;
  }

  /** The key of switch-window pressed so many times, and let go. */
  switchWindow(presses: number, isTaken: boolean): void {
    this.windowsBack();
    this.called = null;
    const among = this.recent.filter((id) => this.window(id).held !== 'pocketed');
    const others = among[0] === this.now.focus ? among.slice(1) : among;
    if (others.length === 0) return;
    const at = presses - 1 + among.length - others.length;
    if (isTaken) this.focusOn(among[at % among.length]!);
  }
  private callApp(app: string): void {
    const recent = this.recent.find((id) => id.startsWith(app));
    if (recent === undefined) this.open(app);
    else if (recent === this.now.focus) this.nextOfApp();
    else this.goTo(recent);
  }
  private nextOfApp(): void {
    const { focus } = this.now;
    if (focus === null) return;
    const same = this.now.windows.map(({ id }) => id).filter((id) => id[0] === focus[0]);
    const next = same[(same.indexOf(focus) + 1) % same.length]!;
    if (next !== focus) this.goTo(next);
  }
  private goTo(id: string): void {
    if (this.window(id).held === 'pocketed') this.takeOut(id);
    else this.focusOn(id);
  }

  private float(): boolean {
    const window = this.focused();
    if (!window) return false;
    if (window.isEverywhere && window.workspace !== this.here()) return false;
    const { held, isAbove, isEverywhere, isSettled, isPlaced, afloat } = window;
    if (this.heldOf(window) === 'floating') {
      const isWithAll = held === 'tiled' && !isAbove && !isEverywhere && !this.isAtRest(window);
      window.afloat = { held, isAbove, isEverywhere, isSettled, isPlaced, isWithAll };
      const inTile = {
        held: 'tiled',
        isAbove: false,
        isEverywhere: false,
        isSettled: true,
      } as const;
      Object.assign(window, inTile, { isPlaced: false });
      if (window.from && window.from.workspace !== window.workspace)
        this.leave(window.from.workspace, window.id);
      window.from = null;
      return true;
    }
    window.afloat = null;
    if (!afloat) {
      window.held = 'floating';
      return true;
    }
    const { isWithAll, ...before } = afloat;
    Object.assign(window, before);
    if (before.held === 'tiled' && !before.isAbove && !before.isEverywhere)
      window.isSettled = !isWithAll;
    // Where others float no more, it floats by itself.
    if (isWithAll && !this.now.afloat.includes(window.workspace)) window.held = 'floating';
    return true;
  }
  private place(): boolean {
    const window = this.focused();
    if (!window || (window.isPlaced && !window.isMaximised && !window.isFullScreen)) return false;
    Object.assign(window, { isPlaced: true, isMaximised: false, isFullScreen: false });
    return true;
  }
  private putBack(): boolean {
    const window = this.focused();
    if (!window || (!window.isPlaced && !window.isMaximised)) return false;
    Object.assign(window, { isPlaced: false, isMaximised: false });
    return true;
  }
  private stayAbove(): boolean {
    const window = this.focused();
    if (!window) return false;
    if (this.isAtRest(window)) window.isSettled = this.now.afloat.includes(window.workspace);
    window.isAbove = !window.isAbove;
    return true;
  }
  private everywhere(): boolean {
    const window = this.focused();
    if (!window) return false;
    if (this.isAtRest(window)) window.isSettled = this.now.afloat.includes(window.workspace);
    window.isEverywhere = !window.isEverywhere;
    if (window.isEverywhere || window.workspace === this.here()) return true;
    // It stays where it was seen last, and floats there.
    window.held = 'floating';
    this.join(window, this.here());
    this.focusOn(window.id);
    return true;
  }
  private floatAll(): boolean {
    const here = this.here();
    const windows = this.now.windows.filter(({ workspace }) => workspace === here);
    const isInTile = (window: PaperWindow) => this.heldOf(window) === 'tiled';
    const isAfloat = this.now.afloat.includes(here);
    const isWithAll = ({ held, isAbove, isEverywhere, isSettled }: PaperWindow) =>
      held === 'tiled' && !isAbove && !isEverywhere && !isSettled;
    if (isAfloat && (windows.some(isWithAll) || !windows.some(isInTile))) {
      this.now.afloat = this.now.afloat.filter((id) => id !== here);
      return true;
    }
    const taken = windows.filter(isInTile);
    if (taken.length === 0) return false;
    for (const window of windows)
      if (this.isAtRest(window)) window.isSettled = !taken.includes(window);
    if (!isAfloat) this.now.afloat.push(here);
    return true;
  }
  private toggle(mode: 'isMaximised' | 'isFullScreen'): boolean {
    const window = this.focused();
    if (!window) return false;
    window[mode] = !window[mode];
    return true;
  }
  private minimise(): boolean {
    const window = this.focused();
    if (!window) return false;
    window.isMinimised = true;
    this.now.minimised.push(window.id);
    this.focusMonitorItself(this.now.focusMonitor);
    return true;
  }
  private restoreLast(): boolean {
    const last = this.now.minimised.at(-1);
    if (last === undefined) return false;
    this.focusOn(last);
    return true;
  }

  private putAway(window: PaperWindow, comes: 'next' | 'last'): void {
    const { workspace, held } = window;
    const isInTile = this.isAtRest(window);
    window.from ??= { workspace, held, isInTile, isPlaced: window.isPlaced };
    window.held = 'pocketed';
    if (comes === 'next') this.now.pocket.push(window.id);
    else this.now.pocket.unshift(window.id);
    this.focusMonitorItself(this.now.focusMonitor);
  }
  private pocket(): boolean {
    const window = this.focused();
    if (!window) {
      this.called = null;
      return false;
    }
    this.putAway(window, 'next');
    this.called = { window: window.id, by: 'pocket' };
    return true;
  }
  private callBack(): boolean {
    const focused = this.focused();
    const isBack = this.called?.by === 'call-back' && this.called.window === focused?.id;
    if (focused && (isBack || (focused.from && this.called?.by !== 'pocket'))) {
      this.putAway(focused, 'last');
      return true;
    }
    const id = this.now.pocket.at(-1);
    if (id === undefined) return false;
    this.takeOut(id);
    this.called = { window: id, by: 'call-back' };
    return true;
  }
  /** From the pocket to the present workspace: its former place, or floating where it is a visitor. */
  private takeOut(id: string): void {
    this.now.pocket = this.now.pocket.filter((each) => each !== id);
    const window = this.window(id);
    const from = window.from!;
    const here = this.here();
    const isHere = (workspace: string) =>
      workspace === here ||
      (window.isEverywhere && this.monitorOf(workspace) === this.now.focusMonitor);
    const visited = window.workspace === from.workspace ? null : window.workspace;
    if (visited === null || !isHere(visited)) {
      if (visited !== null) this.leave(visited, id);
      if (isHere(from.workspace)) {
        window.from = null;
        window.held = from.held;
        window.isPlaced = from.isPlaced;
        if (from.isInTile) window.isSettled = true;
        window.workspace = from.workspace;
      } else {
        window.held = 'floating';
        window.isMaximised = false;
        window.isFullScreen = false;
        window.isPlaced = false;
        this.now.orders[here]!.push(id);
        window.workspace = here;
      }
    } else window.held = 'floating';
    this.focusOn(id);
  }

  private stepFrom(then: PaperState): PaperStep {
    const { now } = this;
    const isOther = (one: unknown, other: unknown) => JSON.stringify(one) !== JSON.stringify(other);
    const windows = then.windows.filter((was) => {
      const is = now.windows.find(({ id }) => id === was.id);
      const monitor = this.monitorOf(was.workspace, then);
      const isHeldOtherwise = is && this.isAtRest(was, then) !== this.isAtRest(is);
      return (
        is && (isOther(was, is) || isHeldOtherwise || this.monitorOf(is.workspace) !== monitor)
      );
    });
    const lead = ({ leadBefore }: PaperState, workspace: string) =>
      Object.entries(leadBefore).filter(
        ([key, id]) => id !== undefined && key.startsWith(`${workspace} `),
      );
    return {
      then,
      windows: windows.map(({ id }) => id),
      orders: Object.keys(now.orders).filter(
        (id) =>
          isOther(then.orders[id], now.orders[id]) ||
          isOther(lead(then, id), lead(now, id)) ||
          then.afloat.includes(id) !== now.afloat.includes(id),
      ),
      isHomes: then.workspaces.some((id) => now.homes[id] !== then.homes[id]),
      isWorkspaces: isOther(then.workspaces, now.workspaces),
      isClosed: isOther(then.closed, now.closed),
    };
  }
  /** Takes the newest step of one list back; its opposite goes to the other one. */
  private travel(from: PaperStep[], to: PaperStep[]): void {
    const step = from.pop();
    if (!step) return;
    const { then } = step;
    const was = clone(this.now);
    const next = this.now;
    const isOpen = (id: string) => was.windows.some((each) => each.id === id);
    const since = (list: string[], now: string[]) => [...new Set([...list, ...now])].filter(isOpen);
    if (step.isHomes) for (const id of then.workspaces) next.homes[id] = then.homes[id]!;
    next.windows = next.windows.map((now) => {
      const former = step.windows.includes(now.id) && then.windows.find(({ id }) => id === now.id);
      return former ? clone(former) : now;
    });
    const isUsed = (id: string) => next.windows.some(({ workspace }) => workspace === id);
    if (step.isWorkspaces) {
      const stay = was.workspaces.filter((id) => isUsed(id) && !then.workspaces.includes(id));
      next.workspaces = [...then.workspaces, ...stay];
      // Where it was made belongs to a made one.
      for (const id of then.workspaces)
        if (!was.workspaces.includes(id) || !(id in PAPER.workspaces))
          next.homes[id] = then.homes[id]!;
    }
    if (step.isClosed) next.closed = [...then.closed];
    next.closed = next.closed.filter((id) => !isUsed(id));
    for (const id of step.orders) {
      next.orders[id] = since(then.orders[id] ?? [], was.orders[id]!);
      next.afloat = next.afloat.filter((each) => each !== id);
      if (then.afloat.includes(id)) next.afloat.push(id);
      // One that opened since stays in its tile.
      for (const window of next.windows) {
        const isSince = window.workspace === id && !step.windows.includes(window.id);
        if (isSince && this.isAtRest(window, was)) window.isSettled = true;
      }
      for (const monitor of PAPER.monitors) {
        const key = `${id} ${monitor}`;
        next.leadBefore[key] = then.leadBefore[key];
      }
    }
    for (const id of Object.keys(next.orders))
      next.orders[id] = next.orders[id]!.filter((each) => {
        const { workspace, from: home } = this.window(each);
        return workspace === id || home?.workspace === id;
      });
    const isAway = (id: string) => this.window(id).held === 'pocketed';
    next.pocket = since(then.pocket, was.pocket).filter(isAway);
    const isHidden = (id: string) => this.window(id).isMinimised;
    next.minimised = since(then.minimised, was.minimised).filter(isHidden);
    next.shown = { ...then.shown };
    this.showWhatIsHere();
    this.focusAsThen(then);
    to.push(this.stepFrom(was));
  }
  private focusAsThen({ focus, focusMonitor }: PaperState): void {
    const isThere = this.plugged.includes(focusMonitor);
    const window = focus === null ? undefined : this.now.windows.find(({ id }) => id === focus);
    if (window && this.isShown(window)) this.focusOn(window.id);
    else if (isThere && focus === null) {
      this.now.focus = null;
      this.now.focusMonitor = focusMonitor;
    } else this.focusMonitorItself(isThere ? focusMonitor : this.plugged[0]!);
  }
}
