import type { DeskInForce } from '../desk/desk.ts';
import type { DeskMonitor } from '../desk/monitors.ts';
import { monitorNamed } from '../desk/roles.ts';
import { workArea } from '../desk/work-area.ts';
import type { ZoneBoard } from '../model/zone-board.ts';
import type { Profile } from '../model/profile.ts';

/** Whether a board is for a monitor, and why. */
export interface ZoneBoardFit {
  board: ZoneBoard;
  fits: boolean;
  because: string;
}

/** Every board of the profile against a monitor, in the profile's order. */
export function zoneBoardFits(
  { boards }: Pick<Profile, 'boards'>,
  desk: DeskInForce,
  monitor: DeskMonitor,
): ZoneBoardFit[] {
  const { area } = workArea(monitor);
  const aspect = area.width / area.height;
  const logicalWidth = area.width / monitor.scale;
  return boards.map((board) => {
    const { leastAspect, turned, leastWidth, monitor: which } = board.for;
    const reasons: string[] = [];
    const fault = (why: string): ZoneBoardFit => ({ board, fits: false, because: why });
    if (which !== undefined) {
      if (monitorNamed(which, desk.monitors)?.id !== monitor.id) return fault(`it is for ${which}`);
      reasons.push(`it is for ${which}`);
    }
    if (leastAspect !== undefined) {
      const has = ratio(aspect);
      if (aspect < leastAspect)
        return fault(`its aspect is ${has}; the board asks for ${leastAspect}`);
      reasons.push(`an aspect of ${has} is at least ${leastAspect}`);
    }
    if (leastWidth !== undefined) {
      const has = Math.round(logicalWidth);
      if (logicalWidth < leastWidth)
        return fault(`it is ${has} logical px wide; the board asks for ${leastWidth}`);
      reasons.push(`${has} logical px are at least ${leastWidth}`);
    }
    if (turned !== undefined) {
      const isHigh = area.height > area.width;
      const shape = isHigh ? 'it is higher than wide' : 'it is at least as wide as high';
      if (isHigh !== turned) return fault(shape);
      reasons.push(shape);
    }
    const because = reasons.length > 0 ? reasons.join('; ') : 'it is for every shape';
    return { board, fits: true, because };
  });
}

function ratio(aspect: number): string {
  return String(Number(aspect.toFixed(2)));
}

const fitting = new WeakMap<
  DeskMonitor,
  { boards: readonly ZoneBoard[]; desk: DeskInForce; fit: readonly ZoneBoard[] }
>();

/** The boards that fit a monitor; the first of them is the one it gets. */
export function fittingZoneBoards(
  profile: Profile,
  desk: DeskInForce,
  monitor: DeskMonitor,
): readonly ZoneBoard[] {
  // Asked for at every step.
  const known = fitting.get(monitor);
  if (known && known.boards === profile.boards && known.desk === desk) return known.fit;
  const fit = zoneBoardFits(profile, desk, monitor)
    .filter(({ fits }) => fits)
    .map(({ board }) => board);
  fitting.set(monitor, { boards: profile.boards, desk, fit });
  return fit;
}
