import { withoutLargeness } from '../model/window-mode.ts';
import { monitorOf } from '../desk/desk.ts';
import { workArea } from '../desk/work-area.ts';
import { keptInside, type Rect } from '../geometry/rect.ts';
import type { ZoneBoard } from '../model/zone-board.ts';
import type { Corner, RuleSettings } from '../model/rule.ts';
import type { FloatingRect } from '../model/session-snap.ts';
import type { Session, SessionWindow } from '../model/session.ts';
import { zoneBoardName, zoneNamed } from '../tiling/zone-board.ts';
import { ownEntry } from '../values/own-entry.ts';
import { zoneBoardMeant } from '../zones/division.ts';
import { arrange } from './arrange.ts';
import { withSeats } from './commands/zone-board-here.ts';
import { computeShownPlacements } from './placements.ts';
import { snapArea } from './snap-area.ts';
import {
  isTiled,
  windowOf,
  withArrangement,
  withWindow,
  type Reason,
  type CommandContext,
} from './session.ts';
import {
  besideOthers,
  firstFloatingRect,
  onGrid,
  floatingRectOn,
  toFloatingRect,
} from './floating-rect.ts';

/** The app of the window that a window stands over. */
export function parentApp(
  windows: readonly { id: string; app?: string }[],
  parent: string | undefined,
): string | undefined {
  const over = parent === undefined ? undefined : windows.find(({ id }) => id === parent);
  return over?.app ?? over?.id;
}

/** A window with what rules say of it alone, wherever it is: size, above, everywhere, and how it is held. */
export function heldByRule(window: SessionWindow, follows: RuleSettings): SessionWindow {
  const { size, stayAbove, everywhere, held = window.held } = follows;
  const { stayAbove: wasAbove, everywhere: wasEverywhere, lifted, ...given } = window;
  // A window of a fixed size covers nothing that it does not cover by itself.
  const rest = window.resizable === false ? withoutLargeness(given) : given;
  const above = stayAbove ?? wasAbove;
  const all = everywhere ?? wasEverywhere;
  const isLifted = held === 'tiled' && (above === true || all === true);
  return {
    ...rest,
    held: isLifted ? 'floating' : held,
    ...(size && window.resizable !== false && { preferred: size }),
    ...(above && { stayAbove: true }),
    ...(all && { everywhere: true }),
    ...(isLifted ? { lifted: {} } : follows.held === undefined && lifted && { lifted }),
  };
}

/**
 * Where a window that no tile takes stands at first: where the person moved the last one of its app, else
 * where a rule says, else over its parent or in the middle, not at the very corner of another one.
 */
export function floatingRectByRule(
  context: CommandContext,
  window: SessionWindow,
  { corner, remember }: RuleSettings,
): { standing: FloatingRect; because: string | null } {
  const { session, desk, profile } = context;
  const monitor = monitorOf(desk, window.monitor);
  const last = ownEntry(session.remembered, window.app ?? window.id);
  if (last && (remember ?? profile.floating.remember)) {
    const there = floatingRectOn(window, last.standing, monitor);
    const kept = keptInside(workArea(monitor).area, onGrid(there, monitor, profile.floating.grid));
    return {
      standing: toFloatingRect(kept, monitor),
      because: 'the person moved the last one there',
    };
  }
  if (corner && corner !== 'over-parent') {
    const { area } = snapArea(context, window.workspace, window.monitor);
    const at = inCorner(corner, firstFloatingRect(window, monitor), area);
    return {
      standing: toFloatingRect(keptInside(workArea(monitor).area, at), monitor),
      because: null,
    };
  }
  const { grid } = profile.floating;
  const first = firstFloatingRect(window, monitor, { over: parentRect(context, window), grid });
  const others = session.paused
    ? Object.values(session.paused.standing)
    : computeShownPlacements(context, window.monitor).filter(({ id }) => id !== window.id);
  const beside = besideOthers(others, first, monitor, grid);
  return { standing: toFloatingRect(beside, monitor), because: null };
}

