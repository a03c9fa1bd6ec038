import { type DeskInForce } from '../desk/desk.ts';
import { unreachedMonitors } from '../desk/neighbours.ts';
import { type DeskMonitor, deskMonitors } from '../desk/monitors.ts';
import { monitorNamed } from '../desk/roles.ts';
import { intersection, sharedLength, span, type Rect } from '../geometry/rect.ts';
import type { Profile } from '../model/profile.ts';

/** Something about how monitors stand. */
export type PositionFinding =
  /** Two monitors have part of the joint desktop in common. */
  | { kind: 'overlap'; desk: string; monitor: string; other: string; width: number; height: number }
  /** A monitor touches none of those that are joined to the primary: no pointer gets there. */
  | { kind: 'apart'; desk: string; monitor: string }
  /** Direction keys do not lead to a monitor. */
  | { kind: 'unreached'; desk: string; monitor: string };

/** A workspace whose home is on no desk. */
export interface HomelessFinding {
  kind: 'homed-nowhere';
  workspace: string;
  home: string;
}

const found = new WeakMap<DeskInForce, readonly PositionFinding[]>();

/** What is wrong with how the monitors of a desk stand. */
export function deskFindings(desk: DeskInForce): readonly PositionFinding[] {
  const known = found.get(desk) ?? [
    ...overlaps(desk),
    ...apart(desk),
    ...unreachedMonitors(desk).map(({ id }) => unreached(desk, id)),
  ];
  found.set(desk, known);
  return known;
}

function unreached({ name }: DeskInForce, monitor: string): PositionFinding {
  return { kind: 'unreached', desk: name, monitor };
}

function overlaps({ name, monitors }: DeskInForce): PositionFinding[] {
  return monitors.flatMap((monitor, i) =>
    monitors.slice(i + 1).flatMap((other): PositionFinding[] => {
      const both = intersection(monitor, other);
      if (!both) return [];
      const { width, height } = both;
      return [{ kind: 'overlap', desk: name, monitor: monitor.id, other: other.id, width, height }];
    }),
  );
}

/** True when a pointer gets from one monitor to the other: they share part of a side, or overlap. */
function areJoined(a: Rect, b: Rect): boolean {
  const width = sharedLength(span(a, 'x'), span(b, 'x'));
  const height = sharedLength(span(a, 'y'), span(b, 'y'));
  return (width > 0 && height >= 0) || (height > 0 && width >= 0);
}

function apart({ name, monitors }: DeskInForce): PositionFinding[] {
  const joined = new Set(monitors.slice(0, 1));
  const waiting = [...joined];
  for (let from = waiting.pop(); from; from = waiting.pop()) {
    for (const to of monitors) {
      if (joined.has(to) || !areJoined(from, to)) continue;
      joined.add(to);
      waiting.push(to);
    }
  }
  return monitors
    .filter((monitor) => !joined.has(monitor))
    .map(({ id }) => ({ kind: 'apart', desk: name, monitor: id }));
}

/** Workspaces whose home is no monitor of any desk, whatever is connected. */
export function homelessWorkspaces(profile: Profile): HomelessFinding[] {
  const desks: DeskMonitor[][] =
    profile.desks.length > 0
      ? profile.desks.map((desk) =>
          deskMonitors(
            profile,
            desk,
            desk.monitors.map(({ monitor }) => monitor),
          ),
        )
      : [deskMonitors(profile, null)];
  return profile.workspaces.flatMap(({ id, monitor: home }): HomelessFinding[] =>
    home === undefined || desks.some((monitors) => monitorNamed(home, monitors))
      ? []
      : [{ kind: 'homed-nowhere', workspace: id, home }],
  );
}
