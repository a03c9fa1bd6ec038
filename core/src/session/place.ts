import { deskInForce, monitorOf, unknownNames, type DeskInForce } from '../desk/desk.ts';
import type { Rect } from '../geometry/rect.ts';
import type { Held, Profile } from '../profile/schema.ts';
import { rectOf } from '../tree/solve.ts';
import { arrangeWindows, type Arranged } from './arrange.ts';
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
    placementOf(session, window, tiles.get(window.id), desk),
  );
  return { placements, findings };
}

/** The placements of the windows a monitor shows, in the order in which they opened. */
export function placeShown(situation: Situation, monitor: string): Placement[] {
  const { session, desk } = situation;
  const here = session.windows.filter(
    (window) => window.monitor === monitor && isShown(session, window),
  );
  const workspace = here[0]?.workspace;
  if (workspace === undefined) return [];
  const byId = new Map(here.map((window) => [window.id, window]));
  const tiles: Tiles = new Map();
  readTiles(session, arrangeWindows(situation, workspace, monitor, byId), tiles, []);
  return here
    .map((window) => placementOf(session, window, tiles.get(window.id), desk))
    .filter(({ shown }) => shown);
}

/** What a layout says of a window: its tile, and whether another one covers it there. */
type Tiles = Map<string, { tile: Rect; covered: boolean }>;

function placementOf(
  session: Session,
  window: SessionWindow,
  given: { tile: Rect; covered: boolean } | undefined,
  desk: DeskInForce,
): Placement {
  const monitor = monitorOf(desk, window.monitor);
  const rect = given
    ? fitInto(window, given.tile, monitor.scale)
    : (window.standing ?? firstStanding(window, monitor));
  return {
    id: window.id,
    monitor: window.monitor,
    workspace: window.workspace,
    // One that lost its tile for want of room floats, until it has one again.
    held: window.held === 'tiled' && !given ? 'floating' : window.held,
    shown: isShown(session, window) && !given?.covered,
    tile: given?.tile ?? null,
    x: rect.x,
    y: rect.y,
    width: rect.width,
    height: rect.height,
  };
}

function readTiles(session: Session, arranged: Arranged, tiles: Tiles, findings: Finding[]): void {
  const { solved, tiled, minimums, workspace } = arranged;
  const monitor = arranged.monitor.id;
  if (!solved) return;
  for (const dropped of arranged.dropped) {
    findings.push({ kind: 'no-room', workspace, monitor, ...dropped });
  }
  if (solved.crowded) {
    findings.push({ kind: 'crowded', workspace, monitor, windows: tiled.length });
  }
  tiled.forEach((window, i) => {
    const tile = rectOf(solved.rects, solved.flat.leafNodes[i]!);
    tiles.set(window.id, { tile, covered: false });
    const { width, height } = minimums[i]!;
    const squeeze = { kind: 'squeeze', window: window.id, workspace, monitor } as const;
    if (tile.width < width) {
      findings.push({ ...squeeze, axis: 'x', has: tile.width, needs: width });
    }
    if (tile.height < height) {
      findings.push({ ...squeeze, axis: 'y', has: tile.height, needs: height });
    }
  });
  readLeft(session, arranged, tiles, findings);
}

/** Windows without a tile of their own: floating, or beneath the last tile, where the focused one is on top. */
function readLeft(
  session: Session,
  { left, tiled, tiling, workspace, monitor }: Arranged,
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
  const pile = [last, ...left];
  const onTop = pile.find(({ id }) => id === session.focus) ?? last;
  for (const window of pile) tiles.set(window.id, { tile, covered: window !== onTop });
}
