import type { CommandFunctions } from './command-functions.ts';
import { monitorOf } from '../../desk/desk.ts';
import { workArea } from '../../desk/work-area.ts';
import { keptInside } from '../../geometry/rect.ts';
import { isOutside, computePlacements } from '../placements.ts';
import {
  applied,
  noop,
  windowName,
  type Outcome,
  type CommandContext,
  existingWindow,
} from '../session.ts';
import { carriedRect, toFloatingRect } from '../floating-rect.ts';

/** bring-inside: windows that are left alone and stand outside every monitor are moved into the work area of theirs. */
function bringInside({ session, profile, desk }: CommandContext): Outcome {
  const outside = new Map(
    computePlacements(session, profile, desk)
      .placements.filter(({ held }) => held === 'left-alone')
      .filter((placement) => isOutside(placement, desk))
      .map((placement) => [placement.id, placement]),
  );
  if (outside.size === 0) return noop(session, 'no window stands outside every monitor');
  const windows = session.windows.map((window) => {
    const rect = outside.get(window.id);
    if (!rect) return window;
    const monitor = monitorOf(desk, window.monitor);
    const from = window.standing?.area;
    const inside = from
      ? carriedRect(window, rect, from, monitor)
      : keptInside(workArea(monitor).area, rect);
    return { ...window, standing: toFloatingRect(inside, monitor) };
  });
  const next = { ...session, windows };
  return applied(
    next,
    ...[...outside.keys()].map((id) => ({
      about: id,
      decided: `${windowName(profile, existingWindow(next, id))} inside ${monitorOf(desk, existingWindow(next, id).monitor).name}`,
      because: 'it stood outside every monitor',
    })),
  );
}

export const bringInsideFunctions = {
  'bring-inside': bringInside,
} satisfies Partial<CommandFunctions>;
