import type { Arranged } from './arranged.ts';
import { monitorOf } from '../desk/desk.ts';
import type { PlacedMonitor } from '../desk/monitors.ts';
import { workArea } from '../desk/work-area.ts';
import type { Size } from '../geometry/rect.ts';
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
} from '../tiling/solve.ts';
import { withWeights, type NamedWeights, type Tree } from '../tiling/tree.ts';
import type { Layout } from '../values/layout.ts';
import { boardsFitting } from '../zones/fitting.ts';
import { minimumOf } from './hints.ts';
import { onBoard } from './on-board.ts';
import { neededBy, neededByAll, withRoom, type Division } from './room.ts';
import { arrangementOf, isTiled, placeKey, windowOf, type Situation } from './session.ts';

const inForce = new WeakMap<
  Arrangement,
  { profile: Profile; key: string; tiling: TilingInForce }
>();

/** What decides the tiling of a workspace on a monitor, a session's choices among it. */
export function tilingInForce(
  profile: Profile,
  session: Session,
  workspace: string,
  monitor: string,
): TilingInForce {
  const arrangement = arrangementOf(session, workspace, monitor);
  const key = placeKey(workspace, monitor);
  const known = inForce.get(arrangement);
  if (known && known.profile === profile && known.key === key) return known.tiling;
  const tiling = decidedTiling(profile, arrangement, workspace, monitor);
  inForce.set(arrangement, { profile, key, tiling });
  return tiling;
}

function decidedTiling(
  profile: Profile,
  arrangement: Arrangement,
  workspace: string,
  monitor: string,
): TilingInForce {
  const levels: Level[] = levelsFor(profile, workspace, monitor);
  const chosen: Level[] = arrangement.layout
    ? [{ from: 'session', layout: arrangement.layout }, ...levels]
    : levels;
  const { layout, from } = resolveLayout(chosen, parametersOf(arrangement));
  const { gaps, from: gapsFrom } = resolveGaps(levels);
  const { from: plainFrom, ...plain } = resolvePlain(levels);
  return { layout, gaps, ...plain, from: { ...from, ...gapsFrom, ...plainFrom } };
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
  monitor: PlacedMonitor;
  tiled: readonly SessionWindow[];
  arranged: Arranged;
}

/** What was divided last, by arrangement: most steps change one arrangement at most. */
const divisions = new WeakMap<Arrangement, Known>();

/** Divides what a workspace has on a monitor. */
export function arrange(situation: Situation, workspace: string, monitorId: string): Arranged {
  const { session, profile, desk } = situation;
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
  const boards = { all: profile.boards, fitting: boardsFitting(profile, desk, monitor) };
  const place = { workspace, monitor, tiling, boards };
  const arranged = withRoom(session, tiled, (windows, beneath) =>
    divided(arrangement, { ...place, tiled: windows }, beneath),
  );
  divisions.set(arrangement, { windows: session.windows, profile, monitor, tiled, arranged });
  return arranged;
}

/** What `arrange` would give if the workspace were tiled or kept otherwise; nothing is changed. */
export function arrangedAs(
  session: Session,
  { workspace, monitor, tiled, left, unseated, tiling, boards }: Arranged,
  otherwise: { tiling?: TilingInForce; arrangement?: Arrangement },
): Arranged {
  const arrangement = otherwise.arrangement ?? arrangementOf(session, workspace, monitor.id);
  const all = new Map([...tiled, ...left, ...unseated].map((window) => [window.id, window]));
  const inOrder = arrangement.order.flatMap((id) => all.get(id) ?? []);
  const place = { workspace, monitor, boards, tiling: otherwise.tiling ?? tiling };
  return withRoom(session, inOrder, (windows, beneath) =>
    divided(arrangement, { ...place, tiled: windows }, beneath),
  );
}

/** Divides an area among some windows; what lies beneath the last tile is to fit into it. */
function divided(
  arrangement: Arrangement,
  of: Pick<Arranged, 'workspace' | 'monitor' | 'tiling' | 'tiled' | 'boards'>,
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
  const none = { over: [], solved: null, strip: null, zoned: null, unseated: [] };
  const bare = { ...of, area, gap, dropped, minimums, ...none };
  if (layout.kind === 'board')
    return { arranged: onBoard(arrangement, layout, bare), allFit: true };
  if (tiled.length === 0) return { arranged: { ...bare, tiles: [] }, allFit: true };

  if (!isDividing(layout)) {
    const tiles = overlaidTiles(layout, tiled.length, area, monitor.scale);
    const allFit = tiles?.every(
      (tile, i) => minimums[i]!.width <= tile.width && minimums[i]!.height <= tile.height,
    );
    const strip =
      layout.kind === 'single'
        ? singleTiles(tiled.length, layout, area, monitor.scale).strip
        : null;
    return { arranged: { ...bare, tiles, strip }, allFit: allFit ?? true };
  }
  const needed = (window: SessionWindow) => neededBy(window, whenTooSmall, monitor.scale);
  const needs = tiled.map(needed);
  if (beneath.length > 0)
    needs[needs.length - 1] = neededByAll([needs.at(-1)!, ...beneath.map(needed)], area);
  const flat = flatten(treeFor(arrangement, layout, tiled, area), needs, gap);
  const rects = rectsFor(flat);
  const over = solveInto(flat, area, rects) > 0 ? positionsOver(flat, rects) : [];
  const tiles = tilesOf(flat, rects);
  const last = tiles.findLastIndex((_, i) => !over.includes(i));
  for (const position of over) tiles[position] = tiles[last]!;
  return {
    arranged: { ...bare, tiles, over, solved: { flat, rects } },
    allFit: minimumsCanBeMet(flat, area),
  };
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
