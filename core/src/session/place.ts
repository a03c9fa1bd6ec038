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
  const tiles = new Map<string, Rect>();
  const done = new Set<string>();
  const situation = { session, profile, desk };
  for (const window of session.windows) {
    const key = placeKey(window.workspace, window.monitor);
    if (done.has(key)) continue;
    done.add(key);
    const arranged = arrangeWindows(situation, window.workspace, window.monitor, byId);
    readTiles(arranged, tiles, findings);
  }
  const placements = session.windows.map((window) =>
    placementOf(session, window, tiles.get(window.id) ?? null, desk),
  );
  return { placements, findings };
}

/** The placements of the windows a monitor shows, in their workspace's order. */
export function placeShown(situation: Situation, monitor: string): Placement[] {
  const { session, desk } = situation;
  const here = session.windows.filter(
    (window) => window.monitor === monitor && isShown(session, window),
  );
  const workspace = here[0]?.workspace;
  if (workspace === undefined) return [];
  const byId = new Map(here.map((window) => [window.id, window]));
  const tiles = new Map<string, Rect>();
  readTiles(arrangeWindows(situation, workspace, monitor, byId), tiles, []);
  return here.map((window) => placementOf(session, window, tiles.get(window.id) ?? null, desk));
}

function placementOf(
  session: Session,
  window: SessionWindow,
  tile: Rect | null,
  desk: DeskInForce,
): Placement {
  const monitor = monitorOf(desk, window.monitor);
  const rect = tile
    ? fitInto(window, tile, monitor.scale)
    : (window.standing ?? firstStanding(window, monitor));
  return {
    id: window.id,
    monitor: window.monitor,
    workspace: window.workspace,
    held: window.held,
    shown: isShown(session, window),
    tile,
    x: rect.x,
    y: rect.y,
    width: rect.width,
    height: rect.height,
  };
}

function readTiles(arranged: Arranged, tiles: Map<string, Rect>, findings: Finding[]): void {
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
    tiles.set(window.id, tile);
    const { width, height } = minimums[i]!;
    const squeeze = { kind: 'squeeze', window: window.id, workspace, monitor } as const;
    if (tile.width < width) {
      findings.push({ ...squeeze, axis: 'x', has: tile.width, needs: width });
    }
    if (tile.height < height) {
      findings.push({ ...squeeze, axis: 'y', has: tile.height, needs: height });
    }
  });
}
