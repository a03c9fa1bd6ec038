import { deskFindings } from '../desk/check.ts';
import { deskInForce, monitorOf, type DeskInForce } from '../desk/desk.ts';
import { unknownNames } from '../desk/unknown.ts';
import { workArea } from '../desk/work-area.ts';
import { meet, type Axis, type Rect } from '../geometry/rect.ts';
import type { Held, Profile } from '../profile/schema.ts';
import { arrange, tilingInForce, type Arranged } from './arrange.ts';
import type { Finding } from './findings.ts';
import { fitInto } from './hints.ts';
import {
  indexOfWindow,
  isShown,
  type Session,
  type SessionWindow,
  type Situation,
} from './session.ts';
import { standingNow, standsAt } from './standing.ts';

/** Where a window is, in physical pixels of the joint desktop. */
export interface Placement extends Rect {
  id: string;
  monitor: string;
  workspace: string;
  held: Held;
  shown: boolean;
  /** The tile its layout gives it; null when it is not tiled. */
  tile: Rect | null;
  /** Left out while none of them holds. */
  state?: 'maximised' | 'full-screen' | 'minimised';
  stayAbove?: true;
  everywhere?: true;
}

export interface Placed {
  /** One for each window, in session order. */
  placements: Placement[];
  findings: Finding[];
}

/** Where every window of a session is, shown or not, and what is wrong with that. */
export function place(
  session: Session,
  profile: Profile,
  desk: DeskInForce = deskInForce(profile, session),
): Placed {
  const findings: Finding[] = unknownNames(profile).map((unknown) => ({
    kind: 'unknown-name',
    ...unknown,
  }));
  for (const finding of deskFindings(desk)) findings.push(finding);
  const situation = { session, profile, desk };
  const { windows } = session;
  const placements: (Placement | undefined)[] = windows.map(() => undefined);
  for (const { workspace, monitor } of placesOf(windows)) {
    const read = readTiles(session, arrange(situation, workspace, monitor));
    for (const finding of read.findings) findings.push(finding);
    const placed = placedOf(situation, read, workspace, monitor);
    for (let i = 0; i < placed.length; i++) {
      placements[indexOfWindow(session, placed[i]!.id)] = placed[i];
    }
  }
  for (let i = 0; i < windows.length; i++) {
    if (placements[i]) continue;
    const window = windows[i]!;
    const placement = placementOf(situation, window, undefined, isShown(session, window));
    placements[i] = placement;
    if (placement.shown && placement.held === 'left-alone' && isOutside(placement, desk)) {
      findings.push({ kind: 'outside', window: window.id, monitor: window.monitor });
    }
  }
  return { placements: placements as Placement[], findings };
}

/** True where a window meets no work area. */
export function isOutside(rect: Rect, { monitors }: DeskInForce): boolean {
  return !monitors.some((monitor) => meet(rect, workArea(monitor).area));
}

/** The placements of the windows a monitor shows, in the order in which they opened. */
export function placeShown(situation: Situation, monitor: string): Placement[] {
  const { session } = situation;
  const here = session.windows.filter(
    (window) => window.monitor === monitor && isShown(session, window),
  );
  const workspace = session.shown[monitor];
  if (workspace === undefined || here.length === 0) return [];
  const read = readTiles(session, arrange(situation, workspace, monitor));
  const placed = placedOf(situation, read, workspace, monitor);
  read.positions ??= new Map(read.entries.map(({ window }, i) => [window.id, i]));
  return here
    .map((window) => {
      const at = read.positions!.get(window.id);
      return at === undefined ? placementOf(situation, window, undefined, true) : placed[at]!;
    })
    .filter(({ shown }) => shown);
}

interface WindowsPlace {
  workspace: string;
  monitor: string;
}

const places = new WeakMap<Session['windows'], readonly WindowsPlace[]>();

/** Every workspace and monitor that windows are on. */
function placesOf(windows: Session['windows']): readonly WindowsPlace[] {
  const known = places.get(windows);
  if (known) return known;
  const byWorkspace = new Map<string, Set<string>>();
  for (const { workspace, monitor } of windows) {
    const monitors = byWorkspace.get(workspace);
    if (monitors) monitors.add(monitor);
    else byWorkspace.set(workspace, new Set([monitor]));
  }
  const all = [...byWorkspace].flatMap(([workspace, monitors]) =>
    [...monitors].map((monitor) => ({ workspace, monitor })),
  );
  places.set(windows, all);
  return all;
}

/** What a layout says of a window: its tile, and whether another one covers it there. */
interface Given {
  window: SessionWindow;
  tile: Rect;
  covered: boolean;
}

/** What a layout gives to its windows, and what is wrong with that. */
interface ReadTiles {
  entries: readonly Given[];
  findings: readonly Finding[];
  /** By window, once it was asked for. */
  positions?: ReadonlyMap<string, number>;
  /** The placements of the entries while the engine runs, on a shown workspace and on one that is not. */
  shown?: readonly Placement[];
  unseen?: readonly Placement[];
}

