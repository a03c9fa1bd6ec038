import { monitorOf } from '../desk/desk.ts';
import type { LineupWindow } from '../model/session-snap.ts';
import type { LastLineup, Session, SessionWindow } from '../model/session.ts';
import { arrange } from './arrange.ts';
import { computePlacements } from './placements.ts';
import { arrangementOf, windowOf, type CommandContext } from './session.ts';
import { toFloatingRect } from './floating-rect.ts';

/** The windows of a workspace on a monitor with the places they have, in their order. */
export function lineupOf(
  context: CommandContext,
  workspace: string,
  monitor: string,
  isOf: (window: SessionWindow) => boolean,
): LastLineup {
  const { session, profile, desk } = context;
  const { order, layout, adjusted, hand } = arrangementOf(session, workspace, monitor);
  const { zoned, tiled } = arrange(context, workspace, monitor);
  const seen = new Map(
    computePlacements(session, profile, desk).placements.map((each) => [each.id, each]),
  );
  const on = monitorOf(desk, monitor);
  const windows = order.flatMap((id): LineupWindow[] => {
    const window = windowOf(session, id);
    const isHere = window?.workspace === workspace && window.monitor === monitor;
    if (!window || !isHere || window.held === 'pocketed' || window.held === 'left-alone') return [];
    if (!isOf(window)) return [];
    const seat = zoned?.seats[tiled.indexOf(window)];
    const { app, title, held, placing, standing } = window;
    return [
      {
        id,
        ...(app !== undefined && { app }),
        ...(title !== undefined && { title }),
        held,
        ...(placing && { placing }),
        ...(standing && { standing }),
        ...(seat && { inZones: { zones: seat.zones } }),
        seen: toFloatingRect(seen.get(id)!, on),
      },
    ];
  });
  const focus = windows.some(({ id }) => id === session.focus) ? session.focus : undefined;
  return {
    workspace,
    monitor,
    windows,
    ...(zoned && { board: zoned.board.id }),
    ...(focus !== undefined && { focus }),
    ...(layout && { layout }),
    ...(adjusted && { adjusted }),
    ...(hand !== undefined && { hand }),
  };
}

/**
 * Which open window each of a lineup's is: itself where it is open and titled as then; else of one app those
 * with its very title first, then in the order in which they opened. Null where none is open.
 */
export function matched(session: Session, wanted: readonly LineupWindow[]): (string | null)[] {
  const unmatched = new Set(session.windows.filter(({ held }) => held !== 'left-alone'));
  const found = wanted.map((): string | null => null);
  const take = (isIt: (window: SessionWindow, of: LineupWindow) => boolean) =>
    wanted.forEach((of, i) => {
      if (found[i] !== null) return;
      for (const window of unmatched) {
        if (!isIt(window, of)) continue;
        unmatched.delete(window);
        found[i] = window.id;
        return;
      }
    });
  const isOfApp = (window: SessionWindow, of: LineupWindow) =>
    of.app === undefined ? window.id === of.id : window.app === of.app;
  const hasTitle = (window: SessionWindow, of: LineupWindow) =>
    isOfApp(window, of) && window.title === of.title;
  // The very window before another of its kind.
  take((window, of) => window.id === of.id && hasTitle(window, of));
  take(hasTitle);
  take((window, of) => window.id === of.id && isOfApp(window, of));
  take(isOfApp);
  return found;
}
