import { deskInForce, monitorOf, unknownNames, type DeskInForce } from '../desk/desk.ts';
import { workArea } from '../desk/work-area.ts';
import type { Rect } from '../geometry/rect.ts';
import type { Held, Profile } from '../profile/schema.ts';
import { arrangeWindows, tilingInForce, type Arranged } from './arrange.ts';
import type { Finding } from './findings.ts';
import { fitInto } from './hints.ts';
import { isShown, placeKey, type Session, type SessionWindow, type Situation } from './session.ts';
import { firstStanding } from './standing.ts';

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
  const byId = new Map(session.windows.map((window) => [window.id, window]));
  const tiles: Tiles = new Map();
  const done = new Set<string>();
  const situation = { session, profile, desk };
  for (const window of session.windows) {
    const key = placeKey(window.workspace, window.monitor);
    if (done.has(key)) continue;
    done.add(key);
    const arranged = arrangeWindows(situation, window.workspace, window.monitor, byId);
    readTiles(session, arranged, tiles, findings);
  }
  const placements = session.windows.map((window) =>
    placementOf(situation, window, tiles.get(window.id)),
  );
  return { placements, findings };
}

/** The placements of the windows a monitor shows, in the order in which they opened. */
export function placeShown(situation: Situation, monitor: string): Placement[] {
  const { session } = situation;
  const here = session.windows.filter(
    (window) => window.monitor === monitor && isShown(session, window),
  );
  const workspace = session.shown[monitor];
  if (workspace === undefined || here.length === 0) return [];
  const byId = new Map(here.map((window) => [window.id, window]));
  const tiles: Tiles = new Map();
  readTiles(session, arrangeWindows(situation, workspace, monitor, byId), tiles, []);
  return here
    .map((window) => placementOf(situation, window, tiles.get(window.id)))
    .filter(({ shown }) => shown);
}

/** What a layout says of a window: its tile, and whether another one covers it there. */
interface Given {
  tile: Rect;
  covered: boolean;
}
type Tiles = Map<string, Given>;

function placementOf(
  situation: Situation,
  window: SessionWindow,
  arranged: Given | undefined,
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
    shown: isShown(session, window) && !given?.covered,
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
  if (paused) return paused;
  if (window.fullScreen) return fitInto(window, monitor, monitor.scale);
  if (window.maximised) {
    const { gaps } = tilingInForce(profile, session, window.workspace, window.monitor);
    return fitInto(window, workArea(monitor, gaps.outer).area, monitor.scale);
  }
  if (given) return fitInto(window, given.tile, monitor.scale);
  return window.standing ?? firstStanding(window, monitor);
}

function readTiles(session: Session, arranged: Arranged, tiles: Tiles, findings: Finding[]): void {
  const { solved, tiled, minimums, workspace } = arranged;
  const monitor = arranged.monitor.id;
  for (const dropped of tiled.length > 0 ? arranged.dropped : []) {
    findings.push({ kind: 'no-room', workspace, monitor, ...dropped });
  }
  if (!arranged.tiles) return;
  if (solved?.crowded) {
    findings.push({ kind: 'crowded', workspace, monitor, windows: tiled.length });
  }
  const { kind } = arranged.tiling.layout;
  const onTop = kind === 'single' ? topOf(session, [...tiled, ...arranged.left]) : null;
  tiled.forEach((window, i) => {
    const tile = arranged.tiles![i]!;
    tiles.set(window.id, { tile, covered: onTop !== null && window !== onTop });
    const { width, height } = minimums[i]!;
    const squeeze = { kind: 'squeeze', window: window.id, workspace, monitor } as const;
    if (tile.width < width) {
      findings.push({ ...squeeze, axis: 'x', has: tile.width, needs: width });
    }
    if (tile.height < height) {
      findings.push({ ...squeeze, axis: 'y', has: tile.height, needs: height });
    }
  });
  readLeft(session, arranged, onTop, tiles, findings);
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
  { left, tiled, tiling, workspace, monitor }: Arranged,
  ofAll: SessionWindow | null,
  tiles: Tiles,
  findings: Finding[],
): void {
  const now = tiling.whenTooSmall;
  if (now === 'squeeze' || left.length === 0) return;
  for (const window of left) {
    findings.push({ kind: 'no-tile', window: window.id, workspace, monitor: monitor.id, now });
  }
  if (now === 'float') return;
  const last = tiled.at(-1)!;
  const { tile } = tiles.get(last.id)!;
  const pile = ofAll ? left : [last, ...left];
  const onTop = ofAll ?? pile.find(({ id }) => id === session.focus) ?? last;
  for (const window of pile) tiles.set(window.id, { tile, covered: window !== onTop });
}
