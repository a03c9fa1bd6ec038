import type { ArrangedWorkspace } from './arranged-workspace.ts';
import { monitorOf } from '../desk/desk.ts';
import type { DeskMonitor } from '../desk/monitors.ts';
import { workArea } from '../desk/work-area.ts';
import type { Rect, Size } from '../geometry/rect.ts';
import { toPixels } from '../geometry/round.ts';
import type { HandTree } from '../model/hand-tree.ts';
import type { Profile } from '../model/profile.ts';
import type { Arrangement, Session, SessionWindow } from '../model/session.ts';
import { completed, shownTree } from '../tiling/hand.ts';
import { isDividing, layoutTree, overlaidTiles } from '../tiling/layouts.ts';
import { singleTiles } from '../tiling/layouts/single.ts';
import {
  levelsFor,
  resolveGaps,
  withGapsByKey,
  resolveLayout,
  resolvePlain,
  type AdjustedByKind,
  type Level,
  type TilingInForce,
} from '../tiling/settings.ts';
import {
  flatten,
  minimumsCanBeMet,
  positionsOver,
  rectsFor,
  solveInto,
  tilesOf,
  type Gap,
} from '../tiling/solve.ts';
import { withWeights, type NamedWeights, type Tree } from '../tiling/tree.ts';
import type { Layout } from '../values/layout.ts';
import { fittingZoneBoards } from '../zones/fit.ts';
import { minimumOf } from './hints.ts';
import { divideByBoard } from './zone-board-division.ts';
import { neededBy, neededByAll, withRoom, type Division } from './room.ts';
import {
  arrangementOf,
  isTiled,
  arrangementKey,
  windowOf,
  type CommandContext,
} from './session.ts';

/** What a profile says of a workspace on a monitor, and what was decided with a session's choices last. */
interface Decided {
  levels: readonly Level[];
  gaps: ReturnType<typeof resolveGaps>;
  plain: ReturnType<typeof resolvePlain>;
  last: Pick<Arrangement, 'layout' | 'adjusted' | 'gaps'> & { tiling: TilingInForce | null };
}

const decisions = new WeakMap<Profile, Map<string, Decided>>();

function decidedOf(profile: Profile, workspace: string, monitor: string): Decided {
  let byPlace = decisions.get(profile);
  if (!byPlace) decisions.set(profile, (byPlace = new Map<string, Decided>()));
  const key = arrangementKey(workspace, monitor);
  const known = byPlace.get(key);
  if (known) return known;
  const levels = levelsFor(profile, workspace, monitor);
  const decided: Decided = {
    levels,
    gaps: resolveGaps(levels),
    plain: resolvePlain(levels),
    last: { tiling: null },
  };
  byPlace.set(key, decided);
  return decided;
}

/** What decides the tiling of a workspace on a monitor, a session's choices among it. */
export function tilingInForce(
  profile: Profile,
  session: Session,
  workspace: string,
  monitor: string,
): TilingInForce {
  const arrangement = arrangementOf(session, workspace, monitor);
  const { layout, adjusted, gaps } = arrangement;
  const decided = decidedOf(profile, workspace, monitor);
  const { last } = decided;
  // Most steps change the order of windows at most: what was decided of the tiling still holds.
  const isSame = last.layout === layout && last.adjusted === adjusted && last.gaps === gaps;
  if (last.tiling && isSame) return last.tiling;
  const tiling = decidedTiling(decided, arrangement);
  decided.last = {
    ...(layout && { layout }),
    ...(adjusted && { adjusted }),
    ...(gaps && { gaps }),
    tiling,
  };
  return tiling;
}

function decidedTiling({ levels, gaps, plain }: Decided, arrangement: Arrangement): TilingInForce {
  const chosen: readonly Level[] = arrangement.layout
    ? [{ from: 'session', layout: arrangement.layout }, ...levels]
    : levels;
  const { layout, from: layoutFrom } = resolveLayout(chosen, parametersOf(arrangement));
  const { whenTooSmall, newWindows, cycle } = plain;
  const { gaps: byKey } = arrangement;
  let from: TilingInForce['from'] | null = null;
  return {
    layout,
    gaps: byKey ? withGapsByKey(gaps.gaps, byKey) : gaps.gaps,
    whenTooSmall,
    newWindows,
    cycle,
    // Asked for by people alone, who look at one workspace.
    get from() {
      return (from ??= {
        ...layoutFrom(),
        ...gaps.from,
        ...plain.from,
        ...((byKey?.off ?? byKey?.inner !== undefined) && { inner: 'session' }),
        ...((byKey?.off ?? byKey?.outer !== undefined) && { outer: 'session' }),
      });
    },
  };
}

