import { globSource, hasPattern } from '../values/pattern.ts';
import type { DeskMonitor } from './monitors.ts';

/** What a monitor can be on any desk, so that a home means something wherever one sits. */
export const ROLES = ['primary', 'widest', 'tallest', 'turned', 'largest'] as const;
type Role = (typeof ROLES)[number];

const FROM_LEFT = /^from-left-([1-9]\d?)$/;

/** True for words that name a role: one of `ROLES`, or `from-left-2` for the second from the left. */
export function isRole(which: string): boolean {
  return (ROLES as readonly string[]).includes(which) || FROM_LEFT.test(which);
}

const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth'];

/** A role in words: "the widest", "second from the left". A text that is no role stays as it is. */
export function roleText(which: string): string {
  const number = Number(FROM_LEFT.exec(which)?.[1]);
  if (number) return `${ORDINALS[number - 1] ?? `number ${number}`} from the left`;
  return isRole(which) ? `the ${which}` : which;
}

/** The monitor that a name or a role means, in words: "monitor Korvane", "the widest monitor". */
export function monitorText(which: string): string {
  if (!isRole(which)) return `monitor ${which}`;
  return FROM_LEFT.test(which) ? `the monitor ${roleText(which)}` : `${roleText(which)} monitor`;
}

export function isPattern(which: string): boolean {
  return /[*?]/.test(which);
}

/** True when a name fits a pattern with * (any text) and ? (any one character); case does not count. */
export function fitsPattern(name: string, pattern: string): boolean {
  return hasPattern(name, globSource(pattern));
}

/** From the left, then from the top: the order that next and previous go round, and `from-left-2` counts. */
export function fromTheLeft<M extends { x: number; y: number; id: string }>(
  monitors: readonly M[],
): M[] {
  return [...monitors].sort((a, b) => a.x - b.x || a.y - b.y || (a.id < b.id ? -1 : 1));
}

/** The monitor with the most of something; of several alike the first from the left. */
function most(monitors: readonly DeskMonitor[], of: (monitor: DeskMonitor) => number) {
  let best: DeskMonitor | null = null;
  for (const monitor of fromTheLeft(monitors)) {
    if (!best || of(monitor) > of(best)) best = monitor;
  }
  return best;
}

/**
 * The monitor meant, of those that are there: by id, by name, by a pattern for either, or by role. An id
 * or a name comes before a role of the same word. Null when none is meant.
 *
 * @param monitors the primary first
 */
export function monitorNamed(which: string, monitors: readonly DeskMonitor[]): DeskMonitor | null {
  const named =
    monitors.find(({ id }) => id === which) ?? monitors.find(({ name }) => name === which);
  if (named) return named;
  if (isPattern(which)) {
    const fits = ({ id, name }: DeskMonitor) => fitsPattern(name, which) || fitsPattern(id, which);
    return fromTheLeft(monitors).find(fits) ?? null;
  }
  const place = FROM_LEFT.exec(which)?.[1];
  if (place !== undefined) return fromTheLeft(monitors)[Number(place) - 1] ?? null;
  switch (which as Role) {
    case 'primary':
      return monitors[0] ?? null;
    case 'widest':
      return most(monitors, ({ width }) => width);
    case 'tallest':
      return most(monitors, ({ height }) => height);
    case 'largest':
      return most(monitors, ({ width, height }) => width * height);
    case 'turned':
      return fromTheLeft(monitors).find(({ turn }) => turn === 90 || turn === 270) ?? null;
    default:
      return null;
  }
}
