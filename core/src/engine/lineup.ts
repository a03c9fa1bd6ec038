import { monitorOf } from '../desk/desk.ts';
import type { LineupWindow } from '../model/session-snap.ts';
import type { LastLineup, SessionWindow } from '../model/session.ts';
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
