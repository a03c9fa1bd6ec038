import { modeOf, largenessOf } from '../model/window-mode.ts';
import { interactionOf } from '../model/interaction.ts';
import type { Placement } from './placement.ts';
import type { ArrangementFinding } from './finding.ts';
import { deskInForce, monitorOf, type DeskInForce } from '../desk/desk.ts';
import type { DeskMonitor } from '../desk/monitors.ts';
import { workArea } from '../desk/work-area.ts';
import { meet, type Rect } from '../geometry/rect.ts';
import type { Profile } from '../model/profile.ts';
import type { Session, SessionWindow } from '../model/session.ts';
import { ownEntry } from '../values/own-entry.ts';
import { arrange } from './arrange.ts';
import { floatPlaces } from './float-positions.ts';
import { fitInto, minimumOf } from './hints.ts';
import { snapArea, rectOfSnap } from './snap-area.ts';
import { isShown, type CommandContext, indexByWindow, occupiedWorkspaces } from './session.ts';
import { currentFloatingRect, floatingRectOn } from './floating-rect.ts';
import type { GivenTile, TileReading } from './arranged-workspace.ts';
import { readTiles, squeezes } from './tiles.ts';

export interface ComputedPlacements {
  /** One for each window, in session order. */
  placements: Placement[];
  findings: ArrangementFinding[];
}

/** Where every window of a session is, shown or not, and what is wrong with that. */
export function computePlacements(
  session: Session,
  profile: Profile,
  desk: DeskInForce = deskInForce(profile, session),
): ComputedPlacements {
  const findings: ArrangementFinding[] = [];
  const context = { session, profile, desk };
  const { windows } = session;
  const positions = indexByWindow(windows);
  const placements = new Array<Placement | undefined>(windows.length).fill(undefined);
  for (const { workspace, monitor } of occupiedWorkspaces(windows)) {
    const read = readTiles(context, arrange(context, workspace, monitor));
    for (const finding of read.findings) findings.push(finding);
    for (const placement of placementsOfTiles(context, read, workspace, monitor)) {
      placements[positions.get(placement.id)!] = placement;
    }
  }
  for (let i = 0; i < windows.length; i++) {
    if (placements[i]) continue;
    const window = windows[i]!;
    const placement = untiledPlacement(context, window, isShown(session, window));
    placements[i] = placement;
    if (placement.placed) findings.push(...squeezesOf(context, window, placement.placed));
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
export function computeShownPlacements(context: CommandContext, monitor: string): Placement[] {
  const { session } = context;
  const here = session.windows.filter(
    (window) => window.monitor === monitor && isShown(session, window),
  );
  const workspace = ownEntry(session.shown, monitor);
  if (workspace === undefined || here.length === 0) return [];
  const read = readTiles(context, arrange(context, workspace, monitor));
  const placed = placementsOfTiles(context, read, workspace, monitor);
  read.positions ??= new Map(read.entries.map(({ window }, i) => [window.id, i]));
  return here
    .map((window) => {
      const at = read.positions!.get(window.id);
      return at === undefined ? untiledPlacement(context, window, true) : placed[at]!;
    })
    .filter(({ shown }) => shown);
}

/** The placements of what a layout gives tiles to. Most steps change one arrangement: the others' are kept. */
function placementsOfTiles(
  context: CommandContext,
  read: TileReading,
  workspace: string,
  monitor: string,
): readonly Placement[] {
  const { session } = context;
  const isSeen =
    !interactionOf(session, 'bare-desktop') && ownEntry(session.shown, monitor) === workspace;
  const anew = () =>
    read.entries.map((given) => {
      const isHere = isSeen || isShown(session, given.window);
      return placementOf(context, given.window, given, isHere);
    });
  if (session.paused || session.unplugged) return anew();
  return isSeen ? (read.shown ??= anew()) : (read.unseen ??= anew());
}

interface KnownPlacement {
  monitor: DeskMonitor;
  isSeen: boolean;
  placement: Placement;
}
const knownPlacements = new WeakMap<SessionWindow, KnownPlacement>();

/** The placement of a window that no layout gives a tile to. One that only stands somewhere is kept until it changes. */
function untiledPlacement(
  context: CommandContext,
  window: SessionWindow,
  isSeen: boolean,
): Placement {
  const { session, desk } = context;
  const isOwn = window.held !== 'tiled' && !window.placing && !window.mode;
  if (!isOwn || session.paused || session.unplugged)
    return placementOf(context, window, undefined, isSeen);
  const monitor = monitorOf(desk, window.monitor);
  const known = knownPlacements.get(window);
  if (known?.monitor === monitor && known.isSeen === isSeen) return known.placement;
  const placement = placementOf(context, window, undefined, isSeen);
  knownPlacements.set(window, { monitor, isSeen, placement });
  return placement;
}

function placementOf(
  context: CommandContext,
  window: SessionWindow,
  arranged: GivenTile | undefined,
  isSeen: boolean,
): Placement {
  const { session } = context;
  const given = session.paused ? undefined : arranged;
  const placed =
    window.placing && !given && !session.paused
      ? rectOfSnap(context, window, window.placing)
      : null;
  const zones = given?.zones ?? (placed && window.placing?.zone?.zones);
  const { x, y, width, height } = rectOf(context, window, given?.tile ?? placed);
  const state = modeOf(window);
  // One that has no tile, for want of room or because the layout gives none, floats.
  const floats = window.held === 'tiled' && !given && state !== 'minimised' && !session.paused;
  const placement: Placement = {
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
  };
  // Written one by one: most windows have none of them, and this is made for every window at every step.
  if (placed) placement.placed = placed;
  if (zones) placement.zones = zones;
  if (state) placement.state = state;
  if (window.stayAbove) placement.stayAbove = true;
  if (window.everywhere) placement.everywhere = true;
  return placement;
}

function rectOf(context: CommandContext, window: SessionWindow, given: Rect | null): Rect {
  const { session, desk } = context;
  const monitor = monitorOf(desk, window.monitor);
  const paused = ownEntry(session.paused?.standing, window.id);
  if (paused) return floatingRectOn(window, paused, monitor);
  const large = largenessOf(window);
  if (large === 'full-screen') return fitInto(window, monitor, monitor.scale);
  if (large === 'maximised') {
    const { area } = snapArea(context, window.workspace, window.monitor);
    return fitInto(window, area, monitor.scale);
  }
  if (given) return fitInto(window, given, monitor.scale);
  if (window.held === 'tiled' && !session.paused) {
    const arranged = arrange(context, window.workspace, window.monitor);
    const floats = floatPlaces(session, arranged).get(window.id);
    if (floats) return floats;
  }
  return currentFloatingRect(window, monitor);
}

function squeezesOf(
  { desk }: CommandContext,
  window: SessionWindow,
  placed: Rect,
): readonly ArrangementFinding[] {
  const minimum = minimumOf(window, monitorOf(desk, window.monitor).scale);
  return squeezes(window.id, placed, minimum, window);
}
