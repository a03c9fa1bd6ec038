import { monitorOf, type PlacedMonitor } from '../desk/desk.ts';
import { workArea, type Dropped } from '../desk/work-area.ts';
import { toPixels } from '../geometry/round.ts';
import type { Rect, Size } from '../geometry/rect.ts';
import { layoutTree } from '../layouts/index.ts';
import {
  levelsFor,
  resolveGaps,
  resolveLayout,
  resolveTooSmall,
  type AdjustedByKind,
  type Level,
  type TilingInForce,
} from '../profile/settings.ts';
import type { Profile } from '../profile/schema.ts';
import {
  flatten,
  minimumsCanBeMet,
  rectsFor,
  solveInto,
  type FlatTree,
  type Gap,
} from '../tree/solve.ts';
import { withWeights, type NamedWeights } from '../tree/tree.ts';
import { minimumOf } from './hints.ts';
import {
  arrangementOf,
  type Arrangement,
  type Session,
  type SessionWindow,
  type Situation,
} from './session.ts';

/** A workspace on a monitor, divided. */
export interface Arranged {
  workspace: string;
  monitor: PlacedMonitor;
  tiling: TilingInForce;
  /** The windows in tiles, in their order: position i in the tree is window i here. */
  tiled: readonly SessionWindow[];
  /** Windows that left the tiles because the minimums could not all be met, the one opened last first. */
  left: readonly SessionWindow[];
  /** The area that tiles divide, and the gap between them, in physical pixels. */
  area: Rect;
  gap: Gap;
  dropped: readonly Dropped[];
  minimums: readonly Size[];
  /** The solved tree; null when nothing is tiled. */
  solved: { flat: FlatTree; rects: Int32Array; crowded: boolean } | null;
}

/** What decides the tiling of a workspace on a monitor, a session's choices among it. */
export function tilingInForce(
  profile: Profile,
  session: Session,
  workspace: string,
  monitor: string,
): TilingInForce {
  const levels: Level[] = levelsFor(profile, workspace, monitor);
  const arrangement = arrangementOf(session, workspace, monitor);
  const chosen: Level[] = arrangement.layout
    ? [{ from: 'session', layout: arrangement.layout }, ...levels]
    : levels;
  const { layout, from } = resolveLayout(chosen, parametersOf(arrangement));
  const { gaps, from: gapsFrom } = resolveGaps(levels);
  const { whenTooSmall, from: tooSmallFrom } = resolveTooSmall(levels);
  return { layout, gaps, whenTooSmall, from: { ...from, ...gapsFrom, ...tooSmallFrom } };
}

function parametersOf({ adjusted = {} }: Arrangement): AdjustedByKind {
  return Object.fromEntries(
    Object.entries(adjusted).map(([kind, { weights: _bySplit, ...parameters }]) => [
      kind,
      parameters,
    ]),
  );
}

/** Sizes moved by key, by the split they belong to. */
function movedWeights(
  session: Session,
  arranged: Pick<Arranged, 'workspace' | 'monitor' | 'tiling'>,
): NamedWeights {
  const arrangement = arrangementOf(session, arranged.workspace, arranged.monitor.id);
  return arrangement.adjusted?.[arranged.tiling.layout.kind]?.weights ?? {};
}

/** Divides what a workspace has on a monitor. */
export function arrange(situation: Situation, workspace: string, monitorId: string): Arranged {
  const { session } = situation;
  const wanted = new Set(arrangementOf(session, workspace, monitorId).order);
  const byId = new Map<string, SessionWindow>();
  for (const window of session.windows) if (wanted.has(window.id)) byId.set(window.id, window);
  return arrangeWindows(situation, workspace, monitorId, byId);
}

/** `arrange` for a caller that has the windows by their ids already. */
export function arrangeWindows(
  { session, profile, desk }: Situation,
  workspace: string,
  monitorId: string,
  byId: ReadonlyMap<string, SessionWindow>,
): Arranged {
  const monitor = monitorOf(desk, monitorId);
  const tiling = tilingInForce(profile, session, workspace, monitorId);
  const tiled: SessionWindow[] = [];
  for (const id of arrangementOf(session, workspace, monitorId).order) {
    const window = byId.get(id);
    if (window?.held === 'tiled') tiled.push(window);
  }
  const divide = (windows: readonly SessionWindow[]) =>
    divided(session, { workspace, monitor, tiling, tiled: windows });
  const whole = divide(tiled);
  if (tiling.whenTooSmall === 'squeeze' || whole.allFit) return { ...whole.arranged, left: [] };

  // The window opened last leaves, again and again, until the rest fits.
  const age = new Map(session.windows.map((window, i) => [window.id, i]));
  const oldestFirst = [...tiled].sort((a, b) => age.get(a.id)! - age.get(b.id)!);
  const left: SessionWindow[] = [];
  let now = whole;
  while (!now.allFit && oldestFirst.length > 1) {
    left.push(oldestFirst.pop()!);
    now = divide(tiled.filter((window) => !left.includes(window)));
  }
  return { ...now.arranged, left };
}

/** Divides an area among some windows; `allFit` tells whether their minimums can all be met. */
function divided(
  session: Session,
  of: Pick<Arranged, 'workspace' | 'monitor' | 'tiling' | 'tiled'>,
): { arranged: Omit<Arranged, 'left'>; allFit: boolean } {
  const { monitor, tiled } = of;
  const { gaps, layout } = of.tiling;
  const noGaps = gaps.dropWhenAlone && tiled.length === 1;
  const { area, dropped } = noGaps ? workArea(monitor) : workArea(monitor, gaps.outer);
  const gap = {
    x: toPixels(gaps.inner.x, monitor.scale),
    y: toPixels(gaps.inner.y, monitor.scale),
  };
  const minimums = tiled.map((window) => minimumOf(window, monitor.scale));
  const arranged = { ...of, area, gap, dropped, minimums };
  if (tiled.length === 0) return { arranged: { ...arranged, solved: null }, allFit: true };

  const tree = withWeights(layoutTree(layout, tiled.length, area), movedWeights(session, of));
  const flat = flatten(tree, minimums, gap);
  const rects = rectsFor(flat);
  const crowded = solveInto(flat, area, rects) > 0;
  return {
    arranged: { ...arranged, solved: { flat, rects, crowded } },
    allFit: minimumsCanBeMet(flat, area),
  };
}