/** The placements of what a layout gives tiles to. Most steps change one arrangement: the others' are kept. */
function placedOf(
  situation: Situation,
  read: ReadTiles,
  workspace: string,
  monitor: string,
): readonly Placement[] {
  const { session } = situation;
  const isSeen = !session.desktop && session.shown[monitor] === workspace;
  const anew = () =>
    read.entries.map((given) => {
      const isHere = isSeen || isShown(session, given.window);
      return placementOf(situation, given.window, given, isHere);
    });
  if (session.paused || session.unplugged) return anew();
  return isSeen ? (read.shown ??= anew()) : (read.unseen ??= anew());
}

function placementOf(
  situation: Situation,
  window: SessionWindow,
  arranged: Given | undefined,
  isSeen: boolean,
): Placement {
  const { session } = situation;
  const given = session.paused ? undefined : arranged;
  const { x, y, width, height } = rectOf(situation, window, given);
  const { fullScreen, maximised, minimised } = window;
  const state = minimised
    ? 'minimised'
    : fullScreen
      ? 'full-screen'
      : maximised
        ? 'maximised'
        : null;
  // One that has no tile, for want of room or because the layout gives none, floats.
  const floats = window.held === 'tiled' && !given && !minimised && !session.paused;
  return {
    id: window.id,
    monitor: window.monitor,
    workspace: window.workspace,
    held: floats ? 'floating' : window.held,
    shown: isSeen && !given?.covered && !session.unplugged,
    tile: given?.tile ?? null,
    x,
    y,
    width,
    height,
    ...(state && { state }),
    ...(window.stayAbove && { stayAbove: true as const }),
    ...(window.everywhere && { everywhere: true as const }),
  };
}

function rectOf(
  { session, profile, desk }: Situation,
  window: SessionWindow,
  given: Given | undefined,
): Rect {
  const monitor = monitorOf(desk, window.monitor);
  const paused = session.paused?.standing[window.id];
  if (paused) return standsAt(window, paused, monitor);
  if (window.fullScreen) return fitInto(window, monitor, monitor.scale);
  if (window.maximised) {
    const { gaps } = tilingInForce(profile, session, window.workspace, window.monitor);
    return fitInto(window, workArea(monitor, gaps.outer).area, monitor.scale);
  }
  if (given) return fitInto(window, given.tile, monitor.scale);
  return standingNow(window, monitor);
}

const reads = new WeakMap<Arranged, ReadTiles>();

function readTiles(session: Session, arranged: Arranged): ReadTiles {
  const known = reads.get(arranged);
  if (known) return known;
  const read = readAnew(session, arranged);
  // Where windows lie over each other, the focus decides which is on top.
  const isLasting = arranged.tiling.layout.kind !== 'single' && arranged.left.length === 0;
  if (isLasting) reads.set(arranged, read);
  return read;
}

function readAnew(session: Session, arranged: Arranged): ReadTiles {
  const entries: Given[] = [];
  const findings: Finding[] = [];
  const { solved, tiled, minimums, workspace } = arranged;
  const monitor = arranged.monitor.id;
  for (const dropped of tiled.length > 0 ? arranged.dropped : []) {
    findings.push({ kind: 'no-room', workspace, monitor, ...dropped });
  }
  if (!arranged.tiles) return { entries, findings };
  if (solved?.crowded) {
    findings.push({ kind: 'crowded', workspace, monitor, windows: tiled.length });
  }
  const { kind } = arranged.tiling.layout;
  const onTop = kind === 'single' ? topOf(session, [...tiled, ...arranged.left]) : null;
  tiled.forEach((window, i) => {
    const tile = arranged.tiles![i]!;
    entries.push({ window, tile, covered: onTop !== null && window !== onTop });
    const { width, height } = minimums[i]!;
    const squeezed = (axis: Axis, has: number, needs: number) => {
      if (has >= needs) return;
      findings.push({ kind: 'squeeze', window: window.id, workspace, monitor, axis, has, needs });
    };
    squeezed('x', tile.width, width);
    squeezed('y', tile.height, height);
  });
  readLeft(session, arranged, onTop, entries, findings);
  return { entries, findings };
}

/** Of windows in one place the focused one is on top, else the one focused most recently. */
function topOf(session: Session, pile: readonly SessionWindow[]): SessionWindow {
  const focused = pile.find(({ id }) => id === session.focus);
  if (focused) return focused;
  const byId = new Map(pile.map((window) => [window.id, window]));
  const recent = session.recent.find((id) => byId.has(id));
  return byId.get(recent ?? '') ?? pile.at(-1)!;
}

/** Windows without a tile of their own: floating, or beneath the last tile, where the focused one is on top. */
function readLeft(
  session: Session,
  { left, tiling, workspace, monitor }: Arranged,
  ofAll: SessionWindow | null,
  entries: Given[],
  findings: Finding[],
): void {
  const now = tiling.whenTooSmall;
  if (now === 'squeeze' || left.length === 0) return;
  for (const window of left) {
    findings.push({ kind: 'no-tile', window: window.id, workspace, monitor: monitor.id, now });
  }
  if (now === 'float') return;
  const last = entries.at(-1)!;
  const pile = ofAll ? left : [last.window, ...left];
  const onTop = ofAll ?? pile.find(({ id }) => id === session.focus) ?? last.window;
  if (!ofAll) entries.pop();
  for (const window of pile) {
    entries.push({ window, tile: last.tile, covered: window !== onTop });
  }
}
