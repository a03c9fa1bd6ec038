import { monitorOf } from '../../desk/desk.ts';
import type { ZoneBoard } from '../../model/zone-board.ts';
import type { Session, SessionWindow } from '../../model/session.ts';
import { ownEntry } from '../../values/own-entry.ts';
import { fittingZoneBoards } from '../../zones/fit.ts';
import type { ZoneDivision } from '../../zones/division.ts';
import type { InZones, Seat } from '../../zones/seats.ts';
import { arrange } from '../arrange.ts';
import type { ArrangedWorkspace } from '../arranged-workspace.ts';
import { withArrangement, type CommandContext } from '../session.ts';

/** The board by which a tiled window is arranged. */
export interface ZoneBoardHere {
  arranged: ArrangedWorkspace;
  zoned: ZoneDivision;
  board: ZoneBoard;
  /** The window's zones. */
  seat: Seat;
}

/** The board that gives a window its tile; null where none does. */
export function zoneBoardHere(
  context: CommandContext,
  window: SessionWindow,
): ZoneBoardHere | null {
  const arranged = arrange(context, window.workspace, window.monitor);
  const { zoned, tiled } = arranged;
  const seat = zoned?.seats[tiled.findIndex(({ id }) => id === window.id)];
  return zoned && seat ? { arranged, zoned, board: zoned.board, seat } : null;
}

/** The board that counts for a window: the layout's, else the first that fits its monitor. */
export function zoneBoardFor(context: CommandContext, window: SessionWindow): ZoneBoard | null {
  const { zoned } = arrange(context, window.workspace, window.monitor);
  if (zoned) return zoned.board;
  const monitor = monitorOf(context.desk, window.monitor);
  return fittingZoneBoards(context.profile, context.desk, monitor)[0] ?? null;
}

/** Puts windows of a workspace into zones of a board. */
export function withSeats(
  session: Session,
  { workspace, monitor }: { workspace: string; monitor: string },
  board: string,
  seats: Readonly<Record<string, InZones>>,
): Session {
  return withArrangement(session, workspace, monitor, (there) => ({
    ...there,
    inZones: { ...there.inZones, [board]: { ...ownEntry(there.inZones, board), ...seats } },
  }));
}