function parentRect(context: CommandContext, { parent, monitor }: SessionWindow) {
  const over = windowOf(context.session, parent);
  if (!over || over.monitor !== monitor) return undefined;
  return computeShownPlacements(context, over.monitor).find(({ id }) => id === over.id);
}

/** A size at a side, in a corner or in the middle of an area. */
function inCorner(corner: Corner, { width, height }: Rect, area: Rect): Rect {
  const along = (words: readonly [string, string], from: number, length: number, room: number) => {
    if (corner.includes(words[0])) return from;
    return from + (corner.includes(words[1]) ? room - length : Math.floor((room - length) / 2));
  };
  return {
    x: along(['left', 'right'], area.x, width, area.width),
    y: along(['upper', 'lower'], area.y, height, area.height),
    width,
    height,
  };
}

/** A window in the zone or at the place that rules say, where there is such a one. */
export function snappedByRule(
  context: CommandContext,
  id: string,
  { zone, placing }: RuleSettings,
): { session: Session; trace: Reason[] } {
  const { session, profile, desk } = context;
  const window = windowOf(session, id);
  const isHeld = window?.held === 'left-alone' || window?.held === 'pocketed';
  if (!window || isHeld) return { session, trace: [] };
  if (placing) return { session: withWindow(session, id, (it) => ({ ...it, placing })), trace: [] };
  if (zone === undefined) return { session, trace: [] };
  const boards = boardsAt(context, window);
  const board = boards.find((each) => zoneNamed(each, zone));
  if (!board) {
    const { name } = monitorOf(desk, window.monitor);
    const because = boards.length > 0 ? `no board for ${name} has it` : `no board is for ${name}`;
    return { session, trace: [{ about: id, decided: `in no zone “${zone}”`, because }] };
  }
  const zones = [zone];
  const { layout } = arrange(context, window.workspace, window.monitor).tiling;
  const isArranged = layout.kind === 'board' && board === boards[0] && isTiled(window);
  const next = isArranged
    ? withSeats(session, window, board.id, { [id]: { zones } })
    : withWindow(session, id, (it) => ({
        ...it,
        placing: { x: 'full', y: 'full', zone: { board: board.id, zones } },
      }));
  const others = profile.boards.filter((each) => zoneNamed(each, zone)).length > 1;
  const of = others || !isArranged ? ` of ${zoneBoardName(board)}` : '';
  return {
    session: next,
    trace: [{ about: id, decided: `in ${zone}${of}`, because: 'a rule says so' }],
  };
}

/** The boards in which a window's zone is looked for: the one that arranges its workspace, then those that fit. */
function boardsAt(context: CommandContext, { workspace, monitor }: SessionWindow): ZoneBoard[] {
  const { tiling, boards } = arrange(context, workspace, monitor);
  const { layout } = tiling;
  const own = layout.kind === 'board' ? zoneBoardMeant(layout, boards.all, boards.fitting) : null;
  return [...new Set([...(own ? [own] : []), ...boards.fitting])];
}

/** A window at the place in its order that a rule says. */
export function joinedByRule(context: CommandContext, id: string, { join }: RuleSettings): Session {
  const { session } = context;
  const window = windowOf(session, id);
  if (!window || join === undefined) return session;
  return withOrderOf(session, window, (order) => {
    const others = order.filter((other) => other !== id);
    if (join === 'lead') return [id, ...others];
    const beside = session.recent.find((other) => other !== id && others.includes(other));
    return join === 'end' || beside === undefined
      ? [...others, id]
      : others.flatMap((other) => (other === beside ? [other, id] : [other]));
  });
}

function withOrderOf(
  session: Session,
  { workspace, monitor }: SessionWindow,
  change: (order: readonly string[]) => string[],
): Session {
  return withArrangement(session, workspace, monitor, (there) => ({
    ...there,
    order: change(there.order),
  }));
}
