import type { Placement } from './placement.ts';
import type { ArrangementFinding } from './finding.ts';
import type { ZoneBoard } from '../model/zone-board.ts';
import type { ZoneDivision } from '../zones/division.ts';
import type { Strip } from '../tiling/layouts/single.ts';
import type { Dropped } from '../desk/work-area.ts';
import type { Gap, FlatTree } from '../tiling/solve.ts';
import type { Rect, Size } from '../geometry/rect.ts';
import type { SessionWindow } from '../model/session.ts';
import type { TilingInForce } from '../tiling/settings.ts';
import type { DeskMonitor } from '../desk/monitors.ts';
/** What a layout says of a window: its tile, and whether another one covers it there. */
export interface GivenTile {
  window: SessionWindow;
  tile: Rect;
  covered: boolean;
  zones?: readonly string[];
}

/** What a layout gives to its windows, and what is wrong with that. */
export interface TileReading {
  entries: readonly GivenTile[];
  findings: readonly ArrangementFinding[];
  /** By window, once it was asked for. */
  positions?: ReadonlyMap<string, number>;
  /** The placements of the entries while the engine runs, on a shown workspace and on one that is not. */
  shown?: readonly Placement[];
  unseen?: readonly Placement[];
}

/** A workspace on a monitor, divided. */
export interface ArrangedWorkspace {
  workspace: string;
  monitor: DeskMonitor;
  tiling: TilingInForce;
  /** The windows that the layout arranges, in their order: position i in the tree is window i here. */
  tiled: readonly SessionWindow[];
  /** Windows that left the tiles because the minimums could not all be met, the one opened last first. */
  overflow: readonly SessionWindow[];
  /** Positions for which no pixel is left: their windows lie beneath the last tile, and have that one. */
  over: readonly number[];
  /** Windows that float, for they found no tile or no zone. */
  afloat: readonly SessionWindow[];
  /** The area that tiles divide, and the gap between them, in physical pixels. */
  area: Rect;
  gap: Gap;
  dropped: readonly Dropped[];
  minimums: readonly Size[];
  /** One for each tiled window; null where the layout gives none, so that windows float where they are. */
  tiles: readonly Rect[] | null;
  /** The solved tree; null when nothing is tiled, or the layout divides nothing. */
  solved: { flat: FlatTree; rects: number[] } | null;
  /** The strip that names the windows of which one is shown. */
  strip: Strip | null;
  /** The profile's boards, and those that fit the monitor. */
  boards: Boards;
  /** The zones, where the layout is a zone board. */
  zoned: ZoneDivision | null;
  /** Windows that found every zone taken, and float. */
  unseated: readonly SessionWindow[];
  /** What was read off the tiles, once it was and as long as it stays so. */
  read: TileReading | null;
}

interface Boards {
  all: readonly ZoneBoard[];
  fitting: readonly ZoneBoard[];
}
