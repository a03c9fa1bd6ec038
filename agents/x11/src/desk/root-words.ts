import isEqual from 'fast-deep-equal';
import type { LinkMonitor, FromHost } from '@sorn/link';
import { ATOM_NAMES, type AtomName } from '../server/atoms.ts';
import type { Connection } from '../server/connection.ts';

/** On all workspaces, by EWMH. */
const EVERYWHERE = 0xffffffff;

/** What of EWMH is kept to: the names that begin so, and are no types of windows that we only read. */
const SUPPORTED = ATOM_NAMES.filter((name) => name.startsWith('_NET_'));

/** Writes for panels and pagers how the desktop stands (EWMH), on the root: only what is another one than before. */
export class RootWords {
  private readonly connection: Connection;
  private readonly own: number;
  private readonly said = new Map<string, unknown>();
  private workspaces: FromHost<'workspaces'> | null = null;

  constructor(connection: Connection, own: number) {
    this.connection = connection;
    this.own = own;
  }

  /** That somebody arranges this display, who, and what is kept to. */
  begin(): void {
    const { connection, own } = this;
    const { root, atoms } = connection;
    connection.setNumbers(
      root,
      '_NET_SUPPORTED',
      'ATOM',
      SUPPORTED.map((name) => atoms[name]),
    );
    for (const window of [root, own])
      connection.setNumbers(window, '_NET_SUPPORTING_WM_CHECK', 'WINDOW', [own]);
    connection.setText(own, '_NET_WM_NAME', 'Sorn');
    this.numbers('_NET_DESKTOP_VIEWPORT', 'CARDINAL', [0, 0]);
  }

  /** Nobody arranges it any longer. */
  end(): void {
    const { connection } = this;
    const left: AtomName[] = [
      '_NET_SUPPORTED',
      '_NET_SUPPORTING_WM_CHECK',
      '_NET_CLIENT_LIST',
      '_NET_CLIENT_LIST_STACKING',
      '_NET_ACTIVE_WINDOW',
    ];
    for (const name of left) connection.remove(connection.root, name);
  }

  /** @param windows in the order in which they came @param stacked the lowest first */
  windows(windows: readonly number[], stacked: readonly number[]): void {
    this.numbers('_NET_CLIENT_LIST', 'WINDOW', windows);
    this.numbers('_NET_CLIENT_LIST_STACKING', 'WINDOW', stacked);
  }

  active(window: number | null): void {
    this.numbers('_NET_ACTIVE_WINDOW', 'WINDOW', [window ?? 0]);
  }

  /** The workspaces, and on each the place that docks leave: within the box of all monitors. */
  desktops(told: FromHost<'workspaces'>): void {
    this.workspaces = told;
    const { connection } = this;
    this.numbers('_NET_NUMBER_OF_DESKTOPS', 'CARDINAL', [told.list.length]);
    const names = told.list.map(({ id, name }) => name ?? id).join('\0');
    if (this.differs('_NET_DESKTOP_NAMES', names))
      connection.setText(connection.root, '_NET_DESKTOP_NAMES', `${names}\0`);
    this.numbers('_NET_CURRENT_DESKTOP', 'CARDINAL', [Math.max(0, this.indexOf(told.current))]);
  }

  place(monitors: readonly LinkMonitor[], desktop: { width: number; height: number }): void {
    this.numbers('_NET_DESKTOP_GEOMETRY', 'CARDINAL', [desktop.width, desktop.height]);
    const edge = (of: (monitor: LinkMonitor) => number, most: (...all: number[]) => number) =>
      most(...monitors.map(of));
    const kept = (monitor: LinkMonitor) =>
      monitor.reserved ?? { top: 0, right: 0, bottom: 0, left: 0 };
    const left = edge((each) => each.x + kept(each).left, Math.min);
    const top = edge((each) => each.y + kept(each).top, Math.min);
    const right = edge((each) => each.x + each.width - kept(each).right, Math.max);
    const bottom = edge((each) => each.y + each.height - kept(each).bottom, Math.max);
    const count = Math.max(1, this.workspaces?.list.length ?? 1);
    const one = [left, top, right - left, bottom - top];
    this.numbers('_NET_WORKAREA', 'CARDINAL', Array.from({ length: count }, () => one).flat());
  }

  /** The number of a window's workspace, for _NET_WM_DESKTOP; of a dock it is on all of them. */
  desktopOf(id: string, isDock: boolean): number | null {
    if (isDock) return EVERYWHERE;
    const workspace = this.workspaces?.of[id];
    if (workspace === undefined) return null;
    const at = this.indexOf(workspace);
    return at < 0 ? null : at;
  }

  /** The id of the workspace of a number. */
  workspaceAt(at: number): string | undefined {
    return this.workspaces?.list[at]?.id;
  }

  /** True where the workspace of a window is on a monitor now. */
  isWorkspaceShown(id: string): boolean {
    const { workspaces } = this;
    const workspace = workspaces?.of[id];
    return workspace !== undefined && Object.values(workspaces!.shown).includes(workspace);
  }

  /** The name of the monitor that has the focus. */
  get focusedMonitor(): string | undefined {
    const { workspaces } = this;
    return Object.entries(workspaces?.shown ?? {}).find(
      ([, workspace]) => workspace === workspaces?.current,
    )?.[0];
  }

  private indexOf(workspace: string): number {
    return this.workspaces?.list.findIndex(({ id }) => id === workspace) ?? -1;
  }

  private numbers(
    name: AtomName,
    type: 'ATOM' | 'CARDINAL' | 'WINDOW',
    values: readonly number[],
  ): void {
    if (this.differs(name, values))
      this.connection.setNumbers(this.connection.root, name, type, values);
  }

  private differs(name: string, value: unknown): boolean {
    if (isEqual(this.said.get(name), value)) return false;
    this.said.set(name, value);
    return true;
  }
}
