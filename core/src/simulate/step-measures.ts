import { commandText } from '../commands/command.ts';
import { monitorOf } from '../desk/desk.ts';
import { workArea } from '../desk/work-area.ts';
import { intersection, type Rect } from '../geometry/rect.ts';
import { byKeys, NO_EFFORT, withPresses } from '../keys/effort.ts';
import { keyMap } from '../keys/map.ts';
import { reachTable } from '../keys/reach.ts';
import type { Profile } from '../model/profile.ts';
import type { ScriptStep } from '../model/script.ts';
import { keysCaps, pressesIn, triggerOf } from '../values/trigger.ts';
import type { Look } from './expect.ts';
import { movedPixels } from './moved-pixels.ts';

/** What a step costs, and how the desk is after it. */
export interface StepMeasures {
  /** Keys that are pressed, modifiers not counted; a command is counted by its easiest key. */
  presses: number;
  /** How hard they are to press, as the key map tells it. */
  reach: number;
  /** Seconds by the keystroke-level model, modifiers counted. */
  seconds: number;
  /** How far windows moved, in physical pixels. */
  moved: number;
  /** Physical pixels, across and down, that windows in sight lack of their minimum, and of the size they want. */
  underMinimum: number;
  underWanted: number;
  /** Square pixels of work areas that no window covers. */
  wasted: number;
  /** Findings of how the desk stands. */
  findings: number;
}

export type MeasureName = keyof StepMeasures;

/** The measures in the order in which they are told, with their names and units. */
export const MEASURES: Readonly<
  Record<MeasureName, { title: string; unit: string; decimals: number }>
> = {
  presses: { title: 'Key presses', unit: 'presses', decimals: 0 },
  reach: { title: 'Reach', unit: 'bits', decimals: 1 },
  seconds: { title: 'Time', unit: 's', decimals: 1 },
  moved: { title: 'Windows moved', unit: 'px', decimals: 0 },
  underMinimum: { title: 'Under their minimum', unit: 'px', decimals: 0 },
  underWanted: { title: 'Under the size they want', unit: 'px', decimals: 0 },
  wasted: { title: 'Area without windows', unit: 'Mpx', decimals: 2 },
  findings: { title: 'Findings', unit: 'findings', decimals: 0 },
};

export const MEASURE_NAMES = Object.keys(MEASURES) as readonly MeasureName[];

export const NOTHING_MEASURED: StepMeasures = {
  presses: 0,
  reach: 0,
  seconds: 0,
  moved: 0,
  underMinimum: 0,
  underWanted: 0,
  wasted: 0,
  findings: 0,
};

/** The measures of a step, by the desk before it and after it. */
export function measuresOf(step: ScriptStep | null, before: Look, after: Look): StepMeasures {
  return {
    ...costOf(step, before.profile),
    moved: Math.round(movedPixels(before.placements, after.placements)),
    underMinimum: lacking(after, 'min'),
    underWanted: lacking(after, 'wanted'),
    wasted: uncovered(after) / 1e6,
    findings: after.findings.length,
  };
}

/** Measures added up. */
export function sumOfMeasures(all: readonly StepMeasures[]): StepMeasures {
  const sum = { ...NOTHING_MEASURED };
  for (const each of all) for (const name of MEASURE_NAMES) sum[name] += each[name];
  return sum;
}

function costOf(
  step: ScriptStep | null,
  profile: Profile,
): Pick<StepMeasures, 'presses' | 'reach' | 'seconds'> {
  const keys = step && keysOf(step, profile);
  if (keys === null) return { presses: 0, reach: 0, seconds: 0 };
  const presses = pressesIn(keysCaps(keys, profile.keys));
  return {
    presses: triggerOf(keys).steps.length,
    reach: reachTable(profile)(keys),
    seconds: byKeys(withPresses(NO_EFFORT, presses)),
  };
}

/** The keys that a person presses for a step: of a command the easiest ones; null where it has none. */
function keysOf(step: ScriptStep, profile: Profile): string | null {
  if ('press' in step) return typeof step.press === 'string' ? step.press : null;
  if (!('command' in step)) return null;
  const text = commandText(step);
  const reach = reachTable(profile);
  const [easiest] = keyMap(profile)
    .filter(({ command }) => command && commandText(command) === text)
    .map(({ keys }) => keys)
    .sort((one, other) => reach(one) - reach(other));
  return easiest ?? null;
}

function lacking({ session, placements, desk }: Look, of: 'min' | 'wanted'): number {
  const windows = new Map(session.windows.map((window) => [window.id, window]));
  return placements.reduce((sum, { id, shown, monitor, width, height }) => {
    const least = windows.get(id)?.[of];
    if (!least || !shown) return sum;
    const { scale } = monitorOf(desk, monitor);
    const lack = (has: number, needs = 0) => Math.max(0, Math.floor(needs * scale) - has);
    return sum + lack(width, least.width) + lack(height, least.height);
  }, 0);
}

/** Square pixels of the work areas of all monitors that no window in sight covers. */
function uncovered({ desk, placements }: Look): number {
  const shown = placements.filter((placement) => placement.shown);
  return desk.monitors.reduce((sum, monitor) => {
    const { area } = workArea(monitor);
    const parts = shown.flatMap((placement) => {
      const part = intersection(area, placement);
      return part ? [part] : [];
    });
    return sum + area.width * area.height - covered(parts);
  }, 0);
}

/** The area of a union of rectangles: by the strips between their left and right edges. */
function covered(rects: readonly Rect[]): number {
  const edges = [...new Set(rects.flatMap(({ x, width }) => [x, x + width]))].sort((a, b) => a - b);
  return edges.slice(1).reduce((sum, right, i) => {
    const left = edges[i]!;
    const within = rects
      .filter(({ x, width }) => x <= left && x + width >= right)
      .sort((one, other) => one.y - other.y);
    let length = 0;
    let until = -Infinity;
    for (const { y, height } of within) {
      length += Math.max(0, y + height - Math.max(y, until));
      until = Math.max(until, y + height);
    }
    return sum + length * (right - left);
  }, 0);
}
