import type { Rect, Edges } from '../geometry/rect.ts';
import type { Desk, Profile } from '../model/profile.ts';

/** A monitor's name for a person. */
export function monitorName({ monitors }: Profile, id: string): string {
  return monitors.find((monitor) => monitor.id === id)?.name ?? id;
}

/**
 * Monitors where they stand on a desk, the primary first. One that the desk does not know stands to the
 * right of the others. In a profile without desks monitors stand where they say, else left to right.
 *
 * @param ids those wanted; all when left out
 */
export function deskMonitors(
  profile: Profile,
  desk: Desk | null,
  ids?: readonly string[],
): DeskMonitor[] {
  let nextX = 0;
  const place = (monitor: Profile['monitors'][number]): DeskMonitor => {
    const entry = desk?.monitors.find((candidate) => candidate.monitor === monitor.id);
    const own = profile.desks.length === 0 ? monitor : undefined;
    const placed: DeskMonitor = {
      id: monitor.id,
      name: monitor.name ?? monitor.id,
      x: entry?.x ?? own?.x ?? nextX,
      y: entry?.y ?? own?.y ?? 0,
      width: entry?.width ?? monitor.width,
      height: entry?.height ?? monitor.height,
      turn: entry?.turn ?? monitor.turn ?? 0,
      scale: entry?.scale ?? monitor.scale,
      reserved: entry?.reserved ?? monitor.reserved,
    };
    nextX = Math.max(nextX, placed.x + placed.width);
    return placed;
  };
  const wanted = profile.monitors.filter(({ id }) => ids?.includes(id) ?? true);
  const isKnown = (id: string) => desk?.monitors.some(({ monitor }) => monitor === id) ?? true;
  // Those the desk knows come first: only then is it known where "to the right" begins.
  const placed = [
    ...wanted.filter(({ id }) => isKnown(id)),
    ...wanted.filter(({ id }) => !isKnown(id)),
  ].map(place);
  const order = wanted.map(({ id }) => placed.find((monitor) => monitor.id === id)!);
  const primary = order.find(({ id }) => id === desk?.primary);
  return primary ? [primary, ...order.filter((monitor) => monitor !== primary)] : order;
}

/** A connected monitor where it stands: its rectangle on the joint desktop, in physical pixels. */
export interface DeskMonitor extends Rect {
  id: string;
  name: string;
  /** Degrees, clockwise; width and height are those after turning. */
  turn: number;
  scale: number;
  /** Logical pixels. */
  reserved: Edges;
}