function parametersOf({ adjusted = {} }: Arrangement): AdjustedByKind {
  return Object.fromEntries(
    Object.entries(adjusted).map(([kind, { moved: _bySplit, ...parameters }]) => [
      kind,
      parameters,
    ]),
  );
}

interface Known {
  windows: Session['windows'];
  profile: Profile;
  monitor: DeskMonitor;
  tiled: readonly SessionWindow[];
  arranged: ArrangedWorkspace;
}

/** What was divided last, by arrangement: most steps change one arrangement at most. */
const divisions = new WeakMap<Arrangement, Known>();

/** Divides what a workspace has on a monitor. */
export function arrange(
  context: CommandContext,
  workspace: string,
  monitorId: string,
): ArrangedWorkspace {
  const { session, profile, desk } = context;
  const monitor = monitorOf(desk, monitorId);
  const arrangement = arrangementOf(session, workspace, monitorId);
  const known = divisions.get(arrangement);
  const isKnown =
    known?.profile === profile &&
    known.monitor === monitor &&
    known.arranged.workspace === workspace;
  if (isKnown && known.windows === session.windows) return known.arranged;
  const tiled: SessionWindow[] = [];
  for (const id of arrangement.order) {
    const window = windowOf(session, id);
    if (window && isTiled(window) && window.workspace === workspace) tiled.push(window);
  }
  if (
    isKnown &&
    known.tiled.length === tiled.length &&
    known.tiled.every((window, i) => window === tiled[i])
  ) {
    known.windows = session.windows;
    return known.arranged;
  }
  const tiling = tilingInForce(profile, session, workspace, monitorId);
  const boards = { all: profile.boards, fitting: fittingZoneBoards(profile, desk, monitor) };
  const place = { workspace, monitor, tiling, boards };
  const arranged = withRoom(session, tiled, (windows, beneath) =>
    divided(arrangement, { ...place, tiled: windows }, beneath),
  );
  divisions.set(arrangement, { windows: session.windows, profile, monitor, tiled, arranged });
  return arranged;
}

/** What `arrange` would give if the workspace were tiled or kept otherwise; nothing is changed. */
export function arrangeAs(
  session: Session,
  { workspace, monitor, tiled, overflow, unseated, tiling, boards }: ArrangedWorkspace,
  otherwise: { tiling?: TilingInForce; arrangement?: Arrangement },
): ArrangedWorkspace {
  const arrangement = otherwise.arrangement ?? arrangementOf(session, workspace, monitor.id);
  const all = new Map([...tiled, ...overflow, ...unseated].map((window) => [window.id, window]));
  const inOrder = arrangement.order.flatMap((id) => all.get(id) ?? []);
  const place = { workspace, monitor, boards, tiling: otherwise.tiling ?? tiling };
  return withRoom(session, inOrder, (windows, beneath) =>
    divided(arrangement, { ...place, tiled: windows }, beneath),
  );
}

/** Divides an area among some windows; what lies beneath the last tile is to fit into it. */
function divided(
  arrangement: Arrangement,
  of: Pick<ArrangedWorkspace, 'workspace' | 'monitor' | 'tiling' | 'tiled' | 'boards'>,
  beneath: readonly SessionWindow[],
): Division {
  const { monitor, tiled } = of;
  const { gaps, layout, whenTooSmall } = of.tiling;
  const noGaps = gaps.dropWhenAlone && tiled.length === 1;
  const { area, dropped } = noGaps ? workArea(monitor) : workArea(monitor, gaps.outer);
  const gap = {
    x: toPixels(gaps.inner.x, monitor.scale),
    y: toPixels(gaps.inner.y, monitor.scale),
  };
  const minimums = tiled.map((window) => minimumOf(window, monitor.scale));
  const { workspace, tiling, boards } = of;
  // Written out: spreading one object into the next is what took most of the time here.
  const arranged = (
    tiles: ArrangedWorkspace['tiles'],
    solved: ArrangedWorkspace['solved'],
    over: readonly number[],
    strip: ArrangedWorkspace['strip'],
  ): ArrangedWorkspace => ({
    workspace,
    monitor,
    tiling,
    tiled,
    overflow: NONE,
    over,
    afloat: NONE,
    area,
    gap,
    dropped,
    minimums,
    tiles,
    solved,
    strip,
    boards,
    zoned: null,
    unseated: NONE,
    read: null,
  });
  if (layout.kind === 'board') {
    const bare = arranged(null, null, NONE, null);
    return { arranged: divideByBoard(arrangement, layout, bare), allFit: true };
  }
  if (tiled.length === 0) return { arranged: arranged([], null, NONE, null), allFit: true };

  if (!isDividing(layout)) {
    const tiles = overlaidTiles(layout, tiled.length, area, monitor.scale);
    const allFit = tiles?.every(
      (tile, i) => minimums[i]!.width <= tile.width && minimums[i]!.height <= tile.height,
    );
    const strip =
      layout.kind === 'single'
        ? singleTiles(tiled.length, layout, area, monitor.scale).strip
        : null;
    return { arranged: arranged(tiles, null, NONE, strip), allFit: allFit ?? true };
  }
  const needed = (window: SessionWindow) => neededBy(window, whenTooSmall, monitor.scale);
  const needs = whenTooSmall === 'squeeze' ? [...minimums] : tiled.map(needed);
  if (beneath.length > 0)
    needs[needs.length - 1] = neededByAll([needs.at(-1)!, ...beneath.map(needed)], area);
  const solution = solutionFor(arrangement, { tiling, tiled, monitor, area, gap, needs });
  const { tiles, solved, over, allFit } = solution;
  return { arranged: arranged(tiles, solved, over, null), allFit };
}

const NONE: readonly never[] = [];

interface Problem {
  tiling: TilingInForce;
  tiled: readonly SessionWindow[];
  monitor: DeskMonitor;
  area: Rect;
  gap: Gap;
  needs: readonly Size[];
}

interface Solution extends Pick<ArrangedWorkspace, 'over' | 'solved'> {
  tiles: Rect[];
  allFit: boolean;
}

interface Solved extends Pick<Problem, 'monitor' | 'needs'> {
  moved: NamedWeights | undefined;
  solution: Solution;
}

/** What was solved last, by the tiling in force: windows that change places with each other leave it as it is. */
const solutions = new WeakMap<TilingInForce, Solved>();

function solutionFor(arrangement: Arrangement, problem: Problem): Solution {
  const { tiling, monitor, needs } = problem;
  const { kind } = tiling.layout;
  // A tree made by hand is one of these very windows.
  if (kind === 'split') return solved(arrangement, problem);
  const moved = arrangement.adjusted?.[kind]?.moved;
  const known = solutions.get(tiling);
  if (known?.monitor === monitor && known.moved === moved && isSameNeeds(known.needs, needs))
    return known.solution;
  const solution = solved(arrangement, problem);
  solutions.set(tiling, { monitor, moved, needs, solution });
  return solution;
}

function isSameNeeds(some: readonly Size[], others: readonly Size[]): boolean {
  return (
    some.length === others.length &&
    some.every(({ width, height }, i) => width === others[i]!.width && height === others[i]!.height)
  );
}

function solved(arrangement: Arrangement, problem: Problem): Solution {
  const { tiling, tiled, area, gap, needs } = problem;
  const flat = flatten(treeFor(arrangement, tiling.layout, tiled, area), needs, gap);
  const rects = rectsFor(flat);
  const over = solveInto(flat, area, rects) > 0 ? positionsOver(flat, rects) : [];
  const tiles = tilesOf(flat, rects);
  const last = tiles.findLastIndex((_, i) => !over.includes(i));
  for (const position of over) tiles[position] = tiles[last]!;
  return { tiles, over, solved: { flat, rects }, allFit: minimumsCanBeMet(flat, area) };
}

/** The layout's tree with the sizes moved by key; in hand-split the tree the person made. */
function treeFor(
  arrangement: Arrangement,
  layout: Layout,
  tiled: readonly SessionWindow[],
  area: Size,
): Tree {
  if (layout.kind === 'split') {
    const ids = tiled.map(({ id }) => id);
    return shownTree(handTree(arrangement, ids, area)!, ids)!;
  }
  const moved: NamedWeights = arrangement.adjusted?.[layout.kind]?.moved ?? {};
  return withWeights(layoutTree(layout, tiled.length, area), moved);
}

/** The tree made by hand, with a leaf for every window; undefined without any window. */
export function handTree(
  { hand }: Arrangement,
  ids: readonly string[],
  area: Size,
): HandTree | undefined {
  return completed(hand, ids, area);
}
